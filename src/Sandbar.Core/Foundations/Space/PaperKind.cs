using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>The page's own surface over its ground, and the column beside its content.</summary>
public sealed class PaperKind : FixedKind<Paper>
{
    public const string Kind = "paper";

    private const string Sheet = "Paper", Column = "Sidebar";

    private static readonly ImmutableArray<Word> None = [new("none", "none")];

    public override string Code => Kind;

    public override string Name => "paper";

    public override FoundationStep Step => FoundationStep.Space;

    public override string Path => "/space/paper";

    protected override IReadOnlyList<string> Ids { get; } = [Paper.Usual.Id];

    public override ImmutableArray<Paper> List(Site site) => site.Space.Paper;

    /// <summary>Whether the page is narrower than the window.</summary>
    public static bool IsSheet(Paper paper) => paper.Width.Code() != Paper.Full;

    /// <summary>Whether a column stands beside the content.</summary>
    public static bool HasSidebar(Paper paper) => paper.Sidebar.Code() is Paper.Left or Paper.Right;

    public override string Note(Site site, IListed thing, Field field)
    {
        var paper = (Paper)thing;
        if (field.Setting.Group == Sheet && field.Id is not ("width" or "around") && !IsSheet(paper)) return "shows once the paper has a width";
        return field.Setting.Group == Column && field.Id != "sidebar" && !HasSidebar(paper) ? "shows once there is a sidebar" : "";
    }

    protected override Site With(Site site, ImmutableArray<Paper> things) => site with { Space = site.Space with { Paper = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "width", Name = "Width", Group = Sheet, Kind = LengthValues.Spaces, Words = [new(Paper.Full, "full bleed", "none")], Min = 1 }, p => p.Width, (p, value) => p with { Width = value }),
        Of(new() { Id = "fill", Name = "Fill", Group = Sheet, Kind = ColorValues.Grounds, Words = None }, p => p.Fill, (p, value) => p with { Fill = value }),
        Of(new() { Id = "around", Name = "Ground around it", Group = Sheet, Kind = ColorValues.Grounds }, p => p.Around, (p, value) => p with { Around = value }),
        Of(new() { Id = "border", Name = "Border", Group = Sheet, Kind = new LineValues(sides: true), Words = None }, p => p.Border, (p, value) => p with { Border = value }),
        Of(new() { Id = "radius", Name = "Radius", Group = Sheet, Kind = new RadiusValues(), Words = [new("none", "0")], Min = 0 }, p => p.Radius, (p, value) => p with { Radius = value }),
        Of(new() { Id = "shadow", Name = "Shadow", Group = Sheet, Kind = new ShadowValues(), Words = None }, p => p.Shadow, (p, value) => p with { Shadow = value }),
        Of(new() { Id = "margin", Name = "Room above and below", Group = Sheet, Kind = LengthValues.Spaces, Min = 0 }, p => p.Margin, (p, value) => p with { Margin = value }),
        Of(new() { Id = "sidebar", Name = "Sidebar", Group = Column, Kind = new WordValues(), Words = [new("none", ""), new(Paper.Left, ""), new(Paper.Right, "")] }, p => p.Sidebar, (p, value) => p with { Sidebar = value }),
        Of(new() { Id = "sidebar-width", Name = "Sidebar width", Group = Column, Kind = LengthValues.Spaces, Min = 0 }, p => p.SidebarWidth, (p, value) => p with { SidebarWidth = value }),
        Of(new() { Id = "sidebar-gap", Name = "Sidebar gap", Group = Column, Kind = LengthValues.Spaces, Min = 0 }, p => p.SidebarGap, (p, value) => p with { SidebarGap = value }),
        Of(new() { Id = "folds-below", Name = "Folds under below", Group = Column, Kind = new NumberValues("px"), Min = 300, Max = 2000, IsWhole = true }, p => p.FoldsBelow, (p, value) => p with { FoldsBelow = value }),
    ];

    protected override string NameOf(Site site, Paper thing) => "Paper";
}
