using System.Buffers;
using Markdig;
using Markdig.Parsers;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;
using Sandbar.Core.Checking;

namespace Sandbar.Core.Rendering;

/// <summary>Text with emphasis, code and links, in the inline marks of CommonMark. Markup in it is shown as text, never taken over.</summary>
public static class InlineText
{
    private static readonly MarkdownPipeline Pipeline = Inlines();

    private static readonly SearchValues<char> Marks = SearchValues.Create("*_[`\\&<\n");

    /// <param name="lead">The attributes of a link, by where it leads as it is written.</param>
    public static void Write(Html html, string text, Func<string, IEnumerable<(string, string)>> lead)
    {
        if (!text.AsSpan().ContainsAny(Marks) || Read(text) is not { } document)
        {
            html.Text(text);
            return;
        }
        var first = true;
        foreach (var block in document.Descendants<LeafBlock>())
        {
            if (!first) html.Text(" ");
            first = false;
            if (block.Inline is { } inline) Write(html, inline, lead);
            else html.Text(block.Lines.ToString());
        }
    }

    /// <summary>Where the links of a text lead, as they are written.</summary>
    public static IEnumerable<string> Links(string text) =>
        text.Contains('[', StringComparison.Ordinal) && Read(text) is { } document ? document.Descendants<LinkInline>().Where(l => !l.IsImage).Select(l => l.Url ?? "") : [];

    /// <summary>A line is never a list, a quote or a heading here: “1965. *A*” begins with a year.</summary>
    private static MarkdownPipeline Inlines()
    {
        var builder = new MarkdownPipelineBuilder().DisableHtml();
        foreach (var parser in builder.BlockParsers.ToList())
        {
            // Nor does a second line of strokes make one of the first.
            if (parser is ParagraphBlockParser paragraph) paragraph.ParseSetextHeadings = false;
            else builder.BlockParsers.Remove(parser);
        }
        return builder.Build();
    }

    /// <summary>The text as it is understood; null where its marks are nested deeper than anybody writes, so that it is shown as it is.</summary>
    internal static MarkdownDocument? Read(string text)
    {
        try
        {
            return Markdown.Parse(text, Pipeline);
        }
        catch (ArgumentException)
        {
            return null;
        }
    }

    private static void Write(Html html, ContainerInline container, Func<string, IEnumerable<(string, string)>> lead)
    {
        foreach (var inline in container)
        {
            switch (inline)
            {
                case LiteralInline literal:
                    html.Text(literal.Content.ToString());
                    break;
                case CodeInline code:
                    html.Element("code", [], () => html.Text(code.Content), isPhrase: true);
                    break;
                case HtmlEntityInline entity:
                    html.Text(entity.Transcoded.ToString());
                    break;
                case LineBreakInline lineBreak:
                    if (lineBreak.IsHard) html.Void("br", []);
                    else html.Text(" ");
                    break;
                case EmphasisInline emphasis:
                    html.Element(emphasis.DelimiterCount == 2 ? "strong" : "em", [], () => Write(html, emphasis, lead), isPhrase: true);
                    break;
                case AutolinkInline auto:
                    Link(html, auto.IsEmail ? $"mailto:{auto.Url}" : auto.Url, lead, () => html.Text(auto.Url));
                    break;
                case LinkInline { IsImage: false, Url: { } url } link:
                    Link(html, url, lead, () => Write(html, link, lead));
                    break;
                case DelimiterInline open:
                    // What began and never ended is text.
                    html.Text(open.ToLiteral());
                    Write(html, open, lead);
                    break;
                case ContainerInline inner:
                    Write(html, inner, lead);
                    break;
            }
        }
    }

    /// <summary>A link where there may be one: not to what runs something, nor within what leads somewhere itself.</summary>
    private static void Link(Html html, string to, Func<string, IEnumerable<(string, string)>> lead, Action inner)
    {
        if (ContentCheck.IsSafe(to) && !html.IsInteractive) html.Element("a", lead(to), inner, isPhrase: true);
        else inner();
    }
}
