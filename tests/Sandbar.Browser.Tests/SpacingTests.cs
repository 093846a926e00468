using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Space;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Space as Chromium lays it out: between every pair of text elements, on the paper, by the direction of writing, and fluid between two widths.</summary>
public sealed class SpacingTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    private const int Width = 1280;

    /// <summary>The looks of every part that says space of its own, and a button, which says none.</summary>
    private static IEnumerable<Look> Elements => Demo.Site.Looks.Where(l => PartCatalogue.Get(l.Part).Property("space-before") is not null).Append(Demo.Site.Looks.Get("button-plain"));

    [Theory]
    [InlineData("the larger counts")]
    [InlineData("the one above counts")]
    [InlineData("the one below counts")]
    [InlineData("both add to the gap")]
    public void Between_every_pair_there_is_what_the_rule_says(string meeting)
    {
        var looks = Elements.ToList();
        var pairs = (from above in looks from below in looks select (above, below)).ToList();
        var site = Demo.Site.After(new SetThing("spaceRules", "rules", "meeting", meeting));
        // Each pair is a stack of its own: a group, and for some a section.
        site = site.WithSections(Shown.Block("all", "section", "section-standard", [],
            [.. pairs.Select((p, i) => Shown.Block($"pair-{i}", "group", "group-stack", [], Sample(p.above, $"a-{i}"), Sample(p.below, $"b-{i}")))]));
        browser.Show(site);
        var measured = browser.Json("""
            return [...document.querySelectorAll('[data-block^="pair-"]')].map(stack => {
              const [a, b] = [...stack.children].map(e => e.getBoundingClientRect());
              return b.top - a.bottom;
            })
            """).EnumerateArray().Select(d => d.GetDouble()).ToList();
        Assert.Equal(pairs.Count, measured.Count);
        var gap = Px(site, site.Looks.Get("group-stack").Cells["gap"]);
        foreach (var ((above, below), distance) in pairs.Zip(measured))
        {
            var (after, before) = (Space(site, above, "space-after"), Space(site, below, "space-before"));
            var expected = meeting switch
            {
                "the larger counts" => Math.Max(after ?? gap, before ?? gap),
                "the one above counts" => after ?? gap,
                "the one below counts" => before ?? gap,
                _ => gap + (after ?? 0) + (before ?? 0),
            };
            Assert.True(Math.Abs(distance - expected) < 0.05, $"{above.Name} above {below.Name}: {distance}, not {expected}");
        }
    }

    /// <summary>Side by side the gap counts alone, and what stands first has nothing before it, however deep it stands.</summary>
    [Fact]
    public void Rows_keep_their_gap_and_stacks_begin_without_a_margin()
    {
        var heading = Demo.Site.Looks.First(l => l.Part == "heading-2");
        var site = Demo.Site.WithSections(Shown.Block("s", "section", "section-standard", [],
            Shown.Block("row", "group", "group-in-line", [], Sample(heading, "h-1"), Sample(heading, "h-2")),
            Shown.Block("stack", "group", "group-stack", [], Sample(heading, "h-3"), Shown.Block("inner", "group", "group-stack", [], Sample(heading, "h-4")))));
        browser.Show(site);
        Assert.Equal(["0px", "0px", "0px", "0px"], browser.Json("return ['h-1', 'h-2', 'h-3', 'h-4'].map(id => getComputedStyle(document.querySelector(`[data-block=${id}]`)).marginTop)").EnumerateArray().Select(m => m.GetString()!));
        Assert.Equal(Px(site, site.Looks.Get("group-in-line").Cells["gap"]), browser.Json("const [a, b] = ['h-1', 'h-2'].map(id => document.querySelector(`[data-block=${id}]`).getBoundingClientRect()); return b.left - a.right").GetDouble(), 0.05);
        // The one within is a stack itself: before it there is what the heading above it says, or the gap, whichever is more.
        Assert.Equal(Math.Max(Space(site, heading, "space-after") ?? 0, Px(site, site.Looks.Get("group-stack").Cells["gap"])),
            browser.Json("const [a, b] = ['h-3', 'inner'].map(id => document.querySelector(`[data-block=${id}]`).getBoundingClientRect()); return b.top - a.bottom").GetDouble(), 0.05);
    }

    [Fact]
    public void The_paper_lies_on_its_ground_and_the_sidebar_folds_under()
    {
        var site = Demo.Site;
        foreach (var (field, text) in new[] { ("width", "900px"), ("around", "ground shade 1"), ("fill", "raised"), ("border", "2px solid attention"), ("radius", "10px"), ("shadow", "lift"), ("margin", "space 5"), ("sidebar", "left"), ("sidebar-width", "240px"), ("sidebar-gap", "20px") })
            site = site.After(new SetThing("paper", "paper", field, text));
        browser.Resize(Width, 800);
        browser.Show(site);
        var wide = browser.Json("""
            const box = s => { const r = document.querySelector(s).getBoundingClientRect(); return [r.left, r.top, r.width].map(n => Math.round(n * 10) / 10); };
            const style = (s, p) => getComputedStyle(document.querySelector(s)).getPropertyValue(p);
            return { paper: box('.paper'), main: box('.paper > main'), side: box('.paper > .sidebar'), around: style('body', 'background-color'), fill: style('.paper', 'background-color'), line: style('.paper', 'border-left-width'), shadow: style('.paper', 'box-shadow') !== 'none' }
            """);
        static double[] Box(System.Text.Json.JsonElement of, string name) => [.. of.GetProperty(name).EnumerateArray().Select(n => n.GetDouble())];
        Assert.Equal([190, 32, 900], Box(wide, "paper"));
        // 900 less two lines, the column and the gap.
        Assert.Equal((192.0, 240.0), (Box(wide, "side")[0], Box(wide, "side")[2]));
        Assert.Equal((452.0, 636.0), (Box(wide, "main")[0], Box(wide, "main")[2]));
        Assert.Equal("2px", wide.GetProperty("line").GetString());
        Assert.True(wide.GetProperty("shadow").GetBoolean());
        Assert.NotEqual(wide.GetProperty("around").GetString(), wide.GetProperty("fill").GetString());
        browser.Resize(819, 800);
        var narrow = browser.Json("""
            const box = s => document.querySelector(s).getBoundingClientRect();
            return [box('.paper').width, box('.paper > .sidebar').top - box('.paper > main').bottom, box('.paper > .sidebar').width]
            """).EnumerateArray().Select(n => n.GetDouble()).ToArray();
        Assert.Equal([819, 20, 815], narrow.Select(n => Math.Round(n, 1)));
        browser.Resize(Width, 800);
        // On the other side, and none.
        browser.Show(site.After(new SetThing("paper", "paper", "sidebar", "right")));
        Assert.True(browser.Run<bool>("return document.querySelector('.sidebar').getBoundingClientRect().left > document.querySelector('main').getBoundingClientRect().right"));
        browser.Show(site.After(new SetThing("paper", "paper", "sidebar", "none")));
        Assert.True(browser.Run<bool>("return document.querySelector('.sidebar') === null && document.querySelector('main').getBoundingClientRect().width === 896"));
    }

    [Fact]
    public void Sides_are_where_they_are_or_where_writing_begins()
    {
        var site = Demo.Site.After(new SetCell("section-standard", "padding", State.Rest, null, null, "1px 2px 3px 4px")).After(new SetCell("card-standard", "radius", State.Rest, null, null, "1px 2px 3px 4px"))
            .After(new SetCell("card-standard", "border", State.Rest, null, null, "1px solid text, 2px dashed text, 3px dotted text, none"));
        const string read = """
            document.documentElement.dir = arguments[0];
            const s = getComputedStyle(document.querySelector('.section-standard')), c = getComputedStyle(document.querySelector('.card-standard'));
            return [s.paddingTop, s.paddingRight, s.paddingBottom, s.paddingLeft, c.borderTopLeftRadius, c.borderTopRightRadius, c.borderBottomRightRadius, c.borderBottomLeftRadius, c.borderTopWidth, c.borderRightStyle, c.borderBottomWidth, c.borderLeftStyle].join(' ')
            """;
        browser.Show(site);
        Assert.All(new[] { "ltr", "rtl" }, dir => Assert.Equal("1px 2px 3px 4px 1px 2px 3px 4px 1px dashed 3px none", browser.Run<string>(read, dir)));
        browser.Show(site.After(new SetThing("spaceRules", "rules", "sides", "by direction of writing")));
        Assert.Equal("1px 2px 3px 4px 1px 2px 3px 4px 1px dashed 3px none", browser.Run<string>(read, "ltr"));
        Assert.Equal("1px 4px 3px 2px 2px 1px 4px 3px 1px none 3px dashed", browser.Run<string>(read, "rtl"));
    }

    [Fact]
    public void Fluid_spaces_and_measures_of_the_page_are_what_is_said_at_every_width()
    {
        var site = Demo.Site.After(new SetThing("space", "space-4", "wide", "48")).After(new SetThing("pageSpacing", "middle", "rhythm", "70px")).After(new SetThing("pageSpacing", "wide", "gutter", "5vw"));
        foreach (var width in new[] { 360, 390, 599, 600, 700, 820, 1000, 1280, 1600 })
        {
            browser.Resize(width, 800);
            browser.Show(site);
            var padding = browser.Json("const s = getComputedStyle(document.querySelector('.section-raised')); return [s.paddingTop, s.paddingLeft].map(parseFloat)").EnumerateArray().Select(p => p.GetDouble()).ToArray();
            Assert.Equal(width >= 600 ? 70 : 56, padding[0], 0.01);
            Assert.Equal(width >= 820 ? width * 0.05 : SpaceScales.At(site, site.Space.Steps.Get("space-4"), width)!.Value, padding[1], 0.02);
        }
        browser.Resize(Width, 800);
    }

    private static Block Sample(Look look, string id) => Shown.Block(id, look.Part, look.Id,
        [.. PartCatalogue.Get(look.Part).Slots.Where(s => s.Kind != SlotKind.Picture).Select(s => (s.Id, s.Sample)).Where(s => s.Sample.Length > 0), .. PartCatalogue.Get(look.Part).Slots.Where(s => s.Kind == SlotKind.Picture).Select(s => (s.Id, "bean"))]);

    private static double? Space(Site site, Look look, string property) => look.Cells.TryGetValue(property, out var value) ? Px(site, value) : null;

    private static double Px(Site site, Value value) => Lengths.At(site, value, Width)!.Value;
}
