using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Sheet;

/// <summary>One figure in both systems.</summary>
/// <param name="In">As it is read in inches; null where inches have no such figure.</param>
public sealed record SheetRow(string FigureId, string Label, string Detail, FigureText? In, FigureText? Cm, IReadOnlyList<SentencePart> SetIn, IReadOnlyList<SentencePart> SetCm);

public sealed record SheetSection(string Title, string Detail, IReadOnlyList<SheetRow> Rows);

/// <summary>Every figure in both systems, for the wall beside the board.</summary>
/// <param name="Notes">Where a column had to be sized for itself, or could not be; and the checks.</param>
public sealed record SheetView(string Name, string Construction, IReadOnlyList<SentencePart> Size, string Tools, string Stock, IReadOnlyList<SentencePart> Closed,
    IReadOnlyList<SheetSection> Sections, IReadOnlyList<IReadOnlyList<SentencePart>> Notes);

internal static class SheetEndpoints
{
    public static void MapSheet(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/sheet", async (Body<DeskRequest> body, Studio studio, CancellationToken cancel) => Sheet(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), cancel))
            .Describes<SheetView>("sheet", "Every figure of a design in inches and in centimetres, each column adding up.");

    private static SheetView Sheet(Studio studio, Desk desk, CancellationToken cancel)
    {
        var tell = new Teller(desk.Unit);
        var card = studio.Attempt(desk, cancel).Card ?? throw new InputProblemException("sheet.noFigures", "design", $"there are no figures for {tell.NameAndSize(desk.Design, desk.Target).Write(tell.Unit)}", "a design that has figures; the bench says what stands in its way");
        card = card.Handed;
        var sheet = FigureSheet.Of(card);
        SheetRow Row(FigureRow row)
        {
            var id = row.Figure.Id;
            var (inches, metric) = (sheet.Inches?.Figures.GetValueOrDefault(id), sheet.Centimetres?.Figures.GetValueOrDefault(id));
            IReadOnlyList<SentencePart> Set(SheetFigure? figure, DisplayUnit unit) => figure is null ? [] : (row.Only is null ? figure.Setting.Text : Words.Of($"{figure.Setting.Text}, {row.Only}")).Parts(unit);
            return new SheetRow(
                id.ToString(), row.Label, row.Label == row.Detail || row.Mark.Length == 0 || !row.Mark.StartsWith('×') ? row.Detail : $"{row.Detail}, {row.Mark}",
                inches?.Reads, metric?.Reads,
                Set(inches, DisplayUnit.Inch), Set(metric, DisplayUnit.Centimetre));
        }

        return new SheetView(
            desk.Spec.Name, desk.Design.Family.Name, tell.Say(tell.NameAndSize(desk.Design, desk.Target)), card.Figures.Tools.Name, Teller.Stock(desk.Design),
            tell.Closed(card).Text,
            [.. FigureRows.Of(card, inOrderOfSetting: true).Select(s => new SheetSection(s.Title, s.Detail, [.. s.Rows.Select(Row)]))],
            [.. sheet.Notes(card).Concat(card.Checks.Select(c => c.Text)).Select(tell.Say)]);
    }
}
