using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue;

/// <summary>Blocks as they begin: empty, in the first look of their part, with what they are nothing without.</summary>
public static class NewBlock
{
    public static Block Of(Site site, Part part, string id)
    {
        var n = 0;
        return Made(part, id);

        Block Made(Part of, string own) => new(
            own, of.Id, LookOf(site, of), of.Name, Chosen(site, of), ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal),
            [.. of.Begins.Select(inner => Made(PartCatalogue.Get(inner), $"{id}-{++n}"))]);
    }

    /// <summary>The first look of the part that the site has.</summary>
    public static string LookOf(Site site, Part part) => site.Looks.First(l => l.Part == part.Id).Id;

    /// <summary>What cannot be written but only chosen: the first menu there is.</summary>
    private static ImmutableSortedDictionary<string, string> Chosen(Site site, Part part)
    {
        var content = ImmutableSortedDictionary.Create<string, string>(StringComparer.Ordinal);
        foreach (var slot in part.Slots.Where(s => s.Required && s.Kind == SlotKind.Menu && !site.Menus.IsEmpty)) content = content.SetItem(slot.Id, site.Menus[0].Id);
        return content;
    }
}
