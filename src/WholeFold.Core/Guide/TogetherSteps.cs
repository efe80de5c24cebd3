using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>Folding and bonding: the construction's own steps, its bonds in an order in which a hand reaches each.</summary>
internal sealed class TogetherSteps(Card card, int cards, IReadOnlyList<OrderedBond> order)
{
    private readonly Figures _figures = card.Figures;

    /// <summary>Places that a ruler finds: not those that closing the card finds by itself, nor what is flush both ways.</summary>
    private List<(OrderedBond Bond, Place Place)> Ruled() =>
        [.. order.Where(o => o.Laid != LaidBy.Closed).Select(o => (o, Places.Of(_figures, o.Bond)))
        .Where(p => p.Item2.From.Any(f => f.Distance != Length.Zero))];

    /// <summary>Where parts go is ticked while everything is flat, piece by piece.</summary>
    public IEnumerable<Step> Ticks()
    {
        foreach (var piece in Ruled().GroupBy(p => p.Bond.Bond.A.Piece.Piece))
        {
            var places = piece.DistinctBy(p => $"{p.Place.What} {p.Place.On} {p.Place.Said.Write(DisplayUnit.Millimetre)}").ToList();
            var name = _figures.Pieces.First(p => p.Piece.Id == piece.Key).Piece.Name;
            yield return new Step(
                $"tick-{piece.Key}", Words.Of($"Mark {Saying.All(name, cards)} lightly for {Words.Join("; for ", places.Select(p => Words.Of($"{Lower(p.Place.What)}: {p.Place.Said}")))}."),
                [.. piece.Select(p => p.Place.Id)], "pencil and ruler", null, piece.First().Bond.Bond.A.On.Face == Face.Up ? "up"
                    : "down", [], "flat", null, new Work(Act.Mark, cards * places.Count), [])
            {
                Phase = Phase.Flat, Title = $"mark {Spoken.The(name)}", Pieces = [piece.Key], Marks = [.. piece.Select(p => p.Place.Id)],
                Why = Words.Of($"Once it is folded a ruler no longer lies flat on it."), LookFor = Words.Of($"Two light marks for each part, where it will cover them."),
            };
        }
    }

    public IEnumerable<Step> All()
    {
        foreach (var (step, i) in card.Construction.Steps.Where(s => Applies(s.Case)).Select((s, i) => (s, i)))
        {
            yield return step.Bonds.Count == 0 ? Fold(step, i) : Bond(step, i);
        }
    }

    private bool Applies(StepOnlyIf? only) => only switch
    {
        null => true,
        { Case: StepCase.Papered } => card.Layers.Count > 0,
        { Case: StepCase.NoBoard } => _figures.Tools is { Exact: false, GrooveRows.Count: 0 },
        { Role: { } role } => !card.Dressed.Elements.Any(e => e.On.Any(o => card.Dressed.Roles.Of(role).Any(f => f.Id == o.Face.Id))),
        _ => true,
    };

    /// <summary>What holds parts together is said as what it is.</summary>
    private static string Stuck(string text, Adhesive with)
    {
        var verb = with.Wet || with.Solvent ? "glue" : "tape";
        return text.Replace("Bond ", $"{Spoken.First(verb)} ", StringComparison.Ordinal).Replace("bond ", $"{verb} ", StringComparison.Ordinal);
    }

    private Step Fold(AssemblyStep step, int i)
    {
        var places = Places.Of(_figures).Where(p => step.Places?.Contains(p.Id) == true).ToList();
        var told = Words.Join("", places.Select(p => Words.Of($" Measure {Lower(p.What)}: {p.Said}.")).Prepend(Words.Of($"{Stuck(step.Text, card.Design.Inventory.BondTape)}")));
        return new Step($"make-{i + 1}", told, [.. places.Select(p => p.Id)], "by hand", null, null, [], "flat", null, new Work(Act.MakeUp, cards), [])
        {
            Phase = i == 0 ? Phase.Fold : Phase.Bond, Title = Saying.Title(step.Title ?? (i == 0 ? "fold and burnish" : "put it together"), "the next step"), Pieces = [.. card.Pieces.Select(p => p.Piece.Id)],
                Flexes = true, Marks = [.. places.Where(p => p.Mark.Length > 0).Select(p => p.Id)],
            Why = i == 0 ? Words.Of($"A fold that is burnished both ways moves both ways.") : null, LookFor = i == 0 ? Words.Of($"Closed without adhesive it is {card.Design.SizeAsRead(card.Closed.Width, card.Closed.Height)}, edge on edge.") : null,
        };
    }

    private Step Bond(AssemblyStep step, int i)
    {
        var bonds = order.Where(o => step.Bonds.Contains(o.Bond.Id)).ToList();
        var say = Words.Of($"{Stuck(step.Text, card.Design.Inventory.BondTape)}");
        foreach (var alike in bonds.Select(b => (b.Laid, Place: Places.Of(_figures, b.Bond))).GroupBy(p =>
            (p.Place.What, Closed: p.Laid is LaidBy.Closed, Said: p.Place.Said.Write(DisplayUnit.Millimetre))))
        {
            // The flap of each of several pillars goes on its own first side.
            var on = Words.List(alike.Select(p => p.Place.On).Distinct().Select(o => Words.Of($"{o}"))).Write(DisplayUnit.Inch);
            say.Add($" {alike.Key.What} {(alike.Key.Closed ? "comes down" : "goes")} on {on}: {alike.First().Place.Said}.");
        }

        foreach (var range in bonds.Where(b => b.Bond.AtLeast).Select(b => Places.FiguresOf(_figures, b.Bond)))
        {
            say.Add($" Glue at least {range.Width} × {range.Height:u} of it, and at most {range.Most!.Value.Width} × {range.Most.Value.Height:u}, or the glue reaches a fold.");
        }

        if (bonds.FirstOrDefault(b => b.Laid == LaidBy.Closed) is { } closed && closed.Folded.Count > 0)
        {
            say.Add($" Fold the {Creases(closed.Folded)}{(closed.Left.Count > 0 ? $"; leave the {Creases(closed.Left)} flat" : "")}. Put the adhesive on and press the card closed: the part finds its own place.");
        }

        var (last, tape) = (bonds[^1].Laid, card.Design.Inventory.BondTape);
        var places = bonds.Select(b => Places.Of(_figures, b.Bond)).ToList();
        return new Step(
            $"make-{i + 1}", say.Add($" Check: {step.RightWhen}."), [.. bonds.Select(b => $"places.{b.Bond.Id}")], tape.Name, null, bonds[0].Bond.A.On.Face == Face.Up ? "up" : "down", [.. bonds.Select(b => b.Bond.Id)],
            last switch { LaidBy.Flat => "flat", LaidBy.FoldedFlat => "foldedFlat", LaidBy.Closed => "closed", _ => "standing" },
                last switch { LaidBy.Closed => "closing", LaidBy.Opening => "opening", _ => "flat" }, new Work(Act.Bond, cards * bonds.Count), tape.Solvent ? ["solvent"] : [])
        {
            Phase = Phase.Bond, Title = Named(bonds, Stuck("bond ", tape)),
            Pieces = [.. bonds.SelectMany(b => new[] { b.Bond.A.Piece.Piece, b.Bond.B.Piece.Piece }).Distinct()], Flexes = bonds.Any(b => b.Laid != LaidBy.Flat),
            Holds = tape.Sets, HoldsFor = tape.Sets > 0 ? $"{tape.Name} sets" : null, LookFor = Words.Of($"{Spoken.First(step.RightWhen!)}."),
            Gone = [.. places.Where(p => p.Vanishes.StartsWith("covered", StringComparison.Ordinal)).Select(p => p.Id)],
            Why = last switch { LaidBy.Closed => Words.Of($"Closing the card puts it in its place more exactly than a ruler."), LaidBy.Opening => Words.Of($"Your hand still goes in where it is open; later it won't."), _ => Words.Of($"While it lies flat you can press all of it.") },
        };
    }

    private string Named(List<OrderedBond> bonds, string verb)
    {
        var (part, piece) = (_figures.PlateOf(bonds[0].Bond.B.Plate).Name, _figures.PieceOf(bonds[0].Bond.B.Piece).Piece.Name);
        return bonds.Count > 1 ? $"{verb}{Saying.Count(bonds.Count)} parts"
            : Saying.Title($"{verb}{Spoken.The(part)}", $"{verb}{Spoken.The(piece)}", $"{verb}the part");
    }

    /// <summary>What opens first, where all of it at once would send the card through itself.</summary>
    public static Step Lead(Figures figures, IReadOnlyList<CreaseRef> leads)
    {
        var names = leads.Select(l => figures.Pieces.First(p => p.Piece.Id == l.Piece).Score(l.Index).Place).ToList();
        return new Step("lead", Words.Of($"Open the folds at the {Creases(names)} first, then the others; to close it, the other way about. Moved all at once, its parts would run into each other."), [], "by hand", null, null, [], "shown", null, new Work(Act.TryOut, 1), [])
        {
            Phase = Phase.Finish, Title = "how it opens", Flexes = true,
        };
    }

    private static string Lower(string words) => $"{char.ToLowerInvariant(words[0])}{words[1..]}";

    private static string Creases(IReadOnlyList<string> names) => names.Count == 1 ? $"score {names[0]}" : $"scores {string.Join(", ", names.SkipLast(1))} and {names[^1]}";
}
