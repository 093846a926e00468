using System.Globalization;
using System.IO.Compression;
using OpenQA.Selenium;

namespace Sandbar.Browser.Tests;

/// <summary>Work on the demo site through one window, edit by edit.</summary>
public abstract class CourseTest : IAsyncLifetime
{
    protected Workplace Workplace { get; } = new();

    protected Sandbar.Tests.Browser Browser => Workplace.Browser;

    /// <summary>The version the window has come to.</summary>
    protected int Version { get; set; }

    public ValueTask InitializeAsync() => Workplace.InitializeAsync();

    public ValueTask DisposeAsync()
    {
        GC.SuppressFinalize(this);
        return Workplace.DisposeAsync();
    }

    protected void Open(string step) => Browser.Open(Workplace.At($"/sites/pellwyn/{step}"));

    /// <summary>Types over a value and waits for the edit.</summary>
    protected void Type(string cell, string text)
    {
        Browser.Starting("button", $"{cell}:").Click();
        Browser.Press(text + Keys.Enter);
        Settled(++Version);
    }

    protected void Settled(int at)
    {
        Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.version ?? ''") == at.ToString(CultureInfo.InvariantCulture), $"version {at}");
        Browser.Settle();
    }

    /// <summary>A page as it is released.</summary>
    protected async Task<string> PageAsync(string slug)
    {
        using var zip = new ZipArchive(await Workplace.Server.Client.GetStreamAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken));
        using var page = new StreamReader(zip.Entries.Single(e => e.FullName.EndsWith($"{slug}.html", StringComparison.Ordinal)).Open());
        return await page.ReadToEndAsync(TestContext.Current.CancellationToken);
    }

    protected Task<string> StyleSheetAsync() => Workplace.Server.Client.GetStringAsync("/api/sites/pellwyn/release/site.css", TestContext.Current.CancellationToken);
}
