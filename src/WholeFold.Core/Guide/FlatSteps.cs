using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Guide;

/// <summary>What is done to the pieces while they are flat: cut, scored, cut inside. Equal settings are gathered: what is set once is done to all before it is set again.</summary>
internal sealed class FlatSteps(Card card, int cards)
{
    private readonly IReadOnlyList<SizedPiece> _pieces =
        [.. card.Pieces.OrderBy(p => p.Piece.Id == card.Figures.Blank?.Piece ? 0 : 1).ThenByDescending(p => Length.Max(p.Width.Value, p.Height.Value))];

    /// <summary>Pieces of one size and stock are one step; the longest first, from the sheet's own edges.</summary>
    public IEnumerable<Step> Cut()
    {
        foreach (var alike in _pieces.GroupBy(p => p.Piece.Id == card.Figures.Blank?.Piece ? (object)p : (p.Width.Value, p.Height.Value, card.Design.StockOf(p.Piece.Id).Id)))
        {
            SizedPiece[] all = [.. alike];
            yield return all[0].Piece.Id == card.Figures.Blank?.Piece ? Begun(all[0], card.Figures.Blank) : CutOf(all);
        }
    }

    private Step CutOf(SizedPiece[] alike)
    {
        var piece = alike[0];
        var how = new[] { piece.Width.Setting.How, piece.Height.Setting.How };
        var (tool, cautions) = how.Contains(SetBy.Machine) ? ("machine", Array.Empty<string>()) : how.All(h => h == SetBy.Given) ? ("as it is there", [])
            : how.Contains(SetBy.Die) ? ("die", ["rollers"]) : how.Contains(SetBy.Knife) ? ("knife and metal rule", ["knife"]) : ("trimmer", new[] { "trimmer" });
        var count = cards * alike.Sum(p => p.Piece.Quantity);
        var names = Words.List(alike.Select(p => Words.Of($"{(cards * p.Piece.Quantity == 1 ? Spoken.The(p.Piece.Name) : $"{Saying.Count(cards * p.Piece.Quantity)} {Saying.Plural(p.Piece.Name)}")}")));
        return new Step($"cut-{piece.Piece.Id}", Words.Of($"Cut {names} from {card.Design.StockOf(piece.Piece.Id).Name}: {piece.Width.Value} × {piece.Height.Value:u}{Words.Join("", alike.Select(More))}."), [.. alike.SelectMany(p => new[] { p.Width.Id.ToString(), p.Height.Id.ToString() })], tool, null, null, [], "flat", null, new Work(Act.CutPiece, count), cautions)
        {
            Phase = Phase.Cut, Title = alike.Length == 1 ? $"cut {Spoken.The(piece.Piece.Name)}" : $"cut {Saying.Count(alike.Length)} alike", Pieces = [.. alike.Select(p => p.Piece.Id)],
            Why = Words.Of($"{piece.Width.Said}. Cut from the sheet's own edges: they are straight and square."),
            LookFor = count > 1 ? Words.Of($"Laid on each other, {(count == 2 ? "both" : $"all {Saying.Count(count)}")} have the same edges.") : Words.Of($"Fold corner to corner without creasing; the edges meet."),
        };
    }

    /// <summary>What a shaped top stands above the piece is cut with it.</summary>
    private Words More(SizedPiece piece) => Words.Join("", card.Dressed.Contours.Where(c =>
        c.IsFree && c.On.Any(o => o.Face.Piece == piece.Piece.Id)).Select(c =>
    {
        var shape = c.Contour.Shape == ContourShape.Drawn ? "shape" : DressingWriter.Name(c.Contour.Shape);
        var box = Box.Round([.. c.On.Where(o => o.Face.Piece == piece.Piece.Id).SelectMany(o => o.Outline)]);
        return Words.Join("", new (Length More, string At)[]
        {
            (box.Top - piece.Height.Value, "top"), (-box.Bottom, "bottom"), (-box.Left, "left"), (box.Right - piece.Width.Value, "right"),
        }.Where(m => m.More > Length.Zero).Select(m => Words.Of($", and {m.More:u} more at the {m.At} for the {shape}")));
    }));

    /// <summary>A bought blank is taken as it is; where a part of it is shorter it is trimmed.</summary>
    private Step Begun(SizedPiece piece, Blank blank)
    {
        var say = Words.Of($"Take the blank{(cards > 1 ? "s" : "")} for {Spoken.The(piece.Piece.Name)}, {blank.Width} × {blank.Height} closed: its spine is there.");
        var trimmed = piece.Along.Setting.How != SetBy.Given;
        return new Step($"cut-{piece.Piece.Id}", trimmed ? say.Add($" Trim it to {piece.Width.Value} × {piece.Height.Value}.") : say,
            [piece.Width.Id.ToString(), piece.Height.Id.ToString()], trimmed ? "trimmer" : "as it is there", null, null, [], "flat",
                null, new Work(Act.TakeBlank, cards), trimmed ? ["trimmer"] : [])
        {
            Phase = Phase.Cut, Title = "take the blank", Pieces = [piece.Piece.Id], LookFor = Words.Of($"It measures what is said here: no two makers' blanks are alike."),
        };
    }

    /// <summary>Papers of one stock that share a side are cut as strips of that width first, so that it is set once.</summary>
    public IEnumerable<Step> CutPapers()
    {
        foreach (var stock in card.Layers.GroupBy(l => l.Stock.Id))
        {
            SizedLayer[] layers = [.. stock];
            var machine = layers[0].Width.Setting.How == SetBy.Machine;
            var shared = layers.SelectMany(l => new[] { l.Width.Value, l.Height.Value }.Distinct().Select(s => (Side: s, Count: cards * l.Quantity)))
                .GroupBy(s => s.Side, s => s.Count).Where(g => g.Sum() > 1).OrderByDescending(g => g.Sum()).ThenByDescending(g => g.Key).FirstOrDefault()?.Key;
            var sizes = layers.GroupBy(l => (W: l.Width.Value, H: l.Height.Value)).OrderByDescending(g => Length.Max(g.Key.W, g.Key.H));
            var list = Words.List(sizes.Select(g => Words.Of($"{Saying.Count(cards * g.Sum(l => l.Quantity))} at {g.Key.W} × {g.Key.H:u}")));
            var strips = shared is { } s && !machine ? Words.Of($" Set the trimmer to {s:u} once and cut strips of it first.") : Words.Of($"");
            var shaped = layers.Where(l => !l.IsRectangle).ToList();
            var cautions = machine ? Array.Empty<string>() : shaped.Count > 0 ? ["trimmer", "scissors"] : new[] { "trimmer" };
            yield return new Step(
                $"cut-papers-{stock.Key}", Words.Of($"Cut from {layers[0].Stock.Name}: {list}.{strips}{(shaped.Count > 0 ? $" {(shaped.Count == layers.Length ? "Then cut each" : $"Then cut {Words.List(shaped.Select(l => Words.Of($"{Spoken.The(l.Role.Name)}"))).Write(DisplayUnit.Inch)}")} along its template." : "")}"),
                [.. layers.SelectMany(l => l.Sides).Select(m => m.Id.ToString())], machine ? "machine" : "trimmer", null, null, [], "flat", null, new Work(Act.CutPaper, cards * layers.Sum(l => l.Quantity)), cautions)
            {
                Phase = Phase.Cut, Title = $"cut {layers[0].Stock.Name}", Things = [.. layers.Select(l => $"layers.{l.Id}")],
                Why = layers[0].Stock.Directional ? Words.Of($"Its pattern has a way up: cut each with its top to the top of the sheet.") : layers[0].Width.Said,
                LookFor = Words.Of($"Laid on its panel, each leaves the border it should."),
            };
        }
    }

    public IEnumerable<Step> Score() => _pieces.SelectMany(Score);

    private IEnumerable<Step> Score(SizedPiece piece)
    {
        var last = piece.Passes.Count() - 1;
        foreach (var (pass, i) in piece.Passes.Select((p, i) => (p, i)))
        {
            var scores = pass.Scores.Select(piece.Score).ToList();
            var count = cards * piece.Piece.Quantity;
            var board = scores.Any(s => s.Figure.Setting.How is SetBy.Direct or SetBy.Turned or SetBy.Mirrored or SetBy.Between);
            yield return new Step(
                $"score-{piece.Piece.Id}-{i + 1}", FlatWords.Scored(piece, pass, Saying.All(piece.Piece.Name, count), count > 1)
                    .Add($"{(i == last ? FlatWords.Panels(piece) : Words.Of($""))}{(count > 1 && scores.Count > 1 ? $" Score {Saying.All(piece.Piece.Name, count)} at one stop, then at the next." : "")}"), [.. scores.Select(s => s.Figure.Id.ToString())],
                scores[0].Figure.Setting.How == SetBy.Machine ? "machine" : board ? "score board" : "ruler and stylus", pass.Lay switch { Lay.AsItLies => "as it lies", Lay.TurnedRound => "turned round", Lay.TurnedOver => "turned over", _ => "turned over head to foot" },
                pass.Lay is Lay.AsItLies or Lay.TurnedRound ? "up" : "down", [], "flat", null, new Work(Act.Score, scores.Count * count), [])
            {
                Phase = Phase.Score, Title = $"score {Spoken.The(piece.Piece.Name)}", Pieces = [piece.Piece.Id], Why = scores[0].Figure.Said,
                LookFor = scores.Count == 1 ? Words.Of($"You can feel the score from end to end with a nail.") : Words.Of($"You can feel each of the {Saying.Count(scores.Count)} scores from end to end with a nail."),
            };
        }
    }

    /// <summary>The step at which something is cut in a piece.</summary>
    public static string Opens(SizedPiece piece, SizedOpening opening) =>
        $"open-{piece.Piece.Id}-{opening.Opening.Kind.ToString().ToLowerInvariant()}{(IsWide(opening) ? "-wide" : "")}";

    private static bool IsWide(SizedOpening opening) => opening.Opening.Kind == CutKind.Slit && !opening.IsLine;

    public IEnumerable<Step> Open() => _pieces.SelectMany(Openings);

    private IEnumerable<Step> Openings(SizedPiece piece)
    {
        var count = cards * piece.Piece.Quantity;
        foreach (var kind in piece.Openings.GroupBy(o => (o.Opening.Kind, Wide: IsWide(o))))
        {
            var lines = piece.CutLines.Where(l => l.Figures.Any(f => f.Id is FigureRef.Line line && kind.Any(o => o.Opening.Id == line.Opening))).ToList();
            var machine = kind.First().Left.Setting.How == SetBy.Machine;
            var what = FlatWords.Opened(piece, [.. kind], Saying.All(piece.Piece.Name, count));
            var (blade, with, title) = kind.Key.Kind switch
            {
                CutKind.Notch => ("scissors", "scissors", "snip the corners"),
                CutKind.Snip => ("scissors", "scissors", "snip in along the scores"),
                CutKind.Divide => ("trimmer", "trimmer", "cut it in two"),
                _ => ("knife", "knife and metal rule", $"cut the {kind.First().Opening.Name}"),
            };
            yield return new Step(Opens(piece, kind.First()), what,
                [.. lines.SelectMany(l => l.Figures).Select(f => f.Id.ToString())], machine ? "machine" : with, null, "up", [], "flat", null, new Work(Act.Open, count), machine
                ? [] : [blade])
            {
                Phase = Phase.Flat, Title = title, Pieces = [piece.Piece.Id],
                Why = lines.FirstOrDefault()?.First.Said, LookFor = Words.Of($"Each cut stops where it meets the next, and no further."),
            };
        }
    }
}
