using CsvHelper;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>Something to be cut or counted out, for all the cards together.</summary>
/// <param name="Key">The same on whatever tools the card is.</param>
/// <param name="From">The stock or the roll that it is cut from.</param>
/// <param name="Each">How many of it a card has.</param>
/// <param name="Bought">Whether it is there in its size already, whatever system that is in.</param>
/// <param name="Papers">Where they go, of papers.</param>
internal sealed record Supply(string Key, string From, string Name, int Each, Length Width, Length? Height, string Note,
    bool Bought = false, PaperRow? Papers = null)
{
    /// <summary>How many, of what, and what is to be known of it.</summary>
    public string Called(int times) => $"{Each * times}{(Papers is null ? $" {Name}" : $" · {Papers.Where(times)}")}{(Note.Length > 0 ? $", {Note}" : "")}";
}

/// <summary>What is cut, gathered by what it is cut from; the lists, kits and plain texts are made of it.</summary>
internal static class Supplies
{
    /// <param name="like">The same card in the other system.</param>
    public static IReadOnlyList<Supply> Of(Card card, Card? like)
    {
        var unit = card.Figures.Tools.System.UnitOf();
        var scored = (Core.Sizing.SizedPiece p) => p.AllScores.Where(s => s.Axis is not null).Select(s =>
            s.Figure.Value).ToList() is { Count: > 0 } at
            ? Words.Of($"scored at {Words.Join(", ", at.SkipLast(1).Select(a => Words.Of($"{a}")).Append(Words.Of($"{at[^1]:u}")))}").Write(unit) : "not scored";
        return
        [
            .. card.Pieces.Select(p => new Supply($"pieces.{p.Piece.Id}", card.Design.StockOf(p.Piece.Id).Name, p.Piece.Name,
                p.Piece.Quantity, p.Width.Value, p.Height.Value, scored(p))),
            .. PaperRow.Of(card, like).Select(p => new Supply(p.Key, p.Stock, p.Where(), p.Quantity, p.Width, p.Height,
                p.IsShaped ? "by its template" : "", Papers: p)),
            .. card.Dressed.Elements.Where(e => !e.Element.IsInk && e.On.Count > 0)
                .Select(e => new Supply($"elements.{e.Element.Id}", e.Element.Stock.Name, e.Element.Name, e.Quantity, e.Width.Value, e.Height.Value, e.Element.IsRaised ? $"on foam, {e.Element.Stands.Millimetres:0.#} mm" : "")),
            .. SoftGoods.Of(card.Figures, card.Dressed).Select(s => new Supply($"soft.{s.Good.Id}", OffTheRoll, DressingWriter.Name(s.Good.Kind), 1, s.Length, null, s.Hidden)),
        ];
    }

    private const string OffTheRoll = "off the roll";

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
        var (inches, metric) = ask.Card.Figures.Tools.System == UnitSystem.Imperial ? (ask.Card, ask.Card.Second) : (ask.Card.Second, ask.Card);
        var (here, there) = (ByKey(inches, metric), ByKey(metric, inches));
        foreach (var s in Of(ask.Card, ask.Card.Second))
        {
            (string Wide, string High) Texts(Card? card, Dictionary<string, Supply> rows, DisplayUnit unit) => card is null || !rows.TryGetValue(s.Key, out var row) ? ("", "")
                : (card.Read(row.Width, unit).Text, row.Height is { } high ? card.Read(high, unit).Text : "");
            var (inch, cm) = (Texts(inches, here, DisplayUnit.Inch), Texts(metric, there, DisplayUnit.Centimetre));
            foreach (var field in new[] { s.From, s.Name, $"{s.Each}", $"{s.Each * ask.Cards}", inch.Wide, inch.High, cm.Wide, cm.High, s.Note })
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

    private static Dictionary<string, Supply> ByKey(Card? card, Card? like) => card is null ? [] : Of(card, like).ToDictionary(s => s.Key);

    private static IReadOnlyList<SentencePart> Measured(Supply s, Card card, DisplayUnit unit) => card.Read(s.Height is { } high ? Words.Of($"{s.Width} × {high:u}") : Words.Of($"{s.Width:u}"), unit, s.Bought);

    /// <summary>The cut list: by stock, the longest first, each with how many for all the cards.</summary>
    public static IReadOnlyList<Page> CutList(HandOut ask)
    {
        var flow = new Flow(ask.Paper, ask.Title);
        flow.Write($"Cut list: {ask.Name}", 6, bold: true, Reads.Title);
        flow.Write($"For {(ask.Cards == 1 ? "one card" : $"{ask.Cards} cards")}.", 3.6);
        var beside = ByKey(ask.Card.Second, ask.Card);
        foreach (var stock in Of(ask.Card, ask.Card.Second).GroupBy(s => s.From))
        {
            flow.Skip(3);
            flow.Need(16);
            flow.Write(stock.Key, 4.4, bold: true, Reads.Heading);
            foreach (var s in stock.OrderByDescending(s => Length.Max(s.Width, s.Height ?? Length.Zero)))
            {
                Row(flow, ask, s, beside.GetValueOrDefault(s.Key), ask.Cards);
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

    /// <param name="beside">The same in the second system; null where that has none.</param>
    /// <param name="times">For how many cards.</param>
    private static void Row(Flow flow, HandOut ask, Supply s, Supply? beside, int times)
    {
        const double Size = 3.6;
        flow.Need(Size * 1.6);
        var y = flow.Y;
        flow.Add(new Part(Reads.Nothing, [new Mark.Path([[(Flow.Margin, y + 0.9), (Flow.Margin + 3, y + 0.9), (Flow.Margin + 3, y + 3.9), (Flow.Margin, y + 3.9)]], true, Pen.Hair)]));
        var (name, high) = Flow.Block(Typesetter.Plain(s.Called(times)), Size, Flow.Margin + 5, y, flow.Width - 5 - 102);
        flow.Add(name);
        flow.Add(Flow.Block(Measured(s, ask.Card, ask.Unit), Size, Flow.Margin + flow.Width - 100, y, 46, bold: true).Part);
        if (beside is not null && ask.Card.Second is { } second)
        {
            flow.Add(Flow.Block(Measured(beside, second, ask.Other), Size, Flow.Margin + flow.Width - 52, y, 52).Part);
        }

        flow.Skip(Math.Max(high, Size * 1.6));
    }

    /// <summary>A page a kit, with all that goes into the bag.</summary>
    public static IReadOnlyList<Page> Kits(HandOut ask)
    {
        var flow = new Flow(ask.Paper, ask.Title);
        var beside = ByKey(ask.Card.Second, ask.Card);
        for (var kit = 1; kit <= ask.Cards; kit++)
        {
            if (kit > 1)
            {
                flow.Break();
            }

            flow.Write($"{ask.Name}: kit {kit} of {ask.Cards}", 6, bold: true, Reads.Title);
            flow.Write(Words.Of($"{ask.Card.Design.Family.Name}, {ask.Card.Design.SizeAsRead(ask.Card.Target.Width, ask.Card.Target.Height)}. Everything for one card, cut and scored.").Parts(ask.Unit), 3.6);
            flow.Skip(4);
            foreach (var s in Of(ask.Card, ask.Card.Second))
            {
                Row(flow, ask, s, beside.GetValueOrDefault(s.Key), 1);
            }

            if (Tape(ask.Card) is var tape && tape > Length.Zero)
            {
                Supply Bonds(Length run) => new("tape", "", ask.Card.Design.Inventory.BondTape.Name, 1, run, null, "for the bonds");
                Row(flow, ask, Bonds(tape), ask.Card.Second is { } second ? Bonds(Tape(second)) : null, 1);
            }

            if (!ask.Card.Packing.GoesRound)
            {
                var bag = Bag(ask.Card);
                Row(flow, ask, bag, bag.Bought || ask.Card.Second is null ? bag : Bag(ask.Card.Second), 1);
            }

            flow.Skip(4);
            foreach (var caution in ask.Steps.SelectMany(s => s.Cautions).Distinct().Where(c => c is "small-parts" or "magnets" or "button-cell"))
            {
                flow.Write($"Take care: {Core.Guide.Steps.Cautions[caution]}", 3.6, bold: true);
            }
        }

        return flow.Pages();
    }

    /// <summary>The envelope that it goes into, or the one to make.</summary>
    private static Supply Bag(Card card)
    {
        var packing = card.Packing;
        return card.Envelope is { } envelope ? new("packing", "", $"{envelope.Name} envelope", 1, envelope.Width, envelope.Height, "inside", Bought: true)
            : packing.IsThick ? new("packing", "", "box envelope, to make", 1, packing.Box.Width, packing.Box.Height, "inside")
            : new("packing", "", "envelope, to make", 1, packing.Make.Width, packing.Make.Height, "inside");
    }

    /// <summary>Measures, what one needs and the steps as a plain text: enough to make the card with.</summary>
    public static string Text(HandOut ask)
    {
        var card = ask.Card;
        var unit = ask.Unit;
        var lines = new List<string> { ask.Name, Words.Of($"{card.Design.Family.Name}, {card.Design.SizeAsRead(card.Target.Width, card.Target.Height)}; closed {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)}").Write(unit), "", "Measures" };
        foreach (var piece in card.Pieces)
        {
            lines.Add(Words.Of($"- {piece.Piece.Name}{(piece.Piece.Quantity > 1 ? $" × {piece.Piece.Quantity}" : "")}: {piece.Width.Value} × {piece.Height.Value:u}{(piece.AllScores.Any() ? Words.Of($", scored at {Words.List(piece.AllScores.Where(s => s.Axis is not null).Select(s => Words.Of($"{s.Figure.Value}")))}") : Words.Of($""))}").Write(unit));
        }

        lines.AddRange(PaperRow.Of(card, null).Select(p => Words.Of($"- {p.Stock} · {p.Quantity} at {p.Width} × {p.Height:u} · {p.Where()}").Write(unit)));
        lines.AddRange(card.Dressed.Windows.Select(w => Words.Of($"- window {w.Window.Id} in {w.On[0].Face.Name}: {w.Width.Value} × {w.Height.Value:u}{(w.Die is { } die ? $", {die.Name}" : "")}").Write(unit)));
        lines.AddRange(card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e => Words.Of($"- {e.Element.Name} on {e.On[0].Face.Name}: {e.Width.Value} × {e.Height.Value:u}").Write(unit)));
        lines.AddRange(["", "What you need"]);
        lines.AddRange(Of(card, null).Select(s => s.From).Where(f => f != OffTheRoll).Distinct().Select(f => $"- {f}"));
        lines.AddRange(SoftGoods.Of(card.Figures, card.Dressed).Select(s => Words.Of($"- {DressingWriter.Name(s.Good.Kind)}, {s.Length:u}").Write(unit)));
        lines.AddRange(new[] { card.Design.Adhesive.Name, card.Construction.Bonds.Any(b => !b.IsLoose) ? card.Design.Inventory.BondTape.Name : card.Design.Adhesive.Name }.Distinct().Select(a => $"- {a}"));
        lines.Add(Words.Of($"- {card.Packing.Said}").Write(unit));
        lines.AddRange([$"- {string.Join(", ", ask.Steps.Select(s => s.Tool).Where(t => t != "by hand" && t != "as it is there").Distinct())}", .. Core.Guide.GuideText.Of(card, ask.Steps, unit)]);
        return string.Join('\n', lines) + "\n";
    }
}
