namespace Sandbar.Css.Images;

/// <summary>How a picture fills its box.</summary>
public enum Fit
{
    /// <summary>Without a gap: what does not fit is cut off.</summary>
    Cover,

    /// <summary>The whole picture in the box.</summary>
    Contain,
}

/// <summary>Where a picture lies in its box. Source: CSS Backgrounds 3, §2.6 (<c>background-position</c>) and §2.9 (<c>background-size</c>).</summary>
/// <param name="Width">Of the picture as it is shown, px.</param>
/// <param name="Left">Of its left edge from the box's, px; below 0 where it is cut off.</param>
/// <param name="Top">Of its top edge from the box's.</param>
/// <param name="X">The same as a share of the room across, %, as <c>background-position</c> takes it.</param>
public sealed record Placement(double Width, double Height, double Left, double Top, double X, double Y)
{
    /// <summary>Places a picture so that its focal point lies as near the middle of the box as its fit allows.</summary>
    /// <param name="picture">Its own size; any unit, above 0.</param>
    /// <param name="box">px, above 0.</param>
    /// <param name="focus">% from the left and the top of the picture, 0 to 100.</param>
    /// <exception cref="ArgumentOutOfRangeException">One of these is not in its range.</exception>
    public static Placement Of((double Width, double Height) picture, (double Width, double Height) box, Fit fit, (double X, double Y) focus)
    {
        foreach (var length in new[] { picture.Width, picture.Height, box.Width, box.Height })
        {
            if (!(length > 0 && double.IsFinite(length))) throw new ArgumentOutOfRangeException(nameof(picture), "A picture and its box are wider and higher than 0.");
        }
        foreach (var share in new[] { focus.X, focus.Y })
        {
            if (share is not (>= 0 and <= 100)) throw new ArgumentOutOfRangeException(nameof(focus), "A focal point lies between 0 and 100 % across and down.");
        }
        var (across, down) = (box.Width / picture.Width, box.Height / picture.Height);
        var scale = fit == Fit.Cover ? Math.Max(across, down) : Math.Min(across, down);
        var (width, height) = (picture.Width * scale, picture.Height * scale);
        var (left, x) = Along(width, box.Width, focus.X);
        var (top, y) = Along(height, box.Height, focus.Y);
        return new(width, height, left, top, x, y);
    }

    private static (double Offset, double Share) Along(double size, double box, double focus)
    {
        var room = box - size;
        // On the side that decides the size there is no room but for rounding.
        if (Math.Abs(room) < 1e-9 * box) return (0, 50);
        var offset = Math.Clamp(box / 2 - size * focus / 100, Math.Min(room, 0), Math.Max(room, 0));
        return (offset, offset / room * 100);
    }
}
