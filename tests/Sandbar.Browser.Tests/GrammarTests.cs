using System.Text.Json;
using Sandbar.Css.Conditions;
using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;

namespace Sandbar.Browser.Tests;

/// <summary>What properties take is what Chromium takes.</summary>
public sealed class GrammarTests(Workplace workplace) : IClassFixture<Workplace>
{
    private static readonly string[] Values =
    [
        "0", "1", "-1", "1.5", "100", "1000", "1e3", "+2", "0%", "50%", "-10%", "150%", "0px", "12px", "-3px", "1.5em", "2rem", "10vw", "5ch", "1q", "1lh", "0s", "1s", "-1s", "200ms", "45deg", "-90deg", "0.5turn", "2dppx", "96dpi", "1fr", "10hz", "3foo",
        "auto", "none", "normal", "inherit", "initial", "unset", "revert", "revert-layer", "both", "all", "left", "right", "top", "bottom", "center", "start", "end", "middle", "baseline", "stretch", "hidden", "visible", "scroll", "clip", "fixed", "absolute", "sticky", "block", "inline", "flex",
        "inline-flex", "grid", "flow-root", "contents", "table-cell", "inline-block", "list-item", "solid", "dotted", "thin", "medium", "thick", "bold", "bolder", "italic", "oblique", "oblique 10deg", "small", "larger", "x-large", "uppercase", "underline", "wavy", "nowrap", "pre-wrap", "balance", "pretty",
        "break-word", "break-all", "ellipsis", "cover", "contain", "repeat-x", "round", "space", "space-between", "space-evenly", "row", "row reverse", "row-reverse", "wrap", "column dense", "currentcolor", "transparent", "red", "Red", "CanvasText", "AccentColor", "nocolor", "foo", "--foo", "\"foo\"", "'a' 'b'",
        "#fff", "#ffff", "#ff", "#ggg", "#12345678", "rgb(1, 2, 3)", "rgb(1 2 3)", "rgb(1 2 3 / 50%)", "rgb(1, 2 3)", "rgba(1,2,3,.5)", "rgb(10%, 20%, 30%)", "rgb(none 2 3)", "hsl(120 50% 50%)", "hsl(120deg, 50%, 50%)", "hwb(120 10% 10%)", "lab(50% 20 30)", "lch(50% 20 30deg)", "oklab(.5 .1 .1)", "oklch(70% .1 200 / 50%)",
        "color(display-p3 1 0 0)", "color(srgb 1 0)", "color-mix(in oklch, red, blue)", "color-mix(in oklch longer hue, red 20%, blue)", "color-mix(red, blue)", "light-dark(red, blue)", "oklch(from red l c h)", "rgb(from red r g b / 50%)", "device-cmyk(0 0 0 1)",
        "url(a.png)", "url(\"a.png\")", "url(a b)", "linear-gradient(red, blue)", "linear-gradient(45deg, red, blue 20%)", "linear-gradient(to right, red, 30%, blue)", "linear-gradient(in oklch, red, blue)", "linear-gradient(red)", "linear-gradient()", "linear-gradient(45deg in oklab, red 10% 20%, blue)",
        "radial-gradient(circle at 20% 30%, red, blue)", "radial-gradient(10px 20px, red, blue)", "radial-gradient(closest-side, red, blue)", "conic-gradient(from 20deg at 10% 10%, red, blue 90deg)", "repeating-linear-gradient(red, blue 10px)", "-webkit-linear-gradient(left, red, blue)", "image-set(\"a.png\" 1x, url(b.png) 2x)", "cross-fade(url(a.png), url(b.png), 50%)",
        "calc(1px + 2px)", "calc(1px + 10%)", "calc(1 + 2)", "calc(1px + 2)", "calc(1px+2px)", "calc(2 * 3px)", "calc(2px * 3px)", "calc(10px / 2px)", "calc(1s + 200ms)", "min(1px, 2em)", "max(10%, 20px)", "clamp(1px, 5vw, 2rem)", "clamp(1, 2, 3)", "round(up, 12px, 5px)", "mod(7, 3)", "sin(45deg)", "atan2(1px, 2px)", "pow(2, 3)", "sqrt(4)", "hypot(3px, 4px)", "abs(-1px)", "sign(-1px)", "calc(pi * 1px)",
        "var(--x)", "1px var(--x, 2px)", "env(safe-area-inset-top)", "attr(data-x)", "1px 2px", "1px 2px 3px", "1px 2px 3px 4px", "1px 2px 3px 4px 5px", "1px / 2px", "10% 20% / 30%", "1 / 2", "span 2", "span 2 / auto", "1px solid red", "solid", "solid 1px", "2px dashed", "red 1px 2px", "1px 2px 3px 4px red inset", "0 0 5px rgb(0 0 0 / .5), inset 1px 1px red", "none, none",
        "translate(10px)", "translateX(10%) rotate(45deg)", "translate(10px, 2%) scale(1.2)", "scale(50%)", "matrix(1,0,0,1,0,0)", "rotate(45)", "perspective(10px)", "blur(5px)", "blur(5px) brightness(50%)", "drop-shadow(1px 2px 3px red)", "blur(-1px)", "circle(50%)", "inset(10px round 5px)", "polygon(0 0, 10px 10px, 20% 5%)", "ellipse(1px 2px at left)", "path('M0 0')", "xywh(1px 2px 3px 4px)",
        "1fr 2fr", "[a] 1fr [b c]", "repeat(3, 1fr)", "repeat(auto-fill, minmax(10px, 1fr))", "minmax(10px, auto)", "fit-content(20%)", "fit-content", "min-content", "max-content", "subgrid", "'a b' 'c d'", "\"a\" 1fr / auto", "a", "a b", "a, b", "a / b / c / d", "left 10px top 20%", "center right", "left left", "10px center", "left 10px", "bottom 1px right", "color 1s ease 2s", "color 1s, opacity 2s", "all .2s cubic-bezier(.1,.2,.3,.4)",
        "cubic-bezier(2,0,0,1)", "ease-in", "steps(3, jump-end)", "steps(0)", "linear(0, .5 20%, 1)", "2s infinite alternate slide", "serif", "Arial, sans-serif", "\"My Font\", serif", "italic bold 12px/1.5 serif", "12px serif", "12px", "caption", "counter(x)", "counters(x, '.')", "open-quote", "\"a\" counter(x) / \"b\"", "disc inside", "square", "x 1", "x 1 y 2", "thin solid", "underline wavy red", "underline overline", "from-image", "0 auto", "auto 0", "auto auto auto",
        "safe center", "first baseline", "last baseline", "legacy right", "unsafe end", "size layout", "strict", "inline-size", "pan-x pan-y", "manipulation", "x mandatory", "y proximity", "block nearest", "light dark", "only light", "smooth", "thin auto", "red blue", "\"kern\" 1", "\"liga\" on", "\"wght\" 700", "common-ligatures small-caps", "small-caps", "tabular-nums", "0 1 auto", "1 1 0%", "2", "1 2", "2 3 4", "red, blue", "luminance", "alpha", "exclude", "multiply", "scroll()", "view()", "view(block 10px)", "--a, --b", "anchor(top)", "anchor-size(width)", "top left", "span-all", "flip-block", "allow-discrete", "", "!important", "red !important", "a)", ";",
    ];

    [Fact]
    public void What_a_property_takes_is_what_Chromium_takes()
    {
        var names = PropertyNamesOfChromium();
        var taken = workplace.Browser.Json($"return {JsonSerializer.Serialize(names)}.map(name => {JsonSerializer.Serialize(Values)}.map(value => CSS.supports(name, value) ? 1 : 0).join(''))").EnumerateArray().Select(t => t.GetString()!).ToArray();
        var differing = new List<string>();
        for (var n = 0; n < names.Length; n++)
        {
            for (var v = 0; v < Values.Length; v++)
            {
                var ours = PropertyGrammars.All.Check(names[n], Parser.ParseValues(Values[v])) is Verdict.Valid or Verdict.Later;
                if (ours != (taken[n][v] == '1')) differing.Add($"{names[n]}: {Values[v]} ({(ours ? "only here" : "only Chromium")})");
            }
        }
        // Each with its reason; one that is no difference any more is to be taken out.
        var known = File.ReadLines(Path.Combine(AppContext.BaseDirectory, "grammar-differences.txt")).Where(line => line.Length > 0 && line[0] != '#');
        Assert.Equal(known.Order(StringComparer.Ordinal), differing.Order(StringComparer.Ordinal));
    }

    private static readonly string[] OfDescriptors =
    [
        "auto", "normal", "none", "bold", "heavy", "400", "100 900", "1001", "0", "italic", "oblique", "oblique 10deg", "oblique 0deg 20deg", "oblique 5px", "condensed", "50% 200%", "90%", "-5%", "120px", "block", "swap", "optional", "later", "X", "\"X\"", "X, Y", "X Y", "url(a.woff2)", "url(a) format(woff2)", "url(a) format('woff2') tech(variations)", "url(a) tech(color-COLRv1)", "local(X)", "local('X'), url(b)", "url(a) format()", "a.woff2", "\"kern\" 1", "\"kern\" on", "\"wght\" 300", "cyclic", "fixed 3", "extends decimal", "additive", "numeric", "'*'", "'*' '+'", "3 'a', 1 'b'", "5 '0'", "1 5", "1 5, 7 infinite", "0 red", "0 red, 1 #fff", "light", "dark", "3", "true", "false", "bullets", "U+26", "u+0-7f", "U+0025-00FF, u+4??", "U+??????", "U+?????", "U+110000", "U+10FFFF", "U+7f-0", "U+4?5", "U+1234567", "U+4?-5?", "U+ 26", "26", "U+0-110000", "u+a?", "U+12e3", "U+1e3", "U+1-2-3", "U+??-ff", "U+26,", "a4", "A4 landscape", "portrait b5", "a4 a5", "10cm 20cm", "10cm landscape", "letter", "upright", "rotate-left",
    ];

    /// <summary>What stands in at-rules that say how fonts, counters and pages of paper are.</summary>
    [Fact]
    public void What_a_descriptor_takes_is_what_Chromium_takes()
    {
        string[] rules = ["font-face", "counter-style", "font-palette-values", "page"];
        var asked = (from rule in rules from name in PropertyGrammars.All.DescriptorsOf(rule) from value in OfDescriptors select new[] { rule, name, value }).ToList();
        var kept = workplace.Browser.Json($$"""
            return {{JsonSerializer.Serialize(asked)}}.map(([rule, name, value]) => {
              const sheet = document.createElement('style');
              const needed = rule === 'counter-style' && !/^(system|symbols|additive-symbols)$/.test(name) ? 'system: cyclic; symbols: "q";' : '';
              sheet.textContent = `@${rule} ${rule === 'font-face' || rule === 'page' ? '' : '--x'} { ${needed} ${name}: ${value} }`;
              document.head.append(sheet);
              const text = sheet.sheet.cssRules[0]?.cssText ?? '';
              sheet.remove();
              return new RegExp(`(^|[{;\\s])${name}:`).test(text) ? 1 : 0;
            }).join('')
            """).GetString()!;
        var differing = asked.Select((a, i) => (a, Ours: PropertyGrammars.All.CheckDescriptor(a[0], a[1], Parser.ParseValues(a[2])) is Verdict.Valid, Theirs: kept[i] == '1')).Where(d => d.Ours != d.Theirs).Select(d => string.Join(' ', d.a));
        Assert.Equal(
            [
                // Names of features have four letters, which the grammar does not say; Chromium takes words in the place of numbers of an axis.
                "font-face font-feature-settings \"X\"", "font-face font-feature-settings '*'", "font-face font-variation-settings \"kern\" on",
                // A style of counters cannot be called so.
                "counter-style fallback none", "counter-style speak-as none",
            ],
            differing.Order(StringComparer.Ordinal).OrderBy(d => !d.StartsWith("font", StringComparison.Ordinal)));
    }

    [Fact]
    public void Chromium_supports_the_same_at_rules_and_takes_what_it_does_not_know_for_no()
    {
        string[] names =
        [
            "annotation", "apply", "bottom-center", "character-variant", "charset", "color-profile", "container", "contents", "counter-style", "custom-media", "document", "font-face", "font-feature-values", "font-palette-values", "function",
            "historical-forms", "import", "Keyframes", "-webkit-keyframes", "-moz-document", "layer", "left-bottom", "left-middle", "left-top", "media", "mixin", "namespace", "navigation", "none", "ornaments", "page", "position-try", "property",
            "right-top", "right-middle", "right-bottom", "scope", "starting-style", "styleset", "stylistic", "supports", "swash", "top-left", "top-left-corner", "top-center", "top-right", "top-right-corner", "bottom-left-corner", "bottom-left",
            "bottom-right", "bottom-right-corner", "view-transition", "viewport",
        ];
        string[] asked = [.. names.Select(n => $"at-rule(@{n})"), "at-rule(media)", "at-rule( @media )", "at-rule(@media;)", "at-rule(@media @layer)", "at-rule()", "not at-rule(@none)", "not at-rule(media)", "not foo(bar)", "not (foo bar)", "not (foo)", "not font-tech(x)", "not font-tech()", "not selector(!!)", "not (not foo(bar))", "(not foo(bar))", "foo(bar)", "foo(bar) or (top: 0)", "foo(bar) and (top: 0)"];
        var answers = workplace.Browser.Json($"return {JsonSerializer.Serialize(asked)}.map(c => CSS.supports(c))").EnumerateArray().Select(a => a.GetBoolean()).ToList();
        Assert.Contains(true, answers);
        Assert.Empty(asked.Where((condition, i) => SupportsConditions.Hold(Parser.ParseValues(condition)) != answers[i]));
    }

    private string[] PropertyNamesOfChromium() => [.. workplace.Browser.Json($"return {JsonSerializer.Serialize(PropertyGrammars.All.Names.Where(n => !n.StartsWith("--", StringComparison.Ordinal)))}.filter(name => CSS.supports(name, 'inherit'))").EnumerateArray().Select(n => n.GetString()!)];
}
