using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;
using Sandbar.Core.Styling;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Reviewing;

/// <summary>A colour, and where to look for what decided it.</summary>
/// <param name="Style">The style whose property it is; null for what pages are painted on.</param>
/// <param name="Property">The property that paints it.</param>
/// <param name="Scheme">The scheme whose colours count there.</param>
internal readonly record struct Tone(Color Color, ElementStyle? Style, Property Property, Scheme? Scheme)
{
    /// <summary>What is seen where it lies over another: what is clear leaves what lies behind.</summary>
    public Tone Over(Tone behind, string mode = "normal") => Color.Alpha == 0 ? behind : this with { Color = Blending.Over(Color, behind.Color, mode) };
}

/// <summary>A place as it is seen.</summary>
/// <param name="Style">How it is styled.</param>
/// <param name="Ground">What text in it lies on, before anything around lets through what lies behind: one colour, or those along a gradient; none where it is a picture, which only a look at the page tells.</param>
/// <param name="Around">What it stands in; null of the root.</param>
/// <param name="Opacity">0 to 1.</param>
/// <param name="IsShown">Whether it and all around have a box.</param>
/// <param name="Scheme">The scheme whose colours count in it.</param>
internal sealed record Seen(ElementStyle Style, ImmutableArray<Tone> Ground, Seen? Around, double Opacity, bool IsShown, Scheme Scheme)
{
    /// <summary>What lies behind it.</summary>
    public ImmutableArray<Tone> Behind => Around?.Ground ?? SeenColors.Canvas;

    /// <summary>Whether what it lies on, or what is seen through what it lies in, is not one colour: only a look at the page tells how text in it reads.</summary>
    public bool IsUneven => Ground.Length != 1 || Through.Any(behind => behind.Length != 1);

    /// <summary>Whether what it lies in lets through a picture.</summary>
    public bool IsThroughPicture => Through.Any(behind => behind.IsEmpty);

    private IEnumerable<ImmutableArray<Tone>> Through
    {
        get
        {
            for (var around = this; around is not null; around = around.Around)
            {
                if (around.Opacity < 1) yield return around.Behind;
            }
        }
    }
}

/// <summary>The colours of places in a window. Each is found once.</summary>
/// <param name="before">What was seen before a change of the site that touched no colour of the palette.</param>
internal sealed class SeenColors(SiteStyles site, PlaceStyles window, ColorSources sources, IReadOnlyDictionary<object, Seen> before)
{
    /// <summary>Places along each stretch of a gradient at which it is looked at.</summary>
    private const int GradientSamples = 8;

    private static readonly Property Background = CssProperties.Of("background-color"), Image = CssProperties.Of("background-image"), Blend = CssProperties.Of("background-blend-mode"), Opacity = CssProperties.Of("opacity"), Holds = CssProperties.Of(FillLayers.Holds.Property), Display = CssProperties.Of("display");

    private readonly Dictionary<object, Seen> known = new(ReferenceEqualityComparer.Instance);

    // What browsers begin to paint on (CSS Color Adjustment 1, §2.3: the canvas), where no scheme is said to be dark.
    internal static ImmutableArray<Tone> Canvas { get; } = [new(Color.White, null, Background, null)];

    // There are few of them, in many places.
    private readonly Dictionary<string, Color?> read = new(StringComparer.Ordinal);

    public PlaceStyles Window => window;

    /// <summary>All that was seen.</summary>
    public IReadOnlyDictionary<object, Seen> Known => known;

    public Seen Of(Place place)
    {
        var style = window.Of(place);
        if (known.TryGetValue(style.Identity, out var seen)) return seen;
        if (before.TryGetValue(style.Identity, out seen)) return known[style.Identity] = seen;
        var around = place.Parent is null ? null : Of(place.Parent);
        var scheme = place.Element["data-scheme"] is { } carried ? Effective(carried) : around?.Scheme ?? Effective("");
        var opacity = double.TryParse(style.Text(Opacity), CultureInfo.InvariantCulture, out var number) ? Math.Clamp(number, 0, 1) : 1;
        return known[style.Identity] = new(style, IsFilled(style, place) ? [] : GroundOf(style, around?.Ground ?? Canvas, scheme), around, opacity, (around?.IsShown ?? true) && style.Text(Display) != "none", scheme);
    }

    /// <summary>
    /// Whether what is painted behind what an element holds is elements of their own: some cell says so. Not by what the element holds: it is one of those that stand in its place, of this site or
    /// of one before it, unless the designer wrote the same property.
    /// </summary>
    private bool IsFilled(ElementStyle style, Place place) =>
        style.Text(Holds) == FillLayers.Holds.Value && (style.Deciding(Holds) is { } deciding && site.DecidedBy(deciding.By) is { Generated: not null } || FillLayers.IsIn(place.Element));

    /// <summary>What a property of a colour comes to; null where it is no colour that can be told.</summary>
    public Tone? Of(ElementStyle style, Property property, Scheme scheme) =>
        Read(style.Text(property)) is { } color ? new(color, style, property, scheme) : null;

    private Color? Read(string text)
    {
        if (!read.TryGetValue(text, out var color)) read[text] = color = ColorText.TryParse(text, out var given) ? Gamut.Rounded(given) : null;
        return color;
    }

    /// <summary>What decides a colour.</summary>
    public ColorSource SourceOf(Tone tone) => tone.Style is null ? new(ColorText.Hex(tone.Color), null, null, null) : sources.Of(tone.Style, tone.Property, tone.Scheme!, tone.Color);

    /// <summary>Whether a line has tones that come from the ground, so that it is told from whatever that is.</summary>
    public bool IsFromGround(ElementStyle style, Property property) => sources.IsFromGround(style, property);

    private Scheme Effective(string carried)
    {
        var schemes = site.Site.Palette.Schemes;
        var scheme = schemes.FirstOrDefault(s => s.CssName == carried) ?? schemes[0];
        return window.Rules.Media.IsDark ? scheme.Dark(site.Site) ?? scheme : scheme;
    }

    private ImmutableArray<Tone> GroundOf(ElementStyle style, ImmutableArray<Tone> behind, Scheme scheme)
    {
        var color = Of(style, Background, scheme);
        var image = style.Text(Image);
        if (image == "none") return color is not { Color.Alpha: > 0 } flat ? behind : flat.Color.Alpha >= 1 ? [flat] : [.. behind.Select(b => flat.Over(b))];
        // Layers are blended with what lies below them in the same box, and not with what lies behind it (Compositing and Blending 1, §3.3).
        ImmutableArray<Tone> own = [color ?? new(default, style, Background, scheme)];
        var layers = Parser.ParseValues(image).WithoutSpace().BetweenCommas();
        var modes = style.Text(Blend).Split(", ");
        // The first is painted last. What a picture shows is not known.
        for (var n = layers.Count - 1; n >= 0; n--)
        {
            if (layers[n] is not [FunctionValue function] || !function.Name.EndsWith("gradient", StringComparison.OrdinalIgnoreCase)) continue;
            var along = GradientImage.Along(function, GradientSamples);
            if (along.Count == 0) continue;
            var (under, mode) = (own, modes[n % modes.Length]);
            own = [.. along.Select((c, i) => new Tone(c, style, Image, scheme).Over(under[i % under.Length], mode))];
        }
        if (behind.IsEmpty) return own.All(tone => tone.Color.Alpha >= 1) ? own : [];
        return [.. own.Select((tone, i) => tone.Over(behind[i % behind.Length]))];
    }
}
