using System.Globalization;
using Sandbar.Css.Cascade;
using Sandbar.Css.Colors;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Tracing;

/// <summary>What changes how an element looks beside the property that is asked about.</summary>
public enum EffectKind
{
    /// <summary><c>opacity</c> lets what lies behind through.</summary>
    Opacity,

    /// <summary>Nothing of it is seen: <c>display</c>, <c>visibility</c>, <c>content-visibility</c>.</summary>
    Hidden,

    /// <summary>Something lies over all of it.</summary>
    Covered,

    /// <summary><c>filter</c>, <c>backdrop-filter</c>.</summary>
    Filter,

    /// <summary><c>mix-blend-mode</c>.</summary>
    Blend,

    /// <summary><c>clip-path</c>, <c>clip</c>, <c>mask-image</c>.</summary>
    Clip,

    /// <summary><c>transform</c>, <c>translate</c>, <c>rotate</c>, <c>scale</c>.</summary>
    Transform,
}

/// <param name="On">The element that has it: the one asked about, or one around it.</param>
/// <param name="Piece">The pseudo-element of it, without colons; empty for the element itself.</param>
/// <param name="Property">Which of its properties.</param>
/// <param name="Value">What that comes to.</param>
public sealed record OtherEffect(EffectKind Kind, Element On, string Piece, string Property, string Value);

/// <summary>What else changes a pixel of an element. Sources: CSS Color 4, §3; CSS Display 3; Filter Effects 1; Compositing 1; CSS Masking 1; CSS Transforms 1; CSS 2.2, Appendix E.</summary>
public static class OtherEffects
{
    /// <summary>Those of an element and of all around it, its own first.</summary>
    public static IReadOnlyList<OtherEffect> Of(PageStyles page, Element element)
    {
        var effects = new List<OtherEffect>();
        for (var at = element; at is not null; at = at.Parent)
        {
            var style = page.Of(at);
            Note(EffectKind.Hidden, "display", value => value == "none");
            Note(EffectKind.Opacity, "opacity", value => value != "1");
            foreach (var property in new[] { "filter", "backdrop-filter" }) Note(EffectKind.Filter, property, IsSet);
            Note(EffectKind.Blend, "mix-blend-mode", value => value != "normal");
            foreach (var property in new[] { "clip-path", "mask-image" }) Note(EffectKind.Clip, property, IsSet);
            Note(EffectKind.Clip, "clip", value => value != "auto" && style.Text("position") is "absolute" or "fixed");
            if (NoEffects.Of(style, "transform") is null)
            {
                foreach (var property in new[] { "transform", "translate", "rotate", "scale" }) Note(EffectKind.Transform, property, IsSet);
            }
            // What is skipped is what stands within.
            if (at != element) Note(EffectKind.Hidden, "content-visibility", value => value == "hidden");
            foreach (var piece in new[] { "before", "after" })
            {
                if (Covers(page.Of(at, piece), style)) effects.Add(new(EffectKind.Covered, at, piece, "position", page.Of(at, piece).Text("position")));
            }
            for (var beside = at.Next; beside is not null; beside = beside.Next)
            {
                if (at.Parent is not null && Covers(page.Of(beside), page.Of(at.Parent))) effects.Add(new(EffectKind.Covered, beside, "", "position", page.Of(beside).Text("position")));
            }

            void Note(EffectKind kind, string property, Func<string, bool> counts)
            {
                var value = style.Text(property);
                if (counts(value)) effects.Add(new(kind, at, "", property, value));
            }
        }
        // What is inherited is told once, by the element itself.
        var visibility = page.Of(element).Text("visibility");
        if (visibility != "visible") effects.Insert(0, new(EffectKind.Hidden, element, "", "visibility", visibility));
        return effects;

        static bool IsSet(string value) => value != "none";
    }

    /// <summary>The colour of text as it comes to the eye: over what lies behind it, with the opacity of all around. Null where a picture, a gradient or an effect decides.</summary>
    public static (Color Text, Color Ground)? Seen(PageStyles page, Element element)
    {
        var chain = new List<ElementStyle>();
        for (var at = element; at is not null; at = at.Parent) chain.Add(page.Of(at));
        var ground = Color.White;
        var (text, behind) = (ground, ground);
        // From the outside inwards; what an element with opacity shows is laid over what lies behind it.
        var layers = new Stack<(Color Behind, double Opacity)>();
        for (var i = chain.Count - 1; i >= 0; i--)
        {
            var style = chain[i];
            if (style.Text("background-image") != "none" || style.Text("filter") != "none" || style.Text("mix-blend-mode") != "normal") return null;
            if (Number(style.Text("opacity")) is var opacity and < 1) layers.Push((behind, opacity));
            if (Read(style.Text("background-color")) is not { } own) return null;
            behind = Compositing.Over(own, behind);
        }
        if (Read(chain[0].Text("color")) is not { } color) return null;
        (text, ground) = (Compositing.Over(color, behind), behind);
        while (layers.TryPop(out var layer))
        {
            text = Compositing.Over(text with { Alpha = layer.Opacity }, layer.Behind);
            ground = Compositing.Over(ground with { Alpha = layer.Opacity }, layer.Behind);
        }
        return (text, ground);
    }

    private static Color? Read(string text) => ColorText.TryParse(text, out var color) ? Gamut.ToSrgb(color) : null;

    private static double Number(string text) => double.TryParse(text, CultureInfo.InvariantCulture, out var number) ? number : 1;

    /// <summary>Whether something that is laid out by what it stands in lies over all of that, and shows something.</summary>
    private static bool Covers(ElementStyle over, ElementStyle container)
    {
        if (over.Piece.Length > 0 && over.Text("content") is "none" or "normal") return false;
        if (over.Text("position") is not ("absolute" or "fixed") || over.Text("display") == "none" || over.Text("visibility") != "visible" || Number(over.Text("opacity")) == 0) return false;
        if (over.Text("position") == "absolute" && container.Text("position") == "static") return false;
        if (over.Text("z-index") is ['-', ..]) return false;
        var isFilled = over.Text("background-image") != "none" || (Read(over.Text("background-color")) is { Alpha: > 0 });
        return isFilled && Spans("left", "right", "width") && Spans("top", "bottom", "height");

        bool Spans(string from, string to, string size) => IsZero(over.Text(from)) && (IsZero(over.Text(to)) ? over.Text(size) is "auto" or "100%" : over.Text(size) == "100%");
        static bool IsZero(string inset) => inset is "0px" or "0%";
    }
}
