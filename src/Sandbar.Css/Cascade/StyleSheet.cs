using System.Collections.Immutable;
using Sandbar.Css.Documents;
using Sandbar.Css.Syntax;

namespace Sandbar.Css.Cascade;

/// <summary>Where a declaration comes from, weakest first (CSS Cascade 5, §6.1). What the <c>style</c> attribute says is of the author.</summary>
public enum Origin
{
    /// <summary>What browsers begin with.</summary>
    UserAgent,

    /// <summary>Attributes of old that say how something looks (HTML, "presentational hints"): of the author, and before all sheets.</summary>
    Hint,

    Author,
}

/// <summary>A sheet as the cascade takes it: read once, for as many pages and windows as are asked about.</summary>
/// <param name="node">The parsed sheet.</param>
/// <param name="name">What to call it; null for the browser's own.</param>
public sealed class StyleSheet(StyleSheetNode node, string? name, Origin origin = Origin.Author)
{
    private ImmutableArray<SheetItem> items;

    public StyleSheetNode Node => node;

    public string? Name => name;

    public Origin Origin => origin;

    /// <summary>The media it is for; empty for all.</summary>
    public ImmutableArray<ComponentValue> Media { get; init; } = [];

    /// <summary>The element that it, or what links to it, stands in: what a scope without a root of its own begins at. Null for the root of the page.</summary>
    public Element? Around { get; init; }

    /// <summary>Finds a sheet it imports; null where there is none. Nothing is ever fetched.</summary>
    public Func<string, StyleSheet?>? Import { get; init; }

    /// <summary>Whether it is for elements of HTML alone, or for others alone; null for all.</summary>
    internal bool? IsForHtml { get; init; }

    /// <summary>Its rules one after the other, what is nested in others too.</summary>
    internal ImmutableArray<SheetItem> Items
    {
        get
        {
            // Found twice by two at once, it is the same.
            if (items.IsDefault) items = RuleReader.Read(this);
            return items;
        }
    }

    /// <summary>Its style rules one after the other; those with rules among their declarations in pieces.</summary>
    public IEnumerable<StyleRule> Rules => Items.OfType<RuleItem>().Select(i => i.Rule);

    /// <summary>Whether it imports others.</summary>
    public bool HasImports => Items.Any(i => i is ImportItem);

    /// <summary>Reads a sheet.</summary>
    public static StyleSheet Parse(string css, string? name, Origin origin = Origin.Author) => new(Parser.ParseStyleSheet(css), name, origin);

    /// <summary>What browsers begin with, for HTML, and for drawings and formulas.</summary>
    public static ImmutableArray<StyleSheet> UserAgent { get; } = [Own("user-agent.css", isForHtml: true), Own("user-agent-foreign.css", isForHtml: false)];

    /// <summary>What pages without a doctype begin with besides.</summary>
    internal static StyleSheet Quirks { get; } = Own("user-agent-quirks.css", isForHtml: true);

    private static StyleSheet Own(string file, bool isForHtml) =>
        new(Parser.ParseStyleSheet(System.Text.Encoding.UTF8.GetString(EmbeddedFile.Read(typeof(StyleSheet).Assembly, file))), null, Origin.UserAgent) { IsForHtml = isForHtml };
}
