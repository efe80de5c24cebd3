using System.Text.RegularExpressions;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>The scores that a line names for a piece.</summary>
/// <param name="Cross">Those that are read along the other side.</param>
/// <param name="SideSaid">Whether it says which side they are read along.</param>
/// <param name="Same">They are the scores of the piece before.</param>
internal sealed partial record OwnScores(IReadOnlyList<Length> Scores, bool AlongFirst, IReadOnlyList<Length> Cross, bool SideSaid, bool Diagonals, bool Same)
{
    private const int Most = 40;

    /// <summary>Which way scores of the first chain fold, where that is said.</summary>
    public IReadOnlyDictionary<Length, Fold> Folds { get; init; } = new Dictionary<Length, Fold>();

    /// <summary>Whether they are so far from both ends, of whichever side.</summary>
    public bool FromEnds { get; init; }

    /// <summary>So far from both ends, or from both long sides or short ones.</summary>
    public const string BothEnds = @"(?:\b(?:from|at|on|in from)\s+)?\b(?:each|both|either|every|the\s+two|two(?:\s+opposite)?|opposite)\s+(?:of\s+the\s+)?(?:opposite\s+)?(?:(?<kind>long|short)(?:er)?\s+)?(?:ends?|sides?|edges?)\b";

    /// <summary>A sheet that is longer than wide by so much is scored along its length, where nobody says.</summary>
    private const double LongSheet = 1.7;

    /// <summary>One that is longer by so much has ends, and is folded in half across its length.</summary>
    private const double LongToHalve = 1.45;

    private static string Parted(Match run) => run.Value.Split(',').Select(f => int.Parse(f, System.Globalization.CultureInfo.InvariantCulture)).ToList() is var f
        && f.Zip(f.Skip(1)).All(p => p.First < p.Second) ? run.Value.Replace(",", ", ", StringComparison.Ordinal) : run.Value;

    /// <summary>With what comes several times written out.</summary>
    public static string Repeated(string text) => RepeatedForm.Replace(text, m => string.Join(", ", Enumerable.Repeat(m.Groups["f"].Value.Trim(), OwnFigures.Times(m.Groups["n"].Value))));

    /// <summary>Whether it says where.</summary>
    public static bool IsSaid(string text) => text.Any(char.IsAsciiDigit) || HalfForm.IsMatch(text) || MeetForm.IsMatch(text);

    /// <param name="text">From the word that says it is about scores to the end of the line.</param>
    public static OwnScores Read(string text, Length first, Length second, DisplayUnit unit)
    {
        text = OwnListReader.FormatName.Replace(text, " ");
        if (FoldedOnly.IsMatch(CountForm.Replace(text, "")))
        {
            text = "in half";
        }

        text = text.Any(char.IsAsciiDigit) && WordedForm.Count(text) < 2 ? text : WordedForm.Replace(text, OwnListReader.InFigures);
        var said = Otherwise.Replace(Word.Replace(CountForm.Replace(Remark.Replace(text, " "), " "), Kept), " ");
        if (FromBothEnds(said) is { } parted && Read(parted.Near, first, second, unit) is { Scores.Count: > 0 } near)
        {
            // What would come to the same from the other end is read along the other side.
            var far = Read(parted.Far, first, second, unit) is { Scores.Count: > 0 } there ? there : near;
            var both = near.AndFrom(far, near.AlongFirst ? first : second);
            return both.Scores.Count > near.Scores.Count || near.SideSaid ? both : (near with { AlongFirst = !near.AlongFirst }).AndFrom(far, near.AlongFirst ? second : first);
        }

        if (TurnForm.Match(said) is { Success: true } turn && Read(said[..turn.Index], first, second, unit) is { Scores.Count: > 0 } before
            && Read(said[(turn.Index + turn.Length)..], first, second, unit) is { Scores.Count: > 0 } turned)
        {
            return before with { Cross = turned.Scores };
        }

        if (FoldedTo.Match(said) is { Success: true } to && OwnFigures.Figure(to.Groups["a"].Value, to.Groups["ua"].Value, unit) is { } a
            && OwnFigures.Figure(to.Groups["b"].Value, to.Groups["ub"].Value, unit) is { } b)
        {
            said = said.Remove(to.Index, to.Length);
            bool Halves(Length whole, Length other) => new[] { (a, b), (b, a) }.Any(s => (s.Item1 + s.Item1 - whole).Abs() <= Length.Mm(1.6m) && (s.Item2 - other).Abs() <= Length.Mm(1.6m));
            if (OwnFigures.All(said, unit, 1).Count == 0 && (Halves(first, second) || Halves(second, first)))
            {
                return new OwnScores([new Length((Halves(first, second) ? first : second).Units / 2)], Halves(first, second), [], true, false, Same: false);
            }
        }

        var diagonals = Regex.IsMatch(text, @"\bdiagonal", RegexOptions.IgnoreCase);
        said = HalfAtForm.Replace(said, " ");
        said = diagonals ? SlantForm.Replace(said, " ") : said;
        said = RisingRun.Replace(said, Parted);
        said = WithParts.IsMatch(said) ? CommaForm.Replace(said, ", ") : said;
        said = unit == DisplayUnit.Inch ? PartedForm.Replace(said, ", ") : said;
        if (Regex.IsMatch(said, @"\bsame\b|^\W*(?:as|like)\s+(?:the|above|before|on)\b", RegexOptions.IgnoreCase) && OwnFigures.All(said, unit, 1).Count == 0)
        {
            return new OwnScores([], true, [], false, diagonals, Same: true);
        }

        // What is so far from the foot is read along the height; behind figures that it does not go on from, it alone is.
        var upright = UprightForm.Match(said) is { Success: true } foot && !SideForm.IsMatch(said[foot.Index..]) ? foot : null;
        if (upright is not null && OwnFigures.All(said[..upright.Index], unit, Most) is [.., var beside] && OwnFigures.All(upright.Value, unit, 1) is [var up, ..]
            && up < beside && Read(said[..upright.Index], first, second, unit) is { Scores.Count: > 0, Cross.Count: 0 } across
            && up < (across.AlongFirst ? second : first))
        {
            return across with { Cross = [up], SideSaid = true };
        }

        // Figures stand before the side that they are read along, or behind it; a word such as lengthwise stands behind.
        var sides = SideForm.Matches(said).ToList();
        var ends = sides.Select(s => s.Index).Append(said.Length).ToList();
        var parts = ends.Select((end, i) => said[(i == 0 ? 0 : sides[i - 1].Index + sides[i - 1].Length)..end]).ToList();
        var along = new bool?[parts.Count];
        var behind = Any(parts[0]) && !Any(parts[^1]);
        foreach (var (side, i) in sides.Select((s, i) => (s, i)))
        {
            var isAdverb = side.Groups["word"].Value.EndsWith("wise", StringComparison.OrdinalIgnoreCase) || side.Groups["word"].Value.EndsWith("ways", StringComparison.OrdinalIgnoreCase);
            // Whoever says 3, and lengthwise 1 1/2, has said so of what follows.
            isAdverb &= !(Any(parts[i + 1]) && EndsInAnd.IsMatch(parts[i]));
            along[(behind || isAdverb) && Any(parts[i]) ? i : i + 1] ??= Side(side, first, second, unit);
        }

        along[0] ??= upright is not null && sides.Count == 0 && OwnFigures.All(said, unit, Most) is { Count: > 0 } ups && ups.All(u => u < second)
            && !(ups is [var half] && (half + half - first).Abs() <= Length.Mm(0.5m)) ? false : null;
        var groups = parts.Select((text, i) => (Text: text, AlongFirst: along[i])).Where(g => Any(g.Text)).ToList();

        // A line that runs lengthwise and a line across the middle are two ways.
        var read = groups.Select(g => Group(g.Text, g.AlongFirst, first, second, unit)).Where(g => g.Scores.Count > 0).ToList();
        if (read.Count == 0)
        {
            return new OwnScores([], true, [], false, diagonals, Same: false);
        }

        var main = read[0];
        var others = read.Skip(1).ToList();
        if (AllSidesForm.IsMatch(said) && others.Count == 0)
        {
            IReadOnlyList<Length> Both(Length room, IReadOnlyList<Length> at) => [.. at.Concat(at.Select(s => room - s)).Where(s => s > Length.Zero && s < room).Distinct().Order()];
            IReadOnlyList<Length> inFrom = main.FromEnds ? [.. main.Scores.Where(s => s + s < (main.AlongFirst ? first : second))] : main.Scores;
            return new OwnScores(Both(first, inFrom), true, Both(second, inFrom), true, diagonals, Same: false);
        }

        if (ThreeSidesForm.IsMatch(said) && others.Count == 0)
        {
            return new OwnScores([.. main.Scores.Concat(main.Scores.Select(s => first - s)).Where(s => s > Length.Zero && s < first).Distinct().Order()], true,
                [.. main.Scores.Where(s => s < second)], true, diagonals, Same: false);
        }

        if (others.Count == 0 && (BothWays.IsMatch(said) || (EveryForm.IsMatch(said) && EndsForm.IsMatch(said))))
        {
            var other = Group(EveryForm.Match(said) is { Success: true } every ? every.Value : said, !main.AlongFirst, first, second, unit).Scores;
            return new OwnScores(main.Scores, main.AlongFirst, other, true, diagonals, Same: false) { Folds = main.Folds };
        }

        // Beside diagonals the two that halve both sides run one each way.
        if (diagonals && others.Count == 0 && main.Scores is [var less, var greater]
            && new[] { (less, greater), (greater, less) }.FirstOrDefault(h => (h.Item1 + h.Item1 - first).Abs() <= Length.Mm(1) && (h.Item2 + h.Item2 - second)
            .Abs() <= Length.Mm(1)) is var halves && halves.Item1 > Length.Zero)
        {
            return new OwnScores([halves.Item1], true, [halves.Item2], true, diagonals, Same: false);
        }

        var cross = others.Where(o => o.AlongFirst != main.AlongFirst || !o.Said).SelectMany(o => o.Scores).Distinct().Order().ToList();
        var more = others.Where(o => o.AlongFirst == main.AlongFirst && o.Said).ToList();
        return new OwnScores([.. main.Scores.Concat(more.SelectMany(o => o.Scores)).Distinct().Order()], main.AlongFirst, cross, main.Said, diagonals, Same: false)
        {
            Folds = main.Folds.Concat(more.SelectMany(o => o.Folds)).DistinctBy(f => f.Key).ToDictionary(),
            FromEnds = main.FromEnds,
        };

        // Which way it folds, that it is folded in half or scored as before, is still to be read.
        static string Kept(Match word) => word.Value.Contains("same", StringComparison.OrdinalIgnoreCase) ? " same "
            : word.Value.StartsWith("half", StringComparison.OrdinalIgnoreCase) ? " in half " : word.Value.StartsWith("m", StringComparison.OrdinalIgnoreCase)
            ? " mountain " : word.Value.StartsWith("v", StringComparison.OrdinalIgnoreCase) ? " valley " : " ";
        static bool Any(string part) => OwnFigures.NumberForm.IsMatch(part) || HalfForm.IsMatch(part) || EveryForm.IsMatch(part) || EqualForm.IsMatch(part) || MeetForm.IsMatch(part);
    }

    /// <summary>The scores between panels that are told one after the other, each with its name, and come to the whole of a side: left 3, back 5, right 2. Null where they do not.</summary>
    public static OwnScores? OfPanels(string text, Length first, Length second, DisplayUnit unit)
    {
        var words = OwnFigures.WithoutCounts(text);
        var panels = OwnFigures.All(words, unit, Most);

        // Two that rise may be places as far from both ends.
        if (panels.Count < 2 || OtherThanPanels.IsMatch(words) || (panels.Count == 2 && panels[0] < panels[1]) || OwnFigures.Sizes(words, unit).Count > 0 || PanelForm.Count(words) < panels.Count)
        {
            return null;
        }

        var all = panels.Aggregate(Length.Zero, (sum, panel) => sum + panel);
        var sides = new[] { first, second }.Where(side => (side - all).Abs() <= Length.Mm(0.5m)).ToList();
        return sides.Count == 0 ? null : new OwnScores(Between(panels), sides[0] == first, [], SideSaid: true, Diagonals: false, Same: false);
    }

    /// <summary>Where one panel ends and the next begins.</summary>
    private static List<Length> Between(IEnumerable<Length> panels) => panels.SkipLast(1).Aggregate(new List<Length>(), (at, panel) => [.. at, (at.Count > 0 ? at[^1] : Length.Zero) + panel]);

    /// <summary>What is scored from one end and what from the other, where both are said; a far part without figures is the same again.</summary>
    private static (string Near, string Far)? FromBothEnds(string said)
    {
        said = OnASide.Matches(said).Select(m => m.Groups["side"].Value.ToUpperInvariant()).Distinct().Count() > 1 ? OnASide.Replace(said, "from the ${side}") : said;
        if (HalfTurnForm.Match(said) is { Success: true } turn)
        {
            return (said[..turn.Index], said[(turn.Index + turn.Length)..]);
        }

        var ends = OneEndForm.Matches(said).ToList();
        if (!ends.Any(e => e.Groups["far"].Success))
        {
            return null;
        }

        if (ends is [var only] && OwnFigures.NumberForm.IsMatch(said[..only.Index]) && OwnFigures.NumberForm.IsMatch(said[(only.Index + only.Length)..]))
        {
            return (said[..only.Index], said[(only.Index + only.Length)..]);
        }

        // Two figures, and the last of them from the other end.
        if (ends is [{ Groups: var named } last] && named["other"].Success && LastOfThem.Match(said[..last.Index]) is { Success: true } then)
        {
            return (said[..then.Index], then.Value);
        }

        // Figures stand before the end that they are counted from, or behind it.
        var behind = OwnFigures.NumberForm.IsMatch(said[..ends[0].Index]);
        var (near, far) = ("", "");
        foreach (var (end, i) in ends.Select((e, i) => (e, i)))
        {
            var part = behind ? said[(i == 0 ? 0 : ends[i - 1].Index + ends[i - 1].Length)..end.Index] : said[(end.Index + end.Length)..(i + 1 < ends.Count ? ends[i + 1].Index : said.Length)];
            (near, far) = end.Groups["far"].Success ? (near, far + part) : (near + part, far);
        }

        return near.Length > 0 ? (near, far) : AgainForm.IsMatch(far) ? (far, "") : null;
    }

    /// <summary>These, and others that are counted from the other end.</summary>
    public OwnScores AndFrom(OwnScores far, Length room) => this with
    {
        Scores = [.. Scores.Concat(far.Scores.Select(s => room - s)).Where(s => s > Length.Zero).Distinct().Order()],
        Folds = Folds.Concat(far.Folds.Select(f => KeyValuePair.Create(room - f.Key, f.Value))).DistinctBy(f => f.Key).ToDictionary(),
    };

    private static bool? Side(Match side, Length first, Length second, DisplayUnit unit) => side.Groups["word"].Value.ToLowerInvariant() switch
    {
        "long" or "longer" or "length" or "crosswise" or "widthwise" or "widthways" => first >= second,
        "short" or "shorter" or "lengthwise" or "lengthways" => first < second,
        "first" or "width" => true,
        "second" or "height" => false,
        _ => OwnFigures.Figure(side.Groups["n"].Value, side.Groups["u"].Value, unit) is { } named ? (named - first).Abs() <= (named - second).Abs() : null,
    };

    /// <summary>Scores that run one way.</summary>
    private sealed record Chain(IReadOnlyList<Length> Scores, bool AlongFirst, bool Said)
    {
        public IReadOnlyDictionary<Length, Fold> Folds { get; init; } = new Dictionary<Length, Fold>();

        public bool FromEnds { get; init; }
    }

    /// <summary>Which way scores fold, of those where it is said.</summary>
    /// <param name="room">Of figures that are so far from both ends, from one to the other.</param>
    private static Dictionary<Length, Fold> Ways(string text, DisplayUnit unit, Length? room)
    {
        var said = new Dictionary<Length, Fold>();
        var words = WayForm.Matches(text).ToList();
        foreach (var (word, i) in words.Select((w, i) => (w, i)))
        {
            var fold = word.Groups["m"].Success ? Fold.Mountain : Fold.Valley;
            var figures = word.Groups["before"].Success
                ? OwnFigures.All(text[word.Groups["before"].Index..(i + 1 < words.Count ? words[i + 1].Index : text.Length)], unit, Most)
                : OwnFigures.All(text[(i > 0 ? words[i - 1].Index + words[i - 1].Length : 0)..word.Index], unit, Most).TakeLast(1);
            foreach (var at in figures)
            {
                said[at] = fold;
                if (room is { } whole)
                {
                    said[whole - at] = fold;
                }
            }
        }

        return said;
    }

    private static Chain Group(string text, bool? along, Length first, Length second, DisplayUnit unit)
    {
        if (MeetForm.Match(text) is { Success: true } meet)
        {
            var doors = along ?? EndsAlong(meet, first, second) ?? first >= second;
            var sheet = doors ? first : second;
            return new([new Length(sheet.Units / 4), new Length(3 * sheet.Units / 4)], doors, along is not null || meet.Groups["kind"].Success);
        }

        // Where the panels are told apart by figures too, those hold.
        if (EqualForm.Match(text) is { Success: true } equal)
        {
            text = text.Remove(equal.Index, equal.Length);
            var way = along ?? first >= second;
            if (OwnFigures.All(text, unit, 1).Count == 0 && Parts(equal) is > 1 and <= Most and var parts)
            {
                return new([.. Enumerable.Range(1, parts - 1).Select(i => new Length((way ? first : second).Units * i / parts))], way, along is not null);
            }
        }

        if (HalfForm.Match(text) is { Success: true } half && OwnFigures.All(text, unit, 1).Count == 0)
        {
            var halved = along ?? first >= second;
            return new([new Length((halved ? first : second).Units / 2)], halved, along is not null || Length.Max(first, second).Units > LongToHalve * Length.Min(first, second).Units);
        }

        if (EveryForm.Match(text) is { Success: true } every)
        {
            var step = every.Groups["n"].Success ? OwnFigures.Figure(every.Groups["n"].Value, every.Groups["u"].Value, unit) ?? Length.In(1) : every.Groups["cm"].Success ? Length.Mm(10) : Length.In(1);
            var last = every.Groups["to"].Success ? OwnFigures.Figure(every.Groups["to"].Value, every.Groups["tu"].Value, unit) : null;
            var rest = every.Groups["rest"].Success ? OwnFigures.Figure(every.Groups["rest"].Value, every.Groups["ru"].Value, unit) ?? Length.Zero : Length.Zero;
            var (room, which) = Enough(first, step) && !(last >= first && last < second) ? (first, true) : (second, false);
            (room, which) = along is { } said ? (said ? first : second, said) : (room, which);
            room = rest > Length.Zero && rest < room ? room - rest + Length.Mm(1) : room;
            room = last is { } end && end + Length.Mm(1) < room ? end + Length.Mm(1) : room;
            var times = every.Groups["times"].Success ? OwnFigures.Times(every.Groups["times"].Value) : Most;
            var from = every.Groups["from"].Success ? OwnFigures.Figure(every.Groups["from"].Value, every.Groups["fu"].Value, unit) ?? step
                : OwnFigures.All(text[..every.Index], unit, Most) is [var begin] ? begin : step;
            return new(step <= Length.Zero ? [] : [.. Enumerable.Range(0, Math.Min(times, Most)).Select(i => from + (i * step))
                .TakeWhile(at => at < room - Length.Mm(0.5m))], which, along is not null);
        }

        var ends = EndsForm.Match(text);
        along ??= EndsAlong(ends, first, second);
        var figures = OwnFigures.All(text, unit, Most);

        // Who reads along a ruler may name its end too.
        figures = figures.Count > 1 && (figures[^1] - Length.Max(first, second)).Abs() <= Length.Mm(0.5m) ? figures[..^1] : figures;
        // Panels one after the other, and no places: they come to the whole of a side, and do not rise; of two only where they are parted as panels are.
        if (figures.Count > (text.AsSpan().ContainsAny('|', '+') ? 1 : 2) && !WayForm.IsMatch(text) && figures.Zip(figures.Skip(1)).Any(p => p.Second <= p.First)
            && figures.Aggregate((a, b) => a + b) is var sum && new[] { first, second }.Where(s => (s - sum).Abs() <= Length.Mm(0.5m))
            .ToList() is [var whole, ..])
        {
            return new(Between(figures), whole == first, true);
        }

        // The same figure several times, as far as there is card, is so far from the one before it.
        figures = figures.Count > 1 && !ends.Success && figures.Distinct().Count() == 1 && figures.Aggregate((a, b) => a + b) < Length.Max(first, second)
            ? [.. figures.Select((f, i) => new Length(f.Units * (i + 1)))] : figures;

        bool Holds(Length room) => figures.All(f => f < room);

        // Of a side that it could be on either, the one whose ends it is as far from; a sheet's ends are its short sides.
        var side = along ?? (ends.Value.TrimEnd('s').EndsWith("end", StringComparison.OrdinalIgnoreCase)
            && Length.Max(first, second).Units > LongToHalve * Length.Min(first, second).Units ? first > second : !ends.Success && Holds(first) && Holds(second)
            && IsEven(figures, first) != IsEven(figures, second) ? IsEven(figures, first)
            : Holds(first) && Holds(second) && IsLong(first, second) ? first > second : Holds(first) || !Holds(second));
        if (figures.Count == 0 || !Holds(side ? first : second))
        {
            return new([], true, false);
        }

        var length = side ? first : second;
        IEnumerable<Length> all = ends.Success ? figures.Concat(figures.Select(f => length - f)) : figures;

        // The middle may be named beside figures.
        all = HalfForm.IsMatch(text) ? all.Append(new Length(length.Units / 2)) : all;
        return new([.. all.Distinct().Order()], side, along is not null || Holds(first) != Holds(second)) { Folds = Ways(text, unit, ends.Success ? length : null), FromEnds = ends.Success };
    }

    private static int Parts(Match equal) => equal.Groups["half"].Success ? 4 : equal.Groups["n"].Success ? OwnFigures.Times(equal.Groups["n"].Value)
        : equal.Groups["part"].Value.ToLowerInvariant() switch { "third" => 3, "fifth" => 5, "sixth" => 6, "eighth" => 8, _ => 4 };

    /// <summary>Whether nothing tells which side a piece's scores are read along: neither symmetry nor a long sheet.</summary>
    public static bool IsOpen(OwnPiece piece) => !IsLong(piece.First, piece.Second) && IsEven(piece.Scores, piece.First) == IsEven(piece.Scores, piece.Second);

    private static bool IsLong(Length first, Length second) => Length.Max(first, second).Units > LongSheet * Length.Min(first, second).Units;

    private static bool IsEven(IReadOnlyList<Length> scores, Length room) => scores.Count > 0 && (scores.Min() + scores.Max() - room).Abs() <= Length.Mm(0.5m);

    /// <summary>Whether what is so far from both ends is read along the first side: from long sides along the short one, from left and right along the width. Null where nobody says.</summary>
    private static bool? EndsAlong(Match ends, Length first, Length second) =>
        ends.Groups["across"].Success ? true : ends.Groups["down"].Success ? false
        : ends.Groups["kind"].Success && first != second ? ends.Groups["kind"].Value.StartsWith("s", StringComparison.OrdinalIgnoreCase) == first > second : null;

    /// <summary>Whether a step goes into a side at least twice.</summary>
    private static bool Enough(Length room, Length step) => room.Units > 2.2 * step.Units;
}
