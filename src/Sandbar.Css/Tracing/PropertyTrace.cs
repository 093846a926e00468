using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tracing;

/// <summary>Where a value comes from.</summary>
/// <param name="Computed">As Chromium's <c>computedStyleMap</c> writes it; null where it takes a layout to know.</param>
/// <param name="Winner">The declaration that the cascade sorts first; null where nothing is declared.</param>
/// <param name="Losers">All others that count, the strongest first.</param>
/// <param name="InheritedFrom">The ancestor they stand for; null where that is the element itself.</param>
public sealed record PropertyTrace(string? Computed, Candidate? Winner, IReadOnlyList<Candidate> Losers, Element? InheritedFrom)
{
    /// <summary>Traces a property of an element.</summary>
    public static PropertyTrace Of(ElementStyle style, Element element, Property property)
    {
        var computed = style.Computed(property);
        var (candidates, from) = Declared(style, element, property.IsInherited, s => s.Candidates(property));
        return new(computed.NeedsLayout ? null : style.Text(property), candidates.Count > 0 ? candidates[0] : null, candidates.Count > 0 ? [.. candidates.Skip(1)] : [], from);
    }

    /// <summary>The same of a custom property.</summary>
    public static PropertyTrace Of(ElementStyle style, Element element, string custom)
    {
        var isInherited = style.Basis.Registered.GetValueOrDefault(custom) is not { IsInherited: false };
        var (candidates, from) = Declared(style, element, isInherited, s => s.Cascade.Of(custom));
        return new(style.Custom(custom) is { } values ? Serializer.Values(values) : null, candidates.Count > 0 ? candidates[0] : null, candidates.Count > 0 ? [.. candidates.Skip(1)] : [], from);
    }

    private static (IReadOnlyList<Candidate> Candidates, Element? From) Declared(ElementStyle style, Element element, bool isInherited, Func<ElementStyle, IReadOnlyList<Candidate>> find)
    {
        for (var (at, of) = (style, element); at is not null; (at, of) = (at.Parent!, at.Piece.Length > 0 ? of : of.Parent!))
        {
            var found = find(at);
            if (found.Count > 0) return (found, at == style ? null : of);
            if (!isInherited) break;
        }
        return ([], null);
    }
}
