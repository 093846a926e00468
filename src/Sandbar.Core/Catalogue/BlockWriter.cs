namespace Sandbar.Core.Catalogue;

/// <summary>What a part's HTML is written with: the block's content, already escaped and with addresses resolved.</summary>
public abstract class BlockWriter
{
    /// <summary>Whether a slot holds anything.</summary>
    public abstract bool Has(string slot);

    /// <summary>The text of a slot without marks, for an attribute.</summary>
    public abstract string Plain(string slot);

    /// <summary>Whether a choice stands on a word; the first of its words counts where nothing was chosen.</summary>
    public abstract bool Is(string slot, string word);

    /// <summary>The block's own element, with the part's and the look's class.</summary>
    public abstract void Element(string tag, IEnumerable<(string Name, string Value)> attributes, Action inner);

    /// <summary>A piece of the part.</summary>
    public abstract void Piece(string tag, string? cssClass, IEnumerable<(string Name, string Value)> attributes, Action inner);

    /// <summary>A piece of the part without attributes but its class.</summary>
    public void Piece(string tag, string? cssClass, Action inner) => Piece(tag, cssClass, [], inner);

    /// <summary>The text of a slot with its inline marks.</summary>
    public abstract void Text(string slot);

    /// <summary>The attributes that make an element lead where the slot says.</summary>
    public abstract IEnumerable<(string Name, string Value)> Link(string slot);

    /// <summary>The picture of a slot; nothing where there is none.</summary>
    public abstract void Picture(string slot, string altSlot, string? cssClass);

    /// <summary>The picture of a slot that fills its place.</summary>
    public abstract void CoveringPicture(string slot, string altSlot);

    /// <summary>Backgrounds of a piece that are elements; those of the part itself come by themselves.</summary>
    public abstract void Fills(string piece);

    /// <summary>The links of a menu, the present page marked.</summary>
    public abstract void MenuList(string slot, string labelSlot);

    /// <summary>A list as the block's own element.</summary>
    public abstract void List(string slot);

    /// <summary>A table with its head and caption, in a box that scrolls where it is too wide.</summary>
    public abstract void Table(string slot, string captionSlot);

    /// <summary>A label, its field and what helps to fill it in.</summary>
    public abstract void Field(string label, string kind, string hint, string choices, string off);

    /// <summary>The newest posts, each in a piece of its own.</summary>
    /// <param name="heading">The element of their titles.</param>
    public abstract void Posts(string heading);

    /// <summary>The categories of posts.</summary>
    public abstract void Categories(string labelSlot, string countSlot);

    /// <summary>What leads to the further pages of the posts on this one.</summary>
    public abstract void Paging(string newerSlot, string olderSlot, string labelSlot);

    /// <summary>The blocks inside.</summary>
    public abstract void Blocks();
}
