using System.Text.Json;
using Sandbar.Tests;

namespace Sandbar.Bench;

/// <summary>
/// From the hand to the picture: an input until the frame after the stage shows it, against the browser's own floor (the same changed by hand on the same page) in the
/// same run, with the server's share. A hue, a stop, an angle and a focal point are dragged, and a picture is toned.
/// </summary>
internal static class LoopBench
{
    private const int Inputs = 100;

    private static readonly Gesture[] Gestures =
    [
        new("a hue", "palette", ".hue-slider", "style(stage.documentElement).getPropertyValue('--color-beet')",
            "stage.documentElement.style.setProperty('--color-beet', `oklch(0.45 0.13 ${i * 4 + 1})`)", "stage.documentElement.style.removeProperty('--color-beet')",
            "setValue.call(hand, String(10 + (i * 7) % 340)); hand.dispatchEvent(new Event('input', { bubbles: true }))"),
        new("a stop of a gradient", "fills?view=gradients&gradient=furrow&page=workshops", ".stop-handle ~ .stop-handle", "style(stage.body).getPropertyValue('--gradient-furrow')",
            "stage.body.style.setProperty('--gradient-furrow', `linear-gradient(165deg in oklch, red 0%, blue ${i % 90}%, green 100%)`)", "stage.body.style.removeProperty('--gradient-furrow')",
            "move(hand.parentElement, 0.05 + (i * 0.37) % 0.9, 0.5)"),
        new("an angle", "fills?view=gradients&gradient=furrow&page=workshops", ".dial", "style(stage.body).getPropertyValue('--gradient-furrow')",
            "stage.body.style.setProperty('--gradient-furrow', `linear-gradient(${i}deg in oklch, red 0%, blue 50%, green 100%)`)", "stage.body.style.removeProperty('--gradient-furrow')",
            "move(hand, 0.5 + Math.sin(i) * 0.4, 0.5 + Math.cos(i) * 0.4)"),
        new("a focal point", "fills?view=backgrounds&background=evening-at-the-beds&page=workshops", ".focus-point", "style(stage.querySelector('.fill-evening-at-the-beds img')).objectPosition",
            "stage.querySelector('.fill-evening-at-the-beds img').style.objectPosition = `${i % 100}% ${(i * 7) % 100}%`", "stage.querySelector('.fill-evening-at-the-beds img').style.objectPosition = ''",
            "move(hand.parentElement, 0.5, 0.05 + (i * 0.37) % 0.9)", ".layers tbody tr:nth-child(2) td button"),
        new("the toning of a picture", "fills?view=backgrounds&background=evening-at-the-beds&page=workshops", ".toning-pair", "style(stage.querySelector('.fill-evening-at-the-beds > :has(img)')).filter",
            "stage.querySelector('.fill-evening-at-the-beds > :has(img)').style.filter = i % 2 === 0 ? 'none' : tones", "stage.querySelector('.fill-evening-at-the-beds > :has(img)').style.filter = ''",
            "hand = document.querySelectorAll('.toning-pair')[i % 2]; press(hand, 'pointerover', 0.5, 0.5)", ".layers tbody tr:nth-child(2) td button"),
    ];

    public static async Task RunAsync()
    {
        await using var server = await LocalServer.StartAsync();
        using var browser = new Browser();
        foreach (var gesture in Gestures)
        {
            browser.Open(new Uri(server.Client.BaseAddress!, $"/sites/pellwyn/{gesture.Path}"));
            var figures = InBrowser.Run(browser, gesture.Script, Inputs);
            var (floor, loop) = (figures.Numbers("floor"), figures.Numbers("loop"));
            Console.WriteLine(gesture.Name);
            Console.WriteLine($"  floor   {floor.Said()}");
            Console.WriteLine($"  loop    {loop.Said()}   ratio {loop.Percentile(50) / floor.Percentile(50):0.00}, over the floor by {loop.Percentile(50) - floor.Percentile(50):0.0} ms");
            if (figures.Numbers("core") is { Length: > 0 } core) Console.WriteLine($"  of it: core median {core.Percentile(50):0.0} ms, trial there and back median {figures.Numbers("request").Percentile(50):0.0} ms");
        }
    }

    /// <param name="Hand">Selector of what the hand is at.</param>
    /// <param name="Shown">What of the stage changes, as a script.</param>
    /// <param name="Floor">What changes it by hand for the i-th time.</param>
    /// <param name="Back">What takes that back.</param>
    /// <param name="Act">What the hand does for the i-th time.</param>
    /// <param name="First">Selector of what is chosen before.</param>
    private sealed record Gesture(string Name, string Path, string Hand, string Shown, string Floor, string Back, string Act, string First = "")
    {
        public string Script => $$"""
            const [count, done] = [arguments[0], arguments[1]];
            const style = (element) => stage.defaultView.getComputedStyle(element);
            const shown = () => {{Shown}};
            // There is no pointer to capture.
            Element.prototype.setPointerCapture = () => {};
            const press = (on, kind, x, y) => {
              const box = on.getBoundingClientRect();
              hand.dispatchEvent(new PointerEvent(kind, { button: 0, bubbles: true, pointerId: 1, clientX: box.left + box.width * x, clientY: box.top + box.height * y }));
            };
            const move = (on, x, y) => press(on, 'pointermove', x, y);
            const there = async (selector) => {
              while (!document.querySelector(selector)) await frame();
              return document.querySelector(selector);
            };
            let hand;
            (async () => {
              const first = {{JsonSerializer.Serialize(First)}};
              if (first) (await there(first)).focus();
              hand = await there({{JsonSerializer.Serialize(Hand)}});
              const floor = [], loop = [], tones = style(stage.querySelector('.fill-evening-at-the-beds > :has(img)') ?? stage.body).filter;
              for (let i = 0; i < count; i++) {
                floor.push(await time(shown, () => { {{Floor}}; }));
                await rest();
              }
              {{Back}};
              await rest();
              performance.clearMeasures();
              // Held, as by a hand: what is set without one is made at once.
              press(hand, 'pointerdown', 0.5, 0.5);
              for (let i = 0; i < count; i++) {
                loop.push(await time(shown, () => { {{Act}}; }));
                await rest();
              }
              const trials = performance.getEntriesByName('trial');
              done(JSON.stringify({ floor, loop, request: trials.map(e => e.duration), core: trials.map(e => e.detail.core) }));
            })();
            """;
    }
}
