using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Dressing;

/// <summary>What is raised on two faces that stand over against each other, or on the same spot of one.</summary>
public class RaisedTests
{
    private static ElementSpec On(RoleFace face, string id, Length height, double share = 0.5) => new(
        id, face.Id, id, Size: [WrittenLength.Of(Part(Reading.Of(face, face.Open).Width, share)), WrittenLength.Of(Part(Reading.Of(face, face.Open).Height, share))], Height: WrittenLength.Of(height));

    private static Length Part(Length length, double share) => new((long)(length.Units * share));

    /// <summary>Two faces with a room between them once the card is shown: less than the room together they pass, more and they meet, neither of them touching the other's panel.</summary>
    [Fact]
    public void Two_raised_things_over_against_each_other_meet_where_together_they_stand_higher_than_the_room_between()
    {
        var pairs = 0;
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "5x7" };
            if (Support.Try(spec) is not { } card)
            {
                continue;
            }

            var sight = new Sight(card.Figures, Motion.OnTheTable(card.Figures));
            var faces = card.Dressed.Roles.All.SelectMany(r => r.Faces).Where(f => f.Seen.Any(s => s.Pose == "shown")).ToList();
            foreach (var one in faces)
            {
                var middle = Plane.Shape(one.Open.Outline).Centroid;
                if (sight.Nearest(new(one.Ref, one.Face), middle.X, middle.Y) is not { Far: > 4000 and < 12000 } hit
                    || faces.FirstOrDefault(f => f.Ref == hit.On.Plate && f.Face == hit.On.Face && f != one && Middle(f.Open.Box, hit)
                        && Math.Abs(sight.Frames[f.Ref].Ez.Dot(sight.Frames[one.Ref].Ez)) > 0.999) is not { } other)
                {
                    continue;
                }

                pairs++;
                IReadOnlyList<Struck> Found(double share) =>
                    Support.Size(spec with { Dressing = new DressingSpec { Elements =
                    [On(one, "one", new Length((long)(hit.Far * share))), On(other, "other", new Length((long)(hit.Far * share)))] } }).Struck;
                Assert.Contains(Found(0.7), s => s is { Pose: "shown", Into: not null } && s.Deep > Length.Zero);
                Assert.DoesNotContain(Found(0.3), s => s is { Into: not null });
            }
        }

        Assert.True(pairs > 1, $"{pairs}");
    }

    /// <summary>Whether a line meets the middle of a face, where its element lies.</summary>
    private static bool Middle(Box box, Hit hit) =>
        Math.Abs(hit.X - ((box.Left + box.Right).Units / 2d)) < box.Width.Units * 0.2 && Math.Abs(hit.Y - ((box.Bottom + box.Top).Units / 2d)) < box.Height.Units * 0.2;

    [Theory]
    [InlineData("1 mm", "1 in", true)]
    [InlineData("1 mm", "2 in", false)]
    [InlineData("1 mm", "1 15/16 in", true)]
    [InlineData("1.2 mm", "1 in", true)]
    [InlineData("1.3 mm", "1 in", false)]
    [InlineData("2 mm", "1 in", false)]
    public void Two_things_on_foam_may_overlap_where_one_stands_over_the_other(string height, string left, bool found)
    {
        ElementSpec Star(string id, string stands, string at) => new(id, "front", id, Size: ["1 in", "1 in"], Height: stands, Stock: "card-216", Place: new PlaceSpec("left", [new FromSpec("left", at)]));
        var card = Support.Size(new DesignSpec { Construction = "plain-fold", Format = "5x7", Dressing = new DressingSpec { Elements = [Star("one", "1 mm", "1 in"), Star("other", height, left)] } });
        Assert.Equal(found, card.Checks.Any(c => c.Id == "raised-in-the-same-place"));
    }
}
