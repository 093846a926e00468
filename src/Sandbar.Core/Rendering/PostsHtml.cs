using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>The newest posts.</summary>
internal static class PostsHtml
{
    /// <param name="heading">The element of the titles.</param>
    public static void Write(BlockHtml block, string heading)
    {
        var posts = PostLists.OnTurn(block.Page.Site, block.Block, block.Page.Turn).ToList();
        if (posts.Count == 0 && !block.Page.ShowsEmpty) return;
        block.Element("div", [], () =>
        {
            foreach (var post in posts) One(block, post, heading);
            if (posts.Count == 0) block.NothingYet("no posts yet");
        });
    }

    private static void One(BlockHtml block, Post post, string heading)
    {
        block.Piece("article", "post", () =>
        {
            if (Shows("picture") && post.Picture is { } picture) block.Picture(picture, post.PictureInWords, null, []);
            block.Piece("div", "post-body", () =>
            {
                var category = Shows("label") ? block.Page.Site.Categories.FirstOrDefault(c => c.Id == post.Category) : null;
                if (Shows("date") || category is not null)
                {
                    block.Piece("p", "post-facts", () =>
                    {
                        if (Shows("date")) block.Piece("time", "post-date", [("datetime", post.Date)], () => block.Page.Html.Text(PostDate.Said(post.Date)));
                        if (category is not null) block.Piece("span", "post-category", () => block.Page.Html.Text(category.Name));
                    });
                }
                block.Piece(heading, "post-title", () =>
                {
                    if (block.Page.Leads(post.To) is { } to) block.Piece("a", "post-link", [("href", to)], () => block.Page.Html.Text(post.Title));
                    else block.Page.Html.Text(post.Title);
                });
                if (Shows("text") && post.Text.Length > 0) block.Piece("p", "post-text", () => block.Inline(post.Text));
            });
        });

        bool Shows(string piece) => !block.Is(piece, Catalogue.Slot.Hidden);
    }
}

/// <summary>The categories of posts.</summary>
internal static class CategoriesHtml
{
    public static void Write(BlockHtml block, string labelSlot, string countSlot)
    {
        var page = block.Page;
        var categories = page.Site.Categories;
        if (categories.IsEmpty)
        {
            if (page.ShowsEmpty) block.Element("div", [], () => block.NothingYet("no categories yet"));
            return;
        }
        // What leads somewhere is for finding the way (HTML, the nav element).
        if (categories.Any(c => page.Leads(c.To) is not null)) page.Html.Element("nav", [("aria-label", block.Has(labelSlot) ? block.Plain(labelSlot) : "Categories")], List, isPhrase: false);
        else List();

        void List() => block.Element("ul", [], () => { foreach (var category in categories) page.Html.Element("li", [], () => One(category), isPhrase: true); });

        void One(Category category)
        {
            var count = page.Site.Posts.Count(p => p.Category == category.Id);
            void Said() => page.Html.Text(block.Is(countSlot, Catalogue.Slot.Hidden) ? category.Name : $"{category.Name} ({count})");
            if (page.Leads(category.To) is not { } to) block.Piece("span", "category", Said);
            else block.Piece("a", "category", category.To == page.Page.Id ? [("href", to), ("aria-current", "page")] : [("href", to)], Said);
        }
    }
}

/// <summary>What leads to the further pages of the posts on a page.</summary>
internal static class PagingHtml
{
    public static void Write(BlockHtml block, string newerSlot, string olderSlot, string labelSlot)
    {
        var page = block.Page;
        var (turn, turns) = (page.Turn, PostLists.Turns(page.Site, page.Page));
        if (turns == 1)
        {
            if (page.ShowsEmpty) block.Element("div", [], () => block.NothingYet("all posts of this page stand on it"));
            return;
        }
        page.Html.Element("nav", [("aria-label", block.Has(labelSlot) ? block.Plain(labelSlot) : "Pages of posts")], () => block.Element("ul", [], () =>
        {
            if (block.Has(newerSlot)) Item(() => Beside(turn - 1, "prev", newerSlot));
            var last = 0;
            foreach (var at in new[] { 1, turn - 1, turn, turn + 1, turns }.Where(n => n >= 1 && n <= turns).Distinct())
            {
                // What is left out between is neither a page nor read.
                if (at > last + 1) page.Html.Element("li", [("aria-hidden", "true")], () => page.Html.Text("…"), isPhrase: true);
                Item(() => Link(at, at == turn ? [("aria-current", "page")] : [], () => page.Html.Text($"{at}")));
                last = at;
            }
            if (block.Has(olderSlot)) Item(() => Beside(turn + 1, "next", olderSlot));
        }), isPhrase: false);

        void Item(Action inner) => page.Html.Element("li", [], inner, isPhrase: true);

        // Where there is none it leads nowhere (ARIA in HTML, links without href), and nothing else moves.
        void Beside(int to, string rel, string slot)
        {
            if (to >= 1 && to <= turns) Link(to, [("rel", rel)], () => block.Text(slot));
            else block.Piece("a", "paging-link", [("role", "link"), ("aria-disabled", "true")], () => block.Text(slot));
        }

        void Link(int to, (string, string)[] attributes, Action inner) => block.Piece("a", "paging-link", [("href", page.AddressOf(to)), .. attributes], inner);
    }
}
