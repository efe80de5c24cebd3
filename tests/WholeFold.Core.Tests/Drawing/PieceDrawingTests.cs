using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Drawing;

/// <summary>A piece as shapes in true size: what is drawn is what is cut, scored and glued, and nothing lies off the card.</summary>
public class PieceDrawingTests
{
    public static TheoryData<string, string> Ways => new() { { "imperial-eighths", "5x7" }, { "metric-5mm", "a6-iso" }, { "machine", "6x6" } };

    private static IEnumerable<(PieceDrawing Drawing, Card Card, string Name)> All(string tools, string format) =>
        from variant in Support.Variants()
        let spec = new DesignSpec { Construction = variant.Family.Id, Format = format, Tools = tools, Set = Support.Written(variant.Choices) }
        let card = Support.Try(spec)
        where card is not null
        from piece in card.Pieces
        select (PieceDrawing.Of(card, piece), card, $"{spec.Named()}: {piece.Piece.Id}");

    [Theory]
    [MemberData(nameof(Ways))]
    public void Nothing_lies_off_the_piece_and_nothing_is_a_point(string tools, string format)
    {
        foreach (var (drawing, _, name) in All(tools, format))
        {
            var points = drawing.Plates.SelectMany(p => p.Outline)
                .Concat(drawing.Scores.SelectMany(s => s.Parts).SelectMany(p => new[] { p.From, p.To }))
                .Concat(drawing.Cuts.SelectMany(c => c.Line)).Concat(drawing.Glue.SelectMany(g => g.Outline)).Concat(drawing.Layers.SelectMany(l => l.Outline));
            Assert.All(points, p => Assert.True(p.X >= Length.Zero && p.X <= drawing.Width && p.Y >= Length.Zero && p.Y <= drawing.Height, $"{name}: {p}"));
            Assert.All(drawing.Scores.SelectMany(s => s.Parts), p => Assert.NotEqual(p.From, p.To));
            Assert.All(drawing.Cuts, c => Assert.True(c.Line.Count >= 2 && (!c.Closed || c.Line.Count >= 3), $"{name}: {c.Cut.Opening.Id}"));
        }
    }

    [Theory]
    [MemberData(nameof(Ways))]
    public void Plates_cover_the_sheet_once_and_each_name_stands_in_the_box_of_its_plate(string tools, string format)
    {
        foreach (var (drawing, _, name) in All(tools, format))
        {
            Assert.All(drawing.Plates, p => Assert.True(p.NameIn.Width > Length.Zero && p.NameIn.Height > Length.Zero, $"{name}: {p.Id}"));
            foreach (var plate in drawing.Plates)
            {
                var box = Box.Round(plate.Outline);
                Assert.True(plate.NameIn.Left >= box.Left && plate.NameIn.Right <= box.Right && plate.NameIn.Bottom >= box.Bottom && plate.NameIn.Top <= box.Top, $"{name}: {plate.Id}");
            }

            if (drawing.Piece.Piece.OwnPlates is null)
            {
                Assert.Equal(drawing.Width.Units * drawing.Height.Units, drawing.Plates.Sum(p => Area(p.Outline)));
            }
        }
    }

    [Theory]
    [MemberData(nameof(Ways))]
    public void Each_layer_lies_within_its_plate_and_is_as_large_as_it_is_cut(string tools, string format)
    {
        var layers = 0;
        foreach (var (drawing, _, name) in All(tools, format))
        {
            foreach (var layer in drawing.Layers)
            {
                layers++;
                var (box, plate) = (Box.Round(layer.Outline), Box.Round(drawing.Plates.Single(p => p.Id == layer.Plate).Outline));
                Assert.True(box.Left >= plate.Left && box.Right <= plate.Right && box.Bottom >= plate.Bottom && box.Top <= plate.Top, $"{name}: {layer.Layer.Role.Id} on {layer.Plate}");
                Assert.Equal((layer.Layer.Width.Value, layer.Layer.Height.Value), (box.Width, box.Height));
            }
        }

        Assert.True(layers > 100, $"only {layers} layers");
    }

    [Theory]
    [MemberData(nameof(Ways))]
    public void Along_the_rule_it_is_the_same_piece_and_every_upright_score_stands_at_its_figure(string tools, string format)
    {
        foreach (var (drawing, _, name) in All(tools, format))
        {
            var along = drawing.AlongTheRule;
            Assert.Same(along, along.AlongTheRule);
            Assert.Equal(drawing.Piece.Along.Value, along.Width);
            Assert.Equal(drawing.Plates.Sum(p => Area(p.Outline)), along.Plates.Sum(p => Area(p.Outline)));
            Assert.All(
                along.Scores.Where(s => s.Runs == ScoreRun.Upright).SelectMany(s => s.Parts.Select(p => (s.Score.Figure.Value, p))),
                s => Assert.True(s.p.From.X == s.Value && s.p.To.X == s.Value, $"{name}: {s.p} is not at {s.Value}"));
        }
    }

    [Fact]
    public void What_lies_loose_is_not_glued_and_every_bond_is_drawn_on_both_its_pieces()
    {
        foreach (var (drawing, card, name) in All("imperial-eighths", "5x7"))
        {
            var glued = card.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => new[] { b.A, b.B }).Count(s => s.Piece.Piece == drawing.Piece.Piece.Id);
            Assert.True(glued == 0 == (drawing.Glue.Count == 0), $"{name}: {glued} bonds and {drawing.Glue.Count} drawn");
        }
    }

    /// <summary>By the shoelace formula, whichever way round the corners go.</summary>
    private static long Area(IReadOnlyList<Point> corners) =>
        Math.Abs(corners.Zip(corners.Skip(1).Append(corners[0]), (a, b) => (a.X.Units * b.Y.Units) - (b.X.Units * a.Y.Units)).Sum()) / 2;
}
