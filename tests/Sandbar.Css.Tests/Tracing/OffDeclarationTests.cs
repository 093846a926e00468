using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Sandbar.Css.Tracing;

namespace Sandbar.Css.Tests.Tracing;

/// <summary>What is declared and does not count, and what values are made of. That the rest counts is held to Chromium (WinnerTests).</summary>
public sealed class OffDeclarationTests
{
    private static readonly Document Page = Document.Parse("<!doctype html><main style='--edge: 3px'><p class=a>1</p></main>");

    [Theory]
    [InlineData("p { color: red; color: 3px }", "Invalid 3px")]
    [InlineData("p { color: 1; color: 2 }", "Invalid 1|Invalid 2")]
    [InlineData("@media (width < 200px) { p { color: red } } @media (width > 200px) { p { color: blue } }", "Condition red (width < 200px)")]
    [InlineData("@media screen { @media print { .a { color: red } .b { color: blue } } }", "Condition red print")]
    [InlineData("@supports (colour: red) { p { color: red; top: 0 } }", "Condition red (colour: red)")]
    [InlineData("main { container: box / inline-size } @container box (width < 100px) { p { color: red } } @container box (width > 100px) { p { color: blue } }", "Condition red box (width < 100px)")]
    [InlineData("@layer x { p { color: red } } p { color: blue }", "")]
    [InlineData("@media print { p { all: unset } }", "Condition unset print")]
    public void What_does_not_count_is_told_with_the_reason(string css, string told) => Assert.Equal(
        told, string.Join('|', OffDeclaration.Of(Styles(css), Element, CssProperties.Of("color")).Select(o => $"{o.Reason} {Serializer.Values(o.Declaration.Declared.Node.Value)} {o.Condition}".Trim())));

    /// <summary>The condition that is told is the one of the import, whatever stands in the sheet.</summary>
    [Fact]
    public void What_is_imported_under_a_condition_is_told_too()
    {
        var imported = StyleSheet.Parse("p { color: red } @media screen { p { color: blue } } @property --x { syntax: '*'; inherits: false }", "b.css");
        var styles = new PageStyles(Page, RuleSet.Of([new(Parser.ParseStyleSheet("@import url(b.css) layer(a) print; @import url(b.css);"), "a.css") { Import = _ => imported }], new MediaEnvironment()));
        Assert.Equal(["red print", "blue print"], OffDeclaration.Of(styles, Element, CssProperties.Of("color")).Select(o => $"{Serializer.Values(o.Declaration.Declared.Node.Value)} {o.Condition}"));
        Assert.Equal("rgb(0, 0, 255)", styles.Of(Element).Text(CssProperties.Of("color")));
    }

    [Fact]
    public void Variables_are_followed_to_their_ends()
    {
        var styles = Styles("html { --ink: teal; --line: var(--edge) solid var(--ink) } main { --line: var(--edge, 1px) dashed var(--none, var(--ink)) } p { border: var(--line) }");
        var winner = PropertyTrace.Of(styles.Of(Element), Element, CssProperties.Of("border-top-color")).Winner!;
        Assert.Equal(
            ["--line 3px dashed teal main", "--edge 3px main", "--none nothing nowhere", "--ink teal html"],
            VariableTrace.Of(styles.Of(Element), Element, winner.Declared).Select(v => $"{v.Name} {v.Value ?? "nothing"} {(v.Winner is null ? "nowhere" : v.InheritedFrom?.Name ?? "itself")}"));
        // In a circle each is told once.
        styles = Styles("p { --a: var(--b); --b: var(--a); color: var(--a) }");
        winner = PropertyTrace.Of(styles.Of(Element), Element, CssProperties.Of("color")).Winner!;
        Assert.Equal(["--a  itself", "--b  itself"], VariableTrace.Of(styles.Of(Element), Element, winner.Declared).Select(v => $"{v.Name} {v.Value} {v.InheritedFrom?.Name ?? "itself"}"));
    }

    private static Element Element => Page.All.Single(e => e.Name == "p");

    private static PageStyles Styles(string css) => new(Page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment()));
}
