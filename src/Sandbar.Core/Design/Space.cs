using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>The spacing scale; a space is named by its place, from 1.</summary>
public sealed record SpaceFoundation(ImmutableArray<SpaceStep> Steps) : INode;

/// <param name="Size">px.</param>
public sealed record SpaceStep(string Id, Value Size) : IListed;
