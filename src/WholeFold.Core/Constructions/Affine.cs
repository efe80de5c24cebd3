using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions;

/// <summary>
/// A sum of named lengths times small ratios, plus a constant that may differ between the systems.
/// Every figure of every construction is one: that is what makes sizing exact, explainable and searchable.
/// </summary>
/// <remarks>
/// Its symbols are the finished card's width and height, parameters, and allowances, which depend on the stock and are
/// known before the search begins.
/// </remarks>
public sealed class Affine
{
    private readonly SortedDictionary<Symbol, Rational> _terms;

    private Affine(SortedDictionary<Symbol, Rational> terms, Rational imperial, Rational metric)
    {
        _terms = terms;
        Imperial = imperial;
        Metric = metric;
    }

    public static Affine W { get; } = Of(Symbol.Width);

    public static Affine H { get; } = Of(Symbol.Height);

    public static Affine Zero { get; } = Constant(Length.Zero);

    /// <summary>The names with their ratios, in the order of their names.</summary>
    public IReadOnlyDictionary<Symbol, Rational> Terms => _terms;

    /// <summary>The constant in units, for tools of the imperial system.</summary>
    public Rational Imperial { get; }

    /// <summary>The constant in units, for tools of the metric system.</summary>
    public Rational Metric { get; }

    /// <summary>A parameter by its id.</summary>
    public static Affine Name(string parameter) => Of(Symbol.Parameter(parameter));

    public static Affine Of(Symbol symbol) => new(new(Symbol.Order) { [symbol] = Rational.One }, default, default);

    /// <summary>A sum from its terms, and its constant in units of either system.</summary>
    public static Affine Sum(IEnumerable<KeyValuePair<Symbol, Rational>> terms, Rational imperial, Rational metric)
    {
        ArgumentNullException.ThrowIfNull(terms);
        return new(new(terms.Where(t => !t.Value.IsZero).ToDictionary(t => t.Key, t => t.Value), Symbol.Order), imperial, metric);
    }

    public static Affine Constant(Length value) => new(new(Symbol.Order), value.Units, value.Units);

    public static Affine Constant(Pair value) => new(new(Symbol.Order), value.Imperial.Units, value.Metric.Units);

    public static implicit operator Affine(Pair value) => Constant(value);

    public Rational ConstantIn(UnitSystem system) => system == UnitSystem.Imperial ? Imperial : Metric;

    /// <summary>The exact value, in units.</summary>
    /// <exception cref="KeyNotFoundException">A name has no value.</exception>
    public Rational Evaluate(UnitSystem system, Func<Symbol, Rational> value)
    {
        var sum = ConstantIn(system);
        foreach (var (name, ratio) in _terms)
        {
            sum += ratio * value(name);
        }

        return sum;
    }

    public static Affine operator +(Affine a, Affine b)
    {
        var terms = new SortedDictionary<Symbol, Rational>(a._terms, Symbol.Order);
        foreach (var (name, ratio) in b._terms)
        {
            var sum = terms.TryGetValue(name, out var had) ? had + ratio : ratio;
            if (sum.IsZero)
            {
                terms.Remove(name);
            }
            else
            {
                terms[name] = sum;
            }
        }

        return new Affine(terms, a.Imperial + b.Imperial, a.Metric + b.Metric);
    }

    public static Affine operator -(Affine a, Affine b) => a + (b * -1);

    public static Affine operator *(Affine a, Rational ratio)
    {
        var terms = new SortedDictionary<Symbol, Rational>(Symbol.Order);
        if (!ratio.IsZero)
        {
            foreach (var (name, had) in a._terms)
            {
                terms[name] = had * ratio;
            }
        }

        return new Affine(terms, a.Imperial * ratio, a.Metric * ratio);
    }

    public static Affine operator *(Rational ratio, Affine a) => a * ratio;

    public static Affine operator *(decimal ratio, Affine a) => a * Rational.Of(ratio);

    public static Affine operator *(int ratio, Affine a) => a * new Rational(ratio);

    public static Affine operator /(Affine a, int divisor) => a * new Rational(1, divisor);

    /// <summary>True where both are the same sum, whatever the names stand for.</summary>
    public bool IsSameAs(Affine other) => (this - other).IsZero;

    /// <summary>Whether it is nothing, whatever its names stand for.</summary>
    public bool IsZero => this is { _terms.Count: 0, Imperial.IsZero: true, Metric.IsZero: true };

    public override string ToString()
    {
        var parts = _terms.Select(t => t.Value == Rational.One ? t.Key.Id : $"{t.Value}·{t.Key}").ToList();
        if (!Imperial.IsZero || parts.Count == 0)
        {
            parts.Add(Imperial.ToString());
        }

        return string.Join(" + ", parts);
    }
}
