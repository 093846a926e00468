using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Editing;

/// <summary>A site from before the catalogue had a part, or a look of one: it is shown as it is, and gets what has come.</summary>
public class TakeLooksTests
{
    public static TheoryData<string> Parts => [.. PartCatalogue.All.Select(p => p.Id)];

    [Theory]
    [MemberData(nameof(Parts))]
    public void A_site_without_the_looks_of_a_part_is_shown_and_gets_them(string part)
    {
        var before = Without(l => l.Part == part);
        Show(before);
        var edit = TakeLooks.For(before)!;
        Assert.StartsWith("New with this Sandbar: ", edit.Describe(before), StringComparison.Ordinal);
        var after = before.After(edit);
        Assert.Empty(SiteCheck.Problems(after));
        Assert.Equal(Demo.Site.Looks.Select(l => l.Id).Order(), after.Looks.Select(l => l.Id).Order());
        Assert.Null(TakeLooks.For(after));
        Assert.Contains("already", after.Refused(edit).Message, StringComparison.Ordinal);
    }

    [Theory]
    [MemberData(nameof(Parts))]
    public void One_look_that_is_missing_comes_with_its_own_name(string part)
    {
        foreach (var seed in PartCatalogue.Find(part)!.Looks)
        {
            var id = PartCatalogue.Find(part)!.LookId(seed);
            var before = Without(l => l.Id == id);
            var after = before.After(TakeLooks.For(before)!);
            Assert.Equal(seed.Name, after.Looks.Get(id).Name);
            Assert.Equal(after.Looks.Get(id).Cells.Count > 0, SiteRelease.StyleSheet(before) != SiteRelease.StyleSheet(after));
        }
    }

    /// <summary>A block of a part that this program does not have.</summary>
    [Fact]
    public void A_part_that_is_not_known_is_left_out()
    {
        var home = Demo.Site.Pages[0];
        Show(Demo.Site with { Pages = Demo.Site.Pages.Put(home with { Sections = home.Sections.Add(home.Sections[0] with { Id = "unknown", Part = "unknown", Look = "unknown" }) }) });
    }

    /// <summary>Undo takes them out; the next start does not bring them again.</summary>
    [Fact]
    public void Taken_back_they_stay_away()
    {
        var before = Without(l => l.Id == "table-standard");
        var after = before.After(TakeLooks.For(before)!);
        var entry = new JournalEntry(new(1, DateTimeOffset.UnixEpoch, "", "g", ""), Patch.Between(before, after));
        var undone = History.Reverse(new("g", "", Again: false), [entry], after).Patch.Apply(after);
        Assert.Null(undone.Looks.Find("table-standard"));
        Assert.Null(TakeLooks.For(undone));
    }

    private static Site Without(Func<Look, bool> isGone) => Demo.Site with
    {
        Looks = Demo.Site.Looks.RemoveAll(l => isGone(l)),
        TakenLooks = Demo.Site.TakenLooks.Except(Demo.Site.Looks.Where(isGone).Select(l => l.Id)),
    };

    private static void Show(Site site)
    {
        Assert.NotEmpty(SiteRelease.StyleSheet(site));
        foreach (var page in site.Pages) Assert.Contains("</html>", PageWriter.Write(site, page, new((p, _) => p.Slug, i => i.File, "", MarkBlocks: true)), StringComparison.Ordinal);
        Assert.Contains("</html>", Specimen.Write(site, new((p, _) => p.Slug, i => i.File, "", MarkBlocks: true)), StringComparison.Ordinal);
    }
}
