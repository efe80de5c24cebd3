using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Guide;

/// <summary>Puts what hands know at the first step where it holds: each tip once, and never two at a step.</summary>
internal static class Tips
{
    private static readonly Pair Close = Pair.Of(1, 2, 12m);

    public static IEnumerable<Step> On(Card card, IReadOnlyList<Step> steps, int cards)
    {
        var at = new Dictionary<string, string>();
        var inventory = card.Design.Inventory;

        // One's own first: whoever wrote one down wants to read it.
        foreach (var tip in inventory.All<Tip>().Where(t => !t.IsOff).OrderByDescending(inventory.IsOwn))
        {
            if (steps.FirstOrDefault(s => !at.ContainsKey(s.Id) && IsAt(card, s, tip.At) && Holds(card, s, tip.If, cards)) is { } step)
            {
                at.Add(step.Id, tip.Text);
            }
        }

        return steps.Select(s => at.TryGetValue(s.Id, out var text) ? s with { Tip = text } : s);
    }

    private static bool IsAt(Card card, Step step, TipAt at) => (at, step.Work.Act) switch
    {
        (TipAt.Cut, Act.CutPiece or Act.CutPaper) => true,
        (TipAt.Score, Act.Score) => true,
        (TipAt.Window, Act.Open) => true,
        (TipAt.Fold, Act.MakeUp) => step.Phase == Phase.Fold,
        (TipAt.Bond, Act.Bond) => true,
        (TipAt.Paper, Act.Paper) => true,
        (TipAt.Stamp, Act.Element) => Elements(card, step).Any(e => e.IsInk),
        (TipAt.Raise, Act.Element) => Elements(card, step).Any(e => e.IsRaised),
        (TipAt.Finish, Act.BreakIn) => true,
        _ => false,
    };

    private static IEnumerable<Element> Elements(Card card, Step step) =>
        card.Dressed.Elements.Select(e => e.Element).Where(e => step.Things.Contains($"elements.{e.Id}"));

    private static bool Holds(Card card, Step step, TipIf only, int cards)
    {
        var bonds = card.Construction.Bonds.Where(b => step.Bonds.Contains(b.Id));
        var layers = card.Layers.Where(l => step.Things.Contains($"layers.{l.Id}"));
        return only switch
        {
            TipIf.Always => true,
            TipIf.SeveralCards => cards > 1,
            TipIf.CloseScores => Scores(card, step) is var (at, _)
                && at.Zip(at.Skip(1)).Any(p => p.Second - p.First < Close.For(card.Figures.Tools.System)),
            TipIf.EqualEnds => Scores(card, step) is var (at, size) && at.Any(a => 2 * a < size && at.Contains(size - a)),
            TipIf.Die => step.Tool.StartsWith("die ", StringComparison.Ordinal),
            TipIf.Knife => step.Cautions.Contains("knife"),
            TipIf.WetGlue => Adhesive(card, step).Wet,
            TipIf.Tape => Adhesive(card, step) is { Wet: false, Solvent: false },
            TipIf.SealedStock => layers.Any(l => l.Stock.Kind is StockKind.Foil or StockKind.Mirror or StockKind.Acetate),
            TipIf.Triangle => bonds.Any(b => b.A.Region is not Rectangle),
            TipIf.Closing => step.Reach == "closing",
            TipIf.SeveralPapers => card.Layers.Sum(l => l.Quantity) > 3,
            TipIf.Stands => card.Construction.Does == Effect.Stands,
            TipIf.Slides => card.Pieces.Any(p => p.Piece.Functions.Along == PartFunction.Slides
                || p.Piece.Functions.Across == PartFunction.Slides),
            _ => card.Construction.Does == Effect.Turns,
        };
    }

    private static Adhesive Adhesive(Card card, Step step) => step.Bonds.Count > 0 ? card.Design.Inventory.BondTape : card.Design.Adhesive;

    /// <summary>Where the scores of a step lie along their piece, in order, and how long that is.</summary>
    private static (List<Length> At, Length Size) Scores(Card card, Step step)
    {
        var piece = card.Pieces.First(p => p.Piece.Id == step.Pieces[0]);
        var scores = piece.AllScores.Where(s => s.Axis == piece.Piece.Axis && step.Figures.Contains(s.Figure.Id.ToString()));
        return ([.. scores.Select(s => s.Figure.Value).Distinct().Order()], piece.Along.Value);
    }
}
