using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>Something with two sides, as it is written down: texts as people write them, in <paramref name="Units"/> where bare.</summary>
/// <param name="Units">in, cm or mm: the system it is made in.</param>
public record SizeSpec(string Id, string Name, string Width, string Height, string Units = "in");

/// <summary>A sheet as it is written down.</summary>
/// <param name="Usual">It is reckoned with where nobody said which sheets are there.</param>
public sealed record SheetSpec(string Id, string Name, string Width, string Height, string Units = "in", bool Usual = true) : SizeSpec(Id, Name, Width, Height, Units);

/// <summary>What is known by its two sides.</summary>
public abstract class SizeKind<T, TWritten>(Length least, Length greatest) : Kind<T, TWritten> where T : class, IThing where TWritten : SizeSpec
{
    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Bench square"),
        new("units", "units", "option", "in", Options: ["in", "cm", "mm"]),
        new("width", "width", "length", "5 1/2"),
        new("height", "height", "length", "7"),
    ];

    protected override string Example => """{"id": "bench-square", "name": "Bench square", "width": "5 3/4", "height": "5 3/4", "units": "in"}""";

    protected abstract T Of(TWritten written, string id, string name, Length width, Length height, UnitSystem system);

    protected abstract (Length Width, Length Height, UnitSystem System) SidesOf(T thing);

    protected sealed override T Read(TWritten written, string place)
    {
        var unit = UnitReader.Read(written.Units, $"{place}.units");
        Length Side(string text, string field)
        {
            var accepted = $"{LengthWriter.WithUnit(least, unit)} to {LengthWriter.WithUnit(greatest, unit)}";
            var side = LengthReader.Read(text, unit, $"{place}.{field}", accepted);
            return side >= least && side <= greatest ? side : throw new InputProblemException("own.range", $"{place}.{field}", $"{text} is out of range", accepted);
        }

        return Of(written, IdOf(written.Id, place), NameOf(written.Name, place, "Bench square"), Side(written.Width, "width"), Side(written.Height, "height"),
            unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric);
    }

    protected override string Describe(T thing)
    {
        var (width, height, system) = SidesOf(thing);
        var unit = system == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        return $"{LengthWriter.Write(width, unit)} × {LengthWriter.WithUnit(height, unit)}";
    }
}

/// <summary>Finished sizes; a size typed by hand may be saved as one.</summary>
public sealed class FormatKind() : SizeKind<Format, SizeSpec>(Format.Least, Format.Greatest)
{
    public override string Id => "formats";

    public override string Name => "Formats";

    public override string One => "format";

    public override string Meaning => "finished sizes, closed and flat";

    protected override Format Of(SizeSpec written, string id, string name, Length width, Length height, UnitSystem system) => new(id, name, width, height, system);

    protected override (Length, Length, UnitSystem) SidesOf(Format thing) => (thing.Width, thing.Height, thing.System);
}

/// <summary>The first of a system is its everyday one; a piece that does not come out of it "wants a larger sheet".</summary>
public sealed class SheetKind() : SizeKind<Sheet, SheetSpec>(Length.In(2), Length.In(40))
{
    public override string Id => "sheets";

    public override string Name => "Sheets";

    public override string One => "sheet";

    public override string Meaning => "what card and paper are sold as";

    protected override Sheet Of(SheetSpec written, string id, string name, Length width, Length height, UnitSystem system) => new(id, name, width, height, system, written.Usual);

    protected override (Length, Length, UnitSystem) SidesOf(Sheet thing) => (thing.Width, thing.Height, thing.System);
}

/// <summary>Envelopes sold by name.</summary>
public sealed class EnvelopeKind() : SizeKind<Envelope, SizeSpec>(Length.In(2), Length.In(20))
{
    public override string Id => "envelopes";

    public override string Name => "Envelopes";

    public override string One => "envelope";

    public override string Meaning => "by their inside";

    protected override Envelope Of(SizeSpec written, string id, string name, Length width, Length height, UnitSystem system) => new(id, name, width, height, system);

    protected override (Length, Length, UnitSystem) SidesOf(Envelope thing) => (thing.Width, thing.Height, thing.System);
}
