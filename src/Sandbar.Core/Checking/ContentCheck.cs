using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Checking;

/// <summary>What slots of blocks hold.</summary>
public static class ContentCheck
{
    /// <summary>Longest content of a slot, in characters.</summary>
    public const int Longest = 20_000;

    private static readonly string[] Schemes = ["https:", "http:", "mailto:", "tel:"];

    /// <summary>Whether a link may lead there: a page, an anchor, or an address of a kind that runs nothing.</summary>
    public static bool IsSafe(string to) => !to.Contains(':', StringComparison.Ordinal) || Schemes.Any(s => to.StartsWith(s, StringComparison.OrdinalIgnoreCase));

    /// <summary>Why a slot cannot hold a text, in a sentence; null where it can.</summary>
    public static string? Refusal(Site site, Slot slot, string text)
    {
        if (string.IsNullOrWhiteSpace(text)) return slot.Required ? $"{slot.Name} cannot be left empty: without it nothing is shown here." : null;
        if (text.Length > Longest) return $"{slot.Name} has at most {Longest} characters.";
        if (text.Any(c => char.IsControl(c) && c != '\n')) return $"{slot.Name} holds a character that cannot be shown.";
        return slot.Kind switch
        {
            SlotKind.Link when !Leads(site, text) => LeadsNowhere(text),
            SlotKind.Picture when site.Shelf.Find(text) is not { IsPicture: true } => "This picture is not on the shelf.",
            SlotKind.Category when site.Categories.Find(text) is null => "This category is no longer there.",
            SlotKind.Menu when site.Menus.Find(text) is null => "This menu is no longer there.",
            SlotKind.Choice when !slot.Words.Any(w => w.Code == text) => $"{slot.Name} takes {string.Join(", ", slot.Words.Select(w => w.Label))}.",
            _ => null,
        };
    }

    /// <summary>Whether a link leads somewhere: to a page that is there, or to an address.</summary>
    public static bool Leads(Site site, string to) => site.Pages.Find(PageOf(to)) is not null || IsAddress(to);

    /// <summary>What is said where it does not.</summary>
    internal static string LeadsNowhere(string to) => $"{Quoted.Text(to)} leads nowhere: choose a page, or type an address that begins with https://, mailto: or #.";

    /// <summary>The id of the page a link leads to, where it leads to one: what stands before the address within it.</summary>
    public static string PageOf(string to) => to.IndexOf('#', StringComparison.Ordinal) is > 0 and var at ? to[..at] : to;

    /// <summary>Why a document that holds a text in a slot is broken. A link to a page that is gone is not: it leads nowhere, and is told of.</summary>
    internal static string? Broken(Site site, Slot slot, string text) => slot.Kind == SlotKind.Link && Names.IsId(PageOf(text)) ? null : Refusal(site, slot, text);

    /// <summary>Whether it is an address by itself: on this page, on this site, or elsewhere.</summary>
    public static bool IsAddress(string text) => text.Length > 0 && IsSafe(text) && !text.Any(char.IsWhiteSpace) && (text[0] is '#' or '/' || text.Contains(':', StringComparison.Ordinal));
}
