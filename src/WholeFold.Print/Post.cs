using WholeFold.Core.Drawing;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Card = WholeFold.Core.Cards.Card;

namespace WholeFold.Print;

/// <summary>Square pictures for a post: the card as it stands with its sizes, or one step with its figures.</summary>
internal static class Post
{
    public const int Dots = 1200;

    private const double Side = 120, Edge = 8;

    private const string Ground = "#f4ecdd";

    public static Page Card(HandOut ask, bool background)
    {
        var card = ask.Card;
        var size = card.Design.SizeAsRead(card.Target.Width, card.Target.Height);
        return Compose(ask, StepDrawing.Finished(card), Words.Of($"{card.Design.Family.Name}, {size}"), _ => size, background);
    }

    /// <exception cref="InputProblemException">There is no such step.</exception>
    public static Page Step(HandOut ask, int number, bool background)
    {
        if (number < 1 || number > ask.Steps.Count)
        {
            throw new InputProblemException("print.step", "step", $"there is no step {number}", $"1 to {ask.Steps.Count}");
        }

        var step = ask.Steps[number - 1];
        var drawings = StepDrawing.Of(ask.Card, ask.Steps, number - 1);
        var figures = ask.FiguresOf(step).DistinctBy(f => f.Figure.Value).Take(4).Select(f => f.Figure.Id).ToList();
        return Compose(ask, drawings[0], Words.Of($"{number}  {step.Title}"), card => figures.Count == 0 ? null
            : Words.Join(" · ", figures.Select(card.Figure).OfType<Measured>().Select(f => Words.Of($"{f.Value}"))), background);
    }

    private static Page Compose(HandOut ask, StepDrawing drawing, Words line, Func<Card, Words?> big, bool background)
    {
        var parts = new List<Part> { new(Reads.Figure, [.. PieceArt.Of(drawing, Edge, Edge, Side - (2 * Edge), 70, tinted: true)], drawing.Name) };
        parts.Add(Flow.Block(Typesetter.Plain(ask.Name), 6, Edge, 80, Side - (2 * Edge), bold: true, Reads.Title).Part);
        parts.Add(Flow.Block(line.Parts(ask.Unit), 4, Edge, 88.5, Side - (2 * Edge)).Part);
        var first = big(ask.Card) ?? line;
        parts.Add(Flow.Block(first.Parts(ask.Unit), Fit(first, ask.Unit, 9), Edge, 95, Side - (2 * Edge), bold: true).Part);
        if (ask.Card.Second is { } second && big(second) is { } beside)
        {
            parts.Add(Flow.Block(second.Read(beside, ask.Other), Fit(beside, ask.Other, 5), Edge, 108, Side - (2 * Edge)).Part);
        }

        return new Page(Side, Side, parts, background ? Ground : null);
    }

    /// <summary>As large as goes on one line.</summary>
    private static double Fit(Words words, DisplayUnit unit, double wish)
    {
        var wide = Type.Width(words.Write(unit), wish, true);
        return wide <= Side - (2 * Edge) ? wish : wish * (Side - (2 * Edge)) / wide;
    }
}
