namespace Sandbar.Core.Rendering;

/// <summary>The key frames of a sheet (CSS Animations 1): only those that some rule names.</summary>
internal static class Keyframes
{
    public static string Of(IReadOnlyCollection<Rule> rules) => Entrances.Keyframes(rules) + FillLayers.Keyframes(rules);
}
