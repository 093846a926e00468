namespace Sandbar.Css.Syntax;

/// <summary>Something in a sheet that does not parse: where (UTF-16 offsets), and a sentence for the designer.</summary>
public sealed record SyntaxError(int Start, int End, string Message);

/// <summary>A place in a text, both from 1.</summary>
public readonly record struct TextPosition(int Line, int Column);

/// <summary>The lines of a text; CR LF counts as one line end.</summary>
public sealed class TextLines
{
    private readonly List<int> starts = [0];

    public TextLines(string source)
    {
        for (var i = 0; i < source.Length; i++)
        {
            if (source[i] is '\n' or '\f' || (source[i] == '\r' && (i + 1 == source.Length || source[i + 1] != '\n'))) starts.Add(i + 1);
        }
    }

    /// <summary>Line and column of an offset.</summary>
    public TextPosition At(int offset)
    {
        var found = starts.BinarySearch(offset);
        var line = found >= 0 ? found : ~found - 1;
        return new(line + 1, offset - starts[line] + 1);
    }
}
