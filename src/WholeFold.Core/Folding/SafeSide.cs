using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>Which way a figure may miss.</summary>
public enum SafeDirection
{
    /// <summary>A hair less does no harm, a hair more does.</summary>
    Scant,

    /// <summary>A hair more does no harm, a hair less does.</summary>
    Full,

    /// <summary>Either does harm.</summary>
    Exact,

    /// <summary>Neither does.</summary>
    Either,
}

/// <summary>The safe side of one figure, with the reason, and what must be cut or scored together with it.</summary>
public sealed record SafeSide(SafeDirection Direction, Words Why, IReadOnlyList<string> Twins)
{
    /// <summary>More than this no eye and no crease lets pass, unless what the part does says otherwise.</summary>
    public static readonly Length Unseen = Length.Mm(3);

    /// <summary>How far it may miss on its safe side and the card still be as it should.</summary>
    public Length Most { get; init; } = Unseen;
}

/// <summary>
/// Works out the safe side of every figure by folding the card again with that figure a mark short and a mark over: what
/// then stands out of the format, misses its bond or meets its neighbour is what the figure must not do.
/// </summary>
public static class SafeSides
{
    /// <summary>By the figure's id.</summary>
    public static IReadOnlyDictionary<FigureRef, SafeSide> Of(Figures sized, ClosedPose closed)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var sides = new Dictionary<FigureRef, SafeSide>();
        var score = sized.Tools.RulerMarks.Concat(sized.Tools.CutMarks).Min();
        var cut = sized.Tools.CutMarks.Min();
        if (sized.Tools.Exact)
        {
            (score, cut) = (Slip, Slip);
        }

        foreach (var piece in sized.Pieces)
        {
            for (var edge = 0; edge <= piece.Scores.Count; edge++)
            {
                var isCut = edge == piece.Scores.Count;
                var mark = isCut ? cut : score;
                var index = edge;
                var id = isCut ? piece.Along.Id : piece.Scores[edge].Figure.Id;
                var expression = isCut ? piece.Piece.Along : piece.Piece.Position(edge);
                var twins = TwinsOf(sized, id, isCut, expression, piece);
                var function = isCut && piece.Panels[^1].Panel.IsTab && piece.Piece.Functions.Along == PartFunction.None ? PartFunction.IsHidden : piece.Piece.Functions.Along;
                var side = (isCut || function == PartFunction.Meets ? ByFunction(function, twins) : null)
                    ?? Judge(sized, closed, piece, by => piece.Moved(index, by), mark, twins);
                sides[id] = isCut && function == PartFunction.IsHidden ? side with { Most = HiddenEnd(sized, piece) } : side;
            }

            for (var line = 0; line < piece.Lines.Count; line++)
            {
                var index = line;
                sides[piece.Lines[line].Figure.Id] = Judge(sized, closed, piece, by => piece.LineMoved(index, by), score, piece.Piece.Quantity > 1 ? [$"all {piece.Piece.Quantity}"] : []);
            }

            foreach (var (opening, edge, _) in piece.MarkedLines)
            {
                sides[edge.Id] = OfLine(piece, opening, edge);
            }

            var alike = TwinsOf(sized, piece.Across.Id, true, piece.Piece.Across, piece);
            sides[piece.Across.Id] = ByFunction(piece.Piece.Functions.Across, alike) ?? Judge(sized, closed, piece, piece.AcrossMoved, cut, alike);
        }

        return sides;
    }

    /// <summary>A window may be cut larger, never smaller again; the line that a slit runs along is the one it needs.</summary>
    private static SafeSide OfLine(SizedPiece piece, SizedOpening opening, Measured edge)
    {
        IReadOnlyList<string> twins = piece.Piece.Quantity > 1 ? [$"all {piece.Piece.Quantity}"] : [];
        var upright = edge == opening.Left || edge == opening.Right;
        if ((upright ? opening.Box.Width : opening.Box.Height) == Length.Zero)
        {
            return new SafeSide(SafeDirection.Exact, Words.Of($"either way it runs beside its line"), twins);
        }

        if (opening.Opening.Kind == CutKind.Flap)
        {
            return new SafeSide(SafeDirection.Exact, Words.Of($"either way what swings meets what stands"), twins);
        }

        return new SafeSide(edge == opening.Left || edge == opening.Foot ? SafeDirection.Full : SafeDirection.Scant, Words.Of($"it can be cut larger, never smaller again"), twins);
    }

    /// <summary>A tab may be as short as it still holds; another end that nobody sees a quarter of an inch, which its neighbour covers.</summary>
    private static Length HiddenEnd(Figures sized, SizedPiece piece)
    {
        var (end, quarter) = (piece.Panels[^1], Holds.For(sized.Tools.System));
        var left = end.Extent - Length.Max(sized.ValueOf(end.Panel.Min.Value), quarter);
        return Length.Max(AMark.For(sized.Tools.System), end.Panel.IsTab ? left : Length.Min(quarter, left));
    }

    /// <summary>What of a tab holds at the least, and a mark: that much a bond may always be short.</summary>
    private static readonly Pair Holds = Pair.Of(1, 4, 6m), AMark = Pair.Of(1, 16, 1.5m);

    /// <summary>What a part does says more than how it lies: null where it does nothing of its own.</summary>
    private static SafeSide? ByFunction(PartFunction function, IReadOnlyList<string> twins) => function switch
    {
        PartFunction.Slides => new SafeSide(SafeDirection.Scant, Words.Of($"it slides; full, it binds"), twins),
        PartFunction.Turns => new SafeSide(SafeDirection.Scant, Words.Of($"it turns; full, it strikes the frame"), twins),
        PartFunction.GoesInside => new SafeSide(SafeDirection.Scant, Words.Of($"it goes inside; full, it does not go in"), twins),
        PartFunction.IsHidden => new SafeSide(SafeDirection.Scant, Words.Of($"it ends where nobody sees it; full, it shows or lies in a crease"), twins),
        PartFunction.Covers => new SafeSide(SafeDirection.Full, Words.Of($"it covers; scant, what is under it shows"), twins),
        PartFunction.CutAlike => new SafeSide(SafeDirection.Exact, Words.Of($"its like is cut with it, at one setting"), twins),
        PartFunction.Meets => new SafeSide(SafeDirection.Exact, Words.Of($"its two ends meet: scant, a gap; full, they overlap"), twins),
        _ => null,
    };

    /// <summary>A machine has no marks; a slip of the sheet in it is about this.</summary>
    private static readonly Length Slip = Length.Mm(0.5m);

    private static SafeSide Judge(Figures sized, ClosedPose closed, SizedPiece piece, Func<Length, SizedPiece> moved, Length mark, IReadOnlyList<string> twins)
    {
        var less = Harm(sized, closed, piece, moved(-mark));
        var more = Harm(sized, closed, piece, moved(mark));
        return (less, more) switch
        {
            (null, { } why) => new SafeSide(SafeDirection.Scant, Words.Of($"full, {why}"), twins),
            ({ } why, null) => new SafeSide(SafeDirection.Full, Words.Of($"scant, {why}"), twins),
            ({ } why, { } other) => new SafeSide(SafeDirection.Exact, why.Write(DisplayUnit.Millimetre) == other.Write(DisplayUnit.Millimetre) ? Words.Of($"either way {why}") : Words.Of($"scant, {why}; full, {other}"), twins),
            _ => new SafeSide(SafeDirection.Either, Words.Of($"nothing meets it"), twins),
        };
    }

    /// <summary>What goes wrong with one piece changed that did not before; null where nothing does.</summary>
    private static Words? Harm(Figures sized, ClosedPose closed, SizedPiece old, SizedPiece changed)
    {
        var pieces = sized.Pieces.Select(p => ReferenceEquals(p, old) ? changed : p).ToList();
        var pose = ClosedPose.Of(sized.Construction, pieces, sized.Evaluator);
        var missed = pose.Misses.FirstOrDefault(m => m.By > (closed.Misses.FirstOrDefault(o => o.Bond == m.Bond)?.By ?? Length.Zero));
        if (missed is not null)
        {
            var bond = sized.Construction.Bonds.FirstOrDefault(b => b.Id == missed.Bond);
            return bond is null ? Words.Of($"its creases no longer meet in a point") : Words.Of($"{NameOf(sized, bond.A.Plate)} and {NameOf(sized, bond.B.Plate)} no longer meet");
        }

        // What does not lie on anything else when the card is shut must not begin to.
        var before = closed.Panels;
        for (var i = 0; i < before.Count; i++)
        {
            for (var j = 0; j < i; j++)
            {
                if (Apart(before[i].Box, before[j].Box) && (before[i].Plate.Piece == before[j].Plate.Piece) && Touch(pose.Panels[i].Box, pose.Panels[j].Box))
                {
                    return Words.Of($"{NameOf(sized, before[j].Plate)} and {NameOf(sized, before[i].Plate)} would touch");
                }
            }
        }

        if (pose.Width > Length.Max(closed.Width, sized.Target.Width) || pose.Height > Length.Max(closed.Height, sized.Target.Height))
        {
            return Words.Of($"it stands out of the closed card");
        }

        return null;
    }

    private static string NameOf(Figures sized, PlateRef plate) => $"the {sized.PlateOf(plate).Name}";

    private static bool Apart(Box a, Box b) => a.Right < b.Left || b.Right < a.Left || a.Top < b.Bottom || b.Top < a.Bottom;

    private static bool Touch(Box a, Box b) => a.Right >= b.Left && b.Right >= a.Left && a.Top >= b.Bottom && b.Top >= a.Bottom;

    /// <summary>What is cut or scored to the same figure by the same rule, or is its mirror image.</summary>
    private static List<string> TwinsOf(Figures sized, FigureRef id, bool isCut, Affine expression, SizedPiece own)
    {
        var twins = own.Piece.Quantity > 1 ? [$"all {own.Piece.Quantity}"] : new List<string>();
        foreach (var piece in sized.Pieces)
        {
            if (isCut && !ReferenceEquals(piece, own) && ((expression.IsSameAs(piece.Piece.Along) && piece.Piece.Axis == own.Piece.Axis) || expression.IsSameAs(piece.Piece.Across)))
            {
                twins.Add(piece.Piece.Name);
            }

            for (var i = 0; i < piece.Scores.Count && !isCut; i++)
            {
                var other = piece.Piece.Position(i);
                if (ReferenceEquals(piece, own) ? piece.Scores[i].Figure.Id != id && (piece.Piece.Along - other).IsSameAs(expression) : other.IsSameAs(expression))
                {
                    twins.Add(ReferenceEquals(piece, own) ? "its twin at the other end" : piece.Piece.Name);
                }
            }
        }

        return twins;
    }
}
