using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>
/// From the hand to the picture: an input on the hue slider until the frame after the stage shows it, against the browser's own floor
/// (one custom property set by hand on the same page) in the same run, with the server's share.
/// </summary>
internal static class LoopBench
{
    private const int Inputs = 100;

    public static async Task RunAsync()
    {
        await using var server = await LocalServer.StartAsync();
        using var browser = new Browser();
        browser.Open(new Uri(server.Client.BaseAddress!, "/sites/pellwyn/palette"));
        var figures = InBrowser.Run(browser, Script, Inputs);

        var floor = figures.Numbers("floor");
        var loop = figures.Numbers("loop");
        Console.WriteLine($"floor   {floor.Said()}");
        Console.WriteLine($"loop    {loop.Said()}   ratio {loop.Percentile(50) / floor.Percentile(50):0.00}");
        Console.WriteLine($"of it: core median {figures.Numbers("core").Percentile(50):0.0} ms, trial there and back median {figures.Numbers("request").Percentile(50):0.0} ms");
    }

    private const string Script = """
        const [count, done] = [arguments[0], arguments[1]];
        const root = stage.defaultView.getComputedStyle(stage.documentElement);
        const shown = () => root.getPropertyValue('--color-beet');
        const slider = document.querySelector('.hue-slider');
        (async () => {
          const floor = [], loop = [];
          for (let i = 0; i < count; i++) {
            floor.push(await time(shown, () => stage.documentElement.style.setProperty('--color-beet', `oklch(0.45 0.13 ${i * 4 + 1})`)));
            await rest();
          }
          stage.documentElement.style.removeProperty('--color-beet');
          await rest();
          performance.clearMeasures();
          // Held, as by a hand: what is set without one is made at once.
          slider.dispatchEvent(new PointerEvent('pointerdown', { button: 0, bubbles: true }));
          for (let i = 0; i < count; i++) {
            loop.push(await time(shown, () => { setValue.call(slider, String(10 + (i * 7) % 340)); slider.dispatchEvent(new Event('input', { bubbles: true })); }));
            await rest();
          }
          const trials = performance.getEntriesByName('trial');
          done(JSON.stringify({ floor, loop, request: trials.map(e => e.duration), core: trials.map(e => e.detail.core) }));
        })();
        """;
}
