using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>Finding and replacing listed nodes by id.</summary>
public static class Lookup
{
    public static T? Find<T>(this ImmutableArray<T> list, string id)
        where T : class, IListed
    {
        foreach (var item in list)
        {
            if (item.Id == id) return item;
        }
        return null;
    }

    /// <exception cref="KeyNotFoundException">There is none: the site is broken.</exception>
    public static T Get<T>(this ImmutableArray<T> list, string id)
        where T : class, IListed =>
        list.Find(id) ?? throw new KeyNotFoundException($"No {typeof(T).Name} {id}.");

    /// <summary>The list with the item of the same id replaced.</summary>
    public static ImmutableArray<T> Put<T>(this ImmutableArray<T> list, T item)
        where T : class, IListed =>
        list.SetItem(list.IndexOf(list.Get(item.Id)), item);
}
