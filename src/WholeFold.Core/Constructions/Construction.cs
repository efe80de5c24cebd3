using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions;

/// <summary>What a parameter does when the design goes into another format.</summary>
public enum OnConversion
{
    /// <summary>It grows and shrinks with the format.</summary>
    Proportional,

    /// <summary>It needs what it needs at any size: a glue tab, a gap.</summary>
    Fixed,
}

/// <summary>A limit of a parameter or of a panel, with the words that explain it.</summary>
public sealed record Limit(Affine Value, string Because)
{
    /// <summary>True where no parameter is in it, only the format and allowances.</summary>
    public bool OnFormatOnly { get; } = Value.Terms.Keys.All(s => s.Kind != SymbolKind.Parameter);
}

/// <summary>A length that a construction leaves open.</summary>
/// <param name="Held">
/// True where the ideal is not a size but the absence of one ("no pad"): the board never moves it, only a person does.
/// </param>
/// <param name="Least">What less of it gives, for the end of a slider; <paramref name="Most"/> what more.</param>
/// <param name="ZeroByHand">
/// Where a person may set 0 though the limits forbid it (doors that touch): the caution that goes with it; otherwise null.
/// </param>
/// <param name="So">What it is there for, after "so that": "the doors do not touch"; null where that says itself.</param>
/// <param name="Absorbs">The piece of which this panel can take what is left of a sheet's length, where a person prefers that; otherwise null.</param>
public sealed record Parameter(
    string Id,
    string Name,
    string Meaning,
    Affine Ideal,
    IReadOnlyList<Limit> Min,
    IReadOnlyList<Limit> Max,
    OnConversion OnConversion,
    bool Held,
    string Rule,
    string Least,
    string Most,
    string? ZeroByHand,
    string? So,
    string? Absorbs);

/// <summary>One side of a bond: a region on a face of a plate.</summary>
public sealed record BondSide(FaceRef On, Region Region)
{
    public PlateRef Plate => On.Plate;

    public PieceRef Piece => On.Plate.Piece;
}

/// <summary>
/// Two regions glued face to face. Corner for corner the one lies on the other, so a region given with its corners exchanged
/// is a mirrored one.
/// </summary>
/// <param name="Raised">How thick the foam between them is, where one is raised over the other; otherwise it is taped.</param>
/// <param name="Play">How far the two may be apart because one is cut a hair less to go inside another; otherwise they meet exactly.</param>
/// <param name="IsLoose">Not glued: where a piece that slides or hangs lies when the card is closed.</param>
/// <param name="TakenOff">Of a loose one, that it is taken away before the card is opened.</param>
/// <param name="AtLeast">The regions are the least that holds: adhesive may go as far as the two plates lie on each other.</param>
public sealed record Bond(string Id, BondSide A, BondSide B, string LinedUp, Pair? Raised = null, bool IsLoose = false, Affine? Play = null, bool TakenOff = false, bool AtLeast = false)
{
    public IEnumerable<BondSide> Sides => [A, B];
}

/// <summary>Where decoration goes: one layer for each panel and face named.</summary>
/// <param name="Levels">How many lie on each other at the most usual: a mat, and a paper on it.</param>
/// <param name="BothFaces">Whether the other face of each panel carries one too.</param>
/// <param name="Free">By panel, the part that is free, where something is bonded over the rest; the whole panel where it is not named.</param>
/// <param name="Reveal">A border of the construction's own, where the design's reveal does not apply.</param>
/// <param name="ToWriteOn">It is there for the message.</param>
/// <param name="IsScene">It stands behind other parts, and is there to be looked at past them.</param>
public sealed record LayerRole(string Id, string Name, string Piece, IReadOnlyList<string> Panels, Face Face, int Levels, bool BothFaces,
    IReadOnlyDictionary<string, Rectangle> Free, Affine? Reveal = null, bool ToWriteOn = false, bool IsScene = false)
{
    /// <summary>What is added to the id of a role on both faces to name the other one.</summary>
    public const string OtherFace = "-back";
}

/// <summary>A requirement that binds several parameters.</summary>
public sealed record Requirement(string Id, Affine AtLeastZero, string Because);

/// <summary>Two things of which one can only have more at the cost of the other, and the parameter that decides between them.</summary>
/// <param name="Parameter">Id of the parameter that is moved.</param>
public sealed record Tradeoff(string Parameter, string OneName, Affine One, string OtherName, Affine Other);

/// <summary>
/// How a card is cut, scored, folded and bonded, for one set of its choices. Everything downstream (sizing, folding,
/// drawing) reads this value and never asks which construction it is.
/// </summary>
public sealed record Construction
{
    public required string Id { get; init; }

    public required IReadOnlyList<Parameter> Parameters { get; init; }

    public required IReadOnlyList<Piece> Pieces { get; init; }

    public required IReadOnlyList<Bond> Bonds { get; init; }

    public required IReadOnlyList<LayerRole> Layers { get; init; }

    public required IReadOnlyList<Requirement> Requirements { get; init; }

    public required IReadOnlyList<Tradeoff> Tradeoffs { get; init; }

    /// <summary>The allowances it names in its expressions, by their symbols.</summary>
    public required IReadOnlyDictionary<Symbol, Allowance> Allowances { get; init; }

    /// <summary>The states of a card that has more than closed and shown; the closed one is the first and is not listed.</summary>
    public IReadOnlyList<CardState> States { get; init; } = [];

    public Effect Does { get; init; }

    /// <summary>How it is put together, step by step.</summary>
    public IReadOnlyList<AssemblyStep> Steps { get; init; } = [];

    public IReadOnlyList<Trouble> Troubles { get; init; } = [];

    /// <summary>What to watch for, before anything is cut.</summary>
    public IReadOnlyList<string> Watch { get; init; } = [];

    /// <summary>What leans on what when it is shown, so that its angles follow from its sizes.</summary>
    public IReadOnlyList<Contact> Contacts { get; init; } = [];

    /// <summary>Where things go that no bond says.</summary>
    public IReadOnlyList<Placement> Places { get; init; } = [];

    /// <summary>The card is counted from its head, and so is turned round to be looked at.</summary>
    public bool FromHead => Pieces[0].FromHead;

    /// <summary>The pieces that are taken away before the card is opened, and what is bonded to them.</summary>
    public IReadOnlySet<PieceRef> TakenOff
    {
        get
        {
            var gone = Bonds.Where(b => b.TakenOff).Select(b => b.B.Piece).ToHashSet();
            while (Bonds.FirstOrDefault(b => !b.IsLoose && gone.Contains(b.A.Piece) != gone.Contains(b.B.Piece)) is { } bond)
            {
                gone.UnionWith([bond.A.Piece, bond.B.Piece]);
            }

            return gone;
        }
    }

    /// <summary>What one looks at; null where it is the largest plate of the first piece, standing on its foot.</summary>
    public LookedAt? LookedAt { get; init; }

    /// <summary>The plate that some people name a standing card by; null where that is as large as the closed card.</summary>
    public PlateRef? NamedShown { get; init; }

    /// <summary>Of what goes round a card, the parameter that says how thick the card is; null of a card.</summary>
    public string? RoundOneAsThickAs { get; init; }

    /// <summary>It goes round a card, so no envelope is looked for to put it in.</summary>
    public bool GoesRound => RoundOneAsThickAs is not null;

    /// <summary>Its sheet is cut with the card's sides slanting at 45° to its edges.</summary>
    public bool Slanting { get; init; }

    /// <summary>Whether closed it may be larger than its format: by its school, or because it goes round a card of that format.</summary>
    public bool MayGrow => GrowsBecause is not null || GoesRound;

    /// <summary>Said when the choices let the finished card grow beyond its format; null where it must not.</summary>
    public string? GrowsBecause { get; init; }

    /// <summary>Why these choices do not go together; null where they do.</summary>
    public string? Refused { get; init; }

    /// <summary>The value of each choice this was built for.</summary>
    public required IReadOnlyDictionary<string, string> Choices { get; init; }

    /// <summary>Its parameters and choices, as they are told to who asked for another.</summary>
    public string WhatCanBeSet => Parameters.Count + Choices.Count == 0 ? "nothing: all its figures follow from the format" : string.Join(", ", Parameters.Select(p => p.Id).Concat(Choices.Keys));

    /// <summary>The smallest panel, ⅜ in or 10 mm, and the smallest tab, ¼ in or 6 mm.</summary>
    public static Pair SmallestPanel { get; } = Pair.Of(3, 8, 10m);

    public static Pair SmallestTab { get; } = Pair.Of(1, 4, 6m);

    /// <summary>A window that one can still see through.</summary>
    public static Pair SmallestWindow { get; } = Pair.Of(3, 4, 20m);
}
