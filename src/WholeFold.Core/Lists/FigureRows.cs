using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>A figure with what it is called in a list.</summary>
/// <param name="Detail">What it is of.</param>
/// <param name="Mark">v or m for a score, × n for what there is several of.</param>
/// <param name="Only">What of its line is scored, where that is not all of it.</param>
public sealed record FigureRow(Measured Figure, string Label, string Detail, string Mark, Words? Only = null)
{
    /// <summary>How it is set, and what of it.</summary>
    public Words Setting => Only is null ? Figure.Setting.Text : Words.Of($"{Figure.Setting.Text}, {Only}");
}

/// <summary>Figures that belong together: a piece's, the layers'.</summary>
public sealed record FigureSection(string Id, string Title, string Detail, IReadOnlyList<FigureRow> Rows);

/// <summary>Every figure of a card as lists name them: the ledger, the figure sheet.</summary>
public static class FigureRows
{
    /// <summary>"window in the front, by Second pane".</summary>
    public static string WindowName(SizedWindow window)
    {
        ArgumentNullException.ThrowIfNull(window);
        return window.Die is { } die ? $"{window.Window.Id}, by {die.Name}" : $"{window.Window.Id}, by knife";
    }

    /// <param name="inOrderOfSetting">Whether scores stand as they are set, or as they lie.</param>
    public static IReadOnlyList<FigureSection> Of(Card card, bool inOrderOfSetting)
    {
        ArgumentNullException.ThrowIfNull(card);
        static string Times(int count) => count > 1 ? $"× {count}" : "";
        static string Letter(SizedScore s) => s.Crease.Fold == Fold.Valley ? "v" : "m";
        var sections = card.Pieces.Select(p => new FigureSection(p.Piece.Id, p.Piece.Name, $"{card.Design.StockOf(p.Piece.Id).Name}, cut {p.Piece.Quantity}",
        [
            new(p.Width, "width", "cut", ""),
            new(p.Height, "height", "cut", ""),
            .. (inOrderOfSetting ? p.InOrder : p.AllScores).Select(s => new FigureRow(s.Figure, Letter(s) == "v" ? "valley" : "mountain", s.Between, Letter(s), s.Only)),
            .. p.CutLines.Select(l => new FigureRow(l.First, l.Name, l.Edge, Times(l.Figures.Count))),
        ])).ToList();
        if (card.Layers.Count > 0)
        {
            sections.Add(new FigureSection("layers", "Layers", $"{card.Design.LayerStock.Name}, reveal {card.Design.Reveal.Name}", [.. card.Layers.SelectMany(l => new FigureRow[]
            {
                new(l.Width, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, "width", Times(l.Quantity)),
                new(l.Height, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, "height", Times(l.Quantity)),
            })]));
        }

        if (card.Dressed.Windows.Count > 0)
        {
            sections.Add(new FigureSection("windows", "Windows", "cut before anything is bonded", [.. card.Dressed.Windows.SelectMany(w => new FigureRow[]
            {
                new(w.Width, WindowName(w), "width", Times(w.Quantity)),
                new(w.Height, WindowName(w), "height", Times(w.Quantity)),
            })]));
        }

        if (card.Dressed.Elements.Count > 0)
        {
            sections.Add(new FigureSection("elements", "Stamped, raised and printed", "each keeps its size unless it is free", [.. card.Dressed.Elements.SelectMany(e => new FigureRow[]
            {
                new(e.Width, e.Element.Name, "width", Times(e.Quantity)),
                new(e.Height, e.Element.Name, "height", Times(e.Quantity)),
            })]));
        }

        return sections;
    }
}
