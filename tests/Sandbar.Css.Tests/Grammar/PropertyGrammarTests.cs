using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Grammar;

/// <summary>Held against Chromium, over all properties, in Sandbar.Browser.Tests; here what its answers say.</summary>
public sealed class PropertyGrammarTests
{
    [Theory]
    [InlineData("color", "oklch(70% 0.1 200 / 50%)")]
    [InlineData("COLOR", "ReD")]
    [InlineData("margin", "1px auto 2em")]
    [InlineData("margin", "calc(1px + 2% * 3) auto")]
    [InlineData("width", "min(100%, 40rem)")]
    [InlineData("opacity", "calc(1 - 0.2)")]
    [InlineData("font", "italic 700 1rem/1.5 \"A\", serif")]
    [InlineData("background", "linear-gradient(in oklch, red, blue 20%) no-repeat, #fff")]
    [InlineData("grid-template", "\"a b\" 1fr \"c d\" 2fr / auto 10px")]
    [InlineData("grid-template-columns", "[full-start] minmax(1rem, 1fr) [main] repeat(auto-fill, 10px) [end]")]
    [InlineData("transition", "color .2s ease-in-out, opacity 1s 2s")]
    [InlineData("animation", "3s ease-in 1s 2 reverse both paused slide")]
    [InlineData("transform", "translate(10%, 2px) rotate(45deg)")]
    [InlineData("inset", "0")]
    [InlineData("--anything", "{ a: b }")]
    [InlineData("all", "revert-layer")]
    public void What_a_property_takes_is_valid(string property, string value) => Assert.IsType<Verdict.Valid>(Check(property, value));

    [Theory]
    [InlineData("color", "12px", 0)]
    [InlineData("margin", "1px auto 2em 3px 4px", 17)]
    [InlineData("width", "calc(1px + 2)", 0)]
    [InlineData("width", "-1px", 0)]
    [InlineData("width", "12", 0)]
    [InlineData("opacity", "", 0)]
    [InlineData("transition", "color .2s,", 10)]
    [InlineData("color", "rgb(1 2 3 / 4 5)", 14)]
    [InlineData("color", "red; margin: 0", 3)]
    [InlineData("--anything", "a)", 1)]
    public void Where_it_stops_being_so_is_said(string property, string value, int at) => Assert.Equal(at, Assert.IsType<Verdict.Invalid>(Check(property, value)).At);

    [Fact]
    public void What_could_have_stood_there_is_said()
    {
        var expected = Assert.IsType<Verdict.Invalid>(Check("text-align", "middle")).Expected;
        Assert.Contains("center", expected);
        Assert.Contains("<length [0,∞]>", Assert.IsType<Verdict.Invalid>(Check("padding-top", "wide")).Expected.Select(e => e.Replace("length-percentage", "length", StringComparison.Ordinal)));
    }

    [Fact]
    public void What_is_put_in_later_is_judged_later()
    {
        Assert.IsType<Verdict.Later>(Check("margin", "1px var(--x)"));
        Assert.IsType<Verdict.Later>(Check("width", "calc(1px + var(--x, 2))"));
        Assert.Equal("color", Assert.IsType<Verdict.Unknown>(Check("colour", "red")).Nearest);
    }

    /// <summary>Of every property: a grammar that cannot be read would be found only by whoever writes that property.</summary>
    [Fact]
    public void Every_grammar_can_be_read()
    {
        foreach (var name in PropertyGrammars.All.Names) Assert.NotNull(PropertyGrammars.All.OfProperty(name));
    }

    [Fact]
    public void What_no_one_wrote_by_hand_ends()
    {
        Check("background", string.Join(',', Enumerable.Repeat("linear-gradient(red, blue) left / 10px", 2000)));
        Check("grid-template-columns", string.Concat(Enumerable.Repeat("minmax(1px,1fr) ", 5000)));
        Check("font", string.Concat(Enumerable.Repeat("normal ", 5000)));
        Check("width", string.Concat(Enumerable.Repeat("calc(", 150)) + "1px" + new string(')', 150));
    }

    private static Verdict Check(string property, string value) => PropertyGrammars.All.Check(property, Parser.ParseValues(value));
}
