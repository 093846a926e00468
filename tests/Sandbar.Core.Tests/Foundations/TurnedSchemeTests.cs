using CsCheck;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Starting;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Foundations;

/// <summary>Turned schemes: hues stay, so does the order of emphasis, and what must be readable is (WCAG 2.2).</summary>
public class TurnedSchemeTests
{
    [Theory]
    [InlineData("day")]
    [InlineData("dusk")]
    public void The_demo_turns_and_every_target_is_met(string of)
    {
        var site = Demo.Site.After(new TurnScheme("turned", "Turned", of));
        AssertTurned(site, of);
        Assert.Empty(SiteCheck.Problems(site));
        Assert.True(TurnedScheme.IsLight(site.Palette, site.Palette.Schemes.Get("turned")) == (of == "dusk"));
    }

    [Fact]
    public void Whatever_a_site_was_made_from_its_schemes_turn() => Gen.Select(Gen.Double[0, 1], Gen.Double[0, 0.37], Gen.Double[0, 360], Gen.Bool).Sample(
        (l, c, h, dusk) =>
        {
            var of = dusk ? "dusk" : "day";
            AssertTurned(Made(new(ColorSpace.Oklch, l, c, h)).After(new TurnScheme("turned", "Turned", of)), of);
        },
        iter: RandomTimes.Of(60));

    /// <summary>Random colours found it: a text that just reaches 4.5 unrounded was painted at 4.49.</summary>
    [Fact]
    public void What_is_readable_is_so_as_painted() =>
        AssertTurned(Made(new(ColorSpace.Oklch, 53d / 95, 0, 44.22377834628585)).After(new TurnScheme("turned", "Turned", "day")), "day");

    [Fact]
    public void A_light_one_that_stays_turns_into_its_dark_form_from_then_on()
    {
        var stays = Demo.Site.After(new SetThing("scheme", "day", "turns-into", "stays as it is"));
        Assert.Equal("turned", stays.After(new TurnScheme("turned", "Turned", "day")).Palette.Schemes.Get("day").Dark(stays.After(new TurnScheme("turned", "Turned", "day")))?.Id);
        Assert.Equal("dusk", Demo.Site.After(new TurnScheme("turned", "Turned", "day")).Palette.Schemes.Get("day").Dark(Demo.Site)?.Id);
        Assert.Equal("/name", Demo.Site.Refused(new TurnScheme("turned", "Dusk", "day")).Path);
        Assert.Equal("/id", Demo.Site.Refused(new TurnScheme("turned", "Night", "gone")).Path);
    }

    private static Site Made(Color from) => NewSite.Create(new("New", ColorText.Css(from), null, null, null), "new").Site!.Site;

    private static void AssertTurned(Site site, string of)
    {
        var palette = site.Palette;
        Scheme before = palette.Schemes.Get(of), after = palette.Schemes.Get("turned");
        var roles = palette.Roles.Where(r => before.Colors[r.Id] is ReferenceValue).ToList();
        foreach (var role in roles)
        {
            Color a = Painted(before, role.Id).To(ColorSpace.Oklch), b = Painted(after, role.Id).To(ColorSpace.Oklch);
            var isOwn = ((ReferenceValue)before.Colors[role.Id]).Id == ((ReferenceValue)after.Colors[role.Id]).Id;
            Assert.True(isOwn || Math.Abs(a.C2 - b.C2) < 0.05 && Math.Max(a.C2, b.C2) < 0.05 || Math.Abs(Math.IEEERemainder(a.C3 - b.C3, 360)) < 16, $"{role.Name}: {a} became {b}");
        }
        foreach (var role in palette.Roles)
        {
            foreach (var on in role.Grounds())
            {
                var ratio = Contrast.Ratio(Painted(after, role.Id), Painted(after, on));
                Assert.True(ratio >= (double)role.Target.Amount() || Best(role, after) < (double)role.Target.Amount(), $"{role.Name} on {on}: {ratio:0.00} in the form turned from {before.Name}");
            }
        }
        // What looks do with it, a button under the pointer for one, is readable too where it was.
        var failed = Failing(of).ToHashSet();
        Assert.Subset(failed, Failing("turned").ToHashSet());

        // Where one stood out more than another and both have room, it does so still.
        var text = Emphasis(after, "text");
        Assert.True(text >= Emphasis(after, "quiet-text") - 0.01 && text >= Emphasis(after, "line") - 0.01, $"text {text:0.00}, quiet text {Emphasis(after, "quiet-text"):0.00}, line {Emphasis(after, "line"):0.00}");

        IEnumerable<(PairKind, string, string, State, Surrounding?)> Failing(string scheme) =>
            ContrastPairs.Of(site with { Pages = [.. site.Pages.Select(p => p with { Scheme = scheme })] }, TestContext.Current.CancellationToken)
                .Where(p => p.Scheme == scheme && !p.Passes).Select(p => (p.Kind, p.Look, p.Property, p.State, p.Within)).Distinct();

        // The most that any step of the role's colour reaches on all its grounds.
        double Best(Role role, Scheme scheme) => scheme.Colors[role.Id] is not ReferenceValue given ? 21
            : Enumerable.Range(-5, 12).Max(step => role.Grounds().Min(on => Contrast.Ratio(Gamut.Rounded(palette.Row(palette.Colors.Get(given.Id)).At(step)), Painted(scheme, on))));
        double Emphasis(Scheme scheme, string role) => Contrast.Ratio(Painted(scheme, role), Painted(scheme, "ground"));
        Color Painted(Scheme scheme, string role) => Gamut.Rounded(SchemeColors.Resolve(palette, scheme, role).Color);
    }
}
