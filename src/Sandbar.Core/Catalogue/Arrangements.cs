using System.Collections.Immutable;
using Sandbar.Core.Design;

namespace Sandbar.Core.Catalogue;

/// <summary>A section to begin with: parts that are there, in looks of the site, with nothing written in them yet.</summary>
/// <param name="Says">What it is for, in a few words.</param>
public sealed record Arrangement(string Id, string Name, string Says, Planned Section)
{
    /// <param name="id">Of the section; what is inside counts on from it.</param>
    public Block Make(Site site, string id)
    {
        var n = 0;
        return Made(Section, id);

        Block Made(Planned planned, string own)
        {
            var part = PartCatalogue.Get(planned.Part);
            var block = NewBlock.Of(site, part, own);
            var look = site.Looks.FirstOrDefault(l => l.Part == part.Id && l.Id == $"{part.Id}-{planned.Look}");
            return block with
            {
                Name = ReferenceEquals(planned, Section) ? Name : part.Name,
                Look = look?.Id ?? block.Look,
                Blocks = [.. planned.Blocks.Select(inner => Made(inner, $"{id}-{++n}"))],
            };
        }
    }
}

/// <summary>A block of an arrangement.</summary>
/// <param name="Look">What the id of its look ends with; another look of the part where the site has none of it.</param>
public sealed record Planned(string Part, string Look, params ImmutableArray<Planned> Blocks);

/// <summary>The starting arrangements.</summary>
public static class Arrangements
{
    public static readonly ImmutableArray<Arrangement> All =
    [
        new("opening", "Opening", "a heading, a line and two buttons beside a picture", Section("banner",
            Columns("halves", Group(Text("eyebrow"), Heading(1), Text("lead"), Row(Button("filled"), Button("outlined"))), new("picture", "standard")))),
        new("text-and-picture", "Text beside picture", "a heading and text beside a picture with its caption", Section("standard",
            Columns("halves", Group(Heading(2), Text("standard"), Button("outlined")), new("figure", "standard")))),
        new("split", "Split", "a picture from edge to edge beside a heading and text", new("split", "standard", Heading(2), Text("standard"), Button("outlined"))),
        new("cards", "Row of cards", "a heading over three cards", Section("standard", Heading(2), Cards(Card(), Card(), Card()))),
        new("prices", "Prices", "three offers, the middle one put forward", Section("raised",
            Heading(2), Text("lead"), Cards(Card(new Planned("list", "standard"), Button("outlined")), new("card", "featured", new("list", "standard"), Button("filled")), Card(new Planned("list", "standard"), Button("outlined"))))),
        new("questions", "Questions and answers", "a heading, and four questions with their answers", Section("standard",
            Heading(2), Columns("halves", Answer(), Answer(), Answer(), Answer()))),
        new("figures", "Figures", "three figures with what they mean", Section("raised", Columns("thirds", Figure(), Figure(), Figure()))),
        new("quote", "Quote", "somebody else’s words, with their name", Section("standard", new Planned("quote", "standard"))),
        new("contact", "Contact", "where to find you beside a form", Section("standard",
            Columns("halves", Group(Heading(2), Text("standard"), new("list", "standard")), new("form", "standard", new("form-field", "standard"), new("form-field", "standard"), Button("filled"))))),
        new("gallery", "Gallery", "six pictures with captions", Section("standard",
            Heading(2), Columns("thirds", [.. Enumerable.Repeat(new Planned("figure", "standard"), 6)]))),
        new("sign-up", "Sign-up", "one line and a field to leave an address in", Section("raised",
            Heading(2), Text("lead"), new("form", "standard", new("form-field", "standard"), Button("filled")))),
        new("news", "News", "a heading over the newest posts", Section("standard", Heading(2), new("posts", "cards"))),
    ];

    public static Arrangement? Find(string id) => All.FirstOrDefault(a => a.Id == id);

    private static Planned Section(string look, params ImmutableArray<Planned> blocks) => new("section", look, blocks);

    private static Planned Columns(string look, params ImmutableArray<Planned> blocks) => new("columns", look, blocks);

    private static Planned Group(params ImmutableArray<Planned> blocks) => new("group", "stack", blocks);

    private static Planned Row(params ImmutableArray<Planned> blocks) => new("group", "in-line", blocks);

    private static Planned Cards(params ImmutableArray<Planned> blocks) => new("card-row", "standard", blocks);

    private static Planned Card(params ImmutableArray<Planned> blocks) => new("card", "standard", blocks);

    private static Planned Heading(int level) => new($"heading-{level}", "standard");

    private static Planned Text(string look) => new("paragraph", look);

    private static Planned Button(string look) => new("button", look);

    private static Planned Answer() => Group(Heading(3), Text("standard"));

    private static Planned Figure() => Group(Heading(3), Text("quiet"));
}
