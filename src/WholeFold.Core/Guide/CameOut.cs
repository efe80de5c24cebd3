using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Guide;

/// <summary>What can be done about a piece that was not cut or scored where it should have been.</summary>
public enum Rescue
{
    /// <summary>It is too large still: it is cut again.</summary>
    CutAgain,

    /// <summary>It is left as it is: nobody sees it, and nothing catches.</summary>
    Leave,

    /// <summary>The real size is locked, and all that is not yet cut is sized round it.</summary>
    SizedAgain,

    /// <summary>It cannot be saved; the piece is still good for something else, or is not.</summary>
    Lost,
}

/// <summary>A figure that becomes another one because of what came out.</summary>
public sealed record Changed(FigureRef Id, Length Was, Length Now);

/// <param name="Say">What is to be done, in a sentence.</param>
/// <param name="Edits">What makes the design so; none where it stays as it is.</param>
/// <param name="Changes">What is cut otherwise from now on.</param>
/// <param name="GoodFor">What the wrong piece can still be cut to.</param>
public sealed record Outcome(Rescue Rescue, Words Say, IReadOnlyList<DesignEdit> Edits, IReadOnlyList<Changed> Changes, IReadOnlyList<string> GoodFor);

/// <summary>
/// A figure came out other than planned. What is done stays done: a way is looked for to size the card again so that this
/// figure is what it has become and no figure that is done already moves; of several the one that changes least.
/// </summary>
public static class CameOut
{
    /// <summary>How a figure may hang on a parameter or on the finished size.</summary>
    private static readonly Rational[] Shares = [new(1, 1), new(-1, 1), new(2, 1), new(-2, 1), new(1, 2), new(-1, 2), new(3, 1), new(-3, 1), new(4, 1), new(-4, 1)];

    /// <param name="design">As it is written.</param>
    /// <param name="figure">The id of the figure.</param>
    /// <param name="done">The ids of figures that are cut or scored by now, with this one or without.</param>
    /// <exception cref="InputProblemException">There is no such figure, or it cannot have come out so.</exception>
    public static Outcome Of(DesignSpec design, DesignReader reader, string figure, Length real, IReadOnlySet<string> done)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        ArgumentNullException.ThrowIfNull(done);
        var card = Card.Of(reader.Read(design).Design, reader.Read(design).Target);
        var planned = card.All.FirstOrDefault(f => f.Id.ToString() == figure) ?? throw new InputProblemException("cameOut.figure", "figure", $"there is no figure “{figure}” on this card", "one of its cuts or scores");
        if (real <= Length.Zero || real > 2 * planned.Value + Length.In(1))
        {
            throw new InputProblemException("cameOut.real", "real", "it cannot have come out so", $"more than nothing, and near to what was planned, such as {LengthWriter.Exact(planned.Value)}");
        }

        var off = real - planned.Value;
        var isSize = figure.EndsWith(".width", StringComparison.Ordinal) || figure.EndsWith(".height", StringComparison.Ordinal);
        if (off == Length.Zero)
        {
            return new Outcome(Rescue.Leave, Words.Of($"It is {real}, as it should be."), [], [], []);
        }

        if (isSize && off > Length.Zero)
        {
            return new Outcome(Rescue.CutAgain, Words.Of($"It is {off} too large: cut it again, to {planned.Value}."), [], [], []);
        }

        // What may be scant, or full, and is hidden, is left.
        if (card.SafeSides.TryGetValue(planned.Id, out var side) && off.Abs() <= side.Most && side.Direction is var way
            && (way == SafeDirection.Either || way == (off < Length.Zero ? SafeDirection.Scant : SafeDirection.Full)))
        {
            // What is counted from the end that is short finds it nearer.
            var fromThere = off < Length.Zero && card.Pieces.Any(p => p.Along.Id == planned.Id
                && p.Scores.Any(s => s.Figure.Setting.Lay is Lay.TurnedRound or Lay.TurnedOver && !done.Contains(s.Figure.Id.ToString())));
            var nearer = fromThere ? Words.Of($" Scores that are set from that end are {off.Abs()} nearer to it: set them {off.Abs()} less.") : Words.Of($"");
            return new Outcome(Rescue.Leave, Words.Of($"Leave it: {off.Abs()} {(off < Length.Zero ? "short" : "over")} does no harm here, {side.Why}.{(card.Layers.Any(l => l.Quantity > 1 && l.Sides.Any(s => s.Id == planned.Id)) ? " Cut the others to match." : "")}{nearer}"), [], [], []);
        }

        var kept = done.Where(id => id != figure).ToHashSet();
        var ways = RoundIt(card, planned, real, kept).Concat(Ways(design, reader, card, off)).Select(edits =>
            Try(design, reader, card, edits, figure, real, kept))
            .OfType<(IReadOnlyList<DesignEdit> Edits, IReadOnlyList<Changed> Changes)>().OrderBy(w => w.Changes.Count)
            .ThenBy(w => w.Changes.Sum(c => (c.Now - c.Was).Abs().Units)).ToList();
        if (ways.Count > 0)
        {
            var (edits, changes) = ways[0];
            return new Outcome(Rescue.SizedAgain, Words.Of($"It can be saved: {Words.List(edits.Select(e => e.Describe(design, reader)))}. {(changes.Count == 1 ? "One other figure changes" : $"{Spoken.First(Saying.Count(changes.Count))} other figures change")}; what is done stays as it is."), edits, changes, []);
        }

        var good = GoodFor(card, figure, real, done);
        return new Outcome(
            Rescue.Lost, Words.Of($"It cannot be saved: with {real} no other figures hold together with what is done already. Cut that piece again.{(good.Count > 0 ? $" The wrong one is still good for {string.Join(", ", good)}." : " Nothing else comes out of the wrong one.")}"), [], [], good);
    }

    /// <summary>Everything that is not yet cut sized round what is: several parameters together, and a smaller card, where that is
    /// what it takes.</summary>
    private static IEnumerable<IReadOnlyList<DesignEdit>> RoundIt(Card card, Measured planned, Length real, HashSet<string> kept)
    {
        var done = card.Figures.All.Where(f => kept.Contains(f.Id.ToString())).Select(f =>
            (f.Id, Real: f.Value)).Append((planned.Id, Real: real))
            .Select(f => (At: Done.FigureOf(card.Construction, f.Id), f.Real)).ToList();
        if (done[^1].At is null || Around.Of(card.Figures, [.. done.Where(d => d.At is not null).Select(d =>
            new Done(d.At!, d.Real))]) is not var (parameters, width, height))
        {
            yield break;
        }

        var smaller = width != card.Figures.Width || height != card.Figures.Height
            ? new DesignEdit[] { new ConvertTo(FormatReader.Write(width, height, card.Target.Format.System)) } : [];
        IReadOnlyList<DesignEdit> Locked(IEnumerable<KeyValuePair<string, Length>> some) =>
            [.. smaller, .. some.Select(p => new LockFigure(p.Key, LengthWriter.Exact(p.Value)))];
        yield return Locked(parameters.Where(p => card.Figures.Parameters.First(q => q.Parameter.Id == p.Key).Value != p.Value));

        // Where the others would follow their rules into another place they are held where they are.
        yield return Locked(parameters);
    }

    /// <summary>Each parameter, and the finished size, by so much as would make up for it.</summary>
    private static IEnumerable<IReadOnlyList<DesignEdit>> Ways(DesignSpec design, DesignReader reader, Card card, Length off)
    {
        Length? By(Rational share) => new Rational(off.Units, 1) / share is var by && by.Denominator == 1 ? new Length((long)by.Numerator) : null;
        foreach (var parameter in card.Figures.Parameters.Where(p => !card.Design.Locks.ContainsKey(p.Parameter.Id)))
        {
            foreach (var by in Shares.Select(By).OfType<Length>().Where(by => parameter.Value + by > Length.Zero))
            {
                yield return [new LockFigure(parameter.Parameter.Id, LengthWriter.Exact(parameter.Value + by))];
            }
        }

        // Parameters keep what they are now, as far as they can, while the card becomes smaller.
        var target = card.Target;
        foreach (var by in Shares.Take(6).Select(By).OfType<Length>())
        {
            foreach (var (width, height) in new[] { (target.Width + by, target.Height), (target.Width, target.Height + by) }.Where(s => s.Item1 > Length.In(2) && s.Item2 > Length.In(2)))
            {
                yield return [new ConvertTo(FormatReader.Write(width, height, target.Format.System))];
            }
        }
    }

    private static (IReadOnlyList<DesignEdit>, IReadOnlyList<Changed>)? Try(DesignSpec design, DesignReader reader, Card before, IReadOnlyList<DesignEdit> edits,
        string figure, Length real, HashSet<string> kept)
    {
        try
        {
            var read = reader.Read(DesignEdit.Apply(edits, design, reader));
            if (Card.Try(read.Design, read.Target) is not { } card)
            {
                return null;
            }

            var now = card.All.ToDictionary(f => f.Id.ToString());
            var was = before.All.ToDictionary(f => f.Id.ToString());
            var holds = now.TryGetValue(figure, out var its) && its.Value == real && kept.All(id => now.TryGetValue(id, out var one) && one.Value == was[id].Value)
                && now.Count == was.Count && card.Checks.All(c => c.Severity != Checks.Severity.Error || before.Checks.Any(b => b.Id == c.Id));
            return holds ? (edits, [.. now.Where(n => n.Key != figure && was.TryGetValue(n.Key, out var w) && w.Value != n.Value.Value)
                .Select(n => new Changed(n.Value.Id, was[n.Key].Value, n.Value.Value))]) : null;
        }
        catch (InputProblemException)
        {
            return null;
        }
    }

    /// <summary>Pieces and papers not yet cut that come out of the wrong piece.</summary>
    private static List<string> GoodFor(Card card, string figure, Length real, IReadOnlySet<string> done)
    {
        var piece = card.Pieces.FirstOrDefault(p => p.Width.Id.ToString() == figure || p.Height.Id.ToString() == figure || p.AllScores.Any(s => s.Figure.Id.ToString() == figure));
        if (piece is null)
        {
            return [];
        }

        // A score in the wrong place leaves what is beside it whole.
        var (width, height) = piece.Width.Id.ToString() == figure ? (real, piece.Height.Value) : piece.Height.Id.ToString() == figure ? (piece.Width.Value, real)
            : piece.Piece.Axis == Axis.X ? (Length.Max(real, piece.Width.Value - real), piece.Height.Value) : (piece.Width.Value, Length.Max(real, piece.Height.Value - real));
        var others = card.Pieces.Where(p => p != piece && !done.Contains(p.Width.Id.ToString())
            && card.Design.StockOf(p.Piece.Id).Id == card.Design.StockOf(piece.Piece.Id).Id)
            .Select(p => (Name: Spoken.The(p.Piece.Name), W: p.Width.Value, H: p.Height.Value))
            .Concat(card.Layers.Where(l => l.Stock.Id == card.Design.StockOf(piece.Piece.Id).Id && !done.Contains(l.Width.Id.ToString()))
                .Select(l => (Name: l.Role.Name, W: l.Width.Value, H: l.Height.Value)));
        return [.. others.Where(o => (o.W <= width && o.H <= height) || (o.W <= height && o.H <= width)).OrderByDescending(o => (double)o.W.Units * o.H.Units).Select(o => o.Name).Take(3)];
    }
}
