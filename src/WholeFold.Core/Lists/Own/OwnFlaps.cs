using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// The flaps of a piece that is scored along its chain and, near its ends, across it: a box or its lid, a bag, a pocket, a flap that is folded
/// up before the card is. Every panel has a flap of its own at such a score; where they are cut apart, where they are cut off, and what is
/// bonded goes by which of these it is.
/// </summary>
internal sealed class OwnFlaps
{
    /// <summary>On a board’s marks opposite sides may come out this much apart, and still be bonded square.</summary>
    internal static readonly WrittenSum Hair = new(In: "1/32", Mm: "4/5");

    private readonly OwnPiece _listed;
    private readonly FlapRows _rows;
    private readonly WrittenPiece _piece;
    private readonly IReadOnlyList<Affine> _at;
    private readonly Affine _low, _high, _top;
    private readonly List<WrittenLine> _lines = [];
    private readonly List<WrittenOpening> _openings = [];
    private readonly List<WrittenPlate> _plates = [];
    private readonly List<Ring> _rings = [];
    private readonly List<WrittenBond> _bonds = [];

    private OwnFlaps(OwnPiece listed, FlapRows rows, WrittenPiece piece, IReadOnlyList<Affine> panels, IReadOnlyList<Affine> high)
    {
        (_listed, _rows, _piece) = (listed, rows, piece);
        _at = [Affine.Zero, .. panels.Select((_, i) => panels.Take(i + 1).Aggregate(Affine.Zero, (sum, p) => sum + p))];
        _low = rows.HasFoot ? high[0] : Affine.Zero;
        _high = _low + high[rows.HasFoot ? 1 : 0];
        _top = high.Aggregate(Affine.Zero, (sum, h) => sum + h);
    }

    /// <summary>The piece with its flaps, what bonds it to itself, and how that is done.</summary>
    /// <param name="panels">How long each panel is; <paramref name="high"/> each row, from the foot.</param>
    /// <param name="rules">What each score across it follows.</param>
    public static (WrittenPiece Piece, IReadOnlyList<WrittenBond> Bonds, AssemblyStep Step) Made(OwnPiece listed, FlapRows rows, WrittenPiece piece,
        IReadOnlyList<Affine> panels, IReadOnlyList<Affine> high, IReadOnlyList<string> rules) =>
        new OwnFlaps(listed, rows, piece, panels, high).Make(rules);

    /// <summary>Walls below and above that fall open, and may be papered as its panels are.</summary>
    public static IEnumerable<(string Plate, Length Along, Length Across)> Walls(WrittenPiece piece, OwnPiece listed, FlapRows? rows) => rows is not { Kind: FlapKind.Cross } ? []
        : [($"{piece.Panels[1].Id}-foot", listed.Panels[1], listed.Cross[0]), ($"{piece.Panels[1].Id}-head", listed.Panels[1], listed.Across - listed.Cross[^1])];

    private (WrittenPiece Piece, IReadOnlyList<WrittenBond> Bonds, AssemblyStep Step) Make(IReadOnlyList<string> rules)
    {
        var creases = _piece.Creases.ToList();
        if (_rows.Stands)
        {
            creases = [.. creases.Select(c => c with { Fold = Fold.Valley, Working = Falls, Shown = Falls ? 0 : 90, Closed = 90 })];
        }
        else if (_rows.Kind == FlapKind.Pocket)
        {
            creases = [.. creases.Select(c => c with { Working = false, Shown = c.Closed })];
        }

        // Out from the widest panel, and from each panel to its flaps.
        var (panels, root) = (_piece.Panels, _rows.Kind is FlapKind.Tray or FlapKind.Cross ? 1 : Enumerable.Range(0, _piece.Panels.Count).MaxBy(i => _listed.Panels[i].Units));
        foreach (var i in Enumerable.Range(0, root + 1).Reverse().Concat(Enumerable.Range(root + 1, panels.Count - root - 1)))
        {
            AddPlate(panels[i].Id, panels[i].Name, _at[i], _low, _at[i + 1], _high, i == root ? null : panels[i < root ? i + 1 : i - 1].Id, i == root ? -1 : i < root ? i : i - 1);
        }

        if (_rows.HasFoot)
        {
            Row("foot", "lower", Affine.Zero, _low, _low, rules[0], creases);
        }

        if (_rows.HasHead)
        {
            Row("head", "upper", _high, _top, _high, rules[^1], creases);
        }

        if (_rows.Kind == FlapKind.Tube)
        {
            Seam(FlapRows.SeamOf(_listed.Panels)!.Value);
        }

        // What holds one holds each that is cut like it.
        var bonds = Enumerable.Range(1, _piece.Quantity)
            .SelectMany(n => _bonds.Select(b => b with { Id = n == 1 ? b.Id : $"{b.Id}-{n}", A = b.A with { Piece = _piece.Copy(n) },
            B = b.B with { Piece = _piece.Copy(n) } })).ToList();
        return (_piece with { Creases = creases, Lines = _lines, Openings = _openings, Plates = _plates, Rings = _rings }, bonds, Step([.. bonds.Select(b => b.Id)]));
    }

    private AssemblyStep Step(IReadOnlyList<string> bonds) => _rows.Kind switch
    {
        FlapKind.Tray => new($"Fold all sides of the {_listed.Name} up and bond the corners inside them.", bonds, Pressed.Held, "the corners stand square and the rim is level"),
        FlapKind.Cross => new($"Fold the four walls of the {_listed.Name} up, and let them fall open again.", [], null, null),
        FlapKind.Tube => new($"Fold the {_listed.Name} round, bond its tab inside the panel opposite, then the flaps over each other.", bonds, Pressed.Held, "its edges are level and it stands square"),
        FlapKind.Pocket => new($"Fold the flaps of the {_listed.Name} over.", [], null, null),
        _ => new($"Fold the flap of the {_listed.Name} over first, then the folds through it.", [], null, null),
    };

    /// <summary>Whether its walls fall open, and it is shown so.</summary>
    private bool Falls => _rows.Kind == FlapKind.Cross;

    private void Row(string id, string name, Affine from, Affine to, Affine at, string rule, List<WrittenCrease> creases)
    {
        // The tab of a tube has no flap, nor have sides that nothing is bonded to.
        var (panels, lengths) = (_piece.Panels, _listed.Panels);
        var without = Enumerable.Range(0, panels.Count)
            .Where(i => _rows.Kind switch { FlapKind.Tray => false, FlapKind.Cross => i != 1, FlapKind.Tube => i == FlapRows.SeamOf(lengths),
            _ => FlapRows.IsTab(lengths, i) }).ToHashSet();
        var with = Enumerable.Range(0, panels.Count).Where(i => !without.Contains(i)).ToList();
        var (angle, line) = (_rows.Stands ? 90 : 180, creases.Count + _lines.Count);
        _lines.Add(new WrittenLine(Spot(_at[with[0]], at), Spot(_at[with[^1] + 1], at), new WrittenCrease(Fold.Valley, Falls, Falls ? 0 : angle, angle, rule), $"panels | {name} flaps"));
        foreach (var i in without)
        {
            Cut($"{id}-corner{i + 1}", $"corner of {panels[i].Name}", panels[i].Id, new Rectangle(_at[i], from, _at[i + 1], to), "beside the flaps", CutKind.Notch);
        }

        foreach (var i in with)
        {
            AddPlate($"{panels[i].Id}-{id}", $"{name} flap of {panels[i].Name}", _at[i], from, _at[i + 1], to, panels[i].Id, line);
        }

        foreach (var i in with.SkipLast(1))
        {
            if (_rows.Stands)
            {
                Cut($"{id}-cut{i + 1}", $"snip beside {panels[i].Name}", panels[i].Id, new Rectangle(_at[i + 1], from, _at[i + 1], to), "from the edge along the score, as far as the score that crosses it", CutKind.Snip);
                Corner(id, i, at, inner: lengths[i] < lengths[i + 1] || (lengths[i] == lengths[i + 1] && i % 2 == 1) ? i : i + 1, isFoot: id == "foot");
            }
            else
            {
                // Folded over first, what runs through both goes the other way on the flap.
                var crease = creases[i];
                _rings.Add(new Ring($"{panels[i].Id}-{id}", $"{panels[i + 1].Id}-{id}", creases.Count + _lines.Count));
                _lines.Add(new WrittenLine(Spot(_at[i + 1], from), Spot(_at[i + 1], to),
                    crease with { Fold = crease.Fold == Fold.Valley ? Fold.Mountain : Fold.Valley, Shown = -crease.Shown, Closed = -crease.Closed,
                    Stretches = null }, $"{name} flap of {panels[i].Name} | {name} flap of {panels[i + 1].Name}"));
                creases[i] = crease with { Stretches = [new WrittenStretch(ConstructionWriter.Write(_low), ConstructionWriter.Write(_high))] };
            }
        }
    }

    /// <summary>Two neighbouring flaps cross each other where their panels meet at a right angle: what lies along one from the corner lies up the other.</summary>
    private void Corner(string id, int panel, Affine at, int inner, bool isFoot)
    {
        var (flap, deep) = (isFoot ? _low : _top - _high, isFoot ? _listed.Cross[0] : _listed.Across - _listed.Cross[^1]);
        Affine Least(int i) => _listed.Panels[i] <= deep ? _at[i + 1] - _at[i] : flap;
        var (p, q, corner) = (Least(panel), Least(panel + 1), _at[panel + 1]);
        Affine Down(Affine far) => isFoot ? at - far : at + far;
        WrittenRegion Left() => Shape((corner, at), (corner - p, at), (corner - p, Down(q)), (corner, Down(q)));
        WrittenRegion Right() => Shape((corner, at), (corner, Down(p)), (corner + q, Down(p)), (corner + q, at));
        WrittenSide Side(int i, Face face) => new(_piece.Id, $"{_piece.Panels[i].Id}-{id}", face, i == panel ? Left() : Right());
        _bonds.Add(new WrittenBond($"{_piece.Id}-{id}{panel + 1}", Side(inner == panel ? panel + 1 : panel, Face.Up), Side(inner, Face.Down), $"the {(isFoot ? "lower" : "upper")} flap of {_piece.Panels[inner].Name} inside its neighbour’s, its edge level with the fold", Play: Hair));
    }

    /// <summary>The tab inside the panel that it closes the tube with.</summary>
    private void Seam(int tab)
    {
        var (length, whole) = (_at[tab + 1] - _at[tab], _at[^1]);
        var (on, host) = tab == 0 ? (_at.Count - 2, whole - length) : (0, Affine.Zero);
        _bonds.Add(new WrittenBond($"{_piece.Id}-seam",
            new WrittenSide(_piece.Id, _piece.Panels[on].Id, Face.Up, Region(host, _low, host + length, _high)),
            new WrittenSide(_piece.Id, _piece.Panels[tab].Id, Face.Down, Region(_at[tab], _low, _at[tab + 1], _high)), "the tab’s fold level with the panel’s edge", Play: Hair));
    }

    private void AddPlate(string id, string name, Affine fromX, Affine fromY, Affine toX, Affine toY, string? on, int by) =>
        _plates.Add(new WrittenPlate(id, name, [Spot(fromX, fromY), Spot(toX, fromY), Spot(toX, toY), Spot(fromX, toY)], on, by));

    private void Cut(string id, string name, string panel, Rectangle along, string rule, CutKind kind) =>
        _openings.Add(new WrittenOpening(id, name, panel, new WrittenRectangle(Spot(along.FromX, along.FromY), Spot(along.ToX, along.ToY)), rule, kind));

    private WrittenSpot Spot(Affine along, Affine across) =>
        _piece.Axis == Axis.X ? new(ConstructionWriter.Write(along), ConstructionWriter.Write(across)) : new(ConstructionWriter.Write(across), ConstructionWriter.Write(along));

    private WrittenRegion Region(Affine fromX, Affine fromY, Affine toX, Affine toY) => new(new WrittenRectangle(Spot(fromX, fromY), Spot(toX, toY)));

    private WrittenRegion Shape(params (Affine Along, Affine Across)[] corners) => new(Corners: [.. corners.Select(c => Spot(c.Along, c.Across))]);
}
