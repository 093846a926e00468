namespace Sandbar.Cli.Tests;

/// <summary>Corners on the command line. That they are right is held elsewhere: to the rule itself and to Chromium's pixels.</summary>
public class EdgeVerbTests
{
    [Theory]
    [InlineData("""{"width":100,"height":50,"radii":[20,20,20,20]}""", """{"radii":[[20,20],[20,20],[20,20],[20,20]],"factor":1}""")]
    [InlineData("""{"width":100,"height":100,"radii":[300,[100,50],0,0]}""", """{"radii":[[75,75],[25,12.5],[0,0],[0,0]],"factor":0.25}""")]
    [InlineData("""{"width":100,"height":50,"radii":[20,20,20]}""", """{"error":"A box has four corners: top left, top right, bottom right, bottom left."}""")]
    [InlineData("""{"width":-1,"height":50,"radii":[20,20,20,20]}""", """{"error":"Width and height are lengths in px, from 0 on."}""")]
    [InlineData("""{"width":100,"height":50,"radii":[20,-20,20,20]}""", """{"error":"Radii are lengths in px, from 0 on."}""")]
    [InlineData("""{"width":100,"height":50,"radii":[20,"a",20,20]}""", """{"error":"“radii” are four corners from the top left one clockwise, each a number of px or two: across and down."}""")]
    [InlineData("""{"width":100,"height":50}""", """{"error":"“radii” is missing."}""")]
    [InlineData("""{"height":50,"radii":[1,1,1,1]}""", """{"error":"“width” is missing."}""")]
    public async Task Answers_exactly(string request, string answer) => Assert.Equal(answer + "\n", (await Program.RunAsync("edge corners -", request)).Output);

    [Fact]
    public async Task With_arguments_it_prints_for_people()
    {
        var (code, output, _) = await Program.RunAsync("edge corners 100 100 300x300;100x50;0;0", "");
        Assert.Equal(0, code);
        Assert.Contains("0.25", output, StringComparison.Ordinal);
    }
}
