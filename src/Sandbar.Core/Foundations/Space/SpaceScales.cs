using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Space;

/// <summary>What spaces come to.</summary>
public static class SpaceScales
{
    /// <summary>Whether sizes follow from a base and a ratio.</summary>
    public static bool IsByRatio(Site site) => site.Space.Scale[0].By.Code() == SpaceScale.ByRatio;

    /// <summary>The site with every space as base and ratio make it; the same where they are given one by one. What they come to is stored, so that a list can go on from it.</summary>
    public static Site Settled(Site site)
    {
        if (!IsByRatio(site)) return site;
        var (space, place) = (site.Space, (int)site.Space.Scale[0].Place.Amount());
        var steps = space.Steps.Select((step, i) =>
        {
            var (narrow, wide) = (At(space.Ends[0], i + 1 - place), At(space.Ends[1], i + 1 - place));
            var settled = step with { Size = new NumberValue(narrow, "px"), Wide = wide == narrow ? SpaceStep.Same : new NumberValue(wide, "px") };
            return settled == step ? step : settled;
        });
        return site with { Space = space with { Steps = [.. steps] } };
    }

    /// <summary>The same after spaces came or went: the base stays one of them.</summary>
    public static Site WithBase(Site site) => Settled(site.Space.Scale[0].Place.Amount() <= site.Space.Steps.Length
        ? site
        : site with { Space = site.Space with { Scale = [site.Space.Scale[0] with { Place = new NumberValue(site.Space.Steps.Length, "") }] } });

    /// <summary>A space in px at a width of the window; null where that depends on where it is used.</summary>
    public static double? At(Site site, SpaceStep step, double width) => step.Size switch
    {
        NumberValue { Unit: "px" or "rem" } size => IsFluid(step) ? Fluid.At(width, Width(site, 0), Px(size), Width(site, 1), Px((NumberValue)step.Wide)) : Px(size),
        NumberValue { Unit: "vw" } share => (double)share.Number * width / 100,
        _ => null,
    };

    /// <summary>Whether a space grows with the window.</summary>
    public static bool IsFluid(SpaceStep step) => step.Wide is NumberValue;

    /// <summary>A space as CSS: rem, fluid between the two ends where it is given for both.</summary>
    public static string Css(SiteReads reads, SpaceStep step) => step switch
    {
        { Size: NumberValue { Unit: "px" or "rem" } narrow, Wide: NumberValue wide } => Fluid.Css(Width(reads.Site, 0), Px(narrow), Width(reads.Site, 1), Px(wide)),
        { Size: NumberValue { Unit: "px" } size } => NumberForm.Css(size.Number / (decimal)Fluid.Root, "rem"),
        _ => ValueForms.Css(reads, step.Size),
    };

    private static double Px(NumberValue number) => (double)number.Number * (number.Unit == "rem" ? Fluid.Root : 1);

    private static double Width(Site site, int end) => (double)site.Space.Ends[end].Width.Amount();

    /// <summary>To four decimals, as it is released.</summary>
    private static decimal At(ScaleEnd end, int steps) => (decimal)Math.Clamp(Math.Round(Scale.At((double)end.Base.Amount(), (double)end.Ratio.Amount(), steps), 4), 0.0001, 10_000);
}
