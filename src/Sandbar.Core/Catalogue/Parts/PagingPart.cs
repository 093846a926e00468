using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>What leads to the further pages of the posts on a page.</summary>
internal sealed class PagingPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "paging",
        Name = "Paging list",
        Group = PartGroup.Posts,
        Place = 2,
        Hook = ".paging",
        Inner = " .paging-link",
        Slots =
        [
            new("newer", "Link to newer posts", SlotKind.Text, Sample: "Newer"), new("older", "Link to older posts", SlotKind.Text, Sample: "Older"),
            new("label", "Name for screen readers", SlotKind.Spoken, Sample: "Pages of posts"),
        ],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.Underline, Properties.UnderlineThickness, Properties.UnderlineOffset, Properties.Opacity,
            Properties.Border, Properties.Radius, Properties.Outline, Properties.OutlineOffset, Properties.Padding,
            Properties.PlaceAcross with { OnPart = true }, Properties.Gap with { OnPart = true, SameInAllStates = true },
        ],
        HasOwnText = true,
        States = [State.Rest, State.Current, State.Hover, State.Focus, State.Off],
        Looks =
        [
            new("standard", "Standard",
                ("background", "none"), ("background@current", "action"), ("text-color", "text"), ("text-color@current", "action text"), ("text-style", "Label"),
                ("underline", "none"), ("underline@hover", "line"), ("underline@off", "none"), ("opacity", "1"), ("opacity@off", "0.5"), ("underline-thickness", "1px"), ("underline-offset", "4px"),
                ("border", "hairline"), ("radius", "soft"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"), ("padding", "space 2 space 3"),
                ("place-across", "centre"), ("gap", "space 2")),
        ],
        Structure =
        [
            new(".paging", ("display", "flex"), ("flex-wrap", "wrap"), ("align-items", "center"), ("list-style-type", "none"), ("margin", "0"), ("padding", "0")),
            new(".paging-link", ("display", "inline-block")),
        ],
        Write = w => w.Paging("newer", "older", "label"),
    }];
}
