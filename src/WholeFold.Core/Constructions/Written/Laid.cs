namespace WholeFold.Core.Constructions.Written;

/// <summary>Where a piece lies that nothing says: in the middle of a panel of another.</summary>
public static class Laid
{
    /// <param name="panel">Which of its panels lies there; <paramref name="copy"/> which of several it is, from 0.</param>
    /// <param name="loose">Whether it only lies there, and nothing bonds it.</param>
    public static WrittenBond InTheMiddle((WrittenPiece Piece, int Panel) host, WrittenPiece piece, int panel = 0, int copy = 0, bool loose = true)
    {
        ArgumentNullException.ThrowIfNull(piece);
        var (to, on) = host;
        var (own, room) = (Of(piece, panel), Of(to, on));
        var (left, foot) = ((room.FromX + room.ToX - own.ToX + own.FromX) / 2, (room.FromY + room.ToY - own.ToY + own.FromY) / 2);
        return new WrittenBond(
            $"{piece.Id}-{copy + 1}",
            new WrittenSide(to.Copy(1), to.Panels[on].Id, Face.Up, Region(new Rectangle(left, foot, left + own.ToX - own.FromX, foot + own.ToY - own.FromY))),
            new WrittenSide(piece.Copy(copy + 1), piece.Panels[panel].Id, Face.Down, Region(own)), loose ? "where it lies when the card is closed" : "in the middle of its panel", Loose: loose);
    }

    private static WrittenRegion Region(Rectangle r) => new(ConstructionWriter.Write(r));

    /// <summary>Where a panel is on its sheet: the plate of its name, or its part of the chain.</summary>
    public static Rectangle Of(WrittenPiece piece, int panel)
    {
        ArgumentNullException.ThrowIfNull(piece);
        if (piece.Plates?.FirstOrDefault(p => p.Id == piece.Panels[panel].Id) is { } plate && Of(plate) is { } lies)
        {
            return lies;
        }

        var start = piece.Panels.Take(panel).Aggregate(Affine.Zero, (sum, p) => sum + ConstructionReader.ValueOf(p.Extent));
        var (end, across) = (start + ConstructionReader.ValueOf(piece.Panels[panel].Extent), ConstructionReader.ValueOf(piece.Across));
        return piece.Axis == Axis.X ? new(start, Affine.Zero, end, across) : new(Affine.Zero, start, across, end);
    }

    /// <summary>A plate that is a rectangle; null where it is none.</summary>
    public static Rectangle? Of(WrittenPlate plate)
    {
        ArgumentNullException.ThrowIfNull(plate);
        return plate.Corners is [var from, _, var to, _]
            ? new(ConstructionReader.ValueOf(from.X), ConstructionReader.ValueOf(from.Y), ConstructionReader.ValueOf(to.X),
            ConstructionReader.ValueOf(to.Y)) : null;
    }
}
