using System.Text;
using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Maker;

/// <summary>Whoever has only our words makes the card: what the maker made by them is the card.</summary>
public class MakerTests
{
    private static (byte[] Guide, string Unit) HandedOut(Card card)
    {
        var unit = card.Figures.Tools.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre;
        return (Encoding.UTF8.GetBytes(SizedJson.Write(card, unit)), LengthWriter.Symbol(unit));
    }

    public static TheoryData<string, string> Tools => new() { { "imperial-eighths", "assemble" }, { "metric-5mm", "decorate" } };

    [Theory]
    [MemberData(nameof(Tools))]
    public void Of_every_construction_the_card_is_made_by_its_guide(string tools, string order)
    {
        var (made, failed) = (0, new List<string>());
        foreach (var spec in Support.Grid(tools).Stride(13, whole: 3))
        {
            if (Support.Try(spec with { Order = order }) is not { } card || card.Figures.Blank is not null
                || BondOrder.Of(card.Figures) is null)
            {
                continue;
            }

            made++;
            failed.AddRange(Missing(card).Take(2).Select(m => $"{spec.Named()}: {m}"));
        }

        Assert.True(made > 30 && failed.Count == 0, $"{failed.Count} of {made}\n{Listed(failed)}");
    }

    private static string Listed(IEnumerable<string> failed) => string.Join('\n', failed.Take(40));

    /// <summary>Something of every kind on every construction: stamped, glued on, raised, and a window.</summary>
    [Theory]
    [MemberData(nameof(Tools))]
    public void Dressed_too_it_is_made_by_its_guide(string tools, string order)
    {
        var (made, things, failed) = (0, 0, new List<string>());
        foreach (var spec in Support.Grid(tools).Stride(23, whole: 3))
        {
            if (Support.Try(spec with { Order = order }) is not { } bare || bare.Figures.Blank is not null
                || BondOrder.Of(bare.Figures) is null
                || Support.Try(Worn.On(spec with { Order = order }, bare)) is not { } card)
            {
                continue;
            }

            made++;
            things += card.Dressed.Elements.Count(e => e.On.Count > 0) + card.Dressed.Windows.Count(w => w.On.Count > 0);
            failed.AddRange(Missing(card).Take(2).Select(m => $"{spec.Named()}: {m}"));
        }

        Assert.True(made > 20 && things > 3 * made && failed.Count == 0, $"{failed.Count} of {made}, {things}\n{Listed(failed)}");
    }

    /// <summary>The plain text says it all as well, to whoever reads in either system.</summary>
    [Fact]
    public void By_the_plain_text_each_construction_is_made_once()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "6x6" };
            var own = Support.Size(Worn.On(spec, Support.Size(spec)));
            foreach (var unit in new[] { DisplayUnit.Inch, DisplayUnit.Centimetre })
            {
                var card = own.For(unit);
                var text = string.Join('\n', GuideText.Of(card, Steps.Of(card), unit));
                var made = GuideMaker.MakeFrom(text, LengthWriter.Symbol(unit));
                Assert.Equal([], AsTheCard.Differs(card, made).Select(m => $"{family.Id}, {unit}: {m}"));
            }
        }
    }

    /// <summary>One figure, edge, side, way or step otherwise, each by itself, in good hand-outs: the maker notices.</summary>
    [Fact]
    public void What_is_wrong_in_the_words_is_noticed()
    {
        var (tried, noticed, missed) = (new Dictionary<string, int>(), new Dictionary<string, int>(), new List<string>());
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "6x6" };
            if (Support.Try(spec) is not { } bare || Support.Try(Worn.On(spec, bare)) is not { } card || Missing(card).Count > 0)
            {
                continue;
            }

            var (guide, unit) = HandedOut(card);
            foreach (var (kind, changed, how) in Spoilt.Of(guide).Stride(9))
            {
                // Scored from the other edge, what is symmetrical is the same card.
                if (IsTheSame(guide, changed, unit))
                {
                    continue;
                }

                tried[kind] = tried.GetValueOrDefault(kind) + 1;
                if (IsNoticed(card, changed, unit))
                {
                    noticed[kind] = noticed.GetValueOrDefault(kind) + 1;
                }
                else
                {
                    missed.Add($"{family.Id} {kind}: {how}");
                }
            }
        }

        var told = string.Join(", ", tried.Select(t => $"{t.Key} {noticed.GetValueOrDefault(t.Key)} of {t.Value}"));
        TestContext.Current.SendDiagnosticMessage("noticed by the maker: {0}", told);
        Assert.True(tried.Values.Sum() > 250 && noticed.Values.Sum() >= 0.95 * tried.Values.Sum()
            && tried.All(t => noticed.GetValueOrDefault(t.Key) >= 0.9 * t.Value), $"{told}\n{string.Join('\n', missed.Take(40))}");
    }

    private static bool IsTheSame(byte[] guide, byte[] changed, string unit)
    {
        try
        {
            static string Line(MadeLine l) => $"{l.FromX:0.0} {l.FromY:0.0} {l.ToX:0.0} {l.ToY:0.0} {l.Valley}";
            static string Sheet(MadeSheet s) =>
                $"{s.Called} {s.Width} {s.Height} {string.Join(';', s.Scores.Concat(s.Cuts).Select(Line).Order())} {string.Join(';', s.Panels)}";
            static string Of(MadeCard made) => string.Join('\n', made.Sheets.Select(Sheet)) + JsonSerializer.Serialize(made.Papers)
                + string.Join('\n', made.Things.Select(t => $"{t} {string.Join(';', t.From)}"))
                + string.Join('\n', made.Bonds.Select(t => $"{t.Part} {t.On} {string.Join(';', t.From)}"));
            return Of(GuideMaker.Make(guide, unit)) == Of(GuideMaker.Make(changed, unit));
        }
        catch (NotEnoughException)
        {
            return false;
        }
    }

    private static bool IsNoticed(Card card, byte[] guide, string unit)
    {
        try
        {
            return AsTheCard.Differs(card, GuideMaker.Make(guide, unit)).Any();
        }
        catch (NotEnoughException)
        {
            return true;
        }
    }

    /// <summary>What is not as the card has it.</summary>
    private static List<string> Missing(Card card)
    {
        var (guide, unit) = HandedOut(card);
        try
        {
            return [.. AsTheCard.Differs(card, GuideMaker.Make(guide, unit))];
        }
        catch (NotEnoughException e)
        {
            return [e.Message];
        }
    }
}
