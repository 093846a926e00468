using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>Controls that the browser draws itself.</summary>
internal enum NativeControl
{
    None,
    Checkbox,
    Radio,
    List,
    Other,
}

/// <summary>What browsers make of controls that they draw themselves: some of what is declared is left out. Source: what Chromium answers.</summary>
internal static class NativeControls
{
    private static readonly Property Appearance = CssProperties.Of("appearance");

    public static NativeControl Of(ElementStyle style) => style.Piece.Length > 0 || style.Element is not { IsHtml: true } element || Kind(element) is not (not NativeControl.None and var kind) || style.Computed(Appearance).Text == "none" ? NativeControl.None : kind;

    /// <summary>What a property comes to whatever is declared; null where what is declared counts.</summary>
    public static string? Adjusted(string property, ElementStyle style)
    {
        // Asked of few properties and few elements.
        switch (property)
        {
            case "line-height":
                return Of(style) == NativeControl.List ? "normal" : null;
            case "border-top-width" or "border-right-width" or "border-bottom-width" or "border-left-width" or "border-top-style" or "border-right-style" or "border-bottom-style" or "border-left-style" or "border-top-color" or "border-right-color"
                or "border-bottom-color" or "border-left-color":
                return Of(style) is NativeControl.Checkbox or NativeControl.Radio ? CssProperties.Of(property).Initial : null;
            case "overflow-x" or "overflow-y":
                return style.Element is { IsHtml: true, Name: "textarea" } && style.Piece.Length == 0 ? "auto" : null;
            case "padding-top" or "padding-right" or "padding-bottom" or "padding-left":
                return Of(style) is NativeControl.Checkbox or NativeControl.Radio ? "0px" : null;
            case "border-top-left-radius" or "border-top-right-radius" or "border-bottom-left-radius" or "border-bottom-right-radius":
                return Of(style) switch { NativeControl.Radio => "50%", NativeControl.Checkbox => "0px", _ => null };
            default:
                return null;
        }
    }

    private static NativeControl Kind(Element element) => element.Name switch
    {
        "input" => HtmlStates.TypeOf(element) switch
        {
            "checkbox" => NativeControl.Checkbox,
            "radio" => NativeControl.Radio,
            "hidden" or "image" or "file" => NativeControl.None,
            _ => NativeControl.Other,
        },
        "select" => element.Has("multiple") || element.Has("size") ? NativeControl.Other : NativeControl.List,
        "button" or "textarea" or "progress" or "meter" => NativeControl.Other,
        _ => NativeControl.None,
    };
}
