using MathNet.Numerics.LinearAlgebra;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>
/// Holds a measure list against a construction: which figure contradicts its rules, and what would keep them.
/// </summary>
/// <remarks>
/// Each score, and the sheet's width, is a sum of the finished size, the parameters and the allowances. Where all of them
/// together have no solution, each in turn is left out: if the rest has one, that figure is the one that is off, and the rest
/// say what it should be. By least squares; what is left over within a mark is rounding.
/// </remarks>
public static class RuleChecker
{
    private const double Mark = 256;

    public static IReadOnlyList<ListFinding> Check(MeasureList list, DesignSpec construction, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(reader);
        var read = reader.Read(construction);
        if (list.First(ListKind.Scores) is not { } scores)
        {
            return [];
        }

        var written = scores.Figures.Order().ToList();
        var piece = read.Design.Construction.Pieces.FirstOrDefault(p => p.Creases.Count == written.Count);
        if (piece is null)
        {
            var counts = read.Design.Construction.Pieces.Where(p => p.Creases.Count > 0).Select(p => $"{p.Creases.Count} ({p.Name})");
            return [new ListFinding("rule", scores.Line, null, Words.Of($"No piece of the {read.Design.Family.Name} has {written.Count} scores: they have {string.Join(", ", counts)}."), [])];
        }

        var figures = written.Select((at, i) => (Line: scores, Place: (int?)i + 1, Name: $"Score {i + 1}", Rule: piece.Position(i), At: at)).ToList();
        if (list.First(ListKind.Width) is { } width)
        {
            figures.Add((width, null, "The width", piece.Along, width.Figures[0]));
        }

        var builder = Sizer.BuilderFor(read.Design, read.Target, firm: false, CancellationToken.None);
        var system = scores.Unit.SystemOf();
        var unknown = figures.SelectMany(f => f.Rule.Terms.Keys).Where(s => s.Kind != SymbolKind.Allowance).Distinct().ToList();
        double Known(Affine rule)
        {
            var sum = rule.ConstantIn(system);
            foreach (var (symbol, ratio) in rule.Terms.Where(t => t.Key.Kind == SymbolKind.Allowance))
            {
                sum += ratio * builder.Known(symbol);
            }

            return (double)sum.Numerator / sum.Denominator;
        }

        double[] Row(Affine rule) => [.. unknown.Select(u => rule.Terms.TryGetValue(u, out var r) ? (double)r.Numerator / r.Denominator : 0)];
        Vector<double>? Solve(IReadOnlyList<int> kept)
        {
            var a = Matrix<double>.Build.DenseOfRowArrays(kept.Select(i => Row(figures[i].Rule)));
            var b = Vector<double>.Build.Dense([.. kept.Select(i => figures[i].At.Units - Known(figures[i].Rule))]);
            var x = a.PseudoInverse() * b;
            return (a * x - b).AbsoluteMaximum() <= Mark ? x : null;
        }

        var all = Enumerable.Range(0, figures.Count).ToList();
        if (unknown.Count == 0 || Solve(all) is not null)
        {
            return [];
        }

        var off = new List<(int Index, Length Likely)>();
        foreach (var i in all)
        {
            if (Solve([.. all.Where(j => j != i)]) is { } x)
            {
                off.Add((i, new Length((long)Math.Round(Vector<double>.Build.Dense(Row(figures[i].Rule))
                    .DotProduct(x) + Known(figures[i].Rule))).Nearest(scores.Unit == DisplayUnit.Inch ? Length.In(1, 32) : Length.Mm(0.5m))));
            }
        }

        if (off.Count == 0)
        {
            return [new ListFinding("rule", scores.Line, null, Words.Of($"More than one figure contradicts the rules of the {read.Design.Family.Name}."), [])];
        }

        var best = off.OrderBy(o => (o.Likely - figures[o.Index].At).Abs()).ToList();
        var first = figures[best[0].Index];
        return
        [
            new ListFinding("rule", first.Line.Line, first.Place, Words.Of($"{first.Name} at {first.At} contradicts the rules of the {read.Design.Family.Name}; {best[0].Likely} would keep them."),
                [.. best.Select(o => new LikelyFigure(o.Likely, Words.Of($"{figures[o.Index].Name} at {o.Likely} instead of {figures[o.Index].At}")))]),
        ];
    }
}
