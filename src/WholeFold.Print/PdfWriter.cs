using PdfSharp.Drawing;
using PdfSharp.Fonts;
using PdfSharp.Pdf;
using PdfSharp.UniversalAccessibility;
using WholeFold.Core.Drawing;

namespace WholeFold.Print;

/// <summary>Pages as a PDF: fonts embedded, text that can be selected, with a title, a language and an order in which it is read.</summary>
public static class PdfWriter
{
    private const double PointsPerMillimetre = 72 / 25.4;

    private static readonly Lock One = new();

    static PdfWriter() => GlobalFontSettings.FontResolver = new Type.Resolver();

    /// <param name="progress">Told after each page how many are done.</param>
    public static byte[] Write(IReadOnlyList<Page> pages, string title, IProgress<int>? progress = null, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(pages);

        // The library keeps its fonts for all documents; one is written at a time.
        lock (One)
        {
            using var document = new PdfDocument();
            document.Info.Title = title;
            document.Info.Creator = "Whole Fold";
            document.ViewerPreferences.DisplayDocTitle = true;
            var reading = UAManager.ForDocument(document).StructureBuilder;
            document.Language = "en-GB";
            foreach (var (page, i) in pages.Select((p, i) => (p, i)))
            {
                cancel.ThrowIfCancellationRequested();
                var sheet = document.AddPage();
                (sheet.Width, sheet.Height) = (XUnit.FromMillimeter(page.Width), XUnit.FromMillimeter(page.Height));
                using var on = XGraphics.FromPdfPage(sheet);
                foreach (var part in page.Parts)
                {
                    Draw(on, reading, part);
                }

                progress?.Report(i + 1);
            }

            using var bytes = new MemoryStream();
            document.Save(bytes, closeStream: false);
            return bytes.ToArray();
        }
    }

    private static void Draw(XGraphics on, StructureBuilder reading, Part part)
    {
        switch (part.As)
        {
            case Reads.Nothing:
                reading.BeginArtifact();
                break;
            case Reads.Figure:
                reading.BeginElement(PdfIllustrationElementTag.Figure, part.Said ?? "drawing", new XRect(0, 0, on.PageSize.Width, on.PageSize.Height));
                break;
            default:
                reading.BeginElement(part.As switch { Reads.Title => PdfBlockLevelElementTag.Heading1, Reads.Heading => PdfBlockLevelElementTag.Heading2, _ => PdfBlockLevelElementTag.Paragraph });
                break;
        }

        var state = on.Save();
        if (part.Clip is { } clip)
        {
            on.IntersectClip(new XRect(At(clip.Left), At(clip.Top), At(clip.Width), At(clip.Height)));
        }

        foreach (var mark in part.Marks)
        {
            if (mark is Mark.Text { Words.Length: > 0 } run)
            {
                on.DrawString(run.Words, new XFont(Type.Family, At(run.Size), run.Bold ? XFontStyleEx.Bold : XFontStyleEx.Regular), new XSolidBrush(Colour(run.Colour)), At(run.X), At(run.Y));
            }
            else if (mark is Mark.Path path)
            {
                Draw(on, path);
            }
        }

        on.Restore(state);
        reading.End();
    }

    private static void Draw(XGraphics on, Mark.Path path)
    {
        var line = new XGraphicsPath { FillMode = XFillMode.Alternate };
        foreach (var points in path.Lines.Where(l => l.Count > 1))
        {
            line.StartFigure();
            line.AddLines([.. points.Select(p => new XPoint(At(p.X), At(p.Y)))]);
            if (path.Closed)
            {
                line.CloseFigure();
            }
        }

        var pen = path.Pen is not { } p ? null : new XPen(Colour(p.Colour), At(p.Width));
        if (pen is not null && path.Pen!.Dash is { } dash)
        {
            // Dashes are counted in widths of the line.
            pen.DashPattern = [.. dash.Select(d => d / path.Pen.Width)];
        }

        var fill = path.Fill is { } colour ? new XSolidBrush(Colour(colour)) : null;
        if (pen is not null && fill is not null)
        {
            on.DrawPath(pen, fill, line);
        }
        else if (pen is not null)
        {
            on.DrawPath(pen, line);
        }
        else if (fill is not null)
        {
            on.DrawPath(fill, line);
        }
    }

    private static double At(double millimetres) => millimetres * PointsPerMillimetre;

    private static XColor Colour(string hex) => hex.Length == 9 ? XColor.FromArgb(Part(hex, 7), Part(hex, 1), Part(hex, 3), Part(hex, 5))
        : XColor.FromArgb(255, Part(hex, 1), Part(hex, 3), Part(hex, 5));

    private static int Part(string hex, int at) => Convert.ToInt32(hex.Substring(at, 2), 16);
}
