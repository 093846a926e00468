using System.Collections.Immutable;
using AngleSharp.Dom;
using Markdig;
using Sandbar.Core.Checking;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Writing;

public enum TextForm
{
    Html,
    Markdown,
}

/// <summary>A block that a text from elsewhere comes to.</summary>
/// <param name="Part">Id of the part.</param>
/// <param name="Content">What its slots hold, by slot id.</param>
public sealed record Piece(string Part, ImmutableSortedDictionary<string, string> Content);

/// <summary>A text from elsewhere: its structure as blocks, its letters and marks line by line, and what was left out.</summary>
/// <param name="Lines">A paragraph, an item of a list or a row of a table each.</param>
/// <param name="Dropped">In words: "2 pictures".</param>
public sealed record ReadText(IReadOnlyList<Piece> Pieces, IReadOnlyList<IReadOnlyList<Run>> Lines, IReadOnlyList<string> Dropped)
{
    /// <summary>Longest text that is read, in characters.</summary>
    public const int Longest = HtmlText.Longest;

    /// <summary>As many blocks as one text comes to.</summary>
    private const int MostPieces = 1000;

    private const int Deepest = 100;

    // What HTML is in it is shown as text, as everywhere.
    private static readonly MarkdownPipeline Pipeline = new MarkdownPipelineBuilder().DisableHtml().UsePipeTables().Build();

    /// <summary>Reads what was pasted. Whatever it holds, nothing of it is run, fetched or taken over as it is.</summary>
    public static ReadText Of(TextForm form, string text)
    {
        var dropped = new Dropped();
        var reader = new Reader(new HtmlText(dropped), dropped);
        reader.Read(HtmlText.Parse(form == TextForm.Html ? text : Html(text)), new(""), 0);
        reader.End();
        return new(reader.Pieces, reader.Lines, dropped.Said);
    }

    /// <summary>Why it cannot be put on a page, in a sentence; null where it can.</summary>
    public string? Refusal() =>
        Pieces.Count > MostPieces ? $"That comes to {Pieces.Count} blocks, and {MostPieces} can be pasted at once: paste it in parts."
        : Pieces.Any(p => p.Content.Values.Any(t => t.Length > ContentCheck.Longest)) ? $"One paragraph, list or table of it is longer than the {ContentCheck.Longest} characters a block holds: paste it in parts."
        : null;

    private static string Html(string markdown)
    {
        try
        {
            return Markdown.ToHtml(markdown, Pipeline);
        }
        catch (ArgumentException)
        {
            // Nested deeper than anybody writes: it is shown as it is.
            return $"<p>{System.Net.WebUtility.HtmlEncode(markdown)}</p>";
        }
    }

    private sealed class Reader(HtmlText html, Dropped dropped)
    {
        private readonly List<Run> line = [];

        private string part = "paragraph";

        public List<Piece> Pieces { get; } = [];

        public List<IReadOnlyList<Run>> Lines { get; } = [];

        public void Read(INode node, Run marks, int depth)
        {
            foreach (var child in node.ChildNodes)
            {
                if (child is IText text) line.Add(marks with { Text = text.Data.ReplaceLineEndings(" ") });
                else if (child is IElement { LocalName: "br" }) line.Add(marks with { Text = "\n" });
                else if (child is IElement element && !html.Leaves(element)) Read(element, marks, depth);
            }
        }

        /// <summary>What has come in ends here.</summary>
        public void End()
        {
            var runs = Runs.Normal(line);
            line.Clear();
            if (runs.Count > 0) Add(part, runs, "text", Runs.Marked(runs));
        }

        private void Read(IElement element, Run marks, int depth)
        {
            if (depth > Deepest)
            {
                html.Read(element, marks, line, depth: int.MaxValue - 1);
                return;
            }
            switch (element.LocalName)
            {
                case "ul" or "ol":
                    End();
                    var list = html.List(element);
                    if (list.Items.Count > 0) Add("list", "items", ListText.Of([list]), Items([list]));
                    break;
                case "table":
                    End();
                    Table(element);
                    break;
                case "hr":
                    End();
                    dropped.Add("line across", "lines across");
                    break;
                case "pre":
                    End();
                    // Its lines stay lines.
                    foreach (var code in HtmlText.Letters(element).ReplaceLineEndings("\n").TrimEnd('\n').Split('\n')) line.AddRange([new(code, IsCode: true), new("\n")]);
                    End();
                    break;
                case "blockquote":
                    End();
                    var quoted = html.Read(element);
                    if (quoted.Count > 0) Add("quote", quoted, "text", Runs.Marked(quoted));
                    break;
                case ['h', >= '1' and <= '6']:
                    End();
                    part = $"heading-{element.LocalName[1]}";
                    // What a heading is made of is no mark: it is strong by its look.
                    Read(element, new(""), depth + 1);
                    End();
                    part = "paragraph";
                    break;
                default:
                    var isBlock = HtmlText.IsBlock(element);
                    if (isBlock) End();
                    Read((INode)element, html.Marked(element, marks), depth + 1);
                    if (isBlock) End();
                    break;
            }
        }

        private void Table(IElement table)
        {
            var rows = html.Rows(table);
            if (rows.Count == 0) return;
            // One column is no table but how something was laid out.
            if (rows.All(r => r.Count == 1))
            {
                foreach (var row in rows) Add("paragraph", Runs.Of(row[0]), "text", row[0]);
                return;
            }
            var caption = table.Children.FirstOrDefault(c => c.LocalName == "caption") is { } said ? Runs.Marked(html.Read(said)) : "";
            Pieces.Add(new("table", Content([("rows", ListText.Rows(rows)), ("caption", caption)])));
            Lines.AddRange(rows.Select(row => Runs.Normal(row.SelectMany(cell => Runs.Of(cell).Append(new(" "))))));
        }

        private void Add(string to, IReadOnlyList<Run> runs, string slot, string text) => Add(to, slot, text, [runs]);

        private void Add(string to, string slot, string text, IEnumerable<IReadOnlyList<Run>> lines)
        {
            if (text.Length == 0) return;
            Pieces.Add(new(to, Content([(slot, text)])));
            Lines.AddRange(lines);
        }

        private static IEnumerable<IReadOnlyList<Run>> Items(IReadOnlyList<TextList> lists) => lists.SelectMany(l => l.Items.SelectMany(i => Items(i.Lists).Prepend(Runs.Of(i.Text))));

        private static ImmutableSortedDictionary<string, string> Content(IEnumerable<(string Slot, string Text)> content) =>
            content.Where(c => c.Text.Length > 0).ToImmutableSortedDictionary(c => c.Slot, c => c.Text, StringComparer.Ordinal);
    }
}
