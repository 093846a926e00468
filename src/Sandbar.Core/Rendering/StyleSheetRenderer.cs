using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Colors;
using Sandbar.Core.Design;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Rendering;

/// <summary>A site's stylesheet as rules. Rules of a look are kept for as long as the look and the foundations it reads stay the same.</summary>
public static partial class StyleSheetRenderer
{
    private static readonly ConditionalWeakTable<Look, LookRules> Kept = [];

    public static StyleSheet Render(Site site)
    {
        var rules = ImmutableArray.CreateBuilder<Rule>();
        foreach (var layer in new[] { Layer.Parts, Layer.Frame })
        {
            foreach (var part in PartCatalogue.All.Where(p => p.Layer == layer))
            {
                rules.AddRange(Structure(part));
                foreach (var look in site.Looks.Where(l => l.Part == part.Id)) rules.AddRange(RulesOf(site, part, look));
            }
        }
        foreach (var block in Blocks.WithOwnValues(site)) rules.AddRange(OwnRules(site, block));
        return new(site.Name, Fonts(site), [.. Foundations(site, RoleSteps(site, rules)), .. rules], site.Overrides.Site);
    }

    /// <summary>The selector of a look's elements.</summary>
    public static string LookSelector(Site site, Part part, Look look) =>
        (site.Looks.Count(l => l.Part == part.Id) > 1 ? "." + LookClass(part, look) : part.Hook) + part.Inner;

    /// <summary>The selector of the elements whose states a part's looks take.</summary>
    public static string StateHook(Part part) => part.StateOf.Length == 0 ? part.Hook + part.Inner : $"{part.Hook} {part.StateOf}";

    /// <summary>The class that marks a look, such as <c>button-filled</c>.</summary>
    public static string LookClass(Part part, Look look) => $"{part.Id}-{look.CssName}";

    [GeneratedRegex(@"--role-[\w-]+-(?:tint|shade)-\d")]
    private static partial Regex RoleStep();

    private static ImmutableArray<FontFace> Fonts(Site site) =>
    [
        .. from family in site.Typography.Families
           from file in family.Files
           select new FontFace(family.Name, site.Shelf.Get(file.Item), file.WeightFrom, file.WeightTo, file.Italic),
    ];

    private static IEnumerable<Rule> Foundations(Site site, ILookup<string, int> roleSteps)
    {
        yield return Root("colors", site.Palette.Colors.SelectMany(ColorTokens));
        yield return Root("sizes", Scale.Steps(site.Typography.Scale)
            .Select(step => new Declaration(Scale.CssName(step), Scale.Css(site.Typography.Scale, step), new(OriginKind.Size, "", Invariant(step)))));
        yield return Root("spaces", site.Spacing.Steps.Select((px, i) =>
            new Declaration($"--space-{i + 1}", ValueCss.Number(new(px / 16, "rem")), new(OriginKind.Space, "", Invariant(i + 1)))));
        yield return Root("families", site.Typography.Families.Select(f => new Declaration($"--family-{f.CssName}", f.Stack, new(OriginKind.Family, f.Id))));
        yield return Root("radii", site.Edges.Radii.Select(r => new Declaration($"--radius-{r.CssName}", ValueCss.Write(site, r.Size), new(OriginKind.Edge, r.Id))));

        foreach (var scheme in site.Palette.Schemes) yield return SchemeRule(site, scheme, scheme, roleSteps);
        foreach (var scheme in site.Palette.Schemes)
        {
            if (scheme.TurnsInto is { } dark) yield return SchemeRule(site, scheme, site.Palette.Schemes.Get(dark), roleSteps);
        }
        // What depends on a role is declared on every carrier: on :root alone it would be resolved once, with the outermost scheme.
        yield return Foundation("carriers", "[data-scheme]",
        [
            .. site.Edges.Borders.Select(b => new Declaration(
                $"--border-{b.CssName}", $"{ValueCss.Write(site, b.Width)} {b.Style} {ValueCss.Write(site, b.Color)}", new(OriginKind.Edge, b.Id))),
            .. site.Edges.Shadows.Select(s => new Declaration($"--shadow-{s.CssName}", ShadowCss(site, s), new(OriginKind.Edge, s.Id))),
            .. site.Fills.Gradients.Select(g => new Declaration($"--gradient-{g.CssName}", GradientCss(site, g), new(OriginKind.Fill, g.Id))),
            Ground("color", $"var({RoleName(site, "text")})"),
        ]);

        yield return Foundation("box", "*, ::before, ::after", [Ground("box-sizing", "border-box")]);
        yield return Foundation("html", "html", [Ground("text-size-adjust", "100%"), Ground("-webkit-text-size-adjust", "100%")]);
        yield return Foundation("body", "body",
        [
            Ground("margin", "0"), Ground("min-block-size", "100svh"), Ground("background-color", $"var({RoleName(site, "ground")})"),
            Ground("color", $"var({RoleName(site, "text")})"), .. StyleDeclarations(site, site.Typography.Styles[0], new(OriginKind.Base, "")),
        ]);
        yield return Foundation("selection", "::selection", [Ground("background-color", $"var({RoleName(site, "selection")})")]);
        yield return Foundation("img", "img", [Ground("max-inline-size", "100%"), Ground("block-size", "auto")]);

        static Rule Root(string key, IEnumerable<Declaration> declarations) => Foundation(key, ":root", [.. declarations]);
        static Rule Foundation(string key, string selector, ImmutableArray<Declaration> declarations) =>
            new(key, Layer.Foundations, selector, false, Interval.All, declarations);
        static Declaration Ground(string name, string value) => new(name, value, new(OriginKind.Base, ""));
    }

    private static IEnumerable<Declaration> ColorTokens(BaseColor color)
    {
        var row = SchemeColors.Row(color);
        var origin = new Origin(OriginKind.Color, color.Id);
        // The base goes out as the designer gave it; what is outside sRGB is left to the browser's own screen.
        yield return new(ValueCss.ColorName(color, 0), color.Css, origin);
        for (var step = 1; step <= row.Tints.Length; step++)
            yield return new(ValueCss.ColorName(color, step), ColorText.Hex(row.At(step)), origin with { Detail = Invariant(step) });
        for (var step = 1; step <= row.Shades.Length; step++)
            yield return new(ValueCss.ColorName(color, -step), ColorText.Hex(row.At(-step)), origin with { Detail = Invariant(-step) });
    }

    /// <param name="carried">The scheme that is carried.</param>
    /// <param name="scheme">The one whose colours count: itself, or the one it turns into when the visitor prefers dark.</param>
    private static Rule SchemeRule(Site site, Scheme carried, Scheme scheme, ILookup<string, int> steps)
    {
        var declarations = ImmutableArray.CreateBuilder<Declaration>();
        var ground = SchemeColors.Resolve(site.Palette, scheme, "ground").Color;
        declarations.Add(new("color-scheme", Contrast.Luminance(ground) < 0.18 ? "dark" : "light", new(OriginKind.Role, scheme.Id, "ground")));
        foreach (var role in site.Palette.Roles)
        {
            foreach (var step in steps[role.Id].Prepend(0))
            {
                var color = SchemeColors.Resolve(site.Palette, scheme, role.Id, step);
                var value = color.Source is { } source ? $"var({ValueCss.ColorName(source, color.Step)})" : ColorText.Hex(color.Color);
                declarations.Add(new(ValueCss.RoleName(role, step), value, new(OriginKind.Role, scheme.Id, role.Id)));
            }
        }
        var turned = carried.Id != scheme.Id;
        return new(turned ? $"scheme {carried.Id} dark" : $"scheme {carried.Id}", Layer.Foundations, $"[data-scheme=\"{carried.CssName}\"]", false, Interval.All, declarations.ToImmutable(), turned);
    }

    /// <summary>The steps of roles that anything uses, read off what is written; the others are not worth their bytes.</summary>
    private static ILookup<string, int> RoleSteps(Site site, IEnumerable<Rule> rules)
    {
        var values = rules.SelectMany(r => r.Declarations).Select(d => d.Value)
            .Concat(site.Edges.Borders.Select(b => ValueCss.Write(site, b.Color)))
            .Concat(site.Edges.Shadows.Select(s => ValueCss.Write(site, s.Color)))
            .Concat(site.Fills.Gradients.SelectMany(g => g.Stops).Select(s => ValueCss.Write(site, s.Color)))
            .Append(site.Overrides.Site);
        var named = values.SelectMany(v => RoleStep().Matches(v)).Select(m => m.Value).ToHashSet(StringComparer.Ordinal);
        return (from role in site.Palette.Roles
                from step in Enumerable.Range(-Steps.ShadeCount, Steps.ShadeCount + Steps.TintCount + 1)
                where step != 0 && named.Contains(ValueCss.RoleName(role, step))
                select (role.Id, step)).ToLookup(r => r.Id, r => r.step, StringComparer.Ordinal);
    }

    private static string ShadowCss(Site site, Shadow s)
    {
        var percent = ValueCss.Number(new(s.Alpha * 100, "%"));
        var lengths = string.Join(' ', new[] { s.X, s.Y, s.Blur, s.Spread }.Select(n => ValueCss.Number(new(n, "px"))));
        return $"{lengths} color-mix(in srgb, {ValueCss.Write(site, s.Color)} {percent}, transparent)";
    }

    private static string GradientCss(Site site, Gradient g) =>
        $"linear-gradient({ValueCss.Number(new(g.Angle, "deg"))}, {string.Join(", ", g.Stops.Select(s => $"{ValueCss.Write(site, s.Color)} {ValueCss.Number(new(s.Position, "%"))}"))})";

    private static IEnumerable<Rule> Structure(Part part) => part.Structure.Select((s, i) => new Rule(
        $"structure {part.Id} {i}", part.Layer, s.Selector, false, Interval.All,
        [.. s.Declarations.Select(d => new Declaration(d.Name, d.Value, new(OriginKind.Structure, part.Id)))]));

    private static ImmutableArray<Rule> RulesOf(Site site, Part part, Look look)
    {
        var selector = LookSelector(site, part, look);
        if (Kept.TryGetValue(look, out var kept) && kept.IsFor(site, selector)) return kept.Rules;
        var rules = CellRules(site, part, look.Cells, $"look {look.Id}", part.Layer, selector, cell => new(OriginKind.Look, look.Id, cell)).ToImmutableArray();
        Kept.AddOrUpdate(look, new(site.Palette.Colors, site.Palette.Roles, site.Typography, site.Edges, site.Fills, selector, rules));
        return rules;
    }

    private static IEnumerable<Rule> OwnRules(Site site, Block block)
    {
        var part = PartCatalogue.Get(block.Part);
        var look = site.Looks.Get(block.Look).Cells;
        // A state's value may be relative to a Rest that only the look sets.
        var cells = look.Where(c => CellKey.Parse(c.Key).State == State.Rest).ToImmutableSortedDictionary(StringComparer.Ordinal).SetItems(block.Own);
        return CellRules(site, part, cells, $"block {block.Id}", Layer.Blocks, $".own-{block.Id}{part.Inner}", cell => new(OriginKind.Block, block.Id, cell), block.Own.ContainsKey);
    }

    /// <summary>
    /// Cells to rules: state by state in the order of <see cref="State"/>, within a state the value for all widths before those for some.
    /// All have the same specificity but for the state's own, so that a state's value beats Rest's value at a break.
    /// </summary>
    private static IEnumerable<Rule> CellRules(
        Site site, Part part, ImmutableSortedDictionary<string, Value> cells, string key, Layer layer, string selector, Func<string, Origin> origin, Func<string, bool>? wanted = null)
    {
        var set = cells.Select(c => (Key: CellKey.Parse(c.Key), c.Value, Text: c.Key)).ToList();
        // A value relative to Rest has to be said again wherever Rest has a value of its own.
        var echoes =
            from cell in set
            where cell.Key is { State: not State.Rest } && cell.Key.Widths == Interval.All && DependsOnRest(cell.Value)
            from at in set
            where at.Key.Property == cell.Key.Property && at.Key.State == State.Rest && at.Key.Widths != Interval.All
            where !cells.ContainsKey((cell.Key with { Widths = at.Key.Widths }).ToString())
            select (Key: cell.Key with { Widths = at.Key.Widths }, cell.Value, cell.Text);
        var rules =
            from cell in set.Concat(echoes)
            where wanted is null || wanted(cell.Text)
            let property = part.Property(cell.Key.Property)
            where property is not null && part.States.Contains(cell.Key.State)
            group (cell, property) by (cell.Key.State, cell.Key.Widths, property.Target) into rule
            orderby rule.Key.State, rule.Key.Widths == Interval.All ? 0 : 1, rule.Key.Widths.From ?? 0, rule.Min(r => part.Properties.IndexOf(r.property))
            select new Rule(
                RuleKey(key, rule.Key.State, rule.Key.Widths, rule.Key.Target),
                layer,
                selector + StateSelector(part, rule.Key.State) + rule.Key.Target,
                rule.Key.State == State.Hover,
                rule.Key.Widths,
                [
                    .. rule.OrderBy(r => part.Properties.IndexOf(r.property)).SelectMany(r =>
                        Declarations(site, r.property, r.cell.Value, RestOf(cells, r.cell.Key), origin(r.cell.Text))),
                ])
            {
                State = rule.Key.State,
                Elements = selector + rule.Key.Target,
            };
        return rules.Where(r => r.Declarations.Length > 0);
    }

    private static string RuleKey(string key, State state, Interval widths, string target)
    {
        var text = $"{key} {state.ToString().ToLowerInvariant()}{target}";
        return widths == Interval.All ? text : $"{text} {widths.From}-{widths.Below}";
    }

    private static bool DependsOnRest(Value value) => value switch
    {
        RestValue => true,
        OperationValue operation => DependsOnRest(operation.Left) || DependsOnRest(operation.Right),
        SidesValue sides => new[] { sides.Top, sides.Right, sides.Bottom, sides.Left }.Any(DependsOnRest),
        _ => false,
    };

    /// <summary>The value at Rest that a cell refers to: at its own widths if there is one, else at all.</summary>
    private static Value? RestOf(ImmutableSortedDictionary<string, Value> cells, CellKey key) =>
        cells.GetValueOrDefault((key with { State = State.Rest }).ToString())
        ?? cells.GetValueOrDefault(new CellKey(key.Property, State.Rest, Interval.All).ToString());

    private static string StateSelector(Part part, State state) =>
        part.StateOf.Length == 0 || state == State.Rest ? StateSelector(state) : $":has({part.StateOf}{StateSelector(state)})";

    private static string StateSelector(State state) => state switch
    {
        State.Current => "[aria-current]",
        State.Hover => ":hover",
        State.Focus => ":focus-visible",
        State.Pressed => ":active",
        State.Off => ":is(:disabled, [aria-disabled=\"true\"])",
        _ => "",
    };

    private static IEnumerable<Declaration> Declarations(Site site, PartProperty property, Value value, Value? rest, Origin origin)
    {
        if (value is ReferenceValue { To: ReferenceKind.TextStyle } style) return StyleDeclarations(site, site.Typography.Styles.Get(style.Id), origin);
        var css = value is WordValue word && property.Words.TryGetValue(word.Word, out var own) ? own : ValueCss.Write(site, value, rest);
        return [new(property.Css, property.Form.Length == 0 ? css : property.Form.Replace("$", css, StringComparison.Ordinal), origin)];
    }

    /// <summary>A text style as declarations.</summary>
    internal static IEnumerable<Declaration> StyleDeclarations(Site site, TextStyle style, Origin origin)
    {
        yield return new("font-family", $"var(--family-{site.Typography.Families.Get(style.Family).CssName})", origin);
        yield return new("font-size", ValueCss.Write(site, style.Size), origin);
        yield return new("font-weight", Invariant(style.Weight), origin);
        yield return new("font-style", style.Italic ? "italic" : "normal", origin);
        yield return new("line-height", ValueCss.Write(site, style.LineHeight), origin);
        yield return new("letter-spacing", ValueCss.Write(site, style.LetterSpacing), origin);
        yield return new("text-transform", style.Case, origin);
    }

    private static string RoleName(Site site, string id) => ValueCss.RoleName(site.Palette.Roles.Get(id), 0);

    private static string Invariant(int number) => number.ToString(CultureInfo.InvariantCulture);

    /// <summary>The rules of a look, and what they were made from.</summary>
    private sealed record LookRules(
        ImmutableArray<BaseColor> Colors, ImmutableArray<Role> Roles, Design.Typography Typography, Edges Edges, Fills Fills, string Selector, ImmutableArray<Rule> Rules)
    {
        // A look reads names of colours and roles, never what they come to: a colour being dragged keeps its looks.
        public bool IsFor(Site site, string selector) =>
            Selector == selector && Typography == site.Typography && ReferenceEquals(Edges, site.Edges) && ReferenceEquals(Fills, site.Fills) && Roles == site.Palette.Roles
            && (Colors == site.Palette.Colors || Colors.Select(c => (c.Id, c.CssName)).SequenceEqual(site.Palette.Colors.Select(c => (c.Id, c.CssName))));
    }
}
