namespace Sandbar.Core.Catalogue.Parts;

/// <summary>Fields and a button that belong together.</summary>
internal static class FormPart
{
    public static readonly Part Part = new()
    {
        Id = "form",
        Name = "Form",
        Hook = ".form",
        HoldsBlocks = true,
        Inside = ["form-field", "button"],
        Slots = [new("label", "Name for screen readers", SlotKind.Spoken, Required: true, Sample: "A form")],
        Properties = [Properties.Background, Properties.Border, Properties.Radius, Properties.Padding, Properties.Gap, Properties.Measure],
        Looks = [new("Standard", ("background", "none"), ("border", "none"), ("gap", "space 4"), ("measure", "30em"))],
        Structure = [new(".form", ("display", "grid"), ("justify-items", "start"))],
        Write = w => w.Element("form", [("aria-label", w.Plain("label"))], w.Blocks),
    };
}
