using System.Collections.Immutable;
using Sandbar.Css.Conditions;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Puts values in the place of <c>var()</c>, <c>env()</c>, <c>attr()</c> and <c>if()</c>. Sources: CSS Custom Properties 1, §3; CSS Environment Variables 1; CSS Values 5, §7 and §8.</summary>
internal sealed class Variables
{
    /// <summary>Values that one declaration may grow to: what is longer counts as invalid, so that a few lines cannot fill all memory.</summary>
    private const int Most = 20_000;

    private readonly Func<string, ImmutableArray<ComponentValue>?> find;
    private readonly Func<string, string?> attribute;
    private readonly MediaEnvironment media;
    private int count;

    /// <param name="find">What a custom property comes to; null where it comes to nothing.</param>
    /// <param name="attribute">What an attribute of the element says; null where it has none.</param>
    public Variables(Func<string, ImmutableArray<ComponentValue>?> find, Func<string, string?> attribute, MediaEnvironment media) => (this.find, this.attribute, this.media) = (find, attribute, media);

    /// <summary>Names of the custom properties that values read or ask about.</summary>
    public static IEnumerable<string> Names(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            if (value is Token { Kind: TokenKind.Ident, Text: ['-', '-', ..] } name) yield return name.Text;
            foreach (var found in Names(value switch { FunctionValue function => function.Values, BlockValue block => block.Values, _ => [] })) yield return found;
        }
    }

    /// <summary>Whether anything is to be put in the place of something.</summary>
    public static bool AreIn(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            if (value is FunctionValue function ? IsOne(function) || AreIn(function.Values) : value is BlockValue block && AreIn(block.Values)) return true;
        }
        return false;
    }

    /// <summary>Whether one of these is <c>attr()</c>.</summary>
    public static bool AttributesAreIn(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            if (value is FunctionValue function ? function.Name.Equals("attr", StringComparison.OrdinalIgnoreCase) || AttributesAreIn(function.Values) : value is BlockValue block && AttributesAreIn(block.Values)) return true;
        }
        return false;
    }

    private static bool IsOne(FunctionValue function) => function.Name.ToLowerInvariant() is "var" or "env" or "attr" or "if";

    /// <summary>The values with all put in; null where that comes to nothing.</summary>
    public ImmutableArray<ComponentValue>? In(ImmutableArray<ComponentValue> values)
    {
        if (!AreIn(values))
        {
            count += values.Length;
            return count > Most ? null : values;
        }
        var all = ImmutableArray.CreateBuilder<ComponentValue>(values.Length);
        foreach (var value in values)
        {
            if (++count > Most) return null;
            switch (value)
            {
                case FunctionValue function when IsOne(function):
                    if (Put(function) is not { } put) return null;
                    all.AddRange(put);
                    break;
                case FunctionValue function:
                    if (In(function.Values) is not { } inner) return null;
                    all.Add(function with { Values = inner });
                    break;
                case BlockValue block:
                    if (In(block.Values) is not { } within) return null;
                    all.Add(block with { Values = within });
                    break;
                default:
                    all.Add(value);
                    break;
            }
        }
        return all.ToImmutable();
    }

    private ImmutableArray<ComponentValue>? Put(FunctionValue function)
    {
        if (function.Name.Equals("if", StringComparison.OrdinalIgnoreCase)) return If(function.Values);
        var (head, fallback) = Parts(function.Values);
        if (head.WithoutSpace() is not [Token { Kind: TokenKind.Ident } name, ..]) return null;
        var found = function.Name.ToLowerInvariant() switch
        {
            "var" => find(name.Text),
            // A desktop window has no edges that hide anything.
            "env" => name.Text.StartsWith("safe-area-inset-", StringComparison.Ordinal) || name.Text.StartsWith("keyboard-inset-", StringComparison.Ordinal) || name.Text.StartsWith("safe-area-max-inset-", StringComparison.Ordinal) ? [new Token(TokenKind.Dimension, 0, 0, "0", "px")] : null,
            _ => Attribute(name.Text, head.WithoutSpace()[1..], fallback is null),
        };
        if (found is { } values)
        {
            count += values.Length;
            return count > Most ? null : values;
        }
        return fallback is { } instead ? In(instead) : null;
    }

    /// <summary>What stands before the first comma, and after it; null where there is none.</summary>
    private static (ImmutableArray<ComponentValue> Head, ImmutableArray<ComponentValue>? Fallback) Parts(ImmutableArray<ComponentValue> values)
    {
        for (var i = 0; i < values.Length; i++)
        {
            if (values[i] is not Token { Kind: TokenKind.Comma }) continue;
            var from = i + 1;
            while (from < values.Length && values[from] is Token { Kind: TokenKind.Whitespace }) from++;
            return (values[..i], values[from..]);
        }
        return (values, null);
    }

    private ImmutableArray<ComponentValue>? Attribute(string name, ImmutableArray<ComponentValue> type, bool isAlone)
    {
        var text = attribute(name);
        if (type is [] or [Token { Kind: TokenKind.Ident, Text: "raw-string" or "string" }])
            return text is not null ? [new Token(TokenKind.String, 0, 0, text)] : isAlone ? [new Token(TokenKind.String, 0, 0)] : null;
        if (text is null) return null;
        switch (type)
        {
            case [FunctionValue { Name: "type" } syntax]:
                var written = Serializer.Values(syntax.Values);
                var values = Parser.ParseValues(text);
                return written != "*" && Grammar.PropertyGrammars.All.IsOf(written, values) ? values : null;
            case [Token { Kind: TokenKind.Ident } unit] when Parser.ParseValues(text) is [Token { Kind: TokenKind.Number } number]:
                return unit.Text.Equals("number", StringComparison.OrdinalIgnoreCase) ? [number] : [new Token(TokenKind.Dimension, 0, 0, number.Text, unit.Text)];
            case [Token percent] when percent.IsDelim('%') && Parser.ParseValues(text) is [Token { Kind: TokenKind.Number } share]:
                return [new Token(TokenKind.Percentage, 0, 0, share.Text)];
            default:
                return null;
        }
    }

    /// <summary>The value of the first condition that holds; nothing where none does.</summary>
    private ImmutableArray<ComponentValue>? If(ImmutableArray<ComponentValue> values)
    {
        var from = 0;
        for (var i = 0; i <= values.Length; i++)
        {
            if (i < values.Length && values[i] is not Token { Kind: TokenKind.Semicolon }) continue;
            var branch = values[from..i];
            from = i + 1;
            var colon = branch.ToList().FindIndex(v => v is Token { Kind: TokenKind.Colon });
            if (colon < 0) continue;
            var condition = branch[..colon].WithoutSpace();
            if (!(condition is [Token otherwise] && otherwise.IsIdent("else")) && Condition.Evaluate(condition, Ask) != Answer.Yes) continue;
            var value = branch[(colon + 1)..];
            while (value is [Token { Kind: TokenKind.Whitespace }, ..]) value = value[1..];
            while (value is [.., Token { Kind: TokenKind.Whitespace }]) value = value[..^1];
            return In(value);
        }
        return null;
    }

    private Answer? Ask(ComponentValue value) => value is not FunctionValue function ? null : function.Name.ToLowerInvariant() switch
    {
        "media" => MediaQueries.Hold(function.Values, media) || MediaQueries.Hold([new BlockValue(TokenKind.OpenParen, function.Values, 0, 0)], media) ? Answer.Yes : Answer.No,
        "supports" => SupportsConditions.Hold(function.Values, isBare: true) ? Answer.Yes : Answer.No,
        "style" => StyleQueries.Ask(function.Values, find),
        _ => Answer.Unknown,
    };
}
