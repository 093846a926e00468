namespace Sandbar.Core.Values;

/// <summary>Pieces of sentences.</summary>
internal static class Sentence
{
    /// <summary>a, b or c.</summary>
    public static string OneOf(IEnumerable<string> words)
    {
        var all = words.ToList();
        return all.Count < 2 ? string.Concat(all) : $"{string.Join(", ", all.SkipLast(1))} or {all[^1]}";
    }

    /// <summary>A noun with its article: a colour, an easing.</summary>
    public static string A(string noun) => $"{("aeiou".Contains(noun[0], StringComparison.OrdinalIgnoreCase) ? "an" : "a")} {noun}";

    /// <summary>Some of them, and how many more there are.</summary>
    public static string Some(IEnumerable<string> words, int most)
    {
        var all = words.Take(most + 1).ToList();
        return all.Count <= most ? string.Join(", ", all) : $"{string.Join(", ", all.Take(most))} and more";
    }
}
