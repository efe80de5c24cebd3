using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>A figure that is there by now, whatever it should have been: an equation among parameters and finished size.</summary>
public sealed record Done(Affine At, Length Real)
{
    /// <summary>What a cut or a score of a piece hangs on; null of what no piece has, such as a paper.</summary>
    public static Affine? FigureOf(Construction construction, FigureRef figure)
    {
        ArgumentNullException.ThrowIfNull(construction);
        switch (figure)
        {
            case FigureRef.Side(var id, var isWidth) when construction.Pieces.FirstOrDefault(p => p.Id == id) is { } piece:
                return (piece.Axis == Axis.X) == isWidth ? piece.Along : piece.Across;
            case FigureRef.Score(var crease) when construction.Pieces.FirstOrDefault(p => p.Id == crease.Piece) is { } piece
                && crease.Index < piece.Creases.Count:
                return piece.Position(crease.Index);
            default:
                return null;
        }
    }
}

/// <summary>Sizes what is not yet cut round what is.</summary>
public static class Around
{
    /// <summary>
    /// Parameters and finished size with which every figure that is done is as it measures, and all others as near to what they were as
    /// marks let them: the card at most ⅛ in or 3 mm smaller. Null where nothing does.
    /// </summary>
    public static (IReadOnlyDictionary<string, Length> Parameters, Length Width, Length Height)? Of(Figures planned,
        IReadOnlyList<Done> done, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(planned);
        var free = planned.Parameters.Where(p => p.Hold != Hold.Locked).ToList();
        foreach (var relaxation in new[] { Relaxation.None, Relaxation.SmallerCard })
        {
            var builder = Sizer.BuilderAround(planned.Design, planned.Target, free.ToDictionary(p => p.Parameter.Id, p => p.Value),
                done, cancel);
            var problem = builder.Build(relaxation);
            try
            {
                if (Search.Solve(problem) is { } found)
                {
                    var values = problem.Unknowns.Select((u, i) => (u.Symbol, Value: new Length(found.Values[i]))).ToDictionary(v =>
                        v.Symbol, v => v.Value);
                    return (free.Where(p => values.ContainsKey(Symbol.Parameter(p.Parameter.Id))).ToDictionary(p => p.Parameter.Id,
                        p => values[Symbol.Parameter(p.Parameter.Id)]),
                        values[Symbol.Width], values[Symbol.Height]);
                }
            }
            catch (UndecidedException)
            {
                return null;
            }
        }

        return null;
    }
}
