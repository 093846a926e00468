using System.Collections.Immutable;
using System.Text.Json;
using Sandbar.Core.Design;
using Sandbar.Css;
using Sandbar.Fonts;

namespace Sandbar.Core.Foundations.Type;

/// <param name="Letters">All it is written with, small and capital.</param>
public sealed record Language(string Code, string Name, string Letters);

/// <summary>Languages by the letters they are written with. Source: Unicode CLDR, main exemplar characters (<c>scripts/take-languages.mjs</c>).</summary>
public static class Languages
{
    public static readonly ImmutableArray<Language> All =
        JsonSerializer.Deserialize<Listed>(EmbeddedFile.Read(typeof(Languages).Assembly, "Foundations/Type/languages.json"), SiteJson.Options)!.Languages;

    /// <summary>The languages that can be written with these characters, by name.</summary>
    public static ImmutableArray<Language> WrittenWith(IReadOnlyList<CharacterSet> characters) =>
        [.. All.Where(l => l.Letters.EnumerateRunes().All(letter => characters.Any(c => c.Contains(letter.Value))))];

    private sealed record Listed(string MadeBy, string Source, ImmutableArray<Language> Languages);
}
