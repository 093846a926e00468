using System.Collections.Immutable;
using System.Text.Json;
using CsCheck;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Browser.Tests;

/// <summary>Selectors find the elements that Chromium finds.</summary>
public sealed class MatchingTests(Workplace workplace) : IClassFixture<Workplace>
{
    private const string Asked = "const all = new Map([...document.querySelectorAll('*')].map((e, i) => [e, i])); return arguments[0].map(s => { try { return [...document.querySelectorAll(s)].map(e => all.get(e)).join(); } catch { return 'invalid'; } })";

    /// <summary>Each state by itself: what it holds for is the page's own doing.</summary>
    private static readonly string[] States =
    [
        ":root", ":scope", ":empty", ":first-child", ":last-child", ":only-child", ":first-of-type", ":last-of-type", ":only-of-type", ":link", ":any-link", ":visited", ":-webkit-any-link", ":defined", ":checked", ":disabled", ":enabled",
        ":required", ":optional", ":read-only", ":read-write", ":placeholder-shown", ":default", ":indeterminate", ":valid", ":invalid", ":user-valid", ":user-invalid", ":in-range", ":out-of-range", ":open", ":modal", ":popover-open",
        ":fullscreen", ":hover", ":focus", ":focus-visible", ":focus-within", ":active", ":target", ":autofill", ":lang(en)", ":lang(en-GB)", ":lang(EN-gb)", ":lang(de)", ":lang(he)",
        ":lang(e)", ":dir(ltr)", ":dir(rtl)", ":dir(RTL)", ":dir(auto)", ":host", ":picture-in-picture",
    ];

    private static readonly string[] Conditions =
    [
        "*", "a", "A", "li", "p", "section", "input", "html", "body", "linearGradient", "lineargradient", "circle", ".a", ".b", ".A", ".row", ".mark", ".Mark", "#top", "#TOP", "#g", "[class]", "[CLASS]", "[type=text]", "[type=TEXT]", "[type=square]", "[data-x]", "[data-x~=two]", "[data-x~=\"one two\"]",
        "[data-x='']", "[data-y|=en]", "[data-y|=EN]", "[data-y|=EN i]", "[href^='#']", "[href$=html]", "[href*=l]", "[href*='']", "[name^='']", "[value=\"5\"]", "[scope=COL]", "[viewBox]", "[viewbox]", ":nth-child(2n+1)", ":nth-child(-n+3)", ":nth-child(3)", ":nth-child(n+2)", ":nth-child(0)", ":nth-child(2 of .a)",
        ":nth-child(even of li, p)", ":nth-last-child(2)", ":nth-last-child(2 of .deep)", ":nth-of-type(2)", ":nth-of-type(odd)", ":nth-last-of-type(n+2)", ":is(li, .a)", ":is()", ":is(:nonsense, p)", ":where(a, p)", ":not(.a)", ":not(li, .b)", ":not(:is(p, :not(:first-child)))",
        ":has(a)", ":has(> a)", ":has(+ p)", ":has(~ p)", ":has(a, input)", ":has(> li > a)", ":has(+ li .deep)", ":has(~ section td)", ":not(:has(*))", ":has(.part a)", ":has(:scope)", ":has(:is(.part a))", "&", ":scope > body",
    ];

    private static readonly string[] Combinators = [" ", " > ", " + ", " ~ "];

    [Theory]
    [InlineData("article.html")]
    [InlineData("form.html")]
    public void Every_state_and_condition_holds_for_what_Chromium_says(string page) => Compare(page, [.. States, .. Conditions, "a::before", "p::first-line, a"]);

    /// <summary>Conditions together, on elements around and beside each other, and in each other's brackets.</summary>
    [Theory]
    [InlineData("article.html")]
    [InlineData("form.html")]
    public void So_do_any_of_them_together(string page)
    {
        var condition = Gen.OneOf([.. Conditions.Where(c => char.IsPunctuation(c[0]) && c != "*"), .. States]);
        var tag = Gen.OneOf("", "", "*", "a", "li", "p", "section", "input", "div", "option", "button");
        var compound = Gen.Select(tag, condition.Array[0, 2], (t, c) => t + string.Concat(c) is { Length: > 0 } some ? some : "*").Where(c => !c.Contains('&', StringComparison.Ordinal));
        var plain = Gen.Select(compound, Gen.Select(Gen.OneOf(Combinators), compound, (sign, next) => sign + next).Array[0, 3], (first, rest) => first + string.Concat(rest));
        var wrapped = Gen.Select(Gen.OneOf(":is({0})", ":not({0})", ":where({0}, .b)", ":nth-child(odd of {0})"), plain, (form, inner) => string.Format(null, form, inner));
        var relative = Gen.Select(Gen.OneOf("", "> ", "+ ", "~ "), plain.Where(p => !p.Contains(":has(", StringComparison.Ordinal)), (sign, inner) => $":has({sign}{inner})");
        var any = Gen.OneOf(plain, Gen.Select(compound, Gen.OneOf(wrapped, relative), (c, w) => c + w), Gen.Select(plain, Gen.OneOf(Combinators), wrapped, (p, sign, w) => p + sign + "*" + w));
        any.Array[400].Sample(selectors => Compare(page, selectors), iter: 5, threads: 1);
    }

    private void Compare(string page, IReadOnlyList<string> selectors)
    {
        var browser = workplace.Browser;
        var path = Path.Combine(AppContext.BaseDirectory, "pages", page);
        browser.Driver.Navigate().GoToUrl(new Uri(path));
        var answers = browser.Json(Asked.Replace("arguments[0]", JsonSerializer.Serialize(selectors), StringComparison.Ordinal)).EnumerateArray().Select(a => a.GetString()!);
        var document = Document.Parse(File.ReadAllText(path));
        Assert.Equal(browser.Run<long>("return document.querySelectorAll('*').length"), document.All.Count);
        var matching = new Matching(document);
        var different = selectors.Zip(answers).Select(asked => (asked.First, Theirs: asked.Second, Ours: Found(matching, asked.First)))
            .Where(a => a.Ours != a.Theirs).Select(a => $"{a.First}: Chromium {a.Theirs}, here {a.Ours}; {string.Join(' ', Differing(document, a.Theirs, a.Ours))}").ToList();
        Assert.True(different.Count == 0, string.Join('\n', different));
    }

    private static IEnumerable<Element> Differing(Document document, string theirs, string ours)
    {
        var (a, b) = (Indexes(theirs), Indexes(ours));
        return a.Except(b).Concat(b.Except(a)).Take(6).Select(i => document.All[i]);
        static ImmutableArray<int> Indexes(string list) => list is "" or "invalid" ? [] : [.. list.Split(',').Select(int.Parse)];
    }

    private static string Found(Matching matching, string text) => SelectorParser.TryParse(Parser.ParseValues(text), isNested: false, out var selectors, out _)
        ? string.Join(',', matching.Document.All.Where(e => selectors.Any(s => matching.Holds(s, e))).Select(e => e.Index))
        : "invalid";
}
