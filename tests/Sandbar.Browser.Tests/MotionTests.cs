using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Motion;
using Sandbar.Core.Rendering;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Motion as Chromium reckons and shows it.</summary>
public sealed class MotionTests(Sandbar.Tests.Browser browser) : IClassFixture<Sandbar.Tests.Browser>
{
    private const int Points = 50;

    /// <summary>Named easings in transitions that run, at fifty points, by Chromium's own getAnimations().</summary>
    [Fact]
    public void Easings_go_as_chromium_has_them()
    {
        var random = new Random(3);
        var easings = new List<(string Shape, (string Field, string Text)[] Fields)>
        {
            ("curve", []), ("curve", [("x1", "1"), ("y1", "0"), ("x2", "0"), ("y2", "1")]), ("curve", [("x1", "0"), ("y1", "-2"), ("x2", "1"), ("y2", "3")]),
            ("steps", [("steps", "1")]), ("steps", [("steps", "4"), ("jump", "start")]), ("steps", [("steps", "7"), ("jump", "both")]), ("steps", [("steps", "3"), ("jump", "neither")]), ("steps", [("steps", "5"), ("jump", "end")]),
            ("spring", [("bounce", "0")]), ("spring", [("bounce", "12")]), ("spring", [("bounce", "45")]), ("spring", [("bounce", "90")]),
        };
        for (var i = 0; i < 20; i++)
        {
            string Text(double from, double to) => (from + random.NextDouble() * (to - from)).ToString("0.####", CultureInfo.InvariantCulture);
            easings.Add(("curve", [("x1", Text(0, 1)), ("y1", Text(-3, 4)), ("x2", Text(0, 1)), ("y2", Text(-3, 4))]));
        }
        foreach (var (shape, fields) in easings)
        {
            var site = Demo.Site.After(new SetThing("easing", "soft", "shape", shape));
            foreach (var (field, text) in fields) site = site.After(new SetThing("easing", "soft", field, text));
            var easing = site.Motion.Easings.Get("soft");
            browser.Driver.ExecuteScript("document.documentElement.innerHTML = '<body><div id=\"moved\"></div>'; document.getElementById('moved').style.cssText = `opacity: 0; transition: opacity 1000ms ${arguments[0]}`; getComputedStyle(moved).opacity; moved.style.opacity = 1; getComputedStyle(moved).opacity", EasingKind.Css(easing));
            var progress = browser.Json($$"""
                const [animation] = document.getAnimations();
                animation.pause();
                return Array.from({ length: {{Points}} }, (_, i) => { animation.currentTime = 1000 * (i + 0.5) / {{Points}}; return animation.effect.getComputedTiming().progress; })
                """).EnumerateArray().Select(p => p.GetDouble()).ToList();
            for (var i = 0; i < Points; i++)
                Assert.True(Math.Abs(progress[i] - Easings.At(easing, (i + 0.5) / Points)) < 0.002, $"{EasingKind.Css(easing)} at {(i + 0.5) / Points}: {progress[i]}, not {Easings.At(easing, (i + 0.5) / Points)}");
        }
    }

    [Fact]
    public void Changes_take_their_time_and_none_for_those_who_ask_for_less_motion()
    {
        var site = Demo.Site.After(Cell("button-filled", "change-background", "quick, gentle, 50ms")).After(Cell("button-filled", "change-text-color", "300ms, linear"));
        browser.Show(site, use: SheetUse.Release);
        const string read = "const s = getComputedStyle(document.querySelector('.button-filled')); return [s.transitionProperty, s.transitionDuration, s.transitionTimingFunction, s.transitionDelay].join(' | ')";
        Assert.Equal("background, color | 0.15s, 0.3s | cubic-bezier(0.2, 0, 0, 1), linear | 0.05s, 0s", browser.Run<string>(read));
        browser.Emulate("", ("prefers-reduced-motion", "reduce"));
        Assert.Equal("background, color | 0s, 0s | linear, linear | 0s, 0s", browser.Run<string>(read));
        browser.Emulate("");
        // On the stage nothing moves of itself: only while it is played.
        browser.Show(site);
        Assert.StartsWith("all | 0s", browser.Run<string>(read), StringComparison.Ordinal);
        browser.Driver.ExecuteScript("document.documentElement.dataset.play = ''");
        Assert.StartsWith("background, color | 0.15s", browser.Run<string>(read), StringComparison.Ordinal);
    }

    [Fact]
    public void Blocks_come_in_one_after_another_and_stand_still_in_print()
    {
        var site = Demo.Site.After(Cell("card-row-standard", "entrance", "rise")).After(Cell("card-row-standard", "entrance-distance", "40px")).After(Cell("card-row-standard", "entrance-takes", "calm, gentle, 100ms")).After(Cell("card-row-standard", "stagger", "80ms"))
            .After(Cell("heading-2-standard", "entrance", "fade"));
        browser.Show(site, site.Pages.Get("membership"), SheetUse.Release);
        const string read = "return [...document.querySelectorAll('.card-row')].map(r => [...r.children]).sort((a, b) => b.length - a.length)[0].map(c => { const s = getComputedStyle(c); return [s.animationName, s.animationDuration, s.animationDelay, s.animationTimingFunction].join(' '); })";
        var cards = browser.Json(read).EnumerateArray().Select(c => c.GetString()!).ToList();
        Assert.True(cards.Count >= 3);
        Assert.Equal(Enumerable.Range(0, cards.Count).Select(i => string.Create(CultureInfo.InvariantCulture, $"enter-rise 0.4s {0.1 + 0.08 * i:0.##}s cubic-bezier(0.2, 0, 0, 1)")), cards);
        // Before its turn a card waits, clear and below its place.
        Assert.Equal("0 0px 40px", browser.Run<string>("const a = document.getAnimations().find(a => a.animationName === 'enter-rise'); a.pause(); a.currentTime = 0; const s = getComputedStyle(a.effect.target); return [s.opacity, s.translate].join(' ')"));
        foreach (var (media, features) in new[] { ("print", Array.Empty<(string, string)>()), ("", [("prefers-reduced-motion", "reduce")]) })
        {
            browser.Emulate(media, features);
            Assert.All(browser.Json(read).EnumerateArray(), c => Assert.StartsWith("none 0s", c.GetString(), StringComparison.Ordinal));
            Assert.Equal("none", browser.Run<string>("return getComputedStyle(document.querySelector('h2')).animationName"));
        }
        browser.Emulate("");
        // On the stage they play on request.
        browser.Show(site, site.Pages.Get("membership"));
        Assert.Equal(0L, browser.Run<long>("return document.getAnimations().length"));
        Assert.True(browser.Run<long>("document.documentElement.dataset.play = ''; return document.getAnimations().length") >= 3);
    }

    [Theory]
    [InlineData("fade", "0", "none", "none")]
    [InlineData("rise", "0", "0px 24px", "none")]
    [InlineData("slide", "0", "-24px", "none")]
    [InlineData("grow", "0", "none", "0.92")]
    public void Every_entrance_begins_as_it_is_called(string entrance, string opacity, string translate, string scale)
    {
        browser.Show(Demo.Site.After(Cell("heading-2-standard", "entrance", entrance)), use: SheetUse.Release);
        Assert.Equal($"{opacity} | {translate} | {scale}", browser.Run<string>("const [a] = document.getAnimations(); a.pause(); a.currentTime = 0; const s = getComputedStyle(a.effect.target); return [s.opacity, s.translate, s.scale].join(' | ')"));
    }

    private static SetCell Cell(string look, string property, string text) => new(look, property, State.Rest, null, null, text);
}
