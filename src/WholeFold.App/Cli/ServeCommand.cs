using System.CommandLine;
using WholeFold.Core.Constructions;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Store;

namespace WholeFold.App.Cli;

/// <summary>Serves a studio to this machine's browser.</summary>
internal static class ServeCommand
{
    public static Command Make(string name, string description, bool demo, TextWriter output)
    {
        var port = new Option<int>("--port") { Description = "The port to listen on.", DefaultValueFactory = _ => 5080 };
        var data = new Option<DirectoryInfo?>("--data") { Description = "The folder that holds the studio's data." };
        var listen = new Option<string>("--listen") { Description = "The address to listen on; loopback only.", DefaultValueFactory = _ => "127.0.0.1" };
        var noOpen = new Option<bool>("--no-open") { Description = "Do not open a browser." };
        var command = new Command(name, description) { port, data, listen };
        if (demo)
        {
            command.Add(noOpen);
        }

        command.SetAction(async (parsed, cancel) =>
        {
            var number = parsed.GetValue(port);
            if (number is < 1 or > 65535)
            {
                throw new InputProblemException("port.range", "--port", $"{number} is not a port", "1 to 65535, such as 5080");
            }

            var address = parsed.GetValue(listen)!;
            if (address is not ("127.0.0.1" or "localhost" or "::1"))
            {
                throw new InputProblemException("listen.refused", "--listen", $"{address} would open the studio to other machines, which needs a passphrase that this version cannot ask for yet", "127.0.0.1");
            }

            var folder = parsed.GetValue(data)?.FullName ?? DefaultFolder(demo);
            var url = $"http://{(address == "::1" ? "[::1]" : address)}:{number}";
            await using var app = WebHost.Build([$"--urls={url}", $"--Studio:Folder={folder}", $"--Studio:Demo={demo}"]);
            try
            {
                await app.StartAsync(cancel);
            }
            catch (Exception e) when (e is IOException or System.Net.Sockets.SocketException)
            {
                throw new StudioUnusableException($"Port {number} cannot be listened on: something else does, or there is no right to; take a free one, such as --port {(number < 65535 ? number + 1 : 5080)}.");
            }

            // A studio that cannot be used ends here, in one sentence (StudioUnusableException).
            await app.Services.GetRequiredService<StudioPreparation>().Ready;
            await output.WriteLineAsync($"Whole Fold is open at {url} (data in {folder}). Ctrl+C closes it.");
            if (demo && !parsed.GetValue(noOpen))
            {
                Browser.Open(url);
            }

            await app.WaitForShutdownAsync(cancel);
            return 0;
        });
        return command;
    }

    private static string DefaultFolder(bool demo)
    {
        var home = Environment.GetEnvironmentVariable("XDG_DATA_HOME") is { Length: > 0 } xdg ? xdg : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), ".local", "share");
        return Path.Combine(home, "wholefold", demo ? "demo" : "studio");
    }
}
