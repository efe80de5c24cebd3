using System.Globalization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.App.Features.Bench;

/// <summary>Where everything lies in the drawings of the pieces and of the closed card.</summary>
public sealed partial class BenchBuilder
{
    /// <summary>A piece as it lies on the board: its chain along the rule, whichever way the finished card stands.</summary>
    private PieceView PieceOf(SizedDesign sized, SizedPiece piece)
    {
        var alongX = piece.Piece.Axis == Axis.X;
        Spot At(Point point) => alongX ? new Spot(point.X.Units, point.Y.Units) : new Spot(point.Y.Units, point.X.Units);
        (long X, long Y, long Width, long Height) Lay(Box box) => alongX
            ? (box.Left.Units, box.Bottom.Units, box.Width.Units, box.Height.Units)
            : (box.Bottom.Units, box.Left.Units, box.Height.Units, box.Width.Units);
        return new PieceView(
            piece.Piece.Id,
            piece.Piece.Quantity > 1 ? $"{piece.Piece.Name} × {piece.Piece.Quantity}" : piece.Piece.Name,
            alongX ? "x" : "y",
            Figure(piece.Along.Value),
            Figure(piece.Across.Value),
            [.. piece.Plates.Select(plate =>
            {
                var layers = sized.Layers.Where(l => l.Role.Piece == piece.Piece.Id && l.Panels.Contains(plate.Id)).Select(l =>
                {
                    var (lx, ly, lw, lh) = Lay(l.BoxOn(plate.Id));
                    return new LayerView(l.Id, $"{Text(l.Width.Value)} × {Text(l.Height.Value)}", lx, ly, lw, lh);
                }).ToList();

                // Its name stands where a layer lies, or in the middle of it.
                var (x, y, width, height) = layers.Count > 0 && piece.Piece.OwnPlates is not null ? (layers[0].X, layers[0].Y, layers[0].Width, layers[0].Height) : Lay(NameBox(plate));
                return new PanelView(plate.Id, plate.Name, x, y, width, height, layers);
            })],
            [.. piece.AllScores.Select(s => new ScoreView(
                s.Figure.Id,
                Figure(s.Figure.Value),
                s.Axis is null ? "slanting" : s.Axis == piece.Piece.Axis ? "upright" : "level",
                s.Crease.Fold == Fold.Valley ? "valley" : "mountain",
                s.Crease.Working ? "working" : "set",
                SizedJson.Name(s.Figure.Setting.How),
                SizedJson.Name(s.Figure.Setting.Lay),
                Text(s.Figure.Setting.At),
                s.Figure.Setting.In(_unit),
                s.Between,
                [.. s.Parts.Select(p => new LineView(At(p.From), At(p.To)))]))],
            [.. piece.Passes.Select(pass => new PassView(SizedJson.Name(pass.Lay), PassWords(piece, pass), [.. pass.Scores.Select(piece.Score).Select(s => new PassScore(s.Figure.Id, s.Axis is null ? s.Figure.Setting.In(_unit) : Text(s.Figure.Setting.At)))]))],
            [.. piece.Openings.Select(o => new OpeningView(o.Opening.Id, o.Opening.Name, SizedJson.Name(o.Opening.Kind), [.. OutlineOf(o).Select(At)], o.Opening.Kind is CutKind.Window or CutKind.Notch, OpeningText(o)))],
            [.. GlueOf(sized, piece).Select(g => new GlueView(g.Id, [.. g.Corners.Select(At)], g.LinedUp))]);
    }

    /// <summary>"as it lies", "turn it round"; where scores run across the chain or slant, that first.</summary>
    private static string PassWords(SizedPiece piece, SizedPass pass) =>
        pass.Axis is null ? "from tick to tick" : pass.Axis == piece.Piece.Axis ? LayWords(pass.Lay) : pass.Lay == Core.Tooling.Lay.AsItLies ? "laid the other way" : $"laid the other way, {LayWords(pass.Lay)}";

    /// <summary>Round the middle of a plate that is no rectangle there is room for its name where it is widest.</summary>
    private static Box NameBox(SizedPlate plate)
    {
        var box = plate.Box;
        if (plate.Corners.Count == 4 && plate.Corners.All(c => (c.X == box.Left || c.X == box.Right) && (c.Y == box.Bottom || c.Y == box.Top)))
        {
            return box;
        }

        var (x, y) = (plate.Corners.Sum(c => c.X.Units) / plate.Corners.Count, plate.Corners.Sum(c => c.Y.Units) / plate.Corners.Count);
        var (wide, high) = (box.Width.Units / 4, box.Height.Units / 4);
        return new Box(new Length(x - wide), new Length(y - high), new Length(x + wide), new Length(y + high));
    }

    private string OpeningText(SizedOpening opening) => opening.Opening.IsLine
        ? $"{Text(Length.Max(opening.Box.Width, opening.Box.Height))} long"
        : $"{Text(opening.Box.Width)} × {Text(opening.Box.Height)}";

    /// <summary>What is cut, from corner to corner: a line, three sides round from where it stays on, or all round.</summary>
    private static IReadOnlyList<Point> OutlineOf(SizedOpening opening)
    {
        var box = opening.Box;
        Point foot = new(box.Left, box.Bottom), right = new(box.Right, box.Bottom), head = new(box.Right, box.Top), left = new(box.Left, box.Top);
        return opening.Opening switch
        {
            { IsLine: true } => [foot, head],
            { Open: "left" } => [foot, right, head, left],
            { Open: "right" } => [right, foot, left, head],
            { Open: "foot" } => [foot, left, head, right],
            { Open: "head" } => [left, foot, right, head],
            _ => opening.Corners,
        };
    }

    private static IEnumerable<(string Id, IEnumerable<Point> Corners, string LinedUp)> GlueOf(SizedDesign sized, SizedPiece piece)
    {
        foreach (var bond in sized.Construction.Bonds.Where(b => !b.Loose))
        {
            foreach (var (on, region, side) in new[] { (bond.PieceA, bond.A, "a"), (bond.PieceB, bond.B, "b") })
            {
                // Pieces cut alike are drawn once, with what is glued on the first of them.
                if (on == piece.Piece.Copies.First())
                {
                    yield return ($"{bond.Id}-{side}", region.Corners.Select(c => new Point(sized.ValueOf(c.X), sized.ValueOf(c.Y))), bond.LinedUp);
                }
            }
        }
    }

    private static string Millimetres(Length length) => $"{Math.Round(length.Millimetres, 1).ToString("0.0", CultureInfo.InvariantCulture)} mm";

    private ClosedView ClosedOf(SizedDesign sized)
    {
        // The envelope is shown round the card as the card goes into it.
        var envelope = sized.Envelope;
        if (envelope is not null && (envelope.Width < sized.ClosedWidth || envelope.Height < sized.ClosedHeight))
        {
            envelope = envelope with { Width = envelope.Height, Height = envelope.Width };
        }

        return new ClosedView(
            Figure(sized.ClosedWidth), Figure(sized.ClosedHeight),
            Drawn(sized.Closed),
            $"{Text(sized.ClosedWidth)} × {Text(sized.ClosedHeight)}", Millimetres(sized.ClosedThickness), WeightText(sized),
            envelope?.Name, envelope?.Width.Units, envelope?.Height.Units,
            sized.Construction.GoesRound ? "goes round the card" : envelope is null ? "envelope to make" : $"{envelope.Name} envelope, {Text(envelope.Width)} × {Text(envelope.Height)}");
    }

    private static string WeightText(SizedDesign sized) => $"{Math.Round(Weight.Grams(sized)).ToString(CultureInfo.InvariantCulture)} g";

    private static List<ClosedPanel> Drawn(ClosedPose pose) =>
        [.. pose.Panels.Select(p => new ClosedPanel($"{p.Piece}.{p.Panel}", [.. p.Corners.Select(c => new Spot((c.X - pose.Footprint.Left).Units, (c.Y - pose.Footprint.Bottom).Units))]))];

    private static ThicknessView MapOf(SizedDesign sized)
    {
        var (map, foot) = (sized.Thickness, sized.Closed.Footprint);
        var greatest = (double)map.GreatestFlat.Units;
        Spot At(double x, double y) => new((long)Math.Round(x) - foot.Left.Units, (long)Math.Round(y) - foot.Bottom.Units);
        return new ThicknessView(
            Millimetres(map.Greatest), Millimetres(map.Mean), At(map.ThickestAt.X.Units, map.ThickestAt.Y.Units),
            [.. map.Spreads.Select(s => new ThickView([At(s.Left, s.LowLeft), At(s.Right, s.LowRight), At(s.Right, s.HighRight), At(s.Left, s.HighLeft)], Math.Round(s.Thick.Units / greatest, 2)))]);
    }
}
