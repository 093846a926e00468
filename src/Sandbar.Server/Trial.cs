using System.ComponentModel.DataAnnotations;
using System.Diagnostics;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Rendering;

namespace Sandbar.Server;

/// <summary>An edit shown on the stage and not yet made.</summary>
/// <param name="Pages">Ids of the pages on stage: only of these is the changed HTML written.</param>
public sealed record TrialRequest(long Version, Edit Edit, [property: MaxLength(400)] IReadOnlyList<string> Pages);

/// <param name="Sheet">How the sheet differs, where rules come or go; else null and <paramref name="Rules"/> say what changed.</param>
/// <param name="Overrides">The overrides, where they changed.</param>
/// <param name="Problems">What does not parse in the overrides, where they changed.</param>
/// <param name="Colors">The colours that changed.</param>
/// <param name="Gradients">The gradients that are another.</param>
/// <param name="Backgrounds">The backgrounds that are another, or made of a fill or picture that is.</param>
/// <param name="Pictures">The pictures that are another.</param>
/// <param name="Blocks">The blocks whose HTML changed, on the pages that were asked for.</param>
/// <param name="Orders">The sections of these pages where they came, went or moved.</param>
public sealed record TrialAnswer(
    long Version,
    IReadOnlyList<RuleChangeView> Rules,
    SheetChange? Sheet,
    string? Overrides,
    IReadOnlyList<CssProblemView>? Problems,
    IReadOnlyList<ColorView> Colors,
    IReadOnlyList<GradientView> Gradients,
    IReadOnlyList<BackgroundView> Backgrounds,
    IReadOnlyList<PictureView> Pictures,
    IReadOnlyList<BlockChange> Blocks,
    IReadOnlyList<SectionOrder> Orders);

public sealed record RuleChangeView(string Key, IReadOnlyList<DeclarationView> Set, IReadOnlyList<string> Unset);

public sealed record DeclarationView(string Name, string Value);

/// <summary>What came of a trial.</summary>
/// <param name="Answer">What it leads to; null where it cannot be tried.</param>
/// <param name="Problems">Why the edit cannot be made.</param>
/// <param name="IsOutdated">Whether the site has changed since the version it was tried on.</param>
/// <param name="CoreTime">What the core took, ms: the benchmark tells the server's share of the loop by it.</param>
public sealed record TrialResult(TrialAnswer? Answer, IReadOnlyList<Problem> Problems, bool IsOutdated, double CoreTime);

/// <summary>Trying edits: everything is computed, nothing is stored.</summary>
internal static class Trial
{
    public static TrialResult Of(Head head, TrialRequest request)
    {
        var started = Stopwatch.GetTimestamp();
        var (site, version) = (head.Stored.Site, head.Stored.Version);
        if (request.Version != version) return new(null, [], IsOutdated: true, 0);
        var outcome = request.Edit.Apply(site);
        if (outcome.Site is not { } tried) return new(null, outcome.Problems, IsOutdated: false, 0);
        var sheet = StyleSheetRenderer.Render(tried);
        var changes = StyleSheetChanges.Between(head.Sheet, sheet);
        var css = tried.Overrides.Site;
        var overridesChanged = css != site.Overrides.Site;
        var answer = new TrialAnswer(
            version,
            [.. (changes ?? []).Where(c => !PrintedMeshes.Has(c.Key)).Select(c => new RuleChangeView(c.Key, [.. c.Set.Select(d => new DeclarationView(d.Name, d.Value))], c.Unset))],
            changes is null ? SheetChange.Between(head.Sheet, sheet) : null,
            overridesChanged ? OverrideText.Of(css).Readable(SheetUse.Stage) : null,
            overridesChanged ? OverridesView.Of(css).Problems : null,
            [.. tried.Palette.Colors.Where(c => IsAnother(site.Palette, tried.Palette, c)).Select(c => ColorView.Of(tried, c))],
            [.. tried.Fills.Gradients.Where(g => !ReferenceEquals(site.Fills.Gradients.Find(g.Id), g)).Select(g => GradientView.Of(tried, g))],
            [.. tried.Fills.Backgrounds.Where(b => IsAnother(site, tried, b)).Select(b => BackgroundView.Of(tried, b))],
            site.Shelf == tried.Shelf ? [] : [.. tried.Shelf.Where(i => i.IsPicture && !ReferenceEquals(site.Shelf.Find(i.Id), i)).Select(i => PictureView.Of(tried, i))],
            [.. PageChanges.Between(site, tried, request.Pages.Distinct(), StageEndpoints.Around(tried))],
            [.. PageChanges.Orders(site, tried, request.Pages.Distinct())]);
        return new(answer, [], IsOutdated: false, Stopwatch.GetElapsedTime(started).TotalMilliseconds);
    }

    /// <summary>Whether a background changed, or a gradient, picture or clip it is made of.</summary>
    private static bool IsAnother(Site before, Site after, Background background) =>
        !ReferenceEquals(before.Fills.Backgrounds.Find(background.Id), background)
        || (!(ReferenceEquals(before.Fills, after.Fills) && before.Shelf == after.Shelf) && background.Layers.Select(l => l.Fill).OfType<ReferenceValue>()
            .Any(r => !ReferenceEquals(before.Fills.Gradients.Find(r.Id), after.Fills.Gradients.Find(r.Id)) || !ReferenceEquals(before.Shelf.Find(r.Id), after.Shelf.Find(r.Id))));

    /// <summary>Whether a colour changed, or what it is computed from.</summary>
    private static bool IsAnother(PaletteFoundation before, PaletteFoundation after, BaseColor color) =>
        !before.Colors.Contains(color) || (color.Color is not FixedColorValue && before.Meant(color) != after.Meant(color));
}
