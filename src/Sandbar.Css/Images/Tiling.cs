namespace Sandbar.Css.Images;

/// <summary>Where a picture that goes on beside itself lies along one side of a box. Source: CSS Backgrounds 3, §2.4 (<c>background-repeat</c>) and §2.6.</summary>
/// <param name="Start">Of one of them, px from the box's edge; the others follow every <paramref name="Step"/> both ways.</param>
/// <param name="Size">Of each, px.</param>
/// <param name="Step">From each to the next, px; 0 where there is only one.</param>
public readonly record struct Tiling(double Start, double Size, double Step)
{
    /// <summary>Places a picture of its own size.</summary>
    /// <param name="picture">px, above 0.</param>
    /// <param name="box">px, above 0.</param>
    /// <param name="share">Of the room that is left, 0 to 100 %.</param>
    /// <param name="repeat">As CSS calls it along one side: <c>repeat</c>, <c>no-repeat</c>, <c>space</c> or <c>round</c>.</param>
    public static Tiling Along(double picture, double box, double share, string repeat)
    {
        var placed = (box - picture) * share / 100;
        // Room is shared out in whole pixels, as Chromium does.
        var room = Math.Round(box, MidpointRounding.AwayFromZero);
        switch (repeat)
        {
            case "repeat":
                return new(placed, picture, picture);
            case "round":
                var size = room / Math.Max(1, Math.Round(room / picture, MidpointRounding.AwayFromZero));
                return new(placed, size, size);
            case "space" when Math.Floor(room / picture) is var count && count >= 2:
                return new(0, picture, picture + (room - count * picture) / (count - 1));
            default:
                return new(placed, picture, 0);
        }
    }

    /// <summary>Where they begin that reach into a stretch of the box.</summary>
    public IEnumerable<double> Within(double from, double to)
    {
        if (Step <= 0)
        {
            if (Start < to && Start + Size > from) yield return Start;
            yield break;
        }
        for (var at = Start + Math.Ceiling((from - Size - Start) / Step) * Step; at < to; at += Step)
        {
            if (at + Size > from) yield return at;
        }
    }
}
