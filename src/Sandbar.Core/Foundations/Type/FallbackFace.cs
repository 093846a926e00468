using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;

namespace Sandbar.Core.Foundations.Type;

/// <summary>
/// A font that most devices have, made to take as much room as a family whose files are still on their way: text keeps its place when they arrive.
/// Source: CSS Fonts 5, <c>size-adjust</c>; CSS Fonts 4, <c>ascent-override</c>, <c>descent-override</c>, <c>line-gap-override</c>.
/// </summary>
/// <param name="Family">CSS name of the face.</param>
/// <param name="Locals">Names of the local fonts, which all have the same widths and heights.</param>
/// <param name="SizeAdjust">Times the size asked for.</param>
/// <param name="Ascent">Of that size, as are the others.</param>
public sealed record FallbackFace(string Family, int Weight, bool Italic, ImmutableArray<string> Locals, double SizeAdjust, double Ascent, double Descent, double LineGap)
{
    /// <summary>Running text: its letters are about as frequent as in English (common practice, no source).</summary>
    public const string Sample =
        "The library lends what grows. Somebody saves a handful of seed each autumn, writes a name on a paper packet, and brings it back to be borrowed again by whoever asks for it in the spring.";

    private const int UsualWeight = 400;

    // Of a foundation that stays as it is they are looked up once: every sheet asks for them.
    private static readonly ConditionalWeakTable<TypeFoundation, Holder> Known = [];

    /// <summary>The faces of a site: of every family that is measured, one for each weight and slant its text styles ask for.</summary>
    public static ImmutableArray<FallbackFace> All(TypeFoundation type) => Known.GetValue(type, t => new([.. t.Families.SelectMany(f => Of(t, f)).DistinctBy(f => (f.Family, f.Weight, f.Italic))])).Faces;

    /// <summary>The family list as it is released, with the face after what it stands in for.</summary>
    public static string Stack(Family family) => IsMeasured(family) ? FamilyList.After(family.Stack, Name(family)) : FamilyList.Css(family.Stack);

    private static IEnumerable<FallbackFace> Of(TypeFoundation type, Family family)
    {
        if (!IsMeasured(family)) return [];
        var asked = type.Styles.Where(s => s.Family is ReferenceValue reference && reference.Id == family.Id)
            .Select(s => (Weight: s.Weight is NumberValue { Number: > 0 and <= 1000 } number ? (int)number.Number : UsualWeight, Italic: s.Slant.Code() == "italic")).Distinct().Order().ToList();
        return from face in asked.Count > 0 ? asked : [(UsualWeight, false)]
               let measures = Faces.Measures(FontMatching.Files(family, face.Weight, face.Italic)[0])
               where measures is not null
               select Made(family, face.Weight, face.Italic, measures);
    }

    private static bool IsMeasured(Family family) => !family.Files.IsDefaultOrEmpty && family.Files.Any(f => Faces.Measures(f) is not null);

    private static string Name(Family family) => $"{FamilyList.First(family.Stack)} Fallback";

    private static FallbackFace Made(Family family, int weight, bool italic, FontMeasures measures)
    {
        var local = LocalFont.For(family.Stack, weight, italic);
        var adjust = FontMeasuring.WidthAt(measures, weight) / local.SampleWidth;
        return new(Name(family), weight, italic, local.Names, adjust, Share(measures.Ascent), Share(measures.Descent), Share(measures.LineGap));

        double Share(int units) => Math.Abs(units) / (measures.UnitsPerEm * adjust);
    }

    /// <summary>A number as a percentage of CSS.</summary>
    public static string Percentage(double share) => string.Create(CultureInfo.InvariantCulture, $"{share * 100:0.##}%");

    private sealed record Holder(ImmutableArray<FallbackFace> Faces);
}
