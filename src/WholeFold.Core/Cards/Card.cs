using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>
/// A sized card with all that follows from its figures: layers, poses, thickness, envelope, findings. Each is worked out when
/// it is first asked for, so whoever only wants figures pays for nothing else.
/// </summary>
public sealed class Card : ICard
{
    private readonly Lazy<Dressed> _dressed;
    private readonly Lazy<KeepOuts> _keepOuts;
    private readonly Lazy<ClosedPose> _closed;
    private readonly Lazy<ThicknessMap> _thickness;
    private readonly Lazy<Packing> _packing;
    private readonly Lazy<IReadOnlyList<Check>> _checks;
    private readonly Lazy<IReadOnlyDictionary<FigureRef, SafeSide>> _safe;
    private readonly Lazy<double> _grams;
    private readonly Lazy<IReadOnlyList<Struck>> _struck;
    private readonly Lazy<Standing?> _standing;
    private readonly Lazy<Stack> _stack;
    private readonly Lazy<IReadOnlyList<SightLine>> _sightLines;
    private readonly Lazy<Card?> _second;
    private readonly Lazy<Card> _handed;
    private readonly Lazy<IReadOnlyDictionary<FigureRef, Measured>> _byId;

    /// <param name="of">The card that this one is, on other tools.</param>
    public Card(Figures figures, Card? of = null)
    {
        ArgumentNullException.ThrowIfNull(figures);
        (Figures, Own) = (figures, of);
        _second = new(() => SameCard.InTheOtherSystem(this));
        _handed = new(() => SameCard.AsHanded(this));
        _byId = new(() => All.ToDictionary(f => f.Id));
        _dressed = new(() => new Dressed(figures, of?.Dressed));
        _keepOuts = new(() => new KeepOuts(figures, Dressed, Closed));
        _closed = new(() => ClosedPose.Of(figures));
        _thickness = new(() => ThicknessMap.Of(figures, Closed, Bodies));
        _packing = new(() => Packing.Of(figures, Packed, Closed, Thickness));
        _checks = new(() => AllChecks.Run(this));
        _safe = new(FindSafeSides);
        _grams = new(() => Weight.Grams(figures, Bodies));
        _struck = new(() => Sweeps.Of(figures, Dressed));
        _standing = new(() => Dressing.Standing.Of(figures, Bodies));
        _stack = new(() => new Stack(figures));
        _sightLines = new(() => Dressing.SightLines.Of(figures, Dressed));
    }

    public Figures Figures { get; }

    /// <summary>Where these are a guest's tools, the same card on its owner's; null of the owner's own.</summary>
    public Card? Own { get; }

    /// <summary>The same card on tools of the other system, wherever both are shown; null where they cannot set it, and where
    /// a guest has it alone.</summary>
    public Card? Second => _second.Value;

    /// <summary>The card as it is handed out and shown: on the guest's tools alone where those are of its own system.</summary>
    public Card Handed => _handed.Value;

    /// <summary>Of the two the one whose figures are read in a unit.</summary>
    public Card For(DisplayUnit unit) => Figures.Tools.System == unit.SystemOf() ? this : Second ?? this;

    /// <summary>A length of it as it is read; on a guest's tools the size of a thing that is there is marked as such.</summary>
    public FigureText Read(Length value, DisplayUnit unit, bool withUnit = false) =>
        Own is null || Figures.Tools.Exact ? LengthWriter.Parts(value, unit, withUnit) : LengthWriter.Beside(value, unit, withUnit);

    /// <summary>Words about it as they are read beside another system's; of a thing's size the brackets stand round both sides.</summary>
    /// <param name="bought">Whether they are about a thing that is there in its size, whatever system that is in.</param>
    public IReadOnlyList<SentencePart> Read(Words words, DisplayUnit unit, bool bought = false)
    {
        ArgumentNullException.ThrowIfNull(words);
        var parts = words.Parts((length, withUnit) => bought ? LengthWriter.Beside(length, unit, withUnit) : Read(length, unit, withUnit));
        var read = new List<SentencePart>();
        for (var i = 0; i < parts.Count; i++)
        {
            if (i + 2 < parts.Count && parts[i].Figure is { Aside: true } wide && parts[i + 1].Text == " × "
                && parts[i + 2].Figure is { Aside: true } high)
            {
                read.AddRange([new SentencePart("("), new SentencePart(Figure: wide with { Aside = null, Unit = null }), parts[i + 1],
                    new SentencePart(Figure: high with { Aside = null }), new SentencePart(")")]);
                i += 2;
            }
            else
            {
                read.Add(parts[i]);
            }
        }

        return read;
    }

    /// <summary>A figure by its id; null where it has no such figure.</summary>
    public Measured? Figure(FigureRef id) => _byId.Value.GetValueOrDefault(id);

    public Design Design => Figures.Design;

    public Target Target => Figures.Target;

    public Construction Construction => Figures.Construction;

    public IReadOnlyList<SizedPiece> Pieces => Figures.Pieces;

    /// <summary>What it wears.</summary>
    public Dressed Dressed => _dressed.Value;

    /// <summary>Where on a face something may not be, and why.</summary>
    public IReadOnlyList<KeepOut> KeepOutsOn(RoleFace face) => [.. _keepOuts.Value.On(face)];

    /// <summary>What of its plates passes through a slit.</summary>
    public IReadOnlyList<(PlateRef Plate, IReadOnlyList<Point> Outline)> SlidePaths => _keepOuts.Value.Paths;

    public IReadOnlyList<SizedLayer> Layers => Dressed.Layers;

    /// <summary>What lies on its plates.</summary>
    public IReadOnlyList<Body> Bodies => Dressed.Bodies;

    public ClosedPose Closed => _closed.Value;

    /// <summary>The other states of a card that has several, each lying flat.</summary>
    public IEnumerable<(CardState State, ClosedPose Pose)> States => Construction.States.Select(s => (s, ClosedPose.Of(Figures, s)));

    /// <summary>How large it is closed: as its folds and bonds make it, and at least as its blank measures.</summary>
    public (Length Width, Length Height) Size => (Packing.Width, Packing.Height);

    /// <summary>As it is packed, and into what.</summary>
    public Packing Packing => _packing.Value;

    /// <summary>The closed card with all that stands out of it.</summary>
    public Box Packed => Dressed.Elements.Count + Dressed.Contours.Count == 0 ? Closed.Footprint
        : Box.Round([.. Closed.Footprint.Corners, .. Dressed.Elements.SelectMany(e => e.On).Concat(Dressed.Contours.SelectMany(c => c.On))
        .Where(o => Closed.Frames.ContainsKey(o.Face.Ref)).SelectMany(o => Closed.Place(o.Face.Ref, o.Outline))]);

    /// <summary>The envelope that it would go into with nothing standing out of it.</summary>
    public Envelope? BareEnvelope => Packing.Of(Figures, Closed.Footprint, Closed, Thickness).Envelope;

    /// <summary>What raised things are in the way of.</summary>
    public IReadOnlyList<Struck> Struck => _struck.Value;

    /// <summary>How it stands on a table; null of a card that does not.</summary>
    public Standing? Standing => _standing.Value;

    public Stack Stack => _stack.Value;

    /// <summary>How much of each face is seen closed and shown.</summary>
    public IReadOnlyList<SightLine> SightLines => _sightLines.Value;

    public ThicknessMap Thickness => _thickness.Value;

    public Envelope? Envelope => Packing.Envelope;

    /// <summary>How it goes in; null where it goes into none.</summary>
    public EnvelopeGrade? EnvelopeGrade => Packing.Grade;

    /// <summary>What was found, the gravest first.</summary>
    public IReadOnlyList<Check> Checks => _checks.Value;

    /// <summary>Which way each figure may miss, by its id.</summary>
    public IReadOnlyDictionary<FigureRef, SafeSide> SafeSides => _safe.Value;

    /// <summary>What it weighs.</summary>
    public double Grams => _grams.Value;

    /// <summary>Every figure of pieces and layers, in the order in which it is read out.</summary>
    public IEnumerable<Measured> All => Figures.All.Concat(Layers.SelectMany(l => l.Sides)).Concat(Dressed.Windows.SelectMany(w => w.Sides)).Concat(Dressed.Elements.SelectMany(e => e.Sides));

    /// <summary>The gravest thing found gets the line; the rest is in the findings.</summary>
    public Verdict Verdict
    {
        get
        {
            if (Checks.FirstOrDefault(c => c.Severity == Severity.Error) is { } error)
            {
                return new Verdict(VerdictKind.Stuck, error.AtAGlance?.Text ?? error.Text);
            }

            var found = Checks.Select(c => c.AtAGlance).OfType<Verdict>().MaxBy(v => v.Kind);
            return found
                ?? (Figures.Eased.FirstOrDefault() is { } eased ? new Verdict(VerdictKind.Eased, Words.Of($"{eased.Parameter.Name} eased to {eased.Value}"))
                : new Verdict(VerdictKind.AsDrawn, Words.Of($"fits")));
        }
    }

    /// <summary>All figures of the design in the target format.</summary>
    /// <exception cref="Input.InputProblemException">A figure set by hand is outside its parameter's limits.</exception>
    /// <exception cref="NoFiguresException">Nothing satisfies what was set, the limits and the marks together.</exception>
    public static Card Of(Design design, Target target, CancellationToken cancel = default) => Worn(new Card(Sizer.Size(design, target, cancel)));

    /// <summary>The same, but null where there are no figures.</summary>
    /// <exception cref="Input.InputProblemException">A figure set by hand is outside its parameter's limits.</exception>
    public static Card? Try(Design design, Target target, CancellationToken cancel = default) => Sizer.TrySize(design, target, cancel) is { } figures ? Worn(new Card(figures)) : null;

    private static Card Worn(Card card)
    {
        card.Dressed.RefuseWhatIsTooLarge();
        return card;
    }

    private Dictionary<FigureRef, SafeSide> FindSafeSides()
    {
        var sides = new Dictionary<FigureRef, SafeSide>(Folding.SafeSides.Of(Figures, Closed));
        foreach (var layer in Layers)
        {
            // What lies on a mat would be left with too little round it.
            var bears = Layers.Any(l => l.Level == layer.Level + 1 && l.On.Any(o => layer.On.Any(u => u.On.Id == o.On.Id)));
            foreach (var side in layer.Sides)
            {
                sides[side.Id] = bears ? layer.SafeFor(side) with { Most = SafeSide.Unseen } : layer.SafeFor(side);
            }
        }

        foreach (var side in Dressed.Windows.SelectMany(w => w.Sides).Concat(Dressed.Elements.SelectMany(e => e.Sides)))
        {
            sides[side.Id] = new SafeSide(SafeDirection.Exact, Words.Of($"it is as large as it is"), []);
        }

        return sides;
    }
}
