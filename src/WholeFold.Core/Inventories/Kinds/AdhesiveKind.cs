using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>An adhesive as it is written down.</summary>
/// <param name="Thickness">What it adds between two plies.</param>
/// <param name="Wet">Whether it can be nudged and must set.</param>
/// <param name="Bonds">Whether structural bonds are made with it unless said otherwise.</param>
public sealed record AdhesiveSpec(string Id, string Name, string Thickness, bool Wet = false, bool Bonds = false);

/// <summary>What holds layers and pieces.</summary>
public sealed class AdhesiveKind : Kind<Adhesive, AdhesiveSpec>
{
    public override string Id => "adhesives";

    public override string Name => "Adhesives";

    public override string One => "adhesive";

    public override string Meaning => "what holds layers and pieces";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Tacky glue"),
        new("thickness", "thickness", "length", "0.1 mm"),
        new("wet", "can be nudged, must set", "yes", "", Optional: true),
    ];

    protected override string Example => """{"id": "foam-3", "name": "3 mm foam", "thickness": "3 mm"}""";

    protected override Adhesive Read(AdhesiveSpec written, string place)
    {
        const string accepted = "0 to 6 mm";
        var thickness = LengthReader.Read(written.Thickness, DisplayUnit.Millimetre, $"{place}.thickness", accepted);
        return thickness <= Length.Mm(6) ? new Adhesive(IdOf(written.Id, place), NameOf(written.Name, place, "Tacky glue"), thickness, written.Wet) { Bonds = written.Bonds }
            : throw new InputProblemException("own.range", $"{place}.thickness", $"{written.Thickness} is no adhesive", accepted);
    }

    protected override string Describe(Adhesive thing) => thing.Wet ? "can be nudged, must set" : "holds at once";
}
