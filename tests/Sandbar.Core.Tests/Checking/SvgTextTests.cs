using System.Text;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Tests.Checking;

/// <summary>Files that come from elsewhere.</summary>
public class SvgTextTests
{
    /// <summary>Pictures that do no harm keep their very bytes: those of the demo, and what drawing programs write.</summary>
    [Fact]
    public void What_only_draws_stays_as_it_is()
    {
        var pictures = Demo.Sample.Assets.Where(a => a.MediaType == "image/svg+xml").ToList();
        Assert.NotEmpty(pictures);
        foreach (var picture in pictures) Assert.Same(picture.Bytes, SvgText.Cleaned(picture.Bytes));
        var drawn = Encoding.UTF8.GetBytes(
            """
            <?xml version="1.0"?>
            <!-- drawn -->
            <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 10 10" fill-rule="evenodd">
              <defs><linearGradient id="g" gradientTransform="rotate(45)"><stop offset="0" stop-color="red" style="stop-opacity:.5"/></linearGradient></defs>
              <path d="M0 0h10v10z" fill="url(#g)" stroke-dasharray="1 2"/><use href="#g" xlink:href="#g"/><image href="data:image/png;base64,AAAA" width="1" height="1"/>
            </svg>
            """);
        Assert.Same(drawn, SvgText.Cleaned(drawn));
    }

    [Theory]
    [InlineData("<script>alert(1)</script>", "script")]
    [InlineData("<path onclick=\"alert(1)\" d=\"M0 0\"/>", "onclick")]
    [InlineData("<a href=\"javascript:alert(1)\"><path d=\"M0 0\"/></a>", "javascript")]
    [InlineData("<use href=\"https://example.org/x.svg#a\"/>", "example.org")]
    [InlineData("<use xlink:href=\"//example.org/x.svg#a\"/>", "example.org")]
    [InlineData("<image href=\"https://example.org/x.png\"/>", "example.org")]
    [InlineData("<image href=\"data:image/svg+xml;base64,AAAA\"/>", "svg+xml")]
    [InlineData("<path fill=\"url(https://example.org/x.svg#a)\" d=\"M0 0\"/>", "example.org")]
    [InlineData("<path style=\"fill:url('//example.org/x')\" d=\"M0 0\"/>", "example.org")]
    [InlineData("<path style=\"fill:u\\72l(//example.org)\" d=\"M0 0\"/>", "example.org")]
    [InlineData("<style>@import url(//example.org/x.css);</style>", "example.org")]
    [InlineData("<foreignObject><iframe src=\"//example.org\"></iframe></foreignObject>", "example.org")]
    [InlineData("<animate attributeName=\"href\" to=\"javascript:alert(1)\"/>", "javascript")]
    [InlineData("<set attributeName=\"onload\" to=\"alert(1)\"/>", "onload")]
    public void What_runs_or_loads_is_taken_out(string inner, string gone)
    {
        var cleaned = Encoding.UTF8.GetString(SvgText.Cleaned(Encoding.UTF8.GetBytes($"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 1 1\"><circle r=\"1\"/>{inner}</svg>")));
        Assert.DoesNotContain(gone, cleaned, StringComparison.OrdinalIgnoreCase);
        Assert.Contains("<circle r=\"1\"", cleaned, StringComparison.Ordinal);
        Assert.Contains("viewBox=\"0 0 1 1\"", cleaned, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("Grün", "grun")]
    [InlineData("Łódź", "lodz")]
    [InlineData("Пион", "pion")]
    [InlineData("2 Pears", "n2-pears")]
    [InlineData("…", "x")]
    public void Slugs_keep_letters(string name, string slug) => Assert.Equal(slug, Names.Slug(name));

    [Fact]
    public void However_long_a_name_is_its_slug_is_one() => Assert.True(Names.IsSlug(Names.Slug(new string('絵', 60))));
}
