using System.Collections.Immutable;
using Sandbar.Css.Grammar;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Conditions;

/// <summary>Whether a browser understands what a sheet asks about. Source: CSS Conditional Rules 3 and 4, §6, and 5, §2; what there is to understand is what Debian's Chromium does.</summary>
public static class SupportsConditions
{
    /// <param name="isBare">Whether a declaration may stand without brackets, as on <c>@import</c>.</param>
    public static bool Hold(ImmutableArray<ComponentValue> condition, bool isBare = false)
    {
        if (isBare && Declared(condition) is { } answer) return answer == Answer.Yes;
        // What nobody knows is not supported, and its contrary is: so says Chromium.
        return Condition.Evaluate(condition, value => Ask(value) is Answer.Unknown ? Answer.No : Ask(value)) == Answer.Yes;
    }

    /// <summary>Where something stands that is no question browsers can answer; null where there is nothing of that kind.</summary>
    public static int? NotUnderstood(ImmutableArray<ComponentValue> condition) => condition.IsEmpty ? null : Condition.NotUnderstood(condition, ask => Condition.Evaluate(condition, ask), Ask);

    private static Answer? Ask(ComponentValue value) => value switch
    {
        BlockValue block => Declared(block.Values) ?? Answer.Unknown,
        FunctionValue function => function.Name.ToLowerInvariant() switch
        {
            "selector" => Is(SelectorParser.TryParse(function.Values, isNested: false, out var list, out _) && list.Length == 1),
            "at-rule" => function.Values.WithoutSpace() is [Token { Kind: TokenKind.AtKeyword } name] ? Is(AtRules.IsKnown(name.Text)) : Answer.Unknown,
            "font-tech" => Is(Word(function) is "color-colrv0" or "color-colrv1" or "color-sbix" or "color-cbdt" or "features-opentype" or "features-aat" or "variations" or "palettes" or "incremental"),
            "font-format" => Is(Word(function) is "woff2" or "woff" or "opentype" or "truetype" or "collection"),
            _ => Answer.Unknown,
        },
        _ => null,
    };

    private static Answer? Declared(ImmutableArray<ComponentValue> values)
    {
        var row = values.SkipWhile(v => v.IsSpace()).ToImmutableArray();
        if (row is not [Token { Kind: TokenKind.Ident } name, ..]) return null;
        var colon = row.Skip(1).TakeWhile(v => v.IsSpace()).Count() + 1;
        if (colon >= row.Length || row[colon] is not Token { Kind: TokenKind.Colon }) return null;
        var value = row[(colon + 1)..].Trimmed();
        // What is important can be declared all the same.
        if (value.Length >= 2 && value[^1] is Token last && last.IsIdent("important") && value[..^1].Reverse().SkipWhile(v => v.IsSpace()).FirstOrDefault() is Token bang && bang.IsDelim('!'))
            value = value[..value.LastIndexOf(bang)].Trimmed();
        if (name.Text.StartsWith("--", StringComparison.Ordinal)) return Answer.Yes;
        return Is(!CssProperties.SetBy(name.Text).IsEmpty && PropertyGrammars.All.Check(name.Text, value) is Verdict.Valid or Verdict.Later && !value.IsEmpty);
    }

    private static Answer Is(bool holds) => holds ? Answer.Yes : Answer.No;

    private static string? Word(FunctionValue function) => function.Values.WithoutSpace() is [Token { Kind: TokenKind.Ident or TokenKind.String } word] ? word.Text.ToLowerInvariant() : null;
}
