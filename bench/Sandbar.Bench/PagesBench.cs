using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Sandbar.Core.Design;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>
/// A site of 200 pages of 40 blocks: opened, a page added, a section moved, as whole requests; and in the browser a section moved by key until the stage shows it, and letters
/// written on the stage against the browser's own floor, a letter put into the same text by hand, in the same run.
/// </summary>
internal static class PagesBench
{
    private const int Pages = 200, BlocksOnPage = 40, Times = 30;

    private const string Slug = LargeSite.ManyPagesSlug;

    public static SiteWithAssets Site => LargeSite.ManyPages(Pages, BlocksOnPage);

    public static async Task RunAsync()
    {
        await using var server = await LocalServer.StartAsync();
        var many = Site;
        await new SiteStore(server.Store).AddAsync(many, DateTimeOffset.UnixEpoch);
        var page = many.Site.Pages[^1];
        Console.WriteLine($"{many.Site.Pages.Length} pages, {many.Site.Pages.SelectMany(p => p.Sections).SelectMany(Blocks.WithInner).Count()} blocks");

        Console.WriteLine($"opened the first time   {await TimedAsync(OpenAsync):0} ms");
        Console.WriteLine($"opened again            {(await RepeatedAsync(5, _ => OpenAsync())).Percentile(50):0} ms");
        var version = (await server.SiteAsync(slug: Slug)).Version();
        Console.WriteLine($"a page added            {(await EditedAsync(n => new { kind = "addPage", id = $"added-{n}", name = $"Added {n}", arrangement = "cards" })).Said()}");
        Console.WriteLine($"a section moved         {(await EditedAsync(n => new { kind = "moveBlocks", blockIds = new[] { page.Sections[^1].Id }, page = page.Id, parent = (string?)null, at = n % 2 * 99 })).Said()}");
        Console.WriteLine($"of it managed memory    {GC.GetTotalMemory(forceFullCollection: true) / 1e6:0} MB");

        using var browser = new Browser();
        browser.Open(new Uri(server.Client.BaseAddress!, $"/sites/{Slug}/pages?page={page.Id}"));
        var figures = InBrowser.Run(browser, Script, Times);
        Console.WriteLine($"a section moved by key until the stage shows it   {figures.Numbers("moved").Said()}");
        Console.WriteLine($"a letter on the stage: floor                      {figures.Numbers("floor").Said()}");
        Console.WriteLine($"a letter on the stage: written                    {figures.Numbers("written").Said()}   ratio {figures.Numbers("written").Percentile(50) / figures.Numbers("floor").Percentile(50):0.00}");
        Console.WriteLine($"the window of the browser opened                  {figures.GetProperty("opened").GetDouble():0} ms until all of it was loaded");

        Task OpenAsync() => server.Client.GetByteArrayAsync($"/api/sites/{Slug}?window=bench");

        async Task<double[]> EditedAsync(Func<int, object> edit) => await RepeatedAsync(Times, async n =>
        {
            var answer = await server.EditAsync(version, edit(n), slug: Slug);
            answer.EnsureSuccessStatusCode();
            version = (long)(await answer.Content.ReadFromJsonAsync<JsonObject>())!["version"]!;
        });
    }

    private static async Task<double> TimedAsync(Func<Task> act)
    {
        var started = Stopwatch.GetTimestamp();
        await act();
        return Stopwatch.GetElapsedTime(started).TotalMilliseconds;
    }

    private static async Task<double[]> RepeatedAsync(int times, Func<int, Task> act)
    {
        var took = new List<double>();
        for (var n = 0; n < times; n++) took.Add(await TimedAsync(() => act(n)));
        return [.. took.Order()];
    }

    private const string Script = """
        const [count, done] = [arguments[0], arguments[1]];
        const settled = async () => { while (document.documentElement.dataset.settled !== 'true') await frame(); };
        (async () => {
          const moved = [], floor = [], written = [];
          const opened = performance.getEntriesByType('navigation')[0].loadEventEnd;
          const first = () => stage.querySelector('main > section').dataset.block;
          for (let i = 0; i < count; i++) {
            await settled();
            const rows = document.querySelectorAll('[role=treeitem][aria-level="1"]');
            const row = rows[i % 2 === 0 ? 1 : 0];
            row.click();
            row.focus();
            await settled();
            await rest(300);
            moved.push(await time(first, () => row.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 === 0 ? 'ArrowUp' : 'ArrowDown', altKey: true, bubbles: true, cancelable: true }))));
          }
          await settled();
          const text = stage.querySelector('main .paragraph-lead');
          const says = () => text.textContent;
          for (let i = 0; i < count; i++) {
            floor.push(await time(says, () => text.append('x')));
            await rest();
          }
          for (let i = 0; i < count; i++) text.lastChild.remove();
          const at = text.getBoundingClientRect();
          const hand = { bubbles: true, clientX: at.left + 14, clientY: at.top + 9, view: stage.defaultView };
          text.dispatchEvent(new MouseEvent('click', { ...hand, detail: 1 }));
          text.dispatchEvent(new MouseEvent('dblclick', { ...hand, detail: 2 }));
          while (!text.isContentEditable) await frame();
          for (let i = 0; i < count; i++) {
            written.push(await time(says, () => stage.execCommand('insertText', false, 'x')));
            await rest();
          }
          done(JSON.stringify({ moved, floor, written, opened }));
        })();
        """;
}
