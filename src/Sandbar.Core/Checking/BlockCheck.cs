using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Checking;

/// <summary>What a block carries beside content and look: its name, its address, its classes, and where it is hidden.</summary>
internal static partial class BlockCheck
{
    /// <summary>Longest line of text, in characters.</summary>
    public const int LongestLine = 1000;

    private const int LongestAddress = 60;

    /// <summary>Classes that parts go by.</summary>
    private static readonly HashSet<string> Taken = [.. PartCatalogue.All.Where(p => p.Hook.StartsWith('.')).Select(p => p.Hook[1..])];

    /// <summary>What is wrong with a block by itself and among those of its page.</summary>
    public static IEnumerable<Problem> Problems(Site site, Block block)
    {
        foreach (var problem in Alone(block)) yield return problem;
        if (block.Address.Length == 0) yield break;
        var place = BlockTree.PlaceOf(site, block.Id);
        // What stands in the frame is on every page.
        var beside = place?.Page is { } page ? Blocks.OnPage(site, site.Pages.Get(page)) : Blocks.Outermost(site);
        if (beside.SelectMany(Blocks.WithInner).FirstOrDefault(b => b.Id != block.Id && b.Address == block.Address) is { } other)
            yield return new("/address", $"{other.Name} has this address already.");
    }

    /// <summary>What is wrong with a block by itself.</summary>
    public static IEnumerable<Problem> Alone(Block block)
    {
        if (Line(block.Name) is { } name) yield return new("/name", name);
        if (block.Address.Length > 0 && (block.Address.Length > LongestAddress || !Names.IsSlug(block.Address))) yield return new("/address", "An address within a page is lower-case letters, digits and hyphens, and begins with a letter.");
        else if (block.Address.StartsWith("field-", StringComparison.Ordinal)) yield return new("/address", "Fields of forms go by addresses that begin with field-: choose another.");
        if (block.Classes.Length > LongestLine) yield return new("/classes", $"That is longer than {LongestLine} characters.");
        foreach (var one in block.Classes.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            if (!Class().IsMatch(one)) yield return new("/classes", $"{Quoted.Text(one)} is no class: letters, digits, hyphens and underscores, not beginning with a digit.");
            else if (Taken.Contains(one) || one.StartsWith("own-", StringComparison.Ordinal) || one.StartsWith("hidden-", StringComparison.Ordinal)) yield return new("/classes", $"{Quoted.Text(one)} is a class that parts go by: choose another.");
        }
        if (block.HiddenAt.Length > 0 && block.HiddenAt != string.Join(' ', Breaks.Names.Where(block.HiddenAt.Split(' ').Contains))) yield return new("/hiddenAt", "There are narrow, middle and wide windows.");
    }

    /// <summary>What is wrong with a line of text that may be empty; null where nothing is.</summary>
    public static string? Line(string text) =>
        text.Length > LongestLine ? $"That is longer than {LongestLine} characters." : text.Any(char.IsControl) ? "That is not a single line of text." : null;

    [GeneratedRegex(@"^-?[A-Za-z_][A-Za-z0-9_-]*\z")]
    private static partial Regex Class();
}
