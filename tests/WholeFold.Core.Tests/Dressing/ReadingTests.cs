using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Dressing;

/// <summary>A face as one reads it: from either side, and whichever side of the piece is uppermost.</summary>
public class ReadingTests
{
    private static readonly Box Region = new(Length.Mm(20), Length.Mm(5), Length.Mm(120), Length.Mm(65));

    public static TheoryData<Edge, Face> Ways
    {
        get
        {
            var ways = new TheoryData<Edge, Face>();
            foreach (var head in Enum.GetValues<Edge>())
            {
                ways.Add(head, Face.Up);
                ways.Add(head, Face.Down);
            }

            return ways;
        }
    }

    [Theory]
    [MemberData(nameof(Ways))]
    public void What_is_read_and_laid_again_is_where_it_was(Edge head, Face face)
    {
        var reading = new Reading(Region, head, face);
        var random = new Random(4);
        for (var i = 0; i < 50; i++)
        {
            var at = new Point(new Length(random.Next(0, 40_000)), new Length(random.Next(0, 30_000)));
            var (across, up) = reading.Read(at);
            Assert.Equal(at, reading.Lay(across, up));
        }

        // The region itself is read from its lower left corner, whichever way it lies.
        Assert.Equal(new Box(Length.Zero, Length.Zero, reading.Width, reading.Height), reading.Read(Region));
        Assert.Equal(Region, reading.Lay(reading.Read(Region)));
    }

    [Theory]
    [MemberData(nameof(Ways))]
    public void Head_is_up_and_the_other_side_is_read_from_the_other_hand(Edge head, Face face)
    {
        var reading = new Reading(Region, head, face);
        var top = reading.Lay(new Length(reading.Width.Units / 2), reading.Height);
        var expected = head switch
        {
            Edge.Head => (false, true),
            Edge.Foot => (false, false),
            Edge.Right => (true, true),
            _ => (true, false),
        };
        Assert.Equal(expected, (top.X == Region.Left || top.X == Region.Right, top.Y == Region.Top || top.X == Region.Right));
        var other = new Reading(Region, head, face == Face.Up ? Face.Down : Face.Up);
        Assert.Equal(reading.Lay(Length.Zero, Length.Zero), other.Lay(other.Width, Length.Zero));
    }

    [Fact]
    public void A_thing_is_kept_on_its_face_only_where_that_is_asked_for()
    {
        var reading = new Reading(Region, Edge.Head, Face.Up);
        var place = new Placed(Anchor.Head, [new FromEdgeOf(ReadEdge.Head, Length.Mm(55)), new FromEdgeOf(ReadEdge.Left, -Length.Mm(4))], "flat");
        Box Put(Length? within) => reading.Put(place, Length.Mm(10), Length.Mm(10), Length.Mm(3), _ => null, within);
        Assert.Equal((-Length.Mm(4), -Length.Mm(5)), (Put(null).Left, Put(null).Bottom));
        Assert.Equal((Length.Zero, Length.Zero), (Put(Length.Zero).Left, Put(Length.Zero).Bottom));
        Assert.Equal((Length.Mm(2), Length.Mm(2)), (Put(Length.Mm(2)).Left, Put(Length.Mm(2)).Bottom));
    }

    [Theory]
    [InlineData("M10 10 h20 v20 h-20 z", 4)]
    [InlineData("m 0,0 10,0 0,10 -10,0 Z", 4)]
    [InlineData("M0 0 L10 0 L5 8", 3)]
    [InlineData("M0 0C0 10 10 10 10 0Z", 9)]
    [InlineData("M0 0Q5 10 10 0Z", 9)]
    [InlineData("M0 0C0 5 5 10 10 10S20 5 20 0L10 -5z", 18)]
    [InlineData("M0 0H10V10H0Z M2 2H4V4Z", 4)]
    public void A_path_is_read_as_its_first_closed_line(string path, int corners)
    {
        var (read, wide) = SvgOutline.Read($"<svg xmlns=\"http://www.w3.org/2000/svg\"><g><path d=\"{path}\"/></g></svg>", "svg");
        Assert.Equal(corners, read.Count);
        Assert.True(wide > 0);
        Assert.Equal((0d, 1d, 0d, 1d), (read.Min(c => c.X), read.Max(c => c.X), read.Min(c => c.Y), read.Max(c => c.Y)));
    }

    [Theory]
    [InlineData("<svg><polygon points='0,0 10,0 10,10'/></svg>", 3)]
    [InlineData("<svg><rect x='1' y='2' width='3' height='4'/></svg>", 4)]
    [InlineData("<svg><circle cx='5' cy='5' r='5'/></svg>", 48)]
    [InlineData("<svg><ellipse cx='5' cy='5' rx='5' ry='2'/></svg>", 48)]
    public void So_are_plain_shapes(string svg, int corners) => Assert.Equal(corners, SvgOutline.Read(svg, "svg").Corners.Count);

    [Theory]
    [InlineData("<svg><path d='M0 0 A5 5 0 0 1 10 10z'/></svg>")]
    [InlineData("<svg><path d='M0 0 L10'/></svg>")]
    [InlineData("<svg><path d='M0 0 Lx y'/></svg>")]
    [InlineData("<svg><text>moon</text></svg>")]
    [InlineData("<svg><rect width='0' height='4'/></svg>")]
    [InlineData("<svg><use href='#a'/></svg>")]
    [InlineData("<svg><g transform='rotate(4)'><rect width='3' height='4'/></g></svg>")]
    [InlineData("<svg><polygon points='0,0 NaN,0 10,10'/></svg>")]
    [InlineData("<svg><style>*{}</style><rect width='3' height='4'/></svg>")]
    [InlineData("<?xml-stylesheet href='a.css'?><svg><rect width='3' height='4'/></svg>")]
    [InlineData("<svg>")]
    [InlineData("moon")]
    [InlineData("")]
    public void A_drawing_that_is_none_or_carries_more_than_a_line_is_refused(string svg)
    {
        var problem = Assert.Throws<InputProblemException>(() => SvgOutline.Read(svg, "elements[0].svg"));
        Assert.Equal("elements[0].svg", problem.Field);
        Assert.NotEmpty(problem.Reason);
        Assert.NotEmpty(problem.Accepted);
    }

    [Fact]
    public void A_length_that_is_written_down_reads_back_to_itself()
    {
        var random = new Random(9);
        foreach (var length in Enumerable.Range(0, 400).Select(_ => new Length(random.Next(1, 200_000))).Concat(Enumerable.Range(1, 200).Select(n => Length.In(n, 32))))
        {
            Assert.True(LengthReader.TryRead(LengthWriter.Exact(length), DisplayUnit.Centimetre, out var read, out _), LengthWriter.Exact(length));
            Assert.Equal(length, read);
        }
    }
}
