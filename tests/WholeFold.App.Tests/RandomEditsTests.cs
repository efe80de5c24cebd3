using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>Whatever is done to a design, it is refused with its reason or every stage and every hand-out has an answer to it.</summary>
public abstract class RandomEditsTests(int part)
{
    /// <summary>Cards of ten edits each, in all parts together.</summary>
    private static readonly int Cards = Day.Whole ? 1000 : 16;

    private const int EditsOfACard = 10, Parts = 2;

    private static readonly string[] HandOuts = ["sheet", "booklet", "templates", "cuts", "kit", "text", "picture"];

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Every_edit_is_refused_or_has_an_answer_on_every_stage()
    {
        using var studio = new Studio(demo: false);
        using var client = studio.CreateClient();
        var (done, refused) = (0, 0);
        for (var card = part; card < Cards; card += Parts)
        {
            var seed = (Day.Seed * 10_007) + card;
            var edits = new RandomEdits(seed);
            var begun = await client.PostAsJsonAsync("/api/designs", new NewDesign(edits.Begin()), StrictJson.Options, Cancel);
            Assert.True(begun.IsSuccessStatusCode, $"seed {seed}: {await begun.Content.ReadAsStringAsync(Cancel)}");
            var design = await Http.Read<DesignView>(begun);
            for (var n = 0; n < EditsOfACard; n++)
            {
                var edit = edits.Next(design.State);
                var answer = await client.Save(design, edit);
                var said = $"seed {seed}, {JsonSerializer.Serialize(edit, StrictJson.OnOneLine)} on {JsonSerializer.Serialize(design.State with { Made = null }, StrictJson.OnOneLine)}";
                Assert.True(answer.StatusCode is HttpStatusCode.OK or HttpStatusCode.BadRequest or HttpStatusCode.UnprocessableEntity, $"{said}: {await answer.Content.ReadAsStringAsync(Cancel)}");
                if (answer.StatusCode != HttpStatusCode.OK)
                {
                    refused++;
                    var problem = await answer.Problem();
                    Assert.True(problem.GetProperty("detail").GetString()!.Length > 10, said);
                    continue;
                }

                done++;
                design = await Http.Read<DesignView>(answer);
                await Stages(client, design, said);
            }

            (await client.DeleteAsync($"/api/designs/{design.Id}", Cancel)).EnsureSuccessStatusCode();
        }

        Assert.True(done > Cards && refused > Cards / 4, $"{done} done, {refused} refused");
    }

    private static async Task Stages(HttpClient client, DesignView design, string said)
    {
        var state = design.State;
        IEnumerable<(string Path, object Body)> asks =
        [
            .. new[] { "/api/bench", "/api/bench/strip", "/api/bench/safe", "/api/folding", "/api/dress", "/api/build", "/api/sheet" }.Select(p => (p, (object)new { design = state })),
            ("/api/show", new { design = state, cards = 2 }),
            .. HandOuts.Select(kind => ("/api/handouts", (object)new { design = state, kind })),
        ];
        foreach (var (path, body) in asks)
        {
            var answer = await client.PostAsync(path, JsonContent.Create(body, options: StrictJson.Options), Cancel);
            if (!answer.IsSuccessStatusCode)
            {
                var text = await answer.Content.ReadAsStringAsync(Cancel);
                Assert.True(answer.StatusCode is HttpStatusCode.BadRequest or HttpStatusCode.UnprocessableEntity && !text.Contains("card.broken", StringComparison.Ordinal), $"{path}, {said}: {text}");
            }
        }

        var cards = await Http.Read<List<DesignCard>>(await client.GetAsync("/api/designs", Cancel));
        Assert.True(cards.Single(c => c.Id == design.Id).Problem is null, $"{said}: {cards.Single(c => c.Id == design.Id).Problem}");
    }
}

public sealed class RandomEditsOfOneHalf() : RandomEditsTests(0);

public sealed class RandomEditsOfTheOther() : RandomEditsTests(1);
