using System.Text.Json;
using Sandbar.Core.Foundations.Type;
using Sandbar.Fonts;

namespace Sandbar.Browser.Tests;

/// <summary>How wide text is in every family of the shelf, against Chromium's own layout: kerning, ligatures, accents, weights, italics.</summary>
public sealed class TextMeasureTests : IDisposable
{
    private const double Size = 18;

    private static readonly string[] Texts =
    [
        "Borrow a packet. Grow it. Bring some back.", "AVATAR To. Wa. Yo, LT P. “V” r.", "office affluent fjord waffle ffi", "0123456789 1,234.50 11:11 ½", "Ångström façade naïve Ærø œuvre Łódź",
        "A", "WAVE", "fi", "Two hundred heritage vegetables, kept alive by neighbours who save a handful each autumn.", "T", "…", "Hamburgefonstiv – HAMBURGEFONSTIV",
    ];

    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public void Widths_are_those_of_the_browsers_layout()
    {
        var measured = 0;
        browser.Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromMinutes(1);
        browser.Driver.Navigate().GoToUrl("data:text/html,<!doctype html><html lang=en>");
        foreach (var family in BundledFamilies.All)
        {
            // The letters of these texts are in the file that most pages need.
            foreach (var (font, asset) in family.Files.Zip(family.Assets, (f, a) => (f.File, a)).Where(f => f.File.Ranges.StartsWith("U+0000", StringComparison.Ordinal)))
            {
                var file = FontFile.Read(asset.Bytes);
                using var measure = new TextMeasure(file);
                int[] weights = [.. new[] { font.WeightFrom, (font.WeightFrom + font.WeightTo) / 2, font.WeightTo }.Distinct()];
                var widths = JsonDocument.Parse((string)browser.Driver.ExecuteAsyncScript(Script, Convert.ToBase64String(asset.Bytes), $"{font.WeightFrom} {font.WeightTo}", weights, Texts, Size)!).RootElement;
                foreach (var (weight, i) in weights.Select((w, i) => (w, i)))
                {
                    foreach (var (text, k) in Texts.Select((t, k) => (t, k)))
                    {
                        // What the family has no letters for the browser takes from another.
                        if (file.Facts.Characters.MissingIn(text).Any()) continue;
                        var (ours, theirs) = (measure.Width(text, Size, weight), widths[i][k].GetDouble());
                        Assert.True(Math.Abs(ours - theirs) <= Math.Max(0.3, theirs * 0.005), $"{family.Name} {weight} “{text}”: {ours:0.00} px, in the browser {theirs:0.00}");
                        measured++;
                    }
                }
            }
        }
        Assert.True(measured >= 1_000, $"{measured} texts");
    }

    private const string Script = """
        const [bytes, range, weights, texts, size, done] = arguments;
        (async () => {
          const face = new FontFace('measured', `url(data:font/woff2;base64,${bytes})`, { weight: range });
          await face.load();
          document.fonts.clear();
          document.fonts.add(face);
          const widths = weights.map((weight) => texts.map((text) => {
            const span = document.createElement('span');
            span.style.cssText = `font: ${weight} ${size}px measured; white-space: pre; position: absolute`;
            span.textContent = text;
            document.body.append(span);
            const { width } = span.getBoundingClientRect();
            span.remove();
            return width;
          }));
          done(JSON.stringify(widths));
        })().catch((e) => done(JSON.stringify(String(e))));
        """;
}
