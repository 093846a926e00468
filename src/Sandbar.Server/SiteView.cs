using System.Text;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Server;

/// <summary>A site as its windows show it: everything computed by the core.</summary>
/// <param name="Things">The things of the foundations, by the code of their kind.</param>
/// <param name="Names">What can be named in values, by what they are offered under.</param>
/// <param name="Colors">What colours come to; they are listed in <paramref name="Things"/>, too.</param>
public sealed record SiteView(
    string Slug,
    string Name,
    long Version,
    IReadOnlyDictionary<string, IReadOnlyList<ThingView>> Things,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Names,
    IReadOnlyList<ColorView> Colors,
    IReadOnlyList<SchemeView> Schemes,
    TypeView Type,
    SpaceView Space,
    EdgesView Edges,
    FillsView Fills,
    FrameView Frame,
    IReadOnlyList<MenuView> Menus,
    IReadOnlyList<PostView> Posts,
    IReadOnlyList<CategoryView> Categories,
    IReadOnlyList<PictureView> Pictures,
    IReadOnlyList<ClipView> Clips,
    IReadOnlyList<LookView> Looks,
    IReadOnlyList<PartUseView> Parts,
    IReadOnlyList<PageView> Pages,
    AsideView Aside,
    IReadOnlyList<DeadLink> DeadLinks,
    OverridesView Overrides,
    FiguresView Figures)
{
    public static SiteView Of(Head head)
    {
        var site = head.Stored.Site;
        var wearers = Blocks.CountByLook(site);
        var own = Blocks.WithOwnValues(site).ToLookup(b => b.Look, StringComparer.Ordinal);
        return new(
            site.Slug,
            site.Name,
            head.Stored.Version,
            ThingView.All(site),
            Kinds.All.SelectMany(k => k.Types.Select(t => (Kind: k, Type: t))).ToDictionary(o => SettingView.OfferOf(o.Kind, o.Type), o => (IReadOnlyList<string>)[.. o.Kind.Names(site, o.Type)], StringComparer.Ordinal),
            [.. site.Palette.Colors.Select(c => ColorView.Of(site, c))],
            [.. site.Palette.Schemes.Select(s => SchemeView.Of(site, s))],
            TypeView.Of(site, head.Sheet),
            SpaceView.Of(site),
            EdgesView.Of(site),
            FillsView.Of(site),
            FrameView.Of(site),
            [.. site.Menus.Select(m => MenuView.Of(site, m))],
            [.. site.Posts.OrderByDescending(p => p.Date, StringComparer.Ordinal).Select(PostView.Of)],
            [.. site.Categories.Select(c => CategoryView.Of(site, c))],
            [.. site.Shelf.Where(i => i.IsPicture).Select(i => PictureView.Of(site, i))],
            [.. site.Shelf.Where(i => i.IsClip).Select(i => new ClipView(i.Id, i.Name, StageEndpoints.AssetAddress(i), i.Width, i.Height, i.Address.Length > 0 ? i.Address : i.File, i.Address.Length > 0))],
            [.. site.Looks.Select(look => LookView.Of(site, look, wearers.GetValueOrDefault(look.Id), own[look.Id]))],
            [.. Blocks.CountByPart(site).Select(c => new PartUseView(c.Key, c.Value.Blocks, c.Value.Pages))],
            [.. site.Pages.Select(p => PageView.Of(site, p))],
            AsideView.Of(site),
            [.. Core.Reviewing.DeadLinks.Of(site)],
            OverridesView.Of(site.Overrides.Site),
            FiguresView.Of(head.Sheet));
    }
}

/// <param name="Css">As typed.</param>
/// <param name="Hex">As painted on a screen of sRGB; all figures of contrast are about that.</param>
/// <param name="Tints">Nearest to the base first.</param>
/// <param name="Marks">Where the tints and then the shades lie on the plane: lightness and chroma.</param>
/// <param name="GivenSteps">The steps given by hand, as typed, by number: 1… tints, −1… shades.</param>
/// <param name="Lightness">OKLCH, 0 to 100, of what is meant.</param>
/// <param name="Chroma">OKLCH, in hundredths.</param>
/// <param name="Hue">Degrees; null for a grey.</param>
/// <param name="Alpha">0 to 1.</param>
/// <param name="Group">Empty for none.</param>
public sealed record ColorView(
    string Id, string Css, string Hex, IReadOnlyList<string> Tints, IReadOnlyList<string> Shades, IReadOnlyList<PlanePoint> Marks, IReadOnlyDictionary<string, string> GivenSteps, double Lightness, double Chroma, double? Hue, double Alpha, bool InSrgb,
    string Group, ComputedView? Computed)
{
    public static ColorView Of(Site site, BaseColor color)
    {
        var row = site.Palette.Row(color);
        var meant = site.Palette.Meant(color);
        var oklch = meant.To(ColorSpace.Oklch);
        return new(
            color.Id, ValueForms.Write(site, color.Color), ColorText.Hex(row.Base), [.. row.Tints.Select(ColorText.Hex)], [.. row.Shades.Select(ColorText.Hex)],
            [.. row.Tints.Concat(row.Shades).Select(c => c.To(ColorSpace.Oklch)).Select(c => new PlanePoint(Math.Round(c.C1, 3), Math.Round(c.C2, 3)))],
            color.Steps.ToDictionary(s => s.Key, s => ValueForms.Write(site, s.Value), StringComparer.Ordinal),
            Math.Round(oklch.C1 * 100, 1), Math.Round(oklch.C2 * 100, 1), double.IsNaN(oklch.C3) ? null : Math.Round(oklch.C3, 1), Math.Round(meant.Alpha, 4), !ReleasedColor.IsWide(meant),
            color.Group.Code() is var group && group == BaseColor.NoGroup ? "" : group, ComputedView.Of(site, color.Color));
    }
}

/// <summary>What a colour is computed from, each as it is typed.</summary>
/// <param name="Other">What it is mixed with; null for one that is moved.</param>
/// <param name="Share">Of the other, per cent.</param>
public sealed record ComputedView(string From, string? Other, decimal Share, string Space, decimal Lightness, decimal Chroma, decimal Hue)
{
    public static ComputedView? Of(Site site, Value value) => value switch
    {
        MixValue mix => new(ValueForms.Write(site, mix.One), ValueForms.Write(site, mix.Other), mix.Share, mix.Space, 0, 0, 0),
        MovedColorValue moved => new(ValueForms.Write(site, moved.Of), null, 0, "", moved.Lightness, moved.Chroma, moved.Hue),
        _ => null,
    };
}

/// <param name="TurnsInto">Id of the scheme it turns into when the visitor prefers dark.</param>
public sealed record SchemeView(string Id, string Name, string CssName, string? TurnsInto, IReadOnlyList<RoleView> Roles)
{
    public static SchemeView Of(Site site, Scheme scheme) => new(scheme.Id, scheme.Name, scheme.CssName, scheme.Dark(site)?.Id, [.. site.Palette.Roles.Select(r => RoleView.Of(site, scheme, r))]);
}

/// <param name="Color">Id of the colour it is given; null where it is what reads best on <paramref name="ReadableOn"/>.</param>
/// <param name="Source">What it comes to, in words, such as <c>beet tint 2</c>.</param>
public sealed record RoleView(
    string Id, string Name, string? Color, int Step, string? ReadableOn, string Source, string Hex, IReadOnlyList<PairView> Pairs)
{
    public static RoleView Of(Site site, Scheme scheme, Role role)
    {
        var (given, readable) = (scheme.Colors[role.Id] as ReferenceValue, scheme.Colors[role.Id] as ReadableValue);
        var resolved = SchemeColors.Resolve(site.Palette, scheme, role.Id);
        var source = resolved.Source is { } color ? StepText.With(color.Name, resolved.Step) : ColorText.Hex(resolved.Color);
        return new(role.Id, role.Name, given?.Id, given?.Step ?? 0, (readable?.On as ReferenceValue)?.Id, source, ColorText.Hex(resolved.Color),
            [.. role.Grounds().Select(on => PairView.Of(site, scheme, resolved.Color, on, (double)role.Target.Amount()))]);
    }
}

/// <summary>A role on a ground it must be readable on.</summary>
/// <param name="Target">The contrast it needs (WCAG 2.2).</param>
public sealed record PairView(string On, double Ratio, double Target, bool Passes)
{
    public static PairView Of(Site site, Scheme scheme, Color color, string on, double target)
    {
        // As painted: so are the pairs on the pages.
        var ratio = Contrast.Ratio(Gamut.Rounded(color), Gamut.Rounded(SchemeColors.Resolve(site.Palette, scheme, on).Color));
        // Cut off, not rounded up: 4.49 is no 4.5.
        return new(site.Palette.Roles.Get(on).Name, Math.Floor(ratio * 100) / 100, target, ratio >= target);
    }
}

/// <summary>Where a part is used.</summary>
public sealed record PartUseView(string Id, int Blocks, int Pages);

/// <param name="Part">Id of the part.</param>
/// <param name="Wearers">How many blocks wear it.</param>
/// <param name="Idle">Settings that cannot show.</param>
/// <param name="Differing">How many blocks have values of their own, by the setting's id.</param>
/// <param name="Squashed">Settings that leave too little room between text and the edge of its box.</param>
public sealed record LookView(string Id, string Part, string Name, string Selector, int Wearers, IReadOnlyList<CellView> Cells, IReadOnlyList<SquashedView> Squashed, IReadOnlyList<IdleSetting> Idle, IReadOnlyDictionary<string, int> Differing)
{
    /// <param name="own">The blocks with values of their own that wear it.</param>
    public static LookView Of(Site site, Look look, int wearers, IEnumerable<Block> own)
    {
        var part = PartCatalogue.Find(look.Part);
        return new(
            look.Id, look.Part, look.Name, part is null ? "" : LookSelectors.Of(site, part, look), wearers,
            part is null ? [] : [.. look.Cells.Select(c => CellView.Of(site, part, look, CellKey.Parse(c.Key), c.Value)).OfType<CellView>()],
            [.. RoomInBoxes.Of(site, look).Select(s => new SquashedView(s.Cell.Property, s.Cell.State, s.Cell.Widths.From, s.Cell.Widths.Below, s.Says, s.Source, s.Mend))],
            [.. IdleSettings.Of(site, look)],
            own.SelectMany(b => b.Own.Keys.Select(k => CellKey.Parse(k).Property).Distinct()).CountBy(p => p).ToDictionary(c => c.Key, c => c.Value, StringComparer.Ordinal));
    }
}

/// <param name="Text">The value as typed.</param>
/// <param name="Note">What it comes to, as a hint.</param>
/// <param name="Swatch">CSS of the fill it shows in the first scheme; null for what is no fill.</param>
/// <param name="Sides">What stands at each side or corner, as typed; null where they are linked.</param>
/// <param name="Preset">The value by the names of what it equals; null where it equals nothing that has one.</param>
public sealed record CellView(string Property, State State, int? From, int? Below, string Text, string Note, string? Swatch, IReadOnlyList<string>? Sides, string? Preset)
{
    public static CellView? Of(Site site, Part part, Look look, CellKey key, Value value)
    {
        if (part.Property(key.Property) is not { } property) return null;
        var meant = value is RestValue rest && look.Cells.TryGetValue(key.Property, out var atRest) ? ValueForms.Moved(atRest, rest.Step) : value;
        return new(
            key.Property, key.State, key.Widths.From, key.Widths.Below, property.Write(site, value), ValueNotes.Of(site, value), Swatches.Of(site, meant),
            value is SidesValue or CornersValue && property.Kind.Sides is { } sides ? [.. sides.Select((_, i) => property.WriteSide(site, value, i))] : null,
            Presets.Same(site, property, value) is { } same ? property.Write(site, same) : null);
    }
}

/// <summary>A setting of a look that leaves too little room between text and the edge of its box.</summary>
/// <param name="Says">What is wrong, in a sentence.</param>
/// <param name="Source">What it rests on.</param>
/// <param name="Mend">What to type in the cell.</param>
public sealed record SquashedView(string Property, State State, int? From, int? Below, string Says, string Source, string Mend);

/// <param name="StylesheetBytes">The released stylesheet, not compressed.</param>
public sealed record FiguresView(int StylesheetBytes)
{
    public static FiguresView Of(StyleSheet sheet) => new(Encoding.UTF8.GetByteCount(SiteRelease.StyleSheet(sheet)));
}
