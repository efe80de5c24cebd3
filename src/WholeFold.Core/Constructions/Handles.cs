using WholeFold.Core.Constructions.Allowances;

namespace WholeFold.Core.Constructions;

/// <summary>A piece while its construction is built: its plates, faces and creases are told by it, so that none can be named that is not there.</summary>
/// <param name="copy">Which of several cut alike; 0 where there is only one, or for all of them.</param>
public sealed class PieceHandle(ConstructionBuilder builder, string id, int copy = 0)
{
    public string Id { get; } = id;

    /// <summary>One of several that are cut alike.</summary>
    /// <exception cref="InvalidOperationException">There are not so many.</exception>
    public PieceHandle Copy(int number) => builder.Get(Id).Quantity >= number && number > 0 ? new PieceHandle(builder, Id, number) : throw new InvalidOperationException($"there is no {Id} {number}.");

    /// <summary>A plate: where a piece is a plain chain, one of its panels.</summary>
    /// <exception cref="InvalidOperationException">The piece has no such plate.</exception>
    public PlateHandle this[string plate]
    {
        get
        {
            var piece = builder.Get(Id);
            return (piece.OwnPlates?.Any(p => p.Id == plate) ?? piece.Panels.Any(p => p.Id == plate)) ? new PlateHandle(new PlateRef(new PieceRef(Id, copy), plate))
                : throw new InvalidOperationException($"{Id} has no plate {plate}.");
        }
    }

    public CreaseRef Crease(int index) => new(Id, index);

    /// <summary>A window, or a slit where the region has no width, or another cut.</summary>
    public PieceHandle Opening(string id, string name, string panel, Rectangle within, string rule, CutKind? kind = null, Edge? staysOn = null, IReadOnlyList<Spot>? outline = null)
    {
        ArgumentNullException.ThrowIfNull(within);
        var line = (within.ToX - within.FromX).IsZero || (within.ToY - within.FromY).IsZero;
        var opening = new Opening(id, name, panel, within, rule, kind ?? (line ? CutKind.Slit : CutKind.Window), staysOn, outline);
        return Change(piece => piece with { Openings = [.. piece.Openings, opening] });
    }

    /// <summary>What it does, which says which way it is cut if in doubt.</summary>
    public PieceHandle Is(PartFunction along, PartFunction across) => Change(piece => piece with { Functions = (along, across) });

    public PieceHandle Is(PartFunction both) => Is(both, both);

    /// <summary>The stock that it is cut from unless a design says otherwise, by its id.</summary>
    public PieceHandle From(string stock) => Change(piece => piece with { UsualStock = stock });

    /// <summary>Its chain is counted from the card's head.</summary>
    public PieceHandle FromHead() => Change(piece => piece with { FromHead = true });

    /// <summary>A die cuts it out.</summary>
    public PieceHandle ByDie() => Change(piece => piece with { ByDie = true });

    /// <summary>A crease that is none of its chain's.</summary>
    public PieceHandle Line(Spot from, Spot to, Crease crease, string between) =>
        Change(piece => piece with { Lines = [.. piece.Lines, new CreaseLine(from, to, crease, between)] });

    /// <summary>Its plates, where its panels are not all there is to it, and where they meet in rings.</summary>
    public PieceHandle Plates(Plate[] plates, params Ring[] rings) => Change(piece => piece with { OwnPlates = plates, Rings = rings });

    private PieceHandle Change(Func<Piece, Piece> change)
    {
        builder.Put(change(builder.Get(Id)));
        return this;
    }
}

/// <summary>A plate while its construction is built.</summary>
public sealed class PlateHandle(PlateRef plate)
{
    public PlateRef Ref { get; } = plate;

    public BondSide Up(Region region) => On(Face.Up, region);

    public BondSide Down(Region region) => On(Face.Down, region);

    public BondSide On(Face face, Region region) => new(new FaceRef(Ref, face), region);

    /// <summary>A point of it.</summary>
    public (PlateRef Plate, Spot At) At(Spot spot) => (Ref, spot);
}

/// <summary>A bond while its construction is built: steps say by it what they make.</summary>
public sealed record BondHandle(string Id);
