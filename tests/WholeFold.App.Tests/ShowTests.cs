using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Features.HandOuts;
using WholeFold.App.Features.Show;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>What the Show and Hand out stages ask for.</summary>
public sealed class ShowTests(SharedStudio shared)
{
    private readonly HttpClient _client = shared.Client();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<T> Ask<T>(string path, object request)
    {
        var answer = await _client.PostAsync(path, JsonContent.Create(request, options: StrictJson.Options), Cancel);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync(Cancel));
        return (await answer.Content.ReadFromJsonAsync<T>(StrictJson.Options, Cancel))!;
    }

    private async Task<string> Refused(string path, object request)
    {
        var answer = await _client.PostAsync(path, JsonContent.Create(request, options: StrictJson.Options), Cancel);
        Assert.Equal(System.Net.HttpStatusCode.BadRequest, answer.StatusCode);
        return await answer.Content.ReadAsStringAsync(Cancel);
    }

    [Fact]
    public async Task Every_demo_design_is_shown_one_figure_at_a_time_in_both_systems()
    {
        foreach (var (id, sheets) in new[] { ("comet-supper", "12 sheets of Letter for Base, Harbour 300"), ("night-ferry", "14 sheets of A4 for Base, Tier 1, Tier 2, Tier 3, Harbour 300"), ("market-lanterns", "6 sheets of Letter for Base, Oat 216"), ("kettle-song", "12 sheets of Letter for Cover, Liner, Oat 216") })
        {
            var state = (await _client.Design(id)).State;
            var show = await Ask<ShowView>("/api/show", new ShowRequest { Design = state, Cards = 12 });
            Assert.Equal(show.Steps, show.Screens.Select(s => s.Step).Distinct().Count());
            Assert.NotEqual(show.Unit, show.Other);
            Assert.All(show.Screens, s => Assert.Equal(s.Big.Count == 0, s.BigOther.Count == 0));
            Assert.All(show.Screens, s => Assert.NotEmpty(s.Drawings));
            Assert.Contains(show.Screens, s => s.Cautions.Count > 0);
            Assert.Equal(sheets, string.Join(" | ", show.Ready.Where(r => r.Contains("sheet", StringComparison.Ordinal))));
        }

        Assert.Contains("1 to 200", await Refused("/api/show", new ShowRequest { Design = (await _client.Design("tandem")).State, Cards = 0 }), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_figure_that_came_out_otherwise_is_answered_with_edits_that_make_it_so()
    {
        var state = new DesignSpec { Name = "x", Construction = "plain-fold", Format = "5x7" };
        var outcome = await Ask<OutcomeView>("/api/show/came-out", new CameOutRequest { Design = state, Figure = "base.height", Real = "6 7/8" });
        Assert.Equal(Rescue.SizedAgain, outcome.Kind);
        var again = await Ask<ShowView>("/api/show", new ShowRequest { Design = state, Edits = outcome.Edits });
        Assert.Contains(again.Screens[0].Figures, f => f.Id == "base.height" && f.Text.Text == "6 7/8");
        Assert.Contains(outcome.Changes, c => c.Now.Text != c.Was.Text && c.Name.Length > 3 && !c.Name.Contains('.', StringComparison.Ordinal));
        Assert.Contains("such as", await Refused("/api/show/came-out", new CameOutRequest { Design = state, Figure = "base.height", Real = "two" }), StringComparison.Ordinal);
        Assert.Equal(Rescue.CutAgain, (await Ask<OutcomeView>("/api/show/came-out", new CameOutRequest { Design = state, Figure = "base.height", Real = "7 1/4" })).Kind);
    }

    [Fact]
    public async Task What_is_handed_out_is_seen_as_it_prints_and_kept_in_each_of_its_forms()
    {
        var state = (await _client.Design("comet-supper")).State;
        foreach (var (kind, type) in new[] { ("sheet", "application/pdf"), ("booklet", "application/pdf"), ("templates", "image/svg+xml"), ("cuts", "text/csv"), ("kit", "image/png"), ("text", "text/plain"), ("picture", "image/png") })
        {
            var seen = await Ask<HandOutView>("/api/handouts", new HandOutRequest { Design = state, Kind = kind, Cards = 3 });
            Assert.True(seen.Text is not null || (seen.Pages.Count > 0 && seen.Count >= seen.Pages.Count && seen.Pages[0].StartsWith("<svg", StringComparison.Ordinal)));
            var form = seen.Forms.First(f => type.Contains(f == "txt" ? "plain" : f, StringComparison.Ordinal));
            var file = await _client.PostAsync("/api/handouts/file", JsonContent.Create(new HandOutFileRequest { Design = state, Kind = kind, Cards = 3, Form = form }, options: StrictJson.Options), Cancel);
            Assert.StartsWith(type, file.Content.Headers.ContentType!.ToString(), StringComparison.Ordinal);
            Assert.Equal($"comet-supper-{kind}.{form}", file.Content.Headers.ContentDisposition!.FileNameStar ?? file.Content.Headers.ContentDisposition.FileName);
        }

        Assert.Contains("measure sheet", await Refused("/api/handouts/file", new HandOutFileRequest { Design = state, Kind = "sheet", Form = "csv" }), StringComparison.Ordinal);
        Assert.Contains("sheet, booklet", await Refused("/api/handouts", new HandOutRequest { Design = state, Kind = "poster" }), StringComparison.Ordinal);
        Assert.Contains("a4-wide", await Refused("/api/handouts", new HandOutRequest { Design = state, Kind = "sheet", Paper = "napkin" }), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Every_demo_design_goes_to_a_machine_and_to_whoever_folds_it_on_a_screen()
    {
        foreach (var id in (await _client.GetFromJsonAsync<List<JsonElement>>("/api/designs", Cancel))!.Select(d => d.GetProperty("id").GetString()!))
        {
            var state = (await _client.Design(id)).State;
            async Task<(string Type, string Name, string Text)> File(string form)
            {
                var file = await _client.PostAsync("/api/handouts/file", JsonContent.Create(new HandOutFileRequest { Design = state, Kind = "templates", Form = form }, options: StrictJson.Options), Cancel);
                Assert.True(file.IsSuccessStatusCode, $"{id} as {form}: {file.StatusCode}");
                return (file.Content.Headers.ContentType!.MediaType!, file.Content.Headers.ContentDisposition!.FileNameStar!,
                    System.Text.Encoding.Latin1.GetString(await file.Content.ReadAsByteArrayAsync(Cancel)));
            }

            var cut = await File("dxf");
            Assert.Equal(("image/vnd.dxf", $"{id}-templates.dxf"), (cut.Type, cut.Name));
            Assert.EndsWith("ENDSEC\n  0\nEOF\n", cut.Text, StringComparison.Ordinal);
            Assert.DoesNotContain("NaN", cut.Text, StringComparison.Ordinal);

            // Sections open and close, and so does every line that is cut or scored.
            var values = cut.Text.Split('\n');
            Assert.Equal(values.Count(v => v == "SECTION"), values.Count(v => v == "ENDSEC"));
            Assert.Equal(values.Count(v => v == "POLYLINE"), values.Count(v => v == "SEQEND"));
            Assert.True(values.Count(v => v == "POLYLINE") > 1);

            var fold = await File("fold");
            Assert.Equal(("application/json", $"{id}-templates.fold"), (fold.Type, fold.Name));
            using var pattern = JsonDocument.Parse(fold.Text);
            var frames = pattern.RootElement.GetProperty("file_frames").EnumerateArray().Prepend(pattern.RootElement).ToList();
            foreach (var frame in frames.Where(f => f.TryGetProperty("faces_vertices", out _)))
            {
                var places = frame.GetProperty("vertices_coords").GetArrayLength();
                Assert.All(frame.GetProperty("faces_vertices").EnumerateArray().SelectMany(f => f.EnumerateArray()), v => Assert.InRange(v.GetInt32(), 0, places - 1));
                Assert.All(frame.GetProperty("edges_vertices").EnumerateArray(), e => Assert.NotEqual(e[0].GetInt32(), e[1].GetInt32()));
                Assert.Contains("B", frame.GetProperty("edges_assignment").EnumerateArray().Select(a => a.GetString()));
            }

            Assert.Contains(frames, f => f.GetProperty("frame_title").GetString()!.EndsWith(", shown", StringComparison.Ordinal));
        }

        Assert.Contains("pdf, svg, png", await Refused("/api/handouts/file", new HandOutFileRequest { Design = (await _client.Design("tandem")).State, Kind = "kit", Form = "dxf" }), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_name_with_signs_in_it_is_text_in_every_drawing()
    {
        var state = (await _client.Design("comet-supper")).State with { Name = "Moon <b>&\"night\"</b>" };
        var seen = await Ask<HandOutView>("/api/handouts", new HandOutRequest { Design = state, Kind = "sheet" });
        Assert.DoesNotContain("<b>", seen.Pages[0], StringComparison.Ordinal);
        Assert.Contains("&lt;b&gt;&amp;", seen.Pages[0], StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_times_of_a_run_become_captions_and_chapters()
    {
        var state = (await _client.Design("tandem")).State;
        var show = await Ask<ShowView>("/api/show", new ShowRequest { Design = state });
        var run = show.Screens.Take(4).Select((s, i) => new ShownAt(s.Id, i * 65.25)).ToList();
        var made = await Ask<CaptionsView>("/api/handouts/captions", new CaptionsRequest { Design = state, Run = run, End = 300 });
        Assert.StartsWith("WEBVTT\n\n00:00:00.000 --> 00:01:05.000\n", made.Captions, StringComparison.Ordinal);
        Assert.Equal(4, made.Captions.Split("-->").Length - 1);
        Assert.StartsWith($"00:00:00 {show.Screens[0].Title}\n", made.Chapters, StringComparison.Ordinal);
        Assert.Equal(show.Screens.Take(4).Select(s => s.Step).Distinct().Count(), made.Chapters.Split('\n', StringSplitOptions.RemoveEmptyEntries).Length);
        Assert.Contains("times go on", await Refused("/api/handouts/captions", new CaptionsRequest { Design = state, Run = [run[1], run[0]], End = 300 }), StringComparison.Ordinal);
        Assert.Contains("no screen", await Refused("/api/handouts/captions", new CaptionsRequest { Design = state, Run = [new ShownAt("sun", 0)], End = 300 }), StringComparison.Ordinal);
    }
}
