using System.Collections.Immutable;
using System.Runtime.InteropServices;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Pictures;

/// <summary>What a colour paints in an SVG.</summary>
public enum PaintKind
{
    Fill,
    Stroke,
    Stop,
}

/// <summary>A colour of a picture.</summary>
/// <param name="Share">Of the pixels that can be seen, 0 to 1.</param>
/// <param name="Paints">What it paints, of an SVG taken by its paints; else none.</param>
public sealed record PictureColor(Color Color, double Share, ImmutableArray<PaintKind> Paints);

/// <summary>
/// The colours of a picture: its pixels in clusters of OKLab (k-means from the points that lie farthest out, by weight), each shown by the colour most of it has where one stands out.
/// Source of the way: Lloyd 1982, Arthur and Vassilvitskii 2007; that the outermost points come first instead of random ones keeps the answer the same.
/// </summary>
public static class PictureColors
{
    public const int Most = 64;

    // Bits of a channel that tell bins apart.
    private const int Bits = 5;

    private const int Rounds = 24;

    // Nearer clusters are one colour with its noise: a little more than is just noticed (ΔEOK 0.02).
    private const double Same = 0.03;

    // A bin with so much of a cluster is a flat colour with what smoothing made of its edges.
    private const double Flat = 0.5;

    /// <summary>The colours of a picture file: of an SVG those it names, of any other what its pixels gather around.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why.</exception>
    public static ImmutableArray<PictureColor> InFile(byte[] bytes, int count)
    {
        // An SVG may name no paint and show something all the same.
        return PictureFile.IsSvg(bytes) && SvgPaints.Of(bytes) is { IsEmpty: false } paints ? [.. paints.Take(Most)] : Of(PictureFile.Read(bytes), count);
    }

    /// <summary>By share, the largest first; no more than there are.</summary>
    /// <exception cref="FormatException">Nothing can be seen in it.</exception>
    public static ImmutableArray<PictureColor> Of(Pixels pixels, int count)
    {
        var bins = Bins(pixels);
        if (bins.Count == 0) throw new FormatException("Nothing can be seen in this picture: every pixel is transparent.");
        var total = bins.Sum(b => b.Weight);
        return [.. Clusters(bins, count).Select(cluster => new PictureColor(Shown(cluster), cluster.Sum(b => b.Weight) / total, [])).OrderByDescending(c => c.Share)];
    }

    private static List<Bin> Bins(Pixels pixels)
    {
        var bins = new (long Count, long Red, long Green, long Blue)[1 << (3 * Bits)];
        foreach (var pixel in MemoryMarshal.Cast<byte, uint>(pixels.Rgba))
        {
            if (pixel >> 24 == 0) continue;
            uint red = pixel & 255, green = (pixel >> 8) & 255, blue = (pixel >> 16) & 255;
            ref var bin = ref bins[((red >> (8 - Bits)) << (2 * Bits)) | ((green >> (8 - Bits)) << Bits) | (blue >> (8 - Bits))];
            bin.Count++;
            bin.Red += red;
            bin.Green += green;
            bin.Blue += blue;
        }
        return [.. bins.Where(b => b.Count > 0).Select(b => new Bin(b.Count, new(ColorSpace.Srgb, b.Red / 255d / b.Count, b.Green / 255d / b.Count, b.Blue / 255d / b.Count)))];
    }

    private static List<List<Bin>> Clusters(List<Bin> bins, int count)
    {
        var centres = Start(bins, count);
        var nearest = new int[bins.Count];
        for (var round = 0; round < Rounds; round++)
        {
            var moved = 0d;
            for (var i = 0; i < bins.Count; i++) nearest[i] = Nearest(centres, bins[i].At);
            for (var k = 0; k < centres.Count; k++)
            {
                var own = Enumerable.Range(0, bins.Count).Where(i => nearest[i] == k).Select(i => bins[i]).ToList();
                if (own.Count == 0) continue;
                var centre = Mean(own);
                moved = Math.Max(moved, centre.To(centres[k]));
                centres[k] = centre;
            }
            if (moved < 1e-4) break;
        }
        var clusters = bins.Zip(nearest).GroupBy(b => b.Second, b => b.First).Select(g => g.ToList()).OrderByDescending(c => c.Sum(b => b.Weight)).ToList();
        for (var i = 0; i < clusters.Count; i++)
        {
            for (var j = clusters.Count - 1; j > i; j--)
            {
                if (Mean(clusters[i]).To(Mean(clusters[j])) >= Same) continue;
                clusters[i].AddRange(clusters[j]);
                clusters.RemoveAt(j);
            }
        }
        return clusters;
    }

    /// <summary>The heaviest bin, and then whichever lies farthest from all before, by its weight.</summary>
    private static List<Point> Start(List<Bin> bins, int count)
    {
        var centres = new List<Point> { bins.MaxBy(b => b.Weight)!.At };
        var distances = bins.Select(b => b.At.Squared(centres[0])).ToArray();
        while (centres.Count < Math.Min(count, bins.Count))
        {
            var farthest = Enumerable.Range(0, bins.Count).MaxBy(i => distances[i] * bins[i].Weight);
            if (distances[farthest] == 0) break;
            centres.Add(bins[farthest].At);
            for (var i = 0; i < bins.Count; i++) distances[i] = Math.Min(distances[i], bins[i].At.Squared(centres[^1]));
        }
        return centres;
    }

    private static int Nearest(List<Point> centres, Point point)
    {
        var nearest = 0;
        for (var k = 1; k < centres.Count; k++)
        {
            if (point.Squared(centres[k]) < point.Squared(centres[nearest])) nearest = k;
        }
        return nearest;
    }

    private static Point Mean(List<Bin> bins)
    {
        var weight = bins.Sum(b => b.Weight);
        return new(bins.Sum(b => b.At.L * b.Weight) / weight, bins.Sum(b => b.At.A * b.Weight) / weight, bins.Sum(b => b.At.B * b.Weight) / weight);
    }

    private static Color Shown(List<Bin> cluster)
    {
        var heaviest = cluster.MaxBy(b => b.Weight)!;
        if (heaviest.Weight >= Flat * cluster.Sum(b => b.Weight)) return Gamut.Rounded(heaviest.Color);
        var mean = Mean(cluster);
        return Gamut.Rounded(new(ColorSpace.Oklab, mean.L, mean.A, mean.B));
    }

    /// <summary>Pixels that are nearly the same, and their mean.</summary>
    private sealed record Bin(double Weight, Color Color)
    {
        public Point At { get; } = Point.Of(Color);
    }

    /// <summary>A place in OKLab.</summary>
    private readonly record struct Point(double L, double A, double B)
    {
        public static Point Of(Color color) => color.To(ColorSpace.Oklab) is var lab ? new(lab.C1, lab.C2, lab.C3) : default;

        public double Squared(Point other) => (L - other.L) * (L - other.L) + (A - other.A) * (A - other.A) + (B - other.B) * (B - other.B);

        public double To(Point other) => Math.Sqrt(Squared(other));
    }
}
