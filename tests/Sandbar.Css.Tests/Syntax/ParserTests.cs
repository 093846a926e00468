using CsCheck;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Syntax;

/// <summary>Rules, declarations and recovery. Source: CSS Syntax Module Level 3, §5, and its examples of error handling (§2.2).</summary>
public class ParserTests
{
    [Fact]
    public void Reads_rules_declarations_and_nesting()
    {
        var sheet = Parser.ParseStyleSheet("@media (width > 1px) { .a { color: red !important; &:hover { color: blue } } }\n@layer x;\np { margin: 0 }");
        Assert.Empty(sheet.Errors);
        var media = Assert.IsType<AtRuleNode>(sheet.Rules[0]);
        var a = Assert.IsType<StyleRuleNode>(media.Items[0]);
        Assert.Equal("color", Assert.IsType<DeclarationNode>(a.Items[0]).Name);
        Assert.True(Assert.IsType<DeclarationNode>(a.Items[0]).Important);
        Assert.Equal("&:hover { color: blue }", sheet.Text(a.Items[1]));
        Assert.Equal(-1, Assert.IsType<AtRuleNode>(sheet.Rules[1]).BlockStart);
        Assert.Equal("p { margin: 0 }", sheet.Text(sheet.Rules[2]));
    }

    /// <summary>What does not parse is left out, what follows is kept, and the message names the place.</summary>
    [Theory]
    [InlineData("a { color red; margin: 0 }", 1, 5, "colon is missing", "margin")]
    [InlineData("a { color: red;\n  background }\nb { margin: 0 }", 2, 3, "colon is missing", "color")]
    [InlineData("a { margin: 0", 1, 3, "never closed", "margin")]
    [InlineData("a { content: \"x\n; margin: 0 }", 1, 14, "not closed before the line ends", "content")]
    [InlineData("a { margin: 0 } } b { margin: 0 }", 1, 17, "without an opening one", "margin")]
    [InlineData("a { margin: 0 } b", 1, 17, "no braces", "margin")]
    [InlineData("a { width: calc(1px + ; margin: 0 }", 1, 12, "never closed", "width")]
    [InlineData("/* x", 1, 1, "never closed", null)]
    [InlineData("a { background: url(a b) ; margin: 0 }", 1, 17, "quotes", "background")]
    [InlineData("{ margin: 0 }", 1, 1, "no selector", "margin")]
    [InlineData("a { margin: ; }", 1, 5, "no value", "margin")]
    [InlineData("--x /* */ /* */ : { top: 0 } a { margin: 0 }", 1, 1, "custom property", "margin")]
    public void Recovers_and_says_where(string css, int line, int column, string said, string? kept)
    {
        var sheet = Parser.ParseStyleSheet(css);
        Assert.Contains(sheet.Errors, e => new TextLines(css).At(e.Start) == new TextPosition(line, column) && e.Message.Contains(said, StringComparison.Ordinal));
        if (kept is not null) Assert.Contains(sheet.Rules.SelectMany(r => r.Items).OfType<DeclarationNode>(), d => d.Name == kept);
    }

    [Fact]
    public void Nesting_without_end_is_cut_off()
    {
        Assert.NotEmpty(Parser.ParseStyleSheet(string.Concat(Enumerable.Repeat("a{", 100_000))).Errors);
        Assert.NotEmpty(Parser.ParseStyleSheet("a{b:" + new string('(', 100_000)).Errors);
    }

    [Fact]
    public void Any_text_can_be_read_and_every_node_lies_in_its_source() => Gen.String[Gen.Char["ab{}()[];:'\"\\/*@#.- \n!1%,&\0é"], 0, 60].Sample(css =>
    {
        var sheet = Parser.ParseStyleSheet(css);
        foreach (var rule in sheet.Rules) Inside(rule, 0, css.Length);
        foreach (var error in sheet.Errors) Assert.InRange(error.Start, 0, css.Length);
    });

    private static void Inside(BlockItem item, int start, int end)
    {
        Assert.InRange(item.Start, start, end);
        Assert.InRange(item.End, item.Start, end);
        if (item is RuleNode rule)
        {
            foreach (var inner in rule.Items) Inside(inner, item.Start, item.End);
        }
    }
}
