using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.Core.Tests.Exchange;

/// <summary>Every version that was ever written is read, and nothing of it is lost.</summary>
public class DesignFileTests
{
    public static TheoryData<int> Versions => [.. Enumerable.Range(1, DesignSpec.Newest)];

    private static string File(int version) => System.IO.File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Exchange", "Files", $"design-{version}.json"));

    [Theory]
    [MemberData(nameof(Versions))]
    public void A_file_of_any_version_is_brought_up_sized_and_comes_back_the_same(int version)
    {
        var design = DesignFile.Read(File(version), "design");
        Assert.Equal(DesignSpec.Newest, design.WholeFold);
        Assert.Equal(("28 mm", "window-board", "moss"), (Assert.Single(design.Adjustments).Value["depth"].Value, design.Tools, design.Stock));
        Assert.Equal(DesignFile.State(design), DesignFile.State(DesignFile.Read(DesignFile.Write(design), "design")));
        Assert.Equal(2, Support.Size(design).Pieces.Count(p => p.Piece.Id != "base"));

        // Every member of the file is in what was read.
        var written = JsonNode.Parse(DesignFile.State(design))!.AsObject();
        Assert.All(JsonNode.Parse(File(version))!.AsObject().Where(m => m.Key is not "wholeFold" and not "own"), m => Assert.True(JsonNode.DeepEquals(m.Value, written[m.Key]), m.Key));
    }

    [Theory]
    [InlineData("""{"wholeFold": 3, "construction": "gatefold", "format": "5x7"}""", "newer")]
    [InlineData("""{"wholeFold": 0, "construction": "gatefold", "format": "5x7"}""", "version 0")]
    [InlineData("""{"wholeFold": "two", "construction": "gatefold", "format": "5x7"}""", "not a number")]
    [InlineData("""{"wholeFold": 2, "construction": "gatefold", "format": "5x7", "colour": "red"}""", "nothing that is known")]
    [InlineData("[]", "")]
    public void What_is_of_no_known_version_is_refused(string json, string why)
    {
        var refused = Assert.Throws<InputProblemException>(() => DesignFile.Read(json, "design"));
        Assert.StartsWith("design", refused.Field, StringComparison.Ordinal);
        Assert.NotEmpty(refused.Accepted);
        if (why != "nothing that is known")
        {
            Assert.Contains(why, refused.Reason, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void What_comes_to_the_same_has_one_canonical_key()
    {
        var one = new DesignSpec { Construction = "gatefold", Format = "5x7", Name = "One", Set = Support.Written([new("relief", "1mm"), new("back", "format")]) };
        var other = one with { Set = Support.Written([new("back", "format"), new("relief", "1mm")]) };
        Assert.Equal(DesignFile.Canonical(one), DesignFile.Canonical(other));
        Assert.NotEqual(DesignFile.Canonical(one), DesignFile.Canonical(one with { Turn = true }));
    }

    [Fact]
    public void The_schemas_name_every_member_that_is_written()
    {
        foreach (var name in Schemas.Names)
        {
            using var schema = JsonDocument.Parse(Schemas.Of(name));
            Assert.True(schema.RootElement.TryGetProperty("properties", out _) || schema.RootElement.TryGetProperty("$defs", out _), name);
        }

        using var design = JsonDocument.Parse(Schemas.Of("design"));
        var known = design.RootElement.GetProperty("properties").EnumerateObject().Select(p => p.Name);
        Assert.Equal(JsonNode.Parse(DesignFile.Write(new DesignSpec()))!.AsObject().Select(p => p.Key).Except(known), []);
    }
}
