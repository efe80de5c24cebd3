using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

/// <summary>Puts the core's drawing of a piece into what is sent: its shapes as they are, its figures in the reader's unit.</summary>
internal static class PieceTeller
{
    public static PieceView Piece(this Teller teller, Card card, SizedPiece piece)
    {
        var drawing = PieceDrawing.Of(card, piece).AlongTheRule;
        return new PieceView
        {
            Id = piece.Piece.Id,
            Name = piece.Piece.Quantity > 1 ? $"{piece.Piece.Name} × {piece.Piece.Quantity}" : piece.Piece.Name,
            Width = teller.Figure(drawing.Width),
            Height = teller.Figure(drawing.Height),
            Plates = [.. drawing.Plates.Select(p => new PlateView(p.Id, p.Name, Box(p.NameIn), drawing.Layers.FirstOrDefault(l => l.Plate == p.Id) is { } layer ? Size(teller, layer) : null))],
            Layers = [.. drawing.Layers.Select(l => new LayerView(l.Layer.Id, l.Plate, Points(l.Outline), Size(teller, l)))],
            Scores = [.. drawing.Scores.Select(s => Score(teller, s))],
            Order = [.. piece.Passes.Select(pass =>
                new PassView(pass.Lay, PassWords(piece, pass),
                [.. pass.Scores.Select(piece.Score).Select(s => new PassScore(s.Figure.Id.ToString(), s.Axis is null ? teller.Say(s.Figure.Setting.Text)
                : teller.Say($"{s.Figure.Setting.At}")))]))],
            Cuts = [.. drawing.Cuts.Select(c => new CutView(c.Cut.Opening.Id, c.Cut.Opening.Name, c.Cut.Opening.Kind, Points(c.Line), c.Closed, Size(teller, c.Cut)))],
            Glue = [.. drawing.Glue.Select(g => new GlueView(g.Id, Points(g.Outline), g.LinedUp))],
        };
    }

    private static ScoreView Score(Teller teller, DrawnScore drawn)
    {
        var (score, setting) = (drawn.Score, drawn.Score.Figure.Setting);
        return new ScoreView
        {
            FigureId = score.Figure.Id.ToString(),
            At = teller.Figure(score.Figure.Value),
            Runs = drawn.Runs,
            Direction = score.Crease.Fold,
            Working = score.Crease.Working,
            How = setting.How,
            Lay = setting.Lay,
            Label = teller.Text(setting.At),
            Words = teller.Say(setting.Text),
            Between = score.Between,
            Parts = [.. drawn.Parts.Select(p => new LineView(Spot(p.From), Spot(p.To)))],
        };
    }

    private static Spot Spot(Point point) => new(point.X.Units, point.Y.Units);

    private static IReadOnlyList<Spot> Points(IReadOnlyList<Point> points) => [.. points.Select(Spot)];

    private static BoxView Box(Box box) => new(box.Left.Units, box.Bottom.Units, box.Width.Units, box.Height.Units);

    private static IReadOnlyList<SentencePart> Size(Teller teller, DrawnLayer layer) => teller.Say($"{layer.Layer.Width.Value} × {layer.Layer.Height.Value}");

    private static IReadOnlyList<SentencePart> Size(Teller teller, SizedOpening opening) => opening.IsLine
        ? teller.Say($"{Length.Max(opening.Box.Width, opening.Box.Height)} long")
        : teller.Say($"{opening.Box.Width} × {opening.Box.Height}");

    /// <summary>"as it lies", "turn it round"; where scores run across the chain or slant, that first.</summary>
    private static string PassWords(SizedPiece piece, SizedPass pass) =>
        pass.Axis is null ? "from tick to tick" : pass.Axis == piece.Piece.Axis ? Teller.Lies(pass.Lay) : pass.Lay == Lay.AsItLies ? "laid the other way" : $"laid the other way, {Teller.Lies(pass.Lay)}";

    /// <summary>The board as a rule: its grooves, with the figures a person reads on it.</summary>
    public static Rule RuleOf(ToolSet tools)
    {
        var ticks = new List<Tick>();
        var end = tools.HasBoard ? tools.BoardEnd : Length.In(12);

        // Without a board the rule carries the ruler's eighths or half centimetres, to read by.
        var steps = tools.HasBoard ? tools.GrooveRows.Select(c => c.Step).ToArray() : [Pair.Of(1, 8, 5m).For(tools.System)];
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
}
