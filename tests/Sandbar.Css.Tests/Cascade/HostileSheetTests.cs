using System.Diagnostics;
using CsCheck;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Linting;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Cascade;

/// <summary>Whatever stands in a sheet, it is read, and every element comes to something, in bounded time.</summary>
public sealed class HostileSheetTests
{
    private const string Seed = """
        @layer a, b.c; @import url("x.css") layer(d) supports(display: grid) screen;
        @property --len { syntax: "<length>+ | none"; inherits: false; initial-value: 1px }
        @media (300px <= width < 40em) and (not (hover)) { .x:hover > p:nth-child(2n+1 of .y)::before { content: "a\"b" attr(title); color: color-mix(in oklch longer hue, red 20%, var(--c, #12345678)) } }
        @supports selector(:has(> a)) { @layer b { & .x:is(a, .b:not(#c)) { margin: calc(1px + 2% * -3) auto !important; --c: { x: [1, (2)] } } } }
        @container side (width > 10px) { p { all: revert-layer; transform: rotate(1turn) translate(calc(1em - 5%)) } }
        @scope (.x) to (.y) { :scope { background: url(a.png) center / cover, linear-gradient(45deg in hsl, red 0 10%, blue) } }
        p { font: italic 1.5em/2 "A B", serif; grid: auto-flow dense 1fr / [a] repeat(2, minmax(0, 1fr)); --d: var(--e); --e: var(--d); width: var(--d, 3px); transition: all .2s steps(3, start) }
        @keyframes k { from { opacity: 0 } to { opacity: calc(1 / 3) } } <!-- p { color: rgb(from var(--z) r g b / .5) } -->
        """;

    private static readonly Document Page = Document.Parse("<!doctype html><title>t</title><div class=x id=c style='color:red;--c:1'><p class=y title=t>a<a href=#>b</a><p>c</div>");

    /// <summary>Pieces of sheets in any order, and sheets with pieces changed.</summary>
    private static readonly Gen<string> Mutated = Gen.Select(Gen.Int[0, 1 << 30], Gen.Select(Gen.Int[0, 400], Gen.Int[0, 30], Gen.String[Gen.Char["{}()[];:,'\"\\/*@#.-+%!&<>~ \n\0é1ae"], 0, 8]).Array[1, 6], (from, changes) =>
    {
        var text = Seed[(from % Seed.Length)..];
        foreach (var (at, length, put) in changes)
        {
            var place = text.Length == 0 ? 0 : (int)((long)at * 7919 % (text.Length + 1));
            text = text.Remove(place, Math.Min(length, text.Length - place)).Insert(place, put);
        }
        return text;
    });

    [Fact]
    public void Any_change_to_a_sheet_leaves_one_that_is_read_and_written_as_it_was() => Mutated.Sample(css =>
    {
        var sheet = Parser.ParseStyleSheet(css);
        Assert.Equal(css, sheet.Source);
        foreach (var rule in sheet.Rules) Assert.True(rule.Start >= 0 && rule.End <= css.Length && rule.Start <= rule.End);
        Assert.All(sheet.Errors, e => Assert.NotEmpty(e.Message));
        // What is written anew reads the same again.
        foreach (var values in sheet.Rules.OfType<StyleRuleNode>().SelectMany(r => r.Items.OfType<DeclarationNode>()).Select(d => d.Value).Where(v => !v.Any(IsBad)))
        {
            var written = Serializer.Values(values);
            Assert.Equal(written, Serializer.Values(Parser.ParseValues(written)));
        }
    }, iter: RandomTimes.Of(100_000));

    /// <summary>Strings and addresses that were never finished cannot be written: no declaration with one counts.</summary>
    private static bool IsBad(ComponentValue value) => value switch
    {
        Token { Kind: TokenKind.BadString or TokenKind.BadUrl } => true,
        FunctionValue function => function.Values.Any(IsBad),
        BlockValue block => block.Values.Any(IsBad),
        _ => false,
    };

    [Fact]
    public void Every_property_comes_to_something_under_any_sheet() => Mutated.Sample(css =>
    {
        var sheet = StyleSheet.Parse(css, "a.css");
        var styles = new PageStyles(Page, RuleSet.Of([sheet], new MediaEnvironment()));
        foreach (var element in Page.All)
        {
            var style = styles.Of(element);
            foreach (var property in CssProperties.All) Assert.NotNull(style.Text(property));
        }
        Assert.NotNull(SheetLint.Of(sheet.Node, [Page]));
    }, iter: RandomTimes.Of(250));

    public static TheoryData<string> Bombs() =>
    [
        string.Concat(Enumerable.Repeat("a{", 10_000)),
        "p{width:" + new string('(', 10_000),
        "p{width:" + string.Concat(Enumerable.Repeat("calc(", 10_000)) + "1px",
        "p{color:" + string.Concat(Enumerable.Repeat("color-mix(in srgb,", 5_000)) + "red",
        "p{content:\"" + new string('x', 100_000),
        "p{width:1e999px;height:-1e999px;z-index:99999999999999999999;margin:1e-999px;line-height:1e300;opacity:1e99}",
        "p{" + string.Concat(Enumerable.Range(0, 40).Select(i => $"--v{i}:var(--v{i + 1})var(--v{i + 1});")) + "--v40:x;width:var(--v0)}",
        "p{" + string.Concat(Enumerable.Range(0, 20_000).Select(i => $"--v{i}:var(--v{i + 1});")) + "width:var(--v0)}",
        string.Concat(Enumerable.Repeat(":has(", 3_000)) + "p" + new string(')', 3_000) + "{color:red}",
        "@media " + string.Concat(Enumerable.Repeat("(not ", 5_000)) + "(hover)" + new string(')', 5_000) + "{p{color:red}}",
        "@supports " + string.Concat(Enumerable.Repeat("(", 10_000)) + "display:grid" + new string(')', 10_000) + "{p{color:red}}",
        "@layer " + string.Join('.', Enumerable.Repeat("a", 20_000)) + "{p{color:red}}",
        "@property --x{syntax:\"" + string.Concat(Enumerable.Repeat("<length>|", 5_000)) + "x\";inherits:true;initial-value:1px}p{--x:2px;width:var(--x)}",
        "p{grid-template-columns:" + string.Concat(Enumerable.Repeat("[a] 1fr ", 5_000)) + "}",
        "p{background:" + string.Join(',', Enumerable.Repeat("url(a) left / 1px repeat-x", 2_000)) + "}",
        "p{transform:" + string.Concat(Enumerable.Repeat("rotate(1deg)", 1_500)) + ";filter:" + string.Concat(Enumerable.Repeat("blur(1px)", 1_500)) + "}",
        "p\0{color\0:red;width:1\0px}\0",
        // Found at random: what has to be there is not.
        "@property --x{inherits:false;initial-value:1px}@property --y{syntax:\"*\"}@property --z{}p{width:var(--x)}",
    ];

    /// <summary>Bounded: none of them takes the time of a coffee, and none ends the program.</summary>
    [Theory]
    [MemberData(nameof(Bombs))]
    public void A_sheet_made_to_hurt_is_answered(string css)
    {
        var since = Stopwatch.StartNew();
        var styles = new PageStyles(Page, RuleSet.Of([StyleSheet.Parse(css, "a.css")], new MediaEnvironment()), mostSteps: 10_000_000);
        try
        {
            foreach (var element in Page.All)
            {
                foreach (var property in CssProperties.All) Assert.NotNull(styles.Of(element).Text(property));
            }
        }
        catch (CostlySelectorException)
        {
            // Said, and given up.
        }
        Assert.True(since.Elapsed < TimeSpan.FromSeconds(60), $"{since.Elapsed}");
    }

    [Fact]
    public void A_page_nested_as_deep_as_anybody_likes_is_styled()
    {
        var page = Document.Parse(string.Concat(Enumerable.Repeat("<div>", 3_000)) + "x");
        var styles = new PageStyles(page, RuleSet.Of([StyleSheet.Parse("* { border: inherit; font-size: 1.01em; --a: var(--a) } div { color: inherit; width: calc(1em + 1px) }", "a.css")], new MediaEnvironment()));
        var deepest = styles.Of(page.All[^1]);
        foreach (var property in CssProperties.All) Assert.NotNull(deepest.Text(property));
    }
}
