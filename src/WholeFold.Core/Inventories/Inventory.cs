using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories;

/// <summary>
/// What is to hand, as one value: what ships, and what the studio and the design have of their own beside it or in its place.
/// Sizing and everything after it are handed this; no list of things is read from anywhere else.
/// </summary>
public sealed class Inventory
{
    private readonly Dictionary<Type, IReadOnlyList<IThing>> _things;
    private readonly HashSet<(Type, string)> _own;

    private Inventory(Dictionary<Type, IReadOnlyList<IThing>> things, HashSet<(Type, string)> own) => (_things, _own) = (things, own);

    /// <summary>Every kind of things there is.</summary>
    public static IReadOnlyList<Kind> Kinds { get; } =
        [new FormatKind(), new ToolKind(), new StockKindOfThing(), new SheetKind(), new EnvelopeKind(), new AdhesiveKind(), new DieKind(), new CarrierKind(), new CorrectionKind(),
            new OwnedSheetKind(),
            new TipKind()];

    /// <summary>What ships with the app: data in the form that a person's own things have.</summary>
    public static Inventory Shipped { get; } = ReadShipped();

    public static Kind? KindOf(string id) => Kinds.FirstOrDefault(k => k.Id == id);

    public IReadOnlyList<Format> Formats => All<Format>();

    public IReadOnlyList<Stock> Stocks => All<Stock>();

    public IReadOnlyList<ToolKit> Tools => All<ToolKit>();

    public IReadOnlyList<Sheet> Sheets => All<Sheet>();

    public IReadOnlyList<Envelope> Envelopes => All<Envelope>();

    public IReadOnlyList<Adhesive> Adhesives => All<Adhesive>();

    /// <summary>How long each act of a step takes.</summary>
    public Pace Pace { get; } = Pace.Estimated;

    /// <summary>What structural bonds are made with unless said otherwise.</summary>
    public Adhesive BondTape => Adhesives.First(a => a.Bonds);

    /// <summary>All of one type: what ships first, in its order, then one's own.</summary>
    public IReadOnlyList<T> All<T>() where T : class, IThing => (IReadOnlyList<T>)_things[typeof(T)];

    public IReadOnlyList<IThing> All(Kind kind) => _things[kind.Type];

    public T? Find<T>(string id) where T : class, IThing => All<T>().FirstOrDefault(t => t.Id == id);

    /// <summary>Whether it is somebody's own, and did not ship like this.</summary>
    public bool IsOwn(IThing thing) => _own.Contains((thing.GetType(), thing.Id));

    /// <summary>The dies of one set that go round another of it and are there, the smallest first.</summary>
    public IEnumerable<Die> LargerThan(Die die)
    {
        ArgumentNullException.ThrowIfNull(die);
        return All<Die>().Where(d => d.IsOwned && d.Family is not null && d.Family == die.Family && d.Shape == die.Shape && d.Width > die.Width
            && d.Height > die.Height).OrderBy(d => d.Width.Units * d.Height.Units);
    }

    /// <summary>The tools that a format of a system is made with unless said otherwise.</summary>
    public ToolKit DefaultToolsFor(UnitSystem system) => Tools.First(t => t.System == system);

    /// <summary>The sheet that a person of a system takes without a thought.</summary>
    public Sheet EverydaySheet(UnitSystem system) => Sheets.First(s => s.System == system);

    /// <summary>The envelope for a closed card: of the system first, then the one it goes into best, then the smallest; null where one has to be made.</summary>
    /// <param name="need">What its thickness takes in each direction beside its size.</param>
    public (Envelope Envelope, EnvelopeGrade Grade)? EnvelopeFor(Length width, Length height, (Length Across, Length Along) need, UnitSystem system) =>
        Envelopes.Select(e => (Envelope: e, Grade: e.GradeFor(width, height, need)))
            .Where(e => e.Grade is not null)
            .OrderBy(e => e.Envelope.System == system ? 0 : 1)
            .ThenBy(e => e.Grade)
            .ThenBy(e => e.Envelope.Width.Units * e.Envelope.Height.Units)
            .Select(e => ((Envelope, EnvelopeGrade)?)(e.Envelope, e.Grade!.Value))
            .FirstOrDefault();

    /// <summary>What is added to an allowance for a piece of a stock: by its own correction, or else by one for every stock.</summary>
    public Length CorrectionOf(AllowanceKind kind, Stock stock)
    {
        var corrections = All<Correction>();
        return (corrections.FirstOrDefault(c => c.Kind == kind && c.Stock == stock.Id) ?? corrections.FirstOrDefault(c => c.Kind == kind && c.Stock is null))?.By ?? Length.Zero;
    }

    /// <summary>The same with more things; one with the id of another takes its place.</summary>
    /// <param name="written">By kind, as they are written down; null for none.</param>
    /// <exception cref="InputProblemException">A kind or a thing is not understood.</exception>
    public Inventory With(IReadOnlyDictionary<string, IReadOnlyList<JsonObject>>? written, string place = "own")
    {
        if (written is null || written.Count == 0)
        {
            return this;
        }

        var things = new Dictionary<Type, IReadOnlyList<IThing>>(_things);
        var own = new HashSet<(Type, string)>(_own);
        foreach (var (name, list) in written)
        {
            var kind = KindOf(name) ?? throw new InputProblemException("own.kind", $"{place}.{name}", $"“{name}” is no kind of thing", string.Join(", ", Kinds.Select(k => k.Id)));
            var read = list.Select((one, i) => kind.Read(JsonSerializer.SerializeToElement(one), $"{place}.{name}[{i}]")).ToList();
            things[kind.Type] = Merged(kind.Type, things[kind.Type], read);
            own.UnionWith(read.Select(t => (kind.Type, t.Id)));
        }

        return new Inventory(things, own);
    }

    /// <summary>The same with some of them put away; it changes only what is used without being asked for, such as a tip.</summary>
    public Inventory Without(IEnumerable<(string Kind, string Id)> away)
    {
        ArgumentNullException.ThrowIfNull(away);
        var things = new Dictionary<Type, IReadOnlyList<IThing>>(_things);
        foreach (var (name, id) in away)
        {
            if (KindOf(name) is { } kind && things[kind.Type].FirstOrDefault(t => t.Id == id) is { } thing
                && kind.WhenAway(thing) is { } off)
            {
                things[kind.Type] = Merged(kind.Type, things[kind.Type], [off]);
            }
        }

        return new Inventory(things, _own);
    }

    /// <summary>Those that were there, some of them replaced, then the new ones.</summary>
    private static IReadOnlyList<IThing> Merged(Type type, IReadOnlyList<IThing> had, List<IThing> read)
    {
        var all = had.Select(t => read.LastOrDefault(r => r.Id == t.Id) ?? t).Concat(read.Where(r => had.All(t => t.Id != r.Id)).DistinctBy(r => r.Id)).ToArray();
        var typed = Array.CreateInstance(type, all.Length);
        Array.Copy(all, typed, all.Length);
        return (IReadOnlyList<IThing>)typed;
    }

    private static Inventory ReadShipped()
    {
        var nothing = Kinds.ToDictionary(k => k.Type, k => Merged(k.Type, [], []));
        var assembly = typeof(Inventory).Assembly;
        var written = Kinds.ToDictionary(k => k.Id, k => ShippedOf(assembly, k));
        return new Inventory(new Inventory(nothing, []).With(written, "shipped")._things, []);
    }

    private static IReadOnlyList<JsonObject> ShippedOf(Assembly assembly, Kind kind)
    {
        using var stream = assembly.GetManifestResourceStream($"shipped.{kind.Id}.json");
        return stream is null ? [] : JsonSerializer.Deserialize<List<JsonObject>>(stream)!;
    }
}
