using System.Text.Json;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Designs;

/// <summary>The one vocabulary of changes.</summary>
public class EditTests
{
    private static readonly DesignSpec Start = Support.Spec("winged-lock-gatefold", "5x5", "centre=1in") with { Name = "Comet", Target = "a6-iso", TargetTurn = true, Prefer = ["one-stop"] };

    /// <summary>One of each kind, and of those that take several things one for each.</summary>
    public static IReadOnlyList<DesignEdit> Every { get; } =
    [
        new SetFigure("pad", "1/4 in"), new SetFigure("centre", "30 mm"), new SetFigure("centre", "3/4", For: "home"), new SetFigure("centre", "22 mm", For: "a5"), new SetFigure("pad", "5 mm", Tools: "metric-5mm"),
        new LockFigure("centre", "1 in"), new FreeFigure("centre"), new FreeFigure("centre", For: "home"), new FreeFigure("pad"),
        new ConvertTo("5x7"), new ConvertTo("a6-iso"), new ConvertTo(null), new ConvertTo("5x5"), new ConvertTo("150x150mm", Turn: true),
        new Take("tools", "machine"), new Take("tools", null), new Take("stock", "card-300"), new Take("caliper", "0.4 mm"), new Take("caliper", null), new Take("grain", "long"), new Take("layerStock", "vellum"),
        new Take("matStock", "card-300"), new Take("adhesive", "tape"), new Take("reveal", "standard"), new Take("priority", "board"), new Take("name", "Kite"),
        new CutFrom("base", "card-300"), new CutFrom("base", null), new Prefer("one-stop", On: false), new Prefer("no-sixteenths"), new UseSheets(["a4", "letter"]), new UseSheets([]), new ShowIn("cm"), new ShowIn(null, Both: true),
        new Wear("doors", 1, new LayerSpec("doors", Stock: "vellum")), new Wear("doors", 1, null), new Wear("base.centre.up", 2, new LayerSpec("base.centre.up", 2)), new Wear("wings", 1, new LayerSpec("wings", Worn: false)),
        new CutWindow("eye", new WindowSpec("eye", "doors", Size: ["1 in", "1 in"])), new CutWindow("eye", new WindowSpec("eye", "doors", Die: "ring-1")), new CutWindow("eye", null), new CutWindow("port", new WindowSpec("port", "doors", Die: "ring-2")),
        new PutOn("moon", new ElementSpec("moon", "centre", Size: ["1/2 in", "1/2 in"])), new PutOn("moon", new ElementSpec("moon", "doors", "half moon", Size: ["1/2 in", "1 in"])), new PutOn("moon", null), new PutOn("star", new ElementSpec("star", "doors", Size: ["1/2 in", "1 in"])),
        new Shape("roofs", new ContourSpec("roofs", "centre", "roofs")), new Shape("roofs", null), new Tie("bow", new SoftSpec("bow", "centre", Rule: "bow")), new Tie("bow", null),
        new Replace(Support.Spec("gatefold", "5x7", "relief=1/16")),
    ];

    [Fact]
    public void An_edit_and_its_inverse_leave_the_design_as_it_was_alone_and_in_any_row()
    {
        foreach (var edit in Every)
        {
            Same(Start, edit.Inverse(Start, Support.Reader).Apply(edit.Apply(Start, Support.Reader), Support.Reader), edit);
        }

        var random = new Random(8);
        for (var round = 0; round < 300; round++)
        {
            var edits = Enumerable.Range(0, random.Next(1, 9)).Select(_ => Every[random.Next(Every.Count - 1)]).ToList();
            var after = DesignEdit.Apply(edits, Start, Support.Reader);
            Same(Start, DesignEdit.Apply(DesignEdit.InverseOf(edits, Start, Support.Reader), after, Support.Reader), edits);
        }
    }

    [Fact]
    public void Each_comes_back_from_json_and_says_what_it_does_in_words()
    {
        var words = new HashSet<string>();
        foreach (var edit in Every)
        {
            var json = JsonSerializer.Serialize(edit, StrictJson.Options);
            Assert.Equal(json, JsonSerializer.Serialize(StrictJson.Read<DesignEdit>(json, "edit", "edit.unreadable", DesignEdit.Accepted), StrictJson.Options));
            var said = edit.Describe(Start, Support.Reader).Write(DisplayUnit.Inch);
            Assert.InRange(said.Length, 3, 160);
            Assert.DoesNotContain("card-300", said, StringComparison.Ordinal);
            words.Add(said);
        }

        Assert.True(words.Count > Every.Count * 3 / 4, "most say something of their own");
    }

    [Fact]
    public void What_is_set_for_another_format_leaves_the_home_alone()
    {
        var there = new SetFigure("centre", "22 mm").Apply(Start, Support.Reader);
        Assert.Equal("1in", there.Set["centre"].Value);
        var at = Assert.Single(there.Adjustments);
        Assert.Equal("22 mm", at.Value["centre"].Value);
        var home = new SetFigure("centre", "3/4", For: DesignEdit.Home).Apply(Start, Support.Reader);
        Assert.Equal(("3/4", 0), (home.Set["centre"].Value, home.Adjustments.Count));
        Assert.False(new FreeFigure("centre", For: DesignEdit.Home).Apply(Start, Support.Reader).Set.ContainsKey("centre"));
    }

    [Fact]
    public void Nothing_known_is_refused_with_what_is()
    {
        foreach (var edit in new DesignEdit[] { new SetFigure("wings", "1in"), new Take("colour", "red"), new Take("stock", null), new Choose("wings", "two"), new Prefer("luck"), new CutFrom("lid", "card-300"), new ShowIn("ell") })
        {
            var refused = Assert.Throws<InputProblemException>(() => Support.Reader.Read(edit.Apply(Start, Support.Reader)));
            Assert.NotEmpty(refused.Accepted);
        }
    }

    [Fact]
    public void A_choice_and_a_figure_are_told_apart_as_they_are_typed()
    {
        var spec = Support.Spec("tier-scene", "5x7");
        Assert.IsType<Choose>(DesignEdit.Parse("tiers=2", hard: false, spec, Support.Reader, "--set"));
        Assert.IsType<SetFigure>(DesignEdit.Parse("depth = 1 in", hard: false, spec, Support.Reader, "--set"));
        Assert.IsType<LockFigure>(DesignEdit.Parse("depth=1in", hard: true, spec, Support.Reader, "--lock"));
        Assert.Equal("--set", Assert.Throws<InputProblemException>(() => DesignEdit.Parse("depth", hard: false, spec, Support.Reader, "--set")).Field);
    }

    private static void Same(DesignSpec was, DesignSpec now, object after) =>
        Assert.True(DesignFile.State(was) == DesignFile.State(now), $"{after}:\n{DesignFile.State(was)}\n{DesignFile.State(now)}");
}
