using System.Globalization;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions;

/// <summary>Lets a library file read like its entry in the book of constructions.</summary>
public sealed class ConstructionBuilder(string id, IReadOnlyDictionary<string, string> choices)
{
    private readonly List<Parameter> _parameters = [];
    private readonly List<Piece> _pieces = [];
    private readonly List<Bond> _bonds = [];
    private readonly List<LayerRole> _layers = [];
    private readonly List<Requirement> _requirements = [];
    private readonly Dictionary<Symbol, Allowance> _allowances = [];
    private readonly List<Tradeoff> _tradeoffs = [];
    private readonly List<CardState> _states = [];
    private readonly List<Contact> _contacts = [];
    private readonly List<AssemblyStep> _steps = [];
    private readonly List<Trouble> _troubles = [];
    private readonly List<string> _watch = [];
    private Effect _does;
    private string? _grows;
    private string? _roundOneAsThickAs;
    private bool _slanting;
    private LookedAt? _lookedAt;
    private PlateRef? _namedShown;
    private string? _refused;
    private readonly List<Placement> _places = [];

    /// <summary>Which option of a choice this is built for.</summary>
    public string Chosen(string choice) => choices[choice];

    /// <summary>A choice of how many.</summary>
    public int Count(string choice) => int.Parse(choices[choice], CultureInfo.InvariantCulture);

    /// <summary>An open length. Limits come as (value, why) in the trade's words.</summary>
    public Affine Length(
        string id,
        string name,
        string meaning,
        Affine ideal,
        string rule,
        (Affine Value, string Because)[] min,
        (Affine Value, string Because)[] max,
        OnConversion onConversion = OnConversion.Proportional,
        bool held = false,
        string least = "less",
        string most = "more",
        string? zeroByHand = null,
        string? so = null,
        string? absorbs = null)
    {
        _parameters.Add(new Parameter(id, name, meaning, ideal, [.. min.Select(l => new Limit(l.Value, l.Because))],
            [.. max.Select(l => new Limit(l.Value, l.Because))], onConversion, held, rule, least, most, zeroByHand, so, absorbs));
        return Affine.Name(id);
    }

    /// <summary>An allowance for thickness; its value comes from the stock, and this only names it.</summary>
    public Affine Allow(Allowance allowance)
    {
        var symbol = Symbol.Allowance(_allowances.Count + 1);
        _allowances[symbol] = allowance;
        return Affine.Of(symbol);
    }

    /// <summary>A piece; the handle is what bonds, layers and cuts are told by.</summary>
    /// <exception cref="InvalidOperationException">There are not as many creases as gaps between panels.</exception>
    public PieceHandle Piece(string id, string name, Axis axis, Affine across, string sizeRule, string acrossRule, Panel[] panels, Crease[] creases, int quantity = 1)
    {
        if (creases.Length != panels.Length - 1)
        {
            throw new InvalidOperationException($"{id}: {panels.Length} panels have {panels.Length - 1} creases, not {creases.Length}.");
        }

        _pieces.Add(new Piece(id, name, axis, panels, creases, across, sizeRule, acrossRule, quantity));
        return new PieceHandle(this, id);
    }

    /// <summary>A piece that was given elsewhere.</summary>
    /// <exception cref="InvalidOperationException">There is no such piece.</exception>
    public PieceHandle The(string id) => _pieces.Any(p => p.Id == id) ? new PieceHandle(this, id) : throw new InvalidOperationException($"there is no piece {id}.");

    internal Piece Get(string id) => _pieces.First(p => p.Id == id);

    internal void Put(Piece piece) => _pieces[_pieces.FindIndex(p => p.Id == piece.Id)] = piece;

    /// <summary>A further state of a card that has several: its fold angles, by piece and crease.</summary>
    public ConstructionBuilder State(string id, string name, string how, params (CreaseRef Crease, int Angle)[] angles)
    {
        _states.Add(new CardState(id, name, how, angles.ToDictionary(a => a.Crease, a => a.Angle)));
        return this;
    }

    /// <summary>Shown, a point of one plate rests against a point of another.</summary>
    public ConstructionBuilder Contacts((PlateRef Plate, Spot At) a, (PlateRef Plate, Spot At) b, string how)
    {
        _contacts.Add(new Contact(a.Plate, a.At, b.Plate, b.At, how));
        return this;
    }

    /// <summary>Where something goes that no bond says.</summary>
    public ConstructionBuilder Place(string id, string what, string from, Affine distance, string pose, string vanishes)
    {
        _places.Add(new Placement(id, what, from, distance, pose, vanishes));
        return this;
    }

    /// <summary>These choices do not go together.</summary>
    public ConstructionBuilder Refuse(string because)
    {
        _refused = because;
        return this;
    }

    /// <summary>The plate that some people name a standing card by, where it is not as large as the closed card.</summary>
    public ConstructionBuilder NamedShown(PlateHandle plate)
    {
        ArgumentNullException.ThrowIfNull(plate);
        _namedShown = plate.Ref;
        return this;
    }

    /// <summary>Which plate one looks at, and which way is up on it, where that is not the largest of the first piece on its foot.</summary>
    public ConstructionBuilder LooksAt(PlateHandle plate, Axis up = Axis.Y)
    {
        _lookedAt = new LookedAt(plate.Ref, up);
        return this;
    }

    /// <summary>It can be read both ways: the plate that lies under the closed card, and at which edge of it the spine is, or the fold
    /// that opens first.</summary>
    public ConstructionBuilder OpensFrom(PlateHandle plate, Edge spine)
    {
        ArgumentNullException.ThrowIfNull(plate);
        _lookedAt = new LookedAt(plate.Ref, Axis.Y, spine);
        return this;
    }

    /// <summary>It goes round a card; on a slanting sheet where <paramref name="slanting"/>.</summary>
    /// <param name="asThickAs">The parameter that says how thick the card is.</param>
    public ConstructionBuilder GoesRound(string asThickAs, bool slanting)
    {
        (_roundOneAsThickAs, _slanting) = (asThickAs, slanting);
        return this;
    }

    public static Spot At(Affine x, Affine y) => new(x, y);

    public static Plate RectangularPlate(string id, string name, Affine left, Affine foot, Affine right, Affine head, string? hangsOn = null, int by = -1) =>
        new(id, name, [At(left, foot), At(right, foot), At(right, head), At(left, head)], hangsOn, by);

    /// <summary>A panel, of ⅜ in or 10 mm at the least unless its role allows less.</summary>
    public static Panel Panel(string id, string name, Affine extent, Pair? min = null) =>
        new(id, name, extent, new Limit(min ?? Construction.SmallestPanel, $"{name} would be a sliver"));

    public static Panel Tab(string id, string name, Affine extent) =>
        new(id, name, extent, new Limit(Construction.SmallestTab, $"{name} would be too narrow to hold")) { IsTab = true };

    public static Crease Valley(int shown, string rule, int closed = 180, bool working = true) => new(Fold.Valley, working, shown, closed, rule);

    public static Crease Mountain(int shown, string rule, int closed = -180, bool working = true) => new(Fold.Mountain, working, shown, closed, rule);

    public BondHandle Bond(string id, BondSide a, BondSide b, string linedUp, Pair? raised = null, Affine? play = null, bool atLeast = false)
    {
        _bonds.Add(new Bond(id, a, b, linedUp, raised, Play: play, AtLeast: atLeast));
        return new BondHandle(id);
    }

    /// <summary>Where a piece that nothing is glued to lies in the closed card: one that is slid on, or hangs on a thread.</summary>
    public ConstructionBuilder Lies(string id, BondSide a, BondSide b, string how, bool takenOff = false)
    {
        _bonds.Add(new Bond(id, a, b, how, IsLoose: true, TakenOff: takenOff));
        return this;
    }

    /// <summary>A bond that was made elsewhere.</summary>
    /// <exception cref="InvalidOperationException">There is no such bond.</exception>
    public BondHandle Bonded(string id) => _bonds.Any(b => b.Id == id && !b.IsLoose) ? new BondHandle(id) : throw new InvalidOperationException($"there is no bond {id}.");

    public ConstructionBuilder Layer(string id, string name, PieceHandle piece, string[] panels, Face face, int levels = 1, bool bothFaces = false,
        Rectangle? free = null, Affine? reveal = null, Rectangle[]? frees = null, bool write = false, bool scene = false)
    {
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(panels);
        foreach (var panel in panels)
        {
            _ = piece[panel];
        }

        // One free part for all the panels, or one for each of them.
        var parts = panels.Select((panel, i) => (panel, Part: frees?[i] ?? free)).Where(p => p.Part is not null).ToDictionary(p => p.panel, p => p.Part!);
        _layers.Add(new LayerRole(id, name, piece.Id, panels, face, levels, bothFaces, parts, reveal, write, scene));
        return this;
    }

    public ConstructionBuilder Require(string id, Affine atLeastZero, string because)
    {
        _requirements.Add(new Requirement(id, atLeastZero, because));
        return this;
    }

    /// <summary>More of one is less of the other; the parameter decides.</summary>
    public ConstructionBuilder Trade(string parameter, string oneName, Affine one, string otherName, Affine other)
    {
        _tradeoffs.Add(new Tradeoff(parameter, oneName, one, otherName, other));
        return this;
    }

    /// <summary>The chosen school lets the finished card grow beyond its format.</summary>
    public ConstructionBuilder Grows(string because)
    {
        _grows = because;
        return this;
    }

    /// <summary>What it does when it is opened.</summary>
    public ConstructionBuilder Does(Effect effect)
    {
        _does = effect;
        return this;
    }

    /// <summary>A step in which nothing is bonded.</summary>
    /// <param name="places">The placements whose figures it needs, by id.</param>
    /// <exception cref="InvalidOperationException">There is no such placement.</exception>
    public ConstructionBuilder Step(string text, params string[] places)
    {
        ArgumentNullException.ThrowIfNull(places);
        if (places.FirstOrDefault(p => _places.All(known => known.Id != p)) is { } unknown)
        {
            throw new InvalidOperationException($"there is no place {unknown}.");
        }

        _steps.Add(new AssemblyStep(text, [], null, null, places.Length == 0 ? null : places));
        return this;
    }

    /// <summary>What the last step is called, in five words at most.</summary>
    public ConstructionBuilder Titled(string title)
    {
        _steps[^1] = _steps[^1] with { Title = title };
        return this;
    }

    /// <summary>The last step is one only where that is so.</summary>
    /// <param name="role">A place of papers and elements.</param>
    public ConstructionBuilder OnlyIf(StepCase when, string? role = null)
    {
        _steps[^1] = _steps[^1] with { Case = new StepOnlyIf(when, role) };
        return this;
    }

    /// <summary>A step that makes bonds, in that order.</summary>
    public ConstructionBuilder Press(string text, Pressed pressed, string rightWhen, params IReadOnlyList<BondHandle> bonds)
    {
        ArgumentNullException.ThrowIfNull(bonds);
        _steps.Add(new AssemblyStep(text, [.. bonds.Select(b => b.Id)], pressed, rightWhen));
        return this;
    }

    /// <summary>What one sees that is wrong, why, and what to do.</summary>
    public ConstructionBuilder Trouble(string sign, string cause, string remedy)
    {
        _troubles.Add(new Trouble(sign, cause, remedy));
        return this;
    }

    /// <summary>What to watch for, before anything is cut.</summary>
    public ConstructionBuilder Watch(string text)
    {
        _watch.Add(text);
        return this;
    }

    public Construction Build() => new()
    {
        Id = id,
        Parameters = _parameters,
        Pieces = _pieces,
        Bonds = _bonds,
        Layers = _layers,
        Requirements = _requirements,
        Tradeoffs = _tradeoffs,
        Allowances = _allowances,
        States = _states,
        Does = _does,
        Steps = _steps,
        Troubles = _troubles,
        Watch = _watch,
        Contacts = _contacts,
        LookedAt = _lookedAt,
        NamedShown = _namedShown,
        Refused = _refused,
        Places = _places,
        RoundOneAsThickAs = _roundOneAsThickAs,
        Slanting = _slanting,
        GrowsBecause = _grows,
        Choices = choices,
    };
}
