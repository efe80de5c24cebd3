using System.Text.RegularExpressions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// What size a list may be for that names none. Its main piece, folded, is as high as it is across its scores, and as wide as some
/// of its panels side by side; everything else must fit on it.
/// </summary>
internal static partial class FinishedSize
{
    // Log odds, by trial on lists: a size that has a name; a paper that is that size less a border; the largest panel of a chain, half of a
    // sheet; what does not fit.
    private const double Walled = 10, Named = 5, Titled = 4, HasPaper = 3, HasCover = 3, HasBothCovers = 5.5, LargestPanel = 2.5, Half = 2, EdgeToCrease =
        0.7, Misfit = 6, Whole = 1.5, Turned = 1.2, Lesser = 0.8, Sheared = 8, AllFolded = 1, Twins = 8, Fins = 7, Pillars = 5, OneWay = 1.5, Mirrored =
        1.5, Slender = 2, SquareCard = 0.7, HalfSheet = 2.2, Spanning = 2.5, Elongated = 1.5, ZigzagSides = 1, Round = 0.8, Swings = 2, Stepped =
        2.5, Large = 2;

    /// <summary>So many times as long as wide few are that have no name.</summary>
    private const decimal LongFrom = 1.85m;

    private const int Most = 60, CoverBorders = 4;

    /// <summary>Few cards are narrower.</summary>
    private static readonly Length SlenderBelow = Length.In(13, 4);

    /// <summary>Few are higher without a name.</summary>
    private static readonly Length LargeAbove = Length.In(35, 4);

    /// <summary>A back is made wider or narrower than the card by no more, so that doors close.</summary>
    private static readonly Length MostEase = Length.In(3, 8);

    /// <summary>What goes round a card, or a box, is wider than it by no more.</summary>
    private static readonly Length Slack = Length.Mm(4);

    private static readonly Length Exactly = Length.Mm(0.3m);

    private static readonly Pair Step = Pair.Of(1, 4, 5m);

    private static readonly Pair Near = new(Length.Mm(0.8m), Length.Mm(1m));

    public static IReadOnlyList<(Length Width, Length Height, double Likely)> Candidates(OwnList list, IReadOnlyList<Format> formats, UnitSystem system)
    {
        if (list.Finished is { } finished)
        {
            return [(Bounded(finished.First), Bounded(finished.Second), 0)];
        }

        var near = Near.For(system);
        var scored = list.Cards.Where(c => c.Scores.Count > 0).OrderByDescending(c => (double)c.First.Units * c.Second.Units).ToList();
        var found = new List<(OwnPiece Main, Length Width, Length Height, double Likely)>();
        foreach (var (main, rank) in (scored.Count > 0 ? scored : [list.Cards.MaxBy(c => (double)c.First.Units * c.Second.Units)!]).Select((c, i) => (c, i)))
        {
            foreach (var (piece, doubt) in main.Turned is { } turned ? [(main, 0d), (turned, Turned)] : new[] { (main, 0d) })
            {
                // What has walls on all sides is as large as it is between them.
                if (FlapRows.Of(piece) is { Kind: FlapKind.Tray or FlapKind.Cross } walls)
                {
                    found.Add((main, piece.Panels[1], walls.Body, Walled - doubt - (rank * Lesser)));
                }

                // Scored both ways it is folded both ways.
                var heights = piece.Cross.Count == 0 ? [(piece.Across, 0d)] : Widths(piece with { Scores = piece.Cross, AlongFirst = !piece.AlongFirst, Cross = [] }, list, near).ToList();
                found.AddRange(from width in Widths(piece, list, near) from height in heights select (main, width.Width, height.Item1, width.Likely + height.Item2 - doubt - (rank * Lesser)));
            }
        }

        found.AddRange(Tubes(list, scored, near));

        // None of it is of a card's size: it is what its largest piece is, as near as a card can be.
        if (!found.Any(f => Format.Takes(f.Width) && Format.Takes(f.Height)))
        {
            var largest = list.Cards.MaxBy(c => (double)c.First.Units * c.Second.Units)!;
            return [(Bounded(largest.First), Bounded(largest.Second), 0)];
        }

        return [.. found.GroupBy(f => (f.Width, f.Height)).Select(g => g.MaxBy(f => f.Likely)).Where(f => Format.Takes(f.Width) && Format.Takes(f.Height))
            .Select(f => (f.Width, f.Height, f.Likely + Fits(list, f.Main, f.Width, f.Height, formats, system, near))).OrderByDescending(f => f.Item3).Take(Most)];
    }

    /// <summary>What people call formats.</summary>
    internal const string FormatNames = @"a[1-7]|dl|mini[\s-]slimline|slimline";

    // The name of a format, where it is the card's and no sheet's.
    private static Regex FormatName => field ??= new Regex($@"\b(?<name>{FormatNames})\b(?!\s*(?:sheet|paper|cardstock|card\s+stock|cut)\b)", RegexOptions.IgnoreCase);

    /// <summary>Whether the list calls its card by the name of that format: A2 step card.</summary>
    internal static bool IsTitled(OwnList list, Length width, Length height, IReadOnlyList<Format> formats, UnitSystem system, Length near)
    {
        var said = FormatName.Matches($"{list.Title} {(list.Pieces.Count > 0 ? list.Pieces[0].Name : "")} {list.Fits}").Select(m => m.Groups["name"].Value.Replace('-', ' ')).ToList();
        return said.Count > 0 && formats.Any(f => f.System == system && said.Any(n => f.Name.StartsWith(n, StringComparison.OrdinalIgnoreCase)) && f.IsAbout(width, height, near));
    }

    /// <summary>The formats that a list says it is for.</summary>
    internal static IEnumerable<Format> Said(OwnList list, IReadOnlyList<Format> formats, UnitSystem system) => list.Fits is { } fits
        ? formats.Where(f => f.System == system && f.Name.StartsWith(fits.Replace('-', ' '), StringComparison.OrdinalIgnoreCase)) : [];

    /// <summary>Whether a side is what people make cards: a multiple of 1/4 in, or 5 mm.</summary>
    internal static bool IsRound(Length side, UnitSystem system)
    {
        var step = Step.For(system);
        return (side - side.Nearest(step)).Abs() <= Exactly;
    }

    private static Length Bounded(Length side) => Length.Min(Format.Greatest, Length.Max(Format.Least, side));

    /// <summary>What a folded chain may be wide: panels side by side, and the sheet itself where it is not scored.</summary>
    private static IEnumerable<(Length Width, double Likely)> Widths(OwnPiece piece, OwnList list, Length near)
    {
        if (piece.Scores.Count == 0)
        {
            yield return (piece.Along, Whole);
            yield break;
        }

        var (panels, widest) = (piece.Panels, piece.Panels.Max());

        // Two cut alike and scored in quarters lie on each other, whole.
        bool IsAlike(OwnPiece other) => ((other.First - piece.First).Abs() <= near && (other.Second - piece.Second).Abs() <= near)
            || ((other.First - piece.Second).Abs() <= near && (other.Second - piece.First).Abs() <= near);
        if (panels.Count == 3 && (panels[0] - panels[2]).Abs() <= near && list.Cards.Where(c => c.Scores.Count > 0 && IsAlike(c)).Sum(c => c.Quantity) == 2)
        {
            yield return (piece.Along, Twins);
        }

        // A piece with the same middle and other ends goes across it: such a tube is pushed flat sideways, by the depth of a wall.
        var isTube = panels.Count == 3 && list.Cards.Any(c => c != piece && c.Panels.Count == 3 && (c.Panels[1] - panels[1]).Abs() <= near && c.Panels[0] < panels[0] - near);
        // With every score folded over.
        var (at, low, high) = (Length.Zero, Length.Zero, Length.Zero);
        for (var i = 0; i < panels.Count; i++)
        {
            at = i % 2 == 0 ? at + panels[i] : at - panels[i];
            (low, high) = (Length.Min(low, at), Length.Max(high, at));
        }

        var mirrored = panels.Count > 4 && panels.Zip(panels.Reverse()).All(p => (p.First - p.Second).Abs() <= near);
        yield return (high - low, AllFolded + (mirrored ? Mirrored : 0) + ((high - low - widest).Abs() <= near ? LargestPanel : 0)
            + (2 * (high - low) - piece.Along is var half && half.Abs() <= near ? Half : 0));

        // Doors that meet over a back a little wider than the card, or narrower.
        if (panels.Count == 3 && (panels[1] + panels[1] - piece.Along).Abs() is var off && off > near && off <= MostEase && IsRound(new Length(piece.Along.Units / 2), piece.Unit.SystemOf()))
        {
            yield return (new Length(piece.Along.Units / 2), LargestPanel + HalfSheet);
        }

        // Mirrored, with narrow panels beside the middle: what swings lies on them.
        if (panels.Count == 5 && (panels[0] - panels[4]).Abs() <= near && (panels[1] - panels[3]).Abs() <= near && panels[1] < panels[0] - near && panels[0] < panels[2])
        {
            yield return (panels[1] + panels[2] + panels[3], LargestPanel + Swings);
        }

        // A step between two equal rises, with a front of its own on them: pushed flat it slides by a rise.
        if (panels.Count == 5 && (panels[1] - panels[3]).Abs() <= near && (panels[0] == widest || panels[4] == widest)
            && list.Cards.Any(c => c != piece && c.Panels.Count == 3 && (c.Panels[1] - panels[1]).Abs() <= near))
        {
            yield return (widest + panels[1], LargestPanel + Stepped);
        }

        // Zigzags at both ends slide by a panel.
        if (panels.Count == 5 && panels.All(p => p == panels[2] || (p - panels[0]).Abs() <= near))
        {
            yield return (panels[2] + panels[0] + panels[0], LargestPanel + ZigzagSides);
        }

        for (var from = 0; from < panels.Count; from++)
        {
            var sum = Length.Zero;
            for (var to = from; to < panels.Count; to++)
            {
                sum += panels[to];

                // Folded it is at least as wide as its widest panel, and less than flat.
                if (sum >= widest - near && sum < piece.Along - near)
                {
                    yield return (sum, ((sum - widest).Abs() <= near ? LargestPanel : 0) + ((sum + sum - piece.Along).Abs() <= near ? Half : 0)
                        + (from == 0 || to == panels.Count - 1 ? EdgeToCrease : 0) + (isTube && from == 0 && to == 1 ? Sheared : 0));
                }
            }
        }
    }

    /// <summary>
    /// Square tubes, four equal panels and a tab: one with fins is as wide as two fins pushed flat; pillars between faces slide flat by a side
    /// for each row.
    /// </summary>
    private static IEnumerable<(OwnPiece Main, Length Width, Length Height, double Likely)> Tubes(OwnList list, IReadOnlyList<OwnPiece> scored, Length near)
    {
        var tubes = scored.Where(c => c.Panels.Count == 5 && c.Panels.Take(4).All(p => (p - c.Panels[0]).Abs() <= near + near)).ToList();
        if (tubes.Count == 0 || tubes.Count < scored.Count)
        {
            yield break;
        }

        var flat = list.Cards.Where(c => c.Scores.Count == 0).ToList();
        foreach (var tube in tubes.Where(t => t.Quantity == 1))
        {
            foreach (var fin in flat.Where(f => f.Quantity > 1 && ((f.First - tube.Across).Abs() <= near || (f.Second - tube.Across).Abs() <= near)))
            {
                yield return (tube, 2 * ((fin.First - tube.Across).Abs() <= near ? fin.Second : fin.First), tube.Across, Fins);
            }
        }

        var rows = tubes.Select(t => t.Across).Distinct().Count();
        foreach (var (face, turned) in tubes.Any(t => t.Quantity > 1) || tubes.Count > 1 ? flat.SelectMany(f => new[] { (f, false), (f, true) }) : [])
        {
            var (width, height) = turned ? (face.Second, face.First) : (face.First, face.Second);
            if (height >= tubes.Max(t => t.Across) - near && flat.Count(f => (f.First - width).Abs() <= near || (f.Second - width).Abs() <= near) >= rows)
            {
                yield return (tubes[0], width + tubes[0].Panels[0], height, Pillars);
                yield return (tubes[0], width + (rows * tubes[0].Panels[0]), height, Pillars - (rows > 1 ? OneWay : 0));
            }
        }
    }

    /// <summary>What speaks for a size beside the chain: its name, a paper that it takes; and against it: what would hang over.</summary>
    private static double Fits(OwnList list, OwnPiece main, Length width, Length height, IReadOnlyList<Format> formats, UnitSystem system, Length near)
    {
        bool Is(Length a, Length b) => ((a - width).Abs() <= near && (b - height).Abs() <= near) || ((a - height).Abs() <= near && (b - width).Abs() <= near);
        bool Goes(Length a, Length b, Length room) => (a <= width + room && b <= height + room) || (a <= height + room && b <= width + room);
        var likely = formats.Any(f => f.System == system && f.IsAbout(width, height, near)) ? Named : 0;
        likely += IsTitled(list, width, height, formats, system, near) ? Titled : 0;

        // What has a name may be long or large; of what has none one such doubt is enough.
        likely -= Length.Min(width, height) < SlenderBelow ? Slender : 0;
        likely -= likely == 0 && (decimal)Length.Max(width, height).Units / Length.Min(width, height).Units >= LongFrom ? Elongated : 0;
        likely -= likely == 0 && Length.Max(width, height) > LargeAbove ? Large : 0;
        likely += (width - height).Abs() <= near ? SquareCard : 0;
        likely += IsRound(width, system) && IsRound(height, system) ? Round : 0;
        likely += UsualBorders.All.Any(b => list.Papers.Any(p => p.Quantity <= 2 && Is(p.First + (2 * b.For(system)), p.Second + (2 * b.For(system))))) ? HasPaper : 0;

        // Covers stand a little over what lies between them.
        bool IsCover(OwnPiece piece) => piece.Scores.Count == 0 && UsualBorders.All.Take(CoverBorders).Any(b => Is(piece.First - (2 * b.For(system)), piece.Second - (2 * b.For(system))));
        likely += list.Cards.Where(IsCover).Sum(c => c.Quantity) switch { 0 => 0, 2 => HasBothCovers, _ => HasCover };
        foreach (var piece in list.Pieces.Where(p => p != main && p.Kind is OwnKind.Piece or OwnKind.Paper && !Recogniser.IsExtra(p.Name)))
        {
            likely -= piece.Scores.Count == 0 ? Goes(piece.First, piece.Second, near) || IsCover(piece) ? 0 : Misfit : piece.Panels.All(p => Goes(p, piece.Across, Slack)) ? 0 : Misfit;

            // A strip that goes right across the card, and another whole piece as large as it, speak for it.
            bool Crosses(Length along, Length across) => (along - width).Abs() <= near && across + across <= height;
            likely += piece is { Kind: OwnKind.Piece, Quantity: 1, Scores.Count: 0 } && (Crosses(piece.First, piece.Second) || Crosses(piece.Second, piece.First)) ? Spanning : 0;
            likely += piece.Scores.Count == 0 && Is(piece.First, piece.Second) ? Whole : 0;
        }

        return likely;
    }
}
