using System.Buffers.Binary;

namespace Sandbar.Fonts.Files;

/// <summary>Outlines and advances out of the form WOFF2 gives them (WOFF 2.0, 5.1 to 5.4).</summary>
internal static class Woff2Outlines
{
    private const int ArgumentsAreWords = 1, HasScale = 8, MoreComponents = 0x20, HasTwoScales = 0x40, HasMatrix = 0x80, HasInstructions = 0x100;

    /// <summary>A glyph's worth of points is bounded; so is what it takes to write them.</summary>
    private const int MostPoints = 65_535;

    /// <summary>Puts <c>glyf</c>, <c>loca</c> and, where it has such a form too, <c>hmtx</c> as they were.</summary>
    /// <exception cref="FormatException">They are damaged.</exception>
    public static void Restore(Dictionary<string, ReadOnlyMemory<byte>> tables, bool advances)
    {
        var glyphs = new Glyphs(tables["glyf"].Span);
        var (outlines, places, lefts) = glyphs.Read();
        tables["glyf"] = outlines;
        tables["loca"] = places;
        if (!tables.TryGetValue("head", out var head) || head.Length < 54) throw new FormatException("This font is damaged: its table head is missing.");
        // Places are written in four bytes each.
        var changed = head.ToArray();
        BinaryPrimitives.WriteInt16BigEndian(changed.AsSpan(50), 1);
        tables["head"] = changed;
        if (advances) tables["hmtx"] = Advances(tables, lefts);
    }

    private static byte[] Advances(Dictionary<string, ReadOnlyMemory<byte>> tables, short[] lefts)
    {
        if (!tables.TryGetValue("hhea", out var hhea) || !tables.TryGetValue("hmtx", out var hmtx)) throw new FormatException("This font is damaged: its advances are missing.");
        int measured = new BigEndian(hhea.Span, 34).U16();
        if (measured < 1 || measured > lefts.Length) throw new FormatException("This font is damaged: it has more advances than glyphs.");
        var reader = new BigEndian(hmtx.Span);
        var flags = reader.U8();
        var widths = reader.Take(2 * measured);
        var bearings = (flags & 1) == 0 ? reader.Take(2 * measured) : default;
        var rest = (flags & 2) == 0 ? reader.Take(2 * (lefts.Length - measured)) : default;
        var table = new byte[2 * (measured + lefts.Length)];
        for (var i = 0; i < measured; i++)
        {
            widths.Slice(2 * i, 2).CopyTo(table.AsSpan(4 * i));
            if (bearings.IsEmpty) BinaryPrimitives.WriteInt16BigEndian(table.AsSpan(4 * i + 2), lefts[i]);
            else bearings.Slice(2 * i, 2).CopyTo(table.AsSpan(4 * i + 2));
        }
        for (var i = measured; i < lefts.Length; i++)
        {
            var place = table.AsSpan(2 * (measured + i));
            if (rest.IsEmpty) BinaryPrimitives.WriteInt16BigEndian(place, lefts[i]);
            else rest.Slice(2 * (i - measured), 2).CopyTo(place);
        }
        return table;
    }

    /// <summary>The streams of a transformed <c>glyf</c> table.</summary>
    private ref struct Glyphs
    {
        private readonly int count;
        private readonly ReadOnlySpan<byte> boxBits;
        private BigEndian contours, points, flags, coordinates, components, boxes, instructions;

        public Glyphs(ReadOnlySpan<byte> table)
        {
            var reader = new BigEndian(table, 4);
            count = reader.U16();
            reader.U16();
            Span<int> sizes = stackalloc int[7];
            for (var i = 0; i < sizes.Length; i++) sizes[i] = reader.Length32();
            contours = new(reader.Take(sizes[0]));
            points = new(reader.Take(sizes[1]));
            flags = new(reader.Take(sizes[2]));
            coordinates = new(reader.Take(sizes[3]));
            components = new(reader.Take(sizes[4]));
            var boxStream = reader.Take(sizes[5]);
            var bitmap = 4 * ((count + 31) / 32);
            if (bitmap > boxStream.Length) throw new FormatException("This font is damaged: it ends too early, or points beyond its end.");
            boxBits = boxStream[..bitmap];
            boxes = new(boxStream[bitmap..]);
            instructions = new(reader.Take(sizes[6]));
        }

        /// <summary>The table of outlines, the places in it, and the left edge of each.</summary>
        public (byte[] Outlines, byte[] Places, short[] Lefts) Read()
        {
            var writer = new Writer();
            var places = new byte[4 * (count + 1)];
            var lefts = new short[count];
            for (var glyph = 0; glyph < count; glyph++)
            {
                BinaryPrimitives.WriteUInt32BigEndian(places.AsSpan(4 * glyph), (uint)writer.Length);
                var hasBox = (boxBits[glyph >> 3] & (0x80 >> (glyph & 7))) != 0;
                lefts[glyph] = contours.I16() switch
                {
                    0 when hasBox => throw new FormatException("This font is damaged: a glyph without an outline has a size."),
                    0 => 0,
                    < 0 when !hasBox => throw new FormatException("This font is damaged: a glyph made of others has no size."),
                    < 0 => Composite(writer),
                    var outlines => Simple(writer, outlines, hasBox),
                };
                writer.Pad();
            }
            BinaryPrimitives.WriteUInt32BigEndian(places.AsSpan(4 * count), (uint)writer.Length);
            return (writer.ToArray(), places, lefts);
        }

        private short Composite(Writer writer)
        {
            writer.I16(-1);
            var left = Box(writer);
            var start = components.At;
            var hasInstructions = false;
            int more;
            do
            {
                more = components.U16();
                hasInstructions |= (more & HasInstructions) != 0;
                components.Take(2 + ((more & ArgumentsAreWords) != 0 ? 4 : 2) + ((more & HasScale) != 0 ? 2 : (more & HasTwoScales) != 0 ? 4 : (more & HasMatrix) != 0 ? 8 : 0));
            }
            while ((more & MoreComponents) != 0);
            writer.Bytes(components.Since(start));
            if (hasInstructions) Instructions(writer);
            return left;
        }

        private short Simple(Writer writer, int outlines, bool hasBox)
        {
            var total = 0;
            var ends = new ushort[outlines];
            for (var i = 0; i < outlines; i++)
            {
                total += points.Short255();
                if (total is < 1 or > MostPoints) throw new FormatException("This font is damaged: a glyph has no point, or too many.");
                ends[i] = (ushort)(total - 1);
            }
            var moves = new (bool OnCurve, short X, short Y)[total];
            int x = 0, y = 0, left = int.MaxValue, bottom = int.MaxValue, right = int.MinValue, top = int.MinValue;
            for (var i = 0; i < total; i++)
            {
                var flag = flags.U8();
                var (dx, dy) = Move(flag & 0x7F);
                moves[i] = ((flag & 0x80) == 0, (short)dx, (short)dy);
                (x, y) = (x + dx, y + dy);
                (left, right, bottom, top) = (Math.Min(left, x), Math.Max(right, x), Math.Min(bottom, y), Math.Max(top, y));
            }
            writer.I16(outlines);
            if (hasBox)
            {
                left = Box(writer);
            }
            else
            {
                writer.I16(left);
                writer.I16(bottom);
                writer.I16(right);
                writer.I16(top);
            }
            foreach (var end in ends) writer.I16(end);
            Instructions(writer);
            // A flag a point, and two bytes for every move that is one.
            foreach (var (onCurve, dx, dy) in moves) writer.U8((onCurve ? 1 : 0) | (dx == 0 ? 0x10 : 0) | (dy == 0 ? 0x20 : 0));
            foreach (var (_, dx, _) in moves)
                if (dx != 0) writer.I16(dx);
            foreach (var (_, _, dy) in moves)
                if (dy != 0) writer.I16(dy);
            return (short)left;
        }

        /// <summary>How far a point lies from the one before (WOFF2, 5.2).</summary>
        private (int X, int Y) Move(int flag)
        {
            int b0 = coordinates.U8();
            switch (flag)
            {
                case < 10: return (0, Signed(flag, ((flag & 14) << 7) + b0));
                case < 20: return (Signed(flag, (((flag - 10) & 14) << 7) + b0), 0);
                case < 84: return (Signed(flag, 1 + ((flag - 20) & 0x30) + (b0 >> 4)), Signed(flag >> 1, 1 + (((flag - 20) & 0x0C) << 2) + (b0 & 0x0F)));
            }
            int b1 = coordinates.U8();
            if (flag < 120) return (Signed(flag, 1 + ((flag - 84) / 12 << 8) + b0), Signed(flag >> 1, 1 + ((flag - 84) % 12 >> 2 << 8) + b1));
            int b2 = coordinates.U8();
            if (flag < 124) return (Signed(flag, (b0 << 4) + (b1 >> 4)), Signed(flag >> 1, ((b1 & 0x0F) << 8) + b2));
            return (Signed(flag, (b0 << 8) + b1), Signed(flag >> 1, (b2 << 8) + coordinates.U8()));
        }

        private static int Signed(int flag, int value) => (flag & 1) == 1 ? value : -value;

        private short Box(Writer writer)
        {
            var left = boxes.I16();
            writer.I16(left);
            writer.Bytes(boxes.Take(6));
            return left;
        }

        private void Instructions(Writer writer)
        {
            var length = coordinates.Short255();
            writer.I16(length);
            writer.Bytes(instructions.Take(length));
        }
    }

    private sealed class Writer
    {
        private readonly List<byte> written = [];

        public int Length => written.Count;

        public void U8(int value) => written.Add((byte)value);

        public void I16(int value)
        {
            U8(value >> 8);
            U8(value);
        }

        public void Bytes(ReadOnlySpan<byte> bytes)
        {
            if (written.Count + bytes.Length > FontTables.MostUnpacked) throw FontTables.TooLarge();
            written.AddRange(bytes);
        }

        public void Pad()
        {
            while (written.Count % 4 != 0) U8(0);
        }

        public byte[] ToArray() => [.. written];
    }
}
