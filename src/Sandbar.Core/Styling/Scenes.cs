using Sandbar.Core.Design;
using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Core.Styling;

/// <summary>Pages with everything on them in one state: what rules can say of an element in any state shows in one of them.</summary>
public static class Scenes
{
    private static readonly (ElementStates States, InnerStates Everywhere)[] Stirred =
        [.. new[] { State.Hover, State.Focus, State.Pressed, State.Off, State.Current }.Select(Of).Select(s => (s, InnerStates.Everywhere(s)))];

    /// <summary>The states of an element that a designer knows as one.</summary>
    public static ElementStates Of(State state) => state switch
    {
        State.Hover => ElementStates.Hover,
        State.Focus => ElementStates.Focus | ElementStates.FocusVisible | ElementStates.FocusWithin,
        State.Pressed => ElementStates.Active,
        State.Off => ElementStates.Off,
        State.Current => ElementStates.Current,
        _ => ElementStates.None,
    };

    /// <summary>Where an element stands at Rest, and then in each state.</summary>
    public static IEnumerable<Place> Of(StyledPage page, Element element) => Stirred.Select(s => page.PlaceOf(element, s.Everywhere, s.States)).Prepend(page.PlaceOf(element));
}
