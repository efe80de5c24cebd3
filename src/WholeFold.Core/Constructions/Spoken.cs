namespace WholeFold.Core.Constructions;

/// <summary>Pieces and panels as they are named in a sentence.</summary>
public static class Spoken
{
    /// <summary>"the base", "pillar 1".</summary>
    public static string The(string name)
    {
        ArgumentException.ThrowIfNullOrEmpty(name);
        var low = $"{char.ToLowerInvariant(name[0])}{name[1..]}";
        return char.IsAsciiDigit(low[^1]) && !low.Contains(" of ", StringComparison.Ordinal) ? low : $"the {low}";
    }

    /// <summary>A panel of a piece: "the back of the base", or the piece alone where that is all there is to it.</summary>
    public static string The(string panel, string piece)
    {
        ArgumentException.ThrowIfNullOrEmpty(panel);
        ArgumentException.ThrowIfNullOrEmpty(piece);
        return piece.StartsWith(panel, StringComparison.OrdinalIgnoreCase) || piece.EndsWith($" {panel}", StringComparison.OrdinalIgnoreCase) ? The(piece)
            : panel.StartsWith(piece, StringComparison.OrdinalIgnoreCase) ? The(panel)
            : $"{The(panel)} of {The(piece)}";
    }

    /// <summary>At the head of a sentence.</summary>
    public static string First(string words)
    {
        ArgumentException.ThrowIfNullOrEmpty(words);
        return $"{char.ToUpperInvariant(words[0])}{words[1..]}";
    }
}
