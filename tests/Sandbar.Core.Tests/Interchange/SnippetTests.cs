using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;

namespace Sandbar.Core.Tests.Interchange;

/// <summary>Blocks taken away. That they show the same is held to Chromium (the browser tests of the same name).</summary>
public partial class SnippetTests
{
    private static readonly Block Card = Blocks.All(Demo.Site).First(b => b.Part == "card");

    [Fact]
    public void A_snippet_holds_what_reaches_it_and_nothing_else()
    {
        var snippet = Snippet.Of(Demo.Site, Card, resolved: false);
        Assert.Contains("class=\"card card-standard\"", snippet.Html, StringComparison.Ordinal);
        Assert.Contains(Card.Content["title"], snippet.Html, StringComparison.Ordinal);
        Assert.DoesNotContain("data-block", snippet.Html, StringComparison.Ordinal);
        Assert.Contains("@scope (.snippet)", snippet.Css, StringComparison.Ordinal);
        foreach (var other in new[] { ".button", ".site-header", ".table", ".columns", "min-block-size: 100svh" }) Assert.DoesNotContain(other, snippet.Css, StringComparison.Ordinal);
        Assert.InRange(snippet.Css.Length, 1000, SiteRelease.StyleSheet(Demo.Site).Length / 2);
        // Every token that is used comes along, and none that is not.
        var used = Used().Matches(snippet.Css).Select(m => m.Groups["name"].Value).ToHashSet();
        var set = Set().Matches(snippet.Css).Select(m => m.Groups["name"].Value).ToHashSet();
        Assert.Empty(used.Where(n => n.StartsWith("--role-", StringComparison.Ordinal) || n.StartsWith("--color-", StringComparison.Ordinal)).Except(set));
        Assert.Empty(set.Where(n => n.StartsWith("--color-", StringComparison.Ordinal)).Except(used));
    }

    [Fact]
    public void Tokens_are_written_out_where_they_are_one_thing_alone()
    {
        var snippet = Snippet.Of(Demo.Site, Card, resolved: true);
        Assert.True(snippet.IsResolved);
        Assert.DoesNotContain("var(--role-", snippet.Css, StringComparison.Ordinal);
        Assert.DoesNotContain("var(--color-", snippet.Css, StringComparison.Ordinal);
        var section = Blocks.All(Demo.Site).First(b => b.Part == "section" && b.Scheme is null && b.Blocks.Length > 0);
        var inner = section with { Blocks = section.Blocks.SetItem(0, section.Blocks[0] with { Scheme = "dusk" }) };
        Assert.False(Snippet.Of(Blocks.Put(Demo.Site, inner), inner, resolved: true).IsResolved);
    }

    [Fact]
    public void Files_come_with_their_fonts_licences_and_pictures()
    {
        var figure = Blocks.All(Demo.Site).First(b => b.Part == "figure");
        var files = Snippet.Of(Demo.Site, figure, resolved: false).Files(Demo.Site, "figure").ToList();
        Assert.Equal(["figure.html", "figure.css"], files.Take(2).Select(f => f.Path));
        Assert.Contains(files, f => f.Path.EndsWith(".woff2", StringComparison.Ordinal));
        Assert.Contains(files, f => f.Path.StartsWith("fonts/licences/", StringComparison.Ordinal));
        Assert.Contains(files, f => f.Hash == Demo.Site.Shelf.First(i => i.Id == figure.Content["picture"]).Hash);
    }

    [GeneratedRegex(@"var\((?<name>--[a-z0-9-]+)")]
    private static partial Regex Used();

    [GeneratedRegex(@"^\s*(?<name>--[a-z0-9-]+):", RegexOptions.Multiline)]
    private static partial Regex Set();
}
