using Sandbar.Css.Colors;

namespace Sandbar.Css.Tests.Colors;

/// <summary>Reading CSS colours. Source: CSS Color Module Level 4, §4 to §10; each form is one the specification gives or refuses.</summary>
public class ColorTextTests
{
    [Theory]
    [InlineData("#8a2846", "#8a2846")]
    [InlineData("#8A2", "#88aa22")]
    [InlineData("#8a284680", "#8a284680")]
    [InlineData("#8a28", "#88aa2288")]
    [InlineData(" Teal ", "#008080")]
    [InlineData("transparent", "#00000000")]
    [InlineData("rgb(138, 40, 70)", "#8a2846")]
    [InlineData("rgba(138,40,70,.5)", "#8a284680")]
    [InlineData("rgb(138 40 70 / 50%)", "#8a284680")]
    [InlineData("rgb(300 -20 70)", "#ff0046")]
    [InlineData("rgb(50%, 0%, 100%)", "#8000ff")]
    [InlineData("rgb(none 40 70)", "#002846")]
    [InlineData("hsl(120deg 100% 25%)", "#008000")]
    [InlineData("hsl(0.5turn, 100%, 50%)", "#00ffff")]
    [InlineData("hsla(480 100% 25%)", "#008000")]
    [InlineData("hwb(120 0% 50%)", "#008000")]
    [InlineData("hwb(0 60% 60%)", "#808080")]
    [InlineData("lab(100% 0 0)", "#ffffff")]
    [InlineData("oklch(1 0 none)", "#ffffff")]
    [InlineData("oklab(0% 0 0)", "#000000")]
    [InlineData("color(srgb 1 0.5 0)", "#ff8000")]
    [InlineData("color(xyz 0 0 0)", "#000000")]
    [InlineData("color(srgb-linear 1 1 1 / 0.5)", "#ffffff80")]
    [InlineData("rgb(/* red */ 255 0 0)", "#ff0000")]
    [InlineData("rgb(255 0 0", "#ff0000")] // CSS Syntax 3 closes what is open at the end of the text.
    public void Reads_colours(string css, string hex) => Assert.Equal(hex, ColorText.Hex(ColorText.Parse(css)));

    [Theory]
    [InlineData("")]
    [InlineData("#12")]
    [InlineData("#12345")]
    [InlineData("#ggg")]
    [InlineData("beet")]
    [InlineData("currentcolor")]
    [InlineData("rgb(1, 2)")]
    [InlineData("rgb(1 2, 3)")]
    [InlineData("rgb(1, 2%, 3)")]
    [InlineData("hsl(0, 10, 20)")]
    [InlineData("lab(50, 10, 20)")]
    [InlineData("color(oklch 1 0 0)")]
    [InlineData("color(nowhere 1 0 0)")]
    [InlineData("rgb(NaN 0 0)")]
    [InlineData("red blue")]
    [InlineData("oklch(0.5 0.1 20px)")]
    public void Refuses_what_is_no_colour(string css) =>
        Assert.Contains("is not a colour", Assert.Throws<FormatException>(() => ColorText.Parse(css)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_long_text_is_refused_and_cut_in_the_message()
    {
        var message = Assert.Throws<FormatException>(() => ColorText.Parse(new string('a', 10_000))).Message;
        Assert.True(message.Length < 200);
    }

    [Theory]
    [InlineData("oklch(0.436447 0.133882 6.09945)")]
    [InlineData("lab(33.0214 43.5997 6.31292)")]
    [InlineData("color(display-p3 0.1 0.2 0.3 / 0.5)")]
    [InlineData("hsl(none 0% 50%)")]
    public void Writes_what_it_reads(string css) => Assert.Equal(css, ColorText.Css(ColorText.Parse(css)));

    [Fact]
    public void Writing_never_uses_an_exponent()
    {
        Assert.Equal("color(xyz-d65 0.0000012 1234568 0)", ColorText.Css(new(ColorSpace.XyzD65, 0.0000012, 1234567.8, 1e-12)));
    }
}
