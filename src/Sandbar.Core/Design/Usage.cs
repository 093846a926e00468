using Sandbar.Core.Catalogue;

namespace Sandbar.Core.Design;

/// <summary>Where things of the foundations are used, each use in words.</summary>
public static class Usage
{
    /// <summary>Roles of schemes, cells of looks, own values, edges and gradients.</summary>
    public static IEnumerable<string> Of(Site site, BaseColor color)
    {
        foreach (var scheme in site.Palette.Schemes)
        {
            foreach (var (role, choice) in scheme.Colors)
            {
                if (choice.Color == color.Id) yield return $"{site.Palette.Roles.Get(role).Name} in {scheme.Name}";
            }
        }
        foreach (var use in OfReference(site, ReferenceKind.Color, color.Id)) yield return use;
        foreach (var edge in site.Edges.Borders.Select(b => (b.Name, b.Color)).Concat(site.Edges.Shadows.Select(s => (s.Name, s.Color))))
        {
            if (Refers(edge.Color, ReferenceKind.Color, color.Id)) yield return edge.Name;
        }
        foreach (var gradient in site.Fills.Gradients)
        {
            if (gradient.Stops.Any(s => Refers(s.Color, ReferenceKind.Color, color.Id))) yield return gradient.Name;
        }
    }

    /// <summary>Cells of looks and own values.</summary>
    public static IEnumerable<string> Of(Site site, TextStyle style) => OfReference(site, ReferenceKind.TextStyle, style.Id);

    /// <summary>Text styles.</summary>
    public static IEnumerable<string> Of(Site site, Family family) => site.Typography.Styles.Where(s => s.Family == family.Id).Select(s => s.Name);

    /// <summary>Why what is in use cannot go; null when nothing uses it.</summary>
    public static string? Refusal(string name, IEnumerable<string> uses)
    {
        var some = uses.Take(4).ToList();
        return some.Count == 0 ? null : $"{name} is in use: {string.Join(", ", some.Take(3))}{(some.Count > 3 ? " and more" : "")}. Change these first.";
    }

    /// <summary>A cell in words: part, look, property, state.</summary>
    public static string CellName(Look look, CellKey key)
    {
        var part = PartCatalogue.Get(look.Part);
        var name = part.Looks.Length > 1 ? $"{part.Name} · {look.Name}" : part.Name;
        var property = part.Property(key.Property)?.Name.ToLowerInvariant() ?? key.Property;
        return key.State == State.Rest ? $"{name} · {property}" : $"{name} · {property} in {key.State}";
    }

    private static IEnumerable<string> OfReference(Site site, ReferenceKind kind, string id)
    {
        foreach (var look in site.Looks)
        {
            foreach (var (key, value) in look.Cells)
            {
                if (Refers(value, kind, id)) yield return CellName(look, CellKey.Parse(key));
            }
        }
        foreach (var block in Blocks.WithOwnValues(site))
        {
            if (block.Own.Values.Any(v => Refers(v, kind, id))) yield return block.Name;
        }
    }

    private static bool Refers(Value value, ReferenceKind kind, string id) => value is ReferenceValue reference && reference.To == kind && reference.Id == id;
}
