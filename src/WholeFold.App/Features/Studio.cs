using Microsoft.Extensions.Caching.Memory;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using WholeFold.Store;

namespace WholeFold.App.Features;

/// <summary>A design as it is looked at now: read with what the studio has to hand, with the edits that are being tried.</summary>
/// <param name="Key">The same for all that come to the same figures, whatever the design is called.</param>
public sealed record Desk(DesignSpec Spec, DesignReader Reader, ReadDesign Read, string Key)
{
    public Design Design => Read.Design;

    public Target Target => Read.Target;

    /// <summary>Where both systems are shown, the one that the tools are marked in comes first.</summary>
    public DisplayUnit Unit => Spec.BothSystems ? Design.ToolsFor(Target).System.UnitOf() : Read.Unit;
}

/// <summary>Reads designs with the studio's own things, and keeps what was worked out lately.</summary>
public sealed partial class Studio(Things things, Catalogue catalogue, SizedCards cards, ILogger<Studio> log)
{
    public async Task<DesignReader> Reader(CancellationToken cancel) => new(catalogue, await things.Read(cancel));

    /// <exception cref="Core.Input.InputProblemException">The design or an edit is not understood.</exception>
    public async Task<Desk> Lay(DesignSpec design, IReadOnlyList<DesignEdit> edits, CancellationToken cancel)
    {
        var reader = await Reader(cancel);
        var spec = DesignEdit.Apply(edits, design, reader);
        return new Desk(spec, reader, reader.Read(spec), $"{DesignFile.Canonical(spec)}|{things.Stamp}");
    }

    /// <summary>The design in its target format.</summary>
    public Attempt Attempt(Desk desk, CancellationToken cancel) => Attempt(desk, desk.Target, cancel);

    /// <summary>The design in a format, worked out once.</summary>
    public Attempt Attempt(Desk desk, Target target, CancellationToken cancel) => cards.Get(desk, target, cancel);

    /// <summary>The design in several formats, each judged: side by side, for they have nothing to do with each other.</summary>
    public IReadOnlyList<Attempt> Attempts(Desk desk, IReadOnlyList<Target> targets, CancellationToken cancel) =>
        [.. targets.AsParallel().AsOrdered().WithCancellation(cancel).Select(t =>
        {
            try
            {
                var attempt = Attempt(desk, t, cancel);
                _ = attempt.Verdict;
                return attempt;
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                // One format must not take the others with it.
                FormatBroke(t.Key, e);
                return new Attempt(t, null, Words.Of($"this card could not be worked out"), [new Conflict("card:broken", Words.Of($"this card could not be worked out"))]);
            }
        })];

    [LoggerMessage(Level = LogLevel.Error, Message = "A design could not be worked out in {Format}")]
    private partial void FormatBroke(string format, Exception exception);
}

/// <summary>Cards that were sized lately, by what was asked. What an abandoned request had begun is not kept.</summary>
public sealed class SizedCards(IMemoryCache cache)
{
    public Attempt Get(Desk desk, Target target, CancellationToken cancel)
    {
        var key = (desk.Key, target.Key, target.Width, target.Height);
        if (cache.TryGetValue(key, out Attempt? known))
        {
            return known!;
        }

        var attempt = Attempt.Of(desk.Design, target, cancel);
        using var entry = cache.CreateEntry(key);
        (entry.Value, entry.Size, entry.SlidingExpiration) = (attempt, 1, TimeSpan.FromMinutes(10));
        return attempt;
    }
}
