using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using Xunit;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>A construction can be written down, and what is read back is the same one.</summary>
public class WrittenFormTests
{
    public static TheoryData<string> Families => [.. ConstructionLibrary.All.Select(c => c.Id)];

    private static string Written(ConstructionFamily family) => JsonSerializer.Serialize(ConstructionWriter.Write(family), StrictJson.Options);

    [Theory]
    [MemberData(nameof(Families))]
    public void Goes_out_and_comes_back_equal_and_makes_the_same_cards(string id)
    {
        var family = ConstructionLibrary.All.Single(c => c.Id == id);
        var text = Written(family);
        var again = ConstructionReader.Read(text, "construction");
        Assert.Equal(text, Written(again));

        // A studio whose catalogue has only what was read sizes, folds and checks it the same.
        var reader = new DesignReader(new Catalogue([again]), Inventory.Shipped);
        var formats = Inventory.Shipped.Formats.Select(f => f.Id).Where((_, i) => i % 5 == id.Length % 5).ToList();
        foreach (var choices in ConstructionFamily.Combinations(family.Choices).Where((_, i) => i % 3 == 0))
        {
            foreach (var (format, tools) in formats.Zip(new[] { "imperial-eighths", "metric-5mm", "machine", "both" }))
            {
                var spec = new DesignSpec { Construction = id, Format = format, Tools = tools, Set = Support.Written(choices) };
                var (was, now) = (Json(Support.Reader, spec), Json(reader, spec));
                Assert.Equal(was, now);
            }
        }
    }

    private static string Json(DesignReader reader, DesignSpec spec)
    {
        var read = reader.Read(spec);
        var attempt = Attempt.Of(read.Design, read.Target);
        return attempt.Card is { } card ? SizedJson.Write(card, read.Unit) : attempt.Problem!.Write(read.Unit);
    }

    public static TheoryData<string, string, string> Broken => new()
    {
        { "variants[0].pieces", "[]", "pieces" },
        { "variants[0].pieces[0].quantity", "2000000000", "quantity" },
        { "variants[0].pieces[0].panels[0].extent", """{"of": {"X": "1"}}""", "extent" },
        { "variants[0].pieces[0].panels[0].extent", """{"of": {"W": "1/0"}}""", "extent" },
        { "variants[0].pieces[0].panels[0].extent", """{"of": {"W": "99999999999999999999"}}""", "extent" },
        { "variants[0].pieces[0].panels[0].extent", """{"in": "five"}""", "extent" },
        { "variants[0].pieces[0].creases", "[]", "creases" },
        { "variants[0].layers[0].panels", """["nowhere"]""", "layers[0]" },
        { "variants[0].layers[0].levels", "1000", "levels" },
        { "variants[0].parameters[0].id", "\"W\"", "parameters[0].id" },
        { "variants[0].parameters[0].id", "\"a b\"", "parameters[0].id" },
        { "variants[0].allowances[0].symbol", "\"W\"", "allowances[0].symbol" },
        { "variants[0].allowances[0].kind", "\"luck\"", "kind" },
        { "variants[0].states", """[{"id": "x", "name": "x", "how": "x", "angles": [{"piece": "base", "crease": 99, "angle": 90}]}]""", "states[0]" },
        { "variants", "[]", "variants" },
        { "wholeFoldConstruction", "7", "wholeFoldConstruction" },
        { "colour", "\"red\"", "colour" },
    };

    [Theory]
    [MemberData(nameof(Broken))]
    public void What_no_engine_could_work_with_is_refused_with_place_and_reason(string path, string value, string field)
    {
        var json = JsonNode.Parse(Written(ConstructionLibrary.All.Single(c => c.Id == "gatefold")))!;
        JsonNode at = json;
        var steps = path.Replace("[", ".[", StringComparison.Ordinal).Split('.');
        foreach (var step in steps[..^1])
        {
            at = step[0] == '[' ? at[int.Parse(step[1..^1], System.Globalization.CultureInfo.InvariantCulture)]! : at[step]!;
        }

        at[steps[^1]] = JsonNode.Parse(value);
        var refused = Assert.Throws<InputProblemException>(() => ConstructionReader.Read(json.ToJsonString(), "construction"));
        Assert.StartsWith("construction", refused.Field, StringComparison.Ordinal);
        Assert.Contains(field, refused.Field, StringComparison.Ordinal);
        Assert.NotEmpty(refused.Reason);
        Assert.NotEmpty(refused.Accepted);
    }

    [Fact]
    public void More_panels_than_a_sheet_can_take_are_refused_and_not_worked_on()
    {
        var json = JsonNode.Parse(Written(ConstructionLibrary.All.Single(c => c.Id == "plain-fold")))!;
        var piece = json["variants"]![0]!["pieces"]![0]!;
        var (panels, creases) = (piece["panels"]!.AsArray(), piece["creases"]!.AsArray());
        for (var i = 0; i < 40; i++)
        {
            var panel = panels[0]!.DeepClone();
            panel["id"] = $"more{i}";
            panels.Add(panel);
            creases.Add(creases[0]!.DeepClone());
        }

        Assert.Contains("panels", Assert.Throws<InputProblemException>(() => ConstructionReader.Read(json.ToJsonString(), "construction")).Field, StringComparison.Ordinal);
    }
}
