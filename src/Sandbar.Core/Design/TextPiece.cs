using System.Text.Json;

namespace Sandbar.Core.Design;

/// <summary>Long texts in patches: what is kept of a keystroke in a sheet is the keystroke, not the sheet twice.</summary>
internal static class TextPiece
{
    /// <summary>Texts up to this many characters are kept whole, which is easier to read.</summary>
    private const int Short = 200;

    /// <summary>The piece in which two texts differ; null where neither is long.</summary>
    public static Change? Between(string path, string before, string after)
    {
        if (before.Length <= Short && after.Length <= Short) return null;
        var start = before.AsSpan().CommonPrefixLength(after);
        // Half a character is no text.
        if (start > 0 && char.IsHighSurrogate(before[start - 1])) start--;
        var end = 0;
        var most = Math.Min(before.Length, after.Length) - start;
        while (end < most && before[^(end + 1)] == after[^(end + 1)]) end++;
        if (end > 0 && char.IsLowSurrogate(before[^end])) end--;
        return new(path, Json(before[start..^end]), Json(after[start..^end]), start);

        static JsonElement Json(string piece) => JsonSerializer.SerializeToElement(piece, SiteJson.Options);
    }

    /// <summary>A text with a piece of it replaced.</summary>
    /// <exception cref="InvalidDataException">The piece does not stand there.</exception>
    public static string Replaced(string? text, int at, string before, string after)
    {
        if (text is null || at < 0 || at > text.Length || !text.AsSpan(at).StartsWith(before, StringComparison.Ordinal)) throw new InvalidDataException("The patch is of another text.");
        return string.Concat(text.AsSpan(0, at), after, text.AsSpan(at + before.Length));
    }
}
