namespace Sandbar.Core.Writing;

/// <summary>What was left out of a text that came from elsewhere, counted by kind.</summary>
internal sealed class Dropped
{
    private readonly SortedDictionary<string, (int Count, string One, string Many)> kinds = new(StringComparer.Ordinal);

    /// <param name="many">The same as <paramref name="one"/> where nobody would count.</param>
    public void Add(string one, string many) => kinds[one] = (kinds.GetValueOrDefault(one).Count + 1, one, many);

    /// <summary>In words: "2 pictures", "1 script".</summary>
    public IReadOnlyList<string> Said => [.. kinds.Values.Select(k => k.One == k.Many ? k.One : k.Count == 1 ? $"1 {k.One}" : $"{k.Count} {k.Many}")];
}
