using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Lists.Own;
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

        var store = new DesignStore(context, clock, ConstructionLibrary.Catalogue, new Things(context, new ThingsRead()));
        foreach (var (id, state) in Designs)
        {
            await store.Create(id, state, "from the demo studio", cancel);
        }

        // The first one is half converted: it came from a 5 in square and is on its way to A6.
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        foreach (var edit in new DesignEdit[] { new SetFigure("centre", "1 in"), new ConvertTo("a6-us") })
        {
            var first = (await store.Find(Designs[0].Id, cancel))!;
            await store.Save(first.Id, first.Version, null, state => (edit.Apply(state, reader), [edit], edit.Describe(state, reader).Write(DisplayUnit.Inch)), cancel);
        }

        var position = 0;
        foreach (var (kind, item) in Drawer)
        {
            context.Drawer.Add(new DrawerRow { Kind = kind, Id = item, ToHand = true, Position = position++ });
        }

        foreach (var owned in Book)
        {
            context.Drawer.Add(new DrawerRow
            {
                Kind = OwnedSheetKind.Book, Id = owned.Id, ToHand = true, Own = JsonSerializer.Serialize(owned, StrictJson.OnOneLine),
                    Position = position++,
            });
        }

        await context.SaveChangesAsync(cancel);
    }

    private static LayerSpec Paper(string role, string stock, int level = 1) => new(role, level, stock);

    private static ElementSpec Motif(string id, string name, string role, string width, string height, PlaceSpec place, string? foam = null, string stock = "card-216") =>
        new(id, role, name, "polygon", [width, height], foam is null ? null : new WrittenLength(foam), Place: place, Stock: stock, Motif: id.Split('.')[0]);

    private static ElementSpec Stamped(string id, string name, string role, string width, string height, PlaceSpec place) => new(id, role, name, Size: [width, height], Place: place, Made: "stamped");

    private static PlaceSpec At(string anchor, params (string Edge, string Distance)[] from) => new(anchor, from.Length == 0 ? null : [.. from.Select(f => new FromSpec(f.Edge, f.Distance))]);

    /// <summary>The lists that the studio's own cards were typed in as.</summary>
    public const string TideWindow = "Tide window\nBase 11 x 4 1/4\nScore: 1/4, 2, 3 1/2, 5 1/4, 5 1/2\ninside liner 5 1/4 x 4",
        SignalFlags = "Signal flags\nbase 11 x 4 1/4, score at 2 3/4 and 5 1/2\nfront panel 5 1/4 x 4\nmat 2 1/2 x 4";

    private static DesignSpec Inferred(string text)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        return OwnConstruction.Design(list, RuleGuess.Of(list, Inventory.Shipped.Formats)!, list.Title!);
    }

    private static readonly (string Id, DesignSpec State)[] Designs =
    [
        ("comet-supper", new DesignSpec
        {
            Name = "Comet supper", Construction = "winged-lock-gatefold", Format = "5x5", Stock = "card-300",
            Dressing = new DressingSpec
            {
                Layers = [Paper("doors", "ember-stripe"), Paper("base.door-left.up", "night-print"), Paper("base.door-right.up", "night-print"), Paper("doors-back", "night-print"), Paper("centre", "card-216"), Paper("wings", "card-216")],
                Windows = [new WindowSpec("eye", "base.door-left.up", Size: ["1 in", "1 3/8 in"], Place: At("head", ("head", "5/8 in")))],
                Elements =
                [
                    Motif("comet", "comet", "base.centre.up", "1 1/2 in", "1 3/8 in", At("head", ("head", "3/4 in")), "2 mm", "card-270") with { Held = "lock", BondedOn = "base.centre" },
                    Motif("ferry", "ferry", "base.door-right.up", "1 1/8 in", "7/8 in", At("foot", ("foot", "1/2 in"))),
                    Stamped("greeting", "greeting", "base.inner-left.up", "1 1/4 in", "1/2 in", At("foot", ("foot", "3/4 in"))),
                ],
            },
        }),
        ("night-ferry", new DesignSpec
        {
            Name = "Night ferry", Construction = "tier-scene", Format = "a6-iso", Turn = true, Stock = "card-300", Set = new Dictionary<string, WrittenFigure> { ["tiers"] = "3" },
            Dressing = new DressingSpec
            {
                Layers = [Paper("back", "night-print"), Paper("tier1", "quay-waves"), Paper("tier2", "quay-waves")],
                Elements =
                [
                    Motif("ferry", "ferry", "tier2", "38 mm", "22 mm", At("left", ("left", "12 mm"))),
                    Motif("moon", "moon", "back", "16 mm", "20 mm", At("head-right", ("right", "10 mm"), ("head", "8 mm"))),
                    Stamped("greeting", "greeting", "tier1", "52 mm", "14 mm", At("centre")),
                ],
                Contours = [new ContourSpec("waves", "tier1", "waves", "6 mm")],
            },
        }),
        ("market-lanterns", new DesignSpec
        {
            Name = "Market lanterns", Construction = "gatefold", Format = "a2-us", Stock = "card-216",
            Dressing = new DressingSpec
            {
                Layers = [Paper("door", "lantern-dots")],
                Elements = [Motif("lantern", "lantern", "base.right.down", "1 1/4 in", "1 3/4 in", At("centre"), "1 mm", "night-print"), Motif("bunting", "bunting", "inside", "3 in", "3/4 in", At("head", ("head", "1/4 in")), null, "ember-stripe")],
                Soft = [new SoftSpec("ribbon", "inside", "ribbon", "bow", "3/8 in")],
            },
        }),
        ("tandem", new DesignSpec
        {
            Name = "Tandem", Construction = "plain-fold", Format = "4x4", Stock = "card-216", Reveal = "framed",
            Dressing = new DressingSpec
            {
                Layers = [Paper("front", "card-350"), Paper("front", "kitchen-check", 2)],
                Elements = [Motif("bicycle", "bicycle", "front", "2 1/2 in", "1 3/8 in", At("centre"), null, "card-350"), Stamped("greeting", "greeting", "inside", "2 in", "1/2 in", At("foot", ("foot", "3/8 in")))],
            },
        }),
        ("teapot-row", new DesignSpec
        {
            Name = "Teapot row", Construction = "tier-scene", Format = "slimline", Turn = true, Stock = "card-300",
            Dressing = new DressingSpec
            {
                Layers = [Paper("back", "kitchen-check"), Paper("tier1", "ember-stripe")],
                Elements =
                [
                    Motif("teapot", "teapot", "tier2", "1 3/4 in", "1 1/2 in", At("left", ("left", "1/2 in"))),
                    Motif("cup", "cup", "tier2", "7/8 in", "3/4 in", At("foot-right", ("right", "1/2 in"), ("foot", "1 in"))),
                    Stamped("greeting", "greeting", "tier1", "3 in", "5/8 in", At("centre")),
                ],
            },
        }),
        ("harbour-post", new DesignSpec
        {
            Name = "Harbour post", Construction = "plain-fold", Format = "dl", Stock = "card-300", Set = new Dictionary<string, WrittenFigure> { ["frontShort"] = "20 mm" },
            Dressing = new DressingSpec
            {
                Layers = [Paper("front", "card-216"), Paper("front", "quay-waves", 2)],
                Windows = [new WindowSpec("porthole", "front", Die: "ring-1", Place: At("head", ("head", "35 mm")))],
                Elements = [Stamped("greeting", "greeting", "front", "45 mm", "18 mm", At("foot", ("foot", "25 mm")))],
            },
        }),
        ("kettle-song", new DesignSpec
        {
            Name = "Kettle song", Construction = "drop-flap", Format = "a2-us", Stock = "card-216",
            Dressing = new DressingSpec
            {
                Layers = [Paper("flap", "kitchen-check"), Paper("front", "ember-stripe", 2)],
                Elements = [Motif("kettle", "kettle", "front", "1 5/8 in", "1 1/2 in", At("head", ("head", "3/4 in")), null, "card-350")],
            },
        }),
        ("two-bicycles", new DesignSpec
        {
            Name = "Two bicycles", Construction = "gatefold", Format = "sq-144", Stock = "card-216", Set = new Dictionary<string, WrittenFigure> { ["backKeeps"] = "sheet" },
            Dressing = new DressingSpec
            {
                Layers = [Paper("door", "quay-waves")],
                Elements = [Motif("bicycle", "bicycle", "inside", "80 mm", "44 mm", At("centre"), null, "card-350"), Stamped("greeting", "greeting", "base.left.down", "40 mm", "12 mm", At("foot", ("foot", "15 mm")))],
            },
        }),

        // Two cards of the studio's own: one that a list was recognised for, and one that no construction of the library is.
        ("tide-window", new DesignSpec
        {
            Name = "Tide window", Construction = "bay-window-hook", Format = "5.5x4.25in", Stock = "card-216", Set = new Dictionary<string, WrittenFigure> { ["hook"] = "1/4 in", ["centre"] = "1 1/2 in", ["glue"] = "1/4 in" },
            Dressing = new DressingSpec
            {
                Layers = [Paper("middle", "quay-waves"), Paper("sides", "night-print")],
                Elements = [Stamped("greeting", "greeting", "inside", "2 in", "1/2 in", At("foot", ("foot", "3/8 in")))],
            },
        }),
        ("signal-flags", Inferred(SignalFlags) with
        {
            Stock = "card-216",
            Dressing = new DressingSpec
            {
                Layers = [Paper("p1-paper1", "ember-stripe")],
                Elements = [Motif("bunting", "bunting", "p2.panel1.up", "3 in", "3/4 in", At("head", ("head", "1/2 in")), null, "night-print"), Stamped("greeting", "greeting", "p2.panel1.up", "2 1/2 in", "5/8 in", At("foot", ("foot", "5/8 in")))],
            },
        }),
    ];

    /// <summary>What lies on the studio's shelves; of Night print there is not quite enough for a table of twelve.</summary>
    private static readonly OwnedSheetSpec[] Book =
    [
        new("harbour-letter", "Harbour 300, Letter", "8 1/2", "11", "card-300", 40, Pack: 20, Price: 9.60m),
        new("oat-letter", "Oat 216, Letter", "8 1/2", "11", "card-216", 26, Pack: 25, Price: 7.50m),
        new("oat-offcut", "Oat 216, offcut 6 1/8 × 11 in", "6 1/8", "11", "card-216", 1, Offcut: true),
        new("sail-letter", "Sail 270, Letter", "8 1/2", "11", "card-270", 12, Pack: 10, Price: 4.80m),
        new("night-12", "Night print, 12 × 12", "12", "12", "night-print", 3, Pack: 6, Price: 5.40m),
        new("ember-12", "Ember stripe, 12 × 12", "12", "12", "ember-stripe", 5, Pack: 6, Price: 5.40m),
        new("ember-letter", "Ember paper 120, Letter", "8 1/2", "11", "paper-120", 14, Pack: 50, Price: 6.00m),
        new("quay-a4", "Quay waves, A4", "210", "297", "quay-waves", 8, "mm", Pack: 10, Price: 6.20m),
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
