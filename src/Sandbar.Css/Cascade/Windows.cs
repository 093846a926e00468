using Sandbar.Css.Conditions;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>The windows that a stylesheet tells apart.</summary>
public sealed class Windows
{
    /// <summary>Size of a font unit in conditions, px (Media Queries 5, §1.3: the initial font size).</summary>
    private const double FontSize = 16;

    /// <summary>As many as are looked at: a sheet can name any number of widths.</summary>
    private const int Most = 24, MostConditions = 100;

    private readonly Func<MediaEnvironment, string> told;

    private Windows(IReadOnlyList<MediaEnvironment> all, Func<MediaEnvironment, string> told) => (All, this.told) = (all, told);

    /// <summary>One for each that is told from the others.</summary>
    public IReadOnlyList<MediaEnvironment> All { get; }

    /// <summary>The one of them that any window cannot be told from; null where there were too many.</summary>
    public MediaEnvironment? Like(MediaEnvironment window) => All.FirstOrDefault(w => told(w) == told(window));

    /// <summary>Of all widths, and of light and dark, one window for each that some rules tell from the others: the narrowest where it holds, light before dark.</summary>
    /// <param name="counts">Which declarations count.</param>
    /// <param name="isDarkAsked">Whether what visitors prefer counts even where no condition asks for it.</param>
    public static Windows Of(IEnumerable<StyleSheet> sheets, Func<Declared, bool> counts, bool isDarkAsked)
    {
        var conditions = sheets.SelectMany(s => s.Items).OfType<RuleItem>().Where(i => i.Conditions.Any(c => c.Kind == ConditionKind.Media) && i.Rule.Declarations.Any(counts))
            .SelectMany(i => i.Conditions.Where(c => c.Kind == ConditionKind.Media)).DistinctBy(c => Serializer.Values(c.Values)).Take(MostConditions).ToList();
        var widths = new SortedSet<int> { 0 };
        foreach (var length in conditions.SelectMany(c => Lengths(c.Values)))
        {
            // On either side of it something else may hold.
            foreach (var width in new[] { Math.Ceiling(length), Math.Floor(length) + 1 })
            {
                if (width is > 0 and < 100_000) widths.Add((int)width);
            }
        }
        var windows = new List<MediaEnvironment>();
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var isDark in new[] { false, true })
        {
            foreach (var width in widths)
            {
                var window = new MediaEnvironment(width, 900, isDark);
                if (seen.Add(Told(window))) windows.Add(window);
            }
        }
        return new(windows.Count > Most ? windows[..Most] : windows, Told);

        string Told(MediaEnvironment window)
        {
            var holds = string.Concat(conditions.Select(c => MediaQueries.Hold(c.Values, window) ? '1' : '0'));
            return window.IsDark && isDarkAsked ? $"dark {holds}" : holds;
        }
    }

    private static IEnumerable<double> Lengths(IEnumerable<ComponentValue> values) => values.SelectMany(value => value switch
    {
        Token { Kind: TokenKind.Dimension } length => length.Unit.ToLowerInvariant() switch { "px" => [length.Number], "em" or "rem" => [length.Number * FontSize], _ => [] },
        BlockValue block => Lengths(block.Values),
        FunctionValue function => Lengths(function.Values),
        _ => Enumerable.Empty<double>(),
    });
}
