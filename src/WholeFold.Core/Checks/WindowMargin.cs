using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>A window that leaves too little card to a crease or an edge, or whose die is not there.</summary>
internal sealed class WindowMargin : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var least = Dressed.WindowMargin.For(card.Figures.Tools.System);
        foreach (var window in card.Dressed.Windows)
        {
            var on = window.On.MinBy(o => Length.Min(Length.Min(o.Margins.Left, o.Margins.Right), Length.Min(o.Margins.Head, o.Margins.Foot)))!;
            var figures = new Dictionary<string, Length> { ["width"] = window.Width.Value, ["height"] = window.Height.Value, ["margin"] = window.LeastMargin, ["least"] = least };
            if (window.Found == WindowFound.NoneFits)
            {
                yield return new Check(
                    "no-die-fits", Severity.Caution,
                    Words.Of($"{on.Face.Name} asks for a window of {window.Wished.Width} × {window.Wished.Height}, and no die of its set that is there leaves {least} all round. Another set of dies, a knife, or another format would do."), figures)
                {
                    At = FoundAt.Of(on),
                    AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"no die fits")),
                    Fix = ByKnife(card, window),
                };
            }
            else if (window.LeastMargin < least)
            {
                yield return new Check(
                    "window-margin", window.LeastMargin <= Length.Zero ? Severity.Error : Severity.Caution,
                    Words.Of($"The window {window.Window.Id} {(window.LeastMargin < Length.Zero ? Words.Of($"reaches {-window.LeastMargin} past the edge of {on.Face.Name}") : Words.Of($"leaves {window.LeastMargin} beside it on {on.Face.Name}"))}: under {least} the frame tears or buckles."), figures)
                {
                    At = FoundAt.Of(on),
                    Fix = InTheMiddle(window, least)
                        ? new Fix(new CutWindow(window.Window.Id, DressingWriter.Write(window.Window) with { Place = new PlaceSpec() }),
                        Words.Of($"put it in the middle")) : Smaller(card, window, least) ?? ByKnife(card, window),
                };
            }
        }
    }

    private static bool InTheMiddle(SizedWindow window, Length least) => window.On.All(o => o.Reading.Width - window.Width.Value >= 2 * least && o.Reading.Height - window.Height.Value >= 2 * least);

    /// <summary>The largest die of its set that is there and leaves margins enough.</summary>
    private static Fix? Smaller(ICard card, SizedWindow window, Length least)
    {
        var die = window.Die is not { } own ? null : card.Figures.Design.Inventory.All<Die>()
            .Where(d => d.IsOwned && d.Family == own.Family && d.Shape == own.Shape
            && window.On.All(o => o.Reading.Width - d.Width >= 2 * least && o.Reading.Height - d.Height >= 2 * least))
            .MaxBy(d => d.Width.Units * d.Height.Units);
        return die is null ? null : new Fix(new CutWindow(window.Window.Id, DressingWriter.Write(window.Window) with { Die = die.Id, Size = null, Place = new PlaceSpec() }), Words.Of($"take {die.Name}"));
    }

    /// <summary>By knife, as large as its face asks for and leaves the margins to.</summary>
    internal static Fix? ByKnife(ICard card, SizedWindow window)
    {
        var least = Dressed.WindowMargin.For(card.Figures.Tools.System);
        var room = (Width: window.On.Min(o => o.Reading.Width) - (2 * least), Height: window.On.Min(o => o.Reading.Height) - (2 * least));
        var (width, height) = (card.Figures.Tools.CutDown(Length.Min(room.Width, window.Wished.Width)), card.Figures.Tools.CutDown(Length.Min(room.Height, window.Wished.Height)));
        return width <= Length.Zero || height <= Length.Zero ? null
            : new Fix(new CutWindow(window.Window.Id, DressingWriter.Write(window.Window) with { Die = null,
            Size = [WrittenLength.Of(width), WrittenLength.Of(height)], Place = new PlaceSpec() }), Words.Of($"cut it by knife, {width} × {height}"));
    }
}
