using OpenQA.Selenium;
using SkiaSharp;

namespace Sandbar.Browser.Tests;

/// <summary>Backgrounds with pictures and clips in the real interface: on the stage while the hand moves, and in the released bytes.</summary>
public sealed class BackgroundCourseTests : CourseTest
{
    private const string Beds = "evening at the beds", Layer = ".fill-evening-at-the-beds > :nth-child(1)", Picture = Layer + " > img";

    [Fact]
    public async Task A_picture_is_faded_toned_kept_in_sight_and_put_under_what_lies_over_it()
    {
        Open("fills?view=backgrounds&background=evening-at-the-beds&page=workshops");
        Assert.Empty(Styles.Violations(Browser));
        Type($"Opacity of layer 2 of {Beds}", "80%");
        Assert.Equal("0.8", Browser.StageStyle(Layer, "opacity"));
        // The row that was worked in is the one whose picture is set below.
        var before = Browser.StageStyle(Layer, "filter");
        var pair = Browser.Starting("button", $"Tone Layer 2 of {Beds} in");
        // Looked at before it is taken.
        Browser.Mouse("mouseMoved", pair, 0, 0);
        Browser.Until(() => Browser.StageStyle(Layer, "filter") != before, "the stage to show a toning that is pointed at");
        Browser.Mouse("mouseMoved", Browser.Element(".focus-picture"), 0, 0);
        Browser.Until(() => Browser.StageStyle(Layer, "filter") == before, "the stage to show what is stored");
        pair.Click();
        Settled(++Version);
        Assert.NotEqual(before, Browser.StageStyle(Layer, "filter"));

        var (at, point) = (Browser.StageStyle(Picture, "object-position"), Browser.Element(".focus-point"));
        // A banner is wide and low: only what is above and below the point is cut off.
        point.SendKeys(Keys.Shift + Keys.ArrowUp);
        Settled(++Version);
        Assert.NotEqual(at, at = Browser.StageStyle(Picture, "object-position"));
        Assert.Contains("- 0.26 * max(100cqh", await StyleSheetAsync(), StringComparison.Ordinal);
        // While it is dragged the stage follows and nothing is stored; Escape puts it back.
        var box = Browser.Element(".focus-picture");
        Browser.Mouse("mousePressed", Browser.Element(".focus-point"), 0, 0);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".crop img")).Count == 3, "what is seen at every width");
        var crops = Crops();
        Assert.Equal(3, crops.Split('|').Distinct().Count());
        Browser.Mouse("mouseMoved", box, -box.Size.Width / 4, box.Size.Height / 4);
        Browser.Until(() => Browser.StageStyle(Picture, "object-position") != at, "the stage to follow");
        Browser.Until(() => Crops() != crops, "every width to follow");
        Assert.Equal(Version, (await Workplace.Server.SiteAsync())["site"]!["version"]!.GetValue<int>());
        Browser.Press(Keys.Escape);
        Browser.Until(() => Browser.StageStyle(Picture, "object-position") == at, "what is stored");
        Browser.Mouse("mouseReleased", box, 0, 0);

        // Layers are dragged: the picture comes to lie over the veil.
        var rows = Browser.Driver.FindElements(By.CssSelector(".layer-grip"));
        Browser.Mouse("mousePressed", rows[0], 0, 0);
        Browser.Mouse("mouseMoved", rows[1], 0, 8);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".comes-below")).Count == 1, "the mark of where it comes");
        Browser.Mouse("mouseReleased", rows[1], 0, 8);
        Settled(++Version);
        Browser.Until(() => Browser.OnStage($"stage.querySelector('{Picture}') === null && stage.querySelector('.fill-evening-at-the-beds > :nth-child(2) > img') !== null") == "true", "the picture on top");
        Browser.PressWithControl("z");
        Settled(++Version);
        Browser.Until(() => Browser.OnStage($"stage.querySelector('{Picture}') !== null") == "true", "the picture below");
        Assert.Empty(Browser.Errors());

        string Crops() => Browser.Run<string>("return [...document.querySelectorAll('.crop img')].map((i) => getComputedStyle(i).objectPosition + i.offsetWidth).join('|')");
    }

    /// <summary>What reads worst over the banner is found, shown where it is, and mended by a veil that its release has too.</summary>
    [Fact]
    public async Task Where_text_reads_worst_is_shown_and_veiled()
    {
        Open("fills?view=backgrounds&background=evening-at-the-beds");
        Measured();
        var worst = Browser.Element(".text-over");
        Assert.Contains("needs 4.5", worst.Text, StringComparison.Ordinal);
        Assert.Empty(Styles.Violations(Browser));
        worst.Click();
        Browser.Until(() => Browser.Element(".worst-spot").Text.StartsWith("worst spot 3.", StringComparison.Ordinal), "the worst spot");
        Assert.Equal("workshops-lead", Browser.Run<string>("return new URLSearchParams(location.search).get('selected')"));
        Assert.Equal("390", Browser.OnStage("stage.defaultView.innerWidth"));
        // The lowest contrast of the site is this one.
        Assert.Contains("Lowest text contrast 3.", Browser.Element(".status-line").Text, StringComparison.Ordinal);

        Browser.Starting("button", "Mend Paragraph · Lead").Click();
        var mend = Browser.Element(".texts-over .mend");
        // The stage shows it while it is pointed at; nothing is stored until it is pressed.
        Browser.Until(() => Browser.OnStage("stage.querySelectorAll('.fill-evening-at-the-beds > div').length") == "2", "two layers");
        Browser.Run<object?>("arguments[0].focus()", mend);
        Browser.Until(() => Browser.OnStage("stage.querySelectorAll('.fill-evening-at-the-beds > div').length") == "3", "the veil on the stage");
        Assert.Equal(Version, (await Workplace.Server.SiteAsync())["site"]!["version"]!.GetValue<int>());
        mend.Click();
        Settled(++Version);
        // The spot was of before; what reads how is measured anew.
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".worst-spot")).Count == 0, "no spot");
        Measured();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".text-over .fail")).Count == 0, "every text to be read");
        Assert.Contains(".fill-evening-at-the-beds > :nth-child(3)", await StyleSheetAsync(), StringComparison.Ordinal);
        Browser.PressWithControl("z");
        Settled(++Version);
        Measured();
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".text-over .fail")).Count > 0, "the failing text again");
        Assert.Empty(Browser.Errors());

        void Measured() => Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.measured ?? ''") == Version.ToString(System.Globalization.CultureInfo.InvariantCulture), "every page to be measured");
    }

    [Fact]
    public async Task Pictures_come_to_the_shelf_and_take_each_others_place()
    {
        Open("fills?view=pictures&picture=evening-beds&page=membership");
        Assert.Empty(Styles.Violations(Browser));
        var file = Path.Combine(Directory.CreateTempSubdirectory("sandbar-pictures-").FullName, "reeds.png");
        using (var bitmap = new SKBitmap(1600, 900))
        {
            bitmap.Erase(SKColors.SteelBlue);
            await File.WriteAllBytesAsync(file, bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray(), TestContext.Current.CancellationToken);
        }
        Give("Add pictures", file);
        Settled(++Version);
        Browser.Until(() => Browser.Element(".chosen-list").Text.Contains("reeds", StringComparison.Ordinal), "the picture in the list");

        var was = Browser.OnStage("stage.querySelector('.covering img').src");
        Give("Replace everywhere", file);
        Settled(++Version);
        Browser.Until(() => Browser.OnStage("stage.querySelector('.covering img').src") != was, "the other file on the stage");
        Type("In words of evening beds", "Reeds in the wind");
        var page = await PageAsync("membership");
        Assert.Matches("src=\"pictures/reeds-2.png\" srcset=\"pictures/640/reeds-2.png 640w, pictures/1280/reeds-2.png 1280w, pictures/reeds-2.png 1600w\"", page);
        // AVIF is decoded by the browser, and comes as WebP of the same size.
        Give("Add pictures", Path.Combine(Sandbar.Tests.LocalServer.Root, "tests", "samples", "pictures", "two-colours.avif"));
        Settled(++Version);
        var avif = (await Workplace.Server.SiteAsync())["site"]!["pictures"]!.AsArray().Single(p => ((string)p!["file"]!).Contains("two-colours", StringComparison.Ordinal))!;
        Assert.Equal(("pictures/two-colours.webp", 320, 200), ((string)avif["file"]!, (int)avif["width"]!, (int)avif["height"]!));
        // What is no picture is told at its place, and nothing comes of it.
        var broken = Path.ChangeExtension(file, "webp");
        await File.WriteAllTextAsync(broken, "no picture", TestContext.Current.CancellationToken);
        Give("Add pictures", broken);
        Browser.Until(() => Browser.Element(".pictures .below-rows").Text.Contains("no picture that can be read", StringComparison.Ordinal), "what is wrong");
        Directory.Delete(Path.GetDirectoryName(file)!, recursive: true);
    }

    /// <summary>An icon is found by what it shows, and comes to the shelf as a drawing in a colour of the palette.</summary>
    [Fact]
    public async Task An_icon_is_found_and_comes_to_the_shelf()
    {
        Open("fills?view=pictures");
        Browser.Named("button", "Add an icon").Click();
        Browser.Named("input", "Search among the icons").SendKeys("plant");
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".icons button")) is { Count: > 1 and < 40 }, "icons that say so");
        Assert.Empty(Styles.Violations(Browser, "document.querySelector('.ant-modal')"));
        Browser.Named("input", "Search among the icons").SendKeys(Keys.Control + "a");
        Browser.Named("input", "Search among the icons").SendKeys("sprout");
        Browser.Named("button", "sprout").Click();
        Settled(++Version);
        Browser.Until(() => Browser.Driver.FindElements(By.CssSelector(".icons")).Count == 0, "the shelf to close");
        var picture = (await Workplace.Server.SiteAsync())["site"]!["pictures"]!.AsArray().Single(p => (string)p!["file"]! == "pictures/sprout.svg")!;
        var drawing = await Workplace.Server.Client.GetStringAsync((string)picture["address"]!, TestContext.Current.CancellationToken);
        Assert.Contains("stroke=\"#000000\"", drawing, StringComparison.Ordinal);
        Browser.PressWithControl("z");
        Settled(++Version);
        Assert.DoesNotContain((await Workplace.Server.SiteAsync())["site"]!["pictures"]!.AsArray(), p => (string)p!["file"]! == "pictures/sprout.svg");
        Assert.Empty(Browser.Errors());
    }

    [Fact]
    public async Task A_clip_that_is_elsewhere_is_named_and_never_asked_for()
    {
        Open("fills?view=clips&clip=rain&page=workshops");
        Assert.Empty(Styles.Violations(Browser));
        var address = Browser.Named("input", "Address of a clip that is elsewhere");
        address.SendKeys("http://clips.example/dew.webm" + Keys.Enter);
        Browser.Until(() => Browser.Element(".clip-adds").Text.Contains("begins with https://", StringComparison.Ordinal), "what is wrong");
        address.SendKeys(Keys.Control + "a");
        address.SendKeys("https://clips.example/dew.webm" + Keys.Enter);
        Settled(++Version);
        Browser.Until(() => Browser.Element(".chosen-list").Text.Contains("elsewhere", StringComparison.Ordinal), "the clip in the list");
        Open("fills?view=backgrounds&background=rain-on-leaves&page=workshops");
        Type("Fill of layer 2 of rain on leaves", "clip dew");
        Assert.DoesNotContain("clips.example", Browser.OnStage("stage.documentElement.outerHTML"), StringComparison.Ordinal);
        Assert.Contains("<source src=\"https://clips.example/dew.webm\"", await PageAsync("workshops"), StringComparison.Ordinal);
        // Played on request, as motion is.
        Browser.Starting("button", "Play").Click();
        Browser.Until(() => Browser.OnStage("[...stage.querySelectorAll('.fill video')].some(v => !v.paused && v.currentTime > 0)") == "true", "the stand-in to play");
        Assert.Empty(Browser.Errors());
    }

    private void Give(string label, string file) => Browser.Element($"input[type=file][aria-label^='{label}']").SendKeys(file);
}
