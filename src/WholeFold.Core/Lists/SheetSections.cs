using WholeFold.Core.Cards;

namespace WholeFold.Core.Lists;

/// <summary>
/// The rows of a sheet. A column that was sized for its own board may cut layers in other groups than the design's: what only
/// it has follows what the design has, so that no figure is lost.
/// </summary>
public static class SheetSections
{
    public static IReadOnlyList<FigureSection> Of(FigureSheet sheet, Card card)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var sections = FigureRows.Of(card, inOrderOfSetting: true).ToList();
        foreach (var other in new[] { sheet.Inches?.Settled, sheet.Centimetres?.Settled }.Where(o => o is not null && !ReferenceEquals(o, card)))
        {
            foreach (var section in FigureRows.Of(other!, inOrderOfSetting: true))
            {
                var at = sections.FindIndex(s => s.Id == section.Id);
                if (at < 0)
                {
                    sections.Add(section);
                    continue;
                }

                var known = sections[at].Rows.Select(r => r.Figure.Id).ToHashSet();
                sections[at] = sections[at] with { Rows = [.. sections[at].Rows, .. section.Rows.Where(r => !known.Contains(r.Figure.Id))] };
            }
        }

        return sections;
    }
}
