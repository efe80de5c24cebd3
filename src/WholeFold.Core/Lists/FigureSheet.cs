using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Lists;

/// <summary>One figure of the sheet, as it is set in one system.</summary>
/// <param name="Value">The exact length that the text stands for.</param>
public sealed record SheetFigure(FigureRef Id, Length Value, FigureText Reads, Setting Setting)
{
    public string Text => Reads.Text;
}

/// <summary>A sum that comes out otherwise when each figure is rounded by itself.</summary>
public sealed record Contradiction(string Piece, Words Text);

/// <summary>A figure that is noticeably another one in the second column: by more than half a groove.</summary>
public sealed record Difference(FigureRef Id, Length First, Length Here)
{
    public Length Off => (Here - First).Abs();
}

/// <summary>All figures of a design as they are read and set in one system, so that every chain adds up in that system.</summary>
/// <param name="Settled">The result that the figures come from.</param>
/// <param name="OwnSizing">
/// True where it is the same card sized for a board of this system, as near to the other column as that board allows.
/// </param>
/// <param name="Contradictions">What would not have added up if the other column's figures had only been rounded.</param>
/// <param name="Differences">What differs from the other column by more than half a groove, the largest first.</param>
public sealed record SheetColumn(DisplayUnit Unit, Card Settled, IReadOnlyDictionary<FigureRef, SheetFigure> Figures, bool OwnSizing,
    IReadOnlyList<Contradiction> Contradictions, IReadOnlyList<Difference> Differences);

/// <summary>
/// A design in inches and in centimetres, side by side: on its own tools, and the same card on the guest's. A column is null where its
/// system has no figures that can be set, and where a guest of the same system has the sheet alone.
/// </summary>
public sealed record FigureSheet(SheetColumn? Inches, SheetColumn? Centimetres)
{
    public static FigureSheet Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        var (first, second) = card is { Own: { } whose, Second: not null } ? (whose, card) : (card, card.Second);
        var (own, beside) = (Plain(first), second is null ? null : Beside(first, second));
        return own.Unit == DisplayUnit.Inch ? new(own, beside) : new(beside, own);
    }

    /// <summary>What would not add up if the figures were written, each rounded by itself, in the given unit.</summary>
    public static IReadOnlyList<Contradiction> ContradictionsIn(Figures sized, DisplayUnit unit)
    {
        ArgumentNullException.ThrowIfNull(sized);
        Length Read(Length value) => value - LengthWriter.OffMark(value, unit);
        string Text(Length value) => LengthWriter.Write(value, unit);
        var found = new List<Contradiction>();
        foreach (var (piece, chain) in sized.Pieces.SelectMany(p => ChainsOf(p).Select(c => (p.Piece, c))))
        {
            var total = Read(chain[^1].To);
            var edges = chain.Select(p => Read(p.To)).ToList();
            var panels = edges.Select((e, i) => i == 0 ? e : e - edges[i - 1]).ToList();
            var sum = chain.Aggregate(Length.Zero, (s, p) => s + Read(p.Extent));
            if (sum != total)
            {
                found.Add(new Contradiction(piece.Id, Words.Of($"the panels of {piece.Name}, {string.Join(" + ", chain.Select(p => Text(Read(p.Extent))))}, come to {Text(sum)} {LengthWriter.Symbol(unit)} and the sheet is {Text(total)}")));
                continue;
            }

            // Equal panels must read as equal from score to score, and a symmetrical piece the same from both ends.
            var pairs = from i in Enumerable.Range(0, panels.Count) from j in Enumerable.Range(0, i) select (I: i, J: j);
            var unequal = pairs.Where(p => chain[p.I].Extent == chain[p.J].Extent && panels[p.I] != panels[p.J]).ToList();
            if (unequal.Count > 0)
            {
                var (i, j) = unequal[0];
                found.Add(new Contradiction(piece.Id, Words.Of($"{chain[j].Name} and {chain[i].Name} of {piece.Name} are equal, and from score to score they would be {Text(panels[j])} and {Text(panels[i])} {LengthWriter.Symbol(unit)}")));
                continue;
            }

            var scores = chain.SkipLast(1).Select(p => p.To).ToList();
            var mirrored = scores.FirstOrDefault(at => scores.Contains(chain[^1].To - at) && Read(at) + Read(chain[^1].To - at) != total, Length.Zero);
            if (mirrored > Length.Zero)
            {
                found.Add(new Contradiction(piece.Id, Words.Of($"{Text(Read(mirrored))} and {Text(Read(chain[^1].To - mirrored))} {LengthWriter.Symbol(unit)} of {piece.Name} mirror each other and do not come to {Text(total)}")));
            }
        }

        return found;
    }

    /// <summary>What adds up on a piece: its panels along the chain, and across it where creases run there.</summary>
    private static IEnumerable<IReadOnlyList<(string Name, Length From, Length To, Length Extent)>> ChainsOf(SizedPiece piece)
    {
        yield return [.. piece.Panels.Select(p => (p.Panel.Name, p.From, p.To, p.Extent))];
        var crossing = piece.Lines.Where(l => l.Axis is not null).ToList();
        if (crossing.Count > 0)
        {
            var names = crossing.Select(l => l.Sides[0]).Append(crossing[^1].Sides[^1]).ToList();
            var edges = crossing.Select(l => l.Figure.Value).Prepend(Length.Zero).Append(piece.Across.Value).ToList();
            yield return [.. names.Select((name, i) => (name, edges[i], edges[i + 1], edges[i + 1] - edges[i]))];
        }
    }

    /// <summary>What is to be known of the columns before they are read: for whose board each is, and the largest difference first.</summary>
    public IReadOnlyList<Words> Notes(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        var notes = new List<Words>();
        foreach (var (unit, other, column) in new[] { ("inches", "centimetre", Inches), ("centimetres", "inch", Centimetres) })
        {
            if (column is null && card is { Own: not null, Second: null })
            {
                continue;
            }

            if (column is null)
            {
                notes.Add(Words.Of($"No figures in {unit} can be set for this design."));
            }
            else if (column.OwnSizing)
            {
                notes.Add(Words.Of($"The {unit} are the same card for {column.Settled.Figures.Tools.Name}, {(column.Differences.Count == 0 ? "no figure further off than half a groove" : "as near as that allows")}."));
                var called = FigureRows.Of(column.Settled, inOrderOfSetting: false).SelectMany(s => s.Rows.Select(r => (s.Title, Row: r))).ToDictionary(r => r.Row.Figure.Id);
                // Of lines that are equal only one has a row, and what has none is told with it.
                if (column.Differences.FirstOrDefault(d => called.ContainsKey(d.Id)) is { } most)
                {
                    var (title, row) = called[most.Id];
                    notes.Add(Words.Of($"Largest difference from the {other} card: {title}, {row.Label}{(row.Detail is { Length: > 0 } detail && detail != "cut" ? $" ({detail})" : "")}, {most.Off:u} {(most.Here < most.First ? "less" : "more")}."));
                }

                if (column.Figures.Values.Any(f => f.Reads.Aside == true))
                {
                    notes.Add(Words.Of($"In brackets stands the size of a thing that is there, such as a die; it is not for setting."));
                }
            }
        }

        return notes;
    }

    private static SheetColumn Plain(Card card)
    {
        var unit = card.Figures.Tools.System.UnitOf();
        return new SheetColumn(unit, card, FiguresOf(card, unit), false, [], []);
    }

    private static SheetColumn Beside(Card own, Card second)
    {
        var unit = second.Figures.Tools.System.UnitOf();
        var half = new Length(Groove.For(unit.SystemOf()).Units / 2);
        var differences = second.All.Where(f => own.Figure(f.Id) is not null).Select(f =>
            new Difference(f.Id, own.Figure(f.Id)!.Value, f.Value)).Where(d => d.Off > half).OrderByDescending(d => d.Off);
        return new SheetColumn(unit, second, FiguresOf(second, unit), true, ContradictionsIn(own.Figures, unit), [.. differences]);
    }

    /// <summary>A groove of the usual board.</summary>
    private static Pair Groove { get; } = Pair.Of(1, 8, 5m);

    private static Dictionary<FigureRef, SheetFigure> FiguresOf(Card card, DisplayUnit unit) =>
        card.All.ToDictionary(f => f.Id, f => new SheetFigure(f.Id, f.Value, card.Read(f.Setting is Setting.TickToTick ? f.Setting.At : f.Value, unit), f.Setting));
}
