using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Exchange;

/// <summary>A length as it is exchanged: exact, and as a person reads it in both systems.</summary>
public sealed record LengthJson(long Units, decimal Mm, string In, string Cm)
{
    public static LengthJson Of(Length value) =>
        new(value.Units, value.Millimetres, LengthWriter.Write(value, DisplayUnit.Inch), LengthWriter.Write(value, DisplayUnit.Centimetre));
}

public sealed record FormatJson(string Id, LengthJson Width, LengthJson Height);

/// <param name="Thickness">The greatest; <paramref name="Mean"/> over what is covered.</param>
/// <param name="ThickestAt">A spot where it is greatest, from the closed card's left edge and from its foot.</param>
/// <param name="Grams">What the card weighs.</param>
/// <param name="States">The size of each other state of a card that has several.</param>
public sealed record ClosedJson(LengthJson Width, LengthJson Height, LengthJson Thickness, LengthJson Mean, IReadOnlyList<LengthJson> ThickestAt, double Grams, IReadOnlyList<StateJson>? States);

public sealed record StateJson(string Id, string Name, LengthJson Width, LengthJson Height);

public sealed record SettingJson(string How, LengthJson At, LengthJson? Groove, LengthJson? Offset, string Text);

/// <param name="From">Of a slanting one, where it begins: from the left edge and from the foot; <paramref name="To"/> where it ends.</param>
/// <param name="Stretches">What of its line is scored, from and to along it, where that is not all of it.</param>
public sealed record ScoreJson(string Axis, LengthJson At, string Direction, string Kind, SettingJson Set, IReadOnlyList<LengthJson>? From = null,
    IReadOnlyList<LengthJson>? To = null, IReadOnlyList<IReadOnlyList<LengthJson>>? Stretches = null);

/// <param name="Corners">The outline of a shape that is no rectangle.</param>
/// <param name="Open">Of one that is cut on three sides, the side at which it stays on.</param>
public sealed record CutJson(string Kind, string Shape, IReadOnlyList<LengthJson> From, IReadOnlyList<LengthJson> To, SettingJson Set,
    IReadOnlyList<IReadOnlyList<LengthJson>>? Corners = null, string? Open = null);

public sealed record PieceSetJson(SettingJson Width, SettingJson Height);

/// <summary>Scores set with the piece lying one way: by their places in the piece's list, in the order of setting.</summary>
public sealed record PassJson(string Lay, IReadOnlyList<int> Scores);

public sealed record PieceJson(string Id, string Name, int Quantity, LengthJson Width, LengthJson Height, string Stock, IReadOnlyList<ScoreJson> Scores,
    IReadOnlyList<PassJson> Order, IReadOnlyList<CutJson> Cuts, PieceSetJson Set);

/// <param name="Role">The role that it covers.</param>
/// <param name="Heads">By panel, the side of the flat piece that is uppermost as the face is read: which way up a paper with a way up goes on.</param>
/// <param name="Outline">Of one that is no rectangle, its corners from the lower left of its box; and how it is cut.</param>
/// <param name="DropsOut">What its windows let drop: pieces with their size, to be used again.</param>
public sealed record LayerJson(string Id, IReadOnlyList<string> Panels, string Face, int Level, string Stock, LengthJson Width, LengthJson Height, int Quantity,
    string Role, IReadOnlyDictionary<string, string> Heads, IReadOnlyList<IReadOnlyList<LengthJson>>? Outline = null, string? Cut = null, bool? ToWriteOn = null,
    IReadOnlyList<IReadOnlyList<LengthJson>>? DropsOut = null);

/// <summary>Where a thing lies on one face of the flat piece.</summary>
/// <param name="Box">Left, foot, right and head in the flat piece.</param>
public sealed record OnJson(string Piece, string Plate, string Side, IReadOnlyList<LengthJson> Box);

/// <summary>Where a thing is on its face, as one reads it: its anchor and its distance from the two nearest edges.</summary>
public sealed record PlacedJson(string Anchor, IReadOnlyList<EdgeJson> From, string Pose);

/// <param name="Margins">left, right, head and foot of what is free, as one reads the face.</param>
/// <param name="Wished">What its face asks for in this format, before a die was taken.</param>
/// <param name="Shift">Of a die that is passed twice, how far the second pass is moved.</param>
/// <param name="Found">asChosen, nearestDie, byRule or noneFits.</param>
/// <param name="Was">Its size at home.</param>
/// <param name="DropsOut">What drops out, as a piece that may be used again.</param>
public sealed record WindowJson(string Id, string Role, string? Die, string Shape, IReadOnlyList<LengthJson> Size, IReadOnlyList<int>? Through, PlacedJson Place,
    IReadOnlyDictionary<string, LengthJson> Margins, IReadOnlyList<LengthJson> Wished, LengthJson? Shift, string Found, IReadOnlyList<LengthJson> Was,
    IReadOnlyList<LengthJson> DropsOut, int Quantity, IReadOnlyList<OnJson> On);

/// <param name="Height">How far it stands off its face.</param>
/// <param name="Fits">Whether its face takes it; else by how much it is too large, and the roles that would take it.</param>
public sealed record ElementJson(string Id, string Name, string Role, string Shape, IReadOnlyList<LengthJson> Size, LengthJson Height, bool Fixed, PlacedJson Place,
    string? BondedOn, string Made, string Stock, string Held, bool Fits, LengthJson? TooLarge, IReadOnlyList<string>? WouldTake, IReadOnlyList<LengthJson> Was,
    int Quantity, IReadOnlyList<OnJson> On, IReadOnlyList<IReadOnlyList<LengthJson>>? Outline = null);

/// <param name="Free">What of it is free: outlines in the flat piece, the largest first.</param>
/// <param name="Poses">When it is seen, and which side of the flat piece is uppermost then.</param>
public sealed record FaceJson(string Id, string Role, string Name, int Copies, IReadOnlyList<IReadOnlyList<LengthJson>> Free, IReadOnlyList<PoseJson> Poses);

public sealed record PoseJson(string Pose, string Head, bool Behind);

/// <param name="Degrees">How far it may be tipped before it falls; less than nothing where it falls by itself.</param>
public sealed record StandsJson(double Degrees, LengthJson High);

/// <param name="Height">How much higher the piece is cut there.</param>
/// <param name="Outline">What stands above the height of the rule, in the flat piece.</param>
public sealed record ContourJson(string Id, string Role, string Shape, LengthJson Height, IReadOnlyList<IReadOnlyList<LengthJson>> Outline);

/// <param name="Length">How much of it one card takes, ends and bow with it.</param>
public sealed record SoftJson(string Id, string Role, string Kind, string Rule, LengthJson Length, string Hidden);

/// <param name="Box">left, foot, right and head in the flat piece.</param>
public sealed record AtJson(string Piece, string Plate, string Side, IReadOnlyList<LengthJson> Box);

/// <param name="Grade">easy, or snug.</param>
public sealed record EnvelopeJson(string Id, LengthJson Width, LengthJson Height, string Grade);

public sealed record CheckJson(string Id, string Severity, string Text, IReadOnlyDictionary<string, LengthJson> Figures, FixJson? Fix = null, AtJson? At = null);

/// <summary>An edit of the design that takes a finding away, and what it is called.</summary>
public sealed record FixJson(DesignEdit Edit, string Words);

/// <param name="From">Its distances, each from a named edge or crease.</param>
public sealed record PlaceJson(string Id, string What, string On, IReadOnlyList<EdgeJson> From, string Pose, string Mark, string Vanishes);

public sealed record EdgeJson(string Edge, LengthJson Distance);

/// <param name="A">The face that it is on: piece, plate and side.</param>
/// <param name="Area">Its size across and along.</param>
/// <param name="Limit">How far the adhesive stays back from a crease that moves.</param>
/// <param name="RunLength">How much tape one run takes.</param>
/// <param name="Pose">flat, foldedFlat, closed or standing; and how it is reached.</param>
/// <param name="Most">Where the area is only the least that holds, how large it may be.</param>
public sealed record BondJson(string Id, string A, string B, IReadOnlyList<LengthJson> Area, LengthJson Limit, LengthJson RunLength, string Pose, IReadOnlyList<LengthJson>? Most = null);

public sealed record StepJson(string Id, string Say, IReadOnlyList<string> Figures, string Tool, string? Lay, string? Face, IReadOnlyList<string> Bonds,
    string Pose, string? Reach, int Seconds, IReadOnlyList<string> Cautions, string Phase, string Title, string? Why, string? LookFor, int Holds, string? HoldsFor,
    IReadOnlyList<string> Marks, IReadOnlyList<string> Gone, IReadOnlyList<string> Pieces, IReadOnlyList<string> Things, string? Tip);

public sealed record ReasonJson(string Why, LengthJson From, LengthJson To);

/// <param name="Side">scant, full, exact or either: which way the figure may miss.</param>
/// <param name="Twins">What is cut or scored to the same figure.</param>
public sealed record SafeJson(string Side, string Why, IReadOnlyList<string> Twins);

public sealed record SizedJsonDocument(
    string Construction,
    FormatJson Format,
    string Tools,
    string Units,
    Opens Opens,
    IReadOnlyDictionary<string, object> Parameters,
    ClosedJson Closed,
    IReadOnlyList<PieceJson> Pieces,
    IReadOnlyList<LayerJson> Layers,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] EnvelopeJson? Envelope,
    IReadOnlyList<CheckJson> Checks,
    IReadOnlyDictionary<string, IReadOnlyList<ReasonJson>> Reasons,
    IReadOnlyDictionary<string, string> Said,
    IReadOnlyDictionary<string, SafeJson> Safe,
    IReadOnlyList<PlaceJson> Places,
    IReadOnlyList<BondJson> Bonds,
    IReadOnlyList<StepJson> Steps,
    IReadOnlyList<FaceJson> Faces,
    IReadOnlyList<WindowJson> Windows,
    IReadOnlyList<ElementJson> Elements,
    IReadOnlyList<SoftJson> Soft,
    IReadOnlyList<ContourJson> Contours,
    StandsJson? Stands);

/// <summary>The sized design as JSON, the contract of the command line. The same design gives the same bytes.</summary>
public static class SizedJson
{
    public static string Write(Card card, DisplayUnit unit) => JsonSerializer.Serialize(Document(card, unit), StrictJson.Options);

    public static SizedJsonDocument Document(Card card, DisplayUnit unit)
    {
        var sized = card.Figures;
        SettingJson Set(Setting s) => s switch
        {
            Setting.FromGroove g => new(Name(s.How), LengthJson.Of(s.At), LengthJson.Of(g.Groove), LengthJson.Of(g.Offset), s.Write(unit)),
            Setting.ByDie d => new(Name(s.How), LengthJson.Of(s.At), LengthJson.Of(d.Score), LengthJson.Of(d.Offset), s.Write(unit)),
            _ => new(Name(s.How), LengthJson.Of(s.At), null, null, s.Write(unit)),
        };
        static IReadOnlyList<LengthJson> Spot(Point point) => [LengthJson.Of(point.X), LengthJson.Of(point.Y)];
        var parameters = new Dictionary<string, object>();
        foreach (var (choice, value) in sized.Construction.Choices)
        {
            parameters[choice] = int.TryParse(value, out var count) ? count : value;
        }

        foreach (var parameter in sized.Parameters)
        {
            parameters[parameter.Parameter.Id] = LengthJson.Of(parameter.Value);
        }

        return new SizedJsonDocument(
            sized.Construction.Id,
            new FormatJson(sized.Named.Format.Id, LengthJson.Of(sized.Named.Width), LengthJson.Of(sized.Named.Height)),
            sized.Tools.Id,
            LengthWriter.Symbol(unit),
            card.Design.WayItOpens,
            parameters,
            new ClosedJson(LengthJson.Of(card.Size.Width), LengthJson.Of(card.Size.Height), LengthJson.Of(card.Thickness.Greatest),
                LengthJson.Of(card.Thickness.Mean), Spot(new Point(card.Thickness.ThickestAt.X - card.Closed.Footprint.Left,
                card.Thickness.ThickestAt.Y - card.Closed.Footprint.Bottom)), Math.Round(card.Grams, 1), sized.Construction.States.Count == 0 ? null
                : [.. card.States.Select(s => new StateJson(s.State.Id, s.State.Name, LengthJson.Of(s.Pose.Width), LengthJson.Of(s.Pose.Height)))]),
            [.. sized.Pieces.Select(p => new PieceJson(
                p.Piece.Id,
                p.Piece.Name,
                p.Piece.Quantity,
                LengthJson.Of(p.Width.Value),
                LengthJson.Of(p.Height.Value),
                sized.Design.StockOf(p.Piece.Id).Id,
                [.. p.AllScores.Select(s => new ScoreJson(
                    s.Axis switch { Axis.X => "x", Axis.Y => "y", _ => "diagonal" },
                    LengthJson.Of(s.Figure.Value),
                    s.Crease.Fold == Fold.Valley ? "valley" : "mountain",
                    s.Crease.Working ? "working" : "set",
                    Set(s.Figure.Setting),
                    s.Axis is null ? Spot(s.From) : null,
                    s.Axis is null ? Spot(s.To) : null,
                    s.Stretches.Count == 0 ? null : [.. s.Stretches.Select(t => (IReadOnlyList<LengthJson>)[LengthJson.Of(t.From), LengthJson.Of(t.To)])]))],
                [.. p.Passes.Select(pass => new PassJson(Name(pass.Lay), pass.Scores))],
                [
                    new CutJson("outer", "rectangle", [LengthJson.Of(Length.Zero), LengthJson.Of(Length.Zero)], [LengthJson.Of(p.Width.Value), LengthJson.Of(p.Height.Value)], Set(p.Width.Setting)),
                    .. p.Openings.Select(o => new CutJson(
                        Name(o.Opening.Kind),
                        o.IsLine ? "line" : o.Opening.Outline is null && o.Opening.StaysOn is null ? "rectangle" : "contour",
                        Spot(new Point(o.Left.Value, o.Foot.Value)),
                        Spot(new Point(o.Right.Value, o.Head.Value)),
                        Set(o.Left.Setting),
                        o.Opening.Outline is null ? null : [.. o.Corners.Select(Spot)],
                        o.Opening.StaysOn is { } edge ? Name(edge) : null)),
                ],
                new PieceSetJson(Set(p.Width.Setting), Set(p.Height.Setting))))],
            [.. card.Layers.Select(l => DressedJson.Layer(card, l, unit))],
            card.Envelope is { } e ? new EnvelopeJson(e.Id, LengthJson.Of(e.Width), LengthJson.Of(e.Height), Name(card.EnvelopeGrade!.Value)) : null,
            [.. card.Checks.Select(c => new CheckJson(c.Id, c.Severity.ToString().ToLowerInvariant(), c.Text.Write(unit),
                c.Figures.ToDictionary(f => f.Key, f => LengthJson.Of(f.Value)), c.Fix is { } fix ? new FixJson(fix.Edit, fix.Words.Write(unit)) : null,
                c.At is { } at ? new AtJson(at.Piece, at.Plate, Name(at.Face), DressedJson.Box(at.Box)) : null))],
            card.All.ToDictionary(f => f.Id.ToString(), f => (IReadOnlyList<ReasonJson>)[.. f.Reasons.Select(r => new ReasonJson(r.Why.Write(unit), LengthJson.Of(r.From), LengthJson.Of(r.To)))]),
            card.All.ToDictionary(f => f.Id.ToString(), f => f.Said.Write(unit)),
            card.SafeSides.ToDictionary(s => s.Key.ToString(), s => new SafeJson(Name(s.Value.Direction), s.Value.Why.Write(unit), s.Value.Twins)),
            [.. Places.Of(sized).Concat(DressedPlaces.Of(card))
                .Select(p => new PlaceJson(p.Id, p.What, p.On, [.. p.From.Select(f => new EdgeJson(f.Edge, LengthJson.Of(f.Distance)))], p.Pose, p.Mark,
                p.Vanishes))],
            [.. (BondOrder.Of(sized) ?? []).Select(o => Bond(sized, o))],
            [.. Steps.Of(card).Select(s => new StepJson(s.Id, s.Say.Write(unit), s.Figures, s.Tool, s.Lay, s.Face, s.Bonds, s.Pose, s.Reach, card.Design.Inventory.Pace.Of(s.Work), s.Cautions,
                Name(s.Phase), s.Title, s.Why?.Write(unit), s.LookFor?.Write(unit), s.Holds, s.HoldsFor, s.Marks, s.Gone, s.Pieces, s.Things, s.Tip))],
            DressedJson.Faces(card),
            [.. card.Dressed.Windows.Select(DressedJson.Window)],
            [.. card.Dressed.Elements.Select(DressedJson.Element)],
            [.. SoftGoods.Of(sized, card.Dressed).Select(g =>
                new SoftJson(g.Good.Id, g.Good.Role, DressingWriter.Name(g.Good.Kind), DressingWriter.Name(g.Good.Rule), LengthJson.Of(g.Length), g.Hidden))],
            [.. card.Dressed.Contours.Select(DressedJson.Contour)],
            card.Standing is { } standing ? new StandsJson(Math.Round(standing.Degrees, 1), LengthJson.Of(standing.High)) : null);
    }

    private static BondJson Bond(Figures sized, OrderedBond ordered)
    {
        var bond = Places.FiguresOf(sized, ordered.Bond);
        static string On(BondSide side) => $"{side.Plate} {Name(side.On.Face)}";
        return new BondJson(bond.Bond.Id, On(bond.Bond.A), On(bond.Bond.B), [LengthJson.Of(bond.Width), LengthJson.Of(bond.Height)], LengthJson.Of(bond.Limit),
            LengthJson.Of(bond.Run), ordered.Laid switch { LaidBy.Flat => "flat", LaidBy.FoldedFlat => "foldedFlat", LaidBy.Closed => "closed", _ => "standing" },
            bond.Most is var (wide, high) ? [LengthJson.Of(wide), LengthJson.Of(high)] : null);
    }

    /// <summary>A name as it is written in JSON: <c>headOverHeels</c>.</summary>
    public static string Name<T>(T value) where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
