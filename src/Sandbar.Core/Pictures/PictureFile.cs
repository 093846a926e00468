using Sandbar.Core.Checking;
using SkiaSharp;

namespace Sandbar.Core.Pictures;

/// <summary>Pictures from elsewhere: PNG, JPEG and WebP of any colour space, the first frame where there are several, and SVG.</summary>
public static class PictureFile
{
    public const int MostBytes = 40_000_000;

    /// <summary>The media type of a picture that is drawn.</summary>
    public const string Svg = "image/svg+xml";

    /// <summary>More than cameras of today take; each costs four bytes while it is looked at.</summary>
    public const int MostPixels = 64_000_000;

    // Of more, a part tells the same: where a format can be read smaller, it is.
    private const int Enough = 4_000_000;

    private static readonly SKEncodedImageFormat[] Formats = [SKEncodedImageFormat.Png, SKEncodedImageFormat.Jpeg, SKEncodedImageFormat.Webp];

    /// <summary>Whether it is drawn and not made of pixels.</summary>
    public static bool IsSvg(byte[] bytes)
    {
        if (bytes.Length > MostBytes) return false;
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        return codec is null && SvgText.IsSvg(bytes);
    }

    /// <summary>What a picture that can be read is, and how large browsers show it, px.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static (string MediaType, int Width, int Height) Measure(byte[] bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null)
        {
            var (width, height) = SvgPicture.Size(bytes);
            return (Svg, width, height);
        }
        // The last four ways of holding the camera swap the sides (EXIF 2.3, Orientation).
        var isTurned = codec.EncodedOrigin >= SKEncodedOrigin.LeftTop;
        var mediaType = codec.EncodedFormat switch { SKEncodedImageFormat.Png => "image/png", SKEncodedImageFormat.Jpeg => "image/jpeg", _ => "image/webp" };
        return isTurned ? (mediaType, codec.Info.Height, codec.Info.Width) : (mediaType, codec.Info.Width, codec.Info.Height);
    }

    /// <summary>What a picture is, before it is decoded.</summary>
    /// <exception cref="FormatException">It is none that is read, or too large; the message says so.</exception>
    public static (string MediaType, int Width, int Height) Checked(byte[] bytes)
    {
        using var codec = Open(bytes);
        return Measure(bytes);
    }

    /// <summary>Reads a picture, perhaps smaller than it is.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static Pixels Read(byte[] bytes)
    {
        using var codec = Open(bytes);
        if (codec is null) return SvgPicture.Read(bytes);
        var scale = Math.Min(1, Math.Sqrt((double)Enough / ((long)codec.Info.Width * codec.Info.Height)));
        var size = codec.GetScaledDimensions((float)scale);
        var info = new SKImageInfo(size.Width, size.Height, SKColorType.Rgba8888, SKAlphaType.Unpremul, SKColorSpace.CreateSrgb());
        var pixels = new byte[info.BytesSize];
        unsafe
        {
            fixed (byte* start = pixels)
            {
                if (codec.GetPixels(info, (nint)start) != SKCodecResult.Success) throw Damaged;
            }
        }
        return new(size.Width, size.Height, pixels);
    }

    internal static FormatException Damaged => new("This picture is damaged: it ends too early, or holds what no picture does.");

    /// <summary>What decodes a picture; null of one that is drawn.</summary>
    /// <exception cref="FormatException">It is none that is read, or too large; the message says so.</exception>
    private static SKCodec? Open(byte[] bytes)
    {
        if (bytes.Length > MostBytes) throw new FormatException($"This picture is larger than {MostBytes / 1_000_000} MB.");
        using var data = SKData.CreateCopy(bytes);
        var codec = SKCodec.Create(data);
        if (codec is null) return SvgText.IsSvg(bytes) ? null : throw new FormatException("This is no picture that can be read: PNG, JPEG, WebP and SVG can.");
        var problem = !Formats.Contains(codec.EncodedFormat) ? "Pictures of this kind are not read: PNG, JPEG, WebP and SVG are."
            : (long)codec.Info.Width * codec.Info.Height > MostPixels ? $"This picture has {(long)codec.Info.Width * codec.Info.Height / 1_000_000} million pixels; up to {MostPixels / 1_000_000} million are read."
            : null;
        if (problem is null) return codec;
        codec.Dispose();
        throw new FormatException(problem);
    }
}
