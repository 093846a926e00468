using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Text;
using System.Text.Json;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Foundations.Type;

/// <summary>A family that comes with the program, under an open licence.</summary>
/// <param name="Files">Its font files as shelf items, with the weights each holds: upright before italic, and the letters that most pages need first.</param>
public sealed record BundledFamily(string Id, string Name, FamilyClass Class, ImmutableArray<(ShelfItem Item, FontFile File)> Files)
{
    /// <summary>The bytes of its files.</summary>
    public ImmutableArray<Asset> Assets => [.. Files.Select(f => BundledFamilies.Asset(f.Item.Hash)!)];

    /// <summary>The CSS <c>font-family</c> list: the family and what stands in for it until it is there.</summary>
    public string Stack => $"\"{Name}\", {FallbackOf(Class)}";

    /// <summary>What stands in for letters of a class until they are there.</summary>
    public static string FallbackOf(FamilyClass kind) => kind switch
    {
        FamilyClass.Sans => "system-ui, sans-serif",
        FamilyClass.Mono => "ui-monospace, monospace",
        FamilyClass.Hand => "cursive",
        _ => "Georgia, serif",
    };

    /// <summary>As a family of a site.</summary>
    public Family AsFamily(string id, string cssName) => new(id, Name, cssName, Stack, [.. Files.Select(f => f.File)]);

    /// <summary>The lightest and the boldest weight.</summary>
    public (int From, int To) Weights => (Files.Min(f => f.File.WeightFrom), Files.Max(f => f.File.WeightTo));
}

/// <summary>The families that come with the program. <c>scripts/take-families.mjs</c> takes them out of their packages.</summary>
public static class BundledFamilies
{
    private const string Folder = "Foundations/Type/Families/";

    public static readonly ImmutableArray<BundledFamily> All = Read();

    private static readonly Dictionary<string, ShelfItem> ById = All.SelectMany(f => f.Files).ToDictionary(f => f.Item.Id, f => f.Item, StringComparer.Ordinal);

    private static readonly Dictionary<string, ShelfItem> ByHash = ById.Values.ToDictionary(i => i.Hash, StringComparer.Ordinal);

    // Bytes and what is read from them are had when they are asked for: a site needs few of a hundred files.
    private static readonly ConcurrentDictionary<string, Asset> Assets = new(StringComparer.Ordinal);

    private static readonly ConcurrentDictionary<string, FontMeasures> ReadMeasures = new(StringComparer.Ordinal);

    private static readonly ConcurrentDictionary<string, ImmutableArray<Language>> KnownLanguages = new(StringComparer.Ordinal);

    public static BundledFamily? Find(string id) => All.FirstOrDefault(f => f.Id == id);

    public static BundledFamily? ByName(string name) => All.FirstOrDefault(f => f.Name.Equals(name, StringComparison.OrdinalIgnoreCase));

    /// <summary>A font file as a shelf item, by the item's id; null where it is none of these.</summary>
    public static ShelfItem? Item(string id) => ById.GetValueOrDefault(id);

    /// <summary>A font file as a shelf item, by its hash; null where it is none of these.</summary>
    public static ShelfItem? ItemOf(string hash) => ByHash.GetValueOrDefault(hash);

    /// <summary>A font file by its hash; null where it is none of these.</summary>
    public static Asset? Asset(string hash) => ByHash.TryGetValue(hash, out var item) ? Assets.GetOrAdd(hash, _ => new(hash, item.MediaType, Bytes($"{item.Id}.woff2"))) : null;

    /// <summary>What is to be known of a font file of these; null where it is none.</summary>
    public static FontMeasures? Measures(string id) =>
        ById.TryGetValue(id, out var item) ? ReadMeasures.GetOrAdd(id, _ => FontMeasuring.Of(Sandbar.Fonts.FontFile.Read(Asset(item.Hash)!.Bytes))) : null;

    /// <summary>The languages that can be written with a family's upright files together.</summary>
    public static ImmutableArray<Language> LanguagesOf(BundledFamily family) => KnownLanguages.GetOrAdd(family.Id, _ => Languages.WrittenWith(
        [.. family.Files.Where(f => !f.File.Italic && f.File.WeightFrom == family.Files[0].File.WeightFrom).Select(f => Faces.Characters(f.File, Sandbar.Fonts.FontFile.Read(Asset(f.Item.Hash)!.Bytes)))]));

    /// <summary>The licence a family comes under: whoever passes its files on passes this on with them.</summary>
    public static string Licence(BundledFamily family) => Encoding.UTF8.GetString(Bytes($"licences/{family.Id}.txt"));

    private static ImmutableArray<BundledFamily> Read()
    {
        var list = JsonSerializer.Deserialize<Listed>(Bytes("families.json"), SiteJson.Options)!;
        return [.. list.Families.Select(f => new BundledFamily(f.Id, f.Name, f.Class, [.. f.Files.Select(file => File(f.Name, file))]))];
    }

    private static (ShelfItem Item, FontFile File) File(string family, ListedFile file) => (
        new(file.File, family, $"fonts/{file.File}.woff2", FamilyKind.FontType, file.Hash, 0, 0),
        new(file.File, file.From, file.To, file.Italic) { Ranges = file.Ranges });

    private static byte[] Bytes(string file) => EmbeddedFile.Read(typeof(BundledFamilies).Assembly, Folder + file);

    private sealed record Listed(string MadeBy, ImmutableArray<ListedFamily> Families);

    private sealed record ListedFamily(string Id, string Name, FamilyClass Class, ImmutableArray<ListedFile> Files);

    /// <param name="Hash">SHA-256 of the file, so that it need not be read to be named.</param>
    private sealed record ListedFile(string File, int From, int To, bool Italic, string Ranges, string Hash);
}
