using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>What families, scale and text styles come to, as the windows show them.</summary>
/// <param name="OwnSizes">The styles whose size is none of the scale.</param>
/// <param name="Wearers">Which elements of the pages wear which style, for the stage to measure: of two for one element the later counts.</param>
/// <param name="Words">Some of the site's own words, to see letters by.</param>
public sealed record TypeView(
    IReadOnlyList<FamilyView> Families, IReadOnlyList<ScaleStepView> Steps, IReadOnlyList<OwnSizeView> OwnSizes, IReadOnlyList<TextStyleView> Styles, IReadOnlyList<WearerView> Wearers, string Words)
{
    public static TypeView Of(Site site, StyleSheet sheet) => new(
        [.. site.Type.Families.Select(f => FamilyView.Of(site, f))],
        [.. Scale.Steps(site.Type.Scale).Reverse().Select(step => ScaleStepView.Of(site.Type.Scale, step))],
        [.. site.Type.Styles.Where(s => s.Size is not ReferenceValue).Select(s => OwnSizeView.Of(site, s))],
        [.. site.Type.Styles.Select(s => TextStyleView.Of(site, s))],
        [.. TextInUse.Wearers(site, sheet).Select(w => new WearerView(w.Selector, w.Style))],
        SampleWords.Of(site));
}

/// <param name="Style">Id of a text style.</param>
public sealed record WearerView(string Selector, string Style);

/// <summary>A family of a site.</summary>
/// <param name="Face">What its letters are called in CSS.</param>
/// <param name="Bundled">Id of the family of the program's shelf that has its letters; null for one of its own.</param>
/// <param name="Lacks">Whether the shelf has files of it that the site has not: italics, or letters of more languages.</param>
/// <param name="Weights">Such as 300–900; empty where there are no files.</param>
public sealed record FamilyView(
    string Id, string Name, string Face, string Stack, FamilyClass? Class, string? Bundled, bool Lacks, string Weights, bool HasItalics, IReadOnlyList<AxisRange> Axes, IReadOnlyList<string> Languages,
    IReadOnlyList<FontFileView> Files)
{
    public static FamilyView Of(Site site, Family family)
    {
        var files = family.Files.Select(f => (File: f, Item: site.Shelf.Find(f.Item))).Where(f => f.Item is not null).ToList();
        var bundled = BundledFamilies.All.FirstOrDefault(b => b.Files.Any(f => files.Exists(own => own.Item!.Hash == f.Item.Hash)));
        var measures = Faces.Measures(family);
        return new(
            family.Id, family.Name, FamilyList.First(family.Stack), family.Stack, bundled?.Class ?? measures?.Class, bundled?.Id,
            bundled is not null && bundled.Files.Any(f => !files.Exists(own => own.Item!.Hash == f.Item.Hash)), WeightsOf(family.Files), family.Files.Any(f => f.Italic), measures?.Axes ?? [],
            bundled is null ? [.. NamesOf(measures?.Languages ?? [])] : BundledFamilyView.LanguagesOf(bundled),
            [.. files.Select(f => FontFileView.Of(site, family, f.File, f.Item!))]);
    }

    /// <summary>The weights of some files, such as 300–900 or 400, 700.</summary>
    public static string WeightsOf(IEnumerable<FontFile> files) =>
        string.Join(", ", files.Select(f => (f.WeightFrom, f.WeightTo)).Distinct().Order().Select(w => w.WeightFrom == w.WeightTo ? $"{w.WeightFrom}" : $"{w.WeightFrom}–{w.WeightTo}"));

    private static IEnumerable<string> NamesOf(IReadOnlyCollection<string> codes) => Core.Foundations.Type.Languages.All.Where(l => codes.Contains(l.Code)).Select(l => l.Name);
}

/// <param name="Item">Id of the shelf item.</param>
/// <param name="Address">Where the file is found.</param>
/// <param name="Ranges">The characters it is for, as CSS has them; empty for all it has.</param>
/// <param name="IsOwn">Whether it came from the designer.</param>
/// <param name="Licence">As the file says itself; empty where it says nothing, or comes with the program.</param>
/// <param name="UsedBy">Names of the text styles that are set in it.</param>
public sealed record FontFileView(string Item, string Address, int From, int To, bool Italic, string Ranges, bool IsOwn, string Licence, bool MayEmbed, IReadOnlyList<string> UsedBy)
{
    public static FontFileView Of(Site site, Family family, FontFile file, ShelfItem item) => new(
        item.Id, StageEndpoints.AssetAddress(item), file.WeightFrom, file.WeightTo, file.Italic, file.Ranges, file.Measures is not null, file.Measures?.Licence ?? "", file.Measures?.MayEmbed ?? true,
        [
            .. site.Type.Styles.Where(s => TextStyleKind.FamilyOf(site, s)?.Id == family.Id && FontMatching.Files(family, s.Weight.Amount(), s.Slant.Code() == TextStyle.Italic).Contains(file))
                .Select(s => s.Name),
        ]);

    public static FontFileView Of(ShelfItem item, FontFile file) =>
        new(item.Id, StageEndpoints.AssetAddress(item), file.WeightFrom, file.WeightTo, file.Italic, file.Ranges, IsOwn: false, "", MayEmbed: true, []);
}

/// <summary>A family of the shelf.</summary>
/// <param name="XHeight">Of small letters, of their size.</param>
/// <param name="Languages">Names of the languages it has all letters of.</param>
public sealed record BundledFamilyView(
    string Id, string Name, FamilyClass Class, string Stack, int From, int To, string Weights, bool HasItalics, double XHeight, IReadOnlyList<AxisRange> Axes, IReadOnlyList<string> Languages,
    IReadOnlyList<FontFileView> Files)
{
    /// <summary>The whole shelf, read when it is first asked for.</summary>
    public static readonly Lazy<IReadOnlyList<BundledFamilyView>> All = new(() => [.. BundledFamilies.All.AsParallel().AsOrdered().Select(Of)]);

    public static IReadOnlyList<string> LanguagesOf(BundledFamily family) => [.. BundledFamilies.LanguagesOf(family).Select(l => l.Name)];

    private static BundledFamilyView Of(BundledFamily family)
    {
        var measures = BundledFamilies.Measures(family.Files[0].Item.Id)!;
        return new(
            family.Id, family.Name, family.Class, family.Stack, family.Weights.From, family.Weights.To, FamilyView.WeightsOf(family.Files.Select(f => f.File)), family.Files.Any(f => f.File.Italic),
            Math.Round((double)measures.XHeight / measures.UnitsPerEm, 3), measures.Axes, LanguagesOf(family), [.. family.Files.Select(f => FontFileView.Of(f.Item, f.File))]);
    }
}

/// <summary>A size beside the scale.</summary>
/// <param name="Style">Name of the style.</param>
/// <param name="Text">As typed.</param>
/// <param name="Sizes">At each width of the stage; none where they depend on what is around.</param>
public sealed record OwnSizeView(string Id, string Style, string Text, IReadOnlyList<SizeView> Sizes)
{
    public static OwnSizeView Of(Site site, TextStyle style) => new(
        style.Id, style.Name, ValueForms.Write(site, style.Size), [.. ScaleStepView.Widths.Select(w => (w, Px: TextFigures.Size(site, style, w))).Where(s => s.Px is not null).Select(s => SizeView.Of(s.w, s.Px!.Value))]);
}

/// <param name="Label">How the position is written: +4, 0, −1.</param>
/// <param name="Css">What it becomes.</param>
/// <param name="Sizes">At each width of the stage.</param>
/// <param name="DoubledAt">The browser zoom, per cent, at which it is twice as large at every width; null where it never is.</param>
public sealed record ScaleStepView(int Step, string Label, string Variable, string Css, IReadOnlyList<SizeView> Sizes, int? DoubledAt)
{
    /// <summary>The widths the stage shows.</summary>
    internal static readonly int[] Widths = [390, 820, 1280];

    public static ScaleStepView Of(TypeScale scale, int step) => new(
        step, Scale.Label(step), SizeKind.Token(step), Scale.Css(scale, step), [.. Widths.Select(w => SizeView.Of(w, Scale.At(scale, step, w)))],
        TextFigures.DoubledAt(scale.Ends, width => Scale.At(scale, step, width)));
}

/// <param name="Rem">Of a root of 16 px.</param>
public sealed record SizeView(int Width, double Px, double Rem)
{
    public static SizeView Of(int width, double px) => new(width, Math.Round(px, 1), Math.Round(px / Fluid.Root, 3));
}

/// <summary>What the letters of a text style look like, for showing its name.</summary>
/// <param name="Forms">Its numerals, ligatures and small capitals, as <c>font-variant</c> has them.</param>
/// <param name="Axes">As <c>font-variation-settings</c> has them.</param>
public sealed record TextStyleView(string Id, string FontFamily, int FontWeight, bool IsItalic, string TextTransform, string LetterSpacing, string Forms, string Axes)
{
    public static TextStyleView Of(Site site, TextStyle style) => new(
        style.Id, TextStyleKind.FamilyOf(site, style)?.Stack ?? "inherit", (int)style.Weight.Amount(), style.Slant.Code() == "italic", style.Case.Code(),
        ValueForms.Css(new(site), style.LetterSpacing), TextStyleKind.Description.VariantCss(new(site), style), TextStyleKind.Description.Css(new(site), style, "axes"));
}
