using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Shelf;

/// <summary>The pictures of the shelf: added with their files (<see cref="Editing.AddPicture"/>), or given another one (<see cref="Editing.ReplacePicture"/>).</summary>
public sealed class PictureKind : ShelfKind
{
    public const string Kind = "picture";

    public override string Code => Kind;

    public override CssType Type => CssType.Picture;

    public override string ComesWith => "A picture comes with its file: choose one, or drop it here.";

    protected override bool IsOne(ShelfItem item) => item.IsPicture;

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "alt", Name = "In words", Kind = new FreeText(), Words = [new("", "nothing: it only adorns", "")] }, p => p.Alt, (p, value) => p with { Alt = value }),
        Of(Share("focus-x", "In sight across"), p => p.FocusX, (p, value) => p with { FocusX = value }),
        Of(Share("focus-y", "In sight down"), p => p.FocusY, (p, value) => p with { FocusY = value }),
    ];

    private static Setting Share(string id, string name) => new() { Id = id, Name = name, Kind = new NumberValues("%"), Min = 0, Max = 100 };
}
