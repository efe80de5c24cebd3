using WholeFold.Core.Constructions;
using WholeFold.Core.Drawing;
using WholeFold.Core.Guide;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Print;

/// <summary>Everything that is cut, scored and laid on one page, in inches and in centimetres, with the pieces drawn, the order of work and the cautions.</summary>
internal static class MeasureSheet
{
    /// <summary>It is set as large as goes on one page.</summary>
    private static readonly double[] Sizes = [3.3, 3.0, 2.75, 2.5, 2.3, 2.1, 1.95, 1.8];

    /// <summary>How much of the page the pieces may take, the most first.</summary>
    private static readonly double[] Bands = [0.42, 0.32, 0.24, 0.17];

    public static IReadOnlyList<Page> Of(HandOut ask)
    {
        var sheet = FigureSheet.Of(ask.Card);
        foreach (var size in Sizes)
        {
            foreach (var columns in size > 2.6 ? new[] { 2 } : [2, 3])
            {
                foreach (var band in Bands)
                {
                    if (Compose(ask, sheet, size, columns, band) is { } page)
                    {
                        return [page];
                    }
                }
            }
        }

        throw Flow.TooSmall(ask.Paper);
    }

    private static Page? Compose(HandOut ask, FigureSheet sheet, double size, int columns, double band)
    {
        var (card, paper) = (ask.Card, ask.Paper);
        var flow = new Flow(paper, ask.Title);
        flow.Write(ask.Name, size * 2.1, bold: true, Reads.Title);
        flow.Write(Words.Of($"{card.Design.Family.Name}, {card.Target.Format.Name}, {card.Design.SizeAsRead(card.Target.Width, card.Target.Height)}. {card.Design.StockOf(null).Name}, {card.Figures.Tools.Name}, reveal {card.Design.Reveal.Name}.").Parts(ask.Unit), size);
        flow.Write(Words.Of($"Closed {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)}, {card.Thickness.Greatest.Millimetres:0.0} mm thick, {Math.Round(card.Grams):0} g; {card.Packing.Said}.").Parts(ask.Unit), size);
        foreach (var note in sheet.Notes(card))
        {
            flow.Write(note.Parts(ask.Unit), size * 0.9, colour: "#444444");
        }

        flow.Skip(1);
        Pieces(flow, ask, size, band);
        flow.Skip(1.5);
        return Table(flow, ask, sheet, size, columns) && Order(flow, ask, size) && flow.Count == 1 ? flow.Pages()[0] : null;
    }

    /// <summary>All pieces to one scale, in rows, their scores with letters and figures.</summary>
    private static void Pieces(Flow flow, HandOut ask, double size, double share)
    {
        var card = ask.Card;
        var band = ask.Paper.Height * share;
        double W(SizedPiece p) => (double)p.Width.Value.Millimetres;
        double H(SizedPiece p) => (double)p.Height.Value.Millimetres;
        const double Gap = 5;
        var scale = Math.Min((flow.Width - (Gap * (card.Pieces.Count - 1))) / card.Pieces.Sum(W), (band - size - 2) / card.Pieces.Max(H));
        scale = Math.Min(scale, 0.7);
        var (x, top) = (Flow.Margin, flow.Y);
        foreach (var piece in card.Pieces)
        {
            flow.Add(new Part(Reads.Figure, [.. PieceArt.Of(card, piece, x, top, scale, s => LengthWriter.Parts(s.Figure.Value, ask.Unit), Math.Max(2.2, size * 0.72))], $"{piece.Piece.Name}, drawn to scale with its cuts and scores"));
            flow.Add(Flow.Block(Typesetter.Plain($"{piece.Piece.Name}{(piece.Piece.Quantity > 1 ? $" × {piece.Piece.Quantity}" : "")}"), size * 0.85, x, top + (H(piece) * scale) + 0.3, 200).Part);
            x += (W(piece) * scale) + Gap;
        }

        flow.Skip((card.Pieces.Max(H) * scale) + (size * 1.3));
    }

    private static bool Table(Flow flow, HandOut ask, FigureSheet sheet, double size, int columns)
    {
        var lead = size * Typesetter.Lead;
        const double Gutter = 6;
        var width = (flow.Width - (Gutter * (columns - 1))) / columns;
        var rows = new List<(bool Head, double Height, Func<double, double, IEnumerable<Part>> Draw)>();
        foreach (var section in FigureRows.Of(ask.Card, inOrderOfSetting: true))
        {
            rows.Add((true, lead * 1.35, (x, y) =>
            [
                Flow.Block(Typesetter.Plain(section.Title), size * 1.05, x, y + (lead * 0.2), width - 34, bold: true, Reads.Heading).Part,
                .. sheet.Inches is null ? Array.Empty<Part>() : [Flow.Block(Typesetter.Plain("in"), size * 0.8, x + width - 30,
                    y + (lead * 0.3), 14, colour: "#555555").Part],
                .. sheet.Centimetres is null ? Array.Empty<Part>()
                    : [Flow.Block(Typesetter.Plain("cm"), size * 0.8, x + width - 13, y + (lead * 0.3), 14, colour: "#555555").Part],
            ]));
            foreach (var row in section.Rows)
            {
                var label = $"{row.Label}{(row.Detail is { Length: > 0 } d && d != "cut" ? $", {d}" : "")}{(row.Mark.StartsWith('×') ? $" {row.Mark}" : "")}";
                var name = Typesetter.Wrap(Typesetter.Tokens(Typesetter.Plain(label)), size, false, width - 33);
                rows.Add((false, name.Count * lead, (x, y) =>
                [
                    Flow.Block(Typesetter.Plain(label), size, x, y, width - 33).Part,
                    .. Cell(sheet.Inches, row.Figure.Id, x + width - 31, y, size),
                    .. Cell(sheet.Centimetres, row.Figure.Id, x + width - 13.5, y, size),
                ]));
            }
        }

        // Shared out evenly over the columns: as short as they can be and still hold all.
        var all = rows.Sum(r => r.Height);
        for (var limit = all / columns; limit <= flow.Room; limit += lead)
        {
            if (Columns([.. rows.Select(r => (r.Head, r.Height))], limit, columns) is not { } places)
            {
                continue;
            }

            foreach (var (row, (column, down)) in rows.Zip(places))
            {
                foreach (var part in row.Draw(Flow.Margin + (column * (width + Gutter)), flow.Y + down))
                {
                    flow.Add(part);
                }
            }

            flow.Skip(rows.Zip(places, (r, p) => p.Down + r.Height).Max() + 1.5);
            return true;
        }

        return false;
    }

    /// <summary>Which column each row goes in, and how far down; null where they do not all go. A head never stands last in a column.</summary>
    private static List<(int Column, double Down)>? Columns(IReadOnlyList<(bool Head, double Height)> rows, double limit, int columns)
    {
        var places = new List<(int, double)>();
        var (column, down) = (0, 0d);
        for (var i = 0; i < rows.Count; i++)
        {
            var with = rows[i].Head && i + 1 < rows.Count ? rows[i].Height + rows[i + 1].Height : rows[i].Height;
            if (down > 0 && down + with > limit)
            {
                (column, down) = (column + 1, 0);
                if (column == columns)
                {
                    return null;
                }
            }

            places.Add((column, down));
            down += rows[i].Height;
        }

        return places;
    }

    private static IEnumerable<Part> Cell(SheetColumn? column, FigureRef id, double x, double y, double size)
    {
        if (column?.Figures.GetValueOrDefault(id) is { } figure)
        {
            yield return new Part(Reads.Paragraph, [.. Typesetter.Line([new Token(Typesetter.Figure(figure.Reads), false)], x, y + size, size, true, Pen.Black)]);
        }
    }

    /// <summary>The order of work in short, and what to beware of.</summary>
    private static bool Order(Flow flow, HandOut ask, double size)
    {
        var small = size * 0.95;
        var steps = ask.Steps;
        var words = $"In this order: {string.Join("; ", steps.Select((s, i) => $"{i + 1} {s.Title}"))}.";
        var cautions = steps.SelectMany(s => s.Cautions).Distinct().Select(c => Steps.Cautions[c]).ToList();
        var blocks = new[] { words }.Concat(cautions.Count == 0 ? [] : [$"Take care. {string.Join(" ", cautions)}"]).Concat(["V folds towards you, M away from you, as the piece lies here."]).ToList();
        var height = blocks.Sum(b => Flow.Block(Typesetter.Plain(b), small, 0, 0, flow.Width).Height);
        if (height > flow.Room)
        {
            return false;
        }

        foreach (var block in blocks)
        {
            flow.Write(block, small);
        }

        return true;
    }
}
