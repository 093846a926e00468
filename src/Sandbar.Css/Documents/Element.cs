namespace Sandbar.Css.Documents;

/// <summary>An element of a page as selectors and the cascade ask about it: read once, never changed.</summary>
public sealed class Element
{
    private readonly Dictionary<string, string> attributes;
    private readonly List<Element> children = [];

    /// <param name="name">Local name; of HTML in lower case.</param>
    /// <param name="attributes">By local name, letters of either case.</param>
    /// <param name="index">Its place among all elements, in the order of the document.</param>
    internal Element(string name, bool isHtml, Dictionary<string, string> attributes, Element? parent, int index)
    {
        (Name, IsHtml, this.attributes, Parent, Index) = (name, isHtml, attributes, parent, index);
        Id = attributes.GetValueOrDefault("id", "");
        Classes = attributes.TryGetValue("class", out var classes) ? classes.Split(HtmlSpaces, StringSplitOptions.RemoveEmptyEntries) : [];
        if (parent is null) return;
        Previous = parent.children.LastOrDefault();
        if (Previous is not null) Previous.Next = this;
        Place = parent.children.Count + 1;
        parent.children.Add(this);
    }

    /// <summary>White space between words of an attribute (HTML, "ASCII whitespace").</summary>
    internal static char[] HtmlSpaces { get; } = [' ', '\t', '\n', '\f', '\r'];

    public string Name { get; }

    /// <summary>Whether it is of HTML, and not of a drawing or a formula in it.</summary>
    public bool IsHtml { get; }

    /// <summary>Empty where it has none.</summary>
    public string Id { get; }

    public IReadOnlyList<string> Classes { get; }

    public Element? Parent { get; }

    public Element? Previous { get; }

    public Element? Next { get; private set; }

    public IReadOnlyList<Element> Children => children;

    /// <summary>Its place among all elements, in the order of the document, from 0.</summary>
    public int Index { get; }

    /// <summary>The index after the last element within it.</summary>
    public int End { get; internal set; }

    /// <summary>The names of it and of all around it, as the cascade looks them up; found when they are first asked for.</summary>
    internal UInt128? Marks { get; set; }

    /// <summary>Its place among its siblings, from 1.</summary>
    public int Place { get; } = 1;

    /// <summary>The text that stands in it, that of elements within it left out.</summary>
    public string Text { get; internal set; } = "";

    public IReadOnlyDictionary<string, string> Attributes => attributes;

    /// <summary>The value of an attribute, letters of either case; null where it has none of that name.</summary>
    public string? this[string attribute] => attributes.GetValueOrDefault(attribute);

    /// <summary>Whether it has an attribute, whatever its value.</summary>
    public bool Has(string attribute) => attributes.ContainsKey(attribute);

    /// <summary>Those it stands in, the nearest first.</summary>
    public IEnumerable<Element> Ancestors()
    {
        for (var around = Parent; around is not null; around = around.Parent) yield return around;
    }

    public override string ToString() => $"<{Name}{(Id.Length > 0 ? $" id={Id}" : "")}>";
}
