using System.Globalization;
using System.Text;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.App.Cli;

/// <summary>A sized design as a plain measure list, to read in a terminal.</summary>
internal static class PlainText
{
    public static string Write(SizedDesign sized, DisplayUnit unit)
    {
        var other = unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;
        string Both(Length value) => $"{LengthWriter.WithUnit(value, unit)} ({LengthWriter.WithUnit(value, other)})";
        var text = new StringBuilder();
        void Line(string line) => text.AppendLine(line);
        Line($"{sized.Design.Family.Name}, {sized.Target.Format.Name} {Both(sized.Target.Width)} × {Both(sized.Target.Height)}");
        Line($"{sized.Tools.Name}; {sized.Design.Stock.Name}");
        foreach (var piece in sized.Pieces)
        {
            Line("");
            Line($"{piece.Piece.Name}: cut {Both(piece.Width.Value)} × {Both(piece.Height.Value)}");
            foreach (var score in piece.Scores)
            {
                var fold = score.Crease.Fold == Fold.Valley ? "valley" : "mountain";
                Line($"  {fold,-8} {Both(score.Figure.Value),-26} {score.Figure.Setting.In(unit),-34} {score.Between}");
            }
        }

        if (sized.Layers.Count > 0)
        {
            Line("");
            Line($"Layers, reveal {sized.Design.Reveal.Name}");
            foreach (var layer in sized.Layers)
            {
                Line($"  {layer.Quantity} × {Both(layer.Width.Value)} × {Both(layer.Height.Value)}  {layer.Role.Name}{(layer.Level > 1 ? ", second" : "")}");
            }
        }

        Line("");
        Line($"Closed {Both(sized.ClosedWidth)} × {Both(sized.ClosedHeight)}, {sized.ClosedThickness.Millimetres.ToString("0.0", CultureInfo.InvariantCulture)} mm thick; {(sized.Envelope is { } e ? $"{e.Name} envelope" : "envelope to make")}");
        foreach (var check in sized.Checks)
        {
            Line($"{check.Severity}: {check.Text.In(unit)}");
        }

        return text.ToString().TrimEnd();
    }
}
