using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Reviewing;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Tests.Reviewing;

/// <summary>Overrides that silence states and breaks. That they do so in Chromium follows from the layers (CSS Cascade 5, §6.4.4), which a browser test holds.</summary>
public class SilencedSettingsTests
{
    [Fact]
    public void A_plain_rule_silences_the_states_of_what_it_matches()
    {
        var note = Assert.Single(Notes(".button { background-color: teal }"));
        Assert.Equal(".button { ".Length, note.Start);
        Assert.StartsWith("“background-color” holds in every state here. Silenced: Button · Filled · background in Hover", note.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_plain_rule_silences_breaks()
    {
        Assert.Contains("Card row · columns from 600px", Assert.Single(Notes(".card-row { grid-template-columns: none }")).Message, StringComparison.Ordinal);
        Assert.Contains("at every width", Assert.Single(Notes("main section { padding-inline: 0 }")).Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(".button:hover { background: teal }")]
    [InlineData("@media (width < 600px) { .button { background: teal } }")]
    [InlineData(".button[aria-current] { background: teal }")]
    [InlineData(".button::before { background: teal }")]
    [InlineData(".button { color: teal; margin: 0 }", 1)]
    [InlineData(".nothing-here { background: teal }")]
    [InlineData(".button { --background: teal }")]
    [InlineData(".button { background ")]
    public void What_says_when_it_holds_or_touches_nothing_silences_nothing(string css, int notes = 0) => Assert.Equal(notes, Notes(css).Count(n => n.Message.Contains("background", StringComparison.Ordinal) || notes > 0));

    [Theory]
    [InlineData("@layer mine { .button { background: teal } }")]
    [InlineData("@supports (display: grid) { .button { background: teal } }")]
    [InlineData(".site-header { & .button { background: teal } }")]
    [InlineData(".site-header { .button { background: teal } }")]
    [InlineData(".site-header .content { > .button { background: teal } }")]
    [InlineData("nav + :is(.button, .gone) { background: teal }")]
    public void Nesting_and_conditions_that_always_hold_are_followed(string css) => Assert.Contains("Button · Filled · background in Hover", Assert.Single(Notes(css)).Message, StringComparison.Ordinal);

    [Fact]
    public void All_silences_everything() => Assert.Contains("Button · Filled · background in Hover", Assert.Single(Notes(".button-filled { all: unset }")).Message, StringComparison.Ordinal);

    /// <summary>A sheet that nobody can have written is looked at as far as that takes no time, and says where it was left; a long one is looked at whole.</summary>
    [Theory]
    [InlineData("a{top:0}", 4000, false)]
    [InlineData("p:has(~ p) p:has(+ *) * * *{color:red}", 2000, true)]
    [InlineData("* * * * * * * * * * * * * *{color:red}", 2000, true, "These rules are not counted")]
    public void Looking_up_ends_and_says_where(string rule, int times, bool isLeft, string said = "From here on") =>
        Assert.Equal(
            isLeft,
            Notes(string.Concat(Enumerable.Range(0, times).Select(i => rule.Replace("{", $":not(.x{i}){{", StringComparison.Ordinal)))).Any(n => n.Message.StartsWith(said, StringComparison.Ordinal)));

    [Fact]
    public void Own_values_of_blocks_are_silenced_too()
    {
        var block = Demo.Site.Frame.Header.Blocks[1];
        var own = block.Own.Add("opacity@pressed", new NumberValue(0.5m, ""));
        var site = Blocks.Put(Demo.Site, block with { Own = own }).After(new SetOverrides("header a.button { opacity: 1 }"));
        Assert.Contains("Borrow seeds · opacity in Pressed", Assert.Single(SilencedSettings.Of(site, TestContext.Current.CancellationToken)).Message, StringComparison.Ordinal);
    }

    private static System.Collections.Immutable.ImmutableArray<SyntaxError> Notes(string css)
    {
        var site = Demo.Site.After(new SetOverrides(css));
        return SilencedSettings.Of(site, TestContext.Current.CancellationToken);
    }
}
