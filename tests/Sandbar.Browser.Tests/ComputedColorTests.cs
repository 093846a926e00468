using System.Globalization;
using System.Text.Json;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Browser.Tests;

/// <summary>What a computed colour comes to is what Chromium makes of the <c>color-mix()</c> or relative colour that is released.</summary>
public sealed class ComputedColorTests : IDisposable
{
    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public void Chromium_computes_the_same()
    {
        string[] sources = ["#8a2846", "#8a284680", "#808080", "white", "hsl(40 80% 50%)", "oklch(0.6 0.12 200)", "oklch(0.6 none 200)", "oklch(0.7 0.3 150)", "lab(60 20 -30)", "transparent", "rgb(255 0 0 / 0.2)"];
        var texts = MixForm.Spaces.SelectMany(space => from a in sources from b in new[] { "#2f5d3a", "#fff9", "blue", "oklch(0.5 0.1 none)" } select $"mix {a}, {b} 35% in {space}")
            // Of what has no chroma Chromium takes the hue that its last rounding leaves in HSL.
            .Where(text => !(text.StartsWith("mix oklch(0.6 none", StringComparison.Ordinal) && text.EndsWith("hsl", StringComparison.Ordinal)))
            .Concat(from a in sources from move in new[] { "lightness +10", "lightness −90", "chroma −30", "chroma +2, hue +170", "hue −200, lightness +3" } select $"move {a}, {move}")
            .Concat(["mix beet, leaf tint 2 40%", "move husk shade 3, hue +40", "mix colour 1, colour 2 50% in oklch", "move colour 3, lightness −5"]).ToList();
        var site = PellwynSample.Create().Site;
        for (var i = 0; i < texts.Count; i++)
            site = new AddThing("color", $"c{i}", $"colour {i}", Values: new Dictionary<string, string> { ["color"] = texts[i] }).Apply(site).Site ?? throw new InvalidOperationException(texts[i]);
        var css = StyleSheetText.Generated(StyleSheetRenderer.Render(site), SheetUse.Release, f => f.File);
        var names = texts.Select((_, i) => ColorKind.Description.Token(site.Palette.Colors.Get($"c{i}"))).ToList();
        Assert.True(names.Count(name => css.Contains($"{name}: color-mix(", StringComparison.Ordinal) || css.Contains($"{name}: oklch(from", StringComparison.Ordinal)) == names.Count, "Not all are released as what they are.");
        const string read = """
            document.documentElement.innerHTML = '<head><style>' + arguments[0] + '</style></head><body><i></i></body>';
            const element = document.querySelector('i');
            return JSON.stringify(JSON.parse(arguments[1]).map((name) => { element.style.backgroundColor = 'var(' + name + ')'; return getComputedStyle(element).backgroundColor; }));
            """;
        var painted = JsonSerializer.Deserialize<string[]>(browser.Run<string>(read, css, JsonSerializer.Serialize(names)))!;
        var wrong = new List<string>();
        for (var i = 0; i < texts.Count; i++)
        {
            string ours = ColorText.Hex(site.Palette.Row(site.Palette.Colors.Get($"c{i}")).Base), theirs = ColorText.Hex(ColorText.Parse(painted[i]));
            if (Bytes(ours).Zip(Bytes(theirs)).Any(b => Math.Abs(b.First - b.Second) > 1)) wrong.Add($"{texts[i]}: {ours}, painted {painted[i]} = {theirs}");
        }
        Assert.True(wrong.Count == 0, $"{wrong.Count} of {texts.Count}\n" + string.Join("\n", wrong.Take(30)));
    }

    private static IEnumerable<int> Bytes(string hex) => hex[1..].PadRight(8, 'f').Chunk(2).Select(b => int.Parse(b, NumberStyles.HexNumber, CultureInfo.InvariantCulture));
}
