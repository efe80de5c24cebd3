using WholeFold.Core.Measure;

namespace WholeFold.Core.Folding;

/// <summary>A point or a direction in space, in units.</summary>
public readonly record struct Vec(double X, double Y, double Z)
{
    public static Vec operator +(Vec a, Vec b) => new(a.X + b.X, a.Y + b.Y, a.Z + b.Z);

    public static Vec operator -(Vec a, Vec b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

    public static Vec operator *(Vec a, double by) => new(a.X * by, a.Y * by, a.Z * by);

    /// <summary>Divided, and not multiplied by the inverse, so that what is whole stays whole.</summary>
    public static Vec operator /(Vec a, double by) => new(a.X / by, a.Y / by, a.Z / by);

    public double Dot(Vec b) => (X * b.X) + (Y * b.Y) + (Z * b.Z);

    public Vec Cross(Vec b) => new((Y * b.Z) - (Z * b.Y), (Z * b.X) - (X * b.Z), (X * b.Y) - (Y * b.X));

    public double Length => Math.Sqrt(Dot(this));

    /// <summary>The largest of its three parts, which for whole numbers is one.</summary>
    public double Greatest => Math.Max(Math.Abs(X), Math.Max(Math.Abs(Y), Math.Abs(Z)));
}

/// <summary>
/// Where a flat piece lies in space: three axes and a place. Turned by right angles, or by half turns about a line at 45°, it
/// has nothing but whole numbers in it, and doubles hold whole numbers of this size exactly: closed poses are exact.
/// </summary>
internal readonly record struct RigidTransform(Vec Ex, Vec Ey, Vec Ez, Vec Move)
{
    public static RigidTransform Still { get; } = new(new Vec(1, 0, 0), new Vec(0, 1, 0), new Vec(0, 0, 1), default);

    public Vec Apply(Vec p) => (Ex * p.X) + (Ey * p.Y) + (Ez * p.Z) + Move;

    public Vec Apply(double x, double y) => (Ex * x) + (Ey * y) + Move;

    /// <summary>First the inner one, then this.</summary>
    public RigidTransform Compose(RigidTransform inner) => new(Turn(inner.Ex), Turn(inner.Ey), Turn(inner.Ez), Apply(inner.Move));

    public RigidTransform Inverse
    {
        get
        {
            var turned = new RigidTransform(new Vec(Ex.X, Ey.X, Ez.X), new Vec(Ex.Y, Ey.Y, Ez.Y), new Vec(Ex.Z, Ey.Z, Ez.Z), default);
            return turned with { Move = turned.Apply(Move) * -1 };
        }
    }

    private Vec Turn(Vec v) => (Ex * v.X) + (Ey * v.Y) + (Ez * v.Z);

    /// <summary>A turn about a line through a point.</summary>
    /// <param name="along">The line's direction, of any length; seen against it the turn is counter-clockwise.</param>
    public static RigidTransform Turned(Vec at, Vec along, double degrees)
    {
        // The square is divided by, not the root, so that a half turn about a line at 45° stays whole.
        var (cos, sin) = degrees switch { 0 => (1d, 0d), 90 => (0d, 1d), -90 => (0d, -1d), 180 or -180 => (-1d, 0d), _ => (Math.Cos(degrees * Math.PI / 180), Math.Sin(degrees * Math.PI / 180)) };
        var (square, length) = (along.Dot(along), along.Length);
        Vec Image(Vec v) => (v * cos) + (along.Cross(v) * (sin / length)) + (along * (along.Dot(v) * (1 - cos)) / square);
        var turn = new RigidTransform(Image(new Vec(1, 0, 0)), Image(new Vec(0, 1, 0)), Image(new Vec(0, 0, 1)), default);
        return turn with { Move = at - turn.Apply(at) };
    }

    /// <summary>
    /// The move within the plane that brings points onto others, one for one, turned over or not: of the eight ways to lay a
    /// sheet down square, the first of the best.
    /// </summary>
    public static RigidTransform Laid(IReadOnlyList<Vec> own, IReadOnlyList<Vec> onto)
    {
        var (best, least) = (Still, double.MaxValue);
        foreach (var (a, b, swapped) in Ways)
        {
            var turn = swapped
                ? new RigidTransform(new Vec(0, b, 0), new Vec(a, 0, 0), new Vec(0, 0, -a * b), default)
                : new RigidTransform(new Vec(a, 0, 0), new Vec(0, b, 0), new Vec(0, 0, a * b), default);
            var move = onto[0] - turn.Apply(own[0]);
            var off = 0d;
            for (var i = 1; i < own.Count; i++)
            {
                off = Math.Max(off, (turn.Apply(own[i]) + move - onto[i]).Greatest);
            }

            if (off < least)
            {
                (best, least) = (turn with { Move = move }, off);
            }
        }

        return best;
    }

    private static readonly (int A, int B, bool Swapped)[] Ways = [(1, 1, false), (-1, 1, false), (1, -1, false), (-1, -1, false), (1, 1, true), (-1, 1, true), (1, -1, true), (-1, -1, true)];
}
