using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Guide;

/// <summary>What a step is part of, in the order of work.</summary>
public enum Phase
{
    Cut,
    Score,

    /// <summary>Windows, slits, stamping: while everything is flat.</summary>
    Flat,

    /// <summary>Papers and flat things that go on before it is folded.</summary>
    DecorateFlat,
    Fold,
    Bond,
    Decorate,

    /// <summary>What stands off its face, last.</summary>
    Raise,
    Finish,
}

/// <summary>One step of making a card.</summary>
/// <param name="Say">What to do, as it is said aloud.</param>
/// <param name="Figures">The ids of the figures in it.</param>
/// <param name="Tool">What it is done with.</param>
/// <param name="Lay">How the piece lies on the board; null where that does not matter.</param>
/// <param name="Face">Which face is up; null where that does not matter.</param>
/// <param name="Bonds">The bonds that are made in it.</param>
/// <param name="Pose">How the card lies while it is done: flat, foldedFlat, closed or standing.</param>
/// <param name="Reach">How a hand gets to it: flat, closing, or opening.</param>
/// <param name="Work">What is done in it and how often, for all the cards: what its time is told by.</param>
/// <param name="Cautions">Where it can hurt, by the ids of <see cref="Steps.Cautions"/>.</param>
public sealed record Step(string Id, Words Say, IReadOnlyList<string> Figures, string Tool, string? Lay, string? Face, IReadOnlyList<string> Bonds, string Pose,
    string? Reach, Work Work, IReadOnlyList<string> Cautions)
{
    public required Phase Phase { get; init; }

    /// <summary>Why it is done so; null where that goes without saying.</summary>
    public Words? Why { get; init; }

    /// <summary>What to look at before one goes on.</summary>
    public Words? LookFor { get; init; }

    /// <summary>What hands know about it; null where nothing is to be said.</summary>
    public string? Tip { get; init; }

    /// <summary>How long it is left alone afterwards, in seconds.</summary>
    public int Holds { get; init; }

    /// <summary>What it is left alone for: the glue sets, the ink dries.</summary>
    public string? HoldsFor { get; init; }

    /// <summary>The places, by id, whose marks are made in it.</summary>
    public IReadOnlyList<string> Marks { get; init; } = [];

    /// <summary>The marks, by id, that are gone after it.</summary>
    public IReadOnlyList<string> Gone { get; init; } = [];

    /// <summary>What it is done to: the pieces by id.</summary>
    public IReadOnlyList<string> Pieces { get; init; } = [];

    /// <summary>The papers, windows and elements by id (<c>layers.front</c>, <c>windows.eye</c>, <c>elements.star</c>) that are new after it.</summary>
    public IReadOnlyList<string> Things { get; init; } = [];

    /// <summary>Whether the card is folded in it, so that glue must have set.</summary>
    public bool Flexes { get; init; }

    /// <summary>What it says in two or three words, where only a title has room.</summary>
    public required string Title { get; init; }
}

/// <summary>Numbers and names as a step says them.</summary>
public static class Saying
{
    private static readonly string[] Numbers = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"];

    public static string Count(int n) => n < Numbers.Length ? Numbers[n] : $"{n}";

    public static string Times(int count) => count switch { 2 => "twice", 3 => "three times", _ => $"{Count(count)} times" };

    /// <summary>"the base", "both pockets", or for several cards "all twelve bases".</summary>
    public static string All(string name, int count) => count == 1 ? Spoken.The(name) : count == 2 ? $"both {Plural(name)}" : $"all {Count(count)} {Plural(name)}";

    public static string Plural(string name)
    {
        var low = $"{char.ToLowerInvariant(name[0])}{name[1..]}";
        return char.IsAsciiDigit(low[^1]) ? $"copies of {low}" : low.EndsWith('s') || low.EndsWith("ch", StringComparison.Ordinal) || low.EndsWith('x') ? $"{low}es" : $"{low}s";
    }

    /// <summary>The first of several titles that is short enough to be read from where one works.</summary>
    public static string Title(params IReadOnlyList<string> titles) =>
        titles.FirstOrDefault(t => t.Split(' ').Length <= MostWords) ?? titles[^1];

    private const int MostWords = 5;

    public static string Minutes(int seconds) => seconds < 60 ? $"{seconds} seconds" : seconds == 60 ? "a minute" : seconds % 60 == 0 ? $"{Count(seconds / 60)} minutes" : $"{seconds / 60}½ minutes";
}
