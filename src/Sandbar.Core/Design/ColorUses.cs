using Sandbar.Core.Catalogue;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Design;

/// <summary>Where a colour of the palette is used.</summary>
public static class ColorUses
{
    /// <summary>Each use in words: roles of schemes, cells of looks, own values, edges.</summary>
    public static IEnumerable<string> Of(Site site, BaseColor color)
    {
        foreach (var scheme in site.Palette.Schemes)
        {
            foreach (var (role, choice) in scheme.Colors)
            {
                if (choice.Color == color.Id) yield return $"{site.Palette.Roles.Get(role).Name} in {scheme.Name}";
            }
        }
        foreach (var look in site.Looks)
        {
            foreach (var (key, value) in look.Cells)
            {
                if (Names(value, color)) yield return CellName(look, CellKey.Parse(key));
            }
        }
        foreach (var block in StyleSheetRenderer.AllBlocks(site))
        {
            if (block.Own.Values.Any(v => Names(v, color))) yield return block.Name;
        }
        foreach (var edge in site.Edges.Borders.Select(b => (b.Name, b.Color)).Concat(site.Edges.Shadows.Select(s => (s.Name, s.Color))))
        {
            if (Names(edge.Color, color)) yield return edge.Name;
        }
        foreach (var gradient in site.Fills.Gradients)
        {
            if (gradient.Stops.Any(s => Names(s.Color, color))) yield return gradient.Name;
        }
    }

    /// <summary>A cell in words: part, look, property, state.</summary>
    public static string CellName(Look look, CellKey key)
    {
        var part = PartCatalogue.Get(look.Part);
        var name = part.Looks.Length > 1 ? $"{part.Name} · {look.Name}" : part.Name;
        var property = part.Property(key.Property)?.Name.ToLowerInvariant() ?? key.Property;
        return key.State == State.Rest ? $"{name} · {property}" : $"{name} · {property} in {key.State}";
    }

    private static bool Names(Value value, BaseColor color) => value is ReferenceValue { To: ReferenceKind.Color } reference && reference.Id == color.Id;
}
