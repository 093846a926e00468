using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A button: a link that asks for a deed.</summary>
internal sealed class ButtonPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "button",
        Name = "Button",
        Group = PartGroup.Action,
        Hook = ".button",
        Slots = [new("label", "Label", SlotKind.Text, Required: true, Sample: "A button"), new("to", "Leads to", SlotKind.Link, Sample: "#"), new("off", "Off", SlotKind.Choice) { Words = [new("no", ""), new("yes", "")] }],
        Properties =
        [
            Properties.Background, Properties.TextColor, Properties.TextStyle, Properties.Underline,
            Properties.UnderlineThickness, Properties.UnderlineOffset, Properties.Opacity,
            Properties.Border, Properties.Radius, Properties.Outline, Properties.OutlineOffset, Properties.Shadow,
            Properties.Padding, Properties.Width,
        ],
        States = [State.Rest, State.Current, State.Hover, State.Focus, State.Pressed, State.Off],
        Looks =
        [
            new("filled", "Filled",
                ("background", "action"), ("background@hover", "rest shade 1"), ("change-background", "quick, gentle"),
                ("text-color", "action text"), ("text-style", "Label"), ("underline", "none"),
                ("border", "none"), ("radius", "soft"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"),
                ("padding", "space 2 space 4"), ("width", "fit")),
            new("outlined", "Outlined",
                ("background", "none"), ("background@hover", "action"), ("change-background", "quick, gentle"),
                ("text-color", "action"), ("text-color@hover", "action text"), ("text-style", "Label"), ("underline", "none"),
                ("border", "action line"), ("radius", "soft"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"),
                ("padding", "space 2 space 4"), ("width", "fit")),
            new("plain", "Plain",
                ("background", "none"), ("text-color", "link"), ("text-color@hover", "rest shade 1"), ("text-style", "Label"),
                ("underline", "line"), ("underline-thickness", "1px"), ("underline-thickness@hover", "2px"), ("underline-offset", "4px"),
                ("border", "none"), ("radius", "none"), ("outline", "none"), ("outline@focus", "ring"), ("outline-offset", "2px"),
                ("padding", "space 1 0"), ("width", "fit")),
        ],
        Structure =
        [
            new(".button", ("display", "inline-block"), ("max-inline-size", "100%"), ("text-align", "center"), ("cursor", "pointer")),
        ],
        // What leads somewhere is a link; what does something here is a button. A link that is off leads nowhere (ARIA in HTML, links without href).
        Write = w => w.Element(
            w.Has("to") ? "a" : "button",
            (w.Has("to"), w.Is("off", "yes")) switch
            {
                (true, true) => [("role", "link"), ("aria-disabled", "true")],
                (true, false) => w.Link("to"),
                (false, true) => [("type", "submit"), ("disabled", "")],
                (false, false) => [("type", "submit")],
            },
            () => w.Text("label")),
    }];
}
