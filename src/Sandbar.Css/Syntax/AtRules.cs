using System.Collections.Frozen;

namespace Sandbar.Css.Syntax;

/// <summary>The at-rules that browsers know. Source: what Debian's Chromium answers of <c>at-rule()</c>.</summary>
internal static class AtRules
{
    private static readonly FrozenSet<string> Own = FrozenSet.Create(
        StringComparer.OrdinalIgnoreCase,
        "container", "counter-style", "font-face", "font-feature-values", "font-palette-values", "function", "import", "keyframes", "-webkit-keyframes", "layer", "media", "namespace", "page", "position-try", "property", "scope",
        "starting-style", "supports", "view-transition");

    private static readonly FrozenSet<string> PageMargins = FrozenSet.Create(
        StringComparer.OrdinalIgnoreCase,
        "top-left-corner", "top-left", "top-center", "top-right", "top-right-corner", "bottom-left-corner", "bottom-left", "bottom-center", "bottom-right", "bottom-right-corner", "left-top", "left-middle", "left-bottom",
        "right-top", "right-middle", "right-bottom");

    private static readonly FrozenSet<string> FontFeatures = FrozenSet.Create(StringComparer.OrdinalIgnoreCase, "annotation", "character-variant", "ornaments", "styleset", "stylistic", "swash");

    /// <summary>Whether one stands by itself or in others that hold rules.</summary>
    public static bool IsOwn(string name) => Own.Contains(name);

    /// <summary>Whether one says what stands in a margin of a page of paper.</summary>
    public static bool IsPageMargin(string name) => PageMargins.Contains(name);

    /// <summary>Whether there is one of a name, wherever it may stand.</summary>
    public static bool IsKnown(string name) => IsOwn(name) || IsPageMargin(name) || FontFeatures.Contains(name);
}
