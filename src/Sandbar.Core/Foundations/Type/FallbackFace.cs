using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Fonts;

namespace Sandbar.Core.Foundations.Type;

/// <summary>
/// A font that most devices have, made to take as much room as a family whose files are still on their way: text keeps its place when they arrive.
/// Source: CSS Fonts 5, <c>size-adjust</c>; CSS Fonts 4, <c>ascent-override</c>, <c>descent-override</c>, <c>line-gap-override</c>.
/// </summary>
/// <param name="Family">CSS name of the face.</param>
/// <param name="Locals">Names of the local fonts, which all have the same widths and heights.</param>
/// <param name="SizeAdjust">Times the size asked for.</param>
/// <param name="Ascent">Of that size, as are the others.</param>
public sealed record FallbackFace(string Family, ImmutableArray<string> Locals, double SizeAdjust, double Ascent, double Descent, double LineGap)
{
    /// <summary>Running text: its letters are about as frequent as in English (common practice, no source).</summary>
    public const string Sample =
        "The library lends what grows. Somebody saves a handful of seed each autumn, writes a name on a paper packet, and brings it back to be borrowed again by whoever asks for it in the spring.";

    private const int UsualWeight = 400;

    // By font file of the program and the local font that stands in for it.
    private static readonly ConcurrentDictionary<(string Item, LocalFont Local), FallbackFace?> Known = [];

    // Of a family that stays as it is it is looked up once: every sheet asks for it.
    private static readonly ConditionalWeakTable<Family, Found> OfFamily = [];

    /// <summary>The face for a family; null where it has no file, or none that comes with the program.</summary>
    public static FallbackFace? Of(Family family) => OfFamily.GetValue(family, Find).Face;

    /// <summary>The family list as it is released, with the face after what it stands in for.</summary>
    public static string Stack(Family family) => OfFamily.GetValue(family, Find).Stack;

    private static Found Find(Family family)
    {
        var usual = family.Files.Where(f => !f.Italic).MinBy(f => f.From(UsualWeight));
        if (usual is null || BundledFamilies.Item(usual.Item) is not { } item || Known.GetOrAdd((item.Id, LocalFont.For(family.Stack)), key => Made(item, key.Local)) is not { } face)
            return new(null, FamilyList.Css(family.Stack));
        var named = face with { Family = $"{FamilyList.First(family.Stack)} Fallback" };
        return new(named, FamilyList.After(family.Stack, named.Family));
    }

    private static FallbackFace? Made(ShelfItem item, LocalFont local)
    {
        if (BundledFamilies.Asset(item.Hash) is not { } asset) return null;
        var font = Sandbar.Fonts.FontFile.Read(asset.Bytes);
        using var measure = new TextMeasure(font);
        var metrics = font.Facts.Metrics;
        var adjust = measure.Width(Sample, 1, UsualWeight) / local.SampleWidth;
        return new("", local.Names, adjust, Share(metrics.Ascent), Share(metrics.Descent), Share(metrics.LineGap));

        double Share(int units) => Math.Abs(units) / (metrics.UnitsPerEm * adjust);
    }

    /// <summary>A number as a percentage of CSS.</summary>
    public static string Percentage(double share) => string.Create(CultureInfo.InvariantCulture, $"{share * 100:0.##}%");

    private sealed record Found(FallbackFace? Face, string Stack);
}

/// <summary>A font that most devices have, under the names of all that were drawn to its widths.</summary>
/// <param name="SampleWidth">Of <see cref="FallbackFace.Sample"/>, em.</param>
public sealed record LocalFont(ImmutableArray<string> Names, double SampleWidth)
{
    /// <summary>Measured on Debian's fonts-liberation, which have the widths of the fonts named before them.</summary>
    public static readonly LocalFont
        Sans = new(["Arial", "ArialMT", "Liberation Sans", "Arimo"], 84.0469),
        Serif = new(["Times New Roman", "TimesNewRomanPSMT", "Liberation Serif", "Tinos"], 75.6724),
        Mono = new(["Courier New", "CourierNewPSMT", "Liberation Mono", "Cousine"], 111.6182);

    /// <summary>The one most like what a family list falls back on in the end.</summary>
    public static LocalFont For(string stack) => FamilyList.Last(stack) switch
    {
        "monospace" => Mono,
        "sans-serif" or "system-ui" or "cursive" => Sans,
        _ => Serif,
    };
}
