using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text.Json;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Input;

namespace WholeFold.Core.Designs;

/// <summary>
/// Constructions that designs bring along, read once for as long as they stay the same: what is worked out for a construction
/// (which faces are seen, say) is kept with it.
/// </summary>
internal static class MadeConstructions
{
    private const int Most = 64;

    private static readonly ConcurrentDictionary<string, ConstructionFamily> Known = new();

    public static ConstructionFamily Read(WrittenFamily made)
    {
        var key = Convert.ToHexString(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(made, StrictJson.OnOneLine)));
        if (Known.TryGetValue(key, out var known))
        {
            return known;
        }

        var read = ConstructionReader.Read(made, "made");
        if (Known.Count >= Most)
        {
            Known.Clear();
        }

        return Known.GetOrAdd(key, read);
    }
}
