using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Samples;

/// <summary>What every site starts from: the roles, and the catalogue's looks read against the site's foundations.</summary>
internal static class Starter
{
    /// <summary>The roles of a site, each with the grounds it must be readable on and the contrast it needs there (WCAG 2.2, 1.4.3 and 1.4.11).</summary>
    public static readonly ImmutableArray<Role> Roles =
    [
        new("ground", "ground", "ground", [], 0),
        new("raised", "raised", "raised", [], 0),
        new("text", "text", "text", ["ground", "raised"], 4.5m),
        new("quiet-text", "quiet text", "quiet-text", ["ground", "raised"], 4.5m),
        new("link", "link", "link", ["ground", "raised"], 4.5m),
        new("action", "action", "action", ["ground", "raised"], 3),
        new("action-text", "action text", "action-text", ["action"], 4.5m),
        new("line", "line", "line", [], 0),
        new("field-line", "field line", "field-line", ["ground", "raised"], 3),
        new("attention", "attention", "attention", [], 0),
        new("attention-text", "attention text", "attention-text", ["attention"], 4.5m),
        new("focus", "focus", "focus", ["ground", "raised"], 3),
        new("selection", "selection", "selection", [], 0),
    ];

    /// <summary>A look for each the catalogue proposes.</summary>
    public static Site WithLooks(Site site) => site with
    {
        Looks = [.. PartCatalogue.All.SelectMany(part => part.Looks.Select(seed => FromSeed(site, part, seed)))],
    };

    /// <summary>Id of the look a part's seed becomes.</summary>
    public static string LookId(string part, string look) => $"{part}-{Lookup.Slug(look)}";

    private static Look FromSeed(Site site, Part part, LookSeed seed)
    {
        var cells = ImmutableSortedDictionary.Create<string, Value>(StringComparer.Ordinal);
        foreach (var (text, typed) in seed.Cells)
        {
            var key = CellKey.Parse(text);
            var property = part.Property(key.Property) ?? throw new InvalidOperationException($"{part.Name} · {seed.Name}: no property {key.Property}.");
            cells = cells.Add(text, ValueText.Read(site, property, typed, key.State == State.Rest ? null : cells.GetValueOrDefault(key.Property)));
        }
        return new(LookId(part.Id, seed.Name), part.Id, seed.Name, Lookup.Slug(seed.Name), cells);
    }
}
