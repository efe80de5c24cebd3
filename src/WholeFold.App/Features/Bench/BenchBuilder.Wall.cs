using WholeFold.Core.Exchange;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.App.Features.Bench;

/// <summary>One design in all formats at once.</summary>
public sealed partial class BenchBuilder
{
    /// <exception cref="InputProblemException">The design is not understood.</exception>
    public static WallView Wall(DesignSpec spec, Workshop workshop) => For(spec, workshop).WallOf(spec.Name);

    private WallView WallOf(string name)
    {
        var design = _read.Design;
        var current = Attempt.Of(design, _read.Target);
        var formats = TargetsOf(current).Select(t => (Target: t, Attempt: t.Key == current.Target.Key ? current : Attempt.Of(design, t))).ToList();
        return new WallView(name, design.Family.Name, NameAndSize(design.Home), $"{design.Stock.Name} · {CaliperText(design.Stock.Caliper)}", LengthWriter.Symbol(_unit), [.. formats.Select(f => CardOf(f.Target, f.Attempt))]);
    }

    private WallCard CardOf(Target target, Attempt attempt)
    {
        var strip = FormatOf(target, attempt, attempt.Target.Key == _read.Target.Key);
        if (attempt.Sized is not { } sized)
        {
            return new WallCard(strip, null, "", "", [], attempt.Problem);
        }

        var sheets = SheetCount.Of(sized);
        return new WallCard(
            strip,
            ClosedOf(sized),
            sheets is null ? "larger than any sheet" : string.Join(", ", sheets.Select(s => $"{s.Count} × {s.Sheet.Name}")),
            sized.Tools.Name,
            [.. sized.Eased.Select(p => $"{p.Parameter.Name} {Text(p.Ideal)} → {Text(p.Value)}")],
            null);
    }
}
