using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Gives the figures of one piece at what the search settled on: its cuts, scores, plates and openings, each with how it is set and why.</summary>
internal sealed class PieceSizer(Explainer explainer, ToolSet tools, Preferences prefer, Relaxation relaxation)
{
    private bool Rounds => relaxation == Relaxation.RoundedFigures;

    /// <param name="whole">Whether it is as long as its sheet, so that it need not be cut to length.</param>
    public SizedPiece Size(Piece piece, bool whole)
    {
        var alongIsWidth = piece.Axis == Axis.X;
        var (exactAlong, exactAcross) = (At(piece.Along), At(piece.Across));
        bool IsGiven(Affine at) => explainer.IsGiven(at) || explainer.IsEdgeThere(piece, at);
        var cutAlong = Rounds && !IsGiven(piece.Along) ? tools.CutDown(exactAlong) : exactAlong;
        var cutAcross = Rounds && !IsGiven(piece.Across) ? tools.CutDown(exactAcross) : exactAcross;
        Length Placed(Affine at, Length end) => At(at) is var exact && Rounds ? Marks.Rounded(tools, exact, end).At : exact;

        // The chain's scores, and those across it, are two settings of the board.
        var positions = piece.Creases.Select((_, i) => Placed(piece.Position(i), cutAlong)).ToList();
        var there = Enumerable.Range(0, positions.Count).FirstOrDefault(i => explainer.IsSpineThere(piece, i), -1);
        var plan = ScorePlan.Of(tools, prefer, cutAlong,
            [.. positions.Select((at, i) => (At: at, I: i)).Where(s => s.I != there)
            .Select(s => new ScoreAt(s.At, ProblemBuilder.ScoredFromBehind(piece.Creases[s.I], prefer)))]);
        plan = there < 0 ? plan : plan.With(there, new Setting.AsGiven(positions[there]));
        var blank = there < 0 ? null : explainer.Blank;
        var (half, broad) = blank is null ? default : piece.Axis == Axis.X ? (blank.Width, blank.Height) : (blank.Height, blank.Width);
        var crossing = piece.Lines.Where(piece.RunsAcross).ToList();
        var crossed = crossing.Select(l => Placed(PositionOf(piece, l), cutAcross)).ToList();
        var acrossPlan = ScorePlan.Of(tools, prefer, cutAcross, [.. crossed.Select((at, i) => new ScoreAt(at, ProblemBuilder.ScoredFromBehind(crossing[i].Crease, prefer)))]);

        Measured Figure(int index, Affine expression, string rule, Length value, Setting setting) =>
            new(new FigureRef.Score(new CreaseRef(piece.Id, index)), value, setting, explainer.For(expression, rule, value, setting));
        var scores = piece.Creases.Select((crease, i) =>
        {
            var (from, to) = piece.Axis == Axis.X ? (new Point(positions[i], Length.Zero), new Point(positions[i], cutAcross))
                : (new Point(Length.Zero, positions[i]), new Point(cutAcross, positions[i]));
            var figure = i == there && At(piece.Position(i)) == At(Blank.SidesOf(piece).Half)
                ? explainer.AsMeasured(new FigureRef.Score(new CreaseRef(piece.Id, i)), half)
                : Figure(i, piece.Position(i), crease.Rule, positions[i], plan.Settings[i]);
            return new SizedScore(figure, crease, $"{piece.Panels[i].Name} | {piece.Panels[i + 1].Name}", piece.Axis, from, to, Stretches(crease));
        }).ToList();
        var lines = piece.Lines.Select((line, i) => SizeLine(piece, line, scores.Count + i, crossing.IndexOf(line), crossed, acrossPlan, Figure)).ToList();
        var edges = positions.Prepend(Length.Zero).Append(cutAlong).ToList();
        var panels = piece.Panels.Select((panel, i) => new SizedPanel(panel, edges[i], edges[i + 1])).ToList();
        Measured Cut(bool isWidth, Affine expression, string rule, Length value, Length line, bool whole = false)
        {
            if (explainer.IsEdgeThere(piece, expression))
            {
                return explainer.AsMeasured(new FigureRef.Side(piece.Id, isWidth), expression == piece.Along ? 2 * half : broad);
            }

            var setting = piece.ByDie && !tools.Exact ? new Setting.CutOut(value) : whole ? new Setting.WholeSide(value) : explainer.IsGiven(expression)
                && !tools.Exact && !tools.OnCutMark(value) ? new Setting.AsGiven(value) : Setting.ForCut(tools, value, line);
            return new(new FigureRef.Side(piece.Id, isWidth), value, setting, explainer.For(expression, rule, value, setting));
        }

        return new SizedPiece(
            piece,
            Cut(alongIsWidth, piece.Along, piece.SizeRule, cutAlong, cutAcross, whole),
            Cut(!alongIsWidth, piece.Across, piece.AcrossRule, cutAcross, cutAlong),
            scores,
            lines,
            panels,
            PlatesOf(piece, panels, cutAcross),
            plan,
            acrossPlan,
            [.. piece.Openings.Select(o => SizeOpening(piece, o))]);
    }

    private Length At(Affine expression) => new(explainer.Value(expression).Nearest());

    private Point At(Spot spot) => new(At(spot.X), At(spot.Y));

    private static Affine PositionOf(Piece piece, CreaseLine line) => piece.Axis == Axis.X ? line.From.Y : line.From.X;

    private IReadOnlyList<(Length From, Length To)> Stretches(Crease crease) => [.. crease.Stretches.Select(s => (Marked(s.From), Marked(s.To)))];

    /// <summary>What is marked out with a pencil lies on a mark, where there is one in common.</summary>
    private Length Marked(Affine at) => At(at) is var exact && Rounds ? tools.CutDown(exact) : exact;

    private SizedScore SizeLine(Piece piece, CreaseLine line, int index, int crossing, List<Length> crossed, ScorePlan plan, Func<int, Affine, string, Length, Setting, Measured> figure)
    {
        if (crossing < 0)
        {
            var (from, to) = (At(line.From), At(line.To));
            return new SizedScore(figure(index, line.From.X, line.Crease.Rule, from.X, Setting.ForSlant(tools, from.X, from.Y, to.X, to.Y)), line.Crease, line.Between, null, from, to, []);
        }

        var value = crossed[crossing];
        Point On(Spot end) => piece.Axis == Axis.X ? new Point(At(end.X), value) : new Point(value, At(end.Y));
        return new SizedScore(figure(index, PositionOf(piece, line), line.Crease.Rule, value, plan.Settings[crossing]), line.Crease, line.Between,
            piece.Axis == Axis.X ? Axis.Y : Axis.X, On(line.From), On(line.To), Stretches(line.Crease));
    }

    private IReadOnlyList<SizedPlate> PlatesOf(Piece piece, List<SizedPanel> panels, Length across)
    {
        if (piece.OwnPlates is { } own)
        {
            return [.. own.Select(p => new SizedPlate(p.Id, p.Name, p.HangsOn, p.By, [.. p.Corners.Select(At)]))];
        }

        return [.. panels.Select((p, i) => new SizedPlate(
            p.Panel.Id,
            p.Panel.Name,
            i == 0 ? null : panels[i - 1].Panel.Id,
            i - 1,
            piece.Axis == Axis.X
                ? [new(p.From, Length.Zero), new(p.To, Length.Zero), new(p.To, across), new(p.From, across)]
                : [new(Length.Zero, p.From), new(across, p.From), new(across, p.To), new(Length.Zero, p.To)]))];
    }

    private SizedOpening SizeOpening(Piece piece, Opening opening)
    {
        var at = opening.Edges.ToDictionary(e => e.Edge, e => Marked(e.At));
        var edges = opening.Edges.Select(edge =>
        {
            var upright = edge.Edge is Edge.Left or Edge.Right;
            var (from, to) = (at[upright ? Edge.Foot : Edge.Left], at[upright ? Edge.Head : Edge.Right]);
            var setting = opening.Kind switch
            {
                CutKind.Divide => Setting.ForCut(tools, at[edge.Edge], to - from),
                CutKind.Notch or CutKind.Snip => Setting.ForNotch(tools, at[edge.Edge], from, to),
                _ => Setting.ForInnerCut(tools, at[edge.Edge], from, to, upright == (piece.Axis == Axis.X)),
            };
            return new Measured(new FigureRef.Line(piece.Id, opening.Id, edge.Edge), at[edge.Edge], setting, explainer.For(edge.At, $"{opening.Name}, {edge.Name}: {opening.Rule}", at[edge.Edge], setting));
        }).ToList();
        return new SizedOpening(opening, edges[0], edges[1], edges[2], edges[3], [.. opening.Corners.Select(c => new Point(Marked(c.X), Marked(c.Y)))]);
    }
}
