using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Constructions made at random from a seed: chains of panels that are affine in one to three parameters.</summary>
internal static class RandomChains
{
    public static Construction Make(Random random)
    {
        var builder = new ConstructionBuilder("random", new Dictionary<string, string>());
        var parameters = new List<Affine>();
        for (var i = random.Next(1, 4); i > 0; i--)
        {
            var name = $"p{parameters.Count + 1}";
            var share = new Rational(random.Next(1, 8), random.Next(16, 33));
            parameters.Add(builder.Length(name, name, name, share * Affine.W, "a share", [(Pair.Of(random.Next(1, 5), 8, random.Next(3, 12)), "too small")], [(Affine.W / random.Next(2, 5), "too large")]));
        }

        Affine Pick() => parameters[random.Next(parameters.Count)];
        Affine PanelExtent() => random.Next(7) switch
        {
            0 => Pick() / 2,
            1 => (Affine.W - Pick()) / 2,
            2 => Affine.W - Pick(),
            3 => Pick() / 3,
            4 => (Pick() + Pick()) / 2,
            5 => (Affine.W / random.Next(2, 6)) - (Pick() / 4),
            _ => Pick(),
        };
        for (var strip = random.Next(1, 3); strip > 0; strip--)
        {
            var panels = Enumerable.Range(1, random.Next(2, 6)).Select(i => Panel($"panel{i}", $"panel {i}", PanelExtent())).ToArray();
            builder.Piece($"piece{strip}", $"Piece {strip}", Axis.X, Affine.H, "its sum", "the height", panels, [.. Enumerable.Range(1, panels.Length - 1).Select(i => i % 2 == 0 ? Valley(90, "there") : Mountain(90, "there"))]);
        }

        if (random.Next(3) == 0)
        {
            builder.Require("apart", (Pick() * 2) - Pick() - Pair.Of(1, 4, 5m), "they would touch");
        }

        return builder.Build();
    }

    public static (Target Target, ToolSet Tools) Case(Random random, bool ruler = true)
    {
        var imperial = random.Next(2) == 0;
        var mark = imperial ? Length.In(1, 16) : Length.Mm(1);
        Length Side() => imperial ? Length.In(random.Next(40, 190), 16) : Length.Mm(random.Next(60, 300));
        var (width, height) = (Side(), Side());

        // One format in four lies between the trimmer's marks.
        if (random.Next(4) == 0)
        {
            width += new Length(mark.Units / 4);
        }

        var system = imperial ? UnitSystem.Imperial : UnitSystem.Metric;
        var tools = Inventory.Shipped.Find<ToolKit>(imperial ? "imperial-eighths" : "metric-5mm")!.For(system);
        return (new Target(new Format("any", "any", width, height, system), false), ruler && random.Next(5) > 0 ? tools : ruler ? tools with { BoardEnd = Length.In(7) } : tools with { RulerMarks = [] });
    }
}
