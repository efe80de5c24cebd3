using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Designs;

/// <summary>
/// A change of a design: the one vocabulary in which interface, command line, remedies and checks' fixes say what is to be
/// different, and in which history remembers it.
/// </summary>
/// <remarks>
/// An edit is applied to a design as it is written down, so that one that cannot be read at the moment (its stock was taken
/// out of the drawer) can still be mended by one. Applying the inverse brings back what was there.
/// </remarks>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "edit")]
[JsonDerivedType(typeof(SetFigure), "set")]
[JsonDerivedType(typeof(LockFigure), "lock")]
[JsonDerivedType(typeof(FreeFigure), "free")]
[JsonDerivedType(typeof(Choose), "choose")]
[JsonDerivedType(typeof(ConvertTo), "convert")]
[JsonDerivedType(typeof(MakeHome), "home")]
[JsonDerivedType(typeof(BeginIn), "begin")]
[JsonDerivedType(typeof(Take), "take")]
[JsonDerivedType(typeof(CutFrom), "cutFrom")]
[JsonDerivedType(typeof(Prefer), "prefer")]
[JsonDerivedType(typeof(UseSheets), "useSheets")]
[JsonDerivedType(typeof(ShowIn), "showIn")]
[JsonDerivedType(typeof(Wear), "wear")]
[JsonDerivedType(typeof(CutWindow), "window")]
[JsonDerivedType(typeof(PutOn), "element")]
[JsonDerivedType(typeof(Shape), "contour")]
[JsonDerivedType(typeof(Tie), "soft")]
[JsonDerivedType(typeof(MakeOwn), "makeOwn")]
[JsonDerivedType(typeof(BuildExtent), "extent")]
[JsonDerivedType(typeof(BuildCrease), "crease")]
[JsonDerivedType(typeof(SplitPanel), "split")]
[JsonDerivedType(typeof(JoinPanels), "join")]
[JsonDerivedType(typeof(MoveCrease), "moveCrease")]
[JsonDerivedType(typeof(AddPiece), "addPiece")]
[JsonDerivedType(typeof(RemovePiece), "removePiece")]
[JsonDerivedType(typeof(BuildWindow), "panelWindow")]
[JsonDerivedType(typeof(BuildParameter), "parameter")]
[JsonDerivedType(typeof(BuildBond), "bond")]
[JsonDerivedType(typeof(Replace), "replace")]
public abstract record DesignEdit
{
    /// <summary>Stands for a design's home, where an edit says for which format it is.</summary>
    public const string Home = "home";

    /// <summary>What an edit may look like.</summary>
    public const string Accepted = """an edit such as {"edit": "set", "parameter": "centre", "value": "1 in"} or {"edit": "convert", "format": "a6-us"}""";

    /// <summary>The design with it done.</summary>
    /// <exception cref="InputProblemException">There is no such thing to change.</exception>
    public abstract DesignSpec Apply(DesignSpec design, DesignReader reader);

    /// <summary>What it does, in a few words: undo shows them.</summary>
    public abstract Words Describe(DesignSpec before, DesignReader reader);

    /// <summary>What takes it back.</summary>
    public abstract DesignEdit Inverse(DesignSpec before, DesignReader reader);

    /// <summary>Reads NAME=VALUE: a parameter or a choice of the design's construction, set by hand.</summary>
    /// <param name="hard">Whether it is locked rather than set.</param>
    /// <param name="field">Where it was given.</param>
    /// <exception cref="InputProblemException">It is not of that form, or there is no such name.</exception>
    public static DesignEdit Parse(string text, bool hard, DesignSpec design, DesignReader reader, string field)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(reader);
        var at = text.IndexOf('=', StringComparison.Ordinal);
        if (at <= 0 || at == text.Length - 1)
        {
            throw new InputProblemException("set.unreadable", field, $"“{text}” is not NAME=VALUE", $"a parameter and its value, such as {field} centre=1in");
        }

        var (name, value) = (text[..at].Trim(), text[(at + 1)..].Trim());
        return reader.FamilyOf(design).Choices.Any(c => c.Id == name) ? new Choose(name, value) : hard ? new LockFigure(name, value) : new SetFigure(name, value);
    }

    /// <summary>Several, one after the other.</summary>
    public static DesignSpec Apply(IEnumerable<DesignEdit> edits, DesignSpec design, DesignReader reader) => edits.Aggregate(design, (d, e) => e.Apply(d, reader));

    /// <summary>What takes several back, in the order to be applied in.</summary>
    public static IReadOnlyList<DesignEdit> InverseOf(IEnumerable<DesignEdit> edits, DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(edits);
        var back = new List<DesignEdit>();
        foreach (var edit in edits)
        {
            back.Insert(0, edit.Inverse(before, reader));
            before = edit.Apply(before, reader);
        }

        return back;
    }

    /// <summary>The key of the format that the design is being made in; <see cref="Home"/> at home.</summary>
    protected static string KeyOf(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        string Key(string format, bool turn) => FormatReader.Read(format, reader.Inventory.With(design.Own).Formats, out _) is { } known ? new Target(known, turn).Key : format;
        return design.Target is null || Key(design.Target, design.TargetTurn) == Key(design.Format, design.Turn) ? Home : Key(design.Target, design.TargetTurn);
    }

    /// <summary>The name of a parameter or a choice, or the id where the construction has none of it.</summary>
    protected static string NameOf(DesignSpec design, DesignReader reader, string id)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        if (reader.Find(design) is not { } family)
        {
            return id;
        }

        return family.For(reader.ChoicesOf(design)).Parameters.FirstOrDefault(p => p.Id == id)?.Name ?? family.Choices.FirstOrDefault(c => c.Id == id)?.Name ?? id;
    }

    /// <summary>The written figures of one format, changed; a format with none is not kept.</summary>
    private protected static DesignSpec WithFigures(DesignSpec design, string key, Action<Dictionary<string, WrittenFigure>> change)
    {
        var figures = new Dictionary<string, WrittenFigure>(key == Home ? design.Set : design.Adjustments.GetValueOrDefault(key) ?? new Dictionary<string, WrittenFigure>());
        change(figures);
        if (key == Home)
        {
            return design with { Set = figures };
        }

        var adjustments = design.Adjustments.Where(a => a.Key != key).ToDictionary(a => a.Key, a => a.Value);
        if (figures.Count > 0)
        {
            adjustments[key] = figures;
        }

        return design with { Adjustments = adjustments };
    }

    private protected static WrittenFigure? FigureOf(DesignSpec design, string key, string name) =>
        (key == Home ? design.Set : design.Adjustments.GetValueOrDefault(key))?.GetValueOrDefault(name);

    private protected static Dictionary<string, string> With(IReadOnlyDictionary<string, string> map, string name, string? value)
    {
        var next = map.Where(m => m.Key != name).ToDictionary(m => m.Key, m => m.Value);
        if (value is not null)
        {
            next[name] = value;
        }

        return next;
    }
}

/// <summary>Makes the design in a format: another one, or its home again.</summary>
/// <param name="Format">An id, or a size with its unit; null for the design's home.</param>
public sealed record ConvertTo([property: MaxLength(60)] string? Format, bool Turn = false) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        var format = Format is null ? null : reader.FormatAsTyped(Format, design, "target");
        var isHome = format is null || (format == design.Format && Turn == design.Turn);
        return design with { Target = isHome ? null : format, TargetTurn = !isHome && Turn };
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var format = FormatReader.Read(Format ?? before.Format, reader.Inventory.With(before.Own).Formats, out _);
        var name = format?.Name ?? Format ?? before.Format;
        var lies = format is not null && (Turn ? format.Height : format.Width) > (Turn ? format.Width : format.Height);
        return Format is null ? Words.Of($"home to {name}")
            : Format == (before.Target ?? before.Format) && Turn != (before.Target is null ? before.Turn : before.TargetTurn) ? Words.Of($"{name}, {(lies ? "laid on its side" : "stood upright")}")
            : Words.Of($"to {name}");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        var back = before.Target is null ? new ConvertTo(Format: null) : new ConvertTo(before.Target, before.TargetTurn);
        var again = back.Apply(before, reader);
        return again.Target == before.Target && again.TargetTurn == before.TargetTurn ? back : new Replace(before);
    }
}

/// <summary>Takes another tool set, stock, caliper, reveal and so on for the whole design.</summary>
/// <param name="What">tools, stock, caliper, blank, grain, layerStock, matStock, adhesive, reveal, priority, order, opens, namedBy or
/// name.</param>
/// <param name="Value">What is taken; null goes back to none where that is possible.</param>
public sealed record Take(string What, [property: MaxLength(80)] string? Value) : DesignEdit
{
    private sealed record Member(Func<DesignSpec, string?> Of, Func<DesignSpec, string?, DesignSpec> With, Func<string?, Inventory, Words> Say, bool MayBeNone = false);

    private static Words Named<T>(Inventory hand, string? id, string none) where T : class, IThing => Words.Of($"{(id is null ? none : hand.Find<T>(id)?.Name ?? id)}");

    private static readonly Dictionary<string, Member> Members = new()
    {
        ["tools"] = new(d => d.Tools, (d, v) => d with { Tools = v }, (v, h) => Named<ToolKit>(h, v, "the format’s own tools"), true),
        ["guest"] = new(d => d.Guest, (d, v) => d with { Guest = v }, (v, h) => Words.Of($"a guest with {Named<ToolKit>(h, v, "the other system’s board")}"), true),
        ["stock"] = new(d => d.Stock, (d, v) => d with { Stock = v! }, (v, h) => Named<Stock>(h, v, "")),
        ["caliper"] = new(d => d.Caliper, (d, v) => d with { Caliper = v }, (v, _) => Words.Of($"{(v is null ? "the stock’s usual caliper" : $"caliper {v}")}"), true),
        ["blank"] = new(d => d.Blank, (d, v) => d with { Blank = v }, (v, _) => Words.Of($"{(v is null ? "cut from a sheet again" : $"begun with a blank of {v}")}"), true),
        ["grain"] = new(d => d.Grain, (d, v) => d with { Grain = v }, (v, _) => Words.Of($"{(v is null ? "grain unknown" : $"grain {v}")}"), true),
        ["layerStock"] = new(d => d.LayerStock, (d, v) => d with { LayerStock = v! }, (v, h) => Named<Stock>(h, v, "").Add($" for layers")),
        ["matStock"] = new(d => d.MatStock, (d, v) => d with { MatStock = v! }, (v, h) => Named<Stock>(h, v, "").Add($" for mats")),
        ["adhesive"] = new(d => d.Adhesive, (d, v) => d with { Adhesive = v! }, (v, h) => Named<Adhesive>(h, v, "")),
        ["reveal"] = new(d => d.Reveal, (d, v) => d with { Reveal = v! }, (v, _) => Words.Of($"{v} reveal")),
        ["priority"] = new(d => d.Priority, (d, v) => d with { Priority = v! }, (v, _) => Words.Of($"{v switch { "board" => "keep to the grooves", "proportions" => "keep the proportions", _ => "keep the format" }}")),
        ["order"] = new(d => d.Order, (d, v) => d with { Order = v! }, (v, _) => Words.Of($"{(v == "decorate" ? "decorate, then assemble" : "assemble, then decorate")}")),
        ["opens"] = new(d => WayItOpens.Name(d.Opens), (d, v) => d with { Opens = WayItOpens.Read(v) }, (v, _) =>
            Words.Of($"{(v is null ? "opens as usual" : $"opens {v}")}"), true),
        ["namedBy"] = new(d => d.NamedBy, (d, v) => d with { NamedBy = v! }, (v, _) => Words.Of($"{(v == "shown" ? "the format names what is shown" : "the format names the closed card")}")),
        ["name"] = new(d => d.Name, (d, v) => d with { Name = v! }, (v, _) => Words.Of($"called “{v}”")),
    };

    private Member Its => Members.GetValueOrDefault(What) is { } member && (Value is not null || member.MayBeNone) ? member
        : throw new InputProblemException("edit.take", "what", Members.ContainsKey(What) ? $"{What} cannot be taken away" : $"“{What}” is nothing that can be taken", string.Join(", ", Members.Keys));

    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        return Its.With(What == "tools" ? reader.NamingTools(design) : design, Value);
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        return Its.Say(Value, reader.Inventory.With(before.Own));
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        return What == "tools" && !ReferenceEquals(reader.NamingTools(before), before) ? new Replace(before) : new Take(What, Its.Of(before));
    }
}

/// <summary>Cuts one piece from a stock of its own; from the design's card again where none is given.</summary>
public sealed record CutFrom(string Piece, string? Stock) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        return design with { PieceStocks = With(design.PieceStocks, Piece, Stock) };
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var name = reader.Find(before)?.For().Pieces.FirstOrDefault(p => p.Id == Piece)?.Name ?? Piece;
        return Stock is null ? Words.Of($"{name} from the card again") : Words.Of($"{name} from {reader.Inventory.With(before.Own).Find<Stock>(Stock)?.Name ?? Stock}");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        return new CutFrom(Piece, before.PieceStocks.GetValueOrDefault(Piece));
    }
}

/// <summary>How figures are liked to be set.</summary>
/// <param name="Preference">no-sixteenths, one-stop, mountains-from-behind, with-ruler or whole-sheet.</param>
public sealed record Prefer(string Preference, bool On = true) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        return design with { Prefer = On ? [.. design.Prefer.Where(p => p != Preference), Preference] : [.. design.Prefer.Where(p => p != Preference)] };
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        var known = Preferences.All.FirstOrDefault(p => p.Id == Preference);
        return On ? Words.Of($"{known.Does ?? Preference}") : Words.Of($"no more “{known.Name ?? Preference}”");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        return before.Prefer.Contains(Preference) ? new Prefer(Preference) : new Prefer(Preference, On: false);
    }
}

/// <summary>Says which sheets are there; none for all the usual ones.</summary>
/// <param name="Sheets">Their ids.</param>
public sealed record UseSheets(IReadOnlyList<string> Sheets) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        return design with { Sheets = Sheets };
    }

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var hand = reader.Inventory.With(before.Own);
        return Sheets.Count == 0 ? Words.Of($"from any sheet") : Words.Of($"from {string.Join(" or ", Sheets.Select(s => hand.Find<Sheet>(s)?.Name ?? s))}");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        return new UseSheets(before.Sheets);
    }
}

/// <summary>The unit that figures are read and typed in, and whether the other system stands beside.</summary>
/// <param name="Units">in, cm or mm; null for that of the home format.</param>
public sealed record ShowIn(string? Units, bool Both = false) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        return design with
        {
            Units = Units,
            BothSystems = Both,
            Format = reader.FormatAsTyped(design.Format, design),
            Target = design.Target is null ? null : reader.FormatAsTyped(design.Target, design),
        };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Both ? Words.Of($"both systems") : Words.Of($"in {Units ?? "its own units"}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        return before.Format == reader.FormatAsTyped(before.Format, before) ? new ShowIn(before.Units, before.BothSystems)
            : new Replace(before);
    }
}

/// <summary>The whole design as it is given: read from a file, or put back.</summary>
public sealed record Replace(DesignSpec Design) : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) => Design;

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"put back");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => new Replace(before);
}
