using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>A kind of piece as the search sees it: a size, and how many.</summary>
internal readonly record struct Kind(long Width, long Height, int Count)
{
    public long Area => Width * Height;
}

/// <summary>A piece lying one way on sheets of one family.</summary>
internal readonly record struct Lying(int Kind, long Width, long Height, bool Turned);

/// <summary>A sheet as the search sees it.</summary>
/// <param name="Family">Sheets on which the same pieces may lie the same ways share their tables.</param>
internal sealed record Sort(SheetKind Sheet, Family Family, long Cost)
{
    public long Width => Sheet.Width.Units;

    public long Height => Sheet.Height.Units;

    public int? Limit => Sheet.Count;
}

/// <summary>What may lie how on some sheets, and where it can be cut.</summary>
internal sealed class Family(IReadOnlyList<Lying> lying, IReadOnlyList<Kind> kinds, IReadOnlyList<(long Width, long Height)> sheets)
{
    public IReadOnlyList<Lying> Lying { get; } = lying;

    public Grid X { get; } = new([.. sheets.Select(s => s.Width)], Sides(lying, kinds, l => l.Width));

    public Grid Y { get; } = new([.. sheets.Select(s => s.Height)], Sides(lying, kinds, l => l.Height));

    private static List<(long, int)> Sides(IReadOnlyList<Lying> lying, IReadOnlyList<Kind> kinds, Func<Lying, long> side) =>
        [.. lying.GroupBy(side).Select(g => (g.Key, g.Select(l => l.Kind).Distinct().Sum(k => kinds[k].Count)))];
}

/// <summary>One stock's job with pieces of one size taken together, and its sheets in families.</summary>
internal sealed class Problem(
    StockJob job, IReadOnlyList<Kind> kinds, IReadOnlyList<IReadOnlyList<Wanted>> members, IReadOnlyList<Sort> sorts, long? longest)
{
    public StockJob Job { get; } = job;

    public IReadOnlyList<Kind> Kinds { get; } = kinds;

    /// <summary>Which wanted pieces each kind stands for.</summary>
    public IReadOnlyList<IReadOnlyList<Wanted>> Members { get; } = members;

    public IReadOnlyList<Sort> Sorts { get; } = sorts;

    /// <summary>No cut is longer; null where nothing stops one, or where a piece is itself longer and has to be cut by hand.</summary>
    public long? Longest { get; } = longest;

    /// <summary>What each sort costs against the costliest, 0 to 1; of one sort only the number counts.</summary>
    public double[] Share { get; } = [.. sorts.Select(s => sorts.Count == 1 ? 1 : s.Cost / (double)Math.Max(1, sorts.Max(o => o.Cost)))];

    public int[] Demand => [.. Kinds.Select(k => k.Count)];

    /// <exception cref="NoPlanException">A piece that comes out of no sheet, or nothing to cut from.</exception>
    public static Problem Of(StockJob job)
    {
        ArgumentNullException.ThrowIfNull(job);
        var wanted = job.Pieces.Where(p => p.Count > 0).ToList();
        if (job.Sheets.Count == 0 || job.Sheets.All(s => s.Count == 0))
        {
            throw new NoPlanException(Words.Of($"There is no sheet of {job.Stock} to cut from."));
        }

        // One that lies either way everywhere is the same however its sides are named.
        var groups = wanted.GroupBy(w =>
        {
            var lies = string.Concat(job.Sheets.Select(s => $"{(w.Straight(s) ? 1 : 0)}{(w.Turned(s) ? 1 : 0)}"));
            var free = !lies.Contains('0', StringComparison.Ordinal);
            return free && w.Width < w.Height ? (w.Height, w.Width, lies) : (w.Width, w.Height, lies);
        }).OrderByDescending(g => g.Key.Item1.Units * g.Key.Item2.Units).ThenByDescending(g => g.Key.Item1.Units).ToList();
        var kinds = groups.Select(g => new Kind(g.Key.Item1.Units, g.Key.Item2.Units, g.Sum(w => w.Count))).ToList();

        var lyings = job.Sheets.Select(s => groups.SelectMany((g, i) => Ways(g.First(), kinds[i], i, s)).ToList()).ToList();
        for (var i = 0; i < groups.Count; i++)
        {
            if (!job.Sheets.Where((s, n) => s.Count != 0 && lyings[n].Any(l => l.Kind == i)).Any())
            {
                var piece = groups[i].First();
                var turned = job.Sheets.Any(s => s.Count != 0 && Holds(s, piece.Height, piece.Width)) ? " the way it has to lie" : "";
                throw new NoPlanException(Words.Of($"{piece.Name} is {piece.Width} × {piece.Height}, and no sheet of {job.Stock} that is there takes it{turned}."));
            }
        }

        // Where all of it comes out of offcuts the fewest and smallest are taken.
        var offcutsOnly = job.Sheets.All(s => s.IsOffcut);
        var priced = job.Sheets.All(s => s.IsOffcut || s.Price is > 0);
        var families = job.Sheets.Select((s, i) => (Sheet: s, Lying: lyings[i])).Where(s => s.Sheet.Count != 0 && s.Lying.Count > 0)
            .GroupBy(s => string.Join(',', s.Lying.Select(l => $"{l.Kind}{(l.Turned ? "t" : "")}"))).ToList();
        var sorts = families.SelectMany(f =>
        {
            var family = new Family(f.First().Lying, kinds, [.. f.Select(s => (s.Sheet.Width.Units, s.Sheet.Height.Units))]);
            return f.Select(s => new Sort(s.Sheet, family, offcutsOnly ? Area(s.Sheet) : Cost(s.Sheet, priced)));
        }).OrderBy(s => Enumerable.Range(0, job.Sheets.Count).First(i => ReferenceEquals(job.Sheets[i], s.Sheet))).ToList();
        var longest = job.LongestCut is { } cut && kinds.All(k => Math.Max(k.Width, k.Height) <= cut.Units) ? cut.Units : (long?)null;
        if (longest is { } most && sorts.Any(s => Math.Min(s.Width, s.Height) > most))
        {
            longest = null;
        }

        return new Problem(job, kinds, [.. groups.Select(g => g.ToList())], sorts, longest);
    }

    private static IEnumerable<Lying> Ways(Wanted piece, Kind kind, int i, SheetKind sheet)
    {
        var swapped = kind.Width != piece.Width.Units || kind.Height != piece.Height.Units;
        var (straight, turned) = swapped ? (piece.Turned(sheet), piece.Straight(sheet)) : (piece.Straight(sheet), piece.Turned(sheet));
        if (straight && kind.Width <= sheet.Width.Units && kind.Height <= sheet.Height.Units)
        {
            yield return new Lying(i, kind.Width, kind.Height, false);
        }

        if (turned && kind.Height <= sheet.Width.Units && kind.Width <= sheet.Height.Units && (kind.Width != kind.Height || !straight))
        {
            yield return new Lying(i, kind.Height, kind.Width, true);
        }
    }

    private static bool Holds(SheetKind sheet, Length width, Length height) =>
        (width <= sheet.Width && height <= sheet.Height) || (height <= sheet.Width && width <= sheet.Height);

    private static long Cost(SheetKind sheet, bool priced) => sheet.IsOffcut ? 0
        : priced ? (long)Math.Ceiling(sheet.Price!.Value * 100) : Area(sheet);

    private static long Area(SheetKind sheet) => sheet.Width.Units * sheet.Height.Units;
}
