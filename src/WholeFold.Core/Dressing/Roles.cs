using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>One face of a role.</summary>
/// <param name="Id">Its own identity: <c>base.back.up</c>.</param>
/// <param name="Whole">The face less its windows: what a paper covers that goes on first.</param>
/// <param name="Open">What of it is left beside what is bonded on it: what a paper covers that ends there.</param>
/// <param name="Usual">Which of the two its construction means.</param>
/// <param name="HeadFrom">Where <see cref="Head"/> is found, when somebody asks.</param>
/// <param name="Seen">When it is seen; nothing of one that only a hand uncovers.</param>
public sealed record RoleFace(string Id, string Name, string Piece, string Plate, Face Face, IReadOnlyList<PieceRef> Copies, FreePart Whole, FreePart Open,
    FreePart Usual, Lazy<Edge> HeadFrom, IReadOnlyList<Seen> Seen)
{
    /// <summary>What it is called in a sentence, its article with it: "the inside of the left door".</summary>
    public required string Said { get; init; }

    /// <summary>The side of the flat piece that is uppermost as one reads it.</summary>
    public Edge Head => HeadFrom.Value;

    public FreePart For(Under? under) => under switch { Under.First => Whole, Under.Free => Open, _ => Usual };

    public PlateRef Ref => new(Copies[0], Plate);
}

/// <summary>Where decoration goes: faces that are alike, under one name.</summary>
/// <param name="Levels">How many papers lie on each other at the most usual; none where the face is usually bare.</param>
/// <param name="Own">The construction's own role; null of a face that it does not speak of.</param>
public sealed record Role(string Id, string Name, IReadOnlyList<RoleFace> Faces, int Levels, LayerRole? Own)
{
    public bool ToWriteOn => Own?.ToWriteOn ?? false;

    public string Piece => Faces[0].Piece;

    public Face Face => Faces[0].Face;
}

/// <summary>All roles of a card: those that its construction names, and each further face that is seen.</summary>
public sealed class Roles
{
    private readonly Dictionary<string, Role> _byId;
    private readonly Dictionary<string, (Role Role, RoleFace Face)> _byFace = [];

    private Roles(IReadOnlyList<Role> all)
    {
        All = all;
        _byId = all.ToDictionary(r => r.Id);
        foreach (var role in all)
        {
            foreach (var face in role.Faces)
            {
                _byFace.TryAdd(face.Id, (role, face));
                foreach (var copy in face.Copies)
                {
                    _byFace.TryAdd(Faces.IdOf(copy.ToString(), face.Plate, face.Face), (role, face with { Copies = [copy] }));
                }
            }
        }
    }

    public IReadOnlyList<Role> All { get; }

    /// <summary>The faces that a written role means; none where it is a face that nobody sees.</summary>
    public IReadOnlyList<RoleFace> Of(string role) => _byId.TryGetValue(role, out var known) ? known.Faces : _byFace.TryGetValue(role, out var one) ? [one.Face] : [];

    public Role? RoleOf(string role) => _byId.GetValueOrDefault(role) ?? (_byFace.TryGetValue(role, out var one) ? one.Role : null);

    public static Roles Of(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        return Of(figures, Faces.Of(figures));
    }

    /// <summary>The construction's own roles alone, without looking for what else is seen: enough for the papers it usually wears.</summary>
    public static Roles Named(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        return Of(figures, []);
    }

    private static Roles Of(Figures figures, IReadOnlyList<SeenFace> seen)
    {
        var roles = new List<Role>();
        foreach (var own in figures.Construction.Layers)
        {
            foreach (var face in own.BothFaces ? new[] { own.Face, own.Face == Face.Up ? Face.Down : Face.Up } : [own.Face])
            {
                var piece = figures.Pieces.First(p => p.Piece.Id == own.Piece);
                var faces = own.Panels.Select(panel => FaceOf(figures, own, piece, piece.Plate(panel), face, seen)).ToList();
                var other = face != own.Face;
                roles.Add(new Role(other ? own.Id + LayerRole.OtherFace : own.Id, other ? $"{own.Name}, other face" : own.Name, faces, own.Levels, own));
            }
        }

        var named = roles.SelectMany(r => r.Faces.Select(f => (f.Piece, f.Plate, f.Face))).ToHashSet();
        foreach (var face in seen.Where(f => !named.Contains((f.Piece, f.Plate, f.Face)) && !IsTab(figures, f)))
        {
            var piece = figures.Pieces.First(p => p.Piece.Id == face.Piece);
            var whole = Less(piece, piece.Plate(face.Plate));
            roles.Add(new Role(face.Id, face.Name,
                [new RoleFace(face.Id, face.Name, face.Piece, face.Plate, face.Face, face.Copies, whole, face.Main, face.Main, new(face.Read.Head),
                face.Poses) { Said = SaidOf(face) }], 0, null));
        }

        return new Roles(roles);
    }

    private static bool IsTab(Figures figures, SeenFace face) => figures.Pieces.First(p => p.Piece.Id == face.Piece).Panels.Any(p => p.Panel.Id == face.Plate && p.Panel.IsTab);

    private static RoleFace FaceOf(Figures figures, LayerRole own, SizedPiece piece, SizedPlate plate, Face face, IReadOnlyList<SeenFace> seen)
    {
        var alike = seen.Where(s => s.Piece == own.Piece && s.Plate == plate.Id && s.Face == face).ToList();
        var all = Less(piece, plate);
        var named = own.Free.TryGetValue(plate.Id, out var free) ? Part(new Box(figures.ValueOf(free.FromX), figures.ValueOf(free.FromY), figures.ValueOf(free.ToX), figures.ValueOf(free.ToY))) : null;

        // What the construction calls free is a part of the plate: where nothing is bonded there, that part is all of the role.
        var open = alike.SelectMany(s => s.Free).Where(f => named is null || Overlaps(f, named.Box)).MaxBy(f => f.Area) ?? named ?? all;
        var bonded = figures.Construction.Bonds.Any(b => !b.IsLoose && b.Sides.Any(s => s.On.Face == face && s.Plate.Plate == plate.Id && s.Piece.Piece == piece.Piece.Id));
        var poses = alike.FirstOrDefault()?.Poses ?? [];
        var head = new Lazy<Edge>(() => Faces.HeadOf(figures, new FaceRef(new PlateRef(piece.Piece.Copies[0], plate.Id), face)));
        return new RoleFace(Faces.IdOf(piece.Piece.Id, plate.Id, face), alike.FirstOrDefault()?.Name ?? own.Name, piece.Piece.Id, plate.Id, face,
            piece.Piece.Copies, bonded ? all : named ?? all, bonded ? open : named ?? open, named ?? all, head, poses)
        {
            Said = alike.FirstOrDefault() is { } shown ? SaidOf(shown)
                : $"the {(face == Face.Up ? "inside" : "outside")} of {Spoken.The(Faces.PanelName(figures, piece, plate))}",
        };
    }

    private static string SaidOf(SeenFace face) => face.Side is { } side ? $"the {side} of {Spoken.The(face.Panel)}" : Spoken.The(face.Panel);

    private static bool Overlaps(FreePart part, Box box) => Length.Min(part.Box.Right, box.Right) > Length.Max(part.Box.Left, box.Left)
        && Length.Min(part.Box.Top, box.Top) > Length.Max(part.Box.Bottom, box.Bottom);

    private static FreePart Part(Box box) => new(box.Corners, [], true);

    /// <summary>A plate less its windows.</summary>
    private static FreePart Less(SizedPiece piece, SizedPlate plate)
    {
        var holes = piece.HolesIn(plate).ToList();
        if (holes.Count == 0)
        {
            var shape = Plane.Shape(plate.Corners);
            return new FreePart(plate.Corners, [], Plane.IsRectangle(shape));
        }

        var left = holes.Aggregate(Plane.Shape(plate.Corners), (shape, hole) => shape.Difference(Plane.Shape(hole)));
        return FreePart.Of(Plane.Parts(left).MaxBy(p => p.Area)!);
    }
}
