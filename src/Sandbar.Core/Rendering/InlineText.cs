using System.Buffers;
using Markdig;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;

namespace Sandbar.Core.Rendering;

/// <summary>Text with emphasis, code and links, in the inline marks of CommonMark. Markup in it is shown as text, never taken over.</summary>
public static class InlineText
{
    private static readonly MarkdownPipeline Pipeline = new MarkdownPipelineBuilder().DisableHtml().DisableHeadings().Build();

    private static readonly SearchValues<char> Marks = SearchValues.Create("*_[`\\&");

    private static readonly string[] Schemes = ["https:", "http:", "mailto:", "tel:"];

    /// <param name="address">Turns a page's id into its address.</param>
    public static void Write(Html html, string text, Func<string, string> address)
    {
        if (!text.AsSpan().ContainsAny(Marks))
        {
            html.Text(text);
            return;
        }
        var first = true;
        foreach (var block in Markdown.Parse(text, Pipeline).Descendants<LeafBlock>())
        {
            if (!first) html.Text(" ");
            first = false;
            if (block.Inline is { } inline) Write(html, inline, address);
            else html.Text(block.Lines.ToString());
        }
    }

    /// <summary>Whether a link may lead there: a page, an anchor, or an address of a kind that runs nothing.</summary>
    public static bool IsSafe(string to) => !to.Contains(':', StringComparison.Ordinal) || Schemes.Any(s => to.StartsWith(s, StringComparison.OrdinalIgnoreCase));

    private static void Write(Html html, ContainerInline container, Func<string, string> address)
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
                    html.Element(emphasis.DelimiterCount == 2 ? "strong" : "em", [], () => Write(html, emphasis, address), isPhrase: true);
                    break;
                case LinkInline { IsImage: false, Url: { } url } link when IsSafe(url):
                    html.Element("a", [("href", address(url))], () => Write(html, link, address), isPhrase: true);
                    break;
                case ContainerInline inner:
                    Write(html, inner, address);
                    break;
            }
        }
    }
}
