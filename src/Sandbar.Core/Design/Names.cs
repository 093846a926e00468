using System.Text.RegularExpressions;
using AnyAscii;
using Sandbar.Css;

namespace Sandbar.Core.Design;

/// <summary>What names must be like.</summary>
public static partial class Names
{
    private const int Longest = 60;

    /// <summary>Whether a text can be the hidden id of a thing: it stands in file names, selectors and paths.</summary>
    public static bool IsId(string id) => Id().IsMatch(id);

    /// <summary>What is wrong with the id of something new; null when nothing is.</summary>
    public static Problem? CheckId(string id, bool isTaken, string path) =>
        !IsId(id) ? new(path, "An id is letters, digits and hyphens.") : isTaken ? new(path, "This was added already.") : null;

    /// <summary>What is wrong with a name among others of its kind; null when nothing is.</summary>
    public static Problem? Check(string name, IEnumerable<string> others, string path = "/name")
    {
        if (string.IsNullOrWhiteSpace(name)) return new(path, "Give it a name.");
        if (name.Length > Longest) return new(path, $"A name has at most {Longest} characters.");
        if (name.Any(char.IsControl)) return new(path, "A name is a single line of text.");
        return others.Any(o => o.Equals(name.Trim(), StringComparison.OrdinalIgnoreCase)) ? new(path, $"{Quoted.Text(name.Trim())} is taken. Choose another name.") : null;
    }

    /// <summary>A name out of what a file or somebody else says: one line, cut where it is too long, but never inside a character; empty where it says nothing.</summary>
    public static string Cut(string said)
    {
        var line = new string([.. said.Where(c => !char.IsControl(c))]).Trim();
        // Numbers that tell it from others have room after it.
        return line.Length <= Longest - 10 ? line : line[..(char.IsHighSurrogate(line[Longest - 11]) ? Longest - 11 : Longest - 10)].Trim();
    }

    /// <summary>Whether a text can be a CSS name or an address: lower-case letters, digits and hyphens.</summary>
    public static bool IsSlug(string text) => SlugForm().IsMatch(text);

    /// <summary>A slug for a name: lower-case letters, digits and hyphens, starting with a letter. Letters of other scripts become those that sound like them.</summary>
    public static string Slug(string name)
    {
        var kept = string.Concat(name.Transliterate().ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-'));
        var slug = string.Join('-', kept.Split('-', StringSplitOptions.RemoveEmptyEntries));
        // A letter may become several.
        if (slug.Length > Longest) slug = slug[..Longest].TrimEnd('-');
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

    [GeneratedRegex(@"^[a-z][a-z0-9-]{0,80}\z")]
    private static partial Regex SlugForm();

    [GeneratedRegex(@"^[A-Za-z0-9][A-Za-z0-9-]{0,80}\z")]
    private static partial Regex Id();
}
