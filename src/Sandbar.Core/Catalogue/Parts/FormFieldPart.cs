using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue.Parts;

/// <summary>A field of a form with its label.</summary>
internal sealed class FormFieldPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "form-field",
        Name = "Form field",
        Group = PartGroup.Form,
        Place = 1,
        Hook = ".form-field",
        StateOf = ".form-control",
        NeedsBoundary = true,
        Slots =
        [
            new("label", "Label", SlotKind.Text, Required: true, Sample: "Your name"),
            new("kind", "Kind", SlotKind.Choice) { Words = [new("text", ""), new("email", ""), new("number", ""), new("lines", ""), new("choice", "")] },
            new("hint", "Hint", SlotKind.Text, Sample: "What helps to fill it in"),
            new("choices", "Choices", SlotKind.List),
            new("off", "Off", SlotKind.Choice) { Words = [new("no", ""), new("yes", "")] },
        ],
        Properties =
        [
            Properties.TextColor.For("label", "Label colour", " label"), Properties.TextStyle.For("label", "Label style", " label"),
            Properties.Background.For("control", "Background", " .form-control"), Properties.TextColor.For("control", "Text colour", " .form-control"),
            Properties.TextStyle.For("control", "Text style", " .form-control"),
            Properties.TextColor.For("hint", "Hint colour", " .form-hint"), Properties.TextStyle.For("hint", "Hint style", " .form-hint"),
            Properties.Opacity,
            Properties.Border.For("control", "Border", " .form-control") with { IsReplaced = true }, Properties.Radius.For("control", "Radius", " .form-control"),
            Properties.Outline.For("control", "Outline", " .form-control"), Properties.OutlineOffset.For("control", "Outline offset", " .form-control"),
            Properties.Padding.For("control", "Padding", " .form-control"), Properties.Gap,
        ],
        States = [State.Rest, State.Hover, State.Focus, State.Off],
        Looks =
        [
            new("standard", "Standard",
                ("label-text-color", "text"), ("label-text-style", "Label"), ("control-background", "raised"), ("control-text-color", "text"), ("control-text-style", "Body"),
                ("hint-text-color", "quiet text"), ("hint-text-style", "Caption"), ("opacity@off", "0.6"), ("control-border", "field line"), ("control-radius", "soft"),
                ("control-outline", "none"), ("control-outline@focus", "ring"), ("control-outline-offset", "1px"), ("control-padding", "space 2 space 3"), ("gap", "space 1")),
        ],
        Structure =
        [
            new(".form-field", ("display", "grid"), ("inline-size", "100%")),
            new(".form-control", ("inline-size", "100%"), ("margin", "0")),
        ],
        Write = w => w.Element("div", [], () => w.Field("label", "kind", "hint", "choices", "off")),
    }];
}
