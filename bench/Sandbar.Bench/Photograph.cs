using SkiaSharp;

namespace Sandbar.Bench;

/// <summary>Something like a photograph: soft fields of colour with grain over them.</summary>
internal static class Photograph
{
    private static readonly string[] Grounds = ["#f6efe2", "#2f5d3a", "#8a2846", "#e3b23c", "#3d6b86", "#2b221b"];

    public static byte[] Jpeg(int width, int height)
    {
        using var surface = SKSurface.Create(new SKImageInfo(width, height));
        var random = new Random(1);
        using var paint = new SKPaint { IsAntialias = true };
        for (var i = 0; i < 400; i++)
        {
            paint.Color = SKColor.Parse(Grounds[random.Next(Grounds.Length)]).WithAlpha((byte)random.Next(60, 200));
            surface.Canvas.DrawCircle(random.Next(width), random.Next(height), random.Next(50, 700), paint);
        }
        using var grain = new SKPaint { Shader = SKShader.CreatePerlinNoiseTurbulence(0.05f, 0.05f, 3, 1), BlendMode = SKBlendMode.SoftLight };
        surface.Canvas.DrawPaint(grain);
        using var image = surface.Snapshot();
        return image.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
    }
}
