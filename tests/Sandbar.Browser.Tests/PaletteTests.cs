using OpenQA.Selenium;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>Colours on their way into the palette, in the real interface: from a pasted list and from a picture, with what cannot be read said where it stands.</summary>
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
            Assert.Equal(["70 %", "as beet"], Browser.Driver.FindElements(By.CssSelector(".found-colors li > .quiet")).Select(e => e.Text));
            Browser.Named("button", "Add 1 colour").Click();
            Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".color-row")).Any(r => r.Text.Contains("#224466", StringComparison.Ordinal)), "the colour");
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }

    private string Status() => Browser.Run<string>("return document.querySelector('.found-colors [role=status]')?.textContent ?? ''");
}
