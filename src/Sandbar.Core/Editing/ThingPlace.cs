using System.Collections.Immutable;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Core.Editing;

/// <summary>A list of things that edits change: those of a kind, or the items of one thing.</summary>
internal sealed class ThingPlace
{
    /// <summary>What is said where the thing, or what it stands in, has gone meanwhile.</summary>
    public static readonly Problem Gone = new("/id", "This is no longer there.");

    private readonly Site site;
    private readonly IListed? owner;

    private ThingPlace(Site site, ListedKind kind, IListed? owner) => (this.site, Kind, this.owner) = (site, kind, owner);

    public ListedKind Kind { get; }

    public bool IsItems => owner is not null;

    public bool IsFixed => Kind.IsFixed;

    public int Fewest => owner is null ? Kind.Fewest : Kind.Items!.Fewest;

    /// <summary>What one is called.</summary>
    public string Called => owner is null ? Kind.Name : Kind.Items!.Name;

    public string OwnerName => owner is null ? "" : Kind.NameOf(site, owner);

    public ImmutableArray<IListed> All => owner is null ? Kind.Things(site) : Kind.Items!.Of(owner);

    public IReadOnlyList<Field> Fields => owner is null ? Kind.Fields(site) : Kind.Items!.Fields;

    /// <summary>The list; null where there is no such kind or thing.</summary>
    public static ThingPlace? Find(Site site, string kind, string? owner)
    {
        if (Kinds.FindListed(kind) is not { } listed) return null;
        if (owner is null) return new(site, listed, null);
        return listed.Items is not null && listed.Find(site, owner) is { } thing ? new(site, listed, thing) : null;
    }

    public IListed? Find(string id) => All.FirstOrDefault(t => t.Id == id);

    public IListed New(string id) => owner is null ? Kind.New(site, id) : Kind.Items!.Copy(All[^1], id);

    public IListed Copy(IListed thing, string id) => owner is null ? Kind.Copy(thing, id) : Kind.Items!.Copy(thing, id);

    public string NameOf(IListed thing) => owner is null ? Kind.NameOf(site, thing) : $"{OwnerName} · {Called} {All.IndexOf(thing) + 1}";

    /// <summary>The thing with a field as typed, or what is wrong with it.</summary>
    public (IListed? Thing, Problem? Problem) Read(IListed thing, string field, string text, string path)
    {
        if (Fields.FirstOrDefault(f => f.Id == field) is not { } found) return (null, new("/field", $"There is no such setting of {Sentence.A(Called)}."));
        try
        {
            var changed = found.With(thing, found.Setting.Read(site, text));
            return owner is null && Kind.Refuses(site, changed, found) is { } refusal ? (null, new(path, refusal)) : (changed, null);
        }
        catch (FormatException wrong)
        {
            return (null, new(path, wrong.Message));
        }
    }

    /// <summary>The site with another list in this place.</summary>
    public Site With(ImmutableArray<IListed> list) => owner is null ? Kind.With(site, list) : Kind.Put(site, Kind.Items!.With(owner, list));

    /// <summary>The changed site with what follows from the change, or what is wrong with it.</summary>
    /// <param name="id">Id of what was changed; null where it was taken away.</param>
    /// <param name="path">Where in the edit a field is typed.</param>
    public Outcome Settled(Site changed, string? id, Func<string, string> path)
    {
        changed = Kind.Settled(changed);
        if (Kind.Things(changed).Length > Kind.Most) return new Problem("/id", $"A site has at most {Kind.Most} {Kind.Plural}.");
        // Names in the released sheet follow: what the overrides say of the things stays said of them.
        var (before, after) = (new List<string>(), new List<string>());
        foreach (var thing in Kind.Things(site))
        {
            // Of a thing whose own custom property stays, so do those of its steps.
            if (Kind.Find(changed, thing.Id) is null || OverrideTokens.Plain(site, Kind, thing.Id) == OverrideTokens.Plain(changed, Kind, thing.Id)) continue;
            before.AddRange(OverrideTokens.TokensOf(site, Kind, thing.Id));
            after.AddRange(OverrideTokens.TokensOf(changed, Kind, thing.Id));
        }
        changed = OverrideTokens.Renamed(changed, before, after);
        var whole = owner?.Id ?? id;
        if (whole is null || Kind.Find(changed, whole) is not { } found) return changed;
        if (found is INamed named && Kind.Find(site, whole) is var was && (was as INamed)?.Name != named.Name && ThingCheck.NameProblem(changed, Kind, named) is { } badName)
            return badName with { Path = path("name") };
        return ThingCheck.Problems(changed, Kind, found).FirstOrDefault() is { } problem ? problem with { Path = path(problem.Path.TrimStart('/')) } : changed;
    }
}
