using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Dressing;

/// <summary>Faces are found from bonds and poses. What a construction's own file calls a role is held against what was found.</summary>
public class FaceTests
{
    private static IEnumerable<Card> Cards()
    {
        foreach (var (family, choices) in Support.Variants())
        {
            var spec = Support.Spec(family.Id, "5x7", [.. choices.Select(c => $"{c.Key}={c.Value}")]) with { Tools = "machine" };
            if ((Support.Try(spec) ?? Support.Try(spec with { Turn = true }) ?? Support.Try(spec with { Format = "6x6" })) is { } card)
            {
                yield return card;
            }
        }
    }

    private static string Named(Card card) => $"{card.Construction.Id} {string.Join(",", card.Construction.Choices.Values)}";

    [Fact]
    public void Every_role_of_a_construction_is_seen_but_for_what_a_hand_has_to_lift()
    {
        // A leaf of a liner is lifted.
        string[] lifted = ["plain-fold folded inside"];
        var unseen = Cards().SelectMany(card => card.Dressed.Roles.All.Where(r => r.Own is not null && r.Faces.Any(f => f.Seen.Count == 0)).Select(r => $"{Named(card)} {r.Id}")).Distinct();
        Assert.Equal(lifted.Order(), unseen.Order());
    }

    [Fact]
    public void Nothing_free_of_a_face_lies_under_a_bond_or_over_a_window_and_it_lies_on_its_plate()
    {
        foreach (var card in Cards())
        {
            foreach (var face in Faces.Of(card.Figures))
            {
                var piece = card.Pieces.First(p => p.Piece.Id == face.Piece);
                var plate = Plane.Shape(piece.Plate(face.Plate).Corners);
                var taken = card.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => b.Sides)
                    .Where(s => s.On.Face == face.Face && s.Plate == new PlateRef(face.Copies[0], face.Plate))
                    .Select(s => Plane.Shape(s.Region.Corners.Select(card.Figures.ValueOf)))
                    .Concat(piece.HolesIn(piece.Plate(face.Plate)).Select(Plane.Shape)).ToList();
                foreach (var free in face.Free.Select(f => f.Shape))
                {
                    Assert.True(free.Difference(plate.Buffer(2)).Area < 100, $"{Named(card)} {face.Id} reaches past its plate");
                    Assert.All(taken, t => Assert.True(free.Intersection(t).Area <= 4 * t.Length, $"{Named(card)} {face.Id} lies under what is bonded"));
                }
            }
        }
    }

    [Fact]
    public void Each_face_has_an_identity_and_a_name_of_its_own_and_is_seen_in_some_pose()
    {
        foreach (var card in Cards())
        {
            var faces = Faces.Of(card.Figures);
            Assert.Equal(faces.Count, faces.Select(f => f.Id).Distinct().Count());
            Assert.All(faces, f => Assert.NotEmpty(f.Poses));

            // Both sides of one plate are never called alike.
            Assert.All(faces.GroupBy(f => (f.Piece, f.Plate)).Where(g => g.Select(f => f.Face).Distinct().Count() == 2), g => Assert.True(g.Select(f => f.Name).Distinct().Count() > 1, $"{Named(card)}: {string.Join(" / ", g.Select(f => f.Name))}"));
        }
    }

    /// <summary>Both outer sides of the closed card are seen, whatever it is.</summary>
    [Fact]
    public void The_closed_card_shows_a_face_to_either_side()
    {
        foreach (var card in Cards().Where(c => !c.Construction.GoesRound))
        {
            var closed = Faces.Of(card.Figures).Select(f => f.In("closed")).OfType<Seen>().ToList();
            Assert.Contains(closed, s => s.FromBehind);
            Assert.Contains(closed, s => !s.FromBehind);
        }
    }

    [Fact]
    public void By_hand()
    {
        // The back of pillar tiers is free between the pillars; a step's front is read from the other side and the other way up.
        var pillars = Support.Size(Support.Spec("pillar-tiers", "5x7", "rows=1", "side=3/4 in") with { Tools = "machine" });
        var back = Faces.Of(pillars.Figures).Single(f => f.Id == "back.back.up");
        var (side, whole) = (Support.In("3/4"), pillars.Piece("back").Width.Value);
        Assert.Equal((whole - (2 * side), pillars.Piece("back").Height.Value), (back.Main.Box.Width, back.Main.Box.Height));

        var step = Support.Size(Support.Spec("front-step", "a2-us"));
        var faces = Faces.Of(step.Figures).ToDictionary(f => f.Id);
        Assert.NotEqual(faces["base.front.down"].Read.Head, faces["base.back.up"].Read.Head);
        Assert.Equal(2, faces["base.back.up"].Free.Count);

        // A flap's outside is the front of the closed card, and lies on the table once it has dropped.
        var flap = Faces.Of(Support.Size(Support.Spec("drop-flap", "a2-us")).Figures).Single(f => f.Id == "cover.flap.down");
        Assert.NotEqual(flap.In("closed")!.Head, flap.In("shown")!.Head);
    }

    [Fact]
    public void What_slides_through_a_slit_is_flat_from_the_box_to_two_floors_and_the_box_above_its_foot()
    {
        var card = Support.Size(Support.Spec("slider-stand", "6x4in", "box=1", "flap=1"));
        var (plate, outline) = Assert.Single(card.SlidePaths);
        Assert.Equal("slide", plate.Plate);
        Assert.Equal((Support.In("1"), Support.In("5")), (Box.Round(outline).Left, Box.Round(outline).Right));
        var keeps = card.KeepOutsOn(card.Dressed.Roles.Of("slide.slide.up")[0]);
        Assert.Contains(keeps, k => k.Kind == KeepOutKind.SlidePath);
        Assert.All(keeps, k => Assert.NotEmpty(k.Why));
    }

    [Fact]
    public void More_of_the_back_is_seen_over_lower_tiers_and_through_a_window()
    {
        double Share(string tier) => Support.Size(Support.Spec("tier-scene", "5x7", "tiers=1", $"tier1Height={tier}") with { Turn = true, Tools = "machine" }).SightLines.Single(l => l.Pose == "shown" && l.Face.Id == "base.back.up").Share;
        Assert.InRange(Share("2 1/2 in"), 0.45, 0.55);
        Assert.True(Share("4 in") < Share("2 1/2 in"));

        var plain = Support.Spec("plain-fold", "5x5");
        SightLine Inside(DesignSpec spec) => Support.Size(spec).SightLines.Single(l => l.Pose == "closed" && l.Face.Id == "base.back.up");
        Assert.Equal(0, Inside(plain).Share);
        var window = Inside(plain with { Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "front", Size: ["2 1/2 in", "2 1/2 in"])] } });
        Assert.InRange(window.Share, 0.2, 0.32);
        Assert.NotEmpty(window.Hidden);
    }

    /// <summary>A moon of an inch, an inch above the foot, is hidden by a tier of two inches and not by one a mark lower.</summary>
    [Fact]
    public void A_tier_is_made_just_high_enough_to_hide_what_is_behind_it()
    {
        var spec = Support.Spec("tier-scene", "5x7", "tiers=1", "tier1Height=1 1/2 in") with { Turn = true,
            Dressing = new DressingSpec { Elements = [new ElementSpec("moon", "back", Size: ["1 in", "1 in"], Place: new PlaceSpec("foot", [new FromSpec("foot", "1 in")]))] } };
        var hide = Assert.IsType<SetFigure>(Hiding.Of(Support.Size(spec), "moon"));
        Assert.Equal("tier1Height", hide.Parameter);
        Assert.Equal(Support.In("2"), Support.In(hide.Value));
        Assert.Null(Hiding.Of(Support.Size(hide.Apply(spec, Support.Reader)), "moon"));
        Assert.Null(Hiding.Of(Support.Size(Support.Spec("plain-fold", "5x5") with { Dressing = new DressingSpec { Elements = [new ElementSpec("moon", "inside", Size: ["1 in", "1 in"])] } }), "moon"));
    }

    [Fact]
    public void A_card_stands_until_something_heavy_hangs_before_it()
    {
        var bare = Support.Size(Support.Spec("tier-scene", "5x7") with { Turn = true });
        Assert.True(bare.Standing!.Degrees > 5);
        Assert.Null(Support.Size(Support.Spec("plain-fold", "5x7")).Standing);

        // Something heavy before the front of a box draws its centre of gravity forward.
        var box = Support.Spec("shadow-box", "5x7");
        double Tips(string? height) => Support.Size(box with { Dressing = height is null ? null
            : new DressingSpec { Elements = [new ElementSpec("slab", "front.wall-left.down", Size: ["3/8 in", "6 in"], Height: height, Made: "built-up", Stock: "card-350")] } }).Standing!.Degrees;
        Assert.NotEqual(Tips(null), Tips("20 mm"));
        Assert.True(Tips(null) > 1);
    }
}
