using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

/// <summary>What the bench says about setting, changing and trading off figures.</summary>
public sealed partial class BenchBuilder
{
    private static string LayWords(Lay lay) => lay switch
    {
        Lay.AsItLies => "as it lies",
        Lay.TurnedRound => "turn it round",
        Lay.TurnedOver => "turn it over like a page",
        _ => "turn it over head over heels",
    };

    /// <summary>"rather scant: full, the doors would touch; together with its twin at the other end".</summary>
    private SafeView SafeOf(SafeSide safe)
    {
        var side = safe.Side switch { Side.Scant => "Rather scant: ", Side.Full => "Rather full: ", Side.Exact => "Exact: ", _ => "Either way: " };
        var twins = safe.Twins.Count > 0 ? $"; set {string.Join(", ", safe.Twins)} with it" : "";
        return new SafeView(SizedJson.Name(safe.Side), $"{side}{safe.Why.In(_unit)}{twins}");
    }

    private static ComparedView ComparedOf(SizedDesign before, SizedDesign now)
    {
        var changes = Comparison.Of(before, now);
        var (figures, all) = (changes.Count(c => c.Was != c.Now), now.Figures.Count());
        var set = changes.Count - figures;
        var text = (figures, set) switch
        {
            (0, 0) => "No figure changes.",
            (0, _) => $"No figure changes; {Many(set, "is", "are")} set otherwise.",
            _ => $"{Many(figures, "figure changes", "figures change")} of {all}{(set > 0 ? $"; {Many(set, "more is", "more are")} set otherwise" : "")}.",
        };
        return new ComparedView(text, [.. changes.Where(c => c.Now is null).Select(c => c.Id)]);
    }

    private static string Many(int count, string one, string many) => $"{count} {(count == 1 ? one : many)}";

    private List<CurveView> Curves() => Attempt.Of(_read.Design, _read.Target).Sized is { } sized ? [.. Curve.Of(sized).Select(CurveOf)] : [];

    private CurveView CurveOf(Curve curve)
    {
        var parameter = _read.Design.Construction.Parameters.First(p => p.Id == curve.Tradeoff.Parameter);
        static Func<Length, double> Over(IEnumerable<Length> values)
        {
            var (least, most) = (values.Min().Units, values.Max().Units);
            return v => most == least ? 0.5 : (v.Units - least) / (double)(most - least);
        }

        var (x, y) = (Over(curve.Points.Select(p => p.One)), Over(curve.Points.Select(p => p.Other)));
        return new CurveView(
            parameter.Id, parameter.Name, curve.Tradeoff.OneName, curve.Tradeoff.OtherName,
            [.. curve.Points.Select(p => new CurvePointView(Figure(p.Parameter), Text(p.One), Text(p.Other), x(p.One), y(p.Other), Costs(p), p.Current))]);
    }

    private string Costs(CurvePoint point)
    {
        var costs = new List<string>();
        if (point.OffGroove > 0)
        {
            costs.Add($"{Many((int)point.OffGroove, "score", "scores")} by ruler");
        }

        if (point.Under > Length.Zero)
        {
            costs.Add($"card {Text(point.Under)} under its format");
        }

        return costs.Count == 0 ? "all on grooves" : string.Join(", ", costs);
    }

    private SheetView Sheet(string name)
    {
        var (design, target) = (_read.Design, _read.Target);
        var sized = Sizer.TrySize(design, target) ?? throw new InputProblemException("sheet.noFigures", "design", $"there are no figures for {NameAndSize(target)}", "a design that has figures; the bench says what stands in its way");
        var sheet = FigureSheet.Of(sized);
        SheetRow Row(Measured figure, string label, string detail)
        {
            string? In(SheetColumn? column) => column?.Figures[figure.Id].Text;
            string Set(SheetColumn? column) => column is null ? "" : column.Figures[figure.Id].Setting.In(column.Unit);
            return new SheetRow(figure.Id, label, detail, In(sheet.Inches), In(sheet.Centimetres), Set(sheet.Inches), Set(sheet.Centimetres));
        }

        var sections = sized.Pieces.Select(p => new SheetSection(
            p.Piece.Name,
            $"{design.StockOf(p.Piece.Id).Name}, cut {p.Piece.Quantity}",
            [
                Row(p.Width, "width", "cut"),
                Row(p.Height, "height", "cut"),
                .. p.Passes.SelectMany(pass => pass.Scores).Select(p.Score).Select(s => Row(s.Figure, s.Crease.Fold == Fold.Valley ? "valley" : "mountain", s.Between)),
                .. p.MarkedLines.Select(l => Row(l.Figure, l.Opening.Opening.Name, l.Name)),
            ])).ToList();
        if (sized.Layers.Count > 0)
        {
            sections.Add(new SheetSection("Layers", $"{design.LayerStock.Name}, reveal {design.Reveal.Name}", [.. sized.Layers.SelectMany(l => new[]
            {
                Row(l.Width, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, $"width, × {l.Quantity}"),
                Row(l.Height, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, $"height, × {l.Quantity}"),
            })]));
        }

        var notes = new List<string>();
        foreach (var (unit, column) in new[] { ("inches", sheet.Inches), ("centimetres", sheet.Centimetres) })
        {
            if (column is null)
            {
                notes.Add($"No figures in {unit} can be set for this design.");
            }
            else if (column.OwnSizing)
            {
                notes.Add($"The {unit} are sized for {column.Settled.Tools.Name}: rounded, {column.Contradictions[0].Text.In(column.Unit)}.");
            }
        }

        notes.AddRange(sized.Checks.Select(c => c.Text.In(_unit)));
        return new SheetView(
            name, design.Family.Name, NameAndSize(target), sized.Tools.Name, $"{design.Stock.Name} · {CaliperText(design.Stock.Caliper)}",
            $"{Text(sized.ClosedWidth)} × {Text(sized.ClosedHeight)} {LengthWriter.Symbol(_unit)}, {ClosedOf(sized).Thickness} thick; {ClosedOf(sized).EnvelopeText}",
            sections, notes);
    }
}
