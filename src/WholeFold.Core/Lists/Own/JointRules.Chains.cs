using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Scored pieces: chains of panels, read small to large, and what they sum to.</summary>
internal sealed partial class JointRules
{
    private void AddScored(OwnPiece piece, bool isMain, bool upwards, List<Region> regions)
    {
        var index = _pieces++;
        var panels = Classes(piece.Panels);
        var crossed = piece.Cross.Count > 0 && piece.Cross[^1] < piece.Across;
        var across = Classes(crossed ? (piece with { Scores = piece.Cross, AlongFirst = !piece.AlongFirst }).Panels : [piece.Across]);
        var (alongTerms, acrossTerms) = (Total(panels), Total(across));
        _figures.Add(new Figure(piece, piece.AlongFirst ? "height" : "width", piece.Across, acrossTerms));
        _figures.Add(new Figure(piece, piece.AlongFirst ? "width" : "height", piece.Along, alongTerms));
        for (var i = 0; i < piece.Scores.Count; i++)
        {
            _figures.Add(new Figure(piece, $"score {i + 1}", piece.Scores[i], Total([.. panels.Take(i + 1)])));
        }

        for (var i = 0; crossed && i < piece.Cross.Count; i++)
        {
            _figures.Add(new Figure(piece, $"score {piece.Scores.Count + i + 1}", piece.Cross[i], Total([.. across.Take(i + 1)])));
        }

        // Which side its creases run along comes first, then how far it is across, then its panels, small to large. Of a square card that is
        // as good as the other.
        var ways = isMain && (_width - _height).Abs() <= _near ? [upwards ? 1 : 0] : Enumerable.Range(0, 2).ToArray();
        var named = piece.AlongFirst ? 1 : -1;
        _steps.Add(state => [.. ways.Select(way => new Option(-1, RulePriors.Fixed(piece.Along), -1, null, HabitOf(state, way == 0 ? named : -named), index, way, way == 0 ? named : -named))]);
        var walls = crossed && panels.Count > 2 && across.Count > 2 && panels[0] == panels[^1] && across[0] == across[^1] && (_values[panels[0]] - _values[across[0]]).Abs() <= _near;
        var inside = panels.Distinct().Count() > 1 || across.Count > 1 ? [] : Inside(panels[0], across[0], regions).ToList();
        _sheets.Add((piece.Along, piece.Across));
        AddChain(piece, index, across, crossed, isAcross: true, walls, inside);
        AddChain(piece, index, panels, panels.Count > 1, isAcross: false, walls, inside);

        // What others may be as long as, and what papers may lie on.
        var acrossKnown = new Known(piece.Across, acrossTerms, index, piece.Name);
        var alongKnown = new Known(piece.Along, alongTerms, index, piece.Name);
        _known.AddRange(panels.Count > 1 ? [acrossKnown, alongKnown] : [acrossKnown]);
        regions.Add(new Region(alongKnown, acrossKnown, panels.Count > 1 ? Spans : 0, piece.Quantity));
        foreach (var panel in panels.Distinct())
        {
            var known = new Known(_values[panel], [(panel, 1)], index, panels.Count > 1 ? $"{piece.Name}’s panel" : piece.Name);
            _known.Add(known);
            if (panels.Count > 1)
            {
                regions.Add(new Region(known, acrossKnown, 0, panels.Count(p => p == panel) * piece.Quantity));
            }
        }

        for (var from = 0; from < panels.Count; from++)
        {
            for (var to = from + 1; to < panels.Count && to - from < panels.Count - 1; to++)
            {
                List<int> run = [.. panels.Skip(from).Take(to - from + 1)];
                var sum = new Known(run.Aggregate(Length.Zero, (s, p) => s + _values[p]), Total(run), index, piece.Name);
                regions.Add(new Region(sum, acrossKnown, Spans, piece.Quantity));
            }
        }
    }

    /// <summary>A length for each panel; those that are as long are one.</summary>
    private List<int> Classes(IReadOnlyList<Length> panels)
    {
        var classes = new List<int>();
        foreach (var panel in Evened(panels))
        {
            var same = classes.FirstOrDefault(c => (_values[c] - panel).Abs() <= _near, -1);
            classes.Add(same >= 0 ? same : Add(panel));
        }

        return classes;
    }

    /// <summary>Equal parts that do not come out on a ruler's marks, so that some are a mark wider than others: each as long as they are on average.</summary>
    private List<Length> Evened(IReadOnlyList<Length> panels)
    {
        var even = panels.ToList();
        for (var from = 0; from + EvenAtLeast <= panels.Count; from++)
        {
            for (var count = panels.Count - from; count >= EvenAtLeast; count--)
            {
                var run = panels.Skip(from).Take(count).ToList();
                var part = new Length(run.Sum(p => p.Units) / count);
                var at = Length.Zero;
                if (run.All(p => (p - part).Abs() <= _mark) && run.Select((p, i) => (at += p) - new Length(part.Units * (i + 1))).All(off => off.Abs() <= new Length(_mark.Units / 2)))
                {
                    for (var i = from; i < from + count; i++)
                    {
                        even[i] = part;
                    }

                    from += count - 1;
                    break;
                }
            }
        }

        return even;
    }

    private static IReadOnlyList<(int Length, int Times)> Total(IReadOnlyList<int> panels) => [.. panels.GroupBy(p => p).Select(g => (g.Key, g.Count())).OrderBy(t => t.Key == panels[^1])];

    /// <summary>Folded in halves it lies in the card, or on a panel of another piece, with the same border both ways.</summary>
    private IEnumerable<(int Length, Known On, Length Border)> Inside(int panel, int across, List<Region> regions)
    {
        foreach (var (a, b) in regions.SelectMany(r => new[] { (r.A, r.B), (r.B, r.A) }))
        {
            var (x, y) = (a.Value - _values[panel], b.Value - _values[across]);
            if (x > _near && x <= Length.In(2) && (x - y).Abs() <= _near)
            {
                yield return (panel, a, new Length((x.Units + y.Units) / 4));
                yield return (across, b, new Length((x.Units + y.Units) / 4));
            }
        }
    }

    private void AddChain(OwnPiece piece, int index, List<int> panels, bool isChain, bool isAcross, bool walls, IReadOnlyList<(int Length, Known On, Length Border)> inside)
    {
        // What goes round a tube is as long as its sides make it, and follows no side of the card.
        var round = panels.GroupBy(p => p).FirstOrDefault(g => g.Count() >= TubeSides && g.Count() >= panels.Count - 1)?.Key;
        var sums = isChain && round is null ? SumsOf(panels) : [];
        var (whole, total) = (panels.Aggregate(Length.Zero, (s, p) => s + _values[p]), Total(panels));
        var order = panels.Distinct().OrderBy(p => _values[p]).ToList();
        foreach (var (length, n) in order.Select((l, n) => (l, n)))
        {
            var isEnd = isChain && panels.Select((p, i) => (p, i)).Where(p => p.p == length).All(p => p.i == 0 || p.i == panels.Count - 1) && _values[length] <= LeastAlike;
            var isWall = walls && (length == panels[0] || length == panels[^1]);
            var byDie = CutByDie.IsMatch(piece.Name);
            var isInner = isChain && panels[0] != length && panels[^1] != length;
            _steps.Add(state =>
            {
                // Along its creases a piece goes with the side of the card that they run along.
                var isWidth = (state.Way[index] == 0) != isAcross;
                var options = new Choices();
                foreach (var rule in RulesOf(_values[length]))
                {
                    var isFixed = rule.ByWidth == 0 && rule.ByHeight == 0;
                    options.Add(rule, rule.Weight + Leaning(rule, isWidth, OtherWay)
                        + (!isFixed ? 0 : (isEnd ? EndTab : 0) + (isInner ? Inner : 0) + (length == round ? OfATube : 0) + (isWall ? AllWalls : 0)
                        + (byDie ? ByDie : 0)));
                }

                foreach (var (rule, weight) in Alike(state, length, index))
                {
                    options.Add(rule, weight + Leaning(rule, isWidth, OtherWayAlike));
                }

                foreach (var (_, on, border) in inside.Where(i => i.Length == length && i.On.Terms.All(t => state.Has(t.Length))))
                {
                    var (w, h) = on.Always ?? Rule(state, on.Terms);
                    options.Add(new FigureRule(w, h, Words.Of($"the {on.Name} less {border} on each side"), 0), InsideEvenly);
                }

                List<Sum> both = isChain && round is null ? [.. sums, .. AsLong(state, whole, total, index, isWidth)] : sums;
                foreach (var sum in both.Where(s => s.IsHeight != isWidth && s.Terms.Any(t => t.Length == length)))
                {
                    if (Rest(state, sum, length) is { } rest)
                    {
                        options.Add(rest, rest.Weight);
                    }
                }

                // What its maker says of a figure tells the last panel that goes into it, whatever the others are.
                foreach (var said in _said.Where(s => s.Terms.Count > 1 && s.Terms.Any(t => t.Length == length) && s.Terms.All(t => t.Length == length || state.Has(t.Length))))
                {
                    var (w, h) = Rule(state, [.. said.Terms.Where(t => t.Length != length)]);
                    var times = said.Terms.First(t => t.Length == length).Times;
                    options.Add(new FigureRule((said.W - w) / times, (said.H - h) / times, Words.Of($"what the others leave"), 0), AsSaid);
                }

                // With its last panel known a chain is weighed as a whole.
                var isLast = n == order.Count - 1;
                return [.. options.Best(MostOptions).Select(o => new Option(length, o.Rule, -1, null, o.Weight + (isLast && isChain ? SumWeight(state, both, length, o.Rule, isWidth) : 0)))];
            });
        }
    }

    /// <summary>Panels side by side that come to the card's side, twice or half of it, or to what their piece is long where that has a rule of its own.</summary>
    private List<Sum> SumsOf(List<int> panels)
    {
        var sums = new List<Sum>();
        foreach (var isWidth in new[] { true, false })
        {
            var side = isWidth ? _width : _height;
            for (var from = 0; from < panels.Count; from++)
            {
                for (var to = from + 1; to < panels.Count; to++)
                {
                    List<int> run = [.. panels.Skip(from).Take(to - from + 1)];
                    var (value, isWhole) = (run.Aggregate(Length.Zero, (s, p) => s + _values[p]), from == 0 && to == panels.Count - 1);
                    void Add(double part, double weight) => sums.Add(new Sum(Total(run), isWidth ? part : 0, isWidth ? 0 : part, weight, !isWidth));
                    if ((value - side).Abs() <= _near)
                    {
                        Add(1, SumsToSide);
                    }
                    else if ((value - (2 * side)).Abs() <= _near)
                    {
                        Add(2, isWhole ? SumsToTwice : SumsToHalf);
                    }
                    else if ((2 * value - side).Abs() <= _near)
                    {
                        Add(0.5, SumsToHalf);
                    }
                    else if (Thirds.FirstOrDefault(t => (3 * value - (t * side)).Abs() <= _near) is var third and > 0 && (from == 0 || to == panels.Count - 1))
                    {
                        Add(third / 3.0, SumsToThird);
                    }
                    else if (isWhole)
                    {
                        sums.AddRange(RulesOf(value).Where(r => !r.IsShare && r.Weight > 0 && (isWidth ? r.ByWidth : r.ByHeight) > 0)
                            .Select(r => new Sum(Total(run), r.ByWidth, r.ByHeight, r.Weight * SumsToPlain, !isWidth)));
                    }
                }
            }
        }

        // The same panels in another place say nothing new.
        return [.. sums.GroupBy(s => (s.IsHeight, string.Join(',', s.Terms.OrderBy(t => t.Length)), s.ByWidth, s.ByHeight)).Select(g => g.MaxBy(s => s.Weight)!)];
    }

    /// <summary>Whole chains that are as long as something in another piece, or go into it with a hair to spare.</summary>
    private IEnumerable<Sum> AsLong(State state, Length whole, IReadOnlyList<(int Length, int Times)> total, int piece, bool isWidth)
    {
        foreach (var known in _known.Where(k => k.Piece != piece && k.Value >= LeastAlike && k.Value >= whole - _near && k.Value <= whole + Hair && k.Terms.All(t => state.Has(t.Length))))
        {
            var (w, h) = Rule(state, known.Terms);
            yield return new Sum(total, w, h, SumsToAnother + (IsTwin(piece, known) ? Twin : 0), !isWidth);
        }
    }

    private static double SumWeight(State state, List<Sum> sums, int length, FigureRule rule, bool isWidth)
    {
        var holding = new List<double>();
        foreach (var sum in sums.Where(s => s.IsHeight != isWidth))
        {
            var (w, h) = (0d, 0d);
            foreach (var (term, times) in sum.Terms)
            {
                w += times * (term == length ? rule.ByWidth : state.W[term]);
                h += times * (term == length ? rule.ByHeight : state.H[term]);
            }

            if (Same(w, h, sum.ByWidth, sum.ByHeight))
            {
                holding.Add(sum.Weight);
            }
        }

        return holding.OrderDescending().Take(MostSums).Sum();
    }

    /// <summary>What a sum leaves for a panel, by itself or in proportion with the others that are not yet known.</summary>
    private FigureRule? Rest(State state, Sum sum, int length)
    {
        var (w, h, open, own, settled) = (sum.ByWidth, sum.ByHeight, 0d, 0, false);
        foreach (var (term, times) in sum.Terms)
        {
            if (term == length)
            {
                own = times;
                open += times * (double)_values[term].Units;
            }
            else if (state.Has(term))
            {
                (w, h, settled) = (w - (times * state.W[term]), h - (times * state.H[term]), true);
            }
            else
            {
                open += times * (double)_values[term].Units;
            }
        }

        if (!settled)
        {
            return null;
        }

        var alone = Math.Abs(open - (own * (double)_values[length].Units)) < 1;
        var share = _values[length].Units / open;
        return new FigureRule(w * share, h * share,
            Words.Of($"{(!alone ? "its share of what the others leave" : own == 1 ? "what the other panels leave" : "what the others leave, in equal parts")}"),
            alone ? Completes : InProportion - 1);
    }
}
