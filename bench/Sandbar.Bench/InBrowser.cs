using System.Text.Json;

namespace Sandbar.Bench;

/// <summary>What is timed in a page: figures by name, in ms.</summary>
internal static class InBrowser
{
    /// <summary>How both sides of a comparison are timed: act, look in each frame whether what is waited for is there, and wait until that frame is painted.</summary>
    public const string Timing = """
        const stage = document.querySelector('.stage iframe').contentDocument;
        const frame = () => new Promise(requestAnimationFrame);
        const afterPaint = () => new Promise(ok => { const c = new MessageChannel(); c.port1.onmessage = ok; c.port2.postMessage(0); });
        const time = async (shown, act) => {
          const before = shown(), started = performance.now();
          act();
          do await frame(); while (shown() === before);
          await afterPaint();
          return performance.now() - started;
        };
        // Random, so that inputs fall anywhere between two frames.
        const rest = (least = 50) => new Promise(ok => setTimeout(ok, least + Math.random() * 17));
        const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;

        """;

    public static JsonElement Run(Sandbar.Tests.Browser browser, string script, params object[] arguments)
    {
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(2);
        return JsonDocument.Parse((string)browser.Driver.ExecuteAsyncScript(Timing + script, arguments)!).RootElement;
    }

    public static double[] Numbers(this JsonElement figures, string name) => [.. figures.GetProperty(name).EnumerateArray().Select(n => n.GetDouble()).Order()];

    public static double Percentile(this double[] sorted, int percent) => sorted[Math.Min(sorted.Length - 1, sorted.Length * percent / 100)];

    /// <summary>Median and p95 in words.</summary>
    public static string Said(this double[] sorted) => $"median {sorted.Percentile(50),6:0.0} ms   p95 {sorted.Percentile(95),6:0.0} ms";
}
