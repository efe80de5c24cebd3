using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace WholeFold.Core.Tests.Maker;

/// <summary>
/// Makes a card by nothing but what the guide says, as the bytes that are handed out: it knows no id, no construction and no code of the
/// program, only a small language of steps. A sentence that it does not know, a figure that is not there, an edge or a panel that
/// nobody has told of, a thing done to what is not there or done twice: all of them are too little to make a card with.
/// </summary>
internal sealed partial class GuideMaker
{
    private const string N = @"(?:\d+(?: \d+/\d+)?|\d+/\d+|\d+(?:\.\d+)?)(?: (?:in|cm|mm))?(?: (?:full|scant))?";

    private readonly MadeCard _made = new();
    private readonly Dictionary<string, int> _counts = new()
    {
        ["one"] = 1, ["two"] = 2, ["three"] = 3, ["four"] = 4, ["five"] = 5, ["six"] = 6, ["seven"] = 7, ["eight"] = 8, ["nine"] = 9, ["ten"] = 10,
        ["eleven"] = 11, ["twelve"] = 12,
    };

    private readonly double _unit;

    private GuideMaker(string unit) => _unit = unit switch { "in" => 25.4, "cm" => 10, _ => 1 };

    /// <param name="unit">What a bare figure is in.</param>
    public static MadeCard Make(byte[] guide, string unit)
    {
        using var document = JsonDocument.Parse(guide);
        return Make(document.RootElement.GetProperty("steps").EnumerateArray().Select(s =>
            (s.GetProperty("phase").GetString()!, s.GetProperty("say").GetString()!)), unit);
    }

    /// <summary>By a plain text: steps have numbers, and stand under what they are part of.</summary>
    public static MadeCard MakeFrom(string text, string unit)
    {
        var (under, number, steps) = ("", 0, new List<(string, string)>());
        foreach (var line in text.Split('\n'))
        {
            if (Said(line, "(?<n>\\d+)\\. (?<say>.+)") is { } step)
            {
                Because.Holds(int.Parse(step["n"], CultureInfo.InvariantCulture) == ++number, $"no step {number}");
                steps.Add((under switch { "Fold" => "fold", "Put it together" => "bond", "Finish" => "finish", _ => "" }, step["say"]));
            }
            else if (line.Length > 0 && !line.StartsWith(' '))
            {
                under = line;
            }
        }

        return Make(steps, unit);
    }

    private static MadeCard Make(IEnumerable<(string Phase, string Say)> steps, string unit)
    {
        var maker = new GuideMaker(unit);
        foreach (var (phase, say) in steps)
        {
            maker.Follow(phase, say);
        }

        Because.Holds(maker._marks.Keys.All(maker._used.Contains), $"nothing goes where it is marked for {string.Join(", ", maker._marks.Keys.Except(maker._used))}");
        foreach (var paper in maker._made.Papers)
        {
            Because.Holds(paper.Cut == paper.On.Sum(o => o.Times), $"{paper.Cut} of {paper.Stock} {paper.Width} × {paper.Height} were cut and {paper.On.Sum(o => o.Times)} put on");
        }

        return maker._made;
    }

    private void Follow(string phase, string say)
    {
        if (phase == "finish" || Said(say, "Leave it for .+ while .+") is not null)
        {
            return;
        }

        if (phase is "fold" or "bond")
        {
            Bonds(say);
            return;
        }

        // Full stops end a sentence, unless a figure stands on both sides.
        string? left = say;
        while (left is { Length: > 0 })
        {
            var end = SentenceEnd().Match(left);
            var sentence = end.Success ? left[..end.Index] : left.TrimEnd('.');
            left = end.Success ? left[(end.Index + end.Length)..] : null;
            Sentence(sentence);
        }
    }

    private MadeSheet? _at;
    private List<MadeLine> _scored = [];

    private void Sentence(string said)
    {
        // What is bought stands in brackets beside what is set: its figures are figures all the same.
        var s = said.Replace("(", "", StringComparison.Ordinal).Replace(")", "", StringComparison.Ordinal);
        if (Said(s, $"Cut (?<what>.+) from (?<stock>[^:]+): (?<w>{N}) × (?<h>{N})(?:, and (?<more>{N}) more at the (?:top|bottom|left|right) for the \\w+)*") is { } cut)
        {
            foreach (var name in List(cut["what"]))
            {
                var (count, called) = Counted(name);
                Because.Holds(_made.Sheets.All(o => o.Called != called), $"{called} is cut twice");
                _made.Sheets.Add(new MadeSheet(called, count, cut["stock"], Figure(cut["w"]),
                    Figure(cut["h"])) { More = cut["more"].Length > 0 ? Figure(cut["more"]) : 0 });
            }
        }
        else if (Said(s, $"Take the blanks? for (?<what>.+), (?<w>{N}) × (?<h>{N}) closed: .*") is { } blank)
        {
            throw new NotEnoughException($"a bought blank, {blank["what"]}");
        }
        else if (Said(s, "Cut from (?<stock>[^:]+): (?<all>.+)") is { } papers)
        {
            foreach (var one in List(papers["all"]))
            {
                var size = Said(one, $"(?<n>\\w+) at (?<w>{N}) × (?<h>{N})") ?? throw new NotEnoughException($"no size in “{one}”");
                var made = new MadePaper(papers["stock"], Figure(size["w"]), Figure(size["h"]), Number(size["n"]));
                Because.Holds(Paper(made.Stock, made.Width, made.Height) is null, $"{made.Stock} is cut twice");
                _made.Papers.Add(made);
            }
        }
        else if (Said(s, "Score (?<what>.+?) at (?<at>.+) from (?<edge>the \\w+ edge)(?:, (?:each )?only (?<only>.+) above the \\w+ edge)?") is { } score)
        {
            _at = Sheet(score["what"]);
            Score(score["at"], score["edge"], score["only"]);
        }
        else if (Said(s, $"Turn (?<what>.+) (?<how>end for end|over) and score at (?<at>.+) from (?<edge>(?:its own|their own) \\w+ edge)(?:, (?:each )?only (?<only>.+) above the \\w+ edge)?") is { } turned)
        {
            _at = Sheet(turned["what"]);
            Score(turned["at"], turned["edge"], turned["only"]);
        }
        else if (Said(s, "Score (?<what>.+) with the ruler laid from tick to tick: (?<all>.+)") is { } slant)
        {
            _at = Sheet(slant["what"]);
            _scored = [];
            foreach (var one in List(slant["all"]))
            {
                var to = Said(one, $"(?<a>{N}) by (?<b>{N}) to (?<c>{N}) by (?<d>{N})") ?? throw new NotEnoughException($"no ticks in “{one}”");
                Add(new MadeLine(Figure(to["a"]), Figure(to["b"]), Figure(to["c"]), Figure(to["d"]), null));
            }
        }
        else if (Said(s, "(?:It folds as a|Both fold as|All fold as|They all fold as) (?<fold>valley|mountain)s?") is { } all)
        {
            Fold(_scored, all["fold"]);
        }
        else if (Said(s, "(?:The one|Those) at (?<at>.+) (?:folds as a|fold as) (?<fold>valley|mountain)s?, the others? as (?:a )?(?<other>valley|mountain)s?") is { } some)
        {
            Because.Holds(some["fold"] != some["other"], "all of them fold one way");
            var few = some["at"].Contains(" by ", StringComparison.Ordinal)
                ? [.. List(some["at"]).Select(t => Said(t,
                    $"(?<a>{N}) by (?<b>{N}) to .*") ?? throw new NotEnoughException(t)).Select(t =>
                        _scored.Single(l => Near(l.FromX, Figure(t["a"])) && Near(l.FromY, Figure(t["b"]))))]
                : List(some["at"]).Select(f => _scored.Where(l => Near(Stop(l), Figure(f))).ToList()).SelectMany(l =>
                    { Because.Holds(l.Count > 0, $"no score at {some["at"]}"); return l; }).ToList();
            Fold(few, some["fold"]);
            Fold([.. _scored.Except(few)], some["other"]);
        }
        else if (Said(s, $"Set the trimmer to (?<at>{N}) once and cut strips of it first") is { } strips)
        {
            var last = _made.Papers.Where(p => p.Stock == _made.Papers[^1].Stock);
            Because.Holds(last.Where(p => Near(p.Width, Figure(strips["at"])) || Near(p.Height, Figure(strips["at"]))).Sum(p => p.Cut) > 1, $"no strips of {strips["at"]}");
        }
        else if (Said(s, "Its panels from the (?<from>left|bottom up): (?<all>.+)") is { } panels)
        {
            (_at!.Panels, _at.Upwards) = ([.. List(panels["all"])], panels["from"] != "left");
        }
        else if (Said(s, "Score .+ at one stop, then at the next|The first figure of a tick is from the left edge, the second from the bottom edge|Then cut .+ along its template") is null)
        {
            Opened(s);
        }
    }

    private double _fromEdge;
    private string _edge = "";

    private double Stop(MadeLine line) => _edge switch { "left" => line.FromX, "right" => _fromEdge - line.FromX, "bottom" =>
        line.FromY, _ => _fromEdge - line.FromY };

    private void Score(string at, string edge, string only)
    {
        _edge = edge.Split(' ')[^2];
        _scored = [];
        var sheet = _at!;
        var upright = _edge is "left" or "right";
        _fromEdge = upright ? sheet.Width : sheet.Height;
        foreach (var f in List(at))
        {
            var place = _edge is "left" or "bottom" ? Figure(f) : _fromEdge - Figure(f);
            Because.Holds(place > 0 && place < _fromEdge, $"a score at {f} is not on {sheet.Called}");
            var parts = only.Length == 0 ? [(0, upright ? sheet.Height : sheet.Width)]
                : List(only).Select(o => Said(o, $"from (?<a>{N}) to (?<b>{N})") ?? throw new NotEnoughException(o))
                .Select(o => (Figure(o["a"]), Figure(o["b"]))).ToList();
            foreach (var (from, to) in parts)
            {
                Add(upright ? new MadeLine(place, from, place, to, null) : new MadeLine(from, place, to, place, null));
            }
        }
    }

    private void Add(MadeLine line)
    {
        Because.Holds(!_at!.Scores.Any(o => Near(o.FromX, line.FromX) && Near(o.FromY, line.FromY) && Near(o.ToX, line.ToX)
            && Near(o.ToY, line.ToY)), $"{_at.Called} is scored twice at one place");
        _at.Scores.Add(line);
        _scored.Add(line);
    }

    private void Fold(List<MadeLine> lines, string way)
    {
        foreach (var line in lines)
        {
            _at!.Scores[_at.Scores.IndexOf(line)] = line with { Valley = way == "valley" };
        }
    }

    private void Opened(string s)
    {
        if (Said(s, $"Cut the \\w+ out of (?<what>.+): (?<all>from .+)") is { } hole && !hole["all"].Contains(" out of ", StringComparison.Ordinal))
        {
            var sheet = Sheet(hole["what"]);
            foreach (var box in hole["all"].Split("; "))
            {
                Round(sheet, box, null);
            }
        }
        else if (Said(s, "Cut round the .+ in (?<what>.+): (?<all>from .+)") is { } flaps)
        {
            foreach (var box in flaps["all"].Split("; "))
            {
                var stays = Said(box, "(?<box>.+), with the (?<side>\\w+) side left on") ?? throw new NotEnoughException($"where does it stay on: “{box}”");
                Round(Sheet(flaps["what"]), stays["box"], stays["side"]);
            }
        }
        else if (Said(s, "(?:Cut (?:a slit|\\w+ slits) in|Snip into) (?<what>the .+?|both .+?|all .+?), (?<all>.+)") is { } slit)
        {
            foreach (Match line in Regex.Matches(slit["all"], $"(?<at>{N}) from the (?<edge>left|bottom) edge, from (?<a>{N}) to (?<b>{N}) from the (?:left|bottom) edge"))
            {
                Line(Sheet(slit["what"]), line.Groups["edge"].Value == "left", Figure(line.Groups["at"].Value),
                    Figure(line.Groups["a"].Value), Figure(line.Groups["b"].Value));
            }
        }
        else if (Said(s, $"Cut (?<what>.+) in two, (?<at>{N}) from the (?<edge>left|bottom) edge") is { } two)
        {
            var sheet = Sheet(two["what"]);
            Line(sheet, two["edge"] == "left", Figure(two["at"]), 0, two["edge"] == "left" ? sheet.Height : sheet.Width);
        }
        else if (Said(s, $"Snip (?<w>{N}) × (?<h>{N}), width first, off each corner of (?<what>.+)") is { } four)
        {
            foreach (var corner in new[] { "bottom left", "bottom right", "top left", "top right" })
            {
                Corner(Sheet(four["what"]), corner, Figure(four["w"]), Figure(four["h"]));
            }
        }
        else if (Said(s, "Snip these off (?<what>.+), width first: (?<all>.+)") is { } some)
        {
            foreach (var size in some["all"].Split("; "))
            {
                var off = Said(size, $"(?<w>{N}) × (?<h>{N}) off the (?<names>.+?) corners?") ?? throw new NotEnoughException($"which corner: “{size}”");
                foreach (var corner in List(off["names"]))
                {
                    Corner(Sheet(some["what"]), corner, Figure(off["w"]), Figure(off["h"]));
                }
            }
        }
        else if (Said(s, "Snip (?:a notch|\\w+ notches) out of (?<what>.+), from tick to tick: (?<all>.+)") is { } notches)
        {
            foreach (var notch in notches["all"].Split("; "))
            {
                var points = List(notch).Select(p => Said(p, $"(?<x>{N}) by (?<y>{N})") ?? throw new NotEnoughException(p)).Select(p =>
                    (X: Figure(p["x"]), Y: Figure(p["y"]))).ToList();
                var sheet = Sheet(notches["what"]);
                for (var i = 0; i < points.Count; i++)
                {
                    var (a, b) = (points[i], points[(i + 1) % points.Count]);
                    Cut(sheet, a.X, a.Y, b.X, b.Y);
                }
            }
        }
        else
        {
            Worn(s);
        }
    }

    private void Worn(string s)
    {
        if (Said(s, $"Glue (?<n>the|one) (?<stock>.+?)(?: for (?<for>the .+?))?, (?<w>{N}) × (?<h>{N}), to (?<many>each of these: )?(?<where>.+?)[,;] (?<border>with an even border|flush (?:all round|with the (?:left|right|top|bottom).*)|centred(?: from .+)?|(?:about )?{N} from (?:every edge|the (?:left|right|top|bottom).*))") is { } glued && Paper(glued["stock"], Figure(glued["w"]), Figure(glued["h"])) is { } paper)
        {
            foreach (var place in glued["many"].Length > 0 ? List(glued["where"]) : [glued["where"]])
            {
                var (times, where) = Said(place, "(?<face>.+), (?:(?<n>\\w+) times|(?<two>twice))") is { } t ? (t["two"].Length > 0 ? 2 : Number(t["n"]), t["face"]) : (1, place);
                var (over, _, face) = OnPaper(where);
                Because.Holds(over is null || _made.Papers.Any(p => p.Stock == over && p.On.Any(o => o.Face == face)), $"{over} is not on {face} yet");
                var border = Border(glued["border"]) with { Face = face, For = glued["for"].Length > 0 ? glued["for"] : null, Over = over, Times = times };
                Because.Holds(!paper.On.Any(o => o.Face == face && o.Over == over && o.Said == border.Said), $"{face} has that paper already");
                paper.On.Add(border);
            }
        }
        else if (Said(s, $"(?:Glue|Mount|Stamp|Heat-emboss|Print|Hang) (?<what>(?:the )?[^,]+), (?<w>{N}) × (?<h>{N}), (?:to|on) (?<where>.+?)(?:, on [\\d.]+ mm of foam)?: (?<place>.+)") is { } put)
        {
            var (stock, role, face) = OnPaper(put["where"]);
            Marked(put["what"], put["place"], put["where"]);
            _made.Things.Add(new MadeThing(put["what"], Figure(put["w"], put["h"]), Figure(put["h"]), face, stock, role, Place(put["place"])));
        }
        else if (Said(s, "Mark (?<on>.+?) lightly for (?<all>.+)") is { } mark)
        {
            foreach (var one in mark["all"].Split("; for "))
            {
                var (what, where) = one.Split(": ") is [var w, var p] ? (w, p) : throw new NotEnoughException($"marked for what: “{one}”");
                Because.Holds(_marks.TryAdd($"{what} | {where}", mark["on"]), $"{what} is marked twice");
            }
        }
        else if (Said(s, $"Cut (?<what>the window .+?), (?<w>{N}) × (?<h>{N}), out of (?<where>.+?)(?:, and out of the paper there once it is on|, out of the paper alone)?: (?<place>.+)") is { } window)
        {
            Marked(window["what"], window["place"], window["where"]);
            _made.Things.Add(new MadeThing(window["what"], Figure(window["w"], window["h"]), Figure(window["h"]), window["where"], null, null, Place(window["place"])));
        }
        else if (Said(s, "Put adhesive on that panel only|Tape the ends of its thread|Glue it to the clear strip, and the strip to the card|Its magnet goes over the other one") is null
            && Said(s, $"Run the die through twice, the second time {N} further") is null && Said(s, "Draw the \\w+ along the top of .+") is null && Said(s, $"Cut (?:\\w+ lengths of )?{N} of .+") is null)
        {
            throw new NotEnoughException($"what does that mean: “{s}”");
        }
    }

    /// <summary>A thing that goes on a paper says which: by its stock, and by what it is for where several of those lie there.</summary>
    private (string? Stock, string? For, string Face) OnPaper(string where)
    {
        var stock = _made.Papers.Select(p => p.Stock).Distinct().FirstOrDefault(s => where.StartsWith($"the {s} ", StringComparison.Ordinal));
        if (stock is null)
        {
            return (null, null, where);
        }

        var on = Said(where[$"the {stock} ".Length..], "(?:for (?<for>.+?) )?(?:on|that goes on) (?<face>.+)") ?? throw new NotEnoughException($"where on {stock}: “{where}”");
        var role = on["for"].Length > 0 ? on["for"] : null;
        var there = _made.Papers.Where(p => p.Stock == stock).SelectMany(p => p.On).Count(o => o.Face == on["face"] && o.For == role);
        Because.Holds(there <= 1, $"which {stock} on {on["face"]}?");
        return (stock, role, on["face"]);
    }

    private void Bonds(string say)
    {
        foreach (Match told in BondTold().Matches(say))
        {
            var what = told.Groups["what"].Value;
            Because.Holds(_bonded.Add(told.Value), $"{what} is bonded twice in one place");
            Marked($"{char.ToLowerInvariant(what[0])}{what[1..]}", told.Groups["place"].Value);
            (string, double, bool)[] from = [.. told.Groups["place"].Value.Split(", ").Select(p =>
                    (Place: p.StartsWith("its fold ", StringComparison.Ordinal) ? p[9..] : p, Fold: p.StartsWith("its fold ", StringComparison.Ordinal)))
                .SelectMany(p => p.Place.StartsWith("on ", StringComparison.Ordinal) ? [(p.Place[3..], 0, p.Fold)]
                    : Place(p.Place).Select(f => (f.Edge, f.Distance, p.Fold)))];
            _made.Bonds.AddRange(OnEach().Split(told.Groups["on"].Value).Select(on => new MadeBond(what, on, from)));
        }
    }

    /// <summary>What goes where it was marked for.</summary>
    private void Marked(string what, string place, string? where = null)
    {
        Because.Holds(where is null || !_marks.TryGetValue($"{what} | {place}", out var on) || on == where, $"{what} is marked on something else than {where}");
        _used.Add($"{what} | {place}");
    }

    private readonly Dictionary<string, string> _marks = [];
    private readonly HashSet<string> _used = [];
    private readonly HashSet<string> _bonded = [];

    private void Round(MadeSheet sheet, string box, string? stays)
    {
        var b = Said(box, $"from (?<l>{N}) to (?<r>{N}) from the left edge, from (?<b>{N}) to (?<t>{N}) from the bottom edge") ?? throw new NotEnoughException($"from where to where: “{box}”");
        var (l, r, low, top) = (Figure(b["l"]), Figure(b["r"]), Figure(b["b"]), Figure(b["t"]));
        foreach (var (side, x1, y1, x2, y2) in new[] { ("left", l, low, l, top), ("right", r, low, r, top), ("bottom", l, low, r, low), ("top", l, top, r, top) })
        {
            if (side != stays)
            {
                Cut(sheet, x1, y1, x2, y2);
            }
        }
    }

    private static void Corner(MadeSheet sheet, string corner, double w, double h)
    {
        var (x, y) = (corner.EndsWith("left", StringComparison.Ordinal) ? w : sheet.Width - w,
            corner.StartsWith("bottom", StringComparison.Ordinal) ? h : sheet.Height - h);
        Cut(sheet, x, corner.StartsWith("bottom", StringComparison.Ordinal) ? 0 : y, x,
            corner.StartsWith("bottom", StringComparison.Ordinal) ? y : sheet.Height);
        Cut(sheet, corner.EndsWith("left", StringComparison.Ordinal) ? 0 : x, y, corner.EndsWith("left", StringComparison.Ordinal) ? x
            : sheet.Width, y);
    }

    private static void Line(MadeSheet sheet, bool upright, double at, double a, double b) =>
        Cut(sheet, upright ? at : a, upright ? a : at, upright ? at : b, upright ? b : at);

    private static void Cut(MadeSheet sheet, double x1, double y1, double x2, double y2)
    {
        Because.Holds(new[] { x1, x2 }.All(x => x >= -0.1 && x <= sheet.Width + 0.1)
            && new[] { y1, y2 }.All(y => y >= -0.1 && y <= sheet.Height + 0.1), $"a cut past the edge of {sheet.Called}");
        Because.Holds(!Near(x1, x2) || !Near(y1, y2), $"a cut of no length in {sheet.Called}");
        Because.Holds(!sheet.Cuts.Any(c => Near(c.FromX, x1) && Near(c.FromY, y1) && Near(c.ToX, x2) && Near(c.ToY, y2)), $"{sheet.Called} is cut twice at one place");
        sheet.Cuts.Add(new MadeLine(x1, y1, x2, y2, null));
    }
}
