using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>What colours of the palette come to, with their steps.</summary>
public static class ColorSteps
{
    /// <summary>Every step but the base: tints, nearest first, then shades.</summary>
    public static readonly ImmutableArray<int> All = [.. Enumerable.Range(1, Steps.TintCount), .. Enumerable.Range(1, Steps.ShadeCount).Select(step => -step)];

    // A row is worth keeping for as long as its colour stays as it is, and what that comes to.
    private static readonly ConditionalWeakTable<BaseColor, StepRow> Rows = [];

    // What computed colours come to changes with any other.
    private static readonly ConditionalWeakTable<object, Dictionary<string, Color>> Computed = [];

    /// <summary>What a step is stored under.</summary>
    public static string Key(int step) => step.ToString(CultureInfo.InvariantCulture);

    /// <summary>Whether a step can be given by hand under a key.</summary>
    public static bool IsStep(string key) => All.Any(step => Key(step) == key);

    /// <summary>A colour with its steps as they are painted on a screen of sRGB.</summary>
    public static StepRow Row(this PaletteFoundation palette, BaseColor color)
    {
        if (color.Color is FixedColorValue) return Rows.GetValue(color, c => Of(c, ReleasedColor.Meant(((FixedColorValue)c.Color).Css)));
        var meant = palette.Meant(color);
        if (Rows.TryGetValue(color, out var known) && known.Base == Gamut.ToSrgb(meant)) return known;
        var row = Of(color, meant);
        Rows.AddOrUpdate(color, row);
        return row;
    }

    /// <summary>What a colour is meant to be, on whatever screen.</summary>
    public static Color Meant(this PaletteFoundation palette, BaseColor color)
    {
        if (color.Color is FixedColorValue { Css: var css }) return ReleasedColor.Meant(css);
        var known = Computed.GetOrCreateValue(ImmutableCollectionsMarshal.AsArray(palette.Colors)!);
        lock (known)
        {
            return Compute(palette, color, known);
        }
    }

    /// <summary>A computed colour as CSS computes it: <c>color-mix()</c> or a relative colour of what it is computed from.</summary>
    /// <exception cref="InvalidOperationException">The value is not computed.</exception>
    public static string Css(this PaletteFoundation palette, SiteReads reads, Value computed) => computed switch
    {
        MixValue mix => $"color-mix(in {mix.Space}, {ValueForms.Css(reads, mix.One)}, {ValueForms.Css(reads, mix.Other)} {Number(mix.Share)}%)",
        MovedColorValue moved => $"oklch(from {ValueForms.Css(reads, moved.Of)} clamp(0, l + {Number(moved.Lightness / 100)}, 1) max(0, c + {Number(moved.Chroma / 100)}) {palette.MovedHue(moved)})",
        _ => throw new InvalidOperationException("A colour that was given is no computed one."),
    };

    // What browsers take for the hue of a grey is noise.
    private static string MovedHue(this PaletteFoundation palette, MovedColorValue moved)
    {
        var of = moved.Of is ReferenceValue reference ? palette.Row(palette.Colors.Get(reference.Id)).At(reference.Step) : ReleasedColor.Meant(((FixedColorValue)moved.Of).Css);
        return ColorMix.IsGrey(of) ? Number(moved.Hue) : $"calc(h + {Number(moved.Hue)})";
    }

    private static string Number(decimal number) => number.ToString("0.######", CultureInfo.InvariantCulture);

    /// <summary>Whether a colour is computed from itself, directly or by way of others.</summary>
    public static bool IsInCircle(this PaletteFoundation palette, BaseColor color)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        var open = new Stack<BaseColor>([color]);
        while (open.TryPop(out var at))
        {
            foreach (var id in at.Color.References().Select(r => r.Id))
            {
                if (id == color.Id) return true;
                if (seen.Add(id) && palette.Colors.Find(id) is { } next) open.Push(next);
            }
        }
        return false;
    }

    private static Color Compute(PaletteFoundation palette, BaseColor color, Dictionary<string, Color> known)
    {
        if (known.TryGetValue(color.Id, out var computed)) return computed;
        return known[color.Id] = color.Color switch
        {
            MixValue mix => ColorMix.Mix(Part(mix.One), Part(mix.Other), (double)mix.Share / 100, ColorSpaceNames.TryParse(mix.Space, out var space) ? space : ColorSpace.Oklab),
            MovedColorValue moved => ColorMix.Move(Part(moved.Of), (double)moved.Lightness / 100, (double)moved.Chroma / 100, (double)moved.Hue),
            var value => Part(value),
        };

        // A stylesheet computes from what the screen shows: on one of sRGB from mapped colours and from steps of eight bits.
        Color Part(Value value)
        {
            if (value is FixedColorValue { Css: var css }) return Painted(ReleasedColor.Meant(css));
            var reference = (ReferenceValue)value;
            var source = palette.Colors.Get(reference.Id);
            if (reference.Step != 0) return Gamut.Rounded(palette.Row(source).At(reference.Step));
            return source.Color is FixedColorValue { Css: var given } ? Painted(ReleasedColor.Meant(given)) : Painted(Compute(palette, source, known));
        }

        static Color Painted(Color meant) => ReleasedColor.IsWide(meant) ? Gamut.ToSrgb(meant) : meant;
    }

    private static StepRow Of(BaseColor color, Color meant)
    {
        var row = Steps.Of(meant);
        if (color.Steps.IsEmpty) return row;
        return row with
        {
            Tints = [.. row.Tints.Select((tint, i) => At(i + 1, tint))],
            Shades = [.. row.Shades.Select((shade, i) => At(-i - 1, shade))],
        };
        Color At(int step, Color computed) => color.Steps.GetValueOrDefault(Key(step)) is FixedColorValue { Css: var css } ? ReleasedColor.Of(css) : computed;
    }
}
