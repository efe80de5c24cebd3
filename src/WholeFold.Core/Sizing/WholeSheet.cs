using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>A piece led by its sheet: the whole length is used and one panel takes what is left, which saves a cut.</summary>
internal static class WholeSheet
{
    /// <summary>
    /// The same design with a piece as long as a side of the everyday sheet, the shortest that does; null where no panel can
    /// take the rest within its limits without a smaller card.
    /// </summary>
    public static Figures? Use(Figures sized, bool firm, CancellationToken cancel)
    {
        var sheet = sized.Design.EverydaySheet(sized.Tools.System);
        foreach (var parameter in sized.Parameters.Where(p => p.Parameter.Absorbs is { } absorbs && absorbs != sized.Blank?.Piece && !p.ByHand))
        {
            var piece = sized.Pieces.First(p => p.Piece.Id == parameter.Parameter.Absorbs);
            foreach (var length in new[] { sheet.Width, sheet.Height }.Order().Where(l => l >= piece.Along.Value))
            {
                var (left, across) = (length - piece.Along.Value, length == sheet.Width ? sheet.Height : sheet.Width);
                if (piece.Across.Value > across)
                {
                    continue;
                }

                var wish = new Wish((parameter.Value + left).Units, Words.Of($"what is left of the sheet's {length}, so that it need not be cut to length"));
                var builder = Sizer.BuilderFor(sized.Design, sized.Named, firm, cancel, (parameter.Parameter.Id, wish), (piece.Piece.Id, length), [.. sized.EasedPieces.Select(e => e.Room)]);
                try
                {
                    if (Sizer.Solved(sized.Design, sized.Named, builder, sized.Relaxation) is { } whole && whole.Width == sized.Width && whole.Height == sized.Height)
                    {
                        // What was eased to a sheet before stays in it.
                        return whole with { EasedPieces = sized.EasedPieces };
                    }
                }
                catch (UndecidedException)
                {
                    // Only a nicety: where it is not soon found the figures stay as they are.
                }
            }
        }

        return null;
    }
}
