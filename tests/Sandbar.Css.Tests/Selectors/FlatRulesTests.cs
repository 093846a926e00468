using Sandbar.Css.Syntax;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Tests.Selectors;

/// <summary>Nested rules worked out. The examples are those of CSS Nesting Module Level 1, §3.1, with <c>:is()</c> as §3.2 has it.</summary>
public class FlatRulesTests
{
    [Theory]
    [InlineData(".foo { color: blue; & > .bar { color: red } }", ".foo", ":is(.foo) > .bar")]
    [InlineData(".foo { > .bar { color: red } }", ".foo", ":is(.foo) > .bar")]
    [InlineData(".foo { .bar & { color: red } }", ".foo", ".bar :is(.foo)")]
    [InlineData(".foo { .bar { & .baz { color: red } } }", ".foo", ":is(.foo) .bar", ":is(:is(.foo) .bar) .baz")]
    [InlineData(".foo { &:is(.bar, &.baz) { color: red } }", ".foo", ":is(.foo):is(.bar, :is(.foo).baz)")]
    [InlineData(".foo, .bar { & + .baz { color: red } }", ".foo", ":is(.foo) + .baz", ".bar", ":is(.bar) + .baz")]
    [InlineData("@layer a { .foo { top: 0 } } @font-face { top: 0 } @keyframes x { from { top: 0 } } .a..b { top: 0 }", ".foo")]
    public void Nesting_is_worked_in(string css, params string[] selectors) => Assert.Equal(selectors, Flat(css).Select(r => r.Selector));

    [Theory]
    [InlineData("a:hover { top: 0 }", "a", false)]
    [InlineData("nav a:hover > b::before { top: 0 }", "nav a > b", false)]
    [InlineData(":focus-visible { top: 0 }", "*", false)]
    [InlineData("li :hover:active { top: 0 }", "li *", false)]
    [InlineData("a[aria-current] { top: 0 }", "a", false)]
    [InlineData("a:not(:hover) { top: 0 }", "a:not(:hover)", true)]
    [InlineData("li:first-child { top: 0 }", "li:first-child", true)]
    [InlineData("@media (width < 600px) { a { top: 0 } }", "a", false)]
    [InlineData("@supports (top: 0) { a { top: 0 } }", "a", true)]
    public void What_holds_only_at_times_is_known_and_what_it_can_come_to_hold_for(string css, string elements, bool holdsAlways)
    {
        var rule = Assert.Single(Flat(css));
        Assert.Equal((elements, holdsAlways), (rule.Elements, rule.HoldsAlways));
        Assert.Equal("top", Assert.Single(rule.Declarations).Name);
    }

    [Fact]
    public void What_stands_in_a_passing_state_passes_with_it()
    {
        var inner = Flat(".card:hover { .title { color: red } }").Last();
        Assert.Equal((":is(.card:hover) .title", ":is(.card) .title", false), (inner.Selector, inner.Elements, inner.HoldsAlways));
    }

    private static List<FlatRule> Flat(string css) => [.. FlatRules.Of(Parser.ParseStyleSheet(css))];
}
