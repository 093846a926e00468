using System.Collections.Immutable;

namespace Sandbar.Core.Design;

/// <summary>
/// A value as the designer meant it: kept so in the site, and written out as <c>var()</c> or <c>calc()</c>. What can be done with each kind
/// stands in <c>Values/Forms</c>. In JSON <c>kind</c> tells which: the record's name without “Value”.
/// </summary>
public abstract record Value
{
    /// <summary>The values it is made of; none for most.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public virtual ImmutableArray<Value> Inner => [];

    /// <summary>The same made of other values, in the order of <see cref="Inner"/>.</summary>
    public virtual Value With(ImmutableArray<Value> inner) => this;
}

/// <summary>A number with its unit as typed: px, rem, em, %, vw, deg, ms, or none.</summary>
public sealed record NumberValue(decimal Number, string Unit) : Value;

/// <summary>One of the words a setting takes, by its code.</summary>
public sealed record WordValue(string Word) : Value;

/// <summary>A colour named directly, as typed: it does not follow the scheme.</summary>
public sealed record FixedColorValue(string Css) : Value;

/// <summary>A mix of two colours, each of the palette or any CSS colour.</summary>
/// <param name="Share">Of <paramref name="Other"/>, per cent.</param>
/// <param name="Space">The colour space it is mixed in, by its CSS name.</param>
public sealed record MixValue(Value One, Value Other, decimal Share, string Space) : Value
{
    public override ImmutableArray<Value> Inner => [One, Other];

    public override Value With(ImmutableArray<Value> inner) => this with { One = inner[0], Other = inner[1] };
}

/// <summary>A colour moved in OKLCH.</summary>
/// <param name="Lightness">In hundredths.</param>
/// <param name="Chroma">In hundredths.</param>
/// <param name="Hue">Degrees.</param>
public sealed record MovedColorValue(Value Of, decimal Lightness, decimal Chroma, decimal Hue) : Value
{
    public override ImmutableArray<Value> Inner => [Of];

    public override Value With(ImmutableArray<Value> inner) => this with { Of = inner[0] };
}

/// <summary>Something of the site's foundations.</summary>
/// <param name="To">Code of the kind of thing.</param>
/// <param name="Id">Its id; empty for positions on a scale.</param>
/// <param name="Step">Of a colour or role a tint (1…) or shade (−1…); of the type scale the position.</param>
public sealed record ReferenceValue(string To, string Id, int Step = 0) : Value;

/// <summary>Whatever Rest is, a step lighter (1…) or darker (−1…), or as it is (0).</summary>
public sealed record RestValue(int Step) : Value;

/// <summary>The colour of the palette that reads best on a role.</summary>
/// <param name="On">A reference to the role.</param>
public sealed record ReadableValue(Value On) : Value
{
    public override ImmutableArray<Value> Inner => [On];

    public override Value With(ImmutableArray<Value> inner) => new ReadableValue(inner[0]);
}

/// <summary>Arithmetic over values.</summary>
/// <param name="Operator">One of + − * /, written as in CSS.</param>
public sealed record OperationValue(string Operator, Value Left, Value Right) : Value
{
    public override ImmutableArray<Value> Inner => [Left, Right];

    public override Value With(ImmutableArray<Value> inner) => new OperationValue(Operator, inner[0], inner[1]);
}

/// <summary>A value for each side of a box, unlinked: lengths, or lines and the word for none.</summary>
public sealed record SidesValue(Value Top, Value Right, Value Bottom, Value Left) : Value
{
    public override ImmutableArray<Value> Inner => [Top, Right, Bottom, Left];

    public override Value With(ImmutableArray<Value> inner) => new SidesValue(inner[0], inner[1], inner[2], inner[3]);
}

/// <summary>A radius for each corner of a box, unlinked.</summary>
public sealed record CornersValue(Value TopLeft, Value TopRight, Value BottomRight, Value BottomLeft) : Value
{
    public override ImmutableArray<Value> Inner => [TopLeft, TopRight, BottomRight, BottomLeft];

    public override Value With(ImmutableArray<Value> inner) => new CornersValue(inner[0], inner[1], inner[2], inner[3]);
}

/// <summary>A corner that goes another way across than down.</summary>
public sealed record EllipseValue(Value Across, Value Down) : Value
{
    public override ImmutableArray<Value> Inner => [Across, Down];

    public override Value With(ImmutableArray<Value> inner) => new EllipseValue(inner[0], inner[1]);
}

/// <summary>A line that has no name.</summary>
/// <param name="Style">One of the line styles of CSS.</param>
public sealed record LineValue(Value Width, string Style, Value Color) : Value
{
    public override ImmutableArray<Value> Inner => [Width, Color];

    public override Value With(ImmutableArray<Value> inner) => this with { Width = inner[0], Color = inner[1] };
}

/// <summary>A shadow that has no name: its layers, the first on top.</summary>
public sealed record ShadowValue(ImmutableArray<Value> Layers) : Value
{
    public override ImmutableArray<Value> Inner => Layers;

    public override Value With(ImmutableArray<Value> inner) => new ShadowValue(inner);

    public bool Equals(ShadowValue? other) => other is not null && Layers.AsSpan().SequenceEqual(other.Layers.AsSpan());

    public override int GetHashCode() => Layers.Length;
}

/// <summary>A layer of a shadow that has no name.</summary>
/// <param name="IsInner">Whether it falls inside the box.</param>
/// <param name="Opacity">%.</param>
public sealed record ShadowLayerValue(bool IsInner, Value X, Value Y, Value Blur, Value Spread, Value Color, decimal Opacity) : Value
{
    public override ImmutableArray<Value> Inner => [X, Y, Blur, Spread, Color];

    public override Value With(ImmutableArray<Value> inner) => this with { X = inner[0], Y = inner[1], Blur = inner[2], Spread = inner[3], Color = inner[4] };
}

/// <summary>What a change takes: how long, at what pace, and after how long.</summary>
public sealed record ChangeValue(Value Duration, Value Easing, Value Delay) : Value
{
    public override ImmutableArray<Value> Inner => [Duration, Easing, Delay];

    public override Value With(ImmutableArray<Value> inner) => new ChangeValue(inner[0], inner[1], inner[2]);
}

/// <summary>A place on an axis of a variable font.</summary>
/// <param name="Tag">Four letters, such as <c>opsz</c>.</param>
public sealed record AxisValue(string Tag, decimal Number) : Value;

/// <summary>Several values in order; none where there is nothing.</summary>
public sealed record ListValue(ImmutableArray<Value> Values) : Value
{
    public override ImmutableArray<Value> Inner => Values;

    public override Value With(ImmutableArray<Value> inner) => new ListValue(inner);

    public bool Equals(ListValue? other) => other is not null && Values.AsSpan().SequenceEqual(other.Values.AsSpan());

    public override int GetHashCode() => Values.Length;
}

/// <summary>Columns of different widths: how much of what there is each of them takes.</summary>
/// <param name="Shares">Plain numbers, from the first column to the last.</param>
public sealed record RatioValue(ImmutableArray<Value> Shares) : Value
{
    public override ImmutableArray<Value> Inner => Shares;

    public override Value With(ImmutableArray<Value> inner) => new RatioValue(inner);

    public bool Equals(RatioValue? other) => other is not null && Shares.AsSpan().SequenceEqual(other.Shares.AsSpan());

    public override int GetHashCode() => Shares.Length;
}

/// <summary>The one way to go through what a value is made of.</summary>
public static class ValueFold
{
    /// <summary>A value and all it is made of, outer before inner.</summary>
    public static IEnumerable<Value> WithInner(this Value value) => value.Inner.IsEmpty ? [value] : value.Inner.SelectMany(WithInner).Prepend(value);

    /// <summary>The value with each of its parts changed, inner before outer. What does not change stays the same object.</summary>
    public static Value Map(this Value value, Func<Value, Value> change)
    {
        var inner = value.Inner;
        if (inner.IsEmpty) return change(value);
        var changed = inner.Select(v => v.Map(change)).ToImmutableArray();
        return change(changed.Zip(inner).All(p => ReferenceEquals(p.First, p.Second)) ? value : value.With(changed));
    }

    /// <summary>Whether it says something relative to Rest.</summary>
    public static bool DependsOnRest(this Value value) => value.WithInner().Any(v => v is RestValue);

    /// <summary>The references it is made of.</summary>
    public static IEnumerable<ReferenceValue> References(this Value value) => value.WithInner().OfType<ReferenceValue>();

    /// <summary>The number of a plain value; 0 for what is none.</summary>
    public static decimal Amount(this Value value) => value is NumberValue number ? number.Number : 0;

    /// <summary>The code of a word; empty for what is none.</summary>
    public static string Code(this Value value) => value is WordValue word ? word.Word : "";
}
