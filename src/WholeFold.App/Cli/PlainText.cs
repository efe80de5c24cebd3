using System.Globalization;
using System.Text;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Cli;

/// <summary>A sized design as a plain measure list, to read in a terminal.</summary>
internal static class PlainText
{
    public static string Write(Card card, DisplayUnit unit)
    {
        var sized = card.Figures;
        var other = unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;
        string Both(Length value) => $"{LengthWriter.WithUnit(value, unit)} ({LengthWriter.WithUnit(value, other)})";
        var text = new StringBuilder();
        void Line(string line) => text.AppendLine(line);
        Line($"{sized.Design.Family.Name}, {sized.Target.Format.Name} {Both(sized.Target.Width)} × {Both(sized.Target.Height)}");
        Line($"{sized.Tools.Name}; {sized.Design.Stock.Name}");
        var safe = card.SafeSides;
        foreach (var piece in sized.Pieces)
        {
            Line("");
            Line($"{piece.Piece.Name}: cut {Both(piece.Width.Value)} × {Both(piece.Height.Value)}");
            foreach (var side in new[] { piece.Width, piece.Height })
            {
                Line($"  {(ReferenceEquals(side, piece.Width) ? "width" : "height"),-8} {side.Said.Write(unit)}; {Safe(safe[side.Id], unit)}");
            }

            // In the order of setting: as it lies first, then turned.
            foreach (var score in piece.Passes.SelectMany(p => p.Scores).Select(piece.Score))
            {
                var fold = score.Crease.Fold == Fold.Valley ? "valley" : "mountain";
                Line($"  {fold,-8} {Both(score.Figure.Value),-26} {score.Figure.Setting.Write(unit),-34} {score.Between}");
                Line($"           {score.Figure.Said.Write(unit)}; {Safe(safe[score.Figure.Id], unit)}");
            }

            foreach (var (opening, figure, name) in piece.MarkedLines)
            {
                Line($"  {opening.Opening.Name,-8} {Both(figure.Value),-26} {figure.Setting.Write(unit),-34} {name}");
            }
        }

        if (sized.Construction.States.Count > 0)
        {
            Line("");
            Line("States");
            foreach (var (state, pose) in card.States)
            {
                Line($"  {state.Name,-11} {Both(pose.Width)} × {Both(pose.Height)}  {state.How}");
            }
        }

        if (card.Layers.Count > 0)
        {
            Line("");
            Line($"Layers, reveal {sized.Design.Reveal.Name}");
            foreach (var layer in card.Layers)
            {
                Line($"  {layer.Quantity} × {Both(layer.Width.Value)} × {Both(layer.Height.Value)}  {layer.Role.Name}{(layer.Level > 1 ? ", second" : "")}");
            }
        }

        Line("");
        Line($"Closed {Both(card.Closed.Width)} × {Both(card.Closed.Height)}, {card.Thickness.Greatest.Millimetres.ToString("0.0", CultureInfo.InvariantCulture)} mm thick, {Math.Round(card.Grams).ToString(CultureInfo.InvariantCulture)} g; {(sized.Construction.GoesRound ? "goes round the card" : card.Envelope is { } e ? $"{e.Name} envelope{(card.EnvelopeGrade == EnvelopeGrade.Snug ? ", snugly" : "")}" : "envelope to make")}");
        foreach (var check in card.Checks)
        {
            Line($"{check.Severity}: {check.Text.Write(unit)}");
        }

        return text.ToString().TrimEnd();
    }

    /// <summary>Every figure in both systems, each column with chains that add up.</summary>
    public static string WriteSheet(Card card)
    {
        var sheet = FigureSheet.Of(card);
        var text = new StringBuilder();
        void Line(string line) => text.AppendLine(line);
        Line($"{card.Design.Family.Name}, {card.Target.Format.Name}");
        foreach (var note in sheet.Notes(card))
        {
            Line(note.Write(card.Figures.Tools.System.UnitOf()));
        }

        string Column(SheetColumn? column, FigureRow row) => column?.Figures.GetValueOrDefault(row.Figure.Id) is { } f ? $"{f.Text,-14} {f.Setting.Text.Write(column.Unit),-34}" : $"{"–",-49}";
        foreach (var section in SheetSections.Of(sheet, card))
        {
            Line("");
            Line($"{section.Title}, {section.Detail}");
            Line($"  {"",-44} {"in",-49} cm");
            foreach (var row in section.Rows)
            {
                Line($"  {string.Join(", ", new[] { row.Label, row.Detail, row.Mark }.Where(w => w.Length > 1 && w != "× 1").Distinct()),-44} {Column(sheet.Inches, row)} {Column(sheet.Centimetres, row)}".TrimEnd());
            }
        }

        return text.ToString().TrimEnd();
    }

    /// <summary>"rather scant: full, the doors would touch".</summary>
    private static string Safe(SafeSide safe, DisplayUnit unit)
    {
        var side = safe.Direction switch { SafeDirection.Scant => "rather scant: ", SafeDirection.Full => "rather full: ", SafeDirection.Exact => "exact: ", _ => "" };
        return $"{side}{safe.Why.Write(unit)}{(safe.Twins.Count > 0 ? $" (together with {string.Join(", ", safe.Twins)})" : "")}";
    }
}
