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
        Assert.Equal("true", Browser.Named("button", "Undo").GetAttribute("disabled"));
        Browser.Open(workplace.At("/sites/pellwyn/type?view=scale"));
        Browser.Starting("button", "Ratio, wide").Click();
        Browser.Press("1.3" + Keys.Enter);
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version") == "3", "the edit on top");
        Assert.Equal(3, (await workplace.Server.SiteAsync()).Version());
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
