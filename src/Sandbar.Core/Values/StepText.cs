using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Values;

/// <summary>Steps of colours in words: <c>tint 2</c>, <c>shade 1</c>.</summary>
public static partial class StepText
{
    /// <summary>What steps there are, in a sentence.</summary>
    public static readonly string Range = $"There are {Steps.TintCount} tints and {Steps.ShadeCount} shades.";

    /// <summary>A step in words; empty for the base.</summary>
    public static string Of(int step) => step == 0 ? "" : step > 0 ? $"tint {step}" : $"shade {-step}";

    /// <summary>A name with its step.</summary>
    public static string With(string name, int step) => step == 0 ? name : $"{name} {Of(step)}";

    /// <summary>What follows a custom property's name for a step.</summary>
    public static string Suffix(int step) => step == 0 ? "" : step > 0 ? $"-tint-{step}" : $"-shade-{-step}";

    public static bool IsStep(int step) => step is <= Steps.TintCount and >= -Steps.ShadeCount;

    public static int Clamp(int step) => Math.Clamp(step, -Steps.ShadeCount, Steps.TintCount);

    /// <summary>Whether a name or slug ends like a step, so that it would be taken for one.</summary>
    public static bool EndsLikeStep(string name) => Ending().IsMatch(name);

    /// <summary>A name and the step typed after it.</summary>
    /// <exception cref="FormatException">There is no such step.</exception>
    public static (string Name, int Step) Read(string text)
    {
        var match = Ending().Match(text);
        if (!match.Success) return (text, 0);
        if (!int.TryParse(match.Groups["step"].Value, NumberStyles.None, CultureInfo.InvariantCulture, out var step)) throw new FormatException(Range);
        if (match.Groups["way"].Value.Equals("shade", StringComparison.OrdinalIgnoreCase)) step = -step;
        return IsStep(step) ? (text[..match.Index].TrimEnd(), step) : throw new FormatException(Range);
    }

    [GeneratedRegex(@"[\s-](?<way>tint|shade)[\s-]*(?<step>\d+)\z", RegexOptions.IgnoreCase)]
    private static partial Regex Ending();
}
