namespace Sandbar.Core.Catalogue;

/// <summary>
/// Blocks that stand one below another. What is between two of them is a single margin before the second, made by the site's rule from the space after the
/// one and the space before the other; what says nothing says the gap of the stack. Nothing else has a margin there, so that nothing adds up.
/// </summary>
public static class Stacks
{
    /// <summary>The custom properties it is made from: the space an element wants before it, and the one above it wants after itself.</summary>
    public const string Before = "--space-before", Above = "--space-above";

    /// <summary>Said of what stands in a stack: its gap, and 1 where blocks stand one below another, 0 where they stand side by side.</summary>
    public const string Gap = "--stack-gap", Stacked = "--stacked";

    /// <summary>The same said of a stack itself, which may turn into a row: there the gap counts alone.</summary>
    public const string OwnGap = "--own-gap", OwnStacked = "--own-stacked";

    /// <summary>What follows the selector of a stack to reach what stands in it.</summary>
    public const string Inside = " > *";

    /// <summary>The selector of everything that stacks blocks, which weighs nothing.</summary>
    public static readonly string Selector = $":where({string.Join(", ", PartCatalogue.All.Where(p => p.Stack is not null).Select(p => p.Hook + p.Stack))})";
}
