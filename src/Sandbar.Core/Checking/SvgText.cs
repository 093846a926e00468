using System.Text;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using Ganss.Xss;

namespace Sandbar.Core.Checking;

/// <summary>SVG from elsewhere: what draws is kept; what runs, loads from outside or links is taken out.</summary>
public static class SvgText
{
    private const string Outside = "url(", Style = "style", KeptStyle = "kept-style";

    private static readonly string[] Tags =
    [
        "svg", "g", "defs", "symbol", "use", "title", "desc", "path", "rect", "circle", "ellipse", "line", "polyline", "polygon", "text", "tspan", "textPath", "image",
        "linearGradient", "radialGradient", "stop", "pattern", "clipPath", "mask", "marker", "filter", "feBlend", "feColorMatrix", "feComponentTransfer", "feComposite",
        "feConvolveMatrix", "feDisplacementMap", "feDropShadow", "feFlood", "feFuncA", "feFuncB", "feFuncG", "feFuncR", "feGaussianBlur", "feMerge", "feMergeNode",
        "feMorphology", "feOffset", "feTile", "feTurbulence",
    ];

    private static readonly string[] Pictures = ["data:image/png;base64,", "data:image/jpeg;base64,", "data:image/webp;base64,"];

    /// <summary>Whether bytes are a picture in SVG at all.</summary>
    public static bool IsSvg(ReadOnlySpan<byte> bytes) => Encoding.UTF8.GetString(bytes).Contains("<svg", StringComparison.OrdinalIgnoreCase);

    /// <summary>The picture without what could do harm; the very bytes that were given where there is nothing of the kind.</summary>
    public static byte[] Cleaned(byte[] bytes)
    {
        var harm = false;
        var sanitizer = new HtmlSanitizer(new HtmlSanitizerOptions { AllowedTags = new HashSet<string>(Tags, StringComparer.OrdinalIgnoreCase), UriAttributes = new HashSet<string>(["href", "xlink:href"], StringComparer.OrdinalIgnoreCase) });
        sanitizer.RemovingTag += (_, _) => harm = true;
        // Every attribute that sets how something is drawn may stay: there are too many to list, and those that act are few.
        sanitizer.RemovingAttribute += (_, e) => harm |= !(e.Cancel = IsHarmless(e.Attribute));
        sanitizer.RemovingComment += (_, e) => e.Cancel = true;
        sanitizer.FilterUrl += (_, e) => e.SanitizedUrl = IsInside(e.OriginalUrl, e.Tag) ? e.OriginalUrl : null;
        // Styles it would take apart by lists of its own: they pass under another name.
        using var given = new HtmlParser().ParseDocument(Encoding.UTF8.GetString(bytes));
        foreach (var element in given.All.Where(e => e.HasAttribute(Style)))
        {
            if (IsHarmless(element.Attributes[Style]!)) element.SetAttribute(KeptStyle, element.GetAttribute(Style)!);
            else harm = true;
            element.RemoveAttribute(Style);
        }
        using var cleaned = sanitizer.SanitizeDom(given.Body!.InnerHtml);
        foreach (var element in cleaned.All.Where(e => e.HasAttribute(KeptStyle)))
        {
            element.SetAttribute(Style, element.GetAttribute(KeptStyle)!);
            element.RemoveAttribute(KeptStyle);
        }
        return harm ? Encoding.UTF8.GetBytes(cleaned.Body!.InnerHtml) : bytes;
    }

    private static bool IsHarmless(IAttr attribute)
    {
        var (name, value) = (attribute.Name, attribute.Value);
        if (name.StartsWith("on", StringComparison.OrdinalIgnoreCase) || name.Contains("href", StringComparison.OrdinalIgnoreCase) || name.Equals("src", StringComparison.OrdinalIgnoreCase)) return false;
        if (value.Contains('\\', StringComparison.Ordinal) || value.Contains("javascript:", StringComparison.OrdinalIgnoreCase) || value.Contains("@import", StringComparison.OrdinalIgnoreCase) || value.Contains("image-set", StringComparison.OrdinalIgnoreCase)) return false;
        for (var at = value.IndexOf(Outside, StringComparison.OrdinalIgnoreCase); at >= 0; at = value.IndexOf(Outside, at + 1, StringComparison.OrdinalIgnoreCase))
        {
            if (!value.AsSpan(at + Outside.Length).TrimStart(" \t\r\n\"'").StartsWith("#")) return false;
        }
        return true;
    }

    private static bool IsInside(string to, IElement tag) =>
        to.StartsWith('#') || (tag.LocalName.Equals("image", StringComparison.OrdinalIgnoreCase) && Pictures.Any(p => to.StartsWith(p, StringComparison.OrdinalIgnoreCase)));
}
