using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Catalogue;

/// <summary>A cascade layer of the stylesheet, in order.</summary>
public enum Layer
{
    Foundations,
    Parts,
    Frame,
    Blocks,
}

/// <summary>What a slot of a part holds.</summary>
public enum SlotKind
{
    /// <summary>Text with emphasis and links, in the inline marks of CommonMark.</summary>
    Text,

    /// <summary>Words that are read out and not shown.</summary>
    Spoken,

    /// <summary>A page's id, or an anchor (<c>#name</c>).</summary>
    Link,

    /// <summary>A picture of the shelf, by id.</summary>
    Picture,

    /// <summary>A menu, by id.</summary>
    Menu,

    /// <summary>A list, nested by indentation, in the marks of CommonMark.</summary>
    List,

    /// <summary>Rows of cells: a row a line, cells between upright strokes, the head first.</summary>
    Table,

    /// <summary>One of <see cref="Slot.Words"/>; the first where nothing is chosen.</summary>
    Choice,

    /// <summary>A category of posts, by id; all of them where there is none.</summary>
    Category,
}

/// <param name="Required">Whether a block without it is not shown.</param>
/// <param name="Sample">What it holds on the specimen page; menus and pictures take the first there is.</param>
public sealed record Slot(string Id, string Name, SlotKind Kind, bool Required = false, string Sample = "")
{
    public const string Hidden = "hidden";

    /// <summary>A choice of whether a piece of the part is shown.</summary>
    public static Slot Shows(string piece, string name) => new(piece, name, SlotKind.Choice) { Words = [new("shown", ""), new(Hidden, "")] };

    /// <summary>What a choice can be; the first where nothing is chosen.</summary>
    public ImmutableArray<Word> Words { get; init; } = [];
}

/// <summary>A look as the catalogue proposes it; the values are typed as a designer would.</summary>
/// <param name="Id">With the part's, the id of the look it becomes; it stays whatever the look is called.</param>
/// <param name="Name">Its name; the first look of a part is its default.</param>
/// <param name="Cells">Values by the text form of <see cref="CellKey"/>.</param>
public sealed record LookSeed(string Id, string Name, params (string Key, string Value)[] Cells);

/// <summary>Fixed CSS that makes the part work whatever its look.</summary>
/// <param name="Selector">Complete selector.</param>
/// <param name="Declarations">Property and value.</param>
public sealed record Structure(string Selector, params (string Name, string Value)[] Declarations);

/// <summary>Where parts are listed and written: group by group, within a group in the order of <see cref="Part.Place"/>.</summary>
public enum PartGroup
{
    Frame,
    Arrangement,
    Text,
    Action,
    Card,
    Media,
    Posts,
    Form,
}

/// <summary>A kind of element the site styles. One file each; ledger, stylesheet, pages and documentation are made from it.</summary>
public sealed record Part
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required PartGroup Group { get; init; }

    /// <summary>Its place in its group.</summary>
    public int Place { get; init; }

    /// <summary>
    /// The selector through which it reaches the page's elements: a class, or an element in <c>:where()</c> so that it never outweighs a class.
    /// A part with several looks marks its elements with the look's class too.
    /// </summary>
    public required string Hook { get; init; }

    /// <summary>What follows the hook where the looks are for the pieces inside, such as the links of a menu; states are those of the pieces.</summary>
    public string Inner { get; init; } = "";

    /// <summary>The piece inside whose states the part takes, such as the field of a form field; empty where they are the element's own.</summary>
    public string StateOf { get; init; } = "";

    /// <summary>Whether its border must be told from what is around it (WCAG 2.2, 1.4.11), as that of a field, which nothing else shows.</summary>
    public bool NeedsBoundary { get; init; }

    public Layer Layer { get; init; } = Layer.Parts;

    public ImmutableArray<Slot> Slots { get; init; } = [];

    public required ImmutableArray<PartProperty> Properties { get; init; }

    /// <summary>The states its looks can differ in, Rest first.</summary>
    public ImmutableArray<State> States { get; init; } = [State.Rest];

    public required ImmutableArray<LookSeed> Looks { get; init; }

    public ImmutableArray<Structure> Structure { get; init; } = [];

    /// <summary>Ids of the parts that stand inside on the specimen page.</summary>
    public ImmutableArray<string> Inside { get; init; } = [];

    /// <summary>Id of the slot whose text runs on from block to block: it can be split in two blocks and joined to the one before; null where none does.</summary>
    public string? Running { get; init; }

    /// <summary>Whether it shows text that none of its slots holds, such as the names of categories.</summary>
    public bool HasOwnText { get; init; }

    /// <summary>Whether blocks may stand inside; which, <see cref="Standing"/> says.</summary>
    public bool HoldsBlocks { get; init; }

    /// <summary>Ids of the parts that may stand inside, where not all may.</summary>
    public ImmutableArray<string> HoldsParts { get; init; } = [];

    /// <summary>The groups whose parts may stand inside beside <see cref="HoldsParts"/>, where not all may.</summary>
    public ImmutableArray<PartGroup> HoldsGroups { get; init; } = [];

    /// <summary>Ids of the parts that a new block of it begins with.</summary>
    public ImmutableArray<string> Begins { get; init; } = [];

    /// <summary>Whether it stands on a page itself, and in nothing else.</summary>
    public bool IsOutermost { get; init; }

    /// <summary>Whether its picture fills its place, whatever that is, so that what is to be seen of it is kept in sight.</summary>
    public bool HasCoveringPicture { get; init; }

    /// <summary>Whether it has room for layers behind what it holds.</summary>
    public bool HoldsFill => Properties.Any(p => p.IsGround);

    /// <summary>What follows the hook where blocks stand one below another (<see cref="Stacks"/>); null where none do.</summary>
    public string? Stack { get; init; }

    /// <summary>Whether what stands inside are the blocks of a row, which come in one after another.</summary>
    public bool IsRow { get; init; }

    /// <summary>Writes a block of this part as HTML.</summary>
    public required Action<BlockWriter> Write { get; init; }

    /// <summary>Id of the look a seed becomes.</summary>
    public string LookId(LookSeed seed) => $"{Id}-{seed.Id}";

    public PartProperty? Property(string id) => Properties.FirstOrDefault(p => p.Id == id);
}
