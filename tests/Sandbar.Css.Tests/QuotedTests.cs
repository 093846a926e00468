namespace Sandbar.Css.Tests;

public class QuotedTests
{
    [Theory]
    [InlineData("teal", "“teal”")]
    [InlineData(" a\r\n\tb ", "“a b”")]
    [InlineData("a\0b\u0085c", "“a\uFFFDb c”")]
    [InlineData("", "“”")]
    public void A_quotation_stands_on_one_line(string text, string quoted) => Assert.Equal(quoted, Quoted.Text(text));

    [Theory]
    [InlineData(60, 60)]
    [InlineData(61, 60)]
    [InlineData(500_000, 60)]
    public void And_is_cut(int length, int shown)
    {
        var line = Quoted.Line(new string('x', length));
        Assert.Equal(shown, line.Length);
        Assert.Equal(length > 60, line.EndsWith('…'));
    }
}
