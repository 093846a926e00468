using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Edges;
using Sandbar.Core.Foundations.Motion;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Space;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Foundations;

/// <summary>Typed values that are the same as something with a name: it would follow if that were used.</summary>
public static class Presets
{
    /// <summary>A typed value with names in place of what equals something named; null where nothing does.</summary>
    public static Value? Same(Site site, Setting setting, Value value)
    {
        switch (value)
        {
            case SidesValue or CornersValue:
                var sides = value.Inner.Select(side => Named(site, setting, side)).ToList();
                return sides.Exists(s => s is not null) ? value.With([.. sides.Zip(value.Inner, (named, side) => named ?? side)]) : null;
            case ChangeValue { Duration: NumberValue time } change:
                var ms = time.Unit == "s" ? time.Number * 1000 : time.Number;
                return site.Motion.Durations.FirstOrDefault(d => d.Time.Amount() == ms) is { } duration ? change with { Duration = new ReferenceValue(DurationKind.Kind, duration.Id) } : null;
            default:
                return Named(site, setting, value);
        }
    }

    private static ReferenceValue? Named(Site site, Setting setting, Value value) => value switch
    {
        NumberValue { Number: > 0 } number when TextFigures.Pixels(number) is { } px => Named(setting, kind => kind switch
        {
            RadiusKind radii => radii.List(site).FirstOrDefault(r => r.Down is WordValue && IsSame(r.Size, px))?.Id,
            PageMeasureKind => PageMeasureKind.Same(site, setting.Id, px),
            SpaceKind spaces => spaces.List(site).FirstOrDefault(s => s.Wide is WordValue && IsSame(s.Size, px))?.Id,
            _ => null,
        }),
        LineValue line => Named(setting, kind => (kind as BorderKind)?.List(site).FirstOrDefault(b => IsSame(b, line))?.Id),
        ShadowValue shadow => Named(setting, kind => (kind as ShadowKind)?.List(site).FirstOrDefault(s => IsSame(s, shadow))?.Id),
        FixedColorValue color when ColorText.TryParse(color.Css, out _) && ColorText.Hex(ReleasedColor.Of(color.Css)) is var hex =>
            Named(setting, kind => (kind as ColorKind)?.List(site).FirstOrDefault(c => ColorText.Hex(site.Palette.Row(c).Base) == hex)?.Id),
        _ => null,
    };

    private static ReferenceValue? Named(Setting setting, Func<ReferenceKind, string?> find) =>
        setting.Kind.Offered.Select(kind => (kind, Id: find(kind))).FirstOrDefault(k => k.Id is not null) is { kind: { } found, Id: { } id } ? new(found.Code, id) : null;

    private static bool IsSame(Value named, double px) => named is NumberValue number && TextFigures.Pixels(number) is { } its && Math.Abs(its - px) < 0.005;

    private static bool IsSame(Border border, LineValue line) =>
        border.Second.Code() == Border.NoSecond && border.Along is WordValue && border.Opacity.Amount() == 100 && border.Width == line.Width && border.Style.Code() == line.Style && border.Color == line.Color;

    private static bool IsSame(Shadow shadow, ShadowValue typed) => shadow.Layers.Length == typed.Layers.Length
        && shadow.Layers.Zip(typed.Layers.Cast<ShadowLayerValue>()).All(l => (l.First.Side.Code() == "inner") == l.Second.IsInner && l.First.X == l.Second.X && l.First.Y == l.Second.Y && l.First.Blur == l.Second.Blur
            && l.First.Spread == l.Second.Spread && l.First.Color == l.Second.Color && l.First.Opacity.Amount() == l.Second.Opacity);
}
