using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Values;

namespace Sandbar.Core.Editing;

/// <summary>Turns a gradient round: the last colour comes first.</summary>
public sealed record ReverseGradient(string Id) : Edit
{
    protected override Outcome Change(Site site) => GradientChange.Of(site, Id, Turned.Reversed);

    public override string Describe(Site site) => GradientChange.Said(site, Id, "reversed");
}

/// <summary>Turns the course of a gradient about the middle of its box: where it points or starts, its centre, the points of a mesh.</summary>
/// <param name="Degrees">As typed, clockwise.</param>
public sealed record TurnGradient(string Id, string Degrees) : Edit
{
    private static readonly Setting Setting = new() { Id = "degrees", Name = "Turn", Kind = new NumberValues("deg"), Min = -360, Max = 360 };

    protected override Outcome Change(Site site)
    {
        try
        {
            var degrees = Setting.Read(site, Degrees) is NumberValue number ? number.Number : throw new FormatException("Turn is a number of degrees.");
            return GradientChange.Of(site, Id, gradient => Turned.By(gradient, degrees));
        }
        catch (FormatException wrong)
        {
            return new Problem("/degrees", wrong.Message);
        }
    }

    public override string Describe(Site site) => GradientChange.Said(site, Id, $"turned by {Degrees.Trim().TrimEnd('°')}°");
}

/// <summary>Gives every stop of one colour another.</summary>
/// <param name="From">The colour, as it is written.</param>
/// <param name="To">The other, as typed.</param>
public sealed record RecolorGradient(string Id, string From, string To) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Fills.Gradients.Find(Id) is not { } gradient) return ThingPlace.Gone;
        var color = GradientKind.Description.Items.Fields[0];
        var same = gradient.Stops.Where(s => color.Setting.Write(site, s.Color).Equals(From.Trim(), StringComparison.OrdinalIgnoreCase)).Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        if (same.Count == 0) return new Problem("/from", $"No stop of {gradient.Name} has this colour any more.");
        try
        {
            var to = color.Setting.Read(site, To);
            return GradientChange.Of(site, Id, g => g with { Stops = [.. g.Stops.Select(s => same.Contains(s.Id) ? s with { Color = to } : s)] });
        }
        catch (FormatException wrong)
        {
            return new Problem("/to", wrong.Message);
        }
    }

    public override string Describe(Site site) => GradientChange.Said(site, Id, $"{From.Trim()} → {To.Trim()}");
}

file static class GradientChange
{
    public static Outcome Of(Site site, string id, Func<Gradient, Gradient> change) =>
        site.Fills.Gradients.Find(id) is { } gradient ? site with { Fills = site.Fills with { Gradients = site.Fills.Gradients.Put(change(gradient)) } } : ThingPlace.Gone;

    public static string Said(Site site, string id, string what) => $"{site.Fills.Gradients.Find(id)?.Name ?? "Gradient"} · {what}";
}
