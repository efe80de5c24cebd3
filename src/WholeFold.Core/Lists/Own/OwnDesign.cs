using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists.Own;

/// <summary>A figure of a list with the rule that it follows, and what it becomes.</summary>
/// <param name="Rule">In words.</param>
/// <param name="Now">In the format that was asked for; null where there is none of it.</param>
public sealed record OwnFigure(int Line, string Name, string Figure, Length Value, Words Rule, double Sure, IReadOnlyList<(Words Rule, double Sure)> Next, Length? Now)
{
    /// <summary>As it stands in files: the line, and which figure of it.</summary>
    public string Id => $"{Line}.{Figure}";

    /// <summary>Of several cut alike that are two pieces of the card, which of these it is; null of any other.</summary>
    public string? Part { get; init; }

    /// <summary>Its piece as one says it.</summary>
    public string Called => Part is null ? Name : $"{Name} ({Part})";

    /// <summary>What a correction of its rule names it by.</summary>
    public string Key => $"{Line}.{Name}.{Figure}";
}

/// <summary>A list as a design to go on with.</summary>
/// <param name="Aside">Pieces of the list that are no part of it: what is cut beside the card, and papers that lie on no face of it.</param>
public sealed record TakenDesign(DesignSpec Design, IReadOnlyList<OwnPiece> Aside)
{
    public IEnumerable<Words> Says => Aside.Select(p => Words.Of($"What line {p.Line} lists as {p.Name}, {p.First} × {p.Second:u}, is no part of the card that is begun; it stays in the list."));
}

/// <summary>What has come of a list: the construction that explains it, or the rules that its figures are taken to follow.</summary>
/// <param name="Closest">The best explanations by the library, the best first, whether or not one is sure.</param>
/// <param name="Rules">Of a list that no construction explains.</param>
public sealed record OwnDesign(OwnList List, Recognised? Recognised, IReadOnlyList<Recognised> Closest, RuleGuess? Rules, IReadOnlyList<OwnFigure> Figures, IReadOnlyList<ListFinding> Contradictions)
{
    /// <summary>What goes on from here: a design of the construction that explains it, or of one of its own, that wears what is listed; null where no piece was read.</summary>
    public TakenDesign? Take(DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        if (Recognised is null && Rules is null)
        {
            return null;
        }

        var system = List.Cards.First().Unit.SystemOf();
        var (bare, built) = Recognised is null ? OwnConstruction.Begin(List, Rules!, List.Title ?? "Own card")
            : (Recognised.Design(List.Title ?? Recognised.Family.Name, system),
            [.. Recognised.Pieces.Select(p => p.Listed), .. Recognised.Windows.Select(w => w.Listed)]);
        bool Is(OwnPiece one, OwnPiece other) => one.Line == other.Line && one.Name == other.Name;
        var rest = List.Pieces.Where(p => p.Kind != OwnKind.Finished && !built.Any(b => Is(b, p))).ToList();
        if (rest.Count == 0 || Sized(bare, reader) is not { } card)
        {
            return new TakenDesign(bare, rest);
        }

        // What no card can wear stays in the list.
        var (dressing, aside) = OwnDressing.Of(card, rest, Rules ?? Beside(Recognised!, List));
        var dressed = bare with { Dressing = dressing };
        return dressing is null || Sized(dressed, reader) is null ? new TakenDesign(bare, rest) : new TakenDesign(dressed, aside);
    }

    private static Card? Sized(DesignSpec spec, DesignReader reader)
    {
        var read = reader.Read(spec with { Tools = "machine" });
        return Attempt.Of(read.Design, read.Target).Card;
    }

    private const int MostSidesAsked = 2;

    /// <summary>Pieces whose scores may be read along either side: of a list that no construction explains, and those that their maker has said it of, who may think again.</summary>
    public IEnumerable<OwnPiece> EitherSide => List.Cards.Where(p => p.SideAnswered).Concat(Recognised is null ? List.Cards.Where(p => p.IsSideInDoubt).Take(MostSidesAsked) : []);

    public IReadOnlyList<OwnQuestion> Questions => Recognised is not null ? [] :
    [
        .. EitherSide.Where(p => !p.SideAnswered).Select(p => new OwnQuestion(p.Line, "side", Words.Of($"Are the scores of the {p.Name} read along its {p.Along:u} side, or along its {p.Across:u} side? {p.Along:u} is taken."))),
        .. Rules?.Questions ?? [],
    ];

    /// <param name="bare">The unit of bare numbers; null where nobody says.</param>
    /// <param name="target">A format to convert it to; null for as it is.</param>
    /// <param name="corrections">What its maker says of rules, see <see cref="RuleGuess.Corrected"/>, and of the sides that scores are read along, by <see cref="OwnPiece.SideKey"/>.</param>
    /// <exception cref="InputProblemException">The format is not understood.</exception>
    public static OwnDesign Of(string text, DisplayUnit? bare, DesignReader reader, Recogniser recogniser, string? target = null,
        IEnumerable<KeyValuePair<string, int>>? corrections = null, CancellationToken cancel = default)
    {
        return Of(OwnListReader.Read(text, bare), reader, recogniser, target, corrections, cancel);
    }

    /// <summary>The same of a list that has been read.</summary>
    /// <exception cref="InputProblemException">The format is not understood.</exception>
    public static OwnDesign Of(OwnList list, DesignReader reader, Recogniser recogniser, string? target = null,
        IEnumerable<KeyValuePair<string, int>>? corrections = null, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(reader);
        ArgumentNullException.ThrowIfNull(recogniser);
        list = list.Turned((corrections ?? []).Select(c => c.Key));
        var closest = recogniser.Find(list, cancel);
        var recognised = closest.FirstOrDefault(r => r.Sure);
        var format = target is null ? null : FormatReader.Read(target, reader.Inventory.Formats, out var reason) ?? throw new InputProblemException("format.unknown", "format", reason ?? $"there is no format “{target}”", $"{string.Join(", ", reader.Inventory.Formats.Select(f => f.Id))}, or a size such as 5x5in");
        var rules = recognised is null ? RuleGuess.Of(list, reader.Inventory.Formats)?.Corrected(corrections ?? []) : null;
        var card = recognised is null ? null : Home(recognised, list, reader);
        var figures = recognised is not null ? ByConstruction(recognised, list, reader, format, corrections ?? []) : rules is null ? [] : ByRules(rules, format);
        return new OwnDesign(list, recognised, closest, rules, figures,
            LookThrough(list, recognised, closest, recognised is not null ? (recognised.Width, recognised.Height) : rules is null ? default
            : (rules.Width, rules.Height), card, reader.Inventory.Formats, recogniser, cancel));
    }

    /// <summary>How sure a figure of a construction is that explains the whole list.</summary>
    private const double Known = 0.98;

    private static Card? Home(Recognised recognised, OwnList list, DesignReader reader) => Sized(Exact(recognised, list), reader);

    /// <summary>Exact to the unit, as its rules give it: what tools can set is another question.</summary>
    private static DesignSpec Exact(Recognised recognised, OwnList list) => recognised.Design("own", list.Cards.First().Unit.SystemOf()) with { Tools = "machine" };

    private static List<OwnFigure> ByConstruction(Recognised recognised, OwnList list, DesignReader reader, Format? format, IEnumerable<KeyValuePair<string, int>> corrections)
    {
        var home = reader.Read(Exact(recognised, list));
        var target = format is null ? home.Target : Target.Beside(home.Design.Home, format, turned: false);
        var (was, now) = (Attempt.Of(home.Design, home.Target).Card, Attempt.Of(home.Design, target).Card);
        var figures = new List<OwnFigure>();
        void Explained(OwnPiece listed, string figure, Length value, string rule, Affine of, string? part) =>
            figures.Add(new OwnFigure(listed.Line, listed.Name, figure, value, Words.Of($"{rule}"), Known, [], now is null ? null
                : now.Figures.ValueOf(of) + (was is null || recognised.Differs.Any(d => d.Line == listed.Line && d.Figure == figure) ? Length.Zero
                : Habit(value - was.Figures.ValueOf(of)))) { Part = part });
        foreach (var (listed, piece, mirrored, turned) in recognised.Pieces)
        {
            var part = recognised.Pieces.Count(p => p.Listed.Line == listed.Line && p.Listed.Name == listed.Name) > 1 ? piece.Name.ToLowerInvariant() : null;
            void Add(string figure, Length value, string rule, Affine of) => Explained(listed, figure, value, rule, of, part);
            var chain = listed.Scores.Count > 0;
            var first = chain ? listed.AlongFirst : !turned;
            Add(first ? "width" : "height", chain ? listed.Along : turned ? listed.Second : listed.First, piece.SizeRule, piece.Along);
            Add(first ? "height" : "width", chain ? listed.Across : turned ? listed.First : listed.Second, piece.AcrossRule, piece.Across);

            // Scores are counted as they are listed, whichever of the two ways was taken for the piece's own.
            var isTurned = listed.Cross.Count > 0 && list.Pieces.Any(p => p.Line == listed.Line && p.Name == listed.Name && p.AlongFirst != listed.AlongFirst);
            var (chainFrom, crossFrom) = isTurned ? (listed.Cross.Count, 0) : (0, listed.Scores.Count);
            for (var i = 0; i < listed.Scores.Count; i++)
            {
                var n = mirrored ? listed.Scores.Count - 1 - i : i;
                Add($"score {chainFrom + i + 1}", listed.Scores[i], piece.Creases[n].Rule, mirrored ? piece.Along - piece.Position(n) : piece.Position(n));
            }

            if (listed.Cross.Count > 0 && Recogniser.Readings(piece).Skip(1).FirstOrDefault() is { } across && across.Creases.Count == listed.Cross.Count)
            {
                for (var i = 0; i < listed.Cross.Count; i++)
                {
                    Add($"score {crossFrom + i + 1}", listed.Cross[i], across.Creases[i].Rule, across.Position(i));
                }
            }
        }

        foreach (var window in recognised.Windows)
        {
            Explained(window.Listed, window.AlongFigure, window.ListedAlong, window.Opening.Rule, window.Along, null);
            Explained(window.Listed, window.AcrossFigure, window.ListedAcross, window.Opening.Rule, window.Across, null);
        }

        // Papers follow the panel that they lie on, less their border.
        foreach (var paper in list.Pieces.Where(p => p.Kind is OwnKind.Paper or OwnKind.Piece && p.Scores.Count == 0 && recognised.Pieces.All(m => m.Listed != p)))
        {
            if (was is not null && Panel(was, paper) is var (index, panel, border, swapped) && now is not null)
            {
                var (a, b) = (now.Pieces[index].Panels[panel].Extent - (2 * border), now.Pieces[index].Across.Value - (2 * border));
                var name = was.Pieces[index].Panels[panel].Panel.Name;
                var said = border < Length.Mm(0.5m) ? Words.Of($"as large as the {name}") : Words.Of($"{name} less {border} on each side");
                figures.Add(new OwnFigure(paper.Line, paper.Name, "width", paper.First, said, 0.9, [], swapped ? b : a));
                figures.Add(new OwnFigure(paper.Line, paper.Name, "height", paper.Second, said, 0.9, [], swapped ? a : b));
            }
        }

        // What is no part of the construction follows rules of its own: none of the list is lost.
        var there = figures.Select(f => f.Key).ToHashSet();
        if (list.Pieces.Where(p => p.Kind != OwnKind.Finished).Any(p => Enumerable.Range(1, p.Scores.Count + p.Cross.Count).Select(n => $"score {n}").Append("width").Append("height").Any(f => !there.Contains($"{p.Line}.{p.Name}.{f}"))))
        {
            var rules = Beside(recognised, list).Corrected(corrections.Where(c => c.Key != RuleGuess.Opens));
            figures.AddRange(ByRules(rules, target.Width - home.Target.Width, target.Height - home.Target.Height).Where(f => !there.Contains(f.Key)));
        }

        return figures;
    }

    /// <summary>The rules of a list whose finished size its construction tells.</summary>
    private static RuleGuess Beside(Recognised recognised, OwnList list) =>
        RuleGuess.At(list, recognised.Width, recognised.Height, recognised.Pieces.Where(p => p.Listed.Scores.Count > 0).Select(p => p.Piece.Axis == Axis.Y).FirstOrDefault());

    /// <summary>By how much its maker's figure is another than the rule's at home, where that is a hair that she takes off or leaves on: she would again.</summary>
    private static Length Habit(Length more) => more.Abs() <= Length.Mm(2) ? more : Length.Zero;

    /// <summary>The panel that a paper lies on with the same border both ways.</summary>
    private static (int Piece, int Panel, Length Border, bool Swapped)? Panel(Card card, OwnPiece paper)
    {
        var near = Length.Mm(0.8m);
        foreach (var (piece, p) in card.Pieces.Select((p, i) => (p, i)))
        {
            foreach (var (panel, q) in piece.Panels.Select((x, i) => (x, i)))
            {
                foreach (var swapped in new[] { false, true })
                {
                    var (a, b) = swapped ? (paper.Second, paper.First) : (paper.First, paper.Second);
                    var (over, under) = (panel.Extent - a, piece.Across.Value - b);
                    if ((over - under).Abs() <= near && over >= Length.Zero && over <= Length.In(1))
                    {
                        return (p, q, new Length((over.Units + under.Units) / 4), swapped);
                    }
                }
            }
        }

        return null;
    }

    private static List<OwnFigure> ByRules(RuleGuess rules, Format? format)
    {
        // It lies as it does at home.
        var (width, height) = format is null ? (rules.Width, rules.Height) : (rules.Width > rules.Height) == (format.Width > format.Height)
            || format.Width == format.Height ? (format.Width, format.Height) : (format.Height, format.Width);
        return ByRules(rules, width - rules.Width, height - rules.Height);
    }

    private static List<OwnFigure> ByRules(RuleGuess rules, Length wider, Length higher) =>
        [.. rules.Figures.Select(f => new OwnFigure(f.Piece.Line, f.Piece.Name, f.Figure, f.Value, f.Rule.Words, f.Sure,
            [.. f.Next.Select(n => (n.Rule.Words, n.Sure))], f.Rule.In(f.Value, wider, higher)))];

    /// <summary>How well a construction must explain all but one figure, for that to be a slip and the list no other card.</summary>
    private const double AllButOne = 0.3;

    /// <summary>
    /// A figure that its construction does not ask for; a circle that is none; a paper that does not lie on it; a slip that its construction
    /// takes as it is; or, of no construction, a figure that does not go with the others. A construction that explains all but one figure is told where no other comes near.
    /// </summary>
    private static List<ListFinding> LookThrough(OwnList list, Recognised? recognised, IReadOnlyList<Recognised> closest, (Length Width, Length Height) home,
        Card? card, IReadOnlyList<Format> formats, Recogniser recogniser, CancellationToken cancel)
    {
        var explains = recognised ?? (closest is [{ Differs: [var only], Score: > AllButOne } near, ..] && (only.Is - only.Would).Abs() <= PieceFigure.FurthestSlip ? near : null);
        if (explains is { Differs.Count: > 0 })
        {
            return [.. explains.Differs.Select(d => new ListFinding("rule", d.Line, Place(d.Figure), Words.Of($"{Constructions.Spoken.First(d.Figure)} at {d.Is} contradicts the rules of the {explains.Family.Name}; {d.Would} would keep them."), [new LikelyFigure(d.Would, Words.Of($"{d.Would:u} instead of {d.Is}"))]))];
        }

        if (!list.Cards.Any())
        {
            return [];
        }

        // It may be for another card than its maker says.
        var system = list.Cards.First().Unit.SystemOf();
        if (recognised is not null && list.Finished is null && FinishedSize.Said(list, formats, system).ToList() is [var format, ..] said
            && !said.Any(f => f.IsAbout(home.Width, home.Height, Length.Mm(2))))
        {
            return [new ListFinding("fits", list.Cards.First().Line, null, Words.Of($"It is said to be for {format.Name}, {format.Width} × {format.Height:u}; by its figures it is for {home.Width} × {home.Height:u}."), [])];
        }

        var main = list.Cards.MaxBy(c => (double)c.First.Units * c.Second.Units);
        if (SquareSlips.Find(list) is { Count: > 0 } squares)
        {
            return [.. squares];
        }

        var papers = PaperSlips.Find(list, home, card, [.. list.Cards.Where(c => c.Scores.Count == 0 && c != main && recognised?.Pieces.Any(m => m.Listed == c) != true)], formats);
        return recognised is null ? [.. new Contradictions(list, formats, l => recogniser.Find(l, cancel) is [{ Sure: true, Differs.Count: 0 }, ..]).Find(papers, cancel)]
            : papers.Count > 0 ? [.. papers] : [.. recogniser.Slips(recognised, list, cancel)];

        static int? Place(string figure) => figure.StartsWith("score ", StringComparison.Ordinal) ? int.Parse(figure["score ".Length..], System.Globalization.CultureInfo.InvariantCulture) : null;
    }
}
