using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Type;

/// <summary>The licences that go with font files: whoever passes files on passes their licence on with them.</summary>
public static class FontLicences
{
    /// <summary>The licence of each family of the program that has files among these, then what files of the designer's own say of theirs.</summary>
    public static IEnumerable<(string Name, string Text)> Of(Site site, IReadOnlyList<ShelfItem> files)
    {
        foreach (var family in BundledFamilies.All.Where(f => f.Files.Any(file => files.Any(i => i.Hash == file.Item.Hash)))) yield return (family.Id, BundledFamilies.Licence(family));
        foreach (var file in site.Type.Families.SelectMany(f => f.Files).Where(f => f.Measures is { Licence.Length: > 0 }))
        {
            if (files.FirstOrDefault(i => i.Id == file.Item) is { } item) yield return (Path.GetFileNameWithoutExtension(item.File), file.Measures!.Licence);
        }
    }
}
