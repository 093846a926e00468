using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>A block taken away shows the same on an empty page as on its own: every resolved style of every element in it, in Chromium, a block of every part.</summary>
public sealed class SnippetTests(Workplace workplace) : IClassFixture<Workplace>
{
    /// <summary>What depends on how much room there is around, and on what stands before and after. What it stands in makes a block of whatever it lays out.</summary>
    private const string OfPlace = "^(width|height|inline-size|block-size|perspective-origin|transform-origin|margin.*|grid-template.*|top|right|bottom|left|inset.*|object-position)$";

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public async Task A_snippet_shows_the_same_on_an_empty_page(bool resolved)
    {
        var cancel = TestContext.Current.CancellationToken;
        var browser = workplace.Browser;
        browser.Resize(1280, 800);
        var blocks = Demo.Site.Pages.SelectMany(p => Blocks.OnPage(Demo.Site, p).SelectMany(Blocks.WithInner).Select(b => (Page: p, Block: b))).DistinctBy(b => (b.Block.Part, b.Block.Look)).ToList();
        Assert.Superset(PartCatalogue.All.Where(p => p.Hook.StartsWith('.') && p.Id is not ("heading-4" or "picture")).Select(p => p.Id).ToHashSet(), blocks.Select(b => b.Block.Part).Concat(["heading-4", "picture"]).ToHashSet());
        foreach (var (page, block) in blocks)
        {
            browser.Driver.Navigate().GoToUrl(workplace.At($"/stage/pellwyn/{page.Id}"));
            var there = Read($"document.querySelector('[data-block=\"{block.Id}\"]')");
            await using var files = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync($"/api/sites/pellwyn/blocks/{block.Id}/snippet.zip?resolved={(resolved ? "true" : "false")}", cancel));
            var file = Directory.GetFiles(files.Folder, "*.html").Single();
            var css = await File.ReadAllTextAsync(Path.ChangeExtension(file, "css"), cancel);
            if (resolved && block.Scheme is null) Assert.DoesNotContain("var(--role-", css, StringComparison.Ordinal);
            browser.Driver.Navigate().GoToUrl(new Uri(files.Address, Path.GetFileName(file)));
            var here = Read("(() => { let e = document.querySelector('.snippet'); do e = e.firstElementChild; while (e.classList.contains('snippet-around')); return e })()");
            Assert.True(Styles.Difference(there, here) is null, $"{block.Id}: {Styles.Difference(there, here)}");
            Assert.Empty(browser.Errors());
        }

        List<string> Read(string element)
        {
            browser.Until(() => browser.Run<bool>("return document.fonts.status === 'loaded'"), "the fonts");
            var lines = browser.Json($$"""
                document.documentElement.dataset.play = '';
                for (const a of document.getAnimations()) { try { a.finish(); } catch { a.cancel(); } }
                const root = {{element}};
                return [root, ...root.querySelectorAll('*')].flatMap(e => [null, '::before', '::after'].flatMap(pseudo => {
                  const style = getComputedStyle(e, pseudo);
                  if (pseudo && style.content === 'none') return [];
                  return [e.tagName + (pseudo ?? '') + ' ' + [...style].filter(p => !p.startsWith('--') && !/{{OfPlace}}/.test(p) && !(e === root && /^(display|min-.*size|min-width|min-height)$/.test(p))).map(p => p + ':' + style.getPropertyValue(p)).join(';')];
                }));
                """);
            return [.. lines.EnumerateArray().Select(l => l.GetString()!)];
        }
    }
}
