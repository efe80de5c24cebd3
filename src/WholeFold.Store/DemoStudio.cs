using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Store;

/// <summary>The Lantern Street Paper Room, a back-room studio that runs evening tables. Wholly invented.</summary>
public static class DemoStudio
{
    /// <summary>Fills an empty data file; one that has designs is left as it is.</summary>
    public static async Task Fill(WholeFoldContext context, TimeProvider clock, CancellationToken cancel)
    {
        if (await context.Designs.AnyAsync(cancel))
        {
            return;
        }

        var store = new DesignStore(context, clock);
        foreach (var (id, state) in Designs)
        {
            await store.Create(id, state, "from the demo studio", cancel);
        }

        // The first one is half converted: it came from a 5 in square and is on its way to A6.
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        foreach (var edit in new DesignEdit[] { new SetFigure("centre", "1 in"), new ConvertTo("a6-us") })
        {
            var first = (await store.Find(Designs[0].Id, cancel))!;
            await store.Save(first.Id, first.Version, state => (edit.Apply(state, reader), [edit], edit.Describe(state, reader).Write(DisplayUnit.Inch)), cancel);
        }

        var position = 0;
        foreach (var (kind, item) in Drawer)
        {
            context.Drawer.Add(new DrawerRow { Kind = kind, Id = item, ToHand = true, Position = position++ });
        }

        await context.SaveChangesAsync(cancel);
    }

    private static readonly (string Id, DesignSpec State)[] Designs =
    [
        ("comet-supper", new DesignSpec { Name = "Comet supper", Construction = "winged-lock-gatefold", Format = "5x5", Stock = "card-300" }),
        ("night-ferry", new DesignSpec { Name = "Night ferry", Construction = "tier-scene", Format = "a6-iso", Turn = true, Stock = "card-300", Set = new Dictionary<string, WrittenFigure> { ["tiers"] = "3" } }),
        ("market-lanterns", new DesignSpec { Name = "Market lanterns", Construction = "gatefold", Format = "a2-us", Stock = "card-216" }),
        ("tandem", new DesignSpec { Name = "Tandem", Construction = "plain-fold", Format = "4x4", Stock = "card-216", Reveal = "framed" }),
        ("teapot-row", new DesignSpec { Name = "Teapot row", Construction = "tier-scene", Format = "slimline", Turn = true, Stock = "card-300" }),
        ("harbour-post", new DesignSpec { Name = "Harbour post", Construction = "plain-fold", Format = "dl", Stock = "card-300", Set = new Dictionary<string, WrittenFigure> { ["frontShort"] = "20 mm" } }),
        ("kettle-song", new DesignSpec { Name = "Kettle song", Construction = "drop-flap", Format = "a2-us", Stock = "card-216" }),
        ("two-bicycles", new DesignSpec { Name = "Two bicycles", Construction = "gatefold", Format = "sq-144", Stock = "card-216", Set = new Dictionary<string, WrittenFigure> { ["backKeeps"] = "sheet" } }),
    ];

    private static readonly (string Kind, string Id)[] Drawer =
    [
        ("tools", "imperial-eighths"),
        ("tools", "metric-5mm"),
        ("stocks", "card-300"),
        ("stocks", "card-216"),
        ("stocks", "paper-120"),
    ];
}
