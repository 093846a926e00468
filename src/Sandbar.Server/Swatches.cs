using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>What fills look like in the first scheme of a site, as CSS of their own.</summary>
internal static class Swatches
{
    /// <summary>The CSS of a fill; null for what is none.</summary>
    public static string? Of(Site site, Value value) => value switch
    {
        ReferenceValue { To: RoleKind.Kind } role => ColorText.Hex(SchemeColors.Resolve(site.Palette, site.Palette.Schemes[0], role.Id, role.Step).Color),
        ReferenceValue { To: ColorKind.Kind } color => ColorText.Hex(site.Palette.Row(site.Palette.Colors.Get(color.Id)).At(color.Step)),
        ReferenceValue { To: GradientKind.Kind } gradient => GradientKind.Css(new(site), site.Fills.Gradients.Get(gradient.Id), color => Of(site, color) ?? "transparent"),
        FixedColorValue given => ColorText.Hex(ReleasedColor.Of(given.Css)),
        _ => null,
    };
}
