using System.Text.RegularExpressions;
using Sandbar.Core.Design;

namespace Sandbar.Core.Checking;

/// <summary>The shelf: files of known kinds, in known places.</summary>
internal static partial class ShelfCheck
{
    private static readonly Dictionary<string, string> MediaTypes = new(StringComparer.Ordinal)
    {
        [".woff2"] = "font/woff2", [".svg"] = "image/svg+xml", [".png"] = "image/png", [".jpg"] = "image/jpeg", [".webp"] = "image/webp", [".webm"] = "video/webm", [".mp4"] = "video/mp4",
    };

    /// <summary>How files of a kind end; empty for one that is not kept.</summary>
    public static string EndingOf(string mediaType) => MediaTypes.FirstOrDefault(t => t.Value == mediaType).Key ?? "";

    public static IEnumerable<Problem> Problems(Site site)
    {
        foreach (var problem in Ids.Problems("/shelf", site.Shelf)) yield return problem;
        foreach (var item in site.Shelf.Where(i => !ShelfPath().IsMatch(i.File) || !Hash().IsMatch(i.Hash) || i.MediaType != MediaTypes[Path.GetExtension(i.File)]))
            yield return new($"/shelf/{item.Id}", $"{item.Name} is not a font or picture of a shelf.");
        foreach (var item in site.Shelf)
        {
            if (Names.Check(item.Name, [], $"/shelf/{item.Id}/name") is { } name) yield return name;
            if (item.Address.Length > 0 && !(item.IsClip && OutsideAddress.Is(item.Address))) yield return new($"/shelf/{item.Id}/address", "A clip that is elsewhere has an address that begins with https://.");
            if (item.Width is < 0 or > 100_000 || item.Height is < 0 or > 100_000) yield return new($"/shelf/{item.Id}", $"{item.Name} is wider or higher than any picture.");
        }
        if (site.Shelf.Select(i => i.File).Distinct(StringComparer.OrdinalIgnoreCase).Count() < site.Shelf.Length) yield return new("/shelf", "Two files of the shelf have the same name.");
    }

    [GeneratedRegex(@"^((fonts|pictures)/[A-Za-z0-9][A-Za-z0-9-]*\.(woff2|svg|png|jpg|webp)|clips/[A-Za-z0-9][A-Za-z0-9-]*\.(webm|mp4))\z")]
    private static partial Regex ShelfPath();

    [GeneratedRegex(@"^[0-9a-f]{64}\z")]
    private static partial Regex Hash();
}
