using CsCheck;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Foundations;

/// <summary>Lists of colours as people have them. How they are written is common practice, no source; each colour is one by CSS Color 4.</summary>
public class ColorListTests
{
    [Theory]
    [InlineData("#8a2846", " #8a2846")]
    [InlineData("8a2846\n2f5d3a\ne3b23c", " #8a2846| #2f5d3a| #e3b23c")]
    [InlineData("#8a2846, #2f5d3a,e3b23c", " #8a2846| #2f5d3a| #e3b23c")]
    [InlineData("#8a2846 #2f5d3a", " #8a2846| #2f5d3a")]
    [InlineData("Beet #8a2846", "Beet #8a2846")]
    [InlineData("#8a2846 Deep beet", "Deep beet #8a2846")]
    [InlineData("Deep beet: 8a2846;", "Deep beet #8a2846")]
    [InlineData("beet #8a2846 leaf #2f5d3a", "beet #8a2846|leaf #2f5d3a")]
    [InlineData("red: #d00", "red #d00")]
    [InlineData("dark red, rebeccapurple", " darkred| rebeccapurple")]
    [InlineData("Blue 500 #1e40af", "Blue 500 #1e40af")]
    [InlineData("#1e40af Blue 500", "Blue 500 #1e40af")]
    [InlineData("Blue 500 1e40af", "Blue 500 #1e40af")]
    [InlineData("tan f43", "tan #f43")]
    [InlineData("blue-500: 'rgb(30 64 175)'", "blue 500 rgb(30 64 175)")]
    [InlineData("red green blue", " red| green| blue")]
    [InlineData(":root {\n  --color-deep-beet: #8a2846;\n  --leaf: rgb(47, 93, 58);\n}", "deep beet #8a2846|leaf rgb(47, 93, 58)")]
    [InlineData("$brand_main: oklch(0.45 0.13 6 / 0.5);", "brand main oklch(0.45 0.13 6 / 0.5)")]
    [InlineData("{\"beet\": \"#8A2846\", \"leaf\": \"2f5d3a\"}", "beet #8A2846|leaf #2f5d3a")]
    [InlineData("['#fff', '#000']", " #fff| #000")]
    [InlineData("/* old */ #123 /* #456\n #789 */\n#abcd", " #123| #abcd")]
    [InlineData("hsl(120 50% 30%)\thwb(10 20% 30%)", " hsl(120 50% 30%)| hwb(10 20% 30%)")]
    [InlineData("00ff00 1e3a5f 123456", " #00ff00| #1e3a5f| #123456")]
    [InlineData("facade\nadd", " #facade| #add")]
    [InlineData("facade 8a2846", "facade #8a2846")]
    [InlineData("", "")]
    public void What_people_paste_is_read(string text, string expected)
    {
        var list = ColorList.Read(text);
        Assert.Equal(expected, string.Join('|', list.Colors.Select(c => $"{c.Name} {c.Css}")));
        Assert.Empty(list.Unread);
    }

    [Fact]
    public void What_cannot_be_read_is_told_line_by_line()
    {
        var list = ColorList.Read("beet #8a2846\r\nmargin: 0\n\n#12\nrgb(1 2)\n#2f5d3a");
        Assert.Equal([1, 6], list.Colors.Select(c => c.Line));
        Assert.Equal([(2, "margin: 0"), (4, "#12"), (5, "rgb(1 2)")], list.Unread.Select(u => (u.Line, u.Text)));
    }

    [Theory]
    [InlineData("[")]
    [InlineData("{a:")]
    [InlineData("rgb(")]
    [InlineData("(")]
    [InlineData("'")]
    [InlineData("#")]
    public void Whatever_is_repeated_ends(string piece) => Assert.Empty(ColorList.Read(string.Concat(Enumerable.Repeat(piece, ColorList.Longest / piece.Length))).Colors);

    [Fact]
    public void Of_ten_thousand_the_first_are_taken_and_the_rest_counted()
    {
        var list = ColorList.Read(string.Concat(Enumerable.Range(0, 10_000).Select(i => $"#{i:x6}\n")));
        Assert.Equal((ColorList.Most, 10_000 - ColorList.Most), (list.Colors.Length, list.Left));
    }

    [Fact]
    public void Whatever_is_pasted_what_is_taken_is_a_colour() =>
        Gen.OneOf(Gen.String, Gen.String[Gen.Char["#0af8rgb(),;:{}[]\"'-/* \n%.e"], 0, 60]).Sample(text => Assert.All(ColorList.Read(text).Colors, c => Assert.True(ColorText.TryParse(c.Css, out _), c.Css)));
}
