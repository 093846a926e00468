using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Cascade;

/// <summary>Rules as the cascade takes them. The examples of nesting are those of CSS Nesting Module Level 1, §3.1, with <c>:is()</c> as §3.2 has it.</summary>
public class StyleRuleTests
{
    private static readonly Document Page = Document.Parse("<body><i class='bar'><p class='foo bar'><b class='bar'><u class='baz'></u></b><s class='baz'></s></p><p class='foo baz qux'></p><q class='bar qux'></q><q class='baz'></q></i>");

    [Theory]
    [InlineData(".foo { color: blue; & > .bar { color: red } }", ".foo", ":is(.foo) > .bar")]
    [InlineData(".foo { > .bar { color: red } }", ":is(.foo) > .bar")]
    [InlineData(".foo { .bar & { color: red } }", ".bar :is(.foo)")]
    [InlineData(".foo { .bar { & .baz { color: red } } }", ":is(:is(.foo) .bar) .baz")]
    [InlineData(".foo { &:is(.bar, &.baz) { color: red } }", ":is(.foo):is(.bar, :is(.foo).baz)")]
    [InlineData(".foo, .bar { & + .baz, &.qux { color: red } }", ":is(.foo, .bar) + .baz, :is(.foo, .bar).qux")]
    [InlineData(".foo { @media (width > 9px) { color: red; .bar { color: blue } } }", ".foo", ":is(.foo) .bar")]
    [InlineData("@layer a { .foo { top: 0 } } @font-face { top: 0 } @keyframes x { from { top: 0 } } .a..b { top: 0 }", ".foo")]
    public void Nesting_is_worked_in(string css, params string[] selectors)
    {
        var rules = Rules(css);
        Assert.Equal(selectors.Length, rules.Count);
        foreach (var (rule, selector) in rules.Zip(selectors))
        {
            Assert.True(SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out var flat, out _));
            var expected = Page.All.Where(e => flat.Any(s => new Matching(Page).Holds(s, e))).ToList();
            Assert.NotEmpty(expected);
            Assert.Equal(expected, Page.All.Where(e => rule.Selectors.Any(s => new Matching(Page).Holds(s, e, rule.Parent))));
        }
    }

    /// <summary>Lists are never multiplied out: 2 to the power of 25, and of 50 where each names what is around it twice.</summary>
    [Theory]
    [InlineData("a, b { ")]
    [InlineData("& &, a { ")]
    [InlineData("@media print { a, b { ")]
    public void However_deep_rules_are_nested_there_are_no_more_than_were_written(string open)
    {
        var depth = open.Count(c => c == '{');
        var rules = Rules(string.Concat(Enumerable.Repeat(open + "top: 0;", 25)) + new string('}', 25 * depth));
        Assert.Equal(25, rules.Count);
        Assert.All(rules, r => Assert.Equal(2, r.Selectors.Length));
    }

    /// <summary>CSS Nesting 1, §3.2: the sign weighs what the heaviest of the list around weighs, whichever of it an element matches.</summary>
    [Theory]
    [InlineData("#a, b { & c { top: 0 } }", 1, 0, 1)]
    [InlineData("#a, b { c { top: 0 } }", 1, 0, 1)]
    [InlineData("#a, b { > c, d { top: 0 } }", 1, 0, 1)]
    [InlineData("a, .b { & { & + & { top: 0 } } }", 0, 2, 0)]
    [InlineData("a { :is(.b, &) { top: 0 } }", 0, 1, 0)]
    [InlineData(".a { .b & { top: 0 } }", 0, 2, 0)]
    public void What_a_rule_weighs_is_kept(string css, int ids, int classes, int elements) => Assert.Equal(new Specificity(ids, classes, elements), Rules(css)[^1].Weights.Max());

    [Theory]
    [InlineData("a:hover { top: 0 }", false)]
    [InlineData("nav a:hover > b { top: 0 }", false)]
    [InlineData("b::before { top: 0 }", false)]
    [InlineData(":focus-visible { top: 0 }", false)]
    [InlineData("a[aria-current] { top: 0 }", false)]
    [InlineData("a:not(:hover) { top: 0 }", true)]
    [InlineData("li:first-child { top: 0 }", true)]
    [InlineData("a, b:hover { top: 0 }", true)]
    [InlineData("@media (width < 600px) { a { top: 0 } }", false)]
    [InlineData("@scope (a) { b { top: 0 } }", false)]
    [InlineData("@supports (top: 0) { a { top: 0 } }", true)]
    [InlineData(".card:hover { .title { color: red } }", false)]
    [InlineData(".a, .b:hover { .title { color: red } }", true)]
    [InlineData(".a { @media print { color: red } }", false)]
    public void What_holds_only_at_times_is_known(string css, bool isPlain)
    {
        var rule = Assert.Single(Rules(css));
        Assert.Equal(isPlain, !rule.IsConditional && !rule.NamesState);
    }

    [Theory]
    [InlineData("a b > c { top: 0 }", false)]
    [InlineData("a:hover b:is(.c, :not(d)) { top: 0 }", false)]
    [InlineData("[href] #b { top: 0 }", false)]
    [InlineData("a + b { top: 0 }", true)]
    [InlineData("a:has(b) { top: 0 }", true)]
    [InlineData("a:is(b, c ~ d) { top: 0 }", true)]
    [InlineData("a:first-child b { top: 0 }", true)]
    [InlineData("a:empty { & b { top: 0 } }", true)]
    public void What_asks_for_more_than_an_element_and_those_around_is_known(string css, bool isFar) => Assert.Equal(isFar, Assert.Single(Rules(css)).IsFar);

    private static List<StyleRule> Rules(string css) => [.. StyleSheet.Parse(css, null).Rules];
}
