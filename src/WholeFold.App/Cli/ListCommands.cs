using System.CommandLine;
using System.Text;
using System.Text.Json;
using WholeFold.App.Features.Shelf;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Exchange;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.App.Cli;

/// <summary>What there is, what a typed list contradicts, and the schemas of what is written.</summary>
internal static class ListCommands
{
    public static Command Constructions(TextWriter output)
    {
        var json = new Option<bool>("--json") { Description = "Write the list as JSON." };
        var command = new Command("constructions", "List the constructions with their parameters.") { json };
        command.SetAction(parsed =>
        {
            var list = ConstructionLibrary.All.Select(ConstructionEntry.Of).ToList();
            output.WriteLine(parsed.GetValue(json) ? JsonSerializer.Serialize(list, StrictJson.Options) : string.Join(Environment.NewLine, list.Select(c => c.Text())));
            return 0;
        });
        return command;
    }

    public static Command Formats(TextWriter output)
    {
        var json = new Option<bool>("--json") { Description = "Write the list as JSON." };
        var command = new Command("formats", "List the formats known by name.") { json };
        command.SetAction(parsed =>
        {
            if (parsed.GetValue(json))
            {
                var list = Inventory.Shipped.Formats.Select(f =>
                    new { f.Id, f.Name, System = f.System == UnitSystem.Imperial ? "in" : "mm", Width = LengthJson.Of(f.Width), Height = LengthJson.Of(f.Height) });
                output.WriteLine(JsonSerializer.Serialize(list, StrictJson.Options));
                return 0;
            }

            foreach (var f in Inventory.Shipped.Formats)
            {
                var unit = f.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
                output.WriteLine($"{f.Id,-14} {f.Name,-14} {LengthWriter.Write(f.Width, unit)} × {LengthWriter.WithUnit(f.Height, unit)}");
            }

            return 0;
        });
        return command;
    }

    public static Command Check(TextWriter output)
    {
        var file = new Argument<FileInfo>("list") { Description = "A text file with lines such as: width 10, scores 1/2, 2 1/2 …" };
        var units = new Option<string>("--units") { Description = "The unit of bare numbers: in, cm or mm.", DefaultValueFactory = _ => "in" };
        var json = new Option<bool>("--json") { Description = "Write the findings as JSON." };
        var construction = new Option<string?>("--construction") { Description = "Hold the list against a construction: which figures contradict its rules." };
        var set = new Option<string[]>("--set") { Description = "NAME=OPTION: a choice of the construction. May be given several times." };
        var command = new Command("check", "Look through a measure list for what contradicts itself.") { file, units, construction, set, json };
        command.SetAction(parsed =>
        {
            var unit = UnitReader.Read(parsed.GetValue(units)!, "--units");
            var list = MeasureList.Read(CommandLine.ReadFile(parsed.GetValue(file)!, "list"), unit);
            var findings = ListChecker.Check(list).ToList();
            if (parsed.GetValue(construction) is { } id)
            {
                var reader = CommandLine.Reader(null);
                var design = new DesignSpec { Construction = id, Format = unit == DisplayUnit.Inch ? "5x7" : "a5" };
                findings.InsertRange(0, RuleChecker.Check(list, (parsed.GetValue(set) ?? [])
                    .Aggregate(design, (d, text) => DesignEdit.Parse(text, hard: false, d, reader, "--set").Apply(d, reader)), reader));
            }

            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(findings.Select(f =>
                    new { f.Id, f.Line, f.Place, Text = f.Text.Write(unit),
                    Likely = f.Likely.Select(l => new { Value = LengthWriter.WithUnit(l.Value, unit), Because = l.Because.Write(unit) }) }),
                    StrictJson.Options));
            }
            else
            {
                foreach (var finding in findings)
                {
                    output.WriteLine($"line {finding.Line}: {finding.Text.Write(unit)}");
                    foreach (var likely in finding.Likely)
                    {
                        output.WriteLine($"    {likely.Because.Write(unit)}");
                    }
                }

                if (findings.Count == 0)
                {
                    output.WriteLine("Nothing in this list contradicts itself.");
                }
            }

            return findings.Count == 0 ? 0 : CommandLine.Contradicts;
        });
        return command;
    }

    /// <summary>Fills the shelf for the app that is being built.</summary>
    public static Command Shelf(TextWriter output)
    {
        var command = new Command("shelf", "Every construction as the shelf shows it, as JSON.") { Hidden = true };
        command.SetAction(_ => output.WriteLine(Encoding.UTF8.GetString(FilledShelf.Write(ConstructionLibrary.Catalogue))));
        return command;
    }

    public static Command Schema(TextWriter output)
    {
        var name = new Argument<string>("what") { Description = string.Join(", ", Schemas.Names) };
        var command = new Command("schema", "Write the JSON schema of what is exchanged.") { name };
        command.SetAction(parsed =>
        {
            output.WriteLine(Schemas.Of(parsed.GetValue(name)!));
            return 0;
        });
        return command;
    }
}
