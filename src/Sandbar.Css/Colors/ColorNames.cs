namespace Sandbar.Css.Colors;

/// <summary>What colours are called in CSS. Source of the names: CSS Color Module Level 4, §6.1.</summary>
public static class ColorNames
{
    private static readonly (string Name, Color Lab)[] All =
    [
        .. NamedColors.Values.GroupBy(n => n.Value).Select(same => (same.First().Key, Color.FromBytes((byte)(same.Key >> 16), (byte)(same.Key >> 8), (byte)same.Key).To(ColorSpace.Lab))),
    ];

    /// <summary>The named colour that looks least different (CIEDE2000).</summary>
    public static string Nearest(Color color) => Near(color).First().Name;

    /// <summary>The named colours with their difference (CIEDE2000), the nearest first; of two names for one colour the first.</summary>
    public static IEnumerable<(string Name, Color Color, double Difference)> Near(Color color)
    {
        var lab = color.To(ColorSpace.Lab);
        return All.Select(n => (n.Name, n.Lab, Difference.Ciede2000(lab, n.Lab))).OrderBy(n => n.Item3);
    }
}
