using System.CommandLine;
using System.Text;
using System.Text.Json;
using Sandbar.Css;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;
using Sandbar.Css.Tracing;

namespace Sandbar.Cli.Verbs;

/// <summary><c>trace</c>: what elements of a page come to, and why.</summary>
internal static class TraceVerb
{
    private const long MostSteps = 200_000_000;

    public static Command Trace => Verb.Create("trace", "What elements of a page come to by its sheets, which declaration won, and why the others lost.",
        [
            new("html", "an HTML file"), new("select", "which elements"), new("properties", "which properties, with semicolons between them; all unless named", Required: false),
            new("css", "sheets to take as if they stood at the end of the head, with semicolons between them", Required: false), new("width", "of the window, in px", IsNumber: true, Required: false),
            new("scheme", "light or dark", Required: false),
        ], Answer);

    private static readonly Cache<Document> Pages = new(bytes => Document.Parse(Encoding.UTF8.GetString(bytes)));

    private static void Answer(JsonElement request, Utf8JsonWriter writer)
    {
        var path = request.Text("html");
        var page = Pages.Of(path);
        if (!SelectorParser.TryParse(Parser.ParseValues(request.Text("select")), isNested: false, out var selectors, out var error)) throw new FormatException(error.Message);
        var names = request.TryGetProperty("properties", out _) ? request.Texts("properties").ToList() : [.. CssProperties.All.Select(p => p.Name)];
        var fields = request.TryGetProperty("fields", out _) ? request.Texts("fields").ToHashSet(StringComparer.Ordinal) : ["computed", "resolved", "winner", "losers"];
        var scheme = request.Text("scheme", "light");
        if (scheme is not ("light" or "dark")) throw new FormatException("“scheme” is light or dark.");
        var media = new MediaEnvironment(request.Number("width", 1280), request.Number("height", 900), scheme == "dark");
        var css = request.TryGetProperty("css", out _) ? request.Texts("css").ToList() : [];
        foreach (var file in css) JsonLines.FileBytes(file);
        var forced = Forced(request, page);
        var styles = new PageStyles(page, Rules(page, path, css, media), forced, MostSteps)
        {
            IsMissing = picture => picture["src"] is not { Length: > 0 } source || (!source.StartsWith("data:", StringComparison.OrdinalIgnoreCase) && (PageSheets.Beside(path, source) is not { } file || !File.Exists(file))),
        };
        var matching = new Matching(page, forced) { MostSteps = MostSteps };
        var lines = new Dictionary<StyleSheet, TextLines>();
        try
        {
            writer.WriteStartArray("elements");
            foreach (var element in page.All.Where(e => selectors.Any(s => matching.Holds(s, e))))
            {
                writer.WriteStartObject();
                writer.WriteString("path", Path(element));
                writer.WriteString("ref", element["data-ref"]);
                writer.WriteStartObject("properties");
                foreach (var name in names) Property(writer, styles, element, name, fields, lines);
                writer.WriteEndObject();
                writer.WriteEndObject();
            }
            writer.WriteEndArray();
        }
        catch (CostlySelectorException)
        {
            throw new FormatException("These sheets ask so much of every element of this page that no answer is waited for.");
        }
    }

    // The sheets of the request before, and their rules in the windows asked about: most lines ask about the same ones.
    private static (string Key, Document Page, IReadOnlyList<StyleSheet> Sheets, Dictionary<MediaEnvironment, RuleSet> Rules)? last;

    private static RuleSet Rules(Document page, string path, List<string> css, MediaEnvironment media)
    {
        var key = string.Join('\n', css.Prepend(path).Select(file => $"{file} {JsonLines.WrittenAt(file).Ticks}"));
        // What is linked or imported may have changed without the rest.
        var isSame = last is { } before && before.Key == key && before.Page == page && before.Sheets.All(s => s.Name is not { } name || css.Contains(name) || name.StartsWith("style ", StringComparison.Ordinal)) && !before.Sheets.Any(s => s.HasImports);
        if (!isSame) last = (key, page, PageSheets.Of(page, path, css, ReadOrNone), []);
        var (_, _, sheets, rules) = last!.Value;
        if (rules.Count > MostWindows) rules.Clear();
        return rules.TryGetValue(media, out var known) ? known : rules[media] = RuleSet.Of(sheets, media, page.IsQuirky);
    }

    private const int MostWindows = 32, LongestSheet = 50_000_000;

    private static void Property(Utf8JsonWriter writer, PageStyles page, Element element, string name, HashSet<string> fields, Dictionary<StyleSheet, TextLines> lines)
    {
        var style = page.Of(element);
        writer.WriteStartObject(name);
        var isCustom = name.StartsWith("--", StringComparison.Ordinal);
        var set = CssProperties.SetBy(name);
        if (!isCustom && set.IsEmpty) throw new FormatException($"{Quoted.Text(name)} is no property.");
        if (set.Length > 1)
        {
            // Declared, won and lost is by the properties it stands for.
            var text = ShorthandText.Of(style, name);
            if (fields.Contains("computed")) writer.WriteString("computed", text);
            if (fields.Contains("resolved")) writer.WriteString("resolved", text);
            writer.WriteEndObject();
            return;
        }
        var property = isCustom ? null : set[0];
        var trace = property is null ? PropertyTrace.Of(style, element, name) : PropertyTrace.Of(style, element, property);
        if (fields.Contains("computed")) writer.WriteString("computed", trace.Computed);
        var asksResolved = fields.Contains("resolved");
        var resolved = !asksResolved ? null : property is null ? trace.Computed : ResolvedValues.Of(style, property);
        if (property is not null && (trace.Computed is null || (asksResolved && resolved is null))) writer.WriteBoolean("needsLayout", true);
        if (asksResolved) writer.WriteString("resolved", resolved);
        if (fields.Contains("winner"))
        {
            writer.WritePropertyName("winner");
            if (trace.Winner is { } winner) Declaration(writer, winner, trace.InheritedFrom, null, lines);
            else writer.WriteNullValue();
        }
        if (fields.Contains("losers"))
        {
            writer.WriteStartArray("losers");
            foreach (var loser in trace.Losers) Declaration(writer, loser, trace.InheritedFrom, loser.ReasonAgainst(trace.Winner!), lines);
            writer.WriteEndArray();
        }
        if (fields.Contains("off"))
        {
            writer.WriteStartArray("off");
            foreach (var off in property is null ? OffDeclaration.Of(page, element, name) : OffDeclaration.Of(page, element, property)) Declaration(writer, off.Declaration, null, off.Reason, lines, off.Condition);
            writer.WriteEndArray();
        }
        if (fields.Contains("variables"))
        {
            writer.WriteStartArray("variables");
            foreach (var variable in trace.Winner is { } reads ? VariableTrace.Of(style, element, reads.Declared) : [])
            {
                writer.WriteStartObject();
                writer.WriteString("name", variable.Name);
                writer.WriteString("value", variable.Value);
                writer.WritePropertyName("winner");
                if (variable.Winner is { } declared) Declaration(writer, declared, variable.InheritedFrom, null, lines);
                else writer.WriteNullValue();
                writer.WriteEndObject();
            }
            writer.WriteEndArray();
        }
        writer.WriteEndObject();
    }

    private static void Declaration(Utf8JsonWriter writer, Candidate candidate, Element? from, Enum? reason, Dictionary<StyleSheet, TextLines> lines, string? condition = null)
    {
        var (declared, rule) = (candidate.Declared, candidate.Declared.Rule);
        var node = declared.Node;
        var isWritten = rule is not null && candidate.Origin == Origin.Author;
        writer.WriteStartObject();
        writer.WriteString("origin", candidate.Origin == Origin.UserAgent ? "user-agent" : candidate.IsInline ? "inline" : "author");
        writer.WriteString("source", isWritten ? rule!.Sheet.Name : null);
        if (isWritten)
        {
            if (!lines.TryGetValue(rule!.Sheet, out var text)) lines[rule.Sheet] = text = new(rule.Sheet.Node.Source);
            var (line, column) = text.At(node.Start);
            writer.WriteNumber("line", line);
            writer.WriteNumber("column", column);
        }
        else
        {
            writer.WriteNull("line");
            writer.WriteNull("column");
        }
        // What an attribute says has no selector.
        if (rule is null || candidate.Origin == Origin.Hint)
        {
            writer.WriteNull("selector");
            writer.WriteNull("specificity");
        }
        else
        {
            writer.WriteString("selector", rule.SelectorText);
            writer.WriteStartArray("specificity");
            foreach (var weight in new[] { candidate.Specificity.Ids, candidate.Specificity.Classes, candidate.Specificity.Elements }) writer.WriteNumberValue(weight);
            writer.WriteEndArray();
        }
        writer.WriteString("layer", candidate.Layer?.ToString());
        writer.WriteBoolean("important", declared.IsImportant);
        writer.WriteString("property", node.Name);
        writer.WriteString("value", Value(declared));
        writer.WriteString("inheritedFrom", from is null ? null : Path(from));
        if (reason is { } why) writer.WriteString("reason", why.ToString().ToLowerInvariant());
        if (condition is not null) writer.WriteString("condition", condition);
        writer.WriteEndObject();
    }

    /// <summary>A value as it was written.</summary>
    private static string Value(Declared declared)
    {
        var value = declared.Node.Value;
        if (value.IsEmpty) return "";
        return declared.Rule is { } rule ? rule.Sheet.Node.Source[value[0].Start..value[^1].End] : Serializer.Values(value);
    }

    private static Dictionary<Element, ElementStates> Forced(JsonElement request, Document page)
    {
        var forced = new Dictionary<Element, ElementStates>();
        if (!request.TryGetProperty("force", out var list)) return forced;
        if (list.ValueKind != JsonValueKind.Array) throw new FormatException("“force” is not a list.");
        var matching = new Matching(page) { MostSteps = MostSteps };
        foreach (var entry in list.EnumerateArray())
        {
            if (entry.ValueKind != JsonValueKind.Object) throw new FormatException("What “force” lists are no objects.");
            if (!SelectorParser.TryParse(Parser.ParseValues(entry.Text("on")), isNested: false, out var on, out var error)) throw new FormatException(error.Message);
            var element = page.All.FirstOrDefault(e => on.Any(s => matching.Holds(s, e))) ?? throw new FormatException($"No element is found by {Quoted.Text(entry.Text("on"))}.");
            foreach (var state in entry.Texts("states")) forced[element] = forced.GetValueOrDefault(element) | (ElementStateNames.Find(state) ?? throw new FormatException($"{Quoted.Text(state)} is no state that can be forced."));
        }
        return forced;
    }

    /// <summary>What a page names is read only where it is a file of a size that sheets have.</summary>
    private static byte[]? ReadOrNone(string path)
    {
        try
        {
            var file = new FileInfo(path);
            return file.Exists && file.Length is > 0 and < LongestSheet ? JsonLines.FileBytes(path) : null;
        }
        catch (Exception unread) when (unread is FormatException or ArgumentException or IOException or UnauthorizedAccessException or NotSupportedException)
        {
            return null;
        }
    }

    /// <summary>A selector that finds an element alone.</summary>
    private static string Path(Element element)
    {
        var parts = new List<string>();
        for (var at = element; at is not null; at = at.Parent)
        {
            var kin = at.Parent is null ? [at] : at.Parent.Children.Where(c => c.Name == at.Name && c.IsHtml == at.IsHtml).ToList();
            parts.Add(kin.Count > 1 ? $"{Serializer.Identifier(at.Name)}:nth-of-type({kin.IndexOf(at) + 1})" : Serializer.Identifier(at.Name));
        }
        parts.Reverse();
        return string.Join(" > ", parts);
    }
}
