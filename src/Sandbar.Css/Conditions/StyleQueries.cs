using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Conditions;

/// <summary>Questions about custom properties of an element. Source: CSS Conditional Rules 5, §5.2; browsers ask about no other properties.</summary>
internal static class StyleQueries
{
    /// <param name="values">What stands in <c>style()</c>.</param>
    /// <param name="find">What a custom property comes to; null where it comes to nothing.</param>
    public static Answer? Ask(ImmutableArray<ComponentValue> values, Func<string, ImmutableArray<ComponentValue>?> find)
    {
        var row = values.WithoutSpace();
        if (row is not [Token { Kind: TokenKind.Ident, Text: ['-', '-', ..] } name, ..])
            return Condition.Evaluate(values, value => value is BlockValue block ? Ask(block.Values, find) : null) ?? Answer.Unknown;
        var found = find(name.Text);
        if (row.Length == 1) return found is null ? Answer.No : Answer.Yes;
        if (row[1] is not Token { Kind: TokenKind.Colon }) return Answer.Unknown;
        return found is { } has && Serializer.Values(has.WithoutSpace()) == Serializer.Values(row[2..]) ? Answer.Yes : Answer.No;
    }
}
