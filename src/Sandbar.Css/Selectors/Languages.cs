using System.Collections.Immutable;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Selectors;

/// <summary>Which language the text of an element is in. Source: Selectors Level 4, §10.2; RFC 4647, §3.3.2 without wildcards within, as Chromium takes them.</summary>
internal static class Languages
{
    public static bool Holds(Element element, ImmutableArray<string> ranges)
    {
        var language = Of(element);
        return language.Length > 0 && ranges.Any(range =>
            language.StartsWith(range, StringComparison.OrdinalIgnoreCase) && (language.Length == range.Length || language[range.Length] == '-'));
    }

    private static string Of(Element element) => element["lang"] ?? element.Ancestors().Select(e => e["lang"]).FirstOrDefault(l => l is not null) ?? "";
}
