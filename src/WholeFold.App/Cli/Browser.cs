using System.ComponentModel;
using System.Diagnostics;

namespace WholeFold.App.Cli;

internal static class Browser
{
    /// <summary>Opens the page in the user's browser where there is a desktop; without one there is nothing to open.</summary>
    public static void Open(string url)
    {
        if (Environment.GetEnvironmentVariable("DISPLAY") is null && Environment.GetEnvironmentVariable("WAYLAND_DISPLAY") is null)
        {
            return;
        }

        try
        {
            using var opened = Process.Start(new ProcessStartInfo("xdg-open", url) { RedirectStandardError = true, RedirectStandardOutput = true });
        }
        catch (Win32Exception)
        {
            // No opener on this machine; the address has been printed.
        }
    }
}
