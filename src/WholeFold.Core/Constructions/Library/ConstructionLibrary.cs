using WholeFold.Core.Inventories;

namespace WholeFold.Core.Constructions.Library;

/// <summary>All constructions, in the order in which the shelf shows them.</summary>
public static class ConstructionLibrary
{
    public static IReadOnlyList<ConstructionFamily> All { get; } = [
        PlainFold.Family, DropFlap.Family, SpinnerWindow.Family,
        Gatefold.Family, SplitGatefold.Family, WingedLockGatefold.Family, SleeveGatefold.Family,
        Bridge.Family, TierScene.Family, ShadowBox.Family, PillarTiers.Family, FrontStep.Family, StairStep.Family,
        InsideBox.Family, InsideTunnel.Family, PeakTunnel.Family, TroughPopUp.Family, TwistPop.Family, TwistPopWide.Family,
        BayWindowHook.Family, BayWindowStop.Family, SliderStand.Family, TowerPinwheel.Family,
        DoubleSwing.Family, NeverEnding.Family, Envelope.Family, BoxEnvelope.Family,
    ];

    /// <summary>The same, to be handed to whoever reads designs.</summary>
    public static Catalogue Catalogue { get; } = new(All);
}
