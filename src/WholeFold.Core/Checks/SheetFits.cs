using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Each piece must come out of a sheet whole; the everyday sheet of the format's system is expected.</summary>
internal sealed class SheetFits : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var system = card.Figures.Target.Format.System;
        var everyday = card.Figures.Design.EverydaySheet(system);
        foreach (var piece in card.Figures.Pieces.Where(p => p.Piece.Id != card.Figures.Blank?.Piece))
        {
            var (width, height) = (piece.Width.Value, piece.Height.Value);
            var figures = new Dictionary<string, Length> { ["width"] = width, ["height"] = height };
            if (card.Figures.Design.SheetFor(width, height, system) is not { } sheet)
            {
                if (Seam(card.Figures.Design, piece, system) is { } seam)
                {
                    var (first, rest) = (seam.Figure.Value, piece.Along.Value - seam.Figure.Value);
                    yield return new Check(
                        "joined", Severity.Caution,
                        Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} is {width} × {height}: no sheet here is that large. Join it on the crease {seam.Place}, where a bonded ply covers the seam: one part {first} long, the other {rest}."),
                        new Dictionary<string, Length>(figures) { ["first"] = first, ["rest"] = rest })
                    {
                        AtAGlance = new Verdict(VerdictKind.LargerSheet, Words.Of($"joined of two sheets")),
                    };
                    continue;
                }

                yield return new Check("sheet-too-small", Severity.Error, Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} is {width} × {height}: no sheet here is that large."), figures) { AtAGlance = new Verdict(VerdictKind.Stuck, Words.Of($"no sheet of {Length.Max(width, height):u}")) };
            }
            else if (card.Figures.Design.Sheets.Count == 0 && !everyday.Holds(width, height))
            {
                yield return new Check("larger-sheet", Severity.Note, Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} is {width} × {height}: cut it from {sheet.Name}, it is too large for {everyday.Name}."), figures) { AtAGlance = new Verdict(VerdictKind.LargerSheet, Words.Of($"wants a larger sheet")) };
            }
        }
    }

    /// <summary>A crease that is folded over and bonded, at which a piece may be joined so that both its parts come out of a sheet; null where there is none.</summary>
    private static SizedScore? Seam(Design design, SizedPiece piece, UnitSystem system)
    {
        bool Holds(Length along) => design.SheetFor(along, piece.Across.Value, system) is not null;
        return piece.Scores.Where(s => s.Crease is { Working: false, Closed: not 0 } && Holds(s.Figure.Value) && Holds(piece.Along.Value - s.Figure.Value))
            .MinBy(s => (piece.Along.Value - s.Figure.Value - s.Figure.Value).Abs());
    }
}
