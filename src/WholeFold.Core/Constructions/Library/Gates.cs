namespace WholeFold.Core.Constructions.Library;

/// <summary>What cards with two doors have in common.</summary>
internal static class Gates
{
    /// <summary>
    /// The way to fold both doors without a board: one light line on the inside, where the doors meet, and both edges folded to
    /// just inside it. Half of the gap then lies on either side of the line.
    /// </summary>
    /// <param name="line">Where the edges of both doors come to lie, from the sheet's left edge.</param>
    public static void OneLine(ConstructionBuilder c, Affine line)
    {
        c.Place("one-line", "the one line, for folding without a board", "the left edge of the inside", line, "flat", "rubbed out");
        c.Step("Without a board: draw one light line, fold the edge of either door to just inside it, and burnish.", "one-line")
            .Titled("fold without a board").OnlyIf(StepCase.NoBoard);
    }
}
