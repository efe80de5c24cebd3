using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>The order of work, from whole sheets to the card in its envelope.</summary>
/// <remarks>
/// Cut all, score all while flat, windows and stamping while flat, fold, bond in an order in which each bond can be reached, papers, what is
/// raised, breaking in. Papers that no hand would reach once the card is together, and those that run under a bonded part, go on
/// before; in the other school all of them do. Glue has set before anything is folded. A place is marked before it is needed, and
/// what is still to be seen of marks is rubbed out at the end.
/// </remarks>
public static class Steps
{
    /// <summary>The usual cautions, by the id that a step names them by.</summary>
    public static IReadOnlyDictionary<string, string> Cautions { get; } = new Dictionary<string, string>
    {
        ["trimmer"] = "Fingers behind the trimmer's guard; the blade is down at the end of the cut.",
        ["knife"] = "Cut on a mat against a metal rule, away from the hand that holds it; cap the blade afterwards.",
        ["rollers"] = "Fingers, hair and sleeves away from the rollers while the die goes through.",
        ["scissors"] = "Turn the card, not the scissors, and cut away from the hand.",
        ["heat"] = "The heat tool and the card stay hot for a while: hold the card with tweezers, over something that does not burn, and put the tool down on its stand.",
        ["powder"] = "Strew powder over a tray and do not breathe it in; wipe the table before anybody eats there.",
        ["solvent"] = "Open a window, spray into a box and away from the face; no flame near it.",
        ["magnets"] = "Small magnets are dangerous if swallowed, two of them above all: count them, and keep them from children.",
        ["button-cell"] = "A button cell is dangerous if swallowed, and fast: keep it shut in, count them, and never give it to a child under three.",
        ["small-parts"] = "Small parts: not for children under three.",
    };

    /// <summary>The same in a few words, where it has been said in full already.</summary>
    public static IReadOnlyDictionary<string, string> InShort { get; } = new Dictionary<string, string>
    {
        ["trimmer"] = "fingers behind the guard.", ["knife"] = "cut away from your hand.", ["rollers"] = "fingers off the rollers.",
        ["scissors"] = "turn the card, not the scissors.", ["heat"] = "it stays hot.", ["powder"] = "don't breathe the powder.",
        ["solvent"] = "open a window.", ["magnets"] = "count the magnets.", ["button-cell"] = "count the cells.",
        ["small-parts"] = "small parts.",
    };

    /// <summary>What to beware of at a step: in full the first time that it is read, in a few words afterwards.</summary>
    /// <param name="told">What has been said in full so far, on this page.</param>
    public static IEnumerable<string> Care(Step step, ISet<string> told)
    {
        ArgumentNullException.ThrowIfNull(step);
        ArgumentNullException.ThrowIfNull(told);
        return [.. step.Cautions.Select(c => told.Add(c) ? $"Take care: {Cautions[c]}" : $"Take care: {InShort[c]}")];
    }

    /// <param name="cards">How many cards are made of it at once.</param>
    /// <param name="beside">The same card in the other system, where both are read in one sentence.</param>
    /// <exception cref="NoFiguresException">As it is sized, it cannot be put together.</exception>
    public static IReadOnlyList<Step> Of(Card card, int cards = 1, Card? beside = null)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentOutOfRangeException.ThrowIfLessThan(cards, 1);
        var order = BondOrder.Of(card.Figures) ?? throw new NoFiguresException(
            [new Conflict("bonds:order", Words.Of($"the parts of the {card.Design.Family.Name.ToLowerInvariant()} at these sizes: in no order does a hand reach every bond"))]);
        var (flat, together, dressed) = (new FlatSteps(card, cards), new TogetherSteps(card, cards, order),
            new DressedSteps(card, cards, beside));
        var steps = new List<Step>();
        steps.AddRange(flat.Cut());
        steps.AddRange(flat.CutPapers());
        steps.AddRange(flat.Score());
        steps.AddRange(flat.Open());
        steps.AddRange(dressed.WhileFlat());
        steps.AddRange(dressed.BeforeItIsFolded());
        steps.AddRange(together.Ticks());
        steps.AddRange(together.All());
        steps.AddRange(dressed.OnceTogether());
        steps.AddRange(dressed.AtLast());
        steps.AddRange(Finish(card, cards, steps));
        return [.. Tips.On(card, [.. WithRests(steps)], cards)];
    }

    /// <summary>Before something is folded, what was glued has set.</summary>
    private static IEnumerable<Step> WithRests(IReadOnlyList<Step> steps)
    {
        var (unset, n) = (0, 0);
        string? why = null;
        foreach (var step in steps)
        {
            if (step.Flexes && unset > 0)
            {
                yield return new Step($"wait-{++n}", why == DressedSteps.InkDries ? Words.Of($"Leave it for {Saying.Minutes(unset)}, lying open, while {why}.")
                    : Words.Of($"Leave it for {Saying.Minutes(unset)} under a weight while {why}."), [], "by hand", null, null, [], "flat", null, new Work(Act.Wait, 1), [])
                {
                    Phase = step.Phase, Title = why == DressedSteps.InkDries ? "let the ink dry" : "let it set", Holds = unset,
                        HoldsFor = why, Why = why == DressedSteps.InkDries ? Words.Of($"Wet ink smears under the next thing.")
                            : Words.Of($"Folded too soon, a paper slides on its glue and its edge lifts."), LookFor = why == DressedSteps.InkDries ? Words.Of($"A fingertip comes away clean.") : Words.Of($"Nothing slides when you push it with a finger."), Pieces = step.Pieces,
                };
                unset = 0;
            }

            if (step.Holds > unset)
            {
                (unset, why) = (step.Holds, step.HoldsFor);
            }

            yield return step;
        }
    }

    private static IEnumerable<Step> Finish(Card card, int cards, IReadOnlyList<Step> before)
    {
        var left = before.SelectMany(s => s.Marks).Except(before.SelectMany(s => s.Gone)).ToList();
        var all = cards == 1 ? "it" : $"each of the {Saying.Count(cards)}";
        if (Motion.LeadsOf(card.Figures) is { Count: > 0 } leads)
        {
            yield return TogetherSteps.Lead(card.Figures, leads);
        }

        if (left.Count > 0)
        {
            yield return new Step("rub-out", Words.Of($"Rub out any pencil marks you can still see."), [], "soft eraser", null, null, [], "shown", null, new Work(Act.RubOut, cards), [])
            {
                Phase = Phase.Finish, Title = "rub out the marks", Gone = left, LookFor = Words.Of($"Held to the light, no pencil shows."),
            };
        }

        if (!card.Construction.GoesRound)
        {
            yield return new Step("break-in", Words.Of($"Open and close {all} a few times before you give it away."), [], "by hand", null, null, [], "shown", null, new Work(Act.BreakIn, cards), [])
            {
                Phase = Phase.Finish, Title = "break it in", Flexes = true, Why = Words.Of($"The folds loosen, and you find what catches now and not in the post."), LookFor = Words.Of($"Closed it is {card.Design.SizeAsRead(card.Closed.Width, card.Closed.Height)}, and nothing springs open."),
            };
            yield return new Step("put-away", card.Envelope is { } e
                ? Words.Of($"Try {all} in its envelope, {e.Name}, {e.Width} × {e.Height:u}.") : Words.Of($"Try {all} in its envelope: {card.Packing.Said}."), [], "by hand", null, null, [], "closed", null, new Work(Act.PutAway, cards), [])
            {
                Phase = Phase.Finish, Title = "into its envelope", Why = Words.Of($"Closed it is {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)} and {card.Thickness.Greatest.Millimetres:0.0} mm thick at most."), LookFor = Words.Of($"It slides in and out without a push."),
            };
        }
    }
}
