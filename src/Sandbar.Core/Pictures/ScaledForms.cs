using System.Collections.Immutable;
using Sandbar.Core.Design;
using SkiaSharp;

namespace Sandbar.Core.Pictures;

/// <summary>Smaller forms of a picture, of which browsers choose one by the room it has (HTML, <c>srcset</c>): of the same kind as the picture, and never larger than it.</summary>
public static class ScaledForms
{
    /// <summary>Widths of screens that forms are made for, px. Common practice, no source.</summary>
    private static readonly ImmutableArray<int> Widths = [640, 1280, 1920];

    /// <summary>A form of more than this share of the picture's width would spare too little.</summary>
    private const double MostOfWidth = 0.85;

    /// <summary>How well photographs are kept, 0 to 100. Common practice, no source.</summary>
    private const int Quality = 82;

    // A larger texture of mip levels loses no detail on the way down.
    private static readonly SKSamplingOptions Sampling = new(SKFilterMode.Linear, SKMipmapMode.Linear);

    /// <summary>How wide its forms are, px; none of a drawing, which is sharp at any size.</summary>
    public static ImmutableArray<int> WidthsOf(ShelfItem picture) =>
        picture.MediaType == PictureFile.Svg ? [] : [.. Widths.Where(w => w <= picture.Width * MostOfWidth)];

    /// <summary>Where a form lies in a release.</summary>
    public static string FileOf(ShelfItem picture, int width) => picture.File.Replace("pictures/", $"pictures/{width}/", StringComparison.Ordinal);

    /// <summary>A picture in another width, as high as goes with it.</summary>
    /// <param name="width">px.</param>
    /// <exception cref="FormatException">The picture cannot be read; the message says why.</exception>
    public static byte[] Of(byte[] bytes, int width)
    {
        var (mediaType, wide, high) = PictureFile.Checked(bytes);
        using var data = SKData.CreateCopy(bytes);
        // Turned as its file says that it is held.
        using var image = SKImage.FromEncodedData(data) ?? throw PictureFile.Damaged;
        var info = new SKImageInfo(width, Math.Max(1, (int)Math.Round((double)high * width / wide)), SKColorType.Rgba8888, SKAlphaType.Premul, SKColorSpace.CreateSrgb());
        using var surface = SKSurface.Create(info);
        surface.Canvas.DrawImage(image, SKRect.Create(info.Width, info.Height), Sampling);
        using var scaled = surface.Snapshot();
        var format = mediaType switch { "image/png" => SKEncodedImageFormat.Png, "image/jpeg" => SKEncodedImageFormat.Jpeg, _ => SKEncodedImageFormat.Webp };
        using var encoded = scaled.Encode(format, Quality);
        return encoded.ToArray();
    }
}
