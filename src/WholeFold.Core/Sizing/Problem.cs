using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>An affine form over the problem's variables with one denominator: (Σ Aᵢxᵢ + B) / D, in units.</summary>
internal sealed class Form(long[] a, long b, long d)
{
    public long[] A { get; } = a;

    public long B { get; } = b;

    public long D { get; } = d;

    public long Numerator(long[] x)
    {
        var sum = B;
        for (var i = 0; i < A.Length; i++)
        {
            sum += A[i] * x[i];
        }

        return sum;
    }

    /// <summary>The value to the nearest unit; exact wherever the marks were asked for.</summary>
    public long Value(long[] x) => D == 1 ? Numerator(x) : new Rational(Numerator(x), D).Nearest();
}

/// <summary>One unknown: the finished width or height, or a parameter that nobody pinned.</summary>
internal sealed record Unknown
{
    public required Symbol Symbol { get; init; }

    /// <summary>True for W and H, whose distance from the format counts as shortfall.</summary>
    public required bool IsSide { get; init; }

    public required long Low { get; init; }

    public required long High { get; init; }

    public required Rational Ideal { get; init; }

    /// <summary>What a unit away from the ideal costs, times the ideal's denominator; measured by the comfort band.</summary>
    public required long Weight { get; init; }

    public required IReadOnlyList<long> Grid { get; init; }

    /// <summary>How far it may be from its ideal before it counts as past its comfort; null where that does not matter.</summary>
    public long? Band { get; init; }

    /// <summary>What a unit past the band costs: what a person set by hand weighs more than all that nobody did.</summary>
    public long Strain { get; init; } = 1;

    /// <summary>No score hangs on it, so that its cuts may go to a coarser mark near by.</summary>
    public bool CutsOnly { get; init; }
}

/// <summary>A requirement Form ≥ 0 with the group it belongs to, so that an impossible case can name it.</summary>
internal sealed record Bound(string Group, Form Form);

/// <summary>A score: where it is, and how wide the piece is that may be turned round to set it. The scores of one strip
/// are set one after the other on the board.</summary>
internal sealed record ScoreForm(int Strip, Form At, Form Width, bool FromBehind);

/// <param name="Inner">A line inside a sheet, marked out in one system even where the tools have both.</param>
internal sealed record CutForm(Form At, bool Inner = false);

/// <summary>
/// A construction posed for one target as whole numbers: unknowns, bounds, cuts that must lie on a trimmer's marks and
/// scores that should lie on grooves. <see cref="Search"/> solves it exactly.
/// </summary>
internal sealed record Problem
{
    /// <summary>The search's arithmetic for comfort: a whole band away from the ideal costs about this much.</summary>
    public const long BandCost = 10_000_000;

    public required ToolSet Tools { get; init; }

    public required Unknown[] Unknowns { get; init; }

    public required Bound[] Bounds { get; init; }

    public required CutForm[] Cuts { get; init; }

    public required ScoreForm[] Scores { get; init; }

    public required Priority Priority { get; init; }

    public Preferences Prefer { get; init; } = Preferences.None;

    /// <summary>Where figures are rounded after all, the proportions are what can be kept.</summary>
    public CostOrder Order => new(OnMarks ? Priority : Priority.Proportions, Prefer.OneStop);

    /// <summary>False in the last resort, where positions are rounded to the marks after the search.</summary>
    public bool OnMarks { get; init; } = true;

    /// <summary>Whether scores and cuts must lie on marks; both are switched off one by one to explain an impossible case.</summary>
    public bool ScoresOnMarks { get; init; } = true;

    public bool CutsOnMarks { get; init; } = true;

    /// <summary>How much may be looked into before the search ends with the best it has found, or gives up.</summary>
    public long Effort { get; init; } = Search.Budget / 2;

    /// <summary>Looked at on the way: whoever asked may have gone.</summary>
    public CancellationToken Cancel { get; init; }

    /// <summary>Only asked is whether there is a solution at all: the first one found is as good as any.</summary>
    public bool AnyWillDo { get; init; }

    /// <summary>When only one unknown's distance from its ideal is to be least, for the ends of a feasible range.</summary>
    public int? OnlyUnknown { get; init; }

    /// <summary>Builds the form of an affine expression: unknowns by index, everything else by its known value.</summary>
    public static Form FormOf(Affine expression, UnitSystem system, IReadOnlyDictionary<Symbol, int> index, IReadOnlyDictionary<Symbol, Rational> known)
    {
        var constant = expression.ConstantIn(system);
        var ratios = new Rational[index.Count];
        foreach (var (name, ratio) in expression.Terms)
        {
            if (index.TryGetValue(name, out var i))
            {
                ratios[i] = ratio;
            }
            else
            {
                constant += ratio * known[name];
            }
        }

        var denominator = ratios.Aggregate(constant.Denominator, (d, r) => Rational.Lcm(d, r.Denominator));
        return new Form(
            [.. ratios.Select(r => r.Numerator * (denominator / r.Denominator))],
            constant.Numerator * (denominator / constant.Denominator),
            denominator);
    }
}

/// <summary>The order in which two costs are compared.</summary>
/// <param name="StopsFirst">Whether few settings come before few turns.</param>
public readonly record struct CostOrder(Priority Priority, bool StopsFirst = false);

/// <summary>
/// What a solution costs, compared entry by entry in the order of the priority: shortfall of the finished size, parameters
/// past their comfort, scores off a groove, figures finer than eighths (where a person would rather have none), free cuts on
/// fine marks, distance from the ideals, pieces to turn, different settings.
/// </summary>
public readonly record struct Cost
{
    public long Shortfall { get; init; }

    public long Discomfort { get; init; }

    public long OffGroove { get; init; }

    public long Sixteenths { get; init; }

    public long Fineness { get; init; }

    public long Distance { get; init; }

    public long Turns { get; init; }

    public long Settings { get; init; }

    public static Cost operator +(Cost a, Cost b) => new()
    {
        Shortfall = a.Shortfall + b.Shortfall,
        Discomfort = a.Discomfort + b.Discomfort,
        OffGroove = a.OffGroove + b.OffGroove,
        Sixteenths = a.Sixteenths + b.Sixteenths,
        Fineness = a.Fineness + b.Fineness,
        Distance = a.Distance + b.Distance,
        Turns = a.Turns + b.Turns,
        Settings = a.Settings + b.Settings,
    };

    public int Compare(Cost other, CostOrder order)
    {
        var (a, b, c, d, e, f) = Ordered(order.Priority);
        var (u, v, w, x, y, z) = other.Ordered(order.Priority);
        var result = a.CompareTo(u);
        result = result != 0 ? result : b.CompareTo(v);
        result = result != 0 ? result : c.CompareTo(w);
        result = result != 0 ? result : d.CompareTo(x);
        result = result != 0 ? result : e.CompareTo(y);
        result = result != 0 ? result : f.CompareTo(z);
        result = result != 0 ? result : order.StopsFirst ? Settings.CompareTo(other.Settings) : Turns.CompareTo(other.Turns);
        return result != 0 ? result : order.StopsFirst ? Turns.CompareTo(other.Turns) : Settings.CompareTo(other.Settings);
    }

    private (long, long, long, long, long, long) Ordered(Priority priority) => priority switch
    {
        Priority.Board => (Discomfort, OffGroove, Shortfall, Sixteenths, Fineness, Distance),
        Priority.Proportions => (Shortfall, Discomfort, Distance, OffGroove, Sixteenths, Fineness),
        _ => (Shortfall, Discomfort, OffGroove, Sixteenths, Fineness, Distance),
    };
}
