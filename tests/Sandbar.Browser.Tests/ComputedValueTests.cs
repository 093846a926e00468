using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Tracing;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>
/// What elements come to is what Chromium's <c>computedStyleMap</c> answers: under stylesheets of others on pages of ours, under a sheet of our own with everything that cascades, and on the
/// demo's pages; at several widths, light and dark, with states forced.
/// </summary>
public sealed partial class ComputedValueTests(Workplace workplace) : IClassFixture<Workplace>
{
    private static readonly string[] Pages = ["article.html", "form.html", "landing.html"];

    /// <summary>Stylesheets from the registry.</summary>
    private static readonly string[] Sheets = ["normalize.css/normalize.css", "sakura.css/css/sakura.css", "water.css/out/water.css", "github-markdown-css/github-markdown.css"];

    /// <summary>Those that designs are made of.</summary>
    private static readonly Property[] Main =
    [
        .. """
            color background-color background-image font-family font-size font-weight font-style line-height letter-spacing text-align text-transform text-decoration-line text-decoration-color text-indent white-space-collapse
            vertical-align display position box-sizing width max-width min-height margin-top margin-right margin-bottom margin-left padding-top padding-right padding-bottom padding-left border-top-width border-top-style
            border-top-color border-left-width border-left-color border-bottom-width border-bottom-style border-top-left-radius border-bottom-right-radius box-shadow opacity list-style-type overflow-x cursor outline-style
            outline-width outline-color flex-direction justify-content align-items column-gap row-gap transition-duration transform accent-color color-scheme
            """.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Select(CssProperties.Of),
    ];

    // What differs, each with its reason.
    private static readonly Dictionary<string, string> Known = File.ReadLines(Path.Combine(AppContext.BaseDirectory, "computed-differences.txt"))
        .Where(l => l.Length > 0 && !l.StartsWith('#')).Select(l => l.Split(" | ", 2)).ToDictionary(l => l[0], l => l[1], StringComparer.Ordinal);

    // Pages and sheets are read once for all windows.
    private readonly Dictionary<string, (Document Page, IReadOnlyList<StyleSheet> Sheets)> read = new(StringComparer.Ordinal);

    private sealed record Setting(int Width, bool IsDark, string? On = null, string[]? States = null);

    public static TheoryData<string> Under() => [.. Sheets, ""];

    [Theory]
    [MemberData(nameof(Under))]
    public void Sheets_of_others_come_to_what_they_come_to_in_Chromium(string sheet)
    {
        var css = sheet.Length == 0 ? "" : File.ReadAllText(Path.Combine(LocalServer.Root, "client", "node_modules", sheet));
        var compared = new Compared();
        foreach (var page in Pages)
        {
            var html = Read(page);
            foreach (var width in new[] { 390, 768, 1280 })
            {
                foreach (var dark in new[] { false, true }) Compare(html, css, page, new(width, dark), Main, compared);
            }
            var field = page == "article.html" ? "a[href]" : "input";
            foreach (var (on, states) in new[] { ("a[href]", (string[])["hover"]), (field, ["focus", "focus-visible", "focus-within"]), (field, ["hover", "active"]) }) Compare(html, css, page, new(1280, false, on, states), Main, compared);
        }
        compared.Show();
        Assert.True(compared.Values > 50_000);
    }

    /// <summary>All that Chromium has, on the sheet that asks everything and on the pages without any.</summary>
    [Fact]
    public void Every_property_comes_to_what_it_comes_to_in_Chromium()
    {
        var compared = new Compared();
        var all = CssProperties.All.Where(p => !Known.ContainsKey(p.Name)).ToArray();
        foreach (var dark in new[] { false, true }) Compare(Read("features.html"), Read("features.css"), "features.html", new(768, dark), all, compared);
        foreach (var page in Pages) Compare(Read(page), "", page, new(1280, false), all, compared);
        compared.Show();
        Assert.True(compared.Values > 150_000);
        Assert.All(Known.Keys, name => Assert.NotNull(CssProperties.Find(name)));
    }

    /// <summary>Calculations, colours, gradients, shadows, transforms, and whatever else values are written in.</summary>
    [Fact]
    public void Every_form_of_value_comes_to_what_it_comes_to_in_Chromium()
    {
        var lines = File.ReadLines(Path.Combine(AppContext.BaseDirectory, "values.txt")).Where(l => !l.StartsWith('#')).ToList();
        var css = string.Join('\n', lines.Select((line, i) => $"#x{i} {{ {line} }}"));
        var html = $"<!doctype html><html><head><title>Values</title></head><body><div style=\"color:rgb(1,2,3);font-size:20px;line-height:30px\">{string.Concat(lines.Select((_, i) => $"<div id=x{i} data-n=7></div>"))}</div></body></html>";
        var compared = new Compared();
        Compare(html, css, "values", new(1280, false), [.. lines.SelectMany(l => CssProperties.SetBy(l[..l.IndexOf(':', StringComparison.Ordinal)])).Distinct()], compared);
        compared.Show();
        Assert.True(lines.Count > 300);
    }

    /// <summary>Each page of the demo as it is released.</summary>
    [Fact]
    public void So_do_the_pages_of_the_demo()
    {
        var files = SiteRelease.Files(PellwynSample.Create().Site).Where(f => f.Text is not null).ToDictionary(f => f.Path, f => f.Text!, StringComparer.Ordinal);
        var css = files[SiteRelease.StyleSheetPath];
        var compared = new Compared();
        foreach (var (path, text) in files.Where(f => f.Key.EndsWith(".html", StringComparison.Ordinal)))
        {
            // The sheet stands in the page, so that both read the same text.
            var html = SheetLink().Replace(text, "");
            foreach (var width in new[] { 390, 768, 1280 })
            {
                foreach (var dark in new[] { false, true }) Compare(html, css, path, new(width, dark), Main, compared);
            }
            foreach (var states in new[] { (string[])["hover"], ["focus", "focus-visible", "focus-within"], ["hover", "active"] }) Compare(html, css, path, new(1280, false, "a[href]", states), Main, compared);
        }
        compared.Show();
        Assert.True(compared.Values > 200_000);
    }

    private static string Read(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "pages", name));

    private static (Document, IReadOnlyList<StyleSheet>) Taken(string html)
    {
        var document = Document.Parse(html);
        return (document, PageSheets.Of(document, "page.html", [], _ => null));
    }

    private sealed class Compared
    {
        private readonly Dictionary<string, int> different = new(StringComparer.Ordinal);

        public int Values { get; set; }

        public void Note(string difference) => different[difference] = different.GetValueOrDefault(difference) + 1;

        public void Show() => Assert.True(different.Count == 0, $"{different.Values.Sum()} of {Values} differ:\n{string.Join('\n', different.OrderByDescending(d => d.Value).Take(40).Select(d => $"{d.Value} × {d.Key}"))}");
    }

    private void Compare(string html, string css, string name, Setting setting, IReadOnlyList<Property> properties, Compared compared)
    {
        var whole = css.Length == 0 ? html : html.Replace("</head>", $"<style>\n{css}\n</style></head>", StringComparison.Ordinal);
        var browser = workplace.Browser;
        browser.Resize(setting.Width, 900);
        browser.Prefer(setting.IsDark ? "dark" : "light");
        var file = Path.Combine(Path.GetTempPath(), $"sandbar-{Guid.NewGuid():N}.html");
        File.WriteAllText(file, whole);
        try
        {
            browser.Driver.Navigate().GoToUrl(new Uri(file));
            if (setting.On is { } on) Force(on, setting.States!);
            var answers = browser.Json($$"""
                for (const a of document.getAnimations()) { try { a.finish(); } catch { a.cancel(); } }
                const names = {{JsonSerializer.Serialize(properties.Select(p => p.Name))}};
                return [document.documentElement, document.body, ...document.body.querySelectorAll('*')].map(e => { const m = e.computedStyleMap(); return names.map(n => m.getAll(n).map(String).join(', ')); });
                """);
            if (!read.TryGetValue(whole, out var known)) read[whole] = known = Taken(whole);
            var (document, sheets) = known;
            var forced = new Dictionary<Element, ElementStates>();
            if (setting.On is not null)
            {
                var selector = SelectorParser.TryParse(Sandbar.Css.Syntax.Parser.ParseValues(setting.On), false, out var list, out _) ? list[0] : throw new InvalidOperationException();
                forced[document.All.First(e => new Matching(document).Holds(selector, e))] = setting.States!.Aggregate(ElementStates.None, (all, s) => all | ElementStateNames.Find(s)!.Value);
            }
            var styles = new PageStyles(document, RuleSet.Of(sheets, new MediaEnvironment(setting.Width, 900, setting.IsDark)), forced) { IsMissing = _ => true };
            var body = document.All.First(e => e.Name == "body");
            var elements = document.All.Where(e => e == document.Root || (e.Index >= body.Index && e.Index < body.End)).ToList();
            Assert.Equal(answers.GetArrayLength(), elements.Count);
            foreach (var (element, answer) in elements.Zip(answers.EnumerateArray()))
            {
                // What stands in a clip is never shown: Chromium has no values for it.
                if (element.Parent?.Name == "video") continue;
                var style = styles.Of(element);
                foreach (var (property, theirs) in properties.Zip(answer.EnumerateArray()))
                {
                    var trace = PropertyTrace.Of(style, element, property);
                    compared.Values++;
                    // What takes the measures of a font is not guessed.
                    if (trace.Computed is null) continue;
                    var (a, b) = (trace.Computed, Address(theirs.GetString()!));
                    if (a != b && !AreNear(a, b)) compared.Note($"{property.Name}: here {a}, Chromium {b}; {element} of {name} at {setting.Width}{(setting.IsDark ? " dark" : "")} {setting.On}");
                }
            }
        }
        finally
        {
            File.Delete(file);
        }
    }

    /// <summary>Whether two colours of CSS Color 4 are the same but for what Chromium's 24 binary digits leave of the last of six; Lab and LCH count in hundreds.</summary>
    private static bool AreNear(string a, string b)
    {
        double? within = a.Split('(')[0] switch { "color" or "oklab" or "oklch" or "linear-gradient" or "radial-gradient" or "conic-gradient" => 1e-6, "lab" or "lch" => 3e-5, _ => null };
        var (ours, theirs) = (a.Split(' ', '(', ')'), b.Split(' ', '(', ')'));
        return within is { } bound && ours.Length == theirs.Length && ours.Zip(theirs).All(p => p.First == p.Second
            || (double.TryParse(p.First, CultureInfo.InvariantCulture, out var x) && double.TryParse(p.Second, CultureInfo.InvariantCulture, out var y) && Math.Abs(x - y) <= bound * Math.Max(1, Math.Abs(x) / 100) + 1e-12));
    }

    /// <summary>Addresses as they were written: the browser makes them whole.</summary>
    private static string Address(string text) => WholeAddress().Replace(text, "url(\"$1\")");

    private void Force(string selector, string[] states)
    {
        var driver = workplace.Browser.Driver;
        foreach (var domain in new[] { "DOM", "CSS" }) driver.ExecuteCdpCommand($"{domain}.enable", []);
        var root = (Dictionary<string, object>)((Dictionary<string, object>)driver.ExecuteCdpCommand("DOM.getDocument", new() { ["depth"] = 0 })!)["root"];
        var node = (Dictionary<string, object>)driver.ExecuteCdpCommand("DOM.querySelector", new() { ["nodeId"] = root["nodeId"], ["selector"] = selector })!;
        driver.ExecuteCdpCommand("CSS.forcePseudoState", new() { ["nodeId"] = node["nodeId"], ["forcedPseudoClasses"] = states });
        workplace.Browser.Driver.ExecuteAsyncScript("const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => done()));");
    }

    [GeneratedRegex("""<link[^>]*rel="?stylesheet"?[^>]*>""")]
    private static partial Regex SheetLink();

    [GeneratedRegex("""url\("file://[^")]*?/((?:pictures/)?[^"/]*)"\)""")]
    private static partial Regex WholeAddress();
}
