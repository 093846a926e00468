using Sandbar.Css.Colors;
using SkiaSharp;

namespace Sandbar.Core.Pictures;

/// <summary>The plane on which a colour is chosen, as a picture.</summary>
public static class PlanePicture
{
    private const int Width = 300, Height = 200;

    /// <summary>The plane at a hue, as PNG.</summary>
    /// <param name="hue">OKLCH hue, degrees.</param>
    public static byte[] Png(double hue)
    {
        var info = new SKImageInfo(Width, Height, SKColorType.Rgba8888, SKAlphaType.Unpremul, SKColorSpace.CreateSrgb());
        using var image = SKImage.FromPixelCopy(info, ColorPlane.Paint(hue, Width, Height));
        using var data = image.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
