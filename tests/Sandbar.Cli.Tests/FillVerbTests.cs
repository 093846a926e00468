using System.Text.Json;
using SkiaSharp;

namespace Sandbar.Cli.Tests;

/// <summary>The fill verbs as CLI.md describes them; colours and crops are held against Chromium in FillPixelTests.</summary>
public class FillVerbTests
{
    [Fact]
    public async Task Sample_answers_colours_with_alpha_where_there_is_any() =>
        Assert.Equal("""{"colors":["#ff0000","#800080","#0000ff"]}""", await Ask("sample", """{"fill":"linear-gradient(90deg, red, blue)","width":100,"height":10,"points":[[0,1],[50,1],[100,1]]}"""));

    [Theory]
    [InlineData("linear-gradient(red)", "#ff0000")]
    [InlineData("none", "#00000000")]
    [InlineData("linear-gradient(#0f08, #0f08), linear-gradient(#fff, #fff)", "#77ff77")]
    [InlineData("linear-gradient(#00f8, #00f8)", "#0000ff88")]
    public async Task One_point(string fill, string hex) => Assert.Contains(hex, await Ask("sample", $$"""{"fill":"{{fill}}","width":9,"height":9,"points":[[4.5,4.5]]}"""), StringComparison.Ordinal);

    [Theory]
    [InlineData("linear-gradient()")]
    [InlineData("linear-gradient(red, 20%, 30%, blue)")]
    [InlineData("url(x.png)")]
    [InlineData("linear-gradient(var(--a), red)")]
    [InlineData("linear-gradient(red, NaN)")]
    [InlineData("linear-gradient(red 2ch, blue)")]
    public async Task What_is_no_gradient_is_an_error(string fill) => Assert.Contains("\"error\"", await Ask("sample", $$"""{"fill":"{{fill}}","width":9,"height":9,"points":[[1,1]]}"""), StringComparison.Ordinal);

    [Fact]
    public async Task A_thousand_stops_are_read()
    {
        var stops = string.Join(", ", Enumerable.Range(0, 1000).Select(n => $"rgb({n % 256} 0 0) {n / 10d}%"));
        Assert.DoesNotContain("error", await Ask("sample", JsonSerializer.Serialize(new { fill = $"linear-gradient({stops})", width = 1000, height = 10, points = new[] { new[] { 500.5, 5 } } })), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Contrast_over_a_picture_is_at_its_worst_spot()
    {
        // White but for one dark square in the middle of its right half.
        var path = Path.Combine(Directory.CreateTempSubdirectory().FullName, "spot.png");
        using (var bitmap = new SKBitmap(200, 100))
        {
            bitmap.Erase(SKColors.White);
            for (var x = 140; x < 160; x++)
                for (var y = 40; y < 60; y++) bitmap.SetPixel(x, y, new(40, 40, 40));
            using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
            File.WriteAllBytes(path, data.ToArray());
        }
        var request = (string box) => JsonSerializer.Serialize(new { fill = new { file = path, fit = "cover", focus = new[] { 50, 50 } }, over = "#fff", width = 200, height = 100, text = "#111111", box = JsonSerializer.Deserialize<int[]>(box) });
        using var worst = JsonDocument.Parse(await Ask("contrast", request("[0,0,200,100]")));
        var at = worst.RootElement.GetProperty("worst").GetProperty("at").EnumerateArray().Select(n => n.GetDouble()).ToArray();
        Assert.InRange(at[0], 140, 160);
        Assert.InRange(at[1], 40, 60);
        Assert.InRange(worst.RootElement.GetProperty("worst").GetProperty("ratio").GetDouble(), 1.2, 1.35);
        Assert.StartsWith("rgb(255 255 255 / 0.", worst.RootElement.GetProperty("overlay").GetProperty("css").GetString(), StringComparison.Ordinal);
        using var clear = JsonDocument.Parse(await Ask("contrast", request("[10,10,90,80]")));
        Assert.Equal(JsonValueKind.Null, clear.RootElement.GetProperty("overlay").ValueKind);
        Assert.Equal(clear.RootElement.GetProperty("mean").GetDouble(), clear.RootElement.GetProperty("worst").GetProperty("ratio").GetDouble(), 1e-9);
    }

    [Theory]
    [InlineData("""{"fill":"linear-gradient(red, blue)","over":"#fff","width":10,"height":10,"text":"#000","box":[20,0,5,5]}""", "outside")]
    [InlineData("""{"fill":{"file":"/nowhere.png"},"over":"#fff","width":10,"height":10,"text":"#000","box":[0,0,5,5]}""", "error")]
    [InlineData("""{"fill":"linear-gradient(red, blue)","over":"#fff","width":10,"height":10,"text":"#000","box":[0,0,0,5]}""", "wider")]
    public async Task What_cannot_be_measured_is_an_error(string request, string said) => Assert.Contains(said, await Ask("contrast", request), StringComparison.Ordinal);

    [Fact]
    public async Task Focus_answers_size_offset_and_css() =>
        Assert.Equal("""{"size":[800,400],"offset":[-200,0],"css":{"background-size":"cover","background-position":"50% 50%"}}""", await Ask("focus", """{"picture":[200,100],"box":[400,400],"fit":"cover","focus":[50,10]}"""));

    private static async Task<string> Ask(string verb, string request) => (await Program.RunAsync($"fill {verb} -", request)).Output.Trim();
}
