using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Tracing;

/// <summary>Properties that come to nothing on the kind of box an element is. Source: "Applies to" in the definitions of the properties; held against what Chromium paints by NoEffectTests.</summary>
public static class NoEffects
{
    /// <summary>Why a property has no effect on an element, in a designer's words; null where it has.</summary>
    public static string? Of(ElementStyle style, string property)
    {
        var display = style.Text("display");
        var isInline = display == "inline" && !IsReplaced(style.Element);
        var (isFlex, isGrid) = (display is "flex" or "inline-flex", display is "grid" or "inline-grid");
        var around = style.Parent?.Text("display") ?? "";
        var isOut = style.Text("position") is "absolute" or "fixed";
        var (inFlex, inGrid) = (!isOut && around is "flex" or "inline-flex", !isOut && around is "grid" or "inline-grid");
        switch (property)
        {
            case "width" or "height" or "min-width" or "max-width" or "min-height" or "max-height" or "aspect-ratio" when isInline:
                return "It stands in a line of text, which makes its size: display must be another than inline.";
            case "margin-top" or "margin-bottom" when isInline:
                return "It stands in a line of text, which keeps its height.";
            case "transform" or "translate" or "rotate" or "scale" when isInline:
                return "What stands in a line of text is not turned or moved.";
            case "overflow-x" or "overflow-y" or "text-overflow" or "resize" when isInline:
                return "What stands in a line of text has no edge to flow over.";
            case "text-align" or "text-indent" when isInline:
                return "Lines are set by what is around: it stands in one itself.";
            case "column-gap" when !isFlex && !isGrid && style.Text("column-count") == "auto" && style.Text("column-width") == "auto":
            case "row-gap" when !isFlex && !isGrid:
                return "What is in it stands in no rows or columns: display must be flex or grid.";
            case "flex-direction" or "flex-wrap" when !isFlex:
                return "Only where display is flex.";
            case "align-content" or "align-items" or "justify-content" when !isFlex && !isGrid && !(property == "align-content" && display is "block" or "flow-root" or "list-item" or "inline-block" or "table-cell"):
            case "justify-items" when !isGrid:
                return isFlex ? "Only where display is grid." : "What is in it is not arranged: display must be flex or grid.";
            case "grid-template-columns" or "grid-template-rows" or "grid-template-areas" or "grid-auto-flow" or "grid-auto-columns" or "grid-auto-rows" when !isGrid:
                return "Only where display is grid.";
            case "flex-grow" or "flex-shrink" or "flex-basis" when !inFlex:
                return "Only within what has display flex.";
            case "order" when !inFlex && !inGrid:
            case "align-self" when !inFlex && !inGrid && !isOut:
                return "Only within what has display flex or grid.";
            case "justify-self" when inFlex:
                return "Within flex, what is around decides that with justify-content.";
            case "grid-row-start" or "grid-row-end" or "grid-column-start" or "grid-column-end" when !inGrid:
                return "Only within what has display grid.";
            case "float" when inFlex || inGrid || isOut:
                return "What is around, or its position, decides where it stands.";
            case "vertical-align" when display is not ("inline" or "inline-block" or "inline-flex" or "inline-grid" or "inline-table" or "table-cell"):
                return "Only in a line of text, or in a cell of a table.";
            case "top" or "right" or "bottom" or "left" when style.Text("position") == "static":
                return "Only where position is another than static.";
            case "z-index" when style.Text("position") == "static" && !inFlex && !inGrid:
                return "Only where position is another than static, or within flex or grid.";
            case "list-style-type" or "list-style-position" or "list-style-image" when display is not ("list-item" or "inline list-item" or "flow-root list-item") && !HoldsItems(style.Element):
                return "Only on items of a list, or what holds them.";
            case "object-fit" or "object-position" when !IsReplaced(style.Element):
                return "Only on pictures, videos and their like.";
            case "border-collapse" or "-webkit-border-horizontal-spacing" or "-webkit-border-vertical-spacing" or "table-layout" or "empty-cells" or "caption-side" when display is not ("table" or "inline-table") && !HoldsTable(style.Element):
                return "Only on tables.";
            case "border-top-width" or "border-right-width" or "border-bottom-width" or "border-left-width" or "border-top-color" or "border-right-color" or "border-bottom-color" or "border-left-color":
                return style.Text($"{property[..property.LastIndexOf('-')]}-style") is "none" or "hidden" ? "Its line has no style." : null;
            case "outline-width" or "outline-color" or "outline-offset" when style.Text("outline-style") == "none":
                return "The outline has no style.";
            case "background-size" or "background-position-x" or "background-position-y" or "background-repeat" or "background-attachment" or "background-origin" when style.Text("background-image") == "none":
                return "There is no background picture.";
            case "text-overflow" when style.Text("overflow-x") == "visible":
                return "Only where overflow is another than visible.";
            case "resize" when style.Text("overflow-x") == "visible" && style.Text("overflow-y") == "visible" && !IsReplaced(style.Element):
                return "Only where overflow is another than visible.";
            case "content" when style.Piece.Length == 0 && !style.Text(property).StartsWith("url(", StringComparison.Ordinal):
                return "Only on ::before and ::after.";
            case "column-count" or "column-width" or "column-rule-style" when isInline || isFlex || isGrid:
                return "Only on blocks of text.";
            default:
                return null;
        }
    }

    private static bool IsReplaced(Element element) => element.Name is "img" or "video" or "canvas" or "iframe" or "embed" or "object" or "svg" or "audio" or "input" or "select" or "textarea" or "button" or "meter" or "progress";

    // What is inherited by those within has its effect there.
    private static bool HoldsItems(Element element) => element.Children.Any(c => c.Name is "li" or "summary" || HoldsItems(c));

    private static bool HoldsTable(Element element) => element.Name == "table" || element.Children.Any(HoldsTable);
}
