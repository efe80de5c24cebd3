using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Designs;

/// <summary>A change of how a card of one's own is made. What no engine could work with afterwards is refused at once, so nothing is lost.</summary>
public abstract record BuildEdit : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        var made = design.Made ?? throw new InputProblemException("build.library", "edit", "a construction on the shelf is not changed", "make it your own first: what is changed is a copy");
        var changed = made with { Variants = [Change(made.Variants[0], design, reader), .. made.Variants.Skip(1)] };
        var next = design with { Made = changed };
        reader.FamilyOf(next);
        return next;
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => new Replace(before);

    private protected abstract WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader);

    /// <summary>What sums may name: parameters and allowances by what they are called.</summary>
    public static IReadOnlyDictionary<string, string> NamesIn(WrittenConstruction construction)
    {
        ArgumentNullException.ThrowIfNull(construction);
        return construction.Parameters.Select(p => KeyValuePair.Create(p.Id, p.Name))
            .Concat(construction.Allowances.Select((a, i) => KeyValuePair.Create(a.Symbol, $"allowance {i + 1}"))).ToDictionary(n => n.Key, n => n.Value);
    }

    private protected static WrittenConstruction With(WrittenConstruction construction, string piece, Func<WrittenPiece, WrittenPiece> change) =>
        construction.Pieces.Any(p => p.Id == piece) ? construction with { Pieces = [.. construction.Pieces.Select(p => p.Id == piece ? change(p) : p)] }
            : throw NoPiece(construction, piece);

    private protected static InputProblemException NoPiece(WrittenConstruction construction, string piece) => new("build.piece", "piece", $"there is no piece “{piece}”", string.Join(", ", construction.Pieces.Select(p => p.Id)));

    private protected static WrittenPiece Plain(WrittenPiece piece) => piece.Plates is null && piece.Lines.Count == 0 ? piece
        : throw new InputProblemException("build.plates", "piece", $"the {piece.Name.ToLowerInvariant()} has creases that cross its chain; its panels are changed in the file", "a piece of panels side by side");

    /// <summary>Where creases slant, how wide a panel is says nothing of where they go.</summary>
    private protected static WrittenPiece Straight(WrittenPiece piece) => IsStraight(piece) ? piece
        : throw new InputProblemException("build.slanting", "piece", $"the {piece.Name.ToLowerInvariant()} has creases that slant; its panels are changed by its parameters, or in the file", "a piece whose creases run along it or across");

    /// <summary>Whether all its creases run along it or across.</summary>
    public static bool IsStraight(WrittenPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        static bool Same(WrittenSum a, WrittenSum b) => ConstructionReader.ValueOf(a).IsSameAs(ConstructionReader.ValueOf(b));
        return piece.Lines.All(l => Same(l.From.X, l.To.X) || Same(l.From.Y, l.To.Y));
    }

    private protected static string NameOf(DesignSpec design, string piece) => design.Made?.Variants[0].Pieces.FirstOrDefault(p => p.Id == piece)?.Name.ToLowerInvariant() ?? piece;
}

/// <summary>Makes a copy of the design's construction its own, to be changed.</summary>
public sealed record MakeOwn : DesignEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        if (design.Made is not null)
        {
            return design;
        }

        var family = reader.FamilyOf(design);
        var choices = family.For(reader.ChoicesOf(design)).Choices;
        var variant = ConstructionWriter.Write(family).Variants.First(v => ConstructionFamily.KeyOf(v.Choices) == ConstructionFamily.KeyOf(choices));
        var made = new WrittenFamily { Id = $"own-{family.Id}", Name = $"{family.Name}, changed", Opens = family.Opens, Variants = [variant with { Choices = new Dictionary<string, string>() }] };
        return design with { Construction = made.Id, Made = made, Set = design.Set.Where(s => !choices.ContainsKey(s.Key)).ToDictionary(s => s.Key, s => s.Value) };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"a construction of its own");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => new Replace(before);
}

/// <summary>How wide a panel is, or a piece along its creases where no panel is named.</summary>
/// <param name="Rule">A sum, as one types it.</param>
public sealed record BuildExtent(string Piece, string? Panel, string Rule) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        var sum = SumText.Read(Rule, NamesIn(construction), "rule");
        var piece = Straight(PieceOf(construction));
        var at = Panel is null ? (int?)null : piece.Panels.ToList().FindIndex(q => q.Id == Panel);
        if (at < 0)
        {
            throw new InputProblemException("build.panel", "panel", $"there is no panel “{Panel}”", string.Join(", ", piece.Panels.Select(q => q.Id)));
        }

        // What lies on it goes with it.
        var by = ConstructionReader.ValueOf(sum) - ConstructionReader.ValueOf(at is { } panel ? piece.Panels[panel].Extent : piece.Across);
        return With(new SheetShift(construction, design, reader).Stretched(construction, piece, at, by), Piece, p => at is null ? p with { Across = sum, AcrossRule = Rule }
            : p with { Panels = [.. p.Panels.Select((q, i) => i == at ? q with { Extent = sum } : q)] });
    }

    private WrittenPiece PieceOf(WrittenConstruction construction) => construction.Pieces.FirstOrDefault(p => p.Id == Piece) ?? throw NoPiece(construction, Piece);

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Spoken.First(NameOf(before, Piece))}: {Rule}");
}

/// <summary>How a crease folds.</summary>
/// <param name="Crease">Its chain’s are counted first, then the others.</param>
/// <param name="Closed">0, 90 or 180: flat, upright or folded over in the envelope; <paramref name="Shown"/> as one looks at it.</param>
public sealed record BuildCrease(string Piece, int Crease, Fold Fold, int Closed, int Shown) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader) => With(construction, Piece, p =>
    {
        if (Crease < 0 || Crease >= p.Creases.Count + p.Lines.Count || Closed is not (0 or 90 or 180) || Shown is < 0 or > 180)
        {
            throw new InputProblemException("build.crease", "crease", $"there is no crease {Crease + 1}, or it cannot fold by {Closed} or {Shown} degrees", "a crease of the piece; 0, 90 or 180 closed, and 0 to 180 shown");
        }

        var sign = Fold == Fold.Mountain ? -1 : 1;
        WrittenCrease Folded(WrittenCrease crease) => crease with { Fold = Fold, Closed = sign * Closed, Shown = sign * Shown, Working = Closed != Shown };
        return p with { Creases = [.. p.Creases.Select((c, i) => i == Crease ? Folded(c) : c)],
            Lines = [.. p.Lines.Select((l, i) => p.Creases.Count + i == Crease ? l with { Crease = Folded(l.Crease) } : l)] };
    });

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Spoken.First(NameOf(before, Piece))}: crease {Crease + 1} a {(Fold == Fold.Mountain ? "mountain" : "valley")}");
}

/// <summary>Scores a panel through its middle, so that there are two.</summary>
public sealed record SplitPanel(string Piece, string Panel) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader) => With(construction, Piece, p =>
    {
        var at = Plain(p).Panels.ToList().FindIndex(q => q.Id == Panel);
        if (at < 0)
        {
            throw new InputProblemException("build.panel", "panel", $"there is no panel “{Panel}”", string.Join(", ", p.Panels.Select(q => q.Id)));
        }

        var id = Enumerable.Range(1, ConstructionReader.MostPanels + 1).Select(n => $"panel{n}").First(n => p.Panels.All(q => q.Id != n));
        // The two together may be as narrow as the one might.
        static WrittenSum Half(WrittenSum sum) => ConstructionWriter.Write(ConstructionReader.ValueOf(sum) / 2);
        var half = Half(p.Panels[at].Extent);
        var least = p.Panels[at].Least with { Value = Half(p.Panels[at].Least.Value) };
        List<WrittenPanel> panels = [.. p.Panels];
        List<WrittenCrease> creases = [.. p.Creases];
        panels[at] = panels[at] with { Extent = half, Least = least };
        panels.Insert(at + 1, new WrittenPanel(id, $"panel {id["panel".Length..]}", half, least));
        creases.Insert(at, new WrittenCrease(Fold.Valley, false, 0, 0, "half of the panel that it was"));
        return p with { Panels = panels, Creases = creases };
    });

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Spoken.First(NameOf(before, Piece))}: a panel scored in two");
}

/// <summary>Leaves a crease out, so that the two panels beside it are one.</summary>
public sealed record JoinPanels(string Piece, int Crease) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        var gone = "";
        var changed = With(construction, Piece, p =>
        {
            if (Crease < 0 || Crease >= Plain(p).Creases.Count)
            {
                throw new InputProblemException("build.crease", "crease", $"there is no crease {Crease + 1}", $"1 to {p.Creases.Count}");
            }

            gone = p.Panels[Crease + 1].Id;
            static WrittenSum Both(WrittenSum a, WrittenSum b) => ConstructionWriter.Write(ConstructionReader.ValueOf(a) + ConstructionReader.ValueOf(b));
            var (one, other) = (p.Panels[Crease], p.Panels[Crease + 1]);
            var joined = one with { Extent = Both(one.Extent, other.Extent), Least = one.Least with { Value = Both(one.Least.Value, other.Least.Value) } };
            return p with { Panels = [.. p.Panels.Where((_, i) => i != Crease + 1).Select((q, i) => i == Crease ? joined : q)], Creases = [.. p.Creases.Where((_, i) => i != Crease)] };
        });

        // What was held by the panel that is gone is held by the one that it is part of now; the place is that of the sheet.
        var stays = changed.Pieces.First(p => p.Id == Piece).Panels[Crease].Id;
        WrittenSide Moved(WrittenSide side) => side.Piece.Split(':')[0] == Piece && side.Plate == gone ? side with { Plate = stays } : side;
        return changed with
        {
            Bonds = [.. changed.Bonds.Select(b => b with { A = Moved(b.A), B = Moved(b.B) })],
            Layers = [.. changed.Layers.Select(l => l.Piece == Piece ? l with { Panels = [.. l.Panels.Select(q => q == gone ? stays : q).Distinct()] } : l)],
            LookedAt = changed.LookedAt is { } at && at.Piece.Split(':')[0] == Piece && at.Plate == gone ? at with { Plate = stays }
                : changed.LookedAt,
        };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Spoken.First(NameOf(before, Piece))}: no crease {Crease + 1}");
}

/// <summary>Moves a crease along its chain: the panel before it takes what the one behind it gives, and every other crease stays.</summary>
/// <param name="From">Where it is in the format that the design is made for, from the start of the chain, in units; <paramref name="At"/> where it is
/// to be: the nearest sixteenth or half millimetre counts.</param>
public sealed record MoveCrease(string Piece, int Crease, long From, long At) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        var by = new Length(At).Nearest(Mark(reader.Read(design).Unit.SystemOf())) - new Length(From);
        WrittenPanel Wider(WrittenPanel panel, Length more) => panel with { Extent = ConstructionWriter.Write(ConstructionReader.ValueOf(panel.Extent) + Affine.Constant(more)) };
        var moved = With(construction, Piece, p =>
        {
            if (Crease < 0 || Crease >= Straight(p).Creases.Count)
            {
                throw new InputProblemException("build.crease", "crease", $"there is no crease {Crease + 1}", $"1 to {p.Creases.Count}");
            }

            if (by.Abs() > Furthest)
            {
                throw new InputProblemException("build.far", "at", $"it is moved by {LengthWriter.Write(by.Abs(), DisplayUnit.Millimetre)} mm", $"at most {LengthWriter.Write(Furthest, DisplayUnit.Millimetre)} mm");
            }

            return p with { Panels = [.. p.Panels.Select((q, i) => i == Crease ? Wider(q, by) : i == Crease + 1 ? Wider(q, Length.Zero - by) : q)] };
        });
        var piece = construction.Pieces.First(p => p.Id == Piece);
        return piece.Plates is null ? moved : new SheetShift(construction, design, reader).Moved(moved, piece, Crease, Affine.Constant(by));
    }

    private static readonly Length Furthest = Format.Greatest;

    /// <summary>What a crease is moved by at least.</summary>
    public static Length Mark(UnitSystem system) => system == UnitSystem.Metric ? Length.Mm(0.5m) : Length.In(1, 16);

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Spoken.First(NameOf(before, Piece))}: crease {Crease + 1} moved");
}

/// <summary>A new flat piece, laid in the middle of the widest panel of the first piece until it is bonded.</summary>
/// <param name="Along">How long it is, as one types it; <paramref name="Across"/> how high.</param>
public sealed record AddPiece(string Name, string Along, string Across) : BuildEdit
{
    private const int LongestName = 40;

    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        var name = Name.Trim();
        if (name.Length is 0 or > LongestName || construction.Pieces.Any(p => string.Equals(p.Name, name, StringComparison.OrdinalIgnoreCase)))
        {
            throw new InputProblemException("build.name", "name", name.Length == 0 ? "it has no name" : name.Length > LongestName ? "its name is far too long" : $"there is a piece called “{name}” already", $"a name of its own of at most {LongestName} characters");
        }

        var names = NamesIn(construction);
        var id = Enumerable.Range(construction.Pieces.Count + 1, ConstructionReader.MostPieces).Select(n => $"piece{n}").First(n => construction.Pieces.All(p => p.Id != n));
        var piece = new WrittenPiece
        {
            Id = id,
            Name = Spoken.First(name),
            Across = SumText.Read(Across, names, "across"),
            SizeRule = Along,
            AcrossRule = Across,
            Panels = [new WrittenPanel("panel1", name.ToLowerInvariant(), SumText.Read(Along, names, "along"), new WrittenLimit(ConstructionWriter.Write(Affine.Constant(Length.Mm(3))), "narrower it cannot be cut"))],
        };
        return construction with { Pieces = [.. construction.Pieces, piece], Bonds = [.. construction.Bonds, Laid.InTheMiddle(Host(construction), piece)] };
    }

    /// <summary>Where there is most room: of the first piece that is a plain chain the panel that has most of the card.</summary>
    private static (WrittenPiece Piece, int Panel) Host(WrittenConstruction construction)
    {
        var host = construction.Pieces.FirstOrDefault(p => p.Plates is null) ?? construction.Pieces[0];
        double Share(WrittenPanel panel) => ConstructionReader.ValueOf(panel.Extent).Terms.Where(t => t.Key == Symbol.Width || t.Key == Symbol.Height)
            .Sum(t => (double)t.Value.Numerator / t.Value.Denominator);
        return (host, Enumerable.Range(0, host.Panels.Count).MaxBy(i => Share(host.Panels[i])));
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{Name.ToLowerInvariant()}, a new piece");
}

/// <summary>Takes a piece away, with what was bonded to it or lay on it.</summary>
public sealed record RemovePiece(string Piece) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        _ = With(construction, Piece, p => p);
        bool Is(string name) => name.Split(':')[0] == Piece;
        if (construction.Pieces[0].Id == Piece)
        {
            throw new InputProblemException("build.first", "piece", "everything else lies on it", "another piece than the first");
        }

        var gone = construction.Bonds.Where(b => Is(b.A.Piece) || Is(b.B.Piece)).Select(b => b.Id).ToHashSet();
        return construction with
        {
            Pieces = [.. construction.Pieces.Where(p => p.Id != Piece)],
            Bonds = [.. construction.Bonds.Where(b => !gone.Contains(b.Id))],
            Layers = [.. construction.Layers.Where(l => l.Piece != Piece)],
            Steps = [.. construction.Steps.Where(s => !s.Bonds.Any(gone.Contains))],
            States = [.. construction.States.Select(s => s with { Angles = [.. s.Angles.Where(a => !Is(a.Piece))] })],
            Contacts = [.. construction.Contacts.Where(c => !Is(c.PieceA) && !Is(c.PieceB))],
            LookedAt = construction.LookedAt is { } at && Is(at.Piece) ? null : construction.LookedAt,
        };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{NameOf(before, Piece)} taken away");
}

/// <summary>A window in a panel with the same border all round, or none.</summary>
/// <param name="Border">As one types it; null for no window.</param>
public sealed record BuildWindow(string Piece, string Panel, string? Border) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader) => With(construction, Piece, p =>
    {
        var at = Plain(p).Panels.ToList().FindIndex(q => q.Id == Panel);
        if (at < 0)
        {
            throw new InputProblemException("build.panel", "panel", $"there is no panel “{Panel}”", string.Join(", ", p.Panels.Select(q => q.Id)));
        }

        var kept = p.Openings.Where(o => o.Id != IdIn(Panel)).ToList();
        if (Border is null)
        {
            return p with { Openings = kept };
        }

        var border = ConstructionReader.ValueOf(SumText.Read(Border, NamesIn(construction), "border"));
        var from = p.Panels.Take(at).Aggregate(Affine.Zero, (sum, q) => sum + ConstructionReader.ValueOf(q.Extent));
        var (low, high, head) = (from + border, from + ConstructionReader.ValueOf(p.Panels[at].Extent) - border, ConstructionReader.ValueOf(p.Across) - border);
        var within = p.Axis == Axis.X ? new Rectangle(low, border, high, head) : new Rectangle(border, low, head, high);
        return p with { Openings = [.. kept, new WrittenOpening(IdIn(Panel), $"window in the {p.Panels[at].Name}", Panel, ConstructionWriter.Write(within), $"{Border} on each side", CutKind.Window)] };
    });

    /// <summary>How the window that is cut in a panel is called in files.</summary>
    public static string IdIn(string panel) => $"window-{panel}";

    public override Words Describe(DesignSpec before, DesignReader reader) => Border is null ? Words.Of($"{Spoken.First(NameOf(before, Piece))}: no window") : Words.Of($"{Spoken.First(NameOf(before, Piece))}: a window, {Border} on each side");
}

/// <summary>What a parameter is ideally.</summary>
public sealed record BuildParameter(string Parameter, string Rule) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        // It may name only what stands before it.
        var at = construction.Parameters.ToList().FindIndex(p => p.Id == Parameter);
        var before = construction with { Parameters = [.. construction.Parameters.Take(Math.Max(0, at))] };
        return at < 0 ? throw new InputProblemException("build.parameter", "parameter", $"there is no parameter “{Parameter}”", string.Join(", ", construction.Parameters.Select(p => p.Id)))
            : construction with { Parameters = [.. construction.Parameters.Select((p, i) => i == at ? p with { Ideal = SumText.Read(Rule, NamesIn(before), "rule"), Rule = Rule } : p)] };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Words.Of($"{before.Made?.Variants[0].Parameters.FirstOrDefault(p => p.Id == Parameter)?.Name ?? Parameter}: {Rule}");
}

/// <summary>Bonds two pieces, changes a bond, or takes it away; where nothing holds a piece any more it is refused.</summary>
public sealed record BuildBond(string Id, WrittenBond? Bond) : BuildEdit
{
    private protected override WrittenConstruction Change(WrittenConstruction construction, DesignSpec design, DesignReader reader)
    {
        // A piece that is glued lies where that says, and nowhere by itself.
        var kept = construction.Bonds.Where(b => b.Id != Id && !(Bond is { Loose: false } && b.Loose && b.B.Piece == Bond.B.Piece)).ToList();
        return construction with
        {
            Bonds = Bond is null ? kept : [.. kept, Bond with { Id = Id }],
            Steps = [.. construction.Steps.Where(s => !s.Bonds.Contains(Id)), .. Bond is { Loose: false } ? new[] { new AssemblyStep($"Bond the {construction.Pieces.FirstOrDefault(p => p.Id == Bond.B.Piece.Split(':')[0])?.Name.ToLowerInvariant()}: {Bond.LinedUp}.", [Id], Pressed.Flat, "its edges lie where they should") } : []],
        };
    }

    public override Words Describe(DesignSpec before, DesignReader reader) => Bond is null ? Words.Of($"a bond taken away") : Words.Of($"{Spoken.First(NameOf(before, Bond.B.Piece.Split(':')[0]))} bonded: {Bond.LinedUp}");
}
