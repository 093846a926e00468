using System.Collections.Immutable;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Syntax;

/// <summary>Parsed CSS written anew: it is read as what it was (CSS Syntax Module Level 3, §9).</summary>
public class SerializerTests
{
    /// <summary>Every pair of tokens of the corpus, beside each other and with a comment between, is read as the same pair again.</summary>
    [Fact]
    public void Any_two_tokens_stay_two_tokens()
    {
        string[] tokens = ["a", "-", "-a", "--b", "a(", "@a", "#a", "#1", "'s'", "url(x)", "<", "!", "1", "+1", "1px", "1e3", "1\\65 3", "10%", "-->", "<!--", ":", ";", ",", "[", "(", "/", "*", ".", "\\@", "×", "e", "U", "?", "&", "|", "\\--", ">", "{", "\\6e"];
        foreach (var a in tokens)
        {
            foreach (var b in tokens)
            {
                foreach (var between in new[] { "", "/**/", " ", "/**/ /**/" })
                {
                    var css = a + between + b;
                    var values = Parser.ParseValues(css);
                    var written = Serializer.Values(values);
                    Assert.True(Kinds(Parser.ParseValues(written)).SequenceEqual(Kinds(values)), $"{css} → {written}");
                }
            }
        }
    }

    /// <summary>Examples of CSSOM, §2.1, and of what ends a style element.</summary>
    [Theory]
    [InlineData("a", "a")]
    [InlineData("1a", "\\31 a")]
    [InlineData("-1", "-\\31 ")]
    [InlineData("-", "\\-")]
    [InlineData("a b", "a\\ b")]
    [InlineData("a<b", "a\\3c b")]
    [InlineData("é", "é")]
    [InlineData("×", "\\d7 ")]
    public void Identifiers_are_escaped(string name, string css) => Assert.Equal(css, Serializer.Identifier(name));

    [Theory]
    [InlineData("a\"b\\c", "\"a\\\"b\\\\c\"")]
    [InlineData("a\nb", "\"a\\a b\"")]
    [InlineData("</style>", "\"\\3c /style>\"")]
    public void Strings_are_quoted(string text, string css) => Assert.Equal(css, Serializer.String(text));

    [Theory]
    [InlineData("url( a b.png )", "")]
    [InlineData("url( a.png )", "url(\"a.png\")")]
    [InlineData("rgb(255 0 0", "rgb(255 0 0)")]
    [InlineData("red/*", "red")]
    [InlineData("'a", "\"a\"")]
    [InlineData("\\<\\/style>", "\\3c \\/style>")]
    public void What_is_open_is_closed(string css, string written) => Assert.Equal(written, Serializer.Values(Parser.ParseValues(css)));

    private static IEnumerable<(TokenKind, string, string)> Kinds(ImmutableArray<ComponentValue> values) => values.SelectMany(v => v switch
    {
        FunctionValue function => Kinds(function.Values).Prepend((TokenKind.Function, function.Name, "")),
        BlockValue block => Kinds(block.Values).Prepend((block.Open, "", "")),
        Token t => [(t.Kind == TokenKind.Url ? TokenKind.Function : t.Kind, t.Kind == TokenKind.Url ? "url" : t.Text, t.Unit), .. t.Kind == TokenKind.Url ? [(TokenKind.String, t.Text, "")] : Array.Empty<(TokenKind, string, string)>()],
        _ => [],
    });
}
