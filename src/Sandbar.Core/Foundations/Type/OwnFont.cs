using Sandbar.Core.Design;
using FontFile = Sandbar.Fonts.FontFile;

namespace Sandbar.Core.Foundations.Type;

/// <summary>A font file that did not come with the program: read whole, and kept as WOFF2 that we wrote.</summary>
public sealed record OwnFont(Asset Asset, FontMeasures Measures, int WeightFrom, int WeightTo, bool Italic)
{
    /// <summary>The largest file that is read, bytes.</summary>
    public const int MostBytes = 20_000_000;

    /// <exception cref="FormatException">It is no font that can be read; the message says why.</exception>
    public static OwnFont Read(byte[] bytes)
    {
        try
        {
            var font = FontFile.Read(bytes);
            var (from, to) = FontMeasuring.Weights(font.Facts);
            var measures = FontMeasuring.Of(font) with { Languages = [.. Languages.WrittenWith([font.Facts.Characters]).Select(l => l.Code)] };
            if (!FontMeasuring.HoldTogether(measures)) throw new FormatException("This font is damaged: its letters have no width, or its heights are out of all proportion.");
            return new(Asset.Of(FamilyKind.FontType, font.AsWoff2()), measures, from, to, font.Facts.IsItalic);
        }
        catch (Exception broken) when (broken is IndexOutOfRangeException or ArgumentException or OverflowException)
        {
            throw new FormatException("This font is damaged.", broken);
        }
    }

    /// <summary>A site with its own font files measured anew, and their bytes as they are kept: what a file from elsewhere says of them is not trusted.</summary>
    /// <exception cref="FormatException">One of them cannot be read.</exception>
    public static (Site Site, IReadOnlyList<Asset> Assets) Checked(Site site, IReadOnlyList<Asset> assets)
    {
        var read = new Dictionary<string, OwnFont>(StringComparer.Ordinal);
        foreach (var asset in assets.Where(a => a.MediaType == FamilyKind.FontType && BundledFamilies.Asset(a.Hash) is null))
        {
            try
            {
                read[asset.Hash] = Read(asset.Bytes);
            }
            catch (FormatException broken)
            {
                throw new FormatException($"{site.Shelf.First(i => i.Hash == asset.Hash).Name}: {broken.Message}");
            }
        }
        var hashes = site.Shelf.ToDictionary(i => i.Id, i => i.Hash, StringComparer.Ordinal);
        var families = site.Type.Families.Each(family => family.Files.IsDefaultOrEmpty ? family : family with { Files = [.. family.Files.Select(Measured)] });
        return (
            site with
            {
                Type = site.Type with { Families = families },
                Shelf = site.Shelf.Each(item => read.TryGetValue(item.Hash, out var own) && own.Asset.Hash != item.Hash ? item with { Hash = own.Asset.Hash } : item),
            },
            [.. assets.Select(a => read.TryGetValue(a.Hash, out var own) ? own.Asset : a).DistinctBy(a => a.Hash)]);

        Design.FontFile Measured(Design.FontFile file) => hashes.TryGetValue(file.Item, out var hash) && read.TryGetValue(hash, out var own) ? file with { Measures = own.Measures }
            // A file of the program is known by its bytes, under whatever name it is kept.
            : hash is not null && BundledFamilies.ItemOf(hash) is { } bundled ? file with { Measures = bundled.Id == file.Item ? null : BundledFamilies.Measures(bundled.Id) }
            : file;
    }
}
