using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>What can be done with the values of one record: one file each.</summary>
public abstract class ValueForm
{
    /// <summary>The record it is for.</summary>
    public abstract Type For { get; }

    internal abstract string WriteAny(Site site, Value value);

    internal abstract string CssAny(SiteReads reads, Value value, Value? rest);

    internal abstract CssType? TypeOfAny(Site site, Value value, Value? rest);

    internal abstract string? RefusalAny(Site site, Value value, Value? rest);

    internal abstract Value MovedAny(Value value, int step);
}

/// <inheritdoc cref="ValueForm"/>
public abstract class ValueForm<T> : ValueForm
    where T : Value
{
    public sealed override Type For => typeof(T);

    /// <summary>As a designer reads it.</summary>
    protected abstract string Write(Site site, T value);

    /// <summary>As CSS.</summary>
    protected abstract string Css(SiteReads reads, T value, Value? rest);

    /// <summary>What it is in CSS; null where it is nothing that could be written.</summary>
    protected abstract CssType? TypeOf(Site site, T value, Value? rest);

    /// <summary>What is wrong with it wherever it stands, in a sentence; null where nothing is. What it is made of has been looked at before.</summary>
    protected virtual string? Refusal(Site site, T value, Value? rest) => null;

    /// <summary>The value some steps along its row; only colours have a row.</summary>
    protected virtual Value Moved(T value, int step) => value;

    internal sealed override string WriteAny(Site site, Value value) => Write(site, (T)value);

    internal sealed override string CssAny(SiteReads reads, Value value, Value? rest) => Css(reads, (T)value, rest);

    internal sealed override CssType? TypeOfAny(Site site, Value value, Value? rest) => TypeOf(site, (T)value, rest);

    internal sealed override string? RefusalAny(Site site, Value value, Value? rest) => Refusal(site, (T)value, rest);

    internal sealed override Value MovedAny(Value value, int step) => Moved((T)value, step);
}

/// <summary>Values of any form.</summary>
public static class ValueForms
{
    private static readonly Dictionary<Type, ValueForm> ByRecord = Described.AllOf<ValueForm>().ToDictionary(f => f.For);

    /// <summary>As a designer reads it. A word is read by the setting that takes it.</summary>
    public static string Write(Site site, Value value) => Of(value).WriteAny(site, value);

    /// <summary>As CSS: references become <c>var()</c>, arithmetic <c>calc()</c>.</summary>
    /// <param name="rest">The value of Rest that values relative to it refer to; null where there is none.</param>
    /// <exception cref="InvalidOperationException">A value relative to Rest stands where there is no Rest to refer to.</exception>
    public static string Css(SiteReads reads, Value value, Value? rest = null) => Of(value).CssAny(reads, value, rest);

    /// <summary>What it is in CSS; null where it is nothing that could be written.</summary>
    public static CssType? TypeOf(Site site, Value value, Value? rest = null) => Of(value).TypeOfAny(site, value, rest);

    /// <summary>What is wrong with a value or with one it is made of, in a sentence; null where nothing is.</summary>
    public static string? Refusal(Site site, Value value, Value? rest = null) =>
        value.Inner.Select(inner => Refusal(site, inner, rest)).FirstOrDefault(r => r is not null) ?? Of(value).RefusalAny(site, value, rest);

    /// <summary>A value some steps along its row; only colours have a row.</summary>
    public static Value Moved(Value value, int step) => step == 0 ? value : Of(value).MovedAny(value, step);

    private static ValueForm Of(Value value) => ByRecord[value.GetType()];
}
