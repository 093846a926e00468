using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Values;

namespace Sandbar.Core.Rendering;

/// <summary>The rules of the page's own surface, and of the column beside its content.</summary>
internal static class PaperRules
{
    /// <summary>The classes of the surface and of the column.</summary>
    public const string Paper = "paper", Sidebar = "sidebar";

    private static readonly ConditionalWeakTable<Paper, WrittenRules> Kept = [];

    private static readonly PaperKind Kind = (PaperKind)Kinds.Listed(PaperKind.Kind);

    public static WrittenRules Of(Site site)
    {
        var paper = site.Space.Paper[0];
        if (!Kept.TryGetValue(paper, out var kept) || !kept.AreFor(site))
        {
            var reads = new SiteReads(site);
            kept = new(reads, [.. Written(reads, paper)]);
            Kept.AddOrUpdate(paper, kept);
        }
        return kept;
    }

    private static IEnumerable<Rule> Written(SiteReads reads, Paper paper)
    {
        if (paper.Around != Design.Paper.Usual.Around) yield return Rule("around", "body", [.. Set("around", "background"), .. Behind(paper.Around)]);
        foreach (var fill in FillLayers.Among(reads.Site, [paper.Around])) yield return Rule("around fill", $"body > .{FillLayers.ClassOf(fill)}", [new("display", "block")], layer: Layer.Parts);
        if (PaperKind.IsSheet(paper))
        {
            var declared = new List<Declared>(Set("width", "max-inline-size")) { new("margin-inline", "auto") };
            declared.AddRange(Set("margin", "margin-block"));
            foreach (var (field, property) in new[] { ("fill", "background"), ("border", "border"), ("radius", "border-radius"), ("shadow", "box-shadow") })
            {
                if (Value(field) is not WordValue) declared.AddRange(Set(field, property));
            }
            declared.AddRange(Behind(paper.Fill));
            // What lies on the paper does not stick out of its corners.
            if (paper.Radius is not WordValue) declared.Add(new("overflow", "clip"));
            yield return Rule("sheet", $".{Paper}", declared.Where(d => d.Piece.Length == 0));
            foreach (var fill in FillLayers.Among(reads.Site, [paper.Fill])) yield return Rule("sheet fill", $".{Paper} > .{FillLayers.ClassOf(fill)}", [new("display", "block")], layer: Layer.Parts);
            if (declared.Exists(d => d.Piece.Length > 0)) yield return Rule("sheet inside", $".{Paper}{LineValues.Inside}", [.. declared.Where(d => d.Piece.Length > 0), .. Corners()]);
        }
        if (!PaperKind.HasSidebar(paper)) yield break;
        var (column, gap) = (Css("sidebar-width"), Css("sidebar-gap"));
        var beside = new Interval((int)paper.FoldsBelow.Amount(), null);
        var isLeft = paper.Sidebar.Code() == Design.Paper.Left;
        yield return Rule("columns", $".{Paper}", [new("display", "grid"), new("grid-template-columns", "minmax(0, 1fr)"), new("row-gap", gap)]);
        yield return Rule("columns beside", $".{Paper}", [new("grid-template-columns", isLeft ? $"{column} minmax(0, 1fr)" : $"minmax(0, 1fr) {column}"), new("gap", $"0 {gap}")], beside);
        yield return Rule("across", $".{Paper} > *", [new("grid-column", "1 / -1")], beside);
        yield return Rule("content", $".{Paper} > main", [new("grid-area", isLeft ? "2 / 2" : "2 / 1")], beside);
        yield return Rule("sidebar", $".{Paper} > .{Sidebar}", [new("grid-area", isLeft ? "2 / 1" : "2 / 2")], beside);

        // What lies behind stays within; what is behind the box may be blurred.
        IEnumerable<Declared> Behind(Value value)
        {
            if (FillLayers.Among(reads.Site, [value]).Any()) yield return new("position", "relative");
            if (FillLayers.Among(reads.Site, [value]).Any()) yield return new(FillLayers.Holds.Property, FillLayers.Holds.Value);
            if (value is ReferenceValue { To: BackgroundKind.Kind } worn && reads.Thing<Background>(worn).Blur is var blur && blur.Amount() > 0) yield return new("backdrop-filter", $"blur({ValueForms.Css(reads, blur)})");
        }
        Value Value(string field) => Kind.OwnField(field).Get(paper);
        string Css(string field) => Kind.OwnField(field).Setting.Css(reads, Value(field));
        IEnumerable<Declared> Set(string field, string property) => Kind.OwnField(field).Setting is var setting ? setting.Kind.Declare(reads, setting, property, Value(field), rest: null) : [];
        IEnumerable<Declared> Corners() => paper.Radius is WordValue ? [] : [new("border-radius", RadiusValues.Within(reads, paper.Radius, rest: null, [.. Enumerable.Repeat($"var({LineValues.InsetToken}, 0px)", 4)]))];
    }

    private static Rule Rule(string key, string selector, IEnumerable<Declared> declared, Interval widths = default, Layer layer = Layer.Foundations) =>
        new($"paper {key}", layer, selector, false, widths, [.. declared.Select(d => new Declaration(d.Property, d.Css, new(OriginKind.Foundation, Design.Paper.Usual.Id, "", PaperKind.Kind)))]);
}
