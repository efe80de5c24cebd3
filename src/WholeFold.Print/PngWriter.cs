using System.Globalization;
using SkiaSharp;
using Svg.Skia;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;

namespace WholeFold.Print;

/// <summary>A page as a picture: its SVG, rendered.</summary>
public static class PngWriter
{
    /// <param name="wide">How many dots wide it becomes.</param>
    public static byte[] Write(Page page, string title, int wide)
    {
        ArgumentNullException.ThrowIfNull(page);
        using var svg = new SKSvg();
        svg.Settings.TypefaceProviders!.Insert(0, new Type.Provider());

        // The renderer takes a viewBox as it is; without a size in millimetres a unit is a dot.
        var drawn = PageSvg.Write(page, title).Replace(string.Create(CultureInfo.InvariantCulture, $"width=\"{Math.Round(page.Width, 3):0.###}mm\" height=\"{Math.Round(page.Height, 3):0.###}mm\" "), string.Create(CultureInfo.InvariantCulture, $"width=\"{page.Width:0.###}\" height=\"{page.Height:0.###}\" "), StringComparison.Ordinal);
        svg.FromSvg(drawn);
        using var bytes = new MemoryStream();
        var scale = (float)(wide / page.Width);
        return svg.Save(bytes, SKColors.Transparent, SKEncodedImageFormat.Png, 100, scale, scale) ? bytes.ToArray() : throw new InvalidOperationException("The picture could not be drawn.");
    }
}
