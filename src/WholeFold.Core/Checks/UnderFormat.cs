using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Says where the finished card ends below its format, and by how much.</summary>
internal sealed class UnderFormat : ICheck
{
    public IEnumerable<Check> Find(SizedDesign sized)
    {
        var (width, height) = (sized.Target.Width - sized.Width, sized.Target.Height - sized.Height);
        if (width > Length.Zero || height > Length.Zero)
        {
            yield return new Check(
                "under-format",
                sized.Means == Means.Smaller ? Severity.Caution : Severity.Note,
                Words.Of($"Finished at {sized.Width} × {sized.Height}, under the format's {sized.Target.Width} × {sized.Target.Height}."),
                new Dictionary<string, Length> { ["width"] = width, ["height"] = height })
            {
                AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"{Length.Max(width, height)} under")),
            };
        }
    }
}
