using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Interchange;

/// <summary>Documents of earlier formats: site files that the program of that time wrote (tests/samples) open, and nothing in them is lost.</summary>
public partial class UpgradeTests
{
    [Theory]
    [InlineData("format-1/pellwyn.zip")]
    [InlineData("format-1/gruen.zip")]
    public void A_file_of_an_earlier_format_opens_and_holds_together(string sample)
    {
        var site = Read(sample);
        Assert.Equal(Site.CurrentFormat, site.Format);
        Assert.Empty(SiteCheck.Problems(site));
        // What the catalogue has gained since comes as an edit that the history shows.
        Assert.Equal(["split-standard", "group-box", "group-featured", "posts-list", "posts-cards", "categories-column", "categories-tags", "paging-standard"], TakeLooks.For(site)!.Looks);
        Assert.Empty(SiteCheck.Problems(site.After(TakeLooks.For(site)!)));
        Assert.Equal(SiteFile.Write(site), SiteFile.Write(SiteFile.Read(SiteFile.Write(site))));
        foreach (var page in site.Pages) Assert.NotEmpty(PageWriter.Write(site, page, new((p, _) => p.Slug, i => i.File, "", MarkBlocks: false)));
        Assert.NotEmpty(Specimen.Write(site, new((p, _) => p.Slug, i => i.File, "", MarkBlocks: true)));
    }

    [Fact]
    public void What_was_set_is_what_is_set()
    {
        var site = Read("format-1/pellwyn.zip");
        Assert.Equal("space 2 (space 3 * 1.5)", Cell(site, "button-filled", "padding"));
        Assert.Equal("(rest + 1px)", Cell(site, "button-filled", "padding@hover"));
        Assert.Equal("Deep moss shade 1", Cell(site, "button-filled", "background@pressed"));
        Assert.Equal("attention shade 1", Cell(site, "list-standard", "marker-text-color"));
        Assert.Equal("#fffbe0", Cell(site, "card-standard", "background@hover"));
        Assert.Equal("space 5 + 4px", Cell(site, "section-raised", "content-gap@rest@820-"));
        Assert.Equal("one below another", Cell(site, "group-stack", "direction"));
        Assert.Equal("side by side", Cell(site, "group-in-line", "direction"));
        Assert.Equal("One below another", site.Looks.Get("group-stack").Name);
        Assert.Equal("one below another", Cell(site, "menu-column", "direction"));
        Assert.Equal(["15px", "700", "1.8", "0.02em", "capitals", "italic"], new[] { "size", "weight", "line-height", "letter-spacing", "case", "slant" }.Select(f => FieldOf(site, "textStyle", "ts-1", f)));
        Assert.Equal(["16px", "1.333"], [FieldOf(site, "scaleEnd", "narrow", "base"), FieldOf(site, "scaleEnd", "wide", "ratio")]);
        Assert.Equal("readable on ground", FieldOf(site, "scheme", "dusk", "colors/line"));
        Assert.Equal("Day", FieldOf(site, "scheme", "dusk", "turns-into"));
        Assert.Equal("dusk", site.Frame.Header.Scheme);
        Assert.Equal(["Home", "Find us", "Catalogue", "Workshops", "Membership", "Contact"], site.Menus[0].Items.Select(i => i.Label));
    }

    /// <summary>Names that meant two things have one of their own, in the overrides too.</summary>
    [Fact]
    public void Ambiguous_names_are_told_apart()
    {
        var site = Read("format-1/pellwyn.zip");
        Assert.Equal(["action colour", "none colour", "leaf tint 2 colour"], new[] { "named-action", "named-none", "stepped" }.Select(id => site.Palette.Colors.Get(id).Name));
        Assert.Equal("leaf-tint-2-2", site.Palette.Colors.Get("stepped").CssName);
        Assert.Contains("var(--color-action)", site.Overrides.Site, StringComparison.Ordinal);
        Assert.Contains("var(--color-leaf-tint-2-2-tint-1)", site.Overrides.Site, StringComparison.Ordinal);
        Assert.Equal("leaf tint 2 colour tint 1", FieldOf(site, "scheme", "day", "colors/attention"));
    }

    /// <summary>The stylesheet that the program of that time released, declaration by declaration: the same but for what the new form says otherwise.</summary>
    [Fact]
    public void The_stylesheet_is_the_one_released_before()
    {
        var before = Declarations(File.ReadAllText(Sample("format-1/pellwyn.css")));
        var after = Declarations(SiteRelease.StyleSheet(Read("format-1/pellwyn.zip")));
        // Of two colours with one custom property the later won; now each has its own.
        before = [.. before.Where(d => !StandIn().IsMatch(d)).Select(d => StepOfAStep().Replace(d, "--color-leaf-tint-2-2$1"))];
        // Since then something stands in for fonts on their way, and posts are listed.
        after = [.. after.Where(d => !StandIn().IsMatch(d) && !NewPart().IsMatch(d)).Select(d => Fallback().Replace(d, ""))];
        static IEnumerable<string> Other(IEnumerable<string> declarations) => declarations.Where(d => !d.Contains("--color-leaf-tint-2", StringComparison.Ordinal));
        // What was said by margins of 0 on each part is said once; gaps of stacks are margins of what stands in them, and come to the same: space before and after adds to the gap as it did.
        Assert.Equal(
            [
                ".group { flex-direction: column }", ".group-in-line { flex-direction: row }", ".group-in-line { flex-wrap: wrap }", ".group-in-line { gap: var(--space-3) }", ".group-stack { gap: var(--space-4) }",
                ".menu { flex-wrap: wrap }", ".menu-column { flex-direction: column }",
                ".section-banner > .content { gap: var(--space-5) }", ".section-raised > .content { gap: var(--space-5) }", ".section-standard > .content { gap: var(--space-5) }", ".site-footer > .content { gap: var(--space-5) }",
                "@media (width < 600px) .section-raised > .content { gap: var(--space-3) }", "@media (width >= 820px) .section-raised > .content { gap: calc(var(--space-5) + 4px) }",
            ],
            Other(before.Except(after).Where(d => !d.EndsWith(" { margin: 0 }", StringComparison.Ordinal) && !d.Contains("gradient-dawn", StringComparison.Ordinal)).Order(StringComparer.Ordinal)));
        Assert.Equal(
            [
                // A gradient is said apart from where it lies, since it may be several images.
                ".button-filled[aria-current] { background-image: var(--gradient-dawn) }", ".button-filled[aria-current] { background: border-box }",
                ".group { --own-gap: 0px }", ".group { --own-stacked: 1 }", ".group { gap: calc((1 - var(--own-stacked)) * var(--own-gap)) var(--own-gap) }",
                ".group-in-line > * { --stack-gap: var(--space-3) }", ".group-in-line > * { --stacked: 0 }", ".group-in-line { --own-gap: var(--space-3) }", ".group-in-line { --own-stacked: 0 }", ".group-in-line { flex-flow: row wrap }",
                ".group-stack > * { --stack-gap: var(--space-4) }", ".group-stack > * { --stacked: 1 }", ".group-stack { --own-gap: var(--space-4) }", ".group-stack { --own-stacked: 1 }", ".group-stack { flex-flow: column nowrap }",
                ".menu-bar { flex-flow: row wrap }", ".menu-column { flex-flow: column nowrap }",
                // The ground of a section may have a width; without one it is as wide as it was.
                ".section { inline-size: 100% }", ".section { margin-inline: auto }",
                ".section-banner > .content > * { --stack-gap: var(--space-5) }", ".section-raised > .content > * { --stack-gap: var(--space-5) }", ".section-standard > .content > * { --stack-gap: var(--space-5) }",
                ".site-footer > .content > * { --stack-gap: var(--space-5) }",
                "@media (width < 600px) .section-raised > .content > * { --stack-gap: var(--space-3) }", "@media (width >= 820px) .section-raised > .content > * { --stack-gap: calc(var(--space-5) + 4px) }",
            ],
            Other(after.Except(before).Where(d => !d.StartsWith(":root { --page-", StringComparison.Ordinal) && !d.StartsWith(":where(", StringComparison.Ordinal)).Order(StringComparer.Ordinal)));
    }

    /// <summary>What settings of the same format did not have yet is as it was before they could be set: nothing on the pages moves.</summary>
    [Fact]
    public void What_a_document_of_this_format_does_not_say_yet_is_as_usual()
    {
        var document = JsonNode.Parse(Json(Demo.Site))!.AsObject();
        Without(document["space"]!, "scale", "ends", "pages", "rules", "paper");
        foreach (var step in document["space"]!["steps"]!.AsArray()) Without(step!, "wide");
        foreach (var border in document["edges"]!["borders"]!.AsArray()) Without(border!, "opacity", "along", "second", "distance", "secondWidth", "secondStyle", "secondColor", "strength");
        foreach (var radius in document["edges"]!["radii"]!.AsArray()) Without(radius!, "down");
        foreach (var shadow in document["edges"]!["shadows"]!.AsArray())
        {
            foreach (var layer in shadow!["layers"]!.AsArray()) Without(layer!, "side");
        }
        foreach (var background in document["fills"]!["backgrounds"]!.AsArray())
        {
            Without(background!, "group", "blur");
            foreach (var layer in background!["layers"]!.AsArray()) Without(layer!, "opacity", "blend", "shown", "centre", "fit", "repeat", "focusX", "focusY", "attachment", "slower", "toning", "shadows", "highlights", "loop", "from", "until", "sound");
        }
        foreach (var item in document["shelf"]!.AsArray()) Without(item!, "alt", "focusX", "focusY", "address", "poster");
        foreach (var gradient in document["fills"]!["gradients"]!.AsArray())
        {
            Without(gradient!, "group", "toward", "repeats", "reachX", "reachY", "space", "hue");
            foreach (var stop in gradient!["stops"]!.AsArray()) Without(stop!, "alpha", "middle", "x", "y", "reach");
        }
        Without(document["motion"]!, "durations");
        foreach (var easing in document["motion"]!["easings"]!.AsArray()) Without(easing!, "shape", "steps", "jump", "bounce", "reduced");
        foreach (var look in document["looks"]!.AsArray())
        {
            // Cells that name what was not there are of today.
            foreach (var cell in look!["cells"]!.AsObject().Where(c => c.Value!.ToJsonString().Contains("\"duration\"", StringComparison.Ordinal)).ToList()) look["cells"]!.AsObject().Remove(cell.Key);
        }
        var site = StoredDocument.Parse(document.ToJsonString()).Read();
        Assert.Empty(SiteCheck.Problems(site));
        Assert.Equal("both add to the gap", FieldOf(site, "spaceRules", "rules", "meeting"));
        Assert.Equal(("full bleed", "none", "one by one"), (FieldOf(site, "paper", "paper", "width"), FieldOf(site, "border", "hairline", "second"), FieldOf(site, "spaceScale", "scale", "by")));
        Assert.DoesNotContain(".paper", SiteRelease.StyleSheet(site), StringComparison.Ordinal);
        Assert.Equal(SiteFile.Write(site), SiteFile.Write(SiteFile.Read(SiteFile.Write(site))));
        static void Without(JsonNode of, params string[] members)
        {
            foreach (var member in members) of.AsObject().Remove(member);
        }
    }

    [Theory]
    [InlineData("{\"format\":1,\"palette\":{}}")]
    [InlineData("{\"format\":1,\"palette\":{\"colors\":[null],\"roles\":[],\"schemes\":[]}}")]
    [InlineData("{\"format\":1,\"palette\":7}")]
    [InlineData("{\"format\":2}")]
    [InlineData("{\"format\":2,\"palette\":null}")]
    public void What_lacks_what_every_site_has_is_refused_with_a_sentence(string text) =>
        Assert.EndsWith(".", Assert.Throws<FormatException>(() => SiteFile.Read(text)).Message, StringComparison.Ordinal);

    /// <summary>Patches are applied to stored JSON when a site is opened, and to records while it is edited: both come to the same.</summary>
    [Fact]
    public void A_patch_does_to_a_document_what_it_does_to_a_site() => RandomEdits.Any.Array[1, 20].Sample(edits =>
    {
        var document = StoredDocument.Parse(Json(Demo.Site));
        var site = Demo.Site;
        foreach (var edit in edits)
        {
            if (edit.Apply(site).Site is not { } after) continue;
            var patch = Patch.Between(site, after);
            document.Apply(JsonSerializer.Serialize(patch, SiteJson.Options));
            site = after;
            // And back again, as undo has it.
            if (patch.Changes.Length % 3 == 0)
            {
                document.Apply(JsonSerializer.Serialize(patch.Inverse(), SiteJson.Options));
                site = patch.Inverse().Apply(site);
            }
        }
        Assert.Equal(Json(site), Json(document.Read()));
    }, iter: 60);

    [Fact]
    public void A_patch_of_an_earlier_format_cannot_follow_a_later_document()
    {
        var document = StoredDocument.Parse(Json(Demo.Site));
        Assert.Throws<InvalidDataException>(() => document.Apply("{\"format\":1,\"changes\":[]}"));
    }

    [GeneratedRegex("^@font-face .*(-override|size-adjust|local\\(| Fallback|font-weight: \\d+ \\}|font-style)")]
    private static partial Regex StandIn();

    [GeneratedRegex("^[^{]*\\.(post|categor|paging|split)")]
    private static partial Regex NewPart();

    [GeneratedRegex(", \"[^\"]* Fallback\"")]
    private static partial Regex Fallback();

    [GeneratedRegex(@"--color-leaf-tint-2(-(?:tint|shade)-\d)")]
    private static partial Regex StepOfAStep();

    private static string Sample(string name) => Path.Combine(AppContext.BaseDirectory, "samples", name);

    private static Site Read(string sample)
    {
        using var zip = ZipFile.OpenRead(Sample(sample));
        using var reader = new StreamReader(zip.Entries.Single(e => e.Name.EndsWith(SiteFile.Extension, StringComparison.Ordinal)).Open());
        return SiteFile.Read(reader.ReadToEnd());
    }

    private static string Json(Site site) => JsonSerializer.Serialize(site, SiteJson.Options);

    private static string Cell(Site site, string look, string key)
    {
        var found = site.Looks.Get(look);
        return Catalogue.PartCatalogue.Get(found.Part).Property(CellKey.Parse(key).Property)!.Write(site, found.Cells[key]);
    }

    private static string FieldOf(Site site, string kind, string id, string field)
    {
        var listed = Kinds.Listed(kind);
        var found = listed.Field(site, field)!;
        return found.Setting.Write(site, found.Get(listed.Get(site, id)));
    }

    private static List<string> Declarations(string css)
    {
        var sheet = Parser.ParseStyleSheet(css);
        return [.. sheet.Rules.SelectMany(r => Of(r, "")).Order(StringComparer.Ordinal)];

        IEnumerable<string> Of(RuleNode rule, string around)
        {
            var prelude = css[rule.Start..(rule switch { StyleRuleNode s => s.BlockStart, AtRuleNode { BlockStart: >= 0 } a => a.BlockStart, _ => rule.End })].Trim();
            var here = prelude.StartsWith("@layer", StringComparison.Ordinal) ? around : around.Length == 0 ? prelude : $"{around} {prelude}";
            foreach (var item in rule.Items)
            {
                if (item is RuleNode inner)
                {
                    foreach (var d in Of(inner, here)) yield return d;
                }
                else if (item is DeclarationNode declaration)
                {
                    yield return $"{here} {{ {sheet.Text(declaration)} }}";
                }
            }
        }
    }
}
