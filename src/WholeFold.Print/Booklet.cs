using WholeFold.Core.Drawing;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>Step by step, each with its picture, its figures in both systems, what to look for and what to beware of.</summary>
internal static class Booklet
{
    private const double Size = 3.6, Small = 3.0, Picture = 46, Gap = 5, Beside = 4;

    public static IReadOnlyList<Page> Of(HandOut ask, IProgress<int>? progress, CancellationToken cancel)
    {
        var flow = new Flow(ask.Paper, ask.Title);
        flow.Write(ask.Name, 7, bold: true, Reads.Title);
        flow.Write(Words.Of($"{ask.Card.Design.Family.Name}, {ask.Card.Design.SizeAsRead(ask.Card.Target.Width, ask.Card.Target.Height)}{(ask.Cards > 1 ? $", {Words.Of($"for {ask.Cards} cards").Write(ask.Unit)}" : "")}. {(ask.Card.Design.Order == Core.Designs.MakingOrder.DecorateFirst ? "Decorate, then assemble." : "Assemble, then decorate.")}").Parts(ask.Unit), Size);
        flow.Skip(3);
        var cautioned = new HashSet<string>();
        foreach (var (said, i) in InBoth.Of(ask.Card, ask.Steps, ask.Unit, ask.Card.Second, ask.Cards).Select((s, i) => (s, i)))
        {
            cancel.ThrowIfCancellationRequested();
            OneStep(flow, ask, said, i, cautioned);
            progress?.Report(i + 1);
        }

        return flow.Pages();
    }

    private static void OneStep(Flow flow, HandOut ask, (Step Step, IReadOnlyList<SentencePart> Say) said, int i, HashSet<string> cautioned)
    {
        var step = said.Step;
        var width = flow.Width - Picture - Gap;
        var blocks = new List<(IReadOnlyList<SentencePart> Words, double Size, bool Bold, Reads Reads, string Colour)>
        {
            (Typesetter.Plain($"{i + 1}  {Core.Constructions.Spoken.First(step.Title)}"), Size * 1.15, true, Reads.Heading, Pen.Black),
            (said.Say, Size, false, Reads.Paragraph, Pen.Black),
        };
        var with = step.Tool is "by hand" or "as it is there" ? "" : $"With {step.Tool}";
        var lies = string.Join(", ", new[] { with, step.Lay, step.Face is { } face ? $"{(face == "up" ? "inner" : "outer")} side up" : null }.Where(s => s is { Length: > 0 }));
        if (lies.Length > 0)
        {
            blocks.Add((Typesetter.Plain($"{Core.Constructions.Spoken.First(lies)}."), Small, false, Reads.Paragraph, "#333333"));
        }

        if (step.LookFor is { } look && step.Bonds.Count == 0)
        {
            blocks.Add((Words.Of($"Check: {look}").Parts(ask.Unit), Small, false, Reads.Paragraph, "#333333"));
        }

        if (step.Tip is { } tip)
        {
            blocks.Add((Typesetter.Plain($"Tip: {tip}"), Small, false, Reads.Paragraph, "#333333"));
        }

        // In full once a page: where this step begins the next one, all of them again.
        var drawings = StepDrawing.Of(ask.Card, ask.Steps, i);
        double High() => Math.Max(blocks.Sum(b => Flow.Block(b.Words, b.Size, 0, 0, width, b.Bold).Height), drawings.Count == 0 ? 0
            : Picture * 0.62) + Beside;
        if (flow.Y > Flow.Margin && High() + (step.Cautions.Count * Small * 3) > flow.Room)
        {
            flow.Break();
            cautioned.Clear();
        }

        blocks.AddRange(Steps.Care(step, cautioned).Select(c => (Typesetter.Plain(c), Small, true, Reads.Paragraph, Pen.Black)));
        var height = High();
        flow.Need(height);
        var (top, y) = (flow.Y, flow.Y);
        foreach (var (words, size, bold, reads, colour) in blocks)
        {
            var (part, high) = Flow.Block(words, size, Flow.Margin + Picture + Gap, y, width, bold, reads, colour);
            flow.Add(part);
            y += high;
        }

        if (drawings.Count > 0)
        {
            var each = (Picture - (2 * (drawings.Count - 1))) / drawings.Count;
            flow.Add(new Part(Reads.Figure, [.. drawings.SelectMany((d, n) => PieceArt.Of(d, Flow.Margin + (n * (each + 2)), top + 1, each, Picture * 0.58, tinted: true))], $"{string.Join(", ", drawings.Select(d => d.Name))} after step {i + 1}"));
        }

        flow.Skip(height);
    }
}
