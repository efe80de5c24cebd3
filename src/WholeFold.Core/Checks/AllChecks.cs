
namespace WholeFold.Core.Checks;

/// <summary>Every check there is.</summary>
internal static class AllChecks
{
    private static readonly ICheck[] Checks = [new BondsCoincide(), new ElementTooLarge(), new BondedAcrossCrease(), new AdhesiveExposed(), new InkOverNothing(),
        new LiesUnder(), new ContourOnCrease(), new SlideBinds(), new SpinnerTurns(), new LockCatches(), new FacesCollide(), new RaisedTogether(), new SticksOut(),
        new Stands(), new RoundedFigures(), new NotProvenBest(), new ClosedInFormat(), new RoundACard(), new UnderFormat(), new SheetFits(), new EasedToSheet(),
        new BegunWithBlank(), new ScoresOffGroove(), new ZeroByHand(), new LockedPastLimit(), new TabNarrow(), new WindowMargin(), new DieNotOwned(),
        new MarksTheFront(), new PlaceToWrite(), new LightCard(), new CarrierTakes(), new TapeWiderThanTab(), new WhiteCore(), new UnequalPieces(),
        new NobodySees(), new SceneHidden(), new MovedIn(), new SetByHand(), new WetGlue(), new ScoredWithCare(), new CrossGrain(), new EnvelopeFits(), new KnifeWork(),
        new LongerThanTools(), new OneSided(), new Directional()];

    /// <summary>All findings, the gravest first, and of two as grave the one that is looked for first.</summary>
    public static IReadOnlyList<Check> Run(ICard card) =>
        [.. Checks.SelectMany(c => c.Find(card)).OrderByDescending(c => c.Severity)];
}
