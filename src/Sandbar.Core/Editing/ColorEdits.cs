using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Editing;

/// <summary>A colour that is new in the palette.</summary>
/// <param name="Color">Any CSS colour.</param>
public sealed record NewColor(string Id, string Name, string Color);

/// <summary>Adds colours to the palette, all of them or none.</summary>
public sealed record AddColors(ImmutableArray<NewColor> Colors) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Colors.IsDefaultOrEmpty) return new Problem("/colors", "Choose a colour to add.");
        if (Colors.Length > ColorList.Most) return new Problem("/colors", $"At most {ColorList.Most} colours are added at once.");
        for (var i = 0; i < Colors.Length; i++)
        {
            var (id, name, color) = Colors[i];
            var outcome = new AddThing(ColorKind.Kind, id, name, Values: ImmutableDictionary<string, string>.Empty.Add("color", color)).Apply(site);
            if (outcome.Site is null) return new Problem(string.Create(CultureInfo.InvariantCulture, $"/colors/{i}{outcome.Problems[0].Path}"), outcome.Problems[0].Message);
            site = outcome.Site;
        }
        return site;
    }

    public override string Describe(Site site) => Colors.IsDefaultOrEmpty ? "Colours added" : Colors.Length == 1 ? $"{Colors[0].Name.Trim()} added" : $"{Colors.Length} colours added";
}

/// <summary>Gives a step of a colour by hand, or lets it be computed again.</summary>
/// <param name="Step">1… tints, −1… shades.</param>
/// <param name="Text">Any CSS colour as typed; null to let it go.</param>
public sealed record SetColorStep(string Id, int Step, string? Text) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Palette.Colors.Find(Id) is not { } color) return ThingPlace.Gone;
        var key = ColorSteps.Key(Step);
        if (!ColorSteps.IsStep(key)) return new Problem("/step", StepText.Range);
        var text = Text?.Trim();
        if (text is not null && (text.Length > Setting.LongestText || !ColorText.TryParse(text, out _))) return new Problem("/text", ColorText.Unreadable(text));
        var changed = color with { Steps = text is null ? color.Steps.Remove(key) : color.Steps.SetItem(key, new FixedColorValue(text)) };
        return ColorKind.Description.Put(site, changed);
    }

    public override string Describe(Site site) =>
        $"{StepText.With(site.Palette.Colors.Find(Id)?.Name ?? "Colour", Step)} {(Text is null ? "let go" : $"→ {Text.Trim()}")}";
}

/// <summary>What a colour is told by, in OKLCH.</summary>
public enum ColorFigure
{
    /// <summary>0 to 100.</summary>
    Lightness,

    /// <summary>In hundredths.</summary>
    Chroma,

    /// <summary>Degrees.</summary>
    Hue,

    /// <summary>Per cent.</summary>
    Alpha,
}

/// <summary>Sets one figure of a colour that was given.</summary>
/// <param name="Text">A number as typed, arithmetic too.</param>
public sealed record SetColorFigure(string Id, ColorFigure Figure, string Text) : Edit
{
    private Setting Setting => Figure switch
    {
        ColorFigure.Lightness => Described("Lightness", new NumberValues(), 0, 100),
        ColorFigure.Chroma => Described("Chroma", new NumberValues(), 0, 50),
        ColorFigure.Hue => Described("Hue", new NumberValues(), -360, 360),
        _ => Described("Alpha", new NumberValues(), 0, 100),
    };

    protected override Outcome Change(Site site)
    {
        if (site.Palette.Colors.Find(Id) is not { } color) return ThingPlace.Gone;
        if (color.Color is not FixedColorValue) return new Problem("/figure", $"{color.Name} is computed from others. Give it a value of its own first.");
        try
        {
            if (Ranges.Fold(Setting.Read(site, Text.Replace(Unit, "", StringComparison.Ordinal))) is not { } number) return new Problem("/text", $"{Setting.Name} is a number.");
            var changed = With(site.Palette.Meant(color), (double)number.Number);
            return ColorKind.Description.Put(site, color with { Color = new FixedColorValue(changed.Space == ColorSpace.Srgb ? ColorText.Hex(changed) : ColorText.Css(changed)) });
        }
        catch (FormatException wrong)
        {
            return new Problem("/text", wrong.Message);
        }
    }

    public override string Describe(Site site) => $"{site.Palette.Colors.Find(Id)?.Name ?? "Colour"} · {Setting.Name.ToLowerInvariant()} → {Text.Trim()}";

    /// <summary>What may stand behind a number; a sum of such numbers reads like one of plain ones.</summary>
    private string Unit => Figure == ColorFigure.Alpha ? "%" : "°";

    private static Setting Described(string name, NumberValues kind, decimal min, decimal max) => new() { Id = name, Name = name, Kind = kind, Min = min, Max = max };

    private Color With(Color color, double number)
    {
        // Alpha says nothing of what the colour is: it stays as it was typed.
        if (Figure == ColorFigure.Alpha) return color.WithAlpha(number / 100);
        var oklch = color.To(ColorSpace.Oklch);
        if (double.IsNaN(oklch.C3)) oklch = oklch with { C3 = 0 };
        return Figure switch
        {
            ColorFigure.Lightness => oklch with { C1 = number / 100 },
            ColorFigure.Chroma => oklch with { C2 = number / 100 },
            _ => oklch with { C3 = (number + 360) % 360 },
        };
    }
}

/// <summary>Moves a colour to a place in the list of colours, and into a group.</summary>
/// <param name="Before">Id of the colour it comes before; null for the end of the list.</param>
/// <param name="Group">The group as typed; null to keep its own.</param>
public sealed record PlaceColor(string Id, string? Before, string? Group) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Group is not null)
        {
            var outcome = new SetThing(ColorKind.Kind, Id, "group", Group).Apply(site);
            if (outcome.Site is null) return new Problem("/group", outcome.Problems[0].Message);
            site = outcome.Site;
        }
        var colors = site.Palette.Colors;
        if (colors.Find(Id) is not { } color || (Before is not null && colors.Find(Before) is null)) return ThingPlace.Gone;
        if (Before == Id) return site;
        var others = colors.Remove(color);
        var at = Before is null ? others.Length : others.IndexOf(others.Get(Before));
        return site with { Palette = site.Palette with { Colors = others.Insert(at, color) } };
    }

    public override string Describe(Site site) => $"{site.Palette.Colors.Find(Id)?.Name ?? "Colour"} moved{(Group is null ? "" : $" to {Group.Trim()}")}";
}
