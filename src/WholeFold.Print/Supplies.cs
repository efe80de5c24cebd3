using CsvHelper;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>Something to be cut or counted out, for all the cards together.</summary>
/// <param name="From">The stock or the roll that it is cut from.</param>
/// <param name="Each">How many of it a card has.</param>
internal sealed record Supply(string From, string Name, int Each, Length Width, Length? Height, string Note);

/// <summary>What is cut, gathered by what it is cut from; the lists, kits and plain texts are made of it.</summary>
internal static class Supplies
{
    public static IReadOnlyList<Supply> Of(Card card)
    {
        var scored = (Core.Sizing.SizedPiece p) => p.AllScores.Any() ? $"scored at {string.Join(", ", p.AllScores.Where(s => s.Axis is not null).Select(s => LengthWriter.Write(s.Figure.Value, card.Target.Format.System.UnitOf())))}" : "not scored";
        return
        [
            .. card.Pieces.Select(p => new Supply(card.Design.StockOf(p.Piece.Id).Name, p.Piece.Name, p.Piece.Quantity, p.Width.Value, p.Height.Value, scored(p))),
            .. card.Layers.Select(l => new Supply(l.Stock.Name, l.Level > 1 ? $"{l.Role.Name}, level {l.Level}" : l.Role.Name, l.Quantity, l.Width.Value, l.Height.Value, l.IsRectangle ? "" : "by its template")),
            .. card.Dressed.Elements.Where(e => !e.Element.IsInk && e.On.Count > 0)
                .Select(e => new Supply(e.Element.Stock.Name, e.Element.Name, e.Quantity, e.Width.Value, e.Height.Value, e.Element.IsRaised ? $"on foam, {e.Element.Stands.Millimetres:0.#} mm" : "")),
            .. SoftGoods.Of(card.Figures, card.Dressed).Select(s => new Supply("off the roll", DressingWriter.Name(s.Good.Kind), 1, s.Length, null, s.Hidden)),
        ];
    }

    /// <summary>How much tape its bonds take.</summary>
    public static Length Tape(Card card) => card.Construction.Bonds.Where(b => !b.IsLoose).Aggregate(Length.Zero, (sum, b) => sum + Core.Guide.Places.FiguresOf(card.Figures, b).Run);

    public static string Csv(HandOut ask)
    {
        using var text = new StringWriter();
        using var csv = CsvWriter.Create(text, new CsvWriterOptions(), leaveOpen: true);
        foreach (var head in new[] { "from", "what", "each", "for all", "width in", "height in", "width cm", "height cm", "note" })
        {
            csv.WriteField(head);
        }

        csv.EndRecord();
        foreach (var s in Of(ask.Card))
        {
            string Text(Length? length, DisplayUnit unit) => length is { } l ? LengthWriter.Write(l, unit) : "";
            foreach (var field in new[] { s.From, s.Name, $"{s.Each}", $"{s.Each * ask.Cards}", Text(s.Width, DisplayUnit.Inch), Text(s.Height, DisplayUnit.Inch),
                Text(s.Width, DisplayUnit.Centimetre), Text(s.Height, DisplayUnit.Centimetre), s.Note })
            {
                csv.WriteField(Inert(field));
            }

            csv.EndRecord();
        }

        csv.Flush();
        return text.ToString();
    }

    /// <summary>A name that begins as a formula does is a name all the same: spreadsheets would run it, so that a sign before it says it is text.</summary>
    private static string Inert(string field) => field.Length > 0 && field[0] is '=' or '+' or '-' or '@' or '\t' or '\r' ? $"'{field}" : field;

    private static IReadOnlyList<SentencePart> Measured(Supply s, DisplayUnit unit) => (s.Height is { } high ? Words.Of($"{s.Width} × {high:u}") : Words.Of($"{s.Width:u}")).Parts(unit);

    private static DisplayUnit Other(DisplayUnit unit) => unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;

    /// <summary>The cut list: by stock, the longest first, each with how many for all the cards.</summary>
    public static IReadOnlyList<Page> CutList(HandOut ask)
    {
        var flow = new Flow(ask.Paper, ask.Title);
        flow.Write($"Cut list: {ask.Name}", 6, bold: true, Reads.Title);
        flow.Write($"For {(ask.Cards == 1 ? "one card" : $"{ask.Cards} cards")}.", 3.6);
        foreach (var stock in Of(ask.Card).GroupBy(s => s.From))
        {
            flow.Skip(3);
            flow.Need(16);
            flow.Write(stock.Key, 4.4, bold: true, Reads.Heading);
            foreach (var s in stock.OrderByDescending(s => Length.Max(s.Width, s.Height ?? Length.Zero)))
            {
                Row(flow, ask, s, s.Each * ask.Cards);
            }
        }

        flow.Skip(3);
        if (Tape(ask.Card) is var tape && tape > Length.Zero)
        {
            flow.Write(Words.Of($"{Core.Constructions.Spoken.First(ask.Card.Design.Inventory.BondTape.Name)} for the bonds: {ask.Cards * tape:u} in all.").Parts(ask.Unit), 3.6);
        }

        if (SheetCount.Of(ask.Card.Figures, ask.Cards) is { } sheets)
        {
            flow.Write($"Sheets for the pieces: {string.Join(", ", sheets.Select(s => $"{s.Count} × {s.Sheet.Name}"))}.", 3.6);
        }

        return flow.Pages();
    }

    private static void Row(Flow flow, HandOut ask, Supply s, int count)
    {
        const double Size = 3.6;
        flow.Need(Size * 1.6);
        var y = flow.Y;
        flow.Add(new Part(Reads.Nothing, [new Mark.Path([[(Flow.Margin, y + 0.9), (Flow.Margin + 3, y + 0.9), (Flow.Margin + 3, y + 3.9), (Flow.Margin, y + 3.9)]], true, Pen.Hair)]));
        var (name, high) = Flow.Block(Typesetter.Plain($"{count} {s.Name}{(s.Note.Length > 0 ? $", {s.Note}" : "")}"), Size, Flow.Margin + 5, y, flow.Width - 5 - 102);
        flow.Add(name);
        flow.Add(Flow.Block(Measured(s, ask.Unit), Size, Flow.Margin + flow.Width - 100, y, 46, bold: true).Part);
        flow.Add(Flow.Block(Measured(s, Other(ask.Unit)), Size, Flow.Margin + flow.Width - 52, y, 52).Part);
        flow.Skip(Math.Max(high, Size * 1.6));
    }

    /// <summary>A page a kit, with all that goes into the bag.</summary>
    public static IReadOnlyList<Page> Kits(HandOut ask)
    {
        var flow = new Flow(ask.Paper, ask.Title);
        for (var kit = 1; kit <= ask.Cards; kit++)
        {
            if (kit > 1)
            {
                flow.Break();
            }

            flow.Write($"{ask.Name}: kit {kit} of {ask.Cards}", 6, bold: true, Reads.Title);
            flow.Write(Words.Of($"{ask.Card.Design.Family.Name}, {ask.Card.Design.SizeAsRead(ask.Card.Target.Width, ask.Card.Target.Height)}. Everything for one card, cut and scored.").Parts(ask.Unit), 3.6);
            flow.Skip(4);
            foreach (var s in Of(ask.Card))
            {
                Row(flow, ask, s, s.Each);
            }

            if (Tape(ask.Card) is var tape && tape > Length.Zero)
            {
                Row(flow, ask, new Supply("", ask.Card.Design.Inventory.BondTape.Name, 1, tape, null, "for the bonds"), 1);
            }

            var (packing, envelope) = (ask.Card.Packing, ask.Card.Envelope);
            if (!packing.GoesRound)
            {
                var (wide, high) = envelope is not null ? (envelope.Width, envelope.Height) : packing.IsThick
                    ? (packing.Box.Width, packing.Box.Height) : packing.Make;
                Row(flow, ask, new Supply("", envelope is not null ? $"{envelope.Name} envelope" : packing.IsThick ? "box envelope, to make" : "envelope, to make", 1, wide, high, "inside"), 1);
            }

            flow.Skip(4);
            foreach (var caution in ask.Steps.SelectMany(s => s.Cautions).Distinct().Where(c => c is "small-parts" or "magnets" or "button-cell"))
            {
                flow.Write($"Take care: {Core.Guide.Steps.Cautions[caution]}", 3.6, bold: true);
            }
        }

        return flow.Pages();
    }

    /// <summary>Measures and supplies as a plain text, to be put under a post.</summary>
    public static string Text(HandOut ask)
    {
        var card = ask.Card;
        var unit = ask.Unit;
        var lines = new List<string> { ask.Name, Words.Of($"{card.Design.Family.Name}, {card.Design.SizeAsRead(card.Target.Width, card.Target.Height)}; closed {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)}").Write(unit), "", "Measures" };
        foreach (var piece in card.Pieces)
        {
            lines.Add(Words.Of($"- {piece.Piece.Name}{(piece.Piece.Quantity > 1 ? $" × {piece.Piece.Quantity}" : "")}: {piece.Width.Value} × {piece.Height.Value:u}{(piece.AllScores.Any() ? Words.Of($", scored at {Words.List(piece.AllScores.Where(s => s.Axis is not null).Select(s => Words.Of($"{s.Figure.Value}")))}") : Words.Of($""))}").Write(unit));
        }

        lines.AddRange(card.Layers.Select(l => Words.Of($"- {l.Role.Name}{(l.Level > 1 ? $", level {l.Level}" : "")}{(l.Quantity > 1 ? $" × {l.Quantity}" : "")}: {l.Width.Value} × {l.Height.Value:u}").Write(unit)));
        lines.AddRange(card.Dressed.Windows.Select(w => Words.Of($"- window {w.Window.Id} in {w.On[0].Face.Name}: {w.Width.Value} × {w.Height.Value:u}{(w.Die is { } die ? $", {die.Name}" : "")}").Write(unit)));
        lines.AddRange(card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e => Words.Of($"- {e.Element.Name} on {e.On[0].Face.Name}: {e.Width.Value} × {e.Height.Value:u}").Write(unit)));
        lines.AddRange(["", "Supplies"]);
        lines.AddRange(Of(card).Select(s => s.From).Where(f => f != "off the roll").Distinct().Select(f => $"- {f}"));
        lines.AddRange(SoftGoods.Of(card.Figures, card.Dressed).Select(s => Words.Of($"- {DressingWriter.Name(s.Good.Kind)}, {s.Length:u}").Write(unit)));
        lines.AddRange(new[] { card.Design.Adhesive.Name, card.Construction.Bonds.Any(b => !b.IsLoose) ? card.Design.Inventory.BondTape.Name : card.Design.Adhesive.Name }.Distinct().Select(a => $"- {a}"));
        lines.Add(Words.Of($"- {card.Packing.Said}").Write(unit));
        lines.AddRange(["", $"Tools: {string.Join(", ", ask.Steps.Select(s => s.Tool).Where(t => t != "by hand" && t != "as it is there").Distinct())}."]);
        return string.Join('\n', lines) + "\n";
    }
}
