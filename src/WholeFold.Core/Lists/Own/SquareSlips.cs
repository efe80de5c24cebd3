using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Circles and squares that are not as wide as they are high.</summary>
internal static partial class SquareSlips
{
    private static readonly Length Near = Length.Mm(0.8m);

    private static Regex Says => field ??= new Regex(@"\b(?<circle>circles?|discs?)\b|\bsquares?\b", RegexOptions.IgnoreCase);

    public static IReadOnlyList<ListFinding> Find(OwnList list) =>
    [
        .. from piece in list.Pieces
           where piece.Kind != OwnKind.Finished && piece.Scores.Count == 0 && (piece.First - piece.Second).Abs() is var off && off > Near && off <= PieceFigure.FurthestSlip
           let said = Says.Match(piece.Name)
           where said.Success
           select new ListFinding("rule", piece.Line, null, Words.Of($"{Constructions.Spoken.First(piece.Name)} at {piece.First} × {piece.Second}: a {(said.Groups["circle"].Success ? "circle" : "square")} is as wide as it is high."),
               [new LikelyFigure(piece.First, Words.Of($"{piece.First:u} both ways")), new LikelyFigure(piece.Second, Words.Of($"{piece.Second:u} both ways"))]),
    ];
}
