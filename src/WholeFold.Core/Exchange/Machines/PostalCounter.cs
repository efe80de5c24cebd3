using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange.Machines;

/// <summary>A class of post: the most that goes in it.</summary>
/// <param name="Pence">What it costs, in hundredths of the country's money.</param>
public sealed record PostClass(string Name, Length Long, Length Short, Length Thick, double Grams, int Pence);

/// <summary>What something costs to send, and in which class.</summary>
/// <param name="Why">What keeps it out of the class before; null where it goes in the cheapest.</param>
public sealed record Postage(string Counter, PostClass Class, string? Why);

/// <summary>Whoever says what it costs to send something.</summary>
public interface IPostalCounter
{
    string Name { get; }

    /// <exception cref="InputProblemException">It goes in no class, or there is no answer.</exception>
    Postage Price(Length width, Length height, Length thick, double grams);
}

/// <summary>A stand-in for a postal counter with example tariffs. They are invented, and no country's.</summary>
public sealed class SimulatedPostalCounter(Fault fault = Fault.None) : IPostalCounter
{
    /// <summary>The cheapest first.</summary>
    public static IReadOnlyList<PostClass> Classes { get; } =
    [
        new("letter", Length.Mm(240), Length.Mm(165), Length.Mm(5), 100, 110),
        new("large letter", Length.Mm(353), Length.Mm(250), Length.Mm(25), 750, 240),
        new("small parcel", Length.Mm(450), Length.Mm(350), Length.Mm(160), 2000, 420),
    ];

    public string Name => "postal counter (simulated, example tariffs)";

    public Postage Price(Length width, Length height, Length thick, double grams)
    {
        const string again = "the same card, asked about again; nothing was lost";
        if (fault is Fault.NoAnswer or Fault.HalfAMessage)
        {
            throw MachineProblem.Of("post", fault == Fault.NoAnswer ? "the postal counter does not answer" : "the postal counter’s answer ends in the middle", again);
        }

        if (fault == Fault.WrongUnit)
        {
            throw MachineProblem.Of("post", "the postal counter answered in ounces, and grams were agreed", again);
        }

        string? why = null;
        foreach (var its in Classes)
        {
            var reason = TooMuch(its, Length.Max(width, height), Length.Min(width, height), thick, grams);
            if (reason is null)
            {
                return new Postage(Name, its, why);
            }

            why ??= reason;
        }

        throw MachineProblem.Of("post", $"it goes in no class of post: {why}", $"up to {Classes[^1].Long.Millimetres:0} × {Classes[^1].Short.Millimetres:0} × {Classes[^1].Thick.Millimetres:0} mm and {Classes[^1].Grams:0} g");
    }

    private static string? TooMuch(PostClass its, Length longer, Length shorter, Length thick, double grams) =>
        longer > its.Long ? $"too long for a {its.Name}: {longer.Millimetres:0} mm, and {its.Long.Millimetres:0} go"
        : shorter > its.Short ? $"too wide for a {its.Name}: {shorter.Millimetres:0} mm, and {its.Short.Millimetres:0} go"
        : thick > its.Thick ? $"too thick for a {its.Name}: {thick.Millimetres:0.0} mm, and {its.Thick.Millimetres:0} go"
        : grams > its.Grams ? $"too heavy for a {its.Name}: {grams:0} g, and {its.Grams:0} go" : null;
}
