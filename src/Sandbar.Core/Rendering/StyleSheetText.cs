using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>What a sheet is written for.</summary>
public enum SheetUse
{
    /// <summary>To be published.</summary>
    Release,

    /// <summary>For the stage: states can be forced with <c>data-force</c>, and hold on devices that cannot hover.</summary>
    Stage,
}

/// <summary>A stylesheet as text a person can read.</summary>
public static class StyleSheetText
{
    /// <summary>What stands before rules that move something, on stage: the root is marked while it plays.</summary>
    private const string Playing = ":root[data-play]";

    private static readonly ConditionalWeakTable<Rule, string> OnStage = [], Released = [];

    /// <summary>The generated sheet, without the overrides.</summary>
    /// <param name="address">Where a font of the shelf is found, seen from the sheet.</param>
    public static string Generated(StyleSheet sheet, SheetUse use, Func<ShelfItem, string> address)
    {
        var text = new StringBuilder(Head(sheet, address));
        foreach (var layer in Enum.GetValues<Layer>())
        {
            var rules = sheet.Rules.Where(r => r.Layer == layer).ToList();
            if (rules.Count == 0) continue;
            text.Append(CultureInfo.InvariantCulture, $"\n@layer {Name(layer)} {{");
            foreach (var rule in rules) text.Append(Rule(rule, use));
            text.Append("}\n");
        }
        return text.ToString();
    }

    /// <summary>What stands before the layers: their order, and the fonts.</summary>
    public static string Head(StyleSheet sheet, Func<ShelfItem, string> address)
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"{Serializer.Comment($" {sheet.SiteName} ")}\n@layer {string.Join(", ", Enum.GetValues<Layer>().Select(Name))};\n");
        foreach (var font in sheet.Fonts)
        {
            text.Append(CultureInfo.InvariantCulture, $$"""

                @font-face {
                  font-family: {{Serializer.String(font.Family)}};
                  src: url("{{address(font.Item)}}") format("woff2");
                  font-weight: {{font.WeightFrom}} {{font.WeightTo}};
                  font-style: {{(font.Italic ? "italic" : "normal")}};
                  font-display: swap;{{(font.Ranges.Length == 0 ? "" : $"\n  unicode-range: {Ranges(font.Ranges)};")}}
                }

                """);
        }
        foreach (var face in sheet.Fallbacks)
        {
            text.Append(CultureInfo.InvariantCulture, $$"""

                @font-face {
                  font-family: {{Serializer.String(face.Family)}};
                  src: {{string.Join(", ", face.Locals.Select(l => $"local({Serializer.String(l)})"))}};
                  font-weight: {{face.Weight}};
                  font-style: {{(face.Italic ? "italic" : "normal")}};
                  size-adjust: {{FallbackFace.Percentage(face.SizeAdjust)}};
                  ascent-override: {{FallbackFace.Percentage(face.Ascent)}};
                  descent-override: {{FallbackFace.Percentage(face.Descent)}};
                  line-gap-override: {{FallbackFace.Percentage(face.LineGap)}};
                }

                """);
        }
        text.Append(Keyframes.Of(sheet.Rules));
        return text.ToString();
    }

    /// <summary>Ranges of characters, written by us: what is stored may be written in other ways.</summary>
    private static string Ranges(string ranges) => UnicodeRange.Write(UnicodeRange.Read(ranges) ?? new([]));

    /// <summary>A layer as it is called in the sheet.</summary>
    public static string Name(Layer layer) => layer.ToString().ToLowerInvariant();

    /// <summary>A rule as it stands in its layer. Of a rule that stays the same object the text is written once.</summary>
    public static string Rule(Rule rule, SheetUse use) => (use == SheetUse.Stage ? OnStage : Released).GetValue(rule, r => Written(r, use));

    /// <summary>The whole sheet as it is published: generated rules, then the overrides, unlayered so that they win without force.</summary>
    public static string Release(StyleSheet sheet, Func<ShelfItem, string> address)
    {
        var overrides = OverrideText.Of(sheet.Overrides).Readable(SheetUse.Release);
        return Generated(sheet, SheetUse.Release, address) + (overrides.Length == 0 ? "" : $"\n/* Overrides */\n{overrides}");
    }

    private static string Written(Rule rule, SheetUse use)
    {
        var text = new StringBuilder();
        var media = Media(rule, use);
        var conditions = new[] { media.Length == 0 ? "" : $"@media {media}", Supports(rule.Needs) }.Where(c => c.Length > 0).ToList();
        var indent = "  ";
        foreach (var condition in conditions)
        {
            text.Append(CultureInfo.InvariantCulture, $"\n{indent}{condition} {{");
            indent += "  ";
        }
        text.Append(CultureInfo.InvariantCulture, $"\n{indent}{(use == SheetUse.Stage ? OnStageSelector(rule) : rule.Selector)} {{\n");
        foreach (var d in rule.Declarations) text.Append(CultureInfo.InvariantCulture, $"{indent}  {d.Name}: {d.Value};\n");
        text.Append(CultureInfo.InvariantCulture, $"{indent}}}\n");
        for (var open = conditions.Count; open > 0; open--) text.Append(CultureInfo.InvariantCulture, $"{new string(' ', 2 * open)}}}\n");
        return text.ToString();
    }

    private static string Supports(Needs needs) =>
        needs.HasFlag(Needs.RelativeColors) ? "@supports (color: oklch(from red l c h))"
        : needs.HasFlag(Needs.MixedGradients) ? "@supports (background: linear-gradient(in oklab, red, red))"
        : needs.HasFlag(Needs.Scrolling) ? "@supports (animation-timeline: view())"
        : needs.HasFlag(Needs.Anchors) ? "@supports (anchor-scope: all)"
        : "";

    /// <summary>On stage states can be forced, and nothing moves of itself: only while it is played.</summary>
    private static string OnStageSelector(Rule rule)
    {
        var selector = ForcedStates.In(rule.Selector);
        return Moves(rule) ? $"{Playing} {selector}" : selector;
    }

    /// <summary>Whether a rule says how something moves, and nothing else.</summary>
    private static bool Moves(Rule rule) => rule.Needs.HasFlag(Needs.Motion) || rule.Declarations is [{ Name: "transition" }];

    private static string Media(Rule rule, SheetUse use)
    {
        var widths = rule.Widths switch
        {
            { From: { } from, Below: { } below } => $"({from}px <= width < {below}px)",
            { From: { } from } => $"(width >= {from}px)",
            { Below: { } below } => $"(width < {below}px)",
            _ => "",
        };
        var hover = rule.Hover && use == SheetUse.Release ? "(hover: hover)" : "";
        var dark = rule.Dark ? "(prefers-color-scheme: dark)" : "";
        var less = rule.Needs.HasFlag(Needs.LessMotion) ? "(prefers-reduced-motion: reduce)" : "";
        var motion = (rule.Needs & (Needs.Motion | Needs.Scrolling)) != 0 ? "screen and (prefers-reduced-motion: no-preference)" : "";
        var wide = rule.Needs.HasFlag(Needs.WideGamut) ? "(color-gamut: p3)" : "";
        var print = rule.Needs.HasFlag(Needs.Print) ? "print" : "";
        return string.Join(" and ", new[] { print, motion, less, dark, wide, hover, widths }.Where(c => c.Length > 0));
    }
}
