using System.Globalization;

namespace Sandbar.Core.Foundations.Motion;

/// <summary>
/// Paces like that of a weight on a spring that is let go: a damped oscillation from 0 to 1, which comes to rest, to a thousandth, when the time is over
/// (elementary mechanics: x = 1 − e^(−ζωt) (cos ω′t + ζω/ω′ sin ω′t), ω′ = ω √(1 − ζ²)).
/// </summary>
public static class Springs
{
    private const double AtRest = 0.001;

    private const int Points = 40;

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
    public static string Css(double bounce) => $"linear({string.Join(", ", Stops(bounce).Select(s => Math.Round(s, 4).ToString("0.####", CultureInfo.InvariantCulture)))})";

    /// <summary>Progress at even steps of time, from 0 to 1. The more it swings, the more there are.</summary>
    public static IEnumerable<double> Stops(double bounce)
    {
        var count = (int)(Points * (1 + 4 * bounce));
        for (var i = 0; i <= count; i++) yield return i == count ? 1 : At(bounce, (double)i / count);
    }
}
