using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>A distance from a named edge or crease: of the part's own crease where it hangs on one, else of its nearer edge.</summary>
public sealed record FromEdge(string Edge, Length Distance, bool OfItsCrease = false)
{
    /// <summary>Whether it is as far from the opposite edge: then one centres it, or lines it up at both ends.</summary>
    public bool Both { get; init; }

    /// <summary>Whether the two are the top and the bottom.</summary>
    public bool UpDown { get; init; }

    public Words Said => Both ? OfBoth : Words.Of($"{(OfItsCrease ? "its fold " : "")}{(Distance == Length.Zero ? Words.Of($"{(OfItsCrease ? "on" : "flush with")} {Edge}") : Distance < Length.Zero ? Words.Of($"{-Distance:u} past {Edge}") : Words.Of($"{Distance:u} from {Edge}"))}");

    private Words OfBoth => (Distance.Units, UpDown) switch
    {
        (0, _) => Words.Of($"flush {(UpDown ? "at the top and the bottom" : "on both sides")}"),
        ( < 0, _) => Words.Of($"{-Distance:u} past {(UpDown ? "the top and the bottom" : "both sides")}"),
        _ => Words.Of($"centred with {Distance:u} {(UpDown ? "above and below" : "on either side")}"),
    };
}

/// <summary>Where something goes, as figures: by its distances from two named edges or creases.</summary>
/// <param name="On">What it goes on.</param>
/// <param name="Pose">How that lies while it is measured: flat, closed or shown.</param>
/// <param name="Mark">What is drawn there, lightly.</param>
/// <param name="Vanishes">What becomes of the mark.</param>
public sealed record Place(string Id, string What, string On, IReadOnlyList<FromEdge> From, string Pose, string Mark, string Vanishes)
{
    public Words Said => Words.Join(", ", From.Select(f => f.Said));
}

/// <summary>What a bond asks of its adhesive.</summary>
/// <param name="Limit">How far it stays back from a crease that moves; nothing where there is none beside it.</param>
/// <param name="Run">How much tape it takes in one run.</param>
/// <param name="Most">Where its area is only the least that holds, how far the adhesive may go.</param>
public sealed record BondFigures(Bond Bond, Length Width, Length Height, Length Limit, Length Run, (Length Width, Length Height)? Most = null);

/// <summary>The places and the bonds of a card as figures.</summary>
public static class Places
{
    /// <summary>How far adhesive stays back from a crease that moves.</summary>
    private static readonly Pair Back = Pair.Of(1, 16, 1.5m);

    public static IReadOnlyList<Place> Of(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        var own = figures.Construction.Places.Select(p =>
            new Place(p.Id, Spoken.First(p.What), Spoken.The(figures.Pieces[0].Piece.Name), [new FromEdge(p.From, figures.ValueOf(p.Distance))], p.Pose,
            "a light tick", p.Vanishes));
        return [.. figures.Construction.Bonds.Select(b => Of(figures, b)), .. own];
    }

    /// <summary>Where the one part of a bond goes on the other.</summary>
    public static Place Of(Figures figures, Bond bond)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(bond);
        var (piece, plate) = (figures.PieceOf(bond.A.Piece), figures.PlateOf(bond.A.Plate));
        var (lies, box) = (Lies(figures, bond), plate.Box);
        var (creaseX, creaseY) = OwnCrease(figures, bond);
        // What lies across an edge is measured from the other one.
        FromEdge Nearer(FromEdge one, FromEdge other) => one.Distance < Length.Zero || (other.Distance >= Length.Zero && other.Distance < one.Distance) ? other : one;
        FromEdge In(Axis axis, Length low, Length high, Length from, Length to, Length? crease, string first, string last) => crease is null
            && from - low == high - to ? new FromEdge(Edge(piece, low, axis, first), from - low) { Both = true, UpDown = IsUpDown(first) }
            : Nearer(
            new FromEdge(Edge(piece, low, axis, first), (crease ?? from) - low, crease is not null), new FromEdge(Edge(piece, high, axis, last), high - (crease ?? to), crease is not null));
        var (left, right, foot, head) = EdgesAsRead(figures, bond.A.On, piece.Piece.FromHead);
        var across = In(Axis.X, box.Left, box.Right, lies.Left, lies.Right, creaseX, left, right);
        var along = In(Axis.Y, box.Bottom, box.Top, lies.Bottom, lies.Top, creaseY, foot, head);
        var (laid, whose) = (figures.PlateOf(bond.B.Plate), figures.PieceOf(bond.B.Piece).Piece.Name);
        var what = bond.A.Piece.Piece == bond.B.Piece.Piece ? Spoken.The(laid.Name) : Spoken.The(laid.Name, whose);
        return new Place($"places.{bond.Id}", Spoken.First(what), Spoken.The(plate.Name, piece.Piece.Name), [across, along], bond.IsLoose ? "closed" : "flat", "two light ticks", bond.IsLoose ? "rubbed out" : $"covered by {Spoken.The(laid.Name)}");
    }

    /// <summary>Where the whole of the bonded part lies on the other: it is placed by its own outline, never by what of it is
    /// glued.</summary>
    internal static Box Lies(Figures figures, Bond bond)
    {
        IReadOnlyList<Vec> Region(BondSide side) => [.. side.Region.Anchors.Select(figures.ValueOf).Select(p =>
            new Vec(p.X.Units, p.Y.Units, 0))];
        var onto = RigidTransform.Laid(Region(bond.B), Region(bond.A));
        return Box.Round([.. figures.PlateOf(bond.B.Plate).Corners.Select(c => onto.Apply(c.X.Units, c.Y.Units))
            .Select(v => new Point(new Length((long)Math.Round(v.X)), new Length((long)Math.Round(v.Y))))]);
    }

    private static bool IsUpDown(string edge) => edge is Top or Bottom;

    private const string Top = "the top", Bottom = "the bottom";

    /// <summary>
    /// What the left, right, lower and upper edge of the flat piece are for a reader: where she reads the face on its side they change places.
    /// </summary>
    private static (string Left, string Right, string Foot, string Head) EdgesAsRead(Figures figures, FaceRef face, bool fromHead)
    {
        const string left = "the left edge", right = "the right edge", head = Top, foot = Bottom;
        return (Faces.HeadOf(figures, face), face.Face) switch
        {
            (Constructions.Edge.Left, Face.Up) => (head, foot, left, right),
            (Constructions.Edge.Left, _) => (head, foot, right, left),
            (Constructions.Edge.Right, Face.Up) => (foot, head, right, left),
            (Constructions.Edge.Right, _) => (foot, head, left, right),
            _ => fromHead ? (left, right, head, foot) : (left, right, foot, head),
        };
    }

    /// <summary>Where the crease that the bonded part hangs on comes to lie on the other, across and along: it is what one lines up.</summary>
    private static (Length? X, Length? Y) OwnCrease(Figures figures, Bond bond)
    {
        if (bond is not { A.Region: Rectangle on, B.Region: Rectangle own })
        {
            return default;
        }

        var part = figures.PieceOf(bond.B.Piece);
        bool IsCrease(Affine at, Axis axis) => part.AllScores.Any(s => s.Axis == axis && s.Figure.Value == figures.ValueOf(at));
        Length? At(Axis axis, Affine from, Affine to, Affine onFrom, Affine onTo) =>
            figures.ValueOf(to - from) == Length.Zero || (figures.ValueOf(onTo - onFrom).Abs() != figures.ValueOf(to - from).Abs()) ? null
            : IsCrease(from, axis) && !IsCrease(to, axis) ? figures.ValueOf(onFrom) : IsCrease(to, axis) && !IsCrease(from, axis) ? figures.ValueOf(onTo) : null;
        return (At(Axis.X, own.FromX, own.ToX, on.FromX, on.ToX), At(Axis.Y, own.FromY, own.ToY, on.FromY, on.ToY));
    }

    public static BondFigures FiguresOf(Figures figures, Bond bond)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(bond);
        var region = Box.Round([.. bond.A.Region.Corners.Select(figures.ValueOf)]);
        var limit = bond.Sides.Any(side => IsBesideACrease(figures, side)) ? Back.For(figures.Tools.System) : Length.Zero;
        return new BondFigures(bond, region.Width, region.Height, limit, Length.Max(region.Width, region.Height), bond.AtLeast ? Overlap.Of(figures, bond) : null);
    }

    /// <summary>Whether a working crease runs along an edge of one side of a bond: of the part that it is on, or of the part that is laid on it.</summary>
    private static bool IsBesideACrease(Figures figures, BondSide side)
    {
        var region = Box.Round([.. side.Region.Corners.Select(figures.ValueOf)]);
        return figures.PieceOf(side.Piece).AllScores.Where(s => s.Crease.Working && s.Axis is not null)
            .Any(s => s.Axis == Axis.X ? s.Figure.Value == region.Left || s.Figure.Value == region.Right : s.Figure.Value == region.Bottom || s.Figure.Value == region.Top);
    }

    /// <summary>An edge of a plate by what it is: a crease, by what lies on either side of it, or an edge of the piece.</summary>
    private static string Edge(SizedPiece piece, Length at, Axis axis, string otherwise) =>
        piece.AllScores.FirstOrDefault(s => s.Axis == axis && s.Figure.Value == at) is { } score ? $"the score {score.Place}" : otherwise;
}
