using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Styling;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>How far an edit reaches: what is counted is found here with selectors written by hand.</summary>
public class ReachTests
{
    [Fact]
    public void A_cell_reaches_the_elements_of_its_look() =>
        AssertReach(new SetCell("button-outlined", "radius", State.Rest, null, null, "none"), ".button-outlined");

    [Fact]
    public void A_state_reaches_the_elements_that_can_come_into_it() =>
        AssertReach(new SetCell("menu-bar", "text-color", State.Hover, null, null, "link"), ".menu-bar .menu-link");

    /// <summary>A role reaches what reads it in its scheme and nothing else: in Dusk, the quiet text of the footer and of the banner that wears it.</summary>
    [Fact]
    public void A_role_reaches_only_what_stands_in_its_scheme()
    {
        Assert.DoesNotContain(Demo.Site.Pages, p => p.Scheme == "dusk");
        var reads = StyleSheetRenderer.Render(Demo.Site).Rules.Where(r => r.Declarations.Any(d => d.Value == "var(--role-quiet-text)")).Select(r => r.Elements).Distinct().ToList();
        // What turns into Dusk for those who prefer dark would be reached, too.
        var site = Demo.Site.After(Do.Turn("day", "stays"));
        Assert.Equal(Count(string.Join(", ", reads.Select(s => $"[data-scheme='dusk'] :is({s})"))), Reach.Of(site, site.After(Do.Role("dusk", "quiet-text", "chalk")), TestContext.Current.CancellationToken));
        Assert.True(Reach.Of(Demo.Site, Demo.Site.After(Do.Role("dusk", "quiet-text", "chalk")), TestContext.Current.CancellationToken).Elements > Count("[data-scheme='dusk']").Elements);
    }

    /// <summary>What is between two elements is reached where the one or the other says it, and nowhere else.</summary>
    [Fact]
    public void Space_around_text_reaches_what_stands_beside_it()
    {
        AssertReach(new SetCell("heading-2-standard", "space-before", State.Rest, null, null, "47px"), ".section > .content > * + .heading-2, .group-stack > * + .heading-2, .site-footer > .content > * + .heading-2");
        AssertReach(new SetCell("list-standard", "space-after", State.Rest, null, null, "47px"), ".section > .content > .list + *, .group > .list + *");
        AssertReach(new SetCell("card-row-standard", "entrance-distance", State.Rest, null, null, "47px"), ".card-row > *");
    }

    [Fact]
    public void A_family_reaches_all_that_is_set_in_it()
    {
        var styles = Demo.Site.Type.Styles.Where(s => s.Family == new ReferenceValue(FamilyKind.Kind, "fraunces")).Select(s => s.Id).ToHashSet();
        var looks = Demo.Site.Looks.SelectMany(l => l.Cells.Values.OfType<ReferenceValue>()).Count(v => v.To == TextStyleKind.Kind && styles.Contains(v.Id));
        var reach = Reach.Of(Demo.Site, Demo.Site.After(Do.Letters("fraunces", "Lora")), TestContext.Current.CancellationToken);
        Assert.Equal(Demo.Site.Pages.Length, reach.Pages);
        Assert.True(reach.Elements > looks);
    }

    [Fact]
    public void A_colour_nothing_uses_reaches_nothing()
    {
        var site = Demo.Site.After(Do.NewColor("moss", "moss", "olive"));
        Assert.Equal(new(0, 0), Reach.Of(site, site.After(Do.Color("moss", "teal")), TestContext.Current.CancellationToken));
        Assert.Equal(new(0, 0), Reach.Of(site, site, TestContext.Current.CancellationToken));
    }

    [Fact]
    public void Content_reaches_its_block_wherever_it_is_shown() => AssertReach(new SetContent("header", "name", "Seeds"), ".site-header");

    /// <summary>What moves is reached, not what makes way for it.</summary>
    [Fact]
    public void A_moved_block_reaches_itself()
    {
        var cards = Blocks.All(Demo.Site).First(b => b.Part == "card-row");
        var page = BlockTree.PlaceOf(Demo.Site, cards.Id)!.Value.Page!;
        AssertReach(new MoveBlocks([cards.Blocks[0].Id], page, cards.Id, 2), $"[data-block='{cards.Blocks[0].Id}']");
        AssertReach(new MoveBlocks([Demo.Site.Pages[0].Sections[2].Id], Demo.Site.Pages[0].Id, null, 0), $"[data-block='{Demo.Site.Pages[0].Sections[2].Id}']");
    }

    [Fact]
    public void A_menu_reaches_every_block_that_shows_it() => AssertReach(new RemoveMenuItem("main", "main-guide"), ".menu");

    [Fact]
    public void An_override_reaches_what_its_changed_rules_match_in_any_state()
    {
        var css = Demo.Site.Overrides.Site;
        AssertReach(new SetOverrides($"{css}\n.card-title:hover {{ color: red }}"), ".card-title");
        AssertReach(new SetOverrides($"{css}\n.card {{ & > .card-body {{ color: red }} }}"), ".card-body");
        // Nested 26 deep: millions of selectors when multiplied out.
        var deep = $"main {{ {string.Concat(Enumerable.Repeat("&, & * { ", 24))} .card-body {{ color: red }} {new string('}', 25)}";
        AssertReach(new SetOverrides($"{css}\n{deep}"), "main .card-body");
    }

    /// <summary>Where a rule asks what is around an element, all rules are looked at; otherwise those alone that an edit bears on.</summary>
    [Fact]
    public void Few_rules_tell_as_much_as_all_of_them() => Gen.Select(RandomEdits.Any.Array[0, 4], RandomEdits.Any.Array[1, 3]).Sample(
        (before, edits) =>
        {
            static Site Made(Site site, IEnumerable<Edit> edits) => edits.Aggregate(site, (s, e) => e.Apply(s).Site ?? s);
            var site = Made(Demo.Site, before);
            var after = Made(site, edits);
            return Reach.Of(site, after, default) == Reach.Of(Asking(site), Asking(after), default);
        },
        iter: RandomTimes.Of(25),
        threads: 1);

    private static Site Asking(Site site) => site.After(new SetOverrides($"@container (min-width: 1px) {{ .called-by-nothing {{ color: red }} }}\n{site.Overrides.Site}"));

    private static void AssertReach(Edit edit, string selector) => Assert.Equal(Count(selector), Reach.Of(Demo.Site, Demo.Site.After(edit), TestContext.Current.CancellationToken));

    private static Reach Count(string selector)
    {
        Assert.True(SelectorParser.TryParse(Parser.ParseValues(selector), isNested: false, out var selectors, out _));
        var found = Demo.Site.Pages.Select(p => SiteStyles.Of(Demo.Site)[p].Document).Select(d => d.All.Count(e => selectors.Any(s => new Matching(d).Holds(s, e)))).ToList();
        return new(found.Count(n => n > 0), found.Sum());
    }
}
