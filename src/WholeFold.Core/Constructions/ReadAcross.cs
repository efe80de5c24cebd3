using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;

namespace WholeFold.Core.Constructions;

/// <summary>
/// A construction whose names and texts follow a reader who holds it a quarter turn on: what was at the left is at the top then. Its
/// figures and ids are the same.
/// </summary>
internal static class ReadAcross
{
    private static readonly ConditionalWeakTable<Construction, Construction> Turned = [];

    /// <summary>As it is read when it opens so: the same value each time it is asked for.</summary>
    public static Construction Of(Construction construction, Opens? opens)
    {
        if (opens is not { } way || construction.LookedAt is not { Spine: not null } at)
        {
            return construction;
        }

        var fromHead = construction.Pieces.First(p => p.Id == at.Plate.Piece.Piece).FromHead;
        return at.Usual(fromHead) == way ? construction : Turned.GetValue(construction, c => Turn(c, way == Opens.Upwards));
    }

    /// <param name="up">Whether the spine goes from the left to the top; from the top to the left where it does not.</param>
    private static Construction Turn(Construction c, bool up)
    {
        string Say(string text) => Sides.Replace(text, side => To(side.Value, up));
        string? SayAny(string? text) => text is null ? null : Say(text);
        Limit Hold(Limit limit) => limit with { Because = Say(limit.Because) };
        return c with
        {
            Parameters = [.. c.Parameters.Select(p => p with
            {
                Name = Say(p.Name), Meaning = Say(p.Meaning), Rule = Say(p.Rule), Min = [.. p.Min.Select(Hold)],
                    Max = [.. p.Max.Select(Hold)],
                Least = Say(p.Least), Most = Say(p.Most), ZeroByHand = SayAny(p.ZeroByHand), So = SayAny(p.So),
            })],
            Requirements = [.. c.Requirements.Select(r => r with { Because = Say(r.Because) })],
            Pieces = [.. c.Pieces.Select(p => p with
            {
                Name = Say(p.Name),
                SizeRule = Say(p.SizeRule),
                AcrossRule = Say(p.AcrossRule),
                Creases = [.. p.Creases.Select(q => q with { Rule = Say(q.Rule) })],
                Panels = [.. p.Panels.Select(q => q with { Name = Say(q.Name), Min = Hold(q.Min) })],
                OwnPlates = p.OwnPlates is null ? null : [.. p.OwnPlates.Select(q => q with { Name = Say(q.Name) })],
                Openings = [.. p.Openings.Select(o => o with { Name = Say(o.Name), Rule = Say(o.Rule) })],
            })],
            Layers = [.. c.Layers.Select(l => l with { Name = Say(l.Name) })],
            Bonds = [.. c.Bonds.Select(b => b with { LinedUp = Say(b.LinedUp) })],
            Steps = [.. c.Steps.Select(s => s with { Text = Say(s.Text), RightWhen = SayAny(s.RightWhen) })],
            Places = [.. c.Places.Select(p => p with { What = Say(p.What), From = Say(p.From) })],
            Watch = [.. c.Watch.Select(Say)],
            Troubles = [.. c.Troubles.Select(t => new Trouble(Say(t.Sign), Say(t.Cause), Say(t.Remedy)))],
        };
    }

    /// <summary>A quarter turn with the clock takes the left to the top; against it the top to the left.</summary>
    private static string To(string side, bool up)
    {
        var turned = (side.ToLowerInvariant(), up) switch
        {
            ("left", true) => "top",
            ("right", true) => "bottom",
            ("head" or "top" or "upper", true) => "right",
            ("foot" or "bottom" or "lower", true) => "left",
            ("left", false) => "bottom",
            ("right", false) => "top",
            ("head" or "top" or "upper", false) => "left",
            _ => "right",
        };
        return char.IsUpper(side[0]) ? char.ToUpperInvariant(turned[0]) + turned[1..] : turned;
    }

    /// <summary>A side as a word: not what is left over, no right angle, and nobody's right way up.</summary>
    private static Regex Sides => field ??= new Regex(
        @"\b(?:(?<!\b(?:is|are|was|what) )left(?! over\b)|right(?! (?:angle|way|length)\b)|head|foot|top|bottom|upper|lower)\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant);
}
