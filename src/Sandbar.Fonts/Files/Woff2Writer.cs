using System.Buffers.Binary;
using System.IO.Compression;
using System.Text;

namespace Sandbar.Fonts.Files;

/// <summary>Wraps a font as WOFF 2.0 (W3C), all tables in the form they have unwrapped.</summary>
internal static class Woff2Writer
{
    private const uint Signature = 0x774F_4632;

    private const int HeaderSize = 48, OwnTag = 63, NotTransformed = 3, Window = 22, Best = 11, Quick = 9, Large = 400_000;

    /// <param name="tables">By tag in their order; <c>loca</c> comes right after <c>glyf</c>.</param>
    public static byte[] Write(uint flavor, IReadOnlyList<(string Tag, ReadOnlyMemory<byte> Bytes)> tables)
    {
        using var directory = new MemoryStream();
        using var stream = new MemoryStream();
        foreach (var (tag, bytes) in tables)
        {
            var known = Array.IndexOf(Woff2.Tags, tag);
            // Of outlines the number of the form is 3 where they stand as they are, of all others 0.
            var form = tag is "glyf" or "loca" ? NotTransformed : 0;
            directory.WriteByte((byte)((form << 6) | (known < 0 ? OwnTag : known)));
            if (known < 0) directory.Write(Encoding.Latin1.GetBytes(tag));
            Base128(directory, (uint)bytes.Length);
            stream.Write(bytes.Span);
        }
        var plain = stream.GetBuffer().AsSpan(0, (int)stream.Length);
        var packed = new byte[BrotliEncoder.GetMaxCompressedLength(plain.Length)];
        if (!BrotliEncoder.TryCompress(plain, packed, out var length, plain.Length > Large ? Quick : Best, Window)) throw new InvalidOperationException("A font could not be packed.");
        var head = HeaderSize + (int)directory.Length;
        var file = new byte[(head + length + 3) & ~3];
        BinaryPrimitives.WriteUInt32BigEndian(file, Signature);
        BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(4), flavor);
        BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(8), (uint)file.Length);
        BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan(12), (ushort)tables.Count);
        BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(16), (uint)(12 + 16 * tables.Count + tables.Sum(t => (t.Bytes.Length + 3) & ~3)));
        BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(20), (uint)length);
        BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan(24), 1);
        directory.GetBuffer().AsSpan(0, (int)directory.Length).CopyTo(file.AsSpan(HeaderSize));
        packed.AsSpan(0, length).CopyTo(file.AsSpan(head));
        return file;
    }

    /// <summary>A number in groups of seven bits, the highest first (WOFF2, 5.1, UIntBase128).</summary>
    private static void Base128(MemoryStream to, uint number)
    {
        var groups = 1;
        for (var rest = number >> 7; rest > 0; rest >>= 7) groups++;
        for (var i = groups - 1; i >= 0; i--) to.WriteByte((byte)(((number >> (7 * i)) & 0x7F) | (i > 0 ? 0x80u : 0)));
    }
}
