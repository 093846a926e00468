using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Shelf;

/// <summary>The pictures of the shelf. One comes with its file (<see cref="Editing.AddPicture"/>), and may get another one (<see cref="Editing.ReplacePicture"/>).</summary>
public sealed class PictureKind : ListedKind<ShelfItem>, INamedKind
{
    public const string Kind = "picture";

    // What is made of the list is kept for as long as the shelf is the same.
    private static readonly ConditionalWeakTable<ShelfItem[], ShelfItem[]> Pictures = [];

    public static PictureKind Description => (PictureKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "picture";

    public override CssType Type => CssType.Picture;

    public override FoundationStep Step => FoundationStep.Fills;

    public override string Path => "/shelf";

    public override bool HasTokens => false;

    public override string ComesWith => "A picture comes with its file: choose one, or drop it here.";

    /// <summary>A picture may be called like a colour: where both can be typed it says what it is.</summary>
    public override string Typed(string name) => $"picture {name}";

    public override ImmutableArray<ShelfItem> List(Site site) =>
        ImmutableCollectionsMarshal.AsArray(site.Shelf) is { } shelf ? ImmutableCollectionsMarshal.AsImmutableArray(Pictures.GetValue(shelf, all => all.All(i => i.IsPicture) ? all : [.. all.Where(i => i.IsPicture)])) : default;

    public INamed Called(Site site, INamed thing, string name) => (ShelfItem)thing with { Name = name.Trim() };

    public override string Token(Site site, ReferenceValue reference) => throw new InvalidOperationException("A picture has no custom property.");

    protected override Site With(Site site, ImmutableArray<ShelfItem> things) => site with { Shelf = [.. site.Shelf.Where(i => !i.IsPicture), .. things] };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "alt", Name = "In words", Kind = new FreeText(), Words = [new("", "nothing: it only adorns", "")] }, p => p.Alt, (p, value) => p with { Alt = value }),
        Of(Share("focus-x", "In sight across"), p => p.FocusX, (p, value) => p with { FocusX = value }),
        Of(Share("focus-y", "In sight down"), p => p.FocusY, (p, value) => p with { FocusY = value }),
    ];

    protected override ShelfItem Create(Site site, string id) => throw new InvalidOperationException(ComesWith);

    protected override ShelfItem Copied(ShelfItem thing, string id) => throw new InvalidOperationException(ComesWith);

    protected override string NameOf(Site site, ShelfItem thing) => thing.Name;

    private static Setting Share(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues("%"), Min = 0, Max = 100 };
}
