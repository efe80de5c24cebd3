using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Papers that show side by side and were given different borders: their edges do not line up.</summary>
internal sealed class UnequalPieces : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var role in card.Layers.GroupBy(l => (l.Role.Id, l.Level)).Where(g => g.Count() > 1))
        {
            // Only what a person said of one face alone: figures that were rounded differ by a mark and are told elsewhere.
            var odd = card.Figures.Design.Dressing.Layers.FirstOrDefault(w => w.Level == role.Key.Level && (w.RevealX ?? w.RevealY) is not null
                && role.Any(l => l.On.Any(o => o.On.Id == w.Role)) && w.Role != role.Key.Id);
            var (one, other) = (role.First(), role.Last());
            if (odd is not null && role.First().Role.Faces.Select(f => (f.Usual.Box.Width, f.Usual.Box.Height)).Distinct().Count() == 1)
            {
                yield return new Check(
                    "unequal-pieces-that-must-match", Severity.Caution,
                    Words.Of($"{one.Role.Name}: one paper is {one.Width.Value} × {one.Height.Value} and another {other.Width.Value} × {other.Height.Value}, on panels that are alike and show side by side."),
                    new Dictionary<string, Length> { ["width"] = one.Width.Value, ["otherWidth"] = other.Width.Value })
                {
                    At = new FoundAt(one.Piece, one.Panels[0], one.Face, one.On[0].Box),
                    Fix = new Fix(new Wear(odd.Role, odd.Level, null), Words.Of($"the same border on all of them")),
                };
            }
        }
    }
}
