using System.ComponentModel.DataAnnotations;
using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Designs;

/// <summary>Makes a size the home of the design, as it was worked out that its card does not change by it.</summary>
/// <param name="Set">What is set there from now on, in place of what was set at the old home.</param>
/// <param name="There">What is set for the old home, so that its card stays what it was.</param>
public sealed record MakeHome([property: MaxLength(60)] string Format, bool Turn, [property: MaxLength(60)] IReadOnlyDictionary<string,
    WrittenFigure> Set,
    [property: MaxLength(60)] IReadOnlyDictionary<string, WrittenFigure> There) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        var read = reader.Read(design).Design;
        var next = design with { Format = Format, Turn = Turn, Target = null, TargetTurn = false };
        var (old, now) = (read.Home.Key, reader.Read(next with { Adjustments = new Dictionary<string, IReadOnlyDictionary<string,
            WrittenFigure>>() }).Design.Home.Key);
        var adjusted = design.Adjustments.Where(a => reader.KeyAsTyped(a.Key) is var key && key != now && key != old).ToDictionary();
        if (There.Count > 0)
        {
            adjusted[old] = There;
        }

        return next with
        {
            Set = design.Set.Where(s => read.Family.Choices.Any(c => c.Id == s.Key)).Concat(Set).ToDictionary(),
            Adjustments = adjusted,
        };
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        return Words.Of($"{reader.NameOf(Format)} made the home size");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => new Replace(before);
}

/// <summary>The finished size of a design that nothing was done to yet: its home, and no conversion.</summary>
public sealed record BeginIn([property: MaxLength(60)] string Format, bool Turn = false) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        return design is { Set.Count: 0, Adjustments.Count: 0, Dressing: null, Blank: null, Target: null }
            ? design with { Format = reader.FormatAsTyped(Format, design), Turn = Turn }
            : throw new InputProblemException("edit.begin", "format", "figures or things on it were chosen for its home size already", "convert to the size, then make it the home size");
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        return Words.Of($"begun in {reader.NameOf(reader.FormatAsTyped(Format, before))}");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        return new BeginIn(before.Format, before.Turn);
    }
}

/// <summary>Sets a parameter by hand.</summary>
/// <param name="For">home, or the key of a format; the one that the design is being made in where null.</param>
/// <param name="Tools">The tools it was set with; those in use for that format where null.</param>
public sealed record SetFigure(string Parameter, [property: MaxLength(60)] string Value, string? For = null, string? Tools = null) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        WithFigures(design, For ?? KeyOf(design, reader), figures => figures[Parameter] = new WrittenFigure(Value, Tools ?? reader.ToolsInUse(design, For)));

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{NameOf(before, reader, Parameter)} to {Value}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        var key = For ?? KeyOf(before, reader);
        return FigureOf(before, key, Parameter) is not { } had ? new FreeFigure(Parameter, key)
            : had.Tools is null ? new Replace(before)
            : new SetFigure(Parameter, had.Value, key, had.Tools);
    }
}

/// <summary>Makes a parameter hard everywhere: what is physically given, or is to be kept exactly.</summary>
public sealed record LockFigure(string Parameter, [property: MaxLength(60)] string Value) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) => design with { Lock = With(design.Lock, Parameter, Value) };

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{NameOf(before, reader, Parameter)} locked at {Value}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) =>
        before.Lock.TryGetValue(Parameter, out var had) ? new LockFigure(Parameter, had) : new FreeFigure(Parameter, FreeFigure.Lock);
}

/// <summary>Lets a parameter go back to its rule: where the design is being made and at home, or only where it says.</summary>
/// <param name="For">home, the key of a format, or lock for its lock only; null for all that holds it here.</param>
public sealed record FreeFigure(string Parameter, string? For = null) : DesignEdit
{
    /// <summary>Stands for the lock of a parameter.</summary>
    public const string Lock = "lock";

    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        foreach (var key in For is { } one ? [one] : new[] { KeyOf(design, reader), Home, Lock })
        {
            design = key == Lock ? design with { Lock = With(design.Lock, Parameter, null) } : WithFigures(design, key, figures => figures.Remove(Parameter));
        }

        return design;
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var words = Words.Of($"let the {NameOf(before, reader, Parameter)} go");
        var had = before.Lock.GetValueOrDefault(Parameter) ?? (FigureOf(before, KeyOf(before, reader), Parameter) ?? FigureOf(before, Home, Parameter))?.Value;
        return had is not null && LengthReader.TryRead(had, reader.UnitOf(before), out var value, out _) ? words.Add($", {(before.Lock.ContainsKey(Parameter) ? Words.Of($"locked at {value}") : Words.Of($"set to {value} by hand"))}") : words;
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        if (For == Lock)
        {
            return before.Lock.TryGetValue(Parameter, out var locked) ? new LockFigure(Parameter, locked) : this;
        }

        // What was set in one place goes back there; what held it in several is put back whole.
        return For is { } key && FigureOf(before, key, Parameter) is { Tools: not null } had ? new SetFigure(Parameter, had.Value, key, had.Tools)
            : For is not null && FigureOf(before, For, Parameter) is null ? this
            : new Replace(before);
    }
}

/// <summary>Another option of a choice, in every format.</summary>
public sealed record Choose(string Choice, string Option) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) => WithFigures(design, Home, figures => figures[Choice] = Option);

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var choice = reader.Find(before)?.Choices.FirstOrDefault(c => c.Id == Choice);
        var was = FigureOf(before, Home, Choice)?.Value ?? choice?.Default;
        return was is null ? Words.Of($"{Choice}: {Option}") : Words.Of($"{choice?.Name ?? Choice}: {Option} instead of {was}");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) =>
        FigureOf(before, Home, Choice) is not { } had ? new FreeFigure(Choice, Home) : had.Tools is null ? new Choose(Choice, had.Value) : new SetFigure(Choice, had.Value, Home, had.Tools);
}
