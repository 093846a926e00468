using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Fills;

/// <summary>Gradients turned round and about.</summary>
public static class Turned
{
    private const decimal Whole = 100;

    /// <summary>The directions of sides and corners, clockwise from the top, 45° apart.</summary>
    private static readonly string[] Round = ["top", "top-right", "right", "bottom-right", "bottom", "bottom-left", "left", "top-left"];

    /// <summary>The other way round: stops in the other order, as far from the other end, half mixed on the other side. The points of a mesh lie over each other the other way.</summary>
    public static Gradient Reversed(Gradient gradient)
    {
        var stops = gradient.Stops;
        return gradient with
        {
            Stops = [.. stops.Reverse().Select((stop, i) => stop with
            {
                Position = Less(Whole, stop.Position),
                // What lay between this stop and the one before now lies after it.
                Middle = stops.Length - 2 - i is >= 0 and var before ? Less(Whole, stops[before].Middle) : new NumberValue(50, "%"),
            })],
        };
    }

    /// <summary>Turned about the middle of its box.</summary>
    /// <param name="degrees">Clockwise.</param>
    public static Gradient By(Gradient gradient, decimal degrees) => gradient.Kind.Code() switch
    {
        GradientKind.Linear when Array.IndexOf(Round, gradient.Toward.Code()) is >= 0 and var at => degrees % 45 == 0
            ? gradient with { Toward = new WordValue(Round[(int)((at + degrees / 45) % 8 + 8) % 8]) }
            : gradient with { Toward = new WordValue(Gradient.ByAngle), Angle = Angle(at * 45 + degrees) },
        GradientKind.Linear => gradient with { Angle = Angle(gradient.Angle.Amount() + degrees) },
        GradientKind.Conic => About(gradient, degrees) with { Angle = Angle(gradient.Angle.Amount() + degrees) },
        Gradient.Mesh => gradient with { Stops = [.. gradient.Stops.Select(s => About(s.X, s.Y, degrees) is var (x, y) ? s with { X = x, Y = y } : s)] },
        _ => About(gradient, degrees),
    };

    private static Gradient About(Gradient gradient, decimal degrees) => About(gradient.X, gradient.Y, degrees) is var (x, y) ? gradient with { X = x, Y = y } : gradient;

    /// <summary>A point turned about the middle, in shares of a box that counts as square.</summary>
    private static (Value X, Value Y) About(Value x, Value y, decimal degrees)
    {
        var (dx, dy) = ((double)x.Amount() - 50, (double)y.Amount() - 50);
        var (sin, cos) = Math.SinCos((double)degrees * Math.PI / 180);
        return (Share(50 + dx * cos - dy * sin), Share(50 + dx * sin + dy * cos));
    }

    private static NumberValue Share(double share) => new(Math.Clamp(Math.Round((decimal)share, 2), -1000, 1000), "%");

    private static NumberValue Less(decimal whole, Value value) => new(Math.Clamp(whole - value.Amount(), -1000, 1000), "%");

    private static NumberValue Angle(decimal degrees) => new((degrees % 360 + 360) % 360, "deg");
}
