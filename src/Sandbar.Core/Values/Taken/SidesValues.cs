using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A length for each side: one to four of them, as in CSS.</summary>
public sealed class SidesValues : ValueKind
{
    public override string Code => "sides";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Sides];

    public override IEnumerable<string> Examples => ["a length such as 12px"];

    public override IReadOnlyList<string>? Sides => ["top", "right", "bottom", "left"];

    public override Value WithSide(Value? value, int side, Value by)
    {
        Value[] all = [.. Enumerable.Range(0, 4).Select(i => i == side ? by : value is null ? new NumberValue(0, "") : SideOf(value, i))];
        return all.Distinct().Count() == 1 ? new SidesValue(by, by, by, by) : new SidesValue(all[0], all[1], all[2], all[3]);
    }

    public override Value SideOf(Value value, int side) => value is SidesValue all ? all.Inner[side] : value;

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

    /// <summary>Sides that differ are said as the site says its sides.</summary>
    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        if (meant is not SidesValue sides || !SideNames.AreByWriting(reads)) return base.Declare(reads, setting, property, value, rest);
        var atRest = rest as SidesValue;
        string Css(Value side, Value? r) => ValueForms.Css(reads, side, r ?? rest);
        string Two(string first, string second) => first == second ? first : $"{first} {second}";
        return
        [
            new($"{property}-block", Two(Css(sides.Top, atRest?.Top), Css(sides.Bottom, atRest?.Bottom))),
            new($"{property}-inline", Two(Css(sides.Left, atRest?.Left), Css(sides.Right, atRest?.Right))),
        ];
    }

    public override IEnumerable<ReferenceKind> Offered => LengthValues.OfPages.Offered;

    private static Value AsLength(Value side) => side is NumberValue { Unit: "", Number: not 0 } number ? number with { Unit = "px" } : side;
}
