using Sandbar.Core.Design;

namespace Sandbar.Server;

/// <summary>A post; they are listed as pages list them, the newest first.</summary>
/// <param name="Day">In words.</param>
/// <param name="Category">Id of its category; null for none.</param>
/// <param name="Picture">Id of its picture; null for none.</param>
/// <param name="To">Where its title leads, as links have it; empty for nowhere.</param>
public sealed record PostView(string Id, string Title, string Day, string Text, string? Category, string? Picture, string PictureInWords, string To)
{
    public static PostView Of(Post post) => new(post.Id, post.Title, PostDate.Said(post.Date), post.Text, post.Category, post.Picture, post.PictureInWords, post.To);
}

/// <param name="To">Where it leads, as links have it; empty for nowhere.</param>
/// <param name="Posts">How many posts are of it.</param>
public sealed record CategoryView(string Id, string Name, string To, int Posts)
{
    public static CategoryView Of(Site site, Category category) => new(category.Id, category.Name, category.To, site.Posts.Count(p => p.Category == category.Id));
}
