using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Lists;

/// <summary>One figure of the sheet, as it is set in one system.</summary>
/// <param name="Value">The exact length that the text stands for.</param>
public sealed record SheetFigure(FigureRef Id, Length Value, string Text, Setting Setting);

/// <summary>A sum that comes out otherwise when each figure is rounded by itself.</summary>
public sealed record Contradiction(string Piece, Words Text);

/// <summary>All figures of a design as they are read in one system, so that every chain adds up in that system.</summary>
/// <param name="Settled">The result that the figures come from.</param>
/// <param name="OwnSizing">
/// True where the other system's figures, rounded, would contradict each other, so that the design was sized anew for tools
/// of this system; <see cref="Contradictions"/> then says what would not have added up.
/// </param>
public sealed record SheetColumn(DisplayUnit Unit, Card Settled, IReadOnlyDictionary<FigureRef, SheetFigure> Figures, bool OwnSizing, IReadOnlyList<Contradiction> Contradictions);

/// <summary>A design in inches and in centimetres, side by side. A column is null where its system has no figures that can be set.</summary>
public sealed record FigureSheet(SheetColumn? Inches, SheetColumn? Centimetres)
{
    public static FigureSheet Of(Card card) => new(Column(card, DisplayUnit.Inch), Column(card, DisplayUnit.Centimetre));

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
            var names = crossing.Select(l => l.Between.Split(" | ")[0]).Append(crossing[^1].Between.Split(" | ")[^1]).ToList();
            var edges = crossing.Select(l => l.Figure.Value).Prepend(Length.Zero).Append(piece.Across.Value).ToList();
            yield return [.. names.Select((name, i) => (name, edges[i], edges[i + 1], edges[i + 1] - edges[i]))];
        }
    }

    private static SheetColumn? Column(Card card, DisplayUnit unit)
    {
        var contradictions = ContradictionsIn(card.Figures, unit);
        if (contradictions.Count == 0)
        {
            return new SheetColumn(unit, card, FiguresOf(card, unit), false, []);
        }

        // Pins set by hand are wishes on the other system's tools, where they may lie on no mark.
        var own = card.Design with { Tools = card.Design.Inventory.DefaultToolsFor(unit.SystemOf()).Id };
        var again = Try(own, card.Target) ?? Try(own with { Pins = new Dictionary<string, Length>(), Adjustments = new Dictionary<string, IReadOnlyDictionary<string, Length>>() }, card.Target);
        return again is null || ContradictionsIn(again.Figures, unit).Count > 0 ? null : new SheetColumn(unit, again, FiguresOf(again, unit), true, contradictions);
    }

    private static Card? Try(Design design, Target target)
    {
        try
        {
            return Card.Try(design, target);
        }
        catch (InputProblemException)
        {
            return null;
        }
    }

    private static Dictionary<FigureRef, SheetFigure> FiguresOf(Card card, DisplayUnit unit) =>
        card.All.ToDictionary(f => f.Id, f => new SheetFigure(f.Id, f.Value, LengthWriter.Write(f.Value, unit), f.Setting));
}
