using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>How things change over time.</summary>
public sealed record MotionFoundation(ImmutableArray<Easing> Easings) : INode
{
    public ImmutableArray<Duration> Durations { get; init; } = [];
}

/// <summary>The pace of a change: a Bézier curve from 0, 0 to 1, 1 by its two control points, or another shape.</summary>
public sealed record Easing(string Id, string Name, string CssName, Value X1, Value Y1, Value X2, Value Y2) : Named(Id, Name, CssName)
{
    public const string Curve = "curve", InSteps = "steps", Spring = "spring", Same = "same", Even = "even";

    public Value Shape { get; init; } = new WordValue(Curve);

    /// <summary>How many steps, where it goes in steps.</summary>
    public Value Steps { get; init; } = new NumberValue(4, "");

    /// <summary>Where the steps jump (CSS Easing Functions 2, §2.3).</summary>
    public Value Jump { get; init; } = new WordValue("end");

    /// <summary>How far a spring swings beyond its end, %.</summary>
    public Value Bounce { get; init; } = new NumberValue(20, "%");

    /// <summary>What it is for visitors who ask for less motion.</summary>
    public Value Reduced { get; init; } = new WordValue(Even);
}

/// <summary>How long a change takes.</summary>
/// <param name="Time">ms.</param>
/// <param name="Reduced">ms, for visitors who ask for less motion.</param>
public sealed record Duration(string Id, string Name, string CssName, Value Time, Value Reduced) : Named(Id, Name, CssName);
