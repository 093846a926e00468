using System.Text.Json;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;

namespace Sandbar.Tests;

/// <summary>A tab of Debian's Chromium at 1280 × 800 and as a desktop with a pointer that can hover.</summary>
public sealed class Browser : IDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(20), LongestPatience = TimeSpan.FromMinutes(2);

    /// <summary>What a window shows of how it fares.</summary>
    private const string Situation = """
        const said = ['.save-state', 'footer.status-line', '.ant-notification'].map(s => document.querySelector(s)?.textContent);
        return JSON.stringify({ ...document.documentElement.dataset, said, kept: { ...sessionStorage } });
        """;

    public Browser() => Resize(1280, 800);

    public ChromeDriver Driver { get; } = Chromiums.Take();

    public void Resize(int width, int height) => Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string, object?>
    {
        ["width"] = width,
        ["height"] = height,
        ["deviceScaleFactor"] = 1,
        ["mobile"] = false,
    });

    /// <summary>What the visitor prefers: light, dark, or null for the browser's own.</summary>
    public void Prefer(string? scheme) => Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?>
    {
        ["features"] = scheme is null ? [] : new[] { new Dictionary<string, object> { ["name"] = "prefers-color-scheme", ["value"] = scheme } },
    });

    /// <summary>A part of the window as a PNG in base64: the same pixels give the same text.</summary>
    public string Picture(double x, double y, int width, int height)
    {
        var clip = new Dictionary<string, object> { ["x"] = x, ["y"] = y, ["width"] = width, ["height"] = height, ["scale"] = 1 };
        var answer = (Dictionary<string, object>)Driver.ExecuteCdpCommand("Page.captureScreenshot", new() { ["format"] = "png", ["clip"] = clip })!;
        return (string)answer["data"];
    }

    /// <summary>Opens a view of the application and waits until it has settled.</summary>
    public void Open(Uri address)
    {
        Driver.Navigate().GoToUrl(address);
        Settle();
    }

    /// <summary>Waits until nothing is in flight and the stage shows the version at hand.</summary>
    public void Settle() => Until(() => Run<string>("return document.documentElement.dataset.settled ?? ''") == "true", "the view to settle");

    public T Run<T>(string script, params object[] arguments) => (T)Driver.ExecuteScript(script, arguments)!;

    /// <summary>The answer of a script as JSON.</summary>
    public JsonElement Json(string script, params object[] arguments) =>
        JsonDocument.Parse(Run<string>($"return JSON.stringify((() => {{ {script} }})())", arguments)).RootElement;

    /// <summary>Runs a script with the stage's document as <c>stage</c>.</summary>
    public string OnStage(string expression) => Run<string>($"const stage = document.querySelector('.stage iframe').contentDocument; return String({expression})");

    /// <summary>A resolved style of the first element on stage that a selector finds.</summary>
    public string StageStyle(string selector, string property) =>
        OnStage($"stage.defaultView.getComputedStyle(stage.querySelector({JsonSerializer.Serialize(selector)})).getPropertyValue({JsonSerializer.Serialize(property)})");

    /// <summary>The first element a selector finds, as soon as there is one.</summary>
    public IWebElement Element(string selector) => Wait(() => Driver.FindElements(By.CssSelector(selector)).FirstOrDefault(), selector);

    /// <summary>The element a person would name so: by its label or its text.</summary>
    public IWebElement Named(string tag, string name) => Wait(() => Driver.FindElements(By.TagName(tag))
        .FirstOrDefault(e => e.Displayed && ((e.GetAttribute("aria-label") ?? "") == name || e.Text.Trim() == name)), $"{tag} “{name}”");

    /// <summary>The first such element whose label begins so.</summary>
    public IWebElement Starting(string tag, string name) => Wait(() => Driver.FindElements(By.TagName(tag))
        .FirstOrDefault(e => e.Displayed && (e.GetAttribute("aria-label") ?? "").StartsWith(name, StringComparison.Ordinal)), $"{tag} “{name}…”");

    /// <summary>The mouse, step by step: <paramref name="what"/> is mousePressed, mouseMoved or mouseReleased; the place is counted from the element's middle.</summary>
    public void Mouse(string what, IWebElement element, int right, int down) => Driver.ExecuteCdpCommand("Input.dispatchMouseEvent", new Dictionary<string, object?>
    {
        ["type"] = what,
        ["x"] = element.Location.X + element.Size.Width / 2 + right,
        ["y"] = element.Location.Y + element.Size.Height / 2 + down,
        ["button"] = "left",
        ["buttons"] = what == "mouseReleased" ? 0 : 1,
        ["clickCount"] = 1,
    });

    /// <summary>What went wrong in the page's own scripts since this was asked last; what the network did is not among it.</summary>
    public IReadOnlyList<string> Errors() => [.. Driver.Manage().Logs.GetLog(LogType.Browser).Select(l => l.Message)
        .Where(m => !m.Contains("Failed to load resource", StringComparison.Ordinal) && !m.Contains("WebSocket", StringComparison.Ordinal) && !m.Contains("net::ERR", StringComparison.Ordinal))];

    public void Press(string keys) => new Actions(Driver).SendKeys(keys).Perform();

    public void PressWithControl(string key) => new Actions(Driver).KeyDown(Keys.Control).SendKeys(key).KeyUp(Keys.Control).Perform();

    /// <summary>Waits for a state, for as long as something goes on in the page.</summary>
    /// <exception cref="TimeoutException">Nothing has changed for a while, or it has gone on for far too long.</exception>
    public void Until(Func<bool> condition, string what)
    {
        var (since, waited, seen) = (System.Diagnostics.Stopwatch.StartNew(), TimeSpan.Zero, "");
        while (!Holds(condition))
        {
            if (since.Elapsed - waited > Patience)
            {
                var now = Run<string>(Situation);
                if (now == seen || since.Elapsed > LongestPatience) throw new TimeoutException($"Waited in vain for {what} at {Driver.Url}: {now}.");
                (waited, seen) = (since.Elapsed, now);
            }
            Thread.Sleep(20);
        }
    }

    /// <summary>What is drawn anew while it is looked at does not hold yet.</summary>
    private static bool Holds(Func<bool> condition)
    {
        try
        {
            return condition();
        }
        catch (StaleElementReferenceException)
        {
            return false;
        }
    }

    private T Wait<T>(Func<T?> find, string what)
        where T : class
    {
        T? found = null;
        Until(() => (found = find()) is not null, what);
        return found!;
    }

    public void Dispose() => Chromiums.PutBack(Driver);
}
