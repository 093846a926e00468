namespace Sandbar.Css.Syntax;

/// <summary>Something in a sheet that does not parse: where (UTF-16 offsets), and a sentence for the designer.</summary>
public sealed record SyntaxError(int Start, int End, string Message);

/// <summary>A place in a text, both from 1.</summary>
public readonly record struct TextPosition(int Line, int Column)
{
    /// <summary>Line and column of an offset; CR LF counts as one line end.</summary>
    public static TextPosition At(string source, int offset)
    {
        int line = 1, start = 0;
        for (var i = 0; i < offset && i < source.Length; i++)
        {
            if (source[i] is not ('\n' or '\r' or '\f') || (source[i] == '\r' && i + 1 < source.Length && source[i + 1] == '\n')) continue;
            line++;
            start = i + 1;
        }
        return new(line, offset - start + 1);
    }
}
