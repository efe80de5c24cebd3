using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Guide;

/// <summary>One step of making a card.</summary>
/// <param name="Say">What to do, as it is said aloud.</param>
/// <param name="Figures">The ids of the figures in it.</param>
/// <param name="Tool">What it is done with.</param>
/// <param name="Lay">How the piece lies on the board; null where that does not matter.</param>
/// <param name="Face">Which face is up; null where that does not matter.</param>
/// <param name="Bonds">The bonds that are made in it.</param>
/// <param name="Pose">How the card lies while it is done: flat, foldedFlat, closed or standing.</param>
/// <param name="Reach">How a hand gets to it: flat, closing, or opening.</param>
/// <param name="Cautions">Where it can hurt: trimmer, knife, scissors.</param>
public sealed record Step(string Id, Words Say, IReadOnlyList<string> Figures, string Tool, string? Lay, string? Face, IReadOnlyList<string> Bonds, string Pose, string? Reach, int Seconds, IReadOnlyList<string> Cautions);

/// <summary>The order of work, from whole sheets to the card in its envelope.</summary>
/// <remarks>Cut all, score all while flat, cut inside, fold, bond in an order in which each bond can be reached, layers, breaking in.</remarks>
public static class Steps
{
    /// <summary>The usual cautions, by the id that a step names them by.</summary>
    public static IReadOnlyDictionary<string, string> Cautions { get; } = new Dictionary<string, string>
    {
        ["trimmer"] = "Fingers behind the trimmer's guard; the blade is down at the end of the cut.",
        ["knife"] = "Cut on a mat against a metal rule, away from the hand that holds it; cap the blade afterwards.",
        ["rollers"] = "Fingers, hair and sleeves away from the rollers while the die goes through.",
        ["scissors"] = "Turn the card, not the scissors, and cut away from the hand.",
    };

    public static IReadOnlyList<Step> Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        var steps = new List<Step>();
        var pieces = card.Pieces.OrderBy(p => p.Piece.Id == card.Figures.Blank?.Piece ? 0 : 1).ThenByDescending(p => Length.Max(p.Width.Value, p.Height.Value)).ToList();
        steps.AddRange(pieces.Select(p => p.Piece.Id == card.Figures.Blank?.Piece ? Begun(p, card.Figures.Blank) : Cut(p)));
        steps.AddRange(pieces.SelectMany(Scores));
        steps.AddRange(pieces.SelectMany(Openings));
        steps.AddRange(DressedSteps.WhileFlat(card));
        steps.AddRange(Together(card));
        steps.AddRange(card.Layers.Select(Layer));
        steps.AddRange(DressedSteps.AtLast(card));
        if (Motion.LeadsOf(card.Figures) is { Count: > 0 } leads)
        {
            steps.Add(Lead(card.Figures, leads));
        }

        if (!card.Construction.GoesRound)
        {
            steps.Add(new Step("break-in", Words.Of($"Break it in: open and shut it several times before it is given."), [], "by hand", null, null, [], "shown", null, 20, []));
            steps.Add(new Step("put-away", card.Envelope is { } e ? Words.Of($"Check it against its envelope, {e.Name}, {e.Width} × {e.Height}.") : Words.Of($"Check it against the envelope that is made for it."), [], "by hand", null, null, [], "closed", null, 10, []));
        }

        return steps;
    }

    private static Step Cut(SizedPiece piece)
    {
        var how = new[] { piece.Width.Setting.How, piece.Height.Setting.How };
        var (tool, cautions) = how.Contains(SetBy.Machine) ? ("machine", Array.Empty<string>()) : how.All(h => h == SetBy.Given) ? ("as it is there", []) : how.Contains(SetBy.Die) ? ("die", ["rollers"]) : how.Contains(SetBy.Knife) ? ("knife and metal rule", ["knife"]) : ("trimmer", new[] { "trimmer" });
        return new Step($"cut-{piece.Piece.Id}", Words.Of($"Cut {Spoken.The(piece.Piece.Name)}{(piece.Piece.Quantity > 1 ? $", {Times(piece.Piece.Quantity)}" : "")}: {piece.Width.Value} × {piece.Height.Value}."), [piece.Width.Id.ToString(), piece.Height.Id.ToString()], tool, null, null, [], "flat", null, 20 * piece.Piece.Quantity, cautions);
    }

    /// <summary>A bought blank is taken as it is; where a part of it is shorter it is trimmed.</summary>
    private static Step Begun(SizedPiece piece, Blank blank)
    {
        var say = Words.Of($"Take the blank for {Spoken.The(piece.Piece.Name)}, {blank.Width} × {blank.Height} closed: its spine is there.");
        var trimmed = piece.Along.Setting.How != SetBy.Given;
        return new Step($"cut-{piece.Piece.Id}", trimmed ? say.Add($" Trim it to {piece.Width.Value} × {piece.Height.Value}.") : say, [piece.Width.Id.ToString(), piece.Height.Id.ToString()], trimmed ? "trimmer" : "as it is there", null, null, [], "flat", null, 20, trimmed ? ["trimmer"] : []);
    }

    private static IEnumerable<Step> Scores(SizedPiece piece)
    {
        foreach (var (pass, i) in piece.Passes.Select((p, i) => (p, i)))
        {
            var scores = pass.Scores.Select(piece.Score).ToList();
            var lies = pass.Lay switch { Lay.TurnedRound => ", turned round", Lay.TurnedOver => ", turned over like a page", Lay.HeadOverHeels => ", turned over head to foot", _ => "" };
            var at = Words.List(scores.Select(s => s.Axis is null ? Words.Of($"{s.Figure.Setting.Text}") : s.Only is { } only ? Words.Of($"{s.Figure.Setting.At} ({only})") : Words.Of($"{s.Figure.Setting.At}")));
            var board = scores.Any(s => s.Figure.Setting.How is SetBy.Direct or SetBy.Turned or SetBy.Mirrored or SetBy.Between);
            yield return new Step(
                $"score-{piece.Piece.Id}-{i + 1}", Words.Of($"Score {Spoken.The(piece.Piece.Name)} {(pass.Axis == Axis.Y ? "up its height " : "")}at {at}{lies}."), [.. scores.Select(s => s.Figure.Id.ToString())],
                scores[0].Figure.Setting.How == SetBy.Machine ? "machine" : board ? "score board" : "ruler and stylus", pass.Lay switch { Lay.AsItLies => "as it lies", Lay.TurnedRound => "turned round", Lay.TurnedOver => "turned over", _ => "turned over head to foot" },
                pass.Lay is Lay.AsItLies or Lay.TurnedRound ? "up" : "down", [], "flat", null, 10 * scores.Count, []);
        }
    }

    private static IEnumerable<Step> Openings(SizedPiece piece)
    {
        foreach (var kind in piece.Openings.GroupBy(o => o.Opening.Kind))
        {
            var lines = piece.CutLines.Where(l => l.Figures.Any(f => f.Id is FigureRef.Line line && kind.Any(o => o.Opening.Id == line.Opening))).ToList();
            var machine = kind.First().Left.Setting.How == SetBy.Machine;
            var box = kind.First().Box;
            var what = kind.Key switch
            {
                CutKind.Notch => Words.Of($"Snip {box.Width} × {box.Height} off {(kind.Count() > 1 ? "each corner" : Spoken.The(kind.First().Opening.Name))} of {Spoken.The(piece.Piece.Name)}{(kind.Count() > 1 ? $", {Times(kind.Count())}" : "")}"),
                CutKind.Divide => Words.Of($"Cut {Spoken.The(piece.Piece.Name)} in two at {lines.FirstOrDefault()?.First.Value ?? Length.Zero}"),
                _ => Words.Of($"Cut the {string.Join(", ", kind.Select(o => o.Opening.Name).Distinct())} of {Spoken.The(piece.Piece.Name)}: {Words.List(lines.Select(l => Words.Of($"{l.Edge} at {l.First.Value}")))}"),
            };
            var blade = machine ? [] : kind.Key == CutKind.Notch ? new[] { "scissors" } : kind.Key == CutKind.Divide ? ["trimmer"] : ["knife"];
            yield return new Step($"open-{piece.Piece.Id}-{kind.Key.ToString().ToLowerInvariant()}", what.Add($"."), [.. lines.SelectMany(l => l.Figures).Select(f => f.Id.ToString())], machine ? "machine" : kind.Key == CutKind.Notch ? "scissors" : kind.Key == CutKind.Divide ? "trimmer" : "knife and metal rule", null, "up", [], "flat", null, 60, blade);
        }
    }

    /// <summary>Folding and bonding: the construction's own steps, its bonds in an order in which a hand reaches each.</summary>
    private static IEnumerable<Step> Together(Card card)
    {
        var figures = card.Figures;
        var order = BondOrder.Of(figures) ?? throw new InvalidOperationException($"{card.Construction.Id} cannot be put together.");
        foreach (var (step, i) in card.Construction.Steps.Select((s, i) => (s, i)))
        {
            if (step.Bonds.Count == 0)
            {
                var places = Places.Of(figures).Where(p => step.Places?.Contains(p.Id) == true).ToList();
                var told = Words.Join("", places.Select(p => Words.Of($" {p.What}: {p.Said}.")).Prepend(Words.Of($"{step.Text}")));
                yield return new Step($"make-{i + 1}", told, [.. places.Select(p => p.Id)], "by hand", null, null, [], "flat", null, 30, []);
                continue;
            }

            var bonds = order.Where(o => step.Bonds.Contains(o.Bond.Id)).ToList();
            var say = Words.Of($"{step.Text}");
            foreach (var place in bonds.Select(b => (b.Laid, Place: Places.Of(figures, b.Bond))).DistinctBy(p => $"{p.Place.What} {p.Place.Said.Write(DisplayUnit.Millimetre)}").Take(MostPlaces))
            {
                say.Add($" {place.Place.What} {(place.Laid is LaidBy.Closed ? "comes to lie" : "goes")} on {place.Place.On}: {place.Place.Said}.");
            }

            foreach (var range in bonds.Where(b => b.Bond.AtLeast).Select(b => Places.FiguresOf(figures, b.Bond)))
            {
                say.Add($" At least {range.Width} × {range.Height} of it holds; at most {range.Most!.Value.Width} × {range.Most.Value.Height} stays clear of every crease.");
            }

            if (bonds.FirstOrDefault(b => b.Laid == LaidBy.Closed) is { } closed && closed.Folded.Count > 0)
            {
                say.Add($" Fold the {Creases(closed.Folded)}{(closed.Left.Count > 0 ? $"; leave the {Creases(closed.Left)} flat" : "")}; put the adhesive on and press it closed: it finds its own place.");
            }

            say.Add($" It is right when {step.RightWhen}.");
            var last = bonds[^1].Laid;
            yield return new Step(
                $"make-{i + 1}", say, [.. bonds.Select(b => $"places.{b.Bond.Id}")], "adhesive", null, bonds[0].Bond.A.On.Face == Face.Up ? "up" : "down", [.. bonds.Select(b => b.Bond.Id)],
                last switch { LaidBy.Flat => "flat", LaidBy.FoldedFlat => "foldedFlat", LaidBy.Closed => "closed", _ => "standing" }, last switch { LaidBy.Closed => "closing", LaidBy.Opening => "opening", _ => "flat" }, 30 * bonds.Count, []);
        }
    }

    /// <summary>What opens first, where all of it at once would send the card through itself.</summary>
    private static Step Lead(Figures figures, IReadOnlyList<CreaseRef> leads)
    {
        var names = leads.Select(l => figures.Pieces.First(p => p.Piece.Id == l.Piece).Score(l.Index).Place).ToList();
        return new Step("lead", Words.Of($"Open the {Creases(names)} first and the others after them; close it the other way about. Moved all at once, its parts would run into each other."), [], "by hand", null, null, [], "shown", null, 20, []);
    }

    private const int MostPlaces = 4;

    private static Step Layer(Dressing.SizedLayer layer) => new(
        $"layer-{layer.Id}", Words.Of($"Put {(layer.Quantity > 1 ? $"{layer.Quantity} layers" : "the layer")} on: {layer.Role.Name}{(layer.Level > 1 ? ", the second on the first" : "")}, {layer.Width.Value} × {layer.Height.Value}."),
        [layer.Width.Id.ToString(), layer.Height.Id.ToString()], "adhesive", null, layer.Face == Face.Up ? "up" : "down", [], "flat", null, 20 * layer.Quantity, []);

    private static string Creases(IReadOnlyList<string> names) => names.Count == 1 ? $"crease {names[0]}" : $"creases {string.Join(", ", names.SkipLast(1))} and {names[^1]}";

    private static string Times(int count) => count switch { 2 => "twice", 3 => "three times", 4 => "four times", _ => $"{count} times" };
}
