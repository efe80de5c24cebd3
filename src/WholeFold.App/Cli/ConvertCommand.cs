using System.CommandLine;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Cli;

/// <summary>Sizes a design for a format. Each option is an edit of the design, in the order in which they stand here.</summary>
internal static class ConvertCommand
{
    /// <summary>Options that take another thing for the whole design, by the member that they are an edit of.</summary>
    private static readonly (string Option, string Member, string Description)[] Takes =
    [
        ("--tools", "tools", "imperial-eighths, metric-5mm, both, ruler, machine or one of your own."),
        ("--guest", "guest", "A guest's tools: what stands beside in the other system is the same card on these; of the same system, all of it."),
        ("--stock", "stock", "Id of a stock, such as card-270."),
        ("--caliper", "caliper", "The card's caliper: 0.33mm, 13pt, a stack such as 3.4mm/10, or a weight such as \"110lb cover\"."),
        ("--blank", "blank", "A bought blank that it begins with, already cut and folded: its size closed as measured, such as 125x175mm."),
        ("--reveal", "reveal", "thin, standard, framed, wide, flush or a width."),
        ("--priority", "priority", "format, board or proportions."),
        ("--opens", "opens", "sideways or upwards: which way it opens for a reader, where it can be read both ways."),
        ("--named-by", "namedBy", "closed or shown: what the format names, the card put away or what one sees of it when it stands."),
    ];

    public static Command Make(TextWriter output, TextWriter error)
    {
        var construction = new Option<string?>("--construction") { Description = "Id of a construction; see: wholefold constructions" };
        var file = new Option<FileInfo?>("--design") { Description = "A design file instead of a construction." };
        var format = new Option<string?>("--format") { Description = "A format's id or a size with its unit, such as 5x5in; see: wholefold formats" };
        var turn = new Option<bool>("--turn") { Description = "Turn the format on its side." };
        var units = new Option<string?>("--units") { Description = "in, cm or mm: the unit of texts and of bare numbers." };
        var takes = Takes.Select(t => (t.Member, Option: new Option<string?>(t.Option) { Description = t.Description })).ToList();
        var set = new Option<string[]>("--set") { Description = "NAME=VALUE: sets a parameter by hand. May be given several times." };
        var locked = new Option<string[]>("--lock") { Description = "NAME=VALUE: a parameter that is hard, such as a die's size. May be given several times." };
        var prefer = new Option<string[]>("--prefer") { Description = $"{string.Join(", ", Preferences.All.Select(p => p.Id))}. May be given several times." };
        var sheets = new Option<string?>("--sheets") { Description = "The sheets that are there, such as a4,letter: a piece that just misses one is eased to it." };
        var workshop = new Option<FileInfo?>("--workshop") { Description = "A file with tools, stocks and other things of your own." };
        var sheet = new Option<bool>("--sheet") { Description = "Write the figure sheet: every figure in inches and in centimetres." };
        var ways = new Option<bool>("--ways") { Description = "Look for ways out of every error and caution: edits that were tried, with what each takes." };
        var json = new Option<bool>("--json") { Description = "Write the whole result as JSON." };
        var command = new Command("convert", "Size a design for a format.") { construction, file, format, turn, units, set, locked, prefer, sheets, workshop, sheet, ways, json };
        foreach (var (_, option) in takes)
        {
            command.Add(option);
        }

        command.SetAction(parsed =>
        {
            var reader = CommandLine.Reader(parsed.GetValue(workshop));
            var design = Begin(parsed.GetValue(file), parsed.GetValue(construction), parsed.GetValue(format), parsed.GetValue(turn));
            void Do(DesignEdit edit) => design = edit.Apply(design, reader);
            if (parsed.GetValue(units) is { } bare)
            {
                design = design with { Units = bare };
            }

            if (parsed.GetValue(file) is not null)
            {
                design = CommandLine.Converted(design, parsed.GetValue(format), parsed.GetValue(turn), reader);
            }

            if (parsed.GetValue(units) is { } unitText)
            {
                Do(new ShowIn(unitText, design.BothSystems));
            }

            foreach (var (member, option) in takes)
            {
                if (parsed.GetValue(option) is { } value)
                {
                    Do(new Take(member, value));
                }
            }

            foreach (var preference in parsed.GetValue(prefer) ?? [])
            {
                Do(new Prefer(preference));
            }

            if (parsed.GetValue(sheets) is { } there)
            {
                Do(new UseSheets(there.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)));
            }

            var names = new HashSet<string>();
            foreach (var (text, hard) in (parsed.GetValue(set) ?? []).Select(t => (t, false)).Concat((parsed.GetValue(locked) ?? []).Select(t => (t, true))))
            {
                if (!names.Add(text.Split('=')[0].Trim()))
                {
                    throw new InputProblemException("set.twice", "--set", $"{text.Split('=')[0]} is set twice", "each parameter once");
                }

                Do(DesignEdit.Parse(text, hard, design, reader, hard ? "--lock" : "--set"));
            }

            var read = reader.Read(design);

            // Without a word on units, a result is written in the system that its tools are marked in.
            var unit = design.Units is null ? read.Design.ToolsFor(read.Target).System.UnitOf() : read.Unit;
            if (Card.Try(read.Design, read.Target) is not { } card)
            {
                return CommandLine.SayWhyNot(design, reader, read, unit, error);
            }

            var asJson = parsed.GetValue(json);
            output.WriteLine(parsed.GetValue(sheet)
                ? asJson ? SheetJson.Write(FigureSheet.Of(card.Handed)) : PlainText.WriteSheet(card)
                : parsed.GetValue(ways) && asJson ? WaysJson.Write(design, reader, card, unit)
                : asJson ? SizedJson.Write(card, unit) : PlainText.Write(card, unit, both: design.Units is null || design.BothSystems));
            if (parsed.GetValue(ways) && !asJson)
            {
                foreach (var check in card.Checks.Where(c => c.Severity != Core.Checks.Severity.Note).DistinctBy(c => c.Id))
                {
                    output.WriteLine(check.Text.Write(unit));
                    CommandLine.WriteWays(Ways.Of(design, reader, check.Id), unit, output);
                }
            }

            return 0;
        });
        return command;
    }

    private static DesignSpec Begin(FileInfo? file, string? construction, string? format, bool turn)
    {
        if (file is null)
        {
            return new DesignSpec { Construction = construction ?? "", Format = format ?? "", Turn = turn };
        }

        return construction is null ? DesignFile.Read(CommandLine.ReadFile(file, "--design"), "--design")
            : throw new InputProblemException("design.twice", "--design", "a design file already names its construction", "either --design FILE or --construction ID");
    }
}
