using System.Globalization;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What a figure may follow by itself, before the others are known: each rule with its log odds.</summary>
/// <param name="width">What the finished card is taken to be.</param>
internal sealed class RulePriors(Length width, Length height, UnitSystem system)
{
    /// <summary>Parts of a side that people think in, with their log odds.</summary>
    private static readonly (double Part, string Said, double Weight)[] Parts = [(1, "{0}", 3.9), (2, "twice {0}", 2.4), (0.5, "half of {0}", 1.8), (0.25, "a quarter of {0}", 0), (1 / 3d, "a third of {0}", 0.9), (1.5, "one and a half times {0}", 0.6), (3, "three times {0}", 0.4)];

    /// <summary>What is commonly taken off a side, or added: a sixteenth to an inch, 1.5 to 25 mm.</summary>
    private static readonly (Pair By, double Weight)[] Offs =
        [(Pair.Of(1, 4, 6m), 1.8), (Pair.Of(1, 8, 3m), 1.1), (Pair.Of(1, 2, 12m), 1.1), (Pair.Of(3, 8, 9m), 0.3), (Pair.Of(1, 16, 1.5m), 1.2),
        (Pair.Of(3, 4, 18m), 0.5), (Pair.Of(1, 1, 25m), -0.1)];

    private static readonly Length MostOff = Length.In(5, 4);

    private const double OddOff = 0.2;

    private static readonly Length MostOver = Length.In(3, 4);

    private const double OddOver = 0.1;

    /// <summary>How likely a fixed size is, by how large it is in inches; between these in proportion.</summary>
    private static readonly (double Size, double Weight)[] FixedBySize = [(0.4, 2.4), (0.5, 1.2), (0.75, 0.9), (1, 0.2), (2, -1.3), (4, -2.5)];

    private static readonly (double Size, double Weight)[] ShareBySize = [(0.5, -0.7), (1, 1.1), (2, 1.4)];

    /// <summary>A share that is just under a whole or a half is more likely that less something.</summary>
    private const double JustUnder = -1.6;

    /// <summary>And one that is just over a whole is more likely that and something that stands out.</summary>
    private const double JustOver = -1.2;

    /// <summary>What goes into something is cut smaller by no more, and by too little for a ruler.</summary>
    private static readonly Length Hair = Length.Mm(1.2m);

    private const double HairLess = 1;

    /// <summary>Nearer than this is the same figure.</summary>
    public Length Near { get; } = NearIn.For(system);

    private static readonly Pair NearIn = new(Length.Mm(0.6m), Length.Mm(0.8m));

    /// <summary>A length beyond all that is fixed, a share, or a part: what is left is told by others.</summary>
    public IReadOnlyList<FigureRule> Of(Length value)
    {
        var rules = new List<FigureRule>();
        foreach (var (side, name, isWidth) in new[] { (width, "the width", true), (height, "the height", false) })
        {
            FigureRule By(double part, string said, double weight, bool isShare = false) => new(isWidth ? part : 0, isWidth ? 0 : part, Words.Of($"{said}"), weight, isShare);
            foreach (var (part, said, weight) in Parts)
            {
                var (whole, told) = (new Length((long)Math.Round(side.Units * part)), string.Format(CultureInfo.InvariantCulture, said, name));
                if ((value - whole).Abs() <= Near)
                {
                    rules.Add(By(part, told, weight));
                    continue;
                }

                if (part == 1 && value < whole && whole - value <= Hair)
                {
                    rules.Add(By(part, $"a hair less than {told}", HairLess));
                }

                foreach (var (by, weightOff) in Offs.Where(_ => part is 1 or 0.5 or 2))
                {
                    var (less, rarer) = (by.For(system), part == 1 ? 0 : 0.3);
                    if ((value - (whole - less)).Abs() <= new Length(Near.Units / 2))
                    {
                        rules.Add(By(part, told, weightOff - rarer) with { Words = Words.Of($"{told} less {less}") });
                    }
                    else if ((value - (whole + less)).Abs() <= new Length(Near.Units / 2))
                    {
                        rules.Add(By(part, told, weightOff - rarer - 0.2) with { Words = Words.Of($"{told} and {less}") });
                    }
                }
            }

            // What runs in something is shorter by what its maker needs.
            if (value < side && side - value <= MostOff && !rules.Any(r => !r.IsShare && (isWidth ? r.ByWidth : r.ByHeight) == 1))
            {
                rules.Add(By(1, name, OddOff) with { Words = Words.Of($"{name} less {side - value}") });
            }

            // What is folded over something else, or stands out beyond it.
            if (value > side && value - side <= MostOver && !rules.Any(r => !r.IsShare && (isWidth ? r.ByWidth : r.ByHeight) == 1))
            {
                rules.Add(By(1, name, OddOver) with { Words = Words.Of($"{name} and {value - side}") });
            }

            var share = (double)value.Units / side.Units;
            if (!Parts.Any(p => Math.Abs(p.Part - share) < 1e-3))
            {
                rules.Add(By(share, $"its share of {name}", At(ShareBySize, Inches(value)) + (share is > 0.86 and < 1 or > 0.43 and < 0.5 ? JustUnder : share is > 1 and < 1.2 ? JustOver : 0), isShare: true));
            }
        }

        rules.Add(Fixed(value));
        return rules;
    }

    public static FigureRule Fixed(Length value) => new(0, 0, Words.Of($"always {value}"), At(FixedBySize, Inches(value)));

    public static double Inches(Length value) => (double)value.Units / Length.PerInch;

    private static double At((double Size, double Weight)[] table, double size)
    {
        if (size <= table[0].Size)
        {
            return table[0].Weight;
        }

        for (var i = 1; i < table.Length; i++)
        {
            if (size <= table[i].Size)
            {
                var (a, b) = (table[i - 1], table[i]);
                return a.Weight + ((b.Weight - a.Weight) * (size - a.Size) / (b.Size - a.Size));
            }
        }

        return table[^1].Weight;
    }
}
