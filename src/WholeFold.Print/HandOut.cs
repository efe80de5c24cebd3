using WholeFold.Core.Cards;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Print;

/// <summary>What is handed out.</summary>
public enum HandOutKind
{
    /// <summary>Every figure on one page.</summary>
    Sheet,

    /// <summary>Step by step.</summary>
    Booklet,

    /// <summary>The pieces at full size.</summary>
    Templates,

    /// <summary>What is cut from what.</summary>
    Cuts,

    /// <summary>A page for every bag.</summary>
    Kit,

    /// <summary>Measures and supplies as plain text.</summary>
    Text,

    /// <summary>The card, or one step of it, as a picture for a post.</summary>
    Picture,
}

/// <summary>A written hand-out.</summary>
/// <param name="Type">Its media type.</param>
public sealed record Written(byte[] Bytes, string Type, string Extension);

/// <summary>What is asked for: a card, what of it, on what paper, in which unit first, for how many.</summary>
public sealed class HandOut
{
    private readonly Lazy<IReadOnlyList<Step>> _steps;
    private readonly Lazy<HandOut> _received;

    /// <exception cref="InputProblemException">More cards than one packs at a time.</exception>
    public HandOut(Card card, string name, DisplayUnit unit, Paper paper, int cards = 1)
    {
        ArgumentNullException.ThrowIfNull(card);
        if (cards is < 1 or > MostCards)
        {
            throw new InputProblemException("print.cards", "cards", $"{cards} cards are not made at once", $"1 to {MostCards}");
        }

        (Card, Name, Unit, Paper, Cards) = (card.Handed, name.Length > 0 ? name : card.Design.Family.Name, unit, paper, cards);
        _steps = new(() => Core.Guide.Steps.Of(Card, cards, Card.Second));
        _received = new(Received);
    }

    /// <summary>
    /// All that is handed out is the card whose own figures are read in the unit: what was only rounded from one system's marks to the
    /// other's can be set on neither. What a machine cuts is the card itself, in whatever unit its file is.
    /// </summary>
    private HandOut For(HandOutKind kind) => kind == HandOutKind.Templates && Card.Figures.Tools.Exact ? this : _received.Value;

    private HandOut Received() => Card.For(Unit) is var theirs && ReferenceEquals(theirs, Card) ? this : new HandOut(theirs, Name, Unit, Paper, Cards);

    public const int MostCards = 200;

    public Card Card { get; }

    public string Name { get; }

    public DisplayUnit Unit { get; }

    public Paper Paper { get; }

    public int Cards { get; }

    public IReadOnlyList<Step> Steps => _steps.Value;

    /// <summary>What stands at the foot of a page and in a file's title.</summary>
    public string Title => $"{Name}, {Card.Design.Family.Name}, {Words.Of($"{Card.Design.SizeAsRead(Card.Target.Width, Card.Target.Height)}").Write(Unit)}";

    /// <summary>The unit of the second system.</summary>
    public DisplayUnit Other => Unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;

    /// <summary>The figures of a step that are lengths, each with what it is of.</summary>
    public IEnumerable<(string Name, Measured Figure)> FiguresOf(Step step)
    {
        ArgumentNullException.ThrowIfNull(step);
        var all = Card.All.ToDictionary(f => f.Id.ToString());
        foreach (var id in step.Figures)
        {
            if (all.TryGetValue(id, out var figure))
            {
                yield return (id.EndsWith(".width", StringComparison.Ordinal) ? "wide" : id.EndsWith(".height", StringComparison.Ordinal) ? "high" : "at", figure);
            }
        }
    }

    /// <summary>The pages of a hand-out that has some.</summary>
    public IReadOnlyList<Page> Pages(HandOutKind kind, IProgress<int>? progress = null, CancellationToken cancel = default) => For(kind).PagesOf(kind, progress, cancel);

    private IReadOnlyList<Page> PagesOf(HandOutKind kind, IProgress<int>? progress, CancellationToken cancel) => kind switch
    {
        HandOutKind.Sheet => MeasureSheet.Of(this),
        HandOutKind.Booklet => Booklet.Of(this, progress, cancel),
        HandOutKind.Templates => TrueSize.Of(this),
        HandOutKind.Cuts => Supplies.CutList(this),
        HandOutKind.Kit => Supplies.Kits(this),
        HandOutKind.Picture => [Post.Card(this, background: true)],
        _ => throw new InputProblemException("print.form", "as", "a plain text has no pages", "txt"),
    };

    /// <summary>A hand-out in a form.</summary>
    /// <param name="form">pdf, svg, png, dxf, fold, csv or txt; null for what is usual.</param>
    /// <param name="step">Of a picture, which step; null for the card.</param>
    /// <param name="page">Of SVG and PNG, which page.</param>
    /// <exception cref="InputProblemException">There is no such hand-out in that form, no such step or page.</exception>
    public Written Write(HandOutKind kind, string? form = null, bool background = true, int? step = null, int page = 1, IProgress<int>? progress = null, CancellationToken cancel = default)
    {
        var accepted = FormsOf(kind);
        var to = form ?? accepted[0];
        if (!accepted.Contains(to))
        {
            throw new InputProblemException("print.form", "out", $"a {NameOf(kind)} is not written as {to}", string.Join(", ", accepted));
        }

        if (to == "txt")
        {
            return new(System.Text.Encoding.UTF8.GetBytes(Supplies.Text(For(kind))), "text/plain; charset=utf-8", "txt");
        }

        if (to == "csv")
        {
            return new(System.Text.Encoding.UTF8.GetBytes(Supplies.Csv(For(kind))), "text/csv; charset=utf-8", "csv");
        }

        if (to == "dxf")
        {
            return new(PageDxf.Write(TrueSize.Nest(For(kind))), "image/vnd.dxf", "dxf");
        }

        if (to == "fold")
        {
            return new(CreasePattern.Write(For(kind).Card, Title), "application/json", "fold");
        }

        var pages = kind == HandOutKind.Picture ? [step is { } n ? Post.Step(For(kind), n, background) : Post.Card(For(kind), background)] : Pages(kind, progress, cancel);
        if (to == "pdf")
        {
            return new(PdfWriter.Write(pages, Title, progress, cancel), "application/pdf", "pdf");
        }

        var one = page >= 1 && page <= pages.Count ? pages[page - 1] : throw new InputProblemException("print.page", "page", $"there is no page {page}", $"1 to {pages.Count}");
        return to == "svg" ? new(System.Text.Encoding.UTF8.GetBytes(PageSvg.Write(one, Title)), "image/svg+xml", "svg") : new(PngWriter.Write(one, Title, kind == HandOutKind.Picture ? Post.Dots : 1240), "image/png", "png");
    }

    /// <summary>The forms in which a hand-out is written, the usual one first.</summary>
    public static IReadOnlyList<string> FormsOf(HandOutKind kind) => kind switch
    {
        HandOutKind.Text => ["txt"],
        HandOutKind.Picture => ["png", "svg", "pdf"],
        HandOutKind.Templates => ["pdf", "svg", "png", "dxf", "fold"],
        HandOutKind.Cuts => ["pdf", "csv", "svg", "png"],
        _ => ["pdf", "svg", "png"],
    };

    public static string NameOf(HandOutKind kind) => kind switch
    {
        HandOutKind.Sheet => "measure sheet",
        HandOutKind.Booklet => "step booklet",
        HandOutKind.Cuts => "cut list",
        HandOutKind.Kit => "kit list",
        HandOutKind.Text => "plain text",
        HandOutKind.Templates => "set of templates",
        _ => "picture",
    };

    /// <exception cref="InputProblemException">There is no such hand-out.</exception>
    public static HandOutKind KindOf(string id) => Enum.TryParse<HandOutKind>(id, ignoreCase: true, out var kind) && Enum.IsDefined(kind) && !int.TryParse(id, out _) ? kind
        : throw new InputProblemException("print.as", "as", $"“{id}” is nothing that is handed out", string.Join(", ", Enum.GetNames<HandOutKind>().Select(n => n.ToLowerInvariant())));
}
