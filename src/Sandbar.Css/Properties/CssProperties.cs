using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.Json;

namespace Sandbar.Css.Properties;

/// <summary>The properties Chromium has, and what names stand for several of them or for another. Source: Debian's Chromium, asked by scripts/make-css-data.mjs.</summary>
public static class CssProperties
{
    private static readonly FrozenDictionary<string, Property> Longhands;

    private static readonly FrozenDictionary<string, ImmutableArray<Property>> Sets;

    static CssProperties()
    {
        using var document = JsonDocument.Parse(EmbeddedFile.Read(typeof(CssProperties).Assembly, "properties.json"));
        All =
        [
            .. document.RootElement.GetProperty("properties").EnumerateObject().Select((p, id) =>
                new Property(p.Name, id, p.Value.TryGetProperty("inherited", out var inherited) && inherited.GetBoolean(), p.Value.GetProperty("initial").GetString()!)),
        ];
        Longhands = All.ToFrozenDictionary(p => p.Name, StringComparer.OrdinalIgnoreCase);
        var sets = document.RootElement.GetProperty("sets").EnumerateObject()
            .ToDictionary(p => p.Name, p => p.Value.EnumerateArray().Select(n => Longhands.GetValueOrDefault(n.GetString()!)).OfType<Property>().ToImmutableArray(), StringComparer.OrdinalIgnoreCase);
        sets["all"] = [.. All.Where(p => p.Name is not ("direction" or "unicode-bidi"))];
        Sets = sets.ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);
    }

    /// <summary>All of them, by their <see cref="Property.Id"/>.</summary>
    public static ImmutableArray<Property> All { get; }

    /// <summary>The property of a name that stands for itself alone; null where it does not.</summary>
    public static Property? Find(string name) => Longhands.GetValueOrDefault(name);

    /// <summary>One that is known to be there.</summary>
    public static Property Of(string name) => Longhands[name];

    /// <summary>What declaring a name sets: itself, or what it stands for; empty where the browser does not know it.</summary>
    public static ImmutableArray<Property> SetBy(string name) => Longhands.TryGetValue(name, out var one) ? [one] : Sets.GetValueOrDefault(name, []);
}
