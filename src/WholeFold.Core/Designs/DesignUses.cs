namespace WholeFold.Core.Designs;

/// <summary>What of the things to hand a design is made with, by kind and id: none of those may be thrown away while it can be gone back to.</summary>
public static class DesignUses
{
    public static IEnumerable<(string Kind, string Id)> Of(DesignSpec design)
    {
        ArgumentNullException.ThrowIfNull(design);
        var dressing = design.Dressing ?? new DressingSpec();
        var tools = design.Set.Values.Concat(design.Adjustments.Values.SelectMany(a => a.Values)).Select(f =>
            f.Tools).Append(design.Tools).Append(design.Guest);
        var stocks = design.PieceStocks.Values.Append(design.Stock).Append(design.LayerStock).Append(design.MatStock)
            .Concat(dressing.Layers.Select(l => l.Stock)).Concat(dressing.Elements.Select(e => e.Stock));

        // Of an adjustment its format, with how it is turned taken off.
        var formats = design.Adjustments.Keys.Select(k => k.Split(':')[0]).Append(design.Format).Append(design.Target);
        return new[]
        {
            ("tools", tools), ("stocks", stocks), ("formats", formats), ("adhesives", [design.Adhesive]), ("sheets", design.Sheets), ("dies", dressing.Windows.Select(w => w.Die)),
        }.SelectMany(k => k.Item2.OfType<string>().Select(id => (k.Item1, id))).Distinct();
    }
}
