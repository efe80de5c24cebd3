using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Dressing;

/// <summary>Sizes the layers of each panel: the panel less the reveal on every side, down to the trimmer's mark.</summary>
internal static class LayerSizer
{
    /// <summary>Below this a strip's reveal is halved, or the border would be all one sees.</summary>
    private static readonly Pair Narrow = Pair.Of(5, 4, 30m);

    public static IReadOnlyList<SizedLayer> Size(Figures figures)
    {
        var (design, tools) = (figures.Design, figures.Tools);
        var layers = new List<SizedLayer>();
        foreach (var role in figures.Construction.Layers)
        {
            var piece = figures.Pieces.First(p => p.Piece.Id == role.Piece);

            // Panels that are equal by rule can differ by a mark where figures were rounded; each size is cut by itself.
            var free = piece.Plates.Where(p => role.Panels.Contains(p.Id)).ToDictionary(p => p.Id, p => FreeOn(p, role, figures));
            var sizes = free.GroupBy(f => (f.Value.Width, f.Value.Height)).ToList();
            foreach (var size in sizes)
            {
                var suffix = sizes.Count > 1 ? $"-{size.First().Key}" : "";
                var levels = Math.Max(role.Levels, design.Reveal.Framed ? 2 : 1);
                for (var level = 1; level <= levels; level++)
                {
                    var id = $"{role.Id}{suffix}{(level > 1 ? $"-{level}" : "")}";
                    (Length, Words?) Reveal(Length extent) => role.Reveal is { } own ? (figures.ValueOf(own), null) : RevealOn(design.Reveal.Width.For(tools.System), extent, levels, tools);
                    layers.Add(new SizedLayer(
                        id,
                        role,
                        [.. size.Select(p => p.Key)],
                        level,
                        level < levels ? design.MatStock : design.LayerStock,
                        Side(new FigureRef.Layer(id, IsWidth: true), "wide", size.Key.Width, Reveal(size.Key.Width), level, tools, design.Prefer.AvoidFineMarks),
                        Side(new FigureRef.Layer(id, IsWidth: false), "high", size.Key.Height, Reveal(size.Key.Height), level, tools, design.Prefer.AvoidFineMarks),
                        size.Count() * piece.Piece.Quantity * (role.BothFaces ? 2 : 1),
                        size.ToDictionary(p => p.Key, p => p.Value)));
                }
            }
        }

        // A paper of nothing is none: its panel stays bare.
        return [.. layers.Where(l => l.Width.Value >= Least.For(tools.System) && l.Height.Value >= Least.For(tools.System))];
    }

    /// <summary>What can still be cut and laid.</summary>
    private static readonly Pair Least = Pair.Of(1, 8, 3m);

    private static Box FreeOn(SizedPlate plate, LayerRole role, Figures figures)
    {
        if (!role.Free.TryGetValue(plate.Id, out var free))
        {
            return plate.Box;
        }

        return new Box(figures.ValueOf(free.FromX), figures.ValueOf(free.FromY), figures.ValueOf(free.ToX), figures.ValueOf(free.ToY));
    }

    /// <summary>The reveal in one direction: across a narrow strip it shrinks, along it it keeps the school, so that neighbours line up.</summary>
    private static (Length Width, Words? Shrunk) RevealOn(Length reveal, Length extent, int levels, ToolSet tools)
    {
        var limit = Narrow.For(tools.System);
        var most = new Length(extent.Units / (4 * levels));
        var wanted = extent < limit ? new Length(reveal.Units / 2) : reveal;
        return wanted == Length.Zero ? (wanted, null)
            : most < wanted ? (most, Words.Of($"The strip is {extent}: its reveal is no more than {most}"))
            : wanted < reveal ? (wanted, Words.Of($"The strip is under {limit}: its reveal is halved to {wanted}"))
            : (wanted, null);
    }

    private static Measured Side(FigureRef id, string way, Length panel, (Length Width, Words? Shrunk) reveal, int level, ToolSet tools, bool noFine)
    {
        var plain = noFine && !tools.Exact;
        var exact = panel - (2 * level * reveal.Width);
        var cut = plain ? tools.PlainMarks.Select(exact.Down).Max() : tools.CutDown(exact);
        var borders = level == 1 ? "a reveal" : "two reveals";
        return new Measured(id, cut, Setting.ForCut(tools, cut, Length.Zero), new Explanation(
            () =>
            {
                var reasons = new List<Reason> { new(Words.Of($"The panel is {panel} {way}; less {borders} of {reveal.Width} on each side."), exact, exact) };
                if (reveal.Shrunk is { } shrunk)
                {
                    reasons.Add(new Reason(Words.Of($"{shrunk}."), exact, exact));
                }

                if (cut != exact)
                {
                    var mark = plain ? "a mark that needs no sixteenth" : "the trimmer's mark";
                    reasons.Add(new Reason(Words.Of($"Down to {mark}: a layer may be scant, never full."), exact, cut));
                }

                return reasons;
            },
            () => Words.Of($"{cut} = the panel {panel}, less {borders} of {reveal.Width} on each side{(cut == exact ? "" : ", scant rather than full")}")));
    }
}
