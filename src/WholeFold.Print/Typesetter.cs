using WholeFold.Core.Drawing;
using WholeFold.Core.Measure;

namespace WholeFold.Print;

/// <summary>A word or a figure, which is never broken over two lines.</summary>
internal sealed record Token(IReadOnlyList<Token.Run> Runs, bool SpaceBefore)
{
    /// <param name="Up">How far it is raised, as a share of the size; so are numerators.</param>
    public readonly record struct Run(string Text, double Share, double Up);
}

/// <summary>Sets sentences with figures in lines: fractions with a small numerator and denominator, figures whole.</summary>
internal static class Typesetter
{
    /// <summary>From base line to base line, as a share of the size.</summary>
    public const double Lead = 1.35;

    private const double Small = 0.72, Raised = 0.34;

    /// <summary>The runs of a figure; a space stands between whole number and fraction, so that it reads right when it is copied.</summary>
    public static IReadOnlyList<Token.Run> Figure(FigureText figure)
    {
        var runs = new List<Token.Run>();
        if (figure.Aside == true)
        {
            runs.Add(new("(", 1, 0));
        }

        if (figure.Whole.Length > 0)
        {
            runs.Add(new(figure.Whole, 1, 0));
            if (figure.Numerator is not null)
            {
                runs.Add(new(" ", 0.4, 0));
            }
        }

        if (figure.Numerator is { } over)
        {
            runs.Add(new($"{over}", Small, Raised));
            runs.Add(new("/", 0.9, 0));
            runs.Add(new($"{figure.Denominator}", Small, 0));
        }

        if (figure.Unit is { } unit)
        {
            runs.Add(new($" {unit}", 1, 0));
        }

        if (figure.Word is { } word)
        {
            runs.Add(new($" {word}", 1, 0));
        }

        if (figure.Aside == true)
        {
            runs.Add(new(")", 1, 0));
        }

        return runs;
    }

    public static IReadOnlyList<Token> Tokens(IReadOnlyList<SentencePart> parts)
    {
        var tokens = new List<Token>();
        var space = false;
        foreach (var part in parts)
        {
            if (part.Figure is { } figure)
            {
                Add(Figure(figure));
                space = false;
                continue;
            }

            foreach (var (word, i) in part.Text!.Split(' ').Select((w, i) => (w, i)))
            {
                space |= i > 0;
                if (word.Length > 0)
                {
                    Add([new(word, 1, 0)]);
                    space = false;
                }
            }
        }

        return tokens;

        // What no space parts stays together: "2 7/16," is one.
        void Add(IReadOnlyList<Token.Run> runs)
        {
            if (!space && tokens.Count > 0)
            {
                tokens[^1] = tokens[^1] with { Runs = [.. tokens[^1].Runs, .. runs] };
            }
            else
            {
                tokens.Add(new Token(runs, space));
            }
        }
    }

    public static double Width(Token token, double size, bool bold) => token.Runs.Sum(r => Type.Width(r.Text, size * r.Share, bold));

    /// <summary>Broken into lines of at most a width.</summary>
    public static IReadOnlyList<IReadOnlyList<Token>> Wrap(IReadOnlyList<Token> tokens, double size, bool bold, double width)
    {
        var lines = new List<List<Token>> { new() };
        var used = 0d;
        var space = Type.Width(" ", size, bold);
        foreach (var token in tokens)
        {
            var wide = Width(token, size, bold) + (token.SpaceBefore && lines[^1].Count > 0 ? space : 0);
            if (lines[^1].Count > 0 && used + wide > width && token.SpaceBefore)
            {
                lines.Add([]);
                used = 0;
            }

            lines[^1].Add(token);
            used += wide;
        }

        return lines;
    }

    /// <summary>The runs of one line from a point of its base line. Words that stand together are one run, so that every renderer sets them as one.</summary>
    public static IEnumerable<Mark> Line(IReadOnlyList<Token> line, double x, double y, double size, bool bold, string colour)
    {
        var runs = line.SelectMany((token, i) => token.Runs.Select((run, n) => n == 0 && i > 0 && token.SpaceBefore ? run.Share < 1 || run.Up > 0
            ? [new Token.Run(" ", 1, 0), run] : new[] { run with { Text = $" {run.Text}" } } : [run])).SelectMany(r => r).ToList();
        for (var i = 0; i < runs.Count;)
        {
            var (share, up, text) = (runs[i].Share, runs[i].Up, runs[i].Text);
            for (i++; i < runs.Count && runs[i].Share == share && runs[i].Up == up; i++)
            {
                text += runs[i].Text;
            }

            yield return new Mark.Text(x, y - (up * size), size * share, text, bold, colour);
            x += Type.Width(text, size * share, bold);
        }
    }

    public static IReadOnlyList<SentencePart> Plain(string text) => [new SentencePart(text)];
}
