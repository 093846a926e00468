using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Serializer = Sandbar.Css.Syntax.Serializer;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Families of letters with their fallbacks and files.</summary>
public sealed class FamilyKind : NamedKind<Family>
{
    public const string Kind = "family";

    public static FamilyKind Description => (FamilyKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "family";

    public override CssType Type => CssType.Family;

    public override FoundationStep Step => FoundationStep.Type;

    public override string Path => "/type/families";

    public override int Fewest => 1;

    public override ImmutableArray<Family> List(Site site) => site.Type.Families;

    /// <summary>The shelf holds just the font files that families have.</summary>
    public override Site Settled(Site site)
    {
        var wanted = site.Type.Families.SelectMany(f => f.Files).Select(f => f.Item).ToHashSet(StringComparer.Ordinal);
        var kept = site.Shelf.RemoveAll(i => i.MediaType == FontType && !wanted.Contains(i.Id));
        var missing = wanted.Where(id => kept.Find(id) is null).Select(BundledFamilies.Item).OfType<ShelfItem>().ToList();
        return kept.Length == site.Shelf.Length && missing.Count == 0 ? site : site with { Shelf = kept.AddRange(missing) };
    }

    /// <summary>Media type of the font files on the shelf.</summary>
    public const string FontType = "font/woff2";

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var family = (Family)thing;
        if (family.Files.Any(f => site.Shelf.Find(f.Item) is null)) yield return new("/files", $"A font file of {family.Name} is not on the shelf.");
        if (family.Files.Any(f => !HoldsTogether(f))) yield return new("/files", $"What is said of a font file of {family.Name} is not what a font can be.");
        if (!FamilyList.IsReadable(family.Stack)) yield return new("/stack", $"The family list of {family.Name} is not one that CSS takes.");
    }

    private static bool HoldsTogether(FontFile file) =>
        file.WeightFrom is >= 1 and <= 1000 && file.WeightTo is >= 1 and <= 1000 && file.WeightFrom <= file.WeightTo
        && (file.Ranges.Length == 0 || UnicodeRange.Read(file.Ranges) is not null) && (file.Measures is not { } measures || FontMeasuring.HoldTogether(measures));

    protected override Site With(Site site, ImmutableArray<Family> things) => site with { Type = site.Type with { Families = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "letters", Name = "Letters", Kind = new BundledLetters() }, f => new WordValue(FamilyList.First(f.Stack)), (f, value) => Lettered(f, value.Code())),
        Of(new() { Id = "stack", Name = "Family list", Kind = new FamilyStacks() }, f => new WordValue(f.Stack), (f, value) => f with { Stack = value.Code() }),
    ];

    public override IEnumerable<string>? Suggested(Site site, IListed thing, Field field) =>
        field.Id == "stack" && thing is Family { Files.IsDefaultOrEmpty: false } family
            ? field.Setting.Kind.Suggested.Select(stack => $"{Serializer.String(FamilyList.First(family.Stack))}, {stack}").Prepend(family.Stack).Distinct() : null;

    public override string? Refuses(Site site, IListed thing, Field field)
    {
        var family = (Family)thing;
        if (field.Id != "stack" || family.Files.IsDefaultOrEmpty || site.Type.Families.Find(family.Id) is not { } before) return null;
        var face = FamilyList.First(before.Stack);
        return FamilyList.First(family.Stack) == face ? null : $"The list begins with {Serializer.String(face)}: so the files of {family.Name} are called.";
    }

    protected override Family Create(Site site, string id) => new(id, "", "", "system-ui, sans-serif", []);

    protected override IEnumerable<Token> Tokens(SiteReads reads, Family thing) => [new(Token(thing), FallbackFace.Stack(thing), thing.Id)];

    /// <summary>A family with the letters of one from the shelf; where it has them already, files of one's own stay beside them.</summary>
    private static Family Lettered(Family family, string name)
    {
        if (BundledFamilies.ByName(name) is not { } bundled) return family;
        var lettered = bundled.AsFamily(family.Id, family.CssName);
        return FamilyList.First(family.Stack) == FamilyList.First(lettered.Stack) ? lettered with { Files = [.. lettered.Files, .. family.Files.Where(f => f.Measures is not null)] } : lettered;
    }
}
