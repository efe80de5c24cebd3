using System.ComponentModel.DataAnnotations;
using System.Text;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Show;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Print;

namespace WholeFold.App.Features.HandOuts;

/// <summary>What is handed out, on what, for how many, in which unit first.</summary>
/// <param name="Kind">sheet, booklet, templates, cuts, kit, text or picture.</param>
/// <param name="Paper">a4, letter and so on; by the unit where it is not said.</param>
/// <param name="Units">in, cm or mm; the design's own where it is not said.</param>
/// <param name="Step">Of a picture, which step, counted from 1; the finished card where it is not said.</param>
public record HandOutRequest : DeskRequest
{
    [MaxLength(20)]
    public required string Kind { get; init; }

    [MaxLength(20)]
    public string? Paper { get; init; }

    [MaxLength(5)]
    public string? Units { get; init; }

    public int Cards { get; init; } = 1;

    public int? Step { get; init; }

    public bool Background { get; init; } = true;
}

/// <summary>The same in a form, to be kept: pdf, svg, png, csv or txt.</summary>
public sealed record HandOutFileRequest : HandOutRequest
{
    [MaxLength(5)]
    public required string Form { get; init; }

    /// <summary>Of SVG and PNG, which page.</summary>
    public int Page { get; init; } = 1;
}

/// <summary>How it will print: each page as a drawing, or the text.</summary>
/// <param name="Pages">SVG, one a page; the first of very many.</param>
/// <param name="Count">How many pages there are.</param>
/// <param name="Forms">In which forms it can be kept.</param>
public sealed record HandOutView(string Name, IReadOnlyList<string> Pages, int Count, string? Text, IReadOnlyList<string> Forms);

/// <summary>A run that was shown.</summary>
/// <param name="End">When it ended, in seconds from its start.</param>
public sealed record CaptionsRequest : ShowRequest
{
    public required IReadOnlyList<ShownAt> Run { get; init; }

    public required double End { get; init; }
}

public sealed record CaptionsView(string Captions, string Chapters);

internal static class HandOutEndpoints
{
    /// <summary>So many pages are looked at before printing; the rest is in the file.</summary>
    private const int MostSeen = 12;

    public static void MapHandOuts(this IEndpointRouteBuilder app)
    {
        var hand = app.MapGroup("/api/handouts");
        hand.MapPost("", async (Body<HandOutRequest> body, Studio studio, CancellationToken cancel) => View(await Asked(studio, body.Value, cancel), body.Value, cancel))
            .Describes<HandOutView>("handOut", "What is handed out as it will print.");
        hand.MapPost("/file", async (Body<HandOutFileRequest> body, Studio studio, CancellationToken cancel) =>
            {
                var (kind, ask) = (HandOut.KindOf(body.Value.Kind), await Asked(studio, body.Value, cancel));
                var written = ask.Write(kind, body.Value.Form, body.Value.Background, body.Value.Step, body.Value.Page, null, cancel);
                return Results.File(written.Bytes, written.Type, $"{FileName(ask.Name)}-{kind.ToString().ToLowerInvariant()}.{written.Extension}");
            })
            .Describes<byte[]>("handOutFile", "The same as a file.");
        hand.MapPost("/captions", async (Body<CaptionsRequest> body, Studio studio, CancellationToken cancel) =>
            {
                var desk = await studio.Lay(body.Value.Design, body.Value.Edits, cancel);
                var card = ShowEndpoints.CardOf(studio, desk, cancel).For(desk.Unit);
                var screens = Screens.Of(card, Steps.Of(card, Math.Clamp(body.Value.Cards, 1, HandOut.MostCards)));
                return new CaptionsView(Captions.WebVtt(screens, body.Value.Run, body.Value.End, desk.Unit), Captions.Chapters(screens, body.Value.Run, body.Value.End));
            })
            .Describes<CaptionsView>("handOutCaptions", "What was said and when, from the times of a run that was shown.");
    }

    private static async Task<HandOut> Asked(Studio studio, HandOutRequest request, CancellationToken cancel)
    {
        var desk = await studio.Lay(request.Design, request.Edits, cancel);
        var unit = request.Units is { } units ? UnitReader.Read(units, "units") : desk.Unit;
        return new HandOut(ShowEndpoints.CardOf(studio, desk, cancel), desk.Spec.Name, unit, Paper.Of(request.Paper ?? (unit == DisplayUnit.Inch ? "letter" : "a4")), request.Cards);
    }

    private static HandOutView View(HandOut ask, HandOutRequest request, CancellationToken cancel)
    {
        var kind = HandOut.KindOf(request.Kind);
        if (kind == HandOutKind.Text)
        {
            return new HandOutView(HandOut.NameOf(kind), [], 0, Encoding.UTF8.GetString(ask.Write(kind, cancel: cancel).Bytes), HandOut.FormsOf(kind));
        }

        if (kind == HandOutKind.Picture)
        {
            return new HandOutView(HandOut.NameOf(kind), [Encoding.UTF8.GetString(ask.Write(kind, "svg", request.Background, request.Step, cancel: cancel).Bytes)], 1, null, HandOut.FormsOf(kind));
        }

        var pages = ask.Pages(kind, null, cancel);
        return new HandOutView(HandOut.NameOf(kind), [.. pages.Take(MostSeen).Select(p => PageSvg.Write(p, ask.Title))], pages.Count, null, HandOut.FormsOf(kind));
    }

    /// <summary>A name that any system takes.</summary>
    private static string FileName(string name) => string.Concat(name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')).Trim('-') is { Length: > 0 } plain ? plain : "design";
}
