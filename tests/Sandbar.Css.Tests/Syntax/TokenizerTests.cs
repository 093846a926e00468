using System.Text.Json;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Syntax;

/// <summary>The tokenizer against @rmenke/css-tokenizer-tests (its version is in the fixture).</summary>
public class TokenizerTests
{
    private static readonly Dictionary<string, TokenKind> Kinds = new()
    {
        ["ident-token"] = TokenKind.Ident, ["function-token"] = TokenKind.Function, ["at-keyword-token"] = TokenKind.AtKeyword, ["hash-token"] = TokenKind.Hash,
        ["string-token"] = TokenKind.String, ["bad-string-token"] = TokenKind.BadString, ["url-token"] = TokenKind.Url, ["bad-url-token"] = TokenKind.BadUrl,
        ["delim-token"] = TokenKind.Delim, ["number-token"] = TokenKind.Number, ["percentage-token"] = TokenKind.Percentage, ["dimension-token"] = TokenKind.Dimension,
        ["whitespace-token"] = TokenKind.Whitespace, ["CDO-token"] = TokenKind.Cdo, ["CDC-token"] = TokenKind.Cdc, ["colon-token"] = TokenKind.Colon,
        ["semicolon-token"] = TokenKind.Semicolon, ["comma-token"] = TokenKind.Comma, ["[-token"] = TokenKind.OpenSquare, ["]-token"] = TokenKind.CloseSquare,
        ["(-token"] = TokenKind.OpenParen, [")-token"] = TokenKind.CloseParen, ["{-token"] = TokenKind.OpenCurly, ["}-token"] = TokenKind.CloseCurly,
        ["comment"] = TokenKind.Comment,
    };

    /// <summary>Cases with characters that drafts since 2022 take out of names. Browsers keep them in; a browser test holds us to Chromium.</summary>
    private static readonly string[] BrowsersDiffer = ["tests/fuzz/b69ece36-057f-4450-9423-a1661787bce6", "tests/ident/0007", "tests/ident/0008"];

    [Fact]
    public void Tokens_agree_with_the_corpus()
    {
        var cases = Fixture.Read("css-tokens.json").GetProperty("cases").EnumerateArray().ToList();
        Assert.True(cases.Count > 200, "The corpus is not there.");
        var wrong = cases.Where(c => !BrowsersDiffer.Contains(c.String("name"))).Select(Difference).OfType<string>().ToList();
        Assert.Empty(wrong);
    }

    [Fact]
    public void Tokens_cover_the_source_without_gaps()
    {
        foreach (var item in Fixture.Read("css-tokens.json").GetProperty("cases").EnumerateArray())
        {
            var at = 0;
            foreach (var token in Tokenizer.Read(item.String("css")))
            {
                Assert.Equal(at, token.Start);
                at = token.End;
            }
            Assert.Equal(item.String("css").Length, at);
        }
    }

    private static string? Difference(JsonElement item)
    {
        string css = item.String("css"), name = item.String("name");
        var actual = Tokenizer.Read(css).Where(t => t.Kind != TokenKind.End).ToList();
        var expected = item.GetProperty("tokens").EnumerateArray().ToList();
        if (actual.Count != expected.Count) return $"{name}: {actual.Count} tokens, expected {expected.Count}";
        foreach (var (a, e) in actual.Zip(expected))
        {
            if (a.Kind != Kinds[e.String("type")]) return $"{name}: {a}, expected {e}";
            if (a.Start != e.GetProperty("startIndex").GetInt32() || a.End != e.GetProperty("endIndex").GetInt32()) return $"{name}: {a}, expected {e}";
            if (e.GetProperty("structured") is not { ValueKind: JsonValueKind.Object } s) continue;
            var value = s.GetProperty("value");
            if (value.ValueKind == JsonValueKind.Number && Math.Abs(value.GetDouble() - a.Number) > 1e-9 * Math.Abs(a.Number)) return $"{name}: {a}, expected {e}";
            if (value.ValueKind == JsonValueKind.String && value.GetString() != a.Text) return $"{name}: {a}, expected {e}";
            if (s.TryGetProperty("unit", out var unit) && unit.GetString() != a.Unit) return $"{name}: {a}, expected {e}";
            if (s.TryGetProperty("type", out var type) && !FlagAgrees(a, type.GetString()!)) return $"{name}: {a}, expected {e}";
        }
        return null;
    }

    private static bool FlagAgrees(Token token, string type) => type switch
    {
        "integer" => token.IsInteger,
        "number" => !token.IsInteger,
        "id" => token.IsId,
        "unrestricted" => !token.IsId,
        _ => false,
    };
}
