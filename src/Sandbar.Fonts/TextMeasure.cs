using System.Runtime.InteropServices;
using HarfBuzzSharp;
using Buffer = HarfBuzzSharp.Buffer;

namespace Sandbar.Fonts;

/// <summary>How wide text is in a font, as a browser sets it: the whole of it shaped at once, with kerning and ligatures, not hinted.</summary>
public sealed class TextMeasure : IDisposable
{
    /// <summary>Parts of a font unit that are told apart.</summary>
    private const int Parts = 64;

    private readonly Blob blob;
    private readonly Face face;
    private readonly FontFile file;

    /// <summary>The font it measures with.</summary>
    public FontFile File => file;

    public TextMeasure(FontFile file)
    {
        this.file = file;
        blob = Copied(file.Unwrapped());
        face = new(blob, 0);
    }

    /// <summary>The width of a text, px.</summary>
    /// <param name="size">Of the letters, px, above 0.</param>
    /// <param name="weight">Of a variable font the nearest it has.</param>
    /// <param name="axes">Where it stands on other axes; where nothing is said, as a browser sets it.</param>
    public double Width(string text, double size, double weight, IReadOnlyDictionary<string, double>? axes = null)
    {
        if (text.Length == 0) return 0;
        var unitsPerEm = file.Facts.Metrics.UnitsPerEm;
        using var font = new Font(face);
        font.SetScale(unitsPerEm * Parts, unitsPerEm * Parts);
        font.SetFunctionsOpenType();
        // A browser sets the optical size by itself (font-optical-sizing: auto).
        font.SetVariations([.. file.Facts.Axes.Select(a => (Axis: a, At: Place(a.Tag))).Where(a => a.At is not null).Select(a => new Variation { Tag = Tag.Parse(a.Axis.Tag), Value = (float)Math.Clamp(a.At!.Value, a.Axis.Least, a.Axis.Most) })]);
        using var buffer = new Buffer();
        buffer.AddUtf16(text);
        buffer.GuessSegmentProperties();
        font.Shape(buffer);
        return buffer.GetGlyphPositionSpan().ToArray().Sum(p => (double)p.XAdvance) / Parts * size / unitsPerEm;

        double? Place(string tag) => tag == "wght" ? weight : axes?.TryGetValue(tag, out var at) == true ? at : tag switch
        {
            // A browser sets these by itself: the optical size is the size (font-optical-sizing), a normal width and an upright letter are what they are called.
            "opsz" => size,
            "wdth" => FontAxis.NormalWidth,
            "slnt" => 0,
            _ => null,
        };
    }

    // A copy of HarfBuzz's own: what Blob.FromStream makes goes with the next garbage collection, and every letter is then as wide as any other.
    internal static Blob Copied(byte[] bytes)
    {
        var pinned = GCHandle.Alloc(bytes, GCHandleType.Pinned);
        try
        {
            return new(pinned.AddrOfPinnedObject(), bytes.Length, MemoryMode.Duplicate);
        }
        finally
        {
            pinned.Free();
        }
    }

    public void Dispose()
    {
        face.Dispose();
        blob.Dispose();
    }
}
