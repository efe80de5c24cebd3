using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>A plate with where its name may stand.</summary>
/// <param name="NameIn">Where there is room for its name.</param>
public sealed record DrawnPlate(string Id, string Name, IReadOnlyList<Point> Outline, Box NameIn);

/// <summary>A score on the stretches on which it is scored.</summary>
/// <param name="Parts">From point to point.</param>
public sealed record DrawnScore(SizedScore Score, ScoreRun Runs, IReadOnlyList<(Point From, Point To)> Parts);

/// <summary>How a score lies to the chain of its piece.</summary>
public enum ScoreRun
{
    /// <summary>Across the chain: the rule under the piece reads it.</summary>
    Upright,

    /// <summary>Along the chain.</summary>
    Level,

    /// <summary>From tick to tick.</summary>
    Slanting,
}

/// <summary>What is cut inside a sheet, from corner to corner.</summary>
/// <param name="Closed">Whether it goes all round, so that something drops out.</param>
public sealed record DrawnCut(SizedOpening Cut, IReadOnlyList<Point> Line, bool Closed);

/// <summary>Where something is glued on.</summary>
public sealed record DrawnGlue(string Id, IReadOnlyList<Point> Outline, string LinedUp);

/// <summary>A layer where it lies.</summary>
public sealed record DrawnLayer(SizedLayer Layer, string Plate, IReadOnlyList<Point> Outline);

/// <summary>
/// A piece as shapes in true size, its left lower corner at nothing: what is drawn on the bench, and what is written to files.
/// Whoever draws it places and styles it, and works out nothing.
/// </summary>
/// <param name="Turned">Whether its chain, which ran upwards, has been laid along the rule.</param>
public sealed record PieceDrawing(
    SizedPiece Piece,
    Length Width,
    Length Height,
    IReadOnlyList<DrawnPlate> Plates,
    IReadOnlyList<DrawnScore> Scores,
    IReadOnlyList<DrawnCut> Cuts,
    IReadOnlyList<DrawnGlue> Glue,
    IReadOnlyList<DrawnLayer> Layers,
    bool Turned)
{
    /// <summary>The piece as it is cut.</summary>
    public static PieceDrawing Of(Card card, SizedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(piece);
        var layers = card.Layers.Where(l => l.Piece == piece.Piece.Id).SelectMany(l => l.On.Select(o => new DrawnLayer(l, o.On.Plate, o.Outline))).ToList();
        return new PieceDrawing(
            piece,
            piece.Width.Value,
            piece.Height.Value,
            [.. piece.Plates.Select(p => new DrawnPlate(p.Id, p.Name, p.Corners, NameBox(piece, p, layers)))],
            [.. piece.AllScores.Select(s => new DrawnScore(s, s.Axis is null ? ScoreRun.Slanting : s.Axis == piece.Piece.Axis ? ScoreRun.Upright : ScoreRun.Level, [.. s.Parts]))],
            [.. piece.Openings.Select(o => new DrawnCut(o, LineOf(o), o.IsHole || o.Opening.Kind == CutKind.Notch))],
            [.. GlueOn(card.Figures, piece)],
            layers,
            false);
    }

    /// <summary>The same as it lies on the board: its chain along the rule, whichever way the finished card stands.</summary>
    public PieceDrawing AlongTheRule => Piece.Piece.Axis == Axis.X || Turned ? this : this with
    {
        Width = Height,
        Height = Width,
        Plates = [.. Plates.Select(p => p with { Outline = Turn(p.Outline), NameIn = Box.Round(Turn(p.NameIn.Corners)) })],
        Scores = [.. Scores.Select(s => s with { Parts = [.. s.Parts.Select(p => (Turn(p.From), Turn(p.To)))] })],
        Cuts = [.. Cuts.Select(c => c with { Line = Turn(c.Line) })],
        Glue = [.. Glue.Select(g => g with { Outline = Turn(g.Outline) })],
        Layers = [.. Layers.Select(l => l with { Outline = Turn(l.Outline) })],
        Turned = true,
    };

    private static Point Turn(Point point) => new(point.Y, point.X);

    private static IReadOnlyList<Point> Turn(IReadOnlyList<Point> points) => [.. points.Select(Turn)];

    /// <summary>A name stands where a layer lies, or in the middle of its plate; on one that is no rectangle, where it is widest.</summary>
    private static Box NameBox(SizedPiece piece, SizedPlate plate, List<DrawnLayer> layers)
    {
        if (piece.Piece.OwnPlates is not null && layers.FirstOrDefault(l => l.Plate == plate.Id) is { } layer)
        {
            return Box.Round(layer.Outline);
        }

        var box = plate.Box;
        if (plate.Corners.Count == 4 && plate.Corners.All(c => (c.X == box.Left || c.X == box.Right) && (c.Y == box.Bottom || c.Y == box.Top)))
        {
            return box;
        }

        var (x, y) = (plate.Corners.Sum(c => c.X.Units) / plate.Corners.Count, plate.Corners.Sum(c => c.Y.Units) / plate.Corners.Count);
        var (wide, high) = (box.Width.Units / 4, box.Height.Units / 4);
        return new Box(new Length(x - wide), new Length(y - high), new Length(x + wide), new Length(y + high));
    }

    /// <summary>What is cut: a line, three sides round from where it stays on, or all round.</summary>
    private static IReadOnlyList<Point> LineOf(SizedOpening opening)
    {
        var box = opening.Box;
        Point foot = new(box.Left, box.Bottom), right = new(box.Right, box.Bottom), head = new(box.Right, box.Top), left = new(box.Left, box.Top);
        return opening.IsLine ? [foot, head] : opening.Opening switch
        {
            { StaysOn: Edge.Left } => [foot, right, head, left],
            { StaysOn: Edge.Right } => [right, foot, left, head],
            { StaysOn: Edge.Foot } => [foot, left, head, right],
            { StaysOn: Edge.Head } => [left, foot, right, head],
            _ => opening.Corners,
        };
    }

    /// <summary>Pieces cut alike are drawn once, with what is glued on the first of them.</summary>
    private static IEnumerable<DrawnGlue> GlueOn(Figures figures, SizedPiece piece)
    {
        var first = piece.Piece.Copies[0];
        foreach (var bond in figures.Construction.Bonds.Where(b => !b.IsLoose))
        {
            foreach (var (side, letter) in bond.Sides.Zip("ab").Where(s => s.First.Piece == first))
            {
                yield return new DrawnGlue($"{bond.Id}-{letter}", [.. side.Region.Corners.Select(figures.ValueOf)], bond.LinedUp);
            }
        }
    }
}
