using System.CommandLine;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Cli;

/// <summary>The command line, a contract for scripts: 0 done, 2 not understood, 3 no figures can satisfy it.</summary>
internal static class CommandLine
{
    public const int Contradicts = 1, NotUnderstood = 2, NoFigures = 3;

    private const long LargestFile = 1024 * 1024;

    public static int Run(string[] args, TextWriter output, TextWriter error)
    {
        var root = new RootCommand("Whole Fold sizes cardmaking designs in figures that can be set on real tools.")
        {
            ConvertCommand.Make(output, error),
            PrintCommand.Make(output, error),
            PlanCommand.Make(output, error),
            OwnCommand.Make(output),
            ListCommands.Constructions(output),
            ListCommands.Formats(output),
            ListCommands.Check(output),
            ListCommands.Schema(output),
            ListCommands.Shelf(output),
            ServeCommand.Make("serve", "Serve the studio to this machine's browser.", demo: false, output),
            ServeCommand.Make("demo", "Serve the demo studio, with its own data.", demo: true, output),
        };
        var parsed = root.Parse(args);
        if (parsed.Errors.Count > 0)
        {
            foreach (var problem in parsed.Errors)
            {
                error.WriteLine(problem.Message);
            }

            error.WriteLine("See: ./wholefold --help");
            return NotUnderstood;
        }

        try
        {
            return parsed.Invoke(new InvocationConfiguration { Output = output, Error = error, EnableDefaultExceptionHandler = false });
        }
        catch (InputProblemException e)
        {
            error.WriteLine($"{e.Field}: {e.Reason}.");
            error.WriteLine($"Accepted: {e.Accepted}.");
            return NotUnderstood;
        }
        catch (NoFiguresException e)
        {
            error.WriteLine(e.Text.Write(DisplayUnit.Inch));
            return NoFigures;
        }
        catch (StudioUnusableException e)
        {
            error.WriteLine(e.Message);
            return NotUnderstood;
        }
    }

    /// <summary>Reads designs with what ships, and what a file of one's own adds.</summary>
    /// <exception cref="InputProblemException">The file is not understood.</exception>
    public static DesignReader Reader(FileInfo? workshop) =>
        new(ConstructionLibrary.Catalogue, workshop is null ? Inventory.Shipped : Inventory.Shipped.With(WrittenThings.Parse(ReadFile(workshop, "--workshop"), "--workshop"), "--workshop"));

    /// <exception cref="InputProblemException">There is no such file, or it is too large or cannot be read.</exception>
    public static string ReadFile(FileInfo file, string place)
    {
        if (!file.Exists)
        {
            throw new InputProblemException("file.missing", place, $"there is no file {file.Name}", "the path of a file");
        }

        try
        {
            return file.Length <= LargestFile ? File.ReadAllText(file.FullName) : throw new InputProblemException("file.size", place, $"{file.Name} is over a megabyte", "a file of at most 1 MB");
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new InputProblemException("file.unreadable", place, $"{file.Name} cannot be read", "a file that may be read");
        }
    }

    /// <summary>A design of a file in another format. One on its side stays on its side: turning is from how it lies at home.</summary>
    public static DesignSpec Converted(DesignSpec design, string? format, bool turn, DesignReader reader)
    {
        if (format is null && !turn)
        {
            return design;
        }

        var home = reader.Read(design with { Target = null, TargetTurn = false });
        var written = format is null ? design.Format : reader.FormatAsTyped(format, design);
        var known = FormatReader.Read(written, home.Design.Inventory.Formats, out _);
        return new ConvertTo(written, known is null ? turn : Target.Beside(home.Target, known, turn).Turn).Apply(design, reader);
    }

    /// <summary>What cannot hold together, and what would free it.</summary>
    public static int SayWhyNot(DesignSpec design, DesignReader reader, ReadDesign read, DisplayUnit unit, TextWriter error)
    {
        error.WriteLine("No figures can satisfy this. These cannot hold together:");
        foreach (var conflict in Sizer.ConflictsOf(read.Design, read.Target))
        {
            error.WriteLine($"  - {conflict.Text.Write(unit)}");
        }

        WriteWays(Ways.Of(design, reader), unit, error);
        return NoFigures;
    }

    /// <summary>What was found, or what was tried.</summary>
    public static void WriteWays(WaysOut ways, DisplayUnit unit, TextWriter to)
    {
        to.WriteLine(ways.Ways.Count > 0 ? "It fits if you:" : $"{ways.NoneWords}");
        foreach (var way in ways.Ways)
        {
            to.WriteLine($"  - {way.Text.Write(unit)}: {way.Costs.Write(unit)}");
        }
    }
}
