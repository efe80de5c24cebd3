using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Guide;

/// <summary>The steps that a dressing asks for: windows and stamping while everything is flat, what is raised last.</summary>
internal static class DressedSteps
{
    public static IEnumerable<Step> WhileFlat(Card card)
    {
        var places = DressedPlaces.Of(card).ToDictionary(p => p.Id);
        foreach (var window in card.Dressed.Windows)
        {
            var place = places[$"windows.{window.Window.Id}"];
            var levels = window.Window.Through is null ? "the card and what it wears there" : window.GoesThrough(0) ? "the card" : "the paper alone";
            var twice = window.Shift is { } shift ? Words.Of($" Pass it twice, the second time {shift} further.") : Words.Of($"");
            var (tool, caution) = window.Die is { } die ? ($"die {die.Name}", "rollers") : card.Figures.Tools.Exact ? ("machine", null) : ("knife and metal rule", "knife");
            yield return new Step(
                $"window-{window.Window.Id}", Words.Of($"Cut the window in {window.On[0].Face.Name}, {window.Width.Value} × {window.Height.Value}, through {levels}: {place.Said}.{twice}"),
                [.. window.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, window.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null, 60 * window.Quantity, caution is null ? [] : [caution]);
        }

        foreach (var contour in card.Dressed.Contours)
        {
            var face = contour.On[0].Face;
            yield return new Step($"contour-{contour.Contour.Id}", Words.Of($"Leave {contour.Contour.Height} more above the head of {face.Name} when it is cut; draw the {(contour.Contour.Shape == ContourShape.Drawn ? "line" : DressingWriter.Name(contour.Contour.Shape))} on and cut along them."), [], card.Figures.Tools.Exact ? "machine" : "scissors", null, face.Face == Face.Up ? "up" : "down", [], "flat", null, 120, card.Figures.Tools.Exact ? [] : ["scissors"]);
        }

        foreach (var element in card.Dressed.Elements.Where(IsInk))
        {
            yield return Put(places, element, element.Element.Made == Made.Stamped ? "Stamp" : "Print", "stamp and ink");
        }
    }

    public static IEnumerable<Step> AtLast(Card card)
    {
        var places = DressedPlaces.Of(card).ToDictionary(p => p.Id);
        foreach (var element in card.Dressed.Elements.Where(e => !IsInk(e) && e.On.Count > 0).OrderBy(e => e.Element.Stands))
        {
            yield return Put(places, element, element.Element.Held switch
            {
                HeldBy.Thread => "Hang on its thread",
                HeldBy.Strip => "Put on its clear strip",
                _ => element.Element.IsRaised ? "Put on foam" : "Stick on",
            }, element.Element.IsRaised ? "foam" : "adhesive");
        }

        foreach (var soft in SoftGoods.Of(card.Figures, card.Dressed))
        {
            yield return new Step($"soft-{soft.Good.Id}", Words.Of($"Cut {soft.Length} of {DressingWriter.Name(soft.Good.Kind)}{(soft.Good.Passes > 1 ? $", for {soft.Good.Passes} passes" : "")}; {soft.Hidden}."), [], "scissors", null, null, [], "flat", null, 40, ["scissors"]);
        }
    }

    private static bool IsInk(SizedElement element) => element.Element.IsInk && element.On.Count > 0;

    private static Step Put(Dictionary<string, Place> places, SizedElement element, string verb, string tool)
    {
        var place = places[$"elements.{element.Element.Id}"];
        var held = element.Element.BondedOn is null ? Words.Of($"") : Words.Of($" Adhesive on that panel only.");
        var raised = element.Element.IsRaised ? Words.Of($" It stands {element.Element.Stands.Hundredths} off.") : Words.Of($"");
        return new Step(
            $"element-{element.Element.Id}", Words.Of($"{verb} {element.Element.Name}, {element.Width.Value} × {element.Height.Value}, on {element.On[0].Face.Name}: {place.Said}.{held}{raised}"),
            [.. element.Sides.Select(s => s.Id.ToString()), place.Id], tool, null, element.On[0].Face.Face == Face.Up ? "up" : "down", [], "flat", null, 40 * element.Quantity, []);
    }
}
