using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Typography;

namespace Sandbar.Server;

/// <summary>Families, scale and text styles as the windows show them.</summary>
/// <param name="Words">Some of the site's own words, to see letters by.</param>
public sealed record TypeView(IReadOnlyList<FamilyView> Families, ScaleView Scale, IReadOnlyList<TextStyleView> Styles, string Words)
{
    public static TypeView Of(Site site) => new(
        [.. site.Typography.Families.Select(f => FamilyView.Of(site, f))],
        ScaleView.Of(site.Typography.Scale),
        [.. site.Typography.Styles.Select((s, i) => TextStyleView.Of(site, s, isPageText: i == 0))],
        SampleWords.Of(site));
}

/// <param name="Variable">Its custom property.</param>
/// <param name="Uses">The text styles set in it.</param>
public sealed record FamilyView(string Id, string Name, string Variable, string Stack, IReadOnlyList<FontFileView> Files, IReadOnlyList<string> Uses)
{
    public static FamilyView Of(Site site, Family family) => new(
        family.Id, family.Name, $"--family-{family.CssName}", family.Stack,
        [.. family.Files.Select(f => new FontFileView(StageEndpoints.AssetAddress(site.Shelf.Get(f.Item)), f.WeightFrom, f.WeightTo))],
        [.. Usage.Of(site, family)]);
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

public sealed record ScaleEndView(decimal Width, decimal Base, decimal Ratio)
{
    public static ScaleEndView Of(ScaleEnd end) => new(end.Width, end.Base, end.Ratio);
}

public sealed record ScaleView(ScaleEndView Narrow, ScaleEndView Wide, IReadOnlyList<ScaleStepView> Steps)
{
    public static ScaleView Of(TypeScale scale) => new(
        ScaleEndView.Of(scale.From), ScaleEndView.Of(scale.To), [.. Scale.Steps(scale).Reverse().Select(step => ScaleStepView.Of(scale, step))]);
}

/// <param name="Label">How the position is written: +4, 0, −1.</param>
/// <param name="Css">What it becomes.</param>
/// <param name="Sizes">At each width of the stage.</param>
public sealed record ScaleStepView(int Step, string Label, string Variable, string Css, IReadOnlyList<SizeView> Sizes)
{
    /// <summary>The widths the stage shows.</summary>
    private static readonly int[] Widths = [390, 820, 1280];

    public static ScaleStepView Of(TypeScale scale, int step) => new(
        step, Scale.Label(step), Scale.CssName(step), Scale.Css(scale, step), [.. Widths.Select(w => SizeView.Of(w, Scale.At(scale, step, w)))]);
}

/// <param name="Rem">Of a root of 16 px.</param>
public sealed record SizeView(int Width, double Px, double Rem)
{
    public static SizeView Of(int width, double px) => new(width, Math.Round(px, 1), Math.Round(px / Fluid.Root, 3));
}

/// <param name="IsPageText">Whether it is the text of the page itself.</param>
/// <param name="Css">What its own letters look like, for showing its name.</param>
public sealed record TextStyleView(string Id, string Name, bool IsPageText, IReadOnlyList<TextSettingView> Settings, IReadOnlyList<string> Uses, TextStyleCss Css)
{
    public static TextStyleView Of(Site site, TextStyle style, bool isPageText) => new(
        style.Id, style.Name, isPageText, [.. Enum.GetValues<TextStyleSetting>().Select(s => TextSettingView.Of(site, style, s))],
        [.. Usage.Of(site, style)],
        new(site.Typography.Families.Get(style.Family).Stack, style.Weight, style.Italic, style.Case, ValueCss.Write(site, style.LetterSpacing)));
}

public sealed record TextStyleCss(string FontFamily, int FontWeight, bool IsItalic, string TextTransform, string LetterSpacing);

/// <param name="Text">As typed.</param>
/// <param name="Note">What a designer should know of it.</param>
/// <param name="Names">What can be named in it, most fitting first.</param>
public sealed record TextSettingView(TextStyleSetting Setting, string Text, string Note, IReadOnlyList<string> Names)
{
    public static TextSettingView Of(Site site, TextStyle style, TextStyleSetting setting) => new(
        setting, TextStyleSettings.Write(site, style, setting), TextStyleSettings.Note(site, style, setting), [.. TextStyleSettings.Names(site, style, setting)]);
}
