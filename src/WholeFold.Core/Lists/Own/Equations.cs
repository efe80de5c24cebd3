using System.Runtime.CompilerServices;
using MathNet.Numerics;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Factorization;
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

    /// <summary>A figure that alone says something has nothing to be held against: without it the others are no nearer to each other.</summary>
    private const double Alone = 1e-3;

    /// <summary>What a rule takes of each unknown, and its constant with its allowances, in units.</summary>
    private sealed record Coefficients(double[] Row, double Constant);

    private readonly UnitSystem _system;
    private readonly Func<Symbol, Rational> _known;
    private readonly IReadOnlyList<Symbol> _unknown;
    private readonly IReadOnlyList<(double[] Of, double Value)> _pulls;

    /// <summary>Rules in numbers, and where creases lie: the same ones are asked for again and again.</summary>
    private readonly ConditionalWeakTable<Affine, Coefficients> _rows = [];

    private readonly ConditionalWeakTable<Piece, IReadOnlyList<Affine>> _positions = [];

    // A dozen rows: threads of the library's own cost more than they save.
    static Equations() => Control.UseSingleThread();

    public Equations(Construction construction, UnitSystem system, Func<Symbol, Rational> known)
    {
        (_system, _known) = (system, known);
        _unknown = [Symbol.Width, Symbol.Height, .. construction.Parameters.Select(p => Symbol.Parameter(p.Id))];
        List<(double[], double)> pulls = [];
        foreach (var parameter in construction.Parameters)
        {
            var (row, constant) = Numbers(Affine.Name(parameter.Id) - parameter.Ideal);
            pulls.Add(([.. row.Select(r => r * Pull)], -constant * Pull));
        }

        // A size that no figure names is as it is usual, and one direction much like the other.
        pulls.Add(([Pull / 10, -Pull / 10, .. construction.Parameters.Select(_ => 0d)], 0));
        _pulls = pulls;
    }

    public UnitSystem System => _system;

    public double Tolerance => NearFor(_system).Units;

    public static Length NearFor(UnitSystem system) => Near.For(system);

    /// <summary>Where a piece's creases lie.</summary>
    public IReadOnlyList<Affine> Positions(Piece piece) => _positions.GetValue(piece, p => [.. Enumerable.Range(0, p.Creases.Count).Select(p.Position)]);

    private Coefficients Of(Affine rule) => _rows.GetValue(rule, Numbers);

    private Coefficients Numbers(Affine rule)
    {
        var sum = rule.ConstantIn(_system);
        foreach (var (symbol, ratio) in rule.Terms.Where(t => t.Key.Kind == SymbolKind.Allowance))
        {
            sum += ratio * _known(symbol);
        }

        return new([.. _unknown.Select(u => rule.Terms.TryGetValue(u, out var r) ? (double)r.Numerator / r.Denominator : 0)], (double)sum.Numerator / sum.Denominator);
    }

    /// <summary>Finished size and parameters that come nearest to all of them.</summary>
    public Vector<double> Solve(IReadOnlyList<Equation> equations)
    {
        var (rows, values) = Written(equations);
        return rows.QR(QRMethod.Thin).Solve(values);
    }

    private (Matrix<double> Rows, Vector<double> Values) Written(IReadOnlyList<Equation> equations)
    {
        var rows = equations.Select(e => Of(e.Rule)).ToList();
        return (Matrix<double>.Build.DenseOfRowArrays([.. rows.Select(r => r.Row), .. _pulls.Select(p => p.Of)]),
            Vector<double>.Build.Dense([.. equations.Zip(rows, (e, r) => e.Value.Units - r.Constant), .. _pulls.Select(p => p.Value)]));
    }

    public double At(Affine rule, Vector<double> x)
    {
        var (row, at) = Of(rule);
        for (var i = 0; i < row.Length; i++)
        {
            at += row[i] * x[i];
        }

        return at;
    }

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
            var (rows, values) = Written(kept);
            var solved = rows.QR(QRMethod.Thin);
            var x = solved.Solve(values);
            if (kept.All(e => Off(e, x) <= Tolerance))
            {
                return (x, gone);
            }

            if (gone.Count == most || kept.Count < 4)
            {
                return null;
            }

            var without = kept.Select((e, i) => (Equation: e, Worst: WorstWithout(kept, i, solved.Q, values - (rows * x)))).ToList();
            bool Without(Equation e) => Solve([.. kept.Where(k => k != e)]) is var others && wanted!(others, Tolerance);
            var worst = without.Where(c => wanted is not null && c.Worst <= Tolerance && Without(c.Equation)).DefaultIfEmpty(without.MinBy(c => c.Worst)).MinBy(c => c.Worst);
            kept.Remove(worst.Equation);
            gone.Add(worst.Equation);
        }
    }

    /// <summary>How far the worst of the others is off where one is left out: what all leave over, less the part of it that the one has in them.</summary>
    private double WorstWithout(List<Equation> kept, int one, Matrix<double> q, Vector<double> left)
    {
        double Shared(int other)
        {
            var sum = 0d;
            for (var c = 0; c < q.ColumnCount; c++)
            {
                sum += q[one, c] * q[other, c];
            }

            return sum;
        }

        var own = 1 - Shared(one);
        if (own < Alone)
        {
            var others = kept.Where((_, i) => i != one).ToList();
            var x = Solve(others);
            return others.Max(e => Off(e, x));
        }

        return Enumerable.Range(0, kept.Count).Where(i => i != one).Max(i => Math.Abs(left[i] + (Shared(i) * left[one] / own)));
    }

    /// <summary>How many unknowns a set of figures speaks of.</summary>
    public static int Unknowns(IEnumerable<Equation> equations) => equations.SelectMany(e => e.Rule.Terms.Keys).Where(s => s.Kind != SymbolKind.Allowance).Distinct().Count();

    public double Value(Symbol symbol, Vector<double> x)
    {
        var at = 0;
        while (_unknown[at] != symbol)
        {
            at++;
        }

        return x[at];
    }
}
