using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Css.Colors;
using static Sandbar.Core.Starting.Content;

namespace Sandbar.Core.Starting;

/// <summary>What a designer says of a new site. All but the name can be left open.</summary>
/// <param name="Color">Its main colour, any CSS colour.</param>
/// <param name="Heading">Id of a bundled family for headings.</param>
/// <param name="Text">Id of a bundled family for text.</param>
/// <param name="Base">Size of body text on wide screens, px.</param>
public sealed record NewSiteWishes(string Name, string? Color, string? Heading, string? Text, string? Base);

/// <summary>A site to begin with: one page, two schemes made from one colour, every look of the catalogue. It passes its own checks.</summary>
public static class NewSite
{
    private const string UsualColor = "#2f6f73", UsualHeading = "source-serif-4", UsualText = "public-sans";
    private const decimal UsualBase = 18, LeastBase = 12, MostBase = 28;

    /// <summary>The site, or what is wrong with the wishes.</summary>
    /// <param name="slug">An address that is free.</param>
    public static (SiteWithAssets? Site, IReadOnlyList<Problem> Problems) Create(NewSiteWishes wishes, string slug)
    {
        var color = Given(wishes.Color) ?? UsualColor;
        var heading = BundledFamilies.Find(Given(wishes.Heading) ?? UsualHeading);
        var text = BundledFamilies.Find(Given(wishes.Text) ?? UsualText);
        var size = UsualBase;
        var problems = new List<Problem>();
        if (Names.Check(wishes.Name, []) is { } badName) problems.Add(badName);
        if (!ColorText.TryParse(color, out _)) problems.Add(new("/color", ColorText.Unreadable(color)));
        if (heading is null) problems.Add(new("/heading", "There is no such family on the shelf."));
        if (text is null) problems.Add(new("/text", "There is no such family on the shelf."));
        if (Given(wishes.Base) is { } typed && !TryBase(typed, out size)) problems.Add(new("/base", $"The base size is a number of px between {LeastBase} and {MostBase}."));
        if (problems.Count > 0) return (null, problems);

        BundledFamily[] families = heading == text ? [text!] : [heading!, text!];
        var textFamily = text!.AsFamily("text", "text");
        var headingFamily = heading == text ? textFamily : heading!.AsFamily("heading", "heading");
        var type = Starter.Type(headingFamily, textFamily, size > 16 ? size - 1 : size, size);
        var site = new Site(
            Site.CurrentFormat, wishes.Name.Trim(), slug, StartingPalette.From(color), type with { Families = [.. type.Families.Distinct()] },
            Starter.Space, Starter.Edges, Starter.Fills, [], [], Frame(wishes.Name.Trim()), [Home(wishes.Name.Trim())],
            [new("main", "Main", [new("main-home", "Home", "home")])], [.. families.SelectMany(f => f.Files).Select(f => f.Item)], new(""))
        {
            Motion = Starter.Motion,
        };
        return (new(Starter.WithLooks(site), [.. families.SelectMany(f => f.Assets)]), []);
    }

    private static string? Given(string? wish) => string.IsNullOrWhiteSpace(wish) ? null : wish.Trim();

    private static bool TryBase(string typed, out decimal size) =>
        decimal.TryParse(typed.Replace("px", "", StringComparison.OrdinalIgnoreCase).Trim(), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out size)
        && size is >= LeastBase and <= MostBase;

    private static Frame Frame(string name) => new(
        Make("header", "header", "Standard", "Header", null, [("name", name), ("to", "home")], Menu("header-menu", "Bar", "main", "Main"), Button("header-action", "Filled", "First step", "home")),
        Make("footer", "footer", "Standard", "Footer", "dusk", [("credit", "Say here whose site this is and how to reach them.")], Menu("footer-menu", "Column", "main", "Footer")));

    private static Page Home(string name) => new("home", "Home", "index", name, "", "day",
    [
        Section("home-banner", "Banner", "Banner", null,
            Stack("home-banner-text",
                Paragraph("home-eyebrow", "Eyebrow", "What kind of place this is"),
                Heading("home-title", 1, name),
                Paragraph("home-lead", "Lead", "Say in a sentence or two what this site is for, and for whom."),
                InLine("home-actions", Button("home-first", "Filled", "First step", "home"), Button("home-second", "Outlined", "Second step", "home")))),
        Section("home-offers", "Offers", "Raised", null,
            Heading("home-offers-title", 2, "What people find here"),
            Cards("home-cards",
                Card("home-card-1", "Standard", "", "", "One", "The thing most come for", "Two lines at most: what it is, and what it is good for.", "home"),
                Card("home-card-2", "Featured", "", "", "Two", "The thing you want them to see", "A featured card wears the bright border; one in a row is enough.", "home"),
                Card("home-card-3", "Standard", "", "", "Three", "The thing for those who know you", "Cards of a row grow to the same height, whatever they hold.", "home"))),
        Section("home-more", "More", "Standard", null,
            Heading("home-more-title", 2, "How it goes on"),
            Paragraph("home-more-text", "Standard", "Running text takes the Body style. A [link](home) in it wears the Link look, and stands out by its line as well as by its colour."),
            List("home-more-list", "What comes next", "- Change the colours under Palette\n- Choose letters under Type\n- Give buttons and cards their looks under Parts")),
    ]);
}
