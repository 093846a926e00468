using System.Text.Json;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Browser.Tests;

/// <summary>Which file of a family is taken for a weight, against Chromium's own choice: five single weights, each asked for what lies between them.</summary>
public sealed class FontMatchingTests : IDisposable
{
    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Theory]
    [InlineData(300, 400, 500, 600, 700)]
    [InlineData(300, 600)]
    [InlineData(400, 700)]
    [InlineData(500)]
    public void The_browser_takes_the_same(params int[] weights)
    {
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(1);
        browser.Driver.Navigate().GoToUrl("data:text/html,<!doctype html><html lang=en>");
        var family = BundledFamilies.Find("zilla-slab")!;
        var files = family.Files.Where(f => f.File.Ranges.StartsWith("U+0000", StringComparison.Ordinal) && !f.File.Italic && weights.Contains(f.File.WeightFrom)).ToList();
        var own = family.AsFamily("a", "a") with { Files = [.. files.Select(f => f.File)] };
        var asked = Enumerable.Range(2, 17).Select(n => n * 50).ToArray();
        var given = files.Select(f => new { weight = f.File.WeightFrom, bytes = Convert.ToBase64String(BundledFamilies.Asset(f.Item.Hash)!.Bytes) });
        var taken = JsonDocument.Parse((string)browser.Driver.ExecuteAsyncScript(Script, JsonSerializer.Serialize(given), asked)!).RootElement;
        Assert.Equal(asked.Select(w => FontMatching.Files(own, w, false)[0].WeightFrom), taken.EnumerateArray().Select(t => t.GetInt32()));
    }

    /// <summary>A text is as wide as in the file that was taken for it: each of the weights is first measured alone.</summary>
    private const string Script = """
        const [given, asked, done] = arguments;
        const width = (family, weight) => {
          const span = document.createElement('span');
          span.style.cssText = `font: ${weight} 400px "${family}"; font-synthesis: none; white-space: pre; position: absolute`;
          span.textContent = 'Borrow a packet. Grow it. Bring some back: 0123456789';
          document.body.append(span);
          const { width } = span.getBoundingClientRect();
          span.remove();
          return Math.round(width * 10);
        };
        (async () => {
          for (const { weight, bytes } of JSON.parse(given)) {
            for (const family of ['all', `only ${weight}`]) {
              const face = new FontFace(family, `url(data:font/woff2;base64,${bytes})`, { weight: String(weight) });
              document.fonts.add(await face.load());
            }
          }
          const alone = new Map(JSON.parse(given).map(({ weight }) => [width(`only ${weight}`, weight), weight]));
          done(JSON.stringify(asked.map((weight) => alone.get(width('all', weight)))));
        })().catch((e) => done(JSON.stringify(String(e))));
        """;
}
