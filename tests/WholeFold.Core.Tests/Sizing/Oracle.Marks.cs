using Google.OrTools.Sat;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What lies on which mark, as the judge says it.</summary>
internal sealed partial class Oracle
{
    private BoolVar And(params ILiteral[] all)
    {
        var both = _model.NewBoolVar("");
        _model.AddBoolAnd(all).OnlyEnforceIf(both);
        _model.AddBoolOr(all.Select(l => l.Not())).OnlyEnforceIf(both.Not());
        return both;
    }

    private BoolVar AtMost(LinearExpr value, long most)
    {
        var holds = _model.NewBoolVar("");
        _model.Add(value <= most).OnlyEnforceIf(holds);
        _model.Add(value >= most + 1).OnlyEnforceIf(holds.Not());
        return holds;
    }

    private BoolVar EqualTo(LinearExpr difference)
    {
        var equal = _model.NewBoolVar("");
        _model.Add(difference == 0).OnlyEnforceIf(equal);
        _model.Add(difference != 0).OnlyEnforceIf(equal.Not());
        return equal;
    }

    /// <summary>An eighth of an inch, or a whole millimetre.</summary>
    private BoolVar Plain(LinearExpr value)
    {
        var mark = _tools.System == UnitSystem.Imperial ? 1016 : 320;
        var rest = _model.NewIntVar(0, mark - 1, "");
        _model.AddModuloEquality(rest, value + (1000 * mark), mark);
        return EqualTo(rest);
    }

    /// <summary>0 on a half inch or a centimetre, and one more for each of a quarter and an eighth, 5 mm and 1 mm, that it is not on.</summary>
    private LinearExpr Fineness(LinearExpr value)
    {
        int[] marks = _tools.System == UnitSystem.Imperial ? [4064, 2032, 1016] : [3200, 1600, 320];
        return LinearExpr.Sum(marks.Select(mark =>
        {
            var rest = _model.NewIntVar(0, mark - 1, "");
            _model.AddModuloEquality(rest, value + (1000 * mark), mark);
            return 1 - EqualTo(rest);
        }));
    }

    private BoolVar OnGroove(LinearExpr at, long step)
    {
        // Shifted up so that the solver's remainder is never that of a negative number.
        var shift = 1000 * step;
        var rest = _model.NewIntVar(0, step - 1, "");
        _model.AddModuloEquality(rest, at + shift, step);
        var whole = _model.NewBoolVar("");
        _model.Add(rest == 0).OnlyEnforceIf(whole);
        _model.Add(rest >= 1).OnlyEnforceIf(whole.Not());
        var within = _model.NewBoolVar("");
        _model.AddLinearExpressionInDomain(at, Google.OrTools.Util.Domain.FromFlatIntervals([_tools.GrooveRows[0].First.Units, _tools.BoardEnd.Units])).OnlyEnforceIf(within);
        _model.AddLinearExpressionInDomain(at, Google.OrTools.Util.Domain.FromFlatIntervals([-10_000_000, _tools.GrooveRows[0].First.Units - 1,
            _tools.BoardEnd.Units + 1, 10_000_000])).OnlyEnforceIf(within.Not());
        var on = _model.NewBoolVar("");
        _model.AddBoolAnd([whole, within]).OnlyEnforceIf(on);
        _model.AddBoolOr([whole.Not(), within.Not()]).OnlyEnforceIf(on.Not());
        return on;
    }

    /// <summary>The expression as a whole number of marks, in units.</summary>
    private LinearExpr OnMarks(Affine expression, long mark)
    {
        var (terms, denominator) = Whole(expression);
        var count = _model.NewIntVar(-10_000, 10_000, "");
        _model.Add(count * (mark * denominator) == terms);
        return count * mark;
    }

    private void AtLeastZero(Affine expression) => _model.Add(Whole(expression).Terms >= 0);

    private (LinearExpr Terms, long Denominator) Whole(Affine expression)
    {
        var constant = expression.ConstantIn(_tools.System);
        var ratios = new List<(string Name, Rational Ratio)>();
        foreach (var (symbol, ratio) in expression.Terms)
        {
            var name = symbol.Id;
            if (_sides.TryGetValue(name, out var side))
            {
                constant += ratio * new Rational(side);
            }
            else if (symbol.Kind == SymbolKind.Allowance)
            {
                constant += ratio * Allowed(symbol);
            }
            else
            {
                ratios.Add((name, ratio * new Rational(name is "W" or "H" ? _tools.CutMarks[0].Units : _fine)));
            }
        }

        var denominator = ratios.Select(r => r.Ratio.Denominator).Append(constant.Denominator).Aggregate(1L, (a, b) => a * b / Gcd(a, b));
        var sum = LinearExpr.Constant(constant.Numerator * (denominator / constant.Denominator));
        foreach (var (name, ratio) in ratios)
        {
            sum += _fineVars[name] * (ratio.Numerator * (denominator / ratio.Denominator));
        }

        return (sum, denominator);
    }

    /// <summary>Allowances are worked by hand in their own tests.</summary>
    private Rational Allowed(Symbol symbol) => new(_construction.Allowances[symbol].Value(Support.PapersOf(_stock), _tools).Units);

    private Rational Exact(Affine expression)
    {
        var sum = expression.ConstantIn(_tools.System);
        foreach (var (name, ratio) in expression.Terms)
        {
            sum += ratio * name.Kind switch
            {
                SymbolKind.Size => new Rational(name == Symbol.Width ? _target.Width.Units : _target.Height.Units),
                SymbolKind.Allowance => Allowed(name),
                _ => _ideals[name.Id],
            };
        }

        return sum;
    }

    private static long CeilDiv(long a, long b) => (a + b - 1) / b;

    private static long Gcd(long a, long b) => b == 0 ? a : Gcd(b, a % b);
}
