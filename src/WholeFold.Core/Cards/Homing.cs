using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>
/// Makes the size at hand the home of a design. The card does not change: what was set is set here as it stands now, and keeps its value
/// for the old size as an adjustment there, so that going back gives the old card.
/// </summary>
public static class Homing
{
    /// <summary>The edit, tried: null where the card at hand or the one at the old home would come out otherwise.</summary>
    /// <exception cref="Input.InputProblemException">The design cannot be read.</exception>
    public static MakeHome? Of(DesignSpec spec, DesignReader reader, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(reader);
        var (design, target, _) = reader.Read(spec);
        if (spec.Target is null || design.IsHome(target) || design.Blank is not null || Card.Try(design, target, cancel) is not { } here)
        {
            return null;
        }

        var home = Attempt.Of(design, design.Home, cancel).Card;
        var counting = Elsewhere.Counting(design);

        // What was set alone; where something hangs on the rest, that too.
        foreach (var all in new[] { false, true })
        {
            Dictionary<string, WrittenFigure> As(Card card, Func<SizedParameter, bool> wanted) =>
                card.Figures.Parameters.Where(p => p.Hold != Hold.Locked && (all || wanted(p)))
                .ToDictionary(p => p.Parameter.Id, p => new WrittenFigure(LengthWriter.Exact(p.Value), card.Figures.Tools.Id));
            var there = home is null ? [] : As(home, p => counting.ContainsKey(p.Parameter.Id)
                || design.Adjustments.GetValueOrDefault(design.Home.Key)?.ContainsKey(p.Parameter.Id) == true);
            var edit = new MakeHome(spec.Target, spec.TargetTurn, As(here, p => p.Hold is Hold.Set or Hold.FromHome), there);
            var next = reader.Read(edit.Apply(spec, reader));
            if (Same(here, Attempt.Of(next.Design, next.Target, cancel).Card)
                && (home is null || Same(home, Attempt.Of(next.Design, design.Home, cancel).Card)))
            {
                return edit;
            }
        }

        return null;
    }

    private static bool Same(Card was, Card? now) => now is not null && was.Figures.Width == now.Figures.Width
        && was.Figures.Height == now.Figures.Height
        && was.All.Select(f => (f.Id.ToString(), f.Value)).SequenceEqual(now.All.Select(f => (f.Id.ToString(), f.Value)));
}
