using CsCheck;
using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Rendering;

/// <summary>What the designer wrote, as it reaches the pages: nothing it leaves open swallows what follows (CSS Syntax Module Level 3, §5).</summary>
public class OverrideTextTests
{
    /// <summary>Whatever a designer wrote, the rules that are released leave nothing open that would swallow what follows.</summary>
    [Fact]
    public void Released_overrides_leave_nothing_open() => OverrideSheets.Any.Sample(LeavesNothingOpen, iter: RandomTimes.Of(5000));

    [Theory]
    [InlineData("@a 'b")]
    [InlineData("@a (b")]
    [InlineData("@a b")]
    [InlineData("{a{a1 '## @{('1 ']*%-{) \\'")]
    [InlineData("{URL(</\"")]
    [InlineData("a{b/*/")]
    [InlineData("@x\\;")]
    [InlineData("×url(")]
    [InlineData("a{b:×url(")]
    [InlineData("a{font-family:\"a\\")]
    [InlineData("a{content:\"a\\")]
    [InlineData("a{--x:\\\n")]
    public void What_was_left_open_once_is_closed(string css) => LeavesNothingOpen(css);

    /// <summary>Found by random sheets: an escaped name behind "&lt;!" became the beginning of a comment of HTML.</summary>
    [Theory]
    [InlineData(@"<!\--<!--\]@x @font-face{/")]
    [InlineData(@"<!\--x{a:b}")]
    [InlineData(@"a{b:<!\--f(c)}")]
    public void What_was_written_otherwise_the_second_time_is_not(string css)
    {
        var once = OverrideText.Of(css).Readable(SheetUse.Release);
        Assert.NotEmpty(once);
        Assert.Equal(once, OverrideText.Of(once).Readable(SheetUse.Release));
    }

    /// <summary>Written anew it is read as what was read before, and writing that again changes nothing.</summary>
    [Fact]
    public void What_is_written_says_what_was_read() => OverrideSheets.Any.Sample(
        css =>
        {
            var once = OverrideText.Of(css).Readable(SheetUse.Release);
            Assert.Equal(once, OverrideText.Of(once).Readable(SheetUse.Release));
            Assert.DoesNotContain("</s", once, StringComparison.OrdinalIgnoreCase);
        },
        iter: RandomTimes.Of(5000));

    [Fact]
    public void Rules_are_written_with_their_comments_and_as_they_are_nested()
    {
        const string css = "/* Cards */ .card{color:RED;\n/* inside */ &:hover{margin:0 0\n 1px;--x:{a:b}}}@media print{a{top:0!important}} @layer a,b";
        Assert.Equal(
            """
            /* Cards */
            .card {
              color: RED;
              /* inside */
              &:hover {
                margin: 0 0
                  1px;
                --x: {a:b};
              }
            }

            @media print {
              a {
                top: 0 !important;
              }
            }

            @layer a,b;

            """,
            OverrideText.Of(css).Readable(SheetUse.Release));
    }

    private static void LeavesNothingOpen(string css)
    {
        foreach (var use in Enum.GetValues<SheetUse>())
        {
            var released = OverrideText.Of(css).Readable(use);
            var after = Parser.ParseStyleSheet(released + "\n.last { color: red }");
            Assert.True(after.Rules is [.., StyleRuleNode last] && after.Text(last) == ".last { color: red }", $"{css} → {released}");
        }
    }

    [Theory]
    [InlineData("a:hover { color: red }", "a:is(:hover, [data-force~=\"hover\"]) { color: red }")]
    [InlineData("a:not(:HOVER) > b { color: red }", "a:not(:is(:hover, [data-force~=\"hover\"])) > b { color: red }")]
    [InlineData("a { content: \":hover\"; &:focus-visible { margin: 0 } }", "a { content: \":hover\"; &:is(:focus-visible, [data-force~=\"focus\"]) { margin: 0 } }")]
    [InlineData("@media (hover: hover) { a:active { margin: 0 } }", "@media (hover: hover) { a:is(:active, [data-force~=\"pressed\"]) { margin: 0 } }")]
    public void States_can_be_forced_on_stage(string css, string staged)
    {
        Assert.Equal(staged, OnOneLine(OverrideText.Of(css).Readable(SheetUse.Stage)));
        Assert.Equal(css, OnOneLine(OverrideText.Of(css).Readable(SheetUse.Release)));
        static string OnOneLine(string text) => string.Join(' ', text.Split((char[])[' ', '\n'], StringSplitOptions.RemoveEmptyEntries)).Replace("; }", " }", StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a { background: url(https://example.org/x.png) no-repeat }", "url(https://example.org/x.png)")]
    [InlineData("a { &:hover { background: image-set(url('//example.org/x.png') 1x) } }", "url('//example.org/x.png')")]
    [InlineData("@font-face { src: url(\"http://example.org/x.woff2\") format('woff2') }", "url(\"http://example.org/x.woff2\")")]
    [InlineData("@keyframes x { to { background: url(//example.org/x.png) } }", "url(//example.org/x.png)")]
    [InlineData("a { background: url(#g), url(data:image/png;base64,AAAA), url(pictures/seeds.svg) }", null)]
    public void An_address_outside_is_marked_where_it_stands(string css, string? marked)
    {
        var problems = OverrideText.Of(css).Problems;
        Assert.Equal(marked is null ? [] : [marked], problems.Select(p => css[p.Start..p.End]));
        Assert.All(problems, p => Assert.Contains("leads away", p.Message, StringComparison.Ordinal));
    }

    [Fact]
    public void Imports_are_left_out_and_said()
    {
        const string css = "@import url(https://example.org/x.css);\na { margin: 0 }";
        Assert.Equal("a {\n  margin: 0;\n}\n", OverrideText.Of(css).Readable(SheetUse.Release));
        Assert.Contains("nothing is fetched", Assert.Single(OverrideText.Of(css).Problems).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a { colour: red }", "colour", "Did you mean color?")]
    [InlineData("@media print { a { bakground: red } }", "bakground", "Did you mean background?")]
    [InlineData("a { &:hover { margni: 0 } }", "margni", "Did you mean margin?")]
    [InlineData("a { wholly-other-thing: 0 }", "wholly-other-thing", "browsers leave the line out.")]
    public void A_name_that_is_no_property_is_said_at_its_place(string css, string name, string said)
    {
        var problem = Assert.Single(OverrideText.Of(css).Problems);
        Assert.Equal(name, css[problem.Start..problem.End]);
        Assert.EndsWith(said, problem.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a { COLOR: red; --mine: 1; -webkit-line-clamp: 2; -moz-anything: 1 }")]
    [InlineData("@font-face { font-family: x; src: url(x.woff2); font-display: swap; ascent-override: 90% }")]
    [InlineData("@property --x { syntax: '*'; inherits: false } @keyframes x { from { opacity: 0 } }")]
    public void What_is_a_property_or_a_descriptor_is_not_marked(string css) => Assert.Empty(OverrideText.Of(css).Problems);

    [Fact]
    public void A_sheet_names_selectors_that_cannot_be_read_and_passes_over_key_frames()
    {
        var problems = OverrideText.Of("a:hoover { color: red }\n@keyframes x { 10.5% { opacity: 0 } }\n@media print { b { & > c { top: 0 } ..d { top: 0 } } }").Problems;
        Assert.Equal([1, 3], problems.Select(p => new TextLines("a:hoover { color: red }\n@keyframes x { 10.5% { opacity: 0 } }\n@media print { b { & > c { top: 0 } ..d { top: 0 } } }").At(p.Start).Line));
    }
}
