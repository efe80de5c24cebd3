using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>
/// A design gone through as its stages will, before it is stored: what cannot be put together or drawn is refused while its maker
/// still has it in her hand. A card that has no figures is no such thing: the bench says what conflicts, and it is freed there.
/// </summary>
public static class Trial
{
    /// <exception cref="InputProblemException">Something is not understood, or no card comes of it that could be drawn.</exception>
    public static void Make(DesignSpec spec, DesignReader reader, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(reader);
        var read = reader.Read(spec);
        foreach (var target in new[] { read.Design.Home, read.Target }.Distinct())
        {
            try
            {
                if (Sized(read.Design, target, atHome: target == read.Design.Home, cancel) is { } card)
                {
                    Go(card, spec.Made is not null);
                }
            }
            catch (NoFiguresException)
            {
                // It is told on the stage that asks for it, with what conflicts.
            }
            catch (Exception e) when (e is not (InputProblemException or OperationCanceledException))
            {
                throw new InputProblemException("card.broken", "edits", "with this the card could not be put together or drawn", "a change after which each piece, window and part still has a size of its own and lies on its sheet");
            }
        }
    }

    /// <summary>Null where it has no figures, or where what was set cannot be: that is told on the bench, and freed there.</summary>
    /// <exception cref="InputProblemException">At home, something that it wears cannot be on any card.</exception>
    private static Card? Sized(Design design, Target target, bool atHome, CancellationToken cancel)
    {
        try
        {
            return Card.Try(design, target, cancel);
        }
        catch (InputProblemException e) when (!atHome || !e.Field.StartsWith("dressing", StringComparison.Ordinal))
        {
            return null;
        }
    }

    private static void Go(Card card, bool own)
    {
        foreach (var piece in card.Pieces)
        {
            foreach (var opening in piece.Openings)
            {
                var box = opening.Box;
                if (box.Left < Length.Zero || box.Bottom < Length.Zero || box.Right > piece.Width.Value || box.Top > piece.Height.Value || box.Width < Length.Zero || box.Height < Length.Zero)
                {
                    throw new InputProblemException("build.opening", "border", $"the {opening.Opening.Name} would be {box.Width.Millimetres:0.#} × {box.Height.Millimetres:0.#} mm and not lie on the {piece.Piece.Name.ToLowerInvariant()}", "a border that leaves a window on its panel");
                }
            }
        }

        _ = (card.Closed.Footprint, card.Checks.Count, card.Thickness.Greatest, card.Envelope, card.Grams);
        _ = card.Dressed.Roles.All.Sum(r => r.Faces.Count);
        if (own)
        {
            // Of what is in the library all the rest is known to go.
            _ = Motion.Of(card.Figures).Frames.Count;
            _ = Screens.Of(card, Steps.Of(card)).Count;
            _ = card.SafeSides.Count;
            foreach (var piece in card.Pieces)
            {
                _ = PieceDrawing.Of(card, piece);
            }
        }
    }
}
