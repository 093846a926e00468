using System.Collections.Immutable;

namespace Sandbar.Core.Foundations.Type;

/// <summary>A font that most devices have, under the names of all that were drawn to its widths.</summary>
/// <param name="SampleWidth">Of <see cref="FallbackFace.Sample"/>, em.</param>
public sealed record LocalFont(ImmutableArray<string> Names, double SampleWidth)
{
    private const int Bold = 600;

    /// <summary>Regular, bold, italic and bold italic of three families. Measured on Debian's fonts-liberation, which have the widths of the fonts named before them.</summary>
    private static readonly ImmutableArray<LocalFont>
        Sans = Four("Arial", "Arial", "MT", "Liberation Sans", "Arimo", 84.0469, 90.2441, 84.0469, 90.2441),
        Serif = Four("Times New Roman", "TimesNewRomanPS", "MT", "Liberation Serif", "Tinos", 75.6724, 80.6089, 76.002, 77.7549),
        Mono = Four("Courier New", "CourierNewPS", "MT", "Liberation Mono", "Cousine", 111.6182, 111.6182, 111.6182, 111.6182);

    /// <summary>The one most like what a family list falls back on in the end, nearest to a weight and a slant.</summary>
    public static LocalFont For(string stack, int weight, bool italic)
    {
        var family = FamilyList.Last(stack) switch
        {
            "monospace" => Mono,
            "sans-serif" or "system-ui" or "cursive" => Sans,
            _ => Serif,
        };
        return family[(weight >= Bold ? 1 : 0) + (italic ? 2 : 0)];
    }

    /// <summary>By full and PostScript names, as <c>local()</c> asks for them (CSS Fonts 4, §4.3).</summary>
    private static ImmutableArray<LocalFont> Four(string full, string postScript, string ending, string debian, string open, double regular, double bold, double italic, double boldItalic)
    {
        return [Of("", "", regular), Of(" Bold", "-Bold", bold), Of(" Italic", "-Italic", italic), Of(" Bold Italic", "-BoldItalic", boldItalic)];

        LocalFont Of(string style, string shortStyle, double width) => new([full + style, postScript + shortStyle + ending, debian + style, open + style], width);
    }
}
