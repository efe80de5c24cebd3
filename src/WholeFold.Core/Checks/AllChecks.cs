
namespace WholeFold.Core.Checks;

/// <summary>Every check there is.</summary>
internal static class AllChecks
{
    private static readonly ICheck[] Checks = [new BondsCoincide(), new RoundedFigures(), new NotProvenBest(), new ClosedInFormat(), new RoundACard(), new UnderFormat(), new SheetFits(), new EasedToSheet(), new BegunWithBlank(), new ScoresOffGroove(), new ZeroByHand(), new LockedPastLimit(), new TabNarrow(), new SetByHand(), new WetGlue(), new ScoredWithCare(), new CrossGrain(), new EnvelopeFits(), new KnifeWork(), new LongerThanTools(), new OneSided(), new Directional()];

    /// <summary>All findings, the gravest first, and of two as grave the one that is looked for first.</summary>
    public static IReadOnlyList<Check> Run(ICard card) =>
        [.. Checks.SelectMany(c => c.Find(card)).OrderByDescending(c => c.Severity)];
}
