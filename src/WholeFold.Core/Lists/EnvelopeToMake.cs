using System.Globalization;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>The envelopes that can be made for a card, as designs of their own: for exactly its closed size and thickness.</summary>
public static class EnvelopeToMake
{
    /// <summary>The flat one first, then the one with sides, for raised parts.</summary>
    /// <param name="name">What the card is called.</param>
    public static IReadOnlyList<DesignSpec> For(Card card, Catalogue catalogue, string name)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(catalogue);
        if (card.Construction.GoesRound)
        {
            return [];
        }

        // In the card's own system, where its size has an exact decimal there.
        static string Exact(Length length) => length.Millimetres.ToString("0.######", CultureInfo.InvariantCulture);
        static string Inches(Length length) => (length.Millimetres / 25.4m).ToString("0.######", CultureInfo.InvariantCulture);
        var (width, height) = card.Size;
        var imperial = card.Target.Format.System == UnitSystem.Imperial && width.IsOn(Length.In(1, 64)) && height.IsOn(Length.In(1, 64));
        return [.. from family in catalogue.All
                   let round = family.For().RoundOneAsThickAs
                   where round is not null
                   select new DesignSpec
                   {
                       Name = $"{family.Name} for {name}",
                       Construction = family.Id,
                       Format = imperial ? $"{Inches(width)}x{Inches(height)}in" : $"{Exact(width)}x{Exact(height)}mm",
                       Tools = card.Figures.Tools.Id,
                       Stock = new DesignSpec().LayerStock,
                       Set = new Dictionary<string, WrittenFigure> { [round] = $"{Exact(card.Thickness.Greatest)} mm" },
                   }];
    }
}
