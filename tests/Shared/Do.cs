using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Foundations.Type;

namespace Sandbar.Tests;

/// <summary>Edits that tests make again and again, by what they do.</summary>
public static class Do
{
    public static Edit Color(string color, string css) => new SetThing(ColorKind.Kind, color, "color", css);

    public static Edit NewColor(string id, string name, string css) => new AddThing(ColorKind.Kind, id, name, Values: new Dictionary<string, string> { ["color"] = css });

    public static Edit RenameColor(string color, string name) => new RenameThing(ColorKind.Kind, color, name);

    public static Edit RemoveColor(string color, string? by = null) => new RemoveThing(ColorKind.Kind, color, by);

    /// <summary>Gives a role a colour: <c>leaf tint 2</c>, <c>readable on ground</c>.</summary>
    public static Edit Role(string scheme, string role, string text) => new SetThing(SchemeKind.Kind, scheme, SchemeKind.FieldOf(role), text);

    public static Edit Turn(string scheme, string into) => new SetThing(SchemeKind.Kind, scheme, "turns-into", into);

    public static Edit Style(string style, string field, string text) => new SetThing(TextStyleKind.Kind, style, field, text);

    public static Edit NewStyle(string id, string name, string like) => new AddThing(TextStyleKind.Kind, id, name, like);

    public static Edit Scale(string end, string field, string text) => new SetThing(ScaleEndKind.Kind, end, field, text);

    /// <summary>Gives a family of the site the letters of one from the shelf.</summary>
    public static Edit Letters(string family, string letters) => new SetThing(FamilyKind.Kind, family, "letters", letters);

    public static Edit NewFamily(string id, string letters) => new AddThing(FamilyKind.Kind, id, letters, Values: new Dictionary<string, string> { ["letters"] = letters });

    public static Edit RemoveFamily(string family) => new RemoveThing(FamilyKind.Kind, family);
}
