using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;

namespace Sandbar.Core.Editing;

/// <summary>Adds a scheme turned from another, light to dark or dark to light. A light one that stays as it is for visitors who prefer dark turns into its dark form from then on.</summary>
/// <param name="Of">Id of the scheme it is turned from.</param>
public sealed record TurnScheme(string Id, string Name, string Of) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Palette.Schemes.Find(Of) is not { } given) return ThingPlace.Gone;
        var outcome = new AddThing(SchemeKind.Kind, Id, Name, Like: Of).Apply(site);
        if (outcome.Site is not { } added) return outcome;
        var isLight = TurnedScheme.IsLight(site.Palette, given);
        var schemes = added.Palette.Schemes.Put(added.Palette.Schemes.Get(Id) with { Colors = TurnedScheme.Of(site, given), TurnsInto = new WordValue(SchemeKind.StaysAsItIs) });
        if (isLight && given.Dark(site) is null) schemes = schemes.Put(given with { TurnsInto = new ReferenceValue(SchemeKind.Kind, Id) });
        return added with { Palette = added.Palette with { Schemes = schemes } };
    }

    public override string Describe(Site site) => $"{Name.Trim()} added, turned from {site.Palette.Schemes.Find(Of)?.Name ?? "a scheme"}";
}
