using WholeFold.Core.Drawing;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>Puts blocks one under the other on pages, and begins a new page where the next block would not go.</summary>
internal sealed class Flow(Paper paper, string title)
{
    public const double Margin = 12;

    private const double FootSize = MeasureSheet.Smallest;

    private readonly List<List<Part>> _pages = [[]];

    public double Width => paper.Width - (2 * Margin);

    /// <summary>Where the next block begins.</summary>
    public double Y { get; private set; } = Margin;

    public double Room => paper.Height - Margin - 6 - Y;

    public int Count => _pages.Count;

    public void Skip(double by) => Y += by;

    public void Break()
    {
        _pages.Add([]);
        Y = Margin;
    }

    /// <summary>Begins a new page unless there is room for so much.</summary>
    /// <exception cref="InputProblemException">No page has room for it.</exception>
    public void Need(double height)
    {
        if (height > paper.Height - (2 * Margin) - 6)
        {
            throw TooSmall(paper);
        }

        if (height > Room)
        {
            Break();
        }
    }

    public static InputProblemException TooSmall(Paper paper) => new("print.paper", "paper", $"{paper.Name} has no room for this", "a4, letter, or a4 and letter on their sides: a4-wide, letter-wide");

    public void Add(Part part) => _pages[^1].Add(part);

    /// <summary>A paragraph over the whole width, or from a place on.</summary>
    public void Write(IReadOnlyList<SentencePart> words, double size, bool bold = false, Reads reads = Reads.Paragraph, double? left = null, double? width = null, string colour = Pen.Black)
    {
        var (part, height) = Block(words, size, left ?? Margin, Y, width ?? Width, bold, reads, colour);
        Need(height);
        if (Y == Margin)
        {
            (part, height) = Block(words, size, left ?? Margin, Y, width ?? Width, bold, reads, colour);
        }

        Add(part);
        Y += height;
    }

    public void Write(string words, double size, bool bold = false, Reads reads = Reads.Paragraph, string colour = Pen.Black) => Write(Typesetter.Plain(words), size, bold, reads, colour: colour);

    /// <summary>A paragraph at a place, and how high it is.</summary>
    public static (Part Part, double Height) Block(IReadOnlyList<SentencePart> words, double size, double left, double top, double width, bool bold = false,
        Reads reads = Reads.Paragraph, string colour = Pen.Black)
    {
        var lines = Typesetter.Wrap(Typesetter.Tokens(words), size, bold, width);
        var lead = size * Typesetter.Lead;
        return (new Part(reads, [.. lines.SelectMany((line, i) => Typesetter.Line(line, left, top + size + (i * lead), size, bold, colour))]), (lines.Count * lead) + (size * 0.25));
    }

    /// <summary>The pages with their foot: what it is, and which of how many.</summary>
    public IReadOnlyList<Page> Pages() => [.. _pages.Select((parts, i) =>
    {
        var count = _pages.Count > 1 ? $"{i + 1} of {_pages.Count}" : "";
        var y = paper.Height - Margin + 2;
        return new Page(paper.Width, paper.Height,
        [
            .. parts,
            new Part(Reads.Nothing, [new Mark.Text(Margin, y, FootSize, title, Colour: "#555555"), new Mark.Text(paper.Width - Margin - Type.Width(count, FootSize, false), y, FootSize, count, Colour: "#555555")]),
        ]);
    })];
}
