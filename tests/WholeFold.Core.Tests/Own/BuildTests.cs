using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>Cards of one's own are built and changed by edits; a construction of the library is copied first.</summary>
public class BuildTests
{
    private static readonly Dictionary<string, string> Names = new() { ["tab"] = "glue tab", ["p1Panel1"] = "base, panel 1", ["@1"] = "allowance 1" };

    private static Card Sized(DesignSpec spec) => Support.Reader.Read(spec) is var read ? Card.Of(read.Design, read.Target) : null!;

    [Theory]
    [InlineData("width", "width")]
    [InlineData("W/2 - 1/8 in", "width / 2 - 1/8 in")]
    [InlineData("2 x width + 3 mm", "2 x width + 3 mm")]
    [InlineData("width − 2 × glue tab", "width - 2 x glue tab")]
    [InlineData("0.25 of the height + 1/4 in or 6 mm", "height / 4 + 1/4 in or 6 mm")]
    [InlineData("3/4 height - glue tab / 2", "3 x height / 4 - glue tab / 2")]
    [InlineData("base, panel 1", "base, panel 1")]
    [InlineData("0.18 width", "0.18 x width")]
    [InlineData("width - width", "0 in")]
    public void A_sum_is_read_as_one_types_it_and_written_so_that_it_reads_the_same(string typed, string written)
    {
        var sum = SumText.Read(typed, Names, "rule");
        var said = SumText.Write(sum, Names, DisplayUnit.Inch);
        Assert.Equal(written.Replace("3 mm", SumText.Write(SumText.Read("3 mm", Names, "rule"), Names, DisplayUnit.Inch), StringComparison.Ordinal), said);
        Assert.Equal(said, SumText.Write(SumText.Read(said, Names, "rule"), Names, DisplayUnit.Inch));
    }

    [Theory]
    [InlineData("", "nothing in it")]
    [InlineData("width / 0", "divides by nothing")]
    [InlineData("breadth - 1 in", "width, height")]
    [InlineData("width - 5", "not understood")]
    [InlineData("1 furlong", "not known here")]
    [InlineData("99999999 width", "too large or too fine")]
    [InlineData("width / 99991 - width / 99989", "too large or too fine")]
    public void A_sum_that_is_none_is_refused_with_what_is_accepted(string typed, string why)
    {
        var refused = Assert.Throws<InputProblemException>(() => SumText.Read(typed, Names, "rule"));
        Assert.Contains(why, refused.Reason, StringComparison.Ordinal);
        Assert.Contains("width / 2", refused.Accepted, StringComparison.Ordinal);
    }

    /// <summary>Every sum of the library comes back from how it is typed, but for allowances that have another name.</summary>
    [Fact]
    public void Every_sum_of_the_library_reads_back_as_it_was_written()
    {
        var sums = 0;
        foreach (var variant in ConstructionLibrary.All.SelectMany(f => ConstructionWriter.Write(f).Variants))
        {
            var names = BuildEdit.NamesIn(variant);
            foreach (var sum in variant.Pieces.SelectMany(p => p.Panels.Select(q => q.Extent).Append(p.Across)))
            {
                sums++;
                var back = SumText.Read(SumText.Write(sum, names, DisplayUnit.Inch), names, "rule");
                Assert.Equal(sum.Of?.OrderBy(t => t.Key), back.Of?.OrderBy(t => t.Key));
                Assert.Equal((sum.In, sum.Mm), (back.In, back.Mm));
            }
        }

        Assert.True(sums > 500, $"{sums}");
    }

    /// <summary>A copy of every construction of the library, made its own, is the same card to the last figure.</summary>
    [Fact]
    public void Made_its_own_every_construction_is_the_same_card()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Name = "Kite", Construction = family.Id, Format = "6x6" };
            if (Attempt.Of(Support.Reader.Read(spec).Design, Support.Reader.Read(spec).Target).Card is not { } card)
            {
                continue;
            }

            var own = DesignFile.Read(DesignFile.Write(new MakeOwn().Apply(spec, Support.Reader)), "file");
            Assert.Equal($"own-{family.Id}", own.Construction);
            var copy = Sized(own);
            Assert.Equal(card.Figures.All.Select(f => f.Value), copy.Figures.All.Select(f => f.Value));
            Assert.Equal((card.Closed.Width, card.Closed.Height), (copy.Closed.Width, copy.Closed.Height));
            Assert.Equal(spec, new MakeOwn().Inverse(spec, Support.Reader).Apply(own, Support.Reader));
        }
    }

    private static DesignSpec Gate => new MakeOwn().Apply(new DesignSpec { Name = "Kite", Construction = "gatefold", Format = "6x6", Tools = "machine" }, Support.Reader);

    [Fact]
    public void Panels_creases_and_parameters_are_changed_and_taken_back()
    {
        var spec = Gate;
        var piece = spec.Made!.Variants[0].Pieces[0];
        foreach (var edit in new DesignEdit[]
        {
            new BuildExtent(piece.Id, null, "height - 1/2 in"), new BuildExtent(piece.Id, piece.Panels[0].Id, "width / 3"), new BuildCrease(piece.Id, 0, Fold.Mountain, 180, 120),
            new SplitPanel(piece.Id, piece.Panels[1].Id), new JoinPanels(piece.Id, 0), new BuildParameter("relief", "1/8 in"),
        })
        {
            var next = edit.Apply(spec, Support.Reader);
            Assert.NotEqual(DesignFile.State(spec), DesignFile.State(next));
            Assert.Equal(DesignFile.State(spec), DesignFile.State(edit.Inverse(spec, Support.Reader).Apply(next, Support.Reader)));
            Assert.NotEmpty(edit.Describe(spec, Support.Reader).Write(DisplayUnit.Inch));
            Assert.NotEmpty(Sized(next).Figures.All);
        }

        var lower = Sized(new BuildExtent(piece.Id, null, "height - 1/2 in").Apply(spec, Support.Reader));
        Assert.Equal(Support.In("5 1/2"), lower.Pieces[0].Across.Value);
        var split = Sized(new SplitPanel(piece.Id, piece.Panels[1].Id).Apply(spec, Support.Reader));
        Assert.Equal((3, Sized(spec).Pieces[0].Along.Value), (split.Pieces[0].Scores.Count, split.Pieces[0].Along.Value));
        Assert.Single(Sized(new JoinPanels(piece.Id, 0).Apply(spec, Support.Reader)).Pieces[0].Scores);
    }

    /// <summary>A panel scored in two is as wide as it was, and with that score left out again the card is what it was, for every plain piece of the library.</summary>
    [Fact]
    public void Scored_in_two_and_joined_again_a_panel_is_as_wide_as_it_was()
    {
        var panels = 0;
        foreach (var family in ConstructionLibrary.All)
        {
            var bare = new DesignSpec { Name = "Kite", Construction = family.Id, Format = "6x6", Tools = "machine" };
            if (Attempt.Of(Support.Reader.Read(bare).Design, Support.Reader.Read(bare).Target).Card is not { } card)
            {
                continue;
            }

            var spec = new MakeOwn().Apply(bare, Support.Reader);
            foreach (var piece in spec.Made!.Variants[0].Pieces.Where(p => p.Plates is null && p.Lines.Count == 0))
            {
                panels++;
                var split = new SplitPanel(piece.Id, piece.Panels[0].Id).Apply(spec, Support.Reader);
                var joined = new JoinPanels(piece.Id, 0).Apply(split, Support.Reader);
                var was = card.Pieces.First(p => p.Piece.Id == piece.Id);
                foreach (var changed in new[] { split, joined }.Select(Support.Reader.Read).Select(r => Attempt.Of(r.Design, r.Target).Card).OfType<Card>())
                {
                    Assert.True((changed.Pieces.First(p => p.Piece.Id == piece.Id).Along.Value - was.Along.Value).Abs() <= Length.Mm(0.1m), $"{family.Id}: {piece.Name}");
                }

                Assert.Equal(piece.Panels.Select(p => p.Id), joined.Made!.Variants[0].Pieces.First(p => p.Id == piece.Id).Panels.Select(p => p.Id));
                Assert.Equal(piece.Panels.Count + 1, split.Made!.Variants[0].Pieces.First(p => p.Id == piece.Id).Panels.Count);
            }
        }

        Assert.True(panels > 35, $"{panels}");
    }

    /// <summary>Moved, a crease lies where it was put, every other stays, and the piece is as long as it was: for every crease of every plain piece.</summary>
    [Theory]
    [InlineData("5x7", 1.0)]
    [InlineData("a5", -1.0)]
    public void A_crease_is_moved_and_nothing_else(string format, double way)
    {
        var moved = 0;
        foreach (var family in ConstructionLibrary.All)
        {
            var bare = new DesignSpec { Name = "Kite", Construction = family.Id, Format = format, Tools = "machine" };
            if (Attempt.Of(Support.Reader.Read(bare).Design, Support.Reader.Read(bare).Target).Card is not { } card)
            {
                continue;
            }

            var spec = new MakeOwn().Apply(bare, Support.Reader);
            foreach (var piece in card.Pieces.Where(p => p.Piece.OwnPlates is null && p.Piece.Lines.Count == 0 && p.Scores.Count > 0))
            {
                var panel = way > 0 ? piece.Panels[1].Extent : piece.Panels[0].Extent;
                if (panel < Length.Mm(12))
                {
                    continue;
                }

                var to = (piece.Scores[0].Figure.Value + new Length((long)(way * Length.Mm(2).Units))).Nearest(MoveCrease.Mark(Support.Reader.Read(bare).Unit.SystemOf()));
                if (Attempt.Of(Support.Reader.Read(new MoveCrease(piece.Piece.Id, 0, piece.Scores[0].Figure.Value.Units, to.Units).Apply(spec,
                    Support.Reader)) is var read ? read.Design : null!, read.Target).Card?.Pieces.First(p => p.Piece.Id == piece.Piece.Id) is not { } after)
                {
                    continue;
                }

                moved++;
                Assert.True((after.Scores[0].Figure.Value - to).Abs() <= Length.Mm(0.1m), $"{family.Id}: {after.Scores[0].Figure.Value} and not {to}");
                Assert.True((after.Along.Value - piece.Along.Value).Abs() <= Length.Mm(0.1m), $"{family.Id}: {piece.Piece.Name}");
                foreach (var (now, was) in after.Scores.Zip(piece.Scores).Skip(1))
                {
                    Assert.True((now.Figure.Value - was.Figure.Value).Abs() <= Length.Mm(0.1m), $"{family.Id}: {was.Between}");
                }
            }
        }

        Assert.True(moved > 15, $"{moved}");
    }

    /// <summary>Made wider, a panel pushes all that lies beyond it, and nothing else: creases, cuts and plates of every piece that is scored both ways.</summary>
    [Fact]
    public void What_is_scored_both_ways_is_stretched_whole()
    {
        static double Area(IReadOnlyList<Point> corners) =>
            Math.Abs(corners.Zip(corners.Skip(1).Append(corners[0]), (a, b) => ((double)a.X.Units * b.Y.Units) - ((double)b.X.Units * a.Y.Units)).Sum()) / 2;
        static double Left(Core.Sizing.SizedPiece p) =>
            ((double)p.Along.Value.Units * p.Across.Value.Units) - p.Plates.Sum(q => Area(q.Corners)) - p.Openings.Where(o => o.IsHole
            || o.Opening.Kind == CutKind.Notch).Sum(o => Area(o.Corners));
        var (stretched, more) = (0, Length.In(1, 4));
        IEnumerable<DesignSpec> specs = [.. ConstructionLibrary.All.SelectMany(f => ConstructionFamily.Combinations(f.Choices).Where(c => f.For(c).Refused is null)
            .Select(c => new DesignSpec { Name = "Kite", Construction = f.Id, Format = "6x6", Tools = "machine",
            Set = c.ToDictionary(x => x.Key, x => new WrittenFigure(x.Value)) }))];
        foreach (var bare in specs)
        {
            if (Attempt.Of(Support.Reader.Read(bare).Design, Support.Reader.Read(bare).Target).Card is not { } card)
            {
                continue;
            }

            var spec = new MakeOwn().Apply(bare, Support.Reader);
            var variant = spec.Made!.Variants[0];
            foreach (var piece in variant.Pieces.Where(p => p.Plates is not null && BuildEdit.IsStraight(p)))
            {
                foreach (var panel in piece.Panels.Select(p => (int?)piece.Panels.ToList().IndexOf(p)).Append(null))
                {
                    var rule = SumText.Write(panel is { } i ? piece.Panels[i].Extent : piece.Across, BuildEdit.NamesIn(variant), DisplayUnit.Inch);
                    var read = Support.Reader.Read(new BuildExtent(piece.Id, panel is { } n ? piece.Panels[n].Id : null, $"{rule} + 1/4 in").Apply(spec, Support.Reader));
                    if (Attempt.Of(read.Design, read.Target).Card is not { } wider)
                    {
                        continue;
                    }

                    stretched++;
                    var (was, now) = (card.Pieces.First(p => p.Piece.Id == piece.Id), wider.Pieces.First(p => p.Piece.Id == piece.Id));
                    Assert.True(((was.Along.Value + (panel is null ? Length.Zero : more)) - now.Along.Value).Abs() <= Length.Mm(0.15m), $"{bare.Construction}: {piece.Name}, {panel}");
                    Assert.True(((was.Across.Value + (panel is null ? more : Length.Zero)) - now.Across.Value).Abs() <= Length.Mm(0.15m), $"{bare.Construction}: {piece.Name}, {panel}");
                    foreach (var (score, at) in now.Scores.Select((s, at) => (s, at)))
                    {
                        Assert.True(((was.Scores[at].Figure.Value + (panel <= at ? more : Length.Zero)) - score.Figure.Value).Abs() <= Length.Mm(0.15m), $"{bare.Construction}: {piece.Name}, {panel}");
                    }

                    Assert.True(Math.Abs(Left(now) - Left(was)) < 2e-3 * now.Along.Value.Units * now.Across.Value.Units, $"{bare.Construction}: {piece.Name}, {panel}");
                }
            }
        }

        Assert.True(stretched > 20, $"{stretched}");
    }

    /// <summary>What is bonded on a panel stays on it: a tray made longer and higher still closes, and its window keeps its border.</summary>
    [Fact]
    public void What_lies_on_a_panel_goes_with_it()
    {
        var list = OwnListReader.Read("tray 8 x 6, score 1 on all four sides", DisplayUnit.Inch);
        var spec = OwnConstruction.Design(list, RuleGuess.Of(list, Inventory.Shipped.Formats)!, "tray");
        foreach (var edit in new DesignEdit[] { new BuildExtent("p1", "panel2", "width + 1 in"), new BuildExtent("p1", null, "height + 3 in"), new MoveCrease("p1", 0, Length.In(1).Units, Length.In(5, 4).Units) })
        {
            var card = Sized(edit.Apply(spec, Support.Reader));
            Assert.Empty(card.Closed.Misses);
            Assert.Equal(edit is MoveCrease ? Length.In(5, 4) : Length.In(1), card.Closed.Deep);
        }

        var gate = new BuildWindow("base", "back", "1/2 in").Apply(Gate, Support.Reader);
        var was = Sized(gate).Pieces[0];
        var wider = Sized(new BuildExtent("base", "left", "width / 2 + 1/2 in").Apply(gate, Support.Reader)).Pieces[0];
        var by = wider.Scores[0].Figure.Value - was.Scores[0].Figure.Value;
        Assert.True(by > Length.Mm(10));
        Assert.Equal(was.Openings[0].Left.Value + by, wider.Openings[0].Left.Value);
        Assert.Equal(was.Openings[0].Right.Value + by, wider.Openings[0].Right.Value);
    }

    /// <summary>A score across the chain is folded otherwise; creases that slant are left to the file.</summary>
    [Fact]
    public void Creases_across_are_folded_and_slanting_ones_refused()
    {
        var list = OwnListReader.Read("tray 8 x 6, score 1 on all four sides", DisplayUnit.Inch);
        var spec = OwnConstruction.Design(list, RuleGuess.Of(list, Inventory.Shipped.Formats)!, "tray");
        var flat = new BuildCrease("p1", 2, Fold.Valley, 0, 0).Apply(spec, Support.Reader);
        Assert.Equal(0, flat.Made!.Variants[0].Pieces[0].Lines[0].Crease.Closed);
        Assert.NotEmpty(Sized(flat).Closed.Misses);
        Assert.Throws<InputProblemException>(() => new BuildCrease("p1", 4, Fold.Valley, 0, 0).Apply(spec, Support.Reader));
        var envelope = new MakeOwn().Apply(new DesignSpec { Name = "Kite", Construction = "envelope", Format = "6x6" }, Support.Reader);
        var refused = Assert.Throws<InputProblemException>(() => new BuildExtent("envelope", "sheet", "width").Apply(envelope, Support.Reader));
        Assert.Contains("slant", refused.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void A_piece_is_added_cut_open_and_taken_away_again()
    {
        var spec = new AddPiece("Sail", "width / 3", "height - 1 in or 25 mm").Apply(Gate, Support.Reader);
        var sail = Sized(spec).Pieces[^1];
        Assert.Equal(("Sail", Support.In("2"), Support.In("5")), (sail.Piece.Name, sail.Along.Value, sail.Across.Value));
        Assert.Empty(Sized(spec).Closed.Misses);
        spec = new BuildWindow(sail.Piece.Id, "panel1", "1/2 in").Apply(spec, Support.Reader);
        var window = Assert.Single(Sized(spec).Pieces[^1].Openings);
        Assert.Equal((Support.In("1/2"), Support.In("1/2"), Support.In("1 1/2"), Support.In("4 1/2")), (window.Left.Value, window.Foot.Value, window.Right.Value, window.Head.Value));
        Assert.Single(Sized(new BuildWindow(sail.Piece.Id, "panel1", "1/4 in").Apply(spec, Support.Reader)).Pieces[^1].Openings);
        Assert.Empty(Sized(new BuildWindow(sail.Piece.Id, "panel1", null).Apply(spec, Support.Reader)).Pieces[^1].Openings);
        Assert.Equal(DesignFile.State(spec), DesignFile.State(DesignFile.Read(DesignFile.Write(spec), "file")));

        // In another format it goes with the card.
        var larger = Support.Reader.Read(spec with { Target = "8x8in" });
        Assert.Equal(Support.In("7"), Card.Of(larger.Design, larger.Target).Pieces[^1].Across.Value);
        Assert.Equal(DesignFile.State(Gate), DesignFile.State(new RemovePiece(sail.Piece.Id).Apply(spec, Support.Reader)));
    }

    [Fact]
    public void What_could_not_be_worked_with_is_refused_and_the_library_is_left_alone()
    {
        var spec = Gate;
        var piece = spec.Made!.Variants[0].Pieces[0].Id;
        void Refused(DesignEdit edit, DesignSpec of, string why) =>
            Assert.Contains(why, Assert.Throws<InputProblemException>(() => edit.Apply(of, Support.Reader)) is var e ? e.Reason + e.Accepted : "",
            StringComparison.Ordinal);
        Refused(new BuildExtent(piece, "nothing", "width"), spec, "no panel");
        Refused(new BuildExtent("nothing", null, "width"), spec, "no piece");
        Refused(new BuildCrease(piece, 9, Fold.Valley, 180, 90), spec, "no crease");
        Refused(new BuildCrease(piece, 0, Fold.Valley, 45, 90), spec, "0, 90 or 180");
        Refused(new BuildParameter("nothing", "width"), spec, "no parameter");
        Refused(new BuildExtent(piece, null, "width"), new DesignSpec { Construction = "gatefold", Format = "6x6" }, "make it your own first");
        Refused(new MoveCrease(piece, 7, 0, 0), spec, "no crease");
        Refused(new MoveCrease(piece, 0, 0, Support.In("60").Units), spec, "at most");
        Refused(new AddPiece(" ", "width", "height"), spec, "no name");
        Refused(new AddPiece("Sail", "width - 9", "height"), spec, "not understood");
        Refused(new AddPiece(spec.Made.Variants[0].Pieces[0].Name, "width", "height"), spec, "called");
        Refused(new RemovePiece(piece), spec, "everything else lies on it");
        Refused(new RemovePiece("nothing"), spec, "no piece");
        Refused(new BuildWindow(piece, "nothing", "1/2 in"), spec, "no panel");
        Refused(new BuildWindow(piece, spec.Made.Variants[0].Pieces[0].Panels[0].Id, "much"), spec, "not known here");
        var never = new MakeOwn().Apply(new DesignSpec { Construction = "twist-pop", Format = "6x6" }, Support.Reader);
        Refused(new SplitPanel("carrier", never.Made!.Variants[0].Pieces.First(p => p.Id == "carrier").Panels[0].Id), never, "cross its chain");
    }

    /// <summary>Where edges match a bond is proposed, with which the closed card meets; taken, it holds the piece.</summary>
    [Fact]
    public void Bonds_are_proposed_where_edges_match_and_close_the_card()
    {
        var list = OwnListReader.Read("base 10 x 5, score at 5\nstrip 6 x 5, score at 2, 4", DisplayUnit.Inch);
        var spec = OwnConstruction.Design(list, RuleGuess.Of(list, Inventory.Shipped.Formats)!, "Kite");
        var proposals = BondProposals.For(spec, Support.Reader, TestContext.Current.CancellationToken);
        Assert.NotEmpty(proposals);
        foreach (var proposal in proposals)
        {
            var next = proposal.Apply(spec, Support.Reader);
            var card = Sized(next);
            Assert.Empty(card.Closed.Misses);
            Assert.Contains(card.Construction.Bonds, b => !b.IsLoose && b.Id == proposal.Id);
            Assert.DoesNotContain(card.Construction.Bonds, b => b.IsLoose);
            Assert.Contains("nothing holds", Assert.Throws<InputProblemException>(() => new BuildBond(proposal.Id, null).Apply(next, Support.Reader)).Reason, StringComparison.Ordinal);
        }

        Assert.Empty(BondProposals.For(new DesignSpec { Construction = "gatefold", Format = "6x6" }, Support.Reader, TestContext.Current.CancellationToken));
    }
}
