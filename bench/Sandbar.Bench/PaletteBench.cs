using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Pictures;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Css.Colors;
using Sandbar.Tests;
using SkiaSharp;

namespace Sandbar.Bench;

/// <summary>What the palette's figures cost: pairs at 30 colours and 3 schemes, at first and after an edit, their mends, the plane at a hue, and eight colours out of a photograph of 12 million pixels.</summary>
internal static class PaletteBench
{
    private const int Rounds = 15, Colors = 30, Width = 4000, Height = 3000;

    private static readonly string[] Grounds = ["#f6efe2", "#2f5d3a", "#8a2846", "#e3b23c", "#3d6b86", "#2b221b"];

    public static void Run()
    {
        var site = PellwynSample.Create().Site;
        for (var n = site.Palette.Colors.Length; n < Colors; n++) site = Made(site, Do.NewColor($"color-{n}", $"colour {n}", $"oklch({0.2 + n * 0.02:0.00} 0.1 {n * 37 % 360})"));
        site = Made(site, new TurnScheme("turned", "Turned", "day"));
        var pairs = ContrastPairs.Of(site, default);
        Console.WriteLine($"{site.Palette.Colors.Length} colours, {site.Palette.Schemes.Length} schemes, {site.Pages.Length} pages: {pairs.Length} pairs");
        Print("pairs", n => ContrastPairs.Of(site, default).Length + n);
        Print("pairs after an edit of a colour", n => ContrastPairs.Of(Made(site, Do.Color("beet", $"#8a28{n:x2}")), default).Length);
        var failing = pairs.First(p => !p.Passes);
        Print("mends of a pair", _ => PairMends.Of(site, failing, () => "new", default).Count);
        Print("mending all", n => PairMends.All(site, () => $"new-{n}", default).Mended);
        Print("plane at a hue", n => PlanePicture.Png(n * 20).Length + ColorPlane.Lines(n * 20, Color.White).Length + ColorPlane.Outline(n * 20, 101, ColorSpace.DisplayP3).Length);
        var jpeg = Photograph();
        Print($"eight colours of a JPEG of {Width}×{Height}", _ => PictureColors.Of(PictureFile.Read(jpeg), 8).Length);
    }

    private static Site Made(Site site, Edit edit) => edit.Apply(site).Site ?? throw new InvalidOperationException(edit.ToString());

    private static void Print(string what, Func<int, int> work)
    {
        var times = new double[Rounds];
        for (var n = 0; n < Rounds; n++)
        {
            var started = Stopwatch.GetTimestamp();
            GC.KeepAlive(work(n));
            times[n] = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
        }
        var first = times[0];
        Array.Sort(times);
        Console.WriteLine($"{what,-40} first {first,7:0.0} ms   median {times[Rounds / 2],7:0.0} ms   most {times[^1],7:0.0} ms");
    }

    /// <summary>Something like a photograph: soft fields of colour with grain over them.</summary>
    private static byte[] Photograph()
    {
        using var surface = SKSurface.Create(new SKImageInfo(Width, Height));
        var random = new Random(1);
        using var paint = new SKPaint { IsAntialias = true };
        for (var i = 0; i < 400; i++)
        {
            paint.Color = SKColor.Parse(Grounds[random.Next(Grounds.Length)]).WithAlpha((byte)random.Next(60, 200));
            surface.Canvas.DrawCircle(random.Next(Width), random.Next(Height), random.Next(50, 700), paint);
        }
        using var grain = new SKPaint { Shader = SKShader.CreatePerlinNoiseTurbulence(0.05f, 0.05f, 3, 1), BlendMode = SKBlendMode.SoftLight };
        surface.Canvas.DrawPaint(grain);
        using var image = surface.Snapshot();
        return image.Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
    }
}
