using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations;

/// <summary>The looks that the catalogue proposes, read against a site's foundations.</summary>
public static class CatalogueLooks
{
    /// <summary>The look a seed becomes. What it names and the site lacks is left out: a site need not have the foundations the catalogue was written with.</summary>
    public static Look FromSeed(Site site, Part part, LookSeed seed)
    {
        var cells = ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal);
        foreach (var (text, typed) in seed.Cells)
        {
            var key = CellKey.Parse(text);
            var property = part.Property(key.Property) ?? throw new InvalidOperationException($"{part.Name} · {seed.Name}: no property {key.Property}.");
            try
            {
                cells = cells.Add(text, property.Read(site, typed, key.State == State.Rest ? null : cells.GetValueOrDefault(key.Property)));
            }
            catch (FormatException)
            {
                // Tests hold that nothing is left out of a new site.
            }
        }
        var taken = site.Looks.Where(l => l.Part == part.Id).Select(l => l.CssName);
        return new(part.LookId(seed), seed.Name, Names.FreeSlug(seed.Name, taken), part.Id, cells);
    }
}
