using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>How far along a change is at a time, as browsers reckon it (CSS Easing Functions 2).</summary>
public static class Easings
{
    /// <summary>Progress of an easing; springs by the points they are released as.</summary>
    /// <param name="time">0 to 1.</param>
    public static double At(Easing easing, double time) => easing.Shape.Code() switch
    {
        Easing.InSteps => Steps((int)easing.Steps.Amount(), easing.Jump.Code(), time),
        Easing.Spring => Between(Springs.Stops((double)easing.Bounce.Amount() / 100), Math.Clamp(time, 0, 1)),
        _ => Bezier((double)easing.X1.Amount(), (double)easing.Y1.Amount(), (double)easing.X2.Amount(), (double)easing.Y2.Amount(), time),
    };

    /// <summary>A cubic Bézier curve from 0, 0 to 1, 1 (§2.2): the progress where its time is the one given.</summary>
    public static double Bezier(double x1, double y1, double x2, double y2, double time)
    {
        if (time is <= 0 or >= 1) return Math.Clamp(time, 0, 1);
        // Time never runs backwards along the curve, since its points lie within it: halving finds the place.
        var (low, high) = (0.0, 1.0);
        for (var i = 0; i < 60; i++)
        {
            var middle = (low + high) / 2;
            if (Coordinate(x1, x2, middle) < time) low = middle;
            else high = middle;
        }
        return Coordinate(y1, y2, (low + high) / 2);
    }

    private static double Coordinate(double one, double two, double t) => 3 * (1 - t) * (1 - t) * t * one + 3 * (1 - t) * t * t * two + t * t * t;

    /// <summary>Steps (§2.3), before the first of which the change has not begun.</summary>
    private static double Steps(int count, string jump, double time)
    {
        var step = Math.Floor(time * count) + (jump is "start" or "both" ? 1 : 0);
        var jumps = jump switch { "none" => count - 1, "both" => count + 1, _ => count };
        return Math.Clamp(step, 0, jumps) / jumps;
    }

    /// <summary>On the straight lines between points (§2.1).</summary>
    public static double Between(ImmutableArray<(double Time, double Progress)> stops, double time)
    {
        var next = 1;
        while (stops[next].Time < time) next++;
        var (before, after) = (stops[next - 1], stops[next]);
        return before.Progress + (after.Progress - before.Progress) * (time - before.Time) / (after.Time - before.Time);
    }
}
