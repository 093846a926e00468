using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Named fills.</summary>
public sealed record FillFoundation(ImmutableArray<Gradient> Gradients) : INode;

/// <summary>A gradient. Of the geometry each kind reads what it has.</summary>
/// <param name="Kind">Linear, radial or conic.</param>
/// <param name="Angle">Degrees: where a linear one points (0 up, clockwise) or a conic one starts (CSS Images 3 and 4).</param>
/// <param name="Shape">Circle or ellipse, of a radial one.</param>
/// <param name="Extent">Up to which side or corner a radial one goes.</param>
/// <param name="X">Centre of a radial or conic one, % from the left.</param>
/// <param name="Y">Centre, % from the top.</param>
/// <param name="Stops">At least two, in order.</param>
public sealed record Gradient(
    string Id, string Name, string CssName, Value Kind, Value Angle, Value Shape, Value Extent, Value X, Value Y, ImmutableArray<GradientStop> Stops) : Named(Id, Name, CssName);

/// <param name="Position">Where along the gradient's line, %.</param>
public sealed record GradientStop(string Id, Value Color, Value Position) : IListed;
