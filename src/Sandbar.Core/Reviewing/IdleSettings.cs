using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Reviewing;

/// <summary>A setting of a look that cannot show.</summary>
/// <param name="Property">Id of the setting.</param>
/// <param name="Why">In a few words.</param>
public sealed record IdleSetting(string Property, string Why);

/// <summary>Settings that cannot show as a look stands: what they need is not there.</summary>
public static class IdleSettings
{
    public static IEnumerable<IdleSetting> Of(Site site, Look look)
    {
        if (PartCatalogue.Find(look.Part) is not { } part) yield break;
        foreach (var property in part.Properties)
        {
            if (WhyOf(site, look, part, property) is { } why) yield return new(property.Id, why);
        }
    }

    private static string? WhyOf(Site site, Look look, Part part, PartProperty property) => property.CssName switch
    {
        "--enter-distance" => Entrance(look) switch { null => "shows once there is an entrance", "rise" or "slide" => null, var word => $"nothing moves where blocks {word}" },
        "animation" or "--stagger" => Entrance(look) is null ? "shows once there is an entrance" : null,
        _ when part.Id == "menu" && property.Piece == "inner" => site.Menus.Any(m => m.Items.Any(i => !i.Items.IsEmpty)) ? null : "shows once items stand under others",
        "border-radius" => Sibling(part, property, "border") is { } border && Lines(site, look, border).Any(line => line.Along is ReferenceValue) ? "a line along a gradient has square corners" : null,
        "outline-offset" => Sibling(part, property, "outline") is { } outline && !look.Cells.Any(c => CellKey.Parse(c.Key).Property == outline.Id && c.Value is not WordValue) ? "shows once there is an outline" : null,
        "text-decoration-thickness" or "text-underline-offset" =>
            part.Property("underline") is { } line && !look.Cells.Any(c => CellKey.Parse(c.Key).Property == line.Id && c.Value.Code() != "none") ? "shows once there is an underline" : null,
        _ => null,
    };

    /// <summary>How blocks come in; null where they do not.</summary>
    private static string? Entrance(Look look) => look.Cells.Where(c => CellKey.Parse(c.Key).Property == Properties.Entrance.Id).Select(c => c.Value.Code()).FirstOrDefault(word => word != "none");

    private static PartProperty? Sibling(Part part, PartProperty property, string css) => part.Properties.FirstOrDefault(p => p.CssName == css && p.Piece == property.Piece);

    private static IEnumerable<Border> Lines(Site site, Look look, PartProperty border) =>
        from cell in look.Cells
        where CellKey.Parse(cell.Key).Property == border.Id
        from reference in cell.Value.References()
        let line = site.Edges.Borders.Find(reference.Id)
        where line is not null && reference.To == "border"
        select line;
}
