using System.Text.Json;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Browser.Tests;

/// <summary>The selectors we can read are those that Chromium takes: what it would leave out is marked, and nothing else is.</summary>
public sealed class SelectorTests(Workplace workplace) : IClassFixture<Workplace>
{
    private static readonly string[] Selectors =
    [
        "a", "*", ".b", "#c", "[d]", "[e=f]", "[e=\"f\" i]", "[e~=f]", "[e|=f]", "[e^=f]", "[e$=f]", "[e*=f]", "*|a", "|a", "a b", "a > b", "a + b", "a ~ b", "a, b", "a:hover", "a:HOVER",
        ":focus-visible", ":focus-within", ":active", ":disabled", ":enabled", ":checked", ":root", ":empty", ":first-child", ":nth-child(2n+1)", ":nth-child(even of .a)", ":nth-of-type(odd)",
        ":is(a, b)", ":is()", ":is(:nonsense)", ":where(a)", ":not(a, b)", ":has(> a)", ":has(+ a, ~ b)", ":lang(en)", ":dir(rtl)", ":user-invalid", ":popover-open", ":any-link", ":target",
        "a::before", "a:before", "a::first-line", "a::marker", "a::placeholder", "a::selection", "a::part(x)", "a::file-selector-button", "a::-webkit-scrollbar", "::backdrop", "a::before:hover",
        ":nth-child(banana)", ":nth-child(2n+1 of .a, b)", ":nth-child(-n + 3)", ":nth-child(+ 3)", ":nth-child(3n + -6)", ":nth-child(+n)", ":nth-child( odd )", ":nth-child()", ":nth-child(2 n)", ":nth-child(2n 1)", ":nth-child(1.5)",
        ":nth-of-type(2n of a)", ":nth-last-child(EVEN of b)", ":nth-last-of-type(n)", ":nth-child(2n+)", ":nth-child(n- 1)", ":nth-child(2n of)", ":lang()", ":lang(\"de\")", ":lang(en, de)", ":lang(1)", ":dir(foo)", ":dir()", ":dir(a b)",
        ":state(x)", ":state()", ":state(a b)", "a::part()", "a::part(x y)", "a::part(1)", "::highlight(x)", "::highlight()", "::highlight(a b)", "[a=b i]", "[a=b s]", "[a=b x]", "[a=\"b\"i]", "ns|a", "*|*", "|*", "[a|b=c]", "[a|b|=c]", "[|a]", "[*|a=b]", "[a~ =b]", "[a==b]", "[a=1]",
        "", ",", "a,", ",a", "> a", "a >", "a > > b", "..a", ".", ". a", "#", "#1", "[", "[]", "[=b]", "[a=]", "[a=b c]", "[a b]", "a:", "a::", "a:nonsense", "a::nonsense", ":nonsense(a)",
        ":not(:nonsense)", ":not()", ":has()", "a::before .b", "a::before.b", "a b::after c", "1a", "a % b", "a!b", "a::before::marker", "a::before:is(b)", "a::part(x):hover", "a::part(x)::before", "a::file-selector-button:hover", "a::-webkit-scrollbar-thumb:hover", "a::marker:hover", "a::part(x):first-child", "a::slotted(b) c", "(a)", "a:hover()", "& a", "a&", ":has(:nonsense)",
    ];

    [Fact]
    public void What_can_be_read_is_what_Chromium_takes()
    {
        var taken = workplace.Browser.Json(
            "return arguments[0].map(s => { const sheet = new CSSStyleSheet(); try { sheet.insertRule(s + '{}'); return true; } catch { return false; } })".Replace("arguments[0]", JsonSerializer.Serialize(Selectors), StringComparison.Ordinal));
        var different = Selectors.Zip(taken.EnumerateArray().Select(t => t.GetBoolean()), (selector, isTaken) => (selector, isTaken))
            .Where(s => SelectorParser.TryParse(Parser.ParseValues(s.selector), isNested: false, out _, out _) != s.isTaken)
            .Select(s => $"{s.selector} is {(s.isTaken ? "taken" : "left out")} by Chromium");
        Assert.Empty(different);
    }
}
