using System.Globalization;
using System.Text;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
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
    /// <param name="both">Whether the other system stands beside; not where one was asked for.</param>
    public static string Write(Card card, DisplayUnit unit, bool both)
    {
        card = card.Handed.For(unit);
        var sized = card.Figures;
        var (second, other) = (both ? card.Second : null, unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch);
        string Plain(Length value) => LengthWriter.WithUnit(value, unit);
        string Pair(Length value, Func<Card, Length?> there) => second is not null && there(second) is { } beside ? $"{Plain(value)} · {second.Read(beside, other, withUnit: true)}" : Plain(value);
        string Both(Measured figure) => Pair(figure.Value, c => c.Figure(figure.Id)?.Value);
        var text = new StringBuilder();
        void Line(string line) => text.AppendLine(line);
        Line($"{sized.Design.Family.Name}, {Named(sized, unit, Plain)}");
        Line($"{sized.Tools.Name}{(second is null ? "" : $" · {second.Figures.Tools.Name}")}; {sized.Design.Stock.Name}");
        foreach (var parameter in sized.Parameters)
        {
            Line($"  {parameter.Parameter.Name,-20} {Pair(parameter.Value, c => c.Figures.Parameters.FirstOrDefault(p => p.Parameter.Id == parameter.Parameter.Id)?.Value),-26} {parameter.Said(sized.Tools).Write(unit)}");
        }

        var safe = card.SafeSides;
        foreach (var piece in sized.Pieces)
        {
            Line("");
            Line($"{piece.Piece.Name}: cut {(piece.Piece.Quantity > 1 ? $"{piece.Piece.Quantity}, " : "")}{Both(piece.Width)} × {Both(piece.Height)}");
            foreach (var side in new[] { piece.Width, piece.Height })
            {
                Line($"  {(ReferenceEquals(side, piece.Width) ? "width" : "height"),-8} {side.Said.Write(unit)}{Safe(safe[side.Id], side, unit)}");
            }

            // In the order of setting: as it lies first, then turned.
            foreach (var score in piece.InOrder)
            {
                var fold = score.Crease.Fold == Fold.Valley ? "valley" : "mountain";
                Line($"  {fold,-8} {Both(score.Figure),-26} {score.Figure.Setting.Write(unit),-34} {score.Between}{(score.Only is { } only ? $"; {only.Write(unit)}" : "")}");
                Line($"           {score.Figure.Said.Write(unit)}{Safe(safe[score.Figure.Id], score.Figure, unit)}");
            }

            foreach (var lines in piece.CutLines)
            {
                Line($"  {"cut",-8} {Both(lines.First),-26} {lines.First.Setting.Write(unit),-34} {lines.Name}, {lines.Edge}{(lines.Figures.Count > 1 ? $", {Times(lines.Figures.Count)}" : "")}");
            }
        }

        if (sized.Construction.States.Count > 0)
        {
            Line("");
            Line("States");
            foreach (var (state, pose) in card.States)
            {
                Line($"  {state.Name,-11} {Pair(pose.Width, c => PoseOf(c, state).Width)} × {Pair(pose.Height, c => PoseOf(c, state).Height)}  {state.How}");
            }
        }

        if (card.Layers.Count > 0)
        {
            Line("");
            Line($"Layers, reveal {sized.Design.Reveal.Name}");
            foreach (var layer in card.Layers)
            {
                Line($"  {layer.Quantity} × {Both(layer.Width)} × {Both(layer.Height)}  {layer.Role.Name}{(layer.Level > 1 ? ", second" : "")}");
            }
        }

        foreach (var section in FigureRows.Of(card, inOrderOfSetting: false).Where(s => s.Id is "windows" or "elements"))
        {
            Line("");
            Line(section.Title);
            foreach (var pair in section.Rows.Chunk(2))
            {
                Line($"  {Both(pair[0].Figure)} × {Both(pair[1].Figure)}  {pair[0].Label}{(pair[0].Mark.Length > 0 ? $", {pair[0].Mark}" : "")}");
            }
        }

        var soft = SoftGoods.Of(sized, card.Dressed);
        if (soft.Count > 0)
        {
            Line("");
            Line("From the roll");
            foreach (var good in soft)
            {
                Line($"  {Pair(good.Length, c => SoftGoods.Of(c.Figures, c.Dressed).FirstOrDefault(g => g.Good.Id == good.Good.Id)?.Length)}  {DressingWriter.Name(good.Good.Kind)}, {good.Hidden}");
            }
        }

        IReadOnlyList<Place> places = [.. Places.Of(sized), .. DressedPlaces.Of(card)];
        if (places.Count > 0)
        {
            Line("");
            Line("Where things go");
        }

        foreach (var place in places)
        {
            Line($"  {place.What}, on {place.On}: {place.Said.Write(unit)} ({place.Pose}); {place.Mark}, {place.Vanishes}");
        }

        Line("");
        Line("Steps");
        var cautioned = new HashSet<string>();
        foreach (var (step, i) in Steps.Of(card).Select((s, i) => (s, i)))
        {
            Line($"  {i + 1}. {step.Say.Write(unit)}");
            foreach (var care in Steps.Care(step, cautioned))
            {
                Line($"     {care}");
            }
        }

        Line("");
        var (wide, high) = AsRead(card);
        Line($"Closed {Pair(wide, c => AsRead(c).Width)} × {Pair(high, c => AsRead(c).Height)}, {card.Thickness.Greatest.Millimetres.ToString("0.0", CultureInfo.InvariantCulture)} mm thick, {Math.Round(card.Grams).ToString(CultureInfo.InvariantCulture)} g; {card.Packing.Said.Write(unit)}");
        foreach (var check in card.Checks)
        {
            Line($"{check.Severity}: {check.Text.Write(unit)}");
        }

        return text.ToString().TrimEnd();
    }

    private static ClosedPose PoseOf(Card card, CardState state) => card.States.First(s => s.State == state).Pose;

    private static (Length Width, Length Height) AsRead(Card card) => card.Design.AsRead(card.Size.Width, card.Size.Height);

    /// <summary>Every figure in both systems, each column with chains that add up.</summary>
    public static string WriteSheet(Card card)
    {
        card = card.Handed;
        var sheet = FigureSheet.Of(card);
        var text = new StringBuilder();
        void Line(string line) => text.AppendLine(line);
        Line($"{card.Design.Family.Name}, {card.Target.Format.Name}");
        foreach (var note in sheet.Notes(card))
        {
            Line(note.Write(card.Figures.Tools.System.UnitOf()));
        }

        string Column(SheetColumn? column, FigureRow row) => column?.Figures.GetValueOrDefault(row.Figure.Id) is { } f ? $"{f.Text,-14} {f.Setting.Text.Write(column.Unit),-34}" : $"{"–",-49}";
        foreach (var section in FigureRows.Of(card, inOrderOfSetting: true))
        {
            Line("");
            Line($"{section.Title}, {section.Detail}");
            Line($"  {"",-44} {"in",-49} cm");
            foreach (var row in section.Rows)
            {
                Line($"  {string.Join(", ", new[] { row.Label, row.Detail, row.Mark }.Where(w => w.Length > 1).Distinct()),-44} {Column(sheet.Inches, row)} {Column(sheet.Centimetres, row)}".TrimEnd());
            }
        }

        return text.ToString().TrimEnd();
    }

    private static string Times(int count) => count switch { 2 => "twice", 3 => "three times", 4 => "four times", _ => $"{count} times" };

    /// <summary>The format with its size, once where that is its name; and, where it names what is shown, that.</summary>
    private static string Named(Figures sized, DisplayUnit unit, Func<Length, string> written)
    {
        var (wide, high) = sized.Design.AsRead(sized.Named.Width, sized.Named.Height);
        var (format, size) = (sized.Named.Format, $"{written(wide)} × {written(high)}{(sized.Design.Opens is { } opens ? $", opens {opens.ToString().ToLowerInvariant()}" : "")}");
        var sides = new[] { sized.Named.Width, sized.Named.Height }.Select(s => LengthWriter.Write(s, unit)).ToList();
        var isItsName = format.Name == $"{sides[0]} × {sides[1]}" || format.Name == $"{sides[1]} × {sides[0]}";
        if (sized.Blank is { } blank)
        {
            return $"from a blank of {written(blank.Width)} × {written(blank.Height)}";
        }

        return $"{(isItsName ? "" : $"{format.Name}, ")}{size}{(sized.Named != sized.Target ? " shown" : "")}";
    }

    /// <summary>"if in doubt scant: full, the doors would touch".</summary>
    private static string Safe(SafeSide safe, Measured figure, DisplayUnit unit)
    {
        if (figure.Setting.How == SetBy.Given)
        {
            return "";
        }

        var side = safe.Direction switch { SafeDirection.Scant => "if in doubt scant: ", SafeDirection.Full => "if in doubt full: ", SafeDirection.Exact => "exact: ", _ => "" };
        return $"; {side}{safe.Why.Write(unit)}{(safe.Twins.Count > 0 ? $" (together with {string.Join(", ", safe.Twins)})" : "")}";
    }
}
