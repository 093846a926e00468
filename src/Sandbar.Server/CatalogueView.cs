using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>What is the same for every site: parts with their settings, and the kinds of things foundations are made of.</summary>
/// <param name="Refusals">Why a part cannot stand in another: by the outer part's id and the inner one's; the page itself goes by an empty id.</param>
public sealed record CatalogueView(
    IReadOnlyList<PartView> Parts, IReadOnlyList<KindView> Kinds, IReadOnlyList<ArrangementView> Arrangements, IReadOnlyDictionary<string, IReadOnlyDictionary<string, string>> Refusals)
{
    public static readonly CatalogueView Whole = new(
        [.. PartCatalogue.All.Select(PartView.Of)], [.. Core.Values.Kinds.AllListed.Select(KindView.Of)], [.. Core.Catalogue.Arrangements.All.Select(a => new ArrangementView(a.Id, a.Name, a.Says))],
        PartCatalogue.All.Where(p => p.HoldsBlocks).Append(null).ToDictionary(p => p?.Id ?? "", p => (IReadOnlyDictionary<string, string>)RefusalsIn(p), StringComparer.Ordinal));

    private static Dictionary<string, string> RefusalsIn(Part? outer) => PartCatalogue.All.Select(p => (p.Id, Refusal: p.Hook.StartsWith('.') ? Standing.Refusal(p, outer) : "It stands in text."))
        .Where(p => p.Refusal is not null).ToDictionary(p => p.Id, p => p.Refusal!, StringComparer.Ordinal);
}

/// <param name="Says">What it is for.</param>
public sealed record ArrangementView(string Id, string Name, string Says);

/// <param name="Hook">The selector of the elements whose states its looks take.</param>
/// <param name="HasLooks">Whether it comes in more than one look.</param>
/// <param name="Group">What it is listed under.</param>
/// <param name="HoldsBlocks">Whether blocks may stand in it.</param>
/// <param name="Running">Id of the slot whose text runs on from block to block; null where none does.</param>
public sealed record PartView(
    string Id, string Name, string Group, bool HoldsBlocks, string? Running, string Hook, bool HasLooks, IReadOnlyList<State> States, IReadOnlyList<SlotView> Slots, IReadOnlyList<PropertyView> Properties)
{
    public static PartView Of(Part part) => new(
        part.Id, part.Name, part.Group.ToString(), part.HoldsBlocks, part.Running, LookSelectors.StateHook(part), part.Looks.Length > 1, part.States, [.. part.Slots.Select(SlotView.Of)], [.. part.Properties.Select(PropertyView.Of)]);
}

/// <summary>Something that takes a value.</summary>
/// <param name="Group">The heading it stands under; empty where there is none.</param>
/// <param name="Kind">What an editor is chosen by.</param>
/// <param name="Words">What it takes beside values, as it is typed.</param>
/// <param name="Offers">Under what the names that are offered are found, most fitting first.</param>
public sealed record SettingView(string Id, string Name, string Group, string Kind, IReadOnlyList<string> Words, IReadOnlyList<string> Offers)
{
    public static SettingView Of(Setting setting) => new(
        setting.Id, setting.Name, setting.Group, setting.Kind.Code, [.. setting.Words.Select(w => w.Label).Concat(setting.Kind.Suggested)], [.. setting.Kind.Offers.Select(o => OfferOf(o.Kind, o.Type))]);

    /// <summary>Under what the names of a kind are found that are of a type.</summary>
    public static string OfferOf(ReferenceKind kind, CssType type) => type == kind.Type ? kind.Code : $"{kind.Code} {type.Name}";
}

/// <summary>A row of the ledger.</summary>
/// <param name="Sides">What its sides or corners are called; null where it has none.</param>
/// <param name="ChangeOf">Id of the property whose change it is about; null for all others.</param>
/// <param name="CssName">The CSS property it becomes; empty where it is several.</param>
/// <param name="Target">What is added to the look's selector to reach its elements.</param>
public sealed record PropertyView(bool SameInAllStates, SettingView Setting, IReadOnlyList<string>? Sides, string? ChangeOf, string CssName, string Target)
{
    public static PropertyView Of(PartProperty property) =>
        new(property.SameInAllStates, SettingView.Of(property), property.Kind.Sides, property.ChangeOf?.Id, property.CssName, property.Target);
}

/// <param name="Words">What a choice can be.</param>
public sealed record SlotView(string Id, string Name, SlotKind Kind, bool Required, IReadOnlyList<WordView> Words)
{
    public static SlotView Of(Slot slot) => new(slot.Id, slot.Name, slot.Kind, slot.Required, [.. slot.Words.Select(w => new WordView(w.Code, w.Label))]);
}

/// <param name="Code">What is stored.</param>
/// <param name="Label">What is read.</param>
public sealed record WordView(string Code, string Label);

/// <summary>A kind of thing.</summary>
/// <param name="Code">What edits name it by.</param>
/// <param name="IsNamed">Whether its things have names of their own.</param>
/// <param name="ComesWith">Why none can be added by itself; null where one can.</param>
/// <param name="Fields">What can be set of one. A scheme has one more for each role of its site.</param>
/// <param name="Items">The records within one; null where there are none.</param>
public sealed record KindView(string Code, string Name, bool IsNamed, string? ComesWith, IReadOnlyList<SettingView> Fields, ItemsView? Items)
{
    public static KindView Of(ListedKind kind) => new(
        kind.Code, kind.Name, kind is INamedKind, kind.ComesWith, [.. kind.OwnSettings.Select(SettingView.Of)], kind.Items is { } items ? new(items.Name, items.Fewest, items.Most, [.. items.Fields.Select(f => SettingView.Of(f.Setting))]) : null);
}

/// <param name="Name">What one is called.</param>
public sealed record ItemsView(string Name, int Fewest, int Most, IReadOnlyList<SettingView> Fields);
