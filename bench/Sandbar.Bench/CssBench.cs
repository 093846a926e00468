using System.Diagnostics;
using System.Globalization;
using System.Text;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>The CSS engine: reading a long sheet beside two well-known parsers, and what it takes to know all of a large page, at first and after a change.</summary>
internal static class CssBench
{
    private const int Elements = 3_000, Rules = 2_000;

    private static readonly string[] Main =
        ["color", "background-color", "font-size", "font-weight", "line-height", "display", "position", "margin-top", "margin-left", "padding-top", "padding-left", "border-top-width", "border-top-color", "opacity", "width", "text-align", "row-gap", "box-shadow", "transform", "outline-color"];

    public static async Task RunAsync()
    {
        await ParseAsync();
        var (html, css) = (Html(), Css());
        var (document, sheet) = (Document.Parse(html), StyleSheet.Parse(css, "a.css"));
        Console.WriteLine($"{document.All.Count} elements, {Rules} rules, {css.Length / 1024} KB");
        Time("rules indexed", () => RuleSet.Of([sheet], new MediaEnvironment()));
        var set = RuleSet.Of([sheet], new MediaEnvironment());
        Time("all elements matched", () =>
        {
            var styles = new PageStyles(document, set);
            foreach (var element in document.All) _ = styles.Of(element);
        });
        Time("and the winner of every property found", () =>
        {
            var styles = new PageStyles(document, set);
            foreach (var element in document.All) _ = styles.Of(element).Text(CssProperties.Of("color"));
        });
        Time("and 20 properties of each computed", () =>
        {
            var styles = new PageStyles(document, set);
            foreach (var element in document.All)
            {
                var style = styles.Of(element);
                foreach (var name in Main) _ = style.Text(CssProperties.Of(name));
            }
        });
        Again(document, css);
    }

    /// <summary>The same page with a sheet of the designer's behind the others, after a line of it changes.</summary>
    private static void Again(Document document, string css)
    {
        var sheets = Parser.Of(css).Rules().Select(r => StyleSheet.Parse(css[r.Start..r.End], null)).ToList();
        sheets.Add(StyleSheet.Parse("section p { color: red }", null));
        var places = Places.Of(sheets);
        var kinds = places.Kinds(document, long.MaxValue);
        var found = new Place[document.All.Count];
        foreach (var element in document.All) found[element.Index] = places.Of(document, element, kinds[element.Index], element.Parent is null ? null : found[element.Parent.Index]);
        var styles = new PlaceStyles(RuleSet.Of(sheets, new MediaEnvironment()), long.MaxValue);
        var color = CssProperties.Of("color");
        foreach (var place in found) _ = styles.Of(place).Text(color);
        var n = 0;
        Time("again after one line of the overrides changed, with all winners", () =>
        {
            sheets[^1] = StyleSheet.Parse($"section p {{ color: #{++n:x3} }}", null);
            places = Places.Of(sheets, places);
            styles = styles.After(styles.Rules.With(sheets), places);
            foreach (var place in found) _ = styles.Of(place).Text(color);
        });
    }

    private static void Time(string what, Action act)
    {
        var times = new List<double>();
        for (var i = 0; i < 15; i++)
        {
            var since = Stopwatch.GetTimestamp();
            act();
            times.Add(Stopwatch.GetElapsedTime(since).TotalMilliseconds);
        }
        times.Sort();
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{what}: {times[times.Count / 2]:0.0} ms (first to last of 15: {times[0]:0.0} to {times[^1]:0.0})"));
    }

    private static async Task ParseAsync()
    {
        var css = Css();
        while (css.Length < 300_000) css += Css();
        var file = Path.GetTempFileName();
        await File.WriteAllTextAsync(file, css);
        Time($"parsed, {css.Length / 1024} KB", () => Parser.ParseStyleSheet(css));
        var script = $$"""
            const css = require("fs").readFileSync({{System.Text.Json.JsonSerializer.Serialize(file)}}, "utf8");
            for (const [name, parse] of [["css-tree", require("css-tree").parse], ["postcss", require("postcss").parse]]) {
              const times = [];
              for (let i = 0; i < 15; i++) { const t = performance.now(); parse(css); times.push(performance.now() - t); }
              times.sort((a, b) => a - b);
              console.log(name + ": " + times[7].toFixed(1) + " ms (" + times[0].toFixed(1) + " to " + times[14].toFixed(1) + ")");
            }
            """;
        using var node = Process.Start(new ProcessStartInfo("node", ["-e", script]) { WorkingDirectory = Path.Combine(LocalServer.Root, "client") })!;
        await node.WaitForExitAsync();
        File.Delete(file);
    }

    private static string Html()
    {
        var html = new StringBuilder("<!doctype html><html><head><title>t</title></head><body>");
        var random = new Random(7);
        for (var i = 0; i < Elements / 10; i++)
        {
            html.Append(CultureInfo.InvariantCulture, $"<section class='s{random.Next(40)}'><h2 id='i{i}' class='t{random.Next(30)}'>a</h2><ul class='list'>");
            for (var j = 0; j < 3; j++) html.Append(CultureInfo.InvariantCulture, $"<li class='c{random.Next(200)} m{random.Next(20)}'><a href='#' class='l{random.Next(50)}'>b</a></li>");
            html.Append("</ul><p>c</p></section>");
        }
        return html.Append("</body></html>").ToString();
    }

    private static string Css()
    {
        var css = new StringBuilder();
        var random = new Random(11);
        string[] selectors = [".c{0}", ".s{1} .l{2}", "li.m{3} > a", ".t{4}:hover, .t{4}", "section.s{1} p", ".c{0}.m{3}::before", "#i{5}", ".s{1} > ul > li:nth-child({6})", ":is(.l{2}, .t{4}) em", ".c{0}:not(.m{3}) a"];
        string[] declarations = ["color: #1{0:x}{0:x}", "margin: {1}px {2}px", "padding: {1}rem", "font: {1}px/1.5 serif", "border: 1px solid rgb({1} {2} 3)", "background: linear-gradient(red, blue {1}%)", "--v{1}: {2}px", "width: calc(100% - var(--v{1}, 3px))", "opacity: .{1}", "transform: translate({1}px)"];
        for (var i = 0; i < Rules; i++)
        {
            css.AppendFormat(CultureInfo.InvariantCulture, selectors[random.Next(selectors.Length)], random.Next(200), random.Next(40), random.Next(50), random.Next(20), random.Next(30), random.Next(300), 1 + random.Next(3)).Append(" { ");
            for (var j = 0; j < 4; j++) css.AppendFormat(CultureInfo.InvariantCulture, declarations[random.Next(declarations.Length)], random.Next(16), random.Next(20), random.Next(20)).Append("; ");
            css.Append("}\n");
        }
        return css.ToString();
    }
}
