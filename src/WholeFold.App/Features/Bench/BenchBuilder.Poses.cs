using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Lists;
using WholeFold.Core.Sizing;

namespace WholeFold.App.Features.Bench;

/// <summary>A shape of a picture, as the core sees it; the browser only draws it.</summary>
/// <param name="Outline">Corner after corner, x and y by turns; y grows downwards.</param>
/// <param name="Light">0 to 1.</param>
public sealed record ShapeView(IReadOnlyList<int> Outline, IReadOnlyList<IReadOnlyList<int>> Holes, double Light, bool Inside, bool Layer);

/// <summary>A picture of the card on its way, what is farthest away first.</summary>
/// <param name="Name">What one calls the card here: closed, shown, or one of its states; null on the way.</param>
public sealed record PoseView(double Share, string? Name, IReadOnlyList<ShapeView> Shapes);

/// <param name="Moves">Whether there are pictures between closed and shown; where rigid panels cannot go there, there are not.</param>
/// <param name="Left">The frame that all pictures fit in, by its least x and y, its width and height.</param>
public sealed record PosesView(bool Moves, int Left, int Top, int Width, int Height, IReadOnlyList<PoseView> Frames)
{
    /// <summary>Fine enough for the screen: a tenth of a millimetre.</summary>
    private const double Unit = 32;

    public static PosesView Of(SizedDesign sized, Motion motion)
    {
        static IReadOnlyList<int> Flat(IReadOnlyList<(double X, double Y)> corners) => [.. corners.SelectMany(c => new[] { (int)Math.Round(c.X / Unit), (int)Math.Round(-c.Y / Unit) })];
        var frames = motion.Frames.Select(f => new PoseView(f.Share, f.Name, [.. Picture.Of(sized, f).Shapes.Select(s => new ShapeView(Flat(s.Corners), [.. s.Holes.Select(Flat)], s.Light, s.Inside, s.IsLayer))])).ToList();
        var all = frames.SelectMany(f => f.Shapes).SelectMany(s => s.Outline.Chunk(2)).ToList();
        var (left, top) = (all.Min(p => p[0]), all.Min(p => p[1]));
        return new PosesView(motion.Moves, left, top, all.Max(p => p[0]) - left, all.Max(p => p[1]) - top, frames);
    }
}

/// <summary>A step of putting the card together.</summary>
/// <param name="LinedUp">What is lined up with what, for each bond made in it.</param>
/// <param name="Pressed">How the card lies meanwhile, in words.</param>
public sealed record AssemblyView(string Text, IReadOnlyList<string> LinedUp, string? Pressed, string? RightWhen);

public sealed record TroubleView(string Sign, string Cause, string Remedy);

/// <summary>How the card opens, and how it is put together.</summary>
/// <param name="Envelopes">The ones that could be made for it, as designs to begin.</param>
public sealed record FoldingView(string Name, string Construction, string Size, PosesView Poses, ClosedView Closed, ThicknessView Map, IReadOnlyList<StateView> States, IReadOnlyList<AssemblyView> Steps, IReadOnlyList<TroubleView> Troubles, IReadOnlyList<string> Watch, IReadOnlyList<CheckView> Cautions, IReadOnlyList<DesignSpec> Envelopes);

/// <summary>How the card opens, and how it is put together.</summary>
public sealed partial class BenchBuilder
{
    /// <exception cref="InputProblemException">The design is not understood, or has no figures.</exception>
    public static FoldingView Poses(DesignSpec spec, Workshop workshop) => For(spec, workshop).Folding(spec.Name);

    private FoldingView Folding(string name)
    {
        var (design, target) = (_read.Design, _read.Target);
        var sized = Sizer.TrySize(design, target) ?? throw new InputProblemException("poses.noFigures", "design", $"there are no figures for {NameAndSize(target)}", "a design that has figures; the bench says what stands in its way");
        return new FoldingView(
            name, design.Family.Name, NameAndSize(target),
            PosesView.Of(sized, Motion.Of(sized)),
            ClosedOf(sized),
            MapOf(sized),
            [.. sized.States.Select(s => new StateView(s.State.Id, s.State.Name, s.State.How, s.Pose.Width.Units, s.Pose.Height.Units, Drawn(s.Pose)))],
            StepsOf(sized.Construction),
            [.. sized.Construction.Troubles.Select(t => new TroubleView(t.Sign, t.Cause, t.Remedy))],
            sized.Construction.Watch,
            [.. sized.Checks.Where(c => c.Severity != Severity.Note).Select(c => new CheckView(c.Id, Lower(c.Severity), c.Text.In(_unit)))],
            EnvelopeToMake.For(sized, name));
    }

    internal static IReadOnlyList<AssemblyView> StepsOf(Construction construction) =>
        [.. construction.Steps.Select(s => new AssemblyView(s.Text, [.. s.Bonds.Select(id => construction.Bonds.First(b => b.Id == id).LinedUp).Distinct()], s.Pressed switch { Pressed.Flat => "pressed flat on the table", Pressed.Closed => "pressed with the card closed", Pressed.Held => "held until it sets", _ => null }, s.RightWhen))];
}
