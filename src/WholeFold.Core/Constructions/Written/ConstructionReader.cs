using System.Globalization;
using System.Numerics;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Written;

/// <summary>
/// Reads a construction as it is written down, and refuses what no engine could work with: names that are not there, sums
/// that run over, more panels and scores than a sheet of card can take.
/// </summary>
public sealed class ConstructionReader
{
    /// <summary>The most of each that one construction may have.</summary>
    public const int MostVariants = 64, MostPieces = 40, MostPanels = 30, MostScores = 30, MostParameters = 24, MostCorners = 64, MostBonds = 200, MostTerms = 24;

    /// <summary>The most pieces that are cut alike.</summary>
    public const int MostAlike = 20;

    // Beyond these a length times a ratio, over a common denominator, could run over a whole number of 64 bits.
    private const long GreatestNumerator = 1_000_000_000, GreatestDenominator = 100_000_000;

    private const string Example = "a construction as wholefold writes it; its schema is docs/construction.schema.json";

    private readonly string _place;
    private readonly HashSet<string> _symbols = ["W", "H"];
    private readonly Dictionary<string, WrittenPiece> _pieces = [];

    private ConstructionReader(string place) => _place = place;

    /// <exception cref="InputProblemException">It is no construction.</exception>
    public static ConstructionFamily Read(string json, string place) => Read(StrictJson.Read<WrittenFamily>(json, place, "construction.unreadable", Example), place);

    /// <exception cref="InputProblemException">It is no construction.</exception>
    public static ConstructionFamily Read(WrittenFamily family, string place)
    {
        ArgumentNullException.ThrowIfNull(family);
        if (family.WholeFoldConstruction != WrittenFamily.Newest)
        {
            throw Wrong($"{place}.wholeFoldConstruction", $"it is of version {family.WholeFoldConstruction}");
        }

        var combinations = ConstructionFamily.Combinations(family.Choices).Take(MostVariants + 1).ToList();
        if (combinations.Count > MostVariants || family.Choices.Any(c => !c.Options.Contains(c.Default)))
        {
            throw Wrong($"{place}.choices", combinations.Count > MostVariants ? $"there are more than {MostVariants} sets of options" : "a choice's default is none of its options");
        }

        var variants = new Dictionary<string, Construction>();
        for (var i = 0; i < family.Variants.Count; i++)
        {
            var variant = family.Variants[i];
            var key = ConstructionFamily.KeyOf(variant.Choices);
            if (combinations.All(c => ConstructionFamily.KeyOf(c) != key) || !variants.TryAdd(key, new ConstructionReader($"{place}.variants[{i}]").Construct(family.Id, variant)))
            {
                throw Wrong($"{place}.variants[{i}].choices", "it is for a set of options that there is not, or that stands here already");
            }
        }

        return variants.Count == combinations.Count ? new ConstructionFamily(family.Id, family.Name, family.Opens, family.Choices, variants)
            : throw Wrong($"{place}.variants", $"there are {variants.Count}, and {combinations.Count} sets of options");
    }

    private Construction Construct(string id, WrittenConstruction c)
    {
        Few(c.Parameters.Count, MostParameters, "parameters", "parameters");
        Few(c.Pieces.Count, MostPieces, "pieces", "pieces");
        Few(c.Bonds.Count, MostBonds, "bonds", "bonds");
        if (c.Pieces.Count == 0)
        {
            throw At("pieces", "there is no piece");
        }

        var allowances = new Dictionary<Symbol, Allowance>();
        foreach (var (a, i) in c.Allowances.Select((a, i) => (a, i)))
        {
            var symbol = Symbol.Parse(a.Symbol);
            if (symbol.Kind != SymbolKind.Allowance || !allowances.TryAdd(symbol, Allow(a, $"allowances[{i}]")))
            {
                throw At($"allowances[{i}].symbol", $"“{a.Symbol}” is no symbol of its own, such as @1");
            }

            _symbols.Add(a.Symbol);
        }

        // An ideal and its limits may name only what is known before it.
        var parameters = new List<Parameter>();
        foreach (var (p, i) in c.Parameters.Select((p, i) => (p, i)))
        {
            var at = $"parameters[{i}]";
            var parameter = new Parameter(
                p.Id, p.Name, p.Meaning, Sum(p.Ideal, $"{at}.ideal"),
                [.. p.Min.Select((l, n) => Limit(l, $"{at}.min[{n}]"))], [.. p.Max.Select((l, n) => Limit(l, $"{at}.max[{n}]"))],
                p.OnConversion, p.Held, p.Rule, p.Least, p.Most, p.ZeroByHand, p.So, p.Absorbs);
            if (p.Id.Length == 0 || !char.IsAsciiLetterLower(p.Id[0]) || !p.Id.All(char.IsAsciiLetterOrDigit) || !_symbols.Add(p.Id))
            {
                throw At($"{at}.id", $"“{p.Id}” is no name of its own for a parameter: small letter first, letters and digits");
            }

            parameters.Add(parameter);
        }

        foreach (var piece in c.Pieces)
        {
            if (piece.Id.Contains(':', StringComparison.Ordinal) || !_pieces.TryAdd(piece.Id, piece))
            {
                throw At("pieces", $"“{piece.Id}” is no name of its own for a piece");
            }
        }

        var bonds = c.Bonds.Select((b, i) => Bond(b, $"bonds[{i}]")).ToList();
        var construction = new Construction
        {
            Id = id,
            Choices = c.Choices,
            Does = c.Does,
            Parameters = parameters,
            Allowances = allowances,
            Pieces = [.. c.Pieces.Select((p, i) => Piece(p, $"pieces[{i}]"))],
            Bonds = bonds,
            Layers = [.. c.Layers.Select((l, i) => Role(l, $"layers[{i}]"))],
            Requirements = [.. c.Requirements.Select((r, i) => new Requirement(r.Id, Sum(r.AtLeastZero, $"requirements[{i}]"), r.Because))],
            Tradeoffs = [.. c.Tradeoffs.Select((t, i) => new Tradeoff(Known(t.Parameter, $"tradeoffs[{i}].parameter", parameters), t.OneName, Sum(t.One, $"tradeoffs[{i}].one"), t.OtherName, Sum(t.Other, $"tradeoffs[{i}].other")))],
            States = [.. c.States.Select((s, i) => new CardState(s.Id, s.Name, s.How, s.Angles.ToDictionary(a => CreaseOf(a, $"states[{i}]"), a => Angle(a.Angle, $"states[{i}]"))))],
            Contacts = [.. c.Contacts.Select((r, i) => new Contact(PlateOf(r.PieceA, r.PlateA, $"rests[{i}]"), Spot(r.AtA, $"rests[{i}]"), PlateOf(r.PieceB, r.PlateB, $"rests[{i}]"), Spot(r.AtB, $"rests[{i}]"), r.How))],
            Refused = c.Refused,
            Places = [.. c.Places.Select((p, i) => new Placement(p.Id, p.What, p.From, Sum(p.Distance, $"places[{i}].distance"), p.Pose, p.Vanishes))],
            NamedShown = c.NamedShown is { } named ? PlateOf(named.Piece, named.Plate, "namedShown") : null,
            LookedAt = c.LookedAt is { } look ? new LookedAt(PlateOf(look.Piece, look.Plate, "lookedAt"), look.Up, look.Spine) : null,
            RoundOneAsThickAs = c.RoundOneAsThickAs is { } thick ? Known(thick, "roundOneAsThickAs", parameters) : null,
            Slanting = c.Slanting,
            GrowsBecause = c.GrowsBecause,
            Steps = c.Steps,
            Troubles = c.Troubles,
            Watch = c.Watch,
        };
        if (Loose(construction) is { } loose)
        {
            throw At("bonds", $"nothing holds {loose}: a bond joins it to the rest, or says where it lies");
        }

        foreach (var place in c.Steps.SelectMany(s => s.Places ?? []).Where(p => c.Places.All(known => known.Id != p)))
        {
            throw At("steps", $"there is no place “{place}”");
        }

        foreach (var step in c.Steps.SelectMany(s => s.Bonds).Where(b => bonds.All(known => known.Id != b)))
        {
            throw At("steps", $"there is no bond “{step}”");
        }

        return construction;
    }

    /// <summary>A plate that no crease and no bond joins to the first one; null where all hangs together.</summary>
    private static PlateRef? Loose(Construction construction)
    {
        var plates = construction.Pieces.SelectMany(p =>
            p.Copies.SelectMany(copy => p.OwnPlates is { } own ? own.Select(q => (Ref: new PlateRef(copy, q.Id), On: q.HangsOn))
            : p.Panels.Select((q, i) => (Ref: new PlateRef(copy, q.Id), On: i == 0 ? null : (string?)p.Panels[i - 1].Id)))).ToList();
        var joined = plates.Where(p => p.On is not null).Select(p => (p.Ref, Other: p.Ref with { Plate = p.On! })).Concat(construction.Bonds.Select(b => (b.A.Plate, b.B.Plate))).ToList();
        var held = new HashSet<PlateRef> { plates[0].Ref };
        while (joined.RemoveAll(j => (held.Contains(j.Item1) || held.Contains(j.Item2)) && (held.Add(j.Item1) | held.Add(j.Item2) | true)) > 0)
        {
        }

        return plates.Select(p => (PlateRef?)p.Ref).FirstOrDefault(p => !held.Contains(p!.Value));
    }

    private string Known(string parameter, string place, List<Parameter> parameters) =>
        parameters.Any(p => p.Id == parameter) ? parameter : throw At(place, $"there is no parameter “{parameter}”");

    private Allowance Allow(WrittenAllowance a, string at)
    {
        Contents Inside() => a.Contents is { } c ? new Contents(Millimetres(c.Other, $"{at}.contents.other"), Count(c.Layers, MostPieces, $"{at}.contents.layers"), [.. c.Pieces ?? []]) : throw At($"{at}.contents", "it is missing");
        return a.Kind switch
        {
            AllowanceKind.Tube => new Tube(),
            AllowanceKind.Doors => new Doors(),
            AllowanceKind.Nested => new NestedPanel(),
            AllowanceKind.LightCard => new LightCard(a.Piece),
            AllowanceKind.Creep => new Creep(Count(a.Plies ?? 1, MostPieces, $"{at}.plies"), a.CreaseFactor is null ? Creep.Soft : Decimal(a.CreaseFactor, $"{at}.creaseFactor")),
            AllowanceKind.BoxDepth => new BoxDepth(Count(a.Layers ?? 0, MostPieces, $"{at}.layers"), a.OnThem is null ? Length.Zero : Millimetres(a.OnThem, $"{at}.onThem")),
            AllowanceKind.Slit => new Slit(a.Clearance is null ? throw At($"{at}.clearance", "it is missing") : Millimetres(a.Clearance, $"{at}.clearance")),
            AllowanceKind.SlitWidth => new SlitWidth(Inside()),
            AllowanceKind.Sleeve => new Sleeve(Inside()),
            AllowanceKind.Walls => new Walls(a.Piece),
            _ => new WrappedStack(Inside(), a.Piece),
        };
    }

    private Piece Piece(WrittenPiece p, string at)
    {
        Few(p.Panels.Count, MostPanels, $"{at}.panels", "panels");
        Few(p.Creases.Count + p.Lines.Count, MostScores, $"{at}.creases", "scores");
        Count(p.Quantity, MostAlike, $"{at}.quantity");
        if (p.Panels.Count == 0 || p.Creases.Count != p.Panels.Count - 1 || p.Quantity < 1)
        {
            throw At($"{at}.creases", p.Quantity < 1 ? "none of it is cut" : $"{p.Panels.Count} panels have {Math.Max(0, p.Panels.Count - 1)} creases between them, not {p.Creases.Count}");
        }

        var plates = p.Plates?.Select((q, i) => new Plate(q.Id, q.Name, Corners(q.Corners, $"{at}.plates[{i}].corners"), q.HangsOn, q.By)).ToList();
        var held = new HashSet<string>();
        foreach (var plate in plates ?? [])
        {
            var crease = plate.By >= 0 && plate.By < p.Creases.Count + p.Lines.Count;
            if (!held.Add(plate.Id) || (plate.HangsOn is { } on && (!held.Contains(on) || !crease)))
            {
                throw At($"{at}.plates", $"“{plate.Id}” stands here twice, or hangs on a plate that does not stand before it, or by a crease that there is not");
            }
        }

        foreach (var ring in p.Rings.Where(r => !held.Contains(r.One) || !held.Contains(r.Other) || r.By < 0 || r.By >= p.Creases.Count + p.Lines.Count))
        {
            throw At($"{at}.rings", $"there is no ring from “{ring.One}” to “{ring.Other}”");
        }

        return new Piece(
            p.Id, p.Name, p.Axis,
            [.. p.Panels.Select((n, i) => new Panel(n.Id, n.Name, Sum(n.Extent, $"{at}.panels[{i}].extent"), Limit(n.Least, $"{at}.panels[{i}].least")) { IsTab = n.Tab })],
            [.. p.Creases.Select((k, i) => Crease(k, $"{at}.creases[{i}]"))],
            Sum(p.Across, $"{at}.across"), p.SizeRule, p.AcrossRule, p.Quantity)
        {
            UsualStock = p.UsualStock,
            ByDie = p.ByDie,
            FromHead = p.FromHead,
            Functions = (p.Along ?? PartFunction.None, p.Broad ?? PartFunction.None),
            Lines = [.. p.Lines.Select((l, i) => new CreaseLine(Spot(l.From, $"{at}.lines[{i}].from"), Spot(l.To, $"{at}.lines[{i}].to"), Crease(l.Crease, $"{at}.lines[{i}].crease"), l.Between))],
            Openings = [.. p.Openings.Select((o, i) => new Opening(o.Id, o.Name, o.Panel, Rectangle(o.Within, $"{at}.openings[{i}].within"), o.Rule, o.Kind, o.StaysOn, o.Outline is null ? null : Corners(o.Outline, $"{at}.openings[{i}].outline")))],
            OwnPlates = plates,
            Rings = p.Rings,
        };
    }

    private Crease Crease(WrittenCrease k, string at) => new(k.Fold, k.Working, Angle(k.Shown, $"{at}.shown"), k.Closed % 90 == 0 ? Angle(k.Closed, $"{at}.closed") : throw At($"{at}.closed", "closed, a crease is flat, upright or folded over: 0, 90 or 180"), k.Rule)
    {
        Stretches = [.. (k.Stretches ?? []).Select((s, i) => new Stretch(Sum(s.From, $"{at}.stretches[{i}].from"), Sum(s.To, $"{at}.stretches[{i}].to")))],
    };

    private Bond Bond(WrittenBond b, string at)
    {
        Pair? raised = b.RaisedIn is { } inches && b.RaisedMm is { } mm ? new Pair(new Length((Number(inches, $"{at}.raisedIn") * Length.PerInch).Nearest()), Millimetres(mm, $"{at}.raisedMm")) : null;
        return new Bond(b.Id, Side(b.A, $"{at}.a"), Side(b.B, $"{at}.b"), b.LinedUp, raised, b.Loose, b.Play is null ? null : Sum(b.Play, $"{at}.play"), b.TakenOff, b.AtLeast);
    }

    private BondSide Side(WrittenSide side, string at) => new(new FaceRef(PlateOf(side.Piece, side.Plate, at), side.Face), side.Region switch
    {
        { Rectangle: { } r, Corners: null } => Rectangle(r, $"{at}.region.rectangle"),
        { Rectangle: null, Corners: { Count: >= 3 } corners } => new Polygon(Corners(corners, $"{at}.region.corners")),
        _ => throw At($"{at}.region", "it is either a rectangle, or a shape of three corners and more"),
    });

    private LayerRole Role(WrittenRole l, string at)
    {
        foreach (var panel in l.Panels.Concat(l.Free.Keys))
        {
            PlateOf(l.Piece, panel, $"{at}.panels");
        }

        return new LayerRole(l.Id, l.Name, l.Piece, l.Panels, l.Face, Count(l.Levels, 9, $"{at}.levels"), l.BothFaces,
            l.Free.ToDictionary(f => f.Key, f => Rectangle(f.Value, $"{at}.free.{f.Key}")), l.Reveal is null ? null : Sum(l.Reveal, $"{at}.reveal"),
            l.ToWriteOn, l.IsScene);
    }

    private PlateRef PlateOf(string piece, string plate, string at)
    {
        var (id, copy) = piece.Split(':') is [var name, var number] && int.TryParse(number, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? (name, n) : (piece, 0);
        return _pieces.TryGetValue(id, out var known) && copy <= known.Quantity && (known.Plates?.Any(p => p.Id == plate) ?? known.Panels.Any(p => p.Id == plate))
            ? new PlateRef(new PieceRef(id, copy), plate)
            : throw At(at, $"there is no plate “{plate}” of “{piece}”");
    }

    private CreaseRef CreaseOf(WrittenAngle angle, string at) =>
        _pieces.TryGetValue(angle.Piece, out var piece) && angle.Crease >= 0 && angle.Crease < piece.Creases.Count + piece.Lines.Count ? new CreaseRef(angle.Piece, angle.Crease)
            : throw At(at, $"there is no crease {angle.Crease} of “{angle.Piece}”");

    private int Angle(int degrees, string at) => degrees is >= -180 and <= 180 ? degrees : throw At(at, $"{degrees} is no angle of a fold: −180 to 180");

    private List<Spot> Corners(IReadOnlyList<WrittenSpot> corners, string at)
    {
        Few(corners.Count, MostCorners, at, "corners");
        return [.. corners.Select((c, i) => Spot(c, $"{at}[{i}]"))];
    }

    private Rectangle Rectangle(WrittenRectangle r, string at) => new(Sum(r.From.X, $"{at}.from.x"), Sum(r.From.Y, $"{at}.from.y"), Sum(r.To.X, $"{at}.to.x"), Sum(r.To.Y, $"{at}.to.y"));

    private Spot Spot(WrittenSpot spot, string at) => new(Sum(spot.X, $"{at}.x"), Sum(spot.Y, $"{at}.y"));

    private Limit Limit(WrittenLimit limit, string at) => new(Sum(limit.Value, $"{at}.value"), limit.Because);

    /// <summary>A sum of a construction that was read before, with whatever it names.</summary>
    internal static Affine ValueOf(WrittenSum sum)
    {
        var reader = new ConstructionReader("sum");
        reader._symbols.UnionWith(sum.Of?.Keys ?? []);
        return reader.Sum(sum, "sum");
    }

    private Affine Sum(WrittenSum sum, string at)
    {
        Few(sum.Of?.Count ?? 0, MostTerms, at, "terms");
        var terms = new Dictionary<Symbol, Rational>();
        foreach (var (name, ratio) in sum.Of ?? new Dictionary<string, string>())
        {
            if (!_symbols.Contains(name))
            {
                throw At($"{at}.of.{name}", $"“{name}” is not known here: a sum names W, H, an allowance, or a parameter that stands before it");
            }

            terms[Symbol.Parse(name)] = Number(ratio, $"{at}.of.{name}");
        }

        var common = terms.Values.Aggregate(BigInteger.One, (d, r) => d / BigInteger.GreatestCommonDivisor(d, r.Denominator) * r.Denominator);
        if (common > GreatestNumerator)
        {
            throw At(at, $"its fractions have no common denominator up to {GreatestNumerator}");
        }

        return Affine.Sum(terms, sum.In is null ? Rational.Zero : Number(sum.In, $"{at}.in") * Length.PerInch, sum.Mm is null ? Rational.Zero : Number(sum.Mm, $"{at}.mm") * Length.PerMillimetre);
    }

    private Length Millimetres(string text, string at) => new((Number(text, at) * Length.PerMillimetre).Nearest());

    private decimal Decimal(string text, string at) =>
        decimal.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value) && value is >= 0 and <= 10 ? value : throw At(at, $"“{text}” is no number from 0 to 10");

    /// <summary>A whole number, a decimal or a fraction, small enough for sums never to run over.</summary>
    private Rational Number(string text, string at)
    {
        if (text.Length <= 32 && text.Split('/') is [var top, .. var rest] && rest.Length <= 1
            && decimal.TryParse(top, NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n)
            && decimal.TryParse(rest.Length == 1 ? rest[0] : "1", NumberStyles.None, CultureInfo.InvariantCulture, out var d) && d > 0)
        {
            // Decimals of any kind become whole above and below the line.
            var scale = 1m;
            for (; n != decimal.Truncate(n) && scale <= GreatestDenominator; scale *= 10)
            {
                n *= 10;
            }

            var divisor = (decimal)BigInteger.GreatestCommonDivisor(new BigInteger(Math.Abs(n)), new BigInteger(d * scale));
            var (numerator, denominator) = (n / Math.Max(1, divisor), d * scale / Math.Max(1, divisor));
            if (Math.Abs(numerator) <= GreatestNumerator && denominator <= GreatestDenominator)
            {
                return new Rational((long)numerator, (long)denominator);
            }
        }

        throw At(at, $"“{(text.Length <= 32 ? text : text[..32] + "…")}” is no number that can be worked with, such as 3, 1/2 or 0.18");
    }

    private int Count(int count, int most, string at) => count >= 0 && count <= most ? count : throw At(at, $"{count} is out of range, 0 to {most}");

    private void Few(int count, int most, string at, string what)
    {
        if (count > most)
        {
            throw At(at, $"there are {count} {what}, and at most {most} can be worked with");
        }
    }

    private InputProblemException At(string place, string reason) => Wrong($"{_place}.{place}", reason);

    private static InputProblemException Wrong(string place, string reason) => new("construction.wrong", place, reason, Example);
}
