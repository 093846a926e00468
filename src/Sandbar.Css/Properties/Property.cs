using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Properties;

/// <summary>A property that stands for itself alone.</summary>
/// <param name="Id">Its place among all of them.</param>
/// <param name="IsInherited">Whether an element that says nothing of it takes over what its parent has.</param>
/// <param name="Initial">What it is where nothing is said of it, as text.</param>
public sealed record Property(string Name, int Id, bool IsInherited, string Initial)
{
    /// <summary>The same as values.</summary>
    public ImmutableArray<ComponentValue> InitialValues { get; } = Parser.ParseValues(Initial);

    /// <summary>Whether it says of a side by the flow of text which of the page's sides is meant (CSS Logical Properties 1).</summary>
    public bool IsLogical { get; } = LogicalSides.IsLogical(Name);

    public bool Equals(Property? other) => ReferenceEquals(this, other);

    public override int GetHashCode() => Id;

    public override string ToString() => Name;
}
