using System.Text.Json;
using WholeFold.App.Cli;
using WholeFold.Core.Constructions.Library;
using Xunit;

namespace WholeFold.App.Tests;

public class CommandLineTests
{
    private static (int Exit, string Out, string Error) Run(params string[] args)
    {
        using var output = new StringWriter();
        using var error = new StringWriter();
        return (CommandLine.Run(args, output, error), output.ToString(), error.ToString());
    }

    [Fact]
    public void Convert_writes_the_figures_as_text_and_as_json()
    {
        var plain = Run("convert", "--construction", "winged-lock-gatefold", "--format", "5x7");
        Assert.Equal(0, plain.Exit);
        Assert.Contains("4 5/8 in · 11.7 cm", plain.Out, StringComparison.Ordinal);
        var json = Run("convert", "--construction", "tier-scene", "--format", "5x7", "--turn", "--set", "depth=1in", "--set", "tiers=1", "--json");
        Assert.Equal((0, ""), (json.Exit, json.Error));
        using var document = JsonDocument.Parse(json.Out);
        Assert.Equal(8128, document.RootElement.GetProperty("parameters").GetProperty("depth").GetProperty("units").GetInt64());
        Assert.Equal(2, document.RootElement.GetProperty("pieces").GetArrayLength());
    }

    /// <summary>What is planned is what the card is: every piece and paper, so many times, out of the sheets that were named.</summary>
    [Fact]
    public void Plan_says_which_sheets_so_many_cards_are_cut_from()
    {
        const string design = """
            {"wholeFold": 2, "name": "Late tram", "construction": "plain-fold", "format": "5x7", "dressing": {
              "layers": [{"role": "front", "stock": "night-print"}, {"role": "inside", "stock": "night-print"}]}}
            """;
        var plain = RunOn(design, "plan", "--cards", "12");
        Assert.Equal((0, ""), (plain.Exit, plain.Error));
        Assert.StartsWith("Take care: Fingers behind the trimmer's guard", plain.Out, StringComparison.Ordinal);
        Assert.Contains("No plan needs less.", plain.Out, StringComparison.Ordinal);
        using var plan = JsonDocument.Parse(RunOn(design, "plan", "--cards", "12", "--sheet", "a4", "--offcut", "night-print=6x8in:2", "--json").Out);
        using var card = JsonDocument.Parse(RunOn(design, "convert", "--json").Out);
        var sheets = plan.RootElement.GetProperty("sheets").EnumerateArray().ToList();
        int Planned(string id) => sheets.Sum(s => s.GetProperty("count").GetInt32()
            * s.GetProperty("parts").EnumerateArray().Count(p => p.GetProperty("piece").GetString() == id));
        foreach (var (list, before) in new[] { ("pieces", ""), ("layers", "layers.") })
        {
            foreach (var piece in card.RootElement.GetProperty(list).EnumerateArray())
            {
                Assert.Equal(12 * piece.GetProperty("quantity").GetInt32(), Planned(before + piece.GetProperty("id").GetString()));
            }
        }

        Assert.True(plan.RootElement.GetProperty("proven").GetBoolean());
        Assert.All(sheets, s => Assert.Contains(s.GetProperty("sheet").GetString(), new[] { "a4", "6x8in" }));
    }

    [Theory]
    [InlineData(2, "0 cards", "--cards", "0")]
    [InlineData(2, "no stock", "--cards", "2", "--sheet", "card-999=a4")]
    [InlineData(2, "no number of sheets", "--cards", "2", "--sheet", "a4:none")]
    [InlineData(2, "is not a", "--cards", "2", "--sheet", "foolscap")]
    [InlineData(2, "3 numbers for 1 design", "--cards", "2", "--cards", "3", "--cards", "4")]
    [InlineData(3, "no sheet of", "--cards", "2", "--sheet", "3x3in")]
    [InlineData(3, "not enough", "--cards", "40", "--sheet", "letter:3")]
    public void A_plan_that_cannot_be_made_says_what_would_do(int exit, string says, params string[] asked)
    {
        var run = RunOn("""{"wholeFold": 2, "name": "Late tram", "construction": "plain-fold", "format": "5x7"}""", ["plan", .. asked]);
        Assert.Equal((exit, ""), (run.Exit, run.Out));
        Assert.Contains(says, run.Error, StringComparison.Ordinal);
    }

    /// <summary>A command on a design that lies in a file.</summary>
    private static (int Exit, string Out, string Error) RunOn(string design, params string[] args)
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, design);
            return Run([.. args, "--design", file]);
        }
        finally
        {
            File.Delete(file);
        }
    }

    /// <summary>A design from a file brings what it wears through the whole command: figures, places, findings with their fix, in text as in JSON.</summary>
    [Fact]
    public void A_dressed_design_is_converted_with_all_that_it_wears()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, """
                {"wholeFold": 2, "name": "Late tram", "construction": "plain-fold", "format": "5x7", "dressing": {
                  "layers": [{"role": "front", "stock": "night-print"}],
                  "windows": [{"id": "eye", "role": "front", "die": "pane-3"}],
                  "elements": [{"id": "moon", "role": "inside", "size": ["1 in", "1 in"], "place": {"anchor": "right", "from": [{"edge": "right", "distance": "-1/2 in"}]}}],
                  "soft": [{"id": "bow", "role": "front", "rule": "bow"}]}}
                """);
            using var document = JsonDocument.Parse(Run("convert", "--design", file, "--format", "a2-us", "--json").Out);
            var root = document.RootElement;
            var window = root.GetProperty("windows")[0];
            Assert.Equal(("pane-2", "nearestDie", "3"), (window.GetProperty("die").GetString(), window.GetProperty("found").GetString(), window.GetProperty("was")[1].GetProperty("in").GetString()));
            var moon = root.GetProperty("elements")[0];
            Assert.Equal(("right", "-1/2"), (moon.GetProperty("place").GetProperty("from")[0].GetProperty("edge").GetString(), moon.GetProperty("place").GetProperty("from")[0].GetProperty("distance").GetProperty("in").GetString()));
            Assert.Equal(2, root.GetProperty("places").EnumerateArray().Count(p => p.GetProperty("id").GetString() is "windows.eye" or "elements.moon"));
            var found = root.GetProperty("checks").EnumerateArray().Single(c => c.GetProperty("id").GetString() == "adhesive-exposed-when-shut");
            Assert.Equal(("error", "base", "back", "up"),
                (found.GetProperty("severity").GetString(), found.GetProperty("at").GetProperty("piece").GetString(), found.GetProperty("at").GetProperty("plate")
                .GetString(), found.GetProperty("at").GetProperty("side").GetString()));
            Assert.Equal("base.back", found.GetProperty("fix").GetProperty("edit").GetProperty("element").GetProperty("bondedOn").GetString());
            Assert.Equal("night-print", root.GetProperty("layers").EnumerateArray().First(l => l.GetProperty("role").GetString() == "front").GetProperty("stock").GetString());
            Assert.Contains(root.GetProperty("faces").EnumerateArray(), f => f.GetProperty("id").GetString() == "base.back.down");

            var text = Run("convert", "--design", file, "--format", "a2-us").Out;
            foreach (var said in new[] { "eye, by Second pane", "1/2 in past the right edge", "From the roll", "Cut the window eye, " })
            {
                Assert.Contains(said, text, StringComparison.Ordinal);
            }

            File.WriteAllText(file, """{"wholeFold": 2, "construction": "plain-fold", "format": "5x7", "dressing": {"windows": [{"id": "eye", "role": "roof", "size": ["1 in", "1 in"]}]}}""");
            var refused = Run("convert", "--design", file, "--format", "a2-us");
            Assert.Equal(2, refused.Exit);
            Assert.Contains("dressing.windows[0].role", refused.Error, StringComparison.Ordinal);
            Assert.Contains("front, inside", refused.Error, StringComparison.Ordinal);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public void What_is_there_is_said_on_the_line_and_what_came_of_it_in_the_answer()
    {
        using var eased = JsonDocument.Parse(Run("convert", "--construction", "front-step", "--format", "4 3/8x6 3/4in", "--sheets", "12x12", "--json").Out);
        Assert.Equal("12", eased.RootElement.GetProperty("pieces")[0].GetProperty("height").GetProperty("in").GetString());
        var fix = eased.RootElement.GetProperty("checks").EnumerateArray().Single(c => c.GetProperty("id").GetString() == "eased-to-sheet").GetProperty("fix");
        Assert.Equal(("prefer", "leave it as it was"), (fix.GetProperty("edit").GetProperty("edit").GetString(), fix.GetProperty("words").GetString()));
        var blank = Run("convert", "--construction", "plain-fold", "--format", "5x7", "--blank", "125.3x176.2mm", "--units", "mm");
        Assert.Equal(0, blank.Exit);
        Assert.Contains("from a blank of 125.5 mm scant × 176 mm full", blank.Out, StringComparison.Ordinal);
        Assert.Contains("Take the blank for the base", blank.Out, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a6-iso", "metric-5mm", "cm")]
    [InlineData("a2-us", "imperial-eighths", "in")]
    public void Tools_and_units_follow_the_format_unless_said_otherwise(string format, string tools, string units)
    {
        using var document = JsonDocument.Parse(Run("convert", "--construction", "gatefold", "--format", format, "--json").Out);
        Assert.Equal((tools, units), (document.RootElement.GetProperty("tools").GetString(), document.RootElement.GetProperty("units").GetString()));
    }

    [Theory]
    [InlineData("format", "convert", "--construction", "gatefold", "--format", "0x5in")]
    [InlineData("format", "convert", "--construction", "gatefold", "--format", "five")]
    [InlineData("format", "convert", "--construction", "gatefold")]
    [InlineData("construction", "convert", "--construction", "origami", "--format", "5x5")]
    [InlineData("--set", "convert", "--construction", "gatefold", "--format", "5x5", "--set", "relief")]
    [InlineData("--design", "convert", "--design", "/nowhere.json", "--format", "5x5")]
    [InlineData("--workshop", "convert", "--construction", "gatefold", "--format", "5x5", "--workshop", "/nowhere.json")]
    [InlineData("prefer", "convert", "--construction", "gatefold", "--format", "5x5", "--prefer", "no-eighths")]
    [InlineData("sheets", "convert", "--construction", "gatefold", "--format", "5x5", "--sheets", "foolscap")]
    [InlineData("blank", "convert", "--construction", "gatefold", "--format", "5x5", "--blank", "5x5in")]
    [InlineData("blank", "convert", "--construction", "plain-fold", "--format", "5x5", "--blank", "large")]
    [InlineData("--port", "serve", "--port", "0")]
    [InlineData("--listen", "serve", "--listen", "0.0.0.0")]
    [InlineData("--colour", "convert", "--colour", "red")]
    [InlineData("bake", "bake")]
    public void What_is_not_understood_is_exit_2_with_the_place(string place, params string[] args)
    {
        var (exit, output, error) = Run(args);
        Assert.Equal((2, ""), (exit, output));
        Assert.Contains(place, error, StringComparison.Ordinal);
    }

    [Fact]
    public void What_no_figures_can_satisfy_is_exit_3_with_the_conflicts()
    {
        var (exit, output, error) = Run("convert", "--construction", "winged-lock-gatefold", "--format", "5x5", "--lock", "centre=3/4", "--lock", "pad=5/8");
        Assert.Equal((3, ""), (exit, output));
        Assert.Contains("centre locked at 3/4 in", error, StringComparison.Ordinal);
        Assert.Contains("pad locked at 5/8 in", error, StringComparison.Ordinal);
    }

    [Fact]
    public void A_design_file_is_converted_and_its_own_format_gives_it_back()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, """{"wholeFold": 1, "name": "Comet", "construction": "winged-lock-gatefold", "format": "5x5", "set": {"centre": "1in"}}""");
            var home = Run("convert", "--design", file, "--json").Out;
            var away = Run("convert", "--design", file, "--format", "a6-iso", "--tools", "machine", "--json");
            Assert.Equal(0, away.Exit);
            Assert.Contains("\"a6-iso\"", away.Out, StringComparison.Ordinal);
            Assert.Equal(home, Run("convert", "--design", file, "--format", "5x5", "--json").Out);
            Assert.Equal(home, Run("convert", "--construction", "winged-lock-gatefold", "--format", "5x5", "--set", "centre=1", "--json").Out);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public void A_measure_list_is_looked_through()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, "width 10\nscores 1/2, 2 1/2, 4 3/8, 5 1/2, 7 1/2, 9 1/2\n");
            var slipped = Run("check", file);
            Assert.Equal(1, slipped.Exit);
            Assert.Contains("line 2: Score 3 at 4 3/8 breaks the pattern of the others; 4 1/2 would keep it.", slipped.Out, StringComparison.Ordinal);
            Assert.StartsWith("[", Run("check", file, "--json").Out, StringComparison.Ordinal);
            File.WriteAllText(file, "width 10\nscores 5\n");
            Assert.Equal(0, Run("check", file).Exit);
            File.WriteAllText(file, "ten by five\n");
            Assert.Equal(2, Run("check", file).Exit);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public void Lists_tell_every_construction_and_format()
    {
        using var constructions = JsonDocument.Parse(Run("constructions", "--json").Out);
        Assert.Equal(ConstructionLibrary.All.Count, constructions.RootElement.GetArrayLength());

        // A never-ending card has nothing to choose: all its figures are quarters.
        Assert.Equal(["never-ending"], constructions.RootElement.EnumerateArray().Where(c => c.GetProperty("parameters").GetArrayLength() == 0).Select(c => c.GetProperty("id").GetString()));
        Assert.All(constructions.RootElement.EnumerateArray(),
            c => Assert.True(c.GetProperty("steps").GetArrayLength() > 0 && c.GetProperty("troubles").GetArrayLength() > 0 && c.GetProperty("does").GetString() is not null));
        using var formats = JsonDocument.Parse(Run("formats", "--json").Out);
        Assert.Equal(16, formats.RootElement.GetArrayLength());
        Assert.Contains("relief", Run("constructions").Out, StringComparison.Ordinal);
        Assert.Contains("from the doors' clearance and 1/32 in / 1 mm", Run("constructions").Out, StringComparison.Ordinal);
        Assert.DoesNotContain("@", Run("constructions", "--json").Out, StringComparison.Ordinal);
        Assert.Contains("105 × 148 mm", Run("formats").Out, StringComparison.Ordinal);
    }

    [Fact]
    public void A_card_with_states_tells_them_and_a_slanting_score_its_ticks()
    {
        Assert.Contains("cross       6 in · 15.2 cm × 6 in · 15.2 cm  fold the upper", Run("convert", "--construction", "never-ending", "--format", "6x6").Out, StringComparison.Ordinal);
        var twist = Run("convert", "--construction", "twist-pop", "--format", "6x6").Out;
        Assert.Contains("ticks at ", twist, StringComparison.Ordinal);
        Assert.Contains("the ruler from tick to tick", twist, StringComparison.Ordinal);
        var refused = Run("convert", "--construction", "never-ending", "--format", "5x5", "--set", "rail=1");
        Assert.Equal(2, refused.Exit);
        Assert.Contains("Accepted: nothing: all its figures follow from the format", refused.Error, StringComparison.Ordinal);
        Assert.DoesNotContain("envelope to make", Run("convert", "--construction", "envelope", "--format", "6x6").Out, StringComparison.Ordinal);
    }

    [Fact]
    public void A_figure_is_told_with_its_sum_its_safe_side_and_in_the_order_of_setting()
    {
        var plain = Run("convert", "--construction", "gatefold", "--format", "5x7").Out;
        Assert.Contains("2 7/16 = half of the width 5, less the relief 1/16 so that the doors do not touch; between grooves, so just inside 2 1/2; exact: its two ends meet: scant, a gap; full, they overlap (together with its twin at the other end)", plain, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run("convert", "--construction", "front-step", "--format", "a2-us", "--json").Out);
        var order = json.RootElement.GetProperty("pieces")[0].GetProperty("order");
        Assert.Equal(["asItLies", "turnedRound"], order.EnumerateArray().Select(p => p.GetProperty("lay").GetString()));
        Assert.Equal("scant", json.RootElement.GetProperty("safe").GetProperty("base.height").GetProperty("side").GetString());
    }

    [Fact]
    public void What_has_no_figures_says_what_would_mend_it()
    {
        var stuck = Run("convert", "--construction", "winged-lock-gatefold", "--format", "5x5", "--lock", "centre=3/4", "--lock", "pad=5/8");
        Assert.Equal(3, stuck.Exit);
        Assert.Contains("let the pad go, locked at 5/8; it becomes 0", stuck.Error, StringComparison.Ordinal);
        Assert.Equal(0, Run("convert", "--construction", "winged-lock-gatefold", "--format", "5x5", "--set", "centre=3/4", "--set", "pad=5/8").Exit);
    }

    [Fact]
    public void The_sheet_has_both_systems_and_says_where_one_had_to_be_sized_for_itself()
    {
        var sheet = Run("convert", "--construction", "gatefold", "--format", "a2-us", "--sheet").Out;
        Assert.DoesNotContain("base.scores", sheet, StringComparison.Ordinal);
        Assert.Contains("left door | back", sheet, StringComparison.Ordinal);
        Assert.Contains("The centimetres are the same card for", sheet, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run("convert", "--construction", "gatefold", "--format", "a2-us", "--sheet", "--json").Out);
        Assert.Equal(("2 1/16", true), (json.RootElement.GetProperty("inches").GetProperty("figures").GetProperty("base.scores[0]").GetString(), json.RootElement.GetProperty("centimetres").GetProperty("own").GetBoolean()));
    }

    [Fact]
    public void Tools_and_stocks_of_ones_own_come_from_a_file()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file,
                """{"tools": [{"id": "window-board", "name": "Board by the window", "units": "mm", "groove": "4", "boardLength": "300", "trimmerMark": "1", "rulerMark": "0.5"}], "stocks": [{"id": "moss", "name": "Moss 250", "caliper": "0.6mm"}]}""");
            using var json = JsonDocument.Parse(Run("convert", "--construction", "plain-fold", "--format", "a6-iso", "--workshop", file, "--tools", "window-board", "--stock", "moss", "--json").Out);
            Assert.Equal(("window-board", "moss"), (json.RootElement.GetProperty("tools").GetString(), json.RootElement.GetProperty("pieces")[0].GetProperty("stock").GetString()));
            File.WriteAllText(file, """{"tools": [{"id": "x", "name": "x", "groove": "5 in", "trimmerMark": "1/16"}]}""");
            var refused = Run("convert", "--construction", "plain-fold", "--format", "a6-iso", "--workshop", file);
            Assert.Equal(2, refused.Exit);
            Assert.Contains("--workshop.tools[0].groove", refused.Error, StringComparison.Ordinal);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public void A_design_takes_tools_from_a_file_and_figures_from_the_line_at_once()
    {
        var folder = Directory.CreateTempSubdirectory("wholefold-cli-").FullName;
        try
        {
            var (design, workshop) = (Path.Combine(folder, "design.json"), Path.Combine(folder, "workshop.json"));
            File.WriteAllText(workshop, """{"tools": [{"id": "window-board", "name": "Board by the window", "groove": "1/4", "boardLength": "12", "trimmerMark": "1/8", "rulerMark": "1/16"}]}""");
            File.WriteAllText(design, """{"wholeFold": 2, "name": "Comet", "construction": "winged-lock-gatefold", "format": "5x5", "tools": "window-board"}""");
            var (exit, output, error) = Run("convert", "--design", design, "--workshop", workshop, "--set", "centre=1in", "--lock", "pad=1/4", "--json");
            Assert.Equal((0, ""), (exit, error));
            using var json = JsonDocument.Parse(output);
            Assert.Equal("window-board", json.RootElement.GetProperty("tools").GetString());
            Assert.Equal(8128, json.RootElement.GetProperty("parameters").GetProperty("centre").GetProperty("units").GetInt64());
            Assert.Equal(2, Run("convert", "--design", design, "--set", "centre=1in").Exit);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public void Both_columns_of_a_sheet_have_every_figure()
    {
        var (exit, sheet, error) = Run("convert", "--construction", "double-swing", "--format", "5x7", "--sheet", "--json");
        Assert.Equal((0, ""), (exit, error));
        using var json = JsonDocument.Parse(sheet);
        var (inches, metric) = (json.RootElement.GetProperty("inches").GetProperty("figures"), json.RootElement.GetProperty("centimetres").GetProperty("figures"));
        Assert.Equal(inches.EnumerateObject().Select(f => f.Name), metric.EnumerateObject().Select(f => f.Name));
        var text = Run("convert", "--construction", "double-swing", "--format", "5x7", "--sheet").Out;
        Assert.All(inches.EnumerateObject().Concat(metric.EnumerateObject()), f => Assert.Contains(f.Value.GetString()!, text, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("design")]
    [InlineData("construction")]
    [InlineData("inventory")]
    public void The_schemas_beside_the_documents_are_the_ones_the_program_writes(string of)
    {
        var (exit, schema, _) = Run("schema", of);
        Assert.Equal(0, exit);
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "WholeFold.slnx")))
        {
            folder = folder.Parent!;
        }

        Assert.Equal(File.ReadAllText(Path.Combine(folder.FullName, "docs", $"{of}.schema.json")).Trim(), schema.Trim());
    }
}
