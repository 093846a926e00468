using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;

namespace Sandbar.Server;

/// <summary>A branch of what the windows show that is another than before.</summary>
/// <param name="Path">Names, ids and keys from the site down, each after a slash.</param>
/// <param name="Value">What it is now; null where it is gone.</param>
/// <param name="Order">Of a list whose things came, went or moved: all their ids in order.</param>
public sealed record ViewChange(string Path, JsonElement? Value, IReadOnlyList<string>? Order);

/// <summary>How what a window shows differs from one version to the next: records by property, lists of things by id, all else whole.</summary>
internal static class ViewChanges
{
    private static readonly ConcurrentDictionary<Type, PropertyInfo[]> Shapes = [];

    private static readonly ConcurrentDictionary<Type, PropertyInfo?> Ids = [];

    private static readonly JsonSerializerOptions Json = Core.Design.SiteJson.Configure(new());

    public static IReadOnlyList<ViewChange> Between(Head before, Head after)
    {
        if (ReferenceEquals(before, after)) return [];
        var changes = new List<ViewChange>();
        Compare("", before.View, after.View, changes);
        return changes;
    }

    private static void Compare(string path, object? before, object? after, List<ViewChange> changes)
    {
        if (Equals(before, after)) return;
        switch (before, after)
        {
            case (IDictionary a, IDictionary b):
                foreach (var key in a.Keys.Cast<string>().Union(b.Keys.Cast<string>(), StringComparer.Ordinal)) Compare($"{path}/{Escaped(key)}", a.Contains(key) ? a[key] : null, b.Contains(key) ? b[key] : null, changes);
                break;
            case (IList a, IList b) when IdOf(a, b) is { } id:
                Compare(path, a, b, id, changes);
                break;
            case (IList a, IList b) when a.Count == b.Count && a.Cast<object>().Zip(b.Cast<object>()).All(pair => IsSame(pair.First, pair.Second)):
                break;
            case (not null, not null) when before is not (string or IList) && !before.GetType().IsValueType && before.GetType() == after.GetType():
                foreach (var property in Shapes.GetOrAdd(before.GetType(), t => [.. t.GetProperties().Where(p => p.CanWrite)]))
                    Compare($"{path}/{JsonNamingPolicy.CamelCase.ConvertName(property.Name)}", property.GetValue(before), property.GetValue(after), changes);
                break;
            default:
                changes.Add(new(path, after is null ? null : JsonSerializer.SerializeToElement(after, after.GetType(), Json), null));
                break;
        }
    }

    private static bool IsSame(object? a, object? b)
    {
        var changes = new List<ViewChange>();
        Compare("", a, b, changes);
        return changes.Count == 0;
    }

    private static void Compare(string path, IList before, IList after, PropertyInfo id, List<ViewChange> changes)
    {
        string Id(object thing) => (string)id.GetValue(thing)!;
        var earlier = before.Cast<object>().ToDictionary(Id, StringComparer.Ordinal);
        foreach (var thing in after)
        {
            var key = Id(thing);
            Compare($"{path}/{Escaped(key)}", earlier.GetValueOrDefault(key), thing, changes);
        }
        List<string> a = [.. before.Cast<object>().Select(Id)], b = [.. after.Cast<object>().Select(Id)];
        if (!a.SequenceEqual(b, StringComparer.Ordinal)) changes.Add(new(path, null, b));
    }

    /// <summary>The id of what a list holds; null where that has none.</summary>
    private static PropertyInfo? IdOf(IList a, IList b) => (a.Count > 0 ? a[0] : b.Count > 0 ? b[0] : null) is { } item
        ? Ids.GetOrAdd(item.GetType(), t => t.GetProperty("Id") is { } p && p.PropertyType == typeof(string) ? p : null)
        : null;

    /// <summary>Ids of fields may hold slashes (JSON Pointer, RFC 6901, §3).</summary>
    private static string Escaped(string key) => key.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal);
}
