using System.Text.Json;
using System.Text.Json.Nodes;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tests.Syntax;

/// <summary>
/// The parser against css-parsing-tests (the version of its Debian package is in the fixture). It was made for a draft of 2013: what the standard has changed since is listed here.
/// </summary>
public class ParsingCorpusTests
{
    private static readonly JsonElement Corpus = Fixture.Read("css-parsing.json");

    [Fact]
    public void Values_agree_with_the_corpus() => AssertAll("component_value_list", 40, css => Values(Parser.ParseValues(css)), expected => expected);

    [Fact]
    public void Declarations_agree_with_the_corpus() => AssertAll(
        "declaration_list",
        8,
        css => new JsonArray([.. Parser.ParseDeclarations(css).Select(d => new JsonArray(d.Name, Values(d.Value), d.Important))]),
        expected => new JsonArray([.. expected.Where(item => (string?)item![0] == "declaration").Select(d => new JsonArray((string?)d![1], Plain(d[2]!.AsArray()), (bool)d[3]!))]));

    [Fact]
    public void Sheets_agree_with_the_corpus() => AssertAll(
        "stylesheet",
        12,
        css => new JsonArray([.. Parser.ParseStyleSheet(css) is var sheet ? sheet.Rules.Select(rule => Rule(rule, css)) : []]),
        expected => new JsonArray([.. expected.Where(item => (string?)item![0] != "error").Select(rule =>
        {
            var isAt = (string?)rule![0] == "at-rule";
            var (prelude, block) = isAt ? (rule[2]!, rule[3]) : (rule[1]!, rule[2]);
            return new JsonArray(isAt ? (string?)rule[1] : null, Plain(prelude.AsArray()), block is null ? null : Plain(block.AsArray()));
        })]));

    [Fact]
    public void Which_of_a_row_agrees_with_the_corpus()
    {
        var wrong = new List<string>();
        foreach (var item in Corpus.GetProperty("An+B").EnumerateArray())
        {
            var expected = item.GetProperty("expected");
            var read = AnPlusB.TryParse(Parser.ParseValues(item.String("css")).AsSpan(), out var found) ? $"[{found.A}, {found.B}]" : "null";
            if (JsonSerializer.Serialize(JsonNode.Parse(read)) != JsonSerializer.Serialize(expected)) wrong.Add($"{item.String("css")}: {read}, expected {expected}");
        }
        Assert.Empty(wrong);
    }

    private static void AssertAll(string kind, int least, Func<string, JsonArray> read, Func<JsonArray, JsonArray> expected)
    {
        var cases = Corpus.GetProperty(kind).EnumerateArray().Where(c => !c.GetProperty("expected").GetRawText().Contains("unicode-range", StringComparison.Ordinal)).ToList();
        Assert.True(cases.Count >= least, "The corpus is not there.");
        var wrong = new List<string>();
        foreach (var item in cases)
        {
            var rest = expected(JsonNode.Parse(item.GetProperty("expected").GetRawText())!.AsArray());
            var (is_, should) = (read(item.String("css")).ToJsonString(), (kind == "component_value_list" ? Plain(rest) : rest).ToJsonString());
            if (is_ != should) wrong.Add($"{item.String("css")}\n  is       {is_}\n  expected {should}");
        }
        Assert.True(wrong.Count == 0, string.Join("\n", wrong));
    }

    /// <summary>What the corpus expects, as the standard has it now: marks of two characters are two, and what ends with the text is no token of its own. White space around is not compared.</summary>
    private static JsonArray Plain(JsonArray values)
    {
        var all = values.SelectMany(Split).ToList();
        while (all is [{ } first, ..] && first.ToJsonString() == "\" \"") all.RemoveAt(0);
        while (all is [.., { } last] && last.ToJsonString() == "\" \"") all.RemoveAt(all.Count - 1);
        return new([.. all]);

        static IEnumerable<JsonNode?> Split(JsonNode? value)
        {
            if (value is JsonArray inner)
            {
                if (inner.ToJsonString() is "[\"error\",\"eof-in-string\"]" or "[\"error\",\"eof-in-url\"]") return [];
                if ((string?)inner[0] is "number" or "percentage" or "dimension") inner[2] = (double)inner[2]! + 0.0;
                var from = (string?)inner[0] == "function" ? 2 : (string?)inner[0] is "{}" or "[]" or "()" ? 1 : inner.Count;
                return [new JsonArray([.. inner.Take(from).Select(v => v?.DeepClone()), .. Plain(new([.. inner.Skip(from).Select(v => v?.DeepClone())])).Select(v => v?.DeepClone())])];
            }
            var text = value!.GetValue<string>();
            return text is "<!--" or "-->" || text.Length == 1 ? [JsonValue.Create(text)] : text.Select(c => JsonValue.Create(c.ToString()));
        }
    }

    private static JsonArray Rule(RuleNode rule, string css)
    {
        var (name, start) = rule is AtRuleNode at ? (at.Name, at.BlockStart) : (null, ((StyleRuleNode)rule).BlockStart);
        if (start < 0) return new(name, Values(rule.Prelude), null);
        var block = Parser.ParseValues(css[start..rule.End]) is [BlockValue { Values: var values }, ..] ? values : [];
        return new(name, Values(rule.Prelude), Values(block.Trimmed()));
    }

    private static JsonArray Values(IEnumerable<ComponentValue> values) => new([.. values.Select(Value)]);

    private static JsonNode? Value(ComponentValue value) => value switch
    {
        FunctionValue function => new JsonArray(["function", function.Name, .. Values(function.Values.Trimmed()).Select(v => v?.DeepClone())]),
        BlockValue block => new JsonArray([block.Open switch { TokenKind.OpenCurly => "{}", TokenKind.OpenSquare => "[]", _ => "()" }, .. Values(block.Values.Trimmed()).Select(v => v?.DeepClone())]),
        Token token => token.Kind switch
        {
            TokenKind.Whitespace => " ",
            TokenKind.Ident => new JsonArray("ident", token.Text),
            TokenKind.AtKeyword => new JsonArray("at-keyword", token.Text),
            TokenKind.Hash => new JsonArray("hash", token.Text, token.IsId ? "id" : "unrestricted"),
            TokenKind.String => new JsonArray("string", token.Text),
            TokenKind.Url => new JsonArray("url", token.Text),
            TokenKind.BadString => new JsonArray("error", "bad-string"),
            TokenKind.BadUrl => new JsonArray("error", "bad-url"),
            TokenKind.Number => new JsonArray(["number", .. Number(token)]),
            TokenKind.Percentage => new JsonArray(["percentage", .. Number(token)]),
            TokenKind.Dimension => new JsonArray(["dimension", .. Number(token), token.Unit]),
            TokenKind.Colon => ":",
            TokenKind.Semicolon => ";",
            TokenKind.Comma => ",",
            TokenKind.Cdo => "<!--",
            TokenKind.Cdc => "-->",
            TokenKind.CloseCurly => new JsonArray("error", "}"),
            TokenKind.CloseSquare => new JsonArray("error", "]"),
            TokenKind.CloseParen => new JsonArray("error", ")"),
            _ => token.Text,
        },
        _ => null,
    };

    private static JsonNode?[] Number(Token token) => [token.Text, token.Number + 0.0, token.IsInteger ? "integer" : "number"];
}
