using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Exchange;

public class DesignReaderTests
{
    [Theory]
    [InlineData("construction", "no-such-fold", "construction.unknown")]
    [InlineData("construction", "", "construction.unknown")]
    [InlineData("format", "0x5in", "format.unknown")]
    [InlineData("format", "five", "format.unknown")]
    [InlineData("format", "13x5in", "format.unknown")]
    [InlineData("format", "5x5", null)]
    [InlineData("format", "5 1/2 x 4in", null)]
    [InlineData("format", "150x150mm", null)]
    [InlineData("format", "15,5 × 10cm", null)]
    [InlineData("format", "5x", "format.unknown")]
    [InlineData("format", "50x50mm", "format.unknown")]
    [InlineData("target", "7", "format.unknown")]
    [InlineData("tools", "hammer", "tools.unknown")]
    [InlineData("units", "ell", "units.unknown")]
    [InlineData("stock", "slate", "stock.unknown")]
    [InlineData("caliper", "2mm", "caliper.unreadable")]
    [InlineData("caliper", "600gsm cotton", null)]
    [InlineData("caliper", "900gsm cotton", "caliper.unreadable")]
    [InlineData("grain", "diagonal", "grain.unknown")]
    [InlineData("adhesive", "chewing gum", "adhesive.unknown")]
    [InlineData("pieceStocks", "lid=card-300", "piece.unknown")]
    [InlineData("pieceStocks", "base=tin", "stock.unknown")]
    [InlineData("caliper", "thin", "caliper.unreadable")]
    [InlineData("caliper", "0.33", null)]
    [InlineData("reveal", "2in", "reveal.range")]
    [InlineData("reveal", "some", "length.unreadable")]
    [InlineData("priority", "speed", "priority.unknown")]
    [InlineData("set", "relief=five", "length.unreadable")]
    [InlineData("set", "relife=1/16", "parameter.unknown")]
    [InlineData("set", "backKeeps=door", "choice.unknown")]
    public void Refuses_what_it_does_not_understand_with_the_place_and_what_is_accepted(string field, string value, string? code)
    {
        var spec = Support.Spec("gatefold", "5x7");
        spec = field switch
        {
            "construction" => spec with { Construction = value },
            "format" => spec with { Format = value },
            "target" => spec with { Target = value },
            "tools" => spec with { Tools = value },
            "units" => spec with { Units = value },
            "stock" => spec with { Stock = value },
            "caliper" => spec with { Caliper = value },
            "grain" => spec with { Grain = value },
            "adhesive" => spec with { Adhesive = value },
            "pieceStocks" => spec with { PieceStocks = new Dictionary<string, string> { [value.Split('=')[0]] = value.Split('=')[1] } },
            "reveal" => spec with { Reveal = value },
            "priority" => spec with { Priority = value },
            _ => spec with { Set = new Dictionary<string, WrittenFigure> { [value.Split('=')[0]] = value.Split('=')[1] } },
        };
        if (code is null)
        {
            Support.Reader.Read(spec);
            return;
        }

        var problem = Assert.Throws<InputProblemException>(() => Support.Reader.Read(spec));
        Assert.Equal(code, problem.Code);
        Assert.StartsWith(field, problem.Field, StringComparison.Ordinal);
        Assert.NotEmpty(problem.Accepted);
    }

    [Theory]
    [InlineData("{", "design.unreadable")]
    [InlineData("[]", "design.unreadable")]
    [InlineData("null", "design.unreadable")]
    [InlineData("""{"wholeFold": 99}""", "design.version")]
    [InlineData("""{"construction": "gatefold", "colour": "red"}""", "design.unreadable")]
    [InlineData("{\n\n\"turn\": 3}", "design.unreadable")]
    public void A_design_file_that_is_none_is_refused(string json, string code)
    {
        var problem = Assert.Throws<InputProblemException>(() => DesignFile.Read(json, "--design"));
        Assert.Equal(code, problem.Code);
        Assert.Contains("wholeFold", problem.Accepted, StringComparison.Ordinal);
    }

    [Fact]
    public void The_place_in_a_file_is_its_line() =>
        Assert.StartsWith("line 3", Assert.Throws<InputProblemException>(() => DesignFile.Read("{\n\n\"turn\": tru}", "--design")).Reason, StringComparison.Ordinal);

    [Fact]
    public void The_sixteen_formats_have_the_sizes_the_trade_knows()
    {
        Assert.Equal(16, Inventory.Shipped.Formats.Count);
        Assert.Equal(16, Inventory.Shipped.Formats.Select(f => f.Id).Distinct().Count());
        Assert.Equal((Length.In(17, 4), Length.In(11, 2)), (Inventory.Shipped.Find<Format>("a2-us")!.Width, Inventory.Shipped.Find<Format>("a2-us")!.Height));
        Assert.Equal((Length.Mm(105), Length.Mm(148)), (Inventory.Shipped.Find<Format>("a6-iso")!.Width, Inventory.Shipped.Find<Format>("a6-iso")!.Height));
        Assert.All(Inventory.Shipped.Formats, f => Assert.True(f.Width <= f.Height && f.Width >= Format.Least && f.Height <= Format.Greatest));
    }

    [Fact]
    public void The_json_has_the_whole_contract()
    {
        var sized = Support.Size(Support.Spec("tier-scene", "a6-iso", "tiers=2") with { Turn = true });
        using var json = System.Text.Json.JsonDocument.Parse(SizedJson.Write(sized, DisplayUnit.Centimetre));
        var root = json.RootElement;
        Assert.Equal(["construction", "format", "tools", "units", "opens", "parameters", "closed", "pieces", "layers", "envelope", "checks", "reasons", "said", "safe", "places", "bonds", "steps", "faces", "windows", "elements", "soft", "contours", "stands"], root.EnumerateObject().Select(p => p.Name));
        Assert.Equal(2, root.GetProperty("parameters").GetProperty("tiers").GetInt32());
        var score = root.GetProperty("pieces")[0].GetProperty("scores")[1];
        Assert.Equal("turned", score.GetProperty("set").GetProperty("how").GetString());
        Assert.Equal("x", score.GetProperty("axis").GetString());
        Assert.Equal(47360, score.GetProperty("at").GetProperty("units").GetInt64());
        Assert.Equal(148.0m, score.GetProperty("at").GetProperty("mm").GetDecimal());
        Assert.Equal("14.8", score.GetProperty("at").GetProperty("cm").GetString());
        var figures = root.GetProperty("reasons").EnumerateObject().Select(p => p.Name).ToList();
        Assert.Equal(sized.All.Select(f => f.Id.ToString()), figures);
    }
}
