using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Tests.Editing;

public class AddColorsTests
{
    [Fact]
    public void Colours_come_in_together_in_their_order()
    {
        var edit = new AddColors([new("m", "moss", "#5f7a3a"), new("g", "gold", "rgb(255 215 0 / 0.5)")]);
        var site = edit.Apply(Demo.Site).Site!;
        Assert.Equal(["moss", "gold"], site.Palette.Colors.TakeLast(2).Select(c => c.Name));
        Assert.Equal(new FixedColorValue("rgb(255 215 0 / 0.5)"), site.Palette.Colors[^1].Color);
        Assert.Equal("2 colours added", edit.Describe(Demo.Site));
    }

    [Fact]
    public void One_that_cannot_come_in_keeps_all_out_and_is_named_by_its_place()
    {
        var problem = Demo.Site.Refused(new AddColors([new("m", "moss", "#5f7a3a"), new("n", "Moss", "red")]));
        Assert.Equal("/colors/1/name", problem.Path);
        Assert.Equal("/colors/0/values/color", Demo.Site.Refused(new AddColors([new("m", "moss", "no")])).Path);
        Assert.Equal("/colors", Demo.Site.Refused(new AddColors([])).Path);
        Assert.Equal("/colors", Demo.Site.Refused(new AddColors([.. Enumerable.Range(0, ColorList.Most + 1).Select(i => new NewColor($"c{i}", $"c {i}", "red"))])).Path);
    }

    [Fact]
    public void Every_name_that_is_proposed_can_be_given()
    {
        (string, Color)[] wanted = [("beet", Color.White), ("", ColorText.Parse("#8b0001")), ("", ColorText.Parse("darkred")), ("leaf tint 1", Color.Black), ("text", Color.Black), (new string('x', 80), Color.Black), ("a\nb", Color.White), ("Moss", Color.White)];
        var names = ProposedNames.For(Demo.Site, wanted).ToList();
        Assert.Equal(["beet 2", "darkred", "darkred 2"], names.Take(3));
        Assert.Equal("Moss", names[^1]);
        Assert.Equal("moss 200", ProposedNames.For(Demo.Site, Enumerable.Repeat(("moss", Color.Black), 200)).Last());
        Assert.NotNull(new AddColors([.. names.Select((name, i) => new NewColor($"c{i}", name, "red"))]).Apply(Demo.Site).Site);
    }
}
