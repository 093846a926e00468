using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Colors;
using Sandbar.Core.Css;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;

namespace Sandbar.Server;

/// <summary>A site as its windows show it: everything computed by the core.</summary>
public sealed record SiteView(
    string Slug,
    string Name,
    long Version,
    IReadOnlyList<ColorView> Colors,
    IReadOnlyList<SchemeView> Schemes,
    TypeView Type,
    FrameView Frame,
    IReadOnlyList<MenuView> Menus,
    IReadOnlyList<PictureView> Pictures,
    IReadOnlyList<PartView> Parts,
    IReadOnlyList<PageView> Pages,
    OverridesView Overrides,
    HistoryView History,
    FiguresView Figures)
{
    public static SiteView Of(Head head, string window, long openedAt)
    {
        var (site, version, journal) = head.Stored;
        var counts = Core.Design.Blocks.CountByPart(site);
        var (undo, redo) = Core.Editing.History.Reversible(journal, window, openedAt);
        return new(
            site.Slug,
            site.Name,
            version,
            [.. site.Palette.Colors.Select(c => ColorView.Of(site, c))],
            [.. site.Palette.Schemes.Select(s => SchemeView.Of(site, s))],
            TypeView.Of(site),
            FrameView.Of(site),
            [.. site.Menus.Select(MenuView.Of)],
            [.. site.Shelf.Where(i => i.Width > 0).Select(i => new PictureView(i.Id, i.Name))],
            [.. PartCatalogue.All.Select(p => PartView.Of(site, p, counts.GetValueOrDefault(p.Id)))],
            [.. site.Pages.Select(p => new PageView(p.Id, p.Name, p.Slug))],
            OverridesView.Of(site.Overrides.Site),
            new(undo?.Label, redo?.Label, journal.IsEmpty ? null : journal[^1].Label),
            FiguresView.Of(site, head.Sheet));
    }
}

/// <param name="Css">As the designer typed it.</param>
/// <param name="Tints">Nearest to the base first.</param>
/// <param name="Lightness">OKLCH, 0 to 100.</param>
/// <param name="Chroma">OKLCH, in hundredths.</param>
/// <param name="Hue">Degrees; null for a grey.</param>
/// <param name="Uses">Where it is used, in words.</param>
public sealed record ColorView(
    string Id, string Name, string Css, string Hex, IReadOnlyList<string> Tints, IReadOnlyList<string> Shades,
    double Lightness, double Chroma, double? Hue, bool InSrgb, string Variable, IReadOnlyList<string> Uses)
{
    public static ColorView Of(Site site, BaseColor color)
    {
        var row = SchemeColors.Row(color);
        var given = ColorText.Parse(color.Css);
        var oklch = given.To(ColorSpace.Oklch);
        return new(
            color.Id, color.Name, color.Css, ColorText.Hex(row.Base), [.. row.Tints.Select(ColorText.Hex)], [.. row.Shades.Select(ColorText.Hex)],
            Math.Round(oklch.C1 * 100, 1), Math.Round(oklch.C2 * 100, 1), double.IsNaN(oklch.C3) ? null : Math.Round(oklch.C3, 1),
            Gamut.InSrgb(given, 1e-6), ValueCss.ColorName(color, 0), [.. Usage.Of(site, color)]);
    }
}

/// <param name="TurnsInto">Id of the scheme it turns into when the visitor prefers dark.</param>
public sealed record SchemeView(string Id, string Name, string? TurnsInto, IReadOnlyList<RoleView> Roles)
{
    public static SchemeView Of(Site site, Scheme scheme) => new(scheme.Id, scheme.Name, scheme.TurnsInto, [.. site.Palette.Roles.Select(r => RoleView.Of(site, scheme, r))]);
}

/// <param name="Color">Id of the colour it is given; null where it is what reads best on <paramref name="ReadableOn"/>.</param>
/// <param name="Source">What it comes to, in words, such as <c>beet tint 2</c>.</param>
public sealed record RoleView(
    string Id, string Name, string? Color, int Step, string? ReadableOn, string Source, string Hex, IReadOnlyList<PairView> Pairs)
{
    public static RoleView Of(Site site, Scheme scheme, Role role)
    {
        var choice = scheme.Colors[role.Id];
        var resolved = SchemeColors.Resolve(site.Palette, scheme, role.Id);
        var source = resolved.Source is { } color ? $"{color.Name} {ValueText.StepText(resolved.Step)}".TrimEnd() : ColorText.Hex(resolved.Color);
        return new(role.Id, role.Name, choice.Color, choice.Step, choice.ReadableOn, source, ColorText.Hex(resolved.Color),
            [.. role.On.Select(on => PairView.Of(site, scheme, resolved.Color, on, (double)role.Target))]);
    }
}

/// <summary>A role on a ground it must be readable on.</summary>
/// <param name="Target">The contrast it needs (WCAG 2.2).</param>
public sealed record PairView(string On, double Ratio, double Target, bool Passes)
{
    public static PairView Of(Site site, Scheme scheme, Color color, string on, double target)
    {
        var ratio = Contrast.Ratio(color, SchemeColors.Resolve(site.Palette, scheme, on).Color);
        // Shown cut off, not rounded up: 4.48 is no 4.5.
        return new(site.Palette.Roles.Get(on).Name, Math.Floor(ratio * 10) / 10, target, ratio >= target);
    }
}

/// <param name="Hook">The selector of the elements whose states its looks take.</param>
public sealed record PartView(
    string Id, string Name, string Hook, IReadOnlyList<State> States, IReadOnlyList<SlotView> Slots, IReadOnlyList<PropertyView> Properties, IReadOnlyList<LookView> Looks,
    int Blocks, int Pages)
{
    public static PartView Of(Site site, Part part, (int Blocks, int Pages) counts) => new(
        part.Id, part.Name, StyleSheetRenderer.StateHook(part), part.States, [.. part.Slots.Select(SlotView.Of)],
        [.. part.Properties.Select(p => new PropertyView(p.Id, p.Name, p.Group, p.Kind, p.SameInAllStates, [.. ValueText.Names(site, p)]))],
        [.. site.Looks.Where(l => l.Part == part.Id).Select(l => LookView.Of(site, part, l))],
        counts.Blocks,
        counts.Pages);
}

/// <param name="Names">What can be named in its cells, most fitting first.</param>
public sealed record PropertyView(string Id, string Name, string Group, ValueKind Kind, bool SameInAllStates, IReadOnlyList<string> Names);

public sealed record LookView(string Id, string Name, string Selector, IReadOnlyList<CellView> Cells)
{
    public static LookView Of(Site site, Part part, Look look) => new(
        look.Id, look.Name, StyleSheetRenderer.LookSelector(site, part, look),
        [.. look.Cells.Select(c => CellView.Of(site, look, CellKey.Parse(c.Key), c.Value))]);
}

/// <param name="Text">The value as typed.</param>
/// <param name="Note">What it comes to, as a hint.</param>
/// <param name="Swatch">CSS of the fill it shows in the first scheme; null for what is no fill.</param>
public sealed record CellView(string Property, State State, int? From, int? Below, string Text, string Note, string? Swatch)
{
    public static CellView Of(Site site, Look look, CellKey key, Value value)
    {
        var meant = value is RestValue rest && look.Cells.TryGetValue(key.Property, out var atRest) ? ValueCss.Moved(atRest, rest.Step) : value;
        return new(key.Property, key.State, key.Widths.From, key.Widths.Below, ValueText.Write(site, value), ValueText.Note(site, value), Shown(site, meant));
    }

    private static string? Shown(Site site, Value value) => value switch
    {
        ReferenceValue { To: ReferenceKind.Role } role => ColorText.Hex(SchemeColors.Resolve(site.Palette, site.Palette.Schemes[0], role.Id, role.Step).Color),
        ReferenceValue { To: ReferenceKind.Color } color => ColorText.Hex(SchemeColors.Row(site.Palette.Colors.Get(color.Id)).At(color.Step)),
        ReferenceValue { To: ReferenceKind.Gradient } gradient => Shown(site, site.Fills.Gradients.Get(gradient.Id)),
        FixedColorValue fixedColor => ColorText.Hex(ColorText.Parse(fixedColor.Css)),
        _ => null,
    };

    private static string Shown(Site site, Gradient gradient) =>
        $"linear-gradient({gradient.Angle}deg, {string.Join(", ", gradient.Stops.Select(s => $"{Shown(site, s.Color)} {s.Position}%"))})";
}

public sealed record PageView(string Id, string Name, string Slug);

public sealed record OverridesView(string Css, IReadOnlyList<CssProblemView> Problems)
{
    public static OverridesView Of(string css) => new(css, [.. StyleSheetText.Problems(css).Select(e => CssProblemView.Of(css, e))]);
}

/// <param name="Start">UTF-16 offset.</param>
/// <param name="Line">From 1.</param>
public sealed record CssProblemView(int Start, int End, int Line, int Column, string Message)
{
    public static CssProblemView Of(string css, SyntaxError error)
    {
        var position = TextPosition.At(css, error.Start);
        return new(error.Start, error.End, position.Line, position.Column, error.Message);
    }
}

/// <param name="Undo">What undo would take back, in words; null where there is nothing.</param>
/// <param name="Last">The last edit, in words.</param>
public sealed record HistoryView(string? Undo, string? Redo, string? Last);

/// <param name="StylesheetBytes">The released stylesheet, not compressed.</param>
public sealed record FiguresView(int StylesheetBytes)
{
    public static FiguresView Of(Site site, StyleSheet sheet) => new(Encoding.UTF8.GetByteCount(SiteRelease.StyleSheet(sheet)));
}

/// <summary>The sheet as the stage uses it.</summary>
/// <param name="Keys">The keys of its style rules in the order they stand.</param>
/// <param name="Overrides">The overrides' readable rules, a sheet of their own.</param>
/// <param name="Pages">What tells the HTML of each page from what it was, by the page's id.</param>
public sealed record SheetView(long Version, IReadOnlyList<string> Keys, string Generated, string Overrides, IReadOnlyDictionary<string, string> Pages)
{
    public static SheetView Of(Head head) => Of(head.Stored.Version, head.Stored.Site, head.Sheet);

    public static SheetView Of(long version, Site site, StyleSheet sheet) => new(
        version,
        [.. StyleSheetText.Keys(sheet)],
        StyleSheetText.Generated(sheet, SheetUse.Stage, StageEndpoints.AssetAddress),
        StyleSheetText.Overrides(sheet.Overrides, SheetUse.Stage),
        site.Pages.Select(p => (p.Id, Mark: PageChanges.Mark(site, p))).Append((Specimen.PageId, PageChanges.SpecimenMark(site)))
            .ToDictionary(p => p.Item1, p => p.Item2, StringComparer.Ordinal));
}
