using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>A piece that would just not have come out of a sheet that is there, and was eased to it.</summary>
/// <param name="Room">What that sheet has for it, as it lies there.</param>
/// <param name="Width">What its width was before, and <paramref name="Height"/> its height.</param>
/// <param name="Moved">The parameters that gave way, with what they were before.</param>
public sealed record EasedPiece(Piece Piece, Sheet Sheet, SheetRoom Room, Length Width, Length Height, IReadOnlyList<(Parameter Parameter, Length Was)> Moved);

/// <summary>
/// Where a piece misses the sheets that are there by a little, the parameters that nobody set give way as far as nobody minds.
/// </summary>
/// <remarks>
/// Only figures that can be had with the finished card as large as it is, and with every free parameter inside its comfort (15 %
/// of its ideal, or half a groove) or no further out than it is already. Everything else is for a larger sheet, and is said.
/// </remarks>
internal static class SheetEase
{
    public static Figures Use(Figures sized, bool firm, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var (rooms, eased) = (new List<SheetRoom>(), new List<EasedPiece>());
        var now = sized;
        foreach (var id in sized.Pieces.Select(p => p.Piece.Id).Where(id => id != sized.Blank?.Piece))
        {
            var piece = now.Pieces.First(p => p.Piece.Id == id);
            if (Comes(sized.Design, piece))
            {
                continue;
            }

            foreach (var (sheet, room) in Rooms(sized, piece))
            {
                if (Fitted(sized, now, [.. rooms, room], firm, cancel) is { } fits)
                {
                    rooms.Add(room);
                    eased.Add(new EasedPiece(piece.Piece, sheet, room, piece.Width.Value, piece.Height.Value,
                        [.. fits.Parameters.Zip(now.Parameters).Where(p => p.First.Value != p.Second.Value).Select(p => (p.First.Parameter, p.Second.Value))]));
                    now = fits;
                    break;
                }
            }
        }

        return eased.Count == 0 ? sized : now with { EasedPieces = eased };
    }

    private static bool Comes(Design design, SizedPiece piece) => design.Sheets.Any(s => s.Holds(piece.Width.Value, piece.Height.Value));

    /// <summary>The sheets as a piece lies on them, what lacks least first.</summary>
    private static IEnumerable<(Sheet Sheet, SheetRoom Room)> Rooms(Figures sized, SizedPiece piece) =>
        sized.Design.Sheets.SelectMany(s => new[] { (Sheet: s, Along: s.Width, Across: s.Height), (Sheet: s, Along: s.Height, Across: s.Width) })
            .OrderBy(r => (Length.Max(Length.Zero, piece.Along.Value - r.Along) + Length.Max(Length.Zero, piece.Across.Value - r.Across)).Units)
            .Select(r => (r.Sheet, new SheetRoom(piece.Piece.Id, r.Along, r.Across)));

    private static Figures? Fitted(Figures sized, Figures now, IReadOnlyList<SheetRoom> rooms, bool firm, CancellationToken cancel)
    {
        var builder = Sizer.BuilderFor(sized.Design, sized.Named, firm, cancel, rooms: rooms);
        try
        {
            return Sizer.Solved(sized.Design, sized.Named, builder, sized.Relaxation) is { } fits && fits.Width == now.Width && fits.Height == now.Height
                && fits.Parameters.Zip(now.Parameters).All(p => p.First.ByHand ? p.First.Value == p.Second.Value : IsComfortable(builder, p.First, p.Second)) ? fits : null;
        }
        catch (UndecidedException)
        {
            // Only a nicety: where it is not soon found the figures stay as they are.
            return null;
        }
    }

    private static bool IsComfortable(ProblemBuilder builder, SizedParameter fits, SizedParameter had)
    {
        var off = (fits.Value - fits.Ideal).Abs();
        return off <= (had.Value - had.Ideal).Abs() || off.Units <= builder.Band(builder.Ideals[fits.Parameter.Id]);
    }
}
