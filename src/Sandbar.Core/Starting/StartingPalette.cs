using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Starting;

/// <summary>A palette from one colour: ink and paper with a breath of its hue, a spark for what should catch the eye, and two schemes that can be read.</summary>
internal static class StartingPalette
{
    /// <summary>What text must reach (WCAG 2.2, 1.4.3), and what lines and rings must (1.4.11).</summary>
    private const double Text = Contrast.Text, Line = 3;

    /// <summary>Looks make a colour darker by up to two steps when the pointer is over it: it must be readable there too.</summary>
    private const int Darker = 2;

    public static PaletteFoundation From(string css)
    {
        var given = ColorText.Parse(css).To(ColorSpace.Oklch);
        var (chroma, hue) = given.C2 < 1e-3 || double.IsNaN(given.C3) ? (0, 0) : (given.C2, given.C3);
        // Amber, unless the colour is one itself.
        var spark = Math.Abs(hue - 85) < 45 && chroma > 0.05 ? 215 : 85;
        var palette = new PaletteFoundation(
            [
                Starter.Color("main", css),
                Mixed("spark", 0.82, 0.13, spark),
                Mixed("ink", 0.25, Math.Min(chroma * 0.25, 0.03), hue),
                Mixed("paper", 0.965, Math.Min(chroma * 0.06, 0.008), hue),
                Mixed("chalk", 0.995, 0, 0),
            ],
            Starter.Roles, []);
        return palette with { Schemes = [Day(palette), Dusk(palette)] };
    }

    private static Scheme Day(PaletteFoundation palette) => new Finder(palette, Color(palette, "paper"), Color(palette, "chalk")).Scheme("Day", "dusk", new()
    {
        ["ground"] = Starter.ToColor("paper"),
        ["raised"] = Starter.ToColor("chalk"),
        ["text"] = Starter.ToColor("ink"),
        ["line"] = Starter.ToColor("ink", 5),
        ["attention"] = Starter.ToColor("spark"),
        ["selection"] = Starter.ToColor("spark", 3),
    });

    private static Scheme Dusk(PaletteFoundation palette) => new Finder(palette, Color(palette, "ink"), Color(palette, "ink", 1)).Scheme("Dusk", null, new()
    {
        ["ground"] = Starter.ToColor("ink"),
        ["raised"] = Starter.ToColor("ink", 1),
        ["text"] = Starter.ToColor("paper"),
        ["line"] = Starter.ToColor("ink", 2),
        ["attention"] = Starter.ToColor("spark"),
        ["selection"] = Starter.ToColor("ink", 2),
    });

    private static BaseColor Mixed(string name, double lightness, double chroma, double hue) =>
        Starter.Color(name, ColorText.Hex(new(ColorSpace.Oklch, lightness, chroma, hue)));

    private static Color Color(PaletteFoundation palette, string id, int step = 0) => Gamut.Rounded(palette.Row(palette.Colors.Get(id)).At(step));

    /// <summary>Finds, for what must be read on two grounds, the step nearest to the colour itself that can be.</summary>
    private sealed class Finder(PaletteFoundation palette, Color ground, Color raised)
    {
        private static readonly IEnumerable<int> Nearest = [0, -1, 1, -2, 2, -3, 3, -4, 4, -5, 5, 6];

        public Scheme Scheme(string name, string? turnsInto, Dictionary<string, Value> colors)
        {
            colors["quiet-text"] = Find(((ReferenceValue)colors["text"]).Id, [2, -2, 1, -1, 0], Text, 0);
            colors["field-line"] = Find("ink", [2, 3, 4, 1, 5, 0, 6], Line, 0);
            colors["link"] = Find("main", Nearest, Text, Darker);
            colors["action"] = Action((ReferenceValue)colors["text"]);
            colors["action-text"] = Starter.Readable("action");
            colors["attention-text"] = Starter.Readable("attention");
            colors["focus"] = Find("main", Nearest, Line, 0);
            return Starter.Scheme(name, turnsInto, [.. colors.Select(c => (c.Key, c.Value))]);
        }

        /// <summary>Reads as text on the grounds, and carries a text of its own that can be read, also when it is a step darker.</summary>
        private ReferenceValue Action(ReferenceValue otherwise) =>
            Nearest.Select(step => new ReferenceValue(ColorKind.Kind, "main", step)).FirstOrDefault(choice => Reads(choice, Text, 0) && Carries(choice)) ?? otherwise;

        private bool Carries(ReferenceValue choice)
        {
            var text = Gamut.Rounded(SchemeColors.Readable(palette, Color(palette, choice.Id, choice.Step)).Color);
            return Enumerable.Range(0, 2).All(darker => Contrast.Ratio(text, Color(palette, choice.Id, Math.Max(choice.Step - darker, -Steps.ShadeCount))) >= Text);
        }

        private ReferenceValue Find(string color, IEnumerable<int> order, double target, int darker) =>
            order.Select(step => new ReferenceValue(ColorKind.Kind, color, step)).FirstOrDefault(choice => Reads(choice, target, darker))
            ?? new(ColorKind.Kind, Contrast.Ratio(Color(palette, "ink"), ground) > Contrast.Ratio(Color(palette, "paper"), ground) ? "ink" : "paper");

        private bool Reads(ReferenceValue choice, double target, int darker) => Enumerable.Range(0, darker + 1).All(d =>
        {
            var color = Color(palette, choice.Id, Math.Max(choice.Step - d, -Steps.ShadeCount));
            return Contrast.Ratio(color, ground) >= target && Contrast.Ratio(color, raised) >= target;
        });
    }
}
