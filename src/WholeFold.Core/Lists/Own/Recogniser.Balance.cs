using MathNet.Numerics.LinearAlgebra;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

public sealed partial class Recogniser
{
    /// <summary>One way to explain a list, with all that speaks for it and against it.</summary>
    /// <param name="x">The finished size and the parameters.</param>
    private sealed partial class Balance(Recogniser of, Variant variant, Way way, OwnList list, IReadOnlyList<Equation> figures, Vector<double> x, IReadOnlyList<Equation> outvoted)
    {
        private readonly HashSet<string> _used = [.. way.Pairs.Select(p => p.Piece.Id)];
        private readonly List<MatchedPiece> _matched = [.. way.Pairs.Select(p => new MatchedPiece(p.Listed, p.Piece, p.Mirrored, false))];
        private readonly List<OwnPiece> _plain = [.. list.Pieces.Where(p => p is { Scores.Count: 0, Diagonals: false, Kind: OwnKind.Piece or OwnKind.Paper })];
        private readonly Dictionary<string, Length> _own = [];
        private readonly List<Differing> _off = [];
        private double _score;
        private int _broken;

        private readonly Equations _equations = variant.Equations;

        private double Tolerance => _equations.Tolerance * 1.5;

        private static Length Round(double units) => new((long)Math.Round(units));

        private bool IsSaid(Symbol symbol) => figures.Any(f => f.Rule.Terms.ContainsKey(symbol));

        /// <summary>What comes of it; null where no card is of that size.</summary>
        public Recognised? Result()
        {
            var (width, height) = (Round(x[0]), Round(x[1]));
            if (!Format.Takes(width) || !Format.Takes(height))
            {
                return null;
            }

            _score = figures.Count - outvoted.Count - Equations.Unknowns(figures) - (Outvoted * outvoted.Count) - (LeftScored * way.Left.Count);
            _score -= TurnedAbout * way.Pairs.Count(p => list.Cards.All(c => c.Line != p.Listed.Line || c.Name != p.Listed.Name || c.AlongFirst != p.Listed.AlongFirst) && p.Listed.Cross.Count == 0);
            var ignored = way.Pairs.Count(p => p.Listed.Cross.Count > 0 && !figures.Any(f => f.Line == p.Listed.Line && f.Figure == $"score {p.Listed.Scores.Count + 1}"));
            _score -= LeftScored * ignored;
            _score += variant.Construction.Pieces is [{ Creases.Count: 1 }] && list.Cards.Count(c => c.Scores.Count > 0) == 1 ? OneFold : 0;
            _score -= way.Pairs.Where(p => p.Listed.Quantity != p.Piece.Quantity && p.Listed.Quantity > 1).Sum(p => p.Listed.Quantity == 2 ? WrongCount : FarTooMany);
            _score += Titled * of.Called(list, variant.Family);
            _score -= list.Cards.Any(c => c.Quantity > 1) ? WrongCount * way.Pairs.Count(p => p.Listed.Quantity < p.Piece.Quantity) : 0;
            Parameters();
            Creases();
            Windows();
            BySize();
            ByOwnParameter();
            ButForASlip();
            var missing = variant.Construction.Pieces.Where(p => !_used.Contains(p.Id)).ToList();
            _score -= missing.Sum(p => p.Creases.Count > 0 ? MissingScored : MissingPlain);
            _score += PaperFits * _plain.Count(FitsAPanel);
            _score += list.Pieces.Any(p => p.Kind == OwnKind.Window) && variant.Construction.Pieces.Any(p => p.Openings.Any(o => o.Kind == CutKind.Window)) ? HasWindow : 0;
            var slanted = list.Cards.Count(p => p.Diagonals && p.Scores.Count == 0);
            _score -= LeftScored * slanted;
            _score -= LeftPlain * _plain.Count(p => p.Kind == OwnKind.Piece && !IsExtra(p.Name) && !FitsAPanel(p));

            // Without any of what holds it together it may be another card that begins the same way.
            var bonds = variant.Construction.Bonds;
            var held = bonds.Count == 0 || bonds.Any(b => _used.Contains(b.A.Piece.Piece) && _used.Contains(b.B.Piece.Piece));

            // What is cut more often than the card has it belongs to another, unless everything is for several cards, of a size that people make.
            var several = way.Pairs.Any(p => p.Listed.Quantity > p.Piece.Quantity
                && (list.Pieces.Any(o => o.Kind is OwnKind.Piece or OwnKind.Paper && o.Quantity % p.Listed.Quantity != 0) || !of.IsNamed(x, Tolerance)));
            var sure = _score >= (held && missing.All(m => m.Creases.Count == 0) ? Enough : EnoughAlone) && way.Left.Count + slanted == 0 && ignored == 0
                && _broken == 0 && outvoted.Count <= 1 && _off.Count == 0 && !several;
            return new Recognised(variant.Family, variant.Choices, width, height, Read(), _matched,
                [.. outvoted.Select(o => new Differing(o.Line, o.Figure, o.Value, Round(_equations.At(o.Rule, x)))), .. _off], [.. missing.Select(m => m.Name)],
                _score, sure) { Windows = _windows };
        }

        private Dictionary<string, Length> Read()
        {
            var step = _equations.System == UnitSystem.Metric ? Length.Mm(0.5m) : Length.In(1, 64);
            var read = variant.Construction.Parameters.Where(p => IsSaid(Symbol.Parameter(p.Id)))
                .ToDictionary(p => p.Id, p => Length.Max(Length.Zero, Round(_equations.Value(Symbol.Parameter(p.Id), x))).Nearest(step));
            foreach (var (id, value) in _own)
            {
                read[id] = value.Nearest(step);
            }

            return read;
        }

        /// <summary>Limits, and how many parameters are what they usually are.</summary>
        private void Parameters()
        {
            foreach (var parameter in variant.Construction.Parameters.Where(p => IsSaid(Symbol.Parameter(p.Id))))
            {
                var (value, ideal) = (_equations.Value(Symbol.Parameter(parameter.Id), x), _equations.At(parameter.Ideal, x));
                var past = parameter.Min.Select(l => _equations.At(l.Value, x) - value - (ideal <= Hair.Units ? Hair.Units : Tolerance))
                    .Concat(parameter.Max.Select(l => value - _equations.At(l.Value, x) - Tolerance)).DefaultIfEmpty(0).Max();
                if (past > 0)
                {
                    _broken++;
                    _score += past < JustPast.Units ? BrokenLimit - JustBroken : 0;
                }

                // What is usually a hair or nothing, and is a panel of its own here, belongs to another card.
                _score -= ideal <= Hair.Units && value >= Panel.Units ? FarFromUsual : 0;
                var away = Math.Abs(value - ideal);
                _score += away <= Math.Max(Math.Max(Tolerance, ideal <= Hair.Units ? Hair.Units : 0), 0.06 * Math.Abs(value))
                    ? (parameter.Held ? NotThere : AsUsual) - (away > _equations.Tolerance ? NearlyUsual : 0) : 0;
            }
        }

        /// <summary>Creases across its chain that the list has none of, and names of pieces that few constructions have.</summary>
        private void Creases()
        {
            _score -= FoldsOtherwise * way.Pairs.Sum(p => FoldedOtherwise(p.Listed, p.Piece, p.Mirrored));
            _score -= NotCrossed * way.Pairs.Count(p => p.Listed.Cross.Count == 0 && !p.Listed.Diagonals && variant.Readings(p.Piece).Count > 1);
            _score += Named * way.Pairs.Count(p => of.NamesIt(p.Listed, p.Piece));
            _broken += way.Pairs.Count(p => p.Listed.Diagonals && p.Piece.Lines.All(l => l.IsLevel || l.IsUpright));
            _broken += variant.Construction.Requirements.Count(r => _equations.At(r.AtLeastZero, x) < -Hair.Units);
            _score -= BrokenLimit * _broken;
        }

        /// <summary>How many of its scores a list says to fold the other way; a piece that lies on its face has all of them so.</summary>
        private static int FoldedOtherwise(OwnPiece listed, Piece piece, bool mirrored)
        {
            if (listed.Folds.Count == 0 || listed.Scores.Count != piece.Creases.Count)
            {
                return 0;
            }

            IEnumerable<Crease> creases = mirrored ? piece.Creases.Reverse() : piece.Creases;
            var said = listed.Scores.Zip(creases).Where(s => listed.Folds.ContainsKey(s.First)).Select(s => listed.Folds[s.First] != s.Second.Fold).ToList();
            return Math.Min(said.Count(s => s), said.Count(s => !s));
        }

        /// <summary>Pieces without a score, by their size; a paper may be one of them too.</summary>
        private void BySize()
        {
            foreach (var piece in variant.Construction.Pieces.Where(p => p.Creases.Count == 0))
            {
                var (along, across) = (_equations.At(piece.Along, x), _equations.At(piece.Across, x));
                bool Is(OwnPiece listed, bool turned) => Math.Abs((turned ? listed.Second : listed.First).Units - along) <= Tolerance
                    && Math.Abs((turned ? listed.First : listed.Second).Units - across) <= Tolerance;
                if (_plain.FirstOrDefault(l => Is(l, false) || Is(l, true)) is { } listed)
                {
                    _plain.Remove(listed);
                    _used.Add(piece.Id);
                    _matched.Add(new MatchedPiece(listed, piece, false, !Is(listed, false)));
                    _score += BySize(listed, piece) + (of.NamesIt(listed, piece) ? Named : 0);
                }
            }
        }

        /// <summary>A piece of the right size counts in full where it is cut as often as the card has it, or nobody says how often; cut more often
        /// only where everything is, for several cards.</summary>
        private double BySize(OwnPiece listed, Piece piece) => listed.Kind != OwnKind.Piece ? PaperFits
            : listed.Quantity == piece.Quantity || listed.Quantity == 1 ? Plain
            : IsForSeveralCards(listed) ? PaperFits : listed.Quantity > piece.Quantity + 1 ? -FarTooMany : 0;

        /// <summary>Whether every piece is cut as often, or a multiple of that.</summary>
        private bool IsForSeveralCards(OwnPiece listed) => list.Cards.All(c => c.Quantity % listed.Quantity == 0);

        /// <summary>A piece whose own parameter nothing else says: a listed one that leaves it within its limits may be it.</summary>
        private void ByOwnParameter()
        {
            foreach (var piece in variant.Construction.Pieces.Where(p => p.Creases.Count == 0 && !_used.Contains(p.Id)))
            {
                var open = piece.Along.Terms.Keys.Concat(piece.Across.Terms.Keys).Where(k => k.Kind == SymbolKind.Parameter && !IsSaid(k)).Distinct().ToList();
                foreach (var (listed, turned) in open.Count is not (1 or 2) ? [] : _plain.Where(l => l.Kind == OwnKind.Piece && MayBe(l, piece, open.Count))
                    .SelectMany(l => new[] { (l, false), (l, true) }))
                {
                    List<Equation> more = [new(listed.Line, turned ? "height" : "width", piece.Along, turned ? listed.Second : listed.First),
                        new(listed.Line, turned ? "width" : "height", piece.Across, turned ? listed.First : listed.Second)];
                    if (more.Any(m => !open.Any(m.Rule.Terms.ContainsKey) && _equations.Off(m, x) > 2 * Tolerance))
                    {
                        continue;
                    }

                    if (_equations.Agree([.. Held, .. more], most: 0) is not { } agreed || open.Any(o => Breaks(agreed.X, o)))
                    {
                        continue;
                    }

                    _plain.Remove(listed);
                    _used.Add(piece.Id);
                    _matched.Add(new MatchedPiece(listed, piece, false, turned));
                    foreach (var symbol in open)
                    {
                        _own[symbol.Id] = Round(_equations.Value(symbol, agreed.X));
                    }

                    _score += (listed.Quantity > piece.Quantity && !IsForSeveralCards(listed) ? 0 : OwnParameter)
                        + (listed.Quantity == piece.Quantity && piece.Quantity > 1 ? 0.5 : 0) + (of.NamesIt(listed, piece) ? Named : 0);
                    break;
                }
            }
        }

        /// <summary>Of a size that nothing else says at all it is only what is cut as often as the card has it, or bears part of its name.</summary>
        private static bool MayBe(OwnPiece listed, Piece piece, int open) => open < 2 || listed.Quantity == piece.Quantity || NameWords(listed.Name).Intersect(NameWords(piece.Name)).Any();

        /// <summary>One that is right one way only has a figure that differs.</summary>
        private void ButForASlip()
        {
            if (variant.Construction.Pieces.Where(p => p.Creases.Count == 0 && !_used.Contains(p.Id)).ToList() is [var last])
            {
                var (along, across) = (Round(_equations.At(last.Along, x)), Round(_equations.At(last.Across, x)));
                var sides = _plain.Where(l => l.Kind == OwnKind.Piece)
                    .SelectMany(l => new[] { (Listed: l, Turned: false, A: l.First, B: l.Second), (Listed: l, Turned: true, A: l.Second, B: l.First) });

                // A side that nothing else says is as it is listed.
                List<Symbol> Open(Affine side) => [.. side.Terms.Keys.Where(k => k.Kind == SymbolKind.Parameter && !IsSaid(k))];
                var (openAlong, openAcross, apart) = (Open(last.Along), Open(last.Across), last.Along - last.Across);
                var isSquare = openAlong.Count > 0 && apart.Terms.Count == 0 && apart.ConstantIn(_equations.System).IsZero;
                Length? Slip(OwnPiece listed, Length a, Length b)
                {
                    if (openAlong.Count + openAcross.Count == 0)
                    {
                        return ((a - along).Abs().Units <= Tolerance) != ((b - across).Abs().Units <= Tolerance) ? (a - along).Abs() + (b - across).Abs() : null;
                    }

                    // A square of a size of its own is off where it is none.
                    if (isSquare)
                    {
                        return Says(last.Along, a, openAlong) ? (a - b).Abs() : null;
                    }

                    return openAlong.Count == 0 && Says(last.Across, b, openAcross) ? (a - along).Abs() : openAcross.Count == 0 && Says(last.Along, a, openAlong) ? (b - across).Abs() : null;
                    bool Says(Affine side, Length value, List<Symbol> open) =>
                        _equations.Agree([.. Held, new Equation(listed.Line, "width", side, value)], most: 0) is { } agreed && !open.Any(o => Breaks(agreed.X, o));
                }

                foreach (var (listed, turned, a, b) in sides.Where(s => Slip(s.Listed, s.A, s.B) is { } slip && slip.Units > Tolerance
                    && slip <= (Recogniser.Says(s.Listed, last.Name) ? PieceFigure.FurthestSlip : SlipAtMost)).Take(1))
                {
                    var alongIsOff = openAlong.Count == 0 && (openAcross.Count > 0 || (a - along).Abs().Units > Tolerance);
                    _off.Add(new Differing(listed.Line, alongIsOff != turned ? "width" : "height", alongIsOff ? a : b, isSquare ? a : alongIsOff ? along : across));
                    _plain.Remove(listed);
                    _used.Add(last.Id);
                    _matched.Add(new MatchedPiece(listed, last, false, turned));
                    _score += Plain - Outvoted;
                }
            }
        }

        private bool Breaks(Vector<double> solved, Symbol symbol)
        {
            var (parameter, value) = (variant.Construction.Parameters.First(p => p.Id == symbol.Id), _equations.Value(symbol, solved));
            return parameter.Min.Any(l => value < _equations.At(l.Value, solved) - Tolerance) || parameter.Max.Any(l => value > _equations.At(l.Value, solved) + Tolerance);
        }

        /// <summary>Whether a paper is as large as some panel less the same border on both sides.</summary>
        private bool FitsAPanel(OwnPiece paper)
        {
            foreach (var piece in variant.Construction.Pieces)
            {
                var across = _equations.At(piece.Across, x);
                foreach (var along in piece.Panels.Select(p => _equations.At(p.Extent, x)).Append(_equations.At(piece.Along, x)))
                {
                    foreach (var (a, b) in new[] { (paper.First.Units, paper.Second.Units), (paper.Second.Units, paper.First.Units) })
                    {
                        if (Reveals.Any(r => Math.Abs(along - (2 * r.Units) - a) <= _equations.Tolerance && Math.Abs(across - (2 * r.Units) - b) <= _equations.Tolerance))
                        {
                            return true;
                        }
                    }
                }
            }

            return false;
        }
    }
}
