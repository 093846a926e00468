using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>axe-core on every view of our own, and that nothing is cut off at the widths we promise.</summary>
public sealed class ViewTests(Workplace workplace) : IClassFixture<Workplace>
{
    private const string Large = $"/sites/{LargeSite.Slug}";

    public static readonly TheoryData<string> Views =
    [
        "/", "/sites/pellwyn/palette", "/sites/pellwyn/palette?color=new", "/sites/pellwyn/palette?view=schemes&scheme=dusk", "/sites/pellwyn/palette?view=pairs", "/sites/pellwyn/palette?view=schemes&role=text&span=schemes&schemes=day%20dusk", "/sites/pellwyn/snapshots", "/sites/pellwyn/parts",
        "/sites/pellwyn/edges", "/sites/pellwyn/edges?view=shadows", "/sites/pellwyn/edges?view=radii&radius=new", "/sites/pellwyn/edges?view=easings", "/sites/pellwyn/edges?view=durations", "/sites/pellwyn/edges?view=worn",
        "/sites/pellwyn/pages", "/sites/pellwyn/pages?selected=home-step-1", "/sites/pellwyn/pages?view=pages", "/sites/pellwyn/pages?view=aside",
        "/sites/pellwyn/space", "/sites/pellwyn/space?view=text", "/sites/pellwyn/space?view=page", "/sites/pellwyn/space?view=paper", $"{Large}/space", $"{Large}/edges",
        "/sites/pellwyn/fills", "/sites/pellwyn/fills?gradient=allotment", "/sites/pellwyn/fills?gradient=new", $"{Large}/fills", "/sites/pellwyn/fills?view=backgrounds", "/sites/pellwyn/fills?view=backgrounds&background=new",
        "/sites/pellwyn/type", "/sites/pellwyn/type?view=scale", "/sites/pellwyn/type?view=families", "/sites/pellwyn/frame", "/sites/pellwyn/frame?view=footer", "/sites/pellwyn/frame?view=menus",
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

    /// <summary>What opens over a view: where, and what is clicked one after the other to have it open.</summary>
    public static readonly TheoryData<string, string> Opened = new()
    {
        { "/sites/pellwyn/palette", "button.release" },
        { "/sites/pellwyn/palette", "button.show-as" },
        { "/sites/pellwyn/palette", ".top-bar .bar-button" },
        { "/sites/pellwyn/palette", ".top-bar .bar-button:has(kbd)" },
        { "/sites/pellwyn/palette?view=schemes", ".role-choice" },
        { "/sites/pellwyn/palette?view=pairs", ".pair-row" },
        { "/sites/pellwyn/palette?view=pairs", ".subhead .ant-segmented-item:nth-child(3)" },
        { "/sites/pellwyn/palette", ".steps .strip button" },
        { "/sites/pellwyn/parts?part=button", ".part-choice" },
        { "/sites/pellwyn/parts?part=button", "[aria-label^='Background in Rest']" },
        { "/sites/pellwyn/parts?part=button", ".folded .fold-button" },
        { "/sites/pellwyn/type?view=families", ".family-rows button" },
        { "/sites/pellwyn/edges?view=radii", ".acts > span button" },
        { "/sites/pellwyn/frame", ".value-choice" },
        { "/sites/pellwyn/pages", ".subhead .turns button" },
        { "/", ".home-head .ant-btn-primary" },
        { "/", ".site-acts button[aria-label^='Rename']" },
    };

    [Theory]
    [MemberData(nameof(Opened))]
    public void Axe_finds_nothing_with_what_opens(string view, string button)
    {
        Show(view);
        var before = Count();
        workplace.Browser.Element(button).Click();
        workplace.Browser.Until(() => Count() != before, $"{button} to open something");
        Assert.Empty(Styles.Violations(workplace.Browser));

        long Count() => workplace.Browser.Run<long>("return document.querySelectorAll('*').length");
    }

    /// <summary>Every state open, at the narrowest window: Rest stays in sight beside its property, columns stay wide enough to read, and the head stays.</summary>
    [Fact]
    public void The_ledger_keeps_its_columns()
    {
        workplace.Browser.Resize(1024, 700);
        try
        {
            Show("/sites/pellwyn/parts?part=button");
            while (workplace.Browser.Driver.FindElements(OpenQA.Selenium.By.CssSelector(".folded .fold-button")) is [var fold, ..]) workplace.Browser.Run<object?>("arguments[0].click()", fold);
            Assert.Equal("", workplace.Browser.Run<string>("""
                const room = document.querySelector('.ledger-room');
                room.scrollLeft = 1000;
                room.scrollTop = 60;
                const box = e => e.getBoundingClientRect();
                const cells = [...document.querySelectorAll('[role=grid] tr:nth-child(2) > *')].map(box);
                const head = box(document.querySelector('[role=grid] thead th:nth-child(2)'));
                return [cells[0].left !== box(room).left && 'the property went', Math.abs(cells[1].left - cells[0].right) > 1 && 'Rest went',
                    cells.some(c => c.width < 110) && 'a column is too narrow', head.top !== box(room).top && 'the head went'].filter(Boolean).join();
                """));
        }
        finally
        {
            workplace.Browser.Resize(1280, 800);
        }
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
