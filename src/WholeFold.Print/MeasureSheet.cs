using WholeFold.Core.Drawing;
using WholeFold.Core.Guide;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Print;

/// <summary>
/// All that it takes to make the card, in inches and in centimetres: the pieces drawn, and every step in a sentence, once. On one page
/// where it goes at nine points, else on two; never smaller.
/// </summary>
internal static class MeasureSheet
{
    /// <summary>Nine points, in millimetres: what is smaller is not read at a table.</summary>
    internal const double Smallest = 9 * 25.4 / 72;

    private static readonly double[] Sizes = [3.6, 3.4, Smallest];

    /// <summary>How much of the page the pieces may take, the most first.</summary>
    private static readonly double[] Bands = [0.36, 0.28, 0.2, 0.14];

    private const int Columns = 2;

    private const double Gutter = 6;

    private sealed record Block(IReadOnlyList<SentencePart> Words, double Size, bool Head, double Height);

    public static IReadOnlyList<Page> Of(HandOut ask)
    {
        // Said once, however often it is set anew.
        var said = InBoth.Of(ask.Card, ask.Steps, ask.Unit, ask.Card.Second, ask.Cards);
        var notes = FigureSheet.Of(ask.Card).Notes(ask.Card);
        var tries = from pages in Enumerable.Range(1, 2) from size in Sizes from band in Bands select (Pages: pages, Size: size, Band: band);
        return tries.Select(t => Compose(ask, said, notes, t.Size, t.Band, t.Pages)).FirstOrDefault(p => p is not null)
            ?? Compose(ask, said, notes, Smallest, Bands[^1], int.MaxValue) ?? throw Flow.TooSmall(ask.Paper);
    }

    private static IReadOnlyList<Page>? Compose(HandOut ask, IReadOnlyList<(Step Step, IReadOnlyList<SentencePart> Say)> said,
        IReadOnlyList<Words> notes, double size, double band, int most)
    {
        var (card, flow) = (ask.Card, new Flow(ask.Paper, ask.Title));
        flow.Write(ask.Name, size * 1.8, bold: true, Reads.Title);
        flow.Write(Words.Of($"{card.Design.Family.Name}, {card.Target.Format.Name}, {card.Design.SizeAsRead(card.Target.Width, card.Target.Height)}{(ask.Cards > 1 ? $", for {ask.Cards} cards" : "")}. {card.Figures.Tools.Name}. Closed {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)}, {card.Thickness.Greatest.Millimetres:0.0} mm thick, {Math.Round(card.Grams):0} g.").Parts(ask.Unit), size);
        foreach (var note in notes)
        {
            flow.Write(note.Parts(ask.Unit), size, colour: "#444444");
        }

        flow.Skip(size * 1.1);
        Pieces(flow, ask, size, band);
        flow.Write("V folds towards you, M away from you, as the piece lies here.", size, colour: "#444444");
        flow.Skip(1);
        var left = Blocks(said, size, (flow.Width - (Gutter * (Columns - 1))) / Columns);
        while (left.Count > 0)
        {
            // On the last page the columns are as long as each other; before it each is filled.
            var lead = size * Typesetter.Lead;
            var limits = Enumerable.Range(0, 500).Select(i => (left.Sum(b => b.Height) / Columns) + (i * lead)).TakeWhile(l => l < flow.Room);
            var places = limits.Select(l => Placed(left, l)).FirstOrDefault(p => p.Count == left.Count) ?? Placed(left, flow.Room);
            if (places.Count == 0)
            {
                return null;
            }

            var width = (flow.Width - (Gutter * (Columns - 1))) / Columns;
            foreach (var (block, (column, down)) in left.Zip(places))
            {
                flow.Add(Flow.Block(block.Words, block.Size, Flow.Margin + (column * (width + Gutter)), flow.Y + down, width, block.Head,
                    block.Head ? Reads.Heading : Reads.Paragraph).Part);
            }

            left = left[places.Count..];
            if (left.Count > 0 && flow.Count == most)
            {
                return null;
            }

            if (left.Count > 0)
            {
                flow.Break();
            }
        }

        return flow.Pages();
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
            flow.Add(new Part(Reads.Figure, [.. PieceArt.Of(card, piece, x, top, scale, s => LengthWriter.Parts(s.Figure.Value, ask.Unit), size)], $"{piece.Piece.Name}, drawn to scale with its cuts and scores"));
            flow.Add(Flow.Block(Typesetter.Plain($"{piece.Piece.Name}{(piece.Piece.Quantity > 1 ? $" × {piece.Piece.Quantity}" : "")}"), size, x, top + (H(piece) * scale) + 0.3, 200).Part);
            x += (W(piece) * scale) + Gap;
        }

        flow.Skip((card.Pieces.Max(H) * scale) + (size * 1.5));
    }

    /// <summary>The steps in both systems, under what they are part of.</summary>
    private static List<Block> Blocks(IReadOnlyList<(Step Step, IReadOnlyList<SentencePart> Say)> said, double size, double width)
    {
        var blocks = new List<Block>();
        void Add(IReadOnlyList<SentencePart> words, double at, bool head) =>
            blocks.Add(new Block(words, at, head, Flow.Block(words, at, 0, 0, width, head).Height));
        var cautioned = new HashSet<string>();
        foreach (var ((step, say), i) in said.Select((s, i) => (s, i)))
        {
            if (i == 0 || GuideText.Heading(step.Phase) != GuideText.Heading(said[i - 1].Step.Phase))
            {
                Add(Typesetter.Plain(GuideText.Heading(step.Phase)), size * 1.08, head: true);
            }

            Add([new SentencePart($"{i + 1}. "), .. say, .. Steps.Care(step, cautioned).Select(c => new SentencePart($" {c}"))], size, head: false);
        }

        return blocks;
    }

    /// <summary>Which column each block goes in, and how far down, for as many as go. A head never stands last in a column.</summary>
    private static List<(int Column, double Down)> Placed(IReadOnlyList<Block> blocks, double limit)
    {
        var places = new List<(int, double)>();
        var (column, down) = (0, 0d);
        for (var i = 0; i < blocks.Count; i++)
        {
            var with = blocks[i].Head && i + 1 < blocks.Count ? blocks[i].Height + blocks[i + 1].Height : blocks[i].Height;
            if (down + with > limit)
            {
                (column, down) = (column + 1, 0);
                if (column == Columns || with > limit)
                {
                    break;
                }
            }

            places.Add((column, down));
            down += blocks[i].Height;
        }

        return places;
    }
}
