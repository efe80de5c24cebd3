using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Tests;

/// <summary>What tests ask of a card again and again, by shorter ways than the program needs.</summary>
internal static class Shorthand
{
    extension(Card card)
    {
        public Relaxation Relaxation => card.Figures.Relaxation;

        public Cost Cost => card.Figures.Cost;

        public ToolSet Tools => card.Figures.Tools;

        public IReadOnlyList<SizedParameter> Parameters => card.Figures.Parameters;

        public Length ClosedWidth => card.Closed.Width;

        public Length ClosedHeight => card.Closed.Height;

        public Length ClosedThickness => card.Thickness.Greatest;

        public Length ValueOf(Affine expression) => card.Figures.ValueOf(expression);
    }

    extension(PlacedPanel panel)
    {
        public string Piece => panel.Plate.Piece.ToString();

        public string Panel => panel.Plate.Plate;
    }

    /// <summary>By the names under which figures stand in files.</summary>
    public static Dictionary<string, T> ByName<T>(this IReadOnlyDictionary<FigureRef, T> all) => all.ToDictionary(a => a.Key.ToString(), a => a.Value);
}
