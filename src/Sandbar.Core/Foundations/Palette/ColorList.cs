using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Sandbar.Css.Colors;
using Sandbar.Css.Syntax;
using SyntaxToken = Sandbar.Css.Syntax.Token;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>A colour of a list somebody has.</summary>
/// <param name="Name">What stood beside it; empty where nothing did.</param>
/// <param name="Css">As it was written, with the # that may be left out.</param>
/// <param name="Line">Where it stands, from 1.</param>
public sealed record ReadColor(string Name, string Css, int Line);

/// <summary>A line no colour was found in.</summary>
public sealed record UnreadLine(int Line, string Text);

/// <summary>
/// Lists of colours as people have them: one a line or several with commas, hex with or without #, any CSS colour, names before or after, custom properties and variables of a
/// stylesheet. What is no colour is told line by line.
/// </summary>
/// <param name="Left">How many colours stand behind the last that is taken.</param>
public sealed partial record ColorList(ImmutableArray<ReadColor> Colors, ImmutableArray<UnreadLine> Unread, int Left)
{
    /// <summary>Longest list that is read, in characters.</summary>
    public const int Longest = 200_000;

    /// <summary>As many colours as are taken of one list.</summary>
    public const int Most = 200;

    public static ColorList Read(string text)
    {
        var colors = ImmutableArray.CreateBuilder<ReadColor>();
        var unread = ImmutableArray.CreateBuilder<UnreadLine>();
        var lines = Comment().Replace(text, m => new string('\n', m.Value.Count(c => c == '\n'))).ReplaceLineEndings("\n").Split('\n');
        for (var i = 0; i < lines.Length; i++)
        {
            var line = lines[i].Trim();
            // What only holds colours together: ":root {", "}".
            if (line.Length == 0 || Bracket().IsMatch(line)) continue;
            var found = Pieces(line).SelectMany(piece => InPiece(piece, i + 1)).ToList();
            if (found.Count == 0) unread.Add(new(i + 1, line));
            colors.AddRange(found);
        }
        return new([.. colors.Take(Most)], unread.ToImmutable(), Math.Max(0, colors.Count - Most));
    }

    /// <summary>What stands between commas and semicolons, not counting those within brackets.</summary>
    private static IEnumerable<(string Text, ImmutableArray<ComponentValue> Values)> Pieces(string line)
    {
        var piece = ImmutableArray.CreateBuilder<ComponentValue>();
        foreach (var value in Parser.ParseValues(line))
        {
            if (value is SyntaxToken { Kind: TokenKind.Comma or TokenKind.Semicolon })
            {
                if (piece.Count > 0) yield return (line, piece.ToImmutable());
                piece.Clear();
            }
            // "palette: { beet: … }" on one line.
            else if (value is BlockValue { Open: TokenKind.OpenCurly or TokenKind.OpenSquare } block)
            {
                foreach (var inner in Pieces(line[(block.Start + 1)..Math.Max(block.Start + 1, block.End - 1)])) yield return inner;
                piece.Clear();
            }
            else
            {
                piece.Add(value);
            }
        }
        if (piece.Count > 0) yield return (line, piece.ToImmutable());
    }

    /// <summary>The colours of a piece, each with the words before it, or else behind it.</summary>
    private static List<ReadColor> InPiece((string Text, ImmutableArray<ComponentValue> Values) piece, int line)
    {
        var parts = Parts(piece.Text, piece.Values);
        // Words that are colours too name another where one is given otherwise: "red: #d00".
        var isPlain = parts.All(p => p.Certain is null);
        if (isPlain && parts.Count > 1 && string.Concat(parts.Select(p => p.Word)) is var joined && ColorText.TryParse(joined, out _)) return [new("", joined, line)];
        var colors = new List<ReadColor>();
        var words = new List<string>();
        foreach (var part in parts)
        {
            if ((part.Certain ?? (isPlain ? part.Perhaps : null)) is { } css)
            {
                colors.Add(new(Named(words), css, line));
                words.Clear();
            }
            else if (part.Word.Length > 0)
            {
                words.Add(part.Word);
            }
        }
        // Behind the last: its name where it had none before.
        if (colors.Count > 0 && words.Count > 0 && colors[^1].Name.Length == 0) colors[^1] = colors[^1] with { Name = Named(words) };
        return colors;
    }

    /// <param name="Certain">A colour whatever stands beside it.</param>
    /// <param name="Perhaps">A colour where nothing else of the piece is one: a name, or hex that could be a word.</param>
    private sealed record Part(string Word, string? Certain, string? Perhaps);

    private static List<Part> Parts(string text, ImmutableArray<ComponentValue> values)
    {
        var parts = new List<Part>();
        for (var i = 0; i < values.Length; i++)
        {
            var value = values[i];
            var written = text[value.Start..value.End];
            switch (value)
            {
                case SyntaxToken { Kind: TokenKind.Whitespace or TokenKind.Colon }:
                    break;
                case SyntaxToken { Kind: TokenKind.String } quoted when quoted.Text.Trim() is { Length: > 0 } content:
                    parts.Add(ColorText.TryParse(content, out _) ? Colour(content) : Hex(content) is { } hex ? new(content, hex, null) : new(content, null, null));
                    break;
                case FunctionValue:
                    parts.Add(ColorText.TryParse(written, out _) ? Colour(written) : new("", null, null));
                    break;
                case SyntaxToken { Kind: TokenKind.Hash }:
                    parts.Add(ColorText.TryParse(written, out _) ? Colour(written) : new(written[1..], null, null));
                    break;
                case SyntaxToken { Kind: TokenKind.Ident or TokenKind.Number or TokenKind.Dimension } word:
                    // "8a2846" is more than one token where its beginning reads like a number.
                    var run = written;
                    while (i + 1 < values.Length && values[i + 1] is SyntaxToken { Kind: TokenKind.Ident or TokenKind.Number or TokenKind.Dimension } next && next.Start == values[i].End) run += text[next.Start..values[++i].End];
                    if (Hex(run) is { } bare) parts.Add(run.Any(char.IsAsciiDigit) ? new(run, bare, null) : new(run, null, bare));
                    else parts.Add(new(run, null, word.Kind == TokenKind.Ident && ColorText.TryParse(run, out _) ? run : null));
                    break;
                default:
                    break;
            }
        }
        return parts;

        static Part Colour(string css) => new("", css, null);
    }

    private static string? Hex(string text) => BareHex().IsMatch(text) ? "#" + text : null;

    /// <summary>Words as a name: "--color-deep-beet" is "deep beet".</summary>
    private static string Named(List<string> words)
    {
        var name = string.Join(' ', words);
        if (name.StartsWith("--", StringComparison.Ordinal)) name = Prefix().Replace(name, "");
        return name.Contains(' ', StringComparison.Ordinal) ? name.Trim('-', '_', ' ') : name.Replace('-', ' ').Replace('_', ' ').Trim();
    }

    [GeneratedRegex(@"/\*[\s\S]*?(\*/|$)")]
    private static partial Regex Comment();

    [GeneratedRegex(@"^[^{}\[\]]*[{\[]$|^[}\]][,;]?$")]
    private static partial Regex Bracket();

    [GeneratedRegex(@"^(?:[0-9a-fA-F]{3,4}|[0-9a-fA-F]{6}|[0-9a-fA-F]{8})\z")]
    private static partial Regex BareHex();

    [GeneratedRegex("^--(?:colou?r-)?")]
    private static partial Regex Prefix();
}
