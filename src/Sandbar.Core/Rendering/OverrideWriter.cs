using System.Collections.Immutable;
using System.Text;
using Sandbar.Css.Syntax;

namespace Sandbar.Core.Rendering;

/// <summary>Writes what a designer wrote from what was understood of it, never as it was typed: whatever is wrong with it, what follows it is not touched.</summary>
internal sealed class OverrideWriter
{
    private readonly StringBuilder text = new();
    private readonly StyleSheetNode sheet;
    private readonly SheetUse use;
    private string? written;
    private int nextComment;

    public OverrideWriter(StyleSheetNode sheet, SheetUse use)
    {
        (this.sheet, this.use) = (sheet, use);
        foreach (var rule in sheet.Rules.Where(r => !OverrideText.IsRefused(r) && IsReadable(r)))
        {
            if (text.Length > 0) text.Append('\n');
            Comments(rule.Start, "");
            Rule(rule, "");
        }
        Comments(sheet.Source.Length, "");
    }

    public string Text => written ??= text.ToString();

    /// <summary>Whether the stage's form differs from the released one.</summary>
    public bool HasStates { get; private set; }

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
        Serializer.Append(text, prelude, indent + "  ");
        if (at is { BlockStart: < 0 })
        {
            text.Append(";\n");
        }
        else
        {
            // A comment within a selector is not taken along.
            PassComments(at?.BlockStart ?? ((StyleRuleNode)rule).BlockStart);
            text.Append(" {\n");
            Items(rule.Items, rule.End, indent + "  ");
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
        IsReadable(rule.Prelude) && (rule is AtRuleNode || !rule.Prelude.Any(v => v is TokenValue { Token.Kind: TokenKind.Url }));

    /// <summary>Browsers leave out what holds a string or an address that ends wrongly, or a closing mark without its opening one.</summary>
    private static bool IsReadable(ImmutableArray<ComponentValue> values)
    {
        foreach (var value in values)
        {
            var isReadable = value switch
            {
                FunctionValue function => IsReadable(function.Values),
                BlockValue block => IsReadable(block.Values),
                TokenValue { Token.Kind: TokenKind.BadString or TokenKind.BadUrl or TokenKind.CloseParen or TokenKind.CloseSquare or TokenKind.CloseCurly } => false,
                _ => true,
            };
            if (!isReadable) return false;
        }
        return true;
    }

    private void Comments(int before, string indent)
    {
        for (; nextComment < sheet.Comments.Length && sheet.Comments[nextComment].Start < before; nextComment++)
        {
            var comment = sheet.Text(sheet.Comments[nextComment]);
            var isClosed = comment.Length > 3 && comment.EndsWith("*/", StringComparison.Ordinal);
            text.Append(indent).Append(Serializer.Comment(isClosed ? comment[2..^2] : comment[2..])).Append('\n');
        }
    }

    private void PassComments(int before)
    {
        while (nextComment < sheet.Comments.Length && sheet.Comments[nextComment].Start < before) nextComment++;
    }
}
