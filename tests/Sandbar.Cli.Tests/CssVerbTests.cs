namespace Sandbar.Cli.Tests;

/// <summary>Selectors and declarations on the command line. That they are right is held to Chromium elsewhere.</summary>
public sealed class CssVerbTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("sandbar-css-").FullName;

    public CssVerbTests()
    {
        File.WriteAllText(Path.Combine(folder, "a.html"), "<!doctype html><title>A</title><p class=x>1<p>2");
        File.WriteAllText(Path.Combine(folder, "a.css"), "p { color: red }\nb { colour: red;\n  top: blue }");
    }

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Theory]
    [InlineData("select -", """{"selector":"#a .b:hover > i, p"}""", """{"specificity":[1,2,1]}""")]
    [InlineData("select -", """{"selector":"p:nth-child(2), .x","html":"FOLDER/a.html"}""", """{"specificity":[0,1,1],"matches":[4,5]}""")]
    [InlineData("select -", """{"selector":"p::before","html":"FOLDER/a.html"}""", """{"specificity":[0,0,2],"matches":[]}""")]
    [InlineData("select -", """{"selector":":not(:nonsense)"}""", """{"error":"“:nonsense” is no state that browsers know: they leave the whole rule out."}""")]
    [InlineData("select -", """{"selector":"p","html":"FOLDER/none.html"}""", """{"error":"The file “FOLDER/none.html” cannot be read."}""")]
    [InlineData("select -", """{"selector":"p","html":""}""", """{"error":"The file “” cannot be read."}""")]
    [InlineData("lint -", """{"property":"margin","value":"1px auto"}""", """{"valid":true}""")]
    [InlineData("lint -", """{"property":"margin","value":"1px solid"}""", """{"valid":false}""")]
    [InlineData("lint -", """{"property":"colour","value":"red"}""", """{"valid":false}""")]
    [InlineData("lint -", """{"property":"color"}""", """{"error":"The file “color” cannot be read."}""")]
    public async Task Answers_exactly(string verb, string request, string answer) =>
        Assert.Equal(answer.Replace("FOLDER", folder, StringComparison.Ordinal) + "\n", (await Program.RunAsync(verb, request.Replace("FOLDER", folder, StringComparison.Ordinal))).Output);

    [Fact]
    public async Task What_a_sheet_has_wrong_is_told_by_line_and_column()
    {
        var output = (await Program.RunAsync("lint -", $$"""{"file":"{{folder}}/a.css","html":["{{folder}}/a.html"]}""")).Output;
        foreach (var part in new[] { """{"severity":"info","code":"finds-nothing","line":2,"column":1,""", """{"severity":"error","code":"unknown-property","line":2,"column":5,""", """{"severity":"error","code":"invalid-value","line":3,"column":8,""" })
            Assert.Contains(part, output, StringComparison.Ordinal);
        Assert.Equal(3, output.Split("\"code\"").Length - 1);
    }

    [Fact]
    public async Task With_arguments_it_prints_for_people()
    {
        Assert.Contains("true", (await Program.RunAsync("lint color red", "")).Output, StringComparison.Ordinal);
        Assert.Contains("unknown-property", (await Program.RunAsync($"lint {folder}/a.css", "")).Output, StringComparison.Ordinal);
        Assert.Equal(1, (await Program.RunAsync("select p[", "")).Code);
    }
}
