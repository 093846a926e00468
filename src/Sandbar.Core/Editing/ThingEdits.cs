using System.Collections.Immutable;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Core.Editing;

/// <summary>Adds a thing of the foundations: a colour, a text style, a stop of a gradient.</summary>
/// <param name="Of">Code of its kind.</param>
/// <param name="Id">Its new id.</param>
/// <param name="Name">Its name; null for what has none of its own.</param>
/// <param name="Like">Id of the one it begins as; null for a new one.</param>
/// <param name="Values">What is set of it at once, as typed, by field.</param>
/// <param name="In">Id of the thing it is added in, where it is an item of one.</param>
public sealed record AddThing(string Of, string Id, string? Name = null, string? Like = null, IReadOnlyDictionary<string, string>? Values = null, string? In = null) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place) return ThingPlace.Gone;
        if (place.IsFixed) return new Problem("/of", $"There is no more than one {place.Called} of each sort.");
        if (!place.IsItems && place.Kind.ComesWith is { } comes) return new Problem("/of", comes);
        var all = place.All;
        if (Names.CheckId(Id, all.Any(t => t.Id == Id), "/id") is { } badId) return badId;
        var like = Like is null ? null : all.FirstOrDefault(t => t.Id == Like);
        if (Like is not null && like is null) return new Problem("/like", $"This {place.Called} is no longer there.");
        var thing = like is null ? place.New(Id) : place.Copy(like, Id);
        if (thing is INamed named)
        {
            if (Naming.Check(site, place.Kind, Id, Name ?? "") is { } badName) return badName;
            thing = ((INamedKind)place.Kind).Called(site, named, Name!);
        }
        // What it begins with may refer to others by name: the site it is read against is the one without it.
        foreach (var (field, text) in Values ?? ImmutableDictionary<string, string>.Empty)
        {
            var (changed, problem) = place.Read(thing, field, text, $"/values/{field}");
            if (problem is not null) return problem;
            thing = changed!;
        }
        var at = like is null ? all.Length : all.IndexOf(like) + 1;
        return place.Settled(place.With(all.Insert(at, thing)), Id, field => $"/values/{field}");
    }

    public override string Describe(Site site) =>
        ThingPlace.Find(site, Of, In) is { } place ? place.IsItems ? $"{place.OwnerName} · {place.Called} added" : $"{Name?.Trim() ?? place.Called} added" : "Added";
}

/// <summary>Sets one thing about a thing of the foundations.</summary>
/// <param name="Text">As typed.</param>
/// <param name="In">Id of the thing it is an item of.</param>
public sealed record SetThing(string Of, string Id, string Field, string Text, string? In = null) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place || place.Find(Id) is not { } thing) return ThingPlace.Gone;
        var (changed, problem) = place.Read(thing, Field, Text, "/text");
        return problem is not null ? problem : place.Settled(place.With(place.All.Replace(thing, changed!)), Id, _ => "/text");
    }

    public override string Describe(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place || place.Find(Id) is not { } thing) return $"→ {Text.Trim()}";
        var fields = place.Fields;
        var field = fields.FirstOrDefault(f => f.Id == Field)?.Setting.Name.ToLowerInvariant();
        // What a colour is, is its colour.
        return fields.Count == 1 || Field == Of || field is null ? $"{place.NameOf(thing)} → {Text.Trim()}" : $"{place.NameOf(thing)} · {field} → {Text.Trim()}";
    }
}

/// <summary>Renames a thing of the foundations, in the overrides' <c>var()</c> too.</summary>
public sealed record RenameThing(string Of, string Id, string Name) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (ThingPlace.Find(site, Of, null) is not { } place || place.Find(Id) is not { } thing) return ThingPlace.Gone;
        if (thing is not INamed named) return new Problem("/of", $"The name of {Sentence.A(place.Called)} is its place.");
        if (Naming.Check(site, place.Kind, Id, Name) is { } bad) return bad;
        return place.Settled(place.With(place.All.Replace(thing, ((INamedKind)place.Kind).Called(site, named, Name))), Id, _ => "/name");
    }

    public override string Describe(Site site) =>
        $"{(ThingPlace.Find(site, Of, null) is { } place && place.Find(Id) is { } thing ? place.NameOf(thing) : "Thing")} renamed to {Name.Trim()}";
}

/// <summary>Moves a thing of the foundations within its list.</summary>
/// <param name="To">The place it comes to, from 0.</param>
public sealed record MoveThing(string Of, string Id, int To, string? In = null) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place || place.Find(Id) is not { } thing) return ThingPlace.Gone;
        var all = place.All;
        if (place.IsFixed || To < 0 || To >= all.Length) return new Problem("/to", $"There {(all.Length == 1 ? "is 1 place" : $"are {all.Length} places")}.");
        return place.Settled(place.With(all.Remove(thing).Insert(To, thing)), Id, _ => "/to");
    }

    public override string Describe(Site site) => $"{(ThingPlace.Find(site, Of, In) is { } place && place.Find(Id) is { } thing ? place.NameOf(thing) : "Thing")} moved";
}

/// <summary>Takes a thing of the foundations away. What is in use goes only if something takes its place.</summary>
/// <param name="By">Id of the one that takes its place wherever it is used; null where nothing uses it.</param>
public sealed record RemoveThing(string Of, string Id, string? By = null, string? In = null) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place || place.Find(Id) is not { } thing) return ThingPlace.Gone;
        if (place.IsFixed || place.All.Length <= place.Fewest) return new Problem("/id", $"{place.NameOf(thing)} cannot go: at least {place.Fewest} {place.Called}{(place.Fewest == 1 ? " stays" : "s stay")}.");
        if (!place.IsItems)
        {
            if (place.Kind.Stays(site, thing) is { } stays) return new Problem("/id", stays);
            var uses = Uses.Of(site, Of, Id);
            if (By is not null)
            {
                if (By == Id || place.Find(By) is null) return new Problem("/by", $"Choose another {place.Called} to take its place.");
                var replaced = Uses.Replaced(site, place.Kind, Id, By);
                if (ProblemOfUsers(site, replaced) is { } wrong) return new Problem("/by", $"{place.NameOf(place.Find(By)!)} cannot take its place. {wrong.Message}");
                site = replaced;
                place = ThingPlace.Find(site, Of, In)!;
                thing = place.Find(Id)!;
            }
            else if (uses.Count > 0)
            {
                return new Problem("/id", $"{place.NameOf(thing)} is in use: {Sentence.Some(uses.Select(u => u.Words), 3)}. Change these first, or choose what takes its place.");
            }
        }
        return place.Settled(place.With(place.All.Remove(thing)), null, _ => "/id");
    }

    public override string Describe(Site site)
    {
        if (ThingPlace.Find(site, Of, In) is not { } place || place.Find(Id) is not { } thing) return "Removed";
        return By is not null && place.Find(By) is { } by ? $"{place.NameOf(thing)} replaced by {place.NameOf(by)}" : $"{place.NameOf(thing)} removed";
    }

    /// <summary>What is wrong with a thing that refers to the one which took the place; null where nothing is.</summary>
    private static Problem? ProblemOfUsers(Site before, Site after)
    {
        var users = from kind in Kinds.AllListed
                    from thing in kind.Things(after)
                    where !ReferenceEquals(thing, kind.Find(before, thing.Id))
                    from problem in ThingCheck.Problems(after, kind, thing)
                    select problem;
        return users.FirstOrDefault();
    }
}
