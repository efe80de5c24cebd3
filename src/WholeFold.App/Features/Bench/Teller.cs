using System.Globalization;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;
using Spot = WholeFold.App.Features.Bench.Spot;

namespace WholeFold.App.Features.Bench;

/// <summary>Puts lengths and sentences into the reader's unit. It works out no figure of its own.</summary>
public sealed class Teller(DisplayUnit unit)
{
    public DisplayUnit Unit { get; } = unit;

    public string Symbol => LengthWriter.Symbol(Unit);

    public Figure Figure(Length value) => new(value.Units, LengthWriter.Parts(value, Unit), $"{value}");

    public FigureText Text(Length value) => LengthWriter.Parts(value, Unit);

    public IReadOnlyList<SentencePart> Say(Words words)
    {
        ArgumentNullException.ThrowIfNull(words);
        return words.Parts(Unit);
    }

    public IReadOnlyList<SentencePart> Say(FormattableString words) => Say(Words.Of(words));

    /// <summary>"A6 US, 4 1/2 × 6 1/4 in"; a format that is called by its size is named once.</summary>
    public Words NameAndSize(Design design, Target target)
    {
        ArgumentNullException.ThrowIfNull(design);
        var name = target.Format.Name;
        var called = name == $"{LengthWriter.Write(target.Width, Unit)} × {LengthWriter.Write(target.Height, Unit)}" ? "" : $"{name}, ";
        return Words.Of($"{called}{design.SizeAsRead(target.Width, target.Height)}{(target.Turn ? ", turned" : "")}");
    }

    /// <summary>The same where its picture shows which way it stands.</summary>
    public Words NameAndSizeShown(Design design, Target target) => NameAndSize(design, new Target(target.Format with { Width = target.Width, Height = target.Height }, false));

    /// <summary>To the tenth of a millimetre, as thickness is spoken of in either system.</summary>
    public static string Millimetres(Length length) => $"{Math.Round(length.Millimetres, 1).ToString("0.0", CultureInfo.InvariantCulture)} mm";

    public static string Grams(double grams) => $"{Math.Round(grams).ToString(CultureInfo.InvariantCulture)} g";

    /// <summary>How a stock is drawn; a pale grey where nobody has said.</summary>
    public static string ColourOf(Stock stock)
    {
        ArgumentNullException.ThrowIfNull(stock);
        return stock.Colour ?? "#d8dedd";
    }

    public static string Stock(Design design)
    {
        ArgumentNullException.ThrowIfNull(design);
        return $"{design.Stock.Name} · {design.Stock.Caliper.Hundredths}";
    }

    public static string Many(long count, string one, string many) => $"{count} {(count == 1 ? one : many)}";

    public static string Lies(Lay lay) => lay switch
    {
        Lay.AsItLies => "as it lies",
        Lay.TurnedRound => "turn it round",
        Lay.TurnedOver => "turn it over like a page",
        _ => "turn it over, head to foot",
    };

    public CheckView Check(Check check)
    {
        ArgumentNullException.ThrowIfNull(check);
        return new CheckView(check.Id, check.Severity, Say(check.Text), check.Fix is { } fix ? new FixView(Say(fix.Words), fix.Edit) : null);
    }

    /// <summary>The card in the envelope that it goes into.</summary>
    public ClosedView Closed(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        var (closed, envelope) = (new ClosedAsRead(card.Figures, card.Closed), card.Envelope);
        var goes = card.Packing.Said;
        BoxView? round = null;
        if (envelope is not null)
        {
            // It is shown round the card as the card goes into it.
            var turned = envelope.Width < closed.Width || envelope.Height < closed.Height;
            var (wide, high) = turned ? (envelope.Height, envelope.Width) : (envelope.Width, envelope.Height);
            round = new BoxView((closed.Width - wide).Units / 2, (closed.Height - high).Units / 2, wide.Units, high.Units);
        }

        var thick = Millimetres(card.Thickness.Greatest);
        return new ClosedView
        {
            Width = Figure(closed.Width),
            Height = Figure(closed.Height),
            Panels = Drawn(card.Closed, closed),
            Worn = Worn(card),
            Text = Say($"Closed {card.Design.SizeAsRead(card.Size.Width, card.Size.Height)}, {thick} thick; {goes}"),
            Size = Say($"{closed.Width} × {closed.Height}"),
            Thickness = thick,
            Weight = Grams(card.Grams),
            Envelope = round,
            EnvelopeName = card.Construction.GoesRound ? "goes round the card" : envelope is null ? "envelope to make" : $"{envelope.Name} envelope",
            EnvelopeText = Say(goes),
        };
    }

    public static IReadOnlyList<WornShape> Worn(Card card) =>
        [.. ClosedDress.Of(card).Select(w => new WornShape([.. w.Outline.Select(p => new Spot(p.X.Units, p.Y.Units))], w.Colour ?? "", w.IsHole))];

    public static IReadOnlyList<ClosedPanel> Drawn(ClosedPose pose, ClosedAsRead read)
    {
        ArgumentNullException.ThrowIfNull(pose);
        ArgumentNullException.ThrowIfNull(read);
        return [.. pose.Panels.Select(p => new ClosedPanel(p.Plate.ToString(), [.. p.Corners.Select(c => read.Read(c)).Select(c => new Spot(c.X.Units, c.Y.Units))]))];
    }
}
