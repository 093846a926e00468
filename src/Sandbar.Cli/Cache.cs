namespace Sandbar.Cli;

/// <summary>What was made of a file last: many lines ask about the same one. It is kept for as long as the file is as it was.</summary>
internal sealed class Cache<T>(Func<byte[], T> make)
{
    private (string Path, DateTime Written, T Made)? last;

    /// <exception cref="FormatException">The file cannot be read.</exception>
    public T Of(string path)
    {
        var written = JsonLines.WrittenAt(path);
        if (last is { } known && known.Path == path && known.Written == written) return known.Made;
        var made = make(JsonLines.FileBytes(path));
        last = (path, written, made);
        return made;
    }
}
