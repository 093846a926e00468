using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Reads arithmetic over numbers and what can be named: <c>space 3 * 2</c>, <c>rest + 2px</c>, <c>12px 22px</c>.</summary>
internal sealed partial class ValueReader(Typed typed)
{
    private const int Deepest = 12, MostWords = 4;

    private static readonly Regex[] WordsByCount = [.. Enumerable.Range(0, MostWords).Select(more => new Regex($@"\G\s*[\p{{L}}_][\p{{L}}\p{{Nd}}_'’\-]*(?:\s+[\p{{L}}\p{{Nd}}_'’\-]+){{{more}}}", RegexOptions.CultureInvariant, TimeSpan.FromSeconds(1)))];

    private readonly string text = typed.Text;
    private int at;
    private int depth;

    /// <summary>One value and nothing after it; a name that is more than a word is one too.</summary>
    public Value Whole()
    {
        if (Named(text) is { } named) return named;
        var value = Sum();
        if (!IsAtEnd()) throw new FormatException($"{Quoted.Text(text[at..].Trim())} was not expected here.");
        return value;
    }

    /// <summary>One value after the other.</summary>
    /// <param name="pairs">Whether <c>20px by 10px</c> is one of them.</param>
    public IReadOnlyList<Value> Several(bool pairs = false)
    {
        var values = new List<Value>();
        while (!IsAtEnd())
        {
            if (Mark() is '·' or ',') Take();
            var value = Sum();
            if (pairs && By().Match(text, at) is { Success: true } by)
            {
                at = by.Index + by.Length;
                value = new EllipseValue(AsLength(value), AsLength(Sum()));
            }
            values.Add(value);
        }
        return values;
        static Value AsLength(Value value) => value is NumberValue { Unit: "", Number: not 0 } number ? number with { Unit = "px" } : value;
    }

    [GeneratedRegex(@"\G\s+by\s+", RegexOptions.IgnoreCase)]
    private static partial Regex By();

    [GeneratedRegex(@"\G\s*(?:(?<number>[-−+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)(?<unit>%|[a-z]+)?|(?<word>[\p{L}_][\p{L}\p{Nd}_'’\-]*)|(?<mark>[-−+*×/()·,]))", RegexOptions.IgnoreCase)]
    private static partial Regex Piece();

    [GeneratedRegex(@"\G\s*(?<position>[-−+]?\d+)(?![\p{L}%.\d])")]
    private static partial Regex Position();

    private Value Sum()
    {
        var left = Product();
        while (Mark() is '+' or '-' or '−' && SpacedMark())
        {
            var op = Take() is "+" ? "+" : "-";
            var right = Product();
            left = new OperationValue(op, InPixels(left, right), InPixels(right, left));
        }
        return left;
    }

    private Value Product()
    {
        var left = Primary();
        while (Mark() is '*' or '×' or '/')
        {
            var op = Take() is "/" ? "/" : "*";
            left = new OperationValue(op, left, Primary());
        }
        return left;
    }

    private Value Primary()
    {
        var match = Piece().Match(text, at);
        if (!match.Success) throw Unreadable();
        var start = at;
        at = match.Index + match.Length;
        if (match.Groups["number"].Success) return Number(match);
        if (match.Groups["mark"].Value == "(")
        {
            if (++depth > Deepest) throw new FormatException($"Arithmetic is nested at most {Deepest} deep.");
            var inner = Sum();
            depth--;
            if (Mark() != ')') throw new FormatException("A closing ) is missing.");
            Take();
            return inner;
        }
        var word = match.Groups["word"].Value;
        if (word.Length > 0)
        {
            if (word.Equals("rest", StringComparison.OrdinalIgnoreCase)) return new RestValue(0);
            // A position such as “space 3” before a name of one word.
            var position = Position().Match(text, at);
            if (position.Success && Named($"{word} {position.Groups["position"].Value}") is { } placed)
            {
                at = position.Index + position.Length;
                return placed;
            }
            foreach (var name in NamesFrom(start))
            {
                if (Named(name.Value) is not { } named) continue;
                at = name.Index + name.Length;
                return named;
            }
        }
        at = start;
        throw Unreadable();
    }

    /// <summary>What may be a name of one word or of several, the longest first.</summary>
    private IEnumerable<Match> NamesFrom(int start) => Enumerable.Range(0, MostWords).Reverse().Select(more => WordsByCount[more].Match(text, start)).Where(m => m.Success);

    private ReferenceValue? Named(string name) => Kinds.All.Where(k => k.Type == CssType.Length).Select(k => k.Read(typed.Site, name.Trim())).FirstOrDefault(r => r is not null);

    private static NumberValue Number(Match match)
    {
        var unit = match.Groups["unit"].Value.ToLowerInvariant();
        if (!decimal.TryParse(match.Groups["number"].Value.Replace('−', '-'), NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
            throw new FormatException($"{match.Groups["number"].Value} is too large.");
        if (CssType.OfUnit(unit) is null) throw new FormatException($"{Quoted.Text(unit)} is not a unit here: use {Sentence.OneOf(CssType.LengthUnits)}.");
        return new(number, unit);
    }

    /// <summary>A plain number beside a length means px; a plain 0 is nothing of anything.</summary>
    private Value InPixels(Value value, Value beside) =>
        value is NumberValue { Unit: "", Number: not 0 } number && ValueForms.TypeOf(typed.Site, beside, typed.Rest) is { } type && (type == CssType.Length || type == CssType.Sides)
            ? number with { Unit = "px" }
            : value;

    private bool IsAtEnd() => string.IsNullOrWhiteSpace(text[at..]);

    private char? Mark()
    {
        var rest = text.AsSpan(at).TrimStart();
        return rest.Length > 0 ? rest[0] : null;
    }

    /// <summary>Whether a sign stands apart, as in CSS: "4px -2px" are two values, "4px - 2px" is one.</summary>
    private bool SpacedMark()
    {
        var rest = text.AsSpan(at).TrimStart();
        return rest.Length == 1 || char.IsWhiteSpace(rest[1]);
    }

    private string Take()
    {
        while (char.IsWhiteSpace(text[at])) at++;
        return text[at++].ToString();
    }

    private FormatException Unreadable() => typed.Unreadable(text[at..]);
}
