using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>How looks reach the elements of pages.</summary>
public static class LookSelectors
{
    /// <summary>The selector of a look's elements.</summary>
    public static string Of(Site site, Part part, Look look) => OnPart(site, part, look) + part.Inner;

    /// <summary>The selector of the parts that wear a look, where the look itself is for the pieces inside.</summary>
    public static string OnPart(Site site, Part part, Look look) => HasSeveral(site, part) ? "." + Class(part, look) : part.Hook;

    /// <summary>The class that marks the look of a block, such as <c>button-filled</c>; null where the part has one look alone, or the site lacks this one.</summary>
    public static string? ClassOf(Site site, Part part, string look) => HasSeveral(site, part) && site.Looks.Find(look) is { } found ? Class(part, found) : null;

    /// <summary>The selector of the elements whose states a part's looks take.</summary>
    public static string StateHook(Part part) => part.StateOf.Length == 0 ? part.Hook + part.Inner : $"{part.Hook} {part.StateOf}";

    /// <summary>What follows the selector of a part's elements where they are in a state.</summary>
    public static string State(Part part, State state) =>
        part.StateOf.Length == 0 || state == Design.State.Rest ? State(state) : $":has({part.StateOf}{State(state)})";

    private static string Class(Part part, Look look) => $"{part.Id}-{look.CssName}";

    private static bool HasSeveral(Site site, Part part) => site.Looks.Count(l => l.Part == part.Id) > 1;

    private static string State(State state) => state switch
    {
        Design.State.Current => "[aria-current]",
        Design.State.Hover => ":hover",
        Design.State.Focus => ":focus-visible",
        Design.State.Pressed => ":active",
        Design.State.Off => ":is(:disabled, [aria-disabled=\"true\"])",
        _ => "",
    };
}
