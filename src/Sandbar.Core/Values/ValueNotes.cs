using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>What values come to, as hints beside them.</summary>
public static class ValueNotes
{
    /// <summary>The hint for a value; empty where its text says it all.</summary>
    public static string Of(Site site, Value value) => value switch
    {
        ReferenceValue reference => Kinds.Of(reference).Note(site, reference),
        SidesValue sides when sides.Inner.All(v => v is ReferenceValue or NumberValue) && sides.Inner.Any(v => v is ReferenceValue) =>
            string.Join(" · ", SidesForm.Shortest(sides).Select(v => Of(site, v) is { Length: > 0 } note ? note.Replace("px", "", StringComparison.Ordinal) : ValueForms.Write(site, v).Replace("px", "", StringComparison.Ordinal))) + "px",
        _ => "",
    };
}
