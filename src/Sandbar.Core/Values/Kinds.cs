using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>Every kind a value can refer to. A description is found by being there: a new kind needs no entry here.</summary>
public static class Kinds
{
    public static readonly ImmutableArray<ReferenceKind> All = [.. Described.AllOf<ReferenceKind>().OrderBy(k => k.Step).ThenBy(k => k.Code, StringComparer.Ordinal)];

    private static readonly Dictionary<string, ReferenceKind> ByCode = All.ToDictionary(k => k.Code, StringComparer.Ordinal);

    private static readonly ImmutableArray<ListedKind> ListedKinds = [.. All.OfType<ListedKind>()];

    /// <summary>The kinds whose things stand in lists of the site.</summary>
    public static ImmutableArray<ListedKind> AllListed => ListedKinds;

    public static ReferenceKind? Find(string code) => ByCode.GetValueOrDefault(code);

    /// <exception cref="KeyNotFoundException">There is no such kind.</exception>
    public static ReferenceKind Of(ReferenceValue reference) => Find(reference.To) ?? throw new KeyNotFoundException($"No kind {reference.To}.");

    public static ListedKind? FindListed(string code) => Find(code) as ListedKind;

    /// <exception cref="KeyNotFoundException">There is no such kind, or its things stand in no list.</exception>
    public static ListedKind Listed(string code) => FindListed(code) ?? throw new KeyNotFoundException($"No listed kind {code}.");

    /// <summary>Whether a reference leads to something that is there.</summary>
    public static bool Leads(Site site, ReferenceValue reference) => Find(reference.To) is { } kind && kind.Leads(site, reference);
}

/// <summary>Descriptions found by their type.</summary>
internal static class Described
{
    /// <summary>One of each class of this assembly that derives from a description and can be made.</summary>
    public static IEnumerable<T> AllOf<T>() => typeof(T).Assembly.GetTypes()
        .Where(t => t is { IsAbstract: false, ContainsGenericParameters: false } && t.IsSubclassOf(typeof(T)) && t.GetConstructor(Type.EmptyTypes) is not null)
        .Select(t => (T)Activator.CreateInstance(t)!);
}
