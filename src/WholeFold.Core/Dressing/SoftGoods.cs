using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>How much of a roll one card takes.</summary>
/// <param name="Hidden">Where its ends go.</param>
public sealed record SoftLength(SoftGood Good, Length Length, string Hidden);

/// <summary>Ribbon, twine, thread, tape and foam, by rule: along a face, round a piece, with a knot or a bow.</summary>
public static class SoftGoods
{
    /// <summary>Turned under at either end; what a knot takes; what a bow takes, loops and tails.</summary>
    private static readonly Pair End = Pair.Of(1, 2, 12m), Knot = Pair.Of(5, 1, 125m), Bow = Pair.Of(14, 1, 350m);

    public static IReadOnlyList<SoftLength> Of(Figures figures, Dressed dressed)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(dressed);
        var system = figures.Tools.System;
        var all = new List<SoftLength>();
        foreach (var good in dressed.Design.Dressing.Soft)
        {
            var (along, name) = Run(figures, dressed, good.Role);
            var ends = 2 * End.For(system);
            var length = good.Rule switch
            {
                SoftRule.Run => good.Passes * (good.Kind is SoftKind.Tape or SoftKind.Foam ? along : along + ends),
                SoftRule.Wrap => (good.Passes * 2 * along) + ends,
                SoftRule.Knot => (good.Passes * 2 * along) + Knot.For(system),
                _ => (good.Passes * 2 * along) + Bow.For(system),
            };
            all.Add(new SoftLength(good, length, good.Rule is SoftRule.Knot or SoftRule.Bow ? "its ends hang" : good.Kind is SoftKind.Tape or SoftKind.Foam ? "under what it holds" : $"its ends under the paper of {name}"));
        }

        return all;
    }

    /// <summary>How long a face is across, as one reads it; of a tab, along it.</summary>
    private static (Length Along, string Name) Run(Figures figures, Dressed dressed, string role)
    {
        if (dressed.Roles.Of(role) is [var face, ..])
        {
            return (Reading.Of(face, face.Whole).Width, face.Name);
        }

        var parts = role.Split('.');
        var plate = figures.Pieces.First(p => p.Piece.Id == parts[0].Split(':')[0]).Plate(parts[1]);
        return (Length.Max(plate.Box.Width, plate.Box.Height), plate.Name);
    }
}
