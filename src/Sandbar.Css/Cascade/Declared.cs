using System.Collections.Frozen;
using System.Collections.Immutable;
using Sandbar.Css.Grammar;
using Sandbar.Css.Properties;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Words that stand for a whole value (CSS Cascade 5, §7.3).</summary>
public enum WideKeyword
{
    None,
    Initial,
    Inherit,
    Unset,
    Revert,
    RevertLayer,
}

/// <summary>A declaration, and what it sets.</summary>
public sealed class Declared
{
    private static readonly FrozenDictionary<string, WideKeyword> Keywords = new Dictionary<string, WideKeyword>(StringComparer.OrdinalIgnoreCase)
    {
        ["initial"] = WideKeyword.Initial,
        ["inherit"] = WideKeyword.Inherit,
        ["unset"] = WideKeyword.Unset,
        ["revert"] = WideKeyword.Revert,
        ["revert-layer"] = WideKeyword.RevertLayer,
    }.ToFrozenDictionary(StringComparer.OrdinalIgnoreCase);

    private ImmutableArray<Assignment> assignments;
    private Verdict? verdict;
    private ImmutableArray<string> reads;

    /// <param name="rule">The rule it stands in; null where it stands on the element.</param>
    /// <param name="isTrusted">Whether it is the browser's own, in which words stand that pages cannot use.</param>
    internal Declared(DeclarationNode node, StyleRule? rule, bool isTrusted = false)
    {
        (Node, Rule, this.verdict) = (node, rule, isTrusted ? new Verdict.Valid() : null);
        IsCustom = node.Name.StartsWith("--", StringComparison.Ordinal);
        Name = IsCustom ? node.Name : node.Name.ToLowerInvariant();
        Sets = IsCustom ? [] : CssProperties.SetBy(Name);
        Keyword = node.Value is [Token { Kind: TokenKind.Ident } word] && Keywords.TryGetValue(word.Text, out var keyword) ? keyword : WideKeyword.None;
        HoldsVariables = Keyword == WideKeyword.None && Variables.AreIn(node.Value);
    }

    public DeclarationNode Node { get; }

    public StyleRule? Rule { get; }

    /// <summary>In lower case, except of a custom property.</summary>
    public string Name { get; }

    public bool IsCustom { get; }

    public bool IsImportant => Node.Important;

    public WideKeyword Keyword { get; }

    /// <summary>Whether something is put in the place of a part of it before it is read.</summary>
    public bool HoldsVariables { get; }

    /// <summary>Names of the custom properties it reads, in their order.</summary>
    public ImmutableArray<string> Reads
    {
        get
        {
            if (reads.IsDefault) reads = HoldsVariables ? [.. Variables.Names(Node.Value)] : [];
            return reads;
        }
    }


    /// <summary>Whether an attribute is put in the place of a part of it.</summary>
    internal bool AsksAttributes => HoldsVariables && Variables.AttributesAreIn(Node.Value);

    /// <summary>The properties it is for; none of a custom one.</summary>
    public ImmutableArray<Property> Sets { get; }

    /// <summary>What came of holding it against the grammar of its property: browsers leave out what it does not take.</summary>
    public Verdict Verdict => verdict ??= Check();

    public bool IsValid => Verdict is Verdict.Valid or Verdict.Later;

    /// <summary>What it sets a property to; null where that is known only where variables are.</summary>
    internal ImmutableArray<ComponentValue>? For(Property property)
    {
        if (HoldsVariables) return null;
        if (assignments.IsDefault) assignments = Shorthands.Expand(Name, Node.Value) ?? [];
        return Values(assignments, property);
    }

    internal static ImmutableArray<ComponentValue>? Values(ImmutableArray<Assignment> assignments, Property property)
    {
        foreach (var assignment in assignments)
        {
            if (assignment.Property == property) return assignment.Values;
        }
        return null;
    }

    private Verdict Check()
    {
        if (!IsCustom && Sets.IsEmpty) return new Verdict.Unknown(PropertyNames.Nearest(Name));
        // The browser may know more than is written down: what cannot be given to the properties it stands for does not count either.
        var found = PropertyGrammars.All.Check(Name, Node.Value);
        if (found is not Verdict.Valid || IsCustom || Keyword != WideKeyword.None || Sets.Length == 1 && CssProperties.Find(Name) is not null) return found;
        if (assignments.IsDefault && Shorthands.Expand(Name, Node.Value) is { } expanded) assignments = expanded;
        return assignments.IsDefault ? new Verdict.Invalid(Node.Start, []) : found;
    }
}
