using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Checking;

/// <summary>Posts and the categories they are sorted into.</summary>
internal static class PostCheck
{
    public const int MostPosts = 500;

    public const int MostCategories = 100;

    /// <summary>What a post holds besides its title and its day, as slots of blocks do.</summary>
    public static readonly Slot
        Text = new("text", "Text", SlotKind.Text), Category = new("category", "Category", SlotKind.Category), Picture = new("picture", "Picture", SlotKind.Picture),
        PictureInWords = new("alt", "Picture in words", SlotKind.Spoken), To = new("to", "Leads to", SlotKind.Link);

    public static IEnumerable<Problem> Problems(Site site)
    {
        foreach (var problem in Ids.Problems("/posts", site.Posts).Concat(Ids.Problems("/categories", site.Categories))) yield return problem;
        if (site.Posts.Length > MostPosts) yield return new("/posts", $"A site has at most {MostPosts} posts.");
        if (site.Categories.Length > MostCategories) yield return new("/categories", $"A site has at most {MostCategories} categories.");
        foreach (var post in site.Posts.Take(MostPosts))
        {
            if (Title(post.Title) is { } title) yield return new($"/posts/{post.Id}/title", title);
            if (!PostDate.IsStored(post.Date)) yield return new($"/posts/{post.Id}/date", "The day of a post is written as 2026-11-26.");
            foreach (var (slot, held) in new[] { (Text, post.Text), (Category, post.Category), (Picture, post.Picture), (PictureInWords, post.PictureInWords), (To, post.To) })
            {
                if (held is { Length: > 0 } && ContentCheck.Broken(site, slot, held) is { } refusal) yield return new($"/posts/{post.Id}/{slot.Id}", refusal);
            }
        }
        foreach (var (category, at) in site.Categories.Take(MostCategories).Select((c, i) => (c, i)))
        {
            if (Names.Check(category.Name, site.Categories.Take(at).Select(c => c.Name), $"/categories/{category.Id}/name") is { } name) yield return name;
            if (category.To.Length > 0 && ContentCheck.Broken(site, To, category.To) is { } refusal) yield return new($"/categories/{category.Id}/to", refusal);
        }
    }

    /// <summary>What is wrong with the title of a post; null where nothing is.</summary>
    public static string? Title(string text) => text.Trim().Length == 0 ? "Give the post a title." : BlockCheck.Line(text);
}
