using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

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
    [InlineData(".foo, .bar { & + .baz, &.qux { color: red } }", ".foo, .bar", ":is(.foo, .bar) + .baz, :is(.foo, .bar).qux")]
    [InlineData(".foo { @media (width > 9px) { color: red; .bar { color: blue } } }", ".foo", ".foo", ":is(.foo) .bar")]
    [InlineData("@layer a { .foo { top: 0 } } @font-face { top: 0 } @keyframes x { from { top: 0 } } .a..b { top: 0 }", ".foo")]
    public void Nesting_is_worked_in(string css, params string[] selectors) => Assert.Equal(selectors, Flat(css).Select(r => Text(r.Selector)));

    /// <summary>Lists are never multiplied out: 2 to the power of 25, and of 50 where each names what is around it twice.</summary>
    [Theory]
    [InlineData("a, b { ")]
    [InlineData("& &, a { ")]
    [InlineData("@media print { a, b { ")]
    public void However_deep_rules_are_nested_there_are_no_more_than_were_written(string open)
    {
        var depth = open.Count(c => c == '{');
        var rules = Flat(string.Concat(Enumerable.Repeat(open, 25)) + "top: 0" + new string('}', 25 * depth));
        Assert.Equal(25, rules.Count);
        Assert.All(rules, r => Assert.Equal(2, r.Selector.List.Length));
    }

    /// <summary>CSS Nesting 1, §3.2: the sign weighs what the heaviest of the list around weighs, whichever of it an element matches.</summary>
    [Theory]
    [InlineData("#a, b { & c { top: 0 } }", 1, 0, 1)]
    [InlineData("#a, b { c { top: 0 } }", 1, 0, 1)]
    [InlineData("#a, b { > c, d { top: 0 } }", 1, 0, 1)]
    [InlineData("a, .b { & { & + & { top: 0 } } }", 0, 2, 0)]
    [InlineData("a { :is(.b, &) { top: 0 } }", 0, 1, 0)]
    [InlineData(".a { .b & { top: 0 } }", 0, 2, 0)]
    public void What_a_rule_weighs_is_kept(string css, int ids, int classes, int elements) => Assert.Equal(new Specificity(ids, classes, elements), Flat(css)[^1].Heaviest);

    [Theory]
    [InlineData("a:hover { top: 0 }", "a", null)]
    [InlineData("nav a:hover > b::before { top: 0 }", "nav a > b", null)]
    [InlineData(":focus-visible { top: 0 }", "*", null)]
    [InlineData("li :hover:active { top: 0 }", "li *", null)]
    [InlineData("a[aria-current] { top: 0 }", "a", null)]
    [InlineData("a:not(:hover) { top: 0 }", "a:not(:hover)", "a:not(:hover)")]
    [InlineData("li:first-child { top: 0 }", "li:first-child", "li:first-child")]
    [InlineData("a, b:hover { top: 0 }", "a, b", "a")]
    [InlineData("a, a:hover { top: 0 }", "a", "a")]
    [InlineData("@media (width < 600px) { a { top: 0 } }", "a", null)]
    [InlineData("@supports (top: 0) { a { top: 0 } }", "a", "a")]
    public void What_holds_only_at_times_is_known_and_what_it_can_come_to_hold_for(string css, string elements, string? always)
    {
        var rule = Assert.Single(Flat(css));
        Assert.Equal((elements, always), (Text(rule.Elements), rule.Always is { } selector ? Text(selector) : null));
        Assert.Equal("top", Assert.Single(rule.Declarations).Name);
    }

    [Fact]
    public void What_stands_in_a_passing_state_passes_with_it()
    {
        var inner = Flat(".card:hover { .title { color: red } }")[^1];
        Assert.Equal((":is(.card:hover) .title", ":is(.card) .title", null), (Text(inner.Selector), Text(inner.Elements), inner.Always));
        Assert.Equal(":is(.a) .title", Text(Flat(".a, .b:hover { .title { color: red } }")[^1].Always!));
        Assert.Null(Flat(".a { @media print { color: red } }")[^1].Always);
    }

    private static List<FlatRule> Flat(string css) => [.. FlatRules.Of(Parser.ParseStyleSheet(css))];

    private static string Text(NestedSelector selector) => string.Join(", ", selector.With(selector.Around is { } around ? $":is({Text(around)})" : ":root"));
}
