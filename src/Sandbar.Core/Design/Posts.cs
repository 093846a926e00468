namespace Sandbar.Core.Design;

/// <summary>Something new that a site has to tell, with its day. Lists of the newest posts are made from these.</summary>
/// <param name="Title">A line of plain text.</param>
/// <param name="Date">Its day, as <see cref="PostDate"/> has it.</param>
public sealed record Post(string Id, string Title, string Date) : IListed
{
    /// <summary>Text with inline marks; empty for none.</summary>
    public string Text { get; init; } = "";

    /// <summary>Id of its category; null for none.</summary>
    public string? Category { get; init; }

    /// <summary>Its picture on the shelf, by id; null for none.</summary>
    public string? Picture { get; init; }

    /// <summary>What the picture shows, in words.</summary>
    public string PictureInWords { get; init; } = "";

    /// <summary>Where its title leads, as links have it; empty for nowhere.</summary>
    public string To { get; init; } = "";
}

/// <summary>What posts are sorted into.</summary>
public sealed record Category(string Id, string Name) : IListed
{
    /// <summary>Where it leads, as links have it, such as a page with its posts; empty for nowhere.</summary>
    public string To { get; init; } = "";
}
