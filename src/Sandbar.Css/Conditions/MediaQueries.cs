using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Conditions;

/// <summary>Whether media queries hold. Sources: Media Queries 4 and 5, and what Chromium knows of them.</summary>
public static class MediaQueries
{
    /// <summary>Whether one of a list holds; an empty list always does.</summary>
    public static bool Hold(ImmutableArray<ComponentValue> list, MediaEnvironment media)
    {
        if (list.WithoutSpace().IsEmpty) return true;
        var query = ImmutableArray.CreateBuilder<ComponentValue>();
        foreach (var value in list)
        {
            if (value is not Token { Kind: TokenKind.Comma })
            {
                query.Add(value);
                continue;
            }
            if (Holds(query.ToImmutable(), media)) return true;
            query.Clear();
        }
        return Holds(query.ToImmutable(), media);
    }

    /// <summary>Where in a list something stands that browsers cannot tell, so that a query never holds: a feature they do not know, a value it does not take, words in another order.</summary>
    public static IEnumerable<int> NotUnderstood(ImmutableArray<ComponentValue> list) => list.WithoutSpace().BetweenCommas().Where(q => !q.IsEmpty)
        .Select(query => Condition.NotUnderstood(query, ask => Of(query, new(), ask), value => Ask(value, new()))).OfType<int>();

    private static bool Holds(ImmutableArray<ComponentValue> query, MediaEnvironment media) => Of(query.WithoutSpace(), media, value => Ask(value, media)) == Answer.Yes;

    /// <param name="ask">What a question comes to.</param>
    /// <returns>Null where it is no query at all.</returns>
    private static Answer? Of(ImmutableArray<ComponentValue> row, MediaEnvironment media, Func<ComponentValue, Answer?> ask)
    {
        if (row.IsEmpty) return null;
        // A type of media before the conditions, which then stand with "and" only.
        var isNot = row[0] is Token { Kind: TokenKind.Ident } first && first.IsIdent("not");
        var at = isNot || row[0] is Token only && only.IsIdent("only") ? 1 : 0;
        if (at < row.Length && row[at] is Token { Kind: TokenKind.Ident } type)
        {
            var name = type.Text.ToLowerInvariant();
            if (name is "and" or "or" or "not" or "only" or "layer") return null;
            Answer? answer = name == "all" || name == media.Type ? Answer.Yes : Answer.No;
            if (at + 1 < row.Length)
            {
                if (row[at + 1] is not Token and || !and.IsIdent("and") || row[(at + 2)..].Any(v => v is Token or && or.IsIdent("or"))) return null;
                answer = Condition.And(answer, Condition.Evaluate(row[(at + 2)..], ask));
            }
            return isNot ? Condition.Not(answer) : answer;
        }
        return Condition.Evaluate(row, ask);
    }

    private static Answer? Ask(ComponentValue value, MediaEnvironment media) =>
        value is BlockValue block ? Features.Ask(block.Values, name => Feature(name, media)) : Answer.Unknown;

    /// <summary>What a feature is: a number in its unit, or a word.</summary>
    private static Feature? Feature(string name, MediaEnvironment media) => name switch
    {
        "width" or "device-width" => new(media.Width, FeatureUnit.Length),
        "height" or "device-height" => new(media.Height, FeatureUnit.Length),
        "aspect-ratio" or "device-aspect-ratio" => new(media.Width / media.Height, FeatureUnit.Ratio),
        "orientation" => new(media.Height >= media.Width ? "portrait" : "landscape"),
        "resolution" => new(1, FeatureUnit.Resolution),
        "-webkit-device-pixel-ratio" => new(1, FeatureUnit.Number),
        "color" => new(8, FeatureUnit.Number),
        "monochrome" or "color-index" or "grid" => new(0, FeatureUnit.Number),
        "horizontal-viewport-segments" or "vertical-viewport-segments" or "-webkit-transform-3d" => new(1, FeatureUnit.Number),
        "color-gamut" => new("srgb"),
        "dynamic-range" or "video-dynamic-range" => new("standard"),
        "prefers-color-scheme" => new(media.IsDark ? "dark" : "light"),
        "prefers-reduced-motion" => new(media.ReducesMotion ? "reduce" : "no-preference", None: "no-preference"),
        "prefers-contrast" => new(media.Contrast, None: "no-preference"),
        "prefers-reduced-transparency" or "prefers-reduced-data" => new("no-preference", None: "no-preference"),
        "forced-colors" or "inverted-colors" => new("none", None: "none"),
        "hover" or "any-hover" => new("hover", None: "none"),
        "pointer" or "any-pointer" => new("fine", None: "none"),
        "update" => new("fast", None: "none"),
        "overflow-block" or "overflow-inline" => new("scroll", None: "none"),
        "display-mode" => new("browser"),
        "scripting" => new("enabled", None: "none"),
        _ => null,
    };
}
