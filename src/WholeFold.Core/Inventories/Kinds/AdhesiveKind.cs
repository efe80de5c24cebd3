using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>An adhesive as it is written down.</summary>
/// <param name="Thickness">What it adds between two plies.</param>
/// <param name="Wet">Whether it can be nudged and must set.</param>
/// <param name="Bonds">Whether structural bonds are made with it unless said otherwise.</param>
/// <param name="Minutes">How long it sets before it may be flexed; a wet one five minutes where it is not said, others not at all.</param>
/// <param name="Solvent">Whether the room is to be aired while it is used.</param>
public sealed record AdhesiveSpec(string Id, string Name, string Thickness, bool Wet = false, bool Bonds = false, int? Minutes = null, bool Solvent = false);

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
        new("minutes", "minutes until it may be flexed", "number", "5", Optional: true),
        new("solvent", "the room is aired while it is used", "yes", "", Optional: true),
    ];

    protected override string Example => """{"id": "foam-3", "name": "3 mm foam", "thickness": "3 mm"}""";

    protected override Adhesive Read(AdhesiveSpec written, string place)
    {
        const string accepted = "0 to 6 mm";
        var thickness = LengthReader.Read(written.Thickness, DisplayUnit.Millimetre, $"{place}.thickness", accepted);
        if (written.Minutes is < 0 or > LongestSet)
        {
            throw new InputProblemException("own.range", $"{place}.minutes", $"{written.Minutes} minutes is no time to set", $"0 to {LongestSet} minutes");
        }

        return thickness <= Length.Mm(6) ? new Adhesive(IdOf(written.Id, place), NameOf(written.Name, place, "Tacky glue"), thickness,
            written.Wet) { Bonds = written.Bonds, Sets = 60 * (written.Minutes ?? (written.Wet ? UsualSet : 0)), Solvent = written.Solvent }
            : throw new InputProblemException("own.range", $"{place}.thickness", $"{written.Thickness} is no adhesive", accepted);
    }

    /// <summary>In minutes: of a wet glue where nobody has said, and the longest there is.</summary>
    private const int UsualSet = 5, LongestSet = 24 * 60;

    protected override string Describe(Adhesive thing) => $"{(thing.Wet ? "can be nudged, must set" : thing.Sets > 0 ? "must set" : "holds at once")}{(thing.Sets > 0 ? $", {thing.Sets / 60} min" : "")}";
}
