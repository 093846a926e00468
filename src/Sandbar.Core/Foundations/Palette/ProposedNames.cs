using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>Names for colours that come in with none, or with one that cannot be had.</summary>
public static class ProposedNames
{
    private const int MostNumber = 1000, LongestNumbered = 50;

    /// <summary>A name for each that can be given to it: its own, or that of the nearest named colour, with a number where it is taken.</summary>
    public static IEnumerable<string> For(Site site, IEnumerable<(string Name, Color Color)> colors)
    {
        // Where the next number is looked for, by name: a list may hold the same hundreds of times.
        var next = new Dictionary<string, int>(StringComparer.OrdinalIgnoreCase);
        var given = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (var (name, color) in colors)
        {
            var free = Free(name.Trim()) ?? Free(ColorNames.Nearest(color)) ?? throw new InvalidOperationException("Every name of a colour is taken a thousand times.");
            given.Add(free);
            yield return free;
        }

        string? Free(string name)
        {
            for (var n = next.GetValueOrDefault(name, 1); n <= (name.Length is 0 or > LongestNumbered ? 1 : MostNumber); n++)
            {
                var called = n == 1 ? name : $"{name} {n}";
                if (given.Contains(called) || Naming.Check(site, ColorKind.Description, "", called) is not null) continue;
                next[name] = n + 1;
                return called;
            }
            return null;
        }
    }
}
