using System.Collections.Immutable;
using System.Text;
using System.Text.Json;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Foundations.Type;

/// <summary>What kind of letters a family has.</summary>
public enum FamilyClass
{
    Serif,
    Sans,
    Slab,
    Mono,
    Display,
    Hand,
}

/// <summary>A family that comes with the program, under an open licence.</summary>
/// <param name="Files">Its font files as shelf items, with the weights each holds.</param>
/// <param name="Assets">Their bytes.</param>
public sealed record BundledFamily(string Id, string Name, FamilyClass Class, ImmutableArray<(ShelfItem Item, FontFile File)> Files, ImmutableArray<Asset> Assets)
{
    /// <summary>The CSS <c>font-family</c> list: the family and what stands in for it until it is there.</summary>
    public string Stack => $"\"{Name}\", " + Class switch
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

    public static BundledFamily? Find(string id) => All.FirstOrDefault(f => f.Id == id);

    public static BundledFamily? ByName(string name) => All.FirstOrDefault(f => f.Name.Equals(name, StringComparison.OrdinalIgnoreCase));

    /// <summary>A font file as a shelf item, by the item's id; null where it is none of these.</summary>
    public static ShelfItem? Item(string id) => All.SelectMany(f => f.Files).Select(f => f.Item).FirstOrDefault(i => i.Id == id);

    /// <summary>A font file by its hash; null where it is none of these.</summary>
    public static Asset? Asset(string hash) => All.SelectMany(f => f.Assets).FirstOrDefault(a => a.Hash == hash);

    /// <summary>The licence a family comes under: whoever passes its files on passes this on with them.</summary>
    public static string Licence(BundledFamily family) => Encoding.UTF8.GetString(Bytes($"licences/{family.Id}.txt"));

    private static ImmutableArray<BundledFamily> Read()
    {
        var list = JsonSerializer.Deserialize<Listed>(Bytes("families.json"), SiteJson.Options)!;
        return [.. list.Families.Select(Family)];
    }

    private static BundledFamily Family(ListedFamily family)
    {
        var files = family.Files.Select(f => (f, Asset: Design.Asset.Of("font/woff2", Bytes(f.File + ".woff2")))).ToList();
        return new(
            family.Id, family.Name, family.Class,
            [.. files.Select(f => (
                new ShelfItem(f.f.File, family.Name, $"fonts/{f.f.File}.woff2", f.Asset.MediaType, f.Asset.Hash, 0, 0),
                new FontFile(f.f.File, f.f.From, f.f.To, Italic: false)))],
            [.. files.Select(f => f.Asset)]);
    }

    private static byte[] Bytes(string file) => EmbeddedFile.Read(typeof(BundledFamilies).Assembly, Folder + file);

    private sealed record Listed(string MadeBy, ImmutableArray<ListedFamily> Families);

    private sealed record ListedFamily(string Id, string Name, FamilyClass Class, ImmutableArray<ListedFile> Files);

    private sealed record ListedFile(string File, int From, int To);
}
