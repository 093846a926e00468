using System.Text;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Selectors;

/// <summary>In which direction the text of an element runs. Source: HTML, "The dir attribute".</summary>
public static class Directions
{
    private const string LeftToRight = "ltr", RightToLeft = "rtl";

    /// <returns><c>ltr</c> or <c>rtl</c>.</returns>
    public static string Of(Document document, Element element)
    {
        for (var at = element; at is not null; at = at.Parent)
        {
            switch (at.IsHtml ? at["dir"]?.ToLowerInvariant() : null)
            {
                case LeftToRight:
                    return LeftToRight;
                case RightToLeft:
                    return RightToLeft;
                case "auto":
                    return Auto(document, at) ?? LeftToRight;
                case null when at is { IsHtml: true, Name: "bdi" }:
                    return Auto(document, at) ?? LeftToRight;
                case null when at is { IsHtml: true, Name: "input" } && HtmlStates.TypeOf(at) == "tel":
                    return LeftToRight;
            }
        }
        return LeftToRight;
    }

    /// <summary>The direction of the first letter that has one; null where none has.</summary>
    private static string? Auto(Document document, Element element)
    {
        var text = element switch
        {
            { Name: "input" } => element["value"] ?? "",
            { Name: "textarea" } => element.Text,
            _ => element.Text + string.Concat(document.Within(element).Where(e => !e.Has("dir") && e.Name is not ("bdi" or "script" or "style" or "textarea")).Select(e => e.Text)),
        };
        foreach (var letter in text.EnumerateRunes())
        {
            if (IsRightToLeft(letter.Value)) return RightToLeft;
            if (Rune.IsLetter(letter)) return LeftToRight;
        }
        return null;
    }

    /// <summary>Whether a letter is of a script that runs from right to left: the blocks Unicode keeps for those (UAX 9, table 3, R and AL).</summary>
    private static bool IsRightToLeft(int letter) => letter is (>= 0x590 and <= 0x8FF) or (>= 0xFB1D and <= 0xFDFF) or (>= 0xFE70 and <= 0xFEFF) or (>= 0x10800 and <= 0x10FFF) or (>= 0x1E800 and <= 0x1EFFF);
}
