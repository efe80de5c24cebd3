using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Dressing;

/// <summary>Sizes the layers of each face: what is free of it less the reveal on every side, down to the trimmer's mark.</summary>
/// <param name="like">The papers of the same card on its owner's tools; null where these are hers.</param>
internal sealed class LayerSizer(Figures figures, Roles roles, IReadOnlyList<SizedWindow> windows,
    IReadOnlyList<SizedContour> contours, IReadOnlyList<SizedLayer>? like)
{
    /// <summary>Below this a strip's reveal is halved, or the border would be all one sees.</summary>
    private static readonly Pair Narrow = Pair.Of(5, 4, 30m);

    /// <summary>What can still be cut and laid.</summary>
    private static readonly Pair Least = Pair.Of(1, 8, 3m);

    private readonly Design _design = figures.Design;
    private readonly ToolSet _tools = figures.Tools;

    /// <summary>One level on one face, as it was chosen.</summary>
    /// <param name="X">All that stays free at either side, from the edge of the region; <paramref name="Y"/> above and below.</param>
    private sealed record Chosen(RoleFace Face, FreePart Region, int Level, Stock Stock, Border X, Border Y, bool ToWriteOn);

    /// <summary>The border of one level and all below it, in one direction.</summary>
    private sealed record Border(IReadOnlyList<Length> Widths, Words? Shrunk)
    {
        public Length Sum => Widths.Aggregate(Length.Zero, (sum, w) => sum + w);
    }

    public IReadOnlyList<SizedLayer> Size()
    {
        var layers = new List<SizedLayer>();
        foreach (var role in roles.All)
        {
            foreach (var level in role.Faces.SelectMany(f => LevelsOn(role, f)).GroupBy(l => l.Level).OrderBy(l => l.Key))
            {
                if (like is not null)
                {
                    layers.AddRange(like.Where(o => o.Role.Id == role.Id && o.Level == level.Key).Select(o =>
                        (o, Alike: level.Where(l => o.On.Any(on => on.On.Id == l.Face.Id)).ToList()))
                        .Where(o => o.Alike.Count > 0).Select(o => Sized(role, o.Alike, o.o.Id, o.o)));
                    continue;
                }

                // Panels that are equal by rule can differ by a mark where figures were rounded; each size is cut by itself.
                var sizes = level.GroupBy(l => (l.Region.Box.Width, l.Region.Box.Height, l.Stock.Id, l.X.Sum, l.Y.Sum, Shape: l.Region.IsRectangle ? "" : Form(l))).ToList();
                layers.AddRange(sizes.Select(size => Sized(role, [.. size], IdOf(size.First(), role, sizes.Count > 1))));
            }
        }

        // A paper of nothing is none: its panel stays bare.
        return [.. layers.Where(l => l.Width.Value >= Least.For(_tools.System) && l.Height.Value >= Least.For(_tools.System)).OrderBy(l => Order(l.Role)).ThenBy(l => l.Level)];
    }

    private int Order(Role role) => Array.IndexOf([.. roles.All], role);

    /// <summary>Corners counted from the shape's own box, so that equal shapes are cut together.</summary>
    private static string Form(Chosen level) => string.Join(' ', level.Region.Outline.Select(p => $"{p.X.Units - level.Region.Box.Left.Units},{p.Y.Units - level.Region.Box.Bottom.Units}"));

    /// <summary>The papers on one face: as the role usually wears them, and as the design says otherwise of the role or of this face.</summary>
    private IEnumerable<Chosen> LevelsOn(Role role, RoleFace face)
    {
        var said = _design.Dressing.Layers.Where(l => l.Role == role.Id).Concat(_design.Dressing.Layers.Where(l => l.Role == face.Id && l.Role != role.Id)).ToList();
        WornLayer? On(int level) => said.LastOrDefault(l => l.Level == level);
        var usual = role.Levels == 0 ? 0 : Math.Max(role.Levels, _design.Reveal.Framed ? 2 : 1);
        var last = said.GroupBy(l => l.Level).Select(g => g.Last()).ToList();
        var most = last.Where(l => l.Worn).Select(l => l.Level).Append(usual).Max();
        var bareFrom = last.Where(l => !l.Worn).Select(l => l.Level).DefaultIfEmpty(int.MaxValue).Min();
        var levels = Math.Min(most, bareFrom - 1);
        var (xs, ys) = (new List<Length>(), new List<Length>());
        var region = WithContour(face, face.For(On(1)?.Under));
        for (var level = 1; level <= levels; level++)
        {
            var chosen = On(level);
            var (x, shrunkX) = Reveal(role, region.Box.Width, levels, Side(chosen, face, across: true));
            var (y, shrunkY) = Reveal(role, region.Box.Height, levels, Side(chosen, face, across: false));
            xs.Add(x);
            ys.Add(y);
            yield return new Chosen(face, region, level, chosen?.Stock ?? (level < levels ? _design.MatStock : _design.LayerStock), new Border([.. xs], shrunkX),
                new Border([.. ys], shrunkY), chosen?.ToWriteOn ?? role.ToWriteOn);
        }
    }

    /// <summary>Where the head of a face is cut to a shape its paper follows it.</summary>
    private FreePart WithContour(RoleFace face, FreePart region)
    {
        var above = contours.Where(c => c.IsFree).SelectMany(c => c.On).FirstOrDefault(o => o.Face.Piece == face.Piece && o.Face.Plate == face.Plate);
        return above is null || Plane.Parts(Plane.Union([region.Shape, Plane.Shape(above.Outline)])).MaxBy(p => p.Area) is not { } whole ? region : FreePart.Of(whole);
    }

    /// <summary>A border that is said is said as one reads the face; here it is that of the flat piece.</summary>
    private static Length? Side(WornLayer? layer, RoleFace face, bool across) => face.Head is Edge.Head or Edge.Foot == across ? layer?.RevealX : layer?.RevealY;

    /// <summary>The reveal in one direction: across a narrow strip it shrinks, along it it keeps the school, so that neighbours line up.</summary>
    private (Length Width, Words? Shrunk) Reveal(Role role, Length extent, int levels, Length? said)
    {
        if (said is { } wished)
        {
            return (wished, null);
        }

        if (role.Own?.Reveal is { } own)
        {
            return (figures.ValueOf(own), null);
        }

        var reveal = _design.Reveal.Width.For(_tools.System);
        var limit = Narrow.For(_tools.System);
        var most = new Length(extent.Units / (4 * levels));
        var wanted = extent < limit ? new Length(reveal.Units / 2) : reveal;
        return wanted == Length.Zero ? (wanted, null)
            : most < wanted ? (most, Words.Of($"The strip is {extent}: its reveal is no more than {most}"))
            : wanted < reveal ? (wanted, Words.Of($"The strip is under {limit}: its reveal is halved to {wanted}"))
            : (wanted, null);
    }

    private static string IdOf(Chosen first, Role role, bool severalSizes) =>
        $"{role.Id}{(severalSizes ? $"-{first.Face.Plate}" : "")}{(first.Level > 1 ? $"-{first.Level}" : "")}";

    private SizedLayer Sized(Role role, IReadOnlyList<Chosen> alike, string id, SizedLayer? same = null)
    {
        var first = alike[0];
        var shape = first.Region.IsRectangle ? null : Inside(first);
        Box? inside = first.Region.IsRectangle ? null : shape is null ? default(Box) : Plane.Round(shape);
        var (wide, high) = (new FigureRef.Layer(id, IsWidth: true), new FigureRef.Layer(id, IsWidth: false));
        var width = same is not null ? Like(wide, same.Width.Value, alike, same, b => b.Width)
            : Side(wide, "wide", first.Region.Box.Width, first.X, inside?.Width);
        var height = same is not null ? Like(high, same.Height.Value, alike, same, b => b.Height)
            : Side(high, "high", first.Region.Box.Height, first.Y, inside?.Height);
        return new SizedLayer(id, role, [.. alike.Select(a => Laid(a, shape, first.Region.Box, width.Value, height.Value))], first.Level, first.Stock, width,
            height, first.Region.IsRectangle, alike.Any(a => a.ToWriteOn));
    }

    /// <param name="inside">The line of the first of those that are cut alike; <paramref name="from"/> the box of its region.</param>
    private LaidLayer Laid(Chosen layer, NetTopologySuite.Geometries.Polygon? inside, Box from, Length width, Length height)
    {
        var box = layer.Region.Box;
        var left = box.Left + new Length((box.Width - width).Units / 2);
        var foot = box.Bottom + new Length((box.Height - height).Units / 2);
        var cut = new Box(left, foot, left + width, foot + height);
        var holes = windows.Where(w => w.GoesThrough(layer.Level))
            .SelectMany(w => w.On.Where(o => o.Face.Plate == layer.Face.Plate && o.Face.Piece == layer.Face.Piece
            && (o.Face.Face == layer.Face.Face || w.Window.Through is null)).Select(o => o.Outline));
        var outline = layer.Region.IsRectangle ? cut.Corners : inside is null ? layer.Region.Outline : Follow(inside, box.Left - from.Left, box.Bottom - from.Bottom, width, height);
        IEnumerable<IReadOnlyList<Point>> own = layer.Region.Holes.Select(h => Plane.Corners(((NetTopologySuite.Geometries.Polygon)Plane.Offset(Plane.Shape(h), layer.X.Sum.Units)).ExteriorRing));
        return new LaidLayer(layer.Face, layer.Region, outline, [.. own.Concat(holes)]);
    }

    /// <summary>What is left of a shape that is no rectangle once the border is taken off all round.</summary>
    private static NetTopologySuite.Geometries.Polygon? Inside(Chosen layer)
    {
        var by = Math.Min(layer.X.Sum.Units, layer.Y.Sum.Units);
        var shape = Plane.Shape(layer.Region.Outline);
        return Plane.Parts(by == 0 ? shape : Plane.Offset(shape, -by)).MaxBy(p => p.Area);
    }

    /// <summary>Its line, brought to the size that is cut about its own middle.</summary>
    private static IReadOnlyList<Point> Follow(NetTopologySuite.Geometries.Polygon part, Length across, Length up, Length width, Length height)
    {
        var was = Plane.Round(part);
        var (left, foot) = (was.Left + across + new Length((was.Width - width).Units / 2), was.Bottom + up + new Length((was.Height - height).Units / 2));
        Point Brought(Point p) => new(
            left + new Length(was.Width == Length.Zero ? 0 : (long)Math.Round((p.X - was.Left).Units * (double)width.Units / was.Width.Units)),
            foot + new Length(was.Height == Length.Zero ? 0 : (long)Math.Round((p.Y - was.Bottom).Units * (double)height.Units / was.Height.Units)));
        return [.. Plane.Corners(part.ExteriorRing).Select(Brought)];
    }

    /// <summary>
    /// A side of the same paper on other tools: the nearest mark, and what that leaves free is the border. Where the panel itself
    /// came out so much larger or smaller that the border would be half again as wide, or half of it, the border is kept instead.
    /// </summary>
    /// <param name="own">Its owner's figure.</param>
    private Measured Like(FigureRef id, Length own, IReadOnlyList<Chosen> alike, SizedLayer same, Func<Box, Length> side)
    {
        Length Left(Chosen a) => side(same.On.First(on => on.On.Id == a.Face.Id).Region.Box) - own;
        var bordered = alike.Min(a => side(a.Region.Box) - Left(a));
        var border = new Length(alike.Max(Left).Units / 2);
        var marks = _design.Prefer.AvoidFineMarks && !_tools.Exact ? _tools.PlainMarks : _tools.CutMarks;
        var down = bordered <= Length.Zero ? Length.Zero : marks.Select(bordered.Down).Max();
        var near = ToolSet.Nearest(marks, own);
        var keeps = border == Length.Zero ? near <= bordered && near >= down : (near - bordered).Abs() <= border && near > Length.Zero;
        var cut = keeps ? near : down;
        var why = keeps ? Words.Of($"The mark nearest to the paper's own size, {own}; the border is what that leaves")
            : Words.Of($"Its panel came out otherwise on these tools; with the border kept, down to the mark, it is {cut}");
        return new Measured(id, cut, Setting.ForCut(_tools, cut, Length.Zero),
            new Explanation(() => [new Reason(Words.Of($"{why}."), keeps ? own : bordered, cut)], () => why));
    }

    private Measured Side(FigureRef id, string way, Length region, Border border, Length? inside = null)
    {
        var plain = _design.Prefer.AvoidFineMarks && !_tools.Exact;
        var exact = inside ?? region - (2 * border.Sum);
        var cut = exact <= Length.Zero ? Length.Zero : plain ? _tools.PlainMarks.Select(exact.Down).Max() : _tools.CutDown(exact);
        var borders = border.Widths.Distinct().Count() > 1 ? Words.Of($"borders of {Words.List(border.Widths.Select(w => Words.Of($"{w}")))}")
            : border.Widths.Count == 1 ? Words.Of($"a reveal of {border.Widths[0]}") : Words.Of($"{(border.Widths.Count == 2 ? "two" : $"{border.Widths.Count}")} reveals of {border.Widths[0]}");
        return new Measured(id, cut, Setting.ForCut(_tools, cut, Length.Zero), new Explanation(
            () =>
            {
                var reasons = new List<Reason> { new(Words.Of($"The panel is {region} {way}; less {borders} {(inside is null ? "on each side" : "all round its line")}."), exact, exact) };
                if (border.Shrunk is { } shrunk)
                {
                    reasons.Add(new Reason(Words.Of($"{shrunk}."), exact, exact));
                }

                if (cut != exact)
                {
                    var mark = plain ? "a mark that needs no sixteenth" : "the trimmer's mark";
                    reasons.Add(new Reason(Words.Of($"Down to {mark}: a layer may be scant, never full."), exact, cut));
                }

                return reasons;
            },
            () => Words.Of($"{cut} = the panel {region}, less {borders} {(inside is null ? "on each side" : "all round its line")}{(cut == exact ? "" : ", scant rather than full")}")));
    }
}
