using System.Collections.Immutable;
using System.Globalization;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>
/// Paces like that of a weight on a spring that is let go: a damped oscillation from 0 to 1, which comes to rest, to a thousandth, when the time is over
/// (elementary mechanics: x = 1 − e^(−ζωt) (cos ω′t + ζω/ω′ sin ω′t), ω′ = ω √(1 − ζ²)).
/// </summary>
public static class Springs
{
    private const double AtRest = 0.001;

    /// <summary>How finely it is looked at: of the one that swings most, 33 times, a straight line from one sample to the next is a thousandth away at most.</summary>
    private const int Samples = 2000;

    /// <summary>How far the lines between its points may be from the samples.</summary>
    private const double Tolerance = 0.004;

    /// <summary>How far along a change is.</summary>
    /// <param name="bounce">How far it swings beyond its end at first, 0 to 0.9.</param>
    /// <param name="time">0 to 1.</param>
    public static double At(double bounce, double time)
    {
        // The first swing goes e^(−πζ/√(1−ζ²)) beyond: solved for the damping ζ. Without any it is the most that never swings.
        var log = bounce <= 0 ? double.NegativeInfinity : Math.Log(bounce);
        var damping = bounce <= 0 ? 1 : -log / Math.Sqrt(Math.PI * Math.PI + log * log);
        if (damping >= 0.9999)
        {
            // Critically damped: 1 − (1 + ωt) e^(−ωt) is within a thousandth of 1 from ωt = 9.233 on.
            const double speed = 9.233;
            return 1 - (1 + speed * time) * Math.Exp(-speed * time);
        }
        var decay = -Math.Log(AtRest * Math.Sqrt(1 - damping * damping));
        var swing = decay / damping * Math.Sqrt(1 - damping * damping);
        return 1 - Math.Exp(-decay * time) * (Math.Cos(swing * time) + decay / swing * Math.Sin(swing * time));
    }

    /// <summary>The pace as points that straight lines run between, never further from it than a hundredth.</summary>
    public static string Css(double bounce) => $"linear({string.Join(", ", Stops(bounce).Select(Text))})";

    /// <summary>When and how far, from 0, 0 to 1, 1: as few points as will do.</summary>
    public static ImmutableArray<(double Time, double Progress)> Stops(double bounce)
    {
        var samples = Enumerable.Range(0, Samples + 1).Select(i => i == Samples ? 1 : At(bounce, (double)i / Samples)).ToArray();
        var stops = ImmutableArray.CreateBuilder<(double, double)>();
        var from = 0;
        stops.Add((0, 0));
        while (from < Samples)
        {
            var to = from + 1;
            while (to < Samples && IsNear(samples, from, to + 1)) to++;
            stops.Add(((double)to / Samples, Math.Round(samples[to], 4)));
            from = to;
        }
        return stops.ToImmutable();
    }

    /// <summary>Whether a straight line from one sample to another stays near all between.</summary>
    private static bool IsNear(double[] samples, int from, int to)
    {
        for (var i = from + 1; i < to; i++)
        {
            var line = samples[from] + (samples[to] - samples[from]) * (i - from) / (to - from);
            if (Math.Abs(line - samples[i]) > Tolerance) return false;
        }
        return true;
    }

    private static string Text((double Time, double Progress) stop) => stop.Time is 0 or 1
        ? stop.Progress.ToString("0.####", CultureInfo.InvariantCulture)
        : string.Create(CultureInfo.InvariantCulture, $"{stop.Progress:0.####} {stop.Time * 100:0.##}%");
}
