using System.Numerics;

namespace Sandbar.Css.Properties;

/// <summary>Some properties.</summary>
internal sealed class PropertySet
{
    private static readonly int Words = (CssProperties.All.Length + 63) / 64;

    private readonly ulong[] bits = new ulong[Words];

    public PropertySet(params IEnumerable<Property> properties)
    {
        foreach (var property in properties) bits[property.Id / 64] |= 1UL << (property.Id % 64);
    }

    public static PropertySet Empty { get; } = new();

    public bool IsEmpty => !bits.AsSpan().ContainsAnyExcept(0UL);

    public IEnumerable<Property> Properties
    {
        get
        {
            for (var i = 0; i < Words; i++)
            {
                for (var left = bits[i]; left != 0; left &= left - 1) yield return CssProperties.All[i * 64 + BitOperations.TrailingZeroCount(left)];
            }
        }
    }

    public bool Contains(Property property) => (bits[property.Id / 64] & (1UL << (property.Id % 64))) != 0;

    public bool IsWithin(PropertySet other)
    {
        for (var i = 0; i < Words; i++)
        {
            if ((bits[i] & ~other.bits[i]) != 0) return false;
        }
        return true;
    }

    public static PropertySet operator |(PropertySet one, PropertySet other)
    {
        if (one.IsWithin(other)) return other;
        if (other.IsWithin(one)) return one;
        var both = new PropertySet();
        for (var i = 0; i < Words; i++) both.bits[i] = one.bits[i] | other.bits[i];
        return both;
    }
}
