using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using WholeFold.Store;

namespace WholeFold.App.Features.Catalogue;

/// <param name="Detail">Size or caliper, in the thing's own system.</param>
/// <param name="Own">Whether it is the studio's own.</param>
public sealed record CatalogueItem(string Id, string Name, string Detail, bool Own = false);

/// <param name="Accepts">What a typed format may look like.</param>
public sealed record CatalogueView(
    IReadOnlyList<CatalogueItem> Constructions,
    IReadOnlyList<CatalogueItem> Formats,
    IReadOnlyList<CatalogueItem> Tools,
    IReadOnlyList<CatalogueItem> Stocks,
    IReadOnlyList<CatalogueItem> Reveals,
    IReadOnlyList<CatalogueItem> Adhesives,
    string Accepts,
    string AcceptsCaliper);

internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/catalogue", async (OwnThings own, CancellationToken cancel) => With(await own.Read(cancel)))
            .WithName("catalogue")
            .WithSummary("The constructions, formats, tools, stocks and reveals there are.");

    private static readonly CatalogueView View = new(
        [.. ConstructionLibrary.All.Select(c => new CatalogueItem(c.Id, c.Name, c.Opens))],
        [.. Formats.All.Select(f => new CatalogueItem(f.Id, f.Name, Size(f)))],
        [.. ToolSets.Ids.Select(id => new CatalogueItem(id, ToolSets.Resolve(id, UnitSystem.Imperial)!.Name, ToolWords(id)))],
        [.. Stocks.All.Select(s => new CatalogueItem(s.Id, s.Name, Bench.BenchBuilder.CaliperText(s.Caliper)))],
        [.. Reveal.All.Select(r => new CatalogueItem(r.Id, r.Name, $"{LengthWriter.WithUnit(r.Width.Imperial, DisplayUnit.Inch)} / {LengthWriter.WithUnit(r.Width.Metric, DisplayUnit.Millimetre)}"))],
        [.. Adhesive.All.Select(a => new CatalogueItem(a.Id, a.Name, a.Wet ? "can be nudged, must set" : "holds at once"))],
        "5x7in or 150x150mm, each side from 2 to 12 in",
        CaliperReader.Accepted);

    /// <summary>The studio's own tools and stocks come first.</summary>
    private static CatalogueView With(Workshop own) => View with
    {
        Tools = [.. own.Tools.Select(t => WorkshopReader.Read(t, OwnThings.Tools)).Select(t => new CatalogueItem(t.Id, t.Name, Words(t), Own: true)), .. View.Tools],
        Stocks = [.. own.Stocks.Select(s => WorkshopReader.Read(s, OwnThings.Stock)).Select(s => new CatalogueItem(s.Id, s.Name, Bench.BenchBuilder.CaliperText(s.Caliper), Own: true)), .. View.Stocks],
    };

    private static string Words(ToolSet tools)
    {
        var unit = tools.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        var board = tools.HasBoard ? $"grooves {LengthWriter.WithUnit(tools.Combs[0].Step, unit)} to {LengthWriter.WithUnit(tools.BoardEnd, unit)}" : "no board";
        return $"{board}, trimmer {LengthWriter.Write(tools.CutMarks[0], unit)}{(tools.RulerMarks.Count > 0 ? $", ruler {LengthWriter.Write(tools.RulerMarks[0], unit)}" : "")}{(tools.TrimmerScores ? ", scores on the trimmer" : "")}";
    }

    private static string Size(Format format)
    {
        var unit = format.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        return $"{LengthWriter.Write(format.Width, unit)} × {LengthWriter.WithUnit(format.Height, unit)}";
    }

    private static string ToolWords(string id) => id switch
    {
        "imperial-eighths" => "grooves ⅛ in, trimmer 1/16, ruler 1/32",
        "metric-5mm" => "grooves 5 mm, trimmer 1 mm, ruler ½ mm",
        "both" => "grooves in both, marks in both",
        "ruler" => "no board: every score by ruler",
        _ => "any figure, exactly",
    };
}
