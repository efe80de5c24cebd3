using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>How much there is to do, which is what makes a card hard for a table of beginners.</summary>
public enum Difficulty
{
    /// <summary>Cut, scored and shut in a few minutes.</summary>
    Simple,

    /// <summary>A few pieces that must meet.</summary>
    SomePractice,

    /// <summary>Many pieces, or blades inside a sheet.</summary>
    TakesPatience,
}

/// <summary>A construction on the shelf: what one looks for it by, worked out from the construction itself at an everyday size.</summary>
/// <param name="Sheets">How many sheets a card of the sample size takes; null where a piece is larger than any sheet.</param>
/// <param name="GoesFlat">Whether it goes flat in the post: closed, it is nowhere thicker than <see cref="Shelf.FlatInThePost"/>.</param>
/// <param name="Formats">In how many of the formats it can be sized, as they stand; <paramref name="Turned"/> turned.</param>
/// <param name="Refuses">The formats that it does not take in either turning, each with why.</param>
public sealed record ShelfItem(ConstructionFamily Family, SizedDesign Sample, Motion Motion, int? Sheets, bool GoesFlat, Difficulty Difficulty, int Formats, int Turned, IReadOnlyList<(Format Format, string Why)> Refuses);

/// <summary>Every construction as one finds it on the shelf.</summary>
public static class Shelf
{
    /// <summary>A letter that a slot gauge lets pass, in round figures: check with your carrier.</summary>
    public static readonly Length FlatInThePost = Length.Mm(3);

    private static readonly Lazy<IReadOnlyList<ShelfItem>> Filled = new(() => [.. ConstructionLibrary.All.AsParallel().AsOrdered().Select(Item)]);

    /// <summary>Worked out at first asking, then kept: nothing in it depends on the studio.</summary>
    public static IReadOnlyList<ShelfItem> All => Filled.Value;

    private static ShelfItem Item(ConstructionFamily family)
    {
        var attempts = (from turn in Turnings
                        from format in Catalogue.Formats.All
                        where !turn || format.Width != format.Height
                        select (Format: format, Turn: turn, Attempt: At(family, format, turn))).ToList();
        var sample = Sample(family);
        var sheets = SheetCount.Of(sample);
        return new ShelfItem(
            family,
            sample,
            Motion.Of(sample, 9),
            sheets?.Sum(s => s.Count),
            sample.ClosedThickness <= FlatInThePost && !sample.Construction.GoesRound,
            DifficultyOf(sample),
            attempts.Count(a => !a.Turn && a.Attempt.Sized is not null),
            attempts.Count(a => a.Turn && a.Attempt.Sized is not null),
            [.. attempts.GroupBy(a => a.Format).Where(g => g.All(a => a.Attempt.Sized is null)).Select(g => (g.Key, string.Join("; ", g.First().Attempt.Conflicts.Select(c => c.Text))))]);
    }

    private static Attempt At(ConstructionFamily family, Format format, bool turn)
    {
        var read = DesignReader.Read(new DesignSpec { Construction = family.Id, Format = format.Id, Turn = turn });
        return Attempt.Of(read.Design, read.Target);
    }

    private static readonly bool[] Turnings = [false, true];
    private static readonly string[] Samples = ["5x7", "6x6"];

    /// <summary>At 5 × 7, or 6 × 6 where that is not to be had: sizes that every construction shows well in.</summary>
    private static SizedDesign Sample(ConstructionFamily family) =>
        Samples.Select(id => At(family, Catalogue.Formats.ById(id)!, false).Sized).First(s => s is not null)!;

    /// <summary>A point for a piece, a bond and a cut inside a sheet, a third of one for a score: up to 4 it is simple, over 10 it takes patience.</summary>
    internal static Difficulty DifficultyOf(SizedDesign sized)
    {
        var points = sized.Pieces.Sum(p => p.Piece.Quantity + p.Openings.Count(o => o.Opening.IsKnifeWork) + (p.AllScores.Count() / 3d)) + sized.Construction.Bonds.Count;
        return points <= 4 ? Difficulty.Simple : points <= 10 ? Difficulty.SomePractice : Difficulty.TakesPatience;
    }
}
