using Sandbar.Core.Design;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>Names for colours that come in with none, or with one that cannot be had.</summary>
public static class ProposedNames
{
    /// <summary>A name for each that can be given to it: its own, or that of the nearest named colour, with a number where it is taken.</summary>
    public static IEnumerable<string> For(Site site, IEnumerable<(string Name, Color Color)> colors)
    {
        var taken = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (var (name, color) in colors)
        {
            var wanted = IsFit(site, name) ? name.Trim() : Numbered(name.Trim(), n => IsFit(site, n)) ?? Numbered(ColorNames.Nearest(color), n => IsFit(site, n))!;
            if (!taken.Add(wanted)) wanted = Numbered(wanted, n => !taken.Contains(n) && IsFit(site, n))!;
            taken.Add(wanted);
            yield return wanted;
        }
    }

    private static bool IsFit(Site site, string name) => Naming.Check(site, ColorKind.Description, "", name) is null;

    /// <summary>The name with the first number from 2 on with which it fits; null where a number does not help.</summary>
    private static string? Numbered(string name, Func<string, bool> fits)
    {
        if (name.Length > 0 && fits(name)) return name;
        return name.Length is > 0 and < 50 && !name.Any(char.IsControl) ? Enumerable.Range(2, 1000).Select(n => $"{name} {n}").FirstOrDefault(fits) : null;
    }
}
