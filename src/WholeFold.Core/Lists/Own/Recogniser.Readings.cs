using WholeFold.Core.Constructions;

namespace WholeFold.Core.Lists.Own;

/// <summary>How lists name a construction's piece: by its chain, by what runs across that, by the halves that it is cut into.</summary>
public sealed partial class Recogniser
{
    /// <summary>A piece by its chain, and by the creases that run across that, where it has some: a list may name either.</summary>
    internal static IEnumerable<Piece> Readings(Piece piece)
    {
        yield return piece;
        var crossing = piece.Lines.Where(piece.RunsAcross).ToList();
        if (crossing.Count > 0)
        {
            var (isUpright, all) = (piece.Axis == Axis.X, piece.Along);
            var at = crossing.Select(l => isUpright ? l.From.Y : l.From.X).ToList();
            var panels = at.Append(piece.Across).Zip(at.Prepend(Affine.Zero), (to, from) => to - from).Select((extent, i) => piece.Panels[0] with { Id = $"across-{i}", Extent = extent });

            // Its chain runs across it now.
            CreaseLine Line(Affine at, Crease crease) => isUpright ? new(new(at, Affine.Zero), new(at, piece.Across), crease, "") : new(new(Affine.Zero, at), new(piece.Across, at), crease, "");
            yield return new Piece(piece.Id, piece.Name, isUpright ? Axis.Y : Axis.X, [.. panels], [.. crossing.Select(l => l.Crease)], all, piece.AcrossRule, piece.SizeRule, piece.Quantity)
            {
                Lines = [.. piece.Creases.Select((c, i) => Line(piece.Position(i), c)), .. piece.Lines.Where(l => !piece.RunsAcross(l))],
            };
        }
    }

    /// <summary>A sheet that is cut in two all along its chain, by its halves.</summary>
    private static IEnumerable<Piece> Halves(Piece piece)
    {
        var cut = piece.Openings.FirstOrDefault(o => o.Kind == CutKind.Divide && ((piece.Axis == Axis.X ? o.Within.FromY + o.Within.ToY : o.Within.FromX + o.Within.ToX) - piece.Across).IsZero);
        return cut is null ? [] : [piece with { Across = piece.Across / 2, AcrossRule = cut.Rule, Quantity = 2 * piece.Quantity, Openings = [] }];
    }

    /// <summary>A sheet that is scored slantwise only, by where its first two lines leave its lower edge, half-way between them: that is what is measured from the corner.</summary>
    private static IEnumerable<Piece> Slanting(Piece piece)
    {
        var foot = piece.Lines.Where(l => l.IsSlanting && l.From.Y.IsZero).ToList();
        if (foot.Count == 2)
        {
            var at = (foot[0].From.X + foot[1].From.X) / 2;
            yield return piece with { Panels = [piece.Panels[0] with { Extent = at }, piece.Panels[0] with { Id = "beyond", Extent = piece.Along - at }], Creases = [foot[0].Crease with { Rule = "from the corner to half-way between the two lines" }] };
        }
    }
}
