using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>A field of a thing as it is read and typed.</summary>
/// <param name="Note">What a designer should know of it; empty where there is nothing to say.</param>
/// <param name="Names">What fits this very thing; null where it is what fits any.</param>
public sealed record FieldValueView(string Id, string Text, string Note, IReadOnlyList<string>? Names);

/// <param name="Fields">In the order of the kind.</param>
public sealed record ThingItemView(string Id, IReadOnlyList<FieldValueView> Fields);

/// <summary>A thing of the foundations.</summary>
/// <param name="Token">Its custom property; null where it has none.</param>
/// <param name="Uses">Where it is used, in words.</param>
/// <param name="Stays">Why it cannot go; null where it can, if nothing uses it or something takes its place.</param>
public sealed record ThingView(
    string Id, string Name, string? Token, IReadOnlyList<FieldValueView> Fields, IReadOnlyList<ThingItemView>? Items, IReadOnlyList<string> Uses, string? Stays)
{
    /// <summary>The things of every kind, by the kind's code.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<ThingView>> All(Site site) =>
        Kinds.AllListed.ToDictionary(k => k.Code, k => (IReadOnlyList<ThingView>)[.. k.Things(site).Select(thing => Of(site, k, thing))], StringComparer.Ordinal);

    private static ThingView Of(Site site, ListedKind kind, IListed thing) => new(
        thing.Id,
        kind.NameOf(site, thing),
        OverrideTokens.Plain(site, kind, thing.Id),
        [.. kind.Fields(site).Select(f => FieldOf(site, kind, thing, thing, f))],
        kind.Items is { } items ? [.. items.Of(thing).Select(item => new ThingItemView(item.Id, [.. items.Fields.Select(f => FieldOf(site, kind, thing, item, f))]))] : null,
        [.. Core.Foundations.Uses.Of(site, kind.Code, thing.Id).Select(u => u.Words)],
        kind.Stays(site, thing));

    private static FieldValueView FieldOf(Site site, ListedKind kind, IListed thing, IListed holder, Field field) => new(
        field.Id, field.Setting.Write(site, field.Get(holder)),
        ReferenceEquals(thing, holder) ? kind.Note(site, thing, field) : kind.ItemNote(site, holder, field),
        ReferenceEquals(thing, holder) && kind.Suggested(site, thing, field) is { } names ? [.. names] : null);
}
