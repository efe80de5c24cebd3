namespace WholeFold.Core.Input;

/// <summary>Something to hand: a format, a stock, a tool set, a die.</summary>
public interface IThing
{
    /// <summary>What it is called in files and on the command line; everything is matched by it.</summary>
    string Id { get; }

    /// <summary>What it is called on the screen.</summary>
    string Name { get; }
}
