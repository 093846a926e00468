using System.Collections.Immutable;
using System.Numerics;
using Sandbar.Css.Colors;
using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Images;

/// <summary>Gradients one over the other in a box, as a value of <c>background-image</c> lays them.</summary>
/// <param name="Layers">Topmost first.</param>
public sealed record FillImage(ImmutableArray<GradientImage> Layers)
{
    /// <summary>So much is read; longer ones say nothing a gradient could.</summary>
    private const int LongestText = 200_000;

    /// <summary>Reads one gradient or a list of them.</summary>
    /// <param name="width">Of the box, px, above 0.</param>
    /// <exception cref="FormatException">It is no such value, or the box is none; the message says so in a sentence.</exception>
    public static FillImage Parse(string text, double width, double height)
    {
        if (!(width > 0 && height > 0 && width <= LargestSide && height <= LargestSide)) throw new FormatException($"A box is between 0 and {LargestSide} px wide and high.");
        if (text.Length > LongestText) throw new FormatException("This fill is longer than any that is read.");
        var values = Parser.ParseValues(text);
        if (values.Length == 0 || PropertyGrammars.All.Check("background-image", values) is not Verdict.Valid) throw Unreadable(text);
        var layers = values.WithoutSpace().BetweenCommas().Where(layer => layer is not [Token none] || !none.IsIdent("none")).ToList();
        return new([.. layers.Select(layer => layer is [FunctionValue function] && GradientImage.IsGradient(function) ? GradientImage.Of(function, width, height, ImageSurroundings.Alone) : throw Unreadable(text))]);
    }

    private const int LargestSide = 100_000;

    /// <summary>What is painted at a point of the box, px from its top left.</summary>
    public Vector4 At(double x, double y)
    {
        var painted = Premultiplied.Clear;
        for (var i = 0; i < Layers.Length && painted.W < 1; i++) painted = Premultiplied.Over(painted, Layers[i].At(x, y));
        return painted;
    }

    /// <summary>A part of the box over a colour, as a screen paints it.</summary>
    /// <param name="over">What lies behind; white shows through where it has alpha.</param>
    /// <param name="part">px.</param>
    /// <returns>Row by row, four bytes a pixel, opaque.</returns>
    public byte[] Painted(Color over, (int X, int Y, int Width, int Height) part)
    {
        var below = Premultiplied.Over(Premultiplied.Of(over), Premultiplied.Of(Color.White));
        var pixels = new byte[part.Width * part.Height * 4];
        Parallel.For(0, part.Height, row =>
        {
            var at = row * part.Width * 4;
            for (var column = 0; column < part.Width; column++, at += 4)
            {
                var seen = Premultiplied.Over(At(part.X + column + 0.5, part.Y + row + 0.5), below);
                (pixels[at], pixels[at + 1], pixels[at + 2], pixels[at + 3]) = (Premultiplied.Byte(seen.X), Premultiplied.Byte(seen.Y), Premultiplied.Byte(seen.Z), byte.MaxValue);
            }
        });
        return pixels;
    }

    private static FormatException Unreadable(string text) => new($"{Quoted.Text(text)} is no gradient: try linear-gradient(90deg, #fff, #000), or several with commas between them.");
}
