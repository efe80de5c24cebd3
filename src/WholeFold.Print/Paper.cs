using WholeFold.Core.Input;

namespace WholeFold.Print;

/// <summary>What it is printed on, in millimetres.</summary>
public sealed record Paper(string Id, string Name, double Width, double Height)
{
    public static Paper A4 { get; } = new("a4", "A4", 210, 297);

    public static Paper Letter { get; } = new("letter", "Letter", 215.9, 279.4);

    public static IReadOnlyList<Paper> All { get; } = [A4, Letter, new("a5", "A5", 148, 210), new("a4-wide", "A4 on its side", 297, 210), new("letter-wide", "Letter on its side", 279.4, 215.9)];

    /// <exception cref="InputProblemException">It is none of them.</exception>
    public static Paper Of(string id) => All.FirstOrDefault(p => p.Id == id) ?? throw new InputProblemException("print.paper", "paper", $"“{id}” is no paper that is printed on", string.Join(", ", All.Select(p => p.Id)));
}
