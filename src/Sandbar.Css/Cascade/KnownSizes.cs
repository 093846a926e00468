using Sandbar.Css.Computing;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Widths that need no layout of text: of blocks, one in the other, that the window and set lengths alone make. Source: CSS 2.2, §10.3.3 and §10.4.</summary>
internal static class KnownSizes
{
    /// <summary>The width of what stands within an element, in px; null where it takes a layout to know.</summary>
    public static double? Width(ElementStyle style)
    {
        if (style.Text("display") is not ("block" or "flow-root" or "list-item" or "flex" or "grid")) return null;
        if (style.Text("float") != "none" || style.Text("position") is "absolute" or "fixed" || style.Text("writing-mode") != "horizontal-tb") return null;
        double outer;
        if (style.Parent is { } parent)
        {
            if (parent.Text("display") is not ("block" or "flow-root" or "list-item") || Width(parent) is not { } around) return null;
            outer = around;
        }
        else
        {
            outer = style.Basis.Media.Width;
        }
        double? Of(string property, double automatic)
        {
            var text = style.Text(property);
            if (text is "auto" or "normal" or "none") return automatic;
            return Calculation.Of(Parser.ParseValues(text) is [var value] ? value : new Token(TokenKind.Ident, 0, 0), new Lengths(0, 0, 0, 0) { Whole = outer }) is Calculation.Amount { Unit: "px" } amount ? amount.Value : null;
        }
        double edges = 0;
        foreach (var side in new[] { "left", "right" })
        {
            if (Of($"padding-{side}", 0) is not { } padding) return null;
            edges += padding + (style.Text($"border-{side}-style") is "none" or "hidden" ? 0 : Of($"border-{side}-width", 0) ?? 0);
        }
        var isBorderBox = style.Text("box-sizing") == "border-box";
        double width;
        if (style.Text("width") == "auto")
        {
            if (Of("margin-left", 0) is not { } left || Of("margin-right", 0) is not { } right) return null;
            width = outer - left - right - edges;
        }
        else if (Of("width", 0) is { } given)
        {
            width = isBorderBox ? given - edges : given;
        }
        else
        {
            return null;
        }
        if (Of("max-width", double.PositiveInfinity) is not { } most || Of("min-width", 0) is not { } least) return null;
        var inset = isBorderBox ? edges : 0;
        return Math.Max(0, Math.Max(least - inset, Math.Min(width, most - inset)));
    }
}
