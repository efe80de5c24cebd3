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

        // In the card's own system, where its size has an exact decimal there.
        static string Exact(Length length) => length.Millimetres.ToString("0.######", CultureInfo.InvariantCulture);
        static string Inches(Length length) => (length.Millimetres / 25.4m).ToString("0.######", CultureInfo.InvariantCulture);
        var (width, height) = (sized.ClosedWidth, sized.ClosedHeight);
        var imperial = sized.Target.Format.System == UnitSystem.Imperial && width.IsOn(Length.In(1, 64)) && height.IsOn(Length.In(1, 64));
        return [.. from family in ConstructionLibrary.All
                   let round = family.For().RoundOneAsThickAs
                   where round is not null
                   select new DesignSpec
                   {
                       Name = $"{family.Name} for {name}",
                       Construction = family.Id,
                       Format = imperial ? $"{Inches(width)}x{Inches(height)}in" : $"{Exact(width)}x{Exact(height)}mm",
                       Tools = sized.Tools.Id,
                       Stock = Stocks.Layers,
                       Set = new Dictionary<string, string> { [round] = $"{Exact(sized.ClosedThickness)} mm" },
                   }];
    }
}
