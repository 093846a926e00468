using System.Text.Json.Serialization;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Why an edit cannot be made: where (a path into the edit, such as <c>/css</c>), and a sentence for the designer.</summary>
public sealed record Problem(string Path, string Message);

/// <summary>What an edit led to: a site, or problems and nothing changed.</summary>
public sealed record Outcome
{
    private Outcome(Site? site, IReadOnlyList<Problem> problems) => (Site, Problems) = (site, problems);

    /// <summary>The site afterwards; null when there are problems.</summary>
    public Site? Site { get; }

    public IReadOnlyList<Problem> Problems { get; }

    public static implicit operator Outcome(Site site) => new(site, []);

    public static implicit operator Outcome(Problem problem) => new(null, [problem]);
}

/// <summary>A change to a site. Nothing changes a site by another way. The JSON form is kept in journals: cases and names stay.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(RenameSite), "renameSite")]
[JsonDerivedType(typeof(AddColor), "addColor")]
[JsonDerivedType(typeof(SetColor), "setColor")]
[JsonDerivedType(typeof(RenameColor), "renameColor")]
[JsonDerivedType(typeof(RemoveColor), "removeColor")]
[JsonDerivedType(typeof(SetRole), "setRole")]
[JsonDerivedType(typeof(TurnScheme), "turnScheme")]
[JsonDerivedType(typeof(SetCell), "setCell")]
[JsonDerivedType(typeof(SetScale), "setScale")]
[JsonDerivedType(typeof(SetTextStyle), "setTextStyle")]
[JsonDerivedType(typeof(AddTextStyle), "addTextStyle")]
[JsonDerivedType(typeof(RenameTextStyle), "renameTextStyle")]
[JsonDerivedType(typeof(RemoveTextStyle), "removeTextStyle")]
[JsonDerivedType(typeof(SetFamily), "setFamily")]
[JsonDerivedType(typeof(AddFamily), "addFamily")]
[JsonDerivedType(typeof(RemoveFamily), "removeFamily")]
[JsonDerivedType(typeof(SetContent), "setContent")]
[JsonDerivedType(typeof(SetBlockLook), "setBlockLook")]
[JsonDerivedType(typeof(SetBlockScheme), "setBlockScheme")]
[JsonDerivedType(typeof(AddMenuItem), "addMenuItem")]
[JsonDerivedType(typeof(SetMenuItem), "setMenuItem")]
[JsonDerivedType(typeof(MoveMenuItem), "moveMenuItem")]
[JsonDerivedType(typeof(RemoveMenuItem), "removeMenuItem")]
[JsonDerivedType(typeof(SetOverrides), "setOverrides")]
[JsonDerivedType(typeof(BringBack), "bringBack")]
[JsonDerivedType(typeof(TakeBack), "takeBack")]
public abstract record Edit
{
    /// <summary>The site with the change made, or why it cannot be.</summary>
    public abstract Outcome Apply(Site site);

    /// <summary>The change in a designer's words, said of the site before it.</summary>
    public abstract string Describe(Site site);
}
