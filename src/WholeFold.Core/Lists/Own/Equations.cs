using MathNet.Numerics.LinearAlgebra;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>A figure of a list that has to be what a rule says.</summary>
/// <param name="Line">The line that it stands in, counted from 1.</param>
/// <param name="Figure">Which figure of that line: width, height, or score 1 and so on.</param>
internal sealed record Equation(int Line, string Figure, Affine Rule, Length Value);

/// <summary>
/// Figures of a list as linear equations in the finished size and the parameters, solved by least squares. Where they leave a
/// parameter open it stays near to its ideal: each is pulled to it by a weight too light to move a figure.
/// </summary>
internal sealed class Equations
{
    /// <summary>What is nearer than this is the same figure, rounded to what a rule shows: half a sixteenth and a hair, 0.8 mm.</summary>
    private static readonly Pair Near = new(Length.Mm(0.85m), Length.Mm(0.8m));

    private const double Pull = 0.004;

    private readonly UnitSystem _system;
    private readonly Func<Symbol, Rational> _known;
    private readonly IReadOnlyList<Parameter> _parameters;
    private readonly List<Symbol> _unknown;

    public Equations(Construction construction, UnitSystem system, Func<Symbol, Rational> known)
    {
        (_system, _known, _parameters) = (system, known, construction.Parameters);
        _unknown = [Symbol.Width, Symbol.Height, .. construction.Parameters.Select(p => Symbol.Parameter(p.Id))];
    }

    public UnitSystem System => _system;

    public double Tolerance => NearFor(_system).Units;

    public static Length NearFor(UnitSystem system) => Near.For(system);

    /// <summary>The constant of a rule with its allowances, in units.</summary>
    private double Constant(Affine rule)
    {
        var sum = rule.ConstantIn(_system);
        foreach (var (symbol, ratio) in rule.Terms.Where(t => t.Key.Kind == SymbolKind.Allowance))
        {
            sum += ratio * _known(symbol);
        }

        return (double)sum.Numerator / sum.Denominator;
    }

    private double[] Row(Affine rule) => [.. _unknown.Select(u => rule.Terms.TryGetValue(u, out var r) ? (double)r.Numerator / r.Denominator : 0)];

    /// <summary>Finished size and parameters that come nearest to all of them.</summary>
    public Vector<double> Solve(IReadOnlyList<Equation> equations)
    {
        var rows = new List<double[]>();
        var values = new List<double>();
        foreach (var equation in equations)
        {
            rows.Add(Row(equation.Rule));
            values.Add(equation.Value.Units - Constant(equation.Rule));
        }

        foreach (var parameter in _parameters)
        {
            var ideal = Affine.Name(parameter.Id) - parameter.Ideal;
            rows.Add([.. Row(ideal).Select(r => r * Pull)]);
            values.Add(-Constant(ideal) * Pull);
        }

        // A size that no figure names is as it is usual, and one direction much like the other.
        rows.Add([Pull / 10, -Pull / 10, .. _parameters.Select(_ => 0d)]);
        values.Add(0);
        return Matrix<double>.Build.DenseOfRowArrays(rows).QR().Solve(Vector<double>.Build.Dense([.. values]));
    }

    public double At(Affine rule, Vector<double> x) => Vector<double>.Build.Dense(Row(rule)).DotProduct(x) + Constant(rule);

    public double Off(Equation equation, Vector<double> x) => Math.Abs(At(equation.Rule, x) - equation.Value.Units);

    /// <summary>
    /// A solution that holds for all but at most so many figures, which are named; null where there is none. The one that is left out is the one without which
    /// the others come nearest to each other; of several without which they agree, one that leaves a size that is <paramref name="wanted"/>.
    /// </summary>
    public (Vector<double> X, IReadOnlyList<Equation> Out)? Agree(IReadOnlyList<Equation> equations, int most, Func<Vector<double>, double, bool>? wanted = null)
    {
        var kept = equations.ToList();
        var gone = new List<Equation>();
        while (true)
        {
            var x = Solve(kept);
            if (kept.All(e => Off(e, x) <= Tolerance))
            {
                return (x, gone);
            }

            if (gone.Count == most || kept.Count < 4)
            {
                return null;
            }

            // Only what is off itself, or weighs on what is, can be the one.
            var without = kept.Select(e => (Equation: e, Others: kept.Where(k => k != e).ToList())).Select(c => (c.Equation, c.Others, X: Solve(c.Others))).Select(c => (c.Equation, c.X, Worst: c.Others.Max(r => Off(r, c.X)))).ToList();
            var worst = without.Where(c => wanted is not null && c.Worst <= Tolerance && wanted(c.X, Tolerance)).DefaultIfEmpty(without.MinBy(c => c.Worst)).MinBy(c => c.Worst);
            kept.Remove(worst.Equation);
            gone.Add(worst.Equation);
        }
    }

    /// <summary>How many unknowns a set of figures speaks of.</summary>
    public static int Unknowns(IEnumerable<Equation> equations) => equations.SelectMany(e => e.Rule.Terms.Keys).Where(s => s.Kind != SymbolKind.Allowance).Distinct().Count();

    public double Value(Symbol symbol, Vector<double> x) => x[_unknown.IndexOf(symbol)];
}
