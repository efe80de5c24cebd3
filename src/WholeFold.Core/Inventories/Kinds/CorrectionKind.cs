using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>A correction as it is written down.</summary>
/// <param name="Allowance">Which allowance: tube, doors, nested, creep, wrappedStack, boxDepth, sleeve, slit or lightCard.</param>
/// <param name="By">How much of it; <paramref name="Less"/> where it is less and not more.</param>
public sealed record CorrectionSpec(string Id, string Name, string Allowance, string By, bool Less = false, string? Stock = null);

/// <summary>What making cards has taught: so much more of an allowance, or less.</summary>
public sealed class CorrectionKind : Kind<Correction, CorrectionSpec>
{
    private static readonly Length Most = Length.Mm(3);

    public override string Id => "corrections";

    public override string Name => "Corrections";

    public override string One => "correction";

    public override string Meaning => "what making cards has taught about allowances";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Tubes of Harbour 300"),
        new("allowance", "allowance", "option", "tube", Options: OptionsOf<AllowanceKind>()),
        new("by", "by", "length", "0.25 mm"),
        new("less", "less, not more", "yes", "", Optional: true),
        new("stock", "for the stock", "text", "card-300", Optional: true, Of: "stocks"),
    ];

    protected override string Example => """{"id": "harbour-tubes", "name": "Tubes of Harbour 300", "allowance": "tube", "by": "0.25 mm", "stock": "card-300"}""";

    protected override Correction Read(CorrectionSpec written, string place)
    {
        const string accepted = "0 to 3 mm";
        var by = LengthReader.Read(written.By, DisplayUnit.Millimetre, $"{place}.by", accepted);
        return by <= Most
            ? new Correction(IdOf(written.Id, place), NameOf(written.Name, place, "Tubes of Harbour 300"), OneOf<AllowanceKind>(written.Allowance, "correction.allowance", $"{place}.allowance"), written.Stock, written.Less ? -by : by)
            : throw new InputProblemException("own.range", $"{place}.by", $"{written.By} is more than any allowance", accepted);
    }

    protected override string Describe(Correction thing) => $"{LengthWriter.WithUnit(thing.By.Abs(), DisplayUnit.Millimetre)} {(thing.By < Length.Zero ? "less" : "more")}";
}
