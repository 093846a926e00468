using System.Text.Json;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Starting;

namespace Sandbar.Browser.Tests;

/// <summary>The faces that stand in for fonts on their way take the same room, in Chromium's layout, for every family of the shelf.</summary>
public sealed class FallbackFaceTests : IDisposable
{
    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public void Lines_are_as_high_and_text_as_wide_as_with_the_font_itself()
    {
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(1);
        browser.Driver.Navigate().GoToUrl("data:text/html,<!doctype html><html lang=en>");
        foreach (var family in BundledFamilies.All)
        {
            var site = NewSite.Create(new("New", null, family.Id, family.Id, null), "new").Site!;
            var css = StyleSheetText.Release(StyleSheetRenderer.Render(site.Site), item => $"data:font/woff2;base64,{Convert.ToBase64String(site.Assets.First(a => a.Hash == item.Hash).Bytes)}");
            var boxes = JsonDocument.Parse((string)browser.Driver.ExecuteAsyncScript(Script, css, new[] { family.Name, $"{family.Name} Fallback" }, FallbackFace.Sample)!).RootElement;
            double Of(int i, string what) => boxes[i].GetProperty(what).GetDouble();
            var (height, width) = (Of(1, "height") / Of(0, "height"), Of(1, "width") / Of(0, "width"));
            Assert.True(Math.Abs(height - 1) <= 0.02 && Math.Abs(width - 1) <= 0.02, $"{family.Name}: {height:0.000} times as high, {width:0.000} times as wide");
            // It is another font: what arrives changes the letters.
            Assert.NotEqual(Of(0, "width"), Of(1, "width"), 1e-6);
        }
    }

    private const string Script = """
        const [css, families, text, done] = arguments;
        (async () => {
          const style = document.createElement('style');
          style.textContent = css;
          document.head.replaceChildren(style);
          await Promise.all([...document.fonts].map((face) => face.load()));
          done(JSON.stringify(families.map((family) => {
            const line = document.createElement('div');
            line.style.cssText = `font: 400 40px/normal "${family}"; letter-spacing: 0; white-space: pre; position: absolute`;
            line.textContent = text;
            document.body.replaceChildren(line);
            const { width, height } = line.getBoundingClientRect();
            return { width, height };
          })));
        })().catch((wrong) => done(JSON.stringify(String(wrong))));
        """;
}
