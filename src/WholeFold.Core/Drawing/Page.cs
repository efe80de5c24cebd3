namespace WholeFold.Core.Drawing;

/// <summary>How a line is drawn: its width and dashes in millimetres. Dashes tell valley from mountain where all is black.</summary>
public sealed record Pen(double Width, string Colour = Pen.Black, IReadOnlyList<double>? Dash = null)
{
    public const string Black = "#000000";

    /// <summary>A cut, a valley and a mountain, told apart without a colour.</summary>
    public static Pen Cut { get; } = new(0.25);

    public static Pen Valley { get; } = new(0.25, Black, [3, 1.5]);

    public static Pen Mountain { get; } = new(0.25, Black, [5, 1.2, 0.8, 1.2]);

    /// <summary>What only helps: edges of what lies on something, ticks.</summary>
    public static Pen Hair { get; } = new(0.12, "#555555");
}

/// <summary>Something on a page, in millimetres from its upper left corner, downwards.</summary>
public abstract record Mark
{
    private Mark()
    {
    }

    /// <summary>Rings or lines; what a ring inside another one covers is left out.</summary>
    /// <param name="Class">What it is: cut, valley, mountain, glue, layer, note.</param>
    public sealed record Path(IReadOnlyList<IReadOnlyList<(double X, double Y)>> Lines, bool Closed, Pen? Pen, string? Fill = null, string Class = "note") : Mark;

    /// <summary>A run of text from the left end of its base line.</summary>
    /// <param name="Size">Of its type, in millimetres.</param>
    public sealed record Text(double X, double Y, double Size, string Words, bool Bold = false, string Colour = Pen.Black) : Mark;
}

/// <summary>What a part of a page is to one who has it read out.</summary>
public enum Reads
{
    Title,
    Heading,
    Paragraph,

    /// <summary>A drawing, told by its words.</summary>
    Figure,

    /// <summary>Only for the eye: rules, page marks.</summary>
    Nothing,
}

/// <summary>A part of a page that is read at one go; the parts of a page are in the order in which they are read.</summary>
/// <param name="Said">Of a drawing, what it shows.</param>
/// <param name="Clip">The rectangle outside which nothing of it is drawn: left, top, width, height.</param>
public sealed record Part(Reads As, IReadOnlyList<Mark> Marks, string? Said = null, (double Left, double Top, double Width, double Height)? Clip = null);

/// <summary>A page in millimetres; what every kind of hand-out is, before it becomes a PDF, an SVG or a picture.</summary>
/// <param name="Ground">What it is filled with; null where nothing lies behind it.</param>
public sealed record Page(double Width, double Height, IReadOnlyList<Part> Parts, string? Ground = null);
