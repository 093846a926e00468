using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Writing;

/// <summary>Lists and tables as they are typed into a slot. A line break is none in an item or a cell: their texts are lines.</summary>
internal static partial class ListText
{
    /// <summary>Lists in the marks of CommonMark: a line an item, indented as deep as they stand in each other.</summary>
    public static string Of(IReadOnlyList<TextList> lists)
    {
        var text = new StringBuilder();
        Write(text, lists, "");
        return text.ToString().TrimEnd('\n');
    }

    /// <summary>Rows of cells: a row a line, cells between upright strokes; beside an empty cell at an end stands one more.</summary>
    public static string Rows(IReadOnlyList<IReadOnlyList<string>> rows) => string.Join('\n', rows.Select(row => row.Select(Cell).ToList()).Select(row => $"{(row[0].Length == 0 ? "| " : "")}{string.Join(" | ", row)}{(row[^1].Length == 0 ? " |" : "")}"));

    private static void Write(StringBuilder text, IReadOnlyList<TextList> all, string indent)
    {
        IReadOnlyList<TextList> lists = [.. all.Select(l => l with { Items = [.. Filled(l)] }).Where(l => l.Items.Count > 0)];
        for (var i = 0; i < lists.Count; i++)
        {
            // Another sign begins another list.
            var isOdd = i > 0 && lists[i - 1].IsOrdered == lists[i].IsOrdered && i % 2 == 1;
            for (var n = 0; n < lists[i].Items.Count; n++)
            {
                var item = lists[i].Items[n];
                var sign = lists[i].IsOrdered ? string.Create(CultureInfo.InvariantCulture, $"{n + 1}{(isOdd ? ')' : '.')} ") : isOdd ? "* " : "- ";
                text.Append(indent).Append(sign).Append(Item(item.Text)).Append('\n');
                Write(text, item.Lists, indent + new string(' ', sign.Length));
            }
        }
    }

    /// <summary>The items that say something; of an empty one those in it take the place.</summary>
    private static IEnumerable<ListItem> Filled(TextList list) => list.Items.SelectMany(i => i.Text.Length > 0 ? [i] : i.Lists.SelectMany(Filled));

    /// <summary>The text of an item, so that it begins nothing else.</summary>
    private static string Item(string text) =>
        Begins().Replace(text, begun => begun.Groups["number"] is { Success: true } number ? $"{number.Value}\\{begun.Value[number.Length..]}" : "\\" + begun.Value);

    private static string Cell(string text) => text.Replace("|", "\\|", StringComparison.Ordinal);

    /// <summary>What begins a list, a quote, a heading, code or a line across at the start of a line.</summary>
    [GeneratedRegex(@"^(?:(?<number>[0-9]{1,9})[.)](?=\s|$)|[-+*](?=\s|$)|>|#{1,6}(?=\s|$)|`{3,}[^`]*$|~{3,}|(?:\*\s*){3,}$|(?:-\s*){3,}$|(?:_\s*){3,}$|\[(?=[^\]]+\]:))")]
    private static partial Regex Begins();
}
