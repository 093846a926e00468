using Sandbar.Css.Grammar;
using Sandbar.Css.Syntax;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Computing;

/// <summary>Gradients as Chromium writes them once they are computed: what says nothing is left out. Source: CSS Images 4, §3.</summary>
internal static class Gradients
{
    public static string Of(FunctionValue function, Func<Values, string> plain, Func<Values, string> position)
    {
        var name = function.Name.ToLowerInvariant();
        var entries = ComputedText.Entries(function.Values);
        var parts = new List<string>();
        var isConic = name.EndsWith("conic-gradient", StringComparison.Ordinal);
        if (name.StartsWith("-webkit-", StringComparison.Ordinal)) return $"{name}({ComputedText.List(function.Values, plain)})";
        var first = entries.Count > 0 && IsHead(entries[0]) ? 1 : 0;
        foreach (var stop in entries.Skip(first))
        {
            // A colour with two places is two stops.
            var color = stop.FirstOrDefault(v => !IsPlace(v));
            var places = stop.Where(IsPlace).Select(p => p is Token { Kind: TokenKind.Number } ? isConic ? "0deg" : "0px" : plain([p])).ToList();
            if (color is null) parts.Add(string.Join(' ', places));
            else if (places.Count == 0) parts.Add(plain([color]));
            else parts.AddRange(places.Select(place => $"{plain([color])} {place}"));
        }
        if (first == 0) return $"{name}({string.Join(", ", parts)})";
        // Colours written as of old are mixed in sRGB where nothing is said, all others in OKLab (§3.1): that is not said.
        var usual = parts.TrueForAll(p => p.StartsWith("rgb", StringComparison.Ordinal) || p[0] is (>= '0' and <= '9') or '-') ? "in srgb" : "in oklab";
        Func<Values, string> named = values => plain(values) is var said && said == usual ? "" : said;
        var head = name.EndsWith("linear-gradient", StringComparison.Ordinal) ? Linear(entries[0], plain, named) : isConic ? Conic(entries[0], plain, named, position) : Radial(entries[0], plain, named, position);
        if (head.Length > 0) parts.Insert(0, head);
        return $"{name}({string.Join(", ", parts)})";
    }

    internal static bool IsPlace(ComponentValue value) => value is Token { Kind: TokenKind.Percentage or TokenKind.Dimension or TokenKind.Number } || (value is FunctionValue function && MathType.IsMath(function.Name));

    internal static bool IsHead(Values entry) => entry.Any(v => v is Token { Kind: TokenKind.Ident } word && (word.IsIdent("to") || word.IsIdent("at") || word.IsIdent("from") || word.IsIdent("in") || IsShape(word)))
        || entry.All(IsPlace) && entry.Length > 0 && entry[0] is not Token { Kind: TokenKind.Percentage } || (entry.Length == 2 && entry.All(IsPlace));

    private static bool IsShape(Token word) => word.Text.ToLowerInvariant() is "circle" or "ellipse" or "closest-side" or "closest-corner" or "farthest-side" or "farthest-corner";

    /// <summary>What stands before a word, and from it on.</summary>
    internal static (Values Before, Values After) SplitAt(Values values, string word)
    {
        var at = values.ToList().FindIndex(v => v is Token token && token.IsIdent(word));
        return at < 0 ? (values, []) : (values[..at], values[at..]);
    }

    private static (Values Way, string Space) Space(Values head, Func<Values, string> named)
    {
        var (way, space) = SpaceOf(head);
        return (way, space.IsEmpty ? "" : named(space));
    }

    /// <summary>The space that colours are mixed in, apart from the rest; empty where none is named.</summary>
    internal static (Values Way, Values Space) SpaceOf(Values head)
    {
        var at = head.ToList().FindIndex(v => v is Token token && token.IsIdent("in"));
        if (at < 0) return (head, []);
        var length = 2;
        if (at + 3 < head.Length && head[at + 3] is Token hue && hue.IsIdent("hue")) length = 4;
        length = Math.Min(length, head.Length - at);
        return (head.RemoveRange(at, length), head.Slice(at, length));
    }

    private static string Joined(params IEnumerable<string> parts) => string.Join(' ', parts.Where(p => p.Length > 0));

    private static string Linear(Values head, Func<Values, string> plain, Func<Values, string> named)
    {
        var (way, space) = Space(head, named);
        var text = plain(way);
        return Joined(text is "to bottom" or "180deg" ? "" : text == "0" ? "0deg" : text, space);
    }

    private static string Conic(Values head, Func<Values, string> plain, Func<Values, string> named, Func<Values, string> position)
    {
        var (rest, space) = Space(head, named);
        var (from, at) = SplitAt(rest, "at");
        var turn = plain(from);
        var place = at.Length > 1 ? position(at[1..]) : "50% 50%";
        return Joined(turn is "from 0deg" or "from 0" ? "" : turn, place == "50% 50%" ? "" : $"at {place}", space);
    }

    private static string Radial(Values head, Func<Values, string> plain, Func<Values, string> named, Func<Values, string> position)
    {
        var (rest, space) = Space(head, named);
        var (shape, at) = SplitAt(rest, "at");
        var words = shape.OfType<Token>().Where(t => t.Kind == TokenKind.Ident).Select(t => t.Text.ToLowerInvariant()).ToList();
        var sizes = shape.Where(IsPlace).Select(v => plain([v]) is "0" ? "0px" : plain([v])).ToList();
        var isCircle = words.Contains("circle");
        var extent = words.Find(w => w.EndsWith("-side", StringComparison.Ordinal) || w.EndsWith("-corner", StringComparison.Ordinal)) ?? "";
        var place = at.Length > 1 ? position(at[1..]) : "50% 50%";
        return Joined(isCircle && sizes.Count == 0 ? "circle" : "", extent == "farthest-corner" ? "" : extent, string.Join(' ', sizes), place == "50% 50%" ? "" : $"at {place}", space);
    }
}
