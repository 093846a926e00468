using System.Text;
using System.Text.Json;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange.Upgrades;
using Sandbar.Css;

namespace Sandbar.Core.Interchange;

/// <summary>
/// A site as a file: <c>NAME.sandbar.json</c>, beside it the bytes of its shelf in <c>NAME.assets/HASH.ext</c>. Keys and lists stand in a stable
/// order, so that it may live under version control.
/// </summary>
public static class SiteFile
{
    public const string Extension = ".sandbar.json";

    /// <summary>Names, values and brackets of a file at most: several times what the largest site has, and few enough to be held in memory.</summary>
    private const int MostTokens = 2_000_000;

    private static readonly JsonSerializerOptions Readable = new(SiteJson.Options) { WriteIndented = true, NewLine = "\n" };

    public static string Write(Site site) => JsonSerializer.Serialize(site, Readable) + "\n";

    /// <summary>Where a file of the shelf lies, seen from the site file.</summary>
    /// <param name="name">The site file's name without its extension.</param>
    public static string AssetPath(string name, ShelfItem item) => $"{name}.assets/{item.Hash}{Path.GetExtension(item.File)}";

    private static int Tokens(string text)
    {
        var reader = new Utf8JsonReader(Encoding.UTF8.GetBytes(text), new() { MaxDepth = SiteJson.Options.MaxDepth });
        var count = 0;
        while (count <= MostTokens && reader.Read()) count++;
        return count;
    }

    /// <summary>Reads a site file.</summary>
    /// <exception cref="FormatException">It is broken, of a newer format, or not a site; the message says where and what.</exception>
    public static Site Read(string text)
    {
        try
        {
            // A mark at the beginning that says how it is encoded is no part of it.
            text = text.TrimStart('\uFEFF');
            if (text.Length > MostTokens && Tokens(text) > MostTokens) throw new FormatException($"/: the site file holds more than {MostTokens / 1_000_000} million values.");
            var site = StoredDocument.Parse(text).Read();
            if (!SiteCheck.Problems(site).Any()) return site;
            // It may be called like something that has come to mean another thing since it was saved.
            var settled = NamesThatMeanOneThing.In(site);
            return SiteCheck.Problems(settled).FirstOrDefault() is { } problem ? throw new FormatException($"{Quoted.Line(problem.Path)}: {problem.Message}") : settled;
        }
        catch (JsonException broken)
        {
            var place = broken.Path is { Length: > 1 } path ? path[1..].Replace('.', '/') : $"line {broken.LineNumber + 1}, column {broken.BytePositionInLine + 1}";
            throw new FormatException($"{place}: the site file cannot be read here.");
        }
        catch (NotSupportedException)
        {
            throw new FormatException("/: a value in the site file does not say what kind it is of.");
        }
        catch (Exception broken) when (broken is InvalidOperationException or NullReferenceException or KeyNotFoundException or ArgumentException)
        {
            // An older format without what every site of it had.
            throw new FormatException("/: the site file lacks something that every site has.");
        }
    }
}
