using WholeFold.Core.Constructions;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A place where two plates must meet that the frames do not hold together by themselves.</summary>
/// <param name="Bond">The bond, or null for a crease in a ring.</param>
/// <param name="One">Its points as the one plate holds them, in space; <paramref name="Other"/> as the other does.</param>
/// <param name="WrongFace">Whether the faces that lie on each other are not those that should.</param>
internal sealed record Joint(Bond? Bond, IReadOnlyList<Vec> One, IReadOnlyList<Vec> Other, bool WrongFace)
{
    public double Apart => One.Zip(Other, (a, b) => (a - b).Greatest).Max();
}

/// <summary>
/// A card folded by given angles: plates hang on each other by their creases, pieces on pieces by their bonds. What meets
/// beyond that is a joint, and says whether the angles go together.
/// </summary>
/// <param name="Frames">Where each plate of each piece lies.</param>
internal sealed record Assembly(IReadOnlyDictionary<PlateRef, RigidTransform> Frames, IReadOnlyList<Joint> Joints)
{
    /// <param name="lift">How far a piece stands off the one that it is laid on, so that a drawing tells them apart; 0 to measure.</param>
    public static Assembly Of(Figures figures, MotionFrame frame, double lift = 0) => Linkage.For(figures).At(crease => frame.Angles[crease], lift);

    /// <summary>What of a card hangs together with one of its plates by the bonds that are made so far.</summary>
    public static Assembly Partly(Figures figures, Func<SizedPiece, int, double> angle, IReadOnlyList<Bond> made, PlateRef from)
    {
        var pieces = figures.Pieces.ToDictionary(p => p.Piece.Id);
        return new Linkage(figures.Construction, figures.Pieces, figures.Evaluator, made, from).At(crease => angle(pieces[crease.Piece], crease.Index));
    }
}
