using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Checks;

/// <summary>
/// Two lists that anybody may add to: <c>sound.json</c>, designs in which nothing above a note is found, and <c>mistakes.json</c>,
/// each a sound design, one edit that spoils it, and the check that has to find it by name.
/// </summary>
public class KnownMistakes
{
    private sealed record Mistake(string Name, string Caught, DesignSpec Design, DesignEdit Edit);

    internal static readonly IReadOnlyList<DesignSpec> Sound = [.. Read("sound.json").Select(d => DesignFile.Read(d, "sound.json"))];

    private static readonly IReadOnlyList<Mistake> Mistakes = [.. Read("mistakes.json").Select(m => new Mistake(
        m.GetProperty("name").GetString()!, m.GetProperty("caught").GetString()!, DesignFile.Read(m.GetProperty("design"), "mistakes.json"), StrictJson.Read<DesignEdit>(m.GetProperty("edit"), "mistakes.json", "edit", DesignEdit.Accepted)))];

    /// <summary>The spoilt designs.</summary>
    internal static IEnumerable<DesignSpec> Spoilt => Mistakes.Select(m => m.Edit.Apply(m.Design, Support.Reader));

    private static IEnumerable<JsonElement> Read(string file)
    {
        using var json = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Checks", file)));
        return [.. json.RootElement.EnumerateArray().Select(e => e.Clone())];
    }

    private static IEnumerable<Check> Grave(Card card) => card.Checks.Where(c => c.Severity > Severity.Note);

    private static string Told(IEnumerable<Check> checks) => string.Join("; ", checks.Select(c => $"{c.Id}: {c.Text.Write(DisplayUnit.Millimetre)}"));

    [Fact]
    public void There_are_at_least_sixty_of_each_and_every_construction_has_two_to_five_mistakes()
    {
        Assert.True(Sound.Count >= 60 && Mistakes.Count >= 60, $"{Sound.Count} sound, {Mistakes.Count} mistakes");
        foreach (var family in Support.Reader.Catalogue.All)
        {
            Assert.Contains(Sound, s => s.Construction == family.Id);
            Assert.InRange(Mistakes.Count(m => m.Design.Construction == family.Id), 2, 5);
        }
    }

    [Fact]
    public void Nothing_above_a_note_is_found_in_a_sound_design_at_home()
    {
        foreach (var spec in Sound)
        {
            var found = Grave(Support.Size(spec)).ToList();
            Assert.True(found.Count == 0, $"{spec.Construction} {spec.Format}: {Told(found)}");
        }
    }

    /// <summary>What keeps its size goes wherever the card is no smaller; in a smaller one it may be too large, or come to lie over something. Nothing else of a dressing is to be found.</summary>
    [Fact]
    public void In_every_format_that_suits_the_bare_card_its_dressing_is_sound_too()
    {
        string[] ofSize = ["element-too-large-for-its-face", "sticks-out-when-closed", "taller-than-its-envelope-when-packed", "bonded-across-a-working-crease", "adhesive-exposed-when-shut", "stamped-where-there-is-no-card", "lies-under-what-is-bonded", "no-place-left-to-write"];
        var looked = 0;
        foreach (var spec in Sound)
        {
            var read = Support.Reader.Read(spec);
            foreach (var format in Inventory.Shipped.Formats.Stride(3))
            {
                var target = Target.Beside(read.Design.Home, format, turned: false);
                if (Attempt.Of(read.Design, target).Card is not { } card || Attempt.Of(read.Design with { Dressing = Core.Designs.Dressing.None }, target).Card is not { } bare || Grave(bare).Any())
                {
                    continue;
                }

                looked++;
                var smaller = target.Width < read.Design.Home.Width || target.Height < read.Design.Home.Height;
                var found = Grave(card).Where(c => !smaller || !ofSize.Contains(c.Id)).ToList();
                Assert.True(found.Count == 0, $"{spec.Construction} from {spec.Format} in {format.Id}: {Told(found)}");
            }
        }

        Assert.True(looked > Day.AtLeast(400, 3), $"{looked}");
    }

    [Fact]
    public void Each_mistake_is_one_edit_from_a_sound_design_and_is_caught_by_name_in_words_with_a_place()
    {
        foreach (var mistake in Mistakes)
        {
            var sound = Support.Size(mistake.Design);
            Assert.True(!Grave(sound).Any(), $"{mistake.Name} is not sound before: {Told(Grave(sound))}");
            var card = Support.Size(mistake.Edit.Apply(mistake.Design, Support.Reader));
            Assert.True(Grave(card).Any(c => c.Id == mistake.Caught), $"{mistake.Name} is not caught; found: {Told(card.Checks)}");
            Assert.All(Grave(card), c => Assert.EndsWith(".", c.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal));
        }
    }

    /// <summary>Into another format and other tools and home again nothing is lost or moved, and on the way every layer, window and element is still there.</summary>
    [Fact]
    public void A_dressed_design_goes_to_other_formats_and_systems_and_back_without_losing_a_thing()
    {
        foreach (var spec in Sound)
        {
            var home = SizedJson.Write(Support.Size(spec), DisplayUnit.Millimetre);
            foreach (var (format, tools) in new[] { ("6x6", "metric-5mm"), ("a5", "imperial-eighths") })
            {
                var away = DesignEdit.Apply([new ConvertTo(format), new Take("tools", tools)], spec, Support.Reader);
                var read = DesignFile.Read(JsonDocument.Parse(DesignFile.State(away)).RootElement, "away.json");
                var back = DesignEdit.Apply([new ConvertTo(null), new Take("tools", spec.Tools)], read, Support.Reader);
                // Figures set by hand say by now with which tools; they mean the same.
                Assert.Equal(DesignFile.State(spec with { Set = back.Set }), DesignFile.State(back));
                Assert.Equal(home, SizedJson.Write(Support.Size(back), DisplayUnit.Millimetre));
                if (Support.Try(away) is { } card)
                {
                    var worn = card.Design.Dressing;
                    Assert.Equal(worn.Windows.Select(w => w.Id), card.Dressed.Windows.Select(w => w.Window.Id));
                    Assert.Equal(worn.Elements.Select(e => e.Id), card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e => e.Element.Id));
                    Assert.Equal(worn.Contours.Count, card.Dressed.Contours.Count);
                }
            }
        }
    }

    /// <summary>A fix is an edit: applied, what it is for is no longer found; taken back, the design is what it was.</summary>
    [Fact]
    public void A_fix_takes_away_what_it_is_for()
    {
        var fixes = 0;
        foreach (var mistake in Mistakes)
        {
            var spoilt = mistake.Edit.Apply(mistake.Design, Support.Reader);
            if (Support.Size(spoilt).Checks.First(c => c.Id == mistake.Caught).Fix is { } fix)
            {
                fixes++;
                var mended = fix.Edit.Apply(spoilt, Support.Reader);
                Assert.DoesNotContain(Grave(Support.Size(mended)), c => c.Id == mistake.Caught);
                Assert.Equal(DesignFile.State(spoilt), DesignFile.State(fix.Edit.Inverse(spoilt, Support.Reader).Apply(mended, Support.Reader)));
            }
        }

        Assert.True(fixes > 30, $"{fixes}");
    }
}
