using System.Net.Http.Json;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Dress;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>What a card wears, over the real host.</summary>
public sealed class DressTests(SharedStudio shared)
{
    private readonly HttpClient _client = shared.Client();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static DesignSpec Plain(params ElementSpec[] elements) =>
        new() { Name = "x", Construction = "plain-fold", Format = "5x5", Dressing = elements.Length == 0 ? null : new DressingSpec { Elements = elements } };

    private async Task<DesignEdit?> Ask(string path, DeskRequest request)
    {
        var answer = await _client.PostAsync(path, JsonContent.Create(request, request.GetType(), options: StrictJson.Options), Cancel);
        answer.EnsureSuccessStatusCode();
        return (await answer.Content.ReadFromJsonAsync<DropView>(StrictJson.Options, Cancel))!.Edit;
    }

    [Fact]
    public async Task Every_design_of_the_studio_is_dressed_and_nothing_is_wrong_with_it()
    {
        foreach (var id in new[] { "comet-supper", "night-ferry", "market-lanterns", "tandem", "teapot-row", "harbour-post", "kettle-song", "two-bicycles", "tide-window", "signal-flags" })
        {
            var view = await _client.Ask<DressView>("/api/dress", (await _client.Design(id)).State with { Target = null });
            Assert.Contains(view.Rows, r => r.Kind == DressRowKind.Element);

            // Two bicycles keeps its sheet whole and grows past its format, which its school says; a caution and no more.
            Assert.All(view.Found, f => Assert.Equal("closed-over-format", f.Check.Id));
            Assert.All(view.Poses, p => Assert.True(p.Faces > 0));
            Assert.NotEmpty(Assert.Single(view.Poses, p => p.Id == "closed").Name);
        }
    }

    [Fact]
    public async Task Every_construction_can_be_dressed_and_every_face_of_it_is_looked_at_in_some_pose()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var view = await _client.Ask<DressView>("/api/dress", new DesignSpec { Name = "x", Construction = family.Id, Format = "6x6", Tools = "machine" });
            var poses = view.Poses.Select(p => p.Id).ToHashSet();
            Assert.All(view.Sides.SelectMany(s => s.Faces), f => Assert.NotEmpty(f.Poses.Intersect(poses)));
            Assert.All(view.Sides, s => Assert.All(s.Faces.SelectMany(f => f.Outline), p => Assert.True(p.X >= 0 && p.Y >= 0 && p.X <= s.Width && p.Y <= s.Height)));
        }
    }

    [Fact]
    public async Task Let_go_of_over_another_face_a_thing_goes_there_at_the_nearest_place_on_marks()
    {
        var spec = Plain(new ElementSpec("moon", "base.back.up", Size: ["1 in", "1 in"]));
        var drop = new DropRequest { Design = spec, Element = "moon", Side = "base.up", X = Length.In(1, 1).Units + 30, Y = Length.In(4, 1).Units };
        var put = Assert.IsType<PutOn>(await Ask("/api/dress/drop", drop));
        Assert.Equal("base.front.up", put.Element!.Role);
        Assert.Equal("head-left", put.Element.Place!.Anchor);
        Assert.Equal([("left", "1/2 in"), ("head", "1/2 in")], put.Element.Place.From!.Select(f => (f.Edge, f.Distance.Text.Replace("12.7 mm", "1/2 in", StringComparison.Ordinal))));

        // In the middle it is in the middle, and beside the card there is no face.
        Assert.Null(Assert.IsType<PutOn>(await Ask("/api/dress/drop", drop with { X = Length.In(5, 2).Units, Y = Length.In(5, 2).Units })).Element!.Place!.From);
        Assert.Null(await Ask("/api/dress/drop", drop with { X = -9000 }));
    }

    [Fact]
    public async Task Nudged_it_moves_by_a_mark_of_the_trimmer_and_back()
    {
        var spec = Plain(new ElementSpec("moon", "base.back.up", Size: ["1 in", "1 in"], Place: new PlaceSpec("head-left")));
        var put = Assert.IsType<PutOn>(await Ask("/api/dress/nudge", new NudgeRequest { Design = spec, Element = "moon", Across = 2, Up = -1 }));
        Assert.Equal(["1/4 in", "3/16 in"], put.Element!.Place!.From!.Select(f => f.Distance.Text.Replace("6.35 mm", "1/4 in", StringComparison.Ordinal)));
        var back = Assert.IsType<PutOn>(await Ask("/api/dress/nudge", new NudgeRequest { Design = spec, Edits = [put], Element = "moon", Across = -2, Up = 1 }));
        Assert.Equal(["1/8 in", "1/8 in"], back.Element!.Place!.From!.Select(f => f.Distance.Text));
    }

    [Fact]
    public async Task A_window_is_moved_to_another_face_and_by_marks_as_an_element_is()
    {
        var spec = Plain() with { Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "base.front.up", Size: ["1 in", "1 in"], Place: new PlaceSpec("head", [new FromSpec("head", "1 in")]))] } };
        var nudged = Assert.IsType<CutWindow>(await Ask("/api/dress/nudge", new NudgeRequest { Design = spec, Element = "eye", Window = true, Across = 0, Up = -1 }));
        Assert.Equal([("head", "1 1/16 in")], nudged.Window!.Place!.From!.Select(f => (f.Edge, f.Distance.Text.Replace("26.9875 mm", "1 1/16 in", StringComparison.Ordinal))));
        var dropped = Assert.IsType<CutWindow>(await Ask("/api/dress/drop", new DropRequest { Design = spec, Element = "eye", Window = true, Side = "base.up", X = Length.In(8, 1).Units, Y = Length.In(3, 1).Units }));
        Assert.Equal("base.back.up", dropped.Window!.Role);
        var unknown = await _client.PostAsync("/api/dress/nudge", JsonContent.Create(new NudgeRequest { Design = spec, Element = "sun", Window = true, Across = 1, Up = 0 }, options: StrictJson.Options), Cancel);
        Assert.Contains("eye", await unknown.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_found_says_where_and_mends_itself()
    {
        var view = await _client.Ask<DressView>("/api/dress", Plain(new ElementSpec("moon", "base.back.up", Size: ["1 in", "1 in"], Place: new PlaceSpec("right", [new FromSpec("right", "-1/2 in")]))));
        var found = view.Found.Single(f => f.Check.Id == "adhesive-exposed-when-shut");
        Assert.Equal(("base.up", Length.In(1, 1).Units), (found.Side, found.Box!.Width));
        var mended = await _client.Ask<DressView>("/api/dress", view.Dressing.Elements.Count == 1 ? Plain([.. view.Dressing.Elements]) : Plain(), found.Check.Fix!.Edit);
        Assert.DoesNotContain(mended.Found, f => f.Check.Id == "adhesive-exposed-when-shut");
    }

    [Fact]
    public async Task A_tier_is_made_high_enough_to_hide_a_thing_and_what_cannot_be_hidden_is_left()
    {
        var scene = new DesignSpec
        {
            Name = "x", Construction = "tier-scene", Format = "5x7", Turn = true, Set = new Dictionary<string, WrittenFigure> { ["tiers"] = "1", ["tier1Height"] = "1 1/2 in" },
            Dressing = new DressingSpec { Elements = [new ElementSpec("moon", "back", Size: ["1 in", "1 in"], Place: new PlaceSpec("foot", [new FromSpec("foot", "1 in")]))] },
        };
        Assert.Equal("tier1Height", Assert.IsType<SetFigure>(await Ask("/api/dress/hide", new HideRequest { Design = scene, Element = "moon" })).Parameter);
        var back = (await _client.Ask<DressView>("/api/dress", scene)).Sides.SelectMany(s => s.Faces).Single(f => f.Id == "base.back.up");
        Assert.InRange(back.Seen!.Value, 60, 80);
        Assert.NotEmpty(back.Hidden);
        Assert.Null(await Ask("/api/dress/hide", new HideRequest { Design = Plain(new ElementSpec("moon", "inside", Size: ["1 in", "1 in"])), Element = "moon" }));
        var unknown = await _client.PostAsync("/api/dress/hide", JsonContent.Create(new HideRequest { Design = Plain(), Element = "sun" }, options: StrictJson.Options), Cancel);
        Assert.Equal(System.Net.HttpStatusCode.BadRequest, unknown.StatusCode);
        Assert.Contains("sun", await unknown.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_a_dressed_card_shows_closed_is_on_the_wall_and_in_the_drawer()
    {
        var comet = (await _client.Design("comet-supper")).State;
        var wall = await _client.Ask<Features.Wall.WallView>("/api/wall", comet);
        Assert.All(wall.Cards.Where(c => c.Closed is not null), c => Assert.NotEmpty(c.Closed!.Worn));
        Assert.Contains(wall.Cards, c => c.Format.VerdictText.Any(p => p.Text?.Contains("too large", StringComparison.Ordinal) == true));
        var bare = await _client.Ask<Features.Wall.WallView>("/api/wall", comet with { Dressing = null });
        Assert.All(bare.Cards.Where(c => c.Closed is not null), c => Assert.Empty(c.Closed!.Worn));
    }
}
