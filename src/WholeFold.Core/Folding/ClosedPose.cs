using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>Where a flat piece's points lie in the closed card: each axis kept or mirrored, then moved. Exact, in units.</summary>
internal readonly record struct Placement(int SignX, long MoveX, int SignY, long MoveY)
{
    public static Placement Identity => new(1, 0, 1, 0);

    /// <summary>True where the face that was up on the board lies up in the closed card.</summary>
    public bool FaceUp => SignX * SignY > 0;

    public (long X, long Y) Apply(long x, long y) => ((SignX * x) + MoveX, (SignY * y) + MoveY);

    /// <summary>First mirror at the line x (or y) = <paramref name="at"/> of the flat piece, then this.</summary>
    public Placement Folded(Axis axis, long at) => axis == Axis.X
        ? this with { SignX = -SignX, MoveX = (SignX * 2 * at) + MoveX }
        : this with { SignY = -SignY, MoveY = (SignY * 2 * at) + MoveY };
}

/// <summary>A panel as it lies in the closed card.</summary>
public sealed record PlacedPanel(string Piece, string Panel, Box Box, bool FaceUp);

/// <summary>A rectangle in the plane, in units.</summary>
public readonly record struct Box(Length Left, Length Bottom, Length Right, Length Top)
{
    public Length Width => Right - Left;

    public Length Height => Top - Bottom;
}

/// <summary>A bond whose two regions do not lie on each other when the card is closed.</summary>
/// <param name="By">How far apart their corners are at the worst.</param>
public sealed record BondMiss(string Bond, Length By, bool WrongFace);

/// <summary>
/// The card in its envelope: a composition of reflections at the creases that are folded over, exact in whole units.
/// Pieces are laid in by their bonds; every further bond is a test.
/// </summary>
public sealed record ClosedPose(IReadOnlyList<PlacedPanel> Panels, IReadOnlyList<BondMiss> Misses)
{
    public Box Footprint { get; } = new(Panels.Select(p => p.Box.Left).Min(), Panels.Select(p => p.Box.Bottom).Min(), Panels.Select(p => p.Box.Right).Max(), Panels.Select(p => p.Box.Top).Max());

    public Length Width => Footprint.Width;

    public Length Height => Footprint.Height;

    internal Dictionary<string, Placement> Placements { get; init; } = [];

    internal Dictionary<string, (Length X, Length Y, Length Width, Length Height)> BondRegions { get; init; } = [];

    /// <summary>Folds the pieces flat and joins them by their bonds.</summary>
    /// <param name="value">Evaluates a bond's region at the sized figures.</param>
    public static ClosedPose Of(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value)
    {
        // Each panel within its own piece, the first one lying still. Of pieces cut alike, each is laid by itself.
        var within = new Dictionary<string, Placement>();
        var copies = pieces.SelectMany(p => p.Piece.Copies.Select(id => (Id: id, Piece: p))).ToList();
        foreach (var (id, piece) in copies)
        {
            var placement = Placement.Identity;
            within[Key(id, piece.Panels[0].Panel.Id)] = placement;
            for (var i = 0; i < piece.Scores.Count; i++)
            {
                if (piece.Scores[i].Crease.Closed != 0)
                {
                    placement = placement.Folded(piece.Piece.Axis, piece.Scores[i].Figure.Value.Units);
                }

                within[Key(id, piece.Panels[i + 1].Panel.Id)] = placement;
            }
        }

        var frames = new Dictionary<string, Placement> { [copies[0].Id] = Placement.Identity };
        var misses = new List<BondMiss>();
        var left = construction.Bonds.ToList();
        while (left.Count > 0)
        {
            var index = left.FindIndex(b => frames.ContainsKey(b.PieceA) || frames.ContainsKey(b.PieceB));
            if (index < 0)
            {
                throw new InvalidOperationException($"{construction.Id}: {left[0].Id} joins pieces that nothing holds.");
            }

            var bond = left[index];
            left.RemoveAt(index);
            var (pieceA, panelA, faceA, a, pieceB, panelB, faceB, b) = frames.ContainsKey(bond.PieceA)
                ? (bond.PieceA, bond.PanelA, bond.FaceA, bond.A, bond.PieceB, bond.PanelB, bond.FaceB, bond.B)
                : (bond.PieceB, bond.PanelB, bond.FaceB, bond.B, bond.PieceA, bond.PanelA, bond.FaceA, bond.A);
            var onA = Compose(frames[pieceA], within[Key(pieceA, panelA)]);
            var (fromA, toA) = Corners(a, value, onA);
            var inB = within[Key(pieceB, panelB)];
            if (!frames.TryGetValue(pieceB, out var frameB))
            {
                frameB = Fit(Corners(b, value, inB), fromA, toA);
                frames[pieceB] = frameB;
            }

            var onB = Compose(frameB, inB);
            var (fromB, toB) = Corners(b, value, onB);
            var apart = new[] { fromA.X - fromB.X, fromA.Y - fromB.Y, toA.X - toB.X, toA.Y - toB.Y }.Max(Math.Abs);
            // Glued face to face: seen from above, one of the two looks up and the other down.
            var wrongFace = (onA.FaceUp == (faceA == Face.Up)) == (onB.FaceUp == (faceB == Face.Up));
            var play = bond.Play is { } p ? value(p).Ceiling() : 0;
            if (!bond.Loose && (apart > play || wrongFace))
            {
                misses.Add(new BondMiss(bond.Id, new Length(apart), wrongFace));
            }
        }

        var placements = new Dictionary<string, Placement>();
        var placed = new List<PlacedPanel>();
        foreach (var (id, piece) in copies)
        {
            if (!frames.TryGetValue(id, out var frame))
            {
                throw new InvalidOperationException($"{construction.Id}: nothing holds the piece {id}.");
            }

            foreach (var panel in piece.Panels)
            {
                var placement = Compose(frame, within[Key(id, panel.Panel.Id)]);
                placements[Key(id, panel.Panel.Id)] = placement;
                placed.Add(new PlacedPanel(id, panel.Panel.Id, BoxOf(placement, FlatBox(piece, panel)), placement.FaceUp));
            }
        }

        return new ClosedPose(placed, misses)
        {
            Placements = placements,
            BondRegions = construction.Bonds.ToDictionary(b => b.Id, b =>
            {
                var (f, t) = Corners(b.A, value, placements[Key(b.PieceA, b.PanelA)]);
                return (new Length(Math.Min(f.X, t.X)), new Length(Math.Min(f.Y, t.Y)), new Length(Math.Abs(t.X - f.X)), new Length(Math.Abs(t.Y - f.Y)));
            }),
        };
    }

    internal static string Key(string piece, string panel) => $"{piece}/{panel}";

    /// <summary>A panel's place in its flat piece.</summary>
    public static Box FlatBox(SizedPiece piece, SizedPanel panel) => piece.Piece.Axis == Axis.X
        ? new Box(panel.From, Length.Zero, panel.To, piece.Across.Value)
        : new Box(Length.Zero, panel.From, piece.Across.Value, panel.To);

    internal static Box BoxOf(Placement placement, Box flat)
    {
        var (x0, y0) = placement.Apply(flat.Left.Units, flat.Bottom.Units);
        var (x1, y1) = placement.Apply(flat.Right.Units, flat.Top.Units);
        return new Box(new Length(Math.Min(x0, x1)), new Length(Math.Min(y0, y1)), new Length(Math.Max(x0, x1)), new Length(Math.Max(y0, y1)));
    }

    private static Placement Compose(Placement outer, Placement inner) => new(
        outer.SignX * inner.SignX,
        (outer.SignX * inner.MoveX) + outer.MoveX,
        outer.SignY * inner.SignY,
        (outer.SignY * inner.MoveY) + outer.MoveY);

    private static ((long X, long Y) From, (long X, long Y) To) Corners(Region region, Func<Affine, Rational> value, Placement placement)
    {
        long Units(Affine expression) => value(expression).Nearest();
        return (placement.Apply(Units(region.FromX), Units(region.FromY)), placement.Apply(Units(region.ToX), Units(region.ToY)));
    }

    /// <summary>The frame that brings one region's corners onto another's, corner for corner.</summary>
    private static Placement Fit(((long X, long Y) From, (long X, long Y) To) own, (long X, long Y) from, (long X, long Y) to)
    {
        var signX = Math.Sign(to.X - from.X) == Math.Sign(own.To.X - own.From.X) ? 1 : -1;
        var signY = Math.Sign(to.Y - from.Y) == Math.Sign(own.To.Y - own.From.Y) ? 1 : -1;
        return new Placement(signX, from.X - (signX * own.From.X), signY, from.Y - (signY * own.From.Y));
    }
}
