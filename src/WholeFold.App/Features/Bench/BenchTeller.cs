using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

/// <summary>Puts a sized design into the words and places that the bench shows.</summary>
internal sealed class BenchTeller(Studio studio, Desk desk, CancellationToken cancel)
{
    private readonly Teller _tell = new(desk.Unit);
    private readonly Design _design = desk.Design;
    private readonly Target _target = desk.Target;

    private bool AtHome => _target.Key == _design.Home.Key;

    /// <param name="before">The design before the change that is looked at.</param>
    public BenchView Bench(Desk? before)
    {
        var attempt = studio.Attempt(desk, cancel);
        var home = AtHome ? attempt : studio.Attempt(desk, _design.Home, cancel);
        var tools = _design.ToolsFor(_target);
        var card = attempt.Card;
        var compared = before is null || card is null ? null : studio.Attempt(before, _target, cancel).Card;
        return new BenchView
        {
            Construction = _design.Family.Name,
            Opens = _design.Family.Opens,
            Home = _tell.Say(_tell.NameAndSize(_design, _design.Home)),
            Target = new TargetView
            {
                Key = _target.Key,
                Format = _target.Format.Id,
                Turn = _target.Turn,
                Name = _target.Format.Name,
                Size = _tell.Say(_tell.NameAndSize(_design, _target)),
                AtHome = AtHome,
            },
            ToolsId = tools.Id,
            Tools = tools.Name,
            Stock = Teller.Stock(_design),
            Unit = _tell.Symbol,
            Rule = PieceTeller.RuleOf(tools),
            Pieces = card is null ? [] : [.. card.Pieces.Select(p => _tell.Piece(card, p))],
            Ledger = card is null ? [] : Ledger(card, compared ?? home.Card, compared),
            Parameters = card is null ? SetByHand() : [.. card.Figures.Parameters.Select(p => Parameter(p.Parameter, p.Value, p.Ideal, p.Hold))],
            Choices = [.. _design.Family.Choices.Select(c => new ChoiceView(c.Id, c.Name, c.Meaning, _design.Construction.Choices[c.Id], c.Options))],
            Opening = _design.OpensBothWays ? _design.WayItOpens : null,
            Preferences = [.. Preferences.All.Select(p => new PreferenceView(p.Id, p.Name, p.Has(_design.Prefer)))],
            Checks = card is null ? [] : [.. card.Checks.Select(_tell.Check)],
            Compared = card is null || compared is null ? null : Compared(compared, card),
            Summary = _tell.Say(attempt.Verdict.Kind switch
            {
                VerdictKind.AsDrawn => Words.Of($"It fits."),
                VerdictKind.Stuck => Words.Of($"It does not fit yet."),
                _ => attempt.Verdict.Kind == VerdictKind.LargerSheet ? Words.Of($"It fits, and {attempt.Verdict.Text}.") : Words.Of($"It fits: {attempt.Verdict.Text}."),
            }),
            Verdict = attempt.Verdict.Kind,
            Closed = card is null ? null : _tell.Closed(card),
            Stuck = card is null ? new StuckView(_tell.Say(attempt.Problem!), [.. attempt.Conflicts.Select(c => _tell.Say(c.Text))]) : null,
        };
    }

    /// <summary>Every format as the design stands in it.</summary>
    public IReadOnlyList<StripFormat> Strip() => [.. studio.Attempts(desk, Targets(), cancel).Select(a => Format(a.Target, a))];

    /// <summary>Every format; the design's own first where that is none of them, another one typed in last.</summary>
    public List<Target> Targets()
    {
        var targets = desk.Design.Inventory.Formats.Select(f => f.Id == _target.Format.Id ? _target : Target.Beside(_design.Home, f, turned: false)).ToList();
        if (targets.All(t => t.Key != _design.Home.Key))
        {
            targets.Insert(0, _design.Home);
        }

        if (targets.All(t => t.Format.Id != _target.Format.Id))
        {
            targets.Add(_target);
        }

        return targets;
    }

    public StripFormat Format(Target target, Attempt attempt)
    {
        var own = new Teller(target.Format.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre);
        var verdict = attempt.Verdict;
        return new StripFormat
        {
            Key = target.Key,
            Format = target.Format.Id,
            Turn = target.Turn,
            Name = target.Format.Name,
            Size = own.Say(_design.SizeAsRead(target.Width, target.Height)),
            Width = _design.AsRead(target.Width, target.Height).Width.Units,
            Height = _design.AsRead(target.Width, target.Height).Height.Units,
            Home = target.Key == _design.Home.Key,
            Target = target.Key == _target.Key,
            Verdict = verdict.Kind,
            VerdictText = _tell.Say(verdict.Text),
            Envelope = attempt.Card is not { } card ? null : card.Envelope is { } e ? $"{e.Name} envelope{(card.EnvelopeGrade == EnvelopeGrade.Snug ? ", snugly" : "")}" : "envelope to make",
        };
    }

    /// <summary>What each parameter can be set to. Each is a search of its own, so they are made side by side.</summary>
    public IReadOnlyList<RangeView> Ranges() => studio.Attempt(desk, cancel).Card is not { } card ? [] :
        [.. card.Figures.Parameters.AsParallel().AsOrdered().WithCancellation(cancel)
            .Select(p => (p.Parameter.Id, Range: Sizer.RangeOf(_design, _target, p.Parameter.Id, card.Figures.Relaxation, cancel)))
            .Where(p => p.Range is not null)
            .Select(p => new RangeView(p.Id, _tell.Figure(p.Range!.Min), _tell.Figure(p.Range.Max), [.. p.Range.Stops.Select(_tell.Figure)]))];

    public IReadOnlyList<AlternativeView> Alternatives()
    {
        (Priority Priority, string Name)[] all = [(Priority.Format, "keep the format"), (Priority.Board, "keep to the grooves"), (Priority.Proportions, "keep the proportions")];
        var current = studio.Attempt(desk, cancel).Card?.Figures;
        var values = current?.All.Select(f => f.Value).ToList();
        return [.. all.Select(a =>
        {
            var isCurrent = a.Priority == _design.Priority;
            var figures = isCurrent ? current : Trial(_design with { Priority = a.Priority });
            var same = values is not null && figures is not null && figures.All.Select(f => f.Value).SequenceEqual(values);
            return new AlternativeView(a.Priority, a.Name, _tell.Say(Gives(figures)), isCurrent, same);
        })];
    }

    public IReadOnlyList<SafeView> Safe() => studio.Attempt(desk, cancel).Card is not { } card ? [] : [.. card.SafeSides.Select(s =>
    {
        // "if in doubt, scant: full, the doors would touch; set its twin at the other end with it".
        var side = s.Value.Direction switch { SafeDirection.Scant => "If in doubt, scant: ", SafeDirection.Full => "If in doubt, full: ", SafeDirection.Exact => "Exact: ", _ => "Either way: " };
        var twins = s.Value.Twins.Count > 0 ? $"; set {string.Join(", ", s.Value.Twins)} with it" : "";
        return new SafeView(s.Key.ToString(), s.Value.Direction, _tell.Say($"{side}{s.Value.Why}{twins}"));
    })];

    /// <exception cref="Core.Input.InputProblemException">There is no such figure.</exception>
    public ExplainedView Explain(string figureId)
    {
        var card = studio.Attempt(desk, cancel).Card;
        var figure = card?.All.FirstOrDefault(f => f.Id.ToString() == figureId)
            ?? throw new Core.Input.InputProblemException("figure.unknown", "figureId", $"there is no figure “{figureId}” in this design", card is null ? "a design that has figures" : $"one of its figures, such as {card.All.First().Id}");
        return new ExplainedView(
            figureId,
            _tell.Say(figure.Said),
            [.. figure.Reasons.Select(r => new ReasonView(_tell.Say(r.Why), _tell.Text(r.From), _tell.Text(r.To), r.From != r.To))],
            [.. WaysOf(card!.Figures, figure).Select(w => w.Text).DistinctBy(w => w.Write(_tell.Unit)).Select(_tell.Say)]);
    }

    /// <exception cref="Core.Input.InputProblemException">The card would come out otherwise, here or at the home that it has.</exception>
    public HomeView Home() => Homing.Of(desk.Spec, desk.Reader, cancel) is { } edit ? new HomeView([edit])
        : throw new Core.Input.InputProblemException("home.changes", "", $"{Growing()} from the home size, so the card would change",
            "a design whose windows and things keep their size");

    /// <summary>What grows and shrinks with its face, as it is said.</summary>
    private string Growing()
    {
        var dressing = _design.Dressing;
        var names = dressing.Windows.Where(w => w.Rule != WindowRule.Fixed).Select(w =>
            $"the window {w.Id}").Concat(dressing.Elements.Where(e => !e.IsFixed).Select(e => e.Name)).ToList();
        return names.Count switch { 0 => "something on it is sized", 1 => $"{names[0]} is sized", _ => $"{string.Join(", ", names[..^1])} and {names[^1]} are sized" };
    }

    public WaysView Ways(string? check)
    {
        var found = Core.Cards.Ways.Of(desk.Spec, desk.Reader, check, cancel);
        return new WaysView([.. found.Ways.Select(w => new WayView(_tell.Say(w.Text), _tell.Say(w.Costs), w.Edits))],
            found.Ways.Count > 0 ? null : found.NoneWords);
    }

    public IReadOnlyList<CurveView> Curves() => studio.Attempt(desk, cancel).Card is { } card ? [.. Curve.Of(card.Figures, cancel).Select(CurveOf)] : [];

    private Figures? Trial(Design design)
    {
        try
        {
            return Sizer.TrySize(design, _target, cancel);
        }
        catch (Core.Input.InputProblemException)
        {
            return null;
        }
    }

    private static IEnumerable<Setting> WaysOf(Figures figures, Measured figure)
    {
        foreach (var piece in figures.Pieces)
        {
            if (piece.AllScores.FirstOrDefault(s => s.Axis is not null && s.Figure.Id == figure.Id) is { } score)
            {
                return ScorePlan.Ways(figures.Tools, figure.Value, score.Axis == piece.Piece.Axis ? piece.Along.Value : piece.Across.Value).Where(w => w != figure.Setting);
            }

            if (figure.Id is FigureRef.Line line && line.Piece == piece.Piece.Id && piece.Openings.First(o => o.Opening.Id == line.Opening) is { IsHole: true })
            {
                // The scores that run as the window's line does.
                var beside = line.Edge is Edge.Left or Edge.Right == (piece.Piece.Axis == Axis.X) ? piece.Scores.Select(s => s.Figure.Value).ToList() : [];
                return Setting.OtherInnerCuts(figures.Tools, figure.Setting, beside);
            }
        }

        return [];
    }

    private List<LedgerSection> Ledger(Card card, Card? home, Card? compared)
    {
        var was = ReferenceEquals(card, home) ? [] : home?.All.ToDictionary(f => f.Id, f => f.Value) ?? [];
        var because = compared is null ? [] : Comparison.Of(compared.All, card.All).ToDictionary(c => c.Id, c => c.Why);
        var (second, other) = desk.Spec.BothSystems ? (card.Second, desk.Unit == DisplayUnit.Inch ? DisplayUnit.Centimetre
            : DisplayUnit.Inch) : default;
        LedgerRow Row(FigureRow row)
        {
            var figure = row.Figure;
            var before = was.TryGetValue(figure.Id, out var w) ? _tell.Figure(w) : null;
            return new LedgerRow
            {
                FigureId = figure.Id.ToString(),
                Label = row.Label,
                Detail = row.Detail,
                Mark = row.Mark,
                Was = before,
                Now = _tell.Figure(figure.Value),
                Also = second?.Figure(figure.Id) is { } beside ? second.Read(beside.Value, other) : null,
                Changed = because.ContainsKey(figure.Id) || (compared is null && before is not null && before.Units != figure.Value.Units),
                Setting = _tell.Say(row.Setting),
                How = figure.Setting.How,
                Because = because.TryGetValue(figure.Id, out var why) ? _tell.Say(why) : null,
            };
        }

        return [.. FigureRows.Of(card, inOrderOfSetting: false).Select(s => new LedgerSection(s.Id, s.Title, s.Detail, [.. s.Rows.Select(Row)]))];
    }

    private static ComparedView Compared(Card before, Card now)
    {
        var changes = Comparison.Of(before.All, now.All);
        var (figures, all) = (changes.Count(c => c.Was != c.Now), now.All.Count());
        var set = changes.Count - figures;
        var text = (figures, set) switch
        {
            (0, 0) => "No figure changes.",
            (0, _) => $"No figure changes; {Teller.Many(set, "is", "are")} set otherwise.",
            _ => $"{Teller.Many(figures, "figure changes", "figures change")} of {all}{(set > 0 ? $"; {Teller.Many(set, "more is", "more are")} set otherwise" : "")}.",
        };
        return new ComparedView(text, [.. changes.Where(c => c.Now is null).Select(c => c.Id.ToString())]);
    }

    private ParameterView Parameter(Parameter parameter, Length value, Length ideal, Hold hold) => new()
    {
        Id = parameter.Id,
        Name = parameter.Name,
        Meaning = parameter.Meaning,
        Value = _tell.Figure(value),
        Ideal = _tell.Figure(ideal),
        Hold = hold,
        Least = parameter.Least,
        Most = parameter.Most,
    };

    /// <summary>Where there are no figures, what is set by hand is still shown, so that it can be let go.</summary>
    private List<ParameterView> SetByHand()
    {
        var set = _design.SetFor(_target).ToDictionary(s => s.Key, s => s.Value.Value);
        foreach (var (name, value) in _design.Locks)
        {
            set[name] = value;
        }

        return [.. _design.Construction.Parameters.Where(p => set.ContainsKey(p.Id)).Select(p => Parameter(p, set[p.Id], set[p.Id], _design.Locks.ContainsKey(p.Id) ? Hold.Locked : Hold.Set))];
    }

    private static Words Gives(Figures? figures)
    {
        if (figures is null)
        {
            return Words.Of($"no figures");
        }

        var off = figures.Cost.OffGroove;
        var size = figures.Width == figures.Target.Width && figures.Height == figures.Target.Height ? Words.Of($"full size") : Words.Of($"{figures.Width} × {figures.Height}");
        var scores = !figures.Tools.HasBoard ? "" : off == 0 ? ", all on grooves" : $", {off} by ruler";
        return Words.Of($"{size}{scores}");
    }

    private CurveView CurveOf(Curve curve)
    {
        static Func<Length, double> Over(IEnumerable<Length> values)
        {
            var (least, most) = (values.Min().Units, values.Max().Units);
            return v => most == least ? 0.5 : (v.Units - least) / (double)(most - least);
        }

        var (x, y) = (Over(curve.Points.Select(p => p.One)), Over(curve.Points.Select(p => p.Other)));
        var parameter = _design.Construction.Parameters.First(p => p.Id == curve.Tradeoff.Parameter);
        return new CurveView(parameter.Id, parameter.Name, curve.Tradeoff.OneName, curve.Tradeoff.OtherName, [.. curve.Points.Select(p => new CurvePointView
        {
            Value = _tell.Figure(p.Parameter),
            One = _tell.Text(p.One),
            Other = _tell.Text(p.Other),
            X = x(p.One),
            Y = y(p.Other),
            Costs = _tell.Say(Costs(p)),
            Costly = p.OffGroove > 0 || p.Under > Length.Zero,
            Current = p.Current,
        })]);
    }

    private static Words Costs(CurvePoint point)
    {
        var costs = new List<Words>();
        if (point.OffGroove > 0)
        {
            costs.Add(Words.Of($"{Teller.Many(point.OffGroove, "score", "scores")} by ruler"));
        }

        if (point.Under > Length.Zero)
        {
            costs.Add(Words.Of($"card {point.Under} under its format"));
        }

        return costs.Count == 0 ? Words.Of($"all on grooves") : Words.Join(", ", costs);
    }
}
