using CsCheck;
using Sandbar.Css.Colors;

namespace Sandbar.Css.Tests.Colors;

/// <summary>Tints and shades as the command line's description of <c>color steps</c> fixes them; OKLCH by CSS Color 4.</summary>
public class StepsTests
{
    private static readonly Gen<Color> AnySrgb = Gen.Byte.Array[3].Select(c => Color.FromBytes(c[0], c[1], c[2]));

    [Fact]
    public void Steps_keep_base_and_hue_and_go_evenly() => AnySrgb.Sample(color =>
    {
        var row = Steps.Of(color);
        Assert.Equal(ColorText.Hex(color), ColorText.Hex(row.Base));
        Assert.Equal((6, 5), (row.Tints.Length, row.Shades.Length));
        var origin = color.To(ColorSpace.Oklch);
        Even(row.Tints, origin, Math.Max(0.98, (origin.C1 + 1) / 2));
        Even(row.Shades, origin, Math.Min(0.15, origin.C1 / 2));
    });

    [Fact]
    public void As_many_steps_as_are_asked_for_keep_alpha_and_go_evenly() => Gen.Select(AnySrgb, Gen.Int[0, 12], Gen.Int[0, 12], Gen.Byte).Sample((color, tints, shades, alpha) =>
    {
        var row = Steps.Of(color.WithAlpha(alpha / 255d), tints, shades);
        Assert.Equal((tints, shades), (row.Tints.Length, row.Shades.Length));
        Assert.All([.. row.Tints, .. row.Shades], step => Assert.Equal(alpha / 255d, step.Alpha, 1e-9));
        var origin = color.To(ColorSpace.Oklch);
        Even(row.Tints, origin, Math.Max(0.98, (origin.C1 + 1) / 2));
        Even(row.Shades, origin, Math.Min(0.15, origin.C1 / 2));
        if (tints > 0 && (1 - origin.C1) / tints >= 0.008) Assert.Equal(tints + 1, row.Tints.Select(ColorText.Hex).Append(ColorText.Hex(row.Base)).Distinct().Count());
    });

    [Fact]
    public void Steps_do_not_repeat_where_there_is_room() => AnySrgb.Sample(color =>
    {
        var row = Steps.Of(color);
        var lightness = color.To(ColorSpace.Oklch).C1;
        if ((1 - lightness) / 6 >= 0.008) Assert.Equal(7, row.Tints.Select(ColorText.Hex).Append(ColorText.Hex(color)).Distinct().Count());
        if (lightness >= 0.2) Assert.Equal(6, row.Shades.Select(ColorText.Hex).Append(ColorText.Hex(color)).Distinct().Count());
    });

    [Fact]
    public void Greys_stay_grey() => Gen.Byte.Sample(v =>
    {
        var row = Steps.Of(Color.FromBytes(v, v, v));
        foreach (var hex in row.Tints.Concat(row.Shades).Select(ColorText.Hex)) Assert.True(hex[1..3] == hex[3..5] && hex[3..5] == hex[5..7], hex);
    });

    [Fact]
    public void A_base_outside_sRGB_is_gamut_mapped_first()
    {
        var color = ColorText.Parse("color(display-p3 0 1 0)");
        Assert.Equal(ColorText.Hex(color), ColorText.Hex(Steps.Of(color).Base));
        Assert.All(Steps.Of(color).Tints, t => Assert.True(Gamut.InSrgb(t, 1e-6)));
    }

    private static void Even(IReadOnlyList<Color> steps, Color origin, double end)
    {
        for (var i = 0; i < steps.Count; i++)
        {
            var step = steps[i].To(ColorSpace.Oklch);
            Assert.Equal(origin.C1 + (end - origin.C1) * (i + 1) / steps.Count, step.C1, 1e-3);
            if (double.IsNaN(step.C3) || double.IsNaN(origin.C3)) continue;
            var turn = (step.C3 - origin.C3) * Math.PI / 180;
            Assert.True(Math.Abs(2 * step.C2 * Math.Sin(turn / 2)) <= 0.005, $"{origin} → {step}");
        }
    }
}
