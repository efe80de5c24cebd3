using System.Globalization;

namespace WholeFold.Tests;

/// <summary>
/// What is looked at of a large grid today. Every case has its day: of each so many that follow one another one is taken, another
/// every day, so that as many days see all of them. <c>./wholefold test --whole</c> takes all at once.
/// </summary>
internal static class Day
{
    /// <summary>The day's number, or what <c>--seed</c> says; it is printed, so that a run can be had again.</summary>
    public static int Seed { get; } = int.TryParse(Environment.GetEnvironmentVariable("WHOLEFOLD_SEED"), NumberStyles.Integer, CultureInfo.InvariantCulture, out var seed)
        ? seed
        : DateOnly.FromDateTime(DateTime.UtcNow).DayNumber;

    /// <summary>Whether every case of every grid is looked at.</summary>
    public static bool Whole { get; } = Environment.GetEnvironmentVariable("WHOLEFOLD_WHOLE") is { Length: > 0 };

    /// <summary>One in so many, today's.</summary>
    /// <param name="every">Of so many that follow one another.</param>
    /// <param name="whole">The same where all is looked at, of what would take an hour.</param>
    /// <remarks>Where in each row the one lies differs from row to row, or a grid whose inner loop is as long would show the same case all day.</remarks>
    public static IEnumerable<T> Stride<T>(this IEnumerable<T> all, int every, int whole = 1)
    {
        var step = Whole ? whole : every;
        return all.Where((_, i) => i % step == (int)(((uint)Seed + ((uint)(i / step) * 2654435761u >> 7)) % (uint)step));
    }

    /// <summary>How many of so many are looked at at the least, where one in <paramref name="every"/> is.</summary>
    /// <remarks>Not every case has figures, and which of them have differs from day to day.</remarks>
    public static int AtLeast(int ofAll, int every) => Whole ? ofAll : ofAll / every * 2 / 3;

    /// <summary>How many may be wrong of what is held to a share of all: on a day's few a share says little, so that some more may be.</summary>
    public static double AtMost(double share, int count) => (share * count) + (Whole ? 0 : 2 + (count / 10d));
}
