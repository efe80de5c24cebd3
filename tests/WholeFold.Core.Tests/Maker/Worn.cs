using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Tests.Maker;

/// <summary>Something of every kind on the largest places of a card: stamped, glued on, raised, and a window.</summary>
internal static class Worn
{
    public static DesignSpec On(DesignSpec spec, Card bare)
    {
        string[] names = ["comet", "ferry", "teapot"];
        var roles = bare.Layers.Where(l => l.IsRectangle).Select(l => (l.Role, Room: l.On[0].Box)).DistinctBy(r =>
            r.Role.Id).OrderByDescending(r => r.Room.Width.Units * (double)r.Room.Height.Units).Take(3).ToList();
        string Share(Length room, long of) => LengthWriter.Exact(Length.Max(Length.In(1, 8),
            new Length(room.Units / of).Down(Length.In(1, 16))));
        return spec with
        {
            Dressing = new DressingSpec
            {
                Elements = [.. roles.SelectMany((r, i) => new[]
                {
                    new ElementSpec($"one{i}", r.Role.Faces[0].Id, names[i], Size: [Share(r.Room.Width, 4), Share(r.Room.Height, 4)],
                        Height: i == 0 ? (WrittenLength)"1 mm" : null,
                        Place: new PlaceSpec("head", [new FromSpec("head", "3/8 in")])),
                    new ElementSpec($"two{i}", r.Role.Faces[0].Id, $"little {names[i]}",
                        Size: [Share(r.Room.Width, 5), Share(r.Room.Height, 5)],
                        Made: "stamped", Place: new PlaceSpec("foot", [new FromSpec("foot", "3/8 in")])),
                })],
                Windows = roles.Count > 1 ? [new WindowSpec("eye", roles[^1].Role.Faces[0].Id,
                    Size: [Share(roles[^1].Room.Width, 6), Share(roles[^1].Room.Height, 6)])] : [],
            },
        };
    }
}
