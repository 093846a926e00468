using System.Globalization;
using System.IO.Compression;
using OpenQA.Selenium;

namespace Sandbar.Browser.Tests;

/// <summary>
/// What the fills of a site are for, from the first to the last: a banner whose photograph is toned and kept in sight under a gradient that lets its heading be read, a clip behind the next section, a
/// textured ground of the pages and a split section, each under a name, found again elsewhere; and all of it in a release that is opened from its folder.
/// </summary>
public sealed class FillsPurposeTests : CourseTest
{
    private const string Banner = "[data-block=home-banner]";

    [Fact]
    public async Task A_banner_a_clip_a_texture_and_a_split_section_come_out_of_their_folder()
    {
        // A veil like one there is, turned the other way and in another colour.
        Open("fills?view=gradients&gradient=mist&page=home");
        Act("Add one like it");
        Rename("banner veil");
        Act("Reverse");
        Act("Reverse");

        // The photograph under it, in two colours of the site, its face in sight.
        Open("fills?view=backgrounds&page=home");
        Add("background", "spring banner");
        Type("Fill of layer 1 of spring banner", "banner veil");
        Act("Add a layer");
        Type("Fill of layer 2 of spring banner", "picture evening beds");
        Browser.Starting("button", "Tone Layer 2 of spring banner in").Click();
        Settled(++Version);
        Browser.Element(".focus-point").SendKeys(Keys.Shift + Keys.ArrowUp);
        Settled(++Version);
        Wear("home-banner", "Banner", "spring banner");
        Assert.Contains("url(\"data:image/svg+xml", Browser.StageStyle($"{Banner} .fill-spring-banner > :has(img)", "filter"), StringComparison.Ordinal);
        Assert.Contains("gradient", Browser.StageStyle($"{Banner} .fill-spring-banner > :last-child", "background-image"), StringComparison.Ordinal);

        // What reads too faintly anywhere over it is veiled until it does not.
        Open("fills?view=backgrounds&page=home");
        Pick("spring banner");
        Measured();
        for (var veils = 0; Browser.Driver.FindElements(By.CssSelector(".text-over .fail")).Count > 0; veils++)
        {
            Assert.True(veils < 3, "Three veils are enough.");
            Browser.Starting("button", "Mend ").Click();
            Browser.Element(".texts-over .mend").Click();
            Settled(++Version);
            Measured();
        }

        // A clip behind the next section, found among what can be named; and the ground of all pages.
        Wear("home-lending", "How lending works", "rain on leaves");
        Open("space?view=paper&page=home");
        Type("Ground around it of Paper", "linen");
        Assert.Equal("block", Browser.StageStyle("body > .fill-linen", "display"));

        // The veil found again: another like it, the other way and in another colour.
        Open("fills?view=gradients&page=home");
        Pick("banner veil");
        Act("Add one like it");
        Rename("call veil");
        Act("Reverse");
        Browser.Starting("input", "What replaces ground").SendKeys("leaf" + Keys.Enter);
        Settled(++Version);
        Wear("home-call", "Bench evening", "call veil");

        // Half a picture, half text.
        Open("pages?page=home&selected=home-story");
        Browser.Named("button", "Add…").Click();
        Browser.Named("input", "Search what can be added").SendKeys("Split" + Keys.Enter);
        Settled(++Version);
        Drop("main .split > :first-child", "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 60 40\"><rect width=\"60\" height=\"40\" fill=\"#2f5d3a\"/></svg>", "Reeds.svg");
        Settled(++Version);
        Assert.Empty(Browser.Errors());

        await ReleasedAsync();
    }

    /// <summary>The pages unpacked, and opened without a server.</summary>
    private async Task ReleasedAsync()
    {
        var folder = Directory.CreateTempSubdirectory("sandbar-folder-").FullName;
        using (var zip = new ZipArchive(new MemoryStream(await Workplace.Server.Client.GetByteArrayAsync("/api/sites/pellwyn/release/pages.zip", TestContext.Current.CancellationToken)))) zip.ExtractToDirectory(folder);
        var index = new Uri(Directory.GetFiles(folder, "index.html", SearchOption.AllDirectories).Single());
        var crops = new HashSet<string>(StringComparer.Ordinal);
        foreach (var width in new[] { 390, 820, 1280 })
        {
            Browser.Resize(width, 800);
            Browser.Driver.Navigate().GoToUrl(index);
            Browser.Until(() => Browser.Run<bool>("return [...document.querySelectorAll('.fill-spring-banner img, .fill-linen img')].every(i => { i.loading = 'eager'; return i.complete && i.naturalWidth > 0; })"), "the pictures");
            crops.Add(Browser.Run<string>("return getComputedStyle(document.querySelector('.fill-spring-banner img')).objectPosition"));
            Assert.Contains("data:image/svg+xml", Browser.Run<string>("return getComputedStyle(document.querySelector('.fill-spring-banner > :has(img)')).filter"), StringComparison.Ordinal);
            Assert.Equal("block", Browser.Run<string>("return getComputedStyle(document.querySelector('body > .fill-linen')).display"));
            Assert.Contains("gradient", Browser.Run<string>("return getComputedStyle([...document.querySelectorAll('main > section')].at(-1)).backgroundImage"), StringComparison.Ordinal);
            var split = Browser.Json("return [...document.querySelectorAll('.split > *')].slice(0, 2).map(e => { const r = e.getBoundingClientRect(); return [r.left, r.top]; })");
            Assert.Equal(width < 600, split[0][0].GetDouble() == split[1][0].GetDouble());
            Assert.Equal(width >= 600, split[0][1].GetDouble() == split[1][1].GetDouble());
            Assert.True(Browser.Run<bool>("return performance.getEntriesByType('resource').every(r => r.name.startsWith('file:') || r.name.startsWith('data:'))"));
        }
        Assert.True(crops.Count > 1, "one crop at every width");

        // The clip plays where it is seen, and is its poster for those who ask for less motion.
        Seen();
        Browser.Until(() => Browser.Run<bool>("const v = document.querySelector('.fill video'); return !v.paused && v.currentTime > 0 && v.muted"), "the clip to play");
        Browser.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = new[] { new Dictionary<string, object?> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" } } });
        Browser.Driver.Navigate().Refresh();
        Seen();
        Assert.True(Browser.Run<bool>("const v = document.querySelector('.fill video'); return v.paused && v.poster.endsWith('.jpg')"));
        Browser.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = Array.Empty<object>() });
        Directory.Delete(folder, recursive: true);

        void Seen() => Browser.Run<object?>("document.querySelector('.fill video').scrollIntoView({ block: 'center' })");
    }

    private void Act(string button)
    {
        Browser.Named("button", button).Click();
        Settled(++Version);
    }

    private void Pick(string name)
    {
        Browser.Element(".chosen-list button");
        Browser.Driver.FindElements(By.CssSelector(".chosen-list button")).First(b => b.Text.Contains(name, StringComparison.Ordinal)).Click();
        Browser.Until(() => Browser.Element(".thing-editor").GetDomAttribute("aria-label")?.EndsWith(name, StringComparison.Ordinal) ?? false, $"{name} to be chosen");
    }

    private void Rename(string name)
    {
        // The editor of what was just added takes the place of the one before it.
        Browser.Until(() => Browser.Run<bool>("const label = [...document.querySelectorAll('.thing-editor label')].find(l => l.textContent.trim() === 'Name'); const field = document.getElementById(label?.htmlFor); field?.focus(); field?.select(); return document.activeElement === field && field !== null && field.value !== 'mist'"), "the field for the name");
        Browser.Press(name + Keys.Enter);
        Settled(++Version);
    }

    private void Add(string kind, string name)
    {
        Browser.Named("button", $"Add a {kind}").Click();
        Browser.Until(() => Browser.Run<bool>("return document.activeElement?.matches('.add-form input') ?? false"), "the field for the name");
        Browser.Press(name + Keys.Enter);
        Settled(++Version);
    }

    /// <summary>Gives a section a background of its own.</summary>
    private void Wear(string section, string called, string background)
    {
        Open($"pages?page=home&selected={section}");
        Browser.Named("input", $"Setting of {called} to differ in").SendKeys("Background" + Keys.Enter);
        Type($"Own Background of {called}", background);
    }

    private void Measured() => Browser.Until(() => Browser.Run<string>("return document.documentElement.dataset.measured ?? ''") == Version.ToString(CultureInfo.InvariantCulture), "every page to be measured");
}
