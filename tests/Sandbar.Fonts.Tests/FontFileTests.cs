using System.Buffers.Binary;
using System.Text;
using System.Text.Json;
using CsCheck;
using HarfBuzzSharp;
using Sandbar.Fonts.Files;

namespace Sandbar.Fonts.Tests;

/// <summary>Font files against fontTools, a second reader (fixtures/fonts.json), and against whatever may have happened to them.</summary>
public class FontFileTests
{
    public static TheoryData<string> Files => [.. Fixture.Read("fonts.json").GetProperty("fonts").EnumerateArray().Select(f => f.String("file"))];

    [Theory]
    [MemberData(nameof(Files))]
    public void What_a_font_says_of_itself_is_what_another_reader_finds(string file)
    {
        var (facts, expected) = (FontFile.Read(Bytes(file)).Facts, Expected(file));
        Assert.Equal(expected.String("family"), facts.Family);
        Assert.Equal(
            new FontMetrics(Number("unitsPerEm"), Number("ascent"), Number("descent"), Number("lineGap"), Number("capHeight"), Number("xHeight")), facts.Metrics);
        Assert.Equal([.. expected.GetProperty("weights").Numbers().Select(w => (int)w!.Value)], new[] { facts.Weights.From, facts.Weights.To });
        Assert.Equal(expected.GetProperty("italic").GetBoolean(), facts.IsItalic);
        Assert.Equal(expected.GetProperty("axes").EnumerateArray().Select(a => new FontAxis(a[0].GetString()!, a[1].GetDouble(), a[2].GetDouble(), a[3].GetDouble())), facts.Axes);
        Assert.Equal(expected.GetProperty("features").EnumerateArray().Select(f => f.GetString()!), facts.Features);
        Assert.Equal(expected.GetProperty("characters").EnumerateArray().Select(c => c.GetInt32()), facts.Characters.Ranges.SelectMany(r => Enumerable.Range(r.From, r.To - r.From + 1)));
        Assert.Equal(expected.String("licence"), facts.Licence);

        int Number(string name) => expected.GetProperty(name).GetInt32();
    }

    /// <summary>Outlines and advances out of whatever form they were packed in, as HarfBuzz finds them in the unwrapped file.</summary>
    /// <summary>One file of each family, and every wrapping: the others are made alike.</summary>
    public static TheoryData<string> OneOfEach => [.. ((IEnumerable<ITheoryDataRow>)Files).Select(row => (string)row.GetData()[0]!)
        .Where(file => !file.Contains("latin-ext", StringComparison.Ordinal) && !file.Contains("-italic", StringComparison.Ordinal))];

    [Theory]
    [MemberData(nameof(OneOfEach))]
    public void Outlines_and_advances_are_unwrapped_as_they_were(string file)
    {
        using var blob = TextMeasure.Copied(FontFile.Read(Bytes(file)).Unwrapped());
        using var face = new Face(blob, 0);
        using var font = new Font(face);
        font.SetScale(face.UnitsPerEm, face.UnitsPerEm);
        font.SetFunctionsOpenType();
        foreach (var glyph in Expected(file).GetProperty("glyphs").EnumerateArray())
        {
            var index = (uint)glyph[0].GetInt32();
            Assert.Equal(glyph[1].GetInt32(), font.GetHorizontalGlyphAdvance(index));
            Assert.True(font.TryGetGlyphExtents(index, out var extents));
            var box = glyph[2].ValueKind == JsonValueKind.Null ? [0, 0, 0, 0] : glyph[2].Numbers().Select(n => (int)n!.Value).ToArray();
            Assert.Equal(box, new[] { extents.XBearing, extents.YBearing + extents.Height, extents.XBearing + extents.Width, extents.YBearing });
        }
    }

    [Fact]
    public void What_it_says_of_its_letters_and_its_licence_is_told()
    {
        var square = FontFile.Read(Bytes("square.otf")).Facts;
        Assert.Equal((FontClass.Mono, false, "Made for tests."), (square.Class, square.MayEmbed, square.Licence));
        Assert.Equal(["B", "é"], square.Characters.MissingIn("A AB\né").Select(r => r.ToString()));
        Assert.Equal(FontClass.Mono, FontFile.Read(Bytes("jetbrains-mono-latin-wght-normal.woff2")).Facts.Class);
    }

    [Theory]
    [InlineData("")]
    [InlineData("This is no font, whatever its name says.")]
    [InlineData("ttcf\0\u0001\0\0\0\0\0\u0002")]
    [InlineData("wOF2")]
    public void What_is_no_font_is_refused_with_a_sentence(string text) =>
        Assert.EndsWith(".", Assert.Throws<FormatException>(() => FontFile.Read(Encoding.Latin1.GetBytes(text))).Message, StringComparison.Ordinal);

    [Fact]
    public void A_font_of_40_MB_is_refused() =>
        Assert.Contains("larger than 20 MB", Assert.Throws<FormatException>(() => FontFile.Read(new byte[40_000_000])).Message, StringComparison.Ordinal);

    /// <summary>256 tables that all lie on the same bytes would be gigabytes when each is unwrapped by itself.</summary>
    [Fact]
    public void Tables_that_lie_on_each_other_are_bounded()
    {
        var file = new byte[2_000_000];
        byte[] head = [0, 1, 0, 0, 1, 0];
        head.CopyTo(file, 0);
        for (var i = 0; i < 256; i++)
        {
            var entry = file.AsSpan(12 + 16 * i);
            Encoding.Latin1.GetBytes($"t{i:000}", entry);
            BinaryPrimitives.WriteUInt32BigEndian(entry[12..], (uint)file.Length);
        }
        Assert.Contains("unpacks to more than", Assert.Throws<FormatException>(() => FontFile.Read(file)).Message, StringComparison.Ordinal);
    }

    /// <summary>32,000 segments that each hold all of the first plane: two thousand million characters to go through.</summary>
    [Fact]
    public void Characters_that_are_said_again_and_again_are_bounded()
    {
        const int segments = 32_000;
        var table = new byte[12 + 16 + 8 * segments];
        byte[] head = [0, 0, 0, 1, 0, 3, 0, 1, 0, 0, 0, 12, 0, 4];
        head.CopyTo(table, 0);
        BinaryPrimitives.WriteUInt16BigEndian(table.AsSpan(12 + 6), 2 * segments);
        table.AsSpan(12 + 14, 2 * segments).Fill(0xFE);
        Assert.Contains("more characters than there are", Assert.Throws<FormatException>(() => CharacterMap.Read(table)).Message, StringComparison.Ordinal);
    }

    [Fact]
    public void An_axis_that_ends_before_it_begins_is_refused()
    {
        var file = Bytes("caveat.ttf");
        var axis = file.AsSpan().LastIndexOf("wght"u8);
        var (least, most) = (BinaryPrimitives.ReadInt32BigEndian(file.AsSpan(axis + 4)) >> 16, BinaryPrimitives.ReadInt32BigEndian(file.AsSpan(axis + 12)) >> 16);
        Assert.Equal((400, 700), (least, most));
        BinaryPrimitives.WriteInt32BigEndian(file.AsSpan(axis + 4), 900 << 16);
        Assert.Contains("axis", Assert.Throws<FormatException>(() => FontFile.Read(file)).Message, StringComparison.Ordinal);
    }

    /// <summary>Every font cut off anywhere is refused; with bits turned over it is refused or can be measured.</summary>
    [Fact]
    public void A_damaged_font_is_refused_or_measured()
    {
        var files = Files.Select(f => Bytes(f)).ToArray();
        Gen.Select(Gen.Int[0, files.Length - 1], Gen.Double[0, 1], Gen.Bool, Gen.Select(Gen.Double[0, 1], Gen.Int[0, 255]).Array[1, 8]).Sample(
            (file, length, cut, changes) =>
            {
                var bytes = cut ? files[file][..(int)(files[file].Length * length)] : (byte[])files[file].Clone();
                // Most of what decides stands at the beginning.
                if (!cut)
                    foreach (var (at, value) in changes) bytes[(int)((bytes.Length - 1) * at * at * at * at)] = (byte)value;
                try
                {
                    using var measure = new TextMeasure(FontFile.Read(bytes));
                    Assert.True(double.IsFinite(measure.Width("Affinity, 1984", 16, 450)));
                }
                catch (FormatException refused)
                {
                    Assert.EndsWith(".", refused.Message, StringComparison.Ordinal);
                }
            },
            iter: RandomTimes.Of(2_000));
    }

    /// <summary>Of several at once each is measured as it is alone.</summary>
    [Fact]
    public void Fonts_are_measured_on_many_threads_at_once()
    {
        var files = ((IEnumerable<ITheoryDataRow>)OneOfEach).Select(row => (string)row.GetData()[0]!).Take(12).ToList();
        var expected = files.ConvertAll(f => Width(f));
        Parallel.For(0, 40 * files.Count, i => Assert.Equal(expected[i % files.Count], Width(files[i % files.Count], i % 10 == 0)));

        static double Width(string file, bool tidied = false)
        {
            using var measure = new TextMeasure(FontFile.Read(Bytes(file)));
            // What is only kept alive by native code must not go meanwhile.
            if (tidied) GC.Collect();
            GC.WaitForPendingFinalizers();
            return measure.Width("Borrow a packet. Grow it. Bring some back.", 18, 450);
        }
    }

    internal static byte[] Bytes(string file) => File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "fonts", file));

    private static JsonElement Expected(string file) => Fixture.Read("fonts.json").GetProperty("fonts").EnumerateArray().First(f => f.String("file") == file);
}
