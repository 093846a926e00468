using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Shelf;

/// <summary>The clips of the shelf: added with their files, or by the address of one that is elsewhere (<see cref="Editing.AddClip"/>).</summary>
public sealed class ClipKind : ShelfKind
{
    public const string Kind = "clip";

    public override string Code => Kind;

    public override CssType Type => CssType.Clip;

    public override string ComesWith => "A clip comes with its file, or with the address it is at.";

    protected override bool IsOne(ShelfItem item) => item.IsClip;

    protected override ImmutableArray<Field> Described() =>
        [Of(new() { Id = "poster", Name = "Poster", Kind = new ReferenceValues(CssType.Picture), Words = [new(ShelfItem.NoPoster, "none", "")] }, c => c.Poster, (c, value) => c with { Poster = value })];
}
