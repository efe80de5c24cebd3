namespace WholeFold.Planning;

/// <summary>
/// What can be made from what is there, told at once: by the first plans, sheet by sheet. What they do not manage a long search
/// sometimes does, so that this promises nothing that cannot be cut, and now and then a card too few.
/// </summary>
public static class Shortage
{
    /// <summary>Whether the stock book has enough; a stock that it knows nothing of counts as there.</summary>
    public static bool Fits(BookedJob job)
    {
        ArgumentNullException.ThrowIfNull(job);
        if (job.Book.Count == 0)
        {
            return true;
        }

        if (job.Here is null || !Booked.HasRoom(job.Here))
        {
            return false;
        }

        try
        {
            return new Search(Problem.Of(job.Here), null, CancellationToken.None).HasFirst;
        }
        catch (NoPlanException)
        {
            return false;
        }
    }

    /// <summary>How many cards can be cut from what is there, up to so many.</summary>
    /// <param name="jobs">What so many cards need.</param>
    public static int CanMake(int cards, Func<int, IReadOnlyList<BookedJob>> jobs)
    {
        ArgumentNullException.ThrowIfNull(jobs);
        var (can, cannot) = (0, cards + 1);
        while (cannot - can > 1)
        {
            var middle = can + ((cannot - can) / 2);
            (can, cannot) = jobs(middle).All(Fits) ? (middle, cannot) : (can, middle);
        }

        return can;
    }
}
