using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Tests.Maker;

/// <summary>Whether what was made by the words is the card of the model.</summary>
internal static class AsTheCard
{
    private const double Hair = 0.5;

    private static double Mm(Length length) => (double)length.Millimetres;

    /// <summary>What is not as the card has it.</summary>
    public static IEnumerable<string> Differs(Card card, MadeCard made)
    {
        foreach (var piece in card.Pieces)
        {
            var sheet = made.Sheets.FirstOrDefault(s => Is(s, piece));
            if (sheet is null)
            {
                yield return $"no sheet is the {piece.Piece.Name}";
                continue;
            }

            if (piece.Panels.Count > 1 && !sheet.Panels.SequenceEqual(piece.Panels.Select(p => p.Panel.Name)))
            {
                yield return $"the panels of the {piece.Piece.Name} are {string.Join(", ", sheet.Panels)}";
            }

            var scores = piece.AllScores.Where(s => s.Figure.Setting.How != SetBy.Given).SelectMany(s =>
                s.Parts.Select(p => new MadeLine(Mm(p.From.X), Mm(p.From.Y), Mm(p.To.X), Mm(p.To.Y),
                    s.Crease.Fold == Fold.Valley))).ToList();
            foreach (var wrong in Differ([.. scores.Select(s => Left(s, piece))],
                [.. sheet.Scores.Select(s => Left(s, piece))]).Select(l => $"{piece.Piece.Id} score {l}")
                .Concat(Differ([.. CutsOf(piece)], sheet.Cuts).Select(l => $"{piece.Piece.Id} cut {l}")))
            {
                yield return wrong;
            }
        }

        foreach (var layer in card.Layers)
        {
            var papers = made.Papers.Where(p => p.Stock == layer.Stock.Name && Near(p.Width, layer.Width.Value)
                && Near(p.Height, layer.Height.Value)).ToList();
            foreach (var laid in layer.On)
            {
                var on = papers.SelectMany(p => p.On).Where(o => o.Face == laid.On.Said && o.Over is not null == layer.Level > 1
                    && o.Times == laid.On.Copies.Count
                    && o.Is(Sides(card, layer, laid), Hair)).ToList();
                if (on.Count != 1)
                {
                    yield return $"the paper {layer.Id} lies {on.Count} times in its place on {laid.On.Said}";
                }
            }
        }

        foreach (var (name, on, width, height) in card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e =>
            (Spoken.The(e.Element.Name), e.On[0], e.Width, e.Height))
            .Concat(card.Dressed.Windows.Where(w => w.On.Count > 0).Select(w => (Spoken.The(w.Window.Called), w.On[0], w.Width, w.Height))))
        {
            var thing = made.Things.Where(t => t.Name == name && t.Face == on.Face.Said && Near(t.Width, width.Value)
                && Near(t.Height, height.Value)).ToList();
            if (thing.Count != 1)
            {
                yield return $"{name} is not on {on.Face.Said} once";
            }
            else if (!thing[0].From.All(f => IsThere(card, made, thing[0], on, f)))
            {
                yield return $"{name} is beside its place on {on.Face.Said}";
            }
        }

        foreach (var bond in card.Construction.Bonds.Where(b => !b.IsLoose))
        {
            var (part, whole) = (card.Figures.PlateOf(bond.B.Plate), card.Figures.PlateOf(bond.A.Plate));
            var told = made.Bonds.Where(b => IsCalled(b.Part, part.Name, card.Figures.PieceOf(bond.B.Piece).Piece.Name)
                && IsCalled(b.On, whole.Name, card.Figures.PieceOf(bond.A.Piece).Piece.Name)).ToList();
            if (!told.Any(b => b.From.All(f => IsBondedAt(card, bond, f))))
            {
                var piece = card.Figures.PieceOf(bond.B.Piece).Piece.Name;
                yield return $"{part.Name} of {piece} is bonded {(told.Count == 0 ? "to nothing" : "beside its place")}";
            }
        }

        // What is told of no bond of the card.
        var real = card.Construction.Bonds.Where(b => !b.IsLoose).ToList();
        bool IsOf(MadeBond told, Bond b) => new[] { (told.Part, b.B), (told.On, b.A) }.All(s =>
            IsCalled(s.Item1, card.Figures.PlateOf(s.Item2.Plate).Name, card.Figures.PieceOf(s.Item2.Piece).Piece.Name));
        foreach (var told in made.Bonds.Where(t => !real.Any(b => IsOf(t, b) && t.From.All(f => IsBondedAt(card, b, f)))))
        {
            yield return $"{told.Part} is bonded where nothing is";
        }
    }

    /// <summary>Whether an edge or a fold of the bonded part lies so far from a named edge of the panel that it is on.</summary>
    private static bool IsBondedAt(Card card, Bond bond, (string Edge, double Distance, bool ByFold) told)
    {
        var (own, part, whose) = (card.Figures.PlateOf(bond.A.Plate).Box, card.Figures.PieceOf(bond.B.Piece),
            card.Figures.PieceOf(bond.A.Piece));
        var (from, to) = (bond.B.Region.Anchors.Select(card.Figures.ValueOf).ToList(),
            bond.A.Region.Anchors.Select(card.Figures.ValueOf).ToList());
        var turned = RigidTransform.Laid([.. from.Select(p => new Vec(p.X.Units, p.Y.Units, 0))],
            [.. to.Select(p => new Vec(p.X.Units, p.Y.Units, 0))]);
        (double X, double Y) Onto(Point p) => turned.Apply(p.X.Units, p.Y.Units) is var v ? (v.X / 320, v.Y / 320) : default;
        var lines = told.ByFold ? part.AllScores.Where(s => s.Axis is not null
            && Bounds(s, card.Figures.PlateOf(bond.B.Plate).Box)).Select(s => (Onto(s.From), Onto(s.To))).ToList()
            : card.Figures.PlateOf(bond.B.Plate).Corners.Select(Onto).ToList() is var c
                ? c.Select((p, i) => (p, c[(i + 1) % c.Count])).ToList() : [];
        var score = whose.AllScores.FirstOrDefault(s => told.Edge == $"the score {s.Place}" && s.Axis is not null);
        var head = Faces.HeadOf(card.Figures, bond.A.On);
        // What a reader of the face calls the flat piece's left, right, bottom and top.
        string[] read = (head, bond.A.On.Face) switch
        {
            (Edge.Left, Face.Up) => ["top", "bottom", "left", "right"],
            (Edge.Left, _) => ["top", "bottom", "right", "left"],
            (Edge.Right, Face.Up) => ["bottom", "top", "right", "left"],
            (Edge.Right, _) => ["bottom", "top", "left", "right"],
            (Edge.Foot, _) when whose.Piece.FromHead => ["left", "right", "top", "bottom"],
            _ => ["left", "right", "bottom", "top"],
        };
        (bool Upright, double At, int Into)[] edges = score is not null
            ? [(score.Axis == Axis.X, Mm(score.Axis == Axis.X ? score.From.X : score.From.Y), 1),
                (score.Axis == Axis.X, Mm(score.Axis == Axis.X ? score.From.X : score.From.Y), -1)]
            : [(true, Mm(own.Left), 1), (true, Mm(own.Right), -1), (false, Mm(own.Bottom), 1), (false, Mm(own.Top), -1)];
        return edges.Where((e, i) => score is not null || told.Edge.Split(' ')[1] == read[i]).Any(e =>
            (told.ByFold ? lines : Outermost(lines, e.Upright)).Any(l =>
            e.Upright ? Close(l.Item1.X, l.Item2.X) && Close(e.Into * (l.Item1.X - e.At), told.Distance) : Close(l.Item1.Y, l.Item2.Y)
                && Close(e.Into * (l.Item1.Y - e.At), told.Distance)));
    }

    private static bool Bounds(SizedScore score, Box plate) => score.Axis == Axis.X ? score.From.X == plate.Left
        || score.From.X == plate.Right
        : score.From.Y == plate.Bottom || score.From.Y == plate.Top;

    private static List<((double X, double Y), (double X, double Y))> Outermost(List<((double X, double Y) From,
        (double X, double Y) To)> outline, bool upright)
    {
        var all = outline.SelectMany(l => new[] { l.From, l.To }).Select(p => upright ? p.X : p.Y).ToList();
        return [.. new[] { all.Min(), all.Max() }.Select(at => upright ? ((at, 0d), (at, 1d)) : ((0d, at), (1d, at)))];
    }

    /// <summary>Whether a part is said by its panel, its piece, or as the panel of the piece.</summary>
    private static bool IsCalled(string said, string panel, string piece)
    {
        var (plain, one, other) = (Plain(said), Plain(panel), Plain(piece));
        return plain == one || plain == other || plain == $"{one} of {other}";
        static string Plain(string name) => $" {name} ".Replace(" the ", " ", StringComparison.OrdinalIgnoreCase).Trim().ToLowerInvariant();
    }

    private static string Low(string name) => $"{char.ToLowerInvariant(name[0])}{name[1..]}";

    private static bool Is(MadeSheet sheet, SizedPiece piece) =>
        (sheet.Called == Low(piece.Piece.Name) || sheet.Called == Saying.Plural(piece.Piece.Name)) && sheet.Count == piece.Piece.Quantity
        && Near(sheet.Width, piece.Width.Value) && Near(sheet.Height, piece.Height.Value);

    private static bool Near(double made, Length planned) => Math.Abs(made - Mm(planned)) < Hair;

    /// <summary>What is cut in a sheet, from the outlines of its openings: not where one runs along the sheet's own edge, nor where it
    /// stays on.</summary>
    private static IEnumerable<MadeLine> CutsOf(SizedPiece piece)
    {
        var (width, height) = (Mm(piece.Width.Value), Mm(piece.Height.Value));
        foreach (var opening in piece.Openings)
        {
            List<(double X, double Y)> corners = [.. opening.Corners.Select(c => (Mm(c.X), Mm(c.Y))).Distinct()];
            var sides = corners.Count == 2 ? [(corners[0], corners[1])]
                : corners.Select((c, i) => (c, corners[(i + 1) % corners.Count])).ToList();
            foreach (var ((x1, y1), (x2, y2)) in sides)
            {
                var atEdge = opening.Opening.Outline is null && ((x1 == x2 && (x1 == 0 || x1 == width))
                    || (y1 == y2 && (y1 == 0 || y1 == height)));
                var box = opening.Box;
                var stays = opening.Opening.StaysOn switch
                {
                    Edge.Left => x1 == x2 && x1 == Mm(box.Left), Edge.Right => x1 == x2 && x1 == Mm(box.Right),
                    Edge.Foot => y1 == y2 && y1 == Mm(box.Bottom), Edge.Head => y1 == y2 && y1 == Mm(box.Top), _ => false,
                };
                if (!atEdge && !stays)
                {
                    yield return new MadeLine(x1, y1, x2, y2, null);
                }
            }
        }
    }

    /// <summary>What is left of a score once the corners that it ran through are off.</summary>
    private static MadeLine Left(MadeLine line, SizedPiece piece)
    {
        foreach (var off in piece.Openings.Where(o => o.Opening is { Kind: CutKind.Notch, Outline: null }).Select(o => o.Box))
        {
            var (left, right, low, top) = (Mm(off.Left), Mm(off.Right), Mm(off.Bottom), Mm(off.Top));
            line = line.FromX == line.ToX && line.FromX >= left - Hair && line.FromX <= right + Hair
                ? low == 0 ? line with { FromY = Math.Max(line.FromY, top) } : line with { ToY = Math.Min(line.ToY, low) }
                : line.FromY == line.ToY && line.FromY >= low - Hair && line.FromY <= top + Hair
                ? left == 0 ? line with { FromX = Math.Max(line.FromX, right) } : line with { ToX = Math.Min(line.ToX, left) } : line;
        }

        return line;
    }

    /// <summary>Lines that one has and the other has not.</summary>
    private static IEnumerable<string> Differ(List<MadeLine> planned, List<MadeLine> made)
    {
        bool Same(MadeLine a, MadeLine b) => a.Valley == b.Valley
            && ((Close(a.FromX, b.FromX) && Close(a.FromY, b.FromY) && Close(a.ToX, b.ToX) && Close(a.ToY, b.ToY))
            || (Close(a.FromX, b.ToX) && Close(a.FromY, b.ToY) && Close(a.ToX, b.FromX) && Close(a.ToY, b.FromY)));
        return planned.Where(p => made.Count(m => Same(p, m)) != 1).Select(p =>
            $"missing {p}").Concat(made.Where(m => !planned.Any(p => Same(p, m))).Select(m => $"too much {m}"));
    }

    private static bool Close(double a, double b) => Math.Abs(a - b) < Hair;

    /// <summary>Of a rectangle on another, as the face is read: left, right, top, bottom, worked out by turning the corners.</summary>
    private static double[] Margins(RoleFace face, Box on, Box under)
    {
        var (left, right, bottom, top) = (Mm(on.Left - under.Left), Mm(under.Right - on.Right), Mm(on.Bottom - under.Bottom),
            Mm(under.Top - on.Top));
        double[] read = face.Head switch
        {
            Edge.Head => [left, right, top, bottom],
            Edge.Foot => [right, left, bottom, top],
            Edge.Right => [top, bottom, right, left],
            _ => [bottom, top, left, right],
        };
        return face.Face == Face.Up ? read : [read[1], read[0], read[2], read[3]];
    }

    private static double[] Sides(Card card, SizedLayer layer, LaidLayer laid) =>
        Margins(laid.On, laid.Box, layer.Level == 1 ? card.Figures.PlateOf(laid.On.Ref).Box
        : card.Layers.Single(l => l.Level == layer.Level - 1 && l.On.Any(o => o.On.Id == laid.On.Id)).On.Single(o =>
            o.On.Id == laid.On.Id).Box);

    /// <summary>Whether a distance from a named edge is that of the model's thing from that edge, on what it is measured on.</summary>
    private static bool IsThere(Card card, MadeCard made, MadeThing thing, OnFace on, (string Edge, double Distance) told)
    {
        var plate = card.Figures.PlateOf(on.Face.Ref).Box;
        if (told.Edge.StartsWith("the score between ", StringComparison.Ordinal))
        {
            var piece = card.Figures.PieceOf(on.Face.Ref.Piece);
            return piece.AllScores.Where(s => told.Edge == $"the score {s.Place}" && s.Axis is not null).Any(s =>
            {
                var (low, high, at) = s.Axis == Axis.X ? (on.Box.Left, on.Box.Right, s.From.X) : (on.Box.Bottom, on.Box.Top, s.From.Y);
                var (from, to) = s.Axis == Axis.X ? (plate.Left, plate.Right) : (plate.Bottom, plate.Top);
                return (at == from || at == to) && Close(at == from ? Mm(low - at) : Mm(at - high), told.Distance);
            });
        }

        var ground = thing.Paper is null ? plate : card.Layers.Where(l => l.Stock.Name == thing.Paper
            && (thing.For is null || Spoken.The(l.Role.Name) == thing.For)).SelectMany(l => l.On).Where(o =>
                o.On.Id == on.Face.Id).Select(o => o.Box).LastOrDefault();
        var margins = Margins(on.Face, on.Box, ground);
        var (whose, edge) = (told.Edge.Split(' ')[0], told.Edge.Split(' ')[1]);
        return (whose == "a" || whose == "its" == thing.Paper is not null)
            && Close(margins[edge switch { "left" => 0, "right" => 1, "top" => 2, _ => 3 }], told.Distance);
    }
}
