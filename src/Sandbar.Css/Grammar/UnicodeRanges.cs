using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>Ranges of characters, such as <c>U+0-7F, U+4??</c>: their pieces are tokens of many kinds. Source: CSS Syntax 3, §7.</summary>
internal static partial class UnicodeRanges
{
    private const int Last = 0x10FFFF;

    /// <summary>Where the first part of a list stands that is no range; null where all are.</summary>
    public static int? Wrong(ImmutableArray<ComponentValue> list)
    {
        foreach (var part in list.BetweenCommas())
        {
            var range = part.Trimmed();
            if (range.IsEmpty) return list[0].Start;
            if (!IsOne(string.Concat(range.Select(v => v is Token { Kind: not TokenKind.Whitespace } token ? token.Text + token.Unit : " ")))) return range[0].Start;
        }
        return null;
    }

    private static bool IsOne(string text)
    {
        if (Form().Match(text) is not { Success: true } match) return false;
        // A question mark stands for any digit.
        var from = Number(match.Groups["from"].Value.Replace('?', '0'));
        var to = Number((match.Groups["to"].Success ? match.Groups["to"] : match.Groups["from"]).Value.Replace('?', 'F'));
        return from <= to && to <= Last;
    }

    private static int Number(string digits) => int.Parse(digits, NumberStyles.HexNumber, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^[uU]\+((?<from>(?=.{1,6}$)[0-9a-fA-F]*\?*)|(?<from>[0-9a-fA-F]{1,6})-(?<to>[0-9a-fA-F]{1,6}))$")]
    private static partial Regex Form();
}
