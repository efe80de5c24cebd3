using System.Globalization;
using System.Text;
using System.Xml;
using WholeFold.Core.Drawing;

namespace WholeFold.Core.Exchange;

/// <summary>A page as an SVG in true size: what is cut, valley and mountain stands in classes, and is told by dashes too.</summary>
public static class PageSvg
{
    public static string Write(Page page, string title)
    {
        ArgumentNullException.ThrowIfNull(page);
        var text = new StringBuilder();
        using (var xml = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true, Indent = true, NewLineChars = "\n" }))
        {
            xml.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            Set(xml, ("width", $"{Of(page.Width)}mm"), ("height", $"{Of(page.Height)}mm"), ("viewBox", $"0 0 {Of(page.Width)} {Of(page.Height)}"), ("font-family", "Inter, sans-serif"));
            xml.WriteElementString("title", title);
            if (page.Ground is { } ground)
            {
                xml.WriteStartElement("rect");
                Set(xml, ("width", Of(page.Width)), ("height", Of(page.Height)), ("fill", ground));
                xml.WriteEndElement();
            }

            foreach (var (part, i) in page.Parts.Select((p, i) => (p, i)))
            {
                WritePart(xml, part, i);
            }

            xml.WriteEndElement();
        }

        return text.ToString();
    }

    private static void WritePart(XmlWriter xml, Part part, int i)
    {
        if (part.Clip is { } clip)
        {
            xml.WriteStartElement("clipPath");
            Set(xml, ("id", $"clip{i}"));
            xml.WriteStartElement("rect");
            Set(xml, ("x", Of(clip.Left)), ("y", Of(clip.Top)), ("width", Of(clip.Width)), ("height", Of(clip.Height)));
            xml.WriteEndElement();
            xml.WriteEndElement();
        }

        xml.WriteStartElement("g");
        if (part.Clip is not null)
        {
            Set(xml, ("clip-path", $"url(#clip{i})"));
        }

        if (part.Said is { } said)
        {
            xml.WriteElementString("desc", said);
        }

        foreach (var mark in part.Marks)
        {
            if (mark is Mark.Path path)
            {
                xml.WriteStartElement("path");
                Set(xml, ("class", path.Class), ("d", string.Join(' ', path.Lines.Select(l => $"M{string.Join('L', l.Select(p => $"{Of(p.X)} {Of(p.Y)}"))}{(path.Closed ? "z" : "")}"))), ("fill", path.Fill ?? "none"));
                if (path.Closed && path.Lines.Count > 1)
                {
                    Set(xml, ("fill-rule", "evenodd"));
                }

                if (path.Pen is { } pen)
                {
                    Set(xml, ("stroke", pen.Colour), ("stroke-width", Of(pen.Width)));
                    if (pen.Dash is { } dash)
                    {
                        Set(xml, ("stroke-dasharray", string.Join(' ', dash.Select(Of))));
                    }
                }

                xml.WriteEndElement();
            }
            else if (mark is Mark.Text run)
            {
                xml.WriteStartElement("text");
                Set(xml, ("x", Of(run.X)), ("y", Of(run.Y)), ("font-size", Of(run.Size)), ("fill", run.Colour));
                if (run.Bold)
                {
                    Set(xml, ("font-weight", "700"));
                }

                xml.WriteAttributeString("xml", "space", null, "preserve");
                xml.WriteString(run.Words);
                xml.WriteEndElement();
            }
        }

        xml.WriteEndElement();
    }

    private static void Set(XmlWriter xml, params (string Name, string Value)[] attributes)
    {
        foreach (var (name, value) in attributes)
        {
            xml.WriteAttributeString(name, value);
        }
    }

    /// <summary>To a thousandth of a millimetre.</summary>
    private static string Of(double value) => Math.Round(value, 3).ToString("0.###", CultureInfo.InvariantCulture);
}
