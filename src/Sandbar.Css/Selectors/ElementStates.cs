namespace Sandbar.Css.Selectors;

/// <summary>States an element is in because of a visitor: a page that nobody touches has none of them.</summary>
[Flags]
public enum ElementStates
{
    None = 0,

    Hover = 1,

    Focus = 2,

    FocusVisible = 4,

    FocusWithin = 8,

    Active = 16,

    Target = 32,

    /// <summary>It cannot be used, whatever it is.</summary>
    Off = 64,

    /// <summary>It stands for where the visitor is (WAI-ARIA, <c>aria-current</c>).</summary>
    Current = 128,

    All = Hover | Focus | FocusVisible | FocusWithin | Active | Target | Off | Current,
}

/// <summary>The pseudo-classes of these states.</summary>
public static class ElementStateNames
{
    private static readonly Dictionary<string, ElementStates> All = new(StringComparer.Ordinal)
    {
        ["hover"] = ElementStates.Hover,
        ["focus"] = ElementStates.Focus,
        ["focus-visible"] = ElementStates.FocusVisible,
        ["focus-within"] = ElementStates.FocusWithin,
        ["active"] = ElementStates.Active,
        ["target"] = ElementStates.Target,
    };

    /// <summary>The state of a name; null where it names none of these.</summary>
    public static ElementStates? Find(string name) => All.TryGetValue(name, out var state) ? state : null;

    /// <summary>Whether a condition is that an element be in such a state.</summary>
    public static bool IsOne(SimpleSelector condition) => condition is PseudoClassSelector pseudo && All.ContainsKey(pseudo.Name);
}
