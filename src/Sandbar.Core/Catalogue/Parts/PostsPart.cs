using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>The newest posts of the site, or of one category, each with its picture, day, category, title and text.</summary>
internal sealed class PostsPart : IParts
{
    private static readonly ImmutableArray<int> Most = [3, 1, 2, 4, 5, 6, 8, 10, 12, 15, 20, 30];

    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "posts",
        Name = "Newest posts",
        Group = PartGroup.Posts,
        Hook = ".posts",
        Inner = " .post",
        Slots =
        [
            new("category", "Of category", SlotKind.Category),
            new("most", "At most", SlotKind.Choice) { Words = [.. Most.Select(n => new Word(n.ToString(CultureInfo.InvariantCulture), ""))] },
            new("beyond", "Those beyond", SlotKind.Choice) { Words = [new("left", "left out", ""), new("further", "on further pages", "")] },
            HeadingLevel.Slot("Level of the titles", usual: 3),
            Slot.Shows("picture", "Pictures"), Slot.Shows("date", "Days"), Slot.Shows("label", "Categories"), Slot.Shows("text", "Texts"),
        ],
        Properties =
        [
            Properties.Background,
            Properties.TextColor.For("title", "Title colour", " .post-title"), Properties.TextStyle.For("title", "Title style", " .post-title"), Properties.Underline.For("title", "Title underline", " .post-link"),
            Properties.TextColor.For("date", "Day colour", " .post-date"), Properties.TextStyle.For("date", "Day style", " .post-date"),
            Properties.TextColor.For("label", "Category colour", " .post-category"), Properties.TextStyle.For("label", "Category style", " .post-category"),
            Properties.TextColor.For("text", "Text colour", " .post-text"), Properties.TextStyle.For("text", "Text style", " .post-text"),
            Properties.Border, Properties.LineBelow, Properties.Radius, Properties.Shadow, Properties.Radius.For("picture", "Picture radius", " > img"),
            Properties.Padding.For("body", "Padding", " > .post-body"), Properties.Measure.For("picture", "Picture width", " > img"),
            Properties.Columns with { OnPart = true }, Properties.Gap with { OnPart = true, SameInAllStates = true },
            Properties.Direction.For("picture", "Picture and text", "") with { OnPart = false },
        ],
        States = [State.Rest, State.Hover],
        Looks =
        [
            new("list", "List",
                ("background", "none"), ("title-text-color", "text"), ("title-text-style", "Subtitle"), ("title-underline", "none"), ("title-underline@hover", "line"),
                ("date-text-color", "quiet text"), ("date-text-style", "Caption"), ("label-text-color", "quiet text"), ("label-text-style", "Caption"), ("text-text-color", "text"), ("text-text-style", "Body"),
                ("line-below", "none"), ("radius", "none"), ("shadow", "none"), ("picture-radius", "round"),
                ("body-padding", "0"), ("picture-measure", "12em"), ("columns", "1"), ("gap", "space 5"), ("picture-direction", "side by side")),
            new("cards", "Cards",
                ("background", "raised"), ("title-text-color", "text"), ("title-text-style", "Subtitle"), ("title-underline", "none"), ("title-underline@hover", "line"),
                ("date-text-color", "quiet text"), ("date-text-style", "Caption"), ("label-text-color", "quiet text"), ("label-text-style", "Caption"), ("text-text-color", "text"), ("text-text-style", "Body"),
                ("border", "hairline"), ("radius", "round"), ("shadow", "none"), ("shadow@hover", "lift"), ("change-shadow", "quick, gentle"), ("picture-radius", "none"),
                ("body-padding", "space 4"), ("picture-measure", "none"), ("columns", "1"), ("columns@rest@600-820", "2"), ("columns@rest@820-", "3"), ("gap", "space 4"), ("picture-direction", "one below another")),
        ],
        Structure =
        [
            new(".posts", ("display", "grid")),
            new(".post", ("position", "relative"), ("display", "flex"), ("column-gap", "1rem"), ("overflow", "clip")),
            new(".post > img", ("display", "block"), ("inline-size", "100%"), ("block-size", "auto"), ("aspect-ratio", "3 / 2"), ("object-fit", "cover"), ("align-self", "flex-start")),
            new(".post-body", ("flex", "1 1 0"), ("min-inline-size", "min(100%, 14rem)")),
            new(".post-facts", ("display", "flex"), ("flex-wrap", "wrap"), ("gap", "0 1em"), ("margin", "0")),
            new(".post-title", ("margin-block", "0.25em")),
            new(".post-text", ("margin", "0")),
            new(".post-link", ("color", "inherit")),
            // The title's link covers the post, so that the whole of it can be clicked and is still read once.
            new(".post-link::after", ("content", "\"\""), ("position", "absolute"), ("inset", "0")),
        ],
        Write = w => w.Posts(HeadingLevel.Tag(w, usual: 3)),
    }];
}
