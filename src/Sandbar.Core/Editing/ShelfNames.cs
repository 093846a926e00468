using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Names for what comes to the shelf as a file.</summary>
internal static class ShelfNames
{
    /// <summary>The name of a file without its ending, as far as it can be a name.</summary>
    /// <param name="otherwise">What it is called where it cannot.</param>
    public static string Said(string name, string otherwise) => Names.Cut(Path.GetFileNameWithoutExtension(name)) is { Length: > 0 } said ? said : otherwise;

    /// <summary>The same, and nobody else's.</summary>
    public static string Free(Site site, string name, string otherwise)
    {
        var taken = site.Shelf.Select(i => i.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var free = Said(name, otherwise);
        for (var n = 2; taken.Contains(free); n++) free = $"{Said(name, otherwise)} {n}";
        return free;
    }

    /// <summary>The name of a file in a release, as far as it can be the one it was given, and nobody else's.</summary>
    public static string FreeFile(Site site, string folder, string name, string mediaType)
    {
        var ending = ShelfCheck.EndingOf(mediaType);
        var slug = Names.FreeSlug(Path.GetFileNameWithoutExtension(name), site.Shelf.Where(i => i.File.EndsWith(ending, StringComparison.Ordinal)).Select(i => Path.GetFileNameWithoutExtension(i.File)));
        return $"{folder}/{slug}{ending}";
    }
}
