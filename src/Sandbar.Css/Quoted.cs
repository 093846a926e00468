namespace Sandbar.Css;

/// <summary>What was typed, or read from a file, as sentences quote it.</summary>
public static class Quoted
{
    private const int Longest = 60;

    /// <summary>“text”, as <see cref="Line"/> writes it.</summary>
    public static string Text(string text) => $"“{Line(text)}”";

    /// <summary>On one line, cut after 60 characters; spaces and line ends run together, other control characters become �.</summary>
    public static string Line(string text)
    {
        var words = (text.Length > 4 * Longest ? text[..(4 * Longest)] : text).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var line = string.Concat(string.Join(' ', words).Select(c => char.IsControl(c) ? '\uFFFD' : c));
        return line.Length > Longest || text.Length > 4 * Longest ? $"{line[..Math.Min(line.Length, Longest - 1)]}…" : line;
    }
}
