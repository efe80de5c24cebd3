using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Own;

public sealed class EquationsTests
{
    public static TheoryData<string> Families => [.. Support.Reader.Catalogue.All.Select(f => f.Id)];

    /// <summary>
    /// Of a construction's own figures all agree. With one of them off either all still do, since it is free, or the one that is left out is
    /// that without which the others come nearest to each other: as near as when each is left out in turn.
    /// </summary>
    [Theory]
    [MemberData(nameof(Families))]
    public void One_figure_that_is_off_is_left_out(string id)
    {
        var read = Support.Reader.Read(new DesignSpec { Construction = id, Format = "5x7" });
        var builder = Sizer.BuilderFor(read.Design, read.Target, firm: false, TestContext.Current.CancellationToken);
        var construction = read.Design.Construction;
        var equations = new Equations(construction, UnitSystem.Imperial, builder.Known);
        var x = equations.Solve([new Equation(0, "width", Affine.W, read.Target.Width), new Equation(0, "height", Affine.H, read.Target.Height)]);
        Equation Of(string figure, Affine rule, Length more) => new(0, figure, rule, new Length((long)Math.Round(equations.At(rule, x))) + more);
        var rules = construction.Pieces.SelectMany(p => equations.Positions(p).Append(p.Along).Append(p.Across).Select((r, i) => ($"{p.Id} {i}", r))).ToList();
        var right = rules.Select(r => Of(r.Item1, r.r, Length.Zero)).ToList();
        Assert.Empty(Assert.NotNull(equations.Agree(right, most: 0)).Out);
        for (var off = 0; off < rules.Count; off++)
        {
            var spoilt = right.Select((e, i) => i == off ? Of(e.Figure, e.Rule, Length.In(1, 2)) : e).ToList();
            if (equations.Agree(spoilt, most: 1) is not { Out: [var gone] } agreed)
            {
                continue;
            }

            double Worst(Equation without) => spoilt.Where(e => e != without).ToList() is var others && equations.Solve(others) is var solved ? others.Max(e => equations.Off(e, solved)) : 0;
            Assert.InRange(Worst(gone), 0, spoilt.Min(Worst) + Length.Mm(0.01m).Units);
            Assert.All(spoilt.Where(e => e != gone), e => Assert.InRange(equations.Off(e, agreed.X), 0, equations.Tolerance));
        }
    }
}
