using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;
using Sandbar.Fonts;
using FontFile = Sandbar.Core.Design.FontFile;

namespace Sandbar.Core.Reviewing;

/// <summary>A box with several lines of text, as the stage measured it.</summary>
/// <param name="Style">Id of the text style it is set in.</param>
/// <param name="Width">Of the viewport, px.</param>
/// <param name="Inline">How long a line in it can be, px.</param>
/// <param name="Block">Id of the block it stands in.</param>
public sealed record MeasuredBox(string Style, int Width, double Inline, string Block);

/// <param name="Width">Of the viewport, px.</param>
/// <param name="Characters">As many as the longest line at that width has room for.</param>
/// <param name="Block">Id of the block it stands in.</param>
public sealed record LineLength(int Width, int Characters, string Block);

/// <summary>What a finding about a text style is about.</summary>
public enum TypeConcern
{
    LongLines,
    TightLines,
    SmallLetters,
    Weight,
    Slant,
    Characters,
    Zoom,
}

/// <param name="Says">What is wrong, in a sentence.</param>
/// <param name="Source">The standard it rests on, or that it is practice without one.</param>
public sealed record TypeFinding(TypeConcern Concern, string Says, string Source);

/// <summary>What a text style comes to.</summary>
/// <param name="Lines">Of the widths that were measured; none where no text of more than one line was seen.</param>
/// <param name="Smallest">Its letters at the width where they are smallest, px; null where that depends on what is around them.</param>
/// <param name="DoubledAt">The browser zoom, per cent, at which its letters are twice as large at every width; null where they never are.</param>
public sealed record StyleFigures(string Style, ImmutableArray<LineLength> Lines, double? Smallest, int? DoubledAt, ImmutableArray<TypeFinding> Findings);

/// <summary>Figures of text styles as they are used: how long lines are, what is too small, what families lack, whether zoom helps.</summary>
public static class TypeFigures
{
    /// <summary>WCAG 2.2, SC 1.4.8: lines of at most 80 characters, one and a half spaced within paragraphs.</summary>
    private const int LongestLine = 80;

    private const double Spacing = 1.5;

    /// <summary>Lines of fewer characters are labels and short hints: there a tighter spacing reads well (common practice, no published source).</summary>
    private const int RunningText = 45;

    /// <summary>Common practice, no published source.</summary>
    private const double SmallestSize = 12;

    private const string Practice = "common practice, no published source", Presentation = "WCAG 2.2, SC 1.4.8 (AAA)", Resize = "WCAG 2.2, SC 1.4.4", Matching = "CSS Fonts 4, §5.2";

    /// <summary>As much text as an average is taken over, characters: more does not change it.</summary>
    private const int Enough = 8_000;

    private static readonly ConditionalWeakTable<string, Dictionary<string, double>> Widths = [];

    /// <param name="boxes">What the stage measured, the widest box of each style at each width.</param>
    /// <param name="fonts">The font of a shelf item; null where it cannot be had.</param>
    public static ImmutableArray<StyleFigures> Of(Site site, IReadOnlyList<MeasuredBox> boxes, Func<ShelfItem, TextMeasure?> fonts) =>
        [.. site.Type.Styles.Select(style => Of(site, style, [.. boxes.Where(b => b.Style == style.Id)], fonts))];

    /// <summary>How wide the texts that a style is worn by are in its letters, all together, px at a viewport width; null where no font is known.</summary>
    public static (double Width, int Characters)? TextWidth(Site site, TextStyle style, double viewport, Func<ShelfItem, TextMeasure?> fonts)
    {
        if (TextFigures.Size(site, style, viewport) is not { } size || Font(site, style, fonts) is not { } font) return null;
        var (width, characters) = (0.0, 0);
        foreach (var text in TextInUse.Of(site, style))
        {
            if (characters > Enough) break;
            width += WidthOf(text, style, font.Hash, font.Measure) * size;
            characters += text.Length;
        }
        return (width, characters);
    }

    private static StyleFigures Of(Site site, TextStyle style, IReadOnlyList<MeasuredBox> boxes, Func<ShelfItem, TextMeasure?> fonts)
    {
        var lines = boxes.GroupBy(b => b.Width).OrderBy(g => g.Key).Select(g => Line(site, style, g.MaxBy(b => b.Inline)!, fonts)).OfType<LineLength>().ToImmutableArray();
        var sizes = Ends(site).Select(width => TextFigures.Size(site, style, width)).ToList();
        var smallest = sizes.Contains(null) ? null : sizes.Min();
        var doubled = TextFigures.DoubledAt(site, style);
        return new(style.Id, lines, smallest is { } px ? Math.Round(px, 2) : null, doubled, [.. Findings(site, style, lines, smallest, doubled, fonts)]);
    }

    private static IEnumerable<TypeFinding> Findings(Site site, TextStyle style, ImmutableArray<LineLength> lines, double? smallest, int? doubled, Func<ShelfItem, TextMeasure?> fonts)
    {
        var tooLong = lines.Where(l => l.Characters > LongestLine).ToList();
        if (tooLong.Count > 0) yield return new(TypeConcern.LongLines, $"Lines of {tooLong.Max(l => l.Characters)} characters at {Sentence.Some(tooLong.Select(l => $"{l.Width}"), 3)}: at most {LongestLine} are easy to follow.", Presentation);
        if (lines.Any(l => l.Characters >= RunningText) && TextFigures.Spacing(site, style) is { } spacing && spacing < Spacing)
            yield return new(TypeConcern.TightLines, $"Line height {Number(spacing)} in running text: {Number(Spacing)} keeps lines apart.", Presentation);
        if (smallest < SmallestSize) yield return new(TypeConcern.SmallLetters, $"{Number(smallest.Value)}px at its smallest: below {Number(SmallestSize)}px letters are hard to read.", Practice);
        if (doubled is null && smallest is not null) yield return new(TypeConcern.Zoom, "Browser zoom never makes it twice as large: its size grows too much with the window.", Resize);
        if (TextStyleKind.FamilyOf(site, style) is not { Files.IsDefaultOrEmpty: false } family) yield break;
        var (weight, italic) = (style.Weight.Amount(), style.Slant.Code() == TextStyle.Italic);
        if (!FontMatching.HasWeight(family, weight, italic))
        {
            var has = FontMatching.Files(family, weight, italic)[0];
            var shown = FontMatching.IsFakedBold(family, weight, italic) ? "the browser thickens lighter letters" : $"it is shown as {(weight < has.WeightFrom ? has.WeightFrom : has.WeightTo)}";
            yield return new(TypeConcern.Weight, $"{family.Name} has no {weight:0}: {shown}.", Matching);
        }
        if (italic && FontMatching.IsFakedItalic(family)) yield return new(TypeConcern.Slant, $"{family.Name} has no italic: the browser slants upright letters.", Matching);
        var missing = Missing(site, style, family, fonts);
        if (missing.Count > 0) yield return new(TypeConcern.Characters, $"{family.Name} has no {Sentence.Some(missing, 8)}: {(missing.Count == 1 ? "it comes" : "they come")} from another font.", "the characters on the pages against those in the files");
    }

    private static LineLength? Line(Site site, TextStyle style, MeasuredBox box, Func<ShelfItem, TextMeasure?> fonts)
    {
        if (TextFigures.Size(site, style, box.Width) is not { } size || TextWidth(site, style, box.Width, fonts) is not { Characters: > 0 } text) return null;
        var spaces = TextInUse.Of(site, style) is var texts ? (double)texts.Sum(t => t.Count(c => c == ' ')) / Math.Max(1, texts.Sum(t => t.Length)) : 0;
        var advance = text.Width / text.Characters + TextFigures.Pixels(style.LetterSpacing, size) + TextFigures.Pixels(style.WordSpacing, size) * spaces;
        return advance <= 0 ? null : new(box.Width, (int)Math.Round(Math.Min(box.Inline / advance, 100_000)), box.Block);
    }

    /// <summary>The characters of a style's texts that none of the family's files of its weight and slant has.</summary>
    private static List<string> Missing(Site site, TextStyle style, Family family, Func<ShelfItem, TextMeasure?> fonts)
    {
        var sets = new List<CharacterSet>();
        foreach (var file in FontMatching.Files(family, style.Weight.Amount(), style.Slant.Code() == TextStyle.Italic))
        {
            if (site.Shelf.Find(file.Item) is not { } item || fonts(item) is not { } font) return [];
            sets.Add(Faces.Characters(file, font.File));
        }
        return sets.Count == 0 ? [] : [.. TextInUse.Of(site, style).SelectMany(t => sets[0].MissingIn(Cased(t, style))).Distinct().Where(rune => !sets.Exists(s => s.Contains(rune.Value))).Select(rune => rune.ToString())];
    }

    private static (string Hash, TextMeasure Measure)? Font(Site site, TextStyle style, Func<ShelfItem, TextMeasure?> fonts) =>
        TextStyleKind.FamilyOf(site, style) is { } family && FontMatching.Files(family, style.Weight.Amount(), style.Slant.Code() == TextStyle.Italic) is [FontFile file, ..]
        && site.Shelf.Find(file.Item) is { } item && fonts(item) is { } measure ? (item.Hash, measure) : null;

    /// <summary>The width of a text, em. Of a text that stays the same object it is measured once for each setting.</summary>
    private static double WidthOf(string text, TextStyle style, string hash, TextMeasure measure)
    {
        var axes = style.Axes is ListValue list ? list.Values.OfType<AxisValue>().ToDictionary(a => a.Tag, a => (double)a.Number, StringComparer.Ordinal) : null;
        var key = string.Create(CultureInfo.InvariantCulture, $"{hash} {style.Weight.Amount()} {style.Case.Code()} {(axes is null ? "" : string.Join(',', axes))}");
        var known = Widths.GetOrCreateValue(text);
        lock (known)
        {
            if (!known.TryGetValue(key, out var width)) known[key] = width = measure.Width(Cased(text, style), Fluid.Root, (double)style.Weight.Amount(), axes) / Fluid.Root;
            return width;
        }
    }

    private static string Cased(string text, TextStyle style) => style.Case.Code() switch
    {
        "uppercase" => text.ToUpperInvariant(),
        "lowercase" => text.ToLowerInvariant(),
        _ => text,
    };

    private static IEnumerable<double> Ends(Site site) => site.Type.Scale.Ends.Select(e => (double)e.Width.Amount());

    private static string Number(double number) => number.ToString("0.##", CultureInfo.InvariantCulture);
}
