using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>One cut of a sheet or of a part of it, from edge to edge.</summary>
/// <param name="Axis">X: it runs from bottom to top, so far from the part's left edge. Y: from left to right, so far from its bottom
/// edge.</param>
/// <param name="At">Measured in the part that is cut: what the trimmer is set to.</param>
/// <param name="Of">The part: nothing for the whole sheet, then for each cut on the way 0 for the part before it and 1 for the part
/// behind.</param>
/// <param name="Size">What is cut.</param>
/// <param name="ByHand">The part is narrower than the trimmer holds: knife and ruler.</param>
public sealed record Cut(int N, Axis Axis, Length At, IReadOnlyList<int> Of, (Length Width, Length Height) Size, bool ByHand);

/// <summary>A piece where it lies on the sheet, from the sheet's lower left corner.</summary>
public sealed record Placed(Wanted Piece, Length X, Length Y, Length Width, Length Height)
{
    public bool Turned => Width != Piece.Width || Height != Piece.Height;
}

/// <summary>What is left of a sheet.</summary>
public sealed record LeftOver(Length X, Length Y, Length Width, Length Height);

/// <summary>Sheets that are cut alike.</summary>
public sealed record CutSheet(SheetKind Sheet, int Count, int Stages, IReadOnlyList<Cut> Cuts, IReadOnlyList<Placed> Parts,
    IReadOnlyList<LeftOver> Left)
{
    /// <summary>Where each cut lies on the sheet, from its lower left corner.</summary>
    public IReadOnlyList<(int N, Length X, Length Y, Length ToX, Length ToY)> Lines
    {
        get
        {
            var (lines, parts) = (new List<(int, Length, Length, Length, Length)>(), new Dictionary<string,
                (Length X, Length Y)> { [""] = default });
            foreach (var cut in Cuts)
            {
                var path = string.Concat(cut.Of);
                var (x, y) = parts[path];
                var behind = cut.Axis == Axis.X ? (X: x + cut.At, Y: y) : (X: x, Y: y + cut.At);
                lines.Add((cut.N, behind.X, behind.Y, x + (cut.Axis == Axis.X ? cut.At : cut.Size.Width),
                    y + (cut.Axis == Axis.X ? cut.Size.Height : cut.At)));
                (parts[path + "0"], parts[path + "1"]) = ((x, y), behind);
            }

            return lines;
        }
    }

    /// <summary>The same for sheets with the same cuts, whatever the pieces are called.</summary>
    internal string Pattern => $"{Sheet.Id}:{string.Join(' ', Cuts.Select(c => $"{string.Join('.', c.Of)}{c.Axis}{c.At.Units}"))}";
}

/// <summary>Sheets with the same cuts.</summary>
public sealed record AlikeSheets(IReadOnlyList<CutSheet> Each)
{
    /// <summary>One of them: its cuts are all of theirs.</summary>
    public CutSheet First => Each[0];

    public int Count => Each.Sum(s => s.Count);

    /// <summary>What comes out of all of them.</summary>
    public IReadOnlyList<(string Name, Length Width, Length Height, int Count)> Pieces =>
        [.. Each.SelectMany(s => s.Parts.Select(p => (p.Piece, s.Count))).GroupBy(p => (p.Piece.Name, p.Piece.Width, p.Piece.Height))
            .Select(g => (g.Key.Name, g.Key.Width, g.Key.Height, g.Sum(p => p.Count)))];
}

/// <summary>How one stock is cut, and what no plan can better.</summary>
/// <param name="Bound">No plan takes fewer sheets.</param>
/// <param name="Proven">No plan costs less.</param>
/// <param name="Gap">How much of the plan's cost a better one might save at most, 0 to 1.</param>
/// <param name="AtOnce">How many equal sheets the trimmer cuts in one go.</param>
public sealed record CutPlan(string Stock, IReadOnlyList<CutSheet> Sheets, int Bound, bool Proven, double Gap, int AtOnce = 1)
{
    public int SheetCount => Sheets.Sum(s => s.Count);

    /// <summary>In fewer ways than this so many sheets cannot be cut to just what is wanted.</summary>
    public int LeastPatterns { get; init; } = 1;

    /// <summary>Sheets with the same cuts taken together, though pieces of one size are for different places.</summary>
    public IReadOnlyList<AlikeSheets> Alike => [.. Sheets.GroupBy(s => s.Pattern).Select(g => new AlikeSheets([.. g]))];

    /// <summary>How many ways there are to cut a sheet.</summary>
    public int Patterns => Alike.Count;

    /// <summary>How many distances the trimmer is set to, in all.</summary>
    public int Settings => Sheets.SelectMany(s => s.Cuts).Select(c => c.At).Distinct().Count();
}
