using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>What spaces come to, as the windows show them.</summary>
/// <param name="ByRatio">Whether the sizes follow from a base and a ratio.</param>
/// <param name="Steps">In their order.</param>
/// <param name="Measures">Content width, gutter, rhythm and gap, and whether looks use them.</param>
public sealed record SpaceView(bool ByRatio, IReadOnlyList<SpaceStepView> Steps, IReadOnlyList<PageMeasureView> Measures)
{
    public static SpaceView Of(Site site) => new(
        SpaceScales.IsByRatio(site), [.. site.Space.Steps.Select((step, i) => SpaceStepView.Of(site, step, i + 1))],
        [.. site.Space.Pages.Length == 0 ? [] : Kinds.Find(PageMeasureKind.Kind)!.Names(site).Select(name => PageMeasureView.Of(site, name))]);
}

/// <param name="Place">From 1; it is called by it.</param>
/// <param name="Css">What it becomes.</param>
/// <param name="Sizes">At each width of the stage; none where they depend on what is around.</param>
public sealed record SpaceStepView(string Id, int Place, string Name, string Variable, string Css, IReadOnlyList<SizeView> Sizes)
{
    public static SpaceStepView Of(Site site, SpaceStep step, int place) => new(
        step.Id, place, $"space {place}", $"--space-{place}", SpaceScales.Css(new(site), step),
        [.. ScaleStepView.Widths.Select(w => (w, Px: SpaceScales.At(site, step, w))).Where(s => s.Px is not null).Select(s => SizeView.Of(s.w, s.Px!.Value))]);
}

/// <param name="Name">As it is typed in looks.</param>
/// <param name="Uses">Where it is used, in words.</param>
public sealed record PageMeasureView(string Id, string Name, IReadOnlyList<string> Uses)
{
    public static PageMeasureView Of(Site site, string name)
    {
        var reference = Kinds.Find(PageMeasureKind.Kind)!.Read(site, name)!;
        return new(reference.Id, name, [.. Core.Foundations.Uses.Of(site, PageMeasureKind.Kind, reference.Id).Select(u => u.Words)]);
    }
}
