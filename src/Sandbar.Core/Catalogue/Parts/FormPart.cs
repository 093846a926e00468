namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Fields and a button that belong together.</summary>
internal sealed class FormPart : IParts
{
    public static IEnumerable<Part> Parts { get; } = [new()
    {
        Id = "form",
        Name = "Form",
        Group = PartGroup.Form,
        Hook = ".form",
        HoldsBlocks = true,
        Begins = ["form-field", "button"],
        HoldsGroups = [PartGroup.Form, PartGroup.Text, PartGroup.Action],
        HoldsParts = ["group", "columns"],
        Inside = ["form-field", "button"],
        Slots = [new("label", "Name for screen readers", SlotKind.Spoken, Required: true, Sample: "A form")],
        Properties = [Properties.Background, Properties.Border, Properties.Radius, Properties.Padding, Properties.Gap, Properties.Measure],
        Looks = [new("standard", "Standard", ("background", "none"), ("border", "none"), ("gap", "space 4"), ("measure", "30em"))],
        Structure = [new(".form", ("display", "grid"), ("justify-items", "start"))],
        Write = w => w.Element("form", [("aria-label", w.Plain("label"))], w.Blocks),
    }];
}
