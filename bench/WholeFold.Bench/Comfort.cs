using System.Globalization;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Bench;

/// <summary>Over every construction, format and turning: how many scores no groove holds, and how far parameters were moved for those that one does.</summary>
internal static class Comfort
{
    private static readonly bool[] Turns = [false, true];

    public static void Run(TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        foreach (var tools in new[] { "imperial-eighths", "metric-5mm", "both" })
        {
            var (scores, off, moved, past) = (0, 0, 0, 0);
            foreach (var design in from family in ConstructionLibrary.All from format in Inventory.Shipped.Formats from turn in Turns
                select new DesignSpec { Construction = family.Id, Format = format.Id, Turn = turn, Tools = tools })
            {
                var read = reader.Read(design);
                if (Sizer.TrySize(read.Design, read.Target) is not { } sized)
                {
                    continue;
                }

                var all = sized.Pieces.SelectMany(p => p.AllScores).Where(s => s.Axis is not null).ToList();
                scores += all.Count;
                off += all.Count(s => s.Figure.Setting is Setting.FromGroove or Setting.ByRuler);
                foreach (var parameter in sized.Parameters)
                {
                    var band = Length.Max(new Length(parameter.Ideal.Units * 15 / 100), Pair.Of(1, 16, 2.5m).For(sized.Tools.System));
                    moved++;
                    past += (parameter.Value - parameter.Ideal).Abs() > band ? 1 : 0;
                }
            }

            output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{tools}: {off} of {scores} scores off a groove ({100.0 * off / scores:0.0} %), {past} of {moved} parameters moved past their comfort ({100.0 * past / moved:0.0} %)"));
        }
    }
}
