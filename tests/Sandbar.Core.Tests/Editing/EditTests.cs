using System.Collections.Immutable;
using System.Text.Json;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Tests.Editing;

/// <summary>Edits and what they refuse.</summary>
public class EditTests
{
    /// <summary>Of every cell of every look: what the windows offer there, as they offer it.</summary>
    [Fact]
    public void Whatever_a_cell_offers_can_be_taken_and_shown()
    {
        foreach (var look in Demo.Site.Looks)
        {
            var part = PartCatalogue.Get(look.Part);
            foreach (var property in part.Properties)
            {
                foreach (var state in part.States.Where(s => s == State.Rest || !property.SameInAllStates))
                {
                    string[] rest = state != State.Rest && look.Cells.ContainsKey(property.Id) ? ["rest"] : [];
                    foreach (var offered in rest.Concat(property.Names(Demo.Site)))
                        _ = StyleSheetRenderer.Render(Demo.Site.After(new SetCell(look.Id, property.Id, state, null, null, offered)));
                }
            }
        }
    }

    [Fact]
    public void An_unreadable_colour_changes_nothing()
    {
        var problem = Demo.Site.Refused(Do.Color("beet", "#12"));
        Assert.Equal("/text", problem.Path);
        Assert.Contains("“#12” is not a colour", problem.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("", "Give it a name")]
    [InlineData("LEAF", "“LEAF” is taken")]
    [InlineData("two\nlines", "single line")]
    [InlineData("0123456789012345678901234567890123456789012345678901234567890123456789", "at most 60")]
    public void A_name_must_be_good_and_free(string name, string said)
    {
        Assert.Contains(said, Demo.Site.Refused(Do.RenameColor("beet", name)).Message, StringComparison.Ordinal);
        Assert.Contains(said, Demo.Site.Refused(Do.NewColor("new", name, "red")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Renaming_a_colour_renames_it_in_overrides_but_not_in_texts()
    {
        var site = Demo.Site.After(new SetOverrides("a { color: var(--color-beet-shade-1); content: \"--color-beet\"; background: var(--color-beetroot) } /* --color-beet */"));
        var renamed = site.After(Do.RenameColor("beet", "Red Beet"));
        Assert.Equal("a { color: var(--color-red-beet-shade-1); content: \"--color-beet\"; background: var(--color-beetroot) } /* --color-beet */", renamed.Overrides.Site);
        Assert.Equal("red-beet", renamed.Palette.Colors.Get("beet").CssName);
    }

    [Fact]
    public void A_colour_in_use_cannot_be_removed_and_one_that_is_not_can()
    {
        Assert.Contains("action in Day", Demo.Site.Refused(Do.RemoveColor("beet")).Message, StringComparison.Ordinal);
        var site = Demo.Site.After(Do.NewColor("moss", "moss", "olive"));
        Assert.Null(site.After(Do.RemoveColor("moss")).Palette.Colors.Find("moss"));
        Assert.Contains("Card · Standard · background", site.After(new SetCell("card-standard", "background", State.Rest, null, null, "moss"))
            .Refused(Do.RemoveColor("moss")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_gone_is_said_to_be_gone()
    {
        Assert.Contains("no longer", Demo.Site.Refused(Do.Color("gone", "red")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer", Demo.Site.Refused(new SetCell("gone", "background", State.Rest, null, null, "red")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer", Demo.Site.Refused(Do.Role("gone", "action", "beet")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_role_cannot_be_readable_on_itself_however_far_round()
    {
        var site = Demo.Site.After(Do.Role("day", "text", "readable on action text"));
        Assert.Contains("itself", site.Refused(Do.Role("day", "action", "readable on text")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_cell_takes_what_its_property_and_part_allow()
    {
        Assert.Equal("/text", Demo.Site.Refused(new SetCell("button-filled", "padding", State.Rest, null, null, "-1px")).Path);
        Assert.Equal("/state", Demo.Site.Refused(new SetCell("section-standard", "background", State.Hover, null, null, "action")).Path);
        Assert.Equal("/state", Demo.Site.Refused(new SetCell("button-filled", "width", State.Hover, null, null, "full")).Path);
        Assert.Equal("/property", Demo.Site.Refused(new SetCell("button-filled", "nothing", State.Rest, null, null, "full")).Path);
    }

    [Fact]
    public void Intervals_do_not_overlap()
    {
        var site = Demo.Site.After(new SetCell("button-filled", "padding", State.Rest, 600, 820, "4px"));
        Assert.Contains("overlap", site.Refused(new SetCell("button-filled", "padding", State.Rest, 700, null, "4px")).Message, StringComparison.Ordinal);
        site.After(new SetCell("button-filled", "padding", State.Rest, 820, null, "4px"));
        Assert.Contains("hold nothing", site.Refused(new SetCell("button-filled", "padding", State.Rest, 820, 600, "4px")).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Rest_cannot_be_cleared_under_a_state_that_refers_to_it()
    {
        Assert.Contains("relative to Rest", Demo.Site.Refused(new SetCell("button-filled", "background", State.Rest, null, null, null)).Message, StringComparison.Ordinal);
        Demo.Site.After(new SetCell("button-filled", "background", State.Hover, null, null, null)).After(new SetCell("button-filled", "background", State.Rest, null, null, null));
    }

    /// <summary>Every property of every part, by enumeration: what is typed is stored, reaches the released bytes at its own cell, and clearing takes it out again.</summary>
    [Fact]
    public void Every_cell_of_the_catalogue_changes_the_stylesheet_and_nothing_else()
    {
        foreach (var part in PartCatalogue.All)
        {
            var look = Demo.Site.Looks.First(l => l.Part == part.Id);
            foreach (var property in part.Properties)
            {
                foreach (var state in part.States.Where(s => s == State.Rest || !property.SameInAllStates))
                {
                    foreach (var (from, below) in new (int?, int?)[] { (null, null), (1000, null) }) Check(look, property, state, from, below);
                }
            }
        }

        static void Check(Look look, PartProperty property, State state, int? from, int? below)
        {
            var cell = new CellKey(property.Id, state, new(from, below)).ToString();
            // Intervals that the look has already would overlap.
            var bare = Demo.Site with { Looks = Demo.Site.Looks.Put(look with { Cells = look.Cells.RemoveRange(look.Cells.Keys.Where(k => CellKey.Parse(k) is { } key && key.Property == property.Id && key.Widths != Interval.All)) }) };
            var sheets = Demo.Values(property).Select(value => StyleSheetRenderer.Render(bare.After(new SetCell(look.Id, property.Id, state, from, below, value)))).ToList();
            var texts = sheets.Select(s => StyleSheetText.Release(s, i => i.File)).ToList();
            Assert.True(texts.Distinct().Count() == texts.Count, $"{look.Name} {cell}: values make no difference");
            foreach (var sheet in sheets)
            {
                var origin = new Origin(OriginKind.Look, look.Id, cell);
                // What changes take is one list, whichever of its cells says more of it.
                bool IsOf(Origin o) => property.ChangeOf is null ? o == origin : o.Id == look.Id && o.Detail.StartsWith("change-", StringComparison.Ordinal);
                Assert.Contains(sheet.Rules, r => r.Widths == new Interval(from, below) && r.Hover == (state == State.Hover) && r.Declarations.Any(d => IsOf(d.Origin)));
            }
            var set = bare.After(new SetCell(look.Id, property.Id, state, from, below, Demo.Values(property)[0]));
            var cleared = new SetCell(look.Id, property.Id, state, from, below, null).Apply(set);
            if (cleared.Site is { } site) Assert.DoesNotContain(cell, site.Looks.Get(look.Id).Cells.Keys);
        }
    }

    [Fact]
    public void A_scheme_turns_into_another_or_stays()
    {
        Assert.Equal("stays", Demo.Site.After(Do.Turn("day", "stays as it is")).Palette.Schemes.Get("day").TurnsInto.Code());
        Assert.Equal(new ReferenceValue("scheme", "day"), Demo.Site.After(Do.Turn("dusk", "Day")).Palette.Schemes.Get("dusk").TurnsInto);
        Assert.Contains("into itself", Demo.Site.Refused(Do.Turn("day", "Day")).Message, StringComparison.Ordinal);
        Assert.Contains("No scheme is called “noon”", Demo.Site.Refused(Do.Turn("day", "noon")).Message, StringComparison.Ordinal);
        Assert.Contains("no longer", Demo.Site.Refused(Do.Turn("noon", "stays")).Message, StringComparison.Ordinal);
        Assert.Equal("Day · turns into → Dusk", Do.Turn("day", "Dusk").Describe(Demo.Site));
    }

    /// <summary>Requests name edits by these words; each case is found by its record, with its own name.</summary>
    [Fact]
    public void Edits_keep_their_json_form()
    {
        Edit[] edits =
        [
            new RenameSite("a"), new AddColors([new("a", "b", "c")]), new SetColorStep("a", -2, "red"), new SetColorFigure("a", ColorFigure.Hue, "20"), new PlaceColor("a", "b", "c"), new TurnScheme("a", "b", "c"), new Together("a", [new RenameSite("b")]), new AddThing("color", "a", "b", null, null, "c"), new SetThing("color", "a", "b", "c"), new RenameThing("color", "a", "b"), new MoveThing("color", "a", 1), new RemoveThing("color", "a", "b"),
            new SetCell("a", "b", State.Hover, 1, null, "c"), new SetOverrides("a"), new TakeBack("a", "b", false), new BringBack("a", "b"), new BackToGood(1),
            new SetContent("a", "b", "c"), new SetBlockLook("a", "b"), new SetBlockScheme("a", null),
            new AddFontFile("a", "b", "c", "d", 400, 700, true, new("a", 1000, 900, -200, 0, 700, 500, [new(400, 50.5)], [new("opsz", 8, 14, 144)], ["liga"], ["en"], "b", true) { Class = FamilyClass.Slab }, "e"), new RemoveFontFile("a", "b"), new RaiseShadow("a", "b"), new ReverseGradient("a"), new TurnGradient("a", "b"), new RecolorGradient("a", "b", "c"),
            new AddBlock("a", "b", "c", null, 1), new AddArrangement("a", "b", "c", 1), new DuplicateBlock("a", "b"), new MoveBlocks(["a"], "b", "c", 1), new RemoveBlock("a"), new WrapBlocks(["a"], "b", null, "c"), new UnwrapBlock("a"),
            new SetBlock("a", BlockField.HiddenAt, "b"), new SetBlockAside("a"), new PutBlockBack("a", null), new DropAside("a"), new ChangePart("a", "b", "c"), new ShareBlock("a", "b", "c", null, 1), new CutLoose("a"),
            new AddPage("a", "b", null, "c"), new SetPage("a", PageField.Address, "b"), new MovePage("a", 1), new RemovePage("a"), new SetPageAside("a"), new PutPageBack("a"),
            new SetOwn("a", "b", State.Hover, 1, null, "c") { Side = 1 }, new PromoteOwn("a", null), new OwnToLook("a", "b", "c"), new CopyOwn("a", ["b"]), new DropOwn("a", "b"), new DropOwnEverywhere("a", "b"),
            new WriteContent("a", "b", "c"), new SplitContent("a", "b", "c", "d", "e"), new JoinContent("a", "b", "c"), new PasteContent("a", "b", "c", "d", [new("e", ImmutableSortedDictionary<string, string>.Empty.Add("f", "g"))], "h"), new LinesToList(["a"]), new ListToLines("a", "b"),
            new AddPicture("a", "b", "image/png", "c", 3, 2, new("d", "e", "f", 1)) { Post = "g" }, new ReplacePicture("a", "b", "image/png", "c", 3, 2), new AddClip("a", "b", "video/webm", "c", 3, 2, "d"),
            new AddPost("a", "b", "c"), new SetPost("a", PostField.PictureInWords, "b"), new RemovePost("a"), new AddCategory("a", "b"), new SetCategory("a", null, "b"), new MoveCategory("a", 1), new RemoveCategory("a"),
            new AddMenuItem("a", "b", "c", "d") { Parent = "e" }, new SetMenuItem("a", "b", "c", "d"), new MoveMenuItem("a", "b", 1) { Parent = "c" }, new RemoveMenuItem("a", "b"),
        ];
        var there = typeof(Edit).Assembly.GetTypes().Where(t => t.BaseType == typeof(Edit)).Select(t => t.Name).Order();
        Assert.Equal(there, edits.Select(e => e.GetType().Name).Append(nameof(TakeLooks)).Order());
        foreach (var edit in edits)
        {
            var json = JsonSerializer.Serialize(edit, Requests);
            var read = JsonSerializer.Deserialize<Edit>(json, Requests);
            Assert.Equal((edit.GetType(), json), (read?.GetType(), JsonSerializer.Serialize(read, Requests)));
        }
        Assert.Equal("""{"kind":"setCell","look":"a","property":"b","state":"hover","from":1,"below":null,"text":"c","side":null}""", JsonSerializer.Serialize(edits.First(e => e is SetCell), Requests));
    }

    private static readonly JsonSerializerOptions Requests = SiteJson.Configure(new());
}
