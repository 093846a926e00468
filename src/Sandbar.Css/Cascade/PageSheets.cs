using System.Text;
using Sandbar.Css.Documents;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>The sheets of a page, in the order the cascade takes them.</summary>
public static class PageSheets
{
    /// <summary>Finds all sheets a page has.</summary>
    /// <param name="path">Of the page, by which addresses are found.</param>
    /// <param name="added">Sheets to take as if they stood at the end of the head, by their paths.</param>
    /// <param name="read">The bytes of a file; null where there is none. Only files are read, nothing is fetched.</param>
    public static IReadOnlyList<StyleSheet> Of(Document document, string path, IReadOnlyList<string> added, Func<string, byte[]?> read)
    {
        var sheets = new List<StyleSheet>();
        // Reading HTML makes one where none is written.
        var head = document.All.First(e => e is { IsHtml: true, Name: "head" });
        var wasAdded = false;
        var styles = 0;
        foreach (var element in document.All)
        {
            if (!wasAdded && element.Index >= head.End) Add();
            if (element is { IsHtml: true, Name: "style" })
            {
                styles++;
                if (IsCss(element["type"])) sheets.Add(new(Parser.ParseStyleSheet(element.Text), $"style {styles}") { Media = MediaOf(element), Around = element.Parent, Import = address => Load(Beside(path, address), read) });
            }
            else if (element is { IsHtml: true, Name: "link" } && IsSheet(element) && element["href"] is { Length: > 0 } address && Load(Beside(path, address), read) is { } linked)
            {
                sheets.Add(new(linked.Node, linked.Name) { Media = MediaOf(element), Around = element.Parent, Import = linked.Import });
            }
        }
        if (!wasAdded) Add();
        return sheets;

        void Add()
        {
            wasAdded = true;
            sheets.AddRange(added.Select(file => Load(file, read)).OfType<StyleSheet>().Select(s => new StyleSheet(s.Node, s.Name) { Around = head, Import = s.Import }));
        }
    }

    private static bool IsCss(string? type) => string.IsNullOrWhiteSpace(type) || type.Trim().Equals("text/css", StringComparison.OrdinalIgnoreCase);

    private static bool IsSheet(Element link)
    {
        var words = (link["rel"] ?? "").ToLowerInvariant().Split(Element.HtmlSpaces, StringSplitOptions.RemoveEmptyEntries);
        return words.Contains("stylesheet") && !words.Contains("alternate") && !link.Has("disabled") && IsCss(link["type"]);
    }

    private static System.Collections.Immutable.ImmutableArray<ComponentValue> MediaOf(Element element) => element["media"] is { } media && !string.IsNullOrWhiteSpace(media) ? Parser.ParseValues(media.Trim()) : [];

    /// <summary>Where an address that stands in a file leads; one of the web, or from the root of some server, leads to no file.</summary>
    public static string? Beside(string file, string address)
    {
        var plain = address.Split('?', '#')[0];
        if (plain.Length == 0 || plain[0] is '/' or '\\' || plain.Contains("//", StringComparison.Ordinal) || plain.StartsWith("data:", StringComparison.OrdinalIgnoreCase)) return null;
        var folder = Path.GetDirectoryName(file) ?? "";
        var parts = Path.Combine(folder, Uri.UnescapeDataString(plain)).Split('/');
        var kept = new List<string>();
        foreach (var part in parts)
        {
            if (part == ".." && kept.Count > 0 && kept[^1] is not (".." or "")) kept.RemoveAt(kept.Count - 1);
            else if (part != ".") kept.Add(part);
        }
        return string.Join('/', kept);
    }

    private static StyleSheet? Load(string? path, Func<string, byte[]?> read)
    {
        if (path is null || read(path) is not { } bytes) return null;
        var text = Encoding.UTF8.GetString(bytes);
        return new(Parser.ParseStyleSheet(text.StartsWith('\uFEFF') ? text[1..] : text), path) { Import = address => Load(Beside(path, address), read) };
    }
}
