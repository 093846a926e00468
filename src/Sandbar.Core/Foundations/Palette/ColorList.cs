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
            var found = Pieces(Parser.ParseValues(line)).SelectMany(piece => InPiece(line, piece, i + 1)).ToList();
            if (found.Count == 0) unread.Add(new(i + 1, line));
            colors.AddRange(found);
        }
        return new([.. colors.Take(Most)], unread.ToImmutable(), Math.Max(0, colors.Count - Most));
    }

    /// <summary>What stands between commas and semicolons, and what between brackets by itself: "palette: { beet: … }".</summary>
    private static IEnumerable<ImmutableArray<ComponentValue>> Pieces(ImmutableArray<ComponentValue> values)
    {
        var piece = ImmutableArray.CreateBuilder<ComponentValue>();
        foreach (var value in values)
        {
            var block = value as BlockValue;
            if (block is null && value is not SyntaxToken { Kind: TokenKind.Comma or TokenKind.Semicolon })
            {
                piece.Add(value);
                continue;
            }
            if (block is null) yield return piece.ToImmutable();
            piece.Clear();
            foreach (var inner in block is null ? [] : Pieces(block.Values)) yield return inner;
        }
        yield return piece.ToImmutable();
    }

    /// <summary>The colours of a piece, each with the words before it, or else behind it.</summary>
    private static List<ReadColor> InPiece(string text, ImmutableArray<ComponentValue> piece, int line)
    {
        var parts = Parts(text, piece);
        var surest = parts.Select(p => p.Likely).DefaultIfEmpty().Max();
        // "dark red" is one colour, and neither of its words a name.
        if (surest == Likely.Word && parts.Count > 1 && string.Concat(parts.Select(p => p.Text)) is var joined && ColorText.TryParse(joined, out _)) return [new("", joined, line)];
        var colors = new List<ReadColor>();
        var words = new List<string>();
        foreach (var part in parts)
        {
            if (part.Css is { } css && part.Likely == surest)
            {
                colors.Add(new(Named(words), css, line));
                words.Clear();
            }
            else if (part.Text.Length > 0)
            {
                words.Add(part.Text);
            }
        }
        // Behind the last: its name where it had none before.
        if (colors.Count > 0 && words.Count > 0 && colors[^1].Name.Length == 0) colors[^1] = colors[^1] with { Name = Named(words) };
        return colors;
    }

    /// <summary>How likely a part is meant as a colour. Of a piece the likeliest are colours, and the others words beside them: "red: #d00", "Blue 500 #1e40af".</summary>
    private enum Likely
    {
        No,
        Word,
        ShortHex,
        LongHex,
        Marked,
    }

    /// <param name="Css">The colour it is where it is one.</param>
    private sealed record Part(string Text, string? Css, Likely Likely);

    private static List<Part> Parts(string text, ImmutableArray<ComponentValue> values)
    {
        var parts = new List<Part>();
        for (var i = 0; i < values.Length; i++)
        {
            var value = values[i];
            var written = text[value.Start..value.End];
            switch (value)
            {
                case SyntaxToken { Kind: TokenKind.String } quoted:
                    parts.Add(Plain(quoted.Text.Trim()));
                    break;
                case FunctionValue or SyntaxToken { Kind: TokenKind.Hash }:
                    parts.Add(ColorText.TryParse(written, out _) ? new("", written, Likely.Marked) : new(written.TrimStart('#'), null, Likely.No));
                    break;
                case SyntaxToken { Kind: TokenKind.Ident or TokenKind.Number or TokenKind.Dimension }:
                    // "8a2846" is more than one token where its beginning reads like a number.
                    while (i + 1 < values.Length && values[i + 1] is SyntaxToken { Kind: TokenKind.Ident or TokenKind.Number or TokenKind.Dimension } next && next.Start == values[i].End) written += text[next.Start..values[++i].End];
                    parts.Add(Plain(written));
                    break;
                default:
                    break;
            }
        }
        return parts;
    }

    /// <summary>What stands there without a mark of its own.</summary>
    private static Part Plain(string text)
    {
        if (BareHex().IsMatch(text)) return new(text, "#" + text, !text.Any(char.IsAsciiDigit) ? Likely.Word : text.Length < 6 ? Likely.ShortHex : Likely.LongHex);
        if (!ColorText.TryParse(text, out _)) return new(text, null, Likely.No);
        return new(text, text, text.All(char.IsAsciiLetter) ? Likely.Word : Likely.Marked);
    }

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
