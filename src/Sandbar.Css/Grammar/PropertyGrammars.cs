using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.Json;
using System.Text.RegularExpressions;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Grammar;

/// <summary>What came of holding a declaration against the grammar of its property.</summary>
public abstract record Verdict
{
    /// <summary>It is as the property takes it.</summary>
    public sealed record Valid : Verdict;

    /// <summary>It holds a variable: what it comes to is known where it is used.</summary>
    public sealed record Later : Verdict;

    /// <summary>It is longer than anybody writes one, and so has not been held against the grammar to its end.</summary>
    public sealed record Unread : Verdict;

    /// <summary>There is no such property.</summary>
    /// <param name="Nearest">The one it is most likely a slip of; null where none is near.</param>
    public sealed record Unknown(string? Nearest) : Verdict;

    /// <summary>The property takes something else.</summary>
    /// <param name="At">Where in the text it stops being as it must be.</param>
    /// <param name="Expected">What could stand there, in the words of the standard; empty where nothing more could.</param>
    public sealed record Invalid(int At, ImmutableArray<string> Expected) : Verdict;
}

/// <summary>The grammars of the properties, as data. Source: css-tree, which carries MDN's data and its own patch; written by scripts/make-css-data.mjs.</summary>
public sealed partial class PropertyGrammars
{
    private static readonly FrozenSet<string> Wide = FrozenSet.Create(StringComparer.OrdinalIgnoreCase, "initial", "inherit", "unset", "revert", "revert-layer");

    /// <summary>Functions that something else is put in the place of before the value is read (CSS Values 5, "arbitrary substitution functions").</summary>
    private static readonly FrozenSet<string> Substituted = FrozenSet.Create(StringComparer.OrdinalIgnoreCase, "var", "env", "attr", "if", "inherit");

    private readonly FrozenDictionary<string, string> properties, types;
    private readonly FrozenDictionary<string, FrozenDictionary<string, string>> descriptors;
    private readonly ConcurrentDictionary<string, ValueDefinition?> read = new(StringComparer.OrdinalIgnoreCase);
    private readonly ConcurrentDictionary<TypeDefinition, ValueDefinition?> ranged = [];

    private PropertyGrammars()
    {
        using var document = JsonDocument.Parse(EmbeddedFile.Read(typeof(PropertyGrammars).Assembly, "grammars.json"));
        properties = Texts(document.RootElement.GetProperty("properties"));
        types = Texts(document.RootElement.GetProperty("types"));
        descriptors = document.RootElement.GetProperty("descriptors").EnumerateObject().ToFrozenDictionary(rule => rule.Name, rule => Texts(rule.Value), StringComparer.OrdinalIgnoreCase);
    }

    public static PropertyGrammars All { get; } = new();

    /// <summary>The properties whose grammar is written down.</summary>
    public IReadOnlyList<string> Names => properties.Keys;

    private static FrozenDictionary<string, string> Texts(JsonElement map) =>
        map.EnumerateObject().ToFrozenDictionary(p => p.Name, p => p.Value.GetString()!, StringComparer.OrdinalIgnoreCase);

    /// <summary>Holds a declaration against the grammar of its property.</summary>
    /// <param name="name">The property's, letters of either case.</param>
    /// <param name="value">Without <c>!important</c>.</param>
    public Verdict Check(string name, ImmutableArray<ComponentValue> value)
    {
        if (value.FirstOrDefault(IsBroken) is { } broken) return new Verdict.Invalid(broken.Start, []);
        if (name.StartsWith("--", StringComparison.Ordinal)) return new Verdict.Valid();
        if (!PropertyNames.IsKnown(name)) return new Verdict.Unknown(PropertyNames.Nearest(name));
        if (value is [Token { Kind: TokenKind.Ident } word] && Wide.Contains(word.Text)) return new Verdict.Valid();
        if (HoldsSubstituted(value)) return new Verdict.Later();
        // Of some that browsers know no grammar is written down.
        if (OfProperty(name) is not { } definition) return new Verdict.Valid();
        return Matched(definition, value);
    }

    private Verdict Matched(ValueDefinition definition, ImmutableArray<ComponentValue> value)
    {
        var matcher = new ValueMatcher(this);
        return matcher.Matches(definition, value) ? matcher.IsGivenUp ? new Verdict.Unread() : new Verdict.Valid() : new Verdict.Invalid(matcher.Furthest, [.. matcher.Expected.Select(ValueDefinitionText.Of).Distinct().Order(StringComparer.Ordinal)]);
    }

    /// <summary>Whether it is written down what descriptors an at-rule takes.</summary>
    public bool KnowsDescriptorsOf(string atRule) => descriptors.ContainsKey(atRule);

    /// <summary>Names of the descriptors an at-rule takes.</summary>
    /// <param name="atRule">One of <see cref="KnowsDescriptorsOf"/>.</param>
    public IReadOnlyList<string> DescriptorsOf(string atRule) => descriptors[atRule].Keys;

    /// <summary>Holds a descriptor against its grammar; one that is not written down for its rule is unknown.</summary>
    /// <param name="atRule">One of <see cref="KnowsDescriptorsOf"/>.</param>
    public Verdict CheckDescriptor(string atRule, string name, ImmutableArray<ComponentValue> value)
    {
        var known = descriptors[atRule];
        if (!known.TryGetValue(name, out var text)) return new Verdict.Unknown(known.Keys.FirstOrDefault(k => k.Replace("-", "", StringComparison.Ordinal).Equals(name.Replace("-", "", StringComparison.Ordinal), StringComparison.OrdinalIgnoreCase)));
        if (value.FirstOrDefault(IsBroken) is { } broken) return new Verdict.Invalid(broken.Start, []);
        if (name.Equals("unicode-range", StringComparison.OrdinalIgnoreCase)) return UnicodeRanges.Wrong(value) is { } at ? new Verdict.Invalid(at, ["U+26", "U+0-7F", "U+4??"]) : new Verdict.Valid();
        return text.Length == 0 ? new Verdict.Valid() : Matched(read.GetOrAdd($"@{atRule}'{name}'", _ => ValueDefinitionParser.Parse(text))!, value);
    }

    /// <summary>Whether values are of a syntax as <c>@property</c> names it: types, words, bars between them, signs for more than one (CSS Properties and Values 1, §5).</summary>
    public bool IsOf(string syntax, ImmutableArray<ComponentValue> value)
    {
        if (syntax == "*") return true;
        return Registered().IsMatch(syntax) && !value.IsEmpty && !value.Any(IsBroken) && new ValueMatcher(this).Matches(ValueDefinitionParser.Parse(syntax), value);
    }

    [GeneratedRegex(@"^\s*(<(angle|color|custom-ident|image|integer|length|length-percentage|number|percentage|resolution|string|time|transform-function|transform-list|url)>|[a-zA-Z][\w-]{0,60})[+#]?(\s*\|\s*(<(angle|color|custom-ident|image|integer|length|length-percentage|number|percentage|resolution|string|time|transform-function|transform-list|url)>|[a-zA-Z][\w-]{0,60})[+#]?){0,30}\s*$")]
    private static partial Regex Registered();

    /// <summary>What a property takes; null where that is not written down.</summary>
    public ValueDefinition? OfProperty(string name) => read.GetOrAdd($"'{name}'", _ => properties.TryGetValue(name, out var text) ? ValueDefinitionParser.Parse(text) : null);

    /// <summary>What a type is made of; null where that is not written down. A range is one of all the numbers in it.</summary>
    internal ValueDefinition? OfType(TypeDefinition type) => ranged.GetOrAdd(type, t => (t, read.GetOrAdd(t.Name, _ => types.TryGetValue(t.Name, out var text) ? ValueDefinitionParser.Parse(text) : null)) switch
    {
        (_, null) => null,
        ({ Min: null, Max: null }, var whole) => whole,
        var (_, whole) => Within(whole, t),
    });

    private static ValueDefinition Within(ValueDefinition definition, TypeDefinition range) => definition switch
    {
        TypeDefinition type => type with { Min = type.Min ?? range.Min, Max = type.Max ?? range.Max },
        GroupDefinition group => group with { Members = [.. group.Members.Select(m => Within(m, range))] },
        _ => definition,
    };

    /// <summary>Whether something can stand in no declaration at all (CSS Syntax 3, §5.4.4; CSS Custom Properties 1, §2).</summary>
    private static bool IsBroken(ComponentValue value) => value switch
    {
        Token { Kind: TokenKind.BadString or TokenKind.BadUrl or TokenKind.CloseParen or TokenKind.CloseSquare or TokenKind.CloseCurly or TokenKind.Semicolon } => true,
        Token sign => sign.IsDelim('!'),
        FunctionValue function => function.Values.Any(IsBadInside),
        BlockValue block => block.Values.Any(IsBadInside),
        _ => false,
    };

    private static bool IsBadInside(ComponentValue value) => value is Token { Kind: TokenKind.BadString or TokenKind.BadUrl or TokenKind.CloseParen or TokenKind.CloseSquare or TokenKind.CloseCurly }
        || value is FunctionValue function && function.Values.Any(IsBadInside) || value is BlockValue block && block.Values.Any(IsBadInside);

    private static bool HoldsSubstituted(ImmutableArray<ComponentValue> values) => values.Any(v => v switch
    {
        FunctionValue function => Substituted.Contains(function.Name) || HoldsSubstituted(function.Values),
        BlockValue block => HoldsSubstituted(block.Values),
        _ => false,
    });
}
