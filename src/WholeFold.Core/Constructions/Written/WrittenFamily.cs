using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Written;

/// <summary>
/// A construction as it is written down: with all its choices, the value that it is for each set of them. What a library file
/// says in C# stands here as data, and a construction of one's own is the same thing.
/// </summary>
public sealed record WrittenFamily
{
    /// <summary>The version of this form that is written.</summary>
    public const int Newest = 1;

    public int WholeFoldConstruction { get; init; } = Newest;

    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>What it does when it is opened, in a few words.</summary>
    public required string Opens { get; init; }

    public IReadOnlyList<Choice> Choices { get; init; } = [];

    /// <summary>One for each set of options; a single one where there is nothing to choose.</summary>
    public required IReadOnlyList<WrittenConstruction> Variants { get; init; }
}

/// <summary>A construction for one set of its choices.</summary>
public sealed record WrittenConstruction
{
    /// <summary>The option of each choice.</summary>
    public IReadOnlyDictionary<string, string> Choices { get; init; } = new Dictionary<string, string>();

    public Effect Does { get; init; }

    public IReadOnlyList<WrittenParameter> Parameters { get; init; } = [];

    public IReadOnlyList<WrittenAllowance> Allowances { get; init; } = [];

    public required IReadOnlyList<WrittenPiece> Pieces { get; init; }

    public IReadOnlyList<WrittenBond> Bonds { get; init; } = [];

    public IReadOnlyList<WrittenRole> Layers { get; init; } = [];

    public IReadOnlyList<WrittenRequirement> Requirements { get; init; } = [];

    public IReadOnlyList<WrittenTradeoff> Tradeoffs { get; init; } = [];

    public IReadOnlyList<WrittenState> States { get; init; } = [];

    public IReadOnlyList<WrittenContact> Contacts { get; init; } = [];

    /// <summary>Where things go that no bond says.</summary>
    public IReadOnlyList<WrittenPlacement> Places { get; init; } = [];

    /// <summary>Why these choices do not go together; null where they do.</summary>
    public string? Refused { get; init; }

    /// <summary>The plate that some people name a standing card by; null where that is as large as the closed card.</summary>
    public WrittenPlateName? NamedShown { get; init; }

    public WrittenLookedAt? LookedAt { get; init; }

    /// <summary>Of what goes round a card, the parameter that says how thick the card is.</summary>
    public string? RoundOneAsThickAs { get; init; }

    public bool Slanting { get; init; }

    public string? GrowsBecause { get; init; }

    public IReadOnlyList<AssemblyStep> Steps { get; init; } = [];

    public IReadOnlyList<Trouble> Troubles { get; init; } = [];

    public IReadOnlyList<string> Watch { get; init; } = [];
}

/// <summary>
/// A sum: ratios of W, H, parameters and allowances (<c>@1</c>), as whole numbers or fractions, and a constant that may differ
/// between the systems.
/// </summary>
/// <param name="In">The constant on tools of the imperial system, in inches; <paramref name="Mm"/> on metric ones, in millimetres.</param>
public sealed record WrittenSum(IReadOnlyDictionary<string, string>? Of = null, string? In = null, string? Mm = null);

public sealed record WrittenSpot(WrittenSum X, WrittenSum Y);

public sealed record WrittenRectangle(WrittenSpot From, WrittenSpot To);

/// <summary>A rectangle, or a shape by its corners.</summary>
public sealed record WrittenRegion(WrittenRectangle? Rectangle = null, IReadOnlyList<WrittenSpot>? Corners = null);

public sealed record WrittenLimit(WrittenSum Value, string Because);

public sealed record WrittenParameter
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Meaning { get; init; }

    public required WrittenSum Ideal { get; init; }

    public IReadOnlyList<WrittenLimit> Min { get; init; } = [];

    public IReadOnlyList<WrittenLimit> Max { get; init; } = [];

    public OnConversion OnConversion { get; init; }

    public bool Held { get; init; }

    public required string Rule { get; init; }

    public string Least { get; init; } = "less";

    public string Most { get; init; } = "more";

    public string? ZeroByHand { get; init; }

    public string? So { get; init; }

    public string? Absorbs { get; init; }
}

/// <summary>What lies in a fold or a sleeve.</summary>
public sealed record WrittenContents(string Other = "0", int Layers = 0, IReadOnlyList<string>? Pieces = null);

/// <summary>An allowance by its kind, with what that kind needs to know. Lengths are in millimetres.</summary>
public sealed record WrittenAllowance
{
    /// <summary>How sums name it: <c>@1</c>.</summary>
    public required string Symbol { get; init; }

    public required Paper.AllowanceKind Kind { get; init; }

    /// <summary>Whose stock counts; the design's own card where it is not given.</summary>
    public string? Piece { get; init; }

    public int? Plies { get; init; }

    public string? CreaseFactor { get; init; }

    public int? Layers { get; init; }

    public string? OnThem { get; init; }

    public string? Clearance { get; init; }

    public WrittenContents? Contents { get; init; }
}

public sealed record WrittenPanel(string Id, string Name, WrittenSum Extent, WrittenLimit Least, bool Tab = false);

public sealed record WrittenStretch(WrittenSum From, WrittenSum To);

public sealed record WrittenCrease(Fold Fold, bool Working, int Shown, int Closed, string Rule, IReadOnlyList<WrittenStretch>? Stretches = null);

public sealed record WrittenLine(WrittenSpot From, WrittenSpot To, WrittenCrease Crease, string Between);

/// <param name="HangsOn">The plate that it is folded from, <paramref name="By"/> that crease.</param>
public sealed record WrittenPlate(string Id, string Name, IReadOnlyList<WrittenSpot> Corners, string? HangsOn = null, int By = -1);

public sealed record WrittenOpening(string Id, string Name, string Panel, WrittenRectangle Within, string Rule, CutKind Kind, Edge? StaysOn = null, IReadOnlyList<WrittenSpot>? Outline = null);

public sealed record WrittenPiece
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public Axis Axis { get; init; }

    public required WrittenSum Across { get; init; }

    public required string SizeRule { get; init; }

    public required string AcrossRule { get; init; }

    public int Quantity { get; init; } = 1;

    /// <summary>What its length along the chain is there for: slides, turns, goesInside and so on; null for nothing of its own.</summary>
    public PartFunction? Along { get; init; }

    /// <summary>The same of its size along the creases.</summary>
    public PartFunction? Broad { get; init; }

    /// <summary>Id of the stock that it is cut from unless a design says otherwise; null is the design's card.</summary>
    public string? UsualStock { get; init; }

    /// <summary>A die cuts it out, and no trimmer.</summary>
    public bool ByDie { get; init; }

    /// <summary>Its chain is counted from the card's head: the lower edge on the board is its head.</summary>
    public bool FromHead { get; init; }

    public required IReadOnlyList<WrittenPanel> Panels { get; init; }

    public IReadOnlyList<WrittenCrease> Creases { get; init; } = [];

    public IReadOnlyList<WrittenLine> Lines { get; init; } = [];

    public IReadOnlyList<WrittenOpening> Openings { get; init; } = [];

    public IReadOnlyList<WrittenPlate>? Plates { get; init; }

    public IReadOnlyList<Ring> Rings { get; init; } = [];

    /// <summary>What bonds call it, or one of several.</summary>
    /// <param name="number">Which, from 1.</param>
    public string Copy(int number) => Quantity == 1 ? Id : $"{Id}:{number}";
}

/// <param name="Piece">The piece, with which of several: <c>fin:2</c>.</param>
public sealed record WrittenSide(string Piece, string Plate, Face Face, WrittenRegion Region);

/// <param name="RaisedIn">How thick the foam between them is, in inches; <paramref name="RaisedMm"/> in millimetres.</param>
public sealed record WrittenBond(string Id, WrittenSide A, WrittenSide B, string LinedUp, string? RaisedIn = null, string? RaisedMm = null, bool Loose = false,
    WrittenSum? Play = null, bool TakenOff = false, bool AtLeast = false);

public sealed record WrittenRole
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Piece { get; init; }

    public required IReadOnlyList<string> Panels { get; init; }

    public Face Face { get; init; }

    public int Levels { get; init; } = 1;

    public bool BothFaces { get; init; }

    /// <summary>Whether it is there for the message.</summary>
    public bool ToWriteOn { get; init; }

    /// <summary>Whether it stands behind other parts, to be looked at past them.</summary>
    public bool IsScene { get; init; }

    public IReadOnlyDictionary<string, WrittenRectangle> Free { get; init; } = new Dictionary<string, WrittenRectangle>();

    public WrittenSum? Reveal { get; init; }
}

public sealed record WrittenRequirement(string Id, WrittenSum AtLeastZero, string Because);

public sealed record WrittenTradeoff(string Parameter, string OneName, WrittenSum One, string OtherName, WrittenSum Other);

public sealed record WrittenAngle(string Piece, int Crease, int Angle);

public sealed record WrittenState(string Id, string Name, string How, IReadOnlyList<WrittenAngle> Angles);

public sealed record WrittenContact(string PieceA, string PlateA, WrittenSpot AtA, string PieceB, string PlateB, WrittenSpot AtB, string How);

public sealed record WrittenPlacement(string Id, string What, string From, WrittenSum Distance, string Pose, string Vanishes);

public sealed record WrittenPlateName(string Piece, string Plate);

public sealed record WrittenLookedAt(string Piece, string Plate, Axis Up, Edge? Spine = null);
