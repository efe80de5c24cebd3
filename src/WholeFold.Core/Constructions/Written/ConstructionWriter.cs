using System.Globalization;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions.Written;

/// <summary>Writes a construction down, whole: reading it again gives an equal one.</summary>
public static class ConstructionWriter
{
    public static WrittenFamily Write(ConstructionFamily family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return new WrittenFamily
        {
            Id = family.Id,
            Name = family.Name,
            Opens = family.Opens,
            Choices = family.Choices,
            Variants = [.. ConstructionFamily.Combinations(family.Choices).Select(c => Write(family.For(c)))],
        };
    }

    private static WrittenConstruction Write(Construction c) => new()
    {
        Choices = c.Choices,
        Does = c.Does,
        Parameters = [.. c.Parameters.Select(Write)],
        Allowances = [.. c.Allowances.Select(a => Write(a.Key, a.Value))],
        Pieces = [.. c.Pieces.Select(Write)],
        Bonds = [.. c.Bonds.Select(Write)],
        Layers = [.. c.Layers.Select(l => new WrittenRole
        {
            Id = l.Id,
            Name = l.Name,
            Piece = l.Piece,
            Panels = l.Panels,
            Face = l.Face,
            Levels = l.Levels,
            BothFaces = l.BothFaces,
            ToWriteOn = l.ToWriteOn,
            IsScene = l.IsScene,
            Free = l.Free.ToDictionary(f => f.Key, f => Write(f.Value)),
            Reveal = l.Reveal is null ? null : Write(l.Reveal),
        })],
        Requirements = [.. c.Requirements.Select(r => new WrittenRequirement(r.Id, Write(r.AtLeastZero), r.Because))],
        Tradeoffs = [.. c.Tradeoffs.Select(t => new WrittenTradeoff(t.Parameter, t.OneName, Write(t.One), t.OtherName, Write(t.Other)))],
        States = [.. c.States.Select(s => new WrittenState(s.Id, s.Name, s.How, [.. s.Angles.Select(a => new WrittenAngle(a.Key.Piece, a.Key.Index, a.Value))]))],
        Contacts = [.. c.Contacts.Select(r => new WrittenContact(r.A.Piece.ToString(), r.A.Plate, Write(r.AtA), r.B.Piece.ToString(), r.B.Plate, Write(r.AtB), r.How))],
        Refused = c.Refused,
        Places = [.. c.Places.Select(p => new WrittenPlacement(p.Id, p.What, p.From, Write(p.Distance), p.Pose, p.Vanishes))],
        NamedShown = c.NamedShown is { } named ? new WrittenPlateName(named.Piece.ToString(), named.Plate) : null,
        LookedAt = c.LookedAt is { } look ? new WrittenLookedAt(look.Plate.Piece.ToString(), look.Plate.Plate, look.Up, look.Spine) : null,
        RoundOneAsThickAs = c.RoundOneAsThickAs,
        Slanting = c.Slanting,
        GrowsBecause = c.GrowsBecause,
        Steps = c.Steps,
        Troubles = c.Troubles,
        Watch = c.Watch,
    };

    private static WrittenParameter Write(Parameter p) => new()
    {
        Id = p.Id,
        Name = p.Name,
        Meaning = p.Meaning,
        Ideal = Write(p.Ideal),
        Min = [.. p.Min.Select(Write)],
        Max = [.. p.Max.Select(Write)],
        OnConversion = p.OnConversion,
        Held = p.Held,
        Rule = p.Rule,
        Least = p.Least,
        Most = p.Most,
        ZeroByHand = p.ZeroByHand,
        So = p.So,
        Absorbs = p.Absorbs,
    };

    private static WrittenLimit Write(Limit limit) => new(Write(limit.Value), limit.Because);

    private static WrittenAllowance Write(Symbol symbol, Allowance allowance)
    {
        var written = new WrittenAllowance { Symbol = symbol.Id, Kind = allowance.Kind, Piece = allowance.Piece };
        return allowance switch
        {
            Creep creep => written with { Plies = creep.Plies, CreaseFactor = creep.CreaseFactor.ToString(CultureInfo.InvariantCulture) },
            BoxDepth box => written with { Layers = box.Layers, OnThem = Mm(box.OnThem) },
            Slit slit => written with { Clearance = Mm(slit.Clearance) },
            SlitWidth width => written with { Contents = Write(width.Through) },
            Sleeve sleeve => written with { Contents = Write(sleeve.Inside) },
            WrappedStack stack => written with { Contents = Write(stack.Stack) },
            _ => written,
        };
    }

    private static WrittenContents Write(Contents contents) => new(Mm(contents.Other), contents.Layers, contents.Pieces.Length == 0 ? null : contents.Pieces);

    private static WrittenPiece Write(Piece p) => new()
    {
        Id = p.Id,
        Name = p.Name,
        Axis = p.Axis,
        Across = Write(p.Across),
        SizeRule = p.SizeRule,
        AcrossRule = p.AcrossRule,
        Quantity = p.Quantity,
        UsualStock = p.UsualStock,
        ByDie = p.ByDie,
        FromHead = p.FromHead,
        Along = p.Functions.Along == PartFunction.None ? null : p.Functions.Along,
        Broad = p.Functions.Across == PartFunction.None ? null : p.Functions.Across,
        Panels = [.. p.Panels.Select(n => new WrittenPanel(n.Id, n.Name, Write(n.Extent), Write(n.Min), n.IsTab))],
        Creases = [.. p.Creases.Select(Write)],
        Lines = [.. p.Lines.Select(l => new WrittenLine(Write(l.From), Write(l.To), Write(l.Crease), l.Between))],
        Openings = [.. p.Openings.Select(o => new WrittenOpening(o.Id, o.Name, o.Panel, Write(o.Within), o.Rule, o.Kind, o.StaysOn, o.Outline is null ? null : [.. o.Outline.Select(Write)]))],
        Plates = p.OwnPlates is null ? null : [.. p.OwnPlates.Select(q => new WrittenPlate(q.Id, q.Name, [.. q.Corners.Select(Write)], q.HangsOn, q.By))],
        Rings = p.Rings,
    };

    private static WrittenCrease Write(Crease c) =>
        new(c.Fold, c.Working, c.Shown, c.Closed, c.Rule, c.Stretches.Count == 0 ? null : [.. c.Stretches.Select(s => new WrittenStretch(Write(s.From), Write(s.To)))]);

    private static WrittenBond Write(Bond b) =>
        new(b.Id, Write(b.A), Write(b.B), b.LinedUp, b.Raised is { } raised ? Inches(raised.Imperial.Units) : null, b.Raised is { } foam ? Mm(foam.Metric) : null,
            b.IsLoose, b.Play is null ? null : Write(b.Play), b.TakenOff, b.AtLeast);

    private static WrittenSide Write(BondSide side) => new(side.Piece.ToString(), side.Plate.Plate, side.On.Face, side.Region switch
    {
        Rectangle r => new WrittenRegion(Write(r)),
        var shape => new WrittenRegion(Corners: [.. shape.Corners.Select(Write)]),
    });

    internal static WrittenRectangle Write(Rectangle r) => new(new WrittenSpot(Write(r.FromX), Write(r.FromY)), new WrittenSpot(Write(r.ToX), Write(r.ToY)));

    private static WrittenSpot Write(Spot spot) => new(Write(spot.X), Write(spot.Y));

    internal static WrittenSum Write(Affine sum) => new(
        sum.Terms.Count == 0 ? null : sum.Terms.ToDictionary(t => t.Key.Id, t => t.Value.ToString()),
        sum.Imperial.IsZero ? null : Inches(sum.Imperial),
        sum.Metric.IsZero ? null : (sum.Metric / Length.PerMillimetre).ToString());

    private static string Inches(Rational units) => (units / Length.PerInch).ToString();

    private static string Mm(Length length) => new Rational(length.Units, Length.PerMillimetre).ToString();
}
