using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Shelf;

/// <summary>Files of one sort on the shelf. One comes with its file.</summary>
public abstract class ShelfKind : ListedKind<ShelfItem>, INamedKind
{
    // What is made of the list is kept for as long as the shelf is the same.
    private readonly ConditionalWeakTable<ShelfItem[], ShelfItem[]> kept = [];

    public override string Name => Code;

    public override FoundationStep Step => FoundationStep.Fills;

    public override string Path => "/shelf";

    public override bool HasTokens => false;

    /// <summary>It may be called like a colour: where both can be typed it says what it is.</summary>
    public override string Typed(string name) => $"{Name} {name}";

    public override ImmutableArray<ShelfItem> List(Site site) =>
        ImmutableCollectionsMarshal.AsArray(site.Shelf) is { } shelf ? ImmutableCollectionsMarshal.AsImmutableArray(kept.GetValue(shelf, all => all.All(IsOne) ? all : [.. all.Where(IsOne)])) : default;

    public INamed Called(Site site, INamed thing, string name) => (ShelfItem)thing with { Name = name.Trim() };

    public override string Token(Site site, ReferenceValue reference) => throw new InvalidOperationException($"A {Name} has no custom property.");

    /// <summary>Whether a file is of this sort.</summary>
    protected abstract bool IsOne(ShelfItem item);

    protected override Site With(Site site, ImmutableArray<ShelfItem> things) => site with { Shelf = [.. site.Shelf.Where(i => !IsOne(i)), .. things] };

    protected override ShelfItem Create(Site site, string id) => throw new InvalidOperationException(ComesWith);

    protected override ShelfItem Copied(ShelfItem thing, string id) => throw new InvalidOperationException(ComesWith);

    protected override string NameOf(Site site, ShelfItem thing) => thing.Name;
}
