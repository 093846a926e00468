using Sandbar.Css.Cascade;
using Sandbar.Css.Documents;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Tracing;

/// <summary>Why a declaration does not count at all.</summary>
public enum OffReason
{
    /// <summary>Its property does not take its value.</summary>
    Invalid,

    /// <summary>It stands in a condition that is not so: of the window, of what the browser knows, of what is around; or its sheet is for other media.</summary>
    Condition,
}

/// <summary>A declaration that is about an element and a property, and does not count.</summary>
/// <param name="Condition">The condition that is not so, as written, without the word for what it asks about; null where that is not why.</param>
public sealed record OffDeclaration(Candidate Declaration, OffReason Reason, string? Condition)
{
    /// <summary>Those of a property of an element: first what is invalid, then what stands in conditions.</summary>
    public static IReadOnlyList<OffDeclaration> Of(PageStyles page, Element element, Property property) => Where(page, element, d => d.Sets.Contains(property));

    /// <summary>The same of a custom property.</summary>
    public static IReadOnlyList<OffDeclaration> Of(PageStyles page, Element element, string custom) => Where(page, element, d => d.Name == custom);

    private static OffDeclaration[] Where(PageStyles page, Element element, Func<Declared, bool> isAbout) =>
    [
        .. page.Of(element).Cascade.Declarations.Where(c => isAbout(c.Declared) && !c.Declared.IsValid).Select(c => new OffDeclaration(c, OffReason.Invalid, null)),
        .. page.Off(element).Where(o => isAbout(o.Declaration.Declared)).Select(o => new OffDeclaration(o.Declaration, OffReason.Condition, Serializer.Values(o.Condition.Values).Trim())),
    ];
}
