using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Rendering;
using Sandbar.Css.Selectors;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>The override rules whose elements are looked up on the pages: so many that a sheet written by hand is looked at whole, and no text keeps anybody waiting.</summary>
/// <param name="Note">What is said where the rest begins; empty where nothing is left out.</param>
internal sealed record LookedUp(ImmutableArray<FlatRule> Rules, ImmutableArray<SyntaxError> Note)
{
    private const int MostRules = 2000;

    public bool IsWhole => Note.IsEmpty;

    /// <param name="isAsked">Which of the sheet's own rules are looked up.</param>
    public static LookedUp Of(OverrideText sheet, Func<WrittenRule, bool> isAsked)
    {
        var asked = sheet.Rules.Where(isAsked).ToList();
        // The one in which it becomes too many is the last that is read.
        var count = 0;
        var within = asked.TakeWhile(r => (count += r.StyleRules) - r.StyleRules < MostRules).Select(r => r.Start).ToHashSet();
        var rules = sheet.Read(within).ToList();
        var taken = FlatRules.Of(sheet.Source, rules, MostRules).ToImmutableArray();
        if (asked.Sum(r => r.StyleRules) <= MostRules) return new(taken, []);
        var next = taken.IsEmpty ? rules[0].Start : taken[^1].Declarations is [var first, ..] ? first.Start : rules[^1].Start;
        return new(taken, [new(next, next + 1, string.Create(CultureInfo.InvariantCulture, $"From here on it is not looked up what rules match: the first {MostRules} have been."))]);
    }
}
