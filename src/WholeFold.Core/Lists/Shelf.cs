using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
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
/// <param name="Dressed">The same card in papers and with a motif, as it is shown.</param>
/// <param name="Sheets">How many sheets a card of the sample size takes; null where a piece is larger than any sheet.</param>
/// <param name="GoesFlat">Whether it goes flat in the post: closed, it is nowhere thicker than <see cref="Shelf.FlatInThePost"/>.</param>
/// <param name="Formats">In how many of the formats nothing stands in its way, as they stand; <paramref name="Turned"/> turned.</param>
/// <param name="Refuses">The formats that it does not take in either turning, each with why.</param>
public sealed record ShelfItem(ConstructionFamily Family, Card Sample, Card Dressed, Motion Motion, int? Sheets, bool GoesFlat, Difficulty Difficulty, int Formats,
    int Turned, IReadOnlyList<(Format Format, Words Why)> Refuses);

/// <summary>Every construction as one finds it on the shelf.</summary>
public static class Shelf
{
    /// <summary>A letter that a slot gauge lets pass, in round figures: check with your carrier.</summary>
    public static readonly Length FlatInThePost = Length.Mm(3);

    private static readonly bool[] Turnings = [false, true];
    private static readonly string[] Samples = ["5x7", "6x6"];

    /// <summary>All constructions of a catalogue, side by side. A format counts where the card has figures and no error is found.</summary>
    public static IReadOnlyList<ShelfItem> Of(DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        return [.. reader.Catalogue.All.AsParallel().AsOrdered().Select(family => Item(reader, family))];
    }

    private static ShelfItem Item(DesignReader reader, ConstructionFamily family)
    {
        var attempts = (from turn in Turnings
                        from format in reader.Inventory.Formats
                        where !turn || format.Width != format.Height
                        let attempt = At(reader, family, format.Id, turn)
                        select (Format: format, Turn: turn, Goes: attempt.Verdict.Kind != VerdictKind.Stuck, Why: Why(attempt))).ToList();

        // At 5 × 7, or 6 × 6 where that is not to be had: sizes that every construction shows well in.
        var sample = Samples.Select(id => At(reader, family, id, false).Card).First(s => s is not null)!;
        var sheets = SheetCount.Of(sample.Figures);
        return new ShelfItem(
            family,
            sample,
            Dress(reader, family, sample),
            Motion.Of(sample.Figures, 9),
            sheets?.Sum(s => s.Count),
            sample.Thickness.Greatest <= FlatInThePost && !sample.Construction.GoesRound,
            DifficultyOf(sample.Figures),
            attempts.Count(a => a is { Turn: false, Goes: true }),
            attempts.Count(a => a is { Turn: true, Goes: true }),
            [.. attempts.GroupBy(a => a.Format).Where(g => g.All(a => !a.Goes)).Select(g => (g.Key, g.First().Why))]);
    }

    /// <summary>What stands in the way.</summary>
    private static Words Why(Attempt attempt) => attempt.Card is null ? Words.Join("; ", attempt.Conflicts.Select(c => c.Text)) : attempt.Verdict.Text;

    /// <summary>Papers and motifs of the shelf, taken by turns so that neighbours differ.</summary>
    private static readonly (string Paper, string Other, string Motif)[] Themes = [("ember-stripe", "night-print", "comet"), ("quay-waves", "card-300", "ferry"), ("lantern-dots", "night-print", "lantern"), ("kitchen-check", "card-350", "teapot"), ("night-print", "paper-120", "star")];

    /// <summary>A paper on every face that is usually covered, and a motif on the largest that is seen once the card is shown.</summary>
    private static Card Dress(DesignReader reader, ConstructionFamily family, Card sample)
    {
        var theme = Themes[reader.Catalogue.All.TakeWhile(f => f.Id != family.Id).Count() % Themes.Length];
        var roles = sample.Dressed.Roles.All.Where(r => r.Levels > 0).ToList();
        var shown = sample.Dressed.Roles.All.SelectMany(r => r.Faces).Where(f => f.Seen.Any(s => s is { Pose: "shown", FromBehind: false })).MaxBy(f => f.Open.Box.Width.Units * f.Open.Box.Height.Units);
        var motif = Motifs.Of(theme.Motif)!;
        var spec = new DressingSpec
        {
            Layers = [.. roles.Select((r, i) => new LayerSpec(r.Id, r.Levels, i % 2 == 0 ? theme.Paper : theme.Other))],
            Elements = shown is null ? [] : [new ElementSpec("motif", shown.Id, theme.Motif, "polygon", [.. Fill(shown, motif.Wide).Select(WrittenLength.Of)], Motif: theme.Motif, Stock: "card-216")],
        };
        var read = reader.Read(new DesignSpec { Construction = family.Id, Format = sample.Target.Format.Id, Dressing = spec });
        return Attempt.Of(read.Design, read.Target).Card ?? sample;
    }

    /// <summary>Half of a face, as one reads it, in the shape of a motif.</summary>
    private static Length[] Fill(RoleFace face, double wide)
    {
        var upright = face.Head is Edge.Head or Edge.Foot;
        var (width, height) = upright ? (face.Open.Box.Width, face.Open.Box.Height) : (face.Open.Box.Height, face.Open.Box.Width);
        var across = Math.Min(width.Units / 2d, height.Units / 2d * wide);
        return [new Length((long)across), new Length((long)(across / wide))];
    }

    private static Attempt At(DesignReader reader, ConstructionFamily family, string format, bool turn)
    {
        var read = reader.Read(new DesignSpec { Construction = family.Id, Format = format, Turn = turn });
        return Attempt.Of(read.Design, read.Target);
    }

    /// <summary>A point for a piece, a bond and a cut inside a sheet, a third of one for a score: up to 4 it is simple, over 10 it takes patience.</summary>
    internal static Difficulty DifficultyOf(Figures sized)
    {
        var points = sized.Pieces.Sum(p => p.Piece.Quantity + p.Openings.Count(o => o.Opening.IsKnifeWork) + (p.AllScores.Count() / 3d)) + sized.Construction.Bonds.Count;
        return points <= 4 ? Difficulty.Simple : points <= 10 ? Difficulty.SomePractice : Difficulty.TakesPatience;
    }
}
