using System.Globalization;
using System.IO.Compression;
using OpenQA.Selenium;

namespace Sandbar.Browser.Tests;

/// <summary>Work on a site through one window, edit by edit.</summary>
public abstract class CourseTest : IAsyncLifetime
{
    protected Workplace Workplace { get; } = new();

    protected Sandbar.Tests.Browser Browser => Workplace.Browser;

    /// <summary>Of the site that is worked on.</summary>
    protected string Slug { get; set; } = "pellwyn";

    /// <summary>The version the window has come to.</summary>
    protected int Version { get; set; }

    public ValueTask InitializeAsync() => Workplace.InitializeAsync();

    public ValueTask DisposeAsync()
    {
        GC.SuppressFinalize(this);
        return Workplace.DisposeAsync();
    }

    protected void Open(string step) => Browser.Open(Workplace.At($"/sites/{Slug}/{step}"));

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
        using var zip = new ZipArchive(await Workplace.Server.Client.GetStreamAsync($"/api/sites/{Slug}/release/pages.zip", TestContext.Current.CancellationToken));
        using var page = new StreamReader(zip.Entries.Single(e => e.FullName.EndsWith($"{slug}.html", StringComparison.Ordinal)).Open());
        return await page.ReadToEndAsync(TestContext.Current.CancellationToken);
    }

    protected Task<string> StyleSheetAsync() => Workplace.Server.Client.GetStringAsync($"/api/sites/{Slug}/release/site.css", TestContext.Current.CancellationToken);

    /// <summary>Chooses a block in the outline, and gives its row the focus.</summary>
    protected void Choose(string block)
    {
        Browser.Element($"[data-row='{block}']").Click();
        Browser.Until(() => Browser.Run<bool>($"const row = document.querySelector('[data-row=\"{block}\"]'); row.focus(); return row.ariaSelected === 'true' && document.activeElement === row"), $"{block} to be in hand");
        Browser.Settle();
    }

    /// <summary>Brings the caret to the end of what is written in.</summary>
    protected void End() => Browser.PressWithControl(Keys.End);

    protected void Until(string what, string expression, string expected)
    {
        var found = "";
        try
        {
            Browser.Until(() => (found = Browser.OnStage(expression)) == expected, what);
        }
        catch (TimeoutException late)
        {
            throw new TimeoutException($"Found {found}. {late.Message}", late);
        }
    }

    protected void Paste(string form, string text) => Browser.Run<object?>(
        "const stage = document.querySelector('.stage iframe').contentDocument; const data = new DataTransfer(); data.setData(arguments[0], arguments[1]); stage.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))", form, text);

    /// <summary>Nothing typed waits any more, and the stage shows what is stored.</summary>
    protected void Stored() => Browser.Until(() => Browser.Run<string>("return document.querySelector('.save-state')?.textContent ?? ''").StartsWith("All changes saved", StringComparison.Ordinal) && Browser.Run<string>("return document.documentElement.dataset.settled ?? ''") == "true", "everything to be saved");

    /// <summary>Double-clicks the first word of an element on the stage.</summary>
    protected void Write(string selector)
    {
        Browser.Settle();
        var at = Browser.Json("const frame = document.querySelector('.stage iframe'); const e = frame.contentDocument.querySelector(arguments[0]); e.scrollIntoView({ block: 'center' }); const f = frame.getBoundingClientRect(), r = e.getBoundingClientRect(), k = f.width / frame.offsetWidth; return [f.left + (r.left + 14) * k, f.top + (r.top + 9) * k]", selector);
        foreach (var clicks in new[] { 1, 2 })
        {
            foreach (var what in new[] { "mousePressed", "mouseReleased" })
            {
                Browser.Driver.ExecuteCdpCommand("Input.dispatchMouseEvent", new Dictionary<string, object?> { ["type"] = what, ["x"] = at[0].GetDouble(), ["y"] = at[1].GetDouble(), ["button"] = "left", ["clickCount"] = clicks });
            }
        }
        Until("writing to begin", $"stage.querySelector('{selector}').isContentEditable", "true");
    }

    /// <summary>Drops a file on an element of the stage, as a hand would. Gives the id of the block that showed it would come there.</summary>
    protected string Drop(string selector, string svg, string name) => Browser.Run<string>("""
        const stage = document.querySelector('.stage iframe').contentDocument;
        const held = new DataTransfer();
        held.items.add(new File([arguments[1]], arguments[2], { type: 'image/svg+xml' }));
        const on = stage.querySelector(arguments[0]);
        on.dispatchEvent(new DragEvent('dragover', { bubbles: true, cancelable: true, dataTransfer: held }));
        const marked = stage.querySelector('[data-drop]')?.dataset.block ?? '';
        on.dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: held }));
        return marked;
        """, selector, svg, name);
}
