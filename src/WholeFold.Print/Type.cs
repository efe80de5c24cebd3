using System.Reflection;
using PdfSharp.Fonts;
using SkiaSharp;
using Svg.Skia.TypefaceProviders;

namespace WholeFold.Print;

/// <summary>The typefaces that ship: for measuring, for pictures and for PDF alike. A font that is missing is found out here, not on paper.</summary>
internal static class Type
{
    public const string Family = "Inter";

    private static readonly byte[] RegularBytes = Read("Inter-Regular"), BoldBytes = Read("Inter-Bold");

    private static readonly SKTypeface Regular = Face(RegularBytes), Bold = Face(BoldBytes);

    private static readonly SKFont MeasureRegular = new(Regular, 1000) { Subpixel = true }, MeasureBold = new(Bold, 1000) { Subpixel = true };

    /// <summary>How wide a text of a size is, both in millimetres.</summary>
    public static double Width(string text, double size, bool bold)
    {
        // Skia's fonts keep what they measured last and are for one thread at a time.
        lock (MeasureRegular)
        {
            return (bold ? MeasureBold : MeasureRegular).MeasureText(text) / 1000 * size;
        }
    }

    private static byte[] Read(string name)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"font.{name}") ?? throw new InvalidOperationException($"The font {name} did not ship with this build.");
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        return bytes.ToArray();
    }

    private static SKTypeface Face(byte[] bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        return SKTypeface.FromData(data) ?? throw new InvalidOperationException("A font that ships cannot be read.");
    }

    /// <summary>Hands the typefaces to the renderer of SVG, which draws no text at all without one.</summary>
    public sealed class Provider : ITypefaceProvider
    {
        public SKTypeface? FromFamilyName(string fontFamily, SKFontStyleWeight fontWeight, SKFontStyleWidth fontWidth, SKFontStyleSlant fontStyle) => (int)fontWeight >= 600 ? Bold : Regular;
    }

    /// <summary>Hands them to the writer of PDF.</summary>
    public sealed class Resolver : IFontResolver
    {
        public byte[] GetFont(string faceName) => faceName == "bold" ? BoldBytes : RegularBytes;

        public FontResolverInfo ResolveTypeface(string familyName, bool isBold, bool isItalic) => new(isBold ? "bold" : "regular");
    }
}
