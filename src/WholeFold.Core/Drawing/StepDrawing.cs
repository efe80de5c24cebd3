using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>What a line of a step's picture is.</summary>
public enum StepMarkKind
{
    Edge,
    Valley,
    Mountain,
    Cut,
    Tick,
    Layer,

    /// <summary>What is stuck on.</summary>
    Thing,

    /// <summary>A plate of the standing card as it is seen from its inner side.</summary>
    Inside,
    Outside,
}

/// <summary>Something of a step's picture.</summary>
/// <param name="New">Whether the step brings it.</param>
/// <param name="Tint">The colour of what it is made of.</param>
public sealed record StepMark(StepMarkKind Kind, IReadOnlyList<IReadOnlyList<(double X, double Y)>> Lines, bool Closed, bool New,
    string? Tint = null, double Light = 1);

/// <summary>
/// What one has in hand after a step: a flat piece with all that is done to it so far, or the card as it stands. What the step
/// brings is told from what was there, and nothing is in it that a later step brings.
/// </summary>
/// <param name="Name">What it shows.</param>
/// <param name="Width">In millimetres; its marks lie from its upper left corner, downwards.</param>
public sealed record StepDrawing(string Name, double Width, double Height, IReadOnlyList<StepMark> Marks)
{
    /// <summary>How long the arms of a tick are, in millimetres.</summary>
    private const double Tick = 2.5;

    /// <summary>As it was before the step: without what the step brings.</summary>
    public StepDrawing Before => this with { Marks = [.. Marks.Where(m => !m.New)] };

    /// <summary>One picture for each piece that the step is done to, or one of the whole card; none where there is nothing to see.</summary>
    /// <param name="part">Of a step that sets several figures, which of them is at hand: those after it are not shown yet.</param>
    public static IReadOnlyList<StepDrawing> Of(Card card, IReadOnlyList<Step> steps, int at, int? part = null)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(steps);
        var step = steps[at];
        if (step.Phase >= Phase.Fold)
        {
            return [Standing(card, steps, at)];
        }

        var papers = card.Layers.Where(l => step.Phase == Phase.Cut && step.Things.Contains($"layers.{l.Id}")).Select(l => Flat(l.Role.Name, l.Width.Value, l.Height.Value)).ToList();
        return papers.Count > 0 ? part is { } one && one < papers.Count ? [papers[one]] : papers
            : [.. step.Pieces.Take(3).Select(p => Piece(card, steps, at, card.Pieces.First(s => s.Piece.Id == p), part))];
    }

    private static StepDrawing Flat(string name, Length width, Length height) =>
        new(name, Mm(width), Mm(height), [new StepMark(StepMarkKind.Edge, [[(0, 0), (Mm(width), 0), (Mm(width), Mm(height)), (0, Mm(height))]], true, true)]);

    private static StepDrawing Piece(Card card, IReadOnlyList<Step> steps, int at, SizedPiece piece, int? part)
    {
        var step = steps[at];
        var drawing = PieceDrawing.Of(card, piece);
        double high = Mm(drawing.Height);
        IReadOnlyList<(double, double)> Line(IEnumerable<Point> points) => [.. points.Select(p => (Mm(p.X), high - Mm(p.Y)))];
        bool Done(Func<Step, bool> it) => steps.Take(at).Any(it);
        var marks = new List<StepMark> { new(StepMarkKind.Edge, [Line(new Box(Length.Zero, Length.Zero, drawing.Width, drawing.Height).Corners)], true, step.Phase == Phase.Cut) };
        foreach (var score in drawing.Scores)
        {
            var id = score.Score.Figure.Id.ToString();
            var now = step.Phase == Phase.Score ? step.Figures.ToList().IndexOf(id) : -1;
            if (Done(s => s.Phase == Phase.Score && s.Figures.Contains(id)) || (now >= 0 && now <= (part ?? now)))
            {
                marks.Add(new(score.Score.Crease.Fold == Fold.Valley ? StepMarkKind.Valley : StepMarkKind.Mountain,
                    [.. score.Parts.Select(p => Line([p.From, p.To]))], false, now >= 0 && now == (part ?? now)));
            }
        }

        foreach (var cut in drawing.Cuts)
        {
            var opens = FlatSteps.Opens(piece, cut.Cut);
            if (step.Id == opens || Done(s => s.Id == opens))
            {
                marks.Add(new(StepMarkKind.Cut, [Line(cut.Line)], cut.Closed, step.Id == opens));
            }
        }

        foreach (var layer in drawing.Layers)
        {
            var id = $"layers.{layer.Layer.Id}";
            if (step.Phase > Phase.Cut && (step.Things.Contains(id) || Done(s => s.Phase > Phase.Cut && s.Things.Contains(id))))
            {
                marks.Add(new(StepMarkKind.Layer, [Line(layer.Outline)], true, step.Things.Contains(id), layer.Layer.Stock.Colour));
            }
        }

        foreach (var window in card.Dressed.Windows)
        {
            foreach (var on in window.On.Where(o => o.Face.Piece == piece.Piece.Id))
            {
                Put(StepMarkKind.Cut, $"windows.{window.Window.Id}", on.Outline, null);
            }
        }

        foreach (var element in card.Dressed.Elements)
        {
            foreach (var on in element.On.Where(o => o.Face.Piece == piece.Piece.Id))
            {
                Put(StepMarkKind.Thing, $"elements.{element.Element.Id}", on.Outline, element.Element.IsInk ? null : element.Element.Stock.Colour);
            }
        }

        foreach (var contour in card.Dressed.Contours)
        {
            foreach (var on in contour.On.Where(o => o.Face.Piece == piece.Piece.Id))
            {
                Put(StepMarkKind.Cut, $"contours.{contour.Contour.Id}", on.Outline, null);
            }
        }

        foreach (var mark in step.Marks)
        {
            foreach (var spot in Where(card, piece, mark))
            {
                var (x, y) = (Mm(spot.X), high - Mm(spot.Y));
                marks.Add(new(StepMarkKind.Tick, [[(x - Tick, y), (x + Tick, y)], [(x, y - Tick), (x, y + Tick)]], false, true));
            }
        }

        return new StepDrawing(piece.Piece.Name, Mm(drawing.Width), high, marks);

        void Put(StepMarkKind kind, string id, IReadOnlyList<Point> outline, string? tint)
        {
            if (step.Things.Contains(id) || Done(s => s.Things.Contains(id)))
            {
                marks.Add(new(kind, [Line(outline)], true, step.Things.Contains(id), tint));
            }
        }
    }

    /// <summary>The two corners of a thing that one marks on the flat piece: those on the side that lies nearer to its panel's
    /// edge.</summary>
    private static IReadOnlyList<Point> Where(Card card, SizedPiece piece, string mark)
    {
        var on = card.Dressed.Windows.Where(w => $"windows.{w.Window.Id}" == mark).SelectMany(w => w.On)
            .Concat(card.Dressed.Elements.Where(e => $"elements.{e.Element.Id}" == mark).SelectMany(e => e.On)).FirstOrDefault(o => o.Face.Piece == piece.Piece.Id);
        var bond = card.Construction.Bonds.FirstOrDefault(b => $"places.{b.Id}" == mark && b.A.Piece.Piece == piece.Piece.Id);
        return on is not null ? Corners(on.Box, card.Figures.PlateOf(on.Face.Ref).Box)
            : bond is not null ? Corners(Places.Lies(card.Figures, bond), card.Figures.PlateOf(bond.A.Plate).Box) : [];
    }

    private static IReadOnlyList<Point> Corners(Box thing, Box panel)
    {
        var x = thing.Left - panel.Left <= panel.Right - thing.Right ? Length.Max(thing.Left, panel.Left) : Length.Min(thing.Right, panel.Right);
        return [new Point(x, Length.Max(thing.Bottom, panel.Bottom)), new Point(x, Length.Min(thing.Top, panel.Top))];
    }

    /// <summary>The card as it stands after the step, with what it wears by then.</summary>
    private static StepDrawing Standing(Card card, IReadOnlyList<Step> steps, int at)
    {
        var step = steps[at];
        var before = steps.Take(at).Where(s => s.Phase > Phase.Cut).SelectMany(s => s.Things).ToHashSet();
        var after = before.Concat(step.Things).ToHashSet();
        var bodies = card.Layers.Where(l => after.Contains($"layers.{l.Id}")).SelectMany(l => l.Bodies(card.Design.Adhesive).Select(b => b with { Id = $"layers.{l.Id}" }))
            .Concat(card.Dressed.Bodies.Where(b => b.Id is { } id && after.Contains($"elements.{id}")).Select(b => b with { Id = $"elements.{b.Id}" })).Concat(card.Dressed.Bodies.Where(b => b.OfCard)).ToList();
        var looks = Motion.LookedAt(card.Figures);
        var frame = step.Pose is "closed" or "foldedFlat" ? looks[0] : step.Phase is Phase.Fold or Phase.Bond ? looks[1] : looks[^1];
        var lit = step.Bonds.SelectMany(b => card.Construction.Bonds.First(c => c.Id == b).Sides.Select(s => s.Plate)).ToHashSet();
        return InSpace($"the card {(frame.Name == "closed" ? "shut" : frame.Name == "opening" ? "half open" : "as it stands")}", card, bodies, frame, s => s.IsLayer ? s.Id is { } id && step.Things.Contains(id) : lit.Contains(s.Plate));
    }

    /// <summary>The finished card as it stands on a table.</summary>
    public static StepDrawing Finished(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        return InSpace("the card as it stands", card, card.Bodies, Motion.OnTheTable(card.Figures), _ => false);
    }

    private static StepDrawing InSpace(string name, Card card, IReadOnlyList<Body> bodies, MotionFrame frame, Func<Shape, bool> isNew)
    {
        var shapes = Picture.Of(card.Figures, bodies, frame).Shapes;
        var corners = shapes.SelectMany(s => s.Corners).ToList();
        var (left, top) = (corners.Min(c => c.X), corners.Max(c => c.Y));
        IReadOnlyList<(double, double)> Line(IReadOnlyList<(double X, double Y)> outline) => [.. outline.Select(c => ((c.X - left) / Length.PerMillimetre, (top - c.Y) / Length.PerMillimetre))];
        var marks = shapes.Select(s => new StepMark(s.IsLayer ? s.Id is { } id && !id.StartsWith("layers.", StringComparison.Ordinal) ? StepMarkKind.Thing : StepMarkKind.Layer : s.Inside
            ? StepMarkKind.Inside : StepMarkKind.Outside, [Line(s.Corners), .. s.Holes.Select(Line)], true, isNew(s), s.Tint, s.Light)).ToList();
        var drawn = marks.SelectMany(m => m.Lines).SelectMany(l => l).ToList();
        return new StepDrawing(name, drawn.Max(p => p.X), drawn.Max(p => p.Y), marks);
    }

    private static double Mm(Length length) => length.Units / (double)Length.PerMillimetre;
}
