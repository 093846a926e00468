using System.Collections.Immutable;

namespace Sandbar.Core.Catalogue;

/// <summary>What may stand in what.</summary>
public static class Standing
{
    /// <summary>As deep as blocks may stand in each other.</summary>
    public const int Deepest = 12;

    /// <summary>Why a block of a part cannot stand in another, in a sentence; null where it can.</summary>
    /// <param name="outer">The part of the block around it; null for the page itself.</param>
    public static string? Refusal(Part part, Part? outer)
    {
        var (name, around) = (part.Name.ToLowerInvariant(), outer?.Name.ToLowerInvariant());
        if (part.Id is "header" or "footer") return $"The {name} stands on every page by itself.";
        if (outer is null) return part.IsOutermost ? null : $"On a page itself stand sections: put the {name} into one.";
        if (part.IsOutermost) return $"A {name} stands on the page itself, in nothing else.";
        if (!outer.HoldsBlocks) return $"Nothing stands in a {around}.";
        // A form in a form, and a form's field without one, are no HTML.
        if (part.Id == outer.Id && part.Id == "form") return "A form cannot stand in a form.";
        if (part.Id == "form-field" && outer.Group != PartGroup.Form && outer.Group != PartGroup.Arrangement) return $"A form field stands in a form, not in a {around}.";
        if (outer.HoldsParts.IsEmpty && outer.HoldsGroups.IsEmpty) return null;
        return outer.HoldsParts.Contains(part.Id) || outer.HoldsGroups.Contains(part.Group) ? null : $"A {around} holds {Held(outer)}, no {name}.";
    }

    /// <summary>The parts that may stand in another, in the order of the catalogue.</summary>
    /// <param name="outer">Null for the page itself.</param>
    public static ImmutableArray<Part> In(Part? outer) => [.. PartCatalogue.All.Where(p => p.Hook.StartsWith('.') && Refusal(p, outer) is null)];

    private static string Held(Part outer)
    {
        var names = outer.HoldsGroups.Select(GroupName).Concat(outer.HoldsParts.Select(id => $"{PartCatalogue.Get(id).Name.ToLowerInvariant()}s")).ToList();
        return names.Count == 1 ? names[0] : $"{string.Join(", ", names.SkipLast(1))} and {names[^1]}";
    }

    private static string GroupName(PartGroup group) => group switch
    {
        PartGroup.Text => "text",
        PartGroup.Action => "buttons",
        PartGroup.Media => "pictures",
        PartGroup.Form => "form fields",
        PartGroup.Card => "cards",
        PartGroup.Posts => "posts",
        PartGroup.Arrangement => "groups and columns",
        _ => "menus",
    };
}
