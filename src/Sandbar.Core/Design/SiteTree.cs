using System.Collections;
using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Sandbar.Css;

namespace Sandbar.Core.Design;

/// <summary>The site's records as one tree: nodes by property, lists by id, maps by key, all else leaves.</summary>
internal static class SiteTree
{
    private const string Order = "#";

    private static readonly ConcurrentDictionary<Type, PropertyInfo[]> Shapes = [];

    private static readonly ConcurrentDictionary<Type, MethodInfo> Clones = [];

    public static bool Same(JsonElement? a, JsonElement? b) => a is { } x && b is { } y ? JsonElement.DeepEquals(x, y) : a is null && b is null;

    public static void Compare(string path, object? before, object? after, Type type, ImmutableArray<Change>.Builder changes)
    {
        if (ReferenceEquals(before, after)) return;
        if (before is not null && after is not null)
        {
            if (typeof(INode).IsAssignableFrom(type))
            {
                foreach (var property in Shape(type))
                    Compare($"{path}/{Name(property)}", property.GetValue(before), property.GetValue(after), property.PropertyType, changes);
                return;
            }
            if (IsList(type, out var item))
            {
                CompareLists(path, (IList)before, (IList)after, item, changes);
                return;
            }
            if (IsMap(type, out var value))
            {
                CompareMaps(path, (IDictionary)before, (IDictionary)after, value, changes);
                return;
            }
        }
        if (before is string earlier && after is string later)
        {
            if (earlier == later) return;
            if (TextPiece.Between(path, earlier, later) is { } piece)
            {
                changes.Add(piece);
                return;
            }
        }
        JsonElement? a = Json(before, type), b = Json(after, type);
        if (!Same(a, b)) changes.Add(new(path, a, b));
    }

    private static JsonElement? Get(object? node, Type type, ReadOnlySpan<string> path)
    {
        if (path.Length == 0 || node is null) return Json(node, type);
        if (typeof(INode).IsAssignableFrom(type))
        {
            var property = Property(type, path[0]);
            return Get(property.GetValue(node), property.PropertyType, path[1..]);
        }
        if (IsList(type, out var item))
        {
            if (path[0] == Order) return Json(Ids((IList)node), typeof(string[]));
            return Get(Find((IList)node, path[0]), item, path[1..]);
        }
        return IsMap(type, out var value) ? Get(At((IDictionary)node, path[0]), value, path[1..]) : throw Nowhere(path[0]);
    }

    /// <summary>The site with a change made.</summary>
    public static Site Apply(Site site, Change change) => (Site)Set(site, typeof(Site), Segments(change.Path), change)!;

    /// <summary>The value at the path of a change.</summary>
    public static JsonElement? At(Site site, Change change) => Get(site, typeof(Site), Segments(change.Path));

    private static string[] Segments(string path) => path.Split('/')[1..];

    private static object? Set(object? node, Type type, ReadOnlySpan<string> path, Change change)
    {
        if (path.Length == 0)
        {
            return change.At is { } at ? TextPiece.Replaced((string?)node, at, change.Before!.Value.GetString()!, change.After!.Value.GetString()!)
                : change.After is { } json ? json.Deserialize(type, SiteJson.Options)
                : null;
        }
        if (node is null) throw Nowhere(path[0]);
        if (typeof(INode).IsAssignableFrom(type))
        {
            var property = Property(type, path[0]);
            var inner = Set(property.GetValue(node), property.PropertyType, path[1..], change);
            var copy = Clones.GetOrAdd(type, t => t.GetMethod("<Clone>$", BindingFlags.Instance | BindingFlags.Public | BindingFlags.DeclaredOnly)!).Invoke(node, null)!;
            property.SetValue(copy, inner);
            return copy;
        }
        if (IsList(type, out var item)) return SetInList((IList)node, item, path, change);
        if (!IsMap(type, out var value)) throw Nowhere(path[0]);
        var map = (IDictionary)node;
        var set = Set(At(map, path[0]), value, path[1..], change);
        return set is null
            ? type.GetMethod("Remove", [typeof(string)])!.Invoke(map, [path[0]])
            : type.GetMethod("SetItem", [typeof(string), value])!.Invoke(map, [path[0], set]);
    }

    /// <summary>Whether JSON has every member of every node. Leaves are not looked at: patches replace them whole.</summary>
    public static bool IsSaid(object? node, Type type, JsonNode? json)
    {
        if (node is null || json is null) return node is null;
        if (typeof(INode).IsAssignableFrom(type)) return Array.TrueForAll(Shape(type), p => IsSaid(p.GetValue(node), p.PropertyType, json[Name(p)]));
        if (!IsList(type, out var item)) return true;
        var list = (IList)node;
        for (var i = 0; i < list.Count; i++)
        {
            if (!IsSaid(list[i], item, json[i])) return false;
        }
        return true;
    }

    /// <summary>The paths at which a list or a map holds nothing where something must be: what a file says that nobody wrote.</summary>
    public static IEnumerable<string> Holes(object? node, string path = "")
    {
        switch (node)
        {
            case null:
                return [path];
            case string:
                return [];
            case Value value:
                return value.Inner.Any(inner => inner is null) ? [path] : value.Inner.SelectMany(inner => Holes(inner, path));
            case IDictionary map:
                return map.Keys.Cast<string>().SelectMany(key => Holes(map[key], $"{path}/{key}"));
            case IEnumerable list:
                return list.Cast<object?>().SelectMany((item, i) => Holes(item, $"{path}/{(item is IListed listed ? listed.Id : i)}"));
            case INode:
                return Shape(node.GetType()).Select(p => (Property: p, Held: p.GetValue(node))).Where(p => p.Held is not null).SelectMany(p => Holes(p.Held, $"{path}/{Name(p.Property)}"));
            default:
                return [];
        }
    }

    private static void CompareLists(string path, IList before, IList after, Type item, ImmutableArray<Change>.Builder changes)
    {
        if (before.Count == after.Count && before.Cast<object>().Zip(after.Cast<object>()).All(p => ReferenceEquals(p.First, p.Second))) return;
        var earlier = before.Cast<IListed>().ToDictionary(i => i.Id, StringComparer.Ordinal);
        var later = after.Cast<IListed>().ToDictionary(i => i.Id, StringComparer.Ordinal);
        foreach (var (id, node) in earlier) Compare($"{path}/{id}", node, later.GetValueOrDefault(id), item, changes);
        foreach (var (id, node) in later.Where(l => !earlier.ContainsKey(l.Key))) Compare($"{path}/{id}", null, node, item, changes);
        string[] a = Ids(before), b = Ids(after);
        if (!a.SequenceEqual(b, StringComparer.Ordinal)) changes.Add(new($"{path}/{Order}", Json(a, typeof(string[])), Json(b, typeof(string[]))));
    }

    private static void CompareMaps(string path, IDictionary before, IDictionary after, Type value, ImmutableArray<Change>.Builder changes)
    {
        foreach (var key in before.Keys.Cast<string>().Union(after.Keys.Cast<string>(), StringComparer.Ordinal))
            Compare($"{path}/{key}", At(before, key), At(after, key), value, changes);
    }

    private static object SetInList(IList list, Type item, ReadOnlySpan<string> path, Change change)
    {
        var items = list.Cast<object>().ToList();
        if (path[0] == Order)
        {
            var ids = change.After?.Deserialize<string[]>(SiteJson.Options) ?? [];
            // Items that the order does not name (added meanwhile by somebody else) keep their place at the end.
            items = [.. items.OrderBy(i => Array.IndexOf(ids, ((IListed)i).Id) is var n && n < 0 ? int.MaxValue : n)];
        }
        else
        {
            var id = path[0];
            var index = items.FindIndex(i => ((IListed)i).Id == id);
            if (index < 0 && path.Length > 1) return list;
            var set = Set(index < 0 ? null : items[index], item, path[1..], change);
            if (set is null)
            {
                if (index >= 0) items.RemoveAt(index);
            }
            else if (index < 0)
            {
                items.Add(set);
            }
            else
            {
                items[index] = set;
            }
        }
        var array = Array.CreateInstance(item, items.Count);
        for (var i = 0; i < items.Count; i++) array.SetValue(items[i], i);
        return typeof(ImmutableCollectionsFrom).GetMethod(nameof(ImmutableCollectionsFrom.Array))!.MakeGenericMethod(item).Invoke(null, [array])!;
    }

    private static PropertyInfo[] Shape(Type type) =>
        Shapes.GetOrAdd(type, t => [.. t.GetProperties().Where(p => p.CanWrite && p.GetIndexParameters().Length == 0)]);

    private static PropertyInfo Property(Type type, string name) => Array.Find(Shape(type), p => Name(p) == name) ?? throw Nowhere(name);

    private static string Name(PropertyInfo property) => JsonNamingPolicy.CamelCase.ConvertName(property.Name);

    private static bool IsList(Type type, out Type item)
    {
        item = type.IsGenericType && type.GetGenericTypeDefinition() == typeof(ImmutableArray<>) ? type.GetGenericArguments()[0] : typeof(object);
        return typeof(IListed).IsAssignableFrom(item);
    }

    private static bool IsMap(Type type, out Type value)
    {
        var isMap = type.IsGenericType && type.GetGenericTypeDefinition() == typeof(ImmutableSortedDictionary<,>);
        value = isMap ? type.GetGenericArguments()[1] : typeof(object);
        return isMap;
    }

    private static object? At(IDictionary map, string key) => map.Contains(key) ? map[key] : null;

    private static object? Find(IList list, string id) => list.Cast<IListed>().FirstOrDefault(i => i.Id == id);

    private static string[] Ids(IList list) => [.. list.Cast<IListed>().Select(i => i.Id)];

    private static JsonElement? Json(object? value, Type type) => value is null ? null : JsonSerializer.SerializeToElement(value, type, SiteJson.Options);

    private static InvalidDataException Nowhere(string name) => new($"The patch names {Quoted.Text(name)}, which this site does not have.");

    private static class ImmutableCollectionsFrom
    {
        public static ImmutableArray<T> Array<T>(T[] items) => [.. items];
    }
}
