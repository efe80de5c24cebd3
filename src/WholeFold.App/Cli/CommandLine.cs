using System.CommandLine;
using System.Text.Json;
using WholeFold.App.Features.Lists;
using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Cli;

/// <summary>The command line, a contract for scripts: 0 done, 2 not understood, 3 no figures can satisfy it.</summary>
internal static class CommandLine
{
    private const int Contradicts = 1, NotUnderstood = 2, NoFigures = 3;

    public static int Run(string[] args, TextWriter output, TextWriter error)
    {
        var root = new RootCommand("Whole Fold sizes cardmaking designs in figures that can be set on real tools.")
        {
            Convert(output, error),
            Constructions(output),
            FormatList(output),
            CheckList(output),
            Serve("serve", "Serve the studio to this machine's browser.", demo: false, output),
            Serve("demo", "Serve the demo studio, with its own data.", demo: true, output),
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
    }

    private static Command Convert(TextWriter output, TextWriter error)
    {
        var construction = new Option<string?>("--construction") { Description = "Id of a construction; see: wholefold constructions" };
        var file = new Option<FileInfo?>("--design") { Description = "A design file instead of a construction." };
        var format = new Option<string?>("--format") { Description = "A format's id or a size with its unit, such as 5x5in; see: wholefold formats" };
        var turn = new Option<bool>("--turn") { Description = "Turn the format on its side." };
        var units = new Option<string?>("--units") { Description = "in, cm or mm: the unit of texts and of bare numbers." };
        var tools = new Option<string?>("--tools") { Description = "imperial-eighths, metric-5mm, both, ruler or machine." };
        var stock = new Option<string?>("--stock") { Description = "Id of a stock, such as card-270." };
        var caliper = new Option<string?>("--caliper") { Description = "The card's caliper: 0.33mm, 13pt, a stack such as 3.4mm/10, or a weight such as \"110lb cover\"." };
        var reveal = new Option<string?>("--reveal") { Description = "thin, standard, framed, wide, flush or a width." };
        var priority = new Option<string?>("--priority") { Description = "format, board or proportions." };
        var set = new Option<string[]>("--set") { Description = "NAME=VALUE: sets a parameter by hand. May be given several times." };
        var prefer = new Option<string[]>("--prefer") { Description = $"{string.Join(", ", Preferences.All.Select(p => p.Id))}. May be given several times." };
        var workshop = new Option<FileInfo?>("--workshop") { Description = "A file with tools and stocks of your own." };
        var sheet = new Option<bool>("--sheet") { Description = "Write the figure sheet: every figure in inches and in centimetres." };
        var json = new Option<bool>("--json") { Description = "Write the whole result as JSON." };
        var command = new Command("convert", "Size a design for a format.") { construction, file, format, turn, units, tools, stock, caliper, reveal, priority, set, prefer, workshop, sheet, json };
        command.SetAction(parsed =>
        {
            var pins = ReadSet(parsed.GetValue(set) ?? []);
            var path = parsed.GetValue(file);
            DesignSpec spec;
            if (path is not null)
            {
                if (parsed.GetValue(construction) is not null)
                {
                    throw new InputProblemException("design.twice", "--design", "a design file already names its construction", "either --design FILE or --construction ID");
                }

                spec = DesignSpec.Parse(ReadFile(path, "--design"), "--design");
                var target = parsed.GetValue(format);
                if (target is not null || parsed.GetValue(turn))
                {
                    spec = spec with { Target = target ?? spec.Format, TargetTurn = parsed.GetValue(turn) };
                }

                spec = WithPinsHere(spec, pins);
            }
            else
            {
                spec = new DesignSpec { Construction = parsed.GetValue(construction) ?? "", Format = parsed.GetValue(format) ?? "", Turn = parsed.GetValue(turn), Set = pins };
            }

            var own = parsed.GetValue(workshop) is { } ownFile ? Workshop.Parse(ReadFile(ownFile, "--workshop"), "--workshop") : Workshop.Empty;
            spec = spec with
            {
                Prefer = [.. spec.Prefer.Union(parsed.GetValue(prefer) ?? [])],
                Own = own.With(spec.Own),
                Units = parsed.GetValue(units) ?? spec.Units,
                Tools = parsed.GetValue(tools) ?? spec.Tools,
                Stock = parsed.GetValue(stock) ?? spec.Stock,
                Caliper = parsed.GetValue(caliper) ?? spec.Caliper,
                Reveal = parsed.GetValue(reveal) ?? spec.Reveal,
                Priority = parsed.GetValue(priority) ?? spec.Priority,
            };
            var read = DesignReader.Read(spec);

            // Without a word on units, a result is written in its own format's system.
            var unit = spec.Units is null && read.Target.Format.System != read.Design.Home.Format.System
                ? read.Target.Format.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre
                : read.Unit;
            if (Sizer.TrySize(read.Design, read.Target) is not { } sized)
            {
                return SayWhyNot(read, unit, error);
            }

            var asJson = parsed.GetValue(json);
            output.WriteLine(parsed.GetValue(sheet)
                ? asJson ? SheetJson.Write(FigureSheet.Of(sized)) : PlainText.WriteSheet(sized)
                : asJson ? SizedJson.Write(sized, unit) : PlainText.Write(sized, unit));
            return 0;
        });
        return command;
    }

    private static int SayWhyNot(ReadDesign read, DisplayUnit unit, TextWriter error)
    {
        error.WriteLine("No figures can satisfy this. These cannot hold together:");
        foreach (var conflict in Sizer.ConflictsOf(read.Design, read.Target))
        {
            error.WriteLine($"  - {conflict.Text}");
        }

        var remedies = Remedies.Of(read.Design, read.Target);
        error.WriteLine(remedies.Count == 0 ? "Nothing that could be given up here makes it go; take other tools, or another format." : "It goes if you:");
        foreach (var remedy in remedies)
        {
            error.WriteLine($"  - {remedy.Text.In(unit)}");
        }

        return NoFigures;
    }

    /// <summary>A pin on the command line holds for the format asked for, whatever the file says.</summary>
    private static DesignSpec WithPinsHere(DesignSpec spec, Dictionary<string, string> pins)
    {
        if (pins.Count == 0)
        {
            return spec;
        }

        var read = DesignReader.Read(spec);
        var choices = read.Design.Family.Choices.Select(c => c.Id).ToHashSet();
        var set = Merge(spec.Set, pins.Where(p => choices.Contains(p.Key) || read.Target.Key == read.Design.Home.Key));
        var here = Merge(spec.Adjustments.GetValueOrDefault(read.Target.Key) ?? new Dictionary<string, string>(), pins.Where(p => !choices.Contains(p.Key)));
        var adjustments = spec.Adjustments.ToDictionary(a => a.Key, a => a.Value);
        adjustments[read.Target.Key] = here;
        return spec with { Set = set, Adjustments = adjustments };
    }

    private static Dictionary<string, string> Merge(IReadOnlyDictionary<string, string> first, IEnumerable<KeyValuePair<string, string>> second)
    {
        var merged = new Dictionary<string, string>(first);
        foreach (var (name, value) in second)
        {
            merged[name] = value;
        }

        return merged;
    }

    private static string ReadFile(FileInfo file, string place)
    {
        const long largest = 1024 * 1024;
        if (!file.Exists)
        {
            throw new InputProblemException("file.missing", place, $"there is no file {file.Name}", "the path of a file");
        }

        return file.Length <= largest ? File.ReadAllText(file.FullName) : throw new InputProblemException("file.size", place, $"{file.Name} is over a megabyte", "a file of at most 1 MB");
    }

    private static Dictionary<string, string> ReadSet(string[] pins)
    {
        var set = new Dictionary<string, string>();
        foreach (var pin in pins)
        {
            var at = pin.IndexOf('=', StringComparison.Ordinal);
            if (at <= 0 || at == pin.Length - 1)
            {
                throw new InputProblemException("set.unreadable", "--set", $"“{pin}” is not NAME=VALUE", "a parameter and its value, such as --set centre=1in");
            }

            if (!set.TryAdd(pin[..at].Trim(), pin[(at + 1)..].Trim()))
            {
                throw new InputProblemException("set.twice", "--set", $"{pin[..at]} is set twice", "each parameter once");
            }
        }

        return set;
    }

    private static Command Constructions(TextWriter output)
    {
        var json = new Option<bool>("--json") { Description = "Write the list as JSON." };
        var command = new Command("constructions", "List the constructions with their parameters.") { json };
        command.SetAction(parsed =>
        {
            var list = ConstructionLibrary.All.Select(ConstructionEntry.Of).ToList();
            output.WriteLine(parsed.GetValue(json) ? JsonSerializer.Serialize(list, SizedJson.Options) : string.Join(Environment.NewLine, list.Select(c => c.Text())));
            return 0;
        });
        return command;
    }

    private static Command FormatList(TextWriter output)
    {
        var json = new Option<bool>("--json") { Description = "Write the list as JSON." };
        var command = new Command("formats", "List the formats known by name.") { json };
        command.SetAction(parsed =>
        {
            if (parsed.GetValue(json))
            {
                var list = Formats.All.Select(f => new { f.Id, f.Name, System = f.System == UnitSystem.Imperial ? "in" : "mm", Width = LengthJson.Of(f.Width), Height = LengthJson.Of(f.Height) });
                output.WriteLine(JsonSerializer.Serialize(list, SizedJson.Options));
                return 0;
            }

            foreach (var f in Formats.All)
            {
                var unit = f.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
                output.WriteLine($"{f.Id,-14} {f.Name,-14} {LengthWriter.Write(f.Width, unit)} × {LengthWriter.WithUnit(f.Height, unit)}");
            }

            return 0;
        });
        return command;
    }

    private static Command CheckList(TextWriter output)
    {
        var file = new Argument<FileInfo>("list") { Description = "A text file with lines such as: width 10, scores 1/2, 2 1/2 …" };
        var units = new Option<string>("--units") { Description = "The unit of bare numbers: in, cm or mm.", DefaultValueFactory = _ => "in" };
        var json = new Option<bool>("--json") { Description = "Write the findings as JSON." };
        var command = new Command("check", "Look through a measure list for what contradicts itself.") { file, units, json };
        command.SetAction(parsed =>
        {
            var findings = ListEndpoints.Check(ReadFile(parsed.GetValue(file)!, "list"), parsed.GetValue(units)!);
            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(findings, SizedJson.Options));
            }
            else if (findings.Count == 0)
            {
                output.WriteLine("Nothing in this list contradicts itself.");
            }

            foreach (var finding in parsed.GetValue(json) ? [] : findings)
            {
                output.WriteLine($"line {finding.Line}: {finding.Text}");
                foreach (var likely in finding.Likely)
                {
                    output.WriteLine($"    {likely.Because}");
                }
            }

            return findings.Count == 0 ? 0 : Contradicts;
        });
        return command;
    }

    private static Command Serve(string name, string description, bool demo, TextWriter output)
    {
        var port = new Option<int>("--port") { Description = "The port to listen on.", DefaultValueFactory = _ => 5080 };
        var data = new Option<DirectoryInfo?>("--data") { Description = "The folder that holds the studio's data." };
        var listen = new Option<string>("--listen") { Description = "The address to listen on; loopback only.", DefaultValueFactory = _ => "127.0.0.1" };
        var noOpen = new Option<bool>("--no-open") { Description = "Do not open a browser." };
        var command = new Command(name, description) { port, data, listen };
        if (demo)
        {
            command.Add(noOpen);
        }

        command.SetAction(async (parsed, cancel) =>
        {
            var number = parsed.GetValue(port);
            if (number is < 1 or > 65535)
            {
                throw new InputProblemException("port.range", "--port", $"{number} is not a port", "1 to 65535, such as 5080");
            }

            var address = parsed.GetValue(listen)!;
            if (address is not ("127.0.0.1" or "localhost" or "::1"))
            {
                throw new InputProblemException("listen.refused", "--listen", $"{address} would open the studio to other machines, which needs a passphrase that this version cannot ask for yet", "127.0.0.1");
            }

            var folder = parsed.GetValue(data)?.FullName ?? DefaultFolder(demo);
            var url = $"http://{(address == "::1" ? "[::1]" : address)}:{number}";
            await using var app = WebHost.Build([$"--urls={url}", $"--Studio:Folder={folder}", $"--Studio:Demo={demo}"]);
            try
            {
                await app.StartAsync(cancel);
            }
            catch (IOException)
            {
                throw new InputProblemException("port.taken", "--port", $"something else is listening on {number}", $"a free port, such as --port {number + 1}");
            }

            await app.Services.GetRequiredService<StudioPreparation>().Ready;
            await output.WriteLineAsync($"Whole Fold is open at {url} (data in {folder}). Ctrl+C closes it.");
            if (demo && !parsed.GetValue(noOpen))
            {
                Browser.Open(url);
            }

            await app.WaitForShutdownAsync(cancel);
            return 0;
        });
        return command;
    }

    private static string DefaultFolder(bool demo)
    {
        var home = Environment.GetEnvironmentVariable("XDG_DATA_HOME") is { Length: > 0 } xdg ? xdg : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), ".local", "share");
        return Path.Combine(home, "wholefold", demo ? "demo" : "studio");
    }
}
