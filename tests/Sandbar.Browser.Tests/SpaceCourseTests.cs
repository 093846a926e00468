using System.Globalization;
using OpenQA.Selenium;
using Sandbar.Core.Design;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Store;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>The rhythm, the edges and the motion of the demo site set once, through the windows: the stage follows, and the release says the same.</summary>
public sealed class SpaceCourseTests : CourseTest
{
    [Fact]
    public async Task The_rhythm_of_a_site_is_set_once()
    {
        Open("space");
        Type("Sizes of Spacing scale", "by base and ratio");
        Type("Ratio of Narrow end", "perfect fourth");
        Type("Ratio of Wide end", "1.75");
        Assert.Contains("--space-4: clamp(1.333rem, ", await StyleSheetAsync(), StringComparison.Ordinal);
        Assert.Equal("28px", Browser.StageStyle(".site-header", "padding-left"));
        Type("Sizes of Spacing scale", "one by one");
        Type("Size of space 1", "5px");
        Assert.Contains("--space-1: ", await StyleSheetAsync(), StringComparison.Ordinal);

        Open("space?view=text&page=guide");
        Type("Space before Heading 2 · Standard", "60px");
        Type("Space after Heading 2 · Standard", "3px");
        Type("Space before Paragraph · Standard", "7px");
        const string between = "(() => { const h = stage.querySelector('.group > .heading-2 + .paragraph'); return Math.round(h.getBoundingClientRect().top - h.previousElementSibling.getBoundingClientRect().bottom) })()";
        Browser.Until(() => Browser.OnStage(between) == "7", "the larger of the two");
        Type("Where two meet of Rules of spaces", "the one above counts");
        Browser.Until(() => Browser.OnStage(between) == "3", "the one above");

        Open("space?view=page");
        Type("Section rhythm of From 820", "120px");
        Browser.Until(() => Browser.StageStyle(".section-raised", "padding-top") == "120px", "the rhythm on the stage");
        Type("Content width of Below 600", "900px");
        Assert.Contains("--page-content-width: 900px;", await StyleSheetAsync(), StringComparison.Ordinal);

        Open("space?view=paper");
        Type("Width of Paper", "1000px");
        Type("Ground around it of Paper", "ground shade 2");
        Type("Border of Paper", "2px solid line");
        Type("Radius of Paper", "round round 0 0");
        Type("Sidebar of Paper", "right");
        Browser.Until(() => Browser.OnStage("stage.querySelector('.sidebar')?.getBoundingClientRect().width ?? 0") == "280", "room for the sidebar");
        Assert.Equal("1000", Browser.OnStage("stage.querySelector('.paper').getBoundingClientRect().width"));
        Assert.Equal("0px", Browser.StageStyle(".paper", "border-bottom-left-radius"));
        Assert.Empty(Styles.Violations(Browser));
        Browser.PressWithControl("z");
        Settled(++Version);
        Browser.Until(() => Browser.OnStage("stage.querySelector('.sidebar') === null") == "true", "the sidebar to go with undo");
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task Boxes_get_their_edges_from_presets_side_by_side_and_by_hand()
    {
        Open("parts?part=card");
        Browser.Named("button", "Border: each side").Click();
        Type("Border left in Rest", "2px dashed action");
        Browser.Until(() => Browser.StageStyle(".card-standard", "border-left-style") == "dashed" && Browser.StageStyle(".card-standard", "border-right-style") == "solid", "one side alone");
        Type("Radius in Rest", "14px");
        // What equals a preset says so, and becomes it.
        Browser.Named("button", "Radius in Rest: use it").Click();
        Settled(++Version);
        Assert.Contains("border-radius: var(--radius-round);", await StyleSheetAsync(), StringComparison.Ordinal);
        // What is squashed says so in its cell, with its mend.
        Type("Padding in Rest", "3px");
        Browser.Named("button", "Padding in Rest: make it space 2 space 3").Click();
        Settled(++Version);
        Assert.Equal("8px 16px", Browser.StageStyle(".card-standard .card-body", "padding"));
        Type("Shadow takes in Rest", "calm, ease-out");
        Assert.Contains("transition: box-shadow var(--duration-calm) ease-out;", await StyleSheetAsync(), StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));

        // A band of padding on the stage is dragged to a space of the scale.
        Browser.OnStage("stage.querySelector('.card-standard').click() ?? ''");
        // The band moves under the hand: places are counted from what stays.
        const string upright = "[...document.querySelectorAll('.band.padding')].find(b => b.offsetHeight > b.offsetWidth)";
        Browser.Until(() => Browser.Run<bool>($"return {upright} !== undefined"), "the bands of the card");
        var band = Browser.Run<IWebElement>($"return {upright}");
        var outline = Browser.Element(".selection-outline");
        var (x, y) = FromMiddle(band, outline);
        Browser.Mouse("mousePressed", outline, x, y);
        foreach (var step in new[] { 2, 3, 4 }) Browser.Mouse("mouseMoved", outline, x - step, y);
        Browser.Until(() => Browser.StageStyle(".card-standard .card-body", "padding-right") == "24px", "the stage to follow the hand");
        Browser.Mouse("mouseReleased", outline, x - 4, y);
        Settled(++Version);
        Assert.Equal("8px 24px 8px 16px", Browser.StageStyle(".card-standard .card-body", "padding"));

        // A corner and a shadow are drawn large and dragged.
        Open("edges?view=radii&radius=round");
        Drag(".radius-box .drawn-handle", 18, 18);
        Browser.Until(() => Browser.StageStyle(".card-standard", "border-top-left-radius") == "20px", "the corner on the stage");
        Open("edges?view=shadows");
        Drag(".shadow-box .drawn-handle", 10, 4);
        Assert.Contains("--shadow-lift: 10px 10px 18px -4px ", await StyleSheetAsync(), StringComparison.Ordinal);
        Browser.Element("input[aria-label='Height of lift']").SendKeys(Keys.ArrowRight);
        Settled(++Version);
        Assert.Contains("--shadow-lift: 0 1px 2px 0 ", await StyleSheetAsync(), StringComparison.Ordinal);

        Open("edges?view=easings");
        Drag(".easing-square .drawn-handle", 30, -30);
        Assert.Contains("--easing-gentle: cubic-bezier(0.45, 0.25, 0, 1);", await StyleSheetAsync(), StringComparison.Ordinal);
        Open("edges?view=worn");
        Browser.Until(() => Browser.Run<string>("return document.querySelector('table.worn tbody tr')?.textContent ?? ''").StartsWith("Home1280", StringComparison.Ordinal), "how much wears a border");
        Assert.Empty(Styles.Violations(Browser));
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public void Motion_is_played_on_request_and_stops_for_the_hand()
    {
        Open("parts?part=card-row");
        Type("Entrance in Rest", "rise");
        Type("Stagger in Rest", "90ms");
        Assert.Equal("0", Browser.OnStage("stage.getAnimations().length"));
        Browser.Named("button", "Play motion").Click();
        Browser.Until(() => int.Parse(Browser.OnStage("stage.getAnimations().length"), CultureInfo.InvariantCulture) >= 2, "the cards to come in");
        Browser.Starting("button", "Gap in Rest").Click();
        Browser.Press("40px");
        Browser.Until(() => Browser.OnStage("stage.documentElement.hasAttribute('data-play')") == "false", "it to stop while something is tried");
        Browser.Press(Keys.Escape);
        Assert.Empty(Browser.Errors());
    }

    /// <summary>Whatever the rule of the site makes count between two elements: the stage follows the hand by as much as it moves, but for the 2 px at which a space of the scale takes it.</summary>
    [Fact]
    public async Task Bands_between_elements_set_what_counts()
    {
        const string second = "stage.querySelector('.group > .heading-2 + .paragraph')";
        await EditAsync(new { kind = "setCell", look = "heading-2-standard", property = "space-after", state = "rest", from = (int?)null, below = (int?)null, text = "21px" });
        await EditAsync(new { kind = "setCell", look = "paragraph-standard", property = "space-before", state = "rest", from = (int?)null, below = (int?)null, text = "11px" });
        foreach (var meeting in new[] { "sum", "larger", "above", "below" })
        {
            await EditAsync(new { kind = "setThing", of = "spaceRules", id = "rules", field = "meeting", text = meeting });
            Open("space?view=text&page=guide&scale=100");
            Browser.OnStage($"({second}.scrollIntoView({{ block: 'center' }}), {second}.click())");
            Browser.Settle();
            var margin = Margin();
            DragBand(".band.margin", 0, 9);
            Assert.Equal(margin + 9, Margin(), 2.1);
            Browser.PressWithControl("z");
            Settled(++Version);
            Assert.Equal(margin, Margin(), 0.1);
        }

        // A gap is dragged where the gap counts.
        await EditAsync(new { kind = "setThing", of = "spaceRules", id = "rules", field = "meeting", text = "sum" });
        Open("parts?part=group&page=guide&scale=100");
        Browser.OnStage($"({second}.parentElement.scrollIntoView({{ block: 'center' }}), {second}.parentElement.click())");
        Browser.Settle();
        var gap = Gap();
        DragBand(".band.gap", 0, 9);
        Assert.Equal(gap + 9, Gap(), 2.1);
        Assert.Empty(Browser.Errors());

        double Gap() => double.Parse(Browser.OnStage($"getComputedStyle({second}.parentElement.children[1]).marginTop.replace('px', '')"), CultureInfo.InvariantCulture);
        double Margin() => double.Parse(Browser.OnStage($"getComputedStyle({second}).marginTop.replace('px', '')"), CultureInfo.InvariantCulture);
    }

    /// <summary>What another window does is seen while a thing is open, also that it goes.</summary>
    [Fact]
    public async Task What_others_do_is_seen_in_an_open_editor()
    {
        Open("space");
        await EditAsync(new { kind = "setThing", of = "space", id = Demo.Site.Space.Steps[0].Id, field = "size", text = "7px" });
        Browser.Until(() => Browser.Starting("button", "Size of space 1:").GetAttribute("aria-label")!.Contains("7px", StringComparison.Ordinal), "the other window's space");
        foreach (var (kind, view, drawn) in new[] { ("radius", "radii", ".radius-box"), ("shadow", "shadows", ".shadow-box"), ("easing", "easings", ".easing-square"), ("duration", "durations", ".thing-editor"), ("border", "borders", ".thing-editor") })
        {
            await EditAsync(new { kind = "addThing", of = kind, id = "of-another", name = "Of another" });
            Open($"edges?view={view}&{kind}=of-another");
            Browser.Element(drawn);
            await EditAsync(new { kind = "removeThing", of = kind, id = "of-another" });
            Browser.Until(() => !Browser.Run<string>("return document.querySelector('.step-panel').textContent").Contains("Of another", StringComparison.Ordinal), $"the {kind} to be gone");
            Assert.Empty(Styles.Violations(Browser));
        }
        Assert.Empty(Browser.Errors());
    }

    /// <summary>A site without any named edge or pace: each view says so, and the first can be made.</summary>
    [Fact]
    public async Task Where_there_is_none_the_first_can_be_made()
    {
        var bare = Demo.Site with
        {
            Slug = "bare",
            Edges = new([], [], []),
            Motion = new([]),
            Looks = [.. Demo.Site.Looks.Select(l => l with { Cells = l.Cells.RemoveRange(l.Cells.Where(c => c.Value.References().Any(r => r.To is "border" or "radius" or "shadow" or "easing" or "duration")).Select(c => c.Key)) })],
        };
        var made = 0;
        await new SiteStore(Workplace.Server.Store).AddAsync(new(bare, PellwynSample.Create().Assets), DateTimeOffset.UnixEpoch, TestContext.Current.CancellationToken);
        foreach (var (view, kind) in new[] { ("borders", "border"), ("radii", "radius"), ("shadows", "shadow"), ("durations", "duration"), ("easings", "easing") })
        {
            Browser.Open(Workplace.At($"/sites/bare/edges?view={view}"));
            Assert.Equal($"There is no {kind} yet.", Browser.Element(".step-panel .empty").Text);
            Assert.Empty(Styles.Violations(Browser));
            Browser.Open(Workplace.At($"/sites/bare/edges?view={view}&{kind}=new"));
            Browser.Named("input", $"Name of the {kind}").SendKeys("First" + Keys.Enter);
            Settled(++made);
            Assert.Contains("First", Browser.Element(".step-panel").Text, StringComparison.Ordinal);
        }
        Assert.Empty(Browser.Errors());
    }

    /// <summary>Drags a band; its place is counted from what stays.</summary>
    private void DragBand(string band, int right, int down)
    {
        var stays = Browser.Element(".stage iframe");
        var (x, y) = FromMiddle(Browser.Element(band), stays);
        Browser.Mouse("mouseMoved", stays, x, y);
        Browser.Until(() => Browser.Run<bool>($"return document.querySelector('{band}').className.includes('draggable')"), "the band to be in hand");
        Browser.Mouse("mousePressed", stays, x, y);
        foreach (var part in new[] { 3, 2, 1 }) Browser.Mouse("mouseMoved", stays, x + right / part, y + down / part);
        Browser.Mouse("mouseReleased", stays, x + right, y + down);
        Settled(++Version);
    }

    private async Task EditAsync(object edit) => await Workplace.Server.EditAsync(Version++, edit, window: "elsewhere").OkAsync();

    private void Drag(string handle, int right, int down)
    {
        var (element, stays) = (Browser.Element(handle), Browser.Element(".drawing"));
        var (x, y) = FromMiddle(element, stays);
        Browser.Mouse("mousePressed", stays, x, y);
        foreach (var part in new[] { 2, 1 }) Browser.Mouse("mouseMoved", stays, x + right / part, y + down / part);
        Browser.Mouse("mouseReleased", stays, x + right, y + down);
        Settled(++Version);
    }

    /// <summary>Where the middle of an element is, seen from that of another.</summary>
    private static (int X, int Y) FromMiddle(IWebElement element, IWebElement other) =>
        (element.Location.X + element.Size.Width / 2 - other.Location.X - other.Size.Width / 2, element.Location.Y + element.Size.Height / 2 - other.Location.Y - other.Size.Height / 2);
}
