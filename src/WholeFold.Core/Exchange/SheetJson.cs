using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Exchange;

/// <param name="Own">True where the other column's figures would not add up here, so that these were sized for this system's tools.</param>
/// <param name="Contradictions">What would not have added up.</param>
/// <param name="Figures">By figure, as it is read in this unit.</param>
public sealed record SheetColumnJson(string Unit, string Tools, bool Own, IReadOnlyList<string> Contradictions, IReadOnlyDictionary<string, string> Figures);

/// <summary>The figure sheet as JSON; a column is null where its system has no figures that can be set.</summary>
public sealed record SheetJson(
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] SheetColumnJson? Inches,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] SheetColumnJson? Centimetres)
{
    public static SheetJson Of(FigureSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return new SheetJson(Column(sheet.Inches), Column(sheet.Centimetres));
    }

    public static string Write(FigureSheet sheet) => JsonSerializer.Serialize(Of(sheet), StrictJson.Options);

    private static SheetColumnJson? Column(SheetColumn? column) => column is null ? null : new SheetColumnJson(
        LengthWriter.Symbol(column.Unit),
        column.Settled.Figures.Tools.Id,
        column.OwnSizing,
        [.. column.Contradictions.Select(c => c.Text.Write(column.Unit))],
        column.Figures.ToDictionary(f => f.Key.ToString(), f => f.Value.Text));
}
