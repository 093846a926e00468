using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Two windows on one site: each follows the other, and finds its way back after the server was away.</summary>
public sealed class TwoWindowsTests : IAsyncLifetime
{
    private readonly Workplace workplace = new();

    private Sandbar.Tests.Browser Browser => workplace.Browser;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public ValueTask DisposeAsync() => workplace.DisposeAsync();

    [Fact]
    public async Task What_is_done_elsewhere_is_seen_here_and_can_be_worked_upon()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Assert.Equal("rgb(138, 40, 70)", Button());
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#336699"), window: "elsewhere").OkAsync();
        Browser.Until(() => Button() == "rgb(51, 102, 153)", "the other window's colour");
        await workplace.Server.EditAsync(1, new { kind = "setContent", block = "header", slot = "name", text = "Seeds" }, window: "elsewhere").OkAsync();
        Browser.Until(() => Browser.OnStage("stage.querySelector('.site-name').textContent.trim()") == "Seeds", "the other window's words");
        Browser.Settle();

        // What was done elsewhere is not this window's to undo; its own edit is.
        Assert.Equal("true", Browser.Named("button", "Undo").GetAttribute("aria-disabled"));
        Browser.Open(workplace.At("/sites/pellwyn/type?view=scale"));
        Browser.Starting("button", "Ratio of Wide end").Click();
        Browser.Press("1.3" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "3", "the edit on top");
        Assert.Equal(3, (await workplace.Server.SiteAsync()).Version());
    }

    /// <summary>Two write in one sheet: lines of their own are put together, and the same line is asked about, with what was typed still there.</summary>
    [Fact]
    public async Task What_two_write_in_one_sheet_is_put_together_or_asked_about()
    {
        await workplace.Server.EditAsync(0, Css("a { top: 0 }\n\n\nb { top: 0 }\n"), window: "elsewhere").OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        Browser.Element(".cm-content").Click();
        Browser.PressWithControl(Keys.End);
        Browser.Press("c { top: 0 }");
        await workplace.Server.EditAsync(1, Css("a { top: 1px }\n\n\nb { top: 0 }\n"), window: "elsewhere").OkAsync();
        Browser.Until(() => Sheet() == "a { top: 1px }\n\n\nb { top: 0 }\nc { top: 0 }", $"both, not {Sheet()}");
        Browser.Settle();
        Assert.Equal("a { top: 1px }\n\n\nb { top: 0 }\nc { top: 0 }", await StoredAsync());

        Browser.Press("/* mine */");
        await workplace.Server.EditAsync((await workplace.Server.SiteAsync()).Version(), Css("a { top: 1px }\n\n\nb { top: 0 }\nc { top: 2px }"), window: "elsewhere").OkAsync();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.step-panel').textContent").Contains("not stored yet", StringComparison.Ordinal), "the question");
        Assert.EndsWith("c { top: 0 }/* mine */", Sheet(), StringComparison.Ordinal);
        Browser.Named("button", "Keep mine").Click();
        Browser.Until(() => StoredAsync().GetAwaiter().GetResult().EndsWith("/* mine */", StringComparison.Ordinal), "what was kept");

        string Sheet() => Browser.Run<string>("return [...document.querySelectorAll('.cm-line')].map(l => l.textContent).join('\\n')");
        async Task<string> StoredAsync() => (await workplace.Server.SiteAsync())["site"]!["overrides"]!["css"]!.GetValue<string>();
        static object Css(string css) => new { kind = "setOverrides", css };
    }

    /// <summary>What is typed is kept from the first key: over a reload, over a server that is away, and over a step that is left while two lines clash.</summary>
    [Fact]
    public async Task What_is_typed_is_never_lost()
    {
        await workplace.Server.EditAsync(0, Css("a { top: 0 }\n"), window: "elsewhere").OkAsync();
        Browser.Open(workplace.At("/sites/pellwyn/overrides"));
        // The editor's undo takes back what was typed in it, and nothing has been.
        Browser.Element(".cm-content").Click();
        Browser.PressWithControl("z");
        Browser.PressWithControl(Keys.End);
        Browser.Press("b { top: 0 }");
        Browser.Driver.Navigate().Refresh();
        Browser.Until(() => Stored() == "a { top: 0 }\nb { top: 0 }", $"what was typed before the reload, not {Stored()}");

        Browser.Settle();
        Browser.Element(".cm-content").Click();
        await workplace.Server.RestartAsync(async () =>
        {
            Browser.Until(() => State().StartsWith("No connection", StringComparison.Ordinal), "the connection to be missed");
            Browser.PressWithControl(Keys.End);
            Browser.Press("c { top: 0 }");
            Browser.Until(() => State().Contains("kept here", StringComparison.Ordinal), "what is typed to be kept");
            await Task.CompletedTask;
        });
        Browser.Until(() => Stored() == "a { top: 0 }\nb { top: 0 }c { top: 0 }", $"what was typed without a connection, not {Stored()}");
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "all to be saved");

        Browser.Press("/* mine */");
        await workplace.Server.EditAsync((await workplace.Server.SiteAsync()).Version(), Css("a { top: 0 }\nb { top: 0 }c { top: 2px }"), window: "elsewhere").OkAsync();
        Browser.Until(() => State().StartsWith("Not everything", StringComparison.Ordinal), "the clash to be said");
        Browser.Named("a", "Palette").Click();
        Browser.Named("a", "Overrides").Click();
        Browser.Until(() => Browser.Run<string>("return document.querySelector('.cm-content')?.textContent ?? ''").Contains("/* mine */", StringComparison.Ordinal), "what was typed");
        Browser.Named("button", "Take what is stored").Click();
        Browser.Until(() => State().StartsWith("All changes saved", StringComparison.Ordinal), "what is stored");
        Assert.EndsWith("c { top: 2px }", Stored(), StringComparison.Ordinal);

        string State() => Browser.Run<string>("return document.querySelector('.save-state').textContent");
        string Stored() => workplace.Server.SiteAsync().GetAwaiter().GetResult()["site"]!["overrides"]!["css"]!.GetValue<string>();
        static object Css(string css) => new { kind = "setOverrides", css };
    }

    /// <summary>A window that is duplicated brings everything of the first with it: it is a second one, and one that is loaded again is itself.</summary>
    [Fact]
    public async Task A_duplicated_window_is_a_second_one()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        var first = Name();
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        Assert.Equal(first, Name());
        Browser.Run<object?>("window.open(location.href)");
        Browser.Driver.SwitchTo().Window(Browser.Driver.WindowHandles[^1]);
        Browser.Resize(1280, 800);
        Browser.Settle();
        Assert.NotEqual(first, Name());
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#336699"), window: first).OkAsync();
        Browser.Until(() => Button() == "rgb(51, 102, 153)", "the first window's colour");
        Assert.Equal("true", Browser.Named("button", "Undo").GetAttribute("aria-disabled"));

        string Name() => Browser.Run<string>("return sessionStorage.getItem('sandbar-window')");
    }

    [Fact]
    public async Task A_lost_connection_is_said_and_taken_up_again()
    {
        Browser.Open(workplace.At("/sites/pellwyn/palette"));
        await workplace.Server.RestartAsync(async () =>
        {
            Browser.Until(() => Status().StartsWith("No connection", StringComparison.Ordinal), "the window to say so");
            await Task.CompletedTask;
        });
        Browser.Until(() => Status().StartsWith("All changes saved", StringComparison.Ordinal), "the connection");
        await workplace.Server.EditAsync(0, LocalServer.SetColor("#224466"), window: "elsewhere").OkAsync();
        Browser.Until(() => Button() == "rgb(34, 68, 102)", "what was done since");
        string Status() => Browser.Run<string>("return document.querySelector('.save-state').textContent");
    }

    private string Button() => Browser.StageStyle(".site-header .button", "background-color");
}
