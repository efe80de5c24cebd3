using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Tape that is wider than the tab it holds shows beside it, and catches what slides past.</summary>
internal sealed class TapeWiderThanTab : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var tape in card.Figures.Design.Dressing.Soft.Where(s => s.Kind == SoftKind.Tape && s.Width > Length.Zero))
        {
            var parts = tape.Role.Split('.');
            var panel = parts.Length < 2 ? null : card.Figures.Pieces.FirstOrDefault(p => p.Piece.Id == parts[0].Split(':')[0])?.Panels.FirstOrDefault(p => p.Panel.Id == parts[1]);
            if (panel is not null && tape.Width > panel.Extent)
            {
                yield return new Check(
                    "tape-wider-than-its-tab", Severity.Caution,
                    Words.Of($"The tape is {tape.Width} wide and {Constructions.Spoken.The(panel.Panel.Name)} {panel.Extent}: it would stick out beside it."), new Dictionary<string, Length> { ["tape"] = tape.Width, ["tab"] = panel.Extent })
                {
                    Fix = new Fix(new Tie(tape.Id, new SoftSpec(tape.Id, tape.Role, "tape", "run", WrittenLength.Of(card.Figures.Tools.CutDown(panel.Extent)), tape.Passes)), Words.Of($"narrower tape")),
                };
            }
        }
    }
}
