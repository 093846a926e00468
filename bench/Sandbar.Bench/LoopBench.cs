using System.Text.Json;
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
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);
        browser.Open(new Uri(server.Client.BaseAddress!, "/sites/pellwyn/palette"));
        var figures = JsonDocument.Parse((string)browser.Driver.ExecuteAsyncScript(Script, Inputs)!).RootElement;

        var floor = Numbers(figures, "floor");
        var loop = Numbers(figures, "loop");
        Console.WriteLine($"floor   median {Percentile(floor, 50),6:0.0} ms   p95 {Percentile(floor, 95),6:0.0} ms");
        Console.WriteLine($"loop    median {Percentile(loop, 50),6:0.0} ms   p95 {Percentile(loop, 95),6:0.0} ms   ratio {Percentile(loop, 50) / Percentile(floor, 50):0.00}");
        Console.WriteLine($"of it: core median {Percentile(Numbers(figures, "core"), 50):0.0} ms, trial there and back median {Percentile(Numbers(figures, "request"), 50):0.0} ms");
    }

    private static double[] Numbers(JsonElement figures, string name) => [.. figures.GetProperty(name).EnumerateArray().Select(n => n.GetDouble()).Order()];

    private static double Percentile(double[] sorted, int percent) => sorted[Math.Min(sorted.Length - 1, sorted.Length * percent / 100)];

    // Both sides are timed alike: act, look in each frame whether the stage has the new value, and wait until that frame is painted.
    private const string Script = """
        const [count, done] = [arguments[0], arguments[1]];
        const stage = document.querySelector('.stage iframe').contentDocument;
        const root = stage.defaultView.getComputedStyle(stage.documentElement);
        const shown = () => root.getPropertyValue('--color-beet');
        const frame = () => new Promise(requestAnimationFrame);
        const afterPaint = () => new Promise(ok => { const c = new MessageChannel(); c.port1.onmessage = ok; c.port2.postMessage(0); });
        const time = async (act) => {
          const before = shown(), started = performance.now();
          act();
          do await frame(); while (shown() === before);
          await afterPaint();
          return performance.now() - started;
        };
        // Random, so that inputs fall anywhere between two frames.
        const rest = () => new Promise(ok => setTimeout(ok, 50 + Math.random() * 17));
        const slider = document.querySelector('.hue-slider');
        const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
        (async () => {
          const floor = [], loop = [];
          for (let i = 0; i < count; i++) {
            floor.push(await time(() => stage.documentElement.style.setProperty('--color-beet', `oklch(0.45 0.13 ${i * 4 + 1})`)));
            await rest();
          }
          stage.documentElement.style.removeProperty('--color-beet');
          await rest();
          performance.clearMeasures();
          // Held, as by a hand: what is set without one is made at once.
          slider.dispatchEvent(new PointerEvent('pointerdown', { button: 0, bubbles: true }));
          for (let i = 0; i < count; i++) {
            loop.push(await time(() => { setValue.call(slider, String(10 + (i * 7) % 340)); slider.dispatchEvent(new Event('input', { bubbles: true })); }));
            await rest();
          }
          const trials = performance.getEntriesByName('trial');
          done(JSON.stringify({ floor, loop, request: trials.map(e => e.duration), core: trials.map(e => e.detail.core) }));
        })();
        """;
}
