using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>axe-core on every view of our own, and that nothing is cut off at the widths we promise.</summary>
public sealed class ViewTests(Workplace workplace) : IClassFixture<Workplace>
{
    private const string Large = $"/sites/{LargeSite.Slug}";

    public static readonly TheoryData<string> Views =
    [
        "/", "/sites/pellwyn/palette", "/sites/pellwyn/palette?color=new", "/sites/pellwyn/palette?view=schemes&scheme=dusk", "/sites/pellwyn/palette?view=pairs", "/sites/pellwyn/snapshots", "/sites/pellwyn/parts",
        "/sites/pellwyn/edges", "/sites/pellwyn/edges?view=shadows", "/sites/pellwyn/edges?view=radii&radius=new", "/sites/pellwyn/type", "/sites/pellwyn/type?view=scale", "/sites/pellwyn/type?view=families", "/sites/pellwyn/frame", "/sites/pellwyn/frame?view=footer", "/sites/pellwyn/frame?view=menus",
        "/sites/pellwyn/parts?page=specimen&width=820",
        $"{Large}/palette?color=color-3", $"{Large}/palette?view=schemes", $"{Large}/palette?view=pairs", $"{Large}/type", $"{Large}/frame?view=menus", $"{Large}/parts?part=button&span=pages", $"{Large}/snapshots",
        "/sites/pellwyn/parts?part=card&at=820", "/sites/pellwyn/overrides?width=390&scale=100&show=hover", "/sites/nowhere/palette",
        "/sites/pellwyn/palette?span=pages&prefers=dark", "/sites/pellwyn/parts?span=widths&vision=deuteranopia&selected=header-action", "/sites/pellwyn/parts?whole=yes&show=off",
    ];

    [Theory]
    [MemberData(nameof(Views))]
    public void Axe_finds_nothing(string view)
    {
        Show(view);
        Assert.Empty(Styles.Violations(workplace.Browser));
    }

    [Theory]
    [InlineData(1280)]
    [InlineData(1024)]
    public void Nothing_runs_over_the_window(int width)
    {
        workplace.Browser.Resize(width, 800);
        try
        {
            foreach (var view in Views.Select(v => v.Data))
            {
                Show(view);
                Assert.True(workplace.Browser.Run<bool>("return document.documentElement.scrollWidth <= innerWidth"), $"{view} is wider than {width}");
                Assert.True(workplace.Browser.Run<bool>("return [...document.querySelectorAll('.step-panel')].every(p => p.scrollWidth <= p.clientWidth)"), $"A panel of {view} is cut off at {width}");
            }
        }
        finally
        {
            workplace.Browser.Resize(1280, 800);
        }
    }

    private void Show(string view)
    {
        if (view.Contains("/pellwyn/", StringComparison.Ordinal) || view.StartsWith(Large, StringComparison.Ordinal))
        {
            workplace.Browser.Open(workplace.At(view));
            return;
        }
        workplace.Browser.Driver.Navigate().GoToUrl(workplace.At(view));
        workplace.Browser.Until(() => workplace.Browser.Run<bool>("return !!document.querySelector('main') && !document.querySelector('[aria-busy=true], .ant-skeleton')"), view);
    }
}
