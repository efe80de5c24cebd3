using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>What is cut at one setting of the trimmer: so many times, off so many parts alike.</summary>
/// <param name="First">Its cuts by their numbers: from this one,</param>
/// <param name="Last">to this one.</param>
/// <param name="Parts">How many parts alike are cut; each so many <paramref name="Times"/>.</param>
/// <param name="Size">What each part measures before it is cut.</param>
public sealed record CutStep(int First, int Last, Axis Axis, Length At, int Parts, int Times, bool OfSheet,
    (Length Width, Length Height) Size, bool ByHand, bool HasWayUp)
{
    /// <summary>The side that lies at the stop: the cut runs along it.</summary>
    private Length AtStop => Axis == Axis.X ? Size.Height : Size.Width;

    private Length Across => Axis == Axis.X ? Size.Width : Size.Height;

    /// <summary>What is cut off what, as somebody at the trimmer is told.</summary>
    public Words Text
    {
        get
        {
            var (cut, from) = (ByHand ? "With knife and ruler, cut" : "Cut", Axis == Axis.X ? "left" : "bottom");
            return Words.Of($"{cut} {At:u} off the {from} of {Part}{(Times > 1 ? $", {Times} times" : "")}.");
        }
    }

    /// <summary>How it lies.</summary>
    public Words Lies => HasWayUp ? Words.Of($"{(Axis == Axis.X ? "Left" : "Bottom")} edge at the stop.")
        : AtStop == Across ? Words.Of($"Square: any side at the stop.")
        : Words.Of($"{(AtStop > Across ? "Long" : "Short")} side at the stop.");

    private Words Part => OfSheet ? Words.Of($"the sheet")
        : Words.Of($"{(Parts > 1 ? $"each of the {Parts} parts" : "the part")} of {Size.Width} × {Size.Height:u}");

    /// <summary>The cuts of a sheet, each setting once for all that it does at that moment.</summary>
    public static IReadOnlyList<CutStep> Of(CutSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return [.. Alike(Runs(sheet.Cuts)).Select(a => new CutStep(a[0][0].N, a[^1][^1].N, a[0][0].Axis, a[0][0].At, a.Count,
            a[0].Count, a[0][0].Of.Count == 0, a[0][0].Size, a.Any(r => r.Any(c => c.ByHand)),
            sheet.Sheet.HasWayUp))];
    }

    /// <summary>Runs at one setting off parts of one size.</summary>
    private static List<List<List<Cut>>> Alike(List<List<Cut>> runs)
    {
        var alike = new List<List<List<Cut>>>();
        foreach (var run in runs)
        {
            if (alike.Count > 0 && alike[^1][0] is var first && first.Count == run.Count
                && (first[0].Axis, first[0].At, first[0].Size, first[0].ByHand) == (run[0].Axis, run[0].At, run[0].Size, run[0].ByHand))
            {
                alike[^1].Add(run);
            }
            else
            {
                alike.Add([run]);
            }
        }

        return alike;
    }

    /// <summary>Cuts at one setting, each off what the one before left.</summary>
    private static List<List<Cut>> Runs(IReadOnlyList<Cut> cuts)
    {
        var runs = new List<List<Cut>>();
        foreach (var cut in cuts)
        {
            if (runs.Count > 0 && runs[^1][^1] is var last && (last.Axis, last.At, last.ByHand) == (cut.Axis, cut.At, cut.ByHand)
                && cut.Of.SequenceEqual([.. last.Of, 1]))
            {
                runs[^1].Add(cut);
            }
            else
            {
                runs.Add([cut]);
            }
        }

        return runs;
    }
}
