using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Dressing;

/// <summary>How large a window is in a format: at home as it was chosen; elsewhere the nearest die that is there, or by its rule where a knife cuts it.</summary>
internal static class WindowSizer
{
    /// <param name="home">Its face at home; null where that is not known.</param>
    /// <param name="before">The windows before it, which it may be placed from.</param>
    public static SizedWindow Size(Figures figures, Window window, IReadOnlyList<RoleFace> faces, RoleFace? home, IReadOnlyList<SizedWindow> before)
    {
        var (now, was) = (Reading.Of(faces[0], faces[0].Open), home is null ? (Reading?)null : Reading.Of(home, home.Open));
        var same = was is null || (was.Value.Width == now.Width && was.Value.Height == now.Height);
        var wished = same ? (window.Width, window.Height) : Wish(window, now, was!.Value);
        var margin = Dressed.WindowMargin.For(figures.Tools.System);
        SizedWindow Put(Die? die, Length width, Length height, Length? shift, WindowFound found) =>
            new(window, [.. faces.Select(f => Lay(f, window, width, height, margin, before, found != WindowFound.AsChosen))], die,
            Side(figures, window, die, width, isWidth: true, wished.Item1, found), Side(figures, window, die, height, isWidth: false, wished.Item2, found), wished,
                shift, found, (window.Width, window.Height));
        var inner = before.FirstOrDefault(w => w.Window.Id == window.Around);
        if (!same && inner is not null)
        {
            return Round(window, inner, figures, Put);
        }

        if (window.Die is not { } chosen)
        {
            var (width, height) = same ? wished : (Knife(figures, wished.Item1), Knife(figures, wished.Item2));
            return Put(null, width, height, null, same ? WindowFound.AsChosen : WindowFound.ByRule);
        }

        if (same)
        {
            return Put(chosen, window.Width, window.Height, ShiftOf(window, chosen, window.Width, window.Height), WindowFound.AsChosen);
        }

        // Of its own set first, then of the other set that was named: the nearest in size that leaves margins enough.
        var inventory = figures.Design.Inventory;
        foreach (var family in new[] { chosen.Family, window.Family }.Distinct())
        {
            var near = inventory.All<Die>().Where(d => d.IsOwned && (family is null ? d.Id == chosen.Id : d.Family == family) && d.Shape == chosen.Shape)
                .OrderBy(d => Far(Cut(window, d, wished), wished)).ThenBy(d => d.Id, StringComparer.Ordinal).ToList();
            foreach (var die in near)
            {
                var (width, height) = Cut(window, die, wished);
                var put = Put(die, width, height, ShiftOf(window, die, width, height), WindowFound.NearestDie);
                if (put.LeastMargin >= Length.Min(margin, Least(window, before, figures)))
                {
                    return put;
                }
            }
        }

        var (w, h) = Cut(window, chosen, wished);
        return Put(chosen, w, h, ShiftOf(window, chosen, w, h), WindowFound.NoneFits);
    }

    /// <summary>On other tools in the same format: the die stays, a knife goes to the nearest mark.</summary>
    public static SizedWindow Like(Figures figures, SizedWindow same, IReadOnlyList<RoleFace> faces, IReadOnlyList<SizedWindow> before)
    {
        var window = same.Window;
        var margin = Dressed.WindowMargin.For(figures.Tools.System);
        var wished = (Width: same.Width.Value, Height: same.Height.Value);

        // A die cuts its own size; passed twice it cuts whatever length is set, in that direction.
        Length Cut(Length wish, Length? die) => die is { } own && wish <= own ? wish : figures.Tools.CutNearest(wish);
        var (width, height) = (Cut(wished.Width, same.Die?.Width), Cut(wished.Height, same.Die?.Height));
        return new SizedWindow(
            window, [.. faces.Select(f => Lay(f, window, width, height, margin, before, same.Found != WindowFound.AsChosen))], same.Die,
            Side(figures, window, same.Die, width, isWidth: true, wished.Width, same.Found),
            Side(figures, window, same.Die, height, isWidth: false, wished.Height, same.Found),
            same.Wished, same.Die is { } die ? ShiftOf(window, die, width, height) : null, same.Found, same.Home);
    }

    /// <summary>Round another window: by the next larger die of what that one is cut with now; by knife it leaves the same ring as at home.</summary>
    private static SizedWindow Round(Window window, SizedWindow inner, Figures figures, Func<Die?, Length, Length, Length?, WindowFound, SizedWindow> put)
    {
        var ring = (Across: window.Width - inner.Home.Width, Up: window.Height - inner.Home.Height);
        if (window.Die is not { } die)
        {
            return put(null, Knife(figures, inner.Width.Value + ring.Across), Knife(figures, inner.Height.Value + ring.Up), null, WindowFound.ByRule);
        }

        var next = inner.Die is { } own && own.Family == die.Family ? figures.Design.Inventory.LargerThan(own).FirstOrDefault() : figures.Design.Inventory.All<Die>()
            .Where(d => d.IsOwned && d.Family == die.Family && d.Shape == die.Shape && d.Width > inner.Width.Value && d.Height > inner.Height.Value)
                .OrderBy(d => d.Width.Units * d.Height.Units).FirstOrDefault();
        return put(next ?? die, (next ?? die).Width, (next ?? die).Height, null, next is null ? WindowFound.NoneFits : WindowFound.NearestDie);
    }

    /// <summary>Who placed a window nearer to an edge than is usual wants it there in every format.</summary>
    private static Length Least(Window window, IReadOnlyList<SizedWindow> before, Figures figures) =>
        window.Place.From.Where(f => f.Window is null).Select(f => f.Distance).Append(Dressed.WindowMargin.For(figures.Tools.System)).Min();

    /// <summary>A die that is passed twice gives any length from its own to twice that, as far as its face asks for.</summary>
    private static (Length Width, Length Height) Cut(Window window, Die die, (Length Width, Length Height) wished)
    {
        if (!window.Twice)
        {
            return (die.Width, die.Height);
        }

        static Length Reached(Length own, Length wish) => Length.Max(own, Length.Min(wish.Down(Length.Mm(0.5m)), 2 * own));
        return window.Width > window.Die!.Width ? (Reached(die.Width, wished.Width), die.Height) : (die.Width, Reached(die.Height, wished.Height));
    }

    private static Length? ShiftOf(Window window, Die die, Length width, Length height) => window.Twice ? Length.Max(width - die.Width, height - die.Height) : null;

    private static double Far((Length Width, Length Height) size, (Length Width, Length Height) wished) =>
        Math.Max(Math.Abs(Math.Log((double)size.Width.Units / wished.Width.Units)), Math.Abs(Math.Log((double)size.Height.Units / wished.Height.Units)));

    private static (Length, Length) Wish(Window window, Reading now, Reading was)
    {
        static Length By(Length length, Length now, Length was) => new((long)Math.Round(length.Units * (double)now.Units / was.Units));
        switch (window.Rule)
        {
            case WindowRule.Fixed when window.Die is null:
                return (window.Width, window.Height);
            case WindowRule.Margins when window.Die is null:
                var least = Length.Mm(3);
                return (Length.Max(least, now.Width - (was.Width - window.Width)), Length.Max(least, now.Height - (was.Height - window.Height)));
            default:
                var (width, height) = (By(window.Width, now.Width, was.Width), By(window.Height, now.Height, was.Height));

                // A circle stays one.
                return window.Shape == OutlineShape.Circle || window.Die?.Shape == DieShape.Circle ? (Length.Min(width, height), Length.Min(width, height)) : (width, height);
        }
    }

    private static Length Knife(Figures figures, Length wished) => Length.Max(figures.Tools.OwnCutMark, figures.Tools.CutDown(wished));

    private static Measured Side(Figures figures, Window window, Die? die, Length value, bool isWidth, Length wished, WindowFound found)
    {
        var (home, way) = (isWidth ? window.Width : window.Height, isWidth ? "wide" : "high");
        var why = found switch
        {
            WindowFound.NearestDie => Words.Of($"At home it is {home} {way}; here its face asks for {wished}, and {die!.Name} is the nearest that is there."),
            WindowFound.NoneFits => Words.Of($"At home it is {home} {way}; here its face asks for {wished}, and no die that is there leaves margins enough."),
            WindowFound.ByRule => window.Rule switch
            {
                WindowRule.Fixed => Words.Of($"It keeps its size, {home} {way}."),
                WindowRule.Margins => Words.Of($"It keeps the margins that it has at home, where it is {home} {way}."),
                _ => Words.Of($"At home it is {home} {way}; it grows and shrinks with its face, down to the trimmer's mark."),
            },
            _ when die is not null => Words.Of($"{die.Name} cuts it {value} {way}."),
            _ => Words.Of($"Chosen {value} {way}."),
        };
        var exact = found is WindowFound.AsChosen ? value : wished;
        return new Measured(new FigureRef.Worn(window.Id, IsWindow: true, isWidth), value, die is not null ? new Setting.CutOut(value) : figures.Tools.Exact
            ? new Setting.ByMachine(value) : new Setting.ByBlade(value, Tooling.Lay.AsItLies),
            new Explanation(() => [new Reason(why, exact, value)], () => why));
    }

    private static OnFace Lay(RoleFace face, Window window, Length width, Length height, Length beside, IReadOnlyList<SizedWindow> before, bool elsewhere)
    {
        var reading = Reading.Of(face, face.Open);
        if (before.FirstOrDefault(w => w.Window.Id == window.Around)?.On.FirstOrDefault(o => o.Face.Id == face.Id)?.Read is { } inner)
        {
            var (left, foot) = (new Length((inner.Left + inner.Right - width).Units / 2), new Length((inner.Bottom + inner.Top - height).Units / 2));
            var round = new Box(left, foot, left + width, foot + height);
            return new OnFace(face, face.Open, round, reading.Outline(window.Shape, [], round));
        }

        var read = reading.Put(window.Place, width, height, beside,
            id => before.FirstOrDefault(w => w.Window.Id == id)?.On.FirstOrDefault(o => o.Face.Id == face.Id)?.Read, elsewhere
            ? window.Place.From.Where(f => f.Window is null).Select(f => f.Distance).Append(beside).Min() : null);
        return new OnFace(face, face.Open, read, reading.Outline(window.Shape, [], read));
    }
}
