namespace Sandbar.Css.Colors;

/// <summary>What colours are called in CSS.</summary>
public static class ColorNames
{
    private static readonly (string Name, Color Lab)[] All =
    [
        .. NamedColors.Values.GroupBy(n => n.Value).Select(same => (same.First().Key, Color.FromBytes((byte)(same.Key >> 16), (byte)(same.Key >> 8), (byte)same.Key).To(ColorSpace.Lab))),
    ];

    /// <summary>The named colour that looks least different (CIEDE2000). Source of the names: CSS Color Module Level 4, §6.1.</summary>
    public static string Nearest(Color color)
    {
        var lab = color.To(ColorSpace.Lab);
        return All.MinBy(n => Difference.Ciede2000(lab, n.Lab)).Name;
    }
}
