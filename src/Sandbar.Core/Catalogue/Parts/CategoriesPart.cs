using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>The categories of posts, each leading where it does.</summary>
internal sealed class CategoriesPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "categories",
        Name = "Category list",
        Group = PartGroup.Posts,
        Place = 1,
        Hook = ".categories",
        Inner = " .category",
        Slots = [Slot.Shows("count", "How many of each"), new("label", "Name for screen readers", SlotKind.Spoken, Sample: "Categories")],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.Underline, Properties.UnderlineThickness, Properties.UnderlineOffset,
            Properties.Border, Properties.Radius, Properties.Outline, Properties.OutlineOffset, Properties.Padding,
            Properties.Direction, Properties.Gap with { OnPart = true, SameInAllStates = true },
        ],
        HasOwnText = true,
        States = [State.Rest, State.Current, State.Hover, State.Focus],
        Looks =
        [
            new("column", "Column",
                ("background", "none"), ("text-color", "text"), ("text-style", "Body"), ("underline", "none"), ("underline@current", "line"), ("underline@hover", "line"), ("underline-thickness", "1px"), ("underline-offset", "4px"),
                ("border", "none"), ("radius", "none"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"), ("padding", "space 1 0"), ("direction", "one below another"), ("gap", "0")),
            new("tags", "Tags",
                ("background", "raised"), ("text-color", "text"), ("text-style", "Caption"), ("underline", "none"), ("underline@current", "line"), ("underline@hover", "line"), ("underline-thickness", "1px"), ("underline-offset", "4px"),
                ("border", "hairline"), ("radius", "round"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"), ("padding", "space 2 space 3"), ("direction", "side by side"), ("gap", "space 2")),
        ],
        Structure =
        [
            new(".categories", ("display", "flex"), ("list-style-type", "none"), ("margin", "0"), ("padding", "0")),
            new(".category", ("display", "inline-block")),
        ],
        Write = w => w.Categories("label", "count"),
    }];
}
