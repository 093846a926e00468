using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Which files of a family a browser takes for a weight and a slant. Source: CSS Fonts 4, §5.2.</summary>
public static class FontMatching
{
    /// <summary>From here on a browser draws letters bold by itself where the family has none that are.</summary>
    private const int Bold = 600;

    /// <summary>The files of the face that is taken, which differ by their characters alone; none where the family has no files.</summary>
    public static ImmutableArray<FontFile> Files(Family family, decimal weight, bool italic)
    {
        if (family.Files.IsDefaultOrEmpty) return [];
        var slanted = family.Files.Where(f => f.Italic == italic).ToList();
        var among = slanted.Count > 0 ? slanted : [.. family.Files];
        var nearest = among.MinBy(f => Rank(f, weight))!;
        return [.. among.Where(f => (f.WeightFrom, f.WeightTo) == (nearest.WeightFrom, nearest.WeightTo))];
    }

    /// <summary>Whether a family has letters of a weight, so that the browser neither takes others nor fakes them; what has no files has what the device has.</summary>
    public static bool HasWeight(Family family, decimal weight, bool italic) => family.Files.IsDefaultOrEmpty || Files(family, weight, italic).Any(f => f.WeightFrom <= weight && weight <= f.WeightTo);

    /// <summary>Whether the browser would thicken lighter letters.</summary>
    public static bool IsFakedBold(Family family, decimal weight, bool italic) =>
        weight >= Bold && !HasWeight(family, weight, italic) && Files(family, weight, italic).All(f => f.WeightTo < Bold);

    /// <summary>Whether the browser would slant upright letters.</summary>
    public static bool IsFakedItalic(Family family) => !family.Files.IsDefaultOrEmpty && !family.Files.Any(f => f.Italic);

    // Smaller is taken first: the weight itself; then the side the standard looks at first, the nearest there.
    private static (int Side, decimal Away) Rank(FontFile file, decimal weight)
    {
        if (file.WeightFrom <= weight && weight <= file.WeightTo) return (0, 0);
        // A file from elsewhere may say that its weights end before they begin.
        decimal nearest = weight < file.WeightFrom ? file.WeightFrom : file.WeightTo;
        var away = Math.Abs(nearest - weight);
        var heavier = nearest > weight;
        return weight switch
        {
            < 400 => (heavier ? 2 : 1, away),
            > 500 => (heavier ? 1 : 2, away),
            _ => (heavier ? nearest <= 500 ? 1 : 3 : 2, away),
        };
    }
}
