using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Values;

namespace Sandbar.Core.Editing;

/// <summary>Gives a shadow the layers of a height: one figure for a stack of them. Its colour and how dark it is stay.</summary>
/// <param name="Height">As typed, px.</param>
public sealed record RaiseShadow(string Id, string Height) : Edit
{
    private static readonly Setting Setting = new() { Id = "height", Name = "Height", Kind = new NumberValues("px"), Min = 0, Max = Elevation.Highest };

    protected override Outcome Change(Site site)
    {
        if (site.Edges.Shadows.Find(Id) is not { } shadow) return ThingPlace.Gone;
        try
        {
            var height = Setting.Read(site, Height) is NumberValue number ? number.Number : throw new FormatException("Height is a number of px.");
            var raised = shadow with { Layers = Elevation.Layers(height, shadow.Layers[^1].Color, Elevation.Opacity(shadow)) };
            return site with { Edges = site.Edges with { Shadows = site.Edges.Shadows.Put(raised) } };
        }
        catch (FormatException wrong)
        {
            return new Problem("/height", wrong.Message);
        }
    }

    public override string Describe(Site site) => $"{site.Edges.Shadows.Find(Id)?.Name ?? "Shadow"} · height → {Height.Trim()}";
}
