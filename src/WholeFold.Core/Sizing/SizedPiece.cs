using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>A score with its figure: of the chain counted from its start, of one across it from the piece's foot or left edge,
/// of a slanting one where it begins.</summary>
/// <param name="Axis">The axis that its figure is counted along; null where it slants.</param>
/// <param name="From">Where its line begins; <paramref name="To"/> where it ends.</param>
/// <param name="Stretches">What of the line is scored, counted along it; empty for all of it.</param>
public sealed record SizedScore(Measured Figure, Crease Crease, string Between, Axis? Axis, Point From, Point To, IReadOnlyList<(Length From, Length To)> Stretches)
{
    /// <summary>What lies on either side of it, one after the other.</summary>
    public IReadOnlyList<string> Sides => Between.Split(" | ");

    /// <summary>Where it is, as it is said: "between back and floor".</summary>
    public string Place => Sides is [var one, var other] ? $"between {one} and {other}" : Between;

    /// <summary>What of its line is scored, in words; null for all of it.</summary>
    public Words? Only => Stretches.Count == 0 ? null : Words.Of($"only {Words.Join(" and ", Stretches.Select(s => Words.Of($"{s.From} to {s.To}")))}");

    /// <summary>The parts that are scored, from point to point.</summary>
    public IEnumerable<(Point From, Point To)> Parts => Stretches.Count == 0
        ? [(From, To)]
        : Stretches.Select(s => Axis == Constructions.Axis.X ? (new Point(From.X, s.From), new Point(From.X, s.To)) : (new Point(s.From, From.Y), new Point(s.To, From.Y)));
}

/// <summary>Lines cut to one figure: corners snipped alike, slits that end at one height.</summary>
/// <param name="Name">What is cut, and which edge of it.</param>
public sealed record EqualCuts(string Name, string Edge, IReadOnlyList<Measured> Figures)
{
    public Measured First => Figures[0];
}

/// <summary>A panel as cut: from, to, along the chain.</summary>
public sealed record SizedPanel(Panel Panel, Length From, Length To)
{
    public Length Extent => To - From;
}

/// <summary>A plate as cut, by its corners.</summary>
public sealed record SizedPlate(string Id, string Name, string? HangsOn, int By, IReadOnlyList<Point> Corners)
{
    /// <summary>The rectangle that it lies in.</summary>
    public Box Box => Box.Round(Corners);
}

/// <summary>A cut inside a sheet, by its four lines.</summary>
/// <param name="Corners">Its outline.</param>
public sealed record SizedOpening(Opening Opening, Measured Left, Measured Right, Measured Foot, Measured Head, IReadOnlyList<Point> Corners)
{
    public IEnumerable<Measured> Edges => [Left, Right, Foot, Head];

    public Box Box => new(Left.Value, Foot.Value, Right.Value, Head.Value);

    /// <summary>A single line, as a dividing cut is, and a slit for what is thin.</summary>
    public bool IsLine => Opening.Outline is null && (Left.Value == Right.Value || Foot.Value == Head.Value);

    /// <summary>Whether a part of the card is missing there.</summary>
    public bool IsHole => Opening.Kind == CutKind.Window || (Opening.Kind == CutKind.Slit && !IsLine);
}

/// <summary>Scores set with the piece lying one way, whichever way they run.</summary>
/// <param name="Axis">The axis that the figures are read along; null for slanting ones.</param>
/// <param name="Scores">By their place among all the scores of the piece.</param>
public sealed record SizedPass(Axis? Axis, Lay Lay, IReadOnlyList<int> Scores);

/// <param name="Scores">The chain's scores.</param>
/// <param name="Lines">The others: across the chain, and slanting.</param>
/// <param name="Plan">How the chain's scores are set, and in which order; <paramref name="AcrossPlan"/> those that run across it.</param>
public sealed record SizedPiece(
    Piece Piece,
    Measured Along,
    Measured Across,
    IReadOnlyList<SizedScore> Scores,
    IReadOnlyList<SizedScore> Lines,
    IReadOnlyList<SizedPanel> Panels,
    IReadOnlyList<SizedPlate> Plates,
    ScorePlan Plan,
    ScorePlan AcrossPlan,
    IReadOnlyList<SizedOpening> Openings)
{
    public Measured Width => Piece.Axis == Axis.X ? Along : Across;

    public Measured Height => Piece.Axis == Axis.X ? Across : Along;

    public IEnumerable<SizedScore> AllScores => Scores.Concat(Lines);

    public SizedScore Score(int index) => index < Scores.Count ? Scores[index] : Lines[index - Scores.Count];

    public SizedPlate Plate(string id) => Plates.First(p => p.Id == id);

    /// <summary>What windows and wide slits take out of one plate; one across a crease takes something out of both.</summary>
    public IEnumerable<IReadOnlyList<Point>> HolesIn(SizedPlate plate)
    {
        ArgumentNullException.ThrowIfNull(plate);
        foreach (var window in Openings.Where(o => o.IsHole).Select(o => o.Box))
        {
            var (left, right) = (Length.Max(window.Left, plate.Box.Left), Length.Min(window.Right, plate.Box.Right));
            var (foot, head) = (Length.Max(window.Bottom, plate.Box.Bottom), Length.Min(window.Top, plate.Box.Top));
            if (left < right && foot < head)
            {
                yield return new Box(left, foot, right, head).Corners;
            }
        }
    }

    /// <summary>The lines of its openings that are cut, each with its name: not the second side of a line that has no width, nor
    /// one that is the piece's own edge, nor where a flap stays on.</summary>
    public IEnumerable<(SizedOpening Opening, Measured Figure, string Name)> MarkedLines
    {
        get
        {
            foreach (var opening in Openings)
            {
                var box = opening.Box;
                foreach (var (figure, edge) in opening.Edges.Zip(opening.Opening.Edges))
                {
                    var needed = edge.Edge switch
                    {
                        Edge.Left => box.Left > Length.Zero,
                        Edge.Right => box.Width > Length.Zero && box.Right < Width.Value,
                        Edge.Foot => box.Bottom > Length.Zero,
                        _ => box.Height > Length.Zero && box.Top < Height.Value,
                    };
                    if (needed && edge.Edge != opening.Opening.StaysOn)
                    {
                        yield return (opening, figure, edge.Name);
                    }
                }
            }
        }
    }

    /// <summary>The same with equal ones together: corners snipped to one size are one cut with a count, and so are lines at one figure.</summary>
    public IEnumerable<EqualCuts> CutLines
    {
        get
        {
            var snipped = MarkedLines.Where(l => l.Opening.Opening.Kind == CutKind.Notch).ToList();
            foreach (var corners in snipped.GroupBy(l => (l.Opening.Box.Width, l.Opening.Box.Height)))
            {
                // Read off the corner at the piece's own foot and left, where the figures are the snip's size.
                var first = corners.OrderBy(l => l.Opening.Box.Left.Units + l.Opening.Box.Bottom.Units).First().Opening;
                foreach (var (opening, figure, name) in corners.Where(c => ReferenceEquals(c.Opening, first)))
                {
                    var alike = corners.Where(c => c.Figure.Id is FigureRef.Line other && figure.Id is FigureRef.Line own
                        && other.Edge is Edge.Left or Edge.Right == own.Edge is Edge.Left or Edge.Right).Select(c => c.Figure);
                    yield return new EqualCuts(corners.Select(c => c.Opening.Opening.Id).Distinct().Skip(1).Any() ? "corner" : opening.Opening.Name, name, [figure, .. alike.Where(f => f.Id != figure.Id)]);
                }
            }

            // Of a line in from an edge one needs where it is, and how far it goes.
            var into = MarkedLines.Where(l => l.Opening.Opening.Kind == CutKind.Snip).ToList();
            foreach (var lines in into.GroupBy(l => (Along: l.Name == (l.Opening.Box.Width == Length.Zero ? "left edge" : "lower edge"), l.Figure.Value)))
            {
                yield return new EqualCuts("snip", lines.Key.Along ? "along the score" : "as far as", [.. lines.Select(l => l.Figure)]);
            }

            foreach (var lines in MarkedLines.Except(snipped).Except(into).GroupBy(l => (l.Name, l.Figure.Value, l.Opening.Opening.Kind)))
            {
                yield return new EqualCuts(string.Join(", ", lines.Select(l => l.Opening.Opening.Name).Distinct()), lines.Key.Name, [.. lines.Select(l => l.Figure)]);
            }
        }
    }

    /// <summary>In which order its scores are set: the chain's, then those across it, then the slanting ones.</summary>
    public IEnumerable<SizedPass> Passes
    {
        get
        {
            var across = Enumerable.Range(0, Lines.Count).Where(i => Lines[i].Axis is not null).Select(i => Scores.Count + i).ToList();
            var slanting = Enumerable.Range(0, Lines.Count).Where(i => Lines[i].Axis is null).Select(i => Scores.Count + i).ToList();
            var other = Piece.Axis == Axis.X ? Axis.Y : Axis.X;
            return Plan.Passes.Select(p => new SizedPass(Piece.Axis, p.Lay, p.Scores))
                .Concat(AcrossPlan.Passes.Select(p => new SizedPass(other, p.Lay, [.. p.Scores.Select(i => across[i])])))
                .Concat(slanting.Count == 0 ? [] : [new SizedPass(null, Lay.AsItLies, slanting)]);
        }
    }

    /// <summary>Its scores in the order of setting; one that is there already comes first.</summary>
    public IEnumerable<SizedScore> InOrder => AllScores.Where(s => s.Figure.Setting.How == SetBy.Given).Concat(Passes.SelectMany(p => p.Scores).Select(Score));

    /// <summary>The piece with one edge or crease somewhere else along the chain: 0 is the first crease, the last is the cut.</summary>
    internal SizedPiece Moved(int edge, Length by)
    {
        var edges = Panels.Select((p, i) => i == edge ? p.To + by : p.To).ToList();
        var was = Panels[edge].To;
        Point Shift(Point p) => Piece.Axis == Axis.X ? p with { X = p.X == was ? p.X + by : p.X } : p with { Y = p.Y == was ? p.Y + by : p.Y };
        return this with
        {
            Along = Along with { Value = edges[^1] },
            Scores = [.. Scores.Select((s, i) => i == edge ? Shifted(s, Shift, edges[i]) : s)],
            Panels = [.. Panels.Select((p, i) => p with { From = i == 0 ? Length.Zero : edges[i - 1], To = edges[i] })],
            Plates = [.. Plates.Select(p => p with { Corners = [.. p.Corners.Select(Shift)] })],
        };
    }

    /// <summary>The piece with one of its further creases beside its place: across the way it runs, or along the foot where it slants.</summary>
    internal SizedPiece LineMoved(int index, Length by)
    {
        var line = Lines[index];
        Point Shift(Point p) => line.Axis == Axis.Y ? p with { Y = p.Y + by } : p with { X = p.X + by };
        var lines = Lines.ToArray();
        lines[index] = Shifted(line, Shift, line.Figure.Value + by);
        return this with { Lines = lines };
    }

    /// <summary>The piece cut wider or higher along its creases.</summary>
    internal SizedPiece AcrossMoved(Length by)
    {
        var was = Across.Value;
        Point Shift(Point p) => Piece.Axis == Axis.X ? p with { Y = p.Y == was ? p.Y + by : p.Y } : p with { X = p.X == was ? p.X + by : p.X };
        return this with
        {
            Across = Across with { Value = was + by },
            Plates = [.. Plates.Select(p => p with { Corners = [.. p.Corners.Select(Shift)] })],
        };
    }

    private static SizedScore Shifted(SizedScore score, Func<Point, Point> shift, Length value) =>
        score with { Figure = score.Figure with { Value = value }, From = shift(score.From), To = shift(score.To) };
}
