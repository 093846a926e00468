using System.Collections.Frozen;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Selectors;

/// <summary>Whether a selector of an attribute holds. Source: Selectors Level 4, §6; HTML, "Case-sensitivity of selectors".</summary>
internal static class AttributeMatching
{
    /// <summary>Attributes of HTML in whose values letters of either case are the same.</summary>
    private static readonly FrozenSet<string> WithoutCase = FrozenSet.Create(
        StringComparer.OrdinalIgnoreCase,
        "accept", "accept-charset", "align", "alink", "axis", "bgcolor", "charset", "checked", "clear", "codetype", "color", "compact", "declare", "defer", "dir", "direction", "disabled",
        "enctype", "face", "frame", "hreflang", "http-equiv", "lang", "language", "link", "media", "method", "multiple", "nohref", "noresize", "noshade", "nowrap", "readonly", "rel", "rev",
        "rules", "scope", "scrolling", "selected", "shape", "target", "text", "type", "valign", "valuetype", "vlink");

    public static bool Holds(AttributeSelector selector, Element element)
    {
        if (element[selector.Name] is not { } value) return false;
        if (selector.Operator is not { } by) return true;
        var wanted = selector.Value;
        var letters = selector.IgnoresCase || (element.IsHtml && WithoutCase.Contains(selector.Name)) ? StringComparison.OrdinalIgnoreCase : StringComparison.Ordinal;
        return by switch
        {
            AttributeOperator.Equals => value.Equals(wanted, letters),
            AttributeOperator.Includes => wanted.Length > 0 && value.Split(Element.HtmlSpaces).Any(word => word.Equals(wanted, letters)),
            AttributeOperator.DashMatch => value.Equals(wanted, letters) || (value.Length > wanted.Length && value[wanted.Length] == '-' && value.StartsWith(wanted, letters)),
            AttributeOperator.Prefix => wanted.Length > 0 && value.StartsWith(wanted, letters),
            AttributeOperator.Suffix => wanted.Length > 0 && value.EndsWith(wanted, letters),
            _ => wanted.Length > 0 && value.Contains(wanted, letters),
        };
    }
}
