using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Dressing;

/// <summary>A face as one reads it: its head uppermost, its left on the left hand, counted from its lower left corner.</summary>
/// <remarks>A face that lies down on the board is read from the other side, so its left is the board's right.</remarks>
internal readonly record struct Reading(Box Region, Edge Head, Face Face)
{
    public Length Width => Head is Edge.Head or Edge.Foot ? Region.Width : Region.Height;

    public Length Height => Head is Edge.Head or Edge.Foot ? Region.Height : Region.Width;

    public static Reading Of(RoleFace face, FreePart region) => new(region.Box, face.Head, face.Face);

    /// <summary>A point of the flat piece as it is read.</summary>
    public (Length Across, Length Up) Read(Point at)
    {
        var (x, y) = (at.X - Region.Left, at.Y - Region.Bottom);
        var (across, up) = Head switch
        {
            Edge.Head => (x, y),
            Edge.Foot => (Region.Width - x, Region.Height - y),
            Edge.Right => (Region.Height - y, x),
            _ => (y, Region.Width - x),
        };
        return (Face == Face.Up ? across : Width - across, up);
    }

    /// <summary>The same the other way about.</summary>
    public Point Lay(Length across, Length up)
    {
        var u = Face == Face.Up ? across : Width - across;
        var (x, y) = Head switch
        {
            Edge.Head => (u, up),
            Edge.Foot => (Region.Width - u, Region.Height - up),
            Edge.Right => (up, Region.Height - u),
            _ => (Region.Width - up, u),
        };
        return new Point(Region.Left + x, Region.Bottom + y);
    }

    public Box Read(Box box)
    {
        var (a, b) = (Read(new Point(box.Left, box.Bottom)), Read(new Point(box.Right, box.Top)));
        return new Box(Length.Min(a.Across, b.Across), Length.Min(a.Up, b.Up), Length.Max(a.Across, b.Across), Length.Max(a.Up, b.Up));
    }

    public Box Lay(Box box) => Box.Round([Lay(box.Left, box.Bottom), Lay(box.Right, box.Top)]);

    /// <summary>Where a thing of a size comes to lie, as it is read.</summary>
    /// <param name="beside">How far from an edge a thing lies that is put there without a figure.</param>
    /// <param name="windows">Windows before it, as they are read on this face.</param>
    /// <param name="within">In another format, how far from every edge it is kept where there is room for that; null where it lies as it was placed.</param>
    public Box Put(Placed place, Length width, Length height, Length beside, Func<string, Box?> windows, Length? within = null)
    {
        var left = place.IsAtLeft ? beside : place.IsAtRight ? Width - beside - width : new Length((Width - width).Units / 2);
        var foot = place.IsAtFoot ? beside : place.IsAtHead ? Height - beside - height : new Length((Height - height).Units / 2);
        foreach (var from in place.From)
        {
            if (from.Window is null)
            {
                switch (from.Edge)
                {
                    case ReadEdge.Left:
                        left = from.Distance;
                        break;
                    case ReadEdge.Right:
                        left = Width - from.Distance - width;
                        break;
                    case ReadEdge.Head:
                        foot = Height - from.Distance - height;
                        break;
                    default:
                        foot = from.Distance;
                        break;
                }
            }
            else if (windows(from.Window) is { } window)
            {
                switch (from.Edge)
                {
                    case ReadEdge.Right:
                        left = window.Right + from.Distance;
                        break;
                    case ReadEdge.Left:
                        left = window.Left - from.Distance - width;
                        break;
                    case ReadEdge.Head:
                        foot = window.Top + from.Distance;
                        break;
                    default:
                        foot = window.Bottom - from.Distance - height;
                        break;
                }
            }
        }

        if (within is { } least)
        {
            left = Inside(left, width, Width, least);
            foot = Inside(foot, height, Height, least);
        }

        return new Box(left, foot, left + width, foot + height);
    }

    private static Length Inside(Length at, Length size, Length room, Length least)
    {
        var edge = Length.Min(least, new Length((room - size).Units / 2));
        return edge < Length.Zero ? at : Length.Max(edge, Length.Min(at, room - size - edge));
    }

    /// <summary>Corners of a shape that fills a box, where it lies on the piece.</summary>
    public IReadOnlyList<Point> Outline(OutlineShape shape, IReadOnlyList<(double X, double Y)> corners, Box read)
    {
        IEnumerable<(double X, double Y)> shares = shape switch
        {
            OutlineShape.Rectangle => [(0, 0), (1, 0), (1, 1), (0, 1)],
            OutlineShape.Polygon => corners,
            _ => SvgOutline.Round(48).Select(p => ((1 + p.X) / 2, (1 + p.Y) / 2)),
        };
        var self = this;
        return [.. shares.Select(s => self.Lay(read.Left + new Length((long)Math.Round(s.X * read.Width.Units)), read.Bottom + new Length((long)Math.Round(s.Y * read.Height.Units))))];
    }
}
