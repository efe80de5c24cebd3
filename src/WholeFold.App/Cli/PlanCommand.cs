using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Planning;

namespace WholeFold.App.Cli;

/// <summary>Plans which sheets so many cards are cut from, and how.</summary>
internal static class PlanCommand
{
    private const string Accepted = "a sheet by its id or a size with its unit, with the stock's id and = before it and : and how many there are behind it where that matters, such as letter, a4:12 or card-270=6x8in:3";

    public static Command Make(TextWriter output, TextWriter error)
    {
        var files = new Option<FileInfo[]>("--design") { Description = "A design file; several are cut together.", Required = true };
        var format = new Option<string?>("--format") { Description = "A format's id or a size with its unit; each design's own where it is not said." };
        var turn = new Option<bool>("--turn") { Description = "Turn the format on its side." };
        var cards = new Option<int[]>("--cards") { Description = "How many cards; of each design in turn where it is said several times.", Required = true };
        var sheets = new Option<string[]>("--sheet") { Description = $"What to cut from: {Accepted}." };
        var offcuts = new Option<string[]>("--offcut") { Description = "An offcut to use up, written as a sheet is; it costs nothing, and there is one where no number is said." };
        var units = new Option<string?>("--units") { Description = "in, cm or mm." };
        var json = new Option<bool>("--json") { Description = "Write it as data." };
        var workshop = new Option<FileInfo?>("--workshop") { Description = "A file with tools, stocks and other things of your own." };
        var command = new Command("plan", "Plan which sheets so many cards are cut from, and every cut.") { files, format, turn, cards, sheets, offcuts, units, json, workshop };
        command.SetAction(parsed =>
        {
            var reader = CommandLine.Reader(parsed.GetValue(workshop));
            var (designs, counts) = (parsed.GetValue(files)!, parsed.GetValue(cards)!);
            if (counts.Length != 1 && counts.Length != designs.Length)
            {
                throw new InputProblemException("plan.cards", "--cards", $"{counts.Length} numbers for {(designs.Length == 1 ? "1 design" : $"{designs.Length} designs")}", "one number for all designs, or one for each");
            }

            foreach (var count in counts)
            {
                Jobs.Checked(count, "--cards");
            }

            var all = new List<CardsOf>();
            var unit = DisplayUnit.Inch;
            foreach (var (file, i) in designs.Select((f, i) => (f, i)))
            {
                var design = CommandLine.Converted(DesignFile.Read(CommandLine.ReadFile(file, "--design"), "--design"),
                    parsed.GetValue(format), parsed.GetValue(turn), reader);
                var read = reader.Read(parsed.GetValue(units) is { } text ? new ShowIn(text, design.BothSystems).Apply(design, reader)
                    : design);
                unit = i > 0 ? unit : parsed.GetValue(units) is null && design.Units is null
                    ? read.Design.ToolsFor(read.Target).System.UnitOf() : read.Unit;
                if (Card.Try(read.Design, read.Target) is not { } card)
                {
                    return CommandLine.SayWhyNot(design, reader, read, unit, error);
                }

                // In another system it is the card on tools of that system that is cut.
                all.Add(new CardsOf(design.Name, card.For(unit), counts.Length == 1 ? counts[0] : counts[i]));
            }

            var known = all[0].Card.Figures.Design.Inventory;
            try
            {
                var jobs = Jobs.Of(all, [.. (parsed.GetValue(sheets) ?? []).Select(s => Sheet(s, known, false, "--sheet")),
                    .. (parsed.GetValue(offcuts) ?? []).Select(s => Sheet(s, known, true, "--offcut"))]);
                var plans = jobs.Select(j => Planner.Plan(j.Job)).ToList();
                output.WriteLine(parsed.GetValue(json) ? JsonSerializer.Serialize(PlanJson.Of(plans), StrictJson.Options)
                    : string.Join(Environment.NewLine, PlanWords.Of(plans, unit)));
                return 0;
            }
            catch (NoPlanException e)
            {
                error.WriteLine(e.Text.Write(unit));
                return CommandLine.NoFigures;
            }
        });
        return command;
    }

    /// <summary>“stock=sheet:how many”, of which only the sheet has to be said.</summary>
    private static SheetsOf Sheet(string text, Inventory known, bool offcut, string place)
    {
        InputProblemException Wrong(string why) => new("plan.sheet", place, why, Accepted);
        var (stock, rest) = text.Split('=', 2) is [var before, var behind] ? (before.Trim(), behind) : (null, text);
        var (name, many) = rest.Split(':', 2) is [var first, var last] ? (first.Trim(), last.Trim()) : (rest.Trim(), null);
        if (stock is not null && known.Stocks.All(s => s.Id != stock))
        {
            throw Wrong($"there is no stock “{stock}”");
        }

        int? count = null;
        if (many is not null)
        {
            count = int.TryParse(many, NumberStyles.None, CultureInfo.InvariantCulture, out var read) && read is > 0 and <= 100_000 ? read
                : throw Wrong($"“{many}” is no number of sheets");
        }

        if (known.Sheets.FirstOrDefault(s => s.Id == name || string.Equals(s.Name, name, StringComparison.OrdinalIgnoreCase)) is { } sheet)
        {
            return new SheetsOf(stock, sheet, count, offcut);
        }

        return FormatReader.Read(name, [], out var reason) is { } size
            ? new SheetsOf(stock, new Sheet(name, name, size.Width, size.Height, size.System), count, offcut)
            : throw Wrong(reason ?? $"“{name}” is not a sheet");
    }
}
