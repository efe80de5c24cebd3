using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>The last resort: figures rounded to the marks one by one, positions rather than panels, so that errors do not add up.</summary>
internal static class Marks
{
    public static (Length At, Length Width) Rounded(ToolSet tools, Length at, Length width)
    {
        var cut = tools.CutDown(width);
        if (tools.OnStop(at) || tools.OnStop(cut - at))
        {
            return (at, cut);
        }

        return (tools.RulerMarks.Count == 0 ? at : tools.RulerNearest(at), cut);
    }
}
