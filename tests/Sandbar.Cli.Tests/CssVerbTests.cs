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

    [Theory]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/b.css"],"select":".x","properties":["color"]}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(1)","ref":null,"properties":{"color":{"computed":"rgb(0, 0, 255)","resolved":"rgb(0, 0, 255)","winner":{"origin":"author","source":"FOLDER/b.css","line":2,"column":4,"selector":".x","specificity":[0,1,0],"layer":null,"important":false,"property":"color","value":"blue","inheritedFrom":null},"losers":[{"origin":"author","source":"FOLDER/b.css","line":1,"column":18,"selector":"p","specificity":[0,0,1],"layer":"a.b","important":false,"property":"color","value":"red","inheritedFrom":null,"reason":"layer"}]}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/b.css"],"select":"p + p","properties":["font-size"],"force":[{"on":"p + p","states":["hover"]}],"fields":["computed","winner"]}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(2)","ref":null,"properties":{"font-size":{"computed":"32px","winner":{"origin":"author","source":"FOLDER/b.css","line":3,"column":11,"selector":"p:hover","specificity":[0,1,1],"layer":null,"important":false,"property":"font","value":"2em serif","inheritedFrom":null}}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/b.css"],"select":"p + p","properties":["color"],"fields":["winner"],"width":300}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(2)","ref":null,"properties":{"color":{"winner":{"origin":"author","source":"FOLDER/b.css","line":1,"column":18,"selector":"p","specificity":[0,0,1],"layer":"a.b","important":false,"property":"color","value":"red","inheritedFrom":null}}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/b.css"],"select":".x","properties":["max-width","--own"],"fields":["computed","resolved"]}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(1)","ref":null,"properties":{"max-width":{"computed":null,"needsLayout":true,"resolved":null},"--own":{"computed":"1px","resolved":"1px"}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","select":".x","properties":["margin","background-position","border"],"fields":["computed"]}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(1)","ref":null,"properties":{"margin":{"computed":"16px 0px"},"background-position":{"computed":"0% 0%"},"border":{"computed":null}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/b.css"],"select":".x","properties":["color"],"fields":["off"]}""",
        """{"elements":[{"path":"html > body > p:nth-of-type(1)","ref":null,"properties":{"color":{"off":[{"origin":"author","source":"FOLDER/b.css","line":4,"column":30,"selector":"p","specificity":[0,0,1],"layer":null,"important":false,"property":"color","value":"lime","inheritedFrom":null,"reason":"condition","condition":"(width < 200px)"}]}}}]}""")]
    [InlineData("""{"html":"FOLDER/a.html","select":".none"}""", """{"elements":[]}""")]
    [InlineData("""{"html":"FOLDER/a.html","select":"p","properties":["colour"]}""", """{"error":"“colour” is no property."}""")]
    [InlineData("""{"html":"FOLDER/a.html","css":["FOLDER/none.css"],"select":"p"}""", """{"error":"The file “FOLDER/none.css” cannot be read."}""")]
    [InlineData("""{"html":"FOLDER/a.html","select":"p","scheme":"blue"}""", """{"error":"“scheme” is light or dark."}""")]
    [InlineData("""{"html":"FOLDER/a.html","select":"p","force":[{"on":"b","states":["hover"]}]}""", """{"error":"No element is found by “b”."}""")]
    public async Task A_trace_tells_what_won_and_why_the_others_lost(string request, string answer)
    {
        File.WriteAllText(Path.Combine(folder, "b.css"), "@layer a.b { p { color: red } }\n.x{color: blue; --own: 1px; max-width: 9ch}\np:hover { font: 2em serif }\n@media (width < 200px) { p { color: lime } }");
        Assert.Equal(answer.Replace("FOLDER", folder, StringComparison.Ordinal) + "\n", (await Program.RunAsync("trace -", request.Replace("FOLDER", folder, StringComparison.Ordinal))).Output);
    }

    /// <summary>What a page links to, and what that imports, is found beside it; nothing else is asked for.</summary>
    [Fact]
    public async Task Sheets_of_a_page_are_found_beside_it()
    {
        Directory.CreateDirectory(Path.Combine(folder, "css"));
        File.WriteAllText(Path.Combine(folder, "css", "main.css"), "@import url('more/base.css') layer(base); @import 'https://example.org/x.css';");
        Directory.CreateDirectory(Path.Combine(folder, "css", "more"));
        File.WriteAllText(Path.Combine(folder, "css", "more", "base.css"), "p { color: red }");
        File.WriteAllText(Path.Combine(folder, "c.html"), "<!doctype html><link rel=stylesheet href=css/main.css><style media=print>p { color: blue }</style><style>\n  p { top: 1px }</style><p style='left: 2px'>a");
        var output = (await Program.RunAsync("trace -", $$"""{"html":"{{folder}}/c.html","select":"p","properties":["color","top","left"],"fields":["winner"]}""")).Output;
        Assert.Contains($"\"origin\":\"author\",\"source\":\"{folder}/css/more/base.css\",\"line\":1,\"column\":5", output, StringComparison.Ordinal);
        Assert.Contains("\"layer\":\"base\"", output, StringComparison.Ordinal);
        Assert.Contains("\"source\":\"style 2\",\"line\":2,\"column\":7", output, StringComparison.Ordinal);
        Assert.Contains("{\"origin\":\"inline\",\"source\":null,\"line\":null,\"column\":null,\"selector\":null,\"specificity\":null", output, StringComparison.Ordinal);
    }

    /// <summary>Sheets that import themselves many times over, and what is no file, are not waited for.</summary>
    [Fact]
    public async Task A_page_made_to_hurt_is_answered()
    {
        File.WriteAllText(Path.Combine(folder, "self.css"), string.Concat(Enumerable.Repeat("@import 'self.css';", 300)) + "p { color: red }");
        File.WriteAllText(Path.Combine(folder, "h.html"), "<!doctype html><link rel=stylesheet href=/dev/zero><link rel=stylesheet href='../../../../../../../../dev/zero'><link rel=stylesheet href=self.css><link rel=stylesheet href=.><p>a");
        var output = (await Program.RunAsync("trace -", $$"""{"html":"{{folder}}/h.html","select":"p","properties":["color"],"fields":["computed"]}""")).Output;
        Assert.Contains("rgb(255, 0, 0)", output, StringComparison.Ordinal);
    }

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
