using System.Text;
using Sandbar.Css.Cascade;
using Sandbar.Css.Conditions;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Cascade;

/// <summary>Places against the cascade of each element alone, which is held to Chromium (ComputedValueTests): they must tell apart whatever it tells apart, also after rules came and went.</summary>
public class PlaceStylesTests
{
    private static readonly string[] Files = ["pages/article.html", "pages/form.html", "pages/landing.html", "pages/features.html"];

    private static readonly Property[] Asked = [.. new[] { "color", "background-color", "display", "font-size", "font-weight", "margin-top", "padding-left", "border-top-color", "border-top-width", "opacity", "width", "content", "outline-color", "background-image", "background-size", "box-shadow", "visibility", "line-height", "text-decoration-line" }.Select(CssProperties.Of)];

    // A sheet for each rule, as those of a site, so that single ones can change.
    private static readonly string[] Rules =
    [
        .. Parser.Of(Text("pages/features.css")).Rules().Select(r => Text("pages/features.css")[r.Start..r.End]),
        "a { color: teal }", "p + p { margin-top: 3px }", ":is(h1, h2):hover { color: red }", "li:nth-child(2n) { opacity: .5 }", "section:has(a:focus) { padding-left: 9px }", "[href] { border-top: 2px solid }",
        "div p { font-size: 1.2em }", "* { --a: 1px }", "p { padding-left: var(--a) }", "section { --a: 7px }", ":root { --c: teal; --d: var(--c) }", "h2 { background: linear-gradient(var(--c), red); outline: 1px solid }", "p { color: var(--d, blue); box-shadow: 0 0 2px currentcolor }",
        "li { color: inherit; background-color: inherit; border-color: color-mix(in srgb, currentcolor, red) }", "em { font-size: var(--a) }",
        "fieldset:disabled { opacity: .3 }", "@media (width < 700px) { p { color: green } }",
    ];

    // What a change of one of them leaves is taken over from before.
    private static readonly string[] Painted = ["p", ":is(p, li)", "p, em", "section", "li", "body", "a:hover", ":root", "*"];

    private static readonly string[] Paints =
        ["color: #", "background: #", "border: 1px solid #", "background-image: linear-gradient(#, #), linear-gradient(#, #)", "opacity: .4", "outline: 2px dotted #", "box-shadow: 1px 1px", "visibility: hidden", "margin: 2em; padding: 1em", "font-size: 1.1em; color: #", "background-size: 3px"];

    public static TheoryData<string> Pages => [.. Files];

    [Theory]
    [MemberData(nameof(Pages))]
    public void Places_are_styled_as_their_elements_are(string page)
    {
        var document = Document.Parse(Text(page));
        var sheets = Rules.Select(r => StyleSheet.Parse(r, null)).ToList();
        foreach (var window in new MediaEnvironment[] { new(390), new(1280) { IsDark = true } })
        {
            var rules = RuleSet.Of(sheets, window, document.IsQuirky);
            AssertSame(document, Places.Of(sheets), new(rules, long.MaxValue), rules);
        }
    }

    /// <summary>Rules that come, go and change leave what they cannot reach, and nothing else.</summary>
    /// <param name="hasContainers">Whether what is around decides over some rules: then nothing is left.</param>
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void After_a_change_of_rules_all_is_as_if_it_had_been_made_anew(bool hasContainers)
    {
        var written = Rules.Where(r => hasContainers || !r.Contains("container", StringComparison.Ordinal)).ToArray();
        var document = Document.Parse(Text("pages/features.html"));
        var random = new Random(1);
        var sheets = written.Select((r, i) => StyleSheet.Parse(r, i % 3 == 0 ? null : "a")).ToList();
        var places = Places.Of(sheets);
        var styles = new PlaceStyles(RuleSet.Of(sheets, new(600), document.IsQuirky), long.MaxValue);
        for (var n = 0; n < RandomTimes.Of(60); n++)
        {
            var at = random.Next(sheets.Count);
            switch (random.Next(6))
            {
                case 0:
                    sheets.RemoveAt(at);
                    break;
                case 1:
                    sheets.Insert(at, StyleSheet.Parse(written[random.Next(written.Length)], null));
                    break;
                case 2:
                    (sheets[at], sheets[^1]) = (sheets[^1], sheets[at]);
                    break;
                case 3:
                    sheets[at] = StyleSheet.Parse($":root {{ --c: #{random.Next(4096):x3} }}", "c");
                    break;
                case 4:
                    var paint = string.Join("; ", Enumerable.Range(0, 1 + random.Next(3)).Select(_ => Paints[random.Next(Paints.Length)].Replace("#", $"#{random.Next(4096):x3}", StringComparison.Ordinal)));
                    sheets[at] = StyleSheet.Parse($"{Painted[random.Next(Painted.Length)]} {{ {paint} }}", random.Next(2) == 0 ? "b" : null);
                    break;
                default:
                    sheets[at] = StyleSheet.Parse($"{(random.Next(2) == 0 ? "p" : ".a, li")} {{ color: #{random.Next(4096):x3}; --a: {random.Next(9)}px }}", null);
                    break;
            }
            var next = Places.Of(sheets, places);
            var rules = styles.Rules.With(sheets);
            styles = ReferenceEquals(next, places) ? styles.After(rules, places) : new(rules, long.MaxValue);
            places = next;
            AssertSame(document, places, styles, RuleSet.Of(sheets, new(600), document.IsQuirky));
        }
    }

    [Fact]
    public void Elements_of_any_page_that_no_rule_tells_apart_stand_in_one_place()
    {
        var places = Places.Of([StyleSheet.Parse(".a > b { color: red }", null)]);
        var (one, other) = (Document.Parse("<!doctype html><p class=a id=x><b data-block=y>1</b><b>2</b></p>"), Document.Parse("<!doctype html><p class=a><b>3</b></p><p><b>4</b></p>"));
        Assert.Equal(At(one, 4), At(one, 5));
        Assert.Equal(At(one, 4), At(other, 4));
        Assert.NotEqual(At(other, 4), At(other, 6));
        // Whoever asks for an id or which one it is tells them apart.
        var asking = Places.Of([StyleSheet.Parse("#x b, b:last-child { color: red }", null)], places);
        Assert.NotSame(places, asking);
        Assert.NotEqual(In(asking, one)[4], In(asking, one)[5]);
        Assert.Same(asking, Places.Of([StyleSheet.Parse("#x b, b:last-child { color: blue }", null)], asking));

        Place At(Document page, int element) => In(places, page)[element];
    }

    private static void AssertSame(Document document, Places places, PlaceStyles styles, RuleSet rules)
    {
        var plain = new PageStyles(document, rules);
        var found = In(places, document);
        var hovered = document.All.Where(e => e.Name is "a" or "h2").ToList();
        foreach (var element in document.All) Same(plain.Of(element), styles.Of(found[element.Index]), element);
        foreach (var element in hovered)
        {
            var forced = new PageStyles(document, rules, new Dictionary<Element, ElementStates> { [element] = ElementStates.Hover });
            var place = places.Of(document, element, places.Kinds(document, long.MaxValue)[element.Index], found[element.Index].Parent, ElementStates.Hover);
            Same(forced.Of(element), styles.Of(place), element);
        }

        static void Same(ElementStyle expected, ElementStyle actual, Element element)
        {
            foreach (var property in Asked) Assert.True(expected.Text(property) == actual.Text(property), $"{element} {property.Name}: {expected.Text(property)} became {actual.Text(property)}");
        }
    }

    private static Place[] In(Places places, Document document)
    {
        var kinds = places.Kinds(document, long.MaxValue);
        var found = new Place[document.All.Count];
        foreach (var element in document.All) found[element.Index] = places.Of(document, element, kinds[element.Index], element.Parent is null ? null : found[element.Parent.Index]);
        return found;
    }

    private static string Text(string name) => Encoding.UTF8.GetString(Fixture.Bytes(name));
}
