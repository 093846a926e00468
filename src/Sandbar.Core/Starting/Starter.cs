using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Core.Starting;

/// <summary>What every site starts from: the roles, and the catalogue's looks read against the site's foundations.</summary>
internal static class Starter
{
    /// <summary>The roles of a site, each with the grounds it must be readable on and the contrast it needs there (WCAG 2.2, 1.4.3 and 1.4.11).</summary>
    public static readonly ImmutableArray<Role> Roles =
    [
        Role("ground", 0), Role("raised", 0),
        Role("text", 4.5m, "ground", "raised"), Role("quiet text", 4.5m, "ground", "raised"), Role("link", 4.5m, "ground", "raised"),
        Role("action", 3, "ground", "raised"), Role("action text", 4.5m, "action"), Role("line", 0), Role("field line", 3, "ground", "raised"),
        Role("attention", 0), Role("attention text", 4.5m, "attention"), Role("focus", 3, "ground", "raised"), Role("selection", 0),
    ];

    /// <summary>The spacing scale, px.</summary>
    public static readonly SpaceFoundation Space = new([.. new[] { 4, 8, 16, 24, 32, 56, 88 }.Select((px, i) => new SpaceStep($"space-{i + 1}", Px(px)))])
    {
        Pages =
        [
            new("narrow", Px(1120), ToSpace(4), ToSpace(6), ToSpace(5)),
            .. PageSpacing.Usual.Skip(1),
        ],
        Rules = [SpaceRules.Usual with { Meeting = new WordValue(SpaceRules.Larger) }],
    };

    /// <summary>How things change over time: what looks may name.</summary>
    public static readonly MotionFoundation Motion = new([new("gentle", "gentle", "gentle", Plain(0.2m), Plain(0), Plain(0), Plain(1))])
    {
        Durations =
        [
            new("quick", "quick", "quick", new NumberValue(150, "ms"), new NumberValue(0, "ms")),
            new("calm", "calm", "calm", new NumberValue(400, "ms"), new NumberValue(0, "ms")),
        ],
    };

    /// <summary>The edges that the catalogue's looks name.</summary>
    public static readonly EdgeFoundation Edges = new(
        [
            Border("hairline", 1, "line"), Border("action line", 1, "action"), Border("field line", 1, "field-line"), Border("bright", 2, "attention"), Border("ring", 3, "focus"),
        ],
        [new("soft", "soft", "soft", Px(6)), new("round", "round", "round", Px(14))],
        [new("lift", "lift", "lift", [new("layer-1", Px(0), Px(6), Px(18), Px(-4), ToRole("text"), new NumberValue(22, "%"))])]);

    public static readonly FillFoundation Fills = new([GradientKind.Between("dawn", "dawn", "dawn", 160, ToRole("raised"), ToRole("ground"))]);

    /// <summary>Two families, a scale, and the text styles that the catalogue's looks name.</summary>
    /// <param name="narrowBase">Body text at 390 px, px.</param>
    /// <param name="wideBase">Body text at 1280 px, px.</param>
    public static TypeFoundation Type(Family heading, Family text, decimal narrowBase, decimal wideBase) => new(
        [heading, text],
        new([End(ScaleEndKind.Narrow, 390, narrowBase, 1.2m), End(ScaleEndKind.Wide, 1280, wideBase, 1.25m)], -2, 5),
        [
            Style("Body", text, 0, 400, 1.6m),
            Style("Lead", text, 1, 400, 1.5m),
            Style("Caption", text, -1, 400, 1.5m),
            Style("Label", text, -1, 600, 1.3m),
            Style("Eyebrow", text, -2, 600, 1.3m, 0.08m, "uppercase"),
            Style("Name", heading, 1, 600, 1.2m),
            Style("Display", heading, 5, 600, 1.08m, -0.01m),
            Style("Title", heading, 3, 600, 1.15m),
            Style("Subtitle", heading, 1, 600, 1.25m),
        ]);

    /// <summary>A colour of the palette at a step.</summary>
    public static Value ToColor(string color, int step = 0) => new ReferenceValue(ColorKind.Kind, color, step);

    /// <summary>What reads best on a role.</summary>
    public static Value Readable(string role) => new ReadableValue(ToRole(role));

    /// <summary>A colour that is called as its id.</summary>
    public static BaseColor Color(string name, string css) => new(name, name, name, new FixedColorValue(css));

    /// <summary>A scheme.</summary>
    /// <param name="turnsInto">Id of the scheme it turns into; null where it stays.</param>
    public static Scheme Scheme(string name, string? turnsInto, params (string Role, Value Color)[] colors) => new(
        Names.Slug(name), name, Names.Slug(name), colors.ToImmutableSortedDictionary(c => c.Role, c => c.Color, StringComparer.Ordinal),
        turnsInto is null ? new WordValue("stays") : new ReferenceValue(SchemeKind.Kind, turnsInto));

    /// <summary>A look for each the catalogue proposes.</summary>
    public static Site WithLooks(Site site)
    {
        ImmutableArray<Look> looks = [.. PartCatalogue.All.SelectMany(part => part.Looks.Select(seed => CatalogueLooks.FromSeed(site, part, seed)))];
        return site with { Looks = looks, TakenLooks = looks.Select(l => l.Id).ToImmutableSortedSet(StringComparer.Ordinal) };
    }

    private static Value ToRole(string role) => new ReferenceValue(RoleKind.Kind, role);

    private static ReferenceValue ToSpace(int place) => new ReferenceValue(SpaceKind.Kind, $"space-{place}");

    private static NumberValue Plain(decimal number) => new(number, "");

    private static NumberValue Px(decimal px) => new(px, "px");

    private static Role Role(string name, decimal target, params string[] on) => new(
        Names.Slug(name), name, Names.Slug(name), on.Length == 0 ? new WordValue("none") : new ListValue([.. on.Select(ToRole)]), new NumberValue(target, ""));

    private static ScaleEnd End(string id, decimal width, decimal size, decimal ratio) => new(id, Px(width), Px(size), new NumberValue(ratio, ""));

    private static Border Border(string name, int width, string role) => new(Names.Slug(name), name, Names.Slug(name), Px(width), new WordValue("solid"), ToRole(role));

    private static TextStyle Style(string name, Family family, int size, int weight, decimal lineHeight, decimal spacing = 0, string textCase = "none") => new(
        Names.Slug(name), name, Names.Slug(name), new ReferenceValue(FamilyKind.Kind, family.Id), new ReferenceValue(SizeKind.Kind, "", size), new NumberValue(weight, ""),
        new NumberValue(lineHeight, ""), new NumberValue(spacing, spacing == 0 ? "" : "em"), new WordValue(textCase), new WordValue("upright"));
}
