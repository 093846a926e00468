using System.Text;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;
using Sandbar.Core.Checking;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Writing;

/// <summary>A stretch of text with the same marks. A line break is the character for it.</summary>
/// <param name="Link">Where it leads, as links of a text are written; null for nowhere.</param>
public sealed record Run(string Text, bool IsStrong = false, bool IsEmphasis = false, bool IsCode = false, string? Link = null)
{
    internal bool IsLike(Run other) => (IsStrong, IsEmphasis, IsCode, Link) == (other.IsStrong, other.IsEmphasis, other.IsCode, other.Link);
}

/// <summary>Text as runs, and runs as text with the inline marks of CommonMark.</summary>
public static class Runs
{
    /// <summary>More marks than these are not tried one by one where some cannot be written.</summary>
    private const int MostTried = 40;

    private static readonly Writer[] Writers =
    [
        new("**", "*", IsEscaped: false), new("**", "*", IsEscaped: true), new("**", "_", IsEscaped: true), new("__", "*", IsEscaped: true),
        // Markdig reads no code right after an escaped backtick.
        new("**", "*", IsEscaped: true) { Backtick = "&#96;" },
    ];

    /// <summary>What a text with marks says.</summary>
    public static IReadOnlyList<Run> Of(string text)
    {
        if (InlineText.Read(text) is not { } document) return Normal([new(text)]);
        var runs = new List<Run>();
        var first = true;
        foreach (var block in document.Descendants<LeafBlock>())
        {
            if (!first) runs.Add(new(" "));
            first = false;
            if (block.Inline is { } inline) Read(inline, new(""), runs);
            else runs.Add(new(block.Lines.ToString()));
        }
        return Normal(runs);
    }

    /// <summary>The runs as text with marks. What CommonMark has no way to write, such as emphasis that begins within a word at a quotation mark, loses its mark and nothing else.</summary>
    public static string Marked(IEnumerable<Run> said)
    {
        var runs = Normal(said);
        if (Written(runs) is { } written) return written;
        for (var i = 0; i < Math.Min(runs.Count, MostTried); i++)
        {
            if (!runs[i].IsStrong && !runs[i].IsEmphasis) continue;
            runs = [.. runs.Select((r, at) => at == i ? r with { IsStrong = false, IsEmphasis = false } : r)];
            if (Written(runs) is { } without) return without;
        }
        IReadOnlyList<Run> plain = [.. runs.Select(r => r with { IsStrong = false, IsEmphasis = false })];
        return Written(plain) ?? Writers[1].Write([new(string.Concat(plain.Select(r => r.Text)))]);
    }

    /// <summary>The text alone.</summary>
    public static string Plain(IEnumerable<Run> runs) => string.Concat(runs.Select(r => r.Text));

    /// <summary>The lines of a text, each with its marks.</summary>
    public static IEnumerable<string> Lines(string text)
    {
        var line = new List<Run>();
        foreach (var run in Of(text))
        {
            var parts = run.Text.Split('\n');
            for (var i = 0; i < parts.Length; i++)
            {
                if (i > 0)
                {
                    yield return Marked(line);
                    line.Clear();
                }
                line.Add(run with { Text = parts[i] });
            }
        }
        yield return Marked(line);
    }

    /// <summary>The runs as a page shows them: spaces that follow each other are one, at the ends and beside line breaks there are none; runs that are alike are one.</summary>
    public static IReadOnlyList<Run> Normal(IEnumerable<Run> said)
    {
        var runs = new List<Run>();
        var (text, isSpaced) = (new StringBuilder(), false);
        Run? now = null;
        foreach (var run in said)
        {
            if (now is not null && !now.IsLike(run)) End();
            now = run with { Text = "" };
            foreach (var c in run.Text)
            {
                if (c == '\n')
                {
                    isSpaced = false;
                    if (runs.Count > 0 || text.Length > 0) text.Append(c);
                }
                else if (c is ' ' or '\t' or '\r' or '\f') isSpaced = true;
                else
                {
                    if (isSpaced) Space();
                    isSpaced = false;
                    text.Append(c);
                }
            }
        }
        End();
        // A space that does not break is none at an end, where it holds nothing together.
        while (runs.Count > 0 && char.IsWhiteSpace(runs[^1].Text[^1])) Cut(^1, runs[^1].Text.TrimEnd());
        while (runs.Count > 0 && char.IsWhiteSpace(runs[0].Text[0])) Cut(0, runs[0].Text.TrimStart());
        return runs;

        // Emphasis counts where nothing else tells them apart: which of two links a space is in does not depend on it.
        static bool IsPlainer(Run one, Run other) => (one.IsCode, one.Link) == (other.IsCode, other.Link)
            ? (one.IsStrong ? 1 : 0) + (one.IsEmphasis ? 1 : 0) <= (other.IsStrong ? 1 : 0) + (other.IsEmphasis ? 1 : 0)
            : (one.IsCode ? 1 : 0) + (one.Link is null ? 0 : 1) <= (other.IsCode ? 1 : 0) + (other.Link is null ? 0 : 1);

        void Cut(Index at, string left)
        {
            if (left.Length == 0) runs.RemoveAt(at.GetOffset(runs.Count));
            else runs[at] = runs[at] with { Text = left };
        }

        // Where marks change, the space stands in the plainer of the two.
        void Space()
        {
            if (text.Length > 0 ? text[^1] == '\n' : runs.Count == 0 || runs[^1].Text[^1] == '\n') return;
            if (text.Length == 0 && runs[^1] is var before && IsPlainer(before, now!)) runs[^1] = before with { Text = before.Text + " " };
            else text.Append(' ');
        }

        void End()
        {
            if (now is null || text.Length == 0) return;
            runs.Add(now with { Text = text.ToString() });
            text.Clear();
        }
    }

    /// <summary>The text that says just this; null where none of the ways of writing it does.</summary>
    private static string? Written(IReadOnlyList<Run> said)
    {
        var runs = Normal(said);
        var asked = Letters(runs);
        foreach (var writer in Writers)
        {
            var text = writer.Write(runs);
            if (Letters(Of(text)).SequenceEqual(asked)) return text;
        }
        return null;
    }

    /// <summary>Letter by letter with its marks: a space is the same in emphasis and beside it, and a line break in code and beside it.</summary>
    private static List<(char, bool, bool, bool, string?)> Letters(IReadOnlyList<Run> runs) =>
        [.. runs.SelectMany(r => r.Text.Select(c => char.IsWhiteSpace(c) ? (c, false, false, r.IsCode && c != '\n', r.Link) : (c, r.IsStrong, r.IsEmphasis, r.IsCode, r.Link)))];

    private static void Read(ContainerInline container, Run marks, List<Run> into)
    {
        foreach (var inline in container)
        {
            switch (inline)
            {
                case LiteralInline literal:
                    into.Add(marks with { Text = literal.Content.ToString() });
                    break;
                case CodeInline code:
                    into.Add(marks with { Text = code.Content, IsCode = true });
                    break;
                case HtmlEntityInline entity:
                    into.Add(marks with { Text = entity.Transcoded.ToString() });
                    break;
                case LineBreakInline lineBreak:
                    into.Add(marks with { Text = lineBreak.IsHard ? "\n" : " " });
                    break;
                case EmphasisInline emphasis:
                    Read(emphasis, emphasis.DelimiterCount == 2 ? marks with { IsStrong = true } : marks with { IsEmphasis = true }, into);
                    break;
                case AutolinkInline auto:
                    into.Add(marks with { Text = auto.Url, Link = auto.IsEmail ? $"mailto:{auto.Url}" : auto.Url });
                    break;
                case LinkInline { IsImage: false, Url: { } url } link:
                    Read(link, ContentCheck.IsSafe(url) ? marks with { Link = url } : marks, into);
                    break;
                case DelimiterInline open:
                    into.Add(marks with { Text = open.ToLiteral() });
                    Read(open, marks, into);
                    break;
                case ContainerInline inner:
                    Read(inner, marks, into);
                    break;
            }
        }
    }

    /// <summary>One way of writing marks: strong text within what leads somewhere, emphasis within strong text, code within both.</summary>
    private sealed record Writer(string Strong, string Emphasis, bool IsEscaped)
    {
        public string Backtick { get; init; } = "\\`";

        public string Write(IReadOnlyList<Run> runs) => Grouped(runs, r => r.Link, (link, group) => link is null ? Marks(group) : $"[{Marks(group)}]({Address(link)})");

        private string Marks(IReadOnlyList<Run> runs) =>
            Grouped(runs, r => r.IsStrong, (isStrong, strong) => Around(isStrong ? Strong : "", Grouped(strong, r => r.IsEmphasis, (isEmphasis, group) =>
                Around(isEmphasis ? Emphasis : "", string.Concat(group.Select(r => r.IsCode ? Code(r.Text) : Escape(r.Text)))))));

        private static string Grouped<TKey>(IReadOnlyList<Run> runs, Func<Run, TKey> key, Func<TKey, IReadOnlyList<Run>, string> write)
        {
            var text = new StringBuilder();
            for (var from = 0; from < runs.Count;)
            {
                var to = from + 1;
                while (to < runs.Count && Equals(key(runs[to]), key(runs[from]))) to++;
                text.Append(write(key(runs[from]), [.. runs.Skip(from).Take(to - from)]));
                from = to;
            }
            return text.ToString();
        }

        /// <summary>Marks stand at letters, never at spaces.</summary>
        private static string Around(string mark, string inner)
        {
            var trimmed = inner.Trim();
            return trimmed.Length == 0 || mark.Length == 0 ? inner : $"{inner[..inner.IndexOf(trimmed, StringComparison.Ordinal)]}{mark}{trimmed}{mark}{inner[(inner.IndexOf(trimmed, StringComparison.Ordinal) + trimmed.Length)..]}";
        }

        private static string Address(string link) => link.AsSpan().ContainsAny('(', ')') || link.Length == 0 ? $"<{link}>" : link;

        /// <summary>A line break stands in no code.</summary>
        private static string Code(string text) => string.Join("\\\n", text.Split('\n').Select(line => line.Length == 0 ? "" : CodeLine(line)));

        private static string CodeLine(string text)
        {
            var fence = new string('`', 1 + LongestFence(text));
            var isPadded = text[0] == '`' || text[^1] == '`' || (text[0] == ' ' && text[^1] == ' ' && text.Any(c => c != ' '));
            return isPadded ? $"{fence} {text} {fence}" : fence + text + fence;
        }

        private static int LongestFence(string text)
        {
            var (longest, now) = (0, 0);
            foreach (var c in text) longest = Math.Max(longest, now = c == '`' ? now + 1 : 0);
            return longest;
        }

        private string Escape(string text)
        {
            var escaped = new StringBuilder(text.Length);
            foreach (var c in text)
            {
                if (IsEscaped && c == '`')
                {
                    escaped.Append(Backtick);
                    continue;
                }
                if (c == '\n' || (IsEscaped && c is '\\' or '*' or '_' or '[' or ']' or '<' or '&' or '!')) escaped.Append('\\');
                escaped.Append(c);
            }
            return escaped.ToString();
        }
    }
}
