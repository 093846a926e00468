using Sandbar.Css.Cascade;
using Sandbar.Css.Computing;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tracing;

/// <summary>What <c>getComputedStyle</c> answers. Source: CSSOM, §9, "resolved values", and what Chromium answers where it leaves something open.</summary>
public static class ResolvedValues
{
    /// <summary>Null where it takes a layout to know.</summary>
    public static string? Of(ElementStyle style, Property property)
    {
        var computed = style.Computed(property);
        if (computed.NeedsLayout) return null;
        var text = style.Text(property);
        var physical = LogicalSides.Physical(property, style.Flow).Name;
        switch (physical)
        {
            case "border-top-width" or "border-right-width" or "border-bottom-width" or "border-left-width":
                return style.Text(physical.Replace("width", "style", StringComparison.Ordinal)) is "none" or "hidden" ? "0px" : text;
            case "line-height":
                return Parser.ParseValues(text) is not [Token { Kind: TokenKind.Number } number] ? text : double.IsNaN(style.FontSizePx) ? null : NumberText.Of(number.Number * style.FontSizePx, "px");
            case "background-size" or "mask-size":
                return string.Join(", ", text.Split(", ").Select(size => size.Contains(' ', StringComparison.Ordinal) || size is "auto" or "cover" or "contain" ? size : $"{size} auto"));
            case "animation-duration":
                return text == "auto" ? "0s" : text;
            case "transform" when text != "none":
                return TransformMatrix.Of(text);
            case "width" or "height":
                return !style.HasBox || style.Text("display") == "inline" && !IsReplaced(style) ? text : null;
            case "min-width" or "min-height":
                return text != "auto" ? NoPercentage(text, style) : !style.HasBox ? "0px" : IsItem(style) ? "auto" : "0px";
            case "margin-top" or "margin-right" or "margin-bottom" or "margin-left":
                return text == "auto" && style.HasBox ? null : NoPercentage(text, style);
            case "padding-top" or "padding-right" or "padding-bottom" or "padding-left":
                return NoPercentage(text, style);
            case "top" or "right" or "bottom" or "left":
                return style.Text("position") == "static" || !style.HasBox ? text : text == "auto" ? null : NoPercentage(text, style);
            case "transform-origin" or "perspective-origin":
                return NoPercentage(text, style);
            case "grid-template-columns" or "grid-template-rows":
                return style.HasBox && style.Text("display") is "grid" or "inline-grid" ? null : text;
            default:
                return text;
        }
    }

    private static string? NoPercentage(string text, ElementStyle style) => text.Contains('%', StringComparison.Ordinal) && style.HasBox ? null : text;

    private static bool IsItem(ElementStyle style) => !style.IsSlotted && style.Text("position") is not ("absolute" or "fixed") && style.Parent?.Text("display") is "flex" or "inline-flex" or "grid" or "inline-grid";

    private static bool IsReplaced(ElementStyle style) => style.Element is { Name: "img" or "video" or "canvas" or "iframe" or "embed" or "object" or "svg" or "audio" };
}
