using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

/// <summary>Puts a sized design into the words and places that the bench shows. It works out no figure of its own.</summary>
public sealed partial class BenchBuilder
{
    private readonly ReadDesign _read;
    private readonly DisplayUnit _unit;
    private readonly DisplayUnit _other;

    private BenchBuilder(ReadDesign read, bool both)
    {
        _read = read;

        // Where both systems are shown, the one that the tools are marked in comes first.
        _unit = !both ? read.Unit : Sizer.ToolsFor(read.Design, read.Target).System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre;
        _other = _unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;
    }

    /// <exception cref="InputProblemException">The design is not understood.</exception>
    public static BenchView Build(DesignSpec spec, Workshop workshop, DesignSpec? before = null) => For(spec, workshop).View(spec, before is null ? null : DesignReader.Read(before, workshop));

    /// <exception cref="InputProblemException">The design is not understood.</exception>
    public static IReadOnlyList<CurveView> Curves(DesignSpec spec, Workshop workshop) => For(spec, workshop).Curves();

    /// <exception cref="InputProblemException">The design is not understood, or has no figures.</exception>
    public static SheetView Sheet(DesignSpec spec, Workshop workshop) => For(spec, workshop).Sheet(spec.Name);

    private static BenchBuilder For(DesignSpec spec, Workshop workshop) => new(DesignReader.Read(spec, workshop), spec.BothSystems);

    private Figure Figure(Length value) => new(value.Units, LengthWriter.Write(value, _unit), LengthWriter.Write(value, _other), $"{LengthWriterExact(value)} mm");

    private static string LengthWriterExact(Length value) => value.Millimetres.ToString("0.######", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>A caliper as it is spoken of, to the hundredth of a millimetre.</summary>
    internal static string CaliperText(Length caliper) => $"{Math.Round(caliper.Millimetres, 2, MidpointRounding.AwayFromZero).ToString("0.##", System.Globalization.CultureInfo.InvariantCulture)} mm";

    private string Text(Length value) => LengthWriter.Write(value, _unit);

    /// <summary>"A6 US, 4 1/2 × 6 1/4 in"; a format that is called by its size is named once.</summary>
    private string NameAndSize(Target target)
    {
        var size = $"{Text(target.Width)} × {Text(target.Height)}";
        var named = target.Format.Name == size ? size : $"{target.Format.Name}, {size}";
        return $"{named} {LengthWriter.Symbol(_unit)}{(target.Turn ? ", turned" : "")}";
    }

    private BenchView View(DesignSpec spec, ReadDesign? before)
    {
        var (design, target) = (_read.Design, _read.Target);
        var attempt = Attempt.Of(design, target);
        var home = target.Key == design.Home.Key ? attempt : Attempt.Of(design, design.Home);
        var tools = Sizer.ToolsFor(design, target);
        var sized = attempt.Sized;
        var compared = before is null || sized is null ? null : Attempt.Of(before.Design, target).Sized;
        return new BenchView(
            design.Family.Name,
            design.Family.Opens,
            NameAndSize(design.Home),
            target.Key == design.Home.Key,
            target.Key,
            target.Format.Name,
            NameAndSize(target),
            SystemName(target.Format.System),
            tools.Name,
            $"{design.Stock.Name} · {CaliperText(design.Stock.Caliper)}",
            LengthWriter.Symbol(_unit),
            RuleOf(tools),
            sized is null ? [] : [.. sized.Pieces.Select(p => PieceOf(sized, p))],
            sized is null ? [] : LedgerOf(sized, compared ?? home.Sized, compared),
            StripOf(attempt),
            // Each range is a search of its own; a slider waits for the slowest, not for all of them.
            sized is null ? PinnedParameters() : [.. sized.Parameters.AsParallel().AsOrdered().Select(p => ParameterOf(p, sized.Means))],
            [.. design.Family.Choices.Select(c => new ChoiceView(c.Id, c.Name, c.Meaning, design.Construction.Choices[c.Id], c.Options))],
            AlternativesOf(attempt),
            [.. Preferences.All.Select(p => new PreferenceView(p.Id, p.Name, p.Has(design.Prefer)))],
            sized is null ? [] : [.. sized.Checks.Select(c => new CheckView(c.Id, Lower(c.Severity), c.Text.In(_unit)))],
            sized is null || compared is null ? null : ComparedOf(compared, sized),
            Summary(attempt),
            Lower(attempt.Verdict.Kind),
            sized is null ? null : ClosedOf(sized),
            sized is null ? new StuckView(attempt.Problem!, [.. attempt.Conflicts.Select(c => new ConflictView(c.Text))], [.. Remedies.Of(design, target).Select(r => new RemedyView(r.Text.In(_unit), r.Apply(spec, target)))]) : null);
    }

    private static string Lower<T>(T value) where T : struct, Enum => char.ToLowerInvariant(value.ToString()[0]) + value.ToString()[1..];

    private static string SystemName(UnitSystem system) => system == UnitSystem.Imperial ? "in" : "mm";

    /// <summary>The board as a rule: its grooves, with the figures a person reads on it.</summary>
    private static Rule RuleOf(ToolSet tools)
    {
        var ticks = new List<Tick>();
        var end = tools.HasBoard ? tools.BoardEnd : Length.In(12);

        // Without a board the rule carries the ruler's eighths or half centimetres, to read by.
        var steps = tools.HasBoard ? tools.Combs.Select(c => c.Step).ToArray() : [Pair.Of(1, 8, 5m).In(tools.System)];
        for (var comb = 0; comb < steps.Length; comb++)
        {
            var step = steps[comb];
            var imperial = Length.In(1).IsOn(step);
            var whole = imperial ? Length.In(1) : Length.Mm(10);
            for (var at = Length.Zero; at <= end; at += step)
            {
                var isWhole = at.IsOn(whole);
                var size = isWhole ? "whole" : imperial && at.IsOn(Length.In(1, 2)) ? "half" : "groove";
                ticks.Add(new Tick(at.Units, comb, size, isWhole ? LengthWriter.Write(at, imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre) : ""));
            }
        }

        return new Rule(tools.Name, tools.HasBoard, end.Units, ticks);
    }

    private IReadOnlyList<LedgerSection> LedgerOf(SizedDesign sized, SizedDesign? home, SizedDesign? compared)
    {
        var was = ReferenceEquals(sized, home) ? [] : home?.Figures.ToDictionary(f => f.Id, f => f.Value) ?? [];
        var because = compared is null ? [] : Comparison.Of(compared, sized).ToDictionary(c => c.Id, c => c.Why.In(_unit));
        var safe = SafeSides.Of(sized);
        var ways = sized.Pieces.SelectMany(p => p.AllScores.Where(s => s.Axis is not null).Select(s => (s.Figure.Id, Ways: (IReadOnlyList<string>)[.. ScorePlan.Ways(sized.Tools, s.Figure.Value, s.Axis == p.Piece.Axis ? p.Along.Value : p.Across.Value).Where(w => w != s.Figure.Setting).Select(w => w.In(_unit)).Distinct()])))
            .Concat(sized.Pieces.SelectMany(p => p.Openings.Where(o => o.Opening is { IsLine: false, Kind: CutKind.Window }).SelectMany(o => o.Edges.Select(edge => (edge.Id, Ways: (IReadOnlyList<string>)[.. Setting.OtherInnerCuts(sized.Tools, edge.Setting, ScoresBeside(p, o, edge)).Select(w => w.In(_unit))])))))
            .ToDictionary(w => w.Id, w => w.Ways);
        LedgerRow Row(Measured figure, string label, string detail, string mark)
        {
            var before = was.TryGetValue(figure.Id, out var w) ? Figure(w) : null;
            return new LedgerRow(
                figure.Id, label, detail, mark, before, Figure(figure.Value), because.ContainsKey(figure.Id) || (compared is null && before is not null && before.Units != figure.Value.Units),
                figure.Setting.In(_unit), SizedJson.Name(figure.Setting.How), figure.Said.In(_unit), SafeOf(safe[figure.Id]), because.GetValueOrDefault(figure.Id), ways.GetValueOrDefault(figure.Id, []),
                [.. figure.Reasons.Select(r => new ReasonView(r.Why.In(_unit), Text(r.From), Text(r.To), r.From != r.To))]);
        }

        var sections = sized.Pieces.Select(p => new LedgerSection(
            p.Piece.Id,
            p.Piece.Name,
            $"{sized.Design.StockOf(p.Piece.Id).Name}, cut {p.Piece.Quantity}",
            [
                Row(p.Width, "width", "cut", ""),
                Row(p.Height, "height", "cut", ""),
                .. p.AllScores.Select(s => Row(s.Figure, s.Crease.Fold == Fold.Valley ? "valley" : "mountain", s.Between, s.Crease.Fold == Fold.Valley ? "v" : "m")),
                .. p.MarkedLines.Select(l => Row(l.Figure, l.Opening.Opening.Name, l.Name, "")),
            ])).ToList();
        if (sized.Layers.Count > 0)
        {
            sections.Add(new LedgerSection("layers", "Layers", $"{sized.Design.LayerStock.Name}, reveal {sized.Design.Reveal.Name}", [.. sized.Layers.SelectMany(l => new[]
            {
                Row(l.Width, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, "width", $"× {l.Quantity}"),
                Row(l.Height, l.Level > 1 ? $"{l.Role.Name}, second" : l.Role.Name, "height", $"× {l.Quantity}"),
            })]));
        }

        return sections;
    }

    /// <summary>The scores that run as a window's line does.</summary>
    private static IReadOnlyList<Length> ScoresBeside(SizedPiece piece, SizedOpening opening, Measured edge) =>
        (edge == opening.Left || edge == opening.Right) == (piece.Piece.Axis == Axis.X) ? [.. piece.Scores.Select(s => s.Figure.Value)] : [];

    /// <summary>Every format as the design stands in it; its own first where that is none of them, another one typed in last.</summary>
    private List<Target> TargetsOf(Attempt current)
    {
        var design = _read.Design;
        var targets = Formats.All.Select(f => new Target(f, f.Id == current.Target.Format.Id ? current.Target.Turn : f.Id == design.Home.Format.Id ? design.Home.Turn : design.Home.Turn && f.Width != f.Height)).ToList();
        if (targets.All(t => t.Key != design.Home.Key))
        {
            targets.Insert(0, design.Home);
        }

        if (targets.All(t => t.Format.Id != current.Target.Format.Id))
        {
            targets.Add(current.Target);
        }

        return targets;
    }

    private List<StripFormat> StripOf(Attempt current) =>
        [.. TargetsOf(current).Select(t => FormatOf(t, t.Key == current.Target.Key ? current : Attempt.Of(_read.Design, t), t.Key == current.Target.Key))];

    private StripFormat FormatOf(Target t, Attempt attempt, bool isTarget)
    {
        var verdict = attempt.Verdict;
        return new StripFormat(
            t.Key, t.Format.Id, t.Turn, t.Format.Name, SystemName(t.Format.System),
            t.Format.System == UnitSystem.Imperial ? $"{LengthWriter.Write(t.Width, DisplayUnit.Inch)} × {LengthWriter.Write(t.Height, DisplayUnit.Inch)} in" : $"{LengthWriter.Write(t.Width, DisplayUnit.Millimetre)} × {LengthWriter.Write(t.Height, DisplayUnit.Millimetre)} mm",
            t.Width.Units, t.Height.Units,
            t.Key == _read.Design.Home.Key, isTarget,
            Lower(verdict.Kind), verdict.Text.In(_unit),
            attempt.Sized is { } s ? s.Envelope is { } e ? $"{e.Name} envelope" : "envelope to make" : null);
    }

    private ParameterView ParameterOf(SizedParameter parameter, Means means)
    {
        var range = Sizer.RangeOf(_read.Design, _read.Target, parameter.Parameter.Id, means);
        return new ParameterView(
            parameter.Parameter.Id, parameter.Parameter.Name, parameter.Parameter.Meaning,
            Figure(parameter.Value), Figure(parameter.Ideal), parameter.Pinned,
            range is null ? null : Figure(range.Min), range is null ? null : Figure(range.Max),
            range is null ? [] : [.. range.Stops.Select(Figure)],
            parameter.Parameter.Least, parameter.Parameter.Most);
    }

    /// <summary>Where there are no figures, the pins are still shown, so that one can be freed.</summary>
    private List<ParameterView> PinnedParameters()
    {
        var design = _read.Design;
        var pins = new Dictionary<string, Length>(design.Pins);
        foreach (var (name, value) in design.Adjustments.GetValueOrDefault(_read.Target.Key) ?? new Dictionary<string, Length>())
        {
            pins[name] = value;
        }

        return [.. design.Construction.Parameters.Where(p => pins.ContainsKey(p.Id)).Select(p => new ParameterView(p.Id, p.Name, p.Meaning, Figure(pins[p.Id]), Figure(pins[p.Id]), true, null, null, [], p.Least, p.Most))];
    }

    private IReadOnlyList<AlternativeView> AlternativesOf(Attempt current)
    {
        (Priority Priority, string Name)[] all = [(Priority.Format, "keep the format"), (Priority.Board, "keep to the grooves"), (Priority.Proportions, "keep the proportions")];
        var figures = current.Sized?.Figures.Select(f => f.Value).ToList();
        return [.. all.Select(a =>
        {
            var isCurrent = a.Priority == _read.Design.Priority;
            var attempt = isCurrent ? current : Attempt.Of(_read.Design with { Priority = a.Priority }, _read.Target);
            var same = figures is not null && attempt.Sized is { } s && s.Figures.Select(f => f.Value).SequenceEqual(figures);
            return new AlternativeView(Lower(a.Priority), a.Name, Gives(attempt), isCurrent, same);
        })];
    }

    private string Gives(Attempt attempt)
    {
        if (attempt.Sized is not { } sized)
        {
            return "no figures";
        }

        var off = sized.Cost.OffGroove;
        var size = sized.Width == sized.Target.Width && sized.Height == sized.Target.Height ? "full size" : $"{Text(sized.Width)} × {Text(sized.Height)}";
        var scores = !sized.Tools.HasBoard ? "" : off == 0 ? ", all on grooves" : $", {off} by ruler";
        return size + scores;
    }

    private string Summary(Attempt attempt) => attempt.Verdict.Kind switch
    {
        Core.Sizing.VerdictKind.AsDrawn => "Nothing stands in its way.",
        Core.Sizing.VerdictKind.Stuck => "It does not go yet.",
        _ => $"It goes: {attempt.Verdict.Text.In(_unit)}.",
    };
}
