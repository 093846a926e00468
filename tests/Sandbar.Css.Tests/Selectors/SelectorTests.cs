using System.Collections.Immutable;
using CsCheck;
using Sandbar.Css.Syntax;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Tests.Selectors;

/// <summary>Selectors: specificity against @bramus/specificity, which reads them with css-tree (fixtures/specificity.json). That Chromium takes the same ones is a browser test.</summary>
public class SelectorTests
{
    [Fact]
    public void Specificities_are_those_of_css_tree()
    {
        var cases = Fixture.Read("specificity.json").GetProperty("cases").EnumerateArray().ToList();
        Assert.True(cases.Count > 300);
        foreach (var one in cases)
        {
            var expected = one.GetProperty("specificity").EnumerateArray().Select(n => n.GetInt32()).ToArray();
            var selector = Assert.Single(Read(one.String("selector")));
            Assert.True(new Specificity(expected[0], expected[1], expected[2]) == Specificity.Of(selector), $"{one.String("selector")} is {Specificity.Of(selector)}, not {string.Join('-', expected)}");
        }
    }

    [Fact]
    public void A_nesting_sign_weighs_what_it_stands_for()
    {
        // CSS Nesting 1, §3.2: the heaviest of the list around it.
        var around = Specificity.Heaviest(Read("#a, .b"));
        Assert.Equal(new Specificity(1, 1, 0), Specificity.Of(Read("& .c")[0], around));
        Assert.Equal(new Specificity(1, 0, 1), Specificity.Of(Read("d&")[0], around));
    }

    [Fact]
    public void Specificities_are_ordered()
    {
        Assert.True(new Specificity(1, 0, 0) > new Specificity(0, 99, 99));
        Assert.True(new Specificity(0, 1, 0) >= new Specificity(0, 0, 99));
        Assert.True(new Specificity(0, 0, 1) < new Specificity(0, 1, 0) && new Specificity(0, 0, 1) <= new Specificity(0, 0, 1));
    }

    [Theory]
    [InlineData("a:hoover", 1, "“:hoover” is no state")]
    [InlineData("a::befor", 1, "“::befor” is no piece")]
    [InlineData("a:matches-any(b)", 1, "“:matches-any()”")]
    [InlineData(".a..b", 2, "class name must follow")]
    [InlineData(". a", 0, "class name must follow")]
    [InlineData("a,, b", 2, "A selector is missing")]
    [InlineData("a >", 2, "cannot end")]
    [InlineData("> a", 0, "cannot begin")]
    [InlineData("a[b", 1, null)]
    [InlineData("a[=b]", 1, "[name=\"value\"]")]
    [InlineData("#1a", 0, "cannot begin with a digit")]
    [InlineData("a % b", 2, "This is no selector")]
    [InlineData("a::before .b", 10, "ends a selector")]
    [InlineData("a::before.b", 9, "nothing may follow")]
    [InlineData("a::part(x):first-child", 10, "only states may follow")]
    [InlineData("a:not(:hoover)", 6, "“:hoover” is no state")]
    public void What_cannot_be_read_is_said_at_its_place(string selector, int at, string? said)
    {
        var isRead = SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out _, out var error);
        Assert.Equal(said is null, isRead);
        if (said is null) return;
        Assert.Contains(said, error!.Message, StringComparison.Ordinal);
        Assert.Equal(at, error.Start);
    }

    [Fact]
    public void Forgiving_lists_pass_over_what_cannot_be_read() => Assert.Equal(new Specificity(0, 1, 0), Specificity.Of(Read(":is(:hoover, .a)")[0]));

    [Fact]
    public void Nested_rules_may_begin_with_a_sign()
    {
        Assert.True(SelectorParser.TryParse(Parser.ParseValues("> a, + b"), isNested: true, out var list, out _));
        Assert.Equal([Combinator.Child, Combinator.NextSibling], list.Select(s => s.Leading));
    }

    [Fact]
    public void Any_text_leads_to_selectors_or_to_a_place_inside_it() => Gen.Char[" .#:[]()>+~*|&=\"ab1,-\\"].Array[0, 14].Select(c => new string(c)).Sample(text =>
    {
        var values = Parser.ParseValues(text);
        if (SelectorParser.TryParse(values, isNested: false, out var list, out var error)) Assert.All(list, s => Assert.InRange(s.End, s.Start, text.Length));
        else Assert.InRange(error.Start, 0, text.Length);
    });

    private static ImmutableArray<ComplexSelector> Read(string selector)
    {
        Assert.True(SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out var list, out var error), $"{selector}: {error?.Message}");
        return list;
    }
}
