using System.Collections.Immutable;
using System.Reflection;
using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue;

/// <summary>A file of parts: whatever implements it is in the catalogue.</summary>
public interface IParts
{
    static abstract IEnumerable<Part> Parts { get; }
}

/// <summary>The catalogue: every part, in the order it is listed and written. A part is found by being there: a new one needs no entry here.</summary>
public static class PartCatalogue
{
    public static readonly ImmutableArray<Part> All =
    [
        .. typeof(IParts).Assembly.GetTypes().Where(t => t is { IsInterface: false } && t.IsAssignableTo(typeof(IParts)))
            .SelectMany(t => (IEnumerable<Part>)t.GetProperty(nameof(IParts.Parts), BindingFlags.Static | BindingFlags.Public)!.GetValue(null)!)
            .Select(Completed)
            .OrderBy(p => p.Group).ThenBy(p => p.Place).ThenBy(p => p.Name, StringComparer.Ordinal),
    ];

    private static readonly Dictionary<string, Part> ById = All.ToDictionary(p => p.Id, StringComparer.Ordinal);

    public static Part? Find(string id) => ById.GetValueOrDefault(id);

    /// <exception cref="KeyNotFoundException">There is no such part.</exception>
    public static Part Get(string id) => Find(id) ?? throw new KeyNotFoundException($"No part {id}.");

    /// <summary>A part with what every one of its kind has: what its changes take where its states can differ, and how its blocks come in.</summary>
    private static Part Completed(Part part) => part with
    {
        Properties =
        [
            .. part.Properties,
            .. part.States.Length > 1 ? part.Properties.Where(p => !p.SameInAllStates && p.CssName.Length > 0).Select(Properties.ChangeOf) : [],
            .. Entrances(part),
        ],
    };

    private static PartProperty[] Entrances(Part part)
    {
        if (part.Layer != Layer.Parts || part.Inner.Length > 0 || part.Hook.StartsWith(":where", StringComparison.Ordinal)) return [];
        PartProperty[] entrance = [Properties.Entrance, Properties.EntranceDistance, Properties.EntranceTakes];
        // What comes in of a row are the blocks that stand in it.
        return part.IsRow ? [.. entrance.Select(p => p with { Target = " > *" }), Properties.Stagger with { Target = " > *" }] : entrance;
    }

    /// <summary>A cell in words: part, look, property, state.</summary>
    public static string CellName(Look look, CellKey key)
    {
        if (Find(look.Part) is not { } part) return $"{look.Name} · {key.Property}";
        var name = part.Looks.Length > 1 ? $"{part.Name} · {look.Name}" : part.Name;
        var property = part.Property(key.Property)?.Name.ToLowerInvariant() ?? key.Property;
        return key.State == State.Rest ? $"{name} · {property}" : $"{name} · {property} in {key.State}";
    }
}
