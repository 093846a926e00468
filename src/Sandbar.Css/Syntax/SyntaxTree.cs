using System.Collections.Immutable;

namespace Sandbar.Css.Syntax;

/// <summary>A piece of parsed CSS and where it stands in the source (UTF-16 offsets, end exclusive).</summary>
public record SyntaxNode(int Start, int End);

/// <summary>A component value: a <see cref="Token"/> kept as it is, a function, or a block in brackets.</summary>
public abstract record ComponentValue(int Start, int End) : SyntaxNode(Start, End);

public sealed record FunctionValue(string Name, ImmutableArray<ComponentValue> Values, int Start, int End) : ComponentValue(Start, End);

/// <param name="Open">The bracket it starts with.</param>
public sealed record BlockValue(TokenKind Open, ImmutableArray<ComponentValue> Values, int Start, int End) : ComponentValue(Start, End);

/// <summary>What may stand in a rule's block: a declaration, or a nested rule.</summary>
public abstract record BlockItem(int Start, int End) : SyntaxNode(Start, End);

/// <param name="Value">Without the white space around it and without <c>!important</c>.</param>
public sealed record DeclarationNode(string Name, ImmutableArray<ComponentValue> Value, bool Important, int Start, int End) : BlockItem(Start, End);

public abstract record RuleNode(ImmutableArray<ComponentValue> Prelude, ImmutableArray<BlockItem> Items, int Start, int End) : BlockItem(Start, End);

/// <param name="BlockStart">Where its block opens.</param>
public sealed record StyleRuleNode(ImmutableArray<ComponentValue> Prelude, ImmutableArray<BlockItem> Items, int BlockStart, int Start, int End)
    : RuleNode(Prelude, Items, Start, End);

/// <param name="BlockStart">Where its block opens; −1 for a statement such as <c>@import</c>.</param>
public sealed record AtRuleNode(string Name, ImmutableArray<ComponentValue> Prelude, ImmutableArray<BlockItem> Items, int BlockStart, int Start, int End)
    : RuleNode(Prelude, Items, Start, End)
{
    private static readonly HashSet<string> Groups =
        new(["media", "supports", "layer", "container", "scope", "starting-style", "keyframes", "-webkit-keyframes"], StringComparer.OrdinalIgnoreCase);

    /// <summary>Whether rules stand in an at-rule of that name, rather than descriptors of its own.</summary>
    public static bool HoldsRules(string name) => Groups.Contains(name);
}

/// <summary>A parsed sheet. What could not be read is left out of <paramref name="Rules"/> and named in <paramref name="Errors"/>.</summary>
/// <param name="Comments">The comments, marks included, in the order of the source.</param>
public sealed record StyleSheetNode(string Source, ImmutableArray<RuleNode> Rules, ImmutableArray<SyntaxNode> Comments, ImmutableArray<SyntaxError> Errors)
{
    /// <summary>The source of a node as it was written.</summary>
    public string Text(SyntaxNode node) => Source[node.Start..node.End];
}
