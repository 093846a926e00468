using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>How things change over time.</summary>
public sealed record MotionFoundation(ImmutableArray<Easing> Easings) : INode;

/// <summary>The pace of a change: a Bézier curve from 0, 0 to 1, 1 by its two control points.</summary>
public sealed record Easing(string Id, string Name, string CssName, Value X1, Value Y1, Value X2, Value Y2) : Named(Id, Name, CssName);
