using System.Text.RegularExpressions;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange.Machines;

/// <summary>A caliper that sends its readings, one line each: <c>CALIPER 0.34 mm</c>.</summary>
public interface ICaliperLink
{
    string Name { get; }

    /// <summary>The next line, as it came; null where none did in time.</summary>
    string? Next();
}

/// <summary>A stand-in for such a caliper, closed on one sheet of card.</summary>
public sealed class SimulatedCaliper(Length thick, Fault fault = Fault.None) : ICaliperLink
{
    public string Name => "caliper (simulated)";

    public string? Next()
    {
        var line = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"CALIPER {thick.Millimetres:0.00} mm\n");
        return fault switch { Fault.NoAnswer => null, Fault.WrongUnit => line.Replace("mm", "mil", StringComparison.Ordinal), Fault.HalfAMessage => line[..11], _ => line };
    }
}

/// <summary>Reads what a caliper sends, and takes nothing that it did not say whole.</summary>
public static partial class CaliperLine
{
    public const string Accepted = "a whole line such as CALIPER 0.34 mm or CALIPER 0.0134 in, ended by a line feed, from 0.05 to 1 mm";

    private const int Longest = 40;

    private static Regex Form => field ??= new Regex(@"^CALIPER (?<n>\d{1,2}(?:\.\d{1,4})?) (?<unit>mm|in)\r?\n$", RegexOptions.CultureInvariant);

    /// <exception cref="InputProblemException">Nothing came, half a line, or none that can be a card.</exception>
    public static Length Read(string? line)
    {
        InputProblemException Problem(string reason) => MachineProblem.Of("caliper", reason, Accepted);
        if (line is null)
        {
            throw Problem("the caliper does not answer");
        }

        if (line.Length > Longest || !line.EndsWith('\n'))
        {
            throw Problem(line.Length > Longest ? "the caliper sends far too much at once" : $"the caliper sent half a line: “{line}”");
        }

        if (!Form.IsMatch(line))
        {
            throw Problem($"the caliper sent “{line.Trim()}”, which is no reading in millimetres or inches");
        }

        var said = Form.Match(line);
        return LengthReader.TryRead($"{said.Groups["n"].Value} {said.Groups["unit"].Value}", DisplayUnit.Millimetre, out var read, out _) && read >= Length.Mm(0.05m) && read <= Length.Mm(1) ? read
            : throw Problem($"the caliper reads {said.Groups["n"].Value} {said.Groups["unit"].Value}, and no card is that thin or thick");
    }
}
