using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;

namespace WholeFold.Core.Cards;

/// <summary>The size that a design opens in before anybody has said one: the last that was used and that the card goes in.</summary>
public static class FirstSize
{
    /// <summary>So many of the sizes used lately are tried; after them those that are there, in their order.</summary>
    private const int MostLately = 8;

    /// <param name="lately">Sizes that were worked in, the last one first.</param>
    /// <returns>The first in which nothing stands in the way; the last one used where there is none such.</returns>
    public static DesignSpec Of(DesignSpec begun, IEnumerable<(string Format, bool Turn)> lately, DesignReader reader,
        CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(begun);
        ArgumentNullException.ThrowIfNull(reader);
        var known = reader.Inventory.Formats.Select(f => (f.Id, Turn: false));
        var tried = lately.Where(l => FormatReader.Read(l.Format, reader.Inventory.Formats,
            out _) is not null).Distinct().Take(MostLately).Concat(known);
        DesignSpec? first = null;
        foreach (var (format, turn) in tried)
        {
            var spec = begun with { Format = format, Turn = turn };
            first ??= spec;
            var read = reader.Read(spec);
            if (Attempt.Of(read.Design, read.Target, cancel).Verdict.Kind != VerdictKind.Stuck)
            {
                return spec;
            }
        }

        return first ?? begun;
    }
}
