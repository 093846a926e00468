using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations;
using Sandbar.Core.Interchange;
using Sandbar.Core.Values;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Things of the foundations, whatever their kind: one edit each for all of them. By enumeration, so that a kind that is added is tested by being there.</summary>
public class ThingEditTests
{
    /// <summary>What is not released: what is asked of a colour, against which pairs are measured, and the group it is listed in.</summary>
    private static readonly string[] AskedOnly = ["role on", "role target", "color group", "gradient group", "background group", "spaceRules least", "picture alt", "clip poster"];

    /// <summary>What of a gradient counts with its kind.</summary>
    private static readonly Dictionary<string, string> GradientKinds = new()
    {
        ["shape"] = "radial", ["extent"] = "radial", ["reach-x"] = "radial", ["reach-y"] = "radial", ["x"] = "conic", ["y"] = "radial", ["angle"] = "linear", ["toward"] = "linear", ["hue"] = "conic",
    };

    /// <summary>What must be so for a field to come out.</summary>
    private static Site ReadyFor(string code, IListed thing, Field field) => (code, field.Id) switch
    {
        ("gradient", "reach-x" or "reach-y") => Demo.Site.After(new SetThing(code, thing.Id, "kind", "radial")).After(new SetThing(code, thing.Id, "extent", "own reach")),
        ("gradient", "hue") => Demo.Site.After(new SetThing(code, thing.Id, "space", "OKLCH")),
        ("gradient", _) when GradientKinds.TryGetValue(field.Id, out var shape) => Demo.Site.After(new SetThing(code, thing.Id, "kind", shape)),
        ("textStyle", "line-style" or "line-thickness" or "line-offset" or "line-color") => Demo.Site.After(new SetThing(code, thing.Id, "line", "under")),
        ("textStyle", "axes") => Demo.Site.After(new SetThing("family", ((ReferenceValue)((TextStyle)thing).Family).Id, "letters", "Martian Mono")),
        ("spaceEnd", "base" or "ratio") or ("spaceScale", "place") => Demo.Site.After(new SetThing("spaceScale", "scale", "by", "by base and ratio")).After(new SetThing("spaceEnd", "wide", "ratio", "1.9")),
        ("spaceEnd", "width") => Demo.Site.After(new SetThing("space", Demo.Site.Space.Steps[0].Id, "wide", "9")),
        ("spaceRules", "sides") => Demo.Site.After(new SetCell("card-row-standard", "padding", State.Rest, null, null, "1px 2px 3px 4px")),
        ("paper", not ("width" or "around")) => Demo.Site.After(new SetThing(code, thing.Id, "width", "900px")).After(new SetThing(code, thing.Id, "sidebar", "left")),
        ("border", "distance" or "second-width" or "second-style" or "second-color") => Demo.Site.After(new SetThing(code, thing.Id, "second", "of its own colour")),
        ("border", "strength") => Demo.Site.After(new SetThing(code, thing.Id, "second", "raised from the ground")),
        ("easing", "steps" or "jump") => Demo.Site.After(new SetThing(code, thing.Id, "shape", "steps")),
        ("background", "blur") => Demo.Site.After(new SetCell("section-standard", "background", State.Rest, null, null, ((Background)thing).Name)),
        // What fills its place is kept in sight.
        ("picture", "focus-x" or "focus-y") => Demo.Site.After(new SetContent("membership-loft", "picture", thing.Id)),
        ("easing", "bounce") => Demo.Site.After(new SetThing(code, thing.Id, "shape", "spring")),
        _ => Demo.Site,
    };

    /// <summary>The last stop mixes with none after it, and the last point of a mesh lies all over it: another comes after them.</summary>
    private static Site ReadyForItem(string code, IListed thing, Field field)
    {
        if (code == "background")
        {
            // Of a picture more counts than of a gradient.
            if (field.Id is "fill" or "opacity" or "blend" or "shown") return Demo.Site;
            var site = Demo.Site;
            if (field.Id == "centre") return ((Background)thing).Layers.Aggregate(site, (before, layer) => before.After(new SetThing(code, layer.Id, "fill", "lamplight", thing.Id)));
            foreach (var layer in ((Background)thing).Layers)
            {
                foreach (var (id, text) in new[] { ("fill", "picture evening beds"), ("fit", field.Id == "repeat" ? "own size" : "covers the box"), ("attachment", field.Id == "slower" ? "slower than it" : "with the page"), ("toning", field.Id is "shadows" or "highlights" ? "in two colours" : "as it is") })
                    site = site.After(new SetThing(code, layer.Id, id, text, thing.Id));
            }
            return site;
        }
        if (code != "gradient") return Demo.Site;
        var last = ((Gradient)thing).Stops[^1].Id;
        var more = Demo.Site.After(new AddThing(code, "after-all", null, last, In: thing.Id)).After(new SetThing(code, "after-all", "position", "200", thing.Id)).After(new SetThing(code, "after-all", "color", "#123456", thing.Id));
        return field.Id is "x" or "y" or "reach" ? more.After(new SetThing(code, thing.Id, "kind", "mesh")) : more;
    }

    public static TheoryData<string> Codes => [.. Kinds.AllListed.Select(k => k.Code)];

    public static TheoryData<string> Changeable => [.. Kinds.AllListed.Where(k => !k.IsFixed && k.ComesWith is null).Select(k => k.Code)];

    public static TheoryData<string> NamedCodes => [.. Kinds.AllListed.Where(k => k is INamedKind && k.ComesWith is null).Select(k => k.Code)];

    /// <summary>Whoever typed what cannot be read is told what can.</summary>
    [Theory]
    [MemberData(nameof(Codes))]
    public void What_cannot_be_read_is_told_with_what_can(string code)
    {
        var kind = Kinds.Listed(code);
        var thing = kind.Things(Demo.Site)[0];
        var inner = kind.Items is { } items ? items.Of(thing).Take(1).SelectMany(item => items.Fields.Select(f => (Edit)new SetThing(code, item.Id, f.Id, "?!", thing.Id))) : [];
        foreach (var edit in kind.Fields(Demo.Site).Select(f => (Edit)new SetThing(code, thing.Id, f.Id, "?!")).Concat(inner))
            Assert.All(edit.Apply(Demo.Site).Problems, p => Assert.DoesNotMatch(@": try \.|Use \.|: \.$", p.Message));
    }

    [Theory]
    [MemberData(nameof(Codes))]
    public void Every_field_is_read_again_as_it_was_typed_and_comes_out_in_the_release(string code)
    {
        var kind = Kinds.Listed(code);
        var thing = kind.Things(Demo.Site)[0];
        foreach (var field in kind.Fields(Demo.Site))
        {
            var site = ReadyFor(code, thing, field);
            var sites = Texts(site, kind, thing, field).Select(text => (Text: text, Site: site.After(new SetThing(code, thing.Id, field.Id, text)))).ToList();
            foreach (var (text, after) in sites)
            {
                Assert.Equal(text, field.Setting.Write(after, field.Get(kind.Get(after, thing.Id))), ignoreCase: true);
                Assert.Empty(SiteCheck.Problems(after));
            }
            if (!AskedOnly.Contains($"{code} {field.Id}")) Assert.Equal(sites.Count, sites.Select(s => SiteRelease.StyleSheet(s.Site)).Distinct().Count());
        }
    }

    [Theory]
    [MemberData(nameof(Codes))]
    public void Every_field_of_every_item_comes_out_in_the_release(string code)
    {
        var kind = Kinds.Listed(code);
        if (kind.Items is not { } items) return;
        var thing = kind.Things(Demo.Site)[0];
        foreach (var item in items.Of(thing))
        {
            foreach (var field in items.Fields)
            {
                // What clips alone have is markup (FillLayersTests).
                if (code == "background" && field.Id is "loop" or "from" or "until" or "sound") continue;
                var site = ReadyForItem(code, thing, field);
                var sheets = Texts(site, kind, thing, field).Select(text => SiteRelease.StyleSheet(site.After(new SetThing(code, item.Id, field.Id, text, thing.Id)))).ToList();
                Assert.Equal(sheets.Count, sheets.Distinct().Count());
            }
        }
    }

    [Theory]
    [MemberData(nameof(Changeable))]
    public void One_is_added_copied_moved_and_removed(string code)
    {
        var kind = Kinds.Listed(code);
        var like = kind.Things(Demo.Site)[0];
        var name = kind is INamedKind ? "Quince" : null;
        var added = Demo.Site.After(new AddThing(code, "new-one", name, like.Id));
        Assert.Equal([like.Id, "new-one"], kind.Things(added).Take(2).Select(t => t.Id));
        Assert.Equal(kind.Values(Demo.Site, like).Select(v => v.Value), kind.Values(added, kind.Get(added, "new-one")).Select(v => v.Value));
        var moved = added.After(new MoveThing(code, "new-one", 0));
        Assert.Equal("new-one", kind.Things(moved)[0].Id);
        Assert.Contains("place", moved.Refused(new MoveThing(code, "new-one", kind.Things(moved).Length)).Message, StringComparison.Ordinal);
        Assert.Contains("added already", added.Refused(new AddThing(code, "new-one", "Other", like.Id)).Message, StringComparison.Ordinal);
        Assert.Equal(kind.Things(Demo.Site).Select(t => t.Id), kind.Things(added.After(new RemoveThing(code, "new-one"))).Select(t => t.Id));
        foreach (var site in new[] { added, moved }) Assert.Empty(SiteCheck.Problems(site));
        Assert.Contains("no longer there", Demo.Site.Refused(new RemoveThing(code, "gone")).Message, StringComparison.Ordinal);
    }

    /// <summary>What is in use goes when something takes its place, wherever it was used.</summary>
    [Theory]
    [MemberData(nameof(Changeable))]
    public void What_is_in_use_is_replaced_everywhere(string code)
    {
        var kind = Kinds.Listed(code);
        var used = kind.Things(Demo.Site).FirstOrDefault(t => Uses.Of(Demo.Site, code, t.Id).Count > 0 && kind.Stays(Demo.Site, t) is null);
        if (used is null) return;
        Assert.Contains("in use", Demo.Site.Refused(new RemoveThing(code, used.Id)).Message, StringComparison.Ordinal);
        // Another of its kind that refers to nothing of it.
        var site = Demo.Site.After(new AddThing(code, "other", kind is INamedKind ? "Quince" : null, used.Id));
        var replaced = site.After(new RemoveThing(code, used.Id, By: "other"));
        Assert.Null(kind.Find(replaced, used.Id));
        Assert.Equal(Uses.Of(site, code, used.Id).Count, Uses.Of(replaced, code, "other").Count);
        Assert.Empty(SiteCheck.Problems(replaced));
        Assert.Contains("Choose another", site.Refused(new RemoveThing(code, used.Id, By: used.Id)).Message, StringComparison.Ordinal);
    }

    [Theory]
    [MemberData(nameof(NamedCodes))]
    public void A_name_is_given_once_and_means_one_thing(string code)
    {
        var kind = Kinds.Listed(code);
        var things = kind.Things(Demo.Site.After(new AddThing(code, "second", "Quince", kind.Things(Demo.Site)[0].Id)));
        var site = Demo.Site.After(new AddThing(code, "second", "Quince", kind.Things(Demo.Site)[0].Id));
        Assert.Contains("is taken", site.Refused(new RenameThing(code, things[0].Id, "QUINCE")).Message, StringComparison.Ordinal);
        var renamed = site.After(new RenameThing(code, "second", "Damson"));
        Assert.Equal(("Damson", "damson"), (((Named)kind.Get(renamed, "second")).Name, ((Named)kind.Get(renamed, "second")).CssName));
        foreach (var word in kind.AllSettings.Concat(Catalogue.PartCatalogue.All.SelectMany(p => p.Properties)).Where(s => s.Kind.References.Contains(kind)).SelectMany(s => s.Words))
            Assert.Contains("means something of its own", site.Refused(new RenameThing(code, "second", word.Label)).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("color", "action", "the name of a role")]
    [InlineData("color", "dawn", "the name of a gradient")]
    [InlineData("gradient", "leaf", "the name of a colour")]
    [InlineData("role", "Beet", "the name of a colour")]
    [InlineData("color", "none", "means something of its own")]
    [InlineData("color", "rest", "means something of its own")]
    [InlineData("color", "leaf tint 2", "reads like a step")]
    [InlineData("role", "line shade 1", "reads like a step")]
    [InlineData("color", "readable on text", "means something of its own")]
    [InlineData("radius", "space 2", "the name of a space")]
    [InlineData("radius", "space 99", "means something of its own")]
    [InlineData("scheme", "stays as it is", "means something of its own")]
    public void A_name_that_could_mean_two_things_is_refused(string code, string name, string said) =>
        Assert.Contains(said, Demo.Site.Refused(new AddThing(code, "x", name)).Message, StringComparison.Ordinal);

    /// <summary>No two things of a site come to one custom property, whatever they are called.</summary>
    [Fact]
    public void Custom_properties_are_all_different()
    {
        var site = Demo.Site;
        foreach (var name in new[] { "leaf-tint", "Leaf Tint-2", "leaf tint2", "leaf.tint.2", "2", "Größe", "größe!" })
        {
            foreach (var kind in Kinds.AllListed.Where(k => k is INamedKind))
            {
                if (new AddThing(kind.Code, $"{kind.Code}-{Names.Slug(name)}", name).Apply(site).Site is { } after) site = after;
            }
        }
        var tokens = Kinds.AllListed.SelectMany(k => k.Things(site).SelectMany(t => OverrideTokens.TokensOf(site, k, t.Id))).ToList();
        Assert.True(tokens.Count > 200);
        Assert.Equal(tokens.Count, tokens.Distinct(StringComparer.OrdinalIgnoreCase).Count());
        Assert.Empty(SiteCheck.Problems(site));
    }

    /// <summary>Spaces are named by their place: what the overrides say of one goes with it.</summary>
    [Fact]
    public void Overrides_follow_a_space_that_moves()
    {
        var site = Demo.Site.After(new SetOverrides("a { margin: var(--space-1) var(--space-2) var(--space-3) }"));
        var id = site.Space.Steps[2].Id;
        Assert.Equal("a { margin: var(--space-2) var(--space-3) var(--space-1) }", site.After(new MoveThing("space", id, 0)).Overrides.Site);
        Assert.Contains("in use", site.Refused(new RemoveThing("space", id)).Message, StringComparison.Ordinal);
        Assert.Equal("a { margin: var(--space-1) var(--space-2) var(--space-1) }", site.After(new RemoveThing("space", id, site.Space.Steps[0].Id)).Overrides.Site);
    }

    [Fact]
    public void A_new_role_has_a_colour_in_every_scheme_and_takes_it_along()
    {
        var site = Demo.Site.After(new AddThing("role", "note", "note", Values: new Dictionary<string, string> { ["on"] = "ground, raised", ["target"] = "4.5" }));
        Assert.All(site.Palette.Schemes, s => Assert.True(s.Colors.ContainsKey("note")));
        Assert.Empty(SiteCheck.Problems(site));
        Assert.All(site.After(new RemoveThing("role", "note")).Palette.Schemes, s => Assert.False(s.Colors.ContainsKey("note")));
        Assert.Contains("read by every page", site.Refused(new RemoveThing("role", "ground")).Message, StringComparison.Ordinal);
    }

    /// <summary>Every thing with every other of its kind in its place: it fits wherever the first was used, or it is refused with a sentence.</summary>
    [Theory]
    [MemberData(nameof(Changeable))]
    public void Whatever_takes_a_place_the_site_holds_together(string code)
    {
        var things = Kinds.Listed(code).Things(Demo.Site);
        var pairs = from thing in things from other in things where thing != other select (thing, other);
        foreach (var (thing, other) in pairs)
        {
            var outcome = new RemoveThing(code, thing.Id, other.Id).Apply(Demo.Site);
            if (outcome.Site is { } site) Assert.Empty(SiteCheck.Problems(site));
            else Assert.EndsWith(".", Assert.Single(outcome.Problems).Message, StringComparison.Ordinal);
        }
    }

    /// <summary>Found by a random run: what is readable on a role would be readable on itself.</summary>
    [Fact]
    public void What_takes_the_place_must_fit_wherever_the_other_is_used() =>
        Assert.Contains("attention text would be readable on itself", Demo.Site.Refused(new RemoveThing("role", "attention", "attention-text")).Message, StringComparison.Ordinal);

    /// <summary>Two texts that a field can be typed as, and that differ.</summary>
    private static string[] Texts(Site site, ListedKind kind, IListed thing, Field field)
    {
        var setting = field.Setting;
        return setting.Kind.Code switch
        {
            "palette-color" => ["#123456", "mix #123456, rain 20%"],
            "group-name" => ["Garden", "no group"],
            "color" or "fill" => ["attention", "#123456"],
            "role-color" => ["rain shade 2", "rain tint 3"],
            "scheme" => ["stays as it is", "Dusk"],
            "contrast" => ["7", "3.5"],
            "axes" => ["wdth 87.5", "wdth 100"],
            "number" when field.Id == "blur" => ["4px", "12px"],
            "number" when setting.IsWhole => setting.Min == 300 ? ["700px", "900px"] : ["3", "5"],
            "number" or "ratio" => Numbers(setting),
            "length" => setting.Max <= 100 ? ["1.5px", "0.25em"] : ["13px", "2.5em"],
            "lines" => ["bright", "hairline, none, 2px dashed text, bright"],
            "corners" => ["round", "4px 20px by 10px 0 soft"],
            "shadow" => ["lift", "0px 2px 8px 0px text 20%"],
            "word" => [.. setting.Names(site)],
            _ => [.. (kind.Suggested(site, thing, field) ?? setting.Names(site)).Take(2)],
        };
    }

    private static string[] Numbers(Setting setting) => (setting.Min, setting.Max) switch
    {
        (_, ChangeForm.Longest) => ["130ms", "270ms"],
        (0, 90) => ["15%", "65%"],
        (0, 100) when setting.Id == "least" => ["13px", "20px"],
        (1, 200) => ["12px", "14px"],
        (1.05m, _) => ["1.3", "1.7"],
        (-1000, _) => ["30%", "70%"],
        (0, 1) => ["0.3", "0.75"],
        (10, 200) => ["45", "66.5"],
        ( <= 1, <= 21) => ["1.5", "1.75"],
        ( <= 1, 1000) => ["350", "850"],
        (_, 360) => ["140deg", "219deg"],
        (8, _) => ["15px", "19px"],
        (200, _) => ["350px", "409px"],
        (0, > 1000) => ["3px", "27px"],
        _ => ["30%", "70%"],
    };
}
