using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using MathNet.Numerics.LinearAlgebra;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Finds the construction of the library that explains a list, whatever its pieces are called and in whichever order and
/// direction they are given: pieces are matched by their number of scores, figures become linear equations in the finished
/// size and the parameters.
/// </summary>
public sealed partial class Recogniser(DesignReader reader)
{
    // What each thing counts: a figure that is explained one, less one for each thing that had to be assumed; the rest by trial on lists (tests/…/Own).
    private const double Outvoted = 2.2, MissingScored = 1.5, MissingPlain = 0.6, LeftScored = 3, LeftPlain = 0.8, BrokenLimit = 2.5, JustBroken = 1.2, AsUsual =
        0.8, NearlyUsual = 0.08, NotThere = 1.4, Plain = 1.3, PaperFits = 0.5, OwnParameter = 0.7, TurnedAbout = 1.2, OneFold = 1, HasWindow = 0.6, EnoughAlone =
        3.6, WrongCount = 0.4, FarTooMany = 1.5, Enough = 1.3, Clear = 0.5, FarFromUsual = 2.6, NotCrossed = 2.5, Named = 1.5, NamedSize = 0.4, RoundSize =
        0.3, TitledSize = 0.5, FoldsOtherwise = 1, Titled = 1.4;

    /// <summary>A parameter that is no more than this is a hair that many lists leave out, and a requirement that is missed by no more is for the
    /// checks to say: 1/16 in, and what a rule cannot tell from it.</summary>
    private static readonly Length Hair = Length.Mm(1.8m);

    /// <summary>A limit that is passed by no more is one that a maker may not keep to.</summary>
    private static readonly Length JustPast = Length.Mm(2.5m);

    /// <summary>What is further off is another piece, and no slip; one that bears its name may be off by more.</summary>
    private static readonly Length SlipAtMost = Length.In(3, 8);

    /// <summary>Of two ways about one fits better that is nearer by so much.</summary>
    private static readonly Length FitsBetter = Length.Mm(0.4m);

    /// <summary>Wider than this it is no hair.</summary>
    private static readonly Length Panel = Length.Mm(12);

    /// <summary>So many ways to match the pieces of one construction are looked into.</summary>
    private const int MostWays = 160;

    /// <summary>So many scored pieces of a list may be no part of the card.</summary>
    private const int MostLeft = 2;

    /// <summary>So many figures of a list may be slips.</summary>
    private const int MostOut = 2;

    /// <summary>What goes with a card and is no part of how it folds.</summary>
    private static Regex Extra => field ??= new Regex(@"\b(?:band|ribbon|tags?|toppers?|sentiments?|banners?|labels?|flowers?|lea(?:f|ves)|greeting|strip for|medallion|embellishment|closures?|gift card|focal(?:\s+\w+)?|images?|motifs?|pictures?|photos?|die[\s-]cuts?)\b", RegexOptions.IgnoreCase);

    internal static bool IsExtra(string name) => Extra.IsMatch(name);

    private static readonly bool[] Turns = [false, true];

    private static readonly Symbol[] Sides = [Symbol.Width, Symbol.Height];

    private static readonly string[] Samples = ["5x7", "6x6", "a5"];

    private sealed record Variant(ConstructionFamily Family, Construction Construction, IReadOnlyDictionary<string, string> Choices, Equations Equations)
    {
        private readonly ConditionalWeakTable<Piece, IReadOnlyList<Piece>> _readings = [], _halves = [];

        /// <summary>A piece by its chain, and by the creases that run across that, where it has some: a list may name either.</summary>
        public IReadOnlyList<Piece> Readings(Piece piece) => _readings.GetValue(piece, p => [.. Recogniser.Readings(p)]);

        /// <summary>The halves of a sheet that is cut in two along its chain: a list may name them, and not the sheet.</summary>
        public IReadOnlyList<Piece> Halves(Piece piece) => _halves.GetValue(piece, p => [.. Recogniser.Halves(p)]);
    }

    /// <summary>A listed piece taken for one of the construction's.</summary>
    private sealed record Match(OwnPiece Listed, Piece Piece, bool Mirrored, IReadOnlyList<Equation> Figures);

    private sealed record Way(IReadOnlyList<Match> Pairs, IReadOnlyList<OwnPiece> Left);

    private readonly Lazy<IReadOnlyDictionary<UnitSystem, IReadOnlyList<Variant>>> _variants =
        new(() => new[] { UnitSystem.Imperial, UnitSystem.Metric }.ToDictionary(s => s, s => (IReadOnlyList<Variant>)Variants(reader, s)));

    /// <summary>Goes through the library once, so that the first list need not wait for it.</summary>
    public void Warm() => _ = _variants.Value;

    /// <summary>The best explanations, one a construction, the best first.</summary>
    public IReadOnlyList<Recognised> Find(OwnList list, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(list);
        if (!list.Cards.Any(c => c.Scores.Count > 0 || _rare.Value.Any(name => Says(c, name))) && !reader.Catalogue.All.Any(f => IsCalled(list, f)))
        {
            return [];
        }

        var system = list.Cards.First().Unit.SystemOf();
        var found = _variants.Value[system].AsParallel().WithCancellation(cancel).Select(v => Explain(v, list, system)).OfType<Recognised>().ToList();
        var best = found.GroupBy(r => r.Family.Id).Select(g => g.OrderByDescending(r => Favour(r, list, system))
            .ThenBy(r => r.Choices.Count(c => c.Value != r.Family.Choices.First(f => f.Id == c.Key).Default)).First()).OrderByDescending(r => r.Score)
            .ThenBy(r => r.Family.Id, StringComparer.Ordinal).Take(5).ToList();
        return [.. best.Select(r => Exact(r, system)).Select((r, i) => r with { Sure = r.Sure && i == 0 && (best.Count == 1 || r.Score - best[1].Score >= Clear) })];
    }

    /// <summary>Names of pieces that no more than two constructions have.</summary>
    private readonly Lazy<IReadOnlySet<string>> _rare =
        new(() => reader.Catalogue.All.SelectMany(f => ConstructionFamily.Combinations(f.Choices).Where(c => f.For(c).Refused is null)
        .SelectMany(c => f.For(c).Pieces.Select(p => p.Name.ToUpperInvariant())).Distinct()).CountBy(n => n).Where(n => n.Value <= 2).Select(n => n.Key)
        .ToHashSet());

    /// <summary>How much of a construction's name stands in what its maker calls the card, from nought to one; a gate fold is a gatefold, and a split gatefold is no gatefold.</summary>
    private double Called(OwnList list, ConstructionFamily family) => _called.GetValue(list, l => _names.Value.ToDictionary(n => n.Key, n => Called(NameWords($"{l.Title} {l.Finished?.Name}"), n.Value)))[family.Id];

    private bool IsCalled(OwnList list, ConstructionFamily family) => Called(list, family) >= 1;

    private readonly ConditionalWeakTable<OwnList, Dictionary<string, double>> _called = [];

    private double Called(IReadOnlyList<string> said, IReadOnlyList<string> name)
    {
        bool Is(string word) => said.Contains(word) || said.Zip(said.Skip(1)).Any(two => two.First + two.Second == word);
        var isPartOfAnother = name.All(Is) && _names.Value.Values.Any(other => other.Count > name.Count && name.All(other.Contains) && other.All(Is));
        return isPartOfAnother ? 0 : (double)name.Count(Is) / name.Count;
    }

    private readonly Lazy<IReadOnlyDictionary<string, IReadOnlyList<string>>> _names = new(() => reader.Catalogue.All.ToDictionary(f => f.Id, f => NameWords(f.Name)));

    private static IReadOnlyList<string> NameWords(string text) => [.. NameWord.Matches(text).Select(w => w.Value.ToUpperInvariant().TrimEnd('S'))];

    private static Regex NameWord => field ??= new Regex(@"\p{L}{3,}");

    /// <summary>Whether it is called what few pieces are, one or several of them.</summary>
    private bool NamesIt(OwnPiece listed, Piece piece) =>
        (string.Equals(piece.Name, listed.Name, StringComparison.OrdinalIgnoreCase)
        || string.Equals($"{piece.Name}s", listed.Name, StringComparison.OrdinalIgnoreCase)) && _rare.Value.Contains(piece.Name.ToUpperInvariant());

    /// <summary>Whether a piece's name has another in it, as a word.</summary>
    private static bool Says(OwnPiece listed, string name) => $" {listed.Name} ".Contains($" {name} ", StringComparison.OrdinalIgnoreCase);

    private static List<Variant> Variants(DesignReader reader, UnitSystem system)
    {
        var variants = new List<Variant>();
        foreach (var family in reader.Catalogue.All)
        {
            foreach (var choices in ConstructionFamily.Combinations(family.Choices).Where(c => family.For(c).Refused is null))
            {
                // The allowances as they are with the everyday card.
                var read = reader.Read(new DesignSpec { Construction = family.Id, Format = Samples[system == UnitSystem.Imperial ? 0 : 2],
                    Set = choices.ToDictionary(c => c.Key, c => new WrittenFigure(c.Value)) });
                var builder = Sizer.BuilderFor(read.Design, read.Target, firm: false, CancellationToken.None);
                var known = read.Design.Construction.Allowances.Keys.ToDictionary(s => s, builder.Known);
                variants.Add(new Variant(family, read.Design.Construction, choices, new Equations(read.Design.Construction, system, s => known[s])));

                // Many makers leave them out: what goes inside is as large as what it goes into.
                if (known.Values.Any(k => k > new Rational(Equations.NearFor(system).Units)))
                {
                    variants.Add(new Variant(family, read.Design.Construction, choices, new Equations(read.Design.Construction, system, _ => Rational.Zero)));
                }
            }
        }

        return variants;
    }

    private Recognised? Explain(Variant variant, OwnList list, UnitSystem system)
    {
        var scored = list.Cards.Where(c => c.Scores.Count > 0).OrderByDescending(c => c.Scores.Count).ToList();

        // Two cut alike may be two pieces with names of their own, and four the halves of two.
        var parted = scored.SelectMany(c => c.Quantity is 2 or 4 ? [c with { Quantity = c.Quantity / 2 }, c with { Quantity = c.Quantity / 2 }] : new[] { c }).ToList();
        Recognised? best = null;
        foreach (var pieces in parted.Count > scored.Count && variant.Construction.Pieces.Count(p => p.Quantity == 1 && p.Creases.Count > 0) > 1 ? [scored, parted] : new[] { scored })
        {
            foreach (var way in Ways(variant.Equations, [.. pieces.Select(p => (p, (IReadOnlyList<Match>)Matches(variant, p, list)))], 0, [], [], []).Take(MostWays))
            {
                if ((way.Pairs.Count > 0 || scored.Count == 0) && !(best is not null && AtMost(variant, way, list) < best.Score)
                    && Judge(variant, way, list) is { } judged && (best is null || Favour(judged, list, system) > Favour(best, list, system)))
                {
                    best = judged;
                }
            }
        }

        return best;
    }

    /// <summary>No way can be worth more than all its figures and all that can speak for it: what stays below another need not be judged.</summary>
    private static double AtMost(Variant variant, Way way, OwnList list)
    {
        var figures = way.Pairs.SelectMany(p => p.Figures).ToList();
        var bare = list.Pieces.Count(p => p.Scores.Count == 0);
        return figures.Count - Equations.Unknowns(figures) - (LeftScored * way.Left.Count) + (list.Finished is null && list.Fits is null ? 0 : 2)
            + (Math.Max(AsUsual, NotThere) * variant.Construction.Parameters.Count) + (Named * way.Pairs.Count)
            + ((Plain + Named) * Math.Min(bare, variant.Construction.Pieces.Count(p => p.Creases.Count == 0))) + (PaperFits * bare) + HasWindow + OneFold + TitledSize + NamedSize + Titled;
    }

    /// <summary>Pieces of the construction that a listed one may be: those with as many creases whose rules can make its figures.</summary>
    private List<Match> Matches(Variant variant, OwnPiece listed, OwnList list)
    {
        var (matches, isCalled) = (new List<Match>(), IsCalled(list, variant.Family));
        foreach (var read in Views(listed))
        {
            // A piece that is the same from both ends is tried once.
            var same = read.Panels.Zip(read.Panels.Reverse()).All(p => p.First == p.Second);
            foreach (var piece in variant.Construction.Pieces.SelectMany(p => variant.Readings(p).Concat(variant.Halves(p))
                .Concat(p.Creases.Count == 0 && (isCalled || Says(listed, p.Name)) ? Slanting(p) : [])).Where(p => p.Creases.Count == read.Scores.Count))
            {
                var ways = Turns.Where(mirrored => !mirrored || !same).Select(mirrored => new Match(read, piece, mirrored, [.. Of(variant, read, piece, mirrored)]))
                    .Select(m => (Match: m, Agreed: variant.Equations.Agree(m.Figures, most: 1)));
                var possible = ways.Where(w => w.Agreed is not null || read.Scores.Count == 1)
                    .Select(w => (w.Match, w.Agreed?.Out.Count, Off: w.Agreed is { } a ? w.Match.Figures.Except(a.Out).Max(f => variant.Equations.Off(f, a.X))
                    : 0)).ToList();

                // What is nearly the same from both ends lies the way in which it fits.
                matches.AddRange(possible.Where(p => !possible.Any(o => o.Count == p.Count && o.Off < p.Off - FitsBetter.Units)).Select(p => p.Match));
            }
        }

        return matches;
    }

    /// <summary>Every way to give the listed pieces to pieces of the construction, one after the other.</summary>
    private static IEnumerable<Way> Ways(Equations equations, IReadOnlyList<(OwnPiece Listed, IReadOnlyList<Match> Matches)> scored, int next, List<Match> pairs,
        List<OwnPiece> left, IReadOnlyList<Equation> figures)
    {
        if (next == scored.Count)
        {
            yield return new Way([.. pairs], [.. left]);
            yield break;
        }

        // Of two cut alike it does not matter which is which.
        var (listed, matches) = scored[next];
        var twin = next > 0 && scored[next - 1].Listed == listed;
        var isLeft = twin && left.Count > 0 && left[^1] == listed;
        var beyond = twin && !isLeft ? matches.ToList().FindLastIndex(m => m.Piece.Id == pairs[^1].Piece.Id && m.Listed == pairs[^1].Listed) : -1;
        foreach (var match in isLeft ? [] : matches.Skip(beyond + 1).Where(m => pairs.All(p => p.Piece.Id != m.Piece.Id)))
        {
            // What contradicts the pieces before it need not be followed further.
            List<Equation> together = [.. figures, .. match.Figures];
            if (pairs.Count > 0 && equations.Agree(together, MostOut) is null)
            {
                continue;
            }

            pairs.Add(match);
            foreach (var way in Ways(equations, scored, next + 1, pairs, left, together))
            {
                yield return way;
            }

            pairs.RemoveAt(pairs.Count - 1);
        }

        if (left.Count == MostLeft)
        {
            yield break;
        }

        left.Add(listed);
        foreach (var way in Ways(equations, scored, next + 1, pairs, left, figures))
        {
            yield return way;
        }

        left.RemoveAt(left.Count - 1);
    }

    /// <summary>A listed piece by the scores that are named first, by those across them, and the other way about where the list does not say which side they are read along.</summary>
    private static IEnumerable<OwnPiece> Views(OwnPiece listed)
    {
        yield return listed;
        if (listed.Cross.Count > 0)
        {
            yield return listed with { Scores = listed.Cross, Cross = listed.Scores, AlongFirst = !listed.AlongFirst };
        }

        if (listed.Turned is { } turned)
        {
            yield return turned;
        }
    }

    /// <summary>The figures of a scored piece as equations.</summary>
    private static IEnumerable<Equation> Of(Variant variant, OwnPiece listed, Piece piece, bool mirrored)
    {
        yield return new Equation(listed.Line, listed.AlongFirst ? "width" : "height", piece.Along, listed.Along);
        yield return new Equation(listed.Line, listed.AlongFirst ? "height" : "width", piece.Across, listed.Across);
        var (count, positions) = (listed.Scores.Count, variant.Equations.Positions(piece));
        for (var i = 0; i < count; i++)
        {
            // Counted from the other end a score is what is left of the piece.
            var at = mirrored ? listed.Along - listed.Scores[count - 1 - i] : listed.Scores[i];
            yield return new Equation(listed.Line, $"score {(mirrored ? count - i : i + 1)}", positions[i], at);
        }

        // What is scored across counts too, where the piece has as much.
        if (listed.Cross.Count > 0 && variant.Readings(piece).Skip(1).FirstOrDefault() is { } across && across.Creases.Count == listed.Cross.Count)
        {
            var crossing = variant.Equations.Positions(across);
            for (var i = 0; i < listed.Cross.Count; i++)
            {
                yield return new Equation(listed.Line, $"score {count + i + 1}", crossing[i], listed.Cross[i]);
            }
        }
    }

    private Recognised? Judge(Variant variant, Way way, OwnList list)
    {
        var figures = way.Pairs.SelectMany(p => p.Figures).ToList();
        IEnumerable<IReadOnlyList<Equation>> Said(int line, Length width, Length height) =>
            Turns.Select(turned => (IReadOnlyList<Equation>)[new(line, "width", Affine.W, turned ? height : width),
            new(line, "height", Affine.H, turned ? width : height)]);

        // What its maker says of the finished card holds; a format that it is said to be for, where the figures go with that.
        if (list.Finished is { } finished)
        {
            return Said(finished.Line, finished.First, finished.Second).Select(said => Judge(variant, way, list, figures, said)).OfType<Recognised>().FirstOrDefault();
        }

        var open = Judge(variant, way, list, figures, []);
        return FinishedSize.Said(list, reader.Inventory.Formats, variant.Equations.System).SelectMany(f => Said(list.Cards.First().Line, f.Width, f.Height))
            .Select(said => Judge(variant, way, list, figures, said)).Append(open).OfType<Recognised>()
            .OrderByDescending(r => Favour(r, list, variant.Equations.System)).FirstOrDefault();
    }

    private Recognised? Judge(Variant variant, Way way, OwnList list, IReadOnlyList<Equation> figures, IReadOnlyList<Equation> said)
    {
        var equations = variant.Equations;
        if (figures.Count == 0)
        {
            return Sheet(variant, list, said) is var (size, held) ? new Balance(this, variant, way, list, held, size, []).Result() : null;
        }

        if (equations.Agree([.. figures, .. said], most: Math.Min(MostOut, figures.Count / 4), IsNamed) is not { } agreed)
        {
            return null;
        }

        var sizes = BySizes(variant, [.. figures, .. said], agreed.Out, list).Prepend(agreed.X).DistinctBy(x => string.Join(' ', x.Select(v => Math.Round(2 * v / equations.Tolerance))));
        return sizes.Select(x => new Balance(this, variant, way, list, [.. figures, .. said], x, agreed.Out).Result()).OfType<Recognised>().MaxBy(w => Favour(w, list, equations.System));
    }

    /// <summary>The finished size by a sheet without a score that bears a construction's own name, where one of its sides tells the other, or its
    /// maker says for which card it is: nothing else would say that it is that.</summary>
    private (Vector<double> X, IReadOnlyList<Equation> Held)? Sheet(Variant variant, OwnList list, IReadOnlyList<Equation> said)
    {
        var (equations, isCalled) = (variant.Equations, IsCalled(list, variant.Family));
        foreach (var (listed, piece) in from l in list.Cards from p in variant.Construction.Pieces where p.Creases.Count == 0 && (isCalled || Says(l, p.Name))
            && _rare.Value.Contains(p.Name.ToUpperInvariant()) select (l, p))
        {
            var (along, across) = (new Equation(listed.Line, "width", piece.Along, listed.First), new Equation(listed.Line, "height", piece.Across, listed.Second));
            if (said.Count > 0)
            {
                if (equations.Agree([along, across, .. said], most: 0) is { } agreed)
                {
                    return (agreed.X, [along, across, .. said]);
                }
            }
            else if (equations.Solve([along]) is var x && equations.Off(across, x) <= equations.Tolerance)
            {
                return (x, []);
            }
        }

        return null;
    }

    /// <summary>Where no scored piece says how wide or how high the card is: what it is by each piece without a score that does.</summary>
    private static IEnumerable<Vector<double>> BySizes(Variant variant, IReadOnlyList<Equation> figures, IReadOnlyList<Equation> outvoted, OwnList list)
    {
        var open = Sides.Where(s => !figures.Any(f => f.Rule.Terms.ContainsKey(s))).ToList();
        var (plain, named) = (list.Cards.Where(c => c.Scores.Count == 0).ToList(),
            variant.Construction.Pieces.Where(p => p.Creases.Count == 0 && open.Any(s => p.Along.Terms.ContainsKey(s) || p.Across.Terms.ContainsKey(s))));
        return from piece in named
               from listed in plain
               from turned in Turns
               let along = new Equation(listed.Line, turned ? "height" : "width", piece.Along, turned ? listed.Second : listed.First)
               let across = new Equation(listed.Line, turned ? "width" : "height", piece.Across, turned ? listed.First : listed.Second)
               let agreed = variant.Equations.Agree([.. figures.Except(outvoted), along, across], most: 0)
               where agreed is not null
               select agreed.Value.X;
    }

    /// <summary>Whether a card so large has a name: of two figures that contradict each other the one that makes it such is the right one.</summary>
    private bool IsNamed(Vector<double> x, double tolerance) => reader.Inventory.Formats.Any(f => f.IsAbout(new Length((long)x[0]), new Length((long)x[1]), new Length((long)tolerance)));

    /// <summary>Of several ways in which one construction explains a list, one that leaves a size with a name, or a round one.</summary>
    private double Favour(Recognised found, OwnList list, UnitSystem system) => found.Score
        + (FinishedSize.IsTitled(list, found.Width, found.Height, reader.Inventory.Formats, system, Equations.NearFor(system)) ? TitledSize : 0)
        + (reader.Inventory.Formats.Any(f => f.System == system && f.IsAbout(found.Width, found.Height, Equations.NearFor(system))) ? NamedSize
        : FinishedSize.IsRound(found.Width, system) ? RoundSize : 0);

    /// <summary>As large as a format that has a name, where it cannot be told from that.</summary>
    private Recognised Exact(Recognised found, UnitSystem system)
    {
        var near = Equations.NearFor(system);
        return reader.Inventory.Formats.FirstOrDefault(f => f.System == system && f.IsAbout(found.Width, found.Height, near)) is not { } format ? found
            : (format.Width - found.Width).Abs() <= near && (format.Height - found.Height).Abs() <= near ? found with { Width = format.Width, Height = format.Height }
            : found with { Width = format.Height, Height = format.Width };
    }

    /// <summary>Borders that people leave on each side of a paper.</summary>
    private static readonly Length[] Reveals = [Length.In(1, 16), Length.In(1, 8), Length.In(3, 16), Length.In(1, 4), Length.In(3, 8), Length.Mm(1.5m),
        Length.Mm(2), Length.Mm(2.5m), Length.Mm(3), Length.Mm(5), Length.Mm(6)];
}
