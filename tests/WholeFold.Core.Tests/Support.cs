using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Tests;

internal static class Support
{
    public static Length In(string text) => LengthReader.TryRead(text, DisplayUnit.Inch, out var value, out var problem) ? value : throw new ArgumentException(problem!.Reason);

    public static DesignSpec Spec(string construction, string format, params string[] set) => new()
    {
        Construction = construction,
        Format = format,
        Set = set.Select(s => s.Split('=')).ToDictionary(p => p[0], p => p[1]),
    };

    public static SizedDesign Size(DesignSpec spec)
    {
        var read = DesignReader.Read(spec);
        return Sizer.Size(read.Design, read.Target);
    }

    /// <summary>Null where the construction does not go in this format.</summary>
    public static SizedDesign? Try(DesignSpec spec)
    {
        var read = DesignReader.Read(spec);
        return Attempt.Of(read.Design, read.Target).Sized;
    }

    public static SizedPiece Piece(this SizedDesign sized, string id) => sized.Pieces.Single(p => p.Piece.Id == id);

    public static IEnumerable<Length> Scores(this SizedDesign sized, string piece) => sized.Piece(piece).Scores.Select(s => s.Figure.Value);

    /// <summary>Every construction with every one of its choices.</summary>
    public static IEnumerable<(ConstructionFamily Family, Dictionary<string, string> Choices)> Variants()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            IEnumerable<Dictionary<string, string>> all = [[]];
            foreach (var choice in family.Choices)
            {
                all = all.SelectMany(c => choice.Options.Select(o => new Dictionary<string, string>(c) { [choice.Id] = o }));
            }

            foreach (var choices in all)
            {
                yield return (family, choices);
            }
        }
    }

    /// <summary>Every construction × format × turning for the given tools, a calliper and a priority, as a design to size.</summary>
    public static IEnumerable<DesignSpec> Grid(string tools, string? caliper = null, string priority = "format") =>
        from variant in Variants()
        from format in Formats.All
        from turn in format.Width == format.Height ? new[] { false } : [false, true]
        select new DesignSpec { Construction = variant.Family.Id, Format = format.Id, Turn = turn, Tools = tools, Caliper = caliper, Priority = priority, Set = variant.Choices };

    public static string Named(this DesignSpec spec) => $"{spec.Construction} {string.Join(' ', spec.Set)} in {spec.Format}{(spec.Turn ? " turned" : "")} with {spec.Tools}, {spec.Priority} first, card {spec.Caliper}";
}
