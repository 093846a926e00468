using System.Numerics;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Pictures;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Core.Reviewing;

/// <summary>A rectangle of whole pixels of a page.</summary>
internal readonly record struct Piece(int Left, int Top, int Width, int Height)
{
    public int Right => Left + Width;

    public int Bottom => Top + Height;

    public int Pixels => Width * Height;

    /// <summary>The pixels of it whose middles are in a box.</summary>
    public Piece Within(MeasuredBoxOnPage box)
    {
        int left = Math.Max(Left, (int)Math.Ceiling(box.Left - 0.5)), top = Math.Max(Top, (int)Math.Ceiling(box.Top - 0.5));
        int right = Math.Min(Right, (int)Math.Floor(box.Left + box.Width - 0.5) + 1), bottom = Math.Min(Bottom, (int)Math.Floor(box.Top + box.Height - 0.5) + 1);
        return new(left, top, Math.Max(0, right - left), Math.Max(0, bottom - top));
    }
}

/// <summary>Something that an element paints behind what it holds.</summary>
/// <param name="Clip">Where it is painted at all.</param>
/// <param name="Opacity">0 to 1.</param>
/// <param name="Blend">How it is mixed with what the element painted below it.</param>
internal abstract record PaintedLayer(MeasuredBoxOnPage Clip, double Opacity, string Blend)
{
    /// <summary>Whether it lies elsewhere once the page is scrolled.</summary>
    public virtual bool IsMoving => false;

    /// <summary>Paints a piece of the page over what is below.</summary>
    /// <param name="below">Of all of the piece, row by row.</param>
    /// <param name="scroll">How far the page is scrolled, px; NaN where nothing moves, for those who ask for less motion.</param>
    public void Over(Vector4[] below, Piece piece, double scroll)
    {
        var part = piece.Within(Clip);
        if (part.Pixels == 0) return;
        var top = Paint(part, scroll);
        var opacity = (float)Opacity;
        for (int row = 0, own = 0; row < part.Height; row++)
        {
            var at = (part.Top - piece.Top + row) * piece.Width + part.Left - piece.Left;
            for (var end = own + part.Width; own < end; own++, at++)
            {
                var color = top[own] * opacity;
                below[at] = Blend == "normal" ? Premultiplied.Over(color, below[at]) : Premultiplied.Of(Blending.Over(Straight(color), Straight(below[at]), Blend));
            }
        }
    }

    /// <summary>What it shows at the pixels of a piece, row by row, before it is faded.</summary>
    protected abstract Vector4[] Paint(Piece piece, double scroll);

    private static Color Straight(Vector4 painted) => painted.W <= 0 ? new(ColorSpace.Srgb, 0, 0, 0, 0) : new(ColorSpace.Srgb, painted.X / painted.W, painted.Y / painted.W, painted.Z / painted.W, painted.W);
}

internal sealed record FlatLayer(MeasuredBoxOnPage Clip, Color Color, double Opacity, string Blend) : PaintedLayer(Clip, Opacity, Blend)
{
    protected override Vector4[] Paint(Piece piece, double scroll)
    {
        var pixels = new Vector4[piece.Pixels];
        Array.Fill(pixels, Premultiplied.Of(Color));
        return pixels;
    }
}

/// <param name="Box">What the gradient is stretched over; beyond it begins anew.</param>
internal sealed record GradientLayer(MeasuredBoxOnPage Clip, MeasuredBoxOnPage Box, GradientImage Image, double Opacity, string Blend) : PaintedLayer(Clip, Opacity, Blend)
{
    protected override Vector4[] Paint(Piece piece, double scroll)
    {
        var pixels = new Vector4[piece.Pixels];
        for (int row = 0, at = 0; row < piece.Height; row++)
        {
            var y = Within(piece.Top + row + 0.5 - Box.Top, Box.Height);
            for (var column = 0; column < piece.Width; column++) pixels[at++] = Image.At(Within(piece.Left + column + 0.5 - Box.Left, Box.Width), y);
        }
        return pixels;
    }

    private static double Within(double at, double length) => at >= 0 && at < length ? at : at - Math.Floor(at / length) * length;
}

/// <summary>How a picture goes with the page.</summary>
internal enum Goes
{
    With,
    Not,
    Slower,
}

/// <param name="Picture">What is shown.</param>
/// <param name="Window">The viewport, px.</param>
/// <param name="Slower">By how much slower than the page it goes, 0 to 1.</param>
/// <param name="Place">Where it lies in a box of some size.</param>
/// <param name="IsTiled">Whether it goes on beside itself: then it begins at a whole pixel, as Chromium paints it.</param>
/// <param name="Tones">The two colours it is shown in; null as it is.</param>
internal sealed record PictureLayer(
    MeasuredBoxOnPage Clip, DecodedPicture Picture, Func<(double Width, double Height), MeasuredBoxOnPage, IEnumerable<Placement>> Place, bool IsTiled, Goes Goes, double Slower, (int Width, int Height) Window, (Color Shadows, Color Highlights)? Tones, double Opacity, string Blend)
    : PaintedLayer(Clip, Opacity, Blend)
{
    public override bool IsMoving => Goes != Goes.With;

    protected override Vector4[] Paint(Piece piece, double scroll)
    {
        var box = BoxAt(scroll);
        if (IsTiled) box = box with { Left = Math.Round(box.Left), Top = Math.Round(box.Top) };
        var part = new MeasuredBoxOnPage(piece.Left - box.Left, piece.Top - box.Top, piece.Width, piece.Height);
        var bytes = Picture.Painted(Place((box.Width, box.Height), part), (part.Left, part.Top), (piece.Width, piece.Height));
        var pixels = new Vector4[piece.Pixels];
        for (var i = 0; i < pixels.Length; i++) pixels[i] = new Vector4(bytes[4 * i], bytes[4 * i + 1], bytes[4 * i + 2], bytes[4 * i + 3]) / byte.MaxValue;
        if (Tones is not { } tones) return pixels;
        var (shadows, highlights) = (Premultiplied.Of(tones.Shadows), Premultiplied.Of(tones.Highlights));
        for (var i = 0; i < pixels.Length; i++) pixels[i] = Toning.Of(pixels[i], shadows, highlights);
        return pixels;
    }

    /// <summary>The box it is placed in while the page is scrolled so far (<see cref="Rendering.FillLayers"/> says so in CSS).</summary>
    private MeasuredBoxOnPage BoxAt(double scroll)
    {
        if (Goes == Goes.Not) return new(0, double.IsNaN(scroll) ? 0 : scroll, Window.Width, Window.Height);
        if (Goes == Goes.With || double.IsNaN(scroll)) return Clip;
        var room = Window.Height + Clip.Height;
        // From 0, where the box comes in at the bottom of the window, to 1, where it has left at the top.
        var passed = Math.Clamp((Window.Height - (Clip.Top - scroll)) / room, 0, 1);
        return new(Clip.Left, Clip.Top + Slower * room * (passed - 1), Clip.Width, Clip.Height + Slower * room);
    }
}
