using System.Text.Json;
using System.Text.Json.Nodes;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange.Upgrades;
using Sandbar.Css;

namespace Sandbar.Core.Interchange;

/// <summary>A document is of a format that only a later program knows: it is to be left as it is.</summary>
public sealed class NewerFormatException(int format)
    : FormatException($"/format: this site file is of format {format}, and this Sandbar reads up to {Site.CurrentFormat}. Open it with a newer Sandbar.");

/// <summary>
/// A site as it was stored, of whatever format: patches of its own format are applied to it as they are; before one of a later format, and when it is
/// read as a site, it is brought up to that format.
/// </summary>
public sealed class StoredDocument
{
    private const string Order = "#";

    private static readonly JsonDocumentOptions Depth = new() { MaxDepth = SiteJson.Options.MaxDepth };

    private readonly JsonObject root;

    private StoredDocument(JsonObject root, int format) => (this.root, Format) = (root, format);

    /// <summary>The format it is of now.</summary>
    public int Format { get; private set; }

    /// <summary>Reads a document.</summary>
    /// <exception cref="FormatException">It does not say its format, or one that is not known here.</exception>
    /// <exception cref="JsonException">It is no JSON.</exception>
    public static StoredDocument Parse(string json)
    {
        if (JsonNode.Parse(json, documentOptions: Depth) is not JsonObject root || root["format"] is not JsonValue number)
            throw new FormatException("This is not a site file: it does not say its format at the top.");
        if (number.GetValueKind() != JsonValueKind.Number || !number.TryGetValue<int>(out var format)) throw new FormatException("/format: the format of a site file is a whole number.");
        if (format > Site.CurrentFormat) throw new NewerFormatException(format);
        return format >= 1 ? new(root, format) : throw new FormatException($"/format: there is no format {format}.");
    }

    /// <summary>Applies a patch as the journal keeps it.</summary>
    /// <exception cref="InvalidDataException">It belongs to another document.</exception>
    public void Apply(string patch)
    {
        var read = JsonNode.Parse(patch, documentOptions: Depth) as JsonObject ?? throw new InvalidDataException("A patch is an object.");
        var format = read["format"]?.GetValue<int>() ?? throw new InvalidDataException("A patch says its format.");
        if (format < Format) throw new InvalidDataException($"A patch of format {format} cannot follow a document of format {Format}.");
        UpTo(format);
        foreach (var change in read["changes"]?.AsArray() ?? [])
            Set(root, change!["path"]!.GetValue<string>().Split('/').AsSpan(1), change);
    }

    /// <summary>The document as a site of today.</summary>
    /// <exception cref="JsonException">It lacks what a site has; the path says where.</exception>
    public Site Read()
    {
        var isOlder = Format < Site.CurrentFormat;
        UpTo(Site.CurrentFormat);
        var site = root.Deserialize<Site>(SiteJson.Options) ?? throw new JsonException("An empty document.");
        return isOlder ? ValuesThatHold.In(site) : site;
    }

    /// <summary>Whether it says all that a site says, as it is: one of an earlier program may lack what sites have gained since.</summary>
    public bool Says(Site site) => SiteTree.IsSaid(site, typeof(Site), root);

    private void UpTo(int format)
    {
        for (; Format < format; Format++) Upgrade.From(Format)(root);
        root["format"] = Format;
    }

    private static void Set(JsonNode node, ReadOnlySpan<string> path, JsonNode change)
    {
        var (name, after) = (path[0], change["after"]);
        switch (node)
        {
            case JsonObject map when path.Length == 1:
                if (change["at"] is { } at) map[name] = TextPiece.Replaced(map[name]?.GetValue<string>(), at.GetValue<int>(), change["before"]!.GetValue<string>(), after!.GetValue<string>());
                else if (after is null) map.Remove(name);
                else map[name] = after.DeepClone();
                break;
            case JsonObject map:
                // What has gone meanwhile is passed over, as it is in a site.
                if (map[name] is { } inner) Set(inner, path[1..], change);
                break;
            case JsonArray list when name == Order:
                var ids = after?.AsArray().Select(id => id!.GetValue<string>()).ToList() ?? [];
                var items = list.OrderBy(i => ids.IndexOf(IdOf(i)) is var at && at < 0 ? int.MaxValue : at).ToList();
                list.Clear();
                foreach (var item in items) list.Add(item);
                break;
            case JsonArray list:
                var index = list.Select(IdOf).ToList().IndexOf(name);
                if (path.Length > 1)
                {
                    if (index >= 0) Set(list[index]!, path[1..], change);
                }
                else if (after is null)
                {
                    if (index >= 0) list.RemoveAt(index);
                }
                else if (index < 0)
                {
                    list.Add(after.DeepClone());
                }
                else
                {
                    list[index] = after.DeepClone();
                }
                break;
            default:
                throw new InvalidDataException($"The patch names {Quoted.Text(name)}, which this document does not have.");
        }
    }

    private static string IdOf(JsonNode? item) => item is JsonObject map && map["id"] is JsonValue id ? id.GetValue<string>() : "";
}
