using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>
/// The palette in the real interface: colours out of a pasted list and a picture, computed from others, with steps given by hand, in groups and in an order; roles and schemes, turned and
/// side by side; pairs at their places, mended one by one and all at once.
/// </summary>
public sealed class PaletteTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task A_pasted_list_comes_in_with_one_edit()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Browser.Named("button", "Paste a list").Click();
        Browser.Element(".found-colors textarea").SendKeys("#5f7a3a moss\nmargin: 0\n8a2846, gold");
        Browser.Until(() => Status().StartsWith("3 colours found, 2 ticked. 1 line holds none.", StringComparison.Ordinal), "the list to be read");
        Assert.Equal("Line 2 margin: 0", Browser.Element(".found-colors .unread").Text.ReplaceLineEndings(" "));
        Browser.Named("button", "Add 2 colours").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".color-row")).Count == 9, "the colours");
        Browser.Until(() => Browser.Element(".color-row[aria-pressed=true]").Text.StartsWith("moss", StringComparison.Ordinal), "the first of them to be chosen");
        Assert.Equal(1, (await workplace.Server.SiteAsync()).Version());
        Browser.Starting("button", "Undo").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".color-row")).Count == 7, "the colours to go");
    }

    [Fact]
    public void A_picture_gives_its_colours_and_what_is_none_is_refused()
    {
        var folder = Directory.CreateTempSubdirectory("pictures");
        try
        {
            var logo = Path.Combine(folder.FullName, "logo.svg");
            File.WriteAllText(logo, "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><rect width='10' height='7' fill='#224466'/><rect y='7' width='10' height='3' fill='#8a2846'/></svg>");
            var text = Path.Combine(folder.FullName, "text.png");
            File.WriteAllText(text, "no picture");
            Browser.Open(workplace.At("/sites/pellwyn/palette"));
            Browser.Named("button", "From a picture").Click();
            Browser.Element(".found-colors input[type=file]").SendKeys(text);
            Browser.Until(() => Browser.Element(".found-colors").Text.Contains("This is no picture that can be read", StringComparison.Ordinal), "the refusal");
            Browser.Element(".found-colors input[type=file]").SendKeys(logo);
            // The palette has beet already.
            Browser.Until(() => Status() == "2 colours found, 1 ticked.", "the colours");
            Assert.Equal(["fill · 70 %", "fill · 30 % · as beet"], Browser.Driver.FindElements(By.CssSelector(".found-colors li > .quiet")).Select(e => e.Text));
            // A point of the picture beside them.
            Browser.Until(() => Browser.Run<bool>("return document.querySelector('.picture-preview')?.complete === true && document.querySelector('.picture-preview').naturalWidth > 0"), "the picture");
            Browser.Element(".picture-preview").Click();
            Browser.Until(() => Status() == "3 colours found, 2 ticked.", "the point");
            Browser.Run<object?>("document.querySelector('.found-colors li input').click()");
            Browser.Named("button", "Add 1 colour").Click();
            Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".color-row")).Any(r => r.Text.Contains("#224466", StringComparison.Ordinal)), "the colour");
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }

    [Fact]
    public void What_is_clicked_on_the_stage_gives_its_colours()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Browser.Named("button", "From the stage").Click();
        Browser.Element("[aria-label='Colours of the stage']");
        Browser.OnStage("stage.querySelector('.button-filled').click()");
        Browser.Until(() => Status().StartsWith("2 colours found", StringComparison.Ordinal) || Status().StartsWith("3 colours found", StringComparison.Ordinal), "its colours");
        Assert.Equal(["rgb(255, 253, 248)", "rgb(138, 40, 70)"], Browser.Driver.FindElements(By.CssSelector(".found-colors li code")).Select(e => e.Text).Take(2));
        // Both are in the palette already.
        Assert.Contains("as chalk", Browser.Element(".found-colors ul").Text, StringComparison.Ordinal);
        Browser.OnStage("stage.querySelector('.card').click()");
        Browser.Until(() => Browser.Element(".found-colors ul").Text.Contains("line", StringComparison.Ordinal), "the colours of another");
    }

    [Fact]
    public async Task A_colour_is_mixed_moved_and_given_again()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=rain"));
        Browser.Named("label", "Mixed").Click();
        await UntilColorAsync("rain", c => c["computed"]?["other"]?.GetValue<string>() == "beet");
        // It looks the same until the other is let in.
        Assert.Equal("#3d6b86", (await ColorAsync("rain"))["hex"]!.GetValue<string>());
        var share = Browser.Element("input[aria-label='Share of beet']");
        share.SendKeys(string.Concat(Enumerable.Repeat(Keys.ArrowRight, 3)));
        await UntilColorAsync("rain", c => c["css"]!.GetValue<string>() == "mix #3d6b86, beet 3%");
        var mixed = (await ColorAsync("rain"))["hex"]!.GetValue<string>();
        Browser.Until(() => Browser.OnStage("stage.defaultView.getComputedStyle(stage.documentElement).getPropertyValue('--color-rain')").StartsWith("color-mix(", StringComparison.Ordinal), "the mix on stage");
        // It follows what it is mixed from, on stage and in the list.
        await workplace.Server.EditAsync((await workplace.Server.SiteAsync()).Version(), new { kind = "setThing", of = "color", id = "beet", field = "color", text = "lime" }, window: "other").OkAsync();
        await UntilColorAsync("rain", c => c["hex"]!.GetValue<string>() != mixed);
        Browser.Named("label", "Moved").Click();
        await UntilColorAsync("rain", c => c["css"]!.GetValue<string>() == "move #3d6b86");
        Browser.Element("input[aria-label='Hue moved']").SendKeys(Keys.ArrowRight);
        await UntilColorAsync("rain", c => c["css"]!.GetValue<string>() == "move #3d6b86, hue +1");
        Browser.Named("label", "Given").Click();
        await UntilColorAsync("rain", c => c["computed"] is null);
        Browser.Starting("button", "Hue of rain").SendKeys(Keys.Enter);
        Browser.Press("200 + 20" + Keys.Enter);
        await UntilColorAsync("rain", c => Math.Abs(c["hue"]!.GetValue<double>() - 220) < 0.2);
    }

    [Fact]
    public async Task A_step_is_given_by_hand_and_let_go()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=leaf"));
        Browser.Starting("button", "tint 2: ").Click();
        Browser.Starting("button", "leaf tint 2: ").SendKeys(Keys.Enter);
        Browser.Press("#00ff88" + Keys.Enter);
        await UntilColorAsync("leaf", c => c["givenSteps"]!["2"]?.GetValue<string>() == "#00ff88");
        Browser.Until(() => Browser.OnStage("stage.defaultView.getComputedStyle(stage.documentElement).getPropertyValue('--color-leaf-tint-2')") == "#00ff88", "the step on stage");
        Browser.Until(() => Browser.Starting("button", "leaf tint 2: ").GetAttribute("aria-label")!.Contains("given by hand", StringComparison.Ordinal), "the mark");
        Browser.Starting("button", "leaf tint 2: ").SendKeys(Keys.Delete);
        await UntilColorAsync("leaf", c => c["givenSteps"]!.AsObject().Count == 0);
    }

    [Fact]
    public async Task Colours_are_grouped_ordered_by_key_searched_and_folded()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=beet"));
        var group = Browser.Element(".color-fields .text-field:nth-of-type(4) input");
        group.SendKeys("Garden" + Keys.Enter);
        Browser.Until(() => Heads() == "Garden 1|In no group 6", "the groups");
        // Down out of its group into the next.
        Browser.Element(".color-row[aria-pressed=true]").SendKeys(Keys.Alt + Keys.ArrowDown);
        Browser.Until(() => Names() == "beet leaf pollen husk soil rain chalk" && Heads() == "", "beet in no group");
        Browser.Element(".color-row[aria-pressed=true]").SendKeys(Keys.Alt + Keys.ArrowDown);
        Browser.Until(() => Names() == "leaf beet pollen husk soil rain chalk", "beet below leaf");
        Assert.Equal("leaf", (await workplace.Server.SiteAsync())["site"]!["colors"]![0]!["id"]!.GetValue<string>());
        // Dragged to the top again.
        Browser.Run<object?>("""
            const [from, to] = [...document.querySelectorAll('.color-row')].slice(1, 3).map((e, i, all) => all[i]);
            const data = new DataTransfer();
            const send = (on, what) => on.dispatchEvent(new DragEvent(what, { bubbles: true, cancelable: true, dataTransfer: data }));
            const last = [...document.querySelectorAll('.color-row')].at(-1), first = document.querySelector('.color-row');
            send(last, 'dragstart'); send(first, 'dragover'); send(first, 'drop');
            """);
        Browser.Until(() => Names() == "chalk leaf beet pollen husk soil rain", "chalk at the top");
        var search = Browser.Element(".color-search input");
        search.SendKeys("so");
        Browser.Until(() => Names() == "soil", "the search");
        search.SendKeys(Keys.Escape);
        Browser.Until(() => Names().StartsWith("chalk leaf", StringComparison.Ordinal), "all of them");

        string Names() => Browser.Run<string>("return [...document.querySelectorAll('.color-row .color-name')].map(e => e.title).join(' ')");
        string Heads() => Browser.Run<string>("return [...document.querySelectorAll('.group-head')].map(e => e.textContent).join('|')");
    }

    [Fact]
    public async Task A_scheme_is_turned_and_seen_beside_the_other_and_roles_come_and_go()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette?view=schemes&scheme=day"));
        Browser.Named("button", "Turn").Click();
        Browser.Until(() => Browser.Element("[aria-label='Roles in Day turned']") is not null, "the turned scheme");
        Browser.Named("input", "Scheme beside it on the stage").Click();
        Browser.Press(Keys.ArrowDown + Keys.Enter);
        Browser.Until(() => Grounds().Distinct().Count() == 2, "both schemes on the stage");
        Browser.Named("button", "Add a role").Click();
        Browser.Until(() => Browser.Run<string>("return document.activeElement.getAttribute('aria-label') ?? ''") == "Name of the role", "the name");
        Browser.Press("note" + Keys.Enter);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector("[aria-label='role note']")).Count == 1, "its editor");
        Browser.Starting("button", "Contrast of note").SendKeys(Keys.Enter);
        Browser.Press("text AAA" + Keys.Enter);
        await UntilRoleAsync("note", "target", "7");
        Browser.Starting("button", "Move note up").Click();
        Browser.Until(() => Browser.Run<string>("return [...document.querySelectorAll('.roles tbody th')].at(-2).textContent") == "note", "the order");
        Browser.Named("button", "Remove note").Click();
        Browser.Until(() => !Browser.Run<string>("return document.querySelector('.roles').textContent").Contains("note", StringComparison.Ordinal), "it to go");

        string[] Grounds() => Browser.Run<string>("return [...document.querySelectorAll('.stage iframe')].map(f => f.contentDocument.body && f.contentWindow.getComputedStyle(f.contentDocument.body).backgroundColor).join(';')").Split(';');
    }

    /// <summary>What the designer wrote is counted, and the pair leads to where it stands.</summary>
    [Fact]
    public async Task A_pair_that_a_line_of_the_overrides_decides_leads_there()
    {
        await workplace.Server.EditAsync(0, new { kind = "setOverrides", css = ".nothing { top: 0 }\n\n.button-filled { color: #8a2846 }" }).OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/palette?view=pairs"));
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".pair-row")).Count > 0, "the pairs");
        Assert.StartsWith("#8a2846 on beet", Browser.Element(".pair-name").GetAttribute("title")!, StringComparison.Ordinal);
        Browser.Element(".pair-row").Click();
        Browser.Driver.FindElement(By.LinkText("overrides, line 3")).Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".cm-focused .cm-activeLine")).Any(l => l.Text.StartsWith(".button-filled", StringComparison.Ordinal)), "the line");
        Assert.DoesNotContain("line=", Browser.Driver.Url, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Pairs_are_mended_one_by_one_and_all_at_once_until_axe_finds_nothing()
    {
        var cancel = TestContext.Current.CancellationToken;
        // Without the demo's own overrides; and with a text of day turned too pale.
        foreach (var edit in new object[] { new { kind = "setOverrides", css = "" }, new { kind = "setThing", of = "scheme", id = "day", field = "colors/quiet-text", text = "soil tint 4" } })
            await workplace.Server.EditAsync((await workplace.Server.SiteAsync()).Version(), edit, window: "other").OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/palette?view=pairs"));
        Browser.Until(() => Failing() > 1, "the failing pairs");
        var before = Failing();
        Browser.Element(".pair-row").Click();
        Browser.Element(".pair-place").Click();
        Browser.Until(() => Browser.Driver.Url.Contains("selected=", StringComparison.Ordinal) && Browser.Driver.FindElements(By.CssSelector(".selection")).Count > 0, "the place on stage");
        Browser.Starting("button", "Mend ").Click();
        var first = Browser.Element(".mend");
        first.SendKeys("");
        Browser.Until(() => State() == "Being tried, not saved", "the mend to be tried");
        first.SendKeys(Keys.Enter);
        Browser.Until(() => Failing() < before && Browser.Element(".status-line").Text.Contains("mends ", StringComparison.Ordinal), "the pair to be mended");
        Browser.Named("button", "Mend all").Click();
        Browser.Until(() => Browser.Element(".mend-all").Text.Contains("mended as the stage shows", StringComparison.Ordinal), "what would be mended");
        Browser.Named("button", "Take").Click();
        Browser.Until(() => Failing() == 0, "all to be mended");
        await using var released = await Released.UnpackAsync(await workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", cancel));
        foreach (var scheme in new[] { "light", "dark" })
        {
            Browser.Prefer(scheme);
            foreach (var file in Directory.GetFiles(released.Folder, "*.html"))
            {
                Browser.Driver.Navigate().GoToUrl(new Uri(released.Address, Path.GetFileName(file)));
                Assert.DoesNotContain(Styles.Violations(Browser), v => v.StartsWith("color-contrast", StringComparison.Ordinal));
            }
        }

        long Failing() => Browser.Run<long>("return Number(document.querySelectorAll('.ant-segmented-item')[4]?.textContent.replace('Failing ', '') ?? -1)");
        string State() => Browser.Run<string>("return document.querySelector('.save-state')?.textContent ?? ''");
    }

    [Fact]
    public async Task Two_that_are_alike_become_one_and_uses_lead_to_their_places()
    {
        await workplace.Server.EditAsync(0, new { kind = "addColors", colors = new[] { new { id = "beetle", name = "beetle", color = "#8b2947" } } }, window: "other").OkAsync();
        await workplace.Server.EditAsync(1, new { kind = "setOverrides", css = ".middle { color: var(--color-beetle-tint-1) }" }, window: "other").OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/palette?color=beetle"));
        Browser.Named("input", "Which colours").Click();
        Browser.Press(string.Concat(Enumerable.Repeat(Keys.ArrowDown, 3)) + Keys.Enter);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".alike li")).Count == 1, "the group");
        Browser.Named("button", "Merge").Click();
        Browser.Until(() => Browser.Element(".merge").Text.Contains("reaches ", StringComparison.Ordinal), "its reach");
        Browser.Named("button", "Merge into beet").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".alike li")).Count == 0, "the two to be one");
        var site = (await workplace.Server.SiteAsync())["site"]!;
        Assert.DoesNotContain(site["colors"]!.AsArray(), c => c!["id"]!.GetValue<string>() == "beetle");
        Assert.Contains("var(--color-beet-tint-1)", site["overrides"]!["css"]!.GetValue<string>(), StringComparison.Ordinal);
        Browser.Starting("button", "Uses of beet").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).Any(i => i.Text == "Overrides"), "the uses");
        Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).First(i => i.Text == "Overrides").Click();
        Browser.Until(() => Browser.Driver.Url.Contains("/overrides", StringComparison.Ordinal), "the overrides");
    }

    private async Task<System.Text.Json.Nodes.JsonNode> ColorAsync(string id) =>
        (await workplace.Server.SiteAsync())["site"]!["colors"]!.AsArray().First(c => c!["id"]!.GetValue<string>() == id)!;

    private async Task UntilColorAsync(string id, Func<System.Text.Json.Nodes.JsonNode, bool> holds)
    {
        for (var tries = 0; tries < 100 && !holds(await ColorAsync(id)); tries++) await Task.Delay(50, TestContext.Current.CancellationToken);
        Assert.True(holds(await ColorAsync(id)), (await ColorAsync(id)).ToJsonString());
    }

    private async Task UntilRoleAsync(string name, string field, string text)
    {
        for (var tries = 0; tries < 100 && await ReadAsync() != text; tries++) await Task.Delay(50, TestContext.Current.CancellationToken);
        Assert.Equal(text, await ReadAsync());

        async Task<string?> ReadAsync() => (await workplace.Server.SiteAsync())["site"]!["things"]!["role"]!.AsArray().FirstOrDefault(r => r!["name"]!.GetValue<string>() == name)?["fields"]!.AsArray()
            .First(f => f!["id"]!.GetValue<string>() == field)!["text"]!.GetValue<string>();
    }

    private string Status() => Browser.Run<string>("return document.querySelector('.found-colors [role=status]')?.textContent ?? ''");
}
