using Sandbar.Css.Cascade;
using Sandbar.Css.Properties;

namespace Sandbar.Css.Tracing;

/// <summary>Shorthands that browsers count among the properties of an element: what they come to is what those they stand for come to. Source: CSSOM, §6.7.2.</summary>
public static class ShorthandText
{
    /// <summary>Null where it cannot be said in one, or is asked of none of these.</summary>
    public static string? Of(ElementStyle style, string name)
    {
        var parts = CssProperties.SetBy(name).Select(p => (p.Initial, Computed: style.Computed(p), Text: style.Text(p))).ToList();
        if (parts.Count == 0 || parts.Exists(p => p.Computed.NeedsLayout)) return null;
        switch (name.ToLowerInvariant())
        {
            case "background-position" or "mask-position":
                var (across, down) = (parts[0].Text.Split(", "), parts[1].Text.Split(", "));
                return across.Length == down.Length ? string.Join(", ", across.Zip(down, (x, y) => $"{x} {y}")) : null;
            case "text-decoration" or "font-variant":
                // What is initial is left out; the colour of text needs no word.
                var said = parts.Where(p => p.Computed.Text != p.Initial).Select(p => p.Text).ToList();
                return said.Count > 0 ? string.Join(' ', said) : parts[0].Text;
            case "contain-intrinsic-size" or "gap" or "overflow" or "overscroll-behavior" or "place-content" or "place-items" or "place-self" or "border-spacing":
                return parts[0].Text == parts[1].Text ? parts[0].Text : $"{parts[0].Text} {parts[1].Text}";
            case "margin" or "padding" or "inset" or "border-width" or "border-style" or "border-color" or "scroll-margin" or "scroll-padding":
                var count = parts[3].Text != parts[1].Text ? 4 : parts[2].Text != parts[0].Text ? 3 : parts[1].Text != parts[0].Text ? 2 : 1;
                return string.Join(' ', parts.Take(count).Select(p => p.Text));
            default:
                return null;
        }
    }
}
