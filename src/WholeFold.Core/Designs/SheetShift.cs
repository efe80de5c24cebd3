using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Designs;

/// <summary>
/// Moves what lies on a sheet when a panel of it is made wider or a crease is moved: creases across, cuts, plates, faces, and bonds, which keep
/// their size. What lies where is measured in the format that the design is made for.
/// </summary>
internal sealed class SheetShift
{
    /// <summary>What is nearer than this is the same place; in units.</summary>
    private const double Near = 0.1 * Length.PerMillimetre;

    private readonly Dictionary<Symbol, Rational> _values;
    private readonly UnitSystem _system;

    public SheetShift(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        var home = reader.Read(design with { Target = null, TargetTurn = false });
        _system = home.Unit.SystemOf();
        _values = new() { [Symbol.Width] = home.Target.Width.Units, [Symbol.Height] = home.Target.Height.Units };
        foreach (var parameter in construction.Parameters)
        {
            _values[Symbol.Parameter(parameter.Id)] = Exact(ConstructionReader.ValueOf(parameter.Ideal));
        }
    }

    /// <summary>Makes one panel wider, or the widest row where no panel is named: what lies beyond its middle goes with its far end.</summary>
    public WrittenConstruction Stretched(WrittenConstruction construction, WrittenPiece piece, int? panel, Affine by)
    {
        var along = panel is not null;
        var places = along ? Positions(piece) : Rows(piece);
        var at = panel ?? Enumerable.Range(0, places.Count - 1).MaxBy(i => places[i + 1] - places[i]);
        var middle = (places[at] + places[at + 1]) / 2;
        return Shifted(construction, piece, along == (piece.Axis == Axis.X) ? Axis.X : Axis.Y, place => place > middle, by, isWhole: false);
    }

    /// <summary>Moves a crease: what lies at it goes with it.</summary>
    public WrittenConstruction Moved(WrittenConstruction construction, WrittenPiece piece, int crease, Affine by)
    {
        var at = Positions(piece)[crease + 1];
        return Shifted(construction, piece, piece.Axis, place => Math.Abs(place - at) <= Near, by, isWhole: true);
    }

    private List<double> Positions(WrittenPiece piece) => [.. piece.Panels.Aggregate(new List<double> { 0 }, (at, p) => [.. at, at[^1] + Value(p.Extent)])];

    /// <summary>From creases across the chain to the next, and to both edges.</summary>
    private List<double> Rows(WrittenPiece piece) =>
        [.. piece.Lines.Select(l => piece.Axis == Axis.X ? (l.From.Y, l.To.Y) : (l.From.X, l.To.X)).Where(l => Math.Abs(Value(l.Item1) - Value(l.Item2)) <= Near)
            .Select(l => Value(l.Item1)).Append(0).Append(Value(piece.Across)).Order()];

    private Rational Exact(Affine sum) => sum.Evaluate(_system, s => _values.GetValueOrDefault(s, Rational.Zero));

    private double Value(WrittenSum sum) => Exact(ConstructionReader.ValueOf(sum)) is var exact ? (double)exact.Numerator / exact.Denominator : 0;

    private WrittenConstruction Shifted(WrittenConstruction construction, WrittenPiece piece, Axis axis, Func<double, bool> moves, Affine by, bool isWhole)
    {
        WrittenSum Sum(WrittenSum sum, Affine more) => ConstructionWriter.Write(ConstructionReader.ValueOf(sum) + more);
        WrittenSum Place(WrittenSum sum) => moves(Value(sum)) ? Sum(sum, by) : sum;
        WrittenSpot Spot(WrittenSpot spot) => axis == Axis.X ? spot with { X = Place(spot.X) } : spot with { Y = Place(spot.Y) };
        WrittenRectangle Box(WrittenRectangle r) => new(Spot(r.From), Spot(r.To));
        WrittenCrease Crease(WrittenCrease crease, Axis along) => along != axis || crease.Stretches is null ? crease
            : crease with { Stretches = [.. crease.Stretches.Select(s => new WrittenStretch(Place(s.From), Place(s.To)))] };

        // What is bonded keeps its size: it goes all, or as its middle does.
        WrittenRegion Region(WrittenRegion region)
        {
            var all = region.Rectangle is { } r ? [r.From, r.To] : region.Corners!;
            var moved = all.Count(s => moves(Value(axis == Axis.X ? s.X : s.Y)));
            var more = moved == 0 ? Affine.Zero : moved == all.Count || isWhole ? by : by / 2;
            WrittenSpot Whole(WrittenSpot s) => axis == Axis.X ? s with { X = Sum(s.X, more) } : s with { Y = Sum(s.Y, more) };
            return region.Rectangle is { } box ? new(new WrittenRectangle(Whole(box.From), Whole(box.To))) : new(Corners: [.. all.Select(Whole)]);
        }

        bool Is(string name) => name.Split(':')[0] == piece.Id;
        WrittenSide Side(WrittenSide side) => Is(side.Piece) ? side with { Region = Region(side.Region) } : side;
        WrittenPiece Changed(WrittenPiece p) => p with
        {
            Creases = [.. p.Creases.Select(c => Crease(c, p.Axis == Axis.X ? Axis.Y : Axis.X))],
            Lines = [.. p.Lines.Select(l => l with { From = Spot(l.From), To = Spot(l.To), Crease = Crease(l.Crease, Math.Abs(Value(l.From.Y) - Value(l.To.Y)) <= Near ? Axis.X : Axis.Y) })],
            Openings = [.. p.Openings.Select(o => o with { Within = Box(o.Within), Outline = o.Outline is null ? null : [.. o.Outline.Select(Spot)] })],
            Plates = p.Plates is null ? null : [.. p.Plates.Select(q => q with { Corners = [.. q.Corners.Select(Spot)] })],
        };
        return construction with
        {
            Pieces = [.. construction.Pieces.Select(p => p.Id == piece.Id ? Changed(p) : p)],
            Bonds = [.. construction.Bonds.Select(b => b with { A = Side(b.A), B = Side(b.B) })],
            Layers = [.. construction.Layers.Select(l => l.Piece == piece.Id ? l with { Free = l.Free.ToDictionary(f => f.Key, f => Box(f.Value)) } : l)],
            Contacts = [.. construction.Contacts.Select(c => c with { AtA = Is(c.PieceA) ? Spot(c.AtA) : c.AtA, AtB = Is(c.PieceB) ? Spot(c.AtB) : c.AtB })],
        };
    }
}
