using WholeFold.Core.Input;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>A tip as it is written down.</summary>
/// <param name="At">Which kind of step: cut, score, window, fold, bond, paper, stamp, raise or finish.</param>
/// <param name="If">What must be so; always where it is not said.</param>
/// <param name="Off">Whether it is not said: with the id of one that ships, that one is switched off.</param>
public sealed record TipSpec(string Id, string Name, string Text, string At, string? If = null, bool Off = false);

/// <summary>What hands know, shown at the step where it holds.</summary>
public sealed class TipKind : Kind<Tip, TipSpec>
{
    private const int Longest = 200;

    public override string Id => "tips";

    public override string Name => "Tips";

    public override string One => "tip";

    public override string Meaning => "what hands know, shown at the step where it holds";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "about", "text", "Close scores"),
        new("text", "what to do", "text", "Score the two closest lines first."),
        new("at", "at the step", "option", "score", Options: OptionsOf<TipAt>()),
        new("if", "only if", "option", "always", Optional: true, Options: OptionsOf<TipIf>()),
        new("off", "switched off", "yes", "", Optional: true),
    ];

    public override IThing? WhenAway(IThing thing) => thing is Tip tip ? tip with { IsOff = true } : null;

    protected override string Example => """{"id": "close-scores", "name": "Close scores", "text": "Score the two closest lines first.", "at": "score", "if": "closeScores"}""";

    protected override Tip Read(TipSpec written, string place)
    {
        var text = written.Text.Trim();
        if (text.Length is 0 or > Longest || text.Any(char.IsControl))
        {
            throw new InputProblemException("own.range", $"{place}.text", text.Length == 0 ? "it says nothing"
                : text.Any(char.IsControl) ? "there are control marks in it" : $"it has {text.Length} characters", $"1 to {Longest} characters in one line");
        }

        return new Tip(IdOf(written.Id, place), NameOf(written.Name, place, "Close scores"), text, OneOf<TipAt>(written.At, "tip.at", $"{place}.at"),
            written.If is { } only ? OneOf<TipIf>(only, "tip.if", $"{place}.if") : TipIf.Always, written.Off);
    }

    protected override string Describe(Tip thing) => thing.IsOff ? "switched off" : thing.Text;
}
