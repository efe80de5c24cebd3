using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Guide;

/// <summary>
/// What is done to a flat piece, so that nothing but the sentence is needed to do it: every score and cut with the edge that it is
/// measured from, where it begins and where it ends. The edges are the piece's own as it lies face up with its folds as drawn.
/// </summary>
internal static class FlatWords
{
    private const string FromLeft = "the left edge", FromBottom = "the bottom edge", FromRight = "the right edge", FromTop = "the top edge";

    /// <summary>"2, 3 1/2 and 5 in".</summary>
    public static Words Figures(IEnumerable<Length> all)
    {
        Length[] figures = [.. all];
        return Words.List(figures.Select((f, i) => i == figures.Length - 1 ? Words.Of($"{f:u}") : Words.Of($"{f}")));
    }

    /// <summary>"from 1 to 5 in".</summary>
    public static Words Stretch(Length from, Length to) => Words.Of($"from {from} to {to:u}");

    /// <summary>The piece's own edge that lies at the stop of the board.</summary>
    public static string EdgeOf(SizedPass pass) => (pass.Lay is Lay.TurnedRound or Lay.TurnedOver, pass.Axis) switch
    {
        (true, Axis.X) => FromRight, (true, _) => FromTop, (_, Axis.X) => FromLeft, _ => FromBottom,
    };

    /// <summary>One line of what is cut inside of a piece: the edge that it is set from, and from where to where it runs.</summary>
    public static Words Cut(SizedPiece piece, EqualCuts line)
    {
        var cuts = piece.MarkedLines.Where(m => line.Figures.Any(f => f.Id == m.Figure.Id)).ToList();
        var upright = cuts[0].Figure.Id is FigureRef.Line { Edge: Edge.Left or Edge.Right };
        var runs = cuts.Select(c => c.Opening.Box).Select(b => upright ? (From: b.Bottom, To: b.Top)
            : (From: b.Left, To: b.Right)).Distinct()
            .OrderBy(r => r.From);
        return Words.Of($"{Spoken.First(line.Edge)} of the {line.Name}: set from {(upright ? FromLeft : FromBottom)}; cut {Words.List(runs.Select(r => Stretch(r.From, r.To)))} from {(upright ? FromBottom : FromLeft)}.");
    }

    /// <summary>What is scored with the piece lying one way.</summary>
    /// <param name="what">The piece or pieces, "the base" or "both pockets".</param>
    public static Words Scored(SizedPiece piece, SizedPass pass, string what, bool many)
    {
        var scores = pass.Scores.Select(piece.Score).ToList();
        var turn = pass.Lay switch { Lay.TurnedRound => "end for end", Lay.TurnedOver or Lay.HeadOverHeels => "over", _ => "" };
        var from = EdgeOf(pass);
        var its = many ? "their own" : "its own";
        var said = new List<Words>();
        foreach (var kind in scores.GroupBy(s => (s.Axis is null, Folded: s.Figure.Setting is Setting.FoldedTo)))
        {
            List<SizedScore> alike = [.. kind];
            if (kind.Key.Item1)
            {
                said.Add(Words.Of($"Score {what} with the ruler laid from tick to tick: {Words.List(alike.Select(Diagonal))}. The first figure of a tick is from {FromLeft}, the second from {FromBottom}."));
            }
            else if (kind.Key.Folded)
            {
                foreach (var s in alike)
                {
                    var fold = (Setting.FoldedTo)s.Figure.Setting;
                    said.Add(Words.Of($"Draw a light line on {what}, {fold.At:u} from {(fold.FarEdge ? Other(from) : from)}; fold that edge to the line and crease."));
                }
            }
            else
            {
                // Those that run only part of the way are told with how far.
                foreach (var run in alike.GroupBy(s => string.Join(' ', s.Stretches)))
                {
                    var figures = Figures(run.Select(s => s.Figure.Setting.At));
                    var stretches = run.First().Stretches;
                    var only = stretches.Count == 0 ? Words.Of($"") : Words.Of($", {(run.Count() > 1 ? "each " : "")}only {Words.List(stretches.Select(t => Stretch(t.From, t.To)))} above {(pass.Axis == Axis.X ? FromBottom : FromLeft)}");
                    var score = turn.Length > 0 ? Words.Of($"Turn {what} {turn} and score at {figures} from {its}{from[3..]}")
                        : Words.Of($"Score {what} at {figures} from {from}");
                    said.Add(score.Add($"{only}."));
                }
            }
        }

        return Words.Join(" ", said.Append(Folds(scores, many)));
    }

    private static string Other(string edge) => edge switch { FromLeft => FromRight, FromRight => FromLeft, FromBottom => FromTop, _ =>
        FromBottom };

    private static Words Diagonal(SizedScore score) => score.Figure.Setting is Setting.TickToTick { Ticks: var t }
        ? Words.Of($"{t.FromX} by {t.FromY} to {t.ToX} by {t.ToY:u}") : Words.Of($"{score.From.X} by {score.From.Y} to {score.To.X} by {score.To.Y:u}");

    /// <summary>Which way each folds, said by what is fewer.</summary>
    private static Words Folds(List<SizedScore> scores, bool many)
    {
        var (valleys, mountains) = (scores.Where(s => s.Crease.Fold == Fold.Valley).ToList(),
            scores.Where(s => s.Crease.Fold == Fold.Mountain).ToList());
        if (valleys.Count == 0 || mountains.Count == 0)
        {
            var name = valleys.Count > 0 ? "valley" : "mountain";
            return scores.Count == 1 && !many ? Words.Of($"It folds as a {name}.") : Words.Of($"{(scores.Count == 1 ? "They all fold" : scores.Count == 2 ? "Both fold" : "All fold")} as {name}s.");
        }

        var (few, other) = valleys.Count < mountains.Count || (valleys.Count == mountains.Count && valleys[0] == scores[0])
            ? (valleys, mountains) : (mountains, valleys);
        string Name(List<SizedScore> of) => of == valleys ? "valley" : "mountain";
        Words Which(SizedScore s) => s.Axis is null ? Diagonal(s) : Words.Of($"{s.Figure.Setting.At:u}");
        return Words.Of($"{(few.Count == 1 ? "The one" : "Those")} at {(few.All(s => s.Axis is not null) ? Figures(few.Select(s => s.Figure.Setting.At)) : Words.List(few.Select(Which)))} {(few.Count == 1 ? $"folds as a {Name(few)}" : $"fold as {Name(few)}s")}, {(other.Count == 1 ? $"the other as a {Name(other)}" : $"the others as {Name(other)}s")}.");
    }

    /// <summary>What the panels of a piece are called, in their order; nothing of one that has a single one.</summary>
    public static Words Panels(SizedPiece piece) => piece.Panels.Count < 2 ? Words.Of($"")
        : Words.Of($" Its panels from the {(piece.Piece.Axis == Axis.X ? "left" : "bottom up")}: {Words.List(piece.Panels.Select(p => Words.Of($"{p.Panel.Name}"))).Write(DisplayUnit.Inch)}.");

    /// <summary>The cuts inside of a piece, and at its edges, of one kind.</summary>
    public static Words Opened(SizedPiece piece, IReadOnlyList<SizedOpening> alike, string what)
    {
        var name = Words.List(alike.Select(o => o.Opening.Name).Distinct().Select(n => Words.Of($"{n}"))).Write(DisplayUnit.Inch);
        var kind = alike[0].Opening.Kind;
        return kind switch
        {
            CutKind.Divide => Words.Of($"Cut {what} in two, {Words.List(alike.Select(o => Line(o, ends: false)))}."),
            CutKind.Notch when alike.All(o => o.Opening.Outline is null) => Corners(piece, alike, what),
            CutKind.Notch => Words.Of($"Snip {(alike.Count == 1 ? "a notch" : $"{Saying.Count(alike.Count)} notches")} out of {what}, from tick to tick: {Words.Join("; ", alike.Select(o => Words.List(o.Corners.Select((c, i) => i == o.Corners.Count - 1 ? Words.Of($"{c.X} by {c.Y:u}") : Words.Of($"{c.X} by {c.Y}")))))}. The first figure of a tick is from {FromLeft}, the second from {FromBottom}."),
            CutKind.Snip => Words.Of($"Snip into {what}, {Words.List(alike.Select(o => Line(o, ends: true)))}."),
            CutKind.Flap => Words.Of($"Cut round {Spoken.The(name)} in {what}: {Words.Join("; ", alike.Select(o => Words.Of($"{Across(o)}, {Up(o)}, with the {Side(o.Opening.StaysOn)} side left on")))}."),
            _ when alike.All(o => o.IsLine) => Words.Of($"Cut {(alike.Count == 1 ? "a slit" : $"{Saying.Count(alike.Count)} slits")} in {what}, {Words.List(alike.Select(o => Line(o, ends: true)))}."),
            _ => Words.Of($"Cut the {name} out of {what}: {Words.Join("; ", alike.Select(o => Words.Of($"{Across(o)}, {Up(o)}")))}."),
        };
    }

    private static Words Across(SizedOpening o) => Words.Of($"{Stretch(o.Box.Left, o.Box.Right)} from {FromLeft}");

    private static Words Up(SizedOpening o) => Words.Of($"{Stretch(o.Box.Bottom, o.Box.Top)} from {FromBottom}");

    private static string Side(Edge? edge) => edge switch { Edge.Left => "left", Edge.Right => "right", Edge.Head => "top", _ => "bottom" };

    private static Words Line(SizedOpening o, bool ends)
    {
        var upright = o.Box.Width == Length.Zero;
        var at = upright ? Words.Of($"{o.Box.Left:u} from {FromLeft}") : Words.Of($"{o.Box.Bottom:u} from {FromBottom}");
        return ends ? at.Add($", {(upright ? Up(o) : Across(o))}") : at;
    }

    /// <summary>Corners by size, each named.</summary>
    private static Words Corners(SizedPiece piece, IReadOnlyList<SizedOpening> alike, string what)
    {
        string Name(SizedOpening o) => $"{(o.Box.Bottom == Length.Zero ? "bottom" : "top")} {(o.Box.Left == Length.Zero ? "left" : "right")}";
        var sizes = alike.GroupBy(o => (o.Box.Width, o.Box.Height)).Select(g => Words.Of($"{g.Key.Width} × {g.Key.Height:u} off the {Words.List(g.Select(o => Words.Of($"{Name(o)}"))).Write(DisplayUnit.Inch)} corner{(g.Count() > 1 ? "s" : "")}"));
        return sizes.Skip(1).Any() || alike.Count < 4 ? Words.Of($"Snip these off {what}, width first: {Words.Join("; ", sizes)}.")
            : Words.Of($"Snip {alike[0].Box.Width} × {alike[0].Box.Height:u}, width first, off each corner of {what}.");
    }
}
