using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Editing;

/// <summary>What can be set about the type scale: width, base and ratio at its narrow and its wide end.</summary>
public enum ScaleSetting
{
    NarrowWidth,
    NarrowBase,
    NarrowRatio,
    WideWidth,
    WideBase,
    WideRatio,
}

/// <summary>Sets one number of the type scale.</summary>
/// <param name="Text">As typed: px for widths and bases, a plain number for ratios.</param>
public sealed record SetScale(ScaleSetting Setting, string Text) : Edit
{
    public override Outcome Apply(Site site)
    {
        var scale = site.Typography.Scale;
        var isWide = Setting >= ScaleSetting.WideWidth;
        var end = isWide ? scale.To : scale.From;
        var (least, most) = Setting switch
        {
            ScaleSetting.NarrowWidth => (200m, scale.To.Width - 1),
            ScaleSetting.WideWidth => (scale.From.Width + 1, 4000m),
            ScaleSetting.NarrowBase or ScaleSetting.WideBase => (8m, 48m),
            _ => (1m, 2m),
        };
        var isRatio = Setting is ScaleSetting.NarrowRatio or ScaleSetting.WideRatio;
        var typed = isRatio ? Text.Trim() : Text.Trim().Replace("px", "", StringComparison.OrdinalIgnoreCase).TrimEnd();
        if (!decimal.TryParse(typed, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var number))
            return new Problem("/text", isRatio ? $"“{Text.Trim()}” is not a ratio: try 1.2 or 1.25." : $"“{Text.Trim()}” is not a number of px.");
        if (number < least || number > most)
            return new Problem("/text", $"{Name} lies between {Number(least)} and {Number(most)}{(isRatio ? "" : " px")}.");
        var changed = Setting switch
        {
            ScaleSetting.NarrowWidth or ScaleSetting.WideWidth => end with { Width = number },
            ScaleSetting.NarrowBase or ScaleSetting.WideBase => end with { Base = number },
            _ => end with { Ratio = number },
        };
        return TypeEdits.With(site, t => t with { Scale = isWide ? scale with { To = changed } : scale with { From = changed } });
    }

    public override string Describe(Site site) => $"Scale · {Name.ToLowerInvariant()} → {Text.Trim()}";

    private string Name => Setting switch
    {
        ScaleSetting.NarrowWidth => "Narrow width",
        ScaleSetting.NarrowBase => "Base when narrow",
        ScaleSetting.NarrowRatio => "Ratio when narrow",
        ScaleSetting.WideWidth => "Wide width",
        ScaleSetting.WideBase => "Base when wide",
        _ => "Ratio when wide",
    };

    private static string Number(decimal number) => number.ToString("0.####", CultureInfo.InvariantCulture);
}

/// <summary>Sets one thing about a text style.</summary>
/// <param name="Text">As typed; see <see cref="TextStyleSettings"/>.</param>
public sealed record SetTextStyle(string Style, TextStyleSetting Setting, string Text) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Typography.Styles.Find(Style) is not { } style) return TypeEdits.GoneStyle;
        try
        {
            var changed = TextStyleSettings.Read(site, style, Setting, Text);
            return TypeEdits.With(site, t => t with { Styles = t.Styles.Put(changed) });
        }
        catch (FormatException problem)
        {
            return new Problem("/text", problem.Message);
        }
    }

    public override string Describe(Site site)
    {
        var setting = Setting switch { TextStyleSetting.LineHeight => "line height", TextStyleSetting.LetterSpacing => "letter spacing", var other => other.ToString().ToLowerInvariant() };
        return $"{site.Typography.Styles.Find(Style)?.Name ?? "Text style"} · {setting} → {Text.Trim()}";
    }
}

/// <summary>Adds a text style that begins as a copy of another.</summary>
/// <param name="Style">Its new id.</param>
/// <param name="Like">Id of the style it begins as.</param>
public sealed record AddTextStyle(string Style, string Name, string Like) : Edit
{
    public override Outcome Apply(Site site)
    {
        var styles = site.Typography.Styles;
        if (styles.Find(Like) is not { } like) return TypeEdits.GoneStyle;
        if (Names.Check(Name, styles.Select(s => s.Name)) is { } taken) return taken;
        if (Names.CheckId(Style, styles.Find(Style) is not null, "/style") is { } badId) return badId;
        var added = like with { Id = Style, Name = Name.Trim(), CssName = Lookup.FreeSlug(Name, styles.Select(s => s.CssName)) };
        return TypeEdits.With(site, t => t with { Styles = styles.Insert(styles.IndexOf(like) + 1, added) });
    }

    public override string Describe(Site site) => $"{Name.Trim()} added";
}

/// <summary>Renames a text style.</summary>
public sealed record RenameTextStyle(string Style, string Name) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Typography.Styles.Find(Style) is not { } style) return TypeEdits.GoneStyle;
        var others = site.Typography.Styles.Where(s => s.Id != Style).ToList();
        if (Names.Check(Name, others.Select(s => s.Name)) is { } taken) return taken;
        return TypeEdits.With(site, t => t with { Styles = t.Styles.Put(style with { Name = Name.Trim(), CssName = Lookup.FreeSlug(Name, others.Select(s => s.CssName)) }) });
    }

    public override string Describe(Site site) => $"{site.Typography.Styles.Find(Style)?.Name ?? "Text style"} renamed to {Name.Trim()}";
}

/// <summary>Takes a text style away. Only what nothing uses can go.</summary>
public sealed record RemoveTextStyle(string Style) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Typography.Styles.Find(Style) is not { } style) return TypeEdits.GoneStyle;
        if (site.Typography.Styles.IndexOf(style) == 0) return new Problem("/style", $"{style.Name} is the text of the page itself and cannot go.");
        if (Usage.Refusal(style.Name, Usage.Of(site, style)) is { } used) return new Problem("/style", used);
        return TypeEdits.With(site, t => t with { Styles = t.Styles.Remove(style) });
    }

    public override string Describe(Site site) => $"{site.Typography.Styles.Find(Style)?.Name ?? "Text style"} removed";
}

/// <summary>Gives a family of the site the letters of one from the shelf: all that is set in it follows.</summary>
/// <param name="Family">Id of the site's family.</param>
/// <param name="Bundled">Id of the family on the shelf.</param>
public sealed record SetFamily(string Family, string Bundled) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Typography.Families.Find(Family) is not { } family) return new Problem("/family", "This family is no longer part of the site.");
        if (BundledFamilies.Find(Bundled) is not { } bundled) return TypeEdits.NotOnShelf;
        if (site.Typography.Families.Any(f => f.Id != Family && f.Name == bundled.Name)) return new Problem("/bundled", $"{bundled.Name} is part of the site already.");
        return TypeEdits.WithFonts(site, bundled, t => t with { Families = t.Families.Put(bundled.AsFamily(family.Id, family.CssName)) });
    }

    public override string Describe(Site site) =>
        $"{site.Typography.Families.Find(Family)?.Name ?? "Family"} replaced by {BundledFamilies.Find(Bundled)?.Name ?? "another family"}";
}

/// <summary>Takes a family from the shelf into the site.</summary>
/// <param name="Family">Its new id in the site.</param>
/// <param name="Bundled">Id of the family on the shelf.</param>
public sealed record AddFamily(string Family, string Bundled) : Edit
{
    public override Outcome Apply(Site site)
    {
        var families = site.Typography.Families;
        if (BundledFamilies.Find(Bundled) is not { } bundled) return TypeEdits.NotOnShelf;
        if (families.Any(f => f.Name == bundled.Name)) return new Problem("/bundled", $"{bundled.Name} is part of the site already.");
        if (Names.CheckId(Family, families.Find(Family) is not null, "/family") is { } badId) return badId;
        return TypeEdits.WithFonts(site, bundled, t => t with { Families = families.Add(bundled.AsFamily(Family, Lookup.FreeSlug(bundled.Name, families.Select(f => f.CssName)))) });
    }

    public override string Describe(Site site) => $"{BundledFamilies.Find(Bundled)?.Name ?? "Family"} added";
}

/// <summary>Takes a family out of the site. Only what no text style is set in can go.</summary>
public sealed record RemoveFamily(string Family) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Typography.Families.Find(Family) is not { } family) return new Problem("/family", "This family is no longer part of the site.");
        if (Usage.Refusal(family.Name, Usage.Of(site, family)) is { } used) return new Problem("/family", used);
        return TypeEdits.Tidied(TypeEdits.With(site, t => t with { Families = t.Families.Remove(family) }));
    }

    public override string Describe(Site site) => $"{site.Typography.Families.Find(Family)?.Name ?? "Family"} removed";
}

internal static class TypeEdits
{
    public static readonly Problem GoneStyle = new("/style", "This text style is no longer there.");

    public static readonly Problem NotOnShelf = new("/bundled", "There is no such family on the shelf.");

    public static Site With(Site site, Func<Design.Typography, Design.Typography> change) => site with { Typography = change(site.Typography) };

    /// <summary>The site with its families changed, and with just the font files on its shelf that they have.</summary>
    public static Site WithFonts(Site site, BundledFamily bundled, Func<Design.Typography, Design.Typography> change)
    {
        var missing = bundled.Files.Select(f => f.Item).Where(i => site.Shelf.Find(i.Id) is null);
        return Tidied(With(site, change) with { Shelf = site.Shelf.AddRange(missing) });
    }

    public static Site Tidied(Site site)
    {
        var kept = site.Typography.Families.SelectMany(f => f.Files).Select(f => f.Item).ToHashSet(StringComparer.Ordinal);
        return site with { Shelf = site.Shelf.RemoveAll(i => i.MediaType == "font/woff2" && !kept.Contains(i.Id)) };
    }
}
