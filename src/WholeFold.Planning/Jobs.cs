using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Planning;

/// <summary>A design, and how many cards of it.</summary>
public sealed record CardsOf(string Design, Card Card, int Cards);

/// <summary>Sheets to cut one stock from, or every stock.</summary>
/// <param name="Stock">By its id; null for every stock that none is named for.</param>
/// <param name="Price">What one costs, where that is known.</param>
public sealed record SheetsOf(string? Stock, Sheet Sheet, int? Count, bool IsOffcut = false, decimal? Price = null);

/// <summary>What is cut from one stock, with what the stock book has of it.</summary>
/// <param name="Here">From what is there and no more; null where the book knows nothing of the stock.</param>
/// <param name="Bought">From as many sheets as it takes.</param>
public sealed record BookedJob(Stock Stock, StockJob? Here, StockJob Bought, IReadOnlyList<OwnedSheet> Book);

/// <summary>What cards need of each stock, as jobs to plan.</summary>
public static class Jobs
{
    private const int MostCards = 10_000;

    /// <summary>So many cards, where that many can be planned.</summary>
    /// <exception cref="InputProblemException">None, or too many.</exception>
    public static int Checked(int cards, string place) => cards is >= 1 and <= MostCards ? cards
        : throw new InputProblemException("plan.cards", place, $"{cards} cards cannot be planned", $"1 to {MostCards} cards");

    /// <param name="sheets">To cut from; a stock that none is named for is cut from the sheets its design has.</param>
    /// <exception cref="NoPlanException">A piece that comes out of no sheet.</exception>
    public static IReadOnlyList<(Stock Stock, StockJob Job)> Of(IReadOnlyList<CardsOf> all, IReadOnlyList<SheetsOf> sheets)
    {
        ArgumentNullException.ThrowIfNull(all);
        ArgumentNullException.ThrowIfNull(sheets);
        return [.. ByStock(all).Select(g => (g.First().Stock, Job(g.First().Stock, g.First().From, [.. g.Select(p => p.Wanted)], sheets)))];
    }

    /// <summary>The same from the stock book: what it says is there, and as what more is bought.</summary>
    /// <exception cref="NoPlanException">A piece that comes out of no sheet.</exception>
    public static IReadOnlyList<BookedJob> Of(IReadOnlyList<CardsOf> all, IReadOnlyList<OwnedSheet> book, IReadOnlyList<Sheet> known)
    {
        ArgumentNullException.ThrowIfNull(all);
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(known);
        return [.. ByStock(all).Select(g =>
        {
            var (stock, from, pieces) = (g.First().Stock, g.First().From, g.Select(p => p.Wanted).ToList());
            var mine = book.Where(b => b.Stock == stock.Id).ToList();
            SheetsOf Kind(OwnedSheet b, int? count) => new(stock.Id, new Sheet(b.Id, NameOf(b, known), b.Width, b.Height, b.System), count,
                b.IsOffcut, b.Each);
            var here = mine.Where(b => b.Count > 0).Select(b => Kind(b, b.Count)).ToList();
            var whole = mine.Where(b => !b.IsOffcut).Select(b => Kind(b, null)).ToList();
            if (!pieces.TrueForAll(p => whole.Exists(s => s.Sheet.Holds(p.Width, p.Height))))
            {
                whole = [.. whole, .. Usual(from, pieces)];
            }

            return new BookedJob(stock, here.Count == 0 ? null : Cut(stock, from, pieces, here),
                Cut(stock, from, pieces, [.. whole, .. here.Where(h => h.IsOffcut)]), mine);
        })];
    }

    private static IEnumerable<IGrouping<string, (CardsOf From, Stock Stock, Wanted Wanted)>> ByStock(IReadOnlyList<CardsOf> all) =>
        all.SelectMany(c => Pieces(c, all.Count > 1).Select(p => (From: c, p.Stock, p.Wanted))).GroupBy(p => p.Stock.Id);

    /// <summary>What a sheet in the book is called: as the sheet of its size is.</summary>
    private static string NameOf(OwnedSheet owned, IReadOnlyList<Sheet> known) => owned.IsOffcut ? "offcut"
        : known.FirstOrDefault(k => (Length.Min(k.Width, k.Height), Length.Max(k.Width, k.Height))
            == (Length.Min(owned.Width, owned.Height), Length.Max(owned.Width, owned.Height)))?.Name ?? owned.Name;

    /// <summary>All that one card is cut from: pieces, and papers on them; a bought blank is not cut.</summary>
    private static IEnumerable<(Stock Stock, Wanted Wanted)> Pieces(CardsOf of, bool several)
    {
        var (figures, before) = (of.Card.Figures, several ? $"{of.Design}: " : "");
        foreach (var piece in figures.Pieces.Where(p => p.Piece.Id != figures.Blank?.Piece))
        {
            var stock = figures.Design.StockOf(piece.Piece.Id);

            // Heavy card is folded along its grain: across the piece's chain.
            yield return (stock, new Wanted(
                $"{before}{piece.Piece.Id}", $"{before}{piece.Piece.Name}", piece.Width.Value, piece.Height.Value, of.Cards * piece.Piece.Quantity)
            {
                HasWayUp = stock.Directional,
                Grain = stock.Grammage is > Stock.CracksAbove && piece.Scores.Count > 0 ? piece.Piece.Axis == Axis.X ? Axis.Y : Axis.X
                    : null,
            });
        }

        foreach (var paper in of.Card.Layers)
        {
            yield return (paper.Stock, new Wanted(
                $"{before}layers.{paper.Id}", $"{before}paper, {paper.Role.Name}", paper.Width.Value, paper.Height.Value, of.Cards * paper.Quantity)
            {
                HasWayUp = paper.Stock.Directional,
            });
        }
    }

    private static StockJob Job(Stock stock, CardsOf from, IReadOnlyList<Wanted> pieces, IReadOnlyList<SheetsOf> sheets)
    {
        var mine = sheets.Where(s => s.Stock is null || s.Stock == stock.Id).ToList();
        var whole = mine.Where(s => !s.IsOffcut).ToList();
        var named = whole.Where(s => s.Stock is not null).ToList();
        return Cut(stock, from, pieces,
        [
            .. named.Count > 0 ? named : whole.Count > 0 ? whole : Usual(from, pieces),
            .. mine.Where(s => s.IsOffcut),
        ]);
    }

    private static StockJob Cut(Stock stock, CardsOf from, IReadOnlyList<Wanted> pieces, IReadOnlyList<SheetsOf> sheets)
    {
        var design = from.Card.Figures.Design;
        var kinds = sheets.Select(s => new SheetKind(s.Sheet.Id, s.Sheet.Name, s.Sheet.Width, s.Sheet.Height, s.Count, s.IsOffcut)
        {
            Price = s.Price,
            HasWayUp = stock.Directional,
            Grain = design.Grain == Grain.Unknown || s.IsOffcut ? null
                : s.Sheet.Height >= s.Sheet.Width == (design.Grain == Grain.Long) ? Axis.Y : Axis.X,
        }).ToList();

        // Where a piece comes out of the sheets only across the grain it is cut so; a check has said it.
        var held = pieces.Select(p => p.Grain is null || kinds.Any(k => (p.Straight(k) && p.Width <= k.Width && p.Height <= k.Height)
            || (p.Turned(k) && p.Height <= k.Width && p.Width <= k.Height)) ? p : p with { Grain = null });
        return new StockJob(stock.Name, kinds, [.. held], from.Card.Figures.Tools.LongestCut)
        {
            Hold = from.Card.Figures.Tools.Hold,
            AtOnce = from.Card.Figures.Tools.AtOnce(stock.Caliper),
        };
    }

    /// <summary>One sheet for all of it where there is one, the everyday ones first; else the one that each piece comes out of.</summary>
    private static IReadOnlyList<SheetsOf> Usual(CardsOf from, IReadOnlyList<Wanted> pieces)
    {
        var (design, system) = (from.Card.Figures.Design, from.Card.Figures.Target.Format.System);
        var each = pieces.Select(p => design.SheetFor(p.Width, p.Height, system)
            ?? throw new NoPlanException(Words.Of($"{p.Name} is larger than every sheet that is there. Add a larger sheet to what the design has.")))
            .Distinct().ToList();
        var sheets = each.Where(s => pieces.All(p => s.Holds(p.Width, p.Height))).OrderBy(s => s.Width.Units * s.Height.Units).Take(1)
            .ToList() is [var one] ? [one] : each;
        return [.. sheets.Select(s => new SheetsOf(null, s, null))];
    }
}
