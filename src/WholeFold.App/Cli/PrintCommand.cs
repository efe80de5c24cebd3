using System.CommandLine;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Print;

namespace WholeFold.App.Cli;

/// <summary>Writes a hand-out to a file: a measure sheet, a booklet, templates, a cut list, kits, a plain text, a picture.</summary>
internal static class PrintCommand
{
    public static Command Make(TextWriter output, TextWriter error)
    {
        var file = new Option<FileInfo?>("--design") { Description = "A design file.", Required = true };
        var format = new Option<string?>("--format") { Description = "A format's id or a size with its unit; the design's own where it is not said." };
        var turn = new Option<bool>("--turn") { Description = "Turn the format on its side." };
        var kind = new Option<string>("--as") { Description = $"{string.Join(", ", Enum.GetNames<HandOutKind>().Select(n => n.ToLowerInvariant()))}.", Required = true };
        var to = new Option<FileInfo?>("--out") { Description = "The file to write; its ending says the form: pdf, svg, png, dxf (templates, for a machine that cuts), fold (templates, with the fold angles of every pose), csv, txt.", Required = true };
        var paper = new Option<string?>("--paper") { Description = $"{string.Join(", ", Paper.All.Select(p => p.Id))}; A4 for a design in centimetres, else Letter." };
        var units = new Option<string?>("--units") { Description = "in, cm or mm: which comes first." };
        var guest = new Option<string?>("--guest") { Description = "A guest's tools, for what stands beside in the other system; of the same system, all of it is for these." };
        var cards = new Option<int>("--cards") { Description = "For how many cards.", DefaultValueFactory = _ => 1 };
        var page = new Option<int>("--page") { Description = "Of SVG and PNG, which page.", DefaultValueFactory = _ => 1 };
        var step = new Option<int?>("--step") { Description = "Of a picture, which step; the finished card where it is not said." };
        var bare = new Option<bool>("--no-background") { Description = "A picture with nothing behind it." };
        var workshop = new Option<FileInfo?>("--workshop") { Description = "A file with tools, stocks and other things of your own." };
        var command = new Command("print", "Write a sheet, a booklet, templates, lists or a picture to a file.") { file, format, turn, kind, to, paper, units, guest, cards, page, step, bare, workshop };
        command.SetAction(parsed =>
        {
            var reader = CommandLine.Reader(parsed.GetValue(workshop));
            var design = CommandLine.Converted(DesignFile(parsed.GetValue(file)!), parsed.GetValue(format), parsed.GetValue(turn), reader);
            if (parsed.GetValue(units) is { } unitText)
            {
                design = new ShowIn(unitText, design.BothSystems).Apply(design, reader);
            }

            design = parsed.GetValue(guest) is { } theirs ? new Take("guest", theirs).Apply(design, reader) : design;
            var read = reader.Read(design);
            var unit = design.Units is null ? read.Design.ToolsFor(read.Target).System.UnitOf() : read.Unit;
            var made = HandOut.KindOf(parsed.GetValue(kind)!);
            var on = Paper.Of(parsed.GetValue(paper) ?? (unit == DisplayUnit.Inch ? "letter" : "a4"));
            if (Card.Try(read.Design, read.Target) is not { } card)
            {
                return CommandLine.SayWhyNot(design, reader, read, unit, error);
            }

            var target = parsed.GetValue(to)!;
            var form = target.Extension.TrimStart('.').ToLowerInvariant();
            var written = new HandOut(card, design.Name, unit, on, parsed.GetValue(cards)).Write(made, form.Length > 0 ? form : null, !parsed.GetValue(bare),
                parsed.GetValue(step), parsed.GetValue(page));
            Saving.Save(target, written.Bytes, "--out");
            var what = HandOut.NameOf(made);
            output.WriteLine($"{target.Name}: {what}, {written.Bytes.Length / 1024 + 1} kB.");
            return 0;
        });
        return command;
    }

    private static DesignSpec DesignFile(FileInfo file) => Core.Exchange.DesignFile.Read(CommandLine.ReadFile(file, "--design"), "--design");
}
