using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Tests.Cascade;

/// <summary>Which elements a change of sheets may reach; said here by hand.</summary>
public class SheetChangeTests
{
    private static readonly Document Page = Document.Parse("<!doctype html><title>Beds</title><main class=bed><p id=one>Peas</p><p id=two style='color: red'>Beans</p></main><aside><p id=three class=note>Beet</p></aside>");

    [Theory]
    [InlineData(".note { color: red }", "three")]
    [InlineData(".bed > p:hover { color: red }", "one two")]
    [InlineData(".bed p::before { content: 'x' }", "one two")]
    [InlineData("@media (min-width: 100px) { .note { color: red } }", "three")]
    [InlineData(".unheard-of { color: red }", "")]
    [InlineData(".unheard-of p { color: red }", "")]
    public void A_rule_that_comes_or_goes_reaches_what_it_may_hold_for(string css, string reached)
    {
        var known = Sheet("p { margin: 0 }");
        Assert.Equal(With(reached), Reached(SheetChange.Of([known], [known, Sheet(css)])));
        Assert.Equal(With(reached), Reached(SheetChange.Of([Sheet(css), known], [known])));
    }

    [Fact]
    public void What_reads_a_custom_property_that_changed_is_reached_however_it_is_handed_on()
    {
        StyleSheet[] readers = [Sheet(".bed { --ink: var(--beet, black) var(--lit) }"), Sheet(".note { color: var(--ink) }"), Sheet("p { top: var(--other) }"), Sheet(":root { --lit: 20% }")];
        var change = SheetChange.Of([Sheet(":root { --beet: #8a2846 }"), .. readers], [Sheet(":root { --beet: #336699 }"), .. readers]);
        Assert.Equal(new[] { "html", "main", "two", "three" }, Reached(change));
        // What it takes to reckon them is there, and nothing else.
        Assert.Equal([readers[0], readers[1], readers[3]], change.After.Skip(1));
        Assert.Equal([readers[0], readers[1], readers[3]], change.Before.Skip(1));
    }

    [Theory]
    [InlineData("@property --a { syntax: '*'; inherits: false }")]
    [InlineData("@import 'other.css';")]
    [InlineData("@container (width > 1px) { p { color: red } }")]
    public void Everything_is_reached_where_a_sheet_bears_on_others(string css)
    {
        var known = Sheet(css);
        Assert.Equal(Page.All.Count, SheetChange.Of([known], [known, Sheet(".unheard-of { color: red }")]).Reached(Page).Count);
    }

    [Fact]
    public void Everything_is_reached_where_sheets_change_places()
    {
        var (one, other) = (Sheet("p { color: red }"), Sheet("p { color: teal }"));
        Assert.Equal(Page.All.Count, SheetChange.Of([one, other], [other, one]).Reached(Page).Count);
    }

    /// <summary>Which layer comes first is decided by the sheet that names it first.</summary>
    [Fact]
    public void Layers_stay_in_their_order()
    {
        StyleSheet[] layered = [Sheet("@layer base, looks;"), Sheet("@layer looks { p { color: red } }"), Sheet("@layer own { .note { color: red } }")];
        var change = SheetChange.Of([.. layered], [.. layered, Sheet("@layer own { .note { color: teal } }")]);
        Assert.Equal([layered[0], layered[2]], change.Before.ToArray());
        Assert.Equal(With("three"), Reached(change));
    }

    private static StyleSheet Sheet(string css) => StyleSheet.Parse(css, "beds");

    /// <summary>What carries declarations of its own is always looked at.</summary>
    private static string[] With(string ids) => [.. ids.Split(' ', StringSplitOptions.RemoveEmptyEntries).Append("two").Distinct().OrderBy(id => id == "three")];

    private static IEnumerable<string> Reached(SheetChange change) => change.Reached(Page).Select(e => e.Id.Length > 0 ? e.Id : e.Name);
}
