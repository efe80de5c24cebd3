using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;

namespace WholeFold.App.Tests;

/// <summary>
/// Changes of designs as nobody would make them, from a seed: every kind of edit, with values that fit, that do not, and that are no
/// values. A new edit, or a new member of one, has its line in <see cref="Kinds"/>.
/// </summary>
internal sealed class RandomEdits(int seed)
{
    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private static readonly string[] Lengths = ["1 in", "1/2 in", "3/8", "12 mm", "25.4mm", "0", "0 in", "-1 in", "-3 mm", "11 3/4 in", "300 mm", "1/64 in", "0.05 mm", "wide", "", "999999999 in"];
    private static readonly string[] Rules = ["width / 2", "height - 1/2 in", "1 in", "width", "width * 2", "0", "-1 in", "width - height", "width / 2 - 1/8 in", "2 in - width", "depth", "12 in", "width / 0", "((", "1/32 in"];
    private static readonly string[] Faces = ["front", "inside", "back", "doors", "base.front.up", "base.back.down", "tier1", "nowhere", "base.panel1.up", "middle"];

    private readonly Random _random = new(seed);

    public DesignSpec Begin() => new() { Name = $"Card {_random.Next(1000)}", Construction = One(ConstructionLibrary.All).Id,
        Format = One(Inventory.Shipped.Formats).Id, Turn = Maybe, Stock = One(Inventory.Shipped.Stocks).Id };

    /// <summary>An edit of any kind for a design as it is.</summary>
    public DesignEdit Next(DesignSpec design)
    {
        var construction = Reader.Find(design)?.For() ?? ConstructionLibrary.All[0].For();
        return One(design.Made is null && _random.Next(4) > 0 ? Kinds[..OfAnyDesign] : Kinds)(this, design, construction);
    }

    private bool Maybe => _random.Next(2) == 0;

    private T One<T>(IReadOnlyList<T> of) => of[_random.Next(of.Count)];

    private T? OrNone<T>(T value) where T : class => _random.Next(4) == 0 ? null : value;

    private WrittenLength Length => new(One(Lengths));

    private string Parameter(Construction of) => of.Parameters.Count > 0 && _random.Next(8) > 0 ? One(of.Parameters).Id : "nothing";

    private Piece Piece(Construction of) => One(of.Pieces);

    private string Panel(Piece of) => of.Panels.Count > 0 && _random.Next(8) > 0 ? One(of.Panels).Id : "nothing";

    /// <summary>A role of the construction, a face of one of its pieces, or none that there is.</summary>
    private string Face(Construction of) => _random.Next(3) switch
    {
        0 when of.Layers.Count > 0 => One(of.Layers).Id,
        1 => $"{Piece(of).Id}.{Panel(Piece(of))}.{(Maybe ? "up" : "down")}",
        _ => One(Faces),
    };

    private PlaceSpec? Place() => OrNone(new PlaceSpec(One(["head", "centre", "foot-right", "left", "middle of it"]), Maybe ? null : [new FromSpec(One(["left", "head", "foot", "right", "window:w1", "spine"]), Length)], Maybe ? null : One(["flat", "closed", "shown", "open"])));

    private IReadOnlyList<WrittenLength>? Size() => _random.Next(5) == 0 ? null : Enumerable.Range(0, _random.Next(6) == 0 ? 1 : 2).Select(_ => Length).ToList();

    /// <summary>How many of <see cref="Kinds"/> change any design; those behind change how one of one's own is made.</summary>
    private const int OfAnyDesign = 17;

    private static readonly Func<RandomEdits, DesignSpec, Construction, DesignEdit>[] Kinds =
    [
        (r, _, c) => new SetFigure(r.Parameter(c), r.One(Lengths)),
        (r, _, c) => new LockFigure(r.Parameter(c), r.One(Lengths)),
        (r, _, c) => new FreeFigure(r.Parameter(c)),
        (r, d, _) => Reader.Find(d)?.Choices is { Count: > 0 } choices && r.One(choices) is var choice
            ? new Choose(choice.Id, r._random.Next(6) == 0 ? "otherwise" : r.One(choice.Options)) : new Choose("nothing", "at all"),
        (r, _, _) => new ConvertTo(r._random.Next(6) == 0 ? r.One(["2x2in", "12x12in", "50.8x304.8mm", "0x5in", "-3x5in", "moon"]) : r.OrNone(r.One(Inventory.Shipped.Formats).Id), r.Maybe),
        (r, _, _) => new BeginIn(r.One(["a2 us", "5 x 7", "A6", "moon", "5 1/2 by 4", "300mm"]), r.Maybe),
        (r, _, _) => new Take(r.One(["tools", "guest", "stock", "caliper", "blank", "grain", "layerStock", "matStock", "adhesive", "reveal", "priority", "order", "namedBy", "opens",
            "name", "sky"]), r.OrNone(r.One(["machine", "ruler", "metric-5mm", "card-216", "acetate", "1mm", "0.05 mm", "5x7in", "2x12in", "long", "vellum", "tape", "glue", "upwards", "sideways", "framed", "flush", "-1/8 in", "2 in", "board", "decorate", "shown", "closed", "=1+1", "x"]))),
        (r, _, c) => new CutFrom(r._random.Next(8) == 0 ? "nothing" : r.Piece(c).Id, r.OrNone(r.One(Inventory.Shipped.Stocks).Id)),
        (r, _, _) => new Prefer(r.One(["no-sixteenths", "one-stop", "mountains-from-behind", "with-ruler", "whole-sheet", "not-eased", "none"]), r.Maybe),
        (r, _, _) => new UseSheets(Enumerable.Range(0, r._random.Next(3)).Select(_ => r.One(["a4", "letter", "12x12", "6x6", "sky"])).ToList()),
        (r, _, _) => new ShowIn(r.OrNone(r.One(["in", "cm", "mm", "ell"])), r.Maybe),
        (r, _, c) => new Wear(r.Face(c), r._random.Next(-1, 4),
            r.OrNone(new LayerSpec("", 1, r.OrNone(r.One(Inventory.Shipped.Stocks).Id), r.Maybe, r.Maybe ? null : new RevealSpec(r.Length, r.Length), r.Maybe ? null
            : "first", r.Maybe))),
        (r, _, c) => new CutWindow(r.One(["w1", "w2"]),
            r.OrNone(new WindowSpec("", r.Face(c), r.Maybe ? null : r.One(Inventory.Shipped.All<Die>().Select(d => d.Id).Append("no-die").ToList()), r.Size(),
            r.One(["rectangle", "circle", "ellipse", "blob"]), Place: r.Place(), Around: r._random.Next(4) == 0 ? "w1" : null))),
        (r, _, c) => new PutOn(r.One(["star", "e2", "e3"]),
            r.OrNone(new ElementSpec("", r.Face(c), "A star", r.One(["rectangle", "circle", "ellipse", "polygon"]), r.Size(), r.Maybe ? null : r.Length,
            Place: r.Place(), BondedOn: r.Maybe ? null : r.Face(c), OverEdge: r.Maybe))),
        (r, _, c) => new Shape("c1", r.OrNone(new ContourSpec("", r.Face(c), r.One(["hills", "waves", "roofs", "teeth"]), r.Maybe ? null : r.Length))),
        (r, _, c) => new Tie("ribbon", r.OrNone(new SoftSpec("", r.Face(c), r.One(["ribbon", "twine", "thread", "rope"])))),
        (r, _, c) => new MakeHome(r.One(["5x7", "6 by 6", "a5", "8 x 8", "moon"]), r.Maybe,
            new Dictionary<string, WrittenFigure> { [r.Parameter(c)] = new(r.One(Lengths)) }, new Dictionary<string, WrittenFigure>()),
        (_, _, _) => new MakeOwn(),
        (r, d, _) => new Replace(r.Maybe ? d : r.Begin()),
        (r, _, c) => r.Piece(c) is var p ? new BuildExtent(p.Id, r.OrNone(r.Panel(p)), r.One(Rules)) : null!,
        (r, _, c) => new BuildCrease(r.Piece(c).Id, r._random.Next(-1, 8), r.Maybe ? Fold.Valley : Fold.Mountain, r.One([0, 90, 180, 45]), r.One([0, 60, 90, 180, -20])),
        (r, _, c) => r.Piece(c) is var p ? new SplitPanel(p.Id, r.Panel(p)) : null!,
        (r, _, c) => new JoinPanels(r.Piece(c).Id, r._random.Next(-1, 6)),
        (r, _, c) => new MoveCrease(r.Piece(c).Id, r._random.Next(-1, 6), r._random.Next(-1000, 90_000), r._random.Next(-1000, 90_000)),
        (r, _, _) => new AddPiece(r.One(["Tag", "Insert", "", "Piece 1"]), r.One(Rules), r.One(Rules)),
        (r, _, c) => new RemovePiece(r.Piece(c).Id),
        (r, _, c) => r.Piece(c) is var p ? new BuildWindow(p.Id, r.Panel(p), r.OrNone(r.One([.. Rules, "1/2 in", "1/4 in"]))) : null!,
        (r, _, c) => new BuildParameter(r.Parameter(c), r.One(Rules)),
        (r, _, c) => new BuildBond(c.Bonds.Count > 0 && r.Maybe ? r.One(c.Bonds).Id : "bond", null),
    ];
}
