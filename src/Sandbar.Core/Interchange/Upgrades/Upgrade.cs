using System.Text.Json.Nodes;

namespace Sandbar.Core.Interchange.Upgrades;

/// <summary>One upgrader for each format there was. They work on JSON alone, so that they stay right whatever becomes of the records.</summary>
internal static class Upgrade
{
    /// <summary>What turns a document of a format into one of the next.</summary>
    public static Action<JsonObject> From(int format) => format switch
    {
        1 => From1.Upgrade,
        _ => throw new FormatException($"/format: there is no way up from format {format}."),
    };
}
