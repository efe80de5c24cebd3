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
        var (from, size) = Span(piece, panel);
        var (start, room) = Span(to, on);
        var (across, hostAcross) = (ConstructionReader.ValueOf(piece.Across), ConstructionReader.ValueOf(to.Across));
        var own = piece.Axis == Axis.X ? new Rectangle(from, Affine.Zero, from + size, across) : new Rectangle(Affine.Zero, from, across, from + size);
        var (width, height) = piece.Axis == Axis.X ? (size, across) : (across, size);
        var (left, foot) = to.Axis == Axis.X ? (start + ((room - width) / 2), (hostAcross - height) / 2) : ((hostAcross - width) / 2, start + ((room - height) / 2));
        return new WrittenBond(
            $"{piece.Id}-{copy + 1}",
            new WrittenSide(to.Quantity == 1 ? to.Id : $"{to.Id}:1", to.Panels[on].Id, Face.Up, Region(new Rectangle(left, foot, left + width, foot + height))),
            new WrittenSide(piece.Quantity == 1 ? piece.Id : $"{piece.Id}:{copy + 1}", piece.Panels[panel].Id, Face.Down, Region(own)), loose ? "where it lies when the card is closed" : "in the middle of its panel", Loose: loose);
    }

    private static WrittenRegion Region(Rectangle r) => new(ConstructionWriter.Write(r));

    private static (Affine From, Affine Size) Span(WrittenPiece piece, int panel) =>
        (piece.Panels.Take(panel).Aggregate(Affine.Zero, (sum, p) => sum + ConstructionReader.ValueOf(p.Extent)), ConstructionReader.ValueOf(piece.Panels[panel].Extent));
}
