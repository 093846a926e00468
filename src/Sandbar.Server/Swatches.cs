using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Shelf;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>What fills look like in the first scheme of a site, as CSS of their own.</summary>
internal static class Swatches
{
    /// <summary>The CSS of a fill; null for what is none.</summary>
    public static string? Of(Site site, Value value) => value switch
    {
        ReferenceValue { To: GradientKind.Kind } gradient => GradientKind.Css(new(site), site.Fills.Gradients.Get(gradient.Id), color => Of(site, color) ?? "transparent"),
        ReferenceValue { To: BackgroundKind.Kind } background => Of(site, site.Fills.Backgrounds.Get(background.Id)),
        _ => SchemeColors.Of(site, site.Palette.Schemes[0], value) is { } color ? ColorText.Hex(color) : null,
    };

    /// <summary>The images of a background.</summary>
    public static string Of(Site site, Background background) => BackgroundKind.Css(background, (fill, opacity) => Image(site, fill, opacity));

    /// <summary>A layer as an image, of which so much is seen, %.</summary>
    private static string Image(Site site, Value fill, decimal opacity)
    {
        string Faded(Value color) => ShadowLayerForm.Faded(Of(site, color) ?? "transparent", NumberForm.Css(opacity, "%"));
        if (fill is ReferenceValue { To: PictureKind.Kind } picture) return $"url(\"{StageEndpoints.AssetAddress(site.Shelf.Get(picture.Id))}\")";
        // A clip has no image: its poster stands for it, where it has one.
        if (fill is ReferenceValue { To: ClipKind.Kind } clip) return site.Shelf.Get(clip.Id).Poster is ReferenceValue poster ? Image(site, poster, opacity) : BackgroundKind.Flat("transparent");
        return fill is ReferenceValue { To: GradientKind.Kind } gradient ? GradientKind.Css(new(site), site.Fills.Gradients.Get(gradient.Id), Faded) : BackgroundKind.Flat(Faded(fill));
    }
}
