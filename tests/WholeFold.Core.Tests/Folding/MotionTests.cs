using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Folding;

public class MotionTests
{
    private static DesignSpec Machine(string id, params string[] set) => Spec(id, "6x6", set) with { Tools = "machine" };

    private static double Degrees(double radians) => radians * 180 / Math.PI;

    /// <summary>Everything goes from closed to shown as rigid panels, but for the one whose strip bends as paper does.</summary>
    [Fact]
    public void In_every_frame_panels_keep_their_lengths_and_bonds_stay_shut()
    {
        var still = new SortedSet<string>();
        var frames = 0;
        foreach (var (family, choices) in Variants())
        {
            foreach (var (format, tools) in new[] { ("5x7", "machine"), ("a6-iso", "metric-5mm") })
            {
                if (Try(new DesignSpec { Construction = family.Id, Format = format, Set = Written(choices), Tools = tools }) is not { } sized)
                {
                    continue;
                }

                var motion = Motion.Of(sized.Figures, 7);
                if (!motion.Moves)
                {
                    still.Add(family.Id);
                }

                Assert.Equal(!motion.Moves ? 2 : sized.Construction.States.Count == 0 ? 7 : 25, motion.Frames.Count);
                var mark = sized.Figures.Relaxation == Relaxation.RoundedFigures ? 2 * sized.Figures.Tools.CutMarks.Max() : Length.Zero;
                foreach (var frame in motion.Frames)
                {
                    frames++;
                    var assembly = Assembly.Of(sized.Figures, frame);
                    Assert.All(assembly.Joints.Where(j => j.Bond is not { IsLoose: true }),
                        j => Assert.True(j.Apart <= (Length.Mm(0.05m) + (j.Bond?.Play is { } play ? sized.Figures.ValueOf(play) : Length.Zero)
                        + mark).Units, $"{family.Id} at {frame.Share}: {j.Bond?.Id} is {j.Apart / 320} mm apart"));
                    foreach (var (id, piece) in sized.Pieces.SelectMany(p => p.Piece.Copies.Select(c => (c, p))))
                    {
                        foreach (var plate in piece.Plates)
                        {
                            var at = assembly.Frames[new PlateRef(id, plate.Id)];
                            var (a, b) = (plate.Corners[0], plate.Corners[^1]);
                            var flat = new Vec((a.X - b.X).Units, (a.Y - b.Y).Units, 0).Length;
                            Assert.Equal(flat, (at.Apply(a.X.Units, a.Y.Units) - at.Apply(b.X.Units, b.Y.Units)).Length, 3);
                        }
                    }
                }

                // The closed frame is the closed pose, crease by crease.
                Assert.All(motion.Closed.Angles, a => Assert.Equal(sized.Piece(a.Key.Piece).Score(a.Key.Index).Crease.Closed, a.Value));
            }
        }

        Assert.Equal(["twist-pop-wide"], still);
        Assert.True(frames > 400, $"only {frames}");
    }

    [Fact]
    public void A_card_whose_shown_angles_do_not_go_together_is_found()
    {
        var sized = Size(Machine("bridge", "back=3"));
        var bent = sized.Figures with { Pieces = [.. sized.Pieces.Select(p => p.Piece.Id != "base" ? p
            : p with { Scores = [.. p.Scores.Select((s, i) => i == 1 ? s with { Crease = s.Crease with { Shown = 90, Closed = 90 } } : s)] })] };
        Assert.False(Motion.Of(bent).Moves);
    }

    [Fact]
    public void The_peak_stands_at_the_angle_that_its_inset_gives()
    {
        var sized = Size(Machine("peak-tunnel"));
        var shown = Motion.Of(sized.Figures).Shown.Angles;
        var share = 1 - (2 * (double)(sized.Figures.Parameters.Single(p => p.Parameter.Id == "inset").Value.Millimetres / 152.4m));
        var half = (180 - shown[new CreaseRef("base", 0)]) / 2;
        var gamma = Degrees(Math.Asin(share * Math.Sin(half * Math.PI / 180)));
        Assert.Equal(180 - half - gamma, shown[new CreaseRef("tunnel", 0)], 0.1);
        Assert.Equal(-(180 - (2 * gamma)), shown[new CreaseRef("tunnel", 1)], 0.1);
        Assert.Equal(shown[new CreaseRef("tunnel", 0)], shown[new CreaseRef("tunnel", 2)], 0.1);
    }

    [Fact]
    public void A_twist_pops_diagonals_go_with_the_opening()
    {
        foreach (var frame in Motion.Of(Size(Machine("twist-pop")).Figures).Frames.Where(f => f.Share > 0))
        {
            var open = 180 - frame.Angles[new CreaseRef("card", 0)];
            var psi = 2 * Degrees(Math.Atan(Math.Sqrt(2) / Math.Tan(open / 2 * Math.PI / 180)));
            Assert.Equal(psi, frame.Angles[new CreaseRef("carrier", 2)], 0.6);
            Assert.Equal(-(180 - open), frame.Angles[new CreaseRef("carrier", 0)], 0.6);
        }
    }

    [Fact]
    public void Open_flat_a_wide_twist_pops_strip_stands_at_kappa()
    {
        var sized = Size(Spec("twist-pop-wide", "5.5x4.25in") with { Tools = "machine" });
        var shown = Motion.Of(sized.Figures).Shown.Angles;
        Assert.Equal(37.3, shown[new CreaseRef("twist", 0)], 0.1);
        Assert.Equal(-74.6, shown[new CreaseRef("twist", 1)], 0.1);
    }

    [Fact]
    public void A_stopped_bay_reaches_as_far_as_its_stop_lets_it()
    {
        var sized = Size(Machine("bay-window-stop"));
        double At(string id) => (double)sized.Figures.Parameters.Single(p => p.Parameter.Id == id).Value.Millimetres;
        var cos = (152.4 - At("stop") + At("lip") - At("strip")) / (152.4 - At("strip"));
        Assert.Equal(Degrees(Math.Acos(cos)), Motion.Of(sized.Figures).Shown.Angles[new CreaseRef("base", 0)], 0.5);
    }

    [Fact]
    public void A_never_ending_card_turns_through_all_its_states_and_is_closed_again()
    {
        var motion = Motion.Of(Size(Machine("never-ending")).Figures);
        Assert.True(motion.Moves);
        Assert.Equal(["closed", "first turn", "cross", "last turn", "closed again"], motion.Frames.Where(f => f.Name is not null).Select(f => f.Name));
        Assert.Contains(motion.Frames, f => Math.Abs(f.Angles[new CreaseRef("bottom", 0)] + 90) < 1);
        Assert.All(motion.Frames, f => Assert.True(f.Apart <= Length.Mm(0.05m)));
    }

    [Fact]
    public void A_slider_stand_stands_on_a_box_as_high_as_its_sides()
    {
        var sized = Size(Machine("slider-stand", "box=1", "flap=1"));
        var shown = Motion.Of(sized.Figures).Shown;
        var assembly = Assembly.Of(sized.Figures, shown);
        var back = assembly.Frames[new PlateRef(new PieceRef("base"), "top1")].Inverse;
        var floor = back.Compose(assembly.Frames[new PlateRef(new PieceRef("base"), "floor1")]);
        var plate = sized.Piece("base").Plate("floor1");
        Assert.All(plate.Corners, c => Assert.Equal(In("1").Units, Math.Abs(floor.Apply(c.X.Units, c.Y.Units).Z), 3));
    }

    [Fact]
    public void A_picture_has_every_plate_and_shows_what_is_in_front_last()
    {
        foreach (var (family, choices) in Variants())
        {
            if (Try(new DesignSpec { Construction = family.Id, Format = "5x7", Set = Written(choices) }) is not { } sized)
            {
                continue;
            }

            var motion = Motion.Of(sized.Figures, 3);
            var shown = Picture.Of(sized.Figures, sized.Bodies, motion.Shown);
            var plates = sized.Pieces.Sum(p => p.Plates.Count * p.Piece.Quantity);
            var gone = sized.Construction.Bonds.Any(b => b.TakenOff);
            Assert.Equal(!gone, shown.Shapes.Count(s => !s.IsLayer) == plates);
            Assert.Equal(plates, Picture.Of(sized.Figures, sized.Bodies, motion.Closed).Shapes.Count(s => !s.IsLayer));
            Assert.All(shown.Shapes, s => Assert.InRange(s.Light, 0, 1));
        }

        // Of a tier scene the front tier hides the rear one, which hides the back.
        var scene = Size(Spec("tier-scene", "5x7"));
        var order = Picture.Of(scene.Figures, scene.Bodies, Motion.Of(scene.Figures, 3).Shown).Shapes.Where(s => !s.IsLayer).Select(s => s.Plate.ToString()).ToList();
        Assert.True(order.IndexOf("base.back") < order.IndexOf("tier2.face") && order.IndexOf("tier2.face") < order.IndexOf("tier1.face"), string.Join(' ', order));
    }
}
