using System.Globalization;
using System.Text;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange;

/// <summary>A screen of a run that was shown, and when it came up, in seconds from the start.</summary>
public sealed record ShownAt(string Screen, double Seconds);

/// <summary>What was said and when, for a recording of a run: captions as WebVTT, and a list of chapters.</summary>
public static class Captions
{
    /// <summary>A day; no run is longer.</summary>
    private const double Longest = 86_400;

    /// <param name="end">When the run ended.</param>
    /// <exception cref="InputProblemException">A time or a screen is not understood.</exception>
    public static string WebVtt(IReadOnlyList<Screen> screens, IReadOnlyList<ShownAt> run, double end, DisplayUnit unit)
    {
        var text = new StringBuilder("WEBVTT\n");
        foreach (var (screen, from, to) in Stretches(screens, run, end))
        {
            text.Append(CultureInfo.InvariantCulture, $"\n{Stamp(from, ".000")} --> {Stamp(to, ".000")}\n{screen.Say.Write(unit)}\n");
        }

        return text.ToString();
    }

    /// <summary>One line a step: when it began, and what it is.</summary>
    public static string Chapters(IReadOnlyList<Screen> screens, IReadOnlyList<ShownAt> run, double end)
    {
        var text = new StringBuilder();
        var last = -1;
        foreach (var (screen, from, _) in Stretches(screens, run, end))
        {
            if (screen.Step != last)
            {
                text.Append(CultureInfo.InvariantCulture, $"{Stamp(from, "")} {Constructions.Spoken.First(screen.Title)}\n");
                last = screen.Step;
            }
        }

        return text.ToString();
    }

    private static IEnumerable<(Screen Screen, double From, double To)> Stretches(IReadOnlyList<Screen> screens, IReadOnlyList<ShownAt> run, double end)
    {
        ArgumentNullException.ThrowIfNull(screens);
        ArgumentNullException.ThrowIfNull(run);
        var by = screens.ToDictionary(s => s.Id);
        for (var i = 0; i < run.Count; i++)
        {
            var (shown, to) = (run[i], i + 1 < run.Count ? run[i + 1].Seconds : end);
            if (!by.ContainsKey(shown.Screen))
            {
                throw new InputProblemException("captions.screen", $"run[{i}].screen", $"there is no screen “{shown.Screen}” in this run", "the screens of the design that was shown");
            }

            if (!double.IsFinite(shown.Seconds) || shown.Seconds < 0 || to < shown.Seconds || to > Longest)
            {
                throw new InputProblemException("captions.time", $"run[{i}].seconds", "times go on, from nothing to a day", "seconds from the start, none before the one before it");
            }
        }

        return run.Select((shown, i) => (by[shown.Screen], shown.Seconds, i + 1 < run.Count ? run[i + 1].Seconds : end)).Where(s => s.Item3 > s.Item2);
    }

    private static string Stamp(double seconds, string thousandths)
    {
        var whole = TimeSpan.FromSeconds(Math.Floor(seconds));
        return string.Create(CultureInfo.InvariantCulture, $"{(int)whole.TotalHours:00}:{whole.Minutes:00}:{whole.Seconds:00}{thousandths}");
    }
}
