using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>How what has flaps goes with another piece: a lid over its box, a pocket on a panel.</summary>
internal static class FlapBonds
{
    /// <summary>A lid is no wider than that beyond its box.</summary>
    private static readonly Length MostLoose = Length.Mm(6);

    /// <summary>Whether one of two trays goes over the other as its lid.</summary>
    /// <returns>True where the second is the lid, false where the first is; null where neither is.</returns>
    public static bool? Covers((OwnPiece Listed, FlapRows? Rows) one, (OwnPiece Listed, FlapRows? Rows) other)
    {
        if (one.Rows is not { Kind: FlapKind.Tray or FlapKind.Cross, Body: var high } || other.Rows is not { Kind: FlapKind.Tray or FlapKind.Cross, Body: var otherHigh })
        {
            return null;
        }

        var (along, across) = (other.Listed.Panels[1] - one.Listed.Panels[1], otherHigh - high);
        bool IsOver(Length by) => by > Length.Zero && by <= MostLoose;
        return IsOver(along) && IsOver(across) && other.Rows.Kind == FlapKind.Tray ? true : IsOver(-along) && IsOver(-across) && one.Rows.Kind == FlapKind.Tray ? false : null;
    }

    /// <summary>A lid over its box: turned over, its top on the rim, a wall of it outside each of the box’s.</summary>
    /// <param name="copy">Which of each it is, from 1; where there are fewer of the other, the last of those.</param>
    public static WrittenBond Over(WrittenPiece box, WrittenPiece lid, bool isShallow, int copy)
    {
        var (wall, cover) = (Span.Of(box, 0), Span.Of(lid, 2));
        var (deep, side) = (isShallow ? cover.Along : wall.Along, wall.Across);
        WrittenSide Strip(WrittenPiece piece, int panel, Face face, Span of)
        {
            var from = (of.FromAcross + of.ToAcross - side) / 2;
            return new(piece.Copy(Math.Min(copy, piece.Quantity)), piece.Panels[panel].Id, face, new Span(of.FromAlong, from, of.FromAlong + deep, from + side).On(piece));
        }

        return new WrittenBond($"{lid.Id}-over{copy}", Strip(box, 0, Face.Down, wall), Strip(lid, 2, Face.Up, cover), "the lid on the rim of its box", Loose: true);
    }

    /// <summary>A pocket in the middle of a panel of another piece, held by its flaps.</summary>
    /// <param name="copy">Which of several it is, from 0.</param>
    public static IEnumerable<WrittenBond> Held((WrittenPiece Piece, int Panel) host, WrittenPiece pocket, int copy)
    {
        var (room, body) = (Span.Of(host.Piece, host.Panel), Span.Of(pocket, 1));
        var (left, foot) = ((room.FromAlong + room.ToAlong - body.Along) / 2, (room.FromAcross + room.ToAcross - body.Across) / 2);
        foreach (var (plate, i) in pocket.Plates!.Where(p => p.HangsOn is not null).Select((p, i) => (p, i)))
        {
            // The pocket is turned over, so that the flaps of its chain lie as they did on the board, and those across it turned round.
            var flap = Span.Of(pocket, plate);
            var on = flap.ToAlong.IsSameAs(body.FromAlong) ? flap.Moved(left + body.ToAlong - (2 * body.FromAlong), foot - body.FromAcross)
                : flap.FromAlong.IsSameAs(body.ToAlong) ? flap.Moved(left - body.ToAlong, foot - body.FromAcross)
                : flap.Round(left + body.ToAlong, flap.ToAcross.IsSameAs(body.FromAcross) ? foot + body.FromAcross : foot + (2 * body.ToAcross) - body.FromAcross);
            yield return new WrittenBond($"{pocket.Id}-{copy + 1}-flap{i + 1}", new WrittenSide(host.Piece.Copy(1), host.Piece.Panels[host.Panel].Id, Face.Up, on.On(host.Piece)),
                new WrittenSide(pocket.Copy(copy + 1), plate.Id, Face.Down, flap.On(pocket)), "folded behind the pocket, in the middle of its panel", Play: OwnFlaps.Hair);
        }
    }

    /// <summary>A rectangle of a piece, along its chain and across it.</summary>
    private readonly record struct Span(Affine FromAlong, Affine FromAcross, Affine ToAlong, Affine ToAcross)
    {
        public Affine Along => ToAlong - FromAlong;

        public Affine Across => ToAcross - FromAcross;

        public static Span Of(WrittenPiece piece, int panel) => Of(piece, Laid.Of(piece, panel));

        public static Span Of(WrittenPiece piece, WrittenPlate plate) => Of(piece, Laid.Of(plate)!);

        private static Span Of(WrittenPiece piece, Rectangle r) => piece.Axis == Axis.X ? new(r.FromX, r.FromY, r.ToX, r.ToY) : new(r.FromY, r.FromX, r.ToY, r.ToX);

        public Span Moved(Affine along, Affine across) => new(FromAlong + along, FromAcross + across, ToAlong + along, ToAcross + across);

        /// <summary>Turned round, so that what lay at nothing lies at these.</summary>
        public Span Round(Affine along, Affine across) => new(along - FromAlong, across - FromAcross, along - ToAlong, across - ToAcross);

        public WrittenRegion On(WrittenPiece piece) =>
            new(ConstructionWriter.Write(piece.Axis == Axis.X ? new Rectangle(FromAlong, FromAcross, ToAlong, ToAcross)
            : new Rectangle(FromAcross, FromAlong, ToAcross, ToAlong)));
    }
}
