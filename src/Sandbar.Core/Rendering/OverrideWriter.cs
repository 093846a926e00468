using System.Collections.Immutable;
using System.Text;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>Writes what a designer wrote from what was understood of it, never as it was typed: whatever is wrong with it, what follows it is not touched.</summary>
internal sealed class OverrideWriter
{
    private readonly StringBuilder text = new();
    private readonly string source;
    private readonly ImmutableArray<SyntaxNode> comments;
    private readonly SheetUse use;
    private int nextComment;

    public OverrideWriter(string source, ImmutableArray<SyntaxNode> comments, SheetUse use) => (this.source, this.comments, this.use) = (source, comments, use);

    /// <summary>Whether the stage's form differs from the released one.</summary>
    public bool HasStates { get; private set; }

    /// <summary>Writes the next rule of the sheet, and the comments before it.</summary>
    public void Add(RuleNode rule)
    {
        if (OverrideText.IsRefused(rule) || !IsReadable(rule)) return;
        if (text.Length > 0) text.Append('\n');
        Comments(rule.Start, "");
        Rule(rule, "");
    }

    /// <summary>All of it, with the comments after the last rule.</summary>
    public string Finish()
    {
        Comments(source.Length, "");
        return text.ToString();
    }

    private void Items(ImmutableArray<BlockItem> items, int end, string indent)
    {
        foreach (var item in items)
        {
            Comments(item.Start, indent);
            if (item is RuleNode rule && IsReadable(rule)) Rule(rule, indent);
            else if (item is DeclarationNode declaration && IsReadable(declaration.Value)) Declaration(declaration, indent);
        }
        Comments(end, indent);
    }

    private void Rule(RuleNode rule, string indent)
    {
        var at = rule as AtRuleNode;
        text.Append(indent);
        if (at is not null) text.Append('@').Append(Serializer.Identifier(at.Name)).Append(at.Prelude.IsEmpty ? "" : " ");
        var prelude = use == SheetUse.Stage && at is null ? ForcedStates.In(rule.Prelude) : rule.Prelude;
        HasStates |= prelude != rule.Prelude;
        var within = indent + "  ";
        Serializer.Append(text, prelude, within);
        if (at is { BlockStart: < 0 })
        {
            text.Append(";\n");
        }
        else
        {
            // A comment within a selector is not taken along.
            PassComments(at?.BlockStart ?? ((StyleRuleNode)rule).BlockStart);
            text.Append(" {\n");
            Items(rule.Items, rule.End, within);
            text.Append(indent).Append("}\n");
        }
        PassComments(rule.End);
    }

    private void Declaration(DeclarationNode declaration, string indent)
    {
        PassComments(declaration.End);
        text.Append(indent).Append(Serializer.Identifier(declaration.Name)).Append(':');
        if (!declaration.Value.IsEmpty) text.Append(' ');
        Serializer.Append(text, declaration.Value, indent + "  ");
        text.Append(declaration.Important ? " !important;\n" : ";\n");
    }

    /// <summary>No selector holds an address.</summary>
    private static bool IsReadable(RuleNode rule) =>
        IsReadable(rule.Prelude) && (rule is AtRuleNode || !rule.Prelude.Any(v => v is Token { Kind: TokenKind.Url }));

    /// <summary>Browsers leave out what holds a string or an address that ends wrongly, or a closing mark without its opening one.</summary>
    private static bool IsReadable(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            var isReadable = value switch
            {
                FunctionValue function => IsReadable(function.Values),
                BlockValue block => IsReadable(block.Values),
                Token { Kind: TokenKind.BadString or TokenKind.BadUrl or TokenKind.CloseParen or TokenKind.CloseSquare or TokenKind.CloseCurly } => false,
                _ => true,
            };
            if (!isReadable) return false;
        }
        return true;
    }

    private void Comments(int before, string indent)
    {
        for (; nextComment < comments.Length && comments[nextComment].Start < before; nextComment++)
        {
            var comment = source[comments[nextComment].Start..comments[nextComment].End];
            var isClosed = comment.Length > 3 && comment.EndsWith("*/", StringComparison.Ordinal);
            text.Append(indent).Append(Serializer.Comment(isClosed ? comment[2..^2] : comment[2..])).Append('\n');
        }
    }

    private void PassComments(int before)
    {
        while (nextComment < comments.Length && comments[nextComment].Start < before) nextComment++;
    }
}
