using System.Collections.Frozen;
using System.Text.Json;

namespace Sandbar.Css.Syntax;

/// <summary>The names of CSS properties. Source: css-tree, written by scripts/make-css-data.mjs.</summary>
public static class PropertyNames
{
    /// <summary>Edits of a letter up to which a name is taken for a slip of another.</summary>
    private const int Slip = 2;

    private static readonly FrozenSet<string> Names;

    static PropertyNames()
    {
        using var document = JsonDocument.Parse(EmbeddedFile.Read(typeof(PropertyNames).Assembly, "property-names.json"));
        Names = document.RootElement.GetProperty("names").EnumerateArray().Select(n => n.GetString()!).ToFrozenSet(StringComparer.OrdinalIgnoreCase);
    }

    /// <summary>Whether a name can be declared: a property, a custom one, or one of a browser's own, which only that browser can judge.</summary>
    public static bool IsKnown(string name) => name.StartsWith('-') || Names.Contains(name);

    /// <summary>The property a name is most likely a slip of; null where none is near.</summary>
    public static string? Nearest(string name)
    {
        var lower = name.ToLowerInvariant();
        var (nearest, distance) = Names.Where(n => Math.Abs(n.Length - lower.Length) <= Slip).Select(n => (Name: n, Distance: Distance(lower, n)))
            .OrderBy(n => n.Distance).ThenBy(n => n.Name, StringComparer.Ordinal).FirstOrDefault((Name: "", Distance: int.MaxValue));
        return distance <= Slip ? nearest : null;
    }

    /// <summary>How many letters must be put in, taken out, changed or swapped with their neighbour (optimal string alignment).</summary>
    private static int Distance(string a, string b)
    {
        var table = new int[a.Length + 1, b.Length + 1];
        for (var i = 0; i <= a.Length; i++) table[i, 0] = i;
        for (var j = 0; j <= b.Length; j++) table[0, j] = j;
        for (var i = 1; i <= a.Length; i++)
        {
            for (var j = 1; j <= b.Length; j++)
            {
                var cost = a[i - 1] == b[j - 1] ? 0 : 1;
                table[i, j] = Math.Min(Math.Min(table[i - 1, j] + 1, table[i, j - 1] + 1), table[i - 1, j - 1] + cost);
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1]) table[i, j] = Math.Min(table[i, j], table[i - 2, j - 2] + 1);
            }
        }
        return table[a.Length, b.Length];
    }
}
