using System.Runtime.InteropServices;
using WholeFold.Core.Input;

namespace WholeFold.App.Cli;

/// <summary>Writes what a command made to where it was told to.</summary>
internal static partial class Saving
{
    private const string Accepted = "a path in a folder that is there, may be written to and has room";

    /// <summary>All of it or nothing: it is written beside its place and put there once it is whole.</summary>
    /// <remarks>A link stays one: what it leads to is written. What is no file, or is not to be written to, is left as it is.</remarks>
    /// <exception cref="InputProblemException">It cannot be written there.</exception>
    public static void Save(FileInfo target, byte[] bytes, string place)
    {
        InputProblemException Refused(string why) => new("file.unwritable", place, $"{target.Name} {why}", Accepted);
        var there = target.LinkTarget is null ? target : target.ResolveLinkTarget(returnFinalTarget: true) as FileInfo ?? throw Refused("is a link that leads to no file");
        if (Directory.Exists(there.FullName))
        {
            throw Refused("is a folder");
        }

        if (there.Exists && !IsFile(there.FullName))
        {
            throw Refused("is there already, and is no file");
        }

        if (there.Exists && there.IsReadOnly)
        {
            throw Refused("is there already, and is not to be written to");
        }

        var beside = $"{there.FullName}.{Guid.NewGuid():N}.part";
        try
        {
            File.WriteAllBytes(beside, bytes);
            File.Move(beside, there.FullName, overwrite: true);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            if (File.Exists(beside))
            {
                File.Delete(beside);
            }

            throw Refused($"cannot be written there: {e.Message.TrimEnd('.')}");
        }
    }

    /// <summary>Whether it is an ordinary file and no device, pipe or socket, which a file must not take the place of.</summary>
    private static bool IsFile(string path)
    {
        if (!OperatingSystem.IsLinux())
        {
            return true;
        }

        const int Here = -100, Mode = 28, OfFile = 0x8000, Kinds = 0xF000;
        var told = new byte[256];
        return Statx(Here, path, 0, 1, told) != 0 || (BitConverter.ToUInt16(told, Mode) & Kinds) == OfFile;
    }

    /// <summary>The kernel's own words about a path, laid out alike on every processor; the framework tells a device from a file nowhere.</summary>
    [LibraryImport("libc", EntryPoint = "statx", StringMarshalling = StringMarshalling.Utf8)]
    private static partial int Statx(int folder, string path, int flags, uint mask, byte[] told);
}
