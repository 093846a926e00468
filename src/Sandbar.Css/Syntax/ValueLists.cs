using System.Collections.Immutable;

namespace Sandbar.Css.Syntax;

/// <summary>What lists of component values are taken apart by.</summary>
public static class ValueLists
{
    public static bool IsSpace(this ComponentValue value) => value is Token { Kind: TokenKind.Whitespace };

    /// <summary>Without the white space between them.</summary>
    public static ImmutableArray<ComponentValue> WithoutSpace(this ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            if (value.IsSpace()) return [.. values.Where(v => !v.IsSpace())];
        }
        return values;
    }

    /// <summary>Without the white space around them.</summary>
    public static ImmutableArray<ComponentValue> Trimmed(this ImmutableArray<ComponentValue> values)
    {
        int from = 0, to = values.Length;
        while (from < to && values[from].IsSpace()) from++;
        while (to > from && values[to - 1].IsSpace()) to--;
        return values[from..to];
    }

    /// <summary>What stands between commas, trimmed; one empty part where there is nothing at all.</summary>
    public static List<ImmutableArray<ComponentValue>> BetweenCommas(this ImmutableArray<ComponentValue> values)
    {
        var parts = new List<ImmutableArray<ComponentValue>>();
        var from = 0;
        for (var i = 0; i <= values.Length; i++)
        {
            if (i < values.Length && values[i] is not Token { Kind: TokenKind.Comma }) continue;
            parts.Add(values[from..i].Trimmed());
            from = i + 1;
        }
        return parts;
    }
}
