using System.Collections.Immutable;

namespace Sandbar.Core.Rendering;

/// <summary>How blocks come in (CSS Animations 1). They are said only where a rule names them.</summary>
internal static class Entrances
{
    /// <summary>The custom property that says how far they come.</summary>
    public const string DistanceProperty = "--enter-distance";

    private const string Distance = $"var({DistanceProperty}, 24px)";

    private static readonly ImmutableArray<(string Name, string From)> All =
    [
        ("enter-fade", "opacity: 0;"),
        ("enter-rise", $"opacity: 0; translate: 0 {Distance};"),
        ("enter-slide", $"opacity: 0; translate: calc(-1 * {Distance}) 0;"),
        ("enter-grow", "opacity: 0; scale: 0.92;"),
    ];

    /// <summary>The keyframes that the rules of a sheet name, as text.</summary>
    public static string Keyframes(IEnumerable<Rule> rules)
    {
        var named = rules.Where(r => r.Needs.HasFlag(Values.Needs.Motion)).SelectMany(r => r.Declarations).Where(d => d.Name == "animation-name").Select(d => d.Value).ToHashSet(StringComparer.Ordinal);
        return string.Concat(All.Where(k => named.Contains(k.Name)).Select(k => $"\n@keyframes {k.Name} {{\n  from {{ {k.From} }}\n}}\n"));
    }
}
