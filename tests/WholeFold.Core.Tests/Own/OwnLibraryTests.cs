using System.Globalization;
using WholeFold.Core.Designs;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>Every construction is recognised by the figures that it is cut by, in any format, whatever its pieces are called and whichever side is named first.</summary>
public class OwnLibraryTests
{
    [Theory]
    [MemberData(nameof(EquationsTests.Families), MemberType = typeof(EquationsTests))]
    public void A_construction_is_recognised_by_its_own_figures(string family)
    {
        var tried = 0;
        foreach (var (format, turn) in new[] { ("a2-us", true), ("5x7", false), ("6x6", false), ("a6-iso", true) }.Skip(Day.Whole ? 0 : (Day.Seed + family.Length) % 2).Take(Day.Whole ? 4 : 3))
        {
            var read = Support.Reader.Read(new DesignSpec { Construction = family, Format = format, Turn = turn });
            if (Sizer.TrySize(read.Design, read.Target, TestContext.Current.CancellationToken) is not { } card || card.Pieces.All(p => p.Scores.All(s => s.Axis is null)))
            {
                continue;
            }

            tried++;
            var text = string.Join('\n', card.Pieces.Select((p, i) => Listed(p, turn ? p.Piece.Name : $"{(char)('A' + i)}", turn, read.Unit)));
            var found = OwnListTests.Recogniser.Find(OwnListReader.Read(text, read.Unit), TestContext.Current.CancellationToken);
            Assert.True(found is [{ Sure: true } first, ..] && first.Family.Id == family, $"{(found is [var best, ..] ? $"{best.Family.Id} {best.Score}" : "none")} in {format}:\n{text}");
        }

        Assert.True(tried > 1 || family == "envelope", $"{tried} formats");
    }

    /// <summary>A piece as somebody would write it down: its sides and its scores to a sixteenth, or half a millimetre.</summary>
    private static string Listed(SizedPiece piece, string name, bool turn, DisplayUnit unit)
    {
        string Figure(Length length) => unit == DisplayUnit.Inch ? (Math.Round(16m * length.Units / Length.PerInch) / 16)
            .ToString("0.####", CultureInfo.InvariantCulture) : (Math.Round(2 * length.Millimetres) / 2).ToString("0.#", CultureInfo.InvariantCulture);
        string Places(bool along) => string.Join(", ", piece.Scores.Where(s => s.Axis is not null && (s.Axis == piece.Piece.Axis) == along).Select(s => s.Figure.Value).Order().Select(Figure));
        var (a, b) = (piece.Along.Value, piece.Across.Value);
        var (first, second) = turn ? (b, a) : (a, b);
        var side = turn && a != b ? a > b ? " on the long side" : " on the short side" : "";
        return $"{name}: {Figure(first)} x {Figure(second)}{(piece.Piece.Quantity > 1 ? $" ({piece.Piece.Quantity})" : "")}{(Places(true) is { Length: > 0 } chain ? $", score at {chain}{side}" : "")}{(Places(false) is { Length: > 0 } cross ? $", and across at {cross}" : "")}{(piece.Scores.Any(s => s.Axis is null) ? ", both diagonals" : "")}";
    }
}
