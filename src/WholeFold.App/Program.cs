using WholeFold.App;
using WholeFold.App.Cli;
using WholeFold.Core.Measure;

// The OpenAPI document is made at build by running this with no arguments or with --key=value: build the host then.
if (args.Length == 0 || (args[0].StartsWith("--", StringComparison.Ordinal) && args[0].Contains('=', StringComparison.Ordinal)))
{
    await WebHost.Build(args).RunAsync();
    return 0;
}

Console.OutputEncoding = System.Text.Encoding.UTF8;
try
{
    var code = CommandLine.Run(args, Console.Out, Console.Error);
    Console.Out.Flush();
    return code;
}
catch (IOException e)
{
    // The output is full, or nobody reads it any more; saying so may not be possible either.
    try
    {
        Console.Error.WriteLine($"The output cannot be written: {e.Message.TrimEnd('.')}.");
    }
    catch (IOException)
    {
    }

    return CommandLine.NotUnderstood;
}

/// <summary>Named for the tests, which start the real host.</summary>
public partial class Program;
