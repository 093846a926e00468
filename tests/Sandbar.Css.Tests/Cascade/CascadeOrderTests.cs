using CsCheck;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Sandbar.Css.Tracing;

namespace Sandbar.Css.Tests.Cascade;

/// <summary>The order of declarations, and what is said about it. That the order is the right one is held to Chromium in the browser tests.</summary>
public sealed class CascadeOrderTests
{
    private static readonly Property Color = CssProperties.Of("color");

    /// <summary>Rules of every strength there is, in any order.</summary>
    private static readonly Gen<string> Sheets = Gen.Select(
        Gen.OneOf("{0}", "@layer a {{ {0} }}", "@layer b {{ {0} }}", "@layer a.c {{ {0} }}", "@layer {{ {0} }}", "@scope (div) {{ {0} }}", "@scope (body) {{ {0} }}", "@media screen {{ {0} }}"),
        Gen.OneOf("p", "p.x", "#p", ".x", ":where(p)", "div p", "p, #p", ":is(p, #z)"), Gen.Int[0, 9], Gen.Bool,
        (form, selector, number, important) => string.Format(null, form, $"{selector} {{ color: rgb({number}, 0, 0){(important ? " !important" : "")} }}")).Array[1, 12].Select(rules => string.Join('\n', rules));

    [Fact]
    public void The_order_is_total_and_every_loser_lost_for_a_reason() => Sheets.Sample(css =>
    {
        var page = Document.Parse("<!doctype html><title>t</title><div><p id=p class=x style='color:rgb(99,0,0)'>a</div>");
        var element = page.All.First(e => e.Id == "p");
        var candidates = new PageStyles(page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment())).Of(element).Candidates(Color);
        for (var i = 0; i < candidates.Count; i++)
        {
            for (var j = 0; j < candidates.Count; j++)
            {
                var order = candidates[i].CompareStrength(candidates[j]);
                Assert.Equal(Math.Sign(j.CompareTo(i)), Math.Sign(order));
                if (i < j) Assert.Equal(order > 0, candidates[j].CompareStrength(candidates[i]) < 0);
            }
        }
        var trace = PropertyTrace.Of(new PageStyles(page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment())).Of(element), element, Color);
        Assert.Equal(candidates.Count - 1, trace.Losers.Count);
        foreach (var loser in trace.Losers) Assert.True(loser.ReasonAgainst(trace.Winner!) is not LossReason.Order || loser.Specificity == trace.Winner!.Specificity);
    }, iter: RandomTimes.Of(300));

    [Theory]
    [InlineData("p { color: red !important } #p { color: blue }", "red", "Importance")]
    [InlineData("p { color: red }", "rgb(1, 2, 3)", "Inline")]
    [InlineData("@layer a { #p { color: red !important } } p { color: blue !important }", "red", "Layer")]
    [InlineData("#p { color: red !important } p { color: blue !important }", "red", "Specificity")]
    [InlineData("@scope (div) { .x { color: red !important } } @scope (body) { .x { color: blue !important } }", "red", "Proximity")]
    [InlineData("p { color: red !important } p { color: blue !important }", "blue", "Order")]
    public void The_reason_is_the_first_in_which_they_differ(string css, string winner, string reason)
    {
        var page = Document.Parse("<!doctype html><title>t</title><div><p id=p class=x style='color:rgb(1, 2, 3)'>a</div>");
        var element = page.All.First(e => e.Id == "p");
        var trace = PropertyTrace.Of(new PageStyles(page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment())).Of(element), element, Color);
        Assert.Equal(winner, Serializer.Values(trace.Winner!.Declared.Node.Value));
        Assert.Contains(trace.Losers, l => l.ReasonAgainst(trace.Winner).ToString() == reason);
    }

    [Theory]
    [InlineData("a { color: red }", "color", "rgb(255, 0, 0)")]
    [InlineData("a { --x: 3px; width: var(--x) }", "width", "3px")]
    [InlineData("a { max-width: 60ch }", "max-width", null)]
    [InlineData("a { font-size: 2ch; width: 3em }", "width", null)]
    [InlineData("html { font-size: 2ch } a { margin-left: 1rem }", "margin-left", null)]
    [InlineData("html { font-size: 2ch } a { font-size: 10px; padding-left: 2em }", "padding-left", "20px")]
    [InlineData("@layer x { a { --w: 1px } } @layer y { a { --w: revert-layer } } a { --w: revert-layer; width: var(--w) }", "width", "1px")]
    [InlineData("a { width: 50%; width: nonsense }", "width", "50%")]
    public void What_takes_the_measures_of_a_font_is_not_guessed(string css, string property, string? computed)
    {
        var page = Document.Parse("<!doctype html><title>t</title><a>x</a>");
        var element = page.All.First(e => e.Name == "a");
        Assert.Equal(computed, PropertyTrace.Of(new PageStyles(page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment())).Of(element), element, CssProperties.Of(property)).Computed);
    }
}
