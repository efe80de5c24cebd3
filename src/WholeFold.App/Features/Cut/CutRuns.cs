using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text.Json;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Planning;

namespace WholeFold.App.Features.Cut;

/// <summary>One stock being planned: the best plan so far, and whether there may be a better one.</summary>
public sealed class CutRun(BookedJob job) : IDisposable
{
    private readonly CancellationTokenSource _stop = new();
    private volatile CutPlan? _best;
    private volatile Words? _problem;
    private volatile bool _done, _stopped;

    public BookedJob Job { get; } = job;

    public CutPlan? Best => _best;

    /// <summary>Why there is no plan.</summary>
    public Words? Problem => _problem;

    public bool Running => !_done;

    /// <summary>Somebody was content with what there was.</summary>
    public bool Stopped => _stopped;

    internal DateTimeOffset AskedAt { get; set; }

    public void Dispose() => _stop.Dispose();

    internal void Stop() => _stop.Cancel();

    internal void Work()
    {
        try
        {
            _best = Booked.Plan(Job, better => _best = better, _stop.Token);
        }
        catch (NoPlanException e)
        {
            _problem = e.Text;
        }
        catch (OperationCanceledException)
        {
            _problem = Words.Of($"Stopped before there was a plan.");
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            // One stock's trouble stays with it.
            _problem = Words.Of($"This stock could not be planned.");
            throw;
        }
        finally
        {
            _stopped = _stop.IsCancellationRequested;
            _done = true;
        }
    }
}

/// <summary>
/// Plans in the making, each stock by itself and two at a time: asked for as often as somebody looks, worked out once, and given
/// up when nobody has looked for a while.
/// </summary>
public sealed partial class CutRuns(TimeProvider clock, ILogger<CutRuns> log) : IDisposable
{
    private const int MostKept = 200;

    private static readonly TimeSpan Unasked = TimeSpan.FromSeconds(20);

    private readonly ConcurrentDictionary<string, CutRun> _runs = new();
    private readonly SemaphoreSlim _two = new(2);

    /// <summary>The run of a job, begun where it has not been.</summary>
    /// <param name="again">Whether one that was stopped goes on.</param>
    public CutRun Of(BookedJob job, bool again)
    {
        ArgumentNullException.ThrowIfNull(job);
        var key = KeyOf(job);
        if (again && _runs.TryGetValue(key, out var stopped) && stopped is { Running: false, Stopped: true })
        {
            _runs.TryRemove(KeyValuePair.Create(key, stopped));
        }

        // Of two askers at once one begins it.
        var mine = new CutRun(job);
        var run = _runs.GetOrAdd(key, mine);
        run.AskedAt = clock.GetUtcNow();
        if (ReferenceEquals(run, mine))
        {
            Clear();
            _ = Begin(run);
        }

        return run;
    }

    public void Dispose()
    {
        foreach (var run in _runs.Values)
        {
            run.Stop();
        }

        _two.Dispose();
    }

    private async Task Begin(CutRun run)
    {
        await _two.WaitAsync();
        try
        {
            // A search may take all of a core for some seconds: it has a thread of its own, and none of those that answer.
            await Task.Factory.StartNew(run.Work, CancellationToken.None, TaskCreationOptions.LongRunning, TaskScheduler.Default);
        }
        catch (Exception e)
        {
            Broke(run.Job.Stock.Name, e);
        }
        finally
        {
            _two.Release();
        }
    }

    /// <summary>What nobody looks at any more is stopped, and the oldest of very many forgotten.</summary>
    private void Clear()
    {
        var now = clock.GetUtcNow();
        foreach (var (key, run) in _runs.Where(r => r.Value.Running && now - r.Value.AskedAt > Unasked))
        {
            run.Stop();
            _runs.TryRemove(key, out _);
        }

        foreach (var (key, _) in _runs.Where(r => !r.Value.Running).OrderByDescending(r => r.Value.AskedAt).Skip(MostKept))
        {
            _runs.TryRemove(key, out _);
        }
    }

    private static string KeyOf(BookedJob job) =>
        Convert.ToHexString(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(new { job.Stock.Id, job.Here, job.Bought },
            StrictJson.OnOneLine)));

    [LoggerMessage(Level = LogLevel.Error, Message = "{Stock} could not be planned")]
    private partial void Broke(string stock, Exception exception);
}
