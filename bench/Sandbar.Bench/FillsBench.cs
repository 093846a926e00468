using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>What fills cost: contrast over a picture of 12 million pixels once it is decoded, over gradients, and a stop that is dragged where there are forty of them.</summary>
internal static class FillsBench
{
    private const int Width = 1280, Height = 800;

    public static void Run()
    {
        var jpeg = Photograph.Jpeg(4000, 3000);
        Times.Print("a JPEG of 4000×3000 decoded", _ => Decoded(jpeg));
        using var picture = DecodedPicture.Of(jpeg);
        var placed = Placement.Of((picture.Width, picture.Height), (Width, Height), Fit.Cover, (50, 50));
        var ink = ColorText.Parse("#f6efe2");
        var part = (X: 100, Y: 200, Width: 700, Height: 300);
        Times.Print("contrast over it under a text of 700×300", _ => GroundContrast.Of(picture.Painted(placed, Color.White, part), part.Width, ink).X);
        Times.Print("contrast over all of it at 1280×800", _ => GroundContrast.Of(picture.Painted(placed, Color.White, (0, 0, Width, Height)), Width, ink).X);
        var pixels = picture.Painted(placed, Color.White, part);
        Times.Print("the faintest veil over 700×300", _ => (int)(GroundContrast.Faintest(pixels, ink, Contrast.Text)?.Ratio ?? 0));
        var fill = FillImage.Parse("radial-gradient(circle at 30% 40%, oklch(0.7 0.2 30), #00f8 80%), linear-gradient(70deg in oklch, #f6efe2, #2f5d3a)", Width, Height);
        Times.Print("contrast over two gradients under a text of 700×300", _ => GroundContrast.Of(fill.Painted(Color.White, part), part.Width, ink).X);

        var site = LargeSite.Create().Site;
        var gradient = Made(site, new SetThing("gradient", "dawn", "space", "OKLCH"));
        Console.WriteLine($"{gradient.Fills.Gradients.Length} gradients");
        _ = StyleSheetRenderer.Render(gradient);
        Times.Print("a stop dragged: the edit and the sheet", n => StyleSheetRenderer.Render(Dragged(gradient, n)).Rules.Length);
        Times.Print("what can be read on it", n => GradientFigures.Of(gradient, Dragged(gradient, n).Fills.Gradients.Get("dawn"), gradient.Palette.Schemes[0]).Readings.Length);
    }

    private static Site Dragged(Site site, int n) => Made(site, new SetThing("gradient", "stop-2", "position", $"{60 + n}%", "dawn"));

    private static Site Made(Site site, Edit edit) => edit.Apply(site).Site ?? throw new InvalidOperationException(edit.ToString());

    private static int Decoded(byte[] jpeg)
    {
        using var picture = DecodedPicture.Of(jpeg);
        return picture.Width;
    }
}
