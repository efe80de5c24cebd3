using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>A window by a die that is not there: the nearest that is, or a knife.</summary>
internal sealed class DieNotOwned : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var window in card.Dressed.Windows.Where(w => w.Die is { IsOwned: false }))
        {
            var wanted = window.Die!;
            var near = card.Figures.Design.Inventory.All<Die>().Where(d => d.IsOwned && d.Shape == wanted.Shape)
                .MinBy(d => (d.Width - wanted.Width).Abs().Units + (d.Height - wanted.Height).Abs().Units);
            yield return new Check(
                "die-not-owned", Severity.Caution,
                Words.Of($"{wanted.Name}, {wanted.Width} × {wanted.Height}, is not there{(near is null ? Words.Of($"; a knife cuts that size") : Words.Of($"; the nearest that is is {near.Name}, {near.Width} × {near.Height}"))}."),
                new Dictionary<string, Length> { ["width"] = wanted.Width, ["height"] = wanted.Height })
            {
                At = FoundAt.Of(window.On[0]),
                Fix = near is not null ? new Fix(new CutWindow(window.Window.Id, DressingWriter.Write(window.Window) with { Die = near.Id, Size = null }),
                    Words.Of($"take {near.Name}")) : WindowMargin.ByKnife(card, window),
            };
        }
    }
}
