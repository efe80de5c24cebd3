using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>How a piece is made that is scored both ways.</summary>
internal enum FlapKind
{
    /// <summary>Walls on all four sides: cut in along two scores at each corner, the corners bonded inside the walls.</summary>
    Tray,

    /// <summary>Walls as high as it is wide, that fall open: the corners cut out, nothing bonded.</summary>
    Cross,

    /// <summary>A tube with a tab along it, closed at one end or both by flaps that are bonded over each other.</summary>
    Tube,

    /// <summary>Flaps folded over flat, the corners between them cut out.</summary>
    Pocket,

    /// <summary>A flap folded over flat before the folds through it, which go the other way there.</summary>
    FoldedOver,
}

/// <summary>Between which scores a piece is as its panels are, and where beside that it has flaps.</summary>
internal sealed record FlapRows(FlapKind Kind, bool HasFoot, bool HasHead, Length Body)
{
    /// <summary>What is no further off is as long: a tab, a nested side.</summary>
    private static readonly Length Alike = Length.Mm(1.7m);

    /// <summary>Walls that are higher than that share of what they stand round are not bonded at their corners; still higher ones are flaps to fold over.</summary>
    private const double HighestWall = 0.6, HighestOpen = 1.25;

    /// <summary>Whether what it is seen by is the face that lies down on the board.</summary>
    public bool ShowsDown => Kind is not (FlapKind.FoldedOver or FlapKind.Cross);

    public bool Stands => Kind is FlapKind.Tray or FlapKind.Cross or FlapKind.Tube;

    public string NameOf(int row) => HasFoot && row == 0 ? "the lower flaps" : HasHead && row == (HasFoot ? 2 : 1) ? "the upper flaps" : "the middle";

    /// <summary>What it is taken to be, since nobody says so.</summary>
    public string Said => Kind switch
    {
        FlapKind.Tray => "cut in at its corners, with all sides folded up",
        FlapKind.Cross => "without its corners, with walls that fall open",
        FlapKind.Tube => "a tube with a tab, closed by its flaps",
        FlapKind.Pocket => "a pocket without its corners, its flaps folded over",
        _ => "folded over at the score that crosses the others, before those",
    };

    /// <summary>Where a piece has flaps; null where it has none, or where what runs across it is none: in its middle, or right through a chain of its own.</summary>
    public static FlapRows? Of(OwnPiece listed)
    {
        if (listed.Diagonals || listed.Scores.Count == 0 || listed.Cross.Count is 0 or > 2)
        {
            return null;
        }

        List<Length> rows = [.. listed.Cross.Append(listed.Across).Zip(listed.Cross.Prepend(Length.Zero), (to, from) => to - from)];
        var panels = listed.Panels;
        if (panels.Count == 3 && rows.Count == 3 && (panels[0] - panels[2]).Abs() <= Alike && (rows[0] - rows[2]).Abs() <= Alike
            && Length.Max(panels[0], rows[0]).Units is var wall && Math.Min(panels[1].Units, rows[1].Units) is var body && wall <= HighestOpen * body)
        {
            return new FlapRows(wall <= HighestWall * body ? FlapKind.Tray : FlapKind.Cross, true, true, rows[1]);
        }

        var (widest, middle) = (rows.Max(), rows.IndexOf(rows.Max()));
        if (rows.Count(r => (r - widest).Abs() <= Alike) > 1 || (rows.Count == 3 && middle != 1))
        {
            return null;
        }

        var kind = SeamOf(panels) is not null ? FlapKind.Tube : panels.Count > 1 && IsTab(panels, 0) && IsTab(panels, panels.Count - 1) ? FlapKind.Pocket : FlapKind.FoldedOver;
        return new FlapRows(kind, middle > 0, middle < rows.Count - 1, widest);
    }

    /// <summary>Which panel is the tab of a tube of four, with two sides and two.</summary>
    public static int? SeamOf(IReadOnlyList<Length> panels)
    {
        bool IsTube(int from, Length tab) => (panels[from] - panels[from + 2]).Abs() <= Alike && (panels[from + 1] - panels[from + 3]).Abs() <= Alike
            && tab + Alike < panels[from] && tab <= panels[from + 1];
        return panels.Count != 5 ? null : IsTube(0, panels[4]) ? 4 : IsTube(1, panels[0]) ? 0 : null;
    }

    /// <summary>Whether a panel at an end is no more than a tab to the widest.</summary>
    public static bool IsTab(IReadOnlyList<Length> panels, int index) => (index == 0 || index == panels.Count - 1) && 2 * panels[index].Units < panels.Max().Units;
}
