using Sandbar.Core.Design;
using Sandbar.Fonts;

namespace Sandbar.Core.Foundations.Type;

/// <summary>What is kept of a font file that was read.</summary>
public static class FontMeasuring
{
    private const int Step = 100, LongestText = 2_000, Lightest = 1, Boldest = 1000;

    /// <summary>Its heights, and how wide running text is at every hundred of its weights. Languages are left open: of a family they are those of all its files.</summary>
    public static FontMeasures Of(Fonts.FontFile font)
    {
        var (facts, metrics) = (font.Facts, font.Facts.Metrics);
        using var measure = new TextMeasure(font);
        return new(
            facts.Family, metrics.UnitsPerEm, metrics.Ascent, metrics.Descent, metrics.LineGap, metrics.CapHeight, metrics.XHeight,
            [.. Measured(Weights(facts)).Select(weight => new WidthAtWeight(weight, Math.Round(measure.Width(FallbackFace.Sample, Fluid.Root, weight) / Fluid.Root, 4)))],
            [.. facts.Axes.Where(a => a.Tag != "wght").Select(a => new AxisRange(a.Tag, a.Least, a.Tag == "wdth" ? Math.Clamp(FontAxis.NormalWidth, a.Least, a.Most) : a.Usual, a.Most))],
            facts.Features, [], Licence(facts), facts.MayEmbed)
        {
            Class = facts.Class is { } kind ? ClassOf(kind) : null,
        };
    }

    /// <summary>How wide running text is at a weight, em: between those it was measured at in a straight line.</summary>
    public static double WidthAt(FontMeasures measures, decimal weight)
    {
        var widths = measures.Widths;
        var above = widths.FirstOrDefault(w => w.Weight >= weight) ?? widths[^1];
        var below = widths.LastOrDefault(w => w.Weight <= weight) ?? widths[0];
        if (above.Weight <= below.Weight) return above.Width;
        var way = (double)(weight - below.Weight) / (above.Weight - below.Weight);
        return below.Width + (above.Width - below.Width) * way;
    }

    /// <summary>Whether measures are such as a font can have: a site file may say anything.</summary>
    public static bool HoldTogether(FontMeasures measures) =>
        measures is { UnitsPerEm: >= 16 and <= 16_384, Name.Length: <= LongestText, Licence.Length: <= LongestText }
        && new[] { measures.Ascent, measures.Descent, measures.LineGap, measures.CapHeight, measures.XHeight }.All(height => height is >= short.MinValue and <= ushort.MaxValue)
        && measures.Widths is { IsDefaultOrEmpty: false, Length: <= 32 } widths && widths.All(w => w is { Weight: >= 1 and <= 1000, Width: > 0 and < 10_000 })
        && widths.Zip(widths.Skip(1)).All(p => p.First.Weight < p.Second.Weight)
        && measures.Axes is { IsDefault: false, Length: <= 64 } axes && axes.All(a => a is { Tag.Length: 4 } && a.Least <= a.Usual && a.Usual <= a.Most && Math.Abs(a.Least) <= short.MaxValue + 1 && Math.Abs(a.Most) <= short.MaxValue + 1)
        && measures.Features is { IsDefault: false, Length: <= 500 } features && features.All(f => f is { Length: 4 })
        && measures.Languages is { IsDefault: false, Length: <= 200 } languages && languages.All(code => code is { Length: <= 8 });

    /// <summary>The weights a file holds, within those there are.</summary>
    public static (int From, int To) Weights(FontFacts facts) => (Math.Clamp(facts.Weights.From, Lightest, Boldest), Math.Clamp(facts.Weights.To, Lightest, Boldest));

    private static IEnumerable<int> Measured((int From, int To) range) =>
        Enumerable.Range(0, (range.To - range.From) / Step + 1).Select(i => range.From + i * Step).Append(range.To).Distinct();

    private static string Licence(FontFacts facts)
    {
        var text = facts.LicenceUrl.Length == 0 || facts.Licence.Contains(facts.LicenceUrl, StringComparison.Ordinal) ? facts.Licence : $"{facts.Licence}\n{facts.LicenceUrl}".Trim();
        return text.Length <= LongestText ? text : text[..LongestText];
    }

    private static FamilyClass ClassOf(FontClass kind) => kind switch
    {
        FontClass.Serif => FamilyClass.Serif,
        FontClass.Sans => FamilyClass.Sans,
        FontClass.Slab => FamilyClass.Slab,
        FontClass.Mono => FamilyClass.Mono,
        FontClass.Display => FamilyClass.Display,
        _ => FamilyClass.Hand,
    };
}
