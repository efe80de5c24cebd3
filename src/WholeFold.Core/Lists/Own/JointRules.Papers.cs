using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Pieces without scores, papers and windows: both sides at once, by where they lie.</summary>
internal sealed partial class JointRules
{
    private void AddPlain(OwnPiece piece, List<Region> regions)
    {
        var index = _pieces++;
        var square = (piece.First - piece.Second).Abs() <= _near;
        var (first, second) = (Add(piece.First), Add(piece.Second));
        _figures.Add(new Figure(piece, "width", piece.First, [(first, 1)]));
        _figures.Add(new Figure(piece, "height", piece.Second, [(second, 1)]));
        var (byDie, goesRound, oblong) = (CutByDie.IsMatch(piece.Name), RoundTheCard.IsMatch(piece.Name), (_width - _height).Abs() > _near);
        var lies = regions.SelectMany(r => new[] { (r.A, r.B, r.Weight, r.Alike), (A: r.B, B: r.A, r.Weight, r.Alike) })
            .SelectMany(r => BorderOf(piece, r.A, r.B) is { } b
            ? [(r.A, r.B, b.Border, Weight: b.Weight + r.Weight + (piece.Quantity > 1 && r.Alike % piece.Quantity == 0 ? OfEach : 0))]
            : Array.Empty<(Known A, Known B, Length Border, double Weight)>()).ToList();
        _steps.Add(state =>
        {
            var options = new List<Option>();
            var (a, b) = (Side(state, first), square ? null : Side(state, second));
            if (b is null)
            {
                options.AddRange(a.Select(s => new Option(first, s.Rule, second, s.Rule, s.Weight + SquareSides + (oblong ? KeptSquare : 0))));
                b = a;
            }

            foreach (var one in a)
            {
                foreach (var other in b)
                {
                    var (way, otherWay) = (WayOf(one.Rule), WayOf(other.Rule));
                    var named = way > 0 || (way == 0 && otherWay < 0) ? 1 : way < 0 || otherWay > 0 ? -1 : 0;
                    // Which side of a square is named first says nothing; its width is taken to be.
                    options.Add(new Option(first, one.Rule, second, other.Rule,
                        one.Weight + other.Weight + RunsIn(one.Rule, other.Rule)
                        + (way != 0 && way == otherWay ? BothOneWay : square ? named * WidthFirst : HabitOf(state, named)), Named: square
                        || (way != 0 && way == otherWay) ? 0 : named));
                }
            }

            foreach (var (on, beside, border, weight) in lies)
            {
                var (x, y) = (on.Always ?? Rule(state, on.Terms), beside.Always ?? Rule(state, beside.Terms));
                var said = border < Length.Zero ? Words.Of($"the {on.Name} and {border.Abs()} more on each side") : Words.Of($"the {on.Name} less {border} on each side");
                options.Add(new Option(first, new FigureRule(x.W, x.H, said, 0), second, new FigureRule(y.W, y.H, said, 0),
                    weight + (border == state.Border ? UsedBefore : 0)
                    + (square ? WidthFirst * WayOf(new FigureRule(x.W, x.H, said, 0)) : HabitOf(state, WayOf(new FigureRule(x.W, x.H, said, 0)))),
                    Border: border));
            }

            return [.. options.GroupBy(o => (Math.Round(o.Rule.ByWidth, 3), Math.Round(o.Rule.ByHeight, 3), Math.Round(o.Other!.ByWidth, 3),
                Math.Round(o.Other.ByHeight, 3))).Select(g => g.MaxBy(o => o.Weight)!).OrderByDescending(o => o.Weight).Take(MostOptions)];
        });

        var (knownA, knownB) = (new Known(piece.First, [(first, 1)], index, piece.Name), new Known(piece.Second, [(second, 1)], index, piece.Name));
        if (piece.Kind == OwnKind.Piece || piece.Kind == OwnKind.Paper)
        {
            _known.AddRange([knownA, knownB]);
            regions.Add(new Region(knownA, knownB, 0, piece.Quantity));
        }

        // What is as long as the card one way runs in it the other way, and is less by what its maker needs.
        double RunsIn(FigureRule one, FigureRule other) => piece is { Kind: OwnKind.Piece, Quantity: 1 } && SideOf(one) is { } along && SideOf(other) is { } across
            && (((piece.First - along).Abs() <= _near && piece.Second < across - _near) || ((piece.Second - across).Abs() <= _near && piece.First < along - _near)) ? Runs : 0;
        Length? SideOf(FigureRule rule) => rule is { ByWidth: 1, ByHeight: 0 } ? _width : rule is { ByWidth: 0, ByHeight: 1 } ? _height : null;

        List<(FigureRule Rule, double Weight)> Side(State state, int length)
        {
            var options = new Choices();
            foreach (var rule in RulesOf(_values[length]))
            {
                options.Add(rule, rule.Weight + (byDie && rule.ByWidth == 0 && rule.ByHeight == 0 ? ByDie : 0) + (rule.IsShare && Math.Max(rule.ByWidth, rule.ByHeight) > 1 ? HangsOver : 0));
            }

            // What goes round the closed card is twice as long as that, and overlaps.
            foreach (var (side, isWidth) in goesRound ? new[] { (_width, true), (_height, false) } : [])
            {
                var more = _values[length] - side - side;
                if (more >= Length.Zero && more <= MostOverlap)
                {
                    options.Add(new FigureRule(isWidth ? 2 : 0, isWidth ? 0 : 2, Words.Of($"round the card: twice the {(isWidth ? "width" : "height")}{(more > _near ? Words.Of($" and {more}") : "")}"), 0), GoesRound);
                }
            }

            foreach (var (rule, weight) in Alike(state, length, index))
            {
                options.Add(rule, weight);
            }

            // A strip keeps its border on one side only.
            foreach (var known in _known.Where(k => k.Value >= LeastAlike && k.Terms.All(t => state.Has(t.Length)) && Borders.Take(3)
                .Any(b => (k.Value - (2 * b.Border.For(_system)) - _values[length]).Abs() <= new Length(_near.Units / 2))))
            {
                var (w, h) = Rule(state, known.Terms);
                options.Add(new FigureRule(w, h, Words.Of($"the {known.Name} less a border"), 0), OneWayBorder);
            }

            // A frame stays as wide as it is, though the foot of it may be higher.
            foreach (var known in piece.Kind == OwnKind.Window ? _known.Where(k => k.Value >= LeastAlike && k.Terms.All(t => state.Has(t.Length))) : [])
            {
                var (frame, (w, h)) = (known.Value - _values[length], Rule(state, known.Terms));
                if (frame >= LeastFrame && frame <= MostFrame && FinishedSize.IsRound(frame, _system))
                {
                    options.Add(new FigureRule(w, h, Words.Of($"the {known.Name} less {frame}"), 0), OneWayFrame);
                }
            }

            return [.. options.Best(BestOfASide)];
        }
    }

    private static int WayOf(FigureRule rule) => rule.ByWidth == 0 && rule.ByHeight == 0 ? 0 : Math.Abs(rule.ByWidth) >= Math.Abs(rule.ByHeight) ? 1 : -1;

    /// <summary>The border that a piece leaves on a place, where it is the same both ways.</summary>
    private (Length Border, double Weight)? BorderOf(OwnPiece piece, Known a, Known b)
    {
        var (x, y) = (a.Value - piece.First, b.Value - piece.Second);
        if (x < new Length(-_near.Units) || (x - y).Abs() > _near)
        {
            // A cover stands over what it is on by as much all round.
            return piece.Kind == OwnKind.Piece && x < Length.Zero && x >= new Length(-2 * MostOver.Units) && (x - y).Abs() <= _near ? (new Length((x.Units + y.Units) / 4), Over) : null;
        }

        var border = new Length((x.Units + y.Units) / 4);
        var usual = Borders.SelectMany(u => new[] { (By: u.Border.For(_system), u.Weight), (By: 2 * u.Border.For(_system), Weight: u.Weight + TwiceABorder) })
            .Where(u => (u.By - border).Abs() <= new Length(_near.Units / 2)).ToList();
        return piece.Kind == OwnKind.Window ? (border, Framed) : usual.Count > 0 ? (usual[0].By, usual.Max(u => u.Weight)) : border <= Length.In(1)
            ? (border, border < new Length(_near.Units) ? AsLarge : AnyBorder + (FinishedSize.IsRound(border, _system) ? RoundBorder : 0)) : null;
    }
}
