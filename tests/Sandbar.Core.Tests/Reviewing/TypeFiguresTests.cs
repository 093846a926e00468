using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Fonts;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Figures of text styles: how long lines are, what is too small, what families lack, whether zoom helps.</summary>
public class TypeFiguresTests
{
    private static readonly Dictionary<string, TextMeasure> Read = [];

    private static TextMeasure? Font(ShelfItem item)
    {
        lock (Read)
        {
            if (BundledFamilies.Asset(item.Hash) is not { } asset) return null;
            if (!Read.TryGetValue(item.Hash, out var font)) Read[item.Hash] = font = new(Sandbar.Fonts.FontFile.Read(asset.Bytes));
            return font;
        }
    }

    private static StyleFigures Of(Site site, string style, params MeasuredBox[] boxes) => TypeFigures.Of(site, boxes, Font).Single(f => f.Style == style);

    private static IEnumerable<TypeConcern> Concerns(Site site, string style, params MeasuredBox[] boxes) => Of(site, style, boxes).Findings.Select(f => f.Concern);

    [Fact]
    public void Characters_a_line_follow_from_the_advances_of_what_is_written_there()
    {
        var texts = TextInUse.Of(Demo.Site, Demo.Site.Type.Styles.Get("body"));
        Assert.True(texts.Length > 10);
        using var measure = new TextMeasure(Sandbar.Fonts.FontFile.Read(BundledFamilies.Find("figtree")!.Assets[0].Bytes));
        var advance = texts.Sum(t => measure.Width(t, 18, 400)) / texts.Sum(t => t.Length);
        var figures = Of(Demo.Site, "body", new("body", 1280, 600, "a"), new("body", 1280, 500, "b"), new("body", 390, 342, "c"));
        Assert.Equal([390, 1280], figures.Lines.Select(l => l.Width));
        Assert.Equal(600 / advance, figures.Lines[1].Characters, 0.6);
        Assert.Equal("a", figures.Lines[1].Block);
        Assert.Empty(Of(Demo.Site, "body").Lines);
        // Wider letters, fewer of them.
        var spaced = Of(Demo.Site.After(Do.Style("body", "letter-spacing", "0.1em")), "body", new MeasuredBox("body", 1280, 600, "a"));
        Assert.Equal(600 / (advance + 1.8), spaced.Lines[0].Characters, 0.6);
        Assert.True(Of(Demo.Site.After(Do.Style("body", "case", "capitals")), "body", new MeasuredBox("body", 1280, 600, "a")).Lines[0].Characters < figures.Lines[1].Characters);
    }

    [Fact]
    public void Axes_make_lines_longer_or_shorter()
    {
        var site = Demo.Site.After(new SetThing("family", "figtree", "letters", "Martian Mono"));
        var wide = Of(site.After(Do.Style("body", "axes", "wdth 112.5")), "body", new MeasuredBox("body", 1280, 600, "a")).Lines[0].Characters;
        var narrow = Of(site.After(Do.Style("body", "axes", "wdth 75")), "body", new MeasuredBox("body", 1280, 600, "a")).Lines[0].Characters;
        Assert.InRange((double)narrow / wide, 1.2, 1.6);
    }

    [Fact]
    public void What_is_hard_to_read_is_said_with_what_it_rests_on()
    {
        Assert.Contains(TypeConcern.LongLines, Concerns(Demo.Site, "body", new MeasuredBox("body", 1280, 900, "a")));
        Assert.DoesNotContain(TypeConcern.LongLines, Concerns(Demo.Site, "body", new MeasuredBox("body", 1280, 600, "a")));
        var tight = Demo.Site.After(Do.Style("body", "line-height", "1.3"));
        Assert.Contains(TypeConcern.TightLines, Concerns(tight, "body", new MeasuredBox("body", 1280, 600, "a")));
        // A short line in a narrow column is no running text.
        Assert.DoesNotContain(TypeConcern.TightLines, Concerns(tight, "body", new MeasuredBox("body", 1280, 200, "a")));
        Assert.Contains(TypeConcern.SmallLetters, Concerns(Demo.Site.After(Do.Style("body", "size", "11px")), "body"));
        Assert.Contains("no published source", Of(Demo.Site.After(Do.Style("body", "size", "11px")), "body").Findings.Single(f => f.Concern == TypeConcern.SmallLetters).Source, StringComparison.Ordinal);
        Assert.Contains(TypeConcern.Zoom, Concerns(Demo.Site.After(Do.Style("body", "size", "4vw")), "body"));
        Assert.Empty(Concerns(Demo.Site, "body", new MeasuredBox("body", 1280, 600, "a")));
    }

    [Fact]
    public void What_a_family_lacks_is_found_on_the_pages()
    {
        Assert.Equal("Figtree has no 950: it is shown as 900.", Of(Demo.Site.After(Do.Style("body", "weight", "950")), "body").Findings.Single().Says);
        var abril = Demo.Site.After(new SetThing("family", "figtree", "letters", "Abril Fatface"));
        Assert.Contains("thickens", Of(abril.After(Do.Style("label", "weight", "700")), "label").Findings.Single(f => f.Concern == TypeConcern.Weight).Says, StringComparison.Ordinal);
        Assert.Contains(TypeConcern.Slant, Concerns(abril.After(Do.Style("body", "slant", "italic")), "body"));
        var paragraph = Blocks.All(Demo.Site).First(b => b.Part == "paragraph" && b.Look == "paragraph-standard");
        var greek = Demo.Site.After(new SetContent(paragraph.Id, "text", "Σπόροι and seeds, Łódź"));
        Assert.Equal("Figtree has no Σ, π, ό, ρ, ο, ι: they come from another font.", Of(greek, "body").Findings.Single(f => f.Concern == TypeConcern.Characters).Says);
    }

    [Fact]
    public void Every_text_on_the_pages_is_somebodys()
    {
        var site = Demo.Site;
        Assert.Contains(site.Name, string.Join(' ', site.Type.Styles.SelectMany(s => TextInUse.Of(site, s))), StringComparison.Ordinal);
        var wearers = TextInUse.Wearers(site, StyleSheetRenderer.Render(site)).ToList();
        Assert.Contains(wearers, w => w.Style == "lead" && w.Selector.Contains("paragraph-lead", StringComparison.Ordinal));
        Assert.All(wearers, w => Assert.NotNull(site.Type.Styles.Find(w.Style)));
    }

    /// <summary>Zoom of 500 % at most reaches twice the size where the larger end is at most 2.5 times the smaller one: the rule of the fluid sizes of CLI.md.</summary>
    [Theory]
    [InlineData(16, 16, true)]
    [InlineData(16, 39, true)]
    [InlineData(16, 41, false)]
    [InlineData(40, 16, true)]
    public void Zoom_helps_where_the_ends_are_not_too_far_apart(double narrow, double wide, bool helps)
    {
        var doubled = TextFigures.DoubledAt(Demo.Site.Type.Scale.Ends, width => Fluid.At(width, 390, narrow, 1280, wide));
        Assert.Equal(helps, doubled is not null);
        if (narrow == wide) Assert.Equal(200, doubled);
        if (narrow < wide) Assert.Equal(Fluid.IsZoomSafe(narrow, wide), helps);
    }
}
