using System.Collections.Immutable;
using System.Runtime.InteropServices;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A kind whose things stand in a list of the site. What edits, checks and lists of uses need to know of it stands here and nowhere else.</summary>
public abstract class ListedKind : ReferenceKind
{
    /// <summary>Where the list stands in the site: <c>/palette/colors</c>.</summary>
    public abstract string Path { get; }

    /// <summary>How many there must be.</summary>
    public virtual int Fewest => 0;

    public virtual int Most => 500;

    /// <summary>Whether there are always the same ones.</summary>
    public virtual bool IsFixed => false;

    /// <summary>A list within each of its things; null where there is none.</summary>
    public virtual Items? Items => null;

    public abstract ImmutableArray<IListed> Things(Site site);

    public IListed? Find(Site site, string id)
    {
        foreach (var thing in Things(site))
        {
            if (thing.Id == id) return thing;
        }
        return null;
    }

    /// <exception cref="KeyNotFoundException">There is none: the site is broken.</exception>
    public IListed Get(Site site, string id) => Find(site, id) ?? throw new KeyNotFoundException($"No {Name} {id}.");

    /// <summary>The site with other things of this kind.</summary>
    public abstract Site With(Site site, IEnumerable<IListed> things);

    /// <summary>The site with the thing of the same id replaced.</summary>
    public abstract Site Put(Site site, IListed thing);

    /// <summary>What can be set of one.</summary>
    public abstract IReadOnlyList<Field> Fields(Site site);

    /// <summary>Whether custom properties stand for its things.</summary>
    public virtual bool HasTokens => true;

    /// <summary>Whether one stands for this very thing.</summary>
    public virtual bool HasToken(IListed thing) => HasTokens;

    /// <summary>The settings of its fields that do not depend on a site.</summary>
    public abstract IEnumerable<Setting> OwnSettings { get; }

    /// <summary>A field that does not depend on a site.</summary>
    public abstract Field OwnField(string id);

    /// <summary>The settings of its fields and of its items.</summary>
    public IEnumerable<Setting> AllSettings => OwnSettings.Concat((Items?.Fields ?? []).Select(f => f.Setting));

    public Field? Field(Site site, string id) => Fields(site).FirstOrDefault(f => f.Id == id);

    /// <summary>A new one, before anything is set.</summary>
    public abstract IListed New(Site site, string id);

    /// <summary>One like another, with an id of its own.</summary>
    public abstract IListed Copy(IListed thing, string id);

    /// <summary>What it is called.</summary>
    public abstract string NameOf(Site site, IListed thing);

    /// <summary>What is typed where one of that name is meant.</summary>
    public virtual string Typed(string name) => name;

    /// <summary>Why none can be added by itself; null where one can.</summary>
    public virtual string? ComesWith => null;

    /// <summary>A use by a field of one, in words.</summary>
    public virtual string UseName(Site site, IListed thing, Field field) => NameOf(site, thing);

    /// <summary>What fits a field of this very thing; null where it is what fits any.</summary>
    public virtual IEnumerable<string>? Suggested(Site site, IListed thing, Field field) => null;

    /// <summary>What a designer should know of a field of a thing; empty where there is nothing to say.</summary>
    public virtual string Note(Site site, IListed thing, Field field) => "";

    /// <summary>The same of a field of one of its items.</summary>
    public virtual string ItemNote(Site site, IListed item, Field field) => "";

    /// <summary>What is wrong with one besides its fields, its items and its name: path within it, and a sentence.</summary>
    public virtual IEnumerable<Problem> Problems(Site site, IListed thing) => [];

    /// <summary>Why one does not take what was just typed for a field, though a site may hold it: what it refers to may change later. Null where it does.</summary>
    public virtual string? Refuses(Site site, IListed thing, Field field) => null;

    /// <summary>Why one cannot go whatever refers to it; null where it can.</summary>
    public virtual string? Stays(Site site, IListed thing) => null;

    /// <summary>The site with all that follows from a change to its things.</summary>
    public virtual Site Settled(Site site) => site;

    /// <summary>The thing with every value in it changed.</summary>
    public IListed Map(Site site, IListed thing, Func<Value, Value> change)
    {
        thing = MapFields(Fields(site), thing, change);
        if (Items is not { } items) return thing;
        var (before, after) = (items.Of(thing), items.Of(thing).Each(item => MapFields(items.Fields, item, change)));
        return before == after ? thing : items.With(thing, after);
    }

    /// <summary>Its values: of its fields, then of its items, each with the path within the thing.</summary>
    public IEnumerable<(string Path, Field Field, Value Value)> Values(Site site, IListed thing)
    {
        foreach (var field in Fields(site)) yield return ($"/{field.Id}", field, field.Get(thing));
        if (Items is not { } items) yield break;
        foreach (var item in items.Of(thing))
        {
            foreach (var field in items.Fields) yield return ($"/{items.Name}s/{item.Id}/{field.Id}", field, field.Get(item));
        }
    }

    private static IListed MapFields(IEnumerable<Field> fields, IListed thing, Func<Value, Value> change)
    {
        foreach (var field in fields)
        {
            var value = field.Get(thing);
            var changed = value.Map(change);
            if (!ReferenceEquals(changed, value)) thing = field.With(thing, changed);
        }
        return thing;
    }
}

/// <inheritdoc cref="ListedKind"/>
public abstract class ListedKind<T> : ListedKind
    where T : class, IListed
{
    private readonly Lazy<ImmutableArray<Field>> fields;

    protected ListedKind() => fields = new(() => Described());

    public sealed override ImmutableArray<IListed> Things(Site site) => ImmutableArray<IListed>.CastUp(List(site));

    public override object Source(Site site) => ImmutableCollectionsMarshal.AsArray(List(site)) ?? [];

    public sealed override Site With(Site site, IEnumerable<IListed> things) => With(site, [.. things.Cast<T>()]);

    public sealed override Site Put(Site site, IListed thing) => With(site, List(site).Put((T)thing));

    public sealed override IEnumerable<Setting> OwnSettings => fields.Value.Select(f => f.Setting);

    public sealed override Field OwnField(string id) => fields.Value.First(f => f.Id == id);

    public sealed override IListed New(Site site, string id) => Create(site, id);

    public sealed override IListed Copy(IListed thing, string id) => Copied((T)thing, id);

    public override IReadOnlyList<Field> Fields(Site site) => fields.Value;

    public sealed override string NameOf(Site site, IListed thing) => NameOf(site, (T)thing);

    public override bool Leads(Site site, ReferenceValue reference) => (HasSteps ? StepText.IsStep(reference.Step) : reference.Step == 0) && Find(site, reference.Id) is not null;

    public override string NameOf(Site site, ReferenceValue reference) => StepText.With(Typed(NameOf(site, Get(site, reference.Id))), reference.Step);

    public override IEnumerable<string> Names(Site site) => List(site).Select(thing => Typed(NameOf(site, thing)));

    public override ReferenceValue? Read(Site site, string text)
    {
        if (ByName(site, text) is { } exact) return new(Code, exact.Id);
        if (!HasSteps || !StepText.EndsLikeStep(text)) return null;
        var (name, step) = StepText.Read(text);
        return ByName(site, name) is { } stepped ? new(Code, stepped.Id, step) : null;
    }

    public new T Get(Site site, string id) => (T)base.Get(site, id);

    public abstract ImmutableArray<T> List(Site site);

    protected abstract Site With(Site site, ImmutableArray<T> things);

    /// <summary>What can be set of one, in the order it is listed.</summary>
    protected abstract ImmutableArray<Field> Described();

    protected abstract T Create(Site site, string id);

    protected abstract T Copied(T thing, string id);

    protected abstract string NameOf(Site site, T thing);

    /// <summary>Describes a field.</summary>
    protected static Field<T> Of(Setting setting, Func<T, Value> read, Func<T, Value, T> written) => new(setting, read, written);

    private T? ByName(Site site, string name) => List(site).FirstOrDefault(thing => Typed(NameOf(site, thing)).Equals(name, StringComparison.OrdinalIgnoreCase));
}
