using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>Templates at full size over as many pages as it takes, with a check square, overlaps and page marks; in black only.</summary>
internal static class TrueSize
{
    /// <summary>What of a page printers leave white, and how far one page reaches over the next.</summary>
    private const double Edge = 10, Overlap = 10;

    /// <summary>The strip at the head of every page: what it is, and the check square.</summary>
    private const double Head = 32;

    /// <summary>So much of a line on the very edge is beyond it.</summary>
    private const double Hair = 0.2;

    /// <summary>A template to draw round is so much smaller all round, so that the pencil's line falls on the waste.</summary>
    public static readonly Length Shade = Length.Mm(0.3m);

    private sealed record Item(string Name, int Count, double Width, double Height, Func<double, double, IEnumerable<Mark>> Draw);

    public static IReadOnlyList<Page> Of(HandOut ask)
    {
        var items = Items(ask, Shade, figures: true);
        var (roomX, roomY) = (ask.Paper.Width - (2 * Edge), ask.Paper.Height - (2 * Edge) - Head);
        if (roomX < 60 || roomY < 60)
        {
            throw Flow.TooSmall(ask.Paper);
        }

        var pages = items.SelectMany(i => Tiles(ask, i, roomX, roomY)).ToList();
        return [.. pages.Select((p, i) => p with { Parts = [.. p.Parts, Note(ask, $"{i + 1} of {pages.Count}", ask.Paper.Width - Edge - 14, ask.Paper.Height - 5)] })];
    }

    /// <summary>What is cut out: the pieces, and what is drawn round, smaller by a shade.</summary>
    private static List<Item> Items(HandOut ask, Length shade, bool figures)
    {
        var items = new List<Item>();
        foreach (var piece in ask.Card.Pieces)
        {
            items.Add(new Item($"{piece.Piece.Name}{(piece.Piece.Quantity > 1 ? $", cut {piece.Piece.Quantity}" : "")}", piece.Piece.Quantity,
                (double)piece.Width.Value.Millimetres, (double)piece.Height.Value.Millimetres,
                (x, y) => PieceArt.Of(ask.Card, piece, x, y, figures: figures ? s => LengthWriter.Parts(s.Figure.Value, ask.Unit) : null)));
        }

        foreach (var drawn in DrawRound.Of(ask.Card, shade))
        {
            items.Add(new Item(drawn.Name, 1, (double)drawn.Width.Millimetres, (double)drawn.Height.Millimetres,
                (x, y) => [new Mark.Path([[.. drawn.Outline.Select(p => (x + (double)p.X.Millimetres, y + (double)(drawn.Height - p.Y).Millimetres))]], true,
                Pen.Cut, Class: "cut")]));
        }

        return items;
    }

    /// <summary>Everything that is cut, as often as it is needed, side by side on one sheet as large as that takes: what a machine is given.</summary>
    public static Page Nest(HandOut ask)
    {
        const double Apart = 6, Name = 5, Widest = 300;
        var (marks, x, y, row, wide) = (new List<Mark>(), Apart, Apart, 0.0, 0.0);
        foreach (var item in Items(ask, Length.Zero, figures: false).SelectMany(i => Enumerable.Repeat(i, i.Count)))
        {
            if (x > Apart && x + item.Width + Apart > Widest)
            {
                (x, y, row) = (Apart, y + row + Apart, 0);
            }

            marks.Add(new Mark.Text(x, y + 3, 3, item.Name));
            marks.AddRange(item.Draw(x, y + Name));
            x += item.Width + Apart;
            (row, wide) = (Math.Max(row, item.Height + Name), Math.Max(wide, x));
        }

        return new Page(wide, y + row + Apart, [new Part(Reads.Figure, marks, "everything that is cut, at full size")]);
    }

    private static IEnumerable<Page> Tiles(HandOut ask, Item item, double roomX, double roomY)
    {
        // On its side where that takes fewer pages is left alone: a template lies as the piece is drawn everywhere else.
        var (across, down) = (Count(item.Width, roomX), Count(item.Height, roomY));
        for (var row = 0; row < down; row++)
        {
            for (var column = 0; column < across; column++)
            {
                var (x, y) = (Edge - (column * (roomX - Overlap)), Edge + Head - (row * (roomY - Overlap)));
                var tile = across * down == 1 ? "" : $", part {(char)('A' + row)}{column + 1} of {(char)('A' + down - 1)}{across}";
                var words = $"{ask.Name}: {item.Name}{tile}";
                yield return new Page(ask.Paper.Width, ask.Paper.Height,
                [
                    new Part(Reads.Heading, [new Mark.Text(Edge, Edge + 4, 4, words, Bold: true)]),
                    new Part(Reads.Paragraph, [new Mark.Text(Edge, Edge + 10, 2.8, "Print at full size, not fitted to the page. Solid: cut. Dashes, V: valley. Dash and dot, M: mountain. Hatched: adhesive.")]),
                    CheckSquare(Edge, Edge + 13),
                    new Part(Reads.Figure, [.. item.Draw(x, y)], $"{item.Name} at full size{tile}", (Edge - Hair, Edge + Head - Hair, roomX + (2 * Hair), roomY + (2 * Hair))),
                    .. across * down == 1 ? [] : new[] { new Part(Reads.Nothing, [.. Joins(column, row, across, down, roomX, roomY)]) },
                ]);
            }
        }
    }

    private static int Count(double size, double room) => size <= room ? 1 : (int)Math.Ceiling((size - Overlap) / (room - Overlap));

    /// <summary>Where the next page is laid over this one: a hair line across the overlap with arms to lay edge on edge.</summary>
    private static IEnumerable<Mark> Joins(int column, int row, int across, int down, double roomX, double roomY)
    {
        var (left, top) = (Edge, Edge + Head);
        if (column + 1 < across)
        {
            yield return new Mark.Path([[(left + roomX - Overlap, top), (left + roomX - Overlap, top + roomY)]], false, new Pen(0.12, Pen.Black, [1, 1]), Class: "join");
            yield return new Mark.Text(left + roomX - Overlap - 16, top + roomY - 1.5, 2.4, $"lay {(char)('A' + row)}{column + 2} here →");
        }

        if (row + 1 < down)
        {
            yield return new Mark.Path([[(left, top + roomY - Overlap), (left + roomX, top + roomY - Overlap)]], false, new Pen(0.12, Pen.Black, [1, 1]), Class: "join");
            yield return new Mark.Text(left + 0.6, top + roomY - Overlap + 3, 2.4, $"lay {(char)('A' + row + 1)}{column + 1} here ↓");
        }

        foreach (var (x, y) in new[] { (left, top), (left + roomX, top), (left, top + roomY), (left + roomX, top + roomY) })
        {
            yield return new Mark.Path([[(x - 2, y), (x + 2, y)], [(x, y - 2), (x, y + 2)]], false, Pen.Hair, Class: "join");
        }
    }

    /// <summary>An inch and two centimetres: measured on paper they say whether it came out at full size.</summary>
    private static Part CheckSquare(double x, double y) => new(Reads.Figure,
    [
        new Mark.Path([[(x, y), (x + 25.4, y), (x + 25.4, y + 12.7), (x, y + 12.7)]], true, Pen.Hair, Class: "check"),
        new Mark.Text(x + 1.5, y + 7.5, 2.6, "1 in by 1/2 in"),
        new Mark.Path([[(x + 32, y), (x + 82, y), (x + 82, y + 10), (x + 32, y + 10)]], true, Pen.Hair, Class: "check"),
        new Mark.Text(x + 33.5, y + 6, 2.6, "5 cm by 1 cm"),
        new Mark.Text(x + 86, y + 6, 2.6, "Measure these two first."),
    ], "two rectangles to check the size by: one inch by half an inch, and five centimetres by one");

    private static Part Note(HandOut ask, string words, double x, double y) => new(Reads.Nothing, [new Mark.Text(x, y, 2.8, words, Colour: "#555555"), new Mark.Text(Edge, y, 2.8, ask.Title, Colour: "#555555")]);
}
