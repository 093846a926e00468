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
        ReferenceValue { To: GradientKind.Kind } gradient => GradientKind.Css(new(site), site.Fills.Gradients.Get(gradient.Id), color => Of(site, color) ?? "transparent"),
        _ => SchemeColors.Of(site, site.Palette.Schemes[0], value) is { } color ? ColorText.Hex(color) : null,
    };
}
