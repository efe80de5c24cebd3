using System.Globalization;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>The envelopes that can be made for a card, as designs of their own: for exactly its closed size and thickness.</summary>
public static class EnvelopeToMake
{
    /// <summary>The flat one first, then the one with sides, for raised parts.</summary>
    /// <param name="name">What the card is called.</param>
    public static IReadOnlyList<DesignSpec> For(SizedDesign sized, string name)
    {
        ArgumentNullException.ThrowIfNull(sized);
        if (sized.Construction.GoesRound)
        {
            return [];
        }

        static string Exact(Length length) => length.Millimetres.ToString("0.######", CultureInfo.InvariantCulture);
        return [.. from family in ConstructionLibrary.All
                   let round = family.For().RoundOneAsThickAs
                   where round is not null
                   select new DesignSpec
                   {
                       Name = $"{family.Name} for {name}",
                       Construction = family.Id,
                       Format = $"{Exact(sized.ClosedWidth)}x{Exact(sized.ClosedHeight)}mm",
                       Tools = sized.Tools.Id,
                       Stock = Stocks.Layers,
                       Set = new Dictionary<string, string> { [round] = $"{Exact(sized.ClosedThickness)} mm" },
                   }];
    }
}
