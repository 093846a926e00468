using System.Globalization;

namespace Sandbar.Css.Grammar;

/// <summary>Definitions in the words of the standards, as a message can name them.</summary>
internal static class ValueDefinitionText
{
    public static string Of(ValueDefinition definition) => definition switch
    {
        KeywordDefinition keyword => keyword.Name,
        SignDefinition sign => sign.Sign.ToString(),
        TypeDefinition { Min: null, Max: null } type => $"<{type.Name}>",
        TypeDefinition type => $"<{type.Name} [{End(type.Min, "−∞")},{End(type.Max, "∞")}]>",
        PropertyDefinition property => $"<'{property.Name}'>",
        FunctionDefinition function => $"{function.Name}()",
        BlockDefinition => "brackets",
        _ => throw new ArgumentOutOfRangeException(nameof(definition)),
    };

    private static string End(double? end, string open) => end?.ToString(CultureInfo.InvariantCulture) ?? open;
}
