using Sandbar.Css.Documents;
using Sandbar.Css.Linting;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Linting;

/// <summary>That values and selectors are told right is held against Chromium in Sandbar.Browser.Tests; here where and how they are told.</summary>
public sealed class SheetLintTests
{
    private static readonly Document Page = Document.Parse("<!doctype html><main><p class=a>A <b>b</b></p><input disabled></main>");

    [Theory]
    [InlineData("p { color: red; margin: 0 auto }", "")]
    [InlineData("p { colour: red }", "unknown-property 5 “colour” is not a property: browsers leave the line out. Did you mean color?")]
    [InlineData("p { text-align: middle }", "invalid-value 17 ")]
    [InlineData("p { color: var(--x); --y: { z } }", "")]
    [InlineData("p:hoover { color: 1 }", "selector 2 ")]
    [InlineData("@media (hover) { p { top: red } }", "invalid-value 27 ")]
    [InlineData("@font-face { font-family: X; src: local(X) }", "")]
    [InlineData("@font-face { font-family: X; src: url(x) format(woff2) tech(variations); unicode-range: U+4??; size-adjust: 90% }", "")]
    [InlineData("@font-face { font-famly: X; font-weight: heavy }", "unknown-descriptor 14 |invalid-value 42 ")]
    [InlineData("@font-face { fontfamily: X }", "unknown-descriptor 14 “fontfamily” says nothing in @font-face: browsers leave the line out. Did you mean font-family?")]
    [InlineData("@property --x { syntax: '<color>'; inherits: maybe; initial-value: red }", "invalid-value 46 ")]
    [InlineData("@media (min-widht: 3px), print and (hover) { p { top: 0 } }", "unknown-condition 8 ")]
    [InlineData("@media screen and max-width { p { top: 0 } }", "unknown-condition 8 ")]
    [InlineData("@media (width: 3s) { p { top: 0 } }", "unknown-condition 8 ")]
    [InlineData("@media not all and (10px < width <= 20em), (prefers-contrast) { p { top: 0 } }", "")]
    [InlineData("@container side (min-widht: 3px) { p { top: 0 } }", "unknown-condition 17 ")]
    [InlineData("@container (width: 3s) { p { top: 0 } }", "unknown-condition 12 ")]
    [InlineData("@container side, (10px < inline-size <= 20em) and style(--x: 1), not scroll-state(stuck: top) { p { top: 0 } }", "")]
    [InlineData("@supports (display: grid) and (not (display: gird)) { p { top: 0 } }", "")]
    [InlineData("@supports display: grid { p { top: 0 } }", "unknown-condition 11 ")]
    [InlineData("@supports (display: grid) and at-rule(media) { p { top: 0 } }", "unknown-condition 31 ")]
    [InlineData("@supports at-rule(@media) and (not at-rule(@x)) { p { top: 0 } }", "")]
    [InlineData("@charset 'utf-8'; @color-profile --x { src: url(x) }", "unknown-at-rule 19 ")]
    [InlineData("@page :first { size: A4 landscape; margin: 2cm; @top-left { content: 'a'; color: 1 } }", "invalid-value 82 ")]
    [InlineData("@page { size: A9; colour: red; --x: 1; @middle { top: 0 } page-orientation: upright }", "invalid-value 15 |unknown-property 19 |unknown-descriptor 32 |unknown-at-rule 40 ")]
    [InlineData("@font-face { unicode-range: U+26, u+4??, U+0025-00FF }", "")]
    [InlineData("@font-face { unicode-range: U+26, U+110000 }", "invalid-value 35 ")]
    [InlineData("@position-try --x { top: red }", "invalid-value 26 ")]
    [InlineData("@keyframes k { from { opacity: red } 50% { top: 1px } }", "invalid-value 32 ")]
    [InlineData("@medai print { p { top: red } }", "unknown-at-rule 1 ")]
    [InlineData("p { color: }", "syntax 5 ")]
    [InlineData(".nothing { top: 0 }", "finds-nothing 1 ")]
    [InlineData("p:hover, .nothing { top: 0 }", "")]
    [InlineData("p:is(:hover, :focus)::before { top: 0 }", "")]
    [InlineData("input:enabled { top: 0 }", "finds-nothing 1 ")]
    [InlineData("p { b { top: 0 } & > i { top: 0 } + input { top: 0 } }", "finds-nothing 18 ")]
    [InlineData("p { .a & { top: 0 } main & { top: 0 } &.a { b & { top: 0 } } }", "finds-nothing 5 |finds-nothing 45 ")]
    public void It_is_told_where_it_stands(string css, string told)
    {
        var lines = new TextLines(css);
        var found = SheetLint.Of(Parser.ParseStyleSheet(css), [Page]).Select(d => $"{d.Code} {lines.At(d.Start).Column} {d.Message}").ToList();
        var wanted = told.Length == 0 ? [] : told.Split('|');
        Assert.Equal(wanted.Length, found.Count);
        Assert.All(wanted.Zip(found), pair => Assert.StartsWith(pair.First, pair.Second, StringComparison.Ordinal));
    }

    [Fact]
    public void Without_pages_nothing_is_looked_up() => Assert.Empty(SheetLint.Of(Parser.ParseStyleSheet(".nothing { top: 0 }"), []));

    /// <summary>What asks every element about every other is given up, and nothing is said of it.</summary>
    [Fact]
    public void What_asks_too_much_ends()
    {
        var deep = Document.Parse("<!doctype html>" + string.Concat(Enumerable.Repeat("<div><p></p>", 400)));
        Assert.DoesNotContain(SheetLint.Of(Parser.ParseStyleSheet(string.Concat(Enumerable.Repeat(":has(:has(:has(b) ~ i) p ~ div) > * * :not(:has(i)) { top: 0 }", 20))), [deep]), d => d.Code is not ("finds-nothing" or "selector"));
    }
}
