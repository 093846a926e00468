using System.Text.Json;
using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Whatever is done to a site, and in whatever order: edits of every kind, by chance.</summary>
public class RandomEditTests
{
    /// <summary>Edits that only the server makes aside, which other tests are about, every kind there is comes up.</summary>
    [Fact]
    public void Edits_of_every_kind_are_tried()
    {
        var tried = new HashSet<Type>();
        RandomEdits.Any.Sample(
            edit =>
            {
                tried.Add(edit.GetType());
            },
            iter: 30_000,
            threads: 1);
        Assert.Equal([nameof(BackToGood), nameof(BringBack), nameof(TakeBack), nameof(TakeLooks)], typeof(Edit).Assembly.GetTypes().Where(t => t.BaseType == typeof(Edit) && !tried.Contains(t)).Select(t => t.Name).Order());
    }

    [Fact]
    public void Every_patch_leads_there_and_back_and_every_site_on_the_way_holds_together() => RandomEdits.Any.Array[1, 25].Sample(edits =>
    {
        var site = Demo.Site;
        foreach (var edit in edits)
        {
            Assert.NotEmpty(edit.Describe(site));
            var outcome = edit.Apply(site);
            Assert.True(outcome.Site is null == outcome.Problems.Count > 0);
            if (outcome.Site is not { } after)
            {
                Assert.All(outcome.Problems, p => Assert.True(p.Path.StartsWith('/') && p.Message.EndsWith('.'), $"{edit}: {p}"));
                continue;
            }
            var patch = Patch.Between(site, after);
            Assert.Equal(Json(after), Json(patch.Apply(site)));
            Assert.Equal(Json(site), Json(patch.Inverse().Apply(after)));
            Assert.True(!SiteCheck.Problems(after).Any(), $"{edit}: {string.Join("; ", SiteCheck.Problems(after))}");
            site = after;
        }
        Assert.Equal(Json(site), Json(SiteFile.Read(SiteFile.Write(site))));
    }, iter: RandomTimes.Of(60));

    [Fact]
    public void Whatever_is_kept_from_before_the_sheet_is_the_one_a_fresh_start_gives() => RandomEdits.Any.Array[1, 12].Sample(edits =>
    {
        var site = Demo.Site;
        foreach (var edit in edits)
        {
            site = edit.Apply(site).Site ?? site;
            _ = StyleSheetRenderer.Render(site);
        }
        // Read anew, nothing is known by reference.
        var fresh = JsonSerializer.Deserialize<Site>(Json(site), SiteJson.Options)!;
        Assert.Equal(SiteRelease.StyleSheet(fresh), SiteRelease.StyleSheet(site));
        foreach (var page in site.Pages) Assert.Equal(PageChanges.Mark(fresh, fresh.Pages.Get(page.Id)), PageChanges.Mark(site, page));
        var generated = StyleSheetText.Generated(StyleSheetRenderer.Render(site), SheetUse.Release, i => i.File);
        Assert.Empty(Parser.ParseStyleSheet(generated).Errors);
        Assert.Empty(OverrideText.Of(generated).Problems);
    }, iter: RandomTimes.Of(40));

    [Fact]
    public void Changed_blocks_their_order_and_the_head_are_all_that_tells_one_page_from_another()
    {
        Gen.Select(RandomEdits.Any.Array[1, 6], RandomEdits.Among([.. Demo.Site.Pages])).Sample(ChangedBlocksTellPagesApart, iter: RandomTimes.Of(60));
        // Found by a random run: the page carries another scheme, and none of its blocks changes.
        ChangedBlocksTellPagesApart([new RemoveThing("scheme", "day", "dusk")], Demo.Site.Pages.Get("membership"));
        // Found by a random run: a block without content came, which is seen where empty places are shown.
        ChangedBlocksTellPagesApart([new AddBlock("new-1", "card", "guide", "footer", -1)], Demo.Site.Pages.Get("contact"));
    }

    private static void ChangedBlocksTellPagesApart(Edit[] edits, Page page)
    {
        var anywhere = new Surroundings((p, _) => p.Slug, i => i.Hash, "", MarkBlocks: true) { ShowEmpty = true };
        var after = edits.Aggregate(Demo.Site, (site, edit) => edit.Apply(site).Site ?? site);
        if (after.Pages.Find(page.Id) is not { } there) return;
        var changed = PageChanges.Between(Demo.Site, after, [page.Id], anywhere).Select(c => c.Block).ToHashSet();
        var before = Blocks.OnPage(Demo.Site, page).ToDictionary(b => b.Id);
        foreach (var now in Blocks.OnPage(after, there))
        {
            var isSame = before.TryGetValue(now.Id, out var was) && PageWriter.Write(Demo.Site, page, was, anywhere) == PageWriter.Write(after, there, now, anywhere);
            Assert.Equal(!isSame, changed.Contains(now.Id));
        }
        var keepsHead = Head(Demo.Site) == Head(after);
        var keepsOrder = !PageChanges.Orders(Demo.Site, after, [page.Id]).Any();
        Assert.Equal(changed.Count == 0 && keepsHead && keepsOrder, PageChanges.Mark(Demo.Site, page) == PageChanges.Mark(after, there));

        // What of the page is written around its blocks; a sidebar has a place of its own there.
        (string Scheme, string Title, string Description, bool HasSidebar) Head(Site site)
        {
            var head = site.Pages.Get(page.Id);
            return (site.Palette.Schemes.Get(head.Scheme).CssName, head.Title, head.Description, PaperKind.HasSidebar(site.Space.Paper[0]));
        }
    }

    private static string Json(Site site) => JsonSerializer.Serialize(site, SiteJson.Options);
}
