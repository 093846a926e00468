using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Starting;

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

    /// <summary>The spacing scale, px.</summary>
    public static readonly Spacing Spacing = new([4, 8, 16, 24, 32, 56, 88]);

    /// <summary>The edges that the catalogue's looks name.</summary>
    public static readonly Edges Edges = new(
        [
            Border("hairline", 1, "line"), Border("action line", 1, "action"), Border("field line", 1, "field-line"), Border("bright", 2, "attention"), Border("ring", 3, "focus"),
        ],
        [new("soft", "soft", "soft", new NumberValue(6, "px")), new("round", "round", "round", new NumberValue(14, "px"))],
        [new("lift", "lift", "lift", 0, 6, 18, -4, new ReferenceValue(ReferenceKind.Role, "text", 0), 0.22m)]);

    public static readonly Fills Fills = new(
        [new("dawn", "dawn", "dawn", 160, [new(new ReferenceValue(ReferenceKind.Role, "raised", 0), 0), new(new ReferenceValue(ReferenceKind.Role, "ground", 0), 100)])]);

    /// <summary>Two families, a scale, and the text styles that the catalogue's looks name.</summary>
    /// <param name="narrowBase">Body text at 390 px, px.</param>
    /// <param name="wideBase">Body text at 1280 px, px.</param>
    public static Design.Typography Type(Family heading, Family text, decimal narrowBase, decimal wideBase) => new(
        [heading, text],
        new(new(390, narrowBase, 1.2m), new(1280, wideBase, 1.25m), -2, 5),
        [
            Style("Body", text, 0, 400, 1.6m),
            Style("Lead", text, 1, 400, 1.5m),
            Style("Caption", text, -1, 400, 1.5m),
            Style("Label", text, -1, 600, 1.3m),
            Style("Eyebrow", text, -2, 600, 1.3m, 0.08m, "uppercase"),
            Style("Name", heading, 1, 600, 1.2m),
            Style("Display", heading, 5, 600, 1.08m, -0.01m),
            Style("Title", heading, 3, 600, 1.15m),
            Style("Subtitle", heading, 1, 600, 1.25m),
        ]);

    /// <summary>A look for each the catalogue proposes.</summary>
    public static Site WithLooks(Site site) => site with
    {
        Looks = [.. PartCatalogue.All.SelectMany(part => part.Looks.Select(seed => FromSeed(site, part, seed)))],
    };

    /// <summary>Id of the look a part's seed becomes.</summary>
    public static string LookId(string part, string look) => $"{part}-{Lookup.Slug(look)}";

    private static Border Border(string name, int width, string role) =>
        new(Lookup.Slug(name), name, Lookup.Slug(name), new NumberValue(width, "px"), "solid", new ReferenceValue(ReferenceKind.Role, role, 0));

    private static TextStyle Style(string name, Family family, int size, int weight, decimal lineHeight, decimal spacing = 0, string textCase = "none") => new(
        Lookup.Slug(name), name, Lookup.Slug(name), family.Id, new ReferenceValue(ReferenceKind.Size, "", size), weight, new NumberValue(lineHeight, ""),
        new NumberValue(spacing, spacing == 0 ? "" : "em"), textCase, false);

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
