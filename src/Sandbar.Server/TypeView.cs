using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>What families, scale and text styles come to, as the windows show them.</summary>
/// <param name="Words">Some of the site's own words, to see letters by.</param>
public sealed record TypeView(IReadOnlyList<FamilyView> Families, IReadOnlyList<ScaleStepView> Steps, IReadOnlyList<TextStyleView> Styles, string Words)
{
    public static TypeView Of(Site site) => new(
        [.. site.Type.Families.Select(f => FamilyView.Of(site, f))],
        [.. Scale.Steps(site.Type.Scale).Reverse().Select(step => ScaleStepView.Of(site.Type.Scale, step))],
        [.. site.Type.Styles.Select(s => TextStyleView.Of(site, s))],
        SampleWords.Of(site));
}

/// <param name="Face">What its letters are called in CSS.</param>
public sealed record FamilyView(string Id, string Name, string Face, string Stack, IReadOnlyList<FontFileView> Files)
{
    public static FamilyView Of(Site site, Family family) => new(
        family.Id, family.Name, FamilyList.First(family.Stack), family.Stack,
        [.. family.Files.Select(f => (File: f, Item: site.Shelf.Find(f.Item))).Where(f => f.Item is not null).Select(f => new FontFileView(StageEndpoints.AssetAddress(f.Item!), f.File.WeightFrom, f.File.WeightTo))]);
}

/// <param name="Address">Where the file is found.</param>
public sealed record FontFileView(string Address, int From, int To);

/// <summary>A family of the shelf.</summary>
public sealed record BundledFamilyView(string Id, string Name, FamilyClass Class, string Stack, int From, int To, IReadOnlyList<FontFileView> Files)
{
    public static BundledFamilyView Of(BundledFamily family) => new(
        family.Id, family.Name, family.Class, family.Stack, family.Weights.From, family.Weights.To,
        [.. family.Files.Select(f => new FontFileView(StageEndpoints.AssetAddress(f.Item), f.File.WeightFrom, f.File.WeightTo))]);
}

/// <param name="Label">How the position is written: +4, 0, −1.</param>
/// <param name="Css">What it becomes.</param>
/// <param name="Sizes">At each width of the stage.</param>
public sealed record ScaleStepView(int Step, string Label, string Variable, string Css, IReadOnlyList<SizeView> Sizes)
{
    /// <summary>The widths the stage shows.</summary>
    private static readonly int[] Widths = [390, 820, 1280];

    public static ScaleStepView Of(TypeScale scale, int step) => new(
        step, Scale.Label(step), SizeKind.Token(step), Scale.Css(scale, step), [.. Widths.Select(w => SizeView.Of(w, Scale.At(scale, step, w)))]);
}

/// <param name="Rem">Of a root of 16 px.</param>
public sealed record SizeView(int Width, double Px, double Rem)
{
    public static SizeView Of(int width, double px) => new(width, Math.Round(px, 1), Math.Round(px / Fluid.Root, 3));
}

/// <summary>What the letters of a text style look like, for showing its name.</summary>
public sealed record TextStyleView(string Id, string FontFamily, int FontWeight, bool IsItalic, string TextTransform, string LetterSpacing)
{
    public static TextStyleView Of(Site site, TextStyle style) => new(
        style.Id, TextStyleKind.FamilyOf(site, style)?.Stack ?? "inherit", (int)style.Weight.Amount(), style.Slant.Code() == "italic", style.Case.Code(),
        ValueForms.Css(new(site), style.LetterSpacing));
}
