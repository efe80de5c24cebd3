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
    private const int InkDries = 60;

    private readonly Card _card;
    private readonly int _cards;
    private readonly Dictionary<string, Place> _places;
    private readonly List<SizedLayer> _layersBefore;
    private readonly List<SizedElement> _before;
    private readonly List<SizedElement> _after;

    public DressedSteps(Card card, int cards)
    {
        (_card, _cards) = (card, cards);
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
                Words.Of($"Leave {contour.Contour.Height} more above the head of {face.Name} when it is cut; draw the {(contour.Contour.Shape == ContourShape.Drawn ? "line" : DressingWriter.Name(contour.Contour.Shape))} on from the template and cut along them."), [], machine ? "machine" : "scissors", null, face.Face == Face.Up ? "up" : "down", [], "flat", null, new Work(Act.Contour, _cards), machine ? [] : ["scissors"])
            {
                Phase = Phase.Flat, Title = "cut the contour", Pieces = [face.Piece], Things = [$"contours.{contour.Contour.Id}"], Why = Words.Of($"It rises above the height that the card needs, so nothing is lost of that."),
            };
        }

        foreach (var element in ink)
        {
            var (verb, tool) = element.Element.Made switch { Made.Stamped => ("Stamp", "stamp and ink"), Made.HeatEmbossed => ("Stamp, strew with powder and melt", "stamp, powder and heat tool"), _ => ("Print", "printer") };
            var step = Put(element, verb, tool, Phase.Flat);
            yield return step with
            {
                Holds = element.Element.Made == Made.Printed ? 0 : InkDries, HoldsFor = element.Element.Made == Made.Printed ? null : element.Element.Made == Made.HeatEmbossed ? "it cools" : "the ink dries",
                Cautions = element.Element.Made == Made.HeatEmbossed ? ["heat", "powder"] : [],
                Why = _card.Layers.Any(l => l.On.Any(o => o.On.Id == element.On[0].Face.Id)) ? Words.Of($"It goes on the paper before that goes on the card: a slip costs a paper and no card.") : Words.Of($"While it is flat the stamp meets it all over, and a slip costs a piece and no card."),
            };
        }
    }

    private Step Window(SizedWindow window)
    {
        var place = _places[$"windows.{window.Window.Id}"];
        var machine = _card.Figures.Tools.Exact;
        var levels = window.Window.Through is null ? "the card, and through what it wears there once that is on" : window.GoesThrough(0) ? "the card" : "the paper alone";
        var twice = window.Shift is { } shift ? Words.Of($" Pass it twice, the second time {shift} further.") : Words.Of($"");
        var (tool, caution) = window.Die is { } die ? ($"die {die.Name}", "rollers") : machine ? ("machine", null) : ("knife and metal rule", "knife");
        return new Step(
            $"window-{window.Window.Id}", Words.Of($"Cut the window in {window.On[0].Face.Name}, {window.Width.Value} × {window.Height.Value}, through {levels}: {place.Said}.{twice}"),
            [.. window.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, window.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null,
                new Work(Act.Open, _cards * window.Quantity), caution is null ? [] : [caution])
        {
            Phase = Phase.Flat, Title = "cut the window", Pieces = [window.On[0].Face.Piece], Things = [$"windows.{window.Window.Id}"], Gone = [place.Id], Why = window.Width.Said,
            LookFor = Words.Of($"Keep what drops out, {window.Width.Value} × {window.Height.Value}: it may be used again."),
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
                Words.Of($"Cut {(_cards > 1 ? $"{Saying.Count(_cards)} lengths of " : "")}{soft.Length} of {DressingWriter.Name(soft.Good.Kind)}{(soft.Good.Passes > 1 ? $", for {soft.Good.Passes} passes" : "")}; {soft.Hidden}."), [], "scissors", null, null, [], "flat", null, new Work(Act.CutSoft, _cards), ["scissors"])
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
                HeldBy.Thread => ("Hang on its thread", "thread and tape"),
                HeldBy.Strip => ("Put on its clear strip", "adhesive"),
                HeldBy.Magnet => ("Put on, its magnet over the other one,", "adhesive"),
                _ => element.Element.IsRaised ? ("Put on foam", "foam") : ("Stick on", _card.Design.Adhesive.Name),
            };
            var step = Put(element, verb, tool, phase);
            var wet = !element.Element.IsRaised && element.Element.Held == HeldBy.Face;
            yield return step with
            {
                Holds = wet ? _card.Design.Adhesive.Sets : 0, HoldsFor = wet && _card.Design.Adhesive.Sets > 0 ? $"{_card.Design.Adhesive.Name} sets" : null,
                Cautions = [.. element.Element.Held == HeldBy.Magnet ? new[] { "magnets" } : [], .. element.Element.Made == Made.Lit ? new[] { "button-cell" } : [],
                    .. IsSmall(element) ? new[] { "small-parts" } : [], .. wet && _card.Design.Adhesive.Solvent ? new[] { "solvent" } : []],
                Why = phase == Phase.DecorateFlat && element.Element.IsRaised ? Words.Of($"Once the card is together no hand gets there.") : element.Element.IsRaised ? Words.Of($"What is raised goes on last: everything before it wants a flat card.") : element.Width.Said,
            };
        }
    }

    private static bool IsSmall(SizedElement element) => element.Element is { Made: Made.BuiltUp or Made.Lit } && Length.Max(element.Width.Value, element.Height.Value) < SmallPart;

    /// <summary>What goes on a face is ticked there just before it is needed, on what lies uppermost by then.</summary>
    private IEnumerable<Step> Ticks(IReadOnlyList<(RoleFace Face, string Place)> things, Phase phase)
    {
        foreach (var face in things.GroupBy(t => t.Face.Id))
        {
            var places = face.Select(t => _places[t.Place]).ToList();
            yield return new Step(
                $"tick-{face.Key}-{phase switch { Phase.Flat => "flat", Phase.DecorateFlat => "before", Phase.Decorate => "papers", _ => "last" }}",
                Words.Of($"Tick lightly on {face.First().Face.Name}: {Words.Join("; ", places.Select(p => Words.Of($"for {char.ToLowerInvariant(p.What[0])}{p.What[1..]}, {p.Said}")))}."),
                [.. places.Select(p => p.Id)], "pencil and ruler", null, face.First().Face.Face == Face.Up ? "up" : "down", [], "flat",
                    null, new Work(Act.Mark, _cards * places.Count), [])
            {
                Phase = phase, Title = $"tick {face.First().Face.Name}", Pieces = [face.First().Face.Piece], Marks = [.. places.Select(p => p.Id)], LookFor = Words.Of($"The ticks lie where they will be covered, cut away or rubbed out."),
            };
        }
    }

    private Step Layer(SizedLayer layer, Phase phase)
    {
        var count = _cards * layer.Quantity;
        return new Step(
            $"layer-{layer.Id}", Words.Of($"Put {(count > 1 ? $"{Saying.Count(count)} layers" : "the layer")} on: {layer.Role.Name}{(layer.Level > 1 ? ", the second on the first" : "")}, {layer.Width.Value} × {layer.Height.Value}."),
            [layer.Width.Id.ToString(), layer.Height.Id.ToString()], _card.Design.Adhesive.Name, null, layer.Face == Face.Up ? "up" : "down", [], "flat", null,
                new Work(Act.Paper, count), _card.Design.Adhesive.Solvent ? ["solvent"] : [])
        {
            Phase = phase, Title = $"paper on {layer.Role.Name}", Pieces = [layer.Piece], Things = [$"layers.{layer.Id}"], Holds = _card.Design.Adhesive.Sets, HoldsFor = _card.Design.Adhesive.Sets > 0 ? $"{_card.Design.Adhesive.Name} sets" : null,
            Why = phase == Phase.DecorateFlat && _card.Design.Order == MakingOrder.AssembleFirst ? Words.Of($"It goes on now: once the card is together it lies under a part, or no hand gets there.") : layer.Width.Said,
            LookFor = layer.Stock.Directional ? Words.Of($"The pattern is the right way up on every panel, and the border is even.") : Words.Of($"The border is even on all sides.")
        };
    }

    private Step Put(SizedElement element, string verb, string tool, Phase phase)
    {
        var place = _places[$"elements.{element.Element.Id}"];
        var held = element.Element.BondedOn is null ? Words.Of($"") : Words.Of($" Adhesive on that panel only.");
        var raised = element.Element.IsRaised ? Words.Of($" It stands {element.Element.Stands.Hundredths} off.") : Words.Of($"");
        return new Step(
            $"element-{element.Element.Id}", Words.Of($"{verb} {element.Element.Name}, {element.Width.Value} × {element.Height.Value}, on {element.On[0].Face.Name}: {place.Said}.{held}{raised}"),
            [.. element.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, element.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null, new Work(Act.Element, _cards * element.Quantity), [])
        {
            Phase = phase,
                Title = $"{(element.Element.IsInk ? element.Element.Made == Made.Printed ? "print" : "stamp" : element.Element.IsRaised ? "raise" : "put on")} {Spoken.The(element.Element.Name)}",
                Pieces = [element.On[0].Face.Piece], Things = [$"elements.{element.Element.Id}"], Gone = place.Vanishes.StartsWith("covered", StringComparison.Ordinal) ? [place.Id] : [],
        };
    }
}
