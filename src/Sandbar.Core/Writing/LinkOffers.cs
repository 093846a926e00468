using System.Text.RegularExpressions;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Writing;

/// <summary>Where a link can lead.</summary>
/// <param name="To">As links are written: a page's id, an address within a page after a <c>#</c>, or an address elsewhere.</param>
/// <param name="Says">The same in a designer's words.</param>
public sealed record LinkOffer(string To, string Says);

/// <summary>What somebody means who types where a link leads: a page, a place within one, mail, telephone, or an address elsewhere.</summary>
public static partial class LinkOffers
{
    private const int Most = 30;

    /// <summary>What a text can mean, the likeliest first; nothing where it means nothing that a link can lead to.</summary>
    /// <param name="page">Id of the page the link stands on.</param>
    public static IReadOnlyList<LinkOffer> For(Site site, string page, string typed)
    {
        var text = typed.Trim();
        var said = text.TrimStart('#');
        var offers = new List<LinkOffer>();
        if (Mail().IsMatch(text)) offers.Add(new($"mailto:{text}", $"Mail to {text}"));
        if (Telephone().IsMatch(text)) offers.Add(new($"tel:{new string([.. text.Where(c => char.IsAsciiDigit(c) || c == '+')])}", $"Call {text}"));
        if (text.Contains(':', StringComparison.Ordinal) && ContentCheck.IsAddress(text)) offers.Add(new(text, text));
        if (Domain().IsMatch(text)) offers.Add(new($"https://{text}", $"https://{text}"));
        if (!text.StartsWith('#')) offers.AddRange(site.Pages.Where(p => IsSaid(p.Name) || IsSaid(p.Slug)).OrderByDescending(p => p.Name.Equals(text, StringComparison.OrdinalIgnoreCase)).Select(p => new LinkOffer(p.Id, p.Name)));
        foreach (var on in site.Pages.OrderByDescending(p => p.Id == page))
        {
            foreach (var block in on.Sections.SelectMany(Blocks.WithInner).Where(b => b.Address.Length > 0 && (IsSaid(b.Address) || IsSaid(b.Name))))
                offers.Add(on.Id == page ? new($"#{block.Address}", $"{block.Name} on this page") : new($"{on.Id}#{block.Address}", $"{block.Name} on {on.Name}"));
        }
        if (text.StartsWith('/') && ContentCheck.IsAddress(text)) offers.Add(new(text, text));
        return [.. offers.DistinctBy(o => o.To).Take(Most)];

        bool IsSaid(string name) => name.Contains(said, StringComparison.OrdinalIgnoreCase);
    }

    /// <summary>Where a link leads, in a designer's words.</summary>
    /// <param name="page">Id of the page the link stands on.</param>
    public static string Say(Site site, string page, string to)
    {
        var leads = ContentCheck.PageOf(to);
        if (site.Pages.Find(leads) is { } on) return to.Length > leads.Length ? $"{Place(on, to[(leads.Length + 1)..])} on {on.Name}" : on.Name;
        if (to.StartsWith('#')) return site.Pages.Find(page) is { } here ? $"{Place(here, to[1..])} on this page" : to;
        return to.StartsWith("mailto:", StringComparison.OrdinalIgnoreCase) ? $"Mail to {to[7..]}" : to.StartsWith("tel:", StringComparison.OrdinalIgnoreCase) ? $"Call {to[4..]}" : Names.IsId(leads) ? "a page that is gone" : to;
    }

    private static string Place(Page page, string address) => page.Sections.SelectMany(Blocks.WithInner).FirstOrDefault(b => b.Address == address)?.Name ?? $"#{address}";

    [GeneratedRegex(@"^[^\s@:/<>]+@[^\s@:/<>]+\.[^\s@:/<>.]+\z")]
    private static partial Regex Mail();

    [GeneratedRegex(@"^(?=(?:[^0-9]*[0-9]){5})[+0(][0-9 ()/.-]*\z")]
    private static partial Regex Telephone();

    [GeneratedRegex(@"^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}{2,}(?::[0-9]+)?(?:[/?#]\S*)?\z")]
    private static partial Regex Domain();
}
