using System.Text.Json;

namespace Sandbar.Cli.Tests;

/// <summary>Sizes and fonts on the command line. That they are right is held elsewhere: to utopia-core, fontTools and Chromium.</summary>
public class TypeVerbTests
{
    private static readonly string Caveat = Path.Combine(AppContext.BaseDirectory, "fonts", "caveat.ttf");

    [Theory]
    [InlineData("type fluid -", """{"from":{"width":390,"size":17},"to":{"width":1280,"size":18}}""", """{"css":"clamp(1.0625rem, 1.0351rem + 0.1124vw, 1.125rem)","zoomSafe":true}""")]
    [InlineData("type fluid -", """{"from":{"width":1280,"size":16},"to":{"width":390,"size":48}}""", """{"css":"clamp(1rem, 3.8764rem - 3.5955vw, 3rem)","zoomSafe":false}""")]
    [InlineData("type fluid -", """{"from":{"width":390,"size":16},"to":{"width":1280,"size":16}}""", """{"css":"clamp(1rem, 1rem + 0vw, 1rem)","zoomSafe":true}""")]
    [InlineData("type fluid -", """{"from":{"width":390,"size":17},"to":{"width":390,"size":18}}""", """{"error":"The two widths must differ."}""")]
    [InlineData("type fluid -", """{"from":{"width":390,"size":-5},"to":{"width":1280,"size":18}}""", """{"error":"Widths and sizes must be above 0."}""")]
    [InlineData("type fluid -", """{"from":{"width":390},"to":{"width":1280,"size":18}}""", """{"error":"“size” is missing."}""")]
    [InlineData("type fluid -", """{"from":390,"to":{"width":1280,"size":18}}""", """{"error":"“from” is missing, or is not an object."}""")]
    [InlineData("type scale -", """{"from":{"width":400,"base":16,"ratio":1.25},"to":{"width":1200,"base":16,"ratio":1.5},"steps":[0,1]}""",
        """{"steps":[{"step":0,"from":16,"to":16,"css":"clamp(1rem, 1rem + 0vw, 1rem)"},{"step":1,"from":20,"to":24,"css":"clamp(1.25rem, 1.125rem + 0.5vw, 1.5rem)"}]}""")]
    [InlineData("type scale -", """{"from":{"width":400,"base":16,"ratio":0},"to":{"width":1200,"base":16,"ratio":1.5},"steps":[0,1]}""", """{"error":"A ratio is above 0."}""")]
    [InlineData("type scale -", """{"from":{"width":400,"base":16,"ratio":1.2},"to":{"width":1200,"base":16,"ratio":1.5},"steps":[5,-2]}""",
        """{"error":"“steps” are the lowest and the highest position: two whole numbers from -100 to 100."}""")]
    [InlineData("type scale -", """{"from":{"width":400,"base":16,"ratio":1e300},"to":{"width":1200,"base":16,"ratio":1.5},"steps":[0,5]}""",
        """{"error":"Widths and sizes go up to 100000 px."}""")]
    [InlineData("font metrics -", """{"file":"/nowhere.woff2"}""", """{"error":"The file “/nowhere.woff2” cannot be read."}""")]
    [InlineData("font metrics -", """{"file":""}""", """{"error":"The file “” cannot be read."}""")]
    [InlineData("font measure -", """{"file":"x","text":"x","size":0}""", """{"error":"“size” is above 0 and up to 10000 px."}""")]
    public async Task Answers_exactly(string verb, string request, string answer) => Assert.Equal(answer + "\n", (await Program.RunAsync(verb, request)).Output);

    [Fact]
    public async Task A_font_is_described_and_measured_line_by_line()
    {
        var (_, described, _) = await Program.RunAsync("font metrics -", JsonSerializer.Serialize(new { file = Caveat }));
        Assert.Equal("""{"family":"Caveat","unitsPerEm":1000,"ascent":960,"descent":-300,"lineGap":0,"capHeight":610,"xHeight":400,"weights":[400,700],"italic":false,"class":null}""" + "\n", described);
        var requests = string.Join('\n', new[] { "", "Bring some back", "Bring some back" }.Select((text, i) => JsonSerializer.Serialize(new { file = Caveat, text, size = 18, weight = 400 + 300 * (i / 2) })));
        var (code, output, _) = await Program.RunAsync("font measure -", requests);
        var widths = output.TrimEnd().Split('\n').Select(l => JsonDocument.Parse(l).RootElement.GetProperty("width").GetDouble()).ToList();
        Assert.Equal(0, code);
        Assert.Equal(0, widths[0]);
        Assert.True(widths[1] > 50 && widths[2] > widths[1], string.Join(", ", widths));
    }

    [Fact]
    public async Task With_arguments_they_print_for_people()
    {
        Assert.Contains("clamp(1.0625rem", (await Program.RunAsync("type fluid 390 17 1280 18", "")).Output, StringComparison.Ordinal);
        Assert.Contains("\"step\": -1", (await Program.RunAsync("type scale 390 17 1.2 1280 18 1.25 -1;1", "")).Output, StringComparison.Ordinal);
        Assert.Contains("Caveat", (await Program.RunAsync($"font metrics {Caveat}", "")).Output, StringComparison.Ordinal);
    }
}
