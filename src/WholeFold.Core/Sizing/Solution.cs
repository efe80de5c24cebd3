namespace WholeFold.Core.Sizing;

/// <summary>What a search found.</summary>
/// <param name="Gap">Null where it is proven the least.</param>
/// <param name="Effort">What it cost to find.</param>
internal sealed record Solution(long[] Values, Cost Cost, Gap? Gap, long Effort);

/// <summary>How much better than the best found there may be something that was not come to, at the most.</summary>
/// <param name="Size">Of what is lost of the finished size, in units.</param>
/// <param name="OffGroove">Of the scores off a groove.</param>
public sealed record Gap(long Size, long OffGroove)
{
    internal static Gap? Of(Gap? one, Gap? other) => one is null ? other : other is null ? one : new Gap(one.Size + other.Size, one.OffGroove + other.OffGroove);
}

/// <summary>The search used up the effort it was given without finding out whether there is a solution.</summary>
internal sealed class UndecidedException : Exception;
