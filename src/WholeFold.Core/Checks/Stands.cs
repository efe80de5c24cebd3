using System.Globalization;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>A card that stands falls once its centre of gravity is no longer over its feet.</summary>
internal sealed class Stands : ICheck
{
    /// <summary>A door that shuts or a sleeve that brushes past tips a card so far.</summary>
    private const double Steady = 1;

    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Standing is not { } standing || standing.Degrees >= Steady)
        {
            yield break;
        }

        var heaviest = card.Dressed.Elements.Where(e => e.On.Count > 0).MaxBy(e => (double)e.Width.Value.Units * e.Height.Value.Units * (e.Element.Stock.Weighs + (double)e.Element.Stands.Units));
        var falls = standing.Degrees <= 0;
        yield return new Check(
            "does-not-stand", falls ? Severity.Error : Severity.Caution,
            Words.Of($"{(falls ? "It falls over: its centre of gravity is not over its feet" : $"It stands unsteadily: tipped by {standing.Degrees.ToString("0.#", CultureInfo.InvariantCulture)}° it falls over")}; the centre is {standing.High} above the table."),
            new Dictionary<string, Length> { ["high"] = standing.High })
        {
            At = heaviest is null ? null : FoundAt.Of(heaviest.On[0]),
            Fix = heaviest is { Element.IsRaised: true } ? new Fix(new PutOn(heaviest.Element.Id, DressingWriter.Write(heaviest.Element) with { Place = new PlaceSpec("foot") }), Words.Of($"put {heaviest.Element.Name} at the foot")) : null,
        };
    }
}
