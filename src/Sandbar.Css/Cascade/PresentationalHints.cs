using System.Globalization;
using System.Text;
using Sandbar.Css.Colors;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What attributes say of how an element looks. Source: the HTML standard, "Rendering", "presentational hints"; where it leaves something open, what Chromium answers.</summary>
internal static class PresentationalHints
{
    private static readonly string[] FontSizes = ["x-small", "small", "medium", "large", "x-large", "xx-large", "xxx-large"];

    /// <summary>The declarations, as text; empty where there are none.</summary>
    public static string Of(Element element, Document document)
    {
        if (!element.IsHtml) return element.Attributes.Count > 0 ? OfDrawing(element) : "";
        if (element.Attributes.Count == 0 && element.Name is not ("td" or "th" or "bdi")) return "";
        var css = new StringBuilder();
        if (element.Has("hidden")) css.Append(element["hidden"]!.Equals("until-found", StringComparison.OrdinalIgnoreCase) ? "content-visibility:hidden;" : "display:none;");
        if (element["lang"] is { } lang) css.Append(CultureInfo.InvariantCulture, $"-webkit-locale:{(lang.Length == 0 ? "auto" : Serializer.String(lang))};");
        if (element["dir"]?.ToLowerInvariant() is "rtl" or "ltr" or "auto" || element is { Name: "bdi" } && !element.Has("dir")) css.Append(CultureInfo.InvariantCulture, $"direction:{Directions.Of(document, element)};");
        switch (element["contenteditable"]?.ToLowerInvariant())
        {
            case "" or "true" or "plaintext-only":
                css.Append("-webkit-user-modify:read-write;overflow-wrap:break-word;line-break:after-white-space;-webkit-line-break:after-white-space;");
                break;
            case "false":
                css.Append("-webkit-user-modify:read-only;");
                break;
        }
        if (element["draggable"]?.ToLowerInvariant() is "true") css.Append("-webkit-user-drag:element;user-select:none;");
        switch (element.Name)
        {
            case "img" or "iframe" or "video" or "embed" or "object" or "canvas" or "input":
                Replaced(element, css);
                break;
            case "svg":
                break;
            case "font":
                Color(element["color"], "color", css);
                if (element["face"] is { Length: > 0 } face) css.Append(CultureInfo.InvariantCulture, $"font-family:{Safe(face)};");
                if (int.TryParse(element["size"], NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var size)) css.Append(CultureInfo.InvariantCulture, $"font-size:{FontSizes[Math.Clamp(element["size"]!.StartsWith('+') || element["size"]!.StartsWith('-') ? size + 3 : size, 1, 7) - 1]};");
                break;
            case "body":
                Color(element["bgcolor"], "background-color", css);
                Color(element["text"], "color", css);
                break;
            case "hr":
                if (element.Has("noshade") || element.Has("color")) css.Append("border-style:solid;");
                if (element.Has("color"))
                {
                    Color(element["color"], "border-color", css);
                    Color(element["color"], "background-color", css);
                }
                Length(element["width"], "width", css);
                switch (element["align"]?.ToLowerInvariant())
                {
                    case "left":
                        css.Append("margin-left:0;margin-right:auto;");
                        break;
                    case "right":
                        css.Append("margin-left:auto;margin-right:0;");
                        break;
                }
                break;
            case "table":
                Table(element, css);
                break;
            case "tr" or "td" or "th" or "tbody" or "thead" or "tfoot" or "col" or "colgroup":
                Cell(element, css);
                break;
            case "li" when element["type"]?.ToLowerInvariant() is "disc" or "circle" or "square":
                css.Append(CultureInfo.InvariantCulture, $"list-style-type:{element["type"]!.ToLowerInvariant()};");
                break;
            case "ol" or "li" when element["type"] is { } type:
                if (type switch { "1" => "decimal", "a" => "lower-alpha", "A" => "upper-alpha", "i" => "lower-roman", "I" => "upper-roman", _ => null } is { } list) css.Append(CultureInfo.InvariantCulture, $"list-style-type:{list};");
                break;
            case "ul" when element["type"]?.ToLowerInvariant() is "disc" or "circle" or "square" or "none":
                css.Append(CultureInfo.InvariantCulture, $"list-style-type:{element["type"]!.ToLowerInvariant()};");
                break;
            case "caption" when element["align"] is { } align:
                css.Append(align.Equals("bottom", StringComparison.OrdinalIgnoreCase) ? "caption-side:bottom;" : "");
                break;
            case "br" when element["clear"]?.ToLowerInvariant() is { } clear:
                css.Append(clear is "all" or "both" ? "clear:both;" : clear is "left" or "right" ? $"clear:{clear};" : "");
                break;
            case "div" or "p":
                Align(element["align"], "-webkit-", css);
                break;
            case "h1" or "h2" or "h3" or "h4" or "h5" or "h6":
                Align(element["align"], "", css);
                break;
        }
        return css.ToString();
    }

    private static string OfDrawing(Element element)
    {
        var css = new StringBuilder();
        foreach (var (name, value) in element.Attributes)
        {
            // Attributes of drawings that are properties too (SVG 2, §6.6).
            if (name is "fill" or "stroke" or "stroke-width" or "stroke-linecap" or "stroke-linejoin" or "stroke-dasharray" or "stroke-dashoffset" or "stroke-miterlimit" or "stroke-opacity" or "fill-opacity" or "fill-rule" or "clip-rule" or "clip-path"
                or "opacity" or "color" or "display" or "visibility" or "font-family" or "font-size" or "font-weight" or "font-style" or "text-anchor" or "dominant-baseline" or "stop-color" or "stop-opacity" or "overflow" or "cursor" or "mask" or "filter"
                or "letter-spacing" or "word-spacing" or "pointer-events" or "shape-rendering" or "text-rendering" or "vector-effect" or "paint-order")
                css.Append(CultureInfo.InvariantCulture, $"{name}:{Safe(name == "font-size" && double.TryParse(value, CultureInfo.InvariantCulture, out _) ? value + "px" : value)};");
            var isSized = element.Name is "svg" or "rect" or "image" or "foreignObject" && name is "width" or "height" or "x" or "y";
            if (isSized || (element.Name is "circle" or "ellipse" && name is "cx" or "cy" or "r" or "rx" or "ry") || (element.Name == "rect" && name is "rx" or "ry")) Length(value, name, css);
        }
        return css.ToString();
    }

    private static void Replaced(Element element, StringBuilder css)
    {
        var isPicture = element.Name != "input" || HtmlStates.TypeOf(element) == "image";
        if (!isPicture) return;
        // Of a canvas they are how many pixels it has.
        if (element.Name != "canvas")
        {
            Length(element["width"], "width", css);
            Length(element["height"], "height", css);
        }
        if (element.Name is "img" or "video" or "canvas" or "input" && Whole(element["width"]) is { } width && Whole(element["height"]) is { } height) css.Append(CultureInfo.InvariantCulture, $"aspect-ratio:auto {width} / {height};");
        if (element.Name is "iframe" && element["frameborder"] is "0" or "no") css.Append("border-width:0;");
        if (element.Name is "img" or "input" && Whole(element["border"]) is { } border) css.Append(CultureInfo.InvariantCulture, $"border:{border}px solid;");
        if (Whole(element["hspace"]) is { } hspace) css.Append(CultureInfo.InvariantCulture, $"margin-left:{hspace}px;margin-right:{hspace}px;");
        if (Whole(element["vspace"]) is { } vspace) css.Append(CultureInfo.InvariantCulture, $"margin-top:{vspace}px;margin-bottom:{vspace}px;");
        css.Append(element["align"]?.ToLowerInvariant() switch
        {
            "left" or "right" => $"float:{element["align"]!.ToLowerInvariant()};vertical-align:top;",
            "top" => "vertical-align:top;",
            "middle" => "vertical-align:-webkit-baseline-middle;",
            "center" or "absmiddle" => "vertical-align:middle;",
            _ => "",
        });
    }

    private static void Table(Element element, StringBuilder css)
    {
        if (element.Has("border"))
        {
            var width = Whole(element["border"]) ?? (element["border"]!.Length == 0 ? 1 : 0);
            css.Append(CultureInfo.InvariantCulture, $"border-width:{width}px;");
            if (width > 0) css.Append("border-style:outset;");
        }
        if (Whole(element["cellspacing"]) is { } spacing) css.Append(CultureInfo.InvariantCulture, $"border-spacing:{spacing}px;");
        Length(element["width"], "width", css);
        Length(element["height"], "height", css);
        Color(element["bgcolor"], "background-color", css);
        Color(element["bordercolor"], "border-color", css);
        switch (element["align"]?.ToLowerInvariant())
        {
            case "center":
                css.Append("margin-inline:auto;");
                break;
            case "left" or "right":
                css.Append(CultureInfo.InvariantCulture, $"float:{element["align"]!.ToLowerInvariant()};");
                break;
        }
        if (element["rules"]?.ToLowerInvariant() is "all" or "rows" or "cols" or "groups" or "none") css.Append("border-collapse:collapse;");
    }

    private static void Cell(Element element, StringBuilder css)
    {
        if (element.Name is "td" or "th" && element.Ancestors().FirstOrDefault(e => e.Name == "table") is { } table)
        {
            if (table.Has("border") && (Whole(table["border"]) ?? 1) > 0) css.Append("border-width:1px;border-style:inset;");
            if (Whole(table["cellpadding"]) is { } padding) css.Append(CultureInfo.InvariantCulture, $"padding:{padding}px;");
        }
        Color(element["bgcolor"], "background-color", css);
        if (element.Name is "td" or "th" or "col" or "colgroup") Length(element["width"], "width", css);
        if (element.Name is not ("col" or "colgroup")) Length(element["height"], "height", css);
        if (element.Has("nowrap")) css.Append("white-space:nowrap;");
        if (element["valign"]?.ToLowerInvariant() is "top" or "middle" or "bottom" or "baseline") css.Append(CultureInfo.InvariantCulture, $"vertical-align:{element["valign"]!.ToLowerInvariant()};");
        Align(element["align"], "-webkit-", css);
    }

    private static void Align(string? align, string prefix, StringBuilder css)
    {
        if (align?.ToLowerInvariant() is { } way && way is "left" or "right" or "center" or "justify" or "middle")
            css.Append(CultureInfo.InvariantCulture, $"text-align:{(way is "justify" ? "justify" : prefix + (way == "middle" ? "center" : way))};");
    }

    /// <summary>A colour as HTML reads one that CSS knows too; others are left out.</summary>
    private static void Color(string? text, string property, StringBuilder css)
    {
        if (text is null) return;
        var trimmed = text.Trim();
        if (ColorText.TryParse(trimmed, out var color) || ColorText.TryParse($"#{trimmed}", out color)) css.Append(CultureInfo.InvariantCulture, $"{property}:{ColorText.Hex(color)};");
    }

    private static void Length(string? text, string property, StringBuilder css)
    {
        if (text is null) return;
        var trimmed = text.Trim();
        var digits = trimmed.TakeWhile(c => char.IsAsciiDigit(c) || c == '.').Count();
        if (digits > 0 && double.TryParse(trimmed[..digits], NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number))
            css.Append(CultureInfo.InvariantCulture, $"{property}:{number.ToString(CultureInfo.InvariantCulture)}{(trimmed.Length > digits && trimmed[digits] == '%' ? "%" : "px")};");
    }

    private static int? Whole(string? text)
    {
        var digits = text?.Trim().TakeWhile(char.IsAsciiDigit).Count() ?? 0;
        return digits is > 0 and < 8 ? int.Parse(text!.Trim()[..digits], CultureInfo.InvariantCulture) : null;
    }

    /// <summary>Text that ends no declaration but its own.</summary>
    private static string Safe(string text) => Serializer.Values(Parser.ParseValues(text.Replace(';', ' ').Replace('{', ' ').Replace('}', ' ').Replace('!', ' ')));
}
