using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;

namespace Sandbar.Core.Rendering;

/// <summary>
/// Items under items of a menu. In the header, where the visitor can point, they open below the item they belong to, for the pointer and for the focus; everywhere
/// else they stand below it. Looks say more of it, and win. Nothing is said where no menu is nested.
/// </summary>
internal static class MenuRules
{
    /// <summary>The class of a list under an item.</summary>
    public const string Inner = "menu-inner";

    private const string InHeader = ":where(.site-header) ";

    public static IEnumerable<Rule> Of(Site site)
    {
        if (!site.Menus.Any(m => m.Items.Any(i => !i.Items.IsEmpty))) yield break;
        yield return Rule("inner", $".{Inner}", canPoint: false, ("margin", "0"), ("padding-inline-start", "1rem"), ("list-style-type", "none"));
        yield return Rule("opens", $"{InHeader}.menu > li", canPoint: true, ("position", "relative"));
        yield return Rule("closed", $"{InHeader}.{Inner}", canPoint: true,
            ("position", "absolute"), ("inset", "100% auto auto 0"), ("z-index", "1"), ("inline-size", "max-content"), ("max-inline-size", "80vw"), ("padding", "0.5rem 1rem"),
            ("background", Color(site, RoleKind.Ground, "Canvas")), ("border", $"1px solid {Color(site, "line", "currentcolor")}"), ("visibility", "hidden"));
        yield return Rule("open", $"{InHeader}.menu > li:is(:hover, :focus-within) > .{Inner}", canPoint: true, ("visibility", "visible"));
    }

    /// <summary>A role's colour; what a browser has in its place where the site has no such role.</summary>
    private static string Color(Site site, string role, string otherwise) => site.Palette.Roles.Find(role) is { } found ? $"var({RoleKind.Description.Token(found)})" : otherwise;

    private static Rule Rule(string key, string selector, bool canPoint, params (string Name, string Value)[] declarations) =>
        new($"menu {key}", Layer.Frame, selector, canPoint, Interval.All, [.. declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Structure, "menu")))]);
}
