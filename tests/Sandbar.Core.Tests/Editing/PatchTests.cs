using System.Text.Json;
using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Interchange;
using Sandbar.Core.Values;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Patches: whatever the edits, a patch does them again, its inverse takes them back, and what they do not reach stays the same object.</summary>
public class PatchTests
{
    private static readonly string Long = string.Concat(Enumerable.Range(0, 60).Select(n => $"🙂.a{n} {{}}\n"));

    private static readonly Gen<Edit> AnyEdit = Gen.OneOf<Edit>(
        Gen.Select(Gen.OneOf("beet", "leaf", "moss"), Gen.OneOf("#123456", "red", "oklch(0.5 0.1 20)"), (c, v) => Do.Color(c, v)),
        Gen.Select(Gen.OneOf("moss", "clay"), Gen.OneOf("red", "blue"), (c, v) => Do.NewColor(c, c, v)),
        Gen.OneOf("moss", "clay", "beet").Select(c => Do.RemoveColor(c)),
        Gen.Select(Gen.OneOf("beet", "moss"), Gen.OneOf("Ruby", "beet", "stone"), (c, n) => Do.RenameColor(c, n)),
        Gen.Select(Gen.OneOf("text", "action", "action-text"), Gen.Int[-5, 6], (r, s) => Do.Role("day", r, StepText.With("leaf", s))),
        Gen.Select(Gen.OneOf("background", "padding", "radius"), Gen.OneOf(State.Rest, State.Hover), Gen.OneOf<string?>("space 2", "action", "3px", null!), (p, s, t) => (Edit)new SetCell("button-filled", p, s, null, null, t)),
        Gen.OneOf("a { color: red }", "", "b {").Select(css => (Edit)new SetOverrides(css)),
        Gen.Select(Gen.Int[0, 300], Gen.OneOf("", "a", "🙂", "🙃", "\u0001\ud83d\ude42"), Gen.Int[0, 300]).Select((at, piece, more) => (Edit)new SetOverrides(Whole(Long[..at]) + piece + Whole(Long[at..Math.Min(at + more, Long.Length)]))),
        Gen.OneOf("A", "B").Select(n => (Edit)new RenameSite(n)));

    [Fact]
    public void A_patch_does_and_undoes_any_edits() => AnyEdit.List[1, 12].Sample(edits =>
    {
        var before = Demo.Site;
        var patches = new List<Patch>();
        var after = before;
        foreach (var edit in edits)
        {
            if (edit.Apply(after).Site is not { } next) continue;
            patches.Add(Reread(Patch.Between(after, next)));
            Same(next, patches[^1].Apply(after));
            after = next;
        }
        Same(after, patches.Aggregate(before, (s, p) => p.Apply(s)));
        var document = StoredDocument.Parse(JsonSerializer.Serialize(before, SiteJson.Options));
        foreach (var patch in patches) document.Apply(JsonSerializer.Serialize(patch, SiteJson.Options));
        Same(after, document.Read());
        Same(before, Enumerable.Reverse(patches).Aggregate(after, (s, p) => p.Inverse().Apply(s)));
    });

    [Fact]
    public void Of_a_long_text_the_piece_that_changed_is_kept()
    {
        var before = Demo.Site.After(new SetOverrides(Long));
        var after = before.After(new SetOverrides(Long.Insert(100, "🙃")));
        var change = Assert.Single(Patch.Between(before, after).Changes);
        Assert.Equal(("/overrides/site", 100, "", "🙃"), (change.Path, change.At, change.Before?.GetString(), change.After?.GetString()));
        // One character of two halves for another that begins alike.
        var other = Assert.Single(Patch.Between(after, before.After(new SetOverrides(Long.Insert(100, "🙂")))).Changes);
        Assert.Equal((100, "🙃", "🙂"), (other.At, other.Before?.GetString(), other.After?.GetString()));
        // It is no piece of a text that somebody has changed.
        Assert.Throws<InvalidDataException>(() => Patch.Between(after, before).Apply(before));
        Assert.Throws<InvalidDataException>(() => Patch.Between(after, before).Apply(Demo.Site));
    }

    [Fact]
    public void What_is_not_reached_is_shared()
    {
        var after = Demo.Site.After(Do.Color("beet", "red"));
        var patched = Patch.Between(Demo.Site, after).Apply(Demo.Site);
        Assert.Same(Demo.Site.Frame, patched.Frame);
        Assert.Same(Demo.Site.Palette.Colors.Get("leaf"), patched.Palette.Colors.Get("leaf"));
        Assert.Same(Demo.Site.Pages[0], patched.Pages[0]);
    }

    [Fact]
    public void A_patch_names_only_what_changed()
    {
        var patch = Patch.Between(Demo.Site, Demo.Site.After(Do.Color("beet", "red")));
        var change = Assert.Single(patch.Changes);
        Assert.Equal("/palette/colors/beet/color", change.Path);
        Assert.Equal("#8a2846", change.Before?.GetProperty("css").GetString());
        Assert.Equal("red", change.After?.GetProperty("css").GetString());
    }

    [Fact]
    public void Patches_touch_where_one_holds_the_other()
    {
        Patch beet = Of("/palette/colors/beet"), css = Of("/palette/colors/beet/color"), name = Of("/palette/colors/beet/name"), other = Of("/palette/colors/beetroot");
        Assert.True(beet.Touches(css) && css.Touches(beet) && css.Touches(css));
        Assert.False(css.Touches(name) || other.Touches(beet) || beet.Touches(other));
        static Patch Of(string path) => new(1, [new(path, null, null)]);
    }

    [Fact]
    public void A_patch_of_another_site_is_refused()
    {
        var patch = new Patch(1, [new("/palette/nothing/here", null, JsonSerializer.SerializeToElement("x"))]);
        Assert.Throws<InvalidDataException>(() => patch.Apply(Demo.Site));
    }

    [Fact]
    public void The_whole_site_survives_its_json_form()
    {
        var json = JsonSerializer.Serialize(Demo.Site, SiteJson.Options);
        Assert.Equal(json, JsonSerializer.Serialize(JsonSerializer.Deserialize<Site>(json, SiteJson.Options), SiteJson.Options));
        Assert.Empty(Patch.Between(Demo.Site, JsonSerializer.Deserialize<Site>(json, SiteJson.Options)!).Changes);
    }

    /// <summary>Half characters are no text.</summary>
    private static string Whole(string text) => text.Trim().Trim('\ud83d', '\ude42');

    private static Patch Reread(Patch patch) => JsonSerializer.Deserialize<Patch>(JsonSerializer.Serialize(patch, SiteJson.Options), SiteJson.Options)!;

    private static void Same(Site expected, Site actual) =>
        Assert.Equal(JsonSerializer.Serialize(expected, SiteJson.Options), JsonSerializer.Serialize(actual, SiteJson.Options));
}
