using System.Collections.Immutable;
using System.Text;

namespace Sandbar.Fonts;

/// <summary>Characters, as ranges of code points that do not touch, the lowest first.</summary>
public sealed record CharacterSet(ImmutableArray<(int From, int To)> Ranges)
{
    public bool Contains(int codePoint)
    {
        int low = 0, high = Ranges.Length - 1;
        while (low <= high)
        {
            var middle = (low + high) / 2;
            var (from, to) = Ranges[middle];
            if (codePoint < from) high = middle - 1;
            else if (codePoint > to) low = middle + 1;
            else return true;
        }
        return false;
    }

    /// <summary>The characters of a text that are not among these, each once, in its order. What is never drawn is left out.</summary>
    public IEnumerable<Rune> MissingIn(string text) => text.EnumerateRunes().Distinct().Where(r => !Rune.IsControl(r) && !Contains(r.Value));

    /// <summary>Those that are among others, too.</summary>
    public CharacterSet Within(CharacterSet others) => Of(
        from range in Ranges
        from other in others.Ranges
        let both = (From: Math.Max(range.From, other.From), To: Math.Min(range.To, other.To))
        where both.From <= both.To
        select both);

    /// <summary>Ranges in any order, perhaps touching, as a set.</summary>
    public static CharacterSet Of(IEnumerable<(int From, int To)> ranges)
    {
        var joined = ImmutableArray.CreateBuilder<(int From, int To)>();
        foreach (var range in ranges.Where(r => r.From <= r.To).Order())
        {
            if (joined.Count > 0 && range.From <= joined[^1].To + 1) joined[^1] = (joined[^1].From, Math.Max(joined[^1].To, range.To));
            else joined.Add(range);
        }
        return new(joined.ToImmutable());
    }
}
