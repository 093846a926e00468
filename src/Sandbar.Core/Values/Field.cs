using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A setting of a listed thing.</summary>
public abstract record Field(Setting Setting)
{
    public string Id => Setting.Id;

    public abstract Value Get(IListed thing);

    public abstract IListed With(IListed thing, Value value);
}

/// <inheritdoc cref="Field"/>
public sealed record Field<T>(Setting Setting, Func<T, Value> Read, Func<T, Value, T> Written) : Field(Setting)
    where T : class, IListed
{
    public override Value Get(IListed thing) => Read((T)thing);

    public override IListed With(IListed thing, Value value) => Written((T)thing, value);
}

/// <summary>A list of records within a thing, such as the stops of a gradient.</summary>
public abstract class Items
{
    /// <summary>What one is called.</summary>
    public abstract string Name { get; }

    /// <summary>How many there must be.</summary>
    public abstract int Fewest { get; }

    public abstract int Most { get; }

    public abstract ImmutableArray<Field> Fields { get; }

    public abstract ImmutableArray<IListed> Of(IListed thing);

    public abstract IListed With(IListed thing, IEnumerable<IListed> items);

    /// <summary>An item like another, with an id of its own.</summary>
    public abstract IListed Copy(IListed item, string id);
}

/// <inheritdoc cref="Items"/>
public sealed class Items<T, TItem>(
    string name, (int Fewest, int Most) count, Func<T, ImmutableArray<TItem>> list, Func<T, ImmutableArray<TItem>, T> with, Func<TItem, string, TItem> copy, ImmutableArray<Field> fields) : Items
    where T : class, IListed
    where TItem : class, IListed
{
    public override string Name => name;

    public override int Fewest => count.Fewest;

    public override int Most => count.Most;

    public override ImmutableArray<Field> Fields => fields;

    public override ImmutableArray<IListed> Of(IListed thing) => ImmutableArray<IListed>.CastUp(list((T)thing));

    public override IListed With(IListed thing, IEnumerable<IListed> items) => with((T)thing, [.. items.Cast<TItem>()]);

    public override IListed Copy(IListed item, string id) => copy((TItem)item, id);
}
