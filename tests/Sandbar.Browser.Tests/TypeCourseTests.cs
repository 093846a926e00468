using System.Globalization;
using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Type from end to end in the real interface: families tried beside each other, files and lists of one's own, scale, styles down to numerals, figures, and what is released.</summary>
public sealed class TypeCourseTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task A_designer_chooses_families_and_sets_the_type_of_a_site()
    {
        // The shelf, in the site's own words; letters come as rows come into sight.
        Browser.Open(workplace.At("/sites/pellwyn/type?view=families"));
        Browser.Until(() => Rows().Contains("Fraunces", StringComparison.Ordinal), "the shelf");
        Browser.Until(() => Browser.Run<bool>("return document.fonts.status === 'loaded'"), "the letters in sight");
        var loaded = Browser.Run<long>("return performance.getEntriesByType('resource').filter((r) => r.name.includes('/assets/')).reduce((sum, r) => sum + r.encodedBodySize, 0)");
        Assert.InRange(loaded, 20_000, 600_000);
        Assert.True(Browser.Run<long>("return [...document.querySelectorAll('ul[aria-label=Shelf] .own-words')].filter((w) => w.textContent === '').length") > 5);
        Browser.Named("label", "Slab").Click();
        Browser.Until(() => Rows().StartsWith("Roboto Slab", StringComparison.Ordinal), "the slabs");
        Browser.Element("input[aria-label='Search the shelf by name']").SendKeys("zilla");
        Browser.Until(() => Rows() == "Zilla Slab", "one family");
        Browser.Element("input[aria-label='Search the shelf by name']").SendKeys(Keys.Backspace + Keys.Backspace + Keys.Backspace + Keys.Backspace + Keys.Backspace);
        Browser.Named("label", "All").Click();

        // Two beside each other, at the same place, with what differs.
        Browser.Named("button", "Try Literata beside").Click();
        Browser.Named("li", "Beside Fraunces").Click();
        Browser.Until(() => Faces() == "Fraunces,Literata", "both beside each other");
        Browser.Until(() => Figures().Contains("x-height", StringComparison.Ordinal) && Figures().Contains("text", StringComparison.Ordinal), "figures");
        Browser.Run<object?>("document.querySelectorAll('.stage iframe')[0].contentWindow.scrollTo(0, 240)");
        Browser.Until(() => Browser.Run<long>("return Math.round(document.querySelectorAll('.stage iframe')[1].contentWindow.scrollY)") is > 0 and < 241, "the other to scroll along");
        Browser.Run<object?>("document.activeElement.blur(); document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'f', bubbles: true }))");
        Browser.Until(() => Faces() == "Literata,Fraunces", "left to become right");
        Assert.Equal(0, (await workplace.Server.SiteAsync()).Version());
        Browser.Named("button", "Take Literata").Click();
        Until("1");
        Browser.Settle();
        Assert.Contains("Literata", Browser.StageStyle(".heading-2", "font-family"), StringComparison.Ordinal);

        // A file of one's own; one that is none changes nothing.
        var input = Browser.Driver.FindElement(By.CssSelector("input[aria-label^='Add font files']"));
        var wrong = Path.Combine(Path.GetTempPath(), $"{Guid.NewGuid():N}.woff2");
        await File.WriteAllTextAsync(wrong, "These are words.", TestContext.Current.CancellationToken);
        input.SendKeys(wrong);
        Browser.Until(() => Alerts().Contains("no font that can be read", StringComparison.Ordinal), "what is wrong with it");
        File.Delete(wrong);
        Browser.Driver.FindElement(By.CssSelector("input[aria-label^='Add font files']")).SendKeys(Path.Combine(AppContext.BaseDirectory, "fonts", "caveat.ttf"));
        Until("2");
        Browser.Until(() => Browser.Run<bool>("return !!document.querySelector('table[aria-label=\"Files of Caveat\"]')"), "its files");
        Assert.Contains("SIL", Browser.Run<string>("return document.querySelector('table[aria-label=\"Files of Caveat\"]').textContent"), StringComparison.OrdinalIgnoreCase);

        // A list of fonts that devices bring along.
        Browser.Named("button", "Add a list").Click();
        Browser.Element("input[aria-label='Name of the family']").SendKeys("Plain" + Keys.Enter);
        Until("3");
        Browser.Starting("button", "Family list of Plain").Click();
        Browser.Press(Keys.Control + "a");
        Browser.Press("\"Open, serif" + Keys.Enter);
        Browser.Until(() => Alerts().Contains("quotes that are closed", StringComparison.Ordinal), "what is wrong with the list");
        Browser.Press(Keys.Escape);
        Browser.Starting("button", "Family list of Plain").Click();
        Browser.Press("Georgia, serif" + Keys.Enter);
        Until("4");

        // The scale by the name of a ratio.
        Browser.Open(workplace.At("/sites/pellwyn/type?view=scale"));
        Browser.Starting("button", "Ratio of Wide end").Click();
        Browser.Press("perfect fourth" + Keys.Enter);
        Until("5");
        Browser.Until(() => Browser.Starting("button", "Ratio of Wide end").GetAttribute("aria-label")!.Contains("1.333 perfect fourth", StringComparison.Ordinal), "the ratio by its name");

        // Text styles in place, down to numerals and lines.
        Browser.Open(workplace.At("/sites/pellwyn/type?view=styles&style=lead"));
        Set("Numerals", "Numerals of Lead", "old-style", 6);
        Set("Line", "Line of Lead", "under", 7);
        Set("Line", "Line thickness of Lead", "3px", 8);
        Set("Letters", "Family of Lead", "Caveat", 9);
        Set("Letters", "Weight of Lead", "950", 10);
        Browser.Settle();
        Assert.Equal("oldstyle-nums", Browser.StageStyle(".paragraph-lead", "font-variant-numeric"));
        Assert.Equal("normal", Browser.StageStyle(".paragraph-standard", "font-variant-numeric"));
        Assert.Equal("underline", Browser.StageStyle(".paragraph-lead", "text-decoration-line"));
        Assert.Equal("3px", Browser.StageStyle(".paragraph-lead", "text-decoration-thickness"));
        Assert.Contains("Caveat", Browser.StageStyle(".paragraph-lead", "font-family"), StringComparison.Ordinal);
        Assert.True(bool.Parse(Browser.OnStage("[...stage.fonts].some(f => f.family.includes('Caveat') && f.status === 'loaded')")));

        // Figures: how long lines are where they were measured, and what the family lacks.
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.status-line').textContent").Contains("notes", StringComparison.Ordinal), "the notes to be counted");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.style-figures').textContent").Contains("Caveat has no 950: it is shown as 700.", StringComparison.Ordinal), "the weight it lacks");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.style-figures').textContent").Contains(" at 1280", StringComparison.Ordinal), "characters a line");
        var said = Browser.Run<string>("return document.querySelector('.style-figures').textContent");
        var characters = int.Parse(said[(said.IndexOf(": ", StringComparison.Ordinal) + 2)..said.IndexOf(" at 1280", StringComparison.Ordinal)], CultureInfo.InvariantCulture);
        Assert.InRange(characters - LongestLine(), -8, 14);

        // All of it is in the released bytes: the fonts, their licences, the styles.
        var zip = await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken);
        await using var released = await Released.UnpackAsync(zip);
        var css = await File.ReadAllTextAsync(Path.Combine(released.Folder, "site.css"), TestContext.Current.CancellationToken);
        Assert.Contains("font-variant-numeric: oldstyle-nums;", css, StringComparison.Ordinal);
        Assert.Contains("font-family: \"Caveat Fallback\";", css, StringComparison.Ordinal);
        Assert.Contains("--family-plain: Georgia, serif;", css, StringComparison.Ordinal);
        Assert.True(File.Exists(Path.Combine(released.Folder, "fonts", "caveat-400-700.woff2")));
        Assert.True(File.Exists(Path.Combine(released.Folder, "fonts", "licences", "literata.txt")));
        Assert.True(File.Exists(Path.Combine(released.Folder, "fonts", "licences", "caveat-400-700.txt")));
        Assert.DoesNotContain("fraunces", string.Join(' ', Directory.GetFiles(Path.Combine(released.Folder, "fonts"))), StringComparison.OrdinalIgnoreCase);

        // And taken back, one by one.
        for (var left = 10; left > 8; left--)
        {
            Browser.Starting("button", "Undo").Click();
            Until($"{21 - left}");
        }
        Browser.Settle();
        Assert.Contains("Figtree", Browser.StageStyle(".paragraph-lead", "font-family"), StringComparison.Ordinal);
    }

    /// <summary>Types a setting of a text style in the table, in the columns it stands in.</summary>
    private void Set(string columns, string cell, string typed, int version)
    {
        Browser.Driver.FindElement(By.XPath($"//div[@aria-label='Settings in the table']//label[normalize-space()='{columns}']")).Click();
        Browser.Starting("button", cell).Click();
        Browser.Press(typed + Keys.Enter);
        Until($"{version}");
    }

    /// <summary>The most characters that stand on one line of the leads on stage, counted by the browser.</summary>
    private int LongestLine() => (int)Browser.Run<long>("""
        const stage = document.querySelector('.stage iframe').contentDocument;
        return Math.max(...[...stage.querySelectorAll('.paragraph-lead')].filter((p) => p.clientHeight > 1.8 * parseFloat(stage.defaultView.getComputedStyle(p).lineHeight)).flatMap((p) => {
          const lines = new Map();
          const text = p.firstChild;
          for (let i = 0; i < text.length; i++) {
            const range = stage.createRange();
            range.setStart(text, i);
            range.setEnd(text, i + 1);
            const top = Math.round(range.getBoundingClientRect().top);
            lines.set(top, (lines.get(top) ?? 0) + 1);
          }
          return [...lines.values()];
        }));
        """);

    private string Rows() => Browser.Run<string>("return [...document.querySelectorAll('ul[aria-label=Shelf] strong')].map((s) => s.textContent).join()");

    private string Faces() => Browser.Run<string>("return [...document.querySelectorAll('.stage iframe')].map((f) => { const h = f.contentDocument?.querySelector('h1'); return h ? f.contentWindow.getComputedStyle(h).fontFamily.split(',')[0].replaceAll('\"', '') : '' }).join()");

    private string Figures() => Browser.Run<string>("return document.querySelector('.beside-figures')?.textContent ?? ''");

    private string Alerts() => Browser.Run<string>("return [...document.querySelectorAll('[role=alert]')].map((a) => a.textContent).join()");

    private void Until(string version) => Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == version, $"version {version}");
}
