using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Sandbar.Css.Tracing;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>The declarations that count for an element, and their order, are those Chromium's inspector lists, each known by where it stands in its sheet.</summary>
public sealed class WinnerTests(Workplace workplace) : IClassFixture<Workplace>
{
    [Theory]
    [InlineData("features.html", "")]
    [InlineData("landing.html", "github-markdown-css/github-markdown.css")]
    [InlineData("form.html", "normalize.css/normalize.css")]
    [InlineData("form.html", "water.css/out/water.css")]
    [InlineData("article.html", "sakura.css/css/sakura.css")]
    public void Winners_and_losers_are_those_of_Chromium(string page, string sheet)
    {
        var folder = Path.Combine(AppContext.BaseDirectory, "pages");
        var css = File.ReadAllText(sheet.Length == 0 ? Path.Combine(folder, "features.css") : Path.Combine(LocalServer.Root, "client", "node_modules", sheet));
        var html = File.ReadAllText(Path.Combine(folder, page)).Replace("</head>", $"<style>{css}</style></head>", StringComparison.Ordinal);
        var file = Path.Combine(Path.GetTempPath(), $"sandbar-{Guid.NewGuid():N}.html");
        File.WriteAllText(file, html);
        try
        {
            workplace.Browser.Resize(1280, 900);
            workplace.Browser.Prefer("light");
            workplace.Browser.Driver.Navigate().GoToUrl(new Uri(file));
            Compare(html);
        }
        finally
        {
            File.Delete(file);
        }
    }

    private void Compare(string html)
    {
        var document = Document.Parse(html);
        var styles = new PageStyles(document, RuleSet.Of(PageSheets.Of(document, "page.html", [], _ => null), new MediaEnvironment()));
        var driver = workplace.Browser.Driver;
        foreach (var domain in new[] { "DOM", "CSS" }) driver.ExecuteCdpCommand($"{domain}.enable", []);
        var root = Member(Ask("DOM.getDocument", new() { ["depth"] = 0 }), "root");
        var nodes = (IEnumerable<object>)Ask("DOM.querySelectorAll", new() { ["nodeId"] = root["nodeId"], ["selector"] = "*" })["nodeIds"];
        var lines = new Dictionary<StyleSheet, TextLines>();
        var different = new List<string>();
        var count = 0;
        foreach (var (element, node) in document.All.Zip(nodes))
        {
            var answer = Ask("CSS.getMatchedStylesForNode", new() { ["nodeId"] = node });
            // Weakest first; what stands on the element comes last.
            var theirs = ((IEnumerable<object>)answer["matchedCSSRules"]).Cast<Dictionary<string, object>>().Select(m => Member(m, "rule")).Where(r => (string)r["origin"] == "regular")
                .SelectMany(r => Written(Member(r, "style"), isInline: false)).Concat(answer.TryGetValue("inlineStyle", out var own) ? Written((Dictionary<string, object>)own, isInline: true) : []).ToList();
            foreach (var property in CssProperties.All.Where(p => !p.IsLogical))
            {
                var trace = PropertyTrace.Of(styles.Of(element), element, property);
                List<Candidate> candidates = trace.Winner is null || trace.InheritedFrom is not null ? [] : [trace.Winner, .. trace.Losers];
                var ours = candidates.Where(c => c.Origin == Origin.Author && !IsLogical(c, property)).Reverse().Select(c => (c.Declared.IsImportant, Place: Place(c, lines))).ToList();
                var said = theirs.Where(t => CssProperties.SetBy(t.Name).Contains(property)).ToList();
                count += ours.Count;
                var (plain, important) = (ours.Where(o => !o.IsImportant).Select(o => o.Place), ours.Where(o => o.IsImportant).Select(o => o.Place).Order(StringComparer.Ordinal));
                // Of important ones the inspector tells no order of their own.
                if (!plain.SequenceEqual(said.Where(t => !t.IsImportant).Select(t => t.Place)) || !important.SequenceEqual(said.Where(t => t.IsImportant).Select(t => t.Place).Order(StringComparer.Ordinal)))
                    different.Add($"{element} {property}: here {string.Join(' ', ours)}, Chromium {string.Join(' ', said)}");
            }
        }
        Assert.True(different.Count == 0, $"{different.Count} lists differ:\n{string.Join('\n', different.Take(20))}");
        Assert.True(count > 200, $"{count} declarations");
    }

    private Dictionary<string, object> Ask(string command, Dictionary<string, object> parameters) => (Dictionary<string, object>)workplace.Browser.Driver.ExecuteCdpCommand(command, parameters!)!;

    private static Dictionary<string, object> Member(Dictionary<string, object> of, string name) => (Dictionary<string, object>)of[name];

    private static IEnumerable<(string Name, bool IsImportant, string Place)> Written(Dictionary<string, object> style, bool isInline)
    {
        foreach (var declaration in ((IEnumerable<object>)style["cssProperties"]).Cast<Dictionary<string, object>>())
        {
            if (!declaration.TryGetValue("range", out var range) || (declaration.TryGetValue("parsedOk", out var ok) && ok is false) || (declaration.TryGetValue("disabled", out var off) && off is true)) continue;
            var at = (Dictionary<string, object>)range;
            var name = ((string)declaration["name"]).ToLowerInvariant();
            yield return (name, declaration.TryGetValue("important", out var important) && important is true, isInline ? $"on it {name}" : $"{Convert.ToInt64(at["startLine"]) + 1}:{name}");
        }
    }

    /// <summary>A logical property, which the inspector does not list by the side it comes to.</summary>
    private static bool IsLogical(Candidate candidate, Property property) => !candidate.Declared.Sets.Contains(property);

    private static string Place(Candidate candidate, Dictionary<StyleSheet, TextLines> lines)
    {
        if (candidate.Declared.Rule?.Sheet is not { } sheet) return $"on it {candidate.Declared.Name}";
        if (!lines.TryGetValue(sheet, out var text)) lines[sheet] = text = new(sheet.Node.Source);
        return $"{text.At(candidate.Declared.Node.Start).Line}:{candidate.Declared.Name}";
    }
}
