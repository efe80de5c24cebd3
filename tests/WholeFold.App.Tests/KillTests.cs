using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Designs;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>The program as it is installed, killed without warning.</summary>
public class KillTests
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Killed_at_any_moment_it_loses_nothing_that_was_acknowledged()
    {
        var folder = Directory.CreateTempSubdirectory("wholefold-kill-").FullName;
        try
        {
            var acknowledged = 0;
            Studio.LayDemo(folder);
            for (var round = 0; round < 3; round++)
            {
                var (process, client) = await Start(folder);
                acknowledged = await Stored(client, acknowledged);
                var design = await client.Design("tandem");
                var writes = Task.Run(
                    async () =>
                    {
                        try
                        {
                            while (true)
                            {
                                design = await client.Saved(design, new Take("name", $"Tandem {acknowledged + 1}"));
                                acknowledged++;
                            }
                        }
                        catch (HttpRequestException)
                        {
                            // Killed in the middle of a write; that one was not acknowledged.
                        }
                    },
                    Cancel);
                var before = acknowledged;
                while (acknowledged < before + 3 && !writes.IsCompleted)
                {
                    await Task.Delay(20, Cancel);
                }

                await Task.Delay(13 * (round + 1), Cancel);
                process.Kill();
                await process.WaitForExitAsync(Cancel);
                await writes;
                Assert.True(acknowledged >= before + 3);
            }

            var (last, lastClient) = await Start(folder);
            acknowledged = await Stored(lastClient, acknowledged);
            var end = await lastClient.Design("tandem");
            for (var n = acknowledged; n > 0; n--)
            {
                Assert.Contains($"Tandem {n}", end.Undo, StringComparison.Ordinal);
                end = await lastClient.Step(end, "undo");
            }

            Assert.Equal("Tandem", end.State.Name);
            last.Kill();
            await last.WaitForExitAsync(Cancel);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>How many writes are stored. One may have reached the disk without its answer reaching us; it counts as done then.</summary>
    private static async Task<int> Stored(HttpClient client, int acknowledged)
    {
        var name = (await client.Design("tandem")).State.Name;
        var number = name == "Tandem" ? 0 : int.Parse(name.Split(' ')[1], System.Globalization.CultureInfo.InvariantCulture);
        Assert.InRange(number, acknowledged, acknowledged + 1);
        return number;
    }

    private static async Task<(Process Process, HttpClient Client)> Start(string folder)
    {
        var port = FreePort();
        var process = Process.Start(new ProcessStartInfo("dotnet", [typeof(DesignView).Assembly.Location, "demo", "--no-open", "--port", $"{port}", "--data", folder]) { RedirectStandardOutput = true, RedirectStandardError = true })!;
        var said = await process.StandardOutput.ReadLineAsync(Cancel);
        Assert.Contains($"{port}", said ?? await process.StandardError.ReadToEndAsync(Cancel), StringComparison.Ordinal);
        return (process, new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") });
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
