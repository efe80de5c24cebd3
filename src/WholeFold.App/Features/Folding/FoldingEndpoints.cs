using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Spot = WholeFold.App.Features.Bench.Spot;

namespace WholeFold.App.Features.Folding;

/// <summary>A shape of a picture, as the core sees it; the browser only draws it.</summary>
/// <param name="Outline">Corner after corner, x and y by turns; y grows downwards.</param>
/// <param name="Light">0 to 1.</param>
/// <param name="Plate">Which plate it is, or is on.</param>
/// <param name="Tint">Its colour, where its stock has one.</param>
/// <param name="Struck">Whether it meets something that it would have to go through.</param>
public sealed record ShapeView(IReadOnlyList<int> Outline, IReadOnlyList<IReadOnlyList<int>> Holes, double Light, bool Inside, bool Layer, string Plate, string? Tint, bool Struck);

/// <summary>A picture of the card on its way, what is farthest away first.</summary>
/// <param name="Name">What one calls the card here: closed, shown, or one of its states; null on the way.</param>
public sealed record PoseView(double Share, string? Name, IReadOnlyList<ShapeView> Shapes);

/// <param name="Moves">Whether there are pictures between closed and shown; where rigid panels cannot go there, there are not.</param>
/// <param name="Left">The frame that all pictures fit in, by its least x and y, its width and height.</param>
public sealed record PosesView(bool Moves, int Left, int Top, int Width, int Height, IReadOnlyList<PoseView> Frames)
{
    /// <summary>Fine enough for the screen: a tenth of a millimetre.</summary>
    private const double Unit = 32;

    public static PosesView Of(Card card, Motion motion, Picture.From from)
    {
        static IReadOnlyList<int> Flat(IReadOnlyList<(double X, double Y)> corners) => [.. corners.SelectMany(c => new[] { (int)Math.Round(c.X / Unit), (int)Math.Round(-c.Y / Unit) })];
        var struck = card.Struck.SelectMany(s => new[] { s.Element.Element.Id, s.Into?.Element.Id }).ToHashSet();
        var frames = motion.Frames.Select(f => new PoseView(f.Share, f.Name,
            [.. Picture.Of(card.Figures, card.Bodies, f, from).Shapes.Select(s =>
            new ShapeView(Flat(s.Corners), [.. s.Holes.Select(Flat)], s.Light, s.Inside, s.IsLayer, s.Plate.ToString(), s.Tint, s.Id is not null
            && struck.Contains(s.Id)))])).ToList();
        var all = frames.SelectMany(f => f.Shapes).SelectMany(s => s.Outline.Chunk(2)).ToList();
        var (left, top) = (all.Min(p => p[0]), all.Min(p => p[1]));
        return new PosesView(motion.Moves, left, top, all.Max(p => p[0]) - left, all.Max(p => p[1]) - top, frames);
    }
}

/// <summary>A state of a card that has more than closed and shown, drawn from above.</summary>
/// <param name="How">What one does to bring it there.</param>
public sealed record StateView(string Id, string Name, string How, long Width, long Height, IReadOnlyList<ClosedPanel> Panels);

/// <summary>A spot of the closed card and how thick it is there, from 0 to 1 of the greatest.</summary>
public sealed record ThickView(IReadOnlyList<Spot> Corners, double Share);

/// <summary>How thick the closed card is, spot by spot.</summary>
public sealed record ThicknessView(string Greatest, string Mean, Spot ThickestAt, IReadOnlyList<ThickView> Spots);

/// <summary>A ply where the closed card is cut through.</summary>
/// <param name="Row">Counted from the table up.</param>
public sealed record PlyView(string Plate, string Name, long From, long To, int Row);

/// <summary>Two rows at one spot, which a fold joins, or adhesive along a stretch.</summary>
public sealed record JoinView(long From, long To, int Low, int High);

/// <summary>The closed card cut through at its thickest: the order in which its plies lie, and no measure of how thick they are.</summary>
/// <param name="AcrossX">Whether it is cut from left to right, and so seen from its foot; else seen from its side.</param>
public sealed record SectionView(bool AcrossX, long Width, int Rows, IReadOnlyList<PlyView> Plies, IReadOnlyList<JoinView> Folds, IReadOnlyList<JoinView> Stuck)
{
    internal static SectionView? Of(Card card) => Section.Of(card) is not { } section ? null : new(
        section.AcrossX, section.Width.Units, section.Rows,
        [.. section.Plies.Select(p => new PlyView(p.Plate.ToString(), p.Name, p.From.Units, p.To.Units, p.Row))],
        [.. section.Folds.Select(f => new JoinView(f.At.Units, f.At.Units, f.Low, f.High))],
        [.. section.Stuck.Select(s => new JoinView(s.From.Units, s.To.Units, s.Low, s.High))]);
}

/// <summary>A step of making the card.</summary>
/// <param name="Lights">The plates that it bonds, which the drawing shows in another colour meanwhile.</param>
public sealed record AssemblyView(string Id, IReadOnlyList<SentencePart> Say, IReadOnlyList<string> Lights, IReadOnlyList<string> Cautions);

public sealed record TroubleView(string Sign, string Cause, string Remedy);

/// <summary>An envelope that could be made for the card, as a design to begin.</summary>
public sealed record EnvelopeView(string Name, DesignSpec Design);

/// <summary>How the card opens, and how it is put together.</summary>
public sealed record FoldingView
{
    public required string Name { get; init; }

    public required string Construction { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required PosesView Poses { get; init; }

    public required ClosedView Closed { get; init; }

    public required ThicknessView Map { get; init; }

    /// <summary>Null where the card does not lie flat.</summary>
    public required SectionView? Section { get; init; }

    public required IReadOnlyList<StateView> States { get; init; }

    public required IReadOnlyList<AssemblyView> Steps { get; init; }

    public required IReadOnlyList<TroubleView> Troubles { get; init; }

    public required IReadOnlyList<string> Watch { get; init; }

    public required IReadOnlyList<CheckView> Cautions { get; init; }

    public required IReadOnlyList<EnvelopeView> Envelopes { get; init; }
}

/// <summary>A design to fold, and from where it is looked at.</summary>
public sealed record FoldingRequest : DeskRequest
{
    /// <summary>In degrees, from straight before it round to the right.</summary>
    public int Aside { get; init; } = (int)Picture.OnTheTable.Aside;

    /// <summary>In degrees, from the height of the table up.</summary>
    public int Above { get; init; } = (int)Picture.OnTheTable.Above;
}

internal static class FoldingEndpoints
{
    public static void MapFolding(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/folding", async (Body<FoldingRequest> body, Studio studio, CancellationToken cancel) =>
            {
                var (aside, above) = (body.Value.Aside, body.Value.Above);
                return aside is < -180 or > 180 || above is < 0 or > 90
                    ? throw new InputProblemException("folding.view", "aside", "from there the card cannot be looked at", "aside from -180 to 180 degrees, above from 0 to 90")
                    : Fold(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), aside, above, cancel);
            })
            .Describes<FoldingView>("folding", "The card from closed to shown, seen from a little above, and how it is put together.");

    private static FoldingView Fold(Studio studio, Desk desk, int aside, int above, CancellationToken cancel)
    {
        var tell = new Teller(desk.Unit);
        var card = studio.Attempt(desk, cancel).Card ?? throw new InputProblemException("poses.noFigures", "design", $"there are no figures for {tell.NameAndSize(desk.Design, desk.Target).Write(tell.Unit)}", "a design that has figures; the bench says what stands in its way");
        return new FoldingView
        {
            Name = desk.Spec.Name,
            Construction = desk.Design.Family.Name,
            Size = tell.Say(tell.NameAndSize(desk.Design, desk.Target)),
            Poses = PosesView.Of(card, Motion.Of(card.Figures), new Picture.From(aside, above)),
            Closed = tell.Closed(card),
            Map = MapOf(card),
            Section = SectionView.Of(card),
            States = [.. card.States.Select(s => (s.State, s.Pose, Read: new ClosedAsRead(card.Figures, s.Pose)))
                .Select(s => new StateView(s.State.Id, s.State.Name, s.State.How, s.Read.Width.Units, s.Read.Height.Units, Teller.Drawn(s.Pose, s.Read)))],
            Steps = StepsOf(card, tell),
            Troubles = [.. card.Construction.Troubles.Select(t => new TroubleView(t.Sign, t.Cause, t.Remedy))],
            Watch = card.Construction.Watch,
            Cautions = [.. card.Checks.Where(c => c.Severity != Severity.Note).Select(tell.Check)],
            Envelopes = [.. EnvelopeToMake.For(card, desk.Reader.Catalogue, desk.Spec.Name).Select(e => new EnvelopeView(desk.Reader.FamilyOf(e).Name, e))],
        };
    }

    private static List<AssemblyView> StepsOf(Card card, Teller tell)
    {
        var plates = card.Construction.Bonds.ToDictionary(b => b.Id, b => new[] { b.A.Plate.ToString(), b.B.Plate.ToString() });
        var cautioned = new HashSet<string>();
        return [.. Steps.Of(card).Select(s =>
            new AssemblyView(s.Id, tell.Say(s.Say), [.. s.Bonds.SelectMany(b => plates[b]).Distinct()], [.. Steps.Care(s, cautioned)]))];
    }

    private static ThicknessView MapOf(Card card)
    {
        var (map, foot) = (card.Thickness, card.Closed.Footprint);
        var greatest = (double)map.GreatestFlat.Units;
        Spot At(double x, double y) => new((long)Math.Round(x) - foot.Left.Units, (long)Math.Round(y) - foot.Bottom.Units);
        return new ThicknessView(
            Teller.Millimetres(map.Greatest), Teller.Millimetres(map.Mean), At(map.ThickestAt.X.Units, map.ThickestAt.Y.Units),
            [.. map.Spreads.Select(s => new ThickView([At(s.Left, s.LowLeft), At(s.Right, s.LowRight), At(s.Right, s.HighRight), At(s.Left, s.HighLeft)], Math.Round(s.Thick.Units / greatest, 2)))]);
    }
}
