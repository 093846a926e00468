using Sandbar.Css.Colors;
using Sandbar.Css.Images;
using SkiaSharp;
using Svg.Skia;

namespace Sandbar.Core.Pictures;

/// <summary>A picture ready to be painted at any size: decoded, or as its drawing.</summary>
public sealed class DecodedPicture : IDisposable
{
    // As Chromium paints pictures: a mip level no smaller than wanted, then linear (its medium quality).
    private static readonly SKSamplingOptions Sampling = new(SKFilterMode.Linear, SKMipmapMode.Nearest);

    private readonly SKImage? image;

    private readonly SKSvg? drawing;

    private DecodedPicture(int width, int height, SKImage? image, SKSvg? drawing) => (Width, Height, this.image, this.drawing) = (width, height, image, drawing);

    /// <summary>As browsers show it by itself, px.</summary>
    public int Width { get; }

    public int Height { get; }

    /// <summary>Decodes a picture.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static DecodedPicture Of(byte[] bytes)
    {
        var (_, width, height) = PictureFile.Checked(bytes);
        if (PictureFile.IsSvg(bytes))
        {
            var svg = SvgPicture.Drawing(bytes);
            return new(width, height, null, svg);
        }
        using var data = SKData.CreateCopy(bytes);
        using var encoded = SKImage.FromEncodedData(data);
        return new(width, height, encoded?.ToRasterImage(ensurePixelData: true) ?? throw PictureFile.Damaged, null);
    }

    /// <summary>A part of a box as it is painted: the picture over a colour.</summary>
    /// <param name="placement">Of the picture in the box.</param>
    /// <param name="over">What lies behind; white shows through where it has alpha.</param>
    /// <param name="part">Of the box, px.</param>
    /// <returns>Row by row, four bytes a pixel, opaque.</returns>
    public byte[] Painted(Placement placement, Color over, (int X, int Y, int Width, int Height) part)
    {
        var ground = Premultiplied.Color(Premultiplied.Over(Premultiplied.Of(over), Premultiplied.Of(Color.White)));
        return Painted([placement], new((float)ground.C1, (float)ground.C2, (float)ground.C3), (part.X, part.Y), (part.Width, part.Height));
    }

    /// <summary>A part of a box with the picture in some places, and nothing around it.</summary>
    /// <param name="from">Where the part begins in the box, px.</param>
    /// <param name="size">Of the part, px.</param>
    /// <returns>Row by row, four bytes a pixel, red, green and blue multiplied by alpha.</returns>
    public byte[] Painted(IEnumerable<Placement> placements, (double X, double Y) from, (int Width, int Height) size) => Painted(placements, SKColorF.Empty, from, size);

    private byte[] Painted(IEnumerable<Placement> placements, SKColorF ground, (double X, double Y) from, (int Width, int Height) size)
    {
        var info = new SKImageInfo(size.Width, size.Height, SKColorType.Rgba8888, SKAlphaType.Premul, SKColorSpace.CreateSrgb());
        using var surface = SKSurface.Create(info);
        surface.Canvas.Clear(ground);
        foreach (var placed in placements) Paint(surface.Canvas, SKRect.Create((float)(placed.Left - from.X), (float)(placed.Top - from.Y), (float)placed.Width, (float)placed.Height));
        var pixels = new byte[info.BytesSize];
        unsafe
        {
            fixed (byte* start = pixels) surface.ReadPixels(info, (nint)start, info.RowBytes, 0, 0);
        }
        return pixels;
    }

    public void Dispose()
    {
        image?.Dispose();
        drawing?.Dispose();
    }

    private void Paint(SKCanvas canvas, SKRect into)
    {
        if (image is not null)
        {
            canvas.DrawImage(image, into, Sampling);
            return;
        }
        canvas.Save();
        canvas.Translate(into.Left, into.Top);
        canvas.Scale(into.Width / Width, into.Height / Height);
        canvas.ClipRect(SKRect.Create(Width, Height));
        canvas.DrawPicture(drawing!.Picture);
        canvas.Restore();
    }
}
