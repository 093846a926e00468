using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Colors;
using Sandbar.Core.Css;
using Sandbar.Core.Editing;

namespace Sandbar.Core.Design;

/// <summary>What must hold of a site that comes from elsewhere: every reference leads somewhere, and nothing can break out of the bytes it is written into.</summary>
public static partial class SiteCheck
{
    private const int MostBlocks = 20_000, Deepest = 24;

    /// <summary>What the sheet itself reads.</summary>
    private static readonly string[] NeededRoles = ["ground", "text", "selection"];

    private static readonly Dictionary<string, string> MediaTypes = new(StringComparer.Ordinal)
    {
        [".woff2"] = "font/woff2", [".svg"] = "image/svg+xml", [".png"] = "image/png", [".jpg"] = "image/jpeg", [".webp"] = "image/webp",
    };

    private static readonly string[] BorderStyles = ["none", "solid", "dashed", "dotted", "double"];
    private static readonly string[] Cases = ["none", "uppercase", "lowercase", "capitalize"];
    private static readonly string[] Units = ["", "px", "rem", "em", "%", "vw", "vh", "ch"];

    /// <summary>What is wrong, each with its place in the document; empty when nothing is.</summary>
    public static IEnumerable<Problem> Problems(Site site)
    {
        try
        {
            return [.. new Checker(site).All().Take(20)];
        }
        catch (Exception broken) when (broken is NullReferenceException or InvalidOperationException)
        {
            // A list that is missing reads as one that was never made.
            return [new("/", "A list or value that every site has is missing.")];
        }
    }

    [GeneratedRegex("^[a-z][a-z0-9-]{0,80}$")]
    private static partial Regex Slug();

    [GeneratedRegex(@"^(fonts|pictures)/[A-Za-z0-9][A-Za-z0-9-]*\.(woff2|svg|png|jpg|webp)$")]
    private static partial Regex ShelfPath();

    [GeneratedRegex("^[0-9a-f]{64}$")]
    private static partial Regex Hash();

    private sealed class Checker(Site site)
    {
        private int blocks;

        public IEnumerable<Problem> All() => Palette().Concat(Type()).Concat(Edges()).Concat(Looks()).Concat(Pages()).Concat(Shelf());

        private IEnumerable<Problem> Palette()
        {
            if (!Slug().IsMatch(site.Slug)) yield return new("/slug", "The address of a site is lower-case letters, digits and hyphens.");
            foreach (var problem in Listed("/palette/colors", site.Palette.Colors, c => (c.Name, c.CssName))) yield return problem;
            foreach (var color in site.Palette.Colors.Where(c => !ColorText.TryParse(c.Css, out _))) yield return new($"/palette/colors/{color.Id}/css", ColorText.Unreadable(color.Css));
            foreach (var problem in Listed("/palette/roles", site.Palette.Roles, r => (r.Name, r.CssName))) yield return problem;
            foreach (var role in NeededRoles.Where(r => site.Palette.Roles.Find(r) is null)) yield return new("/palette/roles", $"The role {role} is missing.");
            foreach (var role in site.Palette.Roles.Where(r => r.On.Any(o => site.Palette.Roles.Find(o) is null))) yield return new($"/palette/roles/{role.Id}/on", $"{role.Name} must be readable on a role that is not there.");
            foreach (var problem in Listed("/palette/schemes", site.Palette.Schemes, s => (s.Name, s.CssName))) yield return problem;
            if (site.Palette.Schemes.IsEmpty) yield return new("/palette/schemes", "A site has at least one scheme.");
            foreach (var scheme in site.Palette.Schemes)
            {
                var path = $"/palette/schemes/{scheme.Id}";
                if (scheme.TurnsInto is { } into && site.Palette.Schemes.Find(into) is null) yield return new($"{path}/turnsInto", $"{scheme.Name} turns into a scheme that is not there.");
                foreach (var role in site.Palette.Roles)
                {
                    if (!scheme.Colors.TryGetValue(role.Id, out var choice)) yield return new($"{path}/colors", $"{scheme.Name} has no colour for {role.Name}.");
                    else if (choice.ReadableOn is { } on ? site.Palette.Roles.Find(on) is null || Circles(scheme, role.Id) : choice.Color is null || site.Palette.Colors.Find(choice.Color) is null)
                        yield return new($"{path}/colors/{role.Id}", $"The colour of {role.Name} in {scheme.Name} leads nowhere.");
                    else if (choice.Step is > Steps.TintCount or < -Steps.ShadeCount) yield return new($"{path}/colors/{role.Id}/step", $"There are {Steps.TintCount} tints and {Steps.ShadeCount} shades.");
                }
            }
        }

        private static bool Circles(Scheme scheme, string role)
        {
            var at = role;
            for (var steps = 0; steps <= scheme.Colors.Count; steps++)
            {
                if (!scheme.Colors.TryGetValue(at, out var choice) || choice.ReadableOn is not { } next) return false;
                at = next;
            }
            return true;
        }

        private IEnumerable<Problem> Type()
        {
            var type = site.Typography;
            foreach (var problem in Listed("/typography/families", type.Families, f => (f.Name, f.CssName))) yield return problem;
            foreach (var family in type.Families)
            {
                if (!IsPlainValue(family.Stack)) yield return new($"/typography/families/{family.Id}/stack", $"The family list of {family.Name} is not one that CSS takes.");
                if (family.Files.Any(f => site.Shelf.Find(f.Item) is null)) yield return new($"/typography/families/{family.Id}/files", $"A font file of {family.Name} is not on the shelf.");
            }
            if (type.Scale.From.Width <= 0 || type.Scale.To.Width <= 0 || type.Scale.From.Width == type.Scale.To.Width || type.Scale.From.Base <= 0 || type.Scale.To.Base <= 0
                || type.Scale.From.Ratio is <= 0 or > 4 || type.Scale.To.Ratio is <= 0 or > 4 || type.Scale.Highest is < 0 or > 20 || type.Scale.Lowest is > 0 or < -20)
                yield return new("/typography/scale", "The type scale needs two different widths, and bases and ratios above 0.");
            foreach (var problem in Listed("/typography/styles", type.Styles, s => (s.Name, s.CssName))) yield return problem;
            if (type.Styles.IsEmpty) yield return new("/typography/styles", "A site has at least one text style.");
            foreach (var style in type.Styles)
            {
                var path = $"/typography/styles/{style.Id}";
                if (type.Families.Find(style.Family) is null) yield return new($"{path}/family", $"The family of {style.Name} is not there.");
                if (style.Weight is < 1 or > 1000) yield return new($"{path}/weight", "A weight lies between 1 and 1000.");
                if (!Cases.Contains(style.Case)) yield return new($"{path}/case", $"“{style.Case}” is no case of CSS.");
                foreach (var problem in new[] { style.Size, style.LineHeight, style.LetterSpacing }.SelectMany(v => Values(path, v, hasRest: false))) yield return problem;
            }
            if (site.Spacing.Steps.IsEmpty || site.Spacing.Steps.Any(s => s is < 0 or > 10_000)) yield return new("/spacing/steps", "Spaces are lengths of 0 px or more.");
        }

        private IEnumerable<Problem> Edges()
        {
            foreach (var problem in Listed("/edges/borders", site.Edges.Borders, b => (b.Name, b.CssName)).Concat(Listed("/edges/radii", site.Edges.Radii, r => (r.Name, r.CssName)))
                .Concat(Listed("/edges/shadows", site.Edges.Shadows, s => (s.Name, s.CssName))).Concat(Listed("/fills/gradients", site.Fills.Gradients, g => (g.Name, g.CssName)))) yield return problem;
            foreach (var border in site.Edges.Borders.Where(b => !BorderStyles.Contains(b.Style))) yield return new($"/edges/borders/{border.Id}/style", $"“{border.Style}” is no border style.");
            foreach (var gradient in site.Fills.Gradients.Where(g => g.Stops.Length < 2)) yield return new($"/fills/gradients/{gradient.Id}/stops", "A gradient has at least two stops.");
            var values = site.Edges.Borders.SelectMany(b => new[] { (b.Id, b.Width), (b.Id, b.Color) }).Concat(site.Edges.Radii.Select(r => (r.Id, r.Size)))
                .Concat(site.Edges.Shadows.Select(s => (s.Id, s.Color))).Concat(site.Fills.Gradients.SelectMany(g => g.Stops.Select(s => (g.Id, s.Color))));
            foreach (var problem in values.SelectMany(v => Values($"/edges/{v.Item1}", v.Item2, hasRest: false))) yield return problem;
        }

        private IEnumerable<Problem> Looks()
        {
            foreach (var problem in Ids("/looks", site.Looks)) yield return problem;
            foreach (var look in site.Looks)
            {
                if (!Slug().IsMatch(look.CssName)) yield return new($"/looks/{look.Id}/cssName", "A CSS name is lower-case letters, digits and hyphens.");
                if (PartCatalogue.Find(look.Part) is not { } part) yield return new($"/looks/{look.Id}/part", $"There is no part “{look.Part}”.");
                else foreach (var problem in Cells($"/looks/{look.Id}/cells", part, look.Cells, look.Cells)) yield return problem;
            }
        }

        private IEnumerable<Problem> Cells(
            string path, Part part, ImmutableSortedDictionary<string, Value> cells, ImmutableSortedDictionary<string, Value> rests)
        {
            foreach (var (text, value) in cells)
            {
                CellKey key = default;
                var isKey = true;
                try
                {
                    key = CellKey.Parse(text);
                }
                catch (Exception unreadable) when (unreadable is FormatException or OverflowException)
                {
                    isKey = false;
                }
                if (!isKey || part.Property(key.Property) is not { } property) yield return new($"{path}/{text}", $"{part.Name} has no setting “{text}”.");
                else if (value is WordValue word && !property.Words.ContainsKey(word.Word)) yield return new($"{path}/{text}", $"{property.Name} does not take “{word.Word}”.");
                else foreach (var problem in Values($"{path}/{text}", value, hasRest: key.State != State.Rest && rests.ContainsKey(key.Property))) yield return problem;
            }
        }

        private IEnumerable<Problem> Values(string path, Value value, bool hasRest) => value switch
        {
            NumberValue number when !Units.Contains(number.Unit) => [new(path, $"“{number.Unit}” is not a unit here.")],
            FixedColorValue color when !ColorText.TryParse(color.Css, out _) => [new(path, ColorText.Unreadable(color.Css))],
            ReferenceValue reference when !Leads(reference) => [new(path, "This value refers to something that is not there.")],
            RestValue when !hasRest => [new(path, "This value is relative to Rest, and there is nothing at Rest.")],
            OperationValue operation when operation.Operator is not ("+" or "-" or "*" or "/") => [new(path, $"“{operation.Operator}” is no arithmetic.")],
            OperationValue operation => Values(path, operation.Left, hasRest).Concat(Values(path, operation.Right, hasRest)),
            SidesValue sides => new[] { sides.Top, sides.Right, sides.Bottom, sides.Left }.SelectMany(v => Values(path, v, hasRest)),
            _ => [],
        };

        private bool Leads(ReferenceValue r) => r.To switch
        {
            ReferenceKind.Color => site.Palette.Colors.Find(r.Id) is not null && IsStep(r.Step),
            ReferenceKind.Role => site.Palette.Roles.Find(r.Id) is not null && IsStep(r.Step),
            ReferenceKind.Size => r.Step >= site.Typography.Scale.Lowest && r.Step <= site.Typography.Scale.Highest,
            ReferenceKind.Space => r.Step >= 1 && r.Step <= site.Spacing.Steps.Length,
            ReferenceKind.TextStyle => site.Typography.Styles.Find(r.Id) is not null,
            ReferenceKind.Border => site.Edges.Borders.Find(r.Id) is not null,
            ReferenceKind.Radius => site.Edges.Radii.Find(r.Id) is not null,
            ReferenceKind.Shadow => site.Edges.Shadows.Find(r.Id) is not null,
            ReferenceKind.Gradient => site.Fills.Gradients.Find(r.Id) is not null,
            _ => false,
        };

        private IEnumerable<Problem> Pages()
        {
            foreach (var problem in Ids("/pages", site.Pages)) yield return problem;
            if (site.Pages.Select(p => p.Slug).Distinct(StringComparer.OrdinalIgnoreCase).Count() < site.Pages.Length) yield return new("/pages", "Two pages have the same address.");
            foreach (var page in site.Pages)
            {
                if (!Slug().IsMatch(page.Slug)) yield return new($"/pages/{page.Id}/slug", "The address of a page is lower-case letters, digits and hyphens.");
                if (site.Palette.Schemes.Find(page.Scheme) is null) yield return new($"/pages/{page.Id}/scheme", $"The scheme of {page.Name} is not there.");
            }
            var all = site.Pages.SelectMany(p => p.Sections.Select(s => ($"/pages/{p.Id}/sections", s))).Prepend(("/frame", site.Frame.Footer)).Prepend(("/frame", site.Frame.Header));
            foreach (var problem in all.SelectMany(b => Blocks(b.Item1, b.Item2, 0))) yield return problem;
        }

        private IEnumerable<Problem> Blocks(string path, Block block, int depth)
        {
            var here = $"{path}/{block.Id}";
            if (!Names.IsId(block.Id)) yield return new(here, "An id is letters, digits and hyphens.");
            if (++blocks > MostBlocks || depth > Deepest) yield return new(here, $"A site holds at most {MostBlocks} blocks, {Deepest} deep.");
            else if (PartCatalogue.Find(block.Part) is not { } part) yield return new($"{here}/part", $"There is no part “{block.Part}”.");
            else if (site.Looks.Find(block.Look) is not { } look || look.Part != block.Part) yield return new($"{here}/look", $"{block.Name} wears a look that is not there.");
            else
            {
                if (block.Scheme is { } scheme && site.Palette.Schemes.Find(scheme) is null) yield return new($"{here}/scheme", $"The scheme of {block.Name} is not there.");
                foreach (var problem in Cells($"{here}/own", part, block.Own, look.Cells).Concat(block.Blocks.SelectMany(b => Blocks(here, b, depth + 1)))) yield return problem;
            }
        }

        private IEnumerable<Problem> Shelf()
        {
            foreach (var problem in Ids("/shelf", site.Shelf)) yield return problem;
            foreach (var item in site.Shelf.Where(i => !ShelfPath().IsMatch(i.File) || !Hash().IsMatch(i.Hash) || i.MediaType != MediaTypes[Path.GetExtension(i.File)])) yield return new($"/shelf/{item.Id}", $"{item.Name} is not a font or picture of a shelf.");
            if (site.Shelf.Select(i => i.File).Distinct(StringComparer.OrdinalIgnoreCase).Count() < site.Shelf.Length) yield return new("/shelf", "Two files of the shelf have the same name.");
            if (site.Overrides.Site.Length > SetOverrides.Longest) yield return new("/overrides/site", $"The sheet is longer than {SetOverrides.Longest / 1000} kB.");
        }

        private static bool IsStep(int step) => step is <= Steps.TintCount and >= -Steps.ShadeCount;

        private static bool IsPlainValue(string css) => css.Length is > 0 and < 400
            && Tokenizer.Read(css).All(t => t.Kind is TokenKind.Ident or TokenKind.Comma or TokenKind.Whitespace or TokenKind.End || (t.Kind == TokenKind.String && t.End - t.Start > 1 && css[t.End - 1] == css[t.Start]));

        private static IEnumerable<Problem> Listed<T>(string path, IReadOnlyList<T> list, Func<T, (string Name, string CssName)> names)
            where T : IListed
        {
            foreach (var problem in Ids(path, list)) yield return problem;
            foreach (var item in list.Where(i => !Slug().IsMatch(names(i).CssName))) yield return new($"{path}/{item.Id}/cssName", "A CSS name is lower-case letters, digits and hyphens.");
            foreach (var same in list.GroupBy(i => names(i).CssName, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1)) yield return new(path, $"Two are called “{names(same.First()).Name}”.");
        }

        private static IEnumerable<Problem> Ids<T>(string path, IReadOnlyList<T> list)
            where T : IListed =>
            list.Where(i => !Names.IsId(i.Id)).Select(i => new Problem(path, "An id is letters, digits and hyphens."))
                .Concat(list.GroupBy(i => i.Id, StringComparer.Ordinal).Where(g => g.Count() > 1).Select(g => new Problem(path, $"The id {g.Key} is there twice.")));
    }
}
