using System.Text;

namespace Sandbar.Core.Rendering;

/// <summary>HTML written so that a person can read it: indented, everything escaped.</summary>
public sealed class Html
{
    private readonly StringBuilder text = new();
    private int depth;
    private int phrase;
    private int interactive;
    private int opened;

    /// <summary>Whether what is written stands within something that leads somewhere or is pressed: no link may stand there (HTML, content models of a, button and label).</summary>
    public bool IsInteractive => interactive > 0;

    public override string ToString() => text.ToString();

    /// <summary>Writes markup as it is. Only for what the project itself wrote.</summary>
    public void Raw(string markup) => text.Append(markup);

    /// <param name="isPhrase">Whether its content stays on one line.</param>
    public void Element(string tag, IEnumerable<(string Name, string Value)> attributes, Action inner, bool isPhrase)
    {
        Open(tag, attributes);
        var isInteractive = tag is "a" or "button" or "label";
        if (isInteractive) interactive++;
        if (isPhrase) phrase++;
        depth++;
        inner();
        depth--;
        if (isInteractive) interactive--;
        if (isPhrase) phrase--;
        else Indent();
        text.Append("</").Append(tag).Append('>');
        if (phrase == 0) text.Append('\n');
    }

    public void Void(string tag, IEnumerable<(string Name, string Value)> attributes)
    {
        Open(tag, attributes);
        if (phrase == 0 && text[^1] != '\n') text.Append('\n');
    }

    /// <summary>Gives the element that was opened last an attribute; nothing may stand in it yet.</summary>
    public void Mark(string name, string value)
    {
        if (text.Length != opened) throw new InvalidOperationException("Something stands in the element already.");
        text.Length--;
        Attribute(name, value);
        text.Append('>');
        opened = text.Length;
    }

    public void Text(string content) => Escape(content, inAttribute: false);

    private void Open(string tag, IEnumerable<(string Name, string Value)> attributes)
    {
        if (phrase == 0) Indent();
        text.Append('<').Append(tag);
        foreach (var (name, value) in attributes) Attribute(name, value);
        text.Append('>');
        opened = text.Length;
    }

    private void Attribute(string name, string value)
    {
        text.Append(' ').Append(name).Append("=\"");
        Escape(value, inAttribute: true);
        text.Append('"');
    }

    private void Indent()
    {
        if (text.Length > 0 && text[^1] != '\n') text.Append('\n');
        text.Append(' ', depth * 2);
    }

    private void Escape(string content, bool inAttribute)
    {
        foreach (var c in content)
        {
            _ = c switch
            {
                '&' => text.Append("&amp;"),
                '<' => text.Append("&lt;"),
                '>' => text.Append("&gt;"),
                '"' when inAttribute => text.Append("&quot;"),
                _ => text.Append(c),
            };
        }
    }
}
