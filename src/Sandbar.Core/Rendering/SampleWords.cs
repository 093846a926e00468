using System.Buffers;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>A few of a site's own words: letters are judged by what they will say.</summary>
public static class SampleWords
{
    private const int Shortest = 12, Longest = 48;

    private static readonly SearchValues<char> Marks = SearchValues.Create("*_`[]<");

    /// <summary>The first text of the first pages that is neither a word nor a paragraph; the site's name where there is none.</summary>
    public static string Of(Site site) =>
        site.Pages.SelectMany(p => p.Sections).SelectMany(Blocks.WithInner)
            .SelectMany(block => (PartCatalogue.Find(block.Part)?.Slots ?? []).Where(s => s.Kind == SlotKind.Text).Select(s => block.Content.GetValueOrDefault(s.Id, "")))
            .FirstOrDefault(text => text.Length is >= Shortest and <= Longest && !text.AsSpan().ContainsAny(Marks)) ?? site.Name;
}
