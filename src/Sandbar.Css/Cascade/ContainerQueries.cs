using System.Collections.Immutable;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Whether <c>@container</c> conditions hold. Source: CSS Conditional Rules 5, §5. The width of a container is known where nothing but the window and set lengths make it.</summary>
internal static class ContainerQueries
{
    private static readonly Property Names = CssProperties.Of("container-name"), Type = CssProperties.Of("container-type");

    /// <param name="parent">The style of what stands around the element asked about.</param>
    public static Answer Ask(ImmutableArray<ComponentValue> prelude, Element element, ElementStyle? parent)
    {
        var row = prelude.WithoutSpace();
        var name = row is [Token { Kind: TokenKind.Ident } word, ..] && !word.IsIdent("not") ? word.Text : null;
        var condition = name is null ? row : row[1..];
        var asksSize = condition.Any(AsksSize);
        for (var (at, style) = (element.Parent, parent); at is not null && style is not null; (at, style) = (at.Parent, style.Parent))
        {
            if (name is not null && !style.Text(Names).Split(' ').Contains(name)) continue;
            var isSized = style.Text(Type).Contains("size", StringComparison.Ordinal);
            if (asksSize && !isSized) continue;
            if (condition.IsEmpty) return Answer.Yes;
            var found = style;
            return Condition.Evaluate(condition, value => value switch
            {
                FunctionValue function when function.Name.Equals("style", StringComparison.OrdinalIgnoreCase) => StyleQueries.Ask(function.Values, found.Custom),
                BlockValue block => Features.Ask(block.Values, feature => Size(feature, found)),
                _ => Answer.Unknown,
            }) ?? Answer.No;
        }
        return Answer.No;
    }

    /// <summary>Where something stands that browsers cannot tell of any element: a feature they do not know, a value it does not take, words in another order.</summary>
    public static IEnumerable<int> NotUnderstood(ImmutableArray<ComponentValue> prelude)
    {
        foreach (var one in prelude.WithoutSpace().BetweenCommas())
        {
            var condition = one is [Token { Kind: TokenKind.Ident } word, ..] && !word.IsIdent("not") ? one[1..] : one;
            if (!condition.IsEmpty && Condition.NotUnderstood(condition, ask => Condition.Evaluate(condition, ask), Known) is { } at) yield return at;
        }
    }

    private static Answer? Known(ComponentValue value) => value switch
    {
        FunctionValue function => function.Name.ToLowerInvariant() switch
        {
            "style" => StyleQueries.Ask(function.Values, _ => null),
            "scroll-state" or "anchored" => Answer.No,
            _ => Answer.Unknown,
        },
        BlockValue block => Features.Ask(block.Values, name => name switch
        {
            "width" or "height" or "inline-size" or "block-size" => new(0, FeatureUnit.Length),
            "aspect-ratio" => new(1, FeatureUnit.Ratio),
            "orientation" => new("portrait"),
            _ => null,
        }),
        _ => null,
    };

    private static bool AsksSize(ComponentValue value) => value is BlockValue block && (block.Values.Any(AsksSize) || block.Values.Any(v => v is Token { Kind: TokenKind.Ident } word && word.Text.ToLowerInvariant() is var name
        && (name.Contains("width", StringComparison.Ordinal) || name.Contains("height", StringComparison.Ordinal) || name.Contains("-size", StringComparison.Ordinal) || name.Contains("aspect-ratio", StringComparison.Ordinal) || name == "orientation")));

    private static Feature? Size(string name, ElementStyle container) => name is "width" or "inline-size" && KnownSizes.Width(container) is { } width ? new(width, FeatureUnit.Length) : null;
}
