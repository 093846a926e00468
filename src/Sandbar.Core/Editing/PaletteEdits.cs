using Sandbar.Core.Colors;
using Sandbar.Core.Css;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;

namespace Sandbar.Core.Editing;

/// <summary>Adds a colour to the palette.</summary>
/// <param name="Color">Its new id.</param>
/// <param name="Css">Any CSS colour.</param>
public sealed record AddColor(string Color, string Name, string Css) : Edit
{
    public override Outcome Apply(Site site)
    {
        var colors = site.Palette.Colors;
        if (Names.Check(Name, colors.Select(c => c.Name)) is { } taken) return taken;
        if (Names.CheckId(Color, colors.Find(Color) is not null, "/color") is { } badId) return badId;
        if (PaletteEdits.Unreadable(Css) is { } unreadable) return unreadable;
        var cssName = Lookup.FreeSlug(Name, colors.Select(c => c.CssName));
        return PaletteEdits.With(site, p => p with { Colors = colors.Add(new(Color, Name.Trim(), cssName, Css.Trim())) });
    }

    public override string Describe(Site site) => $"{Name.Trim()} added";
}

/// <summary>Gives a colour of the palette another value.</summary>
public sealed record SetColor(string Color, string Css) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Palette.Colors.Find(Color) is not { } color) return PaletteEdits.GoneColor;
        if (PaletteEdits.Unreadable(Css) is { } unreadable) return unreadable;
        return PaletteEdits.With(site, p => p with { Colors = p.Colors.Put(color with { Css = Css.Trim() }) });
    }

    public override string Describe(Site site) => $"{site.Palette.Colors.Find(Color)?.Name ?? "Colour"} → {Css.Trim()}";
}

/// <summary>Renames a colour, in the overrides' <c>var()</c> too.</summary>
public sealed record RenameColor(string Color, string Name) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Palette.Colors.Find(Color) is not { } color) return PaletteEdits.GoneColor;
        var others = site.Palette.Colors.Where(c => c.Id != Color).ToList();
        if (Names.Check(Name, others.Select(c => c.Name)) is { } taken) return taken;
        var renamed = color with { Name = Name.Trim(), CssName = Lookup.FreeSlug(Name, others.Select(c => c.CssName)) };
        return PaletteEdits.With(site, p => p with { Colors = p.Colors.Put(renamed) }) with
        {
            Overrides = new(Rewritten(site.Overrides.Site, color, renamed)),
        };
    }

    public override string Describe(Site site) => $"{site.Palette.Colors.Find(Color)?.Name ?? "Colour"} renamed to {Name.Trim()}";

    private static string Rewritten(string css, BaseColor before, BaseColor after)
    {
        var names = Enumerable.Range(-Steps.ShadeCount, Steps.ShadeCount + Steps.TintCount + 1)
            .ToDictionary(step => ValueCss.ColorName(before, step), step => ValueCss.ColorName(after, step), StringComparer.Ordinal);
        foreach (var token in Tokenizer.Read(css).Where(t => t.Kind == TokenKind.Ident && names.ContainsKey(t.Text)).Reverse())
            css = string.Concat(css.AsSpan(0, token.Start), names[token.Text], css.AsSpan(token.End));
        return css;
    }
}

/// <summary>Takes a colour out of the palette. Only what nothing uses can go.</summary>
public sealed record RemoveColor(string Color) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (site.Palette.Colors.Find(Color) is not { } color) return PaletteEdits.GoneColor;
        if (Usage.Refusal(color.Name, Usage.Of(site, color)) is { } used) return new Problem("/color", used);
        return PaletteEdits.With(site, p => p with { Colors = p.Colors.Remove(color) });
    }

    public override string Describe(Site site) => $"{site.Palette.Colors.Find(Color)?.Name ?? "Colour"} removed";
}

/// <summary>Gives a role another colour in a scheme.</summary>
public sealed record SetRole(string Scheme, string Role, RoleColor Choice) : Edit
{
    public override Outcome Apply(Site site)
    {
        var palette = site.Palette;
        if (palette.Schemes.Find(Scheme) is not { } scheme) return new Problem("/scheme", "This scheme is no longer there.");
        if (palette.Roles.Find(Role) is null) return new Problem("/role", "This role is no longer there.");
        if (Choice.Color is null == Choice.ReadableOn is null) return new Problem("/choice", "Choose either a colour or a role to be readable on.");
        if (Choice.Color is { } color && palette.Colors.Find(color) is null) return PaletteEdits.GoneColor;
        if (Choice.Step is > Steps.TintCount or < -Steps.ShadeCount) return new Problem("/choice/step", $"There are {Steps.TintCount} tints and {Steps.ShadeCount} shades.");
        if (Choice.ReadableOn is { } ground && (palette.Roles.Find(ground) is null || LeadsTo(scheme, ground, Role)))
            return new Problem("/choice/readableOn", "A role cannot be readable on itself.");
        return PaletteEdits.With(site, p => p with { Schemes = p.Schemes.Put(scheme with { Colors = scheme.Colors.SetItem(Role, Choice) }) });
    }

    public override string Describe(Site site)
    {
        var role = site.Palette.Roles.Find(Role)?.Name ?? "Role";
        var choice = Choice.ReadableOn is { } on
            ? $"readable on {site.Palette.Roles.Find(on)?.Name}"
            : $"{site.Palette.Colors.Find(Choice.Color ?? "")?.Name} {ValueText.StepText(Choice.Step)}".TrimEnd();
        return $"{site.Palette.Schemes.Find(Scheme)?.Name} · {role} → {choice}";
    }

    private static bool LeadsTo(Scheme scheme, string from, string target)
    {
        for (var role = from; role is not null; role = scheme.Colors.GetValueOrDefault(role)?.ReadableOn)
        {
            if (role == target) return true;
        }
        return false;
    }
}

/// <summary>Says which scheme a scheme turns into when the visitor prefers dark.</summary>
/// <param name="Into">Id of a scheme; null where it stays as it is.</param>
public sealed record TurnScheme(string Scheme, string? Into) : Edit
{
    public override Outcome Apply(Site site)
    {
        var schemes = site.Palette.Schemes;
        if (schemes.Find(Scheme) is not { } scheme) return new Problem("/scheme", "This scheme is no longer there.");
        if (Into is not null && schemes.Find(Into) is null) return new Problem("/into", "The scheme to turn into is no longer there.");
        if (Into == Scheme) return new Problem("/into", "A scheme cannot turn into itself. Let it stay as it is instead.");
        return PaletteEdits.With(site, p => p with { Schemes = p.Schemes.Put(scheme with { TurnsInto = Into }) });
    }

    public override string Describe(Site site)
    {
        var name = site.Palette.Schemes.Find(Scheme)?.Name ?? "Scheme";
        return Into is null ? $"{name} stays when the visitor prefers dark" : $"{name} turns into {site.Palette.Schemes.Find(Into)?.Name}";
    }
}

internal static class PaletteEdits
{
    public static readonly Problem GoneColor = new("/color", "This colour is no longer in the palette.");

    public static Site With(Site site, Func<Palette, Palette> change) => site with { Palette = change(site.Palette) };

    public static Problem? Unreadable(string css) => ColorText.TryParse(css, out _) ? null : new("/css", ColorText.Unreadable(css));
}
