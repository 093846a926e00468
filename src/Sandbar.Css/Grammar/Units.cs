using System.Collections.Frozen;

namespace Sandbar.Css.Grammar;

/// <summary>The units of dimensions. Source: CSS Values and Units Level 4, §6 and §7; CSS Containment 3, §6, CSS Grid Layout, §7.2.4.</summary>
public static class Units
{
    private static readonly FrozenDictionary<string, Quantity> All = new Dictionary<Quantity, string>
    {
        [Quantity.Length] = "px cm mm q in pt pc em rem ex rex ch rch cap rcap ic ric lh rlh vw svw lvw dvw vh svh lvh dvh vi svi lvi dvi vb svb lvb dvb vmin svmin lvmin dvmin vmax svmax lvmax dvmax cqw cqh cqi cqb cqmin cqmax",
        [Quantity.Angle] = "deg grad rad turn",
        [Quantity.Time] = "s ms",
        [Quantity.Frequency] = "hz khz",
        [Quantity.Resolution] = "dpi dpcm dppx x",
        [Quantity.Flex] = "fr",
    }.SelectMany(q => q.Value.Split(' ').Select(unit => KeyValuePair.Create(unit, q.Key))).ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);

    /// <summary>What a unit measures; null where it is none.</summary>
    public static Quantity? Of(string unit) => All.TryGetValue(unit, out var quantity) ? quantity : null;
}
