using System.Text;
using Markdig;
using Markdig.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>An item of a list, with the lists inside it.</summary>
/// <param name="Text">Its own text with inline marks.</param>
public sealed record ListItem(string Text, IReadOnlyList<TextList> Lists);

/// <param name="IsOrdered">Whether its items are numbered.</param>
public sealed record TextList(bool IsOrdered, IReadOnlyList<ListItem> Items);

/// <summary>Lists and tables as they are typed into a slot.</summary>
public static class BlockText
{
    private static readonly MarkdownPipeline Pipeline = new MarkdownPipelineBuilder().DisableHtml().DisableHeadings().Build();

    /// <summary>The lists of a text in the marks of CommonMark; lines outside any list become items too, so that nothing typed is lost.</summary>
    public static IReadOnlyList<TextList> Lists(string text)
    {
        try
        {
            return Lists(Markdown.Parse(text, Pipeline), text);
        }
        catch (ArgumentException)
        {
            // Nested deeper than anybody writes: it is one item, as it is.
            return [new(false, [new(text, [])])];
        }
    }

    /// <summary>The rows of a table: a line each, cells between upright strokes, all rows as long as the longest. A stroke after a backslash is one of the text.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Rows(string text)
    {
        var rows = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Select(Cells).ToList();
        var width = rows.Select(r => r.Length).DefaultIfEmpty().Max();
        return [.. rows.Select(r => r.Concat(Enumerable.Repeat("", width - r.Length)).ToArray())];
    }

    private static string[] Cells(string line)
    {
        var (cells, cell) = (new List<string>(), new StringBuilder());
        for (var at = line.StartsWith('|') ? 1 : 0; at < line.Length; at++)
        {
            if (line[at] == '\\' && at + 1 < line.Length && line[at + 1] == '|') cell.Append(line[++at]);
            else if (line[at] != '|') cell.Append(line[at]);
            else
            {
                cells.Add(cell.ToString().Trim());
                cell.Clear();
            }
        }
        // A stroke at the end ends the last cell.
        if (cell.Length > 0 || cells.Count == 0) cells.Add(cell.ToString().Trim());
        return [.. cells];
    }

    private static List<TextList> Lists(ContainerBlock container, string text)
    {
        var lists = new List<TextList>();
        foreach (var block in container)
        {
            if (block is ListBlock list) lists.Add(new(list.IsOrdered, [.. list.OfType<ListItemBlock>().Select(i => Item(i, text))]));
            else if (block is LeafBlock leaf) lists.Add(new(false, [new(Source(leaf, text), [])]));
        }
        return lists;
    }

    private static ListItem Item(ListItemBlock item, string text)
    {
        var own = string.Join(" ", item.OfType<LeafBlock>().Select(l => Source(l, text)));
        return new(own, [.. item.OfType<ListBlock>().Select(l => new TextList(l.IsOrdered, [.. l.OfType<ListItemBlock>().Select(i => Item(i, text))]))]);
    }

    private static string Source(LeafBlock leaf, string text) => leaf.Span.Length <= 0 || leaf.Span.End >= text.Length ? "" : text.Substring(leaf.Span.Start, leaf.Span.Length).ReplaceLineEndings(" ");
}
