using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Dressing;

/// <summary>Which way a card is read: told by folding the flat pieces by exact reflections, apart from what the program looks at.</summary>
public class OpensTests
{
    private static IEnumerable<Card> Cards(Func<DesignSpec, DesignSpec>? change = null) =>
        from variant in Support.Variants()
        from opens in new Opens?[] { null, Opens.Sideways, Opens.Upwards }
        let spec = new DesignSpec { Construction = variant.Family.Id, Format = "6x6", Opens = opens, Set = Support.Written(variant.Choices) }
        let card = Sized(change is null ? spec : change(spec))
        where card is not null
        select card;

    /// <summary>Null where it does not go, or is not read that way.</summary>
    private static Card? Sized(DesignSpec spec)
    {
        try
        {
            return Support.Try(spec);
        }
        catch (InputProblemException problem) when (problem.Code == "opens.one-way")
        {
            return null;
        }
    }

    private static string Named(Card card) => $"{card.Construction.Id} {string.Join(",", card.Construction.Choices.Values)} {card.Design.Opens}";

    private static (long X, long Y) Way(Edge edge) => edge switch { Edge.Left => (-1, 0), Edge.Right => (1, 0), Edge.Foot => (0, -1),
        _ => (0, 1) };

    /// <summary>Which way an edge of a plate points once the card is shut.</summary>
    private static (int X, int Y) Shut(Card card, PlateRef plate, Edge edge)
    {
        var (x, y) = Way(edge);
        var ends = card.Closed.Place(plate, [new Point(Length.Zero, Length.Zero), new Point(new Length(x * 1000), new Length(y * 1000))]);
        return (Math.Sign(ends[1].X.Units - ends[0].X.Units), Math.Sign(ends[1].Y.Units - ends[0].Y.Units));
    }

    /// <summary>What one sees of the shut card stands upright, whichever way it opens; behind, as if it were turned like a page.</summary>
    [Fact]
    public void What_is_seen_of_the_shut_card_is_upright_on_it()
    {
        var (looked, upwards) = (0, 0);
        foreach (var card in Cards())
        {
            var read = Core.Sizing.ReadFrom.Of(card.Figures);
            var up = Shut(card, read.Plate, read.Up);
            foreach (var face in card.Dressed.Roles.All.SelectMany(r => r.Faces).Where(f => f.Seen.Any(s => s.Pose == "closed")
                && (f.Seen.All(s => s.FromBehind) || f.Seen.First(s => s.Pose == "closed") is { FromBehind: false })))
            {
                looked++;
                upwards += card.Design.Opens == Opens.Upwards ? 1 : 0;
                Assert.True(Shut(card, face.Ref, face.Head) == up, $"{Named(card)}: {face.Id} has its head at {face.Head}");
            }
        }

        Assert.True(looked > 250 && upwards > 50, $"{looked} faces, {upwards} of cards that open upwards");
    }

    /// <summary>Upwards the first fold is at the top of the shut card, sideways at its left.</summary>
    [Theory]
    [InlineData("plain-fold", "base", 0)]
    [InlineData("drop-flap", "liner", 0)]
    [InlineData("spinner-window", "base", 0)]
    [InlineData("gatefold", "base", 0)]
    [InlineData("split-gatefold", "base", 0)]
    [InlineData("trough-pop-up", "base", 0)]
    [InlineData("twist-pop", "card", 0)]
    [InlineData("bay-window-hook", "base", 4)]
    [InlineData("peak-tunnel", "base", 0)]
    public void The_first_fold_is_at_the_top_or_at_the_left(string construction, string piece, int crease)
    {
        foreach (var opens in new[] { Opens.Sideways, Opens.Upwards })
        {
            var card = Sized(new DesignSpec { Construction = construction, Format = "5x7", Opens = opens })!;
            var read = Core.Sizing.ReadFrom.Of(card.Figures);
            var its = card.Piece(piece);
            var at = its.Scores[crease].Figure.Value;
            var on = its.Piece.Axis == Axis.X ? new Point(at, Length.Zero) : new Point(Length.Zero, at);
            var panel = its.Piece.Panels[crease].Id;
            var spot = card.Closed.Place(new PlateRef(its.Piece.Copies[0], panel), [on])[0];
            var up = Shut(card, read.Plate, read.Up);

            // Looked at from the front, left is a quarter turn from up, against the clock; the folded plates may lie the other way up.
            var turn = card.Closed.Panels.Single(p => p.Plate == read.Plate).FaceUp ? 1 : -1;
            var (x, y) = opens == Opens.Upwards ? up : (turn * -up.Y, turn * up.X);
            var box = card.Closed.Footprint;
            var most = x + y > 0 ? (x != 0 ? box.Right : box.Top) : x != 0 ? box.Left : box.Bottom;
            var off = ((x != 0 ? spot.X : spot.Y) - most).Abs();
            Assert.True(off <= Length.In(1, 2), $"{construction} {opens}: {off} from there");
        }
    }

    [Fact]
    public void Bare_or_dressed_a_paper_has_its_head_at_the_same_edge_and_no_figure_hangs_on_how_it_is_read()
    {
        foreach (var card in Cards())
        {
            var dressed = card.Dressed.Roles.All.SelectMany(r => r.Faces).ToLookup(f => (f.Ref, f.Face), f => f.Head);
            Assert.All(card.Layers.SelectMany(l => l.On), on =>
                Assert.True(dressed[(on.On.Ref, on.On.Face)].All(head => head == on.On.Head), $"{Named(card)}: {on.On.Id}"));
        }

        foreach (var same in Cards().GroupBy(c => $"{c.Construction.Id} {string.Join(",", c.Construction.Choices.Values)}"))
        {
            Assert.Single(same.Select(c => string.Join(' ', c.Figures.All.Select(f => $"{f.Id}={f.Value.Units}"))).Distinct());
        }
    }

    /// <summary>Of a card that opens upwards no part is called by a side that it is not on: what is at the left and the right else is
    /// at the top and the bottom.</summary>
    [Theory]
    [InlineData("gatefold")]
    [InlineData("split-gatefold")]
    [InlineData("winged-lock-gatefold")]
    public void Parts_are_called_by_the_side_that_they_are_on(string construction)
    {
        IEnumerable<string> Names(Opens opens)
        {
            var card = Sized(new DesignSpec { Construction = construction, Format = "5x7", Opens = opens })!;
            return card.Construction.Pieces.SelectMany(p => p.Panels).Select(p =>
                p.Name).Concat(card.Construction.Parameters.SelectMany(p => new[] { p.Name, p.Meaning, p.Rule }));
        }

        static string Turned(string name) => name.Replace("left", "top", StringComparison.Ordinal).Replace("right", "bottom", StringComparison.Ordinal);
        Assert.Contains(Names(Opens.Sideways), n => n.Contains("left", StringComparison.Ordinal));
        Assert.Equal(Names(Opens.Sideways).Select(Turned), Names(Opens.Upwards));
    }

    /// <summary>The drop flap: shut, its liner's front is read; lifted, the flap with its head at the free edge; dropped, with its
    /// head at the crease.</summary>
    [Fact]
    public void The_drop_flap_is_read_the_right_way_up_outside_and_inside()
    {
        var heads = Support.Size(Support.Spec("drop-flap", "5x7")).Dressed.Roles.All.SelectMany(r => r.Faces).ToDictionary(f => f.Id, f => f.Head);

        // Both chains are counted from the top: the flap's free edge and the liner front's fold are the far ends of their panels.
        Assert.Equal((Edge.Head, Edge.Foot, Edge.Head, Edge.Foot), (heads["cover.flap.down"], heads["cover.flap.up"], heads["liner.front.down"], heads["liner.back.up"]));
    }

    /// <summary>A frame with a larger foot has it at the foot of the shut card, in the box and in every layer of a tunnel.</summary>
    [Theory]
    [InlineData("inside-box", "box:window")]
    [InlineData("inside-tunnel", "box:window", "layer1:face", "layer2:face")]
    [InlineData("shadow-box", "front:face")]
    public void A_larger_foot_of_a_frame_is_at_the_foot(string construction, params string[] windows)
    {
        string[] more = construction == "inside-tunnel" ? ["layers=2"] : [];
        var card = Support.Size(Support.Spec(construction, "5x7", ["footMargin=1 1/2", .. more]));
        var read = Core.Sizing.ReadFrom.Of(card.Figures);
        Assert.Equal((0, 1), Shut(card, read.Plate, read.Up));
        var foot = card.Closed.Footprint.Bottom + Length.In(3, 2);
        foreach (var (window, step) in windows.Select((w, i) => (w.Split(':'), i)))
        {
            var piece = card.Piece(window[0]);
            var hole = Assert.Single(piece.HolesIn(piece.Plate(window[1])));
            var low = card.Closed.Place(new PlateRef(piece.Piece.Copies[0], window[1]), hole).Min(c => c.Y.Units);
            Assert.InRange(low, foot.Units + (step * Length.In(1, 4).Units) - 400, foot.Units + (step * Length.In(1, 4).Units) + 400);
        }
    }

    [Fact]
    public void What_stands_on_a_foot_is_read_one_way_only()
    {
        var problem = Assert.Throws<InputProblemException>(() =>
            Support.Size(new DesignSpec { Construction = "tier-scene", Format = "5x7", Opens = Opens.Upwards }));
        Assert.Equal(("opens.one-way", "opens"), (problem.Code, problem.Field));
        Assert.Equal("7 × 5 in", Size(new DesignSpec { Construction = "plain-fold", Format = "5x7", Opens = Opens.Upwards }));
        Assert.Equal("5 × 7 in", Size(new DesignSpec { Construction = "plain-fold", Format = "5x7", Opens = Opens.Sideways }));

        static string Size(DesignSpec spec) => Support.Size(spec) is var card
            ? card.Design.SizeAsRead(card.Figures.Width, card.Figures.Height).Write(DisplayUnit.Inch) : "";
    }

    /// <summary>A card that is read across has its parts placed from the edges as one reads it: measured there, the part lies where
    /// the place says.</summary>
    [Fact]
    public void Places_are_told_from_the_edges_that_a_reader_sees()
    {
        var told = 0;
        foreach (var card in Cards())
        {
            var heads = card.Dressed.Roles.All.SelectMany(r => r.Faces).GroupBy(f => new FaceRef(f.Ref, f.Face)).ToDictionary(g =>
                g.Key, g => g.First().Head);
            foreach (var bond in card.Construction.Bonds.Where(b => heads.TryGetValue(b.A.On, out var head)
                && head is Edge.Left or Edge.Right))
            {
                var (head, box) = (heads[bond.A.On], card.Figures.PlateOf(bond.A.Plate).Box);
                if (!card.Closed.Frames.ContainsKey(bond.A.Plate) || !card.Closed.Frames.ContainsKey(bond.B.Plate))
                {
                    continue;
                }

                var lies = Guide.StepTests.LaidBack(card, bond, card.Figures.PlateOf(bond.A.Plate), card.Figures.PlateOf(bond.B.Plate));
                foreach (var from in Core.Guide.Places.Of(card.Figures, bond).From.Where(f => !f.OfItsCrease))
                {
                    Edge? edge = from.Edge switch
                    {
                        "the top" => head,
                        "the bottom" => head == Edge.Left ? Edge.Right : Edge.Left,
                        "the left edge" => head == Edge.Left == (bond.A.On.Face == Face.Up) ? Edge.Foot : Edge.Head,
                        "the right edge" => head == Edge.Left == (bond.A.On.Face == Face.Up) ? Edge.Head : Edge.Foot,
                        _ => null,
                    };
                    if (edge is { } measured)
                    {
                        told++;
                        var distance = measured switch
                        {
                            Edge.Left => lies.Left - box.Left.Units, Edge.Right => box.Right.Units - lies.Right,
                            Edge.Foot => lies.Bottom - box.Bottom.Units, _ => box.Top.Units - lies.Top,
                        };
                        Assert.True(Math.Abs(distance - from.Distance.Units) < Guide.StepTests.Slack,
                            $"{Named(card)}: {from.Said.Write(DisplayUnit.Inch)}, and it is {distance / 320} mm");
                    }
                }
            }
        }

        Assert.True(told > 10, $"{told} edges");
    }
}
