using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Sandbar.Tests;

/// <summary>Debian's Chromiums, headless, that are running: to start one takes as long as a short test.</summary>
public sealed class Chromiums : IDisposable
{
    private static readonly ConcurrentBag<ChromeDriver> Idle = [];

    /// <summary>One with a tab that nothing has been opened in. Whoever takes it puts it back.</summary>
    public static ChromeDriver Take() => Idle.TryTake(out var idle) ? idle : Start();

    /// <summary>Leaves a fresh tab alone in it. One that does not answer any more is shut down.</summary>
    public static void PutBack(ChromeDriver driver)
    {
        try
        {
            var old = driver.WindowHandles;
            driver.SwitchTo().NewWindow(WindowType.Tab);
            var fresh = driver.CurrentWindowHandle;
            foreach (var tab in old) driver.SwitchTo().Window(tab).Close();
            driver.SwitchTo().Window(fresh);
            driver.Manage().Logs.GetLog(LogType.Browser);
            Idle.Add(driver);
        }
        catch (WebDriverException)
        {
            driver.Dispose();
        }
    }

    public void Dispose()
    {
        while (Idle.TryTake(out var driver)) driver.Dispose();
    }

    private static ChromeDriver Start()
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new", "--no-sandbox", "--disable-dev-shm-usage", "--disable-gpu", "--hide-scrollbars", "--force-device-scale-factor=1",
            "--force-color-profile=srgb", "--font-render-hinting=none", "--disable-lcd-text", "--no-first-run", "--no-default-browser-check",
            "--disable-background-networking", "--disable-component-update", "--disable-sync", "--disable-extensions", "--window-size=1280,800",
            "--blink-settings=primaryHoverType=2,availableHoverTypes=2,primaryPointerType=4,availablePointerTypes=4");
        options.SetLoggingPreference(LogType.Browser, LogLevel.Severe);
        return new(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options);
    }
}
