using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>
/// What somebody measures on when a thing goes on a face: the paper where it lies wholly on one, whose edges are there and are seen,
/// else the panel as it is cut. Never the limit of what is glued on later: no ruler finds that.
/// </summary>
/// <param name="Reads">Its rectangle, as the face is read.</param>
/// <param name="Bonded">The sides at which a part that is bonded on hides its edge.</param>
internal sealed record Ground(RoleFace Face, Reading Reads, string? Paper, IReadOnlyList<ReadEdge> Bonded)
{
    public static Ground Of(Card card, OnFace on)
    {
        var paper = card.Layers.Where(l => l.On.Any(o => Lies(on, o))).OrderByDescending(l => l.Level).FirstOrDefault();
        return paper is null ? Bare(card.Figures, on)
            : new Ground(on.Face, new Reading(paper.On.First(o => Lies(on, o)).Box, on.Face.Head, on.Face.Face),
                PaperOn(card, paper, on.Face), []);
    }

    /// <summary>What a paper goes on: the one under it, else its panel.</summary>
    public static Ground Under(Card card, SizedLayer layer, LaidLayer laid)
    {
        var under = card.Layers.FirstOrDefault(l => l.Level == layer.Level - 1 && l.On.Any(o => o.On.Id == laid.On.Id));
        var box = under?.On.First(o => o.On.Id == laid.On.Id).Box ?? card.Figures.PlateOf(laid.On.Ref).Box;
        return new Ground(laid.On, new Reading(box, laid.On.Head, laid.On.Face), under is null ? null : PaperOn(card, under, laid.On), []);
    }

    /// <summary>A paper of a face by its name; where several of one stock lie there, by what each is for as well.</summary>
    public static string PaperOn(Card card, SizedLayer paper, RoleFace face) =>
        card.Layers.Any(l => l.Id != paper.Id && l.Stock.Id == paper.Stock.Id && l.Level == paper.Level
            && l.On.Any(o => o.On.Id == face.Id))
            ? $"{paper.Stock.Name} for {Spoken.The(paper.Role.Name)}" : paper.Stock.Name;

    /// <summary>The panel itself, before anything is on it.</summary>
    public static Ground Bare(Figures figures, OnFace on)
    {
        var (plate, free) = (figures.PlateOf(on.Face.Ref).Box, on.Region.Box);
        var reads = new Reading(plate, on.Face.Head, on.Face.Face);
        var (low, high) = (reads.Read(new Point(free.Left, free.Bottom)), reads.Read(new Point(free.Right, free.Top)));
        var (left, right) = (Length.Min(low.Across, high.Across), Length.Max(low.Across, high.Across));
        var (foot, head) = (Length.Min(low.Up, high.Up), Length.Max(low.Up, high.Up));
        return new Ground(on.Face, reads, null, [.. new[]
        {
            (ReadEdge.Left, left > Length.Zero), (ReadEdge.Right, right < reads.Width), (ReadEdge.Foot, foot > Length.Zero),
            (ReadEdge.Head, head < reads.Height),
        }.Where(e => e.Item2).Select(e => e.Item1)]);
    }

    private static bool Lies(OnFace on, LaidLayer laid) => laid.On.Ref.Plate == on.Face.Plate && laid.On.Piece == on.Face.Piece
        && laid.On.Face == on.Face.Face && on.Face.Copies.Any(laid.On.Copies.Contains)
            && Plane.Shape(laid.Outline).Buffer(1).Covers(Plane.Shape(on.Outline));

    /// <summary>What it is called: "the Night print 120 on the left door".</summary>
    /// <param name="isOn">Whether the paper is on by then; what is stamped is stamped on it before that.</param>
    public string Said(bool isOn) => Paper is null ? Face.Said : $"the {Paper} {(isOn ? "on" : "that goes on")} {Face.Said}";

    public bool IsSeen(ReadEdge edge) => !Bonded.Contains(edge);

    /// <summary>Whether something lies as far from an edge as from the opposite one, and both are there to see.</summary>
    public bool IsCentred(ReadEdge edge, OnFace on)
    {
        var (left, right, head, foot) = Margins(on);
        return edge is ReadEdge.Left or ReadEdge.Right ? left == right && IsSeen(ReadEdge.Left) && IsSeen(ReadEdge.Right)
            : head == foot && IsSeen(ReadEdge.Head) && IsSeen(ReadEdge.Foot);
    }

    /// <summary>How far it is from each of its edges, as one reads it; less than nothing where it reaches past.</summary>
    public (Length Left, Length Right, Length Head, Length Foot) Margins(OnFace on) => Margins(on.Box);

    public (Length Left, Length Right, Length Head, Length Foot) Margins(Box on)
    {
        var (one, other) = (Reads.Read(new Point(on.Left, on.Bottom)), Reads.Read(new Point(on.Right, on.Top)));
        return (Length.Min(one.Across, other.Across), Reads.Width - Length.Max(one.Across, other.Across),
            Reads.Height - Length.Max(one.Up, other.Up), Length.Min(one.Up, other.Up));
    }

    /// <summary>An edge as it is said: the score that is there, or its own edge as one reads it.</summary>
    public string Edge(Figures figures, ReadEdge edge)
    {
        return Paper is null ? Edge(figures, Face, Reads, edge) : $"its {Own(edge)}";
    }

    private static string Own(ReadEdge edge) => edge switch { ReadEdge.Left => "left edge", ReadEdge.Right => "right edge", ReadEdge.Head => "top", _ => "bottom" };

    /// <summary>An edge of a rectangle on a panel: the score that runs there, else its own as one reads it.</summary>
    public static string Edge(Figures figures, RoleFace face, Reading reads, ReadEdge edge)
    {
        var (from, to) = edge switch
        {
            ReadEdge.Left => (reads.Lay(Length.Zero, Length.Zero), reads.Lay(Length.Zero, reads.Height)),
            ReadEdge.Right => (reads.Lay(reads.Width, Length.Zero), reads.Lay(reads.Width, reads.Height)),
            ReadEdge.Foot => (reads.Lay(Length.Zero, Length.Zero), reads.Lay(reads.Width, Length.Zero)),
            _ => (reads.Lay(Length.Zero, reads.Height), reads.Lay(reads.Width, reads.Height)),
        };
        var piece = figures.Pieces.First(p => p.Piece.Id == face.Piece);
        return piece.AllScores.FirstOrDefault(s => s.Axis == Axis.X ? from.X == to.X && from.X == s.Figure.Value
            : s.Axis == Axis.Y && from.Y == to.Y && from.Y == s.Figure.Value) is { } score ? $"the score {score.Place}" : $"the {Own(edge)}";
    }
}
