using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Editing;

/// <summary>Adds a post.</summary>
/// <param name="Post">Its new id.</param>
/// <param name="Date">Its day, as typed.</param>
public sealed record AddPost(string Post, string Title, string Date) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Names.CheckId(Post, site.Posts.Find(Post) is not null, "/post") is { } badId) return badId;
        if (site.Posts.Length >= PostCheck.MostPosts) return new Problem("/post", $"A site has at most {PostCheck.MostPosts} posts.");
        if (PostCheck.Title(Title) is { } title) return new Problem("/title", title);
        return PostDate.Read(Date) is { } date ? site with { Posts = site.Posts.Insert(0, new(Post, Title.Trim(), date)) } : PostEdits.NoDay(Date, "/date");
    }

    public override string Describe(Site site) => $"Post {Quoted.Text(Title.Trim())} added";
}

/// <summary>Something of a post that is typed or chosen.</summary>
public enum PostField
{
    Title,

    /// <summary>Its day, as typed.</summary>
    Date,

    Text,

    /// <summary>Id of its category.</summary>
    Category,

    /// <summary>Id of its picture on the shelf.</summary>
    Picture,

    PictureInWords,

    /// <summary>Where its title leads, as links have it.</summary>
    To,
}

/// <summary>Sets something of a post; nothing at all takes it away, where it may be away.</summary>
public sealed record SetPost(string Post, PostField Field, string Text) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Posts.Find(Post) is not { } post) return PostEdits.Gone;
        var text = Text.Trim();
        string? none = text.Length == 0 ? null : text;
        var (changed, refusal) = Field switch
        {
            PostField.Title => (post with { Title = text }, PostCheck.Title(Text)),
            PostField.Date => (post with { Date = PostDate.Read(text) ?? post.Date }, PostDate.Read(text) is null ? PostEdits.NoDay(Text, "/text").Message : null),
            PostField.Text => (post with { Text = text }, ContentCheck.Refusal(site, PostCheck.Text, text)),
            PostField.Category => (post with { Category = none }, ContentCheck.Refusal(site, PostCheck.Category, text)),
            PostField.Picture => (post with { Picture = none }, ContentCheck.Refusal(site, PostCheck.Picture, text)),
            PostField.PictureInWords => (post with { PictureInWords = text }, ContentCheck.Refusal(site, PostCheck.PictureInWords, text)),
            _ => (post with { To = text }, ContentCheck.Refusal(site, PostCheck.To, text)),
        };
        return refusal is not null ? new Problem("/text", refusal) : site with { Posts = site.Posts.Put(changed) };
    }

    public override string Describe(Site site) => $"Post {PostEdits.Name(site, Post)} · {Said(site)}";

    private string Said(Site site) => Field switch
    {
        PostField.Title => $"title → {Text.Trim()}",
        PostField.Date => $"day → {(PostDate.Read(Text) is { } date ? PostDate.Said(date) : Text.Trim())}",
        PostField.Category => $"category → {(site.Categories.Find(Text.Trim())?.Name ?? "none")}",
        PostField.PictureInWords => "picture in words",
        PostField.To => "leads to",
        _ => Field.ToString().ToLowerInvariant(),
    };
}

public sealed record RemovePost(string Post) : Edit
{
    protected override Outcome Change(Site site) => site.Posts.Find(Post) is { } post ? site with { Posts = site.Posts.Remove(post) } : PostEdits.Gone;

    public override string Describe(Site site) => $"Post {PostEdits.Name(site, Post)} removed";
}

/// <summary>Adds a category of posts at the end.</summary>
/// <param name="Category">Its new id.</param>
public sealed record AddCategory(string Category, string Name) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Names.CheckId(Category, site.Categories.Find(Category) is not null, "/category") is { } badId) return badId;
        if (site.Categories.Length >= PostCheck.MostCategories) return new Problem("/category", $"A site has at most {PostCheck.MostCategories} categories.");
        return Names.Check(Name, site.Categories.Select(c => c.Name)) is { } badName ? badName : site with { Categories = site.Categories.Add(new(Category, Name.Trim())) };
    }

    public override string Describe(Site site) => $"Category {Name.Trim()} added";
}

/// <summary>Sets what a category is called, where it leads, or both; what is null stays as it is.</summary>
/// <param name="To">As links have it; empty for nowhere.</param>
public sealed record SetCategory(string Category, string? Name, string? To) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Categories.Find(Category) is not { } category) return PostEdits.GoneCategory;
        if (Name is not null && Names.Check(Name, site.Categories.Where(c => c.Id != Category).Select(c => c.Name)) is { } badName) return badName;
        if (To is not null && ContentCheck.Refusal(site, PostCheck.To, To) is { } refusal) return new Problem("/to", refusal);
        return site with { Categories = site.Categories.Put(category with { Name = Name?.Trim() ?? category.Name, To = To ?? category.To }) };
    }

    public override string Describe(Site site) =>
        $"Category {PostEdits.CategoryName(site, Category)} → {string.Join(", ", new[] { Name?.Trim(), To is null ? null : To.Length == 0 ? "nowhere" : Writing.LinkOffers.Say(site, "", To) }.Where(said => said is not null))}";
}

/// <summary>Moves a category among the others.</summary>
/// <param name="To">The place it comes to, from 0.</param>
public sealed record MoveCategory(string Category, int To) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Categories.Find(Category) is not { } category) return PostEdits.GoneCategory;
        return To < 0 || To >= site.Categories.Length ? new Problem("/to", $"There are {site.Categories.Length} places.") : site with { Categories = site.Categories.Remove(category).Insert(To, category) };
    }

    public override string Describe(Site site) => $"Category {PostEdits.CategoryName(site, Category)} moved";
}

/// <summary>Takes a category away. Its posts stay and have none; lists of it list all posts.</summary>
public sealed record RemoveCategory(string Category) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Categories.Find(Category) is not { } category) return PostEdits.GoneCategory;
        return Blocks.Map(site, Without) with { Categories = site.Categories.Remove(category), Posts = site.Posts.Each(p => p.Category == Category ? p with { Category = null } : p) };
    }

    public override string Describe(Site site) => $"Category {PostEdits.CategoryName(site, Category)} removed";

    private Block Without(Block block)
    {
        var inner = block.Blocks.Each(Without);
        if (inner != block.Blocks) block = block with { Blocks = inner };
        foreach (var slot in PartCatalogue.Find(block.Part)?.Slots ?? [])
        {
            if (slot.Kind == SlotKind.Category && block.Content.GetValueOrDefault(slot.Id) == Category) block = block with { Content = block.Content.Remove(slot.Id) };
        }
        return block;
    }
}

internal static class PostEdits
{
    public static readonly Problem Gone = new("/post", "This post is no longer there.");

    public static readonly Problem GoneCategory = new("/category", "This category is no longer there.");

    public static string Name(Site site, string post) => Quoted.Text(site.Posts.Find(post)?.Title ?? "post");

    public static string CategoryName(Site site, string category) => site.Categories.Find(category)?.Name ?? "category";

    public static Problem NoDay(string typed, string path) => new(path, $"{Quoted.Text(typed.Trim())} is no day: type it as 26 November 2026, 26.11.2026 or 2026-11-26.");
}
