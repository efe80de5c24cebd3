using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Says where the finished card ends below its format, and by how much.</summary>
internal sealed class UnderFormat : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var (width, height) = (card.Figures.Target.Width - card.Figures.Width, card.Figures.Target.Height - card.Figures.Height);
        if (card.Figures.Blank is null && (width > Length.Zero || height > Length.Zero))
        {
            yield return new Check(
                "under-format",
                card.Figures.Relaxation == Relaxation.SmallerCard ? Severity.Caution : Severity.Note,
                Words.Of($"Finished at {card.Figures.Width} × {card.Figures.Height}, under the format's {card.Figures.Target.Width} × {card.Figures.Target.Height}."),
                new Dictionary<string, Length> { ["width"] = width, ["height"] = height })
            {
                AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"{Length.Max(width, height)} under")),
            };
        }
    }
}
