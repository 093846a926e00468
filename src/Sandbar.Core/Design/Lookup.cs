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

    /// <summary>A slug for a name: lower-case letters, digits and hyphens, starting with a letter.</summary>
    public static string Slug(string name)
    {
        var decomposed = name.Normalize(System.Text.NormalizationForm.FormD).ToLowerInvariant();
        var kept = string.Concat(decomposed.Where(c => c < 128).Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-'));
        var slug = string.Join('-', kept.Split('-', StringSplitOptions.RemoveEmptyEntries));
        return slug.Length == 0 ? "x" : char.IsAsciiDigit(slug[0]) ? "n" + slug : slug;
    }

    /// <summary>A slug that none of <paramref name="taken"/> is.</summary>
    public static string FreeSlug(string name, IEnumerable<string> taken)
    {
        var used = taken.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var slug = Slug(name);
        for (var n = 2; !used.Add(slug); n++) slug = $"{Slug(name)}-{n}";
        return slug;
    }
}
