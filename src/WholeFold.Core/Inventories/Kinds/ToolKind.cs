using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>A tool set as it is written down. Lengths are texts as people write them, in <see cref="Units"/> where bare.</summary>
/// <remarks>
/// Several marks that are all there stand in a list, <c>1/8 in; 5 mm</c>. Marks of which those of the format's system count
/// stand as a pair, <c>1/16 in / 1 mm</c>; the set's units are then <c>format</c>.
/// </remarks>
public sealed record ToolSpec
{
    public required string Id { get; init; }

    public string Name { get; init; } = "";

    /// <summary>in, cm or mm: the system of its marks; format where it follows the format's.</summary>
    public string Units { get; init; } = "in";

    /// <summary>Distance from groove to groove; none where there is no board.</summary>
    public string? Groove { get; init; }

    /// <summary>Where the first groove is; a groove's distance unless said.</summary>
    public string? FirstGroove { get; init; }

    /// <summary>How far the board reaches.</summary>
    public string? BoardLength { get; init; }

    /// <summary>The trimmer's finest mark.</summary>
    public string TrimmerMark { get; init; } = "";

    /// <summary>The longest line that the trimmer cuts.</summary>
    public string? LongestCut { get; init; }

    /// <summary>The narrowest part that the trimmer holds while it cuts: 1/2 in / 12 mm unless said.</summary>
    public string? Hold { get; init; }

    /// <summary>How thick a pile the trimmer cuts in one go: 1 mm unless said.</summary>
    public string? Stack { get; init; }

    /// <summary>Whether it has a scoring blade.</summary>
    public bool TrimmerScores { get; init; }

    /// <summary>The ruler's finest mark; none where scores are only set on grooves.</summary>
    public string? RulerMark { get; init; }

    /// <summary>Whether it is a machine, which sets any figure and needs no marks.</summary>
    public bool Machine { get; init; }
}

/// <summary>Boards, trimmers and rulers, or a machine: what can be set.</summary>
public sealed class ToolKind : Kind<ToolKit, ToolSpec>
{
    /// <summary>The finest step that a person can see, and the coarsest that still makes cards.</summary>
    private static readonly Pair Finest = Pair.Of(1, 32, 0.5m), Coarsest = Pair.Of(1, 2, 10m);

    public override string Id => "tools";

    public override string Name => "Tools";

    public override string One => "tool set";

    public override string Meaning => "what you can set: a board, a trimmer, a ruler";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Small board by the window"),
        new("units", "units", "option", "in", Options: ["in", "cm", "mm"]),
        new("groove", "groove to groove", "length", "1/8", Optional: true),
        new("firstGroove", "first groove", "length", "1/8", Optional: true),
        new("boardLength", "board reaches to", "length", "12", Optional: true),
        new("trimmerMark", "trimmer’s finest mark", "length", "1/16"),
        new("longestCut", "trimmer cuts up to", "length", "12", Optional: true),
        new("hold", "trimmer holds parts down to", "length", "1/2", Optional: true),
        new("stack", "trimmer cuts piles up to", "length", "1 mm", Optional: true),
        new("rulerMark", "ruler’s finest mark", "length", "1/32", Optional: true),
        new("trimmerScores", "the trimmer has a scoring blade", "yes", "", Optional: true),
    ];

    protected override string Example => """{"id": "window-board", "name": "Window board", "groove": "1/8", "boardLength": "12", "trimmerMark": "1/16", "rulerMark": "1/32"}""";

    protected override ToolKit Read(ToolSpec written, string place)
    {
        var (id, name) = (IdOf(written.Id, place), NameOf(written.Name, place, "Small board by the window"));
        var reader = new Reader(written, place);
        return new ToolKit(id, name, reader.For(UnitSystem.Imperial) with { Id = id, Name = name }, reader.For(UnitSystem.Metric) with { Id = id, Name = name });
    }

    protected override string Describe(ToolKit thing)
    {
        if (thing.Imperial.Exact)
        {
            return "any figure, exactly";
        }

        static string Marks(ToolSet tools, IReadOnlyList<Length> marks) => string.Join(" and ", marks.Select(m => LengthWriter.WithUnit(m, UnitOf(tools, m))));
        var tools = thing.Imperial;
        var board = tools.HasBoard ? $"grooves {Marks(tools, [.. tools.GrooveRows.Select(c => c.Step)])} to {LengthWriter.WithUnit(tools.BoardEnd, UnitOf(tools, tools.GrooveRows[0].Step))}" : "no board";
        var ruler = tools.RulerMarks.Count > 0 ? $", ruler {Marks(tools, tools.RulerMarks)}" : "";
        return $"{board}, trimmer {Marks(tools, tools.CutMarks)}{ruler}{(tools.TrimmerScores ? ", scores on the trimmer" : "")}";
    }

    private static DisplayUnit UnitOf(ToolSet tools, Length mark) => tools.CutMarks.Count > 1 || tools.RulerMarks.Count > 1
        ? Length.In(1).IsOn(mark) ? DisplayUnit.Inch : DisplayUnit.Millimetre
        : tools.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;

    private sealed class Reader(ToolSpec written, string place)
    {
        private readonly bool _follows = written.Units == "format";
        private readonly DisplayUnit _unit = written.Units == "format" ? DisplayUnit.Inch : UnitReader.Read(written.Units, $"{place}.units");

        public ToolSet For(UnitSystem format)
        {
            var system = _follows ? format : _unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric;
            if (written.Machine)
            {
                return new ToolSet { Id = "", Name = "", System = system, CutMarks = [new Length(1)], RulerMarks = [new Length(1)], Exact = true };
            }

            var (least, most) = _follows ? (Finest.Metric, Coarsest.Imperial) : (Finest.For(system), Coarsest.For(system));
            var grooves = Read(written.Groove, "groove", least, most, system);
            var first = Read(written.FirstGroove, "firstGroove", new Length(1), Length.In(2), system);
            var trimmer = Read(written.TrimmerMark, "trimmerMark", least, most, system);
            var ruler = Read(written.RulerMark, "rulerMark", least, most, system);
            if (grooves.Count == 0 && ruler.Count == 0 && !written.TrimmerScores)
            {
                throw new InputProblemException("tools.noScores", $"{place}.groove", "nothing in this set can score", "a groove such as 1/8, a ruler's mark such as 1/32, or a trimmer that scores");
            }

            // Figures are laid out on half the ruler's mark, so a mark must be a whole number of units halved.
            foreach (var (mark, field) in ruler.Select(m => (m, "rulerMark")).Concat(trimmer.Select(m => (m, "trimmerMark"))))
            {
                if (mark.Units % 2 != 0)
                {
                    throw new InputProblemException("tools.range", $"{place}.{field}", "that mark cannot be halved", "a mark such as 1/32 in or 0.5 mm");
                }
            }

            return new ToolSet
            {
                Id = "",
                Name = "",
                System = system,
                GrooveRows = [.. grooves.Select((step, i) => new GrooveRow(step, i < first.Count ? first[i] : step))],
                BoardEnd = grooves.Count == 0 ? Length.Zero : One(written.BoardLength, "boardLength", system),
                CutMarks = trimmer,
                LongestCut = written.LongestCut is null ? null : One(written.LongestCut, "longestCut", system),
                Hold = written.Hold is null ? Length.Zero : Within(written.Hold, "hold", Length.Mm(3), Length.In(4)),
                Stack = written.Stack is null ? Length.Mm(1) : Within(written.Stack, "stack", Length.Mm(0.1m), Length.Mm(5)),
                TrimmerScores = written.TrimmerScores,
                RulerMarks = ruler,
            };
        }

        private Length One(string? text, string field, UnitSystem system) => Read(text ?? "", field, Length.In(4), Length.In(40), system)[0];

        private Length Within(string text, string field, Length least, Length most)
        {
            static string Mm(Length length) => LengthWriter.WithUnit(length, DisplayUnit.Millimetre);
            var accepted = $"{Mm(least)} to {Mm(most)}";
            var value = LengthReader.Read(text, _unit, $"{place}.{field}", accepted);
            return value >= least && value <= most ? value
                : throw new InputProblemException("tools.range", $"{place}.{field}", $"{text.Trim()} is no use for that", accepted);
        }

        /// <summary>The marks of a member: of a pair the one of the system, of a list all.</summary>
        private List<Length> Read(string? text, string field, Length least, Length most, UnitSystem system)
        {
            if (text is null)
            {
                return [];
            }

            var accepted = $"{LengthWriter.WithUnit(least, _unit)} to {LengthWriter.WithUnit(most, _unit)}";
            var own = _follows && text.Split(" / ") is [var imperial, var metric] ? system == UnitSystem.Imperial ? imperial : metric : text;
            return [.. own.Split(';').Select(mark =>
            {
                var value = LengthReader.Read(mark, _unit, $"{place}.{field}", accepted);
                return value >= least && value <= most ? value : throw new InputProblemException("tools.range", $"{place}.{field}", $"{mark.Trim()} is no use for that", accepted);
            })];
        }
    }
}
