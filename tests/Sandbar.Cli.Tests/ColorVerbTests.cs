using System.Text.Json;

namespace Sandbar.Cli.Tests;

/// <summary>The command line as programs and people call it.</summary>
public class ColorVerbTests
{
    [Fact]
    public async Task Answers_line_by_line_and_goes_on_after_what_it_cannot_answer()
    {
        string[] asked =
        [
            """{"color":"#8a2846","to":"oklch"}""", """{"color":"nope","to":"hex"}""", "not json", "[1]", """{"to":"hex"}""", """{"color":"red","to":"nowhere"}""",
            "", """{"color":"rgb(10% 20% 30% / 0.5)","to":"hex"}""", """{"color":"#808080","to":"hsl"}""",
        ];
        var (code, output, error) = await Program.RunAsync("color convert -", string.Join('\n', asked));
        Assert.Equal((0, ""), (code, error));
        var answers = output.TrimEnd('\n').Split('\n').Select(l => JsonDocument.Parse(l).RootElement).ToList();
        Assert.Equal(8, answers.Count);
        Assert.Equal("oklch", answers[0].GetProperty("space").GetString());
        Assert.Equal(0.43644702846630756, answers[0].GetProperty("components")[0].GetDouble(), 1e-9);
        Assert.Equal("oklch(0.436447 0.133882 6.09945)", answers[0].GetProperty("css").GetString());
        for (var i = 1; i <= 5; i++) Assert.EndsWith(".", answers[i].GetProperty("error").GetString(), StringComparison.Ordinal);
        Assert.Equal(("#1a334d80", 0.5), (answers[6].GetProperty("css").GetString(), answers[6].GetProperty("alpha").GetDouble()));
        Assert.Equal(JsonValueKind.Null, answers[7].GetProperty("components")[0].ValueKind);
    }

    [Theory]
    [InlineData("color contrast -", """{"text":"#777","ground":"#fff"}""", "ratio", 4.478)]
    [InlineData("color contrast -", """{"text":"rgb(0 0 0 / 0.5)","ground":"white"}""", "ratio", 3.977)]
    [InlineData("color difference -", """{"a":"white","b":"black"}""", "difference", 100)]
    [InlineData("color difference -", """{"a":"white","b":"black","method":"oklab"}""", "difference", 1)]
    public async Task Gives_numbers_that_are_not_rounded(string verb, string request, string name, double expected)
    {
        var (_, output, _) = await Program.RunAsync(verb, request);
        Assert.Equal(expected, JsonDocument.Parse(output).RootElement.GetProperty(name).GetDouble(), 0.01);
    }

    [Theory]
    [InlineData("color simulate -", """{"color":"red","vision":"protanopia","severity":1}""", """{"hex":"#6d5f00"}""")]
    [InlineData("color simulate -", """{"color":"red","vision":"protanopia","severity":0}""", """{"hex":"#ff0000"}""")]
    [InlineData("color simulate -", """{"color":"red","vision":"myopia"}""", """{"error":"“myopia” is not known: use protanopia, deuteranopia or tritanopia."}""")]
    [InlineData("color simulate -", """{"color":"red","vision":"tritanopia","severity":2}""", """{"error":"“severity” runs from 0 to 1."}""")]
    [InlineData("color convert -", """{"color":"color(display-p3 1 0 0 / 0.25)","to":"hex"}""", """{"space":"hex","css":"#ff0b0c40","alpha":0.25}""")]
    [InlineData("color steps -", """{"color":"#80808080","tints":2,"shades":1}""", """{"base":"#80808080","tints":["#bababa80","#f8f8f880"],"shades":["#0b0b0b80"]}""")]
    [InlineData("color steps -", """{"color":"red","tints":-1}""", """{"error":"“tints” is a whole number from 0 to 256."}""")]
    [InlineData("color mend -", """{"text":"black","ground":"white","target":4.5,"change":"text"}""", """{"text":"#000000","ground":"#ffffff","ratio":21,"difference":0}""")]
    [InlineData("color mend -", """{"text":"#888","ground":"#777","target":7,"change":"ground"}""", """{"error":"No ground of this hue carries this text at 7 : 1."}""")]
    [InlineData("color mend -", """{"text":"red","ground":"blue","change":"both"}""", """{"error":"“change” is text or ground."}""")]
    [InlineData("color near -", """{"colors":["#8a2846","blue","#8b2947"],"within":2.5}""", """{"groups":[[0,2]]}""")]
    [InlineData("color near -", """{"colors":"red; #fe0000; blue"}""", """{"groups":[[0,1]]}""")]
    [InlineData("color convert -", """{"color":"\ud800","to":"hex"}""", """{"error":"“color” holds half a character."}""")]
    [InlineData("color near -", """{"colors":["red","\udc00"]}""", """{"error":"“colors” holds half a character."}""")]
    [InlineData("color near -", """{"colors":[1]}""", """{"error":"“colors” is not a list of texts."}""")]
    public async Task Answers_exactly(string verb, string request, string answer) => Assert.Equal(answer + "\n", (await Program.RunAsync(verb, request)).Output);

    [Fact]
    public async Task With_arguments_it_prints_for_people_and_fails_with_1()
    {
        Assert.Contains("21", (await Program.RunAsync("color contrast black white", "")).Output, StringComparison.Ordinal);
        var (code, output, error) = await Program.RunAsync("color contrast black", "");
        Assert.Equal((1, ""), (code, output));
        Assert.Contains("ground", error, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_hundred_thousand_requests_stream_through()
    {
        const int count = 100_000;
        var requests = string.Concat(Enumerable.Range(0, count).Select(i => $$"""{"color":"#{{i:x6}}","to":"oklch"}""" + "\n"));
        var (code, output, _) = await Program.RunAsync("color convert -", requests);
        Assert.Equal(0, code);
        Assert.Equal(count, output.Count(c => c == '\n'));
    }
}
