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
        var isMotionSame = true;
        var changes = ImmutableArray.CreateBuilder<RuleChange>();
        foreach (var (a, b) in before.Rules.Zip(after.Rules))
        {
            if (ReferenceEquals(a, b)) continue;
            // Written anew, and the same: nothing is compared one by one.
            if (a.Key == b.Key && a.Selector == b.Selector && a.Widths == b.Widths && a.Declarations.SequenceEqual(b.Declarations)) continue;
            if (a.Key != b.Key || a.Selector != b.Selector || a.Widths != b.Widths) return null;
            isMotionSame &= !a.Needs.HasFlag(Values.Needs.Motion);
            var earlier = a.Declarations.ToDictionary(d => d.Name, d => d.Value, StringComparer.Ordinal);
            var set = b.Declarations.Where(d => !earlier.TryGetValue(d.Name, out var value) || value != d.Value).ToImmutableArray();
            var unset = earlier.Keys.Except(b.Declarations.Select(d => d.Name), StringComparer.Ordinal).ToImmutableArray();
            // A shorthand that comes or goes takes its longhands along, and the other way round.
            var moved = set.Select(d => d.Name).Where(name => !earlier.ContainsKey(name)).Concat(unset).Where(IsProperty).ToList();
            if (moved.Exists(name => a.Declarations.Concat(b.Declarations).Any(d => IsShorthand(name, d.Name) || IsShorthand(d.Name, name)))) return null;
            // A shorthand that is set sets its longhands too: those said after it are said again.
            var shorthands = set.Where(d => IsProperty(d.Name)).ToList();
            if (shorthands.Count > 0)
                set = [.. b.Declarations.Where((d, i) => set.Contains(d) || b.Declarations.Take(i).Any(s => IsShorthand(s.Name, d.Name) && shorthands.Contains(s)))];
            if (set.Length + unset.Length > 0) changes.Add(new(b.Key, set, unset));
        }
        return isMotionSame || Keyframes.Of(before.Rules) == Keyframes.Of(after.Rules) ? changes.ToImmutable() : null;
    }

    /// <summary>Whether it is no custom property: those are nobody's longhands.</summary>
    private static bool IsProperty(string name) => !name.StartsWith("--", StringComparison.Ordinal);

    /// <summary>Whether a property sets another too, as its name tells; radii and offsets are nobody's longhands.</summary>
    private static bool IsShorthand(string name, string other) =>
        other.Length > name.Length && other[name.Length] == '-' && other.StartsWith(name, StringComparison.Ordinal) && IsProperty(name)
        && !other.EndsWith("-radius", StringComparison.Ordinal) && other != "outline-offset";
}
