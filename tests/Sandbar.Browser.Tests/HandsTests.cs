using System.Diagnostics;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>
/// Random hands on two windows of one site, one of them on a slow network (emulated by Chromium), with the server going away and coming back: ninety seconds, or as many times that as SANDBAR_TIMES says.
/// No letter that was typed is lost, the focus is never nowhere, nothing goes wrong in the page's scripts, and a window that is loaded again shows what it showed before.
/// </summary>
public sealed class HandsTests : IAsyncLifetime
{
    private static readonly TimeSpan Long = TimeSpan.FromSeconds(RandomTimes.Of(90));

    /// <summary>A value that every part has which can have the focus.</summary>
    private const string Offset = "[role=grid] tr[data-setting='outline-offset'] td:nth-child(2) button";

    private readonly Workplace workplace = new();
    private readonly Sandbar.Tests.Browser second = new();
    private readonly List<string> done = [];
    private readonly Random random = new(Environment.TickCount);

    /// <summary>What was typed and is meant since it was last looked for, by the place it was typed into: one hand may replace what it has just typed.</summary>
    private readonly Dictionary<string, string> typed = [];

    /// <summary>What was typed and given up.</summary>
    private readonly List<string> abandoned = [];

    private int words;

    public ValueTask InitializeAsync() => workplace.InitializeAsync();

    public async ValueTask DisposeAsync()
    {
        second.Dispose();
        await workplace.DisposeAsync();
    }

    [Fact]
    public async Task Nothing_typed_is_lost()
    {
        await workplace.Server.EditAsync(0, new { kind = "setOverrides", css = "\n\n.middle { top: 0 }\n\n" }, window: "before").OkAsync();
        Sandbar.Tests.Browser[] windows = [workplace.Browser, second];
        foreach (var window in windows) window.Open(workplace.At("/sites/pellwyn/parts?part=card"));
        second.Driver.ExecuteCdpCommand("Network.enable", []);
        second.Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new() { ["offline"] = false, ["latency"] = 400, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
        var watch = Stopwatch.StartNew();
        try
        {
            for (var burst = 1; watch.Elapsed < Long; burst++)
            {
                if (burst % 20 == 0)
                {
                    done.Add("the server goes");
                    await workplace.Server.RestartAsync(() =>
                    {
                        foreach (var window in windows) window.Until(() => State(window).StartsWith("No connection", StringComparison.Ordinal), "the connection to be missed");
                        Act(windows, random.Next(1, 4), Words, Value, Css, GiveUp);
                        return Task.CompletedTask;
                    });
                    done.Add("the server is back");
                }
                else if (burst % 3 == 0)
                {
                    Act(windows, random.Next(1, 4), Undo, Drag, Go, Find, LookBack, Walk);
                }
                else
                {
                    Act(windows, random.Next(1, 6), Words, Words, Value, Value, Css, Css, GiveUp, Go, Reload);
                }
                foreach (var window in windows) Settled(window);
                await NothingLostAsync(windows);
                foreach (var window in windows) Decide(window);
                if (burst % 10 == 0) await SameAfterLoadingAsync(windows);
            }
        }
        catch (Exception failed)
        {
            throw new InvalidOperationException($"After {done.Count} actions, the last of them:\n{string.Join('\n', done.TakeLast(40))}", failed);
        }
    }

    private void Act(Sandbar.Tests.Browser[] windows, int times, params Action<Sandbar.Tests.Browser>[] actions)
    {
        for (var i = 0; i < times; i++)
        {
            var window = windows[random.Next(windows.Length)];
            var action = actions[random.Next(actions.Length)];
            done.Add($"{(window == second ? "second" : "first")}: {action.Method.Name}");
            action(window);
            if (window.Errors() is [_, ..] errors) throw new InvalidOperationException(string.Join("\n", errors));
            if (action != Reload && action != Css) Assert.True(window.Run<bool>("return document.activeElement !== document.body"), $"The focus is nowhere after {done[^1]}.");
        }
    }

    private string Word() => $"q{++words}w";

    /// <summary>Types words into a menu's item, and leaves them in one of the ways there are.</summary>
    private void Words(Sandbar.Tests.Browser window)
    {
        Step(window, "Frame", "Menus");
        var cells = window.Run<long>("return document.querySelectorAll('button.cell[aria-label^=\"Label of\"]').length");
        var cell = random.Next((int)cells);
        window.Run<object?>($"document.querySelectorAll('button.cell[aria-label^=\"Label of\"]')[{cell}].focus()");
        TypeAndLeave(window, $"item {cell}", Word());
    }

    private void Value(Sandbar.Tests.Browser window)
    {
        Step(window, "Parts");
        var place = random.Next(2) == 0 ? Offset : "[role=grid] tr[data-setting$='padding'] td:nth-child(2) button";
        Focus(window, place);
        TypeAndLeave(window, place, $"{++words / 16m}px");
    }

    private void TypeAndLeave(Sandbar.Tests.Browser window, string place, string text)
    {
        window.Press(text);
        switch (random.Next(4))
        {
            case 0: window.Press(Keys.Enter); break;
            case 1: window.Press(Keys.Tab); break;
            case 2: Focus(window, ".stage-room"); break;
            default: Focus(window, ".step"); break;
        }
        Typed(window, place, text);
    }

    private void Css(Sandbar.Tests.Browser window)
    {
        Step(window, "Overrides");
        var text = Word();
        window.Element(".cm-content").Click();
        // Each window in lines of its own; what meets in one line is asked about.
        window.PressWithControl(window == second ? Keys.End : Keys.Home);
        window.Press($"/*{text}*/");
        if (random.Next(2) == 0) Focus(window, ".stage-room");
        Typed(window, text, text);
    }

    private void GiveUp(Sandbar.Tests.Browser window)
    {
        Step(window, "Parts");
        Focus(window, Offset);
        var text = $"{++words / 16m}px";
        window.Press(text + Keys.Escape);
        abandoned.Add(text);
        done.Add($"  given up: {text}");
    }

    private void Reload(Sandbar.Tests.Browser window)
    {
        window.Driver.Navigate().Refresh();
        window.Element(".stage iframe");
    }

    private void Undo(Sandbar.Tests.Browser window)
    {
        Focus(window, ".stage-room");
        window.PressWithControl(random.Next(3) == 0 ? "y" : "z");
        Settled(window);
        // Somebody else has changed the same since: it is asked whether to go ahead.
        if (window.Driver.FindElements(By.CssSelector(".ant-modal-confirm")).Count == 0) return;
        window.Press(random.Next(2) == 0 ? Keys.Escape : Keys.Enter);
        window.Until(() => window.Driver.FindElements(By.CssSelector(".ant-modal-confirm")).Count == 0, "the question to be answered");
        Settled(window);
        window.Until(() => window.Run<bool>("return document.activeElement !== document.body"), "the focus to come back");
    }

    private void Drag(Sandbar.Tests.Browser window)
    {
        Step(window, "Palette");
        var plane = window.Element(".plane");
        window.Mouse("mousePressed", plane, 0, 0);
        for (var i = 1; i < 6; i++) window.Mouse("mouseMoved", plane, i * random.Next(-8, 8), i * random.Next(-8, 8));
        if (random.Next(3) == 0) window.Press(Keys.Escape);
        window.Mouse("mouseReleased", plane, random.Next(-40, 40), random.Next(-40, 40));
    }

    private void Go(Sandbar.Tests.Browser window) => window.Driver.FindElements(By.CssSelector("a.step"))[random.Next(7)].SendKeys(Keys.Enter);

    private void Find(Sandbar.Tests.Browser window)
    {
        Focus(window, ".stage-room");
        window.Press("/");
        window.Element(".find input").SendKeys(new[] { "pad", "colour", "home", "radius", "main", "overrides", "nothing" }[random.Next(7)] + (random.Next(3) == 0 ? Keys.Escape : Keys.Enter));
        if (window.Driver.FindElements(By.CssSelector(".find input")).Count > 0) window.Press(Keys.Escape);
        window.Until(() => window.Driver.FindElements(By.CssSelector(".find input")).Count == 0 && window.Run<bool>("return document.activeElement !== document.body"), "Find to go");
    }

    private void LookBack(Sandbar.Tests.Browser window)
    {
        Focus(window, ".stage-room");
        new Actions(window.Driver).KeyDown("b").Pause(TimeSpan.FromMilliseconds(random.Next(300))).KeyUp("b").Perform();
    }

    private void Walk(Sandbar.Tests.Browser window)
    {
        Focus(window, ".stage-room");
        for (var i = 0; i < 5; i++) window.Press(new[] { Keys.ArrowRight, Keys.ArrowLeft, Keys.ArrowUp, Keys.ArrowDown }[random.Next(4)]);
    }

    private static void Step(Sandbar.Tests.Browser window, string step, string? view = null)
    {
        window.Run<object?>($"[...document.querySelectorAll('a.step')].find(a => a.textContent === '{step}').click()");
        // What is focused before the step is shown goes with what was shown before it.
        window.Until(() => window.Run<bool>($"return document.documentElement.dataset.shows === location.pathname + location.search && document.querySelector('.step-panel')?.getAttribute('aria-label') === '{step}'"), step);
        if (view is null) return;
        // The step shows its first view again, perhaps after this: what is chosen before that is chosen in vain.
        window.Until(() => window.Run<bool>($$"""
            const input = [...document.querySelectorAll('.step-panel .ant-segmented-item')].find(a => a.textContent === '{{view}}').querySelector('input');
            if (location.search.includes('view={{view.ToLowerInvariant()}}') && input.checked) return true;
            input.click();
            return false;
            """), view);
    }

    private static void Focus(Sandbar.Tests.Browser window, string selector)
    {
        window.Element(selector);
        window.Run<object?>($"document.querySelector({System.Text.Json.JsonSerializer.Serialize(selector)}).focus()");
    }

    private static string State(Sandbar.Tests.Browser window) => window.Run<string>("return document.querySelector('.save-state')?.textContent ?? ''");

    private void Typed(Sandbar.Tests.Browser window, string place, string text)
    {
        typed[$"{(window == second ? "second" : "first")} {place}"] = text;
        done.Add($"  typed: {text}");
    }

    private static void Settled(Sandbar.Tests.Browser window)
    {
        window.Until(() => State(window) is { } state && (state.StartsWith("All changes saved", StringComparison.Ordinal) || state == "Not everything is saved"), "all to be saved, or asked about");
        window.Settle();
    }

    /// <summary>Whatever was typed is in the history or the overrides, or waits where it was typed with the reason why; what was given up is nowhere.</summary>
    private async Task NothingLostAsync(Sandbar.Tests.Browser[] windows)
    {
        var site = await workplace.Server.SiteAsync();
        var past = JsonNode.Parse(await workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/past", TestContext.Current.CancellationToken))!["items"]!.AsArray();
        var stored = string.Join('\n', past.Select(i => i!["label"]!.GetValue<string>())) + '\n' + site["site"]!["overrides"]!["css"]!.GetValue<string>();
        var waiting = string.Join('\n', windows.Select(w => w.Run<string?>("return sessionStorage.getItem('sandbar-window-typed-pellwyn')")));
        foreach (var text in typed.Values) Assert.True(Holds(stored, text) || Holds(waiting, text), $"“{text}” is lost. Stored:\n{stored}\nWaiting: {waiting}");
        foreach (var text in abandoned) Assert.False(Holds(stored, text), $"“{text}” was given up, and is stored.");
        typed.Clear();

        static bool Holds(string all, string text) => System.Text.RegularExpressions.Regex.IsMatch(all, $@"(?<![\d.]){System.Text.RegularExpressions.Regex.Escape(text)}");
    }

    /// <summary>What is asked about is decided, one way or the other.</summary>
    private void Decide(Sandbar.Tests.Browser window)
    {
        while (State(window) == "Not everything is saved")
        {
            done.Add($"{(window == second ? "second" : "first")}: takes what is stored");
            if (window.Driver.FindElements(By.CssSelector(".unsaved button")).Count == 0) window.Named("button", "Look at it").Click();
            window.Element(".unsaved button").Click();
            Settled(window);
        }
    }

    /// <summary>A window shows after all that has been done in it what one shows that has just been opened.</summary>
    private async Task SameAfterLoadingAsync(Sandbar.Tests.Browser[] windows)
    {
        var version = (await workplace.Server.SiteAsync()).Version().ToString(System.Globalization.CultureInfo.InvariantCulture);
        foreach (var window in windows)
        {
            window.Until(() => window.Run<string>("return document.documentElement.dataset.version") == version, $"version {version}");
            window.Settle();
            var before = Shown(window);
            window.Driver.Navigate().Refresh();
            window.Settle();
            window.Until(() => Shown(window) == before, $"what it showed before:\n{before}\nand not:\n{Shown(window)}\n");
        }

        static string Shown(Sandbar.Tests.Browser window) => window.Run<string>("""
            // Values, fields and what they are called; the editor of overrides draws only the lines in sight.
            const stage = document.querySelector('.stage iframe').contentDocument;
            const panel = document.querySelector('.step-panel');
            return [[...panel.querySelectorAll('button, input, .subhead, th')].map(e => e.getAttribute('aria-label') ?? e.value ?? e.innerText).join('\n'), [...stage.getElementById('sheet').sheet.cssRules].map(r => r.cssText).join('\n'), stage.getElementById('overrides').textContent,
                stage.body.outerHTML.replace(/ data-force="[a-z]*"/g, '')].join('\n----\n');
            """);
    }
}
