using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>A die as it is written down.</summary>
/// <param name="Family">The set that it nests in.</param>
/// <param name="Shape">rectangle, circle or oval.</param>
/// <param name="Height">As its width unless said.</param>
/// <param name="Outer">How much further its rim reaches on each side.</param>
/// <param name="Owned">False for one that is known of and not there.</param>
public sealed record DieSpec(string Id, string Name, string Width, string? Height = null, string Units = "in", string Shape = "rectangle", string? Family = null, string? Outer = null, bool Owned = true);

/// <summary>Dies, by the opening that they cut.</summary>
public sealed class DieKind : Kind<Die, DieSpec>
{
    public override string Id => "dies";

    public override string Name => "Dies";

    public override string One => "die";

    public override string Meaning => "by the opening they cut";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Third ring"),
        new("units", "units", "option", "in", Options: ["in", "cm", "mm"]),
        new("shape", "shape", "option", "circle", Options: OptionsOf<DieShape>()),
        new("width", "cuts, wide", "length", "2 1/2"),
        new("height", "cuts, high", "length", "2 1/2", Optional: true),
        new("outer", "rim beyond it", "length", "1/16", Optional: true),
        new("family", "nests in the set", "text", "rings", Optional: true),
        new("owned", "it is there", "yes", "", Optional: true),
    ];

    protected override string Example => """{"id": "ring-3", "name": "Third ring", "shape": "circle", "width": "2 1/2"}""";

    protected override Die Read(DieSpec written, string place)
    {
        var unit = UnitReader.Read(written.Units, $"{place}.units");
        Length Side(string text, string field, Length least, Length most)
        {
            var accepted = $"{LengthWriter.WithUnit(least, unit)} to {LengthWriter.WithUnit(most, unit)}";
            var side = LengthReader.Read(text, unit, $"{place}.{field}", accepted);
            return side >= least && side <= most ? side : throw new InputProblemException("own.range", $"{place}.{field}", $"{text} is out of range", accepted);
        }

        var width = Side(written.Width, "width", Length.In(1, 8), Length.In(12));
        return new Die(
            IdOf(written.Id, place), NameOf(written.Name, place, "Third ring"), written.Family,
            OneOf<DieShape>(written.Shape, "die.shape", $"{place}.shape"),
            width, written.Height is null ? width : Side(written.Height, "height", Length.In(1, 8), Length.In(12)),
            written.Outer is null ? Length.Zero : Side(written.Outer, "outer", Length.Zero, Length.In(1)))
        {
            IsOwned = written.Owned,
        };
    }

    protected override string Describe(Die thing)
    {
        var unit = thing.Width.IsOn(Length.In(1, 16)) ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        return thing.Shape == DieShape.Circle ? $"round, {LengthWriter.WithUnit(thing.Width, unit)}" : $"{(thing.Shape == DieShape.Oval ? "oval, " : "")}{LengthWriter.Write(thing.Width, unit)} × {LengthWriter.WithUnit(thing.Height, unit)}";
    }
}
