using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Net;
using System.Runtime.CompilerServices;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Fonts;
using FontFile = Sandbar.Core.Design.FontFile;

namespace Sandbar.Core.Rendering;

/// <summary>The font files that pages of a site can need: of families in use, in the weights and slants that are asked for, for the characters that are there.</summary>
internal static class UsedFonts
{
    /// <summary>What a phrase with strong emphasis is set in.</summary>
    private const int Strong = 700;

    private static readonly ConditionalWeakTable<Block, Written> OfBlock = [];

    private static readonly ConcurrentDictionary<string, CharacterSet> Ranges = new(StringComparer.Ordinal);

    public static ImmutableArray<FontFace> Of(Site site)
    {
        var written = new Lazy<Written>(() => Written.Together([.. Blocks.Outermost(site).Select(b => OfBlock.GetValue(b, block => Written.In(Texts(block)))), Written.In(Besides(site))]));
        return
        [
            .. from family in site.Type.Families
               from file in Files(site, family, written)
               let item = site.Shelf.Find(file.Item)
               where item is not null
               select new FontFace(FamilyList.First(family.Stack), item, file.WeightFrom, file.WeightTo, file.Italic, file.Ranges),
        ];
    }

    private static IEnumerable<FontFile> Files(Site site, Family family, Lazy<Written> written)
    {
        if (family.Files.IsDefaultOrEmpty) return [];
        var styles = site.Type.Styles.Where(s => s.Family is ReferenceValue reference && reference.Id == family.Id).ToList();
        var css = site.Overrides.Site;
        var inOverrides = css.Length > 0 && (css.Contains(FamilyKind.Description.Token(family), StringComparison.Ordinal) || css.Contains(FamilyList.First(family.Stack), StringComparison.OrdinalIgnoreCase));
        if (styles.Count == 0 && !inOverrides) return [];
        // What overrides ask for of weights and slants is not followed up: they may need any.
        if (css.Contains("font", StringComparison.OrdinalIgnoreCase)) return family.Files.Where(HasWritten);
        var upright = styles.Where(s => s.Slant.Code() != TextStyle.Italic).Select(s => s.Weight.Amount()).ToList();
        var italic = styles.Where(s => s.Slant.Code() == TextStyle.Italic).Select(s => s.Weight.Amount()).ToList();
        if (written.Value.Emphasis) italic = [.. italic, .. upright];
        var wanted = upright.Append(Strong).SelectMany(w => FontMatching.Files(family, w, false))
            .Concat(italic.SelectMany(w => FontMatching.Files(family, w, true))).ToHashSet(ReferenceEqualityComparer.Instance);
        return family.Files.Where(f => wanted.Contains(f) && HasWritten(f));

        // What overrides write in numbers may be any character.
        bool HasWritten(FontFile file) => file.Ranges.Length == 0 || IsBasic(file) || css.Contains('\\', StringComparison.Ordinal) || written.Value.Characters.Any(c => Characters(file).Contains(c));
    }

    private static bool IsBasic(FontFile file) => Characters(file).Contains('a');

    /// <summary>The characters a file is for: CSS Fonts 4, §4.5.</summary>
    private static CharacterSet Characters(FontFile file) => Ranges.GetOrAdd(file.Ranges, text => UnicodeRange.Read(text) ?? new([]));

    private static IEnumerable<string> Texts(Block block) => Blocks.WithInner(block).SelectMany(b => b.Content.Values);

    /// <summary>What is written elsewhere than in blocks.</summary>
    private static IEnumerable<string> Besides(Site site) => site.Menus.SelectMany(m => m.All()).Select(i => i.Label).Concat(OfPosts(site)).Append(site.Name).Append(site.Overrides.Site);

    private static IEnumerable<string> OfPosts(Site site) =>
        Blocks.Outermost(site).Any(PostLists.Show) ? site.Posts.SelectMany(p => new[] { p.Title, p.Text }).Concat(site.Categories.Select(c => c.Name)) : [];

    /// <param name="Characters">All but those of ASCII, which are always there.</param>
    /// <param name="Emphasis">Whether a phrase may be emphasised.</param>
    private sealed record Written(ImmutableHashSet<int> Characters, bool Emphasis)
    {
        public static Written In(IEnumerable<string> texts)
        {
            var (characters, emphasis) = (ImmutableHashSet.CreateBuilder<int>(), false);
            foreach (var text in texts)
            {
                emphasis |= text.AsSpan().ContainsAny('*', '_');
                // Inline marks may write a character by its name, and a style may show it as a capital.
                var read = text.Contains('&', StringComparison.Ordinal) ? WebUtility.HtmlDecode(text) : text;
                if (!Ascii.IsValid(read)) characters.UnionWith(read.EnumerateRunes().Where(r => !r.IsAscii).SelectMany(r => new[] { r.Value, Rune.ToUpperInvariant(r).Value }));
            }
            return new(characters.ToImmutable(), emphasis);
        }

        public static Written Together(IReadOnlyList<Written> all)
        {
            var characters = ImmutableHashSet.CreateBuilder<int>();
            foreach (var one in all.Where(w => w.Characters.Count > 0)) characters.UnionWith(one.Characters);
            return new(characters.ToImmutable(), all.Any(w => w.Emphasis));
        }
    }
}
