using System.Text.Json;

namespace Sandbar.Browser.Tests;

/// <summary>Every resolved style of every element, to compare one page with another.</summary>
internal static class Styles
{
    /// <summary>Reads them off a document given by an expression; the stage's own marks do not count.</summary>
    public static List<string> Read(Sandbar.Tests.Browser browser, string document)
    {
        var read = browser.Json($$"""
            const doc = {{document}};
            const view = doc.defaultView;
            // The stage moves nothing of itself: played, it is the release.
            doc.documentElement.dataset.play = '';
            for (const a of doc.getAnimations()) { try { a.finish(); } catch { a.cancel(); } }
            const lines = [];
            for (const element of [doc.documentElement, ...doc.body.querySelectorAll('*')]) {
              // A release's script adds the buttons of clips.
              if (element.closest('.fill-controls, script')) continue;
              for (const pseudo of [null, '::before', '::after']) {
                const style = view.getComputedStyle(element, pseudo);
                if (pseudo && style.content === 'none') continue;
                const name = element.tagName + '.' + element.className + (pseudo ?? '');
                lines.push(name + ' ' + [...style].filter(p => !p.startsWith('--')).map(p => p + ':' + style.getPropertyValue(p).replace(/url\("http:[^"]*\/(pictures\/[^"]*)"\)/g, 'url("$1")')).join(';'));
              }
            }
            return lines;
            """);
        return [.. read.EnumerateArray().Select(l => l.GetString()!)];
    }

    /// <summary>The first difference, property by property; null where there is none.</summary>
    public static string? Difference(List<string> a, List<string> b)
    {
        if (a.Count != b.Count) return $"{a.Count} elements, and {b.Count}";
        foreach (var (x, y) in a.Zip(b))
        {
            if (x == y) continue;
            var (p, q) = (x.Split(';'), y.Split(';'));
            var at = p.Zip(q).First(pair => pair.First != pair.Second);
            return $"{p[0].Split(' ')[0]}: {at.First}, and {at.Second}";
        }
        return null;
    }

    public static string Axe { get; } = File.ReadAllText(Path.Combine(Sandbar.Tests.LocalServer.Root, "client", "node_modules", "axe-core", "axe.min.js"));

    /// <summary>What axe-core finds on the page at hand, in words.</summary>
    public static List<string> Violations(Sandbar.Tests.Browser browser, string context = "document")
    {
        browser.Driver.ExecuteScript(Axe);
        var found = (string)browser.Driver.ExecuteAsyncScript($$"""
            const done = arguments[arguments.length - 1];
            axe.run({{context}}, { resultTypes: ['violations'], iframes: false }).then(r => done(JSON.stringify(r.violations.map(v =>
              v.id + ': ' + v.help + ' · ' + v.nodes.slice(0, 3).map(n => n.html.slice(0, 160)).join(' | ')))), e => done(JSON.stringify(['axe failed: ' + e])));
            """)!;
        return JsonSerializer.Deserialize<List<string>>(found)!;
    }

    /// <summary>Every pair of text and ground axe-core measures on the page at hand, as hex, with its ratio.</summary>
    public static List<(string Foreground, string Ground, double Ratio)> Contrasts(Sandbar.Tests.Browser browser)
    {
        browser.Driver.ExecuteScript(Axe);
        var found = (string)browser.Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            axe.run(document, { runOnly: ['color-contrast'] }).then(r => done(JSON.stringify([...r.passes, ...r.violations].flatMap(v => v.nodes)
              .flatMap(n => n.any).map(c => c.data).filter(d => d && d.fgColor && d.bgColor).map(d => [d.fgColor, d.bgColor, String(d.contrastRatio)]))), e => done('[]'));
            """)!;
        return [.. JsonSerializer.Deserialize<List<List<string>>>(found)!.Select(d => (d[0], d[1], double.Parse(d[2])))];
    }
}
