using System.Collections.Immutable;

namespace Sandbar.Core.Rendering;

/// <summary>How the rules of a sheet differ from those of another with the same keys.</summary>
/// <param name="Set">Declarations that are new or have another value.</param>
/// <param name="Unset">Names of declarations that are gone.</param>
public sealed record RuleChange(string Key, ImmutableArray<Declaration> Set, ImmutableArray<string> Unset);

/// <summary>Comparing sheets.</summary>
public static class StyleSheetChanges
{
    /// <summary>What changed rule by rule; null where rules came or went, so that only the whole sheet will do.</summary>
    public static ImmutableArray<RuleChange>? Between(StyleSheet before, StyleSheet after)
    {
        if (before.Rules.Length != after.Rules.Length || !before.Fonts.SequenceEqual(after.Fonts) || !before.Fallbacks.SequenceEqual(after.Fallbacks)) return null;
        var changes = ImmutableArray.CreateBuilder<RuleChange>();
        foreach (var (a, b) in before.Rules.Zip(after.Rules))
        {
            if (ReferenceEquals(a, b)) continue;
            if (a.Key != b.Key || a.Selector != b.Selector || a.Widths != b.Widths) return null;
            var earlier = a.Declarations.ToDictionary(d => d.Name, d => d.Value, StringComparer.Ordinal);
            var set = b.Declarations.Where(d => !earlier.TryGetValue(d.Name, out var value) || value != d.Value).ToImmutableArray();
            var unset = earlier.Keys.Except(b.Declarations.Select(d => d.Name), StringComparer.Ordinal).ToImmutableArray();
            if (set.Length + unset.Length > 0) changes.Add(new(b.Key, set, unset));
        }
        return changes.ToImmutable();
    }
}
