using WholeFold.Core.Measure;

namespace WholeFold.Core.Tooling;

/// <summary>How a figure is set.</summary>
public enum SetBy
{
    /// <summary>On a groove or a mark as the piece lies.</summary>
    Direct,

    /// <summary>On a groove with the piece turned round: position = width − x.</summary>
    Turned,

    /// <summary>Between grooves, with ruler and stylus.</summary>
    Ruler,

    /// <summary>By a machine, to the unit.</summary>
    Machine,
}

/// <summary>How one figure is set: where the stop or the stylus goes, and from which groove it is measured.</summary>
/// <param name="At">The position to set: for a turned score the figure read off the board, not the score's own place.</param>
/// <param name="Groove">The groove to measure from, where it is set between grooves.</param>
/// <param name="Offset">From that groove, negative where short of it.</param>
/// <param name="OfCut">True for a cut, which is set on the trimmer and not on the board.</param>
public sealed record Setting(SetBy How, Length At, Length? Groove = null, Length? Offset = null, bool OfCut = false)
{
    public static Setting ForScore(ToolSet tools, Length at, Length pieceWidth)
    {
        if (tools.Exact)
        {
            return new Setting(SetBy.Machine, at);
        }

        if (tools.OnGroove(at))
        {
            return new Setting(SetBy.Direct, at);
        }

        if (tools.OnGroove(pieceWidth - at))
        {
            return new Setting(SetBy.Turned, pieceWidth - at);
        }

        var groove = tools.NearestGroove(at);
        return new Setting(SetBy.Ruler, at, groove, groove is { } g ? at - g : null);
    }

    public static Setting ForCut(ToolSet tools, Length at) => new(tools.Exact ? SetBy.Machine : SetBy.Direct, at, OfCut: true);

    /// <summary>The setting in few words: <c>groove</c>, <c>turned, 2 3/8</c>, <c>1/16 inside 2 1/2</c>.</summary>
    public string Words(DisplayUnit unit)
    {
        string W(Length l) => LengthWriter.Write(l, unit);
        return How switch
        {
            SetBy.Machine => "by machine",
            SetBy.Direct => OfCut ? "trimmer" : "groove",
            SetBy.Turned => $"turned, {W(At)}",
            _ when Groove is { } g && Offset is { } o => $"{W(o.Abs())} {(o.Units < 0 ? "inside" : "past")} {W(g)}",
            _ => "by ruler",
        };
    }
}
