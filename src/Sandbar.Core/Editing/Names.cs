namespace Sandbar.Core.Editing;

/// <summary>What names must be like.</summary>
public static class Names
{
    private const int Longest = 60;

    /// <summary>What is wrong with a name among others of its kind; null when nothing is.</summary>
    public static Problem? Check(string name, IEnumerable<string> others, string path = "/name")
    {
        if (string.IsNullOrWhiteSpace(name)) return new(path, "Give it a name.");
        if (name.Length > Longest) return new(path, $"A name has at most {Longest} characters.");
        if (name.Any(char.IsControl)) return new(path, "A name is a single line of text.");
        return others.Any(o => o.Equals(name.Trim(), StringComparison.OrdinalIgnoreCase)) ? new(path, $"“{name.Trim()}” is taken. Choose another name.") : null;
    }
}
