using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A radius for all corners, or one for each: lengths, named radii, or two lengths where a corner goes another way across than down.</summary>
public sealed class RadiusValues : ValueKind
{
    /// <summary>The word for corners that follow those of the box around: its radius less its border and padding.</summary>
    public const string Inner = "inner";

    /// <summary>The custom property by which a box tells those inside how their corners follow its own.</summary>
    public const string InnerToken = "--inner-radius";

    private readonly LengthValues lengths = new(["radius"]);

    public override string Code => "corners";

    public override IReadOnlyList<CssType> Types { get; } = [CssType.Length, CssType.Corners];

    public override IEnumerable<string> Examples => ["a length such as 12px"];

    public override IReadOnlyList<string>? Sides => ["top left", "top right", "bottom right", "bottom left"];

    public override Value WithSide(Value? value, int side, Value by)
    {
        Value[] all = [.. Enumerable.Range(0, 4).Select(i => i == side ? (by is WordValue ? new NumberValue(0, "") : by) : value is null or WordValue ? new NumberValue(0, "") : SideOf(value, i))];
        return all.Distinct().Count() == 1 ? by : new CornersValue(all[0], all[1], all[2], all[3]);
    }

    public override Value SideOf(Value value, int side) => value is CornersValue all ? all.Inner[side] : value;

    public override Value Read(Typed typed)
    {
        // A name of several words comes before several values.
        if (Named(typed.Site, typed.Text) is { } named) return named;
        return new ValueReader(typed).Several(pairs: true).Select(AsLength).ToList() switch
        {
            [var all] => all,
            [var one, var other] => new CornersValue(one, other, one, other),
            [var topLeft, var sides, var bottomRight] => new CornersValue(topLeft, sides, bottomRight, sides),
            [var topLeft, var topRight, var bottomRight, var bottomLeft] => new CornersValue(topLeft, topRight, bottomRight, bottomLeft),
            _ => throw new FormatException($"{typed.Setting.Name} takes one to four values, for the corners from the top left one clockwise."),
        };
    }

    public override string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        var corners = value is CornersValue all ? all.Inner : [value];
        foreach (var one in corners.SelectMany(corner => corner is EllipseValue ellipse ? ellipse.Inner : [corner]))
        {
            if (one is RestValue && rest is CornersValue or EllipseValue) continue;
            if (lengths.Refusal(site, setting, one, rest) is { } wrong) return wrong;
        }
        return null;
    }

    /// <summary>A length of a radius for each corner, less what lies between it and a line inside.</summary>
    /// <param name="inset">CSS of that, of each side from the top clockwise.</param>
    public static string Within(SiteReads reads, Value value, Value? rest, IReadOnlyList<string> inset)
    {
        var corners = CornersForm.Each(reads, value, rest);
        string Less(string radius, string by) => radius == "0" ? "0px" : $"max(0px, {radius} - {by})";
        // Of each corner: the side that bounds it across, and the one that bounds it down.
        (int Across, int Down)[] bounds = [(3, 0), (1, 0), (1, 2), (3, 2)];
        return CornersForm.Css([.. corners.Select((c, i) => (Less(c.Across, inset[bounds[i].Across]), Less(c.Down, inset[bounds[i].Down])))]);
    }

    public override IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest)
    {
        var meant = value is RestValue { Step: 0 } && rest is not null ? rest : value;
        if (meant is WordValue) return base.Declare(reads, setting, property, meant, rest);
        var corners = CornersForm.Each(reads, meant, rest);
        if (meant is CornersValue && SideNames.AreByWriting(reads))
            return SideNames.Corners(byWriting: true).Zip(corners).Select(c => new Declared($"border-{c.First}-radius", c.Second.Across == c.Second.Down ? c.Second.Across : $"{c.Second.Across} {c.Second.Down}"));
        return [new(property, CornersForm.Css(corners))];
    }

    public override IEnumerable<ReferenceKind> Offered => lengths.Offered;

    private static Value AsLength(Value value) => value is NumberValue { Unit: "", Number: not 0 } number ? number with { Unit = "px" } : value;
}
