using System.Globalization;
using System.Text;
using WholeFold.Core.Drawing;

namespace WholeFold.Core.Exchange;

/// <summary>
/// A page as a DXF of release 12, for machines that cut: outlines as polylines, each on the layer of what it is (cut, valley,
/// mountain, glue, note), so that a machine's program can give every layer its own tool and pass. One unit is one millimetre,
/// upwards from the lower left corner.
/// </summary>
/// <remarks>
/// The release knows no unit, no fill, no dashes in millimetres and only western letters: the unit stands as a remark at its
/// head, fills and dashes are left out, and a letter it has not is a question mark.
/// </remarks>
public static class PageDxf
{
    /// <summary>The layers in the order in which they are worked, with the colour number each is shown in.</summary>
    private static readonly IReadOnlyList<(string Name, int Colour)> _layers = [("VALLEY", 5), ("MOUNTAIN", 3), ("CUT", 7), ("GLUE", 8), ("NOTE", 9)];

    public static byte[] Write(Page page)
    {
        ArgumentNullException.ThrowIfNull(page);
        var text = new StringBuilder();
        Put(text, (999, "Whole Fold: one unit is one millimetre"));
        Put(text, (0, "SECTION"), (2, "HEADER"), (9, "$ACADVER"), (1, "AC1009"), (9, "$DWGCODEPAGE"), (3, "ANSI_1252"), (9, "$EXTMIN"), (10, 0.0), (20, 0.0), (9, "$EXTMAX"), (10, page.Width), (20, page.Height), (0, "ENDSEC"));
        Put(text, (0, "SECTION"), (2, "TABLES"));
        Put(text, (0, "TABLE"), (2, "LTYPE"), (70, 1), (0, "LTYPE"), (2, "CONTINUOUS"), (70, 0), (3, "Solid line"), (72, 65), (73, 0), (40, 0.0), (0, "ENDTAB"));
        Put(text, (0, "TABLE"), (2, "LAYER"), (70, _layers.Count));
        foreach (var (name, colour) in _layers)
        {
            Put(text, (0, "LAYER"), (2, name), (70, 0), (62, colour), (6, "CONTINUOUS"));
        }

        Put(text, (0, "ENDTAB"), (0, "ENDSEC"), (0, "SECTION"), (2, "ENTITIES"));

        // A machine works in the order of the file: scores before cuts and what is inside before what is round it, as nothing
        // lies still once it is cut out.
        foreach (var (layer, mark) in page.Parts.SelectMany(p => p.Marks).Select(m => (Layer: LayerOf(m), Mark: m))
            .OrderBy(m => _layers.TakeWhile(l => l.Name != m.Layer).Count()).ThenBy(m => Extent(m.Mark)))
        {
            WriteMark(text, layer, mark, page.Height);
        }

        Put(text, (0, "ENDSEC"), (0, "EOF"));
        return Encoding.Latin1.GetBytes(text.ToString());
    }

    private static string LayerOf(Mark mark) => mark is Mark.Path { Class: "valley" or "mountain" or "cut" or "glue" } path ? path.Class.ToUpperInvariant() : "NOTE";

    private static double Extent(Mark mark) => mark is Mark.Path { Class: "cut" } path && path.Lines.SelectMany(l => l).ToList() is { Count: > 0 } all
        ? (all.Max(p => p.X) - all.Min(p => p.X)) * (all.Max(p => p.Y) - all.Min(p => p.Y)) : 0;

    private static void WriteMark(StringBuilder text, string layer, Mark mark, double high)
    {
        if (mark is Mark.Text run)
        {
            Put(text, (0, "TEXT"), (8, layer), (10, run.X), (20, high - run.Y), (30, 0.0), (40, run.Size), (1, Line(run.Words)));
            return;
        }

        var path = (Mark.Path)mark;
        foreach (var line in path.Lines)
        {
            Put(text, (0, "POLYLINE"), (8, layer), (66, 1), (10, 0.0), (20, 0.0), (30, 0.0), (70, path.Closed ? 1 : 0));
            foreach (var (x, y) in line)
            {
                Put(text, (0, "VERTEX"), (8, layer), (10, x), (20, high - y), (30, 0.0));
            }

            Put(text, (0, "SEQEND"), (8, layer));
        }
    }

    private static void Put(StringBuilder text, params (int Code, object Value)[] groups)
    {
        foreach (var (code, value) in groups)
        {
            var written = value is double number ? Math.Round(number, 4).ToString("0.0###", CultureInfo.InvariantCulture) : Convert.ToString(value, CultureInfo.InvariantCulture)!;
            text.Append(CultureInfo.InvariantCulture, $"{code,3}\n{written}\n");
        }
    }

    /// <summary>One line in the file's letters: a value ends where its line ends, whatever a name holds.</summary>
    private static string Line(string words) => string.Concat(words.Select(c => char.IsControl(c) ? ' ' : c <= 'ÿ' ? c : '?'));
}
