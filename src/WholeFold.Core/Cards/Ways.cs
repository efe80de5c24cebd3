using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>A way out of what was found: edits that were tried, and what the card comes to with them.</summary>
/// <param name="Costs">What it takes: from which sheets, how its scores are set, into which envelope.</param>
public sealed record Way(IReadOnlyList<DesignEdit> Edits, Words Text, Words Costs);

/// <param name="Tried">How many sets of edits were tried.</param>
/// <param name="Kinds">Of what kinds they were, as it is said where nothing came of them.</param>
/// <param name="Pairs">Whether two were tried together.</param>
/// <param name="Stopped">Whether there would have been more to try.</param>
public sealed record WaysOut(IReadOnlyList<Way> Ways, int Tried, IReadOnlyList<string> Kinds, bool Pairs, bool Stopped)
{
    /// <summary>What is said where nothing came of it.</summary>
    public string NoneWords => Kinds.Count == 0 ? "There is nothing here that could be changed."
        : $"{(Stopped ? "Stopped after trying" : "None of these mends it:")} {string.Join(", ", Kinds)}{(Pairs ? ", alone and two together" : "")}.";
}

/// <summary>
/// What mends a finding, or a card that cannot be made at all: looked for as edits of the design, each tried by making the card with it.
/// It is a way out only where the finding is gone and nothing as grave has come in its place.
/// </summary>
/// <remarks>The fewest edits; of those what nobody sees; then the least share of a comfort band; then the least paper.</remarks>
public static class Ways
{
    /// <summary>How many pieces are sized and checked at the most, three more for each card: two seconds of the slowest of them.</summary>
    private const int MostTried = 600;

    private const int MostOffered = 6;

    /// <summary>What an edit changes: nothing that is seen; how the card looks; which card it is.</summary>
    private enum Sight
    {
        Unseen,
        Seen,
        Other,
    }

    /// <param name="Nearer">The same done less, the least first.</param>
    private sealed record Candidate(DesignEdit Edit, Sight Sight, string Kind, IReadOnlyList<DesignEdit>? Nearer = null);

    /// <param name="check">The id of the finding that is to go; null for every error.</param>
    public static WaysOut Of(DesignSpec spec, DesignReader reader, string? check = null, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(reader);
        var before = Made(spec, reader, cancel);
        var candidates = Candidates(spec, reader, before, cancel).ToList();
        var (tried, paired, found) = (0, false, new List<(Way Way, (Sight, double, long) Rank)>());
        var half = new List<Candidate>();
        var most = MostTried / (3 + (before?.Pieces.Count ?? 1));
        bool Enough() => tried >= most;
        foreach (var candidate in candidates.TakeWhile(_ => !Enough()))
        {
            if (Try([candidate]) && candidate.Nearer is { Count: > 0 } nearer)
            {
                // What mends it further off mends it, as a rule, from some value on: the nearest of those is looked for by halving.
                var (off, on) = (-1, nearer.Count);
                while (on - off > 1 && !Enough())
                {
                    var middle = (off + on) / 2;
                    (off, on) = Try([candidate with { Edit = nearer[middle] }]) ? (off, middle) : (middle, on);
                }
            }
        }

        // Two together only where one alone does not do: first of all those with which there is a card.
        foreach (var (one, other) in found.Count > 0 ? [] : Pairs(half.Concat(candidates.Except(half)).ToList()))
        {
            if (Enough())
            {
                break;
            }

            if (Goes(one, other))
            {
                paired = true;
                Try([one, other]);
            }
        }

        // Where nothing holds together, more than two may have to be given up at once.
        if (before is null && found.Count == 0)
        {
            foreach (var remedy in Remedies.Of(spec, reader, cancel))
            {
                if (Made(DesignEdit.Apply(remedy.Edits, spec, reader), reader, cancel) is { } card)
                {
                    found.Add((new Way(remedy.Edits, remedy.Text, Costs(card, before)), (Sight.Other, Strain(card, before), 0)));
                }
            }
        }

        // Of the same thing done more or less only the least is offered.
        var ways = found.OrderBy(f => f.Rank).Select(f => f.Way).DistinctBy(w => string.Join('+', w.Edits.Select(KeyOf))).Take(MostOffered);
        return new WaysOut([.. ways], tried, [.. candidates.Select(c => c.Kind).Distinct()], paired, found.Count == 0 && Enough());

        bool Try(IReadOnlyList<Candidate> set)
        {
            cancel.ThrowIfCancellationRequested();
            tried++;
            DesignSpec next;
            try
            {
                next = DesignEdit.Apply(set.Select(c => c.Edit), spec, reader);
            }
            catch (InputProblemException)
            {
                return false;
            }

            if (Made(next, reader, cancel) is not { } card)
            {
                return false;
            }

            var mends = Mends(card, before, check);
            if (mends)
            {
                var paper = card.Pieces.Sum(p => p.Width.Value.Units * p.Height.Value.Units / (Length.PerInch * (long)Length.PerInch));
                found.Add((new Way([.. set.Select(c => c.Edit)],
                    Remedies.Describe([.. set.Select(c => c.Edit)], spec, reader, card.Figures), Costs(card, before)),
                    (set.Max(c => c.Sight), (100 * Brings(card, before).Count()) + Strain(card, before), paper)));
            }
            else if (set.Count == 1)
            {
                half.Add(set[0]);
            }

            return mends;
        }
    }

    /// <summary>What an edit is about, whatever it changes it to.</summary>
    private static string KeyOf(DesignEdit edit) => edit switch
    {
        SetFigure set => $"set {set.Parameter}",
        FreeFigure free => $"free {free.Parameter}",
        UseSheets => "sheets",
        Choose choose => $"{choose.Choice} {choose.Option}",
        Take take => $"{take.What} {take.Value}",
        _ => edit.GetType().Name,
    };

    private static Card? Made(DesignSpec spec, DesignReader reader, CancellationToken cancel)
    {
        try
        {
            var (design, target, _) = reader.Read(spec);
            return Attempt.Of(design, target, cancel).Card;
        }
        catch (InputProblemException)
        {
            return null;
        }
    }

    /// <summary>The finding is gone, and nothing as grave is there that was not.</summary>
    private static bool Mends(Card card, Card? before, string? check)
    {
        var there = before?.Checks.Select(c => (c.Id, c.Severity)).ToHashSet() ?? [];
        var isCaution = before?.Checks.Where(c => c.Id == check).All(c => c.Severity != Severity.Error) == true && check is not null;
        return card.Checks.All(c => c.Id != check && c.Severity switch
        {
            Severity.Error => check is not null && there.Contains((c.Id, c.Severity)),
            Severity.Caution => !isCaution || there.Contains((c.Id, c.Severity)),
            _ => true,
        });
    }

    /// <summary>What is found with it that was not there: less grave, and told beside it.</summary>
    private static IEnumerable<Check> Brings(Card card, Card? before) =>
        card.Checks.Where(c => c.Severity == Severity.Caution && before?.Checks.Any(b => b.Id == c.Id) != true).DistinctBy(c => c.Id);

    /// <summary>How far its figures are from their ideals, as a share of what is comfortable.</summary>
    private static double Strain(Card card, Card? before)
    {
        // What is set here has no ideal of its own any more; it is as far off as from the one that it had.
        Length Ideal(SizedParameter p) => p.Hold == Hold.Set && before?.Figures.Parameters.FirstOrDefault(b =>
            b.Parameter.Id == p.Parameter.Id) is { } was ? was.Ideal : p.Ideal;
        return card.Figures.Parameters.Select(p => (p.Value, Ideal: Ideal(p))).Where(p => p.Ideal != Length.Zero)
            .Sum(p => Math.Abs((p.Value - p.Ideal).Units) / (0.15 * Math.Max(1, p.Ideal.Units)));
    }

    private static IEnumerable<Candidate> Candidates(DesignSpec spec, DesignReader reader, Card? before, CancellationToken cancel)
    {
        ReadDesign read;
        try
        {
            read = reader.Read(spec);
        }
        catch (InputProblemException)
        {
            yield break;
        }

        var (design, target) = (read.Design, read.Target);
        if (design.ToolsFor(target).RulerMarks.Count == 0)
        {
            yield return new Candidate(new Prefer("with-ruler"), Sight.Unseen, "scores by ruler");
        }

        // What is sold and not there yet, the smallest first; where nobody said what is there, all the usual ones count already.
        foreach (var sheet in design.Inventory.Sheets.Where(s => design.Sheets.Count > 0 ? design.Sheets.All(own => own.Id != s.Id)
            : !s.Usual).OrderBy(s => s.Width.Units * s.Height.Units))
        {
            yield return new Candidate(new UseSheets([.. (design.Sheets.Count > 0 ? design.Sheets
                : design.Inventory.Sheets.Where(s => s.Usual)).Select(s => s.Id), sheet.Id]),
                Sight.Unseen, "another sheet");
        }

        if (!design.Prefer.WholeSheet && design.Construction.Parameters.Any(p => p.Absorbs is not null))
        {
            yield return new Candidate(new Prefer("whole-sheet"), Sight.Unseen, "the panel that can take the rest");
        }

        foreach (var priority in new[] { ("format", Priority.Format), ("board", Priority.Board),
            ("proportions", Priority.Proportions) }.Where(p => p.Item2 != design.Priority))
        {
            yield return new Candidate(new Take("priority", priority.Item1), Sight.Seen, "keeping something else");
        }

        if (target.Format.Width != target.Format.Height)
        {
            yield return new Candidate(new ConvertTo(spec.Target ?? spec.Format, !target.Turn), Sight.Seen, "turning it");
        }

        foreach (var parameter in design.Construction.Parameters)
        {
            if (design.Locks.ContainsKey(parameter.Id))
            {
                yield return new Candidate(new FreeFigure(parameter.Id), Sight.Seen, "letting a lock go");
                continue;
            }

            if (design.SetFor(target).ContainsKey(parameter.Id))
            {
                yield return new Candidate(new FreeFigure(parameter.Id), Sight.Seen, "letting a figure go");
            }

            if (before is not null && Sizer.RangeOf(design, target, parameter.Id, before.Figures.Relaxation,
                cancel) is { Stops.Count: > 1 } range)
            {
                var now = before.Figures.Parameters.First(p => p.Parameter.Id == parameter.Id).Value;
                foreach (var side in new[] { range.Stops.Where(s => s < now).Reverse().ToList(), [.. range.Stops.Where(s => s > now)] })
                {
                    // To the end of what can be set, and half of the way, in case the end is too much of it.
                    foreach (var far in new[] { side.Count - 1, side.Count / 2 }.Where(i => i >= 0 && i < side.Count).Distinct())
                    {
                        yield return new Candidate(Set(side[far]), Sight.Seen, "every figure that can be set otherwise", [.. side.Take(far).Select(Set)]);
                    }
                }

                DesignEdit Set(Length value) => new SetFigure(parameter.Id, LengthWriter.Exact(value));
            }
        }

        foreach (var choice in design.Family.Choices)
        {
            foreach (var option in choice.Options.Where(o => o != design.Construction.Choices[choice.Id]))
            {
                yield return new Candidate(new Choose(choice.Id, option), Sight.Other, "every other choice");
            }
        }
    }

    private static IEnumerable<(Candidate, Candidate)> Pairs(IReadOnlyList<Candidate> from)
    {
        // By how early both stand, so that what is likeliest is tried together first.
        for (var sum = 1; sum < (2 * from.Count) - 2; sum++)
        {
            for (var i = Math.Max(0, sum - from.Count + 1); i < (sum + 1) / 2; i++)
            {
                yield return (from[i], from[sum - i]);
            }
        }
    }

    /// <summary>Two that are not the same thing made otherwise twice.</summary>
    private static bool Goes(Candidate one, Candidate other) => (one.Edit, other.Edit) switch
    {
        (SetFigure a, SetFigure b) => a.Parameter != b.Parameter,
        (SetFigure a, FreeFigure b) => a.Parameter != b.Parameter,
        (FreeFigure a, SetFigure b) => a.Parameter != b.Parameter,
        (Choose a, Choose b) => a.Choice != b.Choice,
        (UseSheets, UseSheets) or (Take, Take) or (ConvertTo, ConvertTo) => false,
        _ => true,
    };

    private static Words Costs(Card card, Card? before)
    {
        var system = card.Target.Format.System;
        var sheets = card.Pieces.Where(p => p.Piece.Id != card.Figures.Blank?.Piece)
            .Select(p => card.Design.SheetFor(p.Width.Value, p.Height.Value, system)?.Name ?? "two joined sheets").Distinct();
        var off = card.Figures.Cost.OffGroove;
        var costs = Words.Of($"from {string.Join(" and ", sheets)}{(off == 0 ? "" : off == 1 ? ", one score by ruler" : $", {off} scores by ruler")}; {card.Packing.Said}");
        return Brings(card, before).Aggregate(costs, (all, caution) => all.Add($". Then: {caution.Text}"));
    }
}
