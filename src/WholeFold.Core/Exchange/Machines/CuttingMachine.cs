using WholeFold.Core.Exchange.Drawings;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange.Machines;

/// <summary>What a cutting machine works on.</summary>
/// <param name="Margin">What it cannot reach along each edge.</param>
public sealed record Mat(string Name, Length Width, Length Height, Length Margin)
{
    /// <summary>The sizes that are usual.</summary>
    public static IReadOnlyList<Mat> All { get; } =
    [
        new("12 × 12 in mat", Length.In(12), Length.In(12), Length.Mm(6)),
        new("12 × 24 in mat", Length.In(12), Length.In(24), Length.Mm(6)),
        new("A4 mat", Length.Mm(210), Length.Mm(297), Length.Mm(5)),
    ];
}

/// <summary>A tool's way over the mat: scores first, as nothing lies still once it is cut out.</summary>
/// <param name="Length">With the tool down; <paramref name="Travel"/> with it up.</param>
public sealed record Pass(string Tool, int Lines, Length Length, Length Travel);

/// <summary>What drops out of the sheet, and what becomes of it.</summary>
public sealed record Drop(Length Width, Length Height);

/// <summary>How a drawing would be worked.</summary>
/// <param name="Left">What of the mat stays free beside it, on the left; the others likewise.</param>
public sealed record CutReport(string Machine, Mat Mat, Length Width, Length Height, Length Left, Length Below, Length Right, Length Above, IReadOnlyList<Pass> Passes, IReadOnlyList<Drop> Drops);

/// <summary>A machine that takes a drawing (SVG or DXF) and works it in passes.</summary>
public interface ICuttingMachine
{
    /// <summary>Its name, with the word simulated where it is a stand-in.</summary>
    string Name { get; }

    /// <exception cref="InputProblemException">The drawing cannot be read, lies off the mat, or the machine fails.</exception>
    CutReport Send(string drawing, Mat mat);
}

/// <summary>A stand-in for a cutting machine: it reckons what a real one would do with the very drawing that it would be sent, and moves nothing.</summary>
public sealed class SimulatedCuttingMachine(Fault fault = Fault.None) : ICuttingMachine
{
    private const string Try = "the same drawing, sent again; nothing was lost";

    public string Name => "cutting machine (simulated)";

    public CutReport Send(string drawing, Mat mat)
    {
        ArgumentNullException.ThrowIfNull(mat);
        ArgumentNullException.ThrowIfNull(drawing);
        if (fault == Fault.NoAnswer)
        {
            throw MachineProblem.Of("machine", "the cutting machine does not answer", Try);
        }

        // Half of a drawing may still be one that can be read, and no machine may begin on that.
        if (fault == Fault.HalfAMessage)
        {
            throw MachineProblem.Of("machine", "the cutting machine got half of the drawing, and has not begun", Try);
        }

        var drawn = DrawingFile.Read(drawing, "drawing");
        var lines = fault == Fault.WrongUnit ? [.. drawn.Lines.Select(l => l with { X1 = l.X1 * 25.4, X2 = l.X2 * 25.4, Y1 = l.Y1 * 25.4, Y2 = l.Y2 * 25.4 })] : drawn.Lines;
        var (left, right, low, high) = (lines.Min(l => Math.Min(l.X1, l.X2)), lines.Max(l => Math.Max(l.X1, l.X2)), lines.Min(l => Math.Min(l.Y1, l.Y2)), lines.Max(l => Math.Max(l.Y1, l.Y2)));
        var (wide, tall) = (Mm(right - left), Mm(high - low));
        var (roomWide, roomTall) = (mat.Width - (2 * mat.Margin), mat.Height - (2 * mat.Margin));
        if (wide > roomWide || tall > roomTall)
        {
            throw MachineProblem.Of("mat", $"the drawing is {wide.Millimetres:0} × {tall.Millimetres:0} mm, and the {mat.Name} takes {roomWide.Millimetres:0} × {roomTall.Millimetres:0} mm within its margins{(fault == Fault.WrongUnit ? "; the machine took millimetres for inches" : "")}", "a larger mat, or the pieces on several sheets");
        }

        var (scores, cuts) = (lines.Where(l => l.Stroke != Stroke.Cut).ToList(), lines.Where(l => l.Stroke == Stroke.Cut).ToList());
        return new CutReport(
            Name, mat, wide, tall, mat.Margin, mat.Margin, mat.Width - mat.Margin - wide, mat.Height - mat.Margin - tall,
            [.. new[] { Over("scoring tool", scores, left, low), Over("blade", cuts, left, low) }.Where(p => p.Lines > 0)],
            [.. DrawnList.Windows(drawn).Select(w => new Drop(Mm(w.Width), Mm(w.Height)))]);
    }

    private static Length Mm(double mm) => Length.Mm((decimal)Math.Round(mm, 3));

    /// <summary>From line to line, each time to the nearest end that is left; a machine's own program does no better.</summary>
    private static Pass Over(string tool, List<DrawnLine> lines, double x, double y)
    {
        var (left, travel, length) = (lines.ToList(), 0d, 0d);
        while (left.Count > 0)
        {
            double To(DrawnLine l) => Math.Min(Away(l.X1, l.Y1), Away(l.X2, l.Y2));
            double Away(double toX, double toY) => Math.Sqrt(((toX - x) * (toX - x)) + ((toY - y) * (toY - y)));
            var next = left.MinBy(To);
            travel += To(next);
            length += next.Length;
            (x, y) = Away(next.X1, next.Y1) <= Away(next.X2, next.Y2) ? (next.X2, next.Y2) : (next.X1, next.Y1);
            left.Remove(next);
        }

        return new Pass(tool, lines.Count, Mm(length), Mm(travel));
    }
}
