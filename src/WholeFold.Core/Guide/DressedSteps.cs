using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Guide;

/// <summary>The steps that a dressing asks for: windows and stamping while everything is flat, papers before or after the card is put together, what is raised last.</summary>
internal sealed class DressedSteps
{
    /// <summary>What is smaller than this each way is a small part.</summary>
    private static readonly Length SmallPart = Length.Mm(32);

    /// <summary>Ink dries in so many seconds.</summary>
    private const int InkDriesIn = 60;

    /// <summary>What is waited for after stamping: lying open, not under a weight.</summary>
    internal const string InkDries = "the ink dries";

    private readonly Card _card;
    private readonly int _cards;
    private readonly Card? _beside;
    private readonly Dictionary<string, Place> _places;
    private readonly List<SizedLayer> _layersBefore;
    private readonly List<SizedElement> _before;
    private readonly List<SizedElement> _after;

    public DressedSteps(Card card, int cards, Card? beside)
    {
        (_card, _cards, _beside) = (card, cards, beside);
        _places = DressedPlaces.Of(card).ToDictionary(p => p.Id);
        var bonds = card.Construction.Bonds.Where(b => !b.IsLoose).ToList();
        var made = new PartlyMade(card.Figures, bonds);
        var first = card.Design.Order == MakingOrder.DecorateFirst;
        bool Reached(IEnumerable<(RoleFace Face, IReadOnlyList<Point> Outline)> on) => on.All(o => made.Reaches(new FaceRef(o.Face.Ref, o.Face.Face), o.Outline));
        bool RunsUnder(LaidLayer laid) => bonds.SelectMany(b => b.Sides)
            .Any(s => s.On == new FaceRef(laid.On.Ref, laid.On.Face) && Box.Round([.. s.Region.Corners.Select(card.Figures.ValueOf)]) is var box
            && box.Meets(laid.Box)
            && Plane.Shape(s.Region.Corners.Select(card.Figures.ValueOf)).Intersection(Plane.Shape(laid.Outline)).Area > 1);
        _layersBefore = [.. card.Layers.Where(l => first || l.On.Any(RunsUnder) || !Reached(l.On.Select(o => (o.On, o.Outline))))];
        var elements = card.Dressed.Elements.Where(e => !e.Element.IsInk && e.On.Count > 0).OrderBy(e => e.Element.Stands).ToList();
        _before = [.. elements.Where(e => (first && e.Element is { IsRaised: false, BondedOn: null, Held: HeldBy.Face }) || !Reached(e.On.Select(o => (o.Face, o.Outline))))];
        _after = [.. elements.Except(_before)];
    }

    public IEnumerable<Step> WhileFlat()
    {
        var machine = _card.Figures.Tools.Exact;
        var ink = _card.Dressed.Elements.Where(e => e.Element.IsInk && e.On.Count > 0).ToList();
        var windows = _card.Dressed.Windows.Where(w => w.On.Count > 0).ToList();
        foreach (var tick in Ticks([.. machine ? [] : windows.Select(w => (w.On[0].Face, $"windows.{w.Window.Id}")), .. ink.Select(e => (e.On[0].Face, $"elements.{e.Element.Id}"))], Phase.Flat))
        {
            yield return tick;
        }

        foreach (var window in windows)
        {
            yield return Window(window);
        }

        foreach (var contour in _card.Dressed.Contours)
        {
            var face = contour.On[0].Face;
            yield return new Step($"contour-{contour.Contour.Id}",
                Words.Of($"Draw the {(contour.Contour.Shape == ContourShape.Drawn ? "line" : DressingWriter.Name(contour.Contour.Shape))} along the top of {face.Said} from the template, and cut along the line: at its highest it is {contour.Contour.Height:u} above the straight top."), [], machine ? "machine" : "scissors", null, face.Face == Face.Up ? "up" : "down", [], "flat", null, new Work(Act.Contour, _cards), machine ? [] : ["scissors"])
            {
                Phase = Phase.Flat, Title = "cut the shaped top", Pieces = [face.Piece], Things = [$"contours.{contour.Contour.Id}"], Why = Words.Of($"The shape stands above the height that the card needs, so nothing of that is lost."),
            };
        }

        foreach (var element in ink)
        {
            var (verb, tool) = element.Element.Made switch { Made.Stamped => ("Stamp", "stamp and ink"), Made.HeatEmbossed => ("Heat-emboss", "stamp, powder and heat tool"), _ => ("Print", "printer") };
            var step = Put(element, verb, tool, Phase.Flat);
            yield return step with
            {
                Holds = element.Element.Made == Made.Printed ? 0 : InkDriesIn, HoldsFor = element.Element.Made == Made.Printed ? null
                    : element.Element.Made == Made.HeatEmbossed ? "it cools" : InkDries,
                Cautions = element.Element.Made == Made.HeatEmbossed ? ["heat", "powder"] : [],
                Why = _card.Layers.Any(l => l.On.Any(o => o.On.Id == element.On[0].Face.Id)) ? Words.Of($"Stamped before the paper goes on, a slip costs a paper and not a card.") : Words.Of($"While it is flat the stamp meets it all over."),
            };
        }
    }

    private Step Window(SizedWindow window)
    {
        var place = _places[$"windows.{window.Window.Id}"];
        var machine = _card.Figures.Tools.Exact;
        var levels = window.Window.Through is null ? ", and out of the paper there once it is on" : window.GoesThrough(0) ? "" : ", out of the paper alone";
        var twice = window.Shift is { } shift ? Words.Of($" Run the die through twice, the second time {shift:u} further.") : Words.Of($"");
        var (tool, caution) = window.Die is { } die ? ($"die {die.Name}", "rollers") : machine ? ("machine", null) : ("knife and metal rule", "knife");
        return new Step(
            $"window-{window.Window.Id}", Words.Of($"Cut {Lower(window.Window.Called)}, {window.Width.Value} × {window.Height.Value:u}, out of {window.On[0].Face.Said}{levels}: {place.Said}.{twice}"),
            [.. window.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, window.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null,
                new Work(Act.Open, _cards * window.Quantity), caution is null ? [] : [caution])
        {
            Phase = Phase.Flat, Title = "cut the window", Pieces = [window.On[0].Face.Piece], Things = [$"windows.{window.Window.Id}"], Gone = [place.Id], Why = window.Width.Said,
            LookFor = Words.Of($"Keep what drops out, {window.Width.Value} × {window.Height.Value:u}: you can use it on the front."),
        };
    }

    /// <summary>In the school that decorates first, all that is flat; else only what no hand reaches later, or what runs under a bonded part.</summary>
    public IEnumerable<Step> BeforeItIsFolded() => Lay(_layersBefore, _before, Phase.DecorateFlat);

    public IEnumerable<Step> OnceTogether() => Lay([.. _card.Layers.Except(_layersBefore)], [.. _after.Where(e => !e.Element.IsRaised)], Phase.Decorate);

    public IEnumerable<Step> AtLast()
    {
        foreach (var step in Lay([], [.. _after.Where(e => e.Element.IsRaised)], Phase.Raise))
        {
            yield return step;
        }

        foreach (var soft in SoftGoods.Of(_card.Figures, _card.Dressed))
        {
            yield return new Step($"soft-{soft.Good.Id}",
                Words.Of($"Cut {(_cards > 1 ? $"{Saying.Count(_cards)} lengths of " : "")}{soft.Length:u} of {DressingWriter.Name(soft.Good.Kind)}{(soft.Good.Passes > 1 ? $", for {soft.Good.Passes} passes" : "")}; {soft.Hidden}."), [], "scissors", null, null, [], "flat", null, new Work(Act.CutSoft, _cards), ["scissors"])
            {
                Phase = Phase.Raise, Title = DressingWriter.Name(soft.Good.Kind), Things = [$"soft.{soft.Good.Id}"],
            };
        }
    }

    private IEnumerable<Step> Lay(IReadOnlyList<SizedLayer> layers, IReadOnlyList<SizedElement> elements, Phase phase)
    {
        foreach (var layer in layers.OrderBy(l => l.Level))
        {
            yield return Layer(layer, phase);
        }

        foreach (var tick in Ticks([.. elements.Select(e => (e.On[0].Face, $"elements.{e.Element.Id}"))], phase))
        {
            yield return tick;
        }

        foreach (var element in elements)
        {
            var (verb, tool) = element.Element.Held switch
            {
                HeldBy.Thread => ("Hang", "thread and tape"),
                HeldBy.Strip => ("Glue", "adhesive"),
                HeldBy.Magnet => ("Glue", "adhesive"),
                _ => element.Element.IsRaised ? ("Mount", "foam") : ("Glue", _card.Design.Adhesive.Name),
            };
            var step = Put(element, verb, tool, phase);
            var wet = !element.Element.IsRaised && element.Element.Held == HeldBy.Face;
            yield return step with
            {
                Holds = wet ? _card.Design.Adhesive.Sets : 0, HoldsFor = wet && _card.Design.Adhesive.Sets > 0 ? $"{_card.Design.Adhesive.Name} sets" : null,
                Cautions = [.. element.Element.Held == HeldBy.Magnet ? new[] { "magnets" } : [], .. element.Element.Made == Made.Lit ? new[] { "button-cell" } : [],
                    .. IsSmall(element) ? new[] { "small-parts" } : [], .. wet && _card.Design.Adhesive.Solvent ? new[] { "solvent" } : []],
                Why = phase == Phase.DecorateFlat && element.Element.IsRaised ? Words.Of($"Once the card is together you can't reach it.") : element.Element.IsRaised ? Words.Of($"Raised things go on last: everything before them wants a flat card.") : element.Width.Said,
            };
        }
    }

    private static bool IsSmall(SizedElement element) => element.Element is { Made: Made.BuiltUp or Made.Lit } && Length.Max(element.Width.Value, element.Height.Value) < SmallPart;

    /// <summary>What goes on a face is ticked there just before it is needed, on what lies uppermost by then.</summary>
    private IEnumerable<Step> Ticks(IReadOnlyList<(RoleFace Face, string Place)> things, Phase phase)
    {
        // A paper's own edges are there to measure from: what goes on one is told where it is put, and needs no mark.
        var bare = things.Where(t => _places[t.Place].From.All(f => !f.Edge.StartsWith("its ", StringComparison.Ordinal)));
        foreach (var face in bare.GroupBy(t => t.Face.Id))
        {
            var places = face.Select(t => _places[t.Place]).ToList();
            yield return new Step(
                $"tick-{face.Key}-{phase switch { Phase.Flat => "flat", Phase.DecorateFlat => "before", Phase.Decorate => "papers", _ => "last" }}",
                Words.Of($"Mark {places[0].On} lightly for {Words.Join("; for ", places.Select(p => Words.Of($"{Spoken.The(p.What)}: {p.Said}")))}."),
                [.. places.Select(p => p.Id)], "pencil and ruler", null, face.First().Face.Face == Face.Up ? "up" : "down", [], "flat",
                    null, new Work(Act.Mark, _cards * places.Count), [])
            {
                Phase = phase, Title = places.Count == 1 ? "mark its place" : "mark their places", Pieces = [face.First().Face.Piece], Marks = [.. places.Select(p => p.Id)], LookFor = Words.Of($"The marks lie where something will cover them, or can be rubbed out."),
            };
        }
    }

    private Step Layer(SizedLayer layer, Phase phase)
    {
        var count = _cards * layer.Quantity;
        return new Step(
            $"layer-{layer.Id}", Glued(layer),
            [layer.Width.Id.ToString(), layer.Height.Id.ToString()], _card.Design.Adhesive.Name, null, layer.Face == Face.Up ? "up" : "down", [], "flat", null,
                new Work(Act.Paper, count), _card.Design.Adhesive.Solvent ? ["solvent"] : [])
        {
            Phase = phase, Title = Saying.Title($"{(layer.Level > 1 ? "second paper" : "paper")}: {layer.Role.Name.Split(',')[0]}", "the paper there"), Pieces = [layer.Piece], Things = [$"layers.{layer.Id}"], Holds = _card.Design.Adhesive.Sets, HoldsFor = _card.Design.Adhesive.Sets > 0 ? $"{_card.Design.Adhesive.Name} sets" : null,
            Why = phase == Phase.DecorateFlat && _card.Design.Order == MakingOrder.AssembleFirst ? Words.Of($"It goes on now: once the card is together a part lies over it, or you can't reach it.") : layer.Width.Said,
            LookFor = layer.Stock.Directional ? Words.Of($"The pattern is the right way up, and the border is even.") : Words.Of($"An even border all round.")
        };
    }

    /// <summary>Which paper goes where, and how wide its border is on every side: one sentence for all that lie alike.</summary>
    private Words Glued(SizedLayer layer)
    {
        var paper = Words.Of($"{Ground.PaperOn(_card, layer, layer.On[0].On)}, {layer.Width.Value} × {layer.Height.Value:u}");
        var said = new List<Words>();
        foreach (var alike in layer.On.GroupBy(o => (Border(layer, o).Write(DisplayUnit.Millimetre), There(layer, o))))
        {
            List<LaidLayer> on = [.. alike];
            string Where(LaidLayer o) => Ground.Under(_card, layer, o).Paper is { } under ? $"the {under} on {Each(o)}" : Each(o);
            var first = on.Count == 1 && on[0].On.Copies.Count * _cards == 1;
            said.Add(Words.Of($"Glue {(first ? "the" : "one")} {paper}, to {(on.Count > 1 ? "each of these: " : "")}{Words.List(on.Select(o => Words.Of($"{Where(o)}"))).Write(DisplayUnit.Inch)}{(on.Count > 1 ? "; " : ", ")}{Border(layer, on[0])}."));
        }

        return Words.Join(" ", said);
    }

    private string Each(LaidLayer laid) => laid.On.Copies.Count * _cards is > 1 and var times ? $"{laid.On.Said}, {Saying.Times(times)}"
        : laid.On.Said;

    private Words Border(SizedLayer layer, LaidLayer laid)
    {
        if (!layer.IsRectangle)
        {
            return Words.Of($"with an even border");
        }

        // Said alike in both systems, so that one sentence does for both: a border that is even in one only is told side by side.
        var (left, right, top, bottom) = Ground.Under(_card, layer, laid).Margins(laid.Box);
        var there = There(layer, laid) ?? (left, right, top, bottom);
        var (wide, high) = (left == right && there.Left == there.Right, top == bottom && there.Head == there.Foot);
        var about = new[] { left, right, top, bottom }.Any(IsBetween)
            || (_beside is { } other && new[] { there.Left, there.Right, there.Head, there.Foot }.Any(m => IsBetween(m, other))) ? "about " : "";
        Words Of(Length border) => Words.Of($"{about}{(IsBetween(border) ? _card.Figures.Tools.CutNearest(border) : border):u}");
        Words From(Length one, Length other, bool first, string near, string far) => (first ? one : other) is var border
            && border == Length.Zero
            ? Words.Of($"flush with the {(first ? near : far)}") : Words.Of($"{Of(border)} from the {(first ? near : far)}");

        // Its size is known, so that one border in each direction says where it lies: the narrower one.
        var across = From(left, right, left <= right || there.Left < there.Right, "left", "right");
        var along = From(top, bottom, top <= bottom || there.Head < there.Foot, "top", "bottom");
        return (wide, high) switch
        {
            (true, true) when left == top && there.Left == there.Head => left == Length.Zero && there.Left == Length.Zero
                ? Words.Of($"flush all round") : Words.Of($"{Of(left)} from every edge"),
            (true, true) => Words.Of($"centred"),
            (true, _) => Words.Of($"centred from side to side, {along}"),
            (_, true) => Words.Of($"{across}, centred from top to bottom"),
            _ => Words.Of($"{across}, {along}"),
        };
    }

    /// <summary>The borders of the same paper on the same face there.</summary>
    private (Length Left, Length Right, Length Head, Length Foot)? There(SizedLayer layer, LaidLayer laid) =>
        _beside?.Layers.FirstOrDefault(l => l.Id == layer.Id) is { } same && same.On.FirstOrDefault(o => o.On.Id == laid.On.Id) is { } on
            ? Ground.Under(_beside, same, on).Margins(on.Box) : null;

    /// <summary>A border is what is left: no ruler is set to it, so that between two marks the nearer one is near enough.</summary>
    private bool IsBetween(Length border) => IsBetween(border, _card);

    private static bool IsBetween(Length border, Card card) => card.Figures.Tools.CutNearest(border) is var mark && mark != border
        && mark != Length.Zero;

    private static string Lower(string words) => $"the {char.ToLowerInvariant(words[0])}{words[1..]}";

    private static string Named(Element element)
    {
        var verb = element.IsInk ? element.Made == Made.Printed ? "print" : "stamp" : element.IsRaised ? "raise" : "put on";
        return Saying.Title($"{verb} {Spoken.The(element.Name)}", $"{verb} {element.Name}", $"{verb} what belongs there");
    }

    private Step Put(SizedElement element, string verb, string tool, Phase phase)
    {
        var place = _places[$"elements.{element.Element.Id}"];
        var (width, height) = (element.Width.Value, element.Height.Value);
        var foam = element.Element is { IsRaised: true, Held: HeldBy.Face or HeldBy.Lock } ? Words.Of($", on {element.Element.Stands.Hundredths} of foam") : Words.Of($"");
        var by = element.Element.Held switch
        {
            HeldBy.Thread => " Tape the ends of its thread.", HeldBy.Strip => " Glue it to the clear strip, and the strip to the card.",
            HeldBy.Magnet => " Its magnet goes over the other one.", _ => "",
        };
        var held = element.Element.BondedOn is null ? "" : " Put adhesive on that panel only.";
        return new Step(
            $"element-{element.Element.Id}", Words.Of($"{verb} {Spoken.The(element.Element.Name)}, {width} × {height:u}, {(verb == "Glue" ? "to" : "on")} {place.On}{foam}: {place.Said}.{held}{by}"),
            [.. element.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, element.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null, new Work(Act.Element, _cards * element.Quantity), [])
        {
            Phase = phase,
                Title = Named(element.Element),
                Pieces = [element.On[0].Face.Piece], Things = [$"elements.{element.Element.Id}"], Gone = place.Vanishes.StartsWith("covered", StringComparison.Ordinal) ? [place.Id] : [],
        };
    }
}
