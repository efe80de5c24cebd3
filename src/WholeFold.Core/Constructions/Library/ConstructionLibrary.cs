namespace WholeFold.Core.Constructions.Library;

/// <summary>All constructions, in the order in which the shelf shows them.</summary>
public static class ConstructionLibrary
{
    public static IReadOnlyList<ConstructionFamily> All { get; } = [
        PlainFold.Family, DropFlap.Family,
        Gatefold.Family, SplitGatefold.Family, WingedLockGatefold.Family,
        Bridge.Family, TierScene.Family, FrontStep.Family, StairStep.Family,
        BayWindowHook.Family, TowerPinwheel.Family,
    ];

    public static ConstructionFamily? ById(string id) => All.FirstOrDefault(c => c.Id == id);
}
