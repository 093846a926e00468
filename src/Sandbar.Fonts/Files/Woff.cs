using System.IO.Compression;

namespace Sandbar.Fonts.Files;

/// <summary>WOFF 1.0 (W3C): each table by itself, packed with zlib where that makes it smaller.</summary>
internal static class Woff
{
    private const int HeaderSize = 44;

    /// <exception cref="FormatException">It is damaged, or larger than anything that is taken.</exception>
    public static (uint Flavor, Dictionary<string, ReadOnlyMemory<byte>> Tables) Read(byte[] file)
    {
        var (flavor, count) = Head(file);
        var reader = new BigEndian(file, HeaderSize);
        var tables = new Dictionary<string, ReadOnlyMemory<byte>>(StringComparer.Ordinal);
        var all = 0L;
        for (var i = 0; i < count; i++)
        {
            var tag = reader.Tag();
            var (at, packed, length) = (reader.Length32(), reader.Length32(), reader.Length32());
            reader.U32();
            all += length;
            if (all > FontTables.MostUnpacked) throw FontTables.TooLarge();
            if (at > file.Length || packed > file.Length - at || packed > length) throw new FormatException("This font is damaged: it ends too early, or points beyond its end.");
            tables[tag] = packed == length ? file.AsMemory(at, length) : Unpacked(file, at, packed, length);
        }
        return (flavor, tables);
    }

    /// <summary>What both kinds of WOFF begin with: the kind of outlines, and how many tables there are.</summary>
    public static (uint Flavor, int Tables) Head(byte[] file)
    {
        var reader = new BigEndian(file, 4);
        var flavor = reader.U32();
        reader.U32();
        var count = reader.U16();
        return count <= FontTables.MostTables ? (flavor, count) : throw new FormatException($"This font has more than {FontTables.MostTables} tables.");
    }

    private static byte[] Unpacked(byte[] file, int at, int packed, int length)
    {
        var table = new byte[length];
        try
        {
            using var zlib = new ZLibStream(new MemoryStream(file, at, packed), CompressionMode.Decompress);
            zlib.ReadExactly(table);
        }
        catch (Exception broken) when (broken is InvalidDataException or EndOfStreamException)
        {
            throw new FormatException("This font is damaged: it cannot be unpacked.");
        }
        return table;
    }
}
