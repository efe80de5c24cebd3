using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Designs;

/// <summary>Turns what was written down of a dressing into one, refusing what is not understood with the place and an example.</summary>
internal sealed class DressingReader(Construction construction, Inventory hand, DisplayUnit unit)
{
    /// <summary>The most of each that one card carries.</summary>
    public const int Most = 80;

    /// <summary>The deepest that papers lie on each other.</summary>
    public const int MostLevels = 4;

    private static readonly Length Largest = Length.In(24), Least = Length.Mm(1), Tallest = Length.Mm(30);

    private const string PlaceExample = """{"anchor": "head", "from": [{"edge": "head", "distance": "1 in"}]}""";

    /// <exception cref="InputProblemException">Something is unknown or out of range.</exception>
    public Dressing Read(DressingSpec written, Stock elementStock)
    {
        Few(written.Layers.Count, "layers");
        Few(written.Windows.Count, "windows");
        Few(written.Elements.Count, "elements");
        Few(written.Contours.Count, "contours");
        Few(written.Soft.Count, "soft");
        IReadOnlyList<WornLayer> layers = [.. written.Layers.Select((l, i) => Layer(l, $"dressing.layers[{i}]"))];
        var twice = written.Layers.GroupBy(l => (l.Role, l.Level)).FirstOrDefault(g => g.Count() > 1);
        if (twice is not null)
        {
            throw new InputProblemException("layer.twice", "dressing.layers", $"level {twice.Key.Level} of {twice.Key.Role} stands here twice", "one entry for each role and level");
        }

        Alone(written.Windows.Select(w => w.Id), "windows");
        Alone(written.Elements.Select(e => e.Id), "elements");
        Alone(written.Contours.Select(c => c.Id), "contours");
        Alone(written.Soft.Select(s => s.Id), "soft");
        var windows = new List<Window>();
        foreach (var (window, i) in written.Windows.Select((w, i) => (w, i)))
        {
            windows.Add(WindowOf(window, $"dressing.windows[{i}]", windows));
        }

        return new Dressing(
            layers,
            windows,
            [.. written.Elements.Select((e, i) => ElementOf(e, $"dressing.elements[{i}]", windows, elementStock))],
            [.. written.Contours.Select((c, i) => ContourOf(c, $"dressing.contours[{i}]"))],
            [.. written.Soft.Select((s, i) => SoftOf(s, $"dressing.soft[{i}]"))]);
    }

    private static void Few(int count, string what)
    {
        if (count > Most)
        {
            throw new InputProblemException("dressing.many", $"dressing.{what}", $"there are {count} of them", $"at most {Most}");
        }
    }

    private static void Alone(IEnumerable<string> ids, string what)
    {
        foreach (var group in ids.GroupBy(i => i))
        {
            if (group.Count() > 1)
            {
                throw new InputProblemException("dressing.twice", $"dressing.{what}", $"“{group.Key}” stands here twice", "an id for each");
            }

            if (group.Key.Length is 0 or > 40 || !group.Key.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c is '-' or '.'))
            {
                throw new InputProblemException("dressing.id", $"dressing.{what}", group.Key.Length == 0 ? "there is no id" : $"“{group.Key}” cannot be an id", "small letters, digits and hyphens, such as comet");
            }
        }
    }

    /// <summary>A role of the construction, or one face by its plate and side.</summary>
    private string Role(string role, string field)
    {
        if (construction.Layers.Any(l => l.Id == role || (l.BothFaces && $"{l.Id}{LayerRole.OtherFace}" == role)))
        {
            return role;
        }

        // base.back.up, or pillar1:2.front.up for one of several pieces cut alike.
        if (role.Split('.') is [var copy, var plate, "up" or "down"] && construction.Pieces.FirstOrDefault(p => p.Id == copy.Split(':')[0]) is { } piece
            && (copy == piece.Id || piece.Copies.Any(c => c.ToString() == copy)) && (piece.OwnPlates?.Any(p => p.Id == plate) ?? piece.Panels.Any(p => p.Id == plate)))
        {
            return role;
        }

        var roles = construction.Layers.SelectMany(l => l.BothFaces ? new[] { l.Id, $"{l.Id}{LayerRole.OtherFace}" } : [l.Id]);
        var first = construction.Pieces[0];
        throw new InputProblemException("role.unknown", field, $"“{role}” is no face of this card", $"{string.Join(", ", roles)}, or a single face such as {first.Id}.{first.OwnPlates?[0].Id ?? first.Panels[0].Id}.up");
    }

    private WornLayer Layer(LayerSpec written, string place)
    {
        if (written.Level is < 1 or > MostLevels)
        {
            throw new InputProblemException("layer.level", $"{place}.level", $"{written.Level} is no level", $"1 (on the card) to {MostLevels}");
        }

        Length? Border(WrittenLength? length, string side) => length is null ? null : Within(length, $"{place}.reveal.{side}", Length.Zero, Length.In(2), "a border");
        return new WornLayer(
            Role(written.Role, $"{place}.role"), written.Level, written.Stock is null ? null : StockOf(written.Stock, $"{place}.stock"), written.Worn,
            Border(written.Reveal?.X, "x"), Border(written.Reveal?.Y, "y"),
            written.Under switch
            {
                null => null,
                "free" => Under.Free,
                "first" => Under.First,
                _ => throw new InputProblemException("layer.under", $"{place}.under", $"“{written.Under}” is no habit", "free (the layer ends at what is bonded there) or first (it goes on first and runs under it)"),
            },
            written.Write);
    }

    private Window WindowOf(WindowSpec written, string place, IReadOnlyList<Window> before)
    {
        var die = written.Die is null ? null : hand.Find<Die>(written.Die) ?? throw new InputProblemException("die.unknown", $"{place}.die", $"there is no die “{written.Die}”", string.Join(", ", hand.All<Die>().Select(d => d.Id)));
        if (written.Family is { } family && hand.All<Die>().All(d => d.Family != family))
        {
            throw new InputProblemException("die.family", $"{place}.family", $"no set of dies is called “{family}”", string.Join(", ", hand.All<Die>().Select(d => d.Family).OfType<string>().Distinct()));
        }

        var inner = written.Around is not { } around ? null : before.FirstOrDefault(w => w.Id == around)
            ?? throw new InputProblemException("window.around", $"{place}.around", $"there is no window “{around}” before it", before.Count == 0 ? "the id of a window that is listed before it" : string.Join(", ", before.Select(w => w.Id)));
        if (inner is not null && (written.Place is not null || written.Role != inner.Role))
        {
            throw new InputProblemException("window.around", written.Place is not null ? $"{place}.place" : $"{place}.role", $"it is cut round {inner.Id} and has its middle there", $"no place of its own, and the same role, {inner.Role}");
        }

        if (die is null && written.Size is null && inner?.Die is { } own)
        {
            die = hand.LargerThan(own).FirstOrDefault() ?? throw new InputProblemException("window.around", place, $"{own.Name} is the largest die of its set that is there", "a die or a size of its own, such as \"size\": [\"3 in\", \"3 in\"]");
        }

        if (die is null && written.Size is null)
        {
            throw new InputProblemException("window.size", place, "it has neither a die nor a size", """a die, such as "die": "ring-2", or a size, such as "size": ["1 1/2 in", "2 in"]""");
        }

        var (width, height) = written.Size is { } size ? SizeOf(size, $"{place}.size") : (die!.Width, die.Height);
        if (die is not null && (width < die.Width || height < die.Height || (width > die.Width && height > die.Height)))
        {
            throw new InputProblemException("window.twice", $"{place}.size", $"{die.Name} passed twice makes its opening longer in one direction", "the die's own size in the other");
        }

        if (inner is not null && (width <= inner.Width || height <= inner.Height))
        {
            throw new InputProblemException("window.around", $"{place}.{(die is null ? "size" : "die")}", $"it is no larger than {inner.Id}, which it is cut round", $"more than {LengthWriter.Write(inner.Width, unit)} × {LengthWriter.WithUnit(inner.Height, unit)}");
        }

        if (written.Through?.FirstOrDefault(l => l is < 0 or > MostLevels, -1) is { } level and not -1)
        {
            throw new InputProblemException("window.through", $"{place}.through", $"{level} is no level", $"0 (the card) to {MostLevels}");
        }

        return new Window(
            written.Id, Role(written.Role, $"{place}.role"), die,
            die?.Shape switch { DieShape.Rectangle => OutlineShape.Rectangle, DieShape.Circle => OutlineShape.Circle, DieShape.Oval => OutlineShape.Ellipse,
                _ => Shape(written.Shape, $"{place}.shape", polygon: false) },
            width, height, written.Through, Place(written.Place, $"{place}.place", before),
            written.Rule switch
            {
                "scale" => WindowRule.Scale,
                "fixed" => WindowRule.Fixed,
                "margins" => WindowRule.Margins,
                _ => throw new InputProblemException("window.rule", $"{place}.rule", $"“{written.Rule}” is no rule", "scale, fixed or margins"),
            },
            written.Family, written.Around);
    }

    private Element ElementOf(ElementSpec written, string place, IReadOnlyList<Window> windows, Stock stock)
    {
        if (written.Size is null)
        {
            throw new InputProblemException("element.size", $"{place}.size", "it has no size", """its width and height, such as ["1 1/8 in", "7/8 in"]""");
        }

        var shape = Shape(written.Shape, $"{place}.shape", polygon: true);
        const string outline = "an outline of 3 to 400 corners in shares of its size, such as [[0, 0], [1, 0], [0.5, 1]], or an SVG";
        if (written.Motif is { } motif && Motifs.Of(motif) is null)
        {
            throw new InputProblemException("element.motif", $"{place}.motif", $"there is no motif “{motif}”", string.Join(", ", Motifs.Names));
        }

        if (shape == OutlineShape.Polygon && written.Outline is null && written.Svg is null && written.Motif is null)
        {
            throw new InputProblemException("element.outline", place, "a polygon needs its outline, a drawing or a motif", outline);
        }

        if (written.Outline?.FirstOrDefault(c => c.Count != 2) is not null)
        {
            throw new InputProblemException("element.outline", $"{place}.outline", "a corner is two numbers", outline);
        }

        var corners = shape != OutlineShape.Polygon ? [] : written.Outline is { } points
            ? SvgOutline.Shares([.. points.Select(p => (p[0], p[1]))], $"{place}.outline", outline, turned: false, out _)
            : written.Svg is { } svg ? SvgOutline.Read(svg, $"{place}.svg").Corners : Motifs.Of(written.Motif!)!.Corners;
        var (width, height) = SizeOf(written.Size, $"{place}.size");
        return new Element(
            written.Id, written.Name is { Length: > 0 } name ? name : written.Id.Replace('-', ' '), Role(written.Role, $"{place}.role"), shape, corners, width, height,
            written.Height is null ? Length.Zero : Within(written.Height, $"{place}.height", Length.Zero, Tallest, "a height off the face"), written.Fixed, Place(written.Place, $"{place}.place", windows),
            written.BondedOn is null ? null : Bonded(written.BondedOn, $"{place}.bondedOn"),
            written.Made switch
            {
                "stamped" => Made.Stamped,
                "printed" => Made.Printed,
                "die-cut" => Made.DieCut,
                "built-up" => Made.BuiltUp,
                "heat-embossed" => Made.HeatEmbossed,
                "lit" => Made.Lit,
                _ => throw new InputProblemException("element.made", $"{place}.made", $"“{written.Made}” is not known", "stamped, printed, heat-embossed, die-cut, built-up or lit"),
            },
            written.Stock is null ? stock : StockOf(written.Stock, $"{place}.stock"),
            written.Held switch
            {
                "face" => HeldBy.Face,
                "thread" => HeldBy.Thread,
                "strip" => HeldBy.Strip,
                "slide" => HeldBy.Slide,
                "lock" => HeldBy.Lock,
                "magnet" => HeldBy.Magnet,
                _ => throw new InputProblemException("element.held", $"{place}.held", $"“{written.Held}” is not known", "face, thread, strip, slide, lock or magnet"),
            },
            written.Motif, written.OverEdge);
    }

    /// <summary>The plate of the card that an element over several is held by; with or without its side.</summary>
    private string Bonded(string on, string field)
    {
        if (construction.Layers.FirstOrDefault(l => l.Id == on || l.Id + LayerRole.OtherFace == on) is { } role)
        {
            return $"{role.Piece}.{role.Panels[0]}";
        }

        var parts = on.Split('.');
        return parts is [_, _, "up" or "down"] or [_, _] && Role(parts.Length == 3 ? on : $"{on}.up", field) is not null ? $"{parts[0]}.{parts[1]}"
            : throw new InputProblemException("element.bondedOn", field, $"“{on}” is no part of this card", $"a part such as {construction.Pieces[0].Id}.{construction.Pieces[0].OwnPlates?[0].Id ?? construction.Pieces[0].Panels[0].Id}");
    }

    private Contour ContourOf(ContourSpec written, string place)
    {
        var shape = written.Shape switch
        {
            "roofs" => ContourShape.Roofs,
            "hills" => ContourShape.Hills,
            "waves" => ContourShape.Waves,
            "drawn" => ContourShape.Drawn,
            _ => throw new InputProblemException("contour.shape", $"{place}.shape", $"“{written.Shape}” is no contour", "roofs, hills, waves, or drawn with an SVG"),
        };
        if (shape == ContourShape.Drawn && written.Svg is null)
        {
            throw new InputProblemException("contour.svg", $"{place}.svg", "a drawn contour needs its drawing", SvgOutline.Accepted);
        }

        var height = written.Height is null ? Pair.Of(1, 2, 12m).For(unit.SystemOf()) : Within(written.Height, $"{place}.height", Least, Length.In(6), "a contour");
        return new Contour(written.Id, Role(written.Role, $"{place}.role"), shape, height,
            ToItsHighest(shape == ContourShape.Drawn ? Profile(SvgOutline.Read(written.Svg!, $"{place}.svg").Corners) : Profiles[shape]));
    }

    /// <summary>The height that is asked for is that of the highest point.</summary>
    private static IReadOnlyList<(double Along, double High)> ToItsHighest(IReadOnlyList<(double Along, double High)> line) =>
        line.Max(p => p.High) is var most and > 0 ? [.. line.Select(p => (p.Along, p.High / most))] : line;

    /// <summary>Roofs and towers; three hills; even waves: our own lines, in shares of width and height.</summary>
    private static readonly Dictionary<ContourShape, IReadOnlyList<(double, double)>> Profiles = new()
    {
        [ContourShape.Roofs] = [(0, 0.35), (0.1, 0.7), (0.2, 0.35), (0.32, 0.35), (0.32, 0.6), (0.42, 1), (0.52, 0.6), (0.52, 0.3), (0.68, 0.3), (0.8, 0.75), (0.92, 0.3), (1, 0.3)],
        [ContourShape.Hills] = [.. Enumerable.Range(0, 25).Select(i => (i / 24d, Math.Round(0.45 + (0.3 * Math.Sin((i / 24d * 2 * Math.PI) + 0.6)) + (0.25 * Math.Sin(i / 24d * 5.2)), 4)))],
        [ContourShape.Waves] = [.. Enumerable.Range(0, 33).Select(i => (i / 32d, Math.Round(0.5 + (0.5 * Math.Sin(i / 32d * 8 * Math.PI)), 4)))],
    };

    /// <summary>The upper side of an outline, from left to right.</summary>
    private static IReadOnlyList<(double Along, double High)> Profile(IReadOnlyList<(double X, double Y)> corners) =>
        [.. Enumerable.Range(0, 49).Select(i => i / 48d).Select(x => (x, corners.Select((c, i) => (A: c, B: corners[(i + 1) % corners.Count]))
            .Where(e => Math.Min(e.A.X, e.B.X) <= x && x <= Math.Max(e.A.X, e.B.X))
            .Max(e => e.A.X == e.B.X ? Math.Max(e.A.Y, e.B.Y) : e.A.Y + ((x - e.A.X) * (e.B.Y - e.A.Y) / (e.B.X - e.A.X)))))];

    private SoftGood SoftOf(SoftSpec written, string place)
    {
        T One<T>(string text, string field) where T : struct, Enum => Enum.GetValues<T>().Cast<T?>().FirstOrDefault(v => string.Equals(v.ToString(), text, StringComparison.OrdinalIgnoreCase))
            ?? throw new InputProblemException("soft.unknown", $"{place}.{field}", $"“{text}” is not known", string.Join(", ", Enum.GetNames<T>().Select(n => n.ToLowerInvariant())));
        if (written.Passes is < 1 or > 20)
        {
            throw new InputProblemException("soft.passes", $"{place}.passes", $"it goes round {written.Passes} times", "1 to 20");
        }

        return new SoftGood(written.Id, Role(written.Role, $"{place}.role"), One<SoftKind>(written.Kind, "kind"), One<SoftRule>(written.Rule, "rule"),
            written.Width is null ? Length.Zero : Within(written.Width, $"{place}.width", Length.Zero, Length.In(3), "a width"), written.Passes);
    }

    private Placed Place(PlaceSpec? written, string place, IReadOnlyList<Window> windows)
    {
        if (written is null)
        {
            return Placed.Middle;
        }

        var anchor = written.Anchor switch
        {
            "head-left" => Anchor.HeadLeft,
            "head" => Anchor.Head,
            "head-right" => Anchor.HeadRight,
            "left" => Anchor.Left,
            "centre" => Anchor.Centre,
            "right" => Anchor.Right,
            "foot-left" => Anchor.FootLeft,
            "foot" => Anchor.Foot,
            "foot-right" => Anchor.FootRight,
            _ => throw new InputProblemException("place.anchor", $"{place}.anchor", $"“{written.Anchor}” is none of the nine places", "head-left, head, head-right, left, centre, right, foot-left, foot or foot-right"),
        };
        if (written.Pose is not (null or "flat" or "closed" or "shown" or "opening"))
        {
            throw new InputProblemException("place.pose", $"{place}.pose", $"“{written.Pose}” is no pose", "flat, closed, opening or shown");
        }

        var from = (written.From ?? []).Select((f, i) => From(f, $"{place}.from[{i}]", windows)).ToList();
        if (from.Count > 2 || from.Count(f => f.Edge is ReadEdge.Left or ReadEdge.Right) > 1 || from.Count(f => f.Edge is ReadEdge.Head or ReadEdge.Foot) > 1)
        {
            throw new InputProblemException("place.from", $"{place}.from", "a thing is placed by one distance across and one up and down", PlaceExample);
        }

        return new Placed(anchor, from, written.Pose ?? "flat");
    }

    private FromEdgeOf From(FromSpec written, string place, IReadOnlyList<Window> windows)
    {
        // "window:eye.right": the like side of a window before it; the window's right side where none is named.
        var (name, window) = (written.Edge, (string?)null);
        if (name.StartsWith("window:", StringComparison.Ordinal))
        {
            var parts = name["window:".Length..].Split('.');
            (window, name) = (parts[0], parts.Length > 1 ? parts[1] : "right");
            if (windows.All(w => w.Id != window))
            {
                throw new InputProblemException("place.window", $"{place}.edge", $"no window before it is called “{window}”", windows.Count == 0 ? "left, right, head or foot" : string.Join(", ", windows.Select(w => $"window:{w.Id}")));
            }
        }

        var edge = name switch
        {
            "left" => ReadEdge.Left,
            "right" => ReadEdge.Right,
            "head" => ReadEdge.Head,
            "foot" => ReadEdge.Foot,
            _ => throw new InputProblemException("place.edge", $"{place}.edge", $"“{written.Edge}” is no edge of a face", "left, right, head or foot, as one reads the face"),
        };
        return new FromEdgeOf(edge, Signed(written.Distance, $"{place}.distance"), window);
    }

    private Length Signed(WrittenLength written, string field)
    {
        var text = written.Text.Trim();
        var past = text.Length > 1 && text[0] is '-' or '−';
        var length = LengthReader.Read(past ? text[1..] : text, unit, field, null);
        return length <= Largest ? past ? -length : length : throw new InputProblemException("place.distance", field, $"{text} is off any card", $"up to {LengthWriter.WithUnit(Largest, unit)}");
    }

    private (Length Width, Length Height) SizeOf(IReadOnlyList<WrittenLength> size, string field)
    {
        if (size.Count != 2)
        {
            throw new InputProblemException("size.two", field, $"a size is two lengths, and here {(size.Count == 1 ? "is one" : $"are {size.Count}")}", """wide and high, such as ["1 1/8 in", "7/8 in"]""");
        }

        return (Within(size[0], $"{field}[0]", Least, Largest, "a width"), Within(size[1], $"{field}[1]", Least, Largest, "a height"));
    }

    private Length Within(WrittenLength written, string field, Length least, Length most, string what)
    {
        var accepted = $"{what} of {LengthWriter.WithUnit(least, unit)} to {LengthWriter.WithUnit(most, unit)}";
        var length = LengthReader.Read(written.Text, unit, field, accepted);
        return length >= least && length <= most ? length : throw new InputProblemException("length.range", field, $"{written.Text} is out of range", accepted);
    }

    private static OutlineShape Shape(string shape, string field, bool polygon) => shape switch
    {
        "rectangle" => OutlineShape.Rectangle,
        "circle" => OutlineShape.Circle,
        "ellipse" => OutlineShape.Ellipse,
        "polygon" when polygon => OutlineShape.Polygon,
        _ => throw new InputProblemException("shape.unknown", field, $"“{shape}” is no shape that is known here", polygon ? "rectangle, circle, ellipse or polygon" : "rectangle, circle or ellipse"),
    };

    private Stock StockOf(string id, string field) => hand.Find<Stock>(id) ?? throw new InputProblemException("stock.unknown", field, $"“{id}” is not a stock", string.Join(", ", hand.Stocks.Select(s => s.Id)));
}
