namespace WholeFold.Core.Measure;

/// <summary>A sentence with lengths in it, written in whatever unit the reader uses.</summary>
public sealed class Words
{
    private readonly List<object> _parts = [];

    public static Words Of(FormattableString text) => new Words().Add(text);

    public Words Add(FormattableString text)
    {
        ArgumentNullException.ThrowIfNull(text);
        _parts.Add(text);
        return this;
    }

    public string In(DisplayUnit unit) => string.Concat(_parts.Cast<FormattableString>().Select(p => Render(p, unit)));

    /// <summary>Nobody says "0 full": what is less than half a mark is a hair.</summary>
    private static string Spoken(Length length, DisplayUnit unit) =>
        length != Length.Zero && LengthWriter.OffMark(length, unit) == length ? "a hair" : LengthWriter.Write(length, unit);

    private static string Render(FormattableString text, DisplayUnit unit) =>
        string.Format(System.Globalization.CultureInfo.InvariantCulture, text.Format, [.. text.GetArguments().Select(a => a switch
        {
            Length length => Spoken(length, unit),
            Words words => words.In(unit),
            _ => a,
        })]);
}
