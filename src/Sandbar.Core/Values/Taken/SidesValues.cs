using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A length for each side: one to four of them, as in CSS.</summary>
public sealed class SidesValues : ValueKind
{
    public override string Code => "sides";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Sides];

    public override IEnumerable<string> Examples => ["a length such as 12px"];

    public override Value Read(Typed typed) => new ValueReader(typed).Several().Select(AsLength).ToList() switch
    {
        [RestValue all] => all,
        [var all] => typed.Rest is SidesValue && all.DependsOnRest() ? all : new SidesValue(all, all, all, all),
        [var block, var inline] => new SidesValue(block, inline, block, inline),
        [var top, var inline, var bottom] => new SidesValue(top, inline, bottom, inline),
        [var top, var right, var bottom, var left] => new SidesValue(top, right, bottom, left),
        _ => throw new FormatException($"{typed.Setting.Name} takes one to four values, for top, right, bottom and left."),
    };

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        if (base.Refusal(site, setting, value, rest) is { } wrong) return wrong;
        var sides = value is SidesValue s ? s.Inner : [value];
        return sides.Select(side => side is NumberValue number ? Ranges.Refusal(setting, number.Number) : Ranges.Folded(setting, side)).FirstOrDefault(r => r is not null);
    }

    public override IEnumerable<ReferenceKind> Offered => LengthValues.Spaces.Offered;

    private static Value AsLength(Value side) => side is NumberValue { Unit: "", Number: not 0 } number ? number with { Unit = "px" } : side;
}
