namespace Sandbar.Core.Design;

/// <summary>Ids of pages that no site can take.</summary>
public static class PageIds
{
    /// <summary>The page made from the catalogue.</summary>
    public const string Specimen = "specimen";
}
