using System.ComponentModel.DataAnnotations;
using System.Text;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Show;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange.Machines;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Print;

namespace WholeFold.App.Features.StandIns;

/// <param name="Fault">What goes wrong on the way: none, noAnswer, wrongUnit or halfAMessage.</param>
/// <param name="Mat">The name of the mat that the cutting machine has.</param>
public record StandInRequest : DeskRequest
{
    public Fault Fault { get; init; }

    [MaxLength(60)]
    public string? Mat { get; init; }
}

public sealed record StandInPassView(string Tool, int Lines, string Length, string Travel);

/// <param name="Free">What of the mat stays free: left, right, below and above.</param>
public sealed record StandInCutView(string Machine, IReadOnlyList<string> Mats, string Size, string Free, IReadOnlyList<StandInPassView> Passes, IReadOnlyList<string> Drops);

/// <param name="Line">As it came; <paramref name="Reading"/> what it says.</param>
public sealed record StandInReadingView(string Machine, string Line, string Reading);

public sealed record StandInPostView(string Counter, string Class, string Costs, string Sending, string? Why);

/// <summary>Stand-ins for machines that a studio may have: each does what a real one would be asked for, moves nothing, and says so.</summary>
internal static class StandInEndpoints
{
    public static void MapStandIns(this IEndpointRouteBuilder app)
    {
        var stand = app.MapGroup("/api/stand-ins");
        stand.MapPost("/cut", async (Body<StandInRequest> body, Studio studio, CancellationToken cancel) =>
        {
            var desk = await studio.Lay(body.Value.Design, body.Value.Edits, cancel);
            var drawing = new HandOut(ShowEndpoints.CardOf(studio, desk, cancel), desk.Spec.Name, desk.Unit, Paper.Of("a4"), 1).Write(HandOutKind.Templates, "dxf", cancel: cancel);
            var mat = body.Value.Mat is { } named ? Mat.All.FirstOrDefault(m => m.Name == named)
                ?? throw new InputProblemException("mat.unknown", "mat", $"there is no mat “{named}”", string.Join(", ", Mat.All.Select(m => m.Name))) : Mat.All[0];
            var report = new SimulatedCuttingMachine(body.Value.Fault).Send(Encoding.Latin1.GetString(drawing.Bytes), mat);
            // As finely as one looks at a mat, and a tool's way in whole units.
            var isInch = desk.Unit == DisplayUnit.Inch;
            Length Rounded(Length length) => length.Nearest(isInch ? Length.In(1, 8) : Length.Mm(1));
            string Said(Length length) => LengthWriter.WithUnit(Rounded(length), desk.Unit);
            string Way(Length length) => isInch ? $"{(double)length.Units / Length.PerInch:0} in" : $"{length.Millimetres / 10:0} cm";
            return new StandInCutView(
                report.Machine, [.. Mat.All.Select(m => m.Name)], $"{LengthWriter.Write(Rounded(report.Width), desk.Unit)} × {Said(report.Height)}", $"{Said(report.Left)} on the left, {Said(report.Right)} on the right, {Said(report.Below)} below, {Said(report.Above)} above",
                [.. report.Passes.Select(p => new StandInPassView(p.Tool, p.Lines, Way(p.Length), Way(p.Travel)))], [.. report.Drops.Select(d => $"{LengthWriter.Write(Rounded(d.Width), desk.Unit)} × {Said(d.Height)}")]);
        }).Describes<StandInCutView>("standInCut", "What a cutting machine would do with the design's templates; simulated.");
        stand.MapPost("/caliper", async (Body<StandInRequest> body, Studio studio, CancellationToken cancel) =>
        {
            var desk = await studio.Lay(body.Value.Design, body.Value.Edits, cancel);
            var link = new SimulatedCaliper(desk.Read.Design.Stock.Caliper, body.Value.Fault);
            var line = link.Next();
            var read = CaliperLine.Read(line);
            return new StandInReadingView(link.Name, line!.Trim(), $"{read.Millimetres:0.00} mm");
        }).Describes<StandInReadingView>("standInCaliper", "A reading of the design's card by a caliper that sends it; simulated.");
        stand.MapPost("/post", async (Body<StandInRequest> body, Studio studio, CancellationToken cancel) =>
        {
            var card = ShowEndpoints.CardOf(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), cancel);
            var (width, height) = card.Envelope is { } envelope ? (envelope.Width, envelope.Height) : card.Size;
            var post = new SimulatedPostalCounter(body.Value.Fault).Price(width, height, card.Thickness.Greatest, card.Grams);
            return new StandInPostView(post.Counter, post.Class.Name, $"{post.Class.Pence / 100m:0.00}", $"{width.Millimetres:0} × {height.Millimetres:0} mm, {card.Thickness.Greatest.Millimetres:0.0} mm thick, {card.Grams:0} g", post.Why);
        }).Describes<StandInPostView>("standInPost", "What the card costs to send, by example tariffs; simulated.");
    }
}
