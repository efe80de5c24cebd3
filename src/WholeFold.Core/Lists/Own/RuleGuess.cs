using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>How a figure may change with the card: by how much of the change of its width, and of its height.</summary>
/// <param name="Words">The rule as one says it.</param>
/// <param name="Weight">Log odds for it, before the others are known.</param>
/// <param name="IsShare">Whether it is only in proportion, and nothing that people think in.</param>
public sealed record FigureRule(double ByWidth, double ByHeight, Words Words, double Weight, bool IsShare = false)
{
    /// <summary>What the figure becomes in another size.</summary>
    public Length In(Length value, Length changeOfWidth, Length changeOfHeight) => new((long)Math.Round(value.Units + (ByWidth * changeOfWidth.Units) + (ByHeight * changeOfHeight.Units)));
}

/// <summary>A figure of a list with the rule that it is taken to follow.</summary>
/// <param name="Figure">Which figure of its line: width, height, or score 1 and so on.</param>
/// <param name="Sure">How sure that is, from 0 to 1.</param>
/// <param name="Next">The next best rules, each with how sure it is.</param>
public sealed record GuessedFigure(OwnPiece Piece, string Figure, Length Value, FigureRule Rule, double Sure, IReadOnlyList<(FigureRule Rule, double Sure)> Next);

/// <summary>A question that would settle a figure, in the trade's words.</summary>
public sealed record OwnQuestion(int Line, string Figure, Words Ask);

/// <summary>
/// The rules of a list that no construction explains: for each figure the likeliest, the finished size chosen so that all
/// together are likeliest, what sums along a chain kept.
/// </summary>
/// <param name="Width">What the finished card is taken to be.</param>
public sealed record RuleGuess(Length Width, Length Height, IReadOnlyList<GuessedFigure> Figures, IReadOnlyList<OwnQuestion> Questions)
{
    /// <summary>Nearer than this is the same figure.</summary>
    private static readonly Pair Near = new(Length.Mm(0.6m), Length.Mm(0.8m));

    /// <summary>Under this a figure is asked about.</summary>
    private const double Unsure = 0.62;

    /// <summary>What the rules of the figures say about the finished size, beside what folding says.</summary>
    private const double FigureWeight = 0.15;

    /// <summary>Figures under an inch are alike by chance.</summary>
    private static readonly Length LeastAlike = Length.In(1);

    private const double Alike = 1.6;

    /// <summary>What shares and small fixed figures say of themselves is more than they keep: by trial, of those that say nine in ten so many were right.</summary>
    private static double Honest(FigureRule rule, double sure) => rule.IsShare ? sure * 0.72 : rule.ByWidth == 0 && rule.ByHeight == 0 ? sure * 0.85 : sure * 0.95;

    private const int MostQuestions = 3;

    /// <summary>Parts of a side that people think in, with their log odds.</summary>
    private static readonly (double Part, string Said, double Weight)[] Parts = [(1, "{0}", 3.0), (2, "twice {0}", 2.4), (0.5, "half of {0}", 2.2), (0.25, "a quarter of {0}", 1.2), (1 / 3d, "a third of {0}", 0.9), (1.5, "one and a half times {0}", 0.5), (3, "three times {0}", 0.4)];

    /// <summary>What is commonly taken off a side, or added: a sixteenth to half an inch, 1.5 to 12 mm.</summary>
    private static readonly (Pair By, double Weight)[] Offs = [(Pair.Of(1, 4, 6m), 1.4), (Pair.Of(1, 8, 3m), 1.2), (Pair.Of(1, 2, 12m), 1.1), (Pair.Of(3, 8, 9m), 0.7), (Pair.Of(1, 16, 1.5m), 0.6), (Pair.Of(3, 4, 18m), 0.5), (Pair.Of(1, 1, 25m), 0.4)];

    /// <summary>Borders of a paper on each side, with the log odds of both ways having it.</summary>
    private static readonly (Pair Border, double Weight)[] Borders = [(Pair.Of(1, 8, 3m), 4.0), (Pair.Of(1, 16, 1.5m), 3.5), (Pair.Of(1, 4, 6m), 3.0), (Pair.Of(3, 16, 5m), 2.5), (Pair.Of(1, 32, 1m), 2.3), (Pair.Of(3, 8, 10m), 1.5)];

    /// <summary>A figure's name for whoever corrects its rule.</summary>
    public static string KeyOf(GuessedFigure figure)
    {
        ArgumentNullException.ThrowIfNull(figure);
        return $"{figure.Piece.Line}.{figure.Piece.Name}.{figure.Figure}";
    }

    /// <summary>The same where its maker says of some figures which of the next best rules they follow.</summary>
    /// <param name="corrections">By <see cref="KeyOf"/>, which of the next best it is, counted from 1; what there is no figure or no such rule for is left alone.</param>
    public RuleGuess Corrected(IReadOnlyDictionary<string, int> corrections)
    {
        ArgumentNullException.ThrowIfNull(corrections);
        var figures = Figures.Select(f => corrections.TryGetValue(KeyOf(f), out var which) && which >= 1 && which <= f.Next.Count
            ? f with { Rule = f.Next[which - 1].Rule, Sure = 1, Next = [(f.Rule, f.Sure), .. f.Next.Where((_, i) => i != which - 1)] } : f).ToList();
        return this with { Figures = figures, Questions = [.. Questions.Where(q => !corrections.Keys.Any(k => k.StartsWith($"{q.Line}.", StringComparison.Ordinal) && k.EndsWith($".{q.Figure}", StringComparison.Ordinal)))] };
    }

    /// <summary>The likeliest rules of a list; null of one that has no piece.</summary>
    public static RuleGuess? Of(OwnList list, IReadOnlyList<Format> formats)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(formats);
        if (!list.Cards.Any())
        {
            return null;
        }

        var system = list.Cards.First().Unit.SystemOf();
        return FinishedSize.Candidates(list, formats, system).Select(s => (s.Likely, Guess: Guess(list, s.Width, s.Height, system))).MaxBy(c => c.Likely + (FigureWeight * c.Guess.Likely)).Guess.Guess;
    }

    private static (RuleGuess Guess, double Likely) Guess(OwnList list, Length width, Length height, UnitSystem system)
    {
        var near = Near.For(system);
        var figures = new List<GuessedFigure>();
        var likely = 0d;
        var regions = new List<(Length A, Length B, FigureRule RuleA, FigureRule RuleB)>();
        var known = new List<(Length Value, string Of, FigureRule Rule)>();
        var plainDone = new HashSet<OwnPiece> { list.Cards.OrderByDescending(c => c.Scores.Count).First() };
        GuessedFigure Add(OwnPiece piece, string figure, Length value, IEnumerable<FigureRule> rules)
        {
            // What is as long as something in another piece goes with that.
            var alike = known.Where(k => k.Value >= LeastAlike && (k.Value - value).Abs() <= near && k.Of != piece.Name).Select(k => k.Rule with { Words = Words.Of($"as long as the {k.Of}"), Weight = Alike }).Take(2);
            var ranked = rules.Concat(figure.StartsWith("score", StringComparison.Ordinal) ? [] : alike).OrderByDescending(r => r.Weight).DistinctBy(r => (Math.Round(r.ByWidth, 3), Math.Round(r.ByHeight, 3))).ToList();
            var all = ranked.Sum(r => Math.Exp(r.Weight));
            var guessed = new GuessedFigure(piece, figure, value, ranked[0], Honest(ranked[0], Math.Exp(ranked[0].Weight) / all), [.. ranked.Skip(1).Take(2).Select(r => (r, Math.Exp(r.Weight) / all))]);
            figures.Add(guessed);
            likely += ranked[0].Weight;
            return guessed;
        }

        foreach (var piece in list.Cards.OrderByDescending(c => c.Scores.Count))
        {
            // The creases run along the side that a finished side of the card is.
            var chainIsWidth = (piece.Across - height).Abs() <= near || (piece.Across - width).Abs() > near;
            if (piece.Scores.Count == 0 && piece != list.Cards.OrderByDescending(c => c.Scores.Count).First())
            {
                if ((piece.First - piece.Second).Abs() <= near && Square(piece) is { } square)
                {
                    plainDone.Add(piece);
                    Add(piece, "width", piece.First, square);
                    Add(piece, "height", piece.Second, square);
                }

                continue;
            }

            var across = Add(piece, piece.AlongFirst ? "height" : "width", piece.Across, Rules(piece.Across, width, height, system, chainIsWidth ? 1.2 : -0.4));
            var along = Add(piece, piece.AlongFirst ? "width" : "height", piece.Along, Rules(piece.Along, width, height, system, piece.Scores.Count == 0 ? 0 : chainIsWidth ? -1.2 : 1.2));
            var panels = piece.Panels.Select((p, i) => (Value: p, Rule: (FigureRule?)null, Index: i)).ToList();
            if (panels.Count > 1)
            {
                regions.AddRange(Chain(piece, along, across, panels.Select(p => p.Value).ToList(), chainIsWidth));
            }

            // Its length may have become what its panels come to.
            along = figures.First(f => f.Piece == piece && f.Figure == along.Figure);
            regions.Add((piece.Along, piece.Across, along.Rule, across.Rule));
            known.Add((piece.Along, piece.Name, along.Rule));
            known.Add((piece.Across, piece.Name, across.Rule));
            known.AddRange(regions.Take(regions.Count - 1).TakeLast(Math.Max(0, panels.Count > 1 ? panels.Count : 0)).Select(r => (r.A, $"{piece.Name}’s panel", r.RuleA)));
        }

        // The card itself is what a paper or an inner piece may go on.
        var wholeWidth = new FigureRule(1, 0, Words.Of($"the width"), 0);
        var wholeHeight = new FigureRule(0, 1, Words.Of($"the height"), 0);
        regions.Add((width, height, wholeWidth, wholeHeight));
        foreach (var paper in list.Pieces.Where(p => p.Kind is OwnKind.Paper or OwnKind.Window || (p.Kind == OwnKind.Piece && p.Scores.Count == 0 && !plainDone.Contains(p))))
        {
            // The same border both ways on a panel or a piece: it follows that, less the border.
            var on = regions.SelectMany(r => new[] { (r.A, r.B, r.RuleA, r.RuleB), (A: r.B, B: r.A, RuleA: r.RuleB, RuleB: r.RuleA) })
                .SelectMany(r => Borders.SelectMany(b => new[] { b.Border.For(system), 2 * b.Border.For(system) }.Select((border, n) => (r, Border: border, Weight: b.Weight - (1.2 * n)))))
                .Where(c => paper.Kind != OwnKind.Window && (c.r.A - (2 * c.Border) - paper.First).Abs() <= near && (c.r.B - (2 * c.Border) - paper.Second).Abs() <= near).OrderByDescending(c => c.Weight).ToList();
            IEnumerable<FigureRule> With(Length value, bool first) => on.Select(c => (first ? c.r.RuleA : c.r.RuleB) with { Words = Words.Of($"its panel less {c.Border} on each side"), Weight = c.Weight }).Concat(Rules(value, width, height, system, first ? -0.2 : 0.2));
            Add(paper, "width", paper.First, With(paper.First, true));
            Add(paper, "height", paper.Second, With(paper.Second, false));
            known.AddRange(paper.Kind == OwnKind.Piece ? [(paper.First, paper.Name, figures[^2].Rule), (paper.Second, paper.Name, figures[^1].Rule)] : []);
        }

        var questions = figures.Where(f => f.Sure < Unsure && f.Next.Count > 0).OrderBy(f => f.Sure).Take(MostQuestions).Select(Ask).ToList();
        return (new RuleGuess(width, height, figures, questions), likely);

        // A square stays one: it is cut by a die, or follows one side.
        List<FigureRule>? Square(OwnPiece piece)
        {
            var plain = Rules(piece.First, width, height, system, -0.3).Where(r => !r.IsShare && (r.ByWidth != 0 || r.ByHeight != 0) && r.Weight > 0.6).ToList();
            return plain.Any(r => r.ByWidth != 0) && plain.Any(r => r.ByHeight != 0) && width != height ? null
                : [.. plain, new FigureRule(0, 0, Words.Of($"always {piece.First}"), plain.Count == 0 ? 2 : 1), .. Rules(piece.First, width, height, system, -0.3).Where(r => r.IsShare && r.ByWidth != 0)];
        }

        // The panels of a chain add up to the piece, in every size: the one that is least sure of its own rule takes the rest.
        List<(Length, Length, FigureRule, FigureRule)> Chain(OwnPiece piece, GuessedFigure along, GuessedFigure across, List<Length> panels, bool isWidth)
        {
            var best = new FigureRule[panels.Count];
            var ranked = panels.Select((p, i) => Rules(p, width, height, system, isWidth ? -1.2 : 1.2, isEnd: i == 0 || i == panels.Count - 1).OrderByDescending(r => r.Weight).ToList()).ToList();

            // Equal panels follow one rule, and together they weigh more.
            foreach (var same in Enumerable.Range(0, panels.Count).GroupBy(i => panels.FindIndex(p => (p - panels[i]).Abs() <= near)))
            {
                foreach (var i in same)
                {
                    best[i] = ranked[same.Key][0];
                }
            }

            // Finished sides that neighbours make up together.
            double Off() => Math.Abs(best.Sum(r => r.ByWidth) - along.Rule.ByWidth) + Math.Abs(best.Sum(r => r.ByHeight) - along.Rule.ByHeight);
            if (Off() > 0.01 && along.Rule.IsShare)
            {
                // A length that is nothing by itself is what its panels come to.
                var sum = new FigureRule(best.Sum(r => r.ByWidth), best.Sum(r => r.ByHeight), Words.Of($"what its panels come to"), 1.9);
                figures[figures.IndexOf(along)] = along with { Rule = sum, Next = [(along.Rule, along.Sure), .. along.Next.Take(1)], Sure = 0.8 };
            }
            else if (Off() > 0.01)
            {
                // Whichever panels can take the rest: all equals of the one that is least sure and not small.
                var groups = Enumerable.Range(0, panels.Count).GroupBy(i => panels.FindIndex(p => (p - panels[i]).Abs() <= near)).Select(g => g.ToList())
                    .OrderBy(g => ranked[g[0]][0].Weight - (panels[g[0]].Units > width.Units / 5 ? 1.5 : 0)).ToList();
                var group = groups[0];
                var (w, h) = (along.Rule.ByWidth - best.Where((_, i) => !group.Contains(i)).Sum(r => r.ByWidth), along.Rule.ByHeight - best.Where((_, i) => !group.Contains(i)).Sum(r => r.ByHeight));
                var rest = new FigureRule(w / group.Count, h / group.Count, Words.Of($"{(group.Count == 1 ? "what the other panels leave" : "what the others leave, in equal parts")}"), 1.4);
                foreach (var i in group)
                {
                    best[i] = rest;
                }
            }

            var (atW, atH, at) = (0d, 0d, Length.Zero);
            for (var i = 0; i + 1 < panels.Count; i++)
            {
                (atW, atH, at) = (atW + best[i].ByWidth, atH + best[i].ByHeight, at + panels[i]);
                var own = new FigureRule(atW, atH, i == 0 ? best[0].Words : Words.Of($"the panel before it is {best[i].Words}"), best[i].Weight);
                Add(piece, $"score {i + 1}", at, [own, .. ranked[i].Skip(1).Take(2).Select(r => new FigureRule(atW - best[i].ByWidth + r.ByWidth, atH - best[i].ByHeight + r.ByHeight, r.Words, r.Weight - 0.4))]);
            }

            return [.. panels.Select((p, i) => (p, piece.Across, best[i], across.Rule))];
        }
    }

    /// <summary>The rules that a figure may follow by itself.</summary>
    /// <param name="lean">Which side it is the more likely to hang on: more than nothing for the height.</param>
    private static IEnumerable<FigureRule> Rules(Length value, Length width, Length height, UnitSystem system, double lean, bool isEnd = false)
    {
        var near = Near.For(system);
        foreach (var (side, name, isWidth) in new[] { (width, "the width", true), (height, "the height", false) })
        {
            var leaning = isWidth ? -lean : lean;
            double W(double part) => isWidth ? part : 0;
            double H(double part) => isWidth ? 0 : part;
            foreach (var (part, said, weight) in Parts)
            {
                var whole = new Length((long)Math.Round(side.Units * part));
                var told = string.Format(System.Globalization.CultureInfo.InvariantCulture, said, name);
                if ((value - whole).Abs() <= near)
                {
                    yield return new FigureRule(W(part), H(part), Words.Of($"{told}"), weight + leaning);
                }

                foreach (var (by, off) in Offs.Where(_ => part is 1 or 0.5 or 2))
                {
                    var less = by.For(system);
                    if ((value - (whole - less)).Abs() <= new Length(near.Units / 2))
                    {
                        yield return new FigureRule(W(part), H(part), Words.Of($"{told} less {less}"), off + leaning - (part == 1 ? 0 : 0.3));
                    }
                    else if ((value - (whole + less)).Abs() <= new Length(near.Units / 2))
                    {
                        yield return new FigureRule(W(part), H(part), Words.Of($"{told} and {less}"), off - 0.2 + leaning - (part == 1 ? 0 : 0.3));
                    }
                }
            }

            // A share of its own: people do not think so of what is small.
            var share = (double)value.Units / side.Units;
            if (Parts.Any(p => Math.Abs(p.Part - share) < 1e-3))
            {
                continue;
            }

            var inches = (double)value.Units / Length.PerInch;
            yield return new FigureRule(W(share), H(share), Words.Of($"its share of {name}"), (inches < 0.6 ? -0.7 : inches < 1.6 ? 0.8 : 1.5) + leaning - (Math.Abs(share - 1) < 0.08 || Math.Abs(share - 0.5) < 0.04 ? 1.6 : 0) - 0.6, IsShare: true);
        }

        var size = (double)value.Units / Length.PerInch;
        yield return new FigureRule(0, 0, Words.Of($"always {value}"), (size <= 0.4 ? 2.3 : size <= 0.55 ? 1.8 : size <= 0.8 ? 0.6 : size <= 1.1 ? 0.2 : size <= 2.1 ? -1 : -2.5) + (isEnd && size <= 1 ? 0.5 : 0));
    }

    private static OwnQuestion Ask(GuessedFigure figure)
    {
        var (rule, next) = (figure.Rule, figure.Next[0].Rule);
        return new OwnQuestion(figure.Piece.Line, figure.Figure,
            rule.ByWidth == 0 && rule.ByHeight == 0 ? Words.Of($"Stays {figure.Value} ({figure.Piece.Name}, {figure.Figure}) as it is in a larger card, or does it grow: {next.Words}?")
            : next.ByWidth == 0 && next.ByHeight == 0 ? Words.Of($"Does {figure.Value} ({figure.Piece.Name}, {figure.Figure}) grow with the card, {rule.Words}, or does it stay as it is?")
            : Words.Of($"Is {figure.Value} ({figure.Piece.Name}, {figure.Figure}) {rule.Words}, or {next.Words}?"));
    }
}
