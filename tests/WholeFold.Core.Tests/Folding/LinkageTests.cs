using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using Xunit;

namespace WholeFold.Core.Tests.Folding;

/// <summary>What does not change while a card moves is worked out once: in every pose a plate is as stiff as card, and hangs on its crease.</summary>
public class LinkageTests
{
    private static IEnumerable<(string Name, Card Card)> All()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var read = Support.Reader.Read(new DesignSpec { Construction = family.Id, Format = "6x6" });
            if (Attempt.Of(read.Design, read.Target).Card is { } card)
            {
                yield return (family.Id, card);
            }
        }
    }

    [Fact]
    public void In_every_pose_a_plate_keeps_its_shape_and_hangs_on_its_crease()
    {
        var hinges = 0;
        foreach (var (name, card) in All())
        {
            var linkage = Linkage.For(card.Figures);
            Assert.Same(linkage, Linkage.For(card.Figures));
            foreach (var frame in Motion.LookedAt(card.Figures))
            {
                var at = linkage.At(crease => frame.Angles[crease]);
                Assert.All(at.Frames.Values, f =>
                {
                    Assert.Equal(1, f.Ex.Length, 9);
                    Assert.Equal(1, f.Ey.Length, 9);
                    Assert.Equal(0, f.Ex.Dot(f.Ey), 9);
                    Assert.Equal(1, f.Ex.Cross(f.Ey).Dot(f.Ez), 9);
                });

                foreach (var (copy, piece) in card.Pieces.SelectMany(p => p.Piece.Copies.Select(c => (c, p))))
                {
                    foreach (var plate in piece.Plates.Where(p => p.HangsOn is not null))
                    {
                        // Both ends of the crease are where both plates say.
                        var score = piece.Score(plate.By);
                        var (one, other) = (at.Frames[new PlateRef(copy, plate.Id)], at.Frames[new PlateRef(copy, plate.HangsOn!)]);
                        foreach (var end in new[] { score.From, score.To })
                        {
                            hinges++;
                            Assert.True((one.Apply(end.X.Units, end.Y.Units) - other.Apply(end.X.Units, end.Y.Units)).Length < 1, $"{name}, {frame.Name}: {plate.Name} of {copy} left its crease");
                        }
                    }
                }
            }
        }

        Assert.True(hinges > 500, $"{hinges}");
    }

    [Fact]
    public void What_is_partly_made_is_as_far_as_its_bonds_reach()
    {
        foreach (var (name, card) in All().Where(c => c.Card.Construction.Bonds.Any(b => !b.IsLoose)))
        {
            var bond = card.Construction.Bonds.First(b => !b.IsLoose);
            var alone = Assembly.Partly(card.Figures, (_, _) => 0, [], bond.A.Plate);
            var together = Assembly.Partly(card.Figures, (_, _) => 0, [bond], bond.A.Plate);
            Assert.Contains(bond.A.Plate, alone.Frames.Keys);
            Assert.DoesNotContain(alone.Joints, j => j.Bond is not null);
            Assert.Contains(bond.B.Plate, together.Frames.Keys);
            Assert.True(together.Frames.Count >= alone.Frames.Count, name);
            Assert.Equal(bond, Assert.Single(together.Joints, j => j.Bond is not null).Bond);
        }
    }
}
