using System.CommandLine;
using System.Text;
using WholeFold.Core.Exchange;
using WholeFold.Core.Exchange.Drawings;
using WholeFold.Core.Input;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;

namespace WholeFold.App.Cli;

/// <summary>Reads a measure list in its maker's own words: which construction it is, or which rules its figures follow, and what it becomes in another format.</summary>
internal static class OwnCommand
{
    public static Command Make(TextWriter output)
    {
        var file = new Option<FileInfo?>("--list") { Description = "A text file with one piece a line, such as: base 10 x 5, score at 2 1/2 and 7 1/2; or a drawing: FOLD, SVG or DXF", Required = true };
        var format = new Option<string?>("--format") { Description = "A format to convert it to." };
        var units = new Option<string?>("--units") { Description = "The unit of bare numbers where the list names none: in, cm or mm; where it is not given the figures tell." };
        var save = new Option<FileInfo?>("--save") { Description = "Write what it is as a design file, to convert and print like any other." };
        var opens = new Option<string?>("--opens") { Description = "Which way a square card opens that is no construction of the shelf: sideways or upwards." };
        opens.AcceptOnlyFromAmong("sideways", "upwards");
        var json = new Option<bool>("--json") { Description = "Write all of it as JSON." };
        var command = new Command("own", "Read a measure list of your own, and say what it is.") { file, format, units, opens, json, save };
        command.SetAction(parsed =>
        {
            var reader = CommandLine.Reader(null);
            var said = parsed.GetValue(units) is { } bare ? UnitReader.Read(bare, "--units") : (DisplayUnit?)null;
            var text = CommandLine.ReadFile(parsed.GetValue(file)!, "--list");
            IReadOnlyList<string> leftOut = [];
            if (DrawingFile.IsOne(text))
            {
                (text, leftOut) = DrawnList.Of(DrawingFile.Read(text, "--list"), said ?? DisplayUnit.Millimetre, "--list");
            }

            var own = OwnDesign.Of(text, said, reader, new Recogniser(reader), parsed.GetValue(format), parsed.GetValue(opens) == "upwards" ? [new(RuleGuess.Opens, 1)] : null);
            if (!own.List.Cards.Any())
            {
                throw new InputProblemException("own.nothing", "--list", own.List.Left is [var first, ..] ? $"no piece was understood in it; line {first.Line} says “{first.Text}”" : "there is nothing in it", OwnListReader.Accepted);
            }

            var taken = parsed.GetValue(save) is null ? null : own.Take(reader);
            if (taken is not null)
            {
                Saving.Save(parsed.GetValue(save)!, Encoding.UTF8.GetBytes(DesignFile.Write(taken.Design)), "--save");
            }

            var unit = own.List.Cards.First().Unit;
            if (parsed.GetValue(json))
            {
                output.WriteLine(OwnJson.Write(own, unit, leftOut));
                return 0;
            }

            foreach (var what in leftOut)
            {
                output.WriteLine($"Not carried over from the drawing: {what}.");
            }

            Say(output, own, unit);
            foreach (var aside in taken?.Says ?? [])
            {
                output.WriteLine(aside.Write(unit));
            }

            return 0;
        });
        return command;
    }

    private static void Say(TextWriter output, OwnDesign own, DisplayUnit unit)
    {
        if (own.Recognised is { } r)
        {
            output.WriteLine(Words.Of($"This is {r.Called}, {r.Width} × {r.Height:u}{(r.Differs.Count == 0 ? "" : r.Differs.Count == 1 ? "; one figure differs" : $"; {r.Differs.Count} figures differ")}.").Write(unit));
        }
        else
        {
            output.WriteLine(own.Rules is { } rules ? Words.Of($"No construction explains it; its figures are taken to be for a card of {rules.Width} × {rules.Height:u}.").Write(unit) : "No construction explains it.");
        }

        foreach (var figure in own.Figures)
        {
            output.WriteLine(Words.Of($"  line {figure.Line}, {figure.Called}, {figure.Figure}: {figure.Value}{(figure.Now is { } now && now != figure.Value ? Words.Of($" → {now}") : Words.Of($""))}  {figure.Rule}{(figure.Sure < 0.6 ? " (not sure)" : "")}").Write(unit));
        }

        foreach (var question in own.Questions)
        {
            output.WriteLine($"? {question.Ask.Write(unit)}");
        }

        foreach (var finding in own.Contradictions)
        {
            output.WriteLine($"! line {finding.Line}: {finding.Text.Write(unit)}");
        }

        foreach (var noted in own.List.Named)
        {
            output.WriteLine(Words.Of($"Line {noted.Line} names a figure that is no side and no score: {noted.Name}, {noted.Value}. It is kept, and nothing is worked out by it.").Write(unit));
        }

        foreach (var left in own.List.Left)
        {
            output.WriteLine($"Line {left.Line} was not {(left.InPart ? "wholly " : "")}understood: “{left.Text}”. It could be {left.Would}.");
        }
    }
}
