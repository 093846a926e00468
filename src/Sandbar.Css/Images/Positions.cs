using Sandbar.Css.Computing;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Images;

/// <summary>Places in boxes, as positions of CSS say them. Source: CSS Backgrounds 3, §2.6; CSS Values 5, §4.</summary>
internal static class Positions
{
    /// <summary>Where a position lies: px from the left and the top.</summary>
    /// <param name="width">Room across, px: what 100 % are.</param>
    /// <exception cref="FormatException">It says a length that takes a page to know.</exception>
    public static (double X, double Y) Of(Values position, double width, double height, Lengths lengths)
    {
        var (x, y) = Shorthands.Position(position);
        return (Axis(x, width, lengths), Axis(y, height, lengths));
    }

    /// <summary>A length or a share of the room, px.</summary>
    public static double Length(ComponentValue value, double whole, Lengths lengths) => Calculation.Of(value, lengths with { Whole = whole }) switch
    {
        Calculation.Amount { Unit: "px", Value: var px } when double.IsFinite(px) => px,
        Calculation.Amount { Unit: "", Value: 0 } => 0,
        _ => throw new FormatException("One of its lengths cannot be told without the page it stands on."),
    };

    private static double Axis(Values values, double whole, Lengths lengths)
    {
        if (values is [Token { Kind: TokenKind.Ident } word]) return whole * word.Text.ToLowerInvariant() switch { "center" => 0.5, "right" or "bottom" or "x-end" or "y-end" => 1, _ => 0 };
        if (values.Length == 1) return Length(values[0], whole, lengths);
        var isFar = values[0] is Token side && (side.IsIdent("right") || side.IsIdent("bottom"));
        var length = Length(values[1], whole, lengths);
        return isFar ? whole - length : length;
    }
}
