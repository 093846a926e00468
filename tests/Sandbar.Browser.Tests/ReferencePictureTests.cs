using OpenQA.Selenium;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>A mock-up over the stage: it goes with the page, and colours and lengths are taken from it into the value that is being typed.</summary>
public sealed class ReferencePictureTests : CourseTest
{
    /// <summary>A blue block of 240 × 40 px with its corner at 100, 60, on white; twice as dense as the screen.</summary>
    private static readonly SKRectI Block = new(200, 120, 680, 200);

    [Fact]
    public async Task Colours_and_lengths_of_a_mock_up_go_into_the_value_in_hand()
    {
        var file = Path.Combine(Directory.CreateTempSubdirectory("sandbar-reference-").FullName, "mock-up.png");
        using (var bitmap = new SKBitmap(2560, 1600))
        {
            bitmap.Erase(SKColors.White);
            bitmap.Erase(new SKColor(0x1f, 0x4e, 0x79), Block);
            await File.WriteAllBytesAsync(file, bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray(), TestContext.Current.CancellationToken);
        }
        Open("edges?border=hairline");
        Browser.Element(".show-as").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".ant-dropdown-menu-item")).FirstOrDefault(i => i.Text == "Reference picture") is { Displayed: true } item && Clicked(item), "the menu");
        Browser.Element(".reference-bar input[type=file]").SendKeys(file);
        var picture = Browser.Element(".reference-picture");
        Assert.Equal("1280", Browser.Run<string>("return document.querySelector('input[aria-label^=\"wide\"]').value"));
        Assert.Empty(Styles.Violations(Browser));
        // It goes with the page.
        var top = picture.Location.Y;
        Browser.Run<object?>("document.querySelector('.stage iframe').contentWindow.scrollTo(0, 100)");
        Browser.Until(() => picture.Location.Y < top - 20, "the picture to go with the page");
        Browser.Run<object?>("document.querySelector('.stage iframe').contentWindow.scrollTo(0, 0)");
        Browser.Until(() => picture.Location.Y == top, "the picture at the top");
        Browser.Element(".reference-bar .ant-checkbox-input").Click();
        Browser.Until(() => picture.GetCssValue("mix-blend-mode") == "difference", "the difference");

        // A colour, while one is being typed: the field keeps the focus, the stage shows it, Enter keeps it.
        Choose("Colour");
        Browser.Starting("button", "Colour of hairline:").Click();
        Press(140, 80);
        Browser.Until(() => Browser.Run<string>("return document.activeElement.value ?? ''") == "#1f4e79", "the colour in the field");
        Browser.Press(Keys.Enter);
        Settled(++Version);
        Assert.Contains("#1f4e79", await StyleSheetAsync(), StringComparison.OrdinalIgnoreCase);
        // A gap, by the hand; and by keys, where nothing is open to take it.
        Choose("Length");
        Browser.Starting("button", "Width of hairline:").Click();
        Drag((100, 70), (180, 72));
        Browser.Until(() => Near(Browser.Run<string>("return document.activeElement.value ?? ''"), 80), "the length in the field");
        Browser.Press(Keys.Escape);
        Browser.Element(".reference-hand").SendKeys(Keys.Enter + Keys.Shift + Keys.ArrowRight + Keys.ArrowRight + Keys.Shift + Keys.ArrowRight + Keys.Enter);
        Browser.Until(() => Browser.Element(".reference-taken").Text.StartsWith("21px", StringComparison.Ordinal), "what the keys measured");
        Choose("Radius");
        Drag((300, 300), (340, 340));
        Browser.Until(() => Near(Browser.Element(".reference-taken").Text.Split(' ')[0], 40), "a radius");

        // What is no picture is told, and the one at hand stays.
        var broken = Path.ChangeExtension(file, "txt");
        await File.WriteAllTextAsync(broken, "no picture", TestContext.Current.CancellationToken);
        Browser.Element(".reference-bar input[type=file]").SendKeys(broken);
        Browser.Until(() => Browser.Element(".reference-bar .problem").Text.Contains("no picture that can be read", StringComparison.Ordinal), "what is wrong");
        Assert.True(picture.Displayed);
        Browser.Named("button", "Put the reference picture away").Click();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".reference-picture, .reference-bar, .reference-hand")).Count == 0, "nothing of it");
        Assert.Equal(Version, (await Workplace.Server.SiteAsync())["site"]!["version"]!.GetValue<int>());
        Assert.Empty(Browser.Errors());
        Directory.Delete(Path.GetDirectoryName(file)!, recursive: true);

        // Half of the page's pixels can be pointed at where the stage is scaled down.
        bool Near(string length, int px) => length.EndsWith("px", StringComparison.Ordinal) && int.TryParse(length[..^2], out var measured) && Math.Abs(measured - px) <= 3;
        void Choose(string what) => Browser.Driver.FindElements(By.CssSelector(".reference-bar .ant-segmented-item")).First(i => i.Text == what).Click();
        void Press(int x, int y) => Drag((x, y), (x, y));
    }

    private static bool Clicked(IWebElement item)
    {
        item.Click();
        return true;
    }

    /// <summary>From one place of the page to another, px.</summary>
    private void Drag((int X, int Y) from, (int X, int Y) to)
    {
        var hand = Browser.Element(".reference-hand");
        var scale = Convert.ToDouble(Browser.Run<object>("return arguments[0].getBoundingClientRect().width / 1280", hand), System.Globalization.CultureInfo.InvariantCulture);
        (int Right, int Down) At((int X, int Y) place) => ((int)Math.Round(place.X * scale - hand.Size.Width / 2.0), (int)Math.Round(place.Y * scale - hand.Size.Height / 2.0));
        Browser.Mouse("mousePressed", hand, At(from).Right, At(from).Down);
        Browser.Mouse("mouseMoved", hand, At(to).Right, At(to).Down);
        Browser.Mouse("mouseReleased", hand, At(to).Right, At(to).Down);
    }
}
