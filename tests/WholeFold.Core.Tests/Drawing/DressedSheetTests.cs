using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Drawing;

/// <summary>What the Dress stage draws, and what is seen of a dressed card closed.</summary>
public class DressedSheetTests
{
    /// <summary>Every construction with something put on its largest faces.</summary>
    private static IEnumerable<Card> Cards()
    {
        foreach (var family in Support.Reader.Catalogue.All)
        {
            var bare = Support.Spec(family.Id, "6x6") with { Tools = "machine" };
            if (Support.Try(bare) is { } card)
            {
                var faces = card.Dressed.Roles.All.SelectMany(r => r.Faces).DistinctBy(f => f.Id).OrderByDescending(f => f.Open.Box.Width.Units * f.Open.Box.Height.Units).Take(4).ToList();
                yield return Support.Size(bare with { Dressing =
                    new DressingSpec { Elements = [.. faces.Select((f, i) =>
                    new ElementSpec($"e{i}", f.Id, Size: ["9 mm", "6 mm"], Place: new PlaceSpec("head-left", [new FromSpec("left", "3 mm"), new FromSpec("head", "4 mm")])))] } });
            }
        }
    }

    [Fact]
    public void Each_face_lies_on_its_side_and_each_layer_on_its_face()
    {
        var sides = 0;
        foreach (var card in Cards())
        {
            foreach (var sheet in DressedSheet.Of(card))
            {
                sides++;
                var whole = new Box(Length.Zero, Length.Zero, sheet.Width, sheet.Height);
                Assert.All(sheet.Faces, f => Assert.True(whole.Covers(f.Box), $"{card.Construction.Id} {f.Face.Id}"));
                foreach (var face in sheet.Faces)
                {
                    var room = Plane.Shape(face.Outline).Buffer(4);
                    Assert.All(face.Layers, l => Assert.True(room.Covers(Plane.Shape(l.Outline)), $"{card.Construction.Id} {l.Layer.Id} is off its face"));
                }
            }
        }

        Assert.True(sides > 60, $"{sides}");
    }

    [Fact]
    public void A_distance_is_drawn_as_long_as_it_says_from_a_named_edge_to_the_thing()
    {
        foreach (var card in Cards())
        {
            foreach (var thing in DressedSheet.Of(card).SelectMany(s => s.Faces).SelectMany(f => f.Things))
            {
                Assert.Equal([Length.Mm(3), Length.Mm(4)], thing.Distances.Select(d => d.Distance));
                foreach (var distance in thing.Distances)
                {
                    Assert.Equal(distance.Distance, (distance.To.X - distance.From.X).Abs() + (distance.To.Y - distance.From.Y).Abs());
                    Assert.False(string.IsNullOrWhiteSpace(distance.Edge));
                }
            }
        }
    }

    /// <summary>Let go of where it lies, a thing stays where it is; the nine places are told from where it lies.</summary>
    [Fact]
    public void Dropped_where_it_is_a_thing_stays_there()
    {
        foreach (var card in Cards())
        {
            foreach (var sheet in DressedSheet.Of(card))
            {
                foreach (var thing in sheet.Faces.SelectMany(f => f.Things))
                {
                    var middle = new Point(new Length((thing.Box.Left + thing.Box.Right).Units / 2), new Length((thing.Box.Bottom + thing.Box.Top).Units / 2));
                    if (thing.On.Face.Head is Core.Constructions.Edge.Head or Core.Constructions.Edge.Foot
                        && sheet.Drop(middle, Length.Mm(9), Length.Mm(6), Length.Mm(0.5m)) is { } at && at.Face.Id == thing.On.Face.Id
                        && at.Anchor == Anchor.HeadLeft)
                    {
                        Assert.Equal([(ReadEdge.Left, Length.Mm(3)), (ReadEdge.Head, Length.Mm(4))], at.From);
                    }
                }
            }
        }
    }

    [Fact]
    public void The_closed_card_shows_its_outside_within_its_footprint_unless_it_stands_out()
    {
        // On a slanting flap the corner of its box lies off the flap.
        foreach (var card in Cards().Where(c => !c.Construction.GoesRound))
        {
            var shapes = ClosedDress.Of(card);
            var room = new Box(-Length.Mm(0.1m), -Length.Mm(0.1m), card.Closed.Width + Length.Mm(0.1m), card.Closed.Height + Length.Mm(0.1m));
            Assert.All(shapes, s => Assert.True(room.Covers(Box.Round(s.Outline)), $"{card.Construction.Id}"));
        }

        Assert.Empty(ClosedDress.Of(Support.Size(Support.Spec("plain-fold", "5x5"))));
        var plain = Support.Size(Support.Spec("plain-fold", "5x5") with { Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "front", Die: "ring-1")] } });
        Assert.Equal([false, false, true], ClosedDress.Of(plain).Select(s => s.IsHole));
    }

    [Fact]
    public void A_window_is_a_hole_in_every_picture_and_a_raised_thing_is_as_thick_as_it_stands()
    {
        var spec = Support.Spec("plain-fold", "5x5") with { Dressing =
            new DressingSpec { Windows = [new WindowSpec("eye", "front", Die: "ring-1")],
            Elements = [new ElementSpec("lamp", "inside", Size: ["1 in", "1 in"], Height: "4 mm", Place: new PlaceSpec("head"))] } };
        var (card, bare) = (Support.Size(spec), Support.Size(spec with { Dressing = null }));
        var shapes = Picture.Of(card.Figures, card.Bodies, Motion.OnTheTable(card.Figures)).Shapes;
        Assert.Contains(shapes, s => s is { IsLayer: false, Holes.Count: 1 });
        Assert.DoesNotContain(Picture.Of(bare.Figures, bare.Bodies, Motion.OnTheTable(bare.Figures)).Shapes, s => s.Holes.Count > 0);
        Assert.Equal(Length.Mm(4), card.Thickness.Greatest - bare.Thickness.Greatest);
        Assert.True(card.Packing.Need.Across > bare.Packing.Need.Across);
    }

    [Fact]
    public void Windows_and_elements_stand_in_every_list_and_in_both_columns_of_the_sheet()
    {
        var card = Support.Size(Support.Spec("gatefold", "5x7") with { Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "base.left.down", Size: ["1 in", "1 in"])], Elements = [new ElementSpec("moon", "door", Size: ["1/2 in", "3/4 in"])] } });
        var rows = FigureRows.Of(card, inOrderOfSetting: true).SelectMany(s => s.Rows).ToDictionary(r => r.Figure.Id.ToString());
        Assert.Equal(("× 2", Support.In("3/4")), (rows["elements.moon.height"].Mark, rows["elements.moon.height"].Figure.Value));
        Assert.Equal("eye, by knife", rows["windows.eye.width"].Label);
        var sheet = FigureSheet.Of(card);
        foreach (var id in rows.Keys)
        {
            Assert.Contains(sheet.Inches!.Figures.Keys, f => f.ToString() == id);
            Assert.Contains(sheet.Centimetres!.Figures.Keys, f => f.ToString() == id);
        }

        Assert.All(rows.Values, r => Assert.True(card.SafeSides.ContainsKey(r.Figure.Id)));
    }

    /// <summary>What stands on a table at home stands in every format that suits it.</summary>
    [Fact]
    public void Every_standing_construction_stands_in_every_format()
    {
        var stood = 0;
        foreach (var spec in Support.Grid("imperial-eighths").Stride(9, whole: 3))
        {
            if (Support.Try(spec) is { Standing: { } standing })
            {
                stood++;
                Assert.True(standing.Degrees > 1, $"{spec.Construction} {spec.Format} {standing.Degrees}");
            }
        }

        Assert.True(stood > Day.AtLeast(100, 3), $"{stood}");
    }
}
