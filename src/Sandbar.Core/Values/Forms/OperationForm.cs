using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>Arithmetic, typed as CSS Values 4 has it: like is added to like, and multiplied or divided by a plain number.</summary>
public sealed class OperationForm : ValueForm<OperationValue>
{
    /// <summary>How deep arithmetic may be nested: far beyond what anybody types, and far from what JSON can hold.</summary>
    private const int Deepest = 12;

    protected override string Write(Site site, OperationValue value) => $"{Operand(site, value.Left)} {value.Operator} {Operand(site, value.Right)}";

    protected override string Css(SiteReads reads, OperationValue value, Value? rest)
    {
        // Over a Rest that has four sides it is done side by side.
        if (rest is SidesValue && value.DependsOnRest()) return ValueForms.Css(reads, new SidesValue(value, value, value, value), rest);
        return $"calc({Sum(reads, value, rest)})";
    }

    protected override CssType? TypeOf(Site site, OperationValue value, Value? rest)
    {
        if (rest is SidesValue sides && value.DependsOnRest())
            return sides.Inner.All(side => TypeOf(site, value, side) == CssType.Length) ? CssType.Sides : null;
        var (left, right) = (ValueForms.TypeOf(site, value.Left, rest), ValueForms.TypeOf(site, value.Right, rest));
        return value.Operator switch
        {
            "+" or "-" when left == right => IsAmount(left) ? left : null,
            // A plain 0 is a length of nothing.
            "+" or "-" when IsZero(value.Left) => IsAmount(right) ? right : null,
            "+" or "-" when IsZero(value.Right) => IsAmount(left) ? left : null,
            "*" when left == CssType.Number => IsAmount(right) ? right : null,
            "*" or "/" when right == CssType.Number => IsAmount(left) ? left : null,
            _ => null,
        };
    }

    protected override string? Refusal(Site site, OperationValue value, Value? rest)
    {
        if (value.Operator is not ("+" or "-" or "*" or "/")) return $"{Quoted.Text(value.Operator)} is no arithmetic.";
        if (Depth(value) > Deepest) return $"Arithmetic is nested at most {Deepest} deep.";
        if (value is { Operator: "/", Right: NumberValue { Number: 0 } }) return "Nothing can be divided by 0.";
        if (value.Operator == "/" && ValueForms.TypeOf(site, value.Right, rest) != CssType.Number) return "Divide by a plain number.";
        if (TypeOf(site, value, rest) is not null) return null;
        var said = $"{Quoted.Text(ValueForms.Write(site, value))}";
        if (rest is WordValue word && value.DependsOnRest()) return $"At Rest this is {word.Word}: nothing can be reckoned with it.";
        return value.Operator == "*" ? $"{said}: multiply by a plain number." : $"{said} cannot be reckoned: only like can be added to like.";
    }

    private static int Depth(Value value) => value is OperationValue operation ? 1 + Math.Max(Depth(operation.Left), Depth(operation.Right)) : 0;

    private static bool IsAmount(CssType? type) => type == CssType.Length || type == CssType.Number || type == CssType.Angle || type == CssType.Time;

    private static bool IsZero(Value value) => value is NumberValue { Number: 0, Unit: "" };

    private static string Operand(Site site, Value value) => value is OperationValue ? $"({ValueForms.Write(site, value)})" : ValueForms.Write(site, value);

    private static string Sum(SiteReads reads, OperationValue operation, Value? rest)
    {
        return $"{Inner(operation.Left)} {operation.Operator} {Inner(operation.Right)}";
        string Inner(Value value)
        {
            var operand = value is RestValue && rest is not null ? rest : value;
            return operand switch
            {
                OperationValue inner => $"({Sum(reads, inner, rest)})",
                // A sum of lengths takes no plain 0.
                NumberValue { Number: 0, Unit: "" or "px" } when operation.Operator is "+" or "-" => "0px",
                _ => ValueForms.Css(reads, operand, rest),
            };
        }
    }
}
