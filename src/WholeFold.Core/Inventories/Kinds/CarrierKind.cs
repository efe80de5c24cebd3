using System.Globalization;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>What a carrier takes at one price, as it is written down.</summary>
/// <param name="Squarest">The least ratio of the longer side to the shorter one.</param>
public sealed record CarrierSpec(string Id, string Name, string Longest, string Widest, string Shortest, string Thickest, int Grams, decimal? Squarest = null, string Units = "mm");

/// <summary>Carrier profiles in round figures: examples to be checked with one's own carrier.</summary>
public sealed class CarrierKind : Kind<Carrier, CarrierSpec>
{
    public override string Id => "carriers";

    public override string Name => "Carriers";

    public override string One => "carrier profile";

    public override string Meaning => "examples in round figures: check with your carrier";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Letter, example"),
        new("units", "units", "option", "mm", Options: ["in", "cm", "mm"]),
        new("longest", "longer side up to", "length", "240"),
        new("widest", "shorter side up to", "length", "165"),
        new("shortest", "shorter side at least", "length", "90"),
        new("thickest", "thickness up to", "length", "5"),
        new("grams", "weight up to, g", "number", "100"),
    ];

    protected override string Example => """{"id": "letter-example", "name": "Letter, example", "longest": "240", "widest": "165", "shortest": "90", "thickest": "5", "grams": 100}""";

    protected override Carrier Read(CarrierSpec written, string place)
    {
        var unit = UnitReader.Read(written.Units, $"{place}.units");
        Length Side(string text, string field) => LengthReader.Read(text, unit, $"{place}.{field}", null);
        var carrier = new Carrier(
            IdOf(written.Id, place), NameOf(written.Name, place, "Letter, example"),
            Side(written.Longest, "longest"), Side(written.Widest, "widest"), Side(written.Shortest, "shortest"), Side(written.Thickest, "thickest"), written.Grams, written.Squarest);
        if (carrier.Grams is < 1 or > 30_000)
        {
            throw new InputProblemException("own.range", $"{place}.grams", $"{carrier.Grams} g is no letter", "1 to 30000");
        }

        if (carrier.Squarest is < 1 or > 10)
        {
            throw new InputProblemException("own.range", $"{place}.squarest", $"{carrier.Squarest} is no ratio of the longer side to the shorter one", "1 to 10, such as 1.3");
        }

        return carrier.Shortest <= carrier.Widest && carrier.Widest <= carrier.Longest ? carrier
            : throw new InputProblemException("own.range", $"{place}.widest", "the sides are not in order", "the least of the shorter side, its most, and the most of the longer side, each at least the one before");
    }

    protected override string Describe(Carrier thing)
    {
        static string Text(Length length) => LengthWriter.Write(length, DisplayUnit.Millimetre);
        return string.Create(CultureInfo.InvariantCulture, $"up to {Text(thing.Longest)} × {Text(thing.Widest)} × {Text(thing.Thickest)} mm, {thing.Grams} g");
    }
}
