namespace WholeFold.Planning;

/// <summary>One way to cut a sheet: how often each kind lies on it.</summary>
internal sealed record Column(int Sort, int[] Counts, Layout Layout)
{
    /// <summary>As many stages as anybody needs who cuts strips, rows and pieces.</summary>
    public const int FewStages = 3;

    public bool IsPlain { get; } = Layout.Stages <= FewStages;

    public long Worth(IReadOnlyList<int> worths) => Counts.Select((c, i) => (long)c * worths[i]).Sum();
}

/// <summary>A column and on how many sheets it is cut.</summary>
internal readonly record struct Used(Column Column, int Times);

/// <summary>Columns met so far, each once.</summary>
internal sealed class Pool
{
    private readonly HashSet<(int, bool, string)> known = [];

    public List<Column> Columns { get; } = [];

    /// <summary>How many of them were not known.</summary>
    public int AddAll(IEnumerable<Column> columns) => columns.Count(Add);

    public bool Add(Column column)
    {
        if (column.Counts.All(c => c == 0) || !known.Add((column.Sort, column.IsPlain, string.Join(',', column.Counts))))
        {
            return false;
        }

        Columns.Add(column);
        return true;
    }
}
