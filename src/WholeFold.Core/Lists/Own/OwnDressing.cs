using System.Text.RegularExpressions;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// What of a list lies on its card: each paper on the face that it leaves the same border of, mats under papers; each window in the
/// face that is named. Where some paper is listed no other is there; a list without any begins with the usual ones.
/// </summary>
internal sealed partial class OwnDressing
{
    // What speaks for a face, by trial on lists.
    private const double Called = 2, UsuallyCovered = 1, Even = 1, UsualBorder = 0.5, Hidden = 1, WithTheOthers = 1.5, TooMany = -1, LaterRole = -0.01, Shut = 1, OnAMat = 0.7;

    private const int MostWords = 2;

    /// <summary>Borders that are no wider may differ; wider ones are the same all round, or the paper lies elsewhere.</summary>
    private static readonly Length Uneven = Length.In(1, 2), Widest = Length.In(1), Slight = Length.Mm(0.3m), Near = Length.Mm(0.8m);

    /// <summary>More of a mat is not seen under its paper.</summary>
    private static readonly Length MatShows = Length.In(1, 4);

    /// <summary>On what is narrower the usual border is less.</summary>
    private static readonly Length Strip = Length.In(2);

    private sealed class Place(int order, Role role, RoleFace face)
    {
        public int Order => order;

        public Role Role => role;

        public RoleFace Face => face;

        public Box Box => face.For(null).Box;

        /// <summary>Borders of what lies on it, each on what is under it.</summary>
        public List<(Length X, Length Y)> Layers { get; } = [];

        public Length Wide => Layers.Aggregate(Box.Width, (w, l) => w - (2 * l.X));

        public Length High => Layers.Aggregate(Box.Height, (h, l) => h - (2 * l.Y));

        public bool IsShut => face.Seen.Any(s => s.Pose == "closed");
    }

    private readonly List<Place> _places;
    private readonly UnitSystem _system;
    private readonly Length _usual;

    private OwnDressing(Card card, UnitSystem system)
    {
        _places = [.. card.Dressed.Roles.All.SelectMany(r => r.Faces.Select(f => (Role: r, Face: f))).Where(p => p.Face.For(null).IsRectangle).Select((p, i) => new Place(i, p.Role, p.Face))];
        (_system, _usual) = (system, card.Design.Reveal.Width.For(system));
    }

    /// <summary>What the card wears by its list; null where the list says nothing of it. <c>Aside</c> is what goes on no face.</summary>
    /// <param name="rest">Pieces of the list that are no part of how the card is built.</param>
    /// <param name="rules">What figures do in other formats.</param>
    public static (DressingSpec? Dressing, IReadOnlyList<OwnPiece> Aside) Of(Card card, IReadOnlyList<OwnPiece> rest, RuleGuess rules)
    {
        // A construction that has windows has those that it has.
        var takesWindows = !card.Construction.Pieces.Any(p => p.Openings.Any(o => o.Kind == CutKind.Window));
        var (dressing, aside) = (new OwnDressing(card, card.Figures.Tools.System), new List<OwnPiece>());
        foreach (var paper in rest.Where(p => p.Kind != OwnKind.Window).OrderByDescending(p => (double)p.First.Units * p.Second.Units))
        {
            if (Recogniser.IsExtra(paper.Name) || !dressing.Lay(paper))
            {
                aside.Add(paper);
            }
        }

        var windows = new List<WindowSpec>();
        foreach (var window in rest.Where(p => p.Kind == OwnKind.Window))
        {
            if (takesWindows && dressing.Cut(window, windows.Count == 0 ? "window" : $"window-{windows.Count + 1}", rules) is { } cut)
            {
                windows.Add(cut);
            }
            else
            {
                aside.Add(window);
            }
        }

        var layers = dressing._places.Any(p => p.Layers.Count > 0) ? dressing.Worn().ToList() : [];
        return (layers.Count + windows.Count == 0 ? null : new DressingSpec { Layers = layers, Windows = windows }, [.. aside.OrderBy(p => p.Line)]);
    }

    private bool Lay(OwnPiece paper)
    {
        var (left, last) = (paper.Quantity, (Place?)null);
        while (left > 0 && _places.Select(p => (Place: p, Border: BorderOn(p, paper))).Where(p => p.Border is not null)
            .Select(p => (p.Place, Border: p.Border!.Value, For: For(p.Place, paper, p.Border.Value, left, last))).OrderByDescending(p => p.For)
            .FirstOrDefault() is { Place: { } place } best)
        {
            place.Layers.Add(best.Border);
            (left, last) = (left - place.Face.Copies.Count, place);
        }

        return last is not null;
    }

    /// <summary>What a paper leaves free of a place at either side, and above and below; null where it does not lie there.</summary>
    private static (Length X, Length Y)? BorderOn(Place place, OwnPiece paper)
    {
        foreach (var (a, b) in new[] { (paper.First, paper.Second), (paper.Second, paper.First) })
        {
            var (x, y) = (new Length((place.Wide - a).Units / 2), new Length((place.High - b).Units / 2));
            var least = place.Layers.Count > 0 ? Slight : -Near;
            if (x >= least && y >= least && ((x <= Uneven && y <= Uneven) || ((x - y).Abs() <= Near && x <= Widest)))
            {
                return (Length.Max(x, Length.Zero), Length.Max(y, Length.Zero));
            }
        }

        return null;
    }

    private double For(Place place, OwnPiece paper, (Length X, Length Y) border, int left, Place? last)
    {
        var words = Words(place);
        return (Called * Math.Min(MostWords, Word.Matches($"{paper.Name} {paper.Said}").Select(Stem).Distinct().Count(words.Contains)))
            + (place.Role.Levels > place.Layers.Count ? UsuallyCovered : 0)
            + ((border.X - border.Y).Abs() <= Near ? Even : 0)
            + (UsualBorders.All.Any(b => (b.For(_system) - border.X).Abs() <= Slight) ? UsualBorder : 0)
            + (place.Layers.Count > 0 && place.Layers.Count < place.Role.Levels && border.X <= MatShows ? OnAMat : 0)
            + (Inner.IsMatch($"{paper.Name} {paper.Said}") && !place.IsShut ? Hidden : 0)
            + (last is not null && last.Role == place.Role ? WithTheOthers : 0)
            + (place.Face.Copies.Count > left ? TooMany : 0)
            + (LaterRole * place.Order);
    }

    private WindowSpec? Cut(OwnPiece window, string id, RuleGuess rules)
    {
        var isRound = window.First == window.Second && Round.IsMatch(window.Said);
        foreach (var place in _places.OrderByDescending(p => (Called * Word.Matches($"{window.Name} {window.Said}").Select(Stem).Distinct().Count(Words(p).Contains)) + (p.IsShut ? Shut : 0) + (LaterRole * p.Order)))
        {
            // Wide and high as one reads the face.
            var (wide, high) = IsUpright(place.Face) ? (place.Box.Width, place.Box.Height) : (place.Box.Height, place.Box.Width);
            foreach (var (a, b) in new[] { (window.First, window.Second), (window.Second, window.First) })
            {
                if (a < wide && b < high)
                {
                    return new WindowSpec(id, place.Role.Faces.Count == 1 ? place.Role.Id : place.Face.Id, Size: [WrittenLength.Of(a), WrittenLength.Of(b)],
                        Shape: isRound ? "circle" : "rectangle", Rule: RuleOf(window, rules));
                }
            }
        }

        return null;
    }

    /// <summary>As large as it is, with the same frame, or in proportion.</summary>
    private static string RuleOf(OwnPiece window, RuleGuess rules)
    {
        var changes = rules.Figures.Where(f => f.Piece.Line == window.Line && f.Piece.Name == window.Name).Select(f => Math.Abs(f.Rule.ByWidth) + Math.Abs(f.Rule.ByHeight)).ToList();
        return changes.All(c => c == 0) ? "fixed" : changes.All(c => c == 1) ? "margins" : "scale";
    }

    private static bool IsUpright(RoleFace face) => face.Head is Edge.Head or Edge.Foot;

    /// <summary>Every role that something lies on, with its borders where they are not the usual one; and that the others are bare.</summary>
    private IEnumerable<LayerSpec> Worn()
    {
        foreach (var role in _places.GroupBy(p => p.Role))
        {
            var alike = role.Count() == role.Key.Faces.Count && role.All(p => p.Layers.SequenceEqual(role.First().Layers));
            foreach (var place in alike ? role.Take(1) : role)
            {
                var name = alike ? role.Key.Id : place.Face.Id;
                foreach (var (border, level) in place.Layers.Select((l, i) => (l, i + 1)))
                {
                    yield return new LayerSpec(name, level, Write: role.Key.ToWriteOn, Reveal: IsUsual(place, border) ? null : IsUpright(place.Face)
                        ? new RevealSpec(WrittenLength.Of(border.X), WrittenLength.Of(border.Y))
                        : new RevealSpec(WrittenLength.Of(border.Y), WrittenLength.Of(border.X)));
                }

                if (place.Layers.Count < role.Key.Levels)
                {
                    yield return new LayerSpec(name, place.Layers.Count + 1, Worn: false);
                }
            }
        }
    }

    /// <summary>Whether it is the border that papers have where nobody says another; on a narrow strip that is less.</summary>
    private bool IsUsual(Place place, (Length X, Length Y) border) => (border.X - _usual).Abs() <= Slight && (border.Y - _usual).Abs() <= Slight
        && Length.Min(place.Box.Width, place.Box.Height) >= Strip;

    private static HashSet<string> Words(Place place) => [.. Word.Matches($"{place.Role.Name} {place.Face.Name}").Select(Stem)];

    private static string Stem(Match word) => word.Value.ToLowerInvariant().TrimEnd('s');

    // Words that name a place; how it lies there does not.
    private static Regex Word => field ??= new Regex(@"\b(?!(?:paper|outside|inner|outer|face|with|from|that|this|each|other|half)s?\b)\p{L}{4,}", RegexOptions.IgnoreCase);

    private static Regex Inner => field ??= new Regex(@"\b(?:inside|inner|liner|interior|message|writing)\b", RegexOptions.IgnoreCase);

    private static Regex Round => field ??= new Regex(@"\b(?:circles?|discs?|round)\b", RegexOptions.IgnoreCase);
}
