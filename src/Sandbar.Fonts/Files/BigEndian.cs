using System.Buffers.Binary;
using System.Text;

namespace Sandbar.Fonts.Files;

/// <summary>Reads numbers of font files one after another. Beyond the end there is nothing to read: that is a <see cref="FormatException"/>, never a guess.</summary>
internal ref struct BigEndian(ReadOnlySpan<byte> bytes, int at = 0)
{
    private readonly ReadOnlySpan<byte> bytes = bytes;

    public int At { get; private set; } = at;

    public readonly int Left => bytes.Length - At;

    public byte U8() => Take(1)[0];

    public ushort U16() => BinaryPrimitives.ReadUInt16BigEndian(Take(2));

    public short I16() => BinaryPrimitives.ReadInt16BigEndian(Take(2));

    public uint U32() => BinaryPrimitives.ReadUInt32BigEndian(Take(4));

    /// <summary>A count or a place that has to lie within the file.</summary>
    public int Length32() => U32() is var value && value <= int.MaxValue ? (int)value : throw Ends();

    /// <summary>A number with sixteen bits behind the point.</summary>
    public double Fixed() => BinaryPrimitives.ReadInt32BigEndian(Take(4)) / 65536d;

    public string Tag() => Encoding.Latin1.GetString(Take(4));

    public ReadOnlySpan<byte> Take(int count)
    {
        if (count < 0 || count > Left || At < 0) throw Ends();
        var taken = bytes.Slice(At, count);
        At += count;
        return taken;
    }

    /// <summary>What was read since a place.</summary>
    public readonly ReadOnlySpan<byte> Since(int start) => bytes[start..At];

    /// <summary>A number of seven bits a byte (WOFF2, 4.1).</summary>
    public int Base128()
    {
        var value = 0u;
        for (var i = 0; i < 5; i++)
        {
            var next = U8();
            if ((i == 0 && next == 0x80) || (value & 0xFE000000) != 0) throw new FormatException("This font is damaged: a length in it is none.");
            value = (value << 7) | (next & 0x7Fu);
            if ((next & 0x80) == 0) return value <= int.MaxValue ? (int)value : throw Ends();
        }
        throw new FormatException("This font is damaged: a length in it is none.");
    }

    /// <summary>A number that mostly fits a byte (WOFF2, 4.1).</summary>
    public int Short255() => U8() switch
    {
        253 => U16(),
        255 => 253 + U8(),
        254 => 506 + U8(),
        var small => small,
    };

    private static FormatException Ends() => new("This font is damaged: it ends too early, or points beyond its end.");
}
