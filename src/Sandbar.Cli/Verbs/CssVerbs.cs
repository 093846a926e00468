using System.CommandLine;
using System.Text;
using System.Text.Json;
using Sandbar.Css.Documents;
using Sandbar.Css.Grammar;
using Sandbar.Css.Linting;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Cli.Verbs;

/// <summary><c>select</c>, <c>lint</c>.</summary>
internal static class CssVerbs
{
    /// <summary>Parts of selectors held against elements before a request is given up: some seconds.</summary>
    private const long MostSteps = 100_000_000;

    private static readonly Cache<Document> Pages = new(bytes => Document.Parse(Encoding.UTF8.GetString(bytes)));

    public static Command Select => Verb.Create("select", "What a selector weighs, and which elements of a page it finds.",
        [new("selector", "a selector, or a list of them"), new("html", "an HTML file", Required: false)], SelectIn);

    public static Command Lint => Verb.Create("lint", "Whether a property takes a value; or what of a stylesheet browsers leave out.",
        [new("property", "a property, with a value; or else the path of a stylesheet"), new("value", "what is declared of it", Required: false), new("html", "pages on which selectors are looked up, with semicolons between them", Required: false)], LintIn);

    private static void LintIn(JsonElement request, Utf8JsonWriter writer)
    {
        if (request.TryGetProperty("value", out _))
        {
            var verdict = PropertyGrammars.All.Check(request.Text("property"), Parser.ParseValues(request.Text("value")));
            writer.WriteBoolean("valid", verdict is Verdict.Valid or Verdict.Later or Verdict.Unread);
            return;
        }
        // For people the path stands where the property does.
        var field = request.TryGetProperty("file", out _) ? "file" : "property";
        var sheet = Parser.ParseStyleSheet(Encoding.UTF8.GetString(request.FileBytes(field)));
        var pages = request.TryGetProperty("html", out _) ? request.Texts("html").Select(path => Document.Parse(Encoding.UTF8.GetString(JsonLines.FileBytes(path)))).ToList() : [];
        var lines = new TextLines(sheet.Source);
        writer.WriteStartArray("diagnostics");
        foreach (var diagnostic in SheetLint.Of(sheet, pages))
        {
            var (line, column) = lines.At(diagnostic.Start);
            writer.WriteStartObject();
            writer.WriteString("severity", diagnostic.Severity.ToString().ToLowerInvariant());
            writer.WriteString("code", diagnostic.Code);
            writer.WriteNumber("line", line);
            writer.WriteNumber("column", column);
            writer.WriteString("message", diagnostic.Message);
            writer.WriteEndObject();
        }
        writer.WriteEndArray();
    }

    private static void SelectIn(JsonElement request, Utf8JsonWriter writer)
    {
        if (!SelectorParser.TryParse(Parser.ParseValues(request.Text("selector")), isNested: false, out var selectors, out var error)) throw new FormatException(error.Message);
        var (ids, classes, elements) = Specificity.Heaviest(selectors);
        writer.WriteStartArray("specificity");
        foreach (var weight in new[] { ids, classes, elements }) writer.WriteNumberValue(weight);
        writer.WriteEndArray();
        if (!request.TryGetProperty("html", out _)) return;
        var page = Pages.Of(request.Text("html"));
        var matching = new Matching(page) { MostSteps = MostSteps };
        writer.WriteStartArray("matches");
        foreach (var element in page.All.Where(e => selectors.Any(s => matching.Holds(s, e)))) writer.WriteNumberValue(element.Index);
        writer.WriteEndArray();
    }
}
