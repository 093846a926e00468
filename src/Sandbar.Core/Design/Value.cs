using System.Text.Json.Serialization;

namespace Sandbar.Core.Design;

/// <summary>What a reference can point to.</summary>
public enum ReferenceKind
{
    /// <summary>A colour of the palette; Step 1… is a tint, −1… a shade.</summary>
    Color,

    /// <summary>A role; Step as for colours.</summary>
    Role,

    /// <summary>A position on the type scale; Step is the position, Id is empty.</summary>
    Size,

    /// <summary>A position on the spacing scale; Step is the position from 1, Id is empty.</summary>
    Space,
    TextStyle,
    Border,
    Radius,
    Shadow,
    Gradient,
}

/// <summary>A value as the designer meant it: kept so in the site, and written out as <c>var()</c> or <c>calc()</c>.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(NumberValue), "number")]
[JsonDerivedType(typeof(WordValue), "word")]
[JsonDerivedType(typeof(FixedColorValue), "fixed")]
[JsonDerivedType(typeof(ReferenceValue), "reference")]
[JsonDerivedType(typeof(RestValue), "rest")]
[JsonDerivedType(typeof(OperationValue), "operation")]
[JsonDerivedType(typeof(SidesValue), "sides")]
public abstract record Value;

/// <summary>A number with its unit as typed: px, rem, em, %, vw, or none.</summary>
public sealed record NumberValue(decimal Number, string Unit) : Value;

/// <summary>A CSS keyword, such as <c>none</c>.</summary>
public sealed record WordValue(string Word) : Value;

/// <summary>A colour named directly, as typed: it does not follow the scheme.</summary>
public sealed record FixedColorValue(string Css) : Value;

/// <summary>Something of the site's foundations, by its id and step.</summary>
public sealed record ReferenceValue(ReferenceKind To, string Id, int Step) : Value;

/// <summary>Whatever Rest is, a step lighter (1…) or darker (−1…), or as it is (0).</summary>
public sealed record RestValue(int Step) : Value;

/// <summary>Arithmetic over values.</summary>
/// <param name="Operator">One of + − * /, written as in CSS.</param>
public sealed record OperationValue(string Operator, Value Left, Value Right) : Value;

/// <summary>A value for each side of a box, unlinked.</summary>
public sealed record SidesValue(Value Top, Value Right, Value Bottom, Value Left) : Value;
