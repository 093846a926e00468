using System.Collections.Concurrent;
using System.Collections.Immutable;
using Sandbar.Css.Grammar;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>What declarations set once variables are put in: the same comes out for many elements, in every window.</summary>
internal static class SubstitutedValues
{
    private const int MostKept = 20_000;

    /// <summary>Letters of a value that is kept: what variables grow to without measure is not.</summary>
    private const int LongestKept = 1_000;

    private static readonly ConcurrentDictionary<(string Name, string Values), ImmutableArray<Assignment>?> Known = new();

    /// <param name="name">Of the declaration.</param>
    /// <returns>Null where it is not valid then.</returns>
    public static ImmutableArray<Assignment>? Of(string name, ImmutableArray<ComponentValue> values)
    {
        // A word for a whole value may come out of a variable.
        if (values is [Token { Kind: TokenKind.Ident } word] && word.Text.ToLowerInvariant() is "initial" or "inherit" or "unset" or "revert" or "revert-layer") return [.. CssProperties.SetBy(name).Select(p => new Assignment(p, values))];
        var key = (name, Serializer.Values(values));
        if (Known.TryGetValue(key, out var known)) return known;
        var found = PropertyGrammars.All.Check(name, values) is Verdict.Valid ? Shorthands.Expand(name, values) : null;
        if (key.Item2.Length > LongestKept) return found;
        if (Known.Count > MostKept) Known.Clear();
        return Known[key] = found;
    }
}
