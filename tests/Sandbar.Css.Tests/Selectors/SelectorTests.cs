using System.Collections.Immutable;
using CsCheck;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

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

    /// <summary>CSS Syntax 3, §6.2, with its examples.</summary>
    [Theory]
    [InlineData("2n+0", 2, 0)]
    [InlineData("even", 2, 0)]
    [InlineData("EVEN", 2, 0)]
    [InlineData("4n+1", 4, 1)]
    [InlineData("odd", 2, 1)]
    [InlineData("10n-1", 10, -1)]
    [InlineData("5", 0, 5)]
    [InlineData("+5", 0, 5)]
    [InlineData("-6n + 3", -6, 3)]
    [InlineData("+n", 1, 0)]
    [InlineData("-N- 2", -1, -2)]
    [InlineData("n", 1, 0)]
    [InlineData("3n +1", 3, 1)]
    [InlineData("0n+5", 0, 5)]
    [InlineData("n/* */+3", 1, 3)]
    [InlineData("banana", null, 0)]
    [InlineData("3 n", null, 0)]
    [InlineData("+ 2n", null, 0)]
    [InlineData("+ 2", null, 0)]
    [InlineData("3n + -6", null, 0)]
    [InlineData("2/**/n", null, 0)]
    [InlineData("2n 1", null, 0)]
    [InlineData("1.5n", null, 0)]
    [InlineData("2n+", null, 0)]
    [InlineData("", null, 0)]
    [InlineData("2n+1 3", null, 0)]
    [InlineData("(2n)", null, 0)]
    public void Places_in_a_row_are_read(string text, int? a, int b) =>
        Assert.Equal(a is { } every ? new AnPlusB(every, b) : (AnPlusB?)null, AnPlusB.TryParse(Parser.ParseValues(text).AsSpan(), out var nth) ? nth : (AnPlusB?)null);

    [Theory]
    [InlineData("[a]", "a", null, "", false)]
    [InlineData("[|a ~= b]", "a", AttributeOperator.Includes, "b", false)]
    [InlineData("[*|a='x y' I]", "a", AttributeOperator.Equals, "x y", true)]
    [InlineData("[a|=en]", "a", AttributeOperator.DashMatch, "en", false)]
    [InlineData("[a^=b i]", "a", AttributeOperator.Prefix, "b", true)]
    [InlineData("[a$=b]", "a", AttributeOperator.Suffix, "b", false)]
    [InlineData("[a*='&']", "a", AttributeOperator.Substring, "&", false)]
    public void Attributes_are_kept_whole(string text, string name, AttributeOperator? by, string value, bool ignoresCase)
    {
        var attribute = Assert.IsType<AttributeSelector>(Assert.Single(Assert.Single(Assert.Single(Read(text)).Compounds).Parts));
        Assert.Equal((name, by, value, ignoresCase), (attribute.Name, attribute.Operator, attribute.Value, attribute.IgnoresCase));
    }

    [Fact]
    public void What_stands_between_brackets_is_kept()
    {
        var parts = Read(":nth-child(2n+1 of .a, b):lang(en):lang(de-CH):dir(rtl)::part(x y)")[0].Compounds[0].Parts;
        var nth = Assert.IsType<PseudoClassSelector>(parts[0]);
        Assert.Equal((new AnPlusB(2, 1), 2), (nth.Nth, nth.Arguments.Length));
        Assert.Equal(["en", "de-CH", "rtl"], parts.OfType<PseudoClassSelector>().SelectMany(p => p.Words));
        Assert.Equal(["x", "y"], Assert.IsType<PseudoElementSelector>(parts[^1]).Words);
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
    [InlineData("a:matches-any(b)", 1, "“matches-any()” is no state")]
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
    [InlineData("a:nth-child(banana)", 1, "takes which of a row it is")]
    [InlineData("a:nth-of-type(2n of b)", 1, "takes which of a row it is")]
    [InlineData("a:lang()", 1, "“lang()” is no state")]
    [InlineData("a::part()", 1, "“part()” is no piece")]
    [InlineData("a:lang(en, de)", 1, "“lang()” is no state")]
    [InlineData("a[b=c s]", 1, "flag s")]
    [InlineData("a[ns|b=c]", 1, "[name=\"value\"]")]
    [InlineData("a[b=c d]", 1, "[name=\"value\"]")]
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
