using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// A construction of its own, made from a list that no construction of the library explains: each figure by the rule that it is taken to
/// follow, what is fixed or a share as a parameter that can be set, folds in the plainest way that closes to the card, papers on the panels
/// that they fit, and every other piece where it lies.
/// </summary>
public sealed class OwnConstruction
{
    /// <summary>Beside an exact rule nobody means less than this.</summary>
    private static readonly Length Slight = Length.Mm(0.6m);

    private static readonly Length Near = Length.Mm(1);

    private static readonly Pair LeastPanel = Pair.Of(1, 8, 3m);

    private readonly RuleGuess _rules;
    private readonly UnitSystem _system;
    private readonly List<WrittenParameter> _parameters = [];
    private readonly List<Part> _pieces = [];

    /// <summary>How what is scored both ways is folded, and what is bonded meanwhile.</summary>
    private readonly List<AssemblyStep> _folding = [];
    private readonly List<WrittenBond> _bonds = [];
    private readonly List<WrittenRole> _roles = [];
    private readonly List<string> _watch = [];
    private readonly List<OwnPiece> _laid = [];

    /// <param name="Rows">Its flaps; null where it has none.</param>
    private readonly record struct Part(WrittenPiece Written, OwnPiece Listed, IReadOnlyList<Affine> Panels, Affine Across, FlapRows? Rows)
    {
        /// <summary>How high its panels are.</summary>
        public Length High => Rows?.Body ?? Listed.Across;

        /// <summary>What papers go on: its panels, and walls that fall open.</summary>
        public IEnumerable<(string Plate, Length Along, Length Across)> Faces => Faced(this);

        private static IEnumerable<(string Plate, Length Along, Length Across)> Faced(Part part) =>
            [.. part.Written.Panels.Zip(part.Listed.Panels, (p, along) => (p.Id, along, part.High)), .. OwnFlaps.Walls(part.Written, part.Listed, part.Rows)];
    }

    private OwnConstruction(RuleGuess rules, UnitSystem system) => (_rules, _system) = (rules, system);

    /// <summary>The list as a design to go on with.</summary>
    public static DesignSpec Design(OwnList list, RuleGuess rules, string name) => Begin(list, rules, name).Design;

    /// <summary>The list as a design to go on with, and what of the list it is built of.</summary>
    internal static (DesignSpec Design, IReadOnlyList<OwnPiece> Built) Begin(OwnList list, RuleGuess rules, string name)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(rules);
        var system = list.Cards.First().Unit.SystemOf();
        var own = new OwnConstruction(rules, system);
        var made = own.Make(list, name);
        return (new DesignSpec { Name = name, Construction = made.Id, Made = made, Format = FormatReader.Write(rules.Width, rules.Height, system) }, [.. list.Cards, .. own._laid]);
    }

    private WrittenFamily Make(OwnList list, string name)
    {
        foreach (var piece in list.Cards.OrderByDescending(c => c.Scores.Count > 0).ThenByDescending(c => (double)c.First.Units * c.Second.Units))
        {
            Add(piece);
        }

        foreach (var paper in list.Papers)
        {
            Lay(paper);
        }

        // What is cut several times lies on the first of it.
        for (var copy = 1; copy < _pieces[0].Written.Quantity; copy++)
        {
            var widest = Enumerable.Range(0, _pieces[0].Panels.Count).MaxBy(i => _pieces[0].Listed.Panels[i].Units);
            Lie(0, copy, widest, 0, widest, loose: true);
        }

        for (var i = 1; i < _pieces.Count; i++)
        {
            Hold(i);
        }

        foreach (var both in _pieces.Where(p => p.Rows is null && (p.Listed.Cross.Count > 0 || p.Listed.Diagonals)).Select(p => p.Listed))
        {
            _watch.Add($"The {both.Name} is scored the other way too; that is marked and scored by hand, and how it folds there is not worked out.");
        }

        foreach (var part in _pieces.Where(p => p.Rows is not null))
        {
            _watch.Add($"The {part.Listed.Name} is taken to be {part.Rows!.Said}.");
        }

        foreach (var figure in _rules.Figures.Where(f => f.Sure < 0.6 && f.Next.Count > 0).Take(6))
        {
            _watch.Add($"{Spoken.First(figure.Figure)} of the {figure.Piece.Name} is taken to be {figure.Rule.Words.Write(_system.UnitOf())}; {figure.Next[0].Rule.Words.Write(_system.UnitOf())} would fit too.");
        }

        var slug = string.Join('-', new string([.. name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' ')]).Split(' ', StringSplitOptions.RemoveEmptyEntries));
        return new WrittenFamily
        {
            Id = $"own-{(slug.Length == 0 ? "card" : slug.Length > 30 ? slug[..30].Trim('-') : slug)}",
            Name = name,
            Opens = "as its maker folds it",
            Variants = [new WrittenConstruction { Parameters = _parameters, Pieces = [.. _pieces.Select(p => p.Written)], Bonds = _bonds, Layers = _roles,
                Watch = _watch, Steps = [new AssemblyStep("Fold every score and burnish it.", [], null, null), .. _folding, .. Together()] }],
        };
    }

    /// <summary>A length that is as long at home, and changes with the card by its shares of it.</summary>
    private Affine Of(double byWidth, double byHeight, Length value)
    {
        var (w, h) = (Ratio(byWidth), Ratio(byHeight));
        var rest = new Rational(value.Units) - (w * _rules.Width.Units) - (h * _rules.Height.Units);
        var constant = (byWidth != 0 || byHeight != 0) && Math.Abs(rest.Nearest()) <= Slight.Units && IsPlain(w) && IsPlain(h) ? Rational.Zero : rest;
        return (Affine.W * w) + (Affine.H * h) + Affine.Sum([], constant, constant);

        static bool IsPlain(Rational r) => r.Denominator <= 4;
    }

    /// <summary>Near enough, in thousandths, where it is no plain part.</summary>
    private static Rational Ratio(double share)
    {
        foreach (var parts in new[] { 1, 2, 3, 4, 6, 8 })
        {
            if (Math.Abs((share * parts) - Math.Round(share * parts)) < 1e-6)
            {
                return new Rational((long)Math.Round(share * parts), parts);
            }
        }

        return new Rational((long)Math.Round(share * 1000), 1000);
    }

    private void Add(OwnPiece listed)
    {
        GuessedFigure Figure(string which) => _rules.Figures.First(f => f.Piece == listed && f.Figure == which);
        var (along, across) = (Figure(listed.AlongFirst ? "width" : "height"), Figure(listed.AlongFirst ? "height" : "width"));
        var id = $"p{_pieces.Count + 1}";

        var rows = FlapRows.Of(listed);
        var settable = new List<(Span Span, Affine Extent)>();
        var extents = Extents(listed, [.. Enumerable.Range(1, listed.Scores.Count).Select(n => Figure($"score {n}"))], along, settable, panels => $"panel {string.Join(" and ", panels.Select(i => i + 1))}", i => $"{id}Panel{i + 1}");
        var extent = Of(across.Rule.ByWidth, across.Rule.ByHeight, across.Value);
        List<Affine>? high = rows is null ? null : Extents(listed,
            [.. Enumerable.Range(listed.Scores.Count + 1, listed.Cross.Count).Select(n => Figure($"score {n}"))], across, settable,
            flaps => string.Join(" and ", flaps.Select(i => rows.NameOf(i))), i => $"{id}Row{i + 1}");

        List<Fold?> said = [.. listed.Scores.Select(at => listed.Folds.TryGetValue(at, out var way) ? way : (Fold?)null)];
        var folds = FoldGuess.Closed(listed.Panels, _pieces.Count == 0 ? ClosedWidth(listed) : listed.Panels.Max(), Near, said);
        var piece = new WrittenPiece
        {
            Id = id,
            Name = Spoken.First(listed.Name),
            Axis = IsUpright(listed, along, across) ? Axis.Y : Axis.X,
            Across = ConstructionWriter.Write(extent),
            SizeRule = along.Rule.Words.Write(listed.Unit),
            AcrossRule = across.Rule.Words.Write(listed.Unit),
            Quantity = Math.Min(listed.Quantity, ConstructionReader.MostAlike),
            Panels = [.. extents.Select((e, i) => new WrittenPanel($"panel{i + 1}", extents.Count == 1 ? listed.Name : $"panel {i + 1}",
                ConstructionWriter.Write(e), new WrittenLimit(ConstructionWriter.Write(LeastPanel), "narrower it cannot be folded")))],
            Creases = [.. folds.Select((closed, i) =>
                new WrittenCrease(said[i] ?? (closed < 0 ? Fold.Mountain : Fold.Valley), closed != 0, closed / 2, closed,
                Figure($"score {i + 1}").Rule.Words.Write(listed.Unit)))],
        };
        if (rows is not null)
        {
            (piece, var bonds, var step) = OwnFlaps.Made(listed, rows, piece, extents, high!, [.. listed.Cross.Select((_, i) => Figure($"score {listed.Scores.Count + i + 1}").Rule.Words.Write(listed.Unit))]);
            _bonds.AddRange(bonds);
            _folding.Add(step);
        }

        _pieces.Add(new Part(piece, listed, extents, extent, rows));
    }

    /// <summary>How far it is from one score to the next, and how that changes with the card.</summary>
    private readonly record struct Span(double W, double H, Length Value)
    {
        public bool IsFixed => W == 0 && H == 0;

        public bool Is(Span other) => (other.Value - Value).Abs() <= Slight && Math.Abs(other.W - W) + Math.Abs(other.H - H) < 1e-6;
    }

    /// <summary>What lies between the scores of one side, of it what is fixed or a share of its own as parameters; equals go together, and what is left goes to the widest of the others.</summary>
    /// <param name="settable">What the piece has as parameters so far; walls of one height on all sides are one.</param>
    private List<Affine> Extents(OwnPiece listed, IReadOnlyList<GuessedFigure> scores, GuessedFigure whole, List<(Span Span, Affine Extent)> settable,
        Func<IReadOnlyList<int>, string> called, Func<int, string> named)
    {
        static Span At(GuessedFigure f) => new(f.Rule.ByWidth, f.Rule.ByHeight, f.Value);
        List<Span> at = [default, .. scores.Select(At), At(whole)];
        var spans = at.Zip(at.Skip(1), (a, b) => new Span(b.W - a.W, b.H - a.H, b.Value - a.Value)).ToList();
        var extents = spans.Select(s => Of(s.W, s.H, s.Value)).ToList();
        if (spans.Count == 1)
        {
            return extents;
        }

        var groups = Enumerable.Range(0, spans.Count).GroupBy(i => spans.FindIndex(s => s.Is(spans[i]))).ToList();
        var rest = groups.OrderByDescending(g => !spans[g.Key].IsFixed).ThenByDescending(g => spans[g.Key].Value).First();
        foreach (var group in groups.Where(g => g.Key != rest.Key))
        {
            var span = spans[group.Key];
            if (!span.IsFixed && Math.Abs(span.W * 4 % 1) < 1e-6 && Math.Abs(span.H * 4 % 1) < 1e-6)
            {
                continue;
            }

            var same = settable.FindIndex(s => s.Span.IsFixed && s.Span.Is(span));
            var extent = same >= 0 ? settable[same].Extent : Affine.Name(named(group.First()));
            foreach (var i in group)
            {
                extents[i] = extent;
            }

            if (same >= 0)
            {
                var which = _parameters.FindIndex(p => p.Id == extent.Terms.Keys.Single().Id);
                _parameters[which] = _parameters[which] with { Name = $"{listed.Name}, sides", Meaning = $"width of the sides of the {listed.Name}" };
                continue;
            }

            settable.Add((span, extent));
            var what = called([.. group]);
            _parameters.Add(new WrittenParameter
            {
                Id = named(group.First()),
                Name = $"{listed.Name}, {what}",
                Meaning = $"width of {what} of the {listed.Name}",
                Ideal = ConstructionWriter.Write(Of(span.W, span.H, span.Value)),
                Min = [new WrittenLimit(ConstructionWriter.Write(LeastPanel), "narrower it cannot be folded")],
                OnConversion = span.IsFixed ? OnConversion.Fixed : OnConversion.Proportional,
                Rule = span.IsFixed ? $"always {LengthWriter.Write(span.Value, listed.Unit)}" : "its share of the card",
                Least = "narrower",
                Most = "wider",
            });
        }

        var others = extents.Where((_, i) => !rest.Contains(i)).Aggregate(Affine.Zero, (sum, e) => sum + e);
        foreach (var i in rest)
        {
            extents[i] = (Of(whole.Rule.ByWidth, whole.Rule.ByHeight, whole.Value) - others) / rest.Count();
        }

        return extents;
    }

    /// <summary>How wide the card is along the chain of its main piece.</summary>
    private Length ClosedWidth(OwnPiece listed) => (listed.Across - _rules.Height).Abs() <= Near ? _rules.Width : (listed.Across - _rules.Width).Abs() <= Near ? _rules.Height : _rules.Width;

    /// <summary>A chain that runs along the card's height lies that way.</summary>
    private bool IsUpright(OwnPiece listed, GuessedFigure along, GuessedFigure across) => listed.Scores.Count > 0 && _rules.Upwards is not null
        ? across.Rule.ByWidth > across.Rule.ByHeight : listed.Scores.Count > 0 ? (listed.Across - _rules.Width).Abs() <= Near && (listed.Across - _rules.Height)
        .Abs() > Near : along.Rule.ByHeight > along.Rule.ByWidth;

    /// <summary>A paper goes on every panel that it fits with the same border both ways, as many as there are of it; where it leaves a border that people leave before all others.</summary>
    private void Lay(OwnPiece paper)
    {
        var usual = UsualBorders.All.Select(u => 2 * u.For(_system)).ToList();
        var places = _pieces.Select(part => (Part: part, Fits: part.Faces.Select(f => (f.Plate, Border: BorderOf(f.Along, f.Across, paper)))
            .Where(p => p.Border is not null).ToList())).Where(p => p.Fits.Count > 0);
        foreach (var (part, fits) in places.OrderByDescending(p => usual.Any(u => (u - p.Fits[0].Border!.Value).Abs() <= Slight)))
        {
            var (written, listed, face) = (part.Written, part.Listed, part.Rows is { ShowsDown: true } ? Face.Down : Face.Up);
            var border = new Length(fits[0].Border!.Value.Units / 2);
            _roles.Add(new WrittenRole
            {
                Id = $"{written.Id}-paper{_roles.Count + 1}",
                Name = $"{paper.Name}, on the {listed.Name}",
                Piece = written.Id,
                Panels = [.. fits.Take(Math.Max(1, paper.Quantity)).Select(f => f.Plate).Where(p => _roles.All(r => r.Piece != written.Id || r.Face != face || !r.Panels.Contains(p)))],
                Face = face,
                Reveal = ConstructionWriter.Write(Affine.Constant(border)),
            });
            if (_roles[^1].Panels.Count == 0)
            {
                _roles.RemoveAt(_roles.Count - 1);
                continue;
            }

            _laid.Add(paper);
            return;
        }
    }

    /// <summary>What is left free of a panel on both sides together, the same both ways; null where it is not.</summary>
    private static Length? BorderOf(Length panel, Length across, OwnPiece paper) =>
        new[] { (panel - paper.First, across - paper.Second), (panel - paper.Second, across - paper.First) }
            .Where(b => (b.Item1 - b.Item2).Abs() <= Near && b.Item1 >= Length.Zero && b.Item1 <= Length.In(1)).Select(b => (Length?)new Length((b.Item1.Units + b.Item2.Units) / 2)).FirstOrDefault();

    /// <summary>Bonds a piece where its edges say, or else says where it lies.</summary>
    private void Hold(int index)
    {
        var part = _pieces[index];
        var (piece, listed, panels) = (part.Written, part.Listed, part.Panels);
        foreach (var (host, i) in _pieces.Take(index).Select((h, i) => (h, i)))
        {
            if (host.Written.Axis == piece.Axis && FlapBonds.Covers((host.Listed, host.Rows), (listed, part.Rows)) is { } isLid)
            {
                var (box, lid) = isLid ? (host, part) : (part, host);
                _bonds.AddRange(Enumerable.Range(1, piece.Quantity).Select(copy => FlapBonds.Over(box.Written, lid.Written, lid.Listed.Panels[0] < box.Listed.Panels[0], copy)));
                return;
            }

            if (listed.Quantity == 1 && IsTube(host.Listed, listed) && host.Written.Axis == piece.Axis)
            {
                BondTube(i, index);
                return;
            }
        }

        // On the panel that it fits best: bonded where it is flat, and where it is folded only laid, since nobody said which of its panels is glued.
        var widest = Enumerable.Range(0, panels.Count).MaxBy(i => listed.Panels[i].Units);
        for (var copy = 0; copy < piece.Quantity; copy++)
        {
            var places = _pieces.Take(index).SelectMany((h, n) =>
                h.Listed.Panels.Select((p, i) => (Host: n, Panel: i, Left: Fits(p, h.High, listed.Panels[widest], part.High, h.Written.Axis == piece.Axis))))
                .Where(p => p.Left is not null).OrderBy(p => p.Left!.Value).ToList();
            var (to, on) = places.Count == 0 ? (0, Enumerable.Range(0, _pieces[0].Listed.Panels.Count).MaxBy(i => _pieces[0].Listed.Panels[i].Units))
                : (places[copy % places.Count].Host, places[copy % places.Count].Panel);
            if (part.Rows?.Kind == FlapKind.Pocket && panels.Count == 3 && places.Count > 0 && _pieces[to].Written.Axis == piece.Axis)
            {
                List<WrittenBond> held = [.. FlapBonds.Held((_pieces[to].Written, on), piece, copy)];
                _bonds.AddRange(held);
                _folding.Add(new AssemblyStep($"Bond the flaps of the {listed.Name} to the {_pieces[to].Listed.Name}, in the middle of its {_pieces[to].Written.Panels[on].Name}{(part.Rows.HasFoot && part.Rows.HasHead ? "" : ", one side left open")}.", [.. held.Select(b => b.Id)], Pressed.Flat, "the same border shows on opposite sides"));
                continue;
            }

            var taken = _bonds.Any(b => !b.Loose && b.A.Piece.Split(':')[0] == _pieces[to].Written.Id && b.A.Plate == _pieces[to].Written.Panels[on].Id);

            // What lies in a box or a pocket is taken out again.
            var isInside = _pieces[to].Rows is { ShowsDown: true };
            Lie(index, copy, widest, to, on, loose: panels.Count > 1 || places.Count == 0 || taken || isInside);
        }
    }

    private static double? Fits(Length panel, Length across, Length own, Length ownAcross, bool sameWay)
    {
        var (x, y) = sameWay ? (own, ownAcross) : (ownAcross, own);
        return x <= panel + Near && y <= across + Near ? ((double)panel.Units * across.Units) - ((double)x.Units * y.Units) : null;
    }

    private void Lie(int index, int copy, int panel, int host, int on, bool loose) => _bonds.Add(Laid.InTheMiddle((_pieces[host].Written, on), _pieces[index].Written, panel, copy, loose));

    /// <summary>What is glued, in the order of the pieces: what lies flat by itself, of what goes across first all left tabs, then with the card shut on them the right ones.</summary>
    private IEnumerable<AssemblyStep> Together()
    {
        string NameOf(WrittenSide side) => _pieces.First(p => p.Written.Id == side.Piece.Split(':')[0]).Listed.Name;
        var folded = _folding.SelectMany(s => s.Bonds).ToHashSet();
        foreach (var flat in _bonds.Where(b => !b.Loose && !IsTab(b) && !folded.Contains(b.Id)))
        {
            var panel = _pieces.First(p => p.Written.Id == flat.A.Piece.Split(':')[0]).Written.Panels.First(q => q.Id == flat.A.Plate).Name;
            yield return new AssemblyStep($"Bond the {NameOf(flat.B)} to the {NameOf(flat.A)}, in the middle of its {panel}.", [flat.Id], Pressed.Flat, "the same border shows on opposite sides");
        }

        if (_bonds.Any(IsTab))
        {
            yield return new AssemblyStep("Bond the left tabs to the left wall, the rear one first, the card lying flat.", [.. _bonds.Where(b => IsTab(b) && b.Id.EndsWith("-left", StringComparison.Ordinal)).Select(b => b.Id)], Pressed.Flat, "the rear tab lies in the wall's crease, feet level");
            yield return new AssemblyStep("Put adhesive on the right tabs and lay the card shut on them.", [.. _bonds.Where(b => IsTab(b) && b.Id.EndsWith("-right", StringComparison.Ordinal)).Select(b => b.Id)], Pressed.Closed, "opened, everything that goes across stands square to the walls");
        }

        static bool IsTab(WrittenBond bond) => bond.Id.EndsWith("-left", StringComparison.Ordinal) || bond.Id.EndsWith("-right", StringComparison.Ordinal);
    }

    private static WrittenRegion Region(Rectangle r) => new(ConstructionWriter.Write(r));

    /// <summary>A piece with the same middle and narrower ends goes across another, tab to wall.</summary>
    private static bool IsTube(OwnPiece wall, OwnPiece tier) => wall.Scores.Count == 2 && tier.Scores.Count == 2 && (wall.Panels[1] - tier.Panels[1]).Abs() <= Near
        && tier.Panels[0] <= wall.Panels[0] + Near && (tier.Panels[0] - tier.Panels[2]).Abs() <= Near && (wall.Panels[0] - wall.Panels[2]).Abs() <= Near && tier.Across <= wall.Across + Near;

    /// <summary>Both tabs to the walls, the first piece at the rear, each further one before it; pushed flat sideways the card shears.</summary>
    private void BondTube(int host, int index)
    {
        // Its middle is that of the piece that it goes across, whatever a rule makes of it by itself.
        var (wall, tier) = (_pieces[host], _pieces[index]);
        tier = tier with { Panels = [tier.Panels[0], wall.Panels[1], tier.Panels[0]] };
        tier = tier with { Written = tier.Written with { Panels = [.. tier.Written.Panels.Zip(tier.Panels, (p, e) => p with { Extent = ConstructionWriter.Write(e) })] } };
        var behind = _bonds.Where(b => b.Id.EndsWith("-left", StringComparison.Ordinal)).Select(b => _pieces.First(p => p.Written.Id == b.B.Piece)).Aggregate(Affine.Zero, (sum, p) => sum + p.Panels[0]);
        var (depth, middle, tab, high) = (wall.Panels[0], wall.Panels[1], tier.Panels[0], tier.Across);
        Rectangle Strip(Affine from, Affine to) => wall.Written.Axis == Axis.X ? new(from, Affine.Zero, to, high) : new(Affine.Zero, from, high, to);
        WrittenBond Tab(string side, string panel, Rectangle on, string own, Rectangle of) =>
            new($"{tier.Written.Id}-{side}", new WrittenSide(wall.Written.Id, panel, Face.Up, Region(on)), new WrittenSide(tier.Written.Id, own, Face.Up, Region(of)), $"the {side} tab to its wall, flush at the foot");
        _bonds.Add(Tab("left", "panel1", Strip(depth - behind, depth - behind - tab), "panel1", Strip(Affine.Zero, tab)));
        _bonds.Add(Tab("right", "panel3", Strip(depth + middle + behind + tab, depth + middle + behind), "panel3", Strip(tab + middle, (2 * tab) + middle)));
        _pieces[host] = wall with { Written = wall.Written with { Creases =
            [wall.Written.Creases[0] with { Fold = Fold.Valley, Working = true, Shown = 90, Closed = 180 },
            wall.Written.Creases[1] with { Fold = Fold.Valley, Working = true, Shown = 90, Closed = 0 }] } };
        _pieces[index] = tier with { Written = tier.Written with { Creases =
            [tier.Written.Creases[0] with { Fold = Fold.Mountain, Working = true, Shown = -90, Closed = 0 },
            tier.Written.Creases[1] with { Fold = Fold.Mountain, Working = true, Shown = -90, Closed = -180 }] } };
    }
}
