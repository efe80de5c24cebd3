using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

public sealed partial class Recogniser
{
    private sealed partial class Balance
    {
        private readonly List<MatchedWindow> _windows = [];

        /// <summary>What the windows say, beside the pieces' own figures.</summary>
        private readonly List<Equation> _byWindow = [];

        /// <summary>A listed window as one of the construction's.</summary>
        /// <param name="Frames">What it makes of the parameters that nothing else says.</param>
        /// <param name="Away">How far these are from what they usually are.</param>
        /// <param name="Broken">Whether one of them is beyond its limits.</param>
        private sealed record Taken(MatchedWindow Window, IReadOnlyList<Equation> Says, IReadOnlyDictionary<string, Length> Frames, double Away, bool Broken);

        /// <summary>All that is held for right.</summary>
        private IEnumerable<Equation> Held => figures.Except(outvoted).Concat(_byWindow);

        /// <summary>
        /// Windows by their size: each is the construction's that leaves frames nearest to what these usually are. It says only what nothing else does:
        /// one that no frame explains leaves the card what it is. One with a frame that the construction does not take still tells what fits in it.
        /// </summary>
        private void Windows()
        {
            var open = (from piece in variant.Construction.Pieces from opening in piece.Openings where opening.Kind == CutKind.Window select (Piece: piece, Opening: opening)).ToList();
            foreach (var listed in list.Pieces.Where(p => p.Kind == OwnKind.Window))
            {
                var ways = from o in open from turned in Turns let taken = Take(new MatchedWindow(listed, o.Piece, o.Opening, turned)) where taken is not null select taken;
                if (ways.OrderBy(t => t.Broken).ThenBy(t => !IsIn(listed, t.Window.Piece)).ThenBy(t => t.Away).FirstOrDefault() is not { } nearest)
                {
                    continue;
                }

                _byWindow.AddRange(nearest.Says);
                open.RemoveAll(o => o.Opening == nearest.Window.Opening);
                if (!nearest.Broken)
                {
                    _windows.Add(nearest.Window);
                    foreach (var (id, value) in nearest.Frames)
                    {
                        _own[id] = value;
                    }
                }
            }
        }

        /// <summary>Whether its maker says which piece it is cut in, by the name that piece has here or in the list.</summary>
        private bool IsIn(OwnPiece window, Piece piece) => _matched.Where(m => m.Piece.Id == piece.Id).Select(m => m.Listed.Name).Append(piece.Name)
            .Any(name => $" {window.Name} {window.Said} ".Contains($" {name} ", StringComparison.OrdinalIgnoreCase));

        private Taken? Take(MatchedWindow window)
        {
            IReadOnlyList<Equation> says = [new(window.Listed.Line, window.AlongFigure, window.Along, window.ListedAlong),
                new(window.Listed.Line, window.AcrossFigure, window.Across, window.ListedAcross)];
            var symbols = says.SelectMany(s => s.Rule.Terms.Keys).Where(k => k.Kind == SymbolKind.Parameter && !IsSaid(k)).Distinct().ToList();
            if (symbols.Count == 0 || _equations.Agree([.. Held, .. says], most: 0) is not { } agreed)
            {
                return null;
            }

            var parameters = variant.Construction.Parameters.Where(p => symbols.Any(s => s.Id == p.Id)).ToList();
            double Value(Parameter p) => _equations.Value(Symbol.Parameter(p.Id), agreed.X);
            return new(window, says, parameters.ToDictionary(p => p.Id, p => Round(Value(p))),
                parameters.Sum(p => Math.Abs(Value(p) - _equations.At(p.Ideal, agreed.X))), symbols.Any(s => Breaks(agreed.X, s)));
        }
    }
}
