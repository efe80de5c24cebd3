using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange;

/// <summary>A result with the ways out of what was found in it, by the finding's id.</summary>
public static class WaysJson
{
    public static string Write(DesignSpec spec, DesignReader reader, Card card, DisplayUnit unit)
    {
        ArgumentNullException.ThrowIfNull(card);
        var whole = JsonNode.Parse(SizedJson.Write(card, unit))!.AsObject();
        var all = new JsonObject();
        foreach (var check in card.Checks.Where(c => c.Severity != Severity.Note).Select(c => c.Id).Distinct())
        {
            var found = Ways.Of(spec, reader, check);
            all[check] = new JsonObject
            {
                ["tried"] = found.Tried,
                ["stopped"] = found.Stopped,
                ["ways"] = new JsonArray([.. found.Ways.Select(w => (JsonNode)new JsonObject
                {
                    ["edits"] = JsonSerializer.SerializeToNode(w.Edits, StrictJson.Options),
                    ["text"] = w.Text.Write(unit),
                    ["costs"] = w.Costs.Write(unit),
                })]),
            };
        }

        whole["ways"] = all;
        return whole.ToJsonString(StrictJson.Options);
    }
}
