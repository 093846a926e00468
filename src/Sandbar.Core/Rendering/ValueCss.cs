using System.Globalization;
using Sandbar.Core.Colors;
using Sandbar.Core.Design;
using Sandbar.Core.Typography;

namespace Sandbar.Core.Rendering;

/// <summary>Values as CSS text: references become <c>var()</c>, arithmetic <c>calc()</c>.</summary>
public static class ValueCss
{
    /// <summary>The CSS of a value.</summary>
    /// <param name="rest">The value of Rest that values relative to it refer to; null where there is none.</param>
    /// <exception cref="InvalidOperationException">A value relative to Rest stands where there is no Rest to refer to.</exception>
    public static string Write(Site site, Value value, Value? rest = null) => value switch
    {
        // Arithmetic over a Rest that has four sides is done side by side.
        OperationValue each when rest is SidesValue => Sides(site, new(each, each, each, each), rest),
        NumberValue number => Number(number),
        WordValue word => word.Word,
        FixedColorValue color => color.Css,
        ReferenceValue reference => $"var({Name(site, reference)})",
        RestValue relative => Write(site, Moved(rest ?? throw new InvalidOperationException("There is no value at Rest."), relative.Step)),
        OperationValue operation => $"calc({Operand(site, operation, rest)})",
        SidesValue sides => Sides(site, sides, rest),
        _ => throw new ArgumentOutOfRangeException(nameof(value)),
    };

    /// <summary>A value some steps along its row; only colours have a row.</summary>
    public static Value Moved(Value value, int step) => (step, value) switch
    {
        (0, _) => value,
        (_, ReferenceValue { To: ReferenceKind.Color or ReferenceKind.Role } reference) =>
            reference with { Step = Math.Clamp(reference.Step + step, -Steps.ShadeCount, Steps.TintCount) },
        (_, FixedColorValue color) => new FixedColorValue(ColorText.Hex(SchemeColors.Along(ColorText.Parse(color.Css), step))),
        _ => value,
    };

    /// <summary>The custom property a reference reads.</summary>
    public static string Name(Site site, ReferenceValue reference) => reference.To switch
    {
        ReferenceKind.Color => ColorName(site.Palette.Colors.Get(reference.Id), reference.Step),
        ReferenceKind.Role => RoleName(site.Palette.Roles.Get(reference.Id), reference.Step),
        ReferenceKind.Size => Scale.CssName(reference.Step),
        ReferenceKind.Space => $"--space-{reference.Step}",
        ReferenceKind.Border => $"--border-{site.Edges.Borders.Get(reference.Id).CssName}",
        ReferenceKind.Radius => $"--radius-{site.Edges.Radii.Get(reference.Id).CssName}",
        ReferenceKind.Gradient => $"--gradient-{site.Fills.Gradients.Get(reference.Id).CssName}",
        ReferenceKind.Shadow => $"--shadow-{site.Edges.Shadows.Get(reference.Id).CssName}",
        _ => throw new ArgumentOutOfRangeException(nameof(reference)),
    };

    public static string ColorName(BaseColor color, int step) => $"--color-{color.CssName}{Suffix(step)}";

    public static string RoleName(Role role, int step) => $"--role-{role.CssName}{Suffix(step)}";

    /// <summary>A number with its unit, invariant, without trailing zeros.</summary>
    public static string Number(NumberValue number) =>
        number.Number == 0 && number.Unit is not "%" ? "0" : number.Number.ToString("0.####", CultureInfo.InvariantCulture) + number.Unit;

    private static string Suffix(int step) => step == 0 ? "" : step > 0 ? $"-tint-{step}" : $"-shade-{-step}";

    private static string Operand(Site site, OperationValue operation, Value? rest)
    {
        return $"{Inner(operation.Left)} {operation.Operator} {Inner(operation.Right)}";
        string Inner(Value value)
        {
            var operand = value is RestValue && rest is not null ? rest : value;
            return operand is OperationValue inner ? $"({Operand(site, inner, rest)})" : Write(site, operand, rest);
        }
    }

    private static string Sides(Site site, SidesValue sides, Value? rest)
    {
        var r = rest as SidesValue;
        string top = Write(site, sides.Top, r?.Top ?? rest), right = Write(site, sides.Right, r?.Right ?? rest);
        string bottom = Write(site, sides.Bottom, r?.Bottom ?? rest), left = Write(site, sides.Left, r?.Left ?? rest);
        if (left != right) return $"{top} {right} {bottom} {left}";
        if (bottom != top) return $"{top} {right} {bottom}";
        return right != top ? $"{top} {right}" : top;
    }
}
