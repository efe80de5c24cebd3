using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Designs;

/// <summary>A design that was read, with the unit its owner reads in.</summary>
public sealed record ReadDesign(Design Design, Target Target, DisplayUnit Unit);

/// <summary>Turns what was written down into a design, refusing what is not understood with the place and an example.</summary>
/// <param name="catalogue">The constructions there are.</param>
/// <param name="inventory">What is to hand, beside what a design carries.</param>
public sealed class DesignReader(Catalogue catalogue, Inventory inventory)
{
    private const int LongestName = 80;
    private const string Turned = ":turned";

    public Catalogue Catalogue { get; } = catalogue;

    public Inventory Inventory { get; } = inventory;

    /// <exception cref="InputProblemException">Something is unknown or out of range.</exception>
    public ReadDesign Read(DesignSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        if (spec.WholeFold != DesignSpec.Newest)
        {
            throw new InputProblemException("design.version", "wholeFold", $"a design of version {spec.WholeFold} is not understood here", $"{DesignSpec.Newest}; a file of an older version is brought up when it is opened");
        }

        var hand = Inventory.With(spec.Own);
        var family = FamilyOf(spec);
        var home = new Target(FormatOf(spec.Format, "format", hand, BareUnit(spec)), spec.Turn);
        var target = spec.Target is null ? home : new Target(FormatOf(spec.Target, "target", hand, BareUnit(spec)), spec.TargetTurn);
        var unit = spec.Units is null ? home.Format.System.UnitOf() : UnitReader.Read(spec.Units, "units");
        if (spec.Tools is not null)
        {
            Known<ToolKit>(hand, spec.Tools, "tools.unknown", "tools", "a tool set");
        }

        if (spec.Guest is not null)
        {
            Known<ToolKit>(hand, spec.Guest, "tools.unknown", "guest", "a tool set");
        }

        if (spec.Name.Length > LongestName || spec.Name.Any(char.IsControl))
        {
            throw new InputProblemException("name.length", "name", spec.Name.Length > LongestName ? $"the name has {spec.Name.Length} characters" : "there are control marks in the name", $"1 to {LongestName} characters, such as “Comet supper”");
        }

        var choices = new Dictionary<string, string>();

        // A plain text was set with the design's tools, or else with those of its unit.
        var plain = spec.Tools ?? hand.DefaultToolsFor(unit.SystemOf()).Id;
        Dictionary<string, HandFigure> Hand(IReadOnlyDictionary<string, WrittenFigure> set, IReadOnlyList<Choice> known, string place) =>
            ReadFigures(set.Select(s => (s.Key, s.Value.Value)), unit, known, choices, place).ToDictionary(f => f.Key, f => new HandFigure(f.Value, set[f.Key].Tools ?? plain));
        var sets = Hand(spec.Set, family.Choices, "set");
        var locks = ReadFigures(spec.Lock.Select(l => (l.Key, l.Value)), unit, [], [], "lock");
        var adjustments = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>>();
        foreach (var (key, set) in spec.Adjustments)
        {
            adjustments[KeyOf(key, hand)] = Hand(set, [], $"adjustments.{key}");
        }

        var construction = family.For(choices);
        if (construction.Refused is { } refused)
        {
            throw new InputProblemException("choice.together", "set", refused, string.Join(", ", family.Choices.Select(c => $"{c.Id}: {string.Join(" or ", c.Options)}")));
        }

        foreach (var (place, name) in locks.Keys.Select(p => ("lock", p)).Concat(sets.Keys.Select(p => ("set", p))).Concat(adjustments.SelectMany(a => a.Value.Keys.Select(p => ($"adjustments.{a.Key}", p)))))
        {
            if (construction.Parameters.All(p => p.Id != name))
            {
                throw new InputProblemException("parameter.unknown", place, $"{family.Id} has no parameter “{name}”", construction.WhatCanBeSet);
            }
        }

        var design = new Design
        {
            Family = family,
            Home = home,
            Inventory = hand,
            Tools = spec.Tools,
            Guest = spec.Guest,
            Prefer = PreferencesOf(spec.Prefer),
            Blank = BlankOf(spec.Blank, construction, family),
            Sheets = [.. spec.Sheets.Select(s => Known<Sheet>(hand, s, "sheet.unknown", "sheets", "a sheet")).DistinctBy(s => s.Id)],
            Stock = StockOf(hand, spec.Stock, spec.Caliper, "stock"),
            LayerStock = StockOf(hand, spec.LayerStock, null, "layerStock"),
            MatStock = StockOf(hand, spec.MatStock, null, "matStock"),
            PieceStocks = spec.PieceStocks.ToDictionary(p => p.Key, p => construction.Pieces.Any(q => q.Id == p.Key)
                ? StockOf(hand, p.Value, null, $"pieceStocks.{p.Key}")
                : throw new InputProblemException("piece.unknown", $"pieceStocks.{p.Key}", $"{family.Id} has no piece “{p.Key}”", string.Join(", ", construction.Pieces.Select(q => q.Id)))),
            Adhesive = Known<Adhesive>(hand, spec.Adhesive, "adhesive.unknown", "adhesive", "an adhesive"),
            Grain = spec.Grain switch
            {
                null => Grain.Unknown,
                "long" => Grain.Long,
                "short" => Grain.Short,
                _ => throw new InputProblemException("grain.unknown", "grain", $"“{spec.Grain}” is no way for a grain to run", "long or short, by the sheet's longer side"),
            },
            Reveal = RevealOf(spec.Reveal, unit),
            Order = spec.Order switch
            {
                "assemble" => MakingOrder.AssembleFirst,
                "decorate" => MakingOrder.DecorateFirst,
                _ => throw new InputProblemException("order.unknown", "order", $"“{spec.Order}” is no order of work", "assemble (papers go on at last) or decorate (papers go on while it is flat)"),
            },
            Priority = spec.Priority switch
            {
                "format" => Priority.Format,
                "board" => Priority.Board,
                "proportions" => Priority.Proportions,
                _ => throw new InputProblemException("priority.unknown", "priority", $"“{spec.Priority}” is not a priority", "format, board or proportions"),
            },
            Opens = WayItOpens.Of(family, family.For(choices), spec.Opens),
            NamedByShown = spec.NamedBy switch
            {
                "closed" => false,
                "shown" => true,
                _ => throw new InputProblemException("namedBy.unknown", "namedBy", $"“{spec.NamedBy}” is nothing that a format names", "closed (the card put away) or shown (what one sees of it when it stands)"),
            },
            Choices = choices,
            Sets = sets,
            Locks = locks,
            Adjustments = adjustments,
            Dressing = spec.Dressing is { IsBare: false } dressing ? new DressingReader(construction, hand, unit).Read(dressing, StockOf(hand, spec.MatStock, null, "matStock")) : Dressing.None,
        };
        return new ReadDesign(design, target, unit);
    }

    /// <summary>The construction of a design, whatever else of it cannot be read.</summary>
    /// <exception cref="InputProblemException">There is no such construction.</exception>
    public ConstructionFamily FamilyOf(DesignSpec spec) => Find(spec) ?? throw new InputProblemException(
        "construction.unknown", "construction", spec.Construction.Length == 0 ? "no construction is given" : $"“{spec.Construction}” is not a construction", string.Join(", ", Catalogue.All.Select(c => c.Id)));

    /// <summary>The construction of a design: of the library, or the design's own; null where there is neither.</summary>
    /// <exception cref="InputProblemException">The design's own is none that can be worked with.</exception>
    public ConstructionFamily? Find(DesignSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        if (spec.Made is not { } made)
        {
            return Catalogue.Find(spec.Construction);
        }

        return Catalogue.Find(made.Id) is not null ? throw new InputProblemException("made.taken", "made.id", $"“{made.Id}” is the name of a construction on the shelf", "a name of its own, such as own-fold")
            : made.Id != spec.Construction ? throw new InputProblemException("made.other", "made.id", $"the design is of “{spec.Construction}”, and what it brings along is “{made.Id}”", "the same name in both places")
            : MadeConstructions.Read(made);
    }

    /// <summary>The choices of a design that can be read.</summary>
    internal IReadOnlyDictionary<string, string> ChoicesOf(DesignSpec spec) =>
        Find(spec)?.Choices.Where(c => spec.Set.TryGetValue(c.Id, out var chosen) && c.Options.Contains(chosen.Value)).ToDictionary(c => c.Id, c => spec.Set[c.Id].Value) ?? [];

    /// <summary>The unit that a design's owner reads in, as far as it can be told.</summary>
    public DisplayUnit UnitOf(DesignSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return spec.Units is "in" or "cm" or "mm" ? UnitReader.Read(spec.Units, "units")
            : FormatReader.Read(spec.Format, Inventory.With(spec.Own).Formats, out _) is { } home ? home.System.UnitOf() : DisplayUnit.Inch;
    }

    /// <summary>The id of the tools that a design is made with: its own, or those of the system of a format.</summary>
    /// <param name="key">home, or the key of a format; the one that it is being made in where null.</param>
    public string ToolsInUse(DesignSpec spec, string? key)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var hand = Inventory.With(spec.Own);
        var written = key switch { null => spec.Target ?? spec.Format, DesignEdit.Home => spec.Format, _ => key.EndsWith(Turned, StringComparison.Ordinal) ? key[..^Turned.Length] : key };
        return spec.Tools ?? hand.DefaultToolsFor(FormatReader.Read(written, hand.Formats, out _)?.System ?? UnitOf(spec).SystemOf()).Id;
    }

    /// <summary>The same with the tools named beside each figure that was set with the design's own, so that they may change.</summary>
    public DesignSpec NamingTools(DesignSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var family = Find(spec);
        var plain = spec.Tools ?? Inventory.With(spec.Own).DefaultToolsFor(UnitOf(spec).SystemOf()).Id;
        bool IsPlain(KeyValuePair<string, WrittenFigure> figure) => figure.Value.Tools is null && family?.Choices.Any(c => c.Id == figure.Key) != true;
        IReadOnlyDictionary<string, WrittenFigure> Named(IReadOnlyDictionary<string, WrittenFigure> set) => set.ToDictionary(f => f.Key, f => IsPlain(f) ? f.Value with { Tools = plain } : f.Value);
        return spec.Set.Any(IsPlain) || spec.Adjustments.Values.Any(a => a.Any(IsPlain))
            ? spec with { Set = Named(spec.Set), Adjustments = spec.Adjustments.ToDictionary(a => a.Key, a => Named(a.Value)) } : spec;
    }

    /// <summary>A format as it was typed, so written that it stays the same in every unit: a size that names no unit is in the
    /// design's.</summary>
    /// <exception cref="InputProblemException">It is no format, or its name stands for several.</exception>
    public string FormatAsTyped(string text, DesignSpec spec, string field = "format")
    {
        ArgumentNullException.ThrowIfNull(spec);
        var hand = Inventory.With(spec.Own);
        return FormatReader.Read(text, hand.Formats, out _) is not null ? text : FormatOf(text, field, hand, BareUnit(spec)).Id;
    }

    /// <summary>The key under which figures were adjusted for a format, however that was written.</summary>
    internal string KeyAsTyped(string written) => KeyOf(written, Inventory);

    /// <summary>What a format is called; as it is written where it has no name.</summary>
    public string NameOf(string format) => FormatReader.Read(format, Inventory.Formats, out _)?.Name ?? format;

    /// <summary>What a bare figure of a design's format is in.</summary>
    private static DisplayUnit BareUnit(DesignSpec spec) => spec.Units is "in" or "cm" or "mm" ? UnitReader.Read(spec.Units, "units") : DisplayUnit.Inch;

    private static Format FormatOf(string? text, string field, Inventory hand, DisplayUnit? bare = null) =>
        FormatReader.Read(text, hand.Formats, out var reason, bare) ?? throw new InputProblemException("format.unknown", field,
            reason!, FormatReader.Accepted);

    /// <summary>The key of a format that a figure was adjusted for: its id, or its size, and whether it is turned.</summary>
    /// <exception cref="InputProblemException">It is no format.</exception>
    private static string KeyOf(string written, Inventory hand)
    {
        var turn = written.EndsWith(Turned, StringComparison.Ordinal);
        return new Target(FormatOf(turn ? written[..^Turned.Length] : written, $"adjustments.{written}", hand), turn).Key;
    }

    private static T Known<T>(Inventory hand, string id, string code, string field, string what) where T : class, IThing =>
        hand.Find<T>(id) ?? throw new InputProblemException(code, field, $"“{id}” is not {what}", string.Join(", ", hand.All<T>().Select(t => t.Id)));

    private static Preferences PreferencesOf(IReadOnlyList<string> names) => names.Aggregate(Preferences.None, (prefer, name) =>
        Preferences.All.FirstOrDefault(p => p.Id == name).With is { } with ? with(prefer)
            : throw new InputProblemException("prefer.unknown", "prefer", $"“{name}” is not a preference", string.Join(", ", Preferences.All.Select(p => p.Id))));

    private static Blank? BlankOf(string? written, Construction construction, ConstructionFamily family)
    {
        if (written is null)
        {
            return null;
        }

        var size = FormatReader.Read(written, [], out var reason) ?? throw new InputProblemException("blank.unreadable", "blank", reason!, Blank.Accepted);
        return Blank.In(construction) is var (piece, spine) ? new Blank(size.Width, size.Height, piece, spine)
            : throw new InputProblemException("blank.none", "blank", $"{family.Name.ToLowerInvariant()} does not begin with a bought blank: none of its pieces is a sheet folded once in the middle", "a construction such as plain-fold, or no blank");
    }

    private static Stock StockOf(Inventory hand, string id, string? caliper, string field)
    {
        var stock = Known<Stock>(hand, id, "stock.unknown", field, "a stock");
        if (caliper is null)
        {
            return stock;
        }

        return CaliperReader.TryRead(caliper, out var read, out var reason)
            ? stock with { Caliper = read.Caliper, Grammage = read.Grammage ?? stock.Grammage }
            : throw new InputProblemException("caliper.unreadable", "caliper", reason!, CaliperReader.Accepted);
    }

    private static Reveal RevealOf(string text, DisplayUnit unit)
    {
        if (Reveal.ById(text) is { } known)
        {
            return known;
        }

        const string accepted = "thin, standard, framed, wide, flush, or a width up to 1 in, such as 1/8in or 3mm";
        var width = LengthReader.Read(text, unit, "reveal", accepted);
        return width <= Length.In(1) ? Reveal.Custom(width) : throw new InputProblemException("reveal.range", "reveal", $"a border of {text} is more than an inch", accepted);
    }

    private static Dictionary<string, Length> ReadFigures(IEnumerable<(string Name, string Text)> set, DisplayUnit unit, IReadOnlyList<Choice> choices, Dictionary<string, string> chosen, string place)
    {
        var figures = new Dictionary<string, Length>();
        foreach (var (name, text) in set)
        {
            if (choices.FirstOrDefault(c => c.Id == name) is { } choice)
            {
                chosen[name] = choice.Options.Contains(text) ? text : throw new InputProblemException("choice.unknown", $"{place}.{name}", $"“{text}” is not one of its choices", string.Join(" or ", choice.Options));
            }
            else
            {
                figures[name] = LengthReader.Read(text, unit, $"{place}.{name}", null);
            }
        }

        return figures;
    }
}
