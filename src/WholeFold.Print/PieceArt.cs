using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Drawing;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Print;

/// <summary>Pieces and steps as marks on a page, in black: cut, valley and mountain told apart by their dashes and a letter.</summary>
internal static class PieceArt
{
    private const double Letter = 2.6;

    private static double Mm(Length length) => length.Units / (double)Length.PerMillimetre;

    /// <summary>A piece in true size from a corner of the page; smaller where a scale is given.</summary>
    /// <param name="figures">Writes the figure of a score beside it; null leaves it out.</param>
    public static IEnumerable<Mark> Of(Card card, SizedPiece piece, double left, double top, double scale = 1, Func<SizedScore, FigureText>? figures = null,
        double letter = Letter, bool layers = false)
    {
        var drawing = PieceDrawing.Of(card, piece);
        var high = Mm(drawing.Height);
        (double X, double Y) At(Point p) => (left + (Mm(p.X) * scale), top + ((high - Mm(p.Y)) * scale));
        IReadOnlyList<(double, double)> Line(IEnumerable<Point> points) => [.. points.Select(At)];
        foreach (var glue in drawing.Glue)
        {
            yield return new Mark.Path(Hatch([.. glue.Outline.Select(At)]), false, Pen.Hair, Class: "glue");
        }

        if (layers)
        {
            foreach (var layer in drawing.Layers)
            {
                yield return new Mark.Path([Line(layer.Outline)], true, Pen.Hair, Class: "layer");
            }
        }

        var edge = new Box(Length.Zero, Length.Zero, drawing.Width, drawing.Height);
        yield return new Mark.Path([Line(edge.Corners)], true, Pen.Cut, Class: "cut");
        foreach (var cut in drawing.Cuts)
        {
            yield return new Mark.Path([Line(cut.Line)], cut.Closed, Pen.Cut, Class: "cut");
        }

        foreach (var window in card.Dressed.CutThrough(piece.Piece.Id))
        {
            yield return new Mark.Path([Line(window.Outline)], true, Pen.Cut, Class: "cut");
        }

        foreach (var score in drawing.Scores)
        {
            var valley = score.Score.Crease.Fold == Fold.Valley;
            yield return new Mark.Path([.. score.Parts.Select(p => Line([p.From, p.To]))], false, valley ? Pen.Valley : Pen.Mountain, Class: valley ? "valley" : "mountain");
            var (x, y) = At(score.Parts[0].From);
            var upright = score.Runs == ScoreRun.Upright == (piece.Piece.Axis == Axis.X);
            yield return new Mark.Text(upright ? x + 0.6 : x + 1, upright ? At(score.Parts[0].To).Y + letter + 0.4 : y - 0.6, letter, valley ? "V" : "M");
            if (figures is not null)
            {
                var token = new Token(Typesetter.Figure(figures(score.Score)), false);
                var wide = Typesetter.Width(token, letter, true);
                var right = left + (Mm(drawing.Width) * scale);
                var runs = Typesetter.Line([token], upright ? x + 0.5 + wide <= right ? x + 0.5 : x - wide - 0.5 : x + 4, upright ? y - 0.8 : y - 0.6, letter, true, Pen.Black);
                foreach (var run in runs)
                {
                    yield return run;
                }
            }
        }
    }

    /// <summary>Lines at half a right angle across a ring, for where adhesive goes.</summary>
    private static IReadOnlyList<IReadOnlyList<(double X, double Y)>> Hatch(IReadOnlyList<(double X, double Y)> ring)
    {
        const double Apart = 2;
        var lines = new List<IReadOnlyList<(double, double)>>();
        var (low, high) = (ring.Min(p => p.X + p.Y), ring.Max(p => p.X + p.Y));
        for (var at = low + (Apart / 2); at < high; at += Apart)
        {
            var hits = new List<(double X, double Y)>();
            for (var i = 0; i < ring.Count; i++)
            {
                var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                var (sideA, sideB) = (a.X + a.Y - at, b.X + b.Y - at);
                if (sideA > 0 != sideB > 0)
                {
                    var t = sideA / (sideA - sideB);
                    hits.Add((a.X + (t * (b.X - a.X)), a.Y + (t * (b.Y - a.Y))));
                }
            }

            var sorted = hits.OrderBy(h => h.X).ToList();
            lines.AddRange(Enumerable.Range(0, sorted.Count / 2).Select(i => (IReadOnlyList<(double, double)>)[sorted[2 * i], sorted[(2 * i) + 1]]));
        }

        return lines;
    }

    /// <summary>A step's picture in a frame; what the step brings is drawn heavy.</summary>
    public static IEnumerable<Mark> Of(StepDrawing drawing, double left, double top, double width, double height, bool tinted)
    {
        var scale = Math.Min(width / drawing.Width, height / drawing.Height);
        var (x0, y0) = (left + ((width - (drawing.Width * scale)) / 2), top + ((height - (drawing.Height * scale)) / 2));
        foreach (var mark in drawing.Marks)
        {
            IReadOnlyList<IReadOnlyList<(double, double)>> lines = [.. mark.Lines.Select(l => (IReadOnlyList<(double, double)>)[.. l.Select(p => (x0 + (p.X * scale), y0 + (p.Y * scale)))])];
            var pen = mark.Kind switch
            {
                StepMarkKind.Valley => Pen.Valley,
                StepMarkKind.Mountain => Pen.Mountain,
                StepMarkKind.Layer or StepMarkKind.Thing or StepMarkKind.Inside or StepMarkKind.Outside => Pen.Hair,
                _ => Pen.Cut,
            };
            var fill = mark.Kind switch
            {
                StepMarkKind.Inside => Shade(mark.Tint ?? "#fbf6ea", mark.Light, tinted),
                StepMarkKind.Outside => Shade(mark.Tint ?? "#e7e0d0", mark.Light, tinted),
                StepMarkKind.Layer or StepMarkKind.Thing when mark.Tint is { } tint => Shade(tint, mark.Light, tinted),
                _ => null,
            };
            yield return new Mark.Path(lines, mark.Closed, mark.New ? pen with { Width = Math.Max(0.6, pen.Width * 3), Colour = Pen.Black } : pen, fill, mark.Kind.ToString().ToLowerInvariant());
        }
    }

    /// <summary>A colour where less light falls on it; in black and white a light grey.</summary>
    private static string Shade(string colour, double light, bool tinted)
    {
        if (!tinted)
        {
            return light > 0.7 ? "#ffffff" : "#f0f0f0";
        }

        int Part(int at) => (int)Math.Round(Convert.ToInt32(colour.Substring(at, 2), 16) * (0.72 + (0.28 * Math.Clamp(light, 0, 1))));
        return $"#{Part(1):x2}{Part(3):x2}{Part(5):x2}";
    }
}
