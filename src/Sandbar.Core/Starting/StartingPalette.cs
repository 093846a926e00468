using System.Collections.Immutable;
using Sandbar.Core.Colors;
using Sandbar.Core.Design;

namespace Sandbar.Core.Starting;

/// <summary>A palette from one colour: ink and paper with a breath of its hue, a spark for what should catch the eye, and two schemes that can be read.</summary>
internal static class StartingPalette
{
    /// <summary>What text must reach (WCAG 2.2, 1.4.3), and what lines and rings must (1.4.11).</summary>
    private const double Text = 4.5, Line = 3;

    /// <summary>Looks make a colour darker by up to two steps when the pointer is over it: it must be readable there too.</summary>
    private const int Darker = 2;

    public static Palette From(string css)
    {
        var given = ColorText.Parse(css).To(ColorSpace.Oklch);
        var (chroma, hue) = given.C2 < 1e-3 || double.IsNaN(given.C3) ? (0, 0) : (given.C2, given.C3);
        // Amber, unless the colour is one itself.
        var spark = Math.Abs(hue - 85) < 45 && chroma > 0.05 ? 215 : 85;
        var palette = new Palette(
            [
                new("main", "main", "main", css),
                Mixed("spark", 0.82, 0.13, spark),
                Mixed("ink", 0.25, Math.Min(chroma * 0.25, 0.03), hue),
                Mixed("paper", 0.965, Math.Min(chroma * 0.06, 0.008), hue),
                Mixed("chalk", 0.995, 0, 0),
            ],
            Starter.Roles, []);
        return palette with { Schemes = [Day(palette), Dusk(palette)] };
    }

    private static Scheme Day(Palette palette) => new Finder(palette, Color(palette, "paper"), Color(palette, "chalk")).Scheme("day", "Day", "dusk", new()
    {
        ["ground"] = new("paper", 0, null),
        ["raised"] = new("chalk", 0, null),
        ["text"] = new("ink", 0, null),
        ["line"] = new("ink", 5, null),
        ["attention"] = new("spark", 0, null),
        ["selection"] = new("spark", 3, null),
    });

    private static Scheme Dusk(Palette palette) => new Finder(palette, Color(palette, "ink"), Color(palette, "ink", 1)).Scheme("dusk", "Dusk", null, new()
    {
        ["ground"] = new("ink", 0, null),
        ["raised"] = new("ink", 1, null),
        ["text"] = new("paper", 0, null),
        ["line"] = new("ink", 2, null),
        ["attention"] = new("spark", 0, null),
        ["selection"] = new("ink", 2, null),
    });

    private static BaseColor Mixed(string name, double lightness, double chroma, double hue) =>
        new(name, name, name, ColorText.Hex(new(ColorSpace.Oklch, lightness, chroma, hue)));

    private static Color Color(Palette palette, string id, int step = 0) => SchemeColors.Released(SchemeColors.Row(palette.Colors.Get(id)).At(step));

    /// <summary>Finds, for what must be read on two grounds, the step nearest to the colour itself that can be.</summary>
    private sealed class Finder(Palette palette, Color ground, Color raised)
    {
        private static readonly IEnumerable<int> Nearest = [0, -1, 1, -2, 2, -3, 3, -4, 4, -5, 5, 6];

        public Scheme Scheme(string id, string name, string? turnsInto, Dictionary<string, RoleColor> colors)
        {
            colors["quiet-text"] = Find(colors["text"].Color!, [2, -2, 1, -1, 0], Text, 0);
            colors["field-line"] = Find("ink", [2, 3, 4, 1, 5, 0, 6], Line, 0);
            colors["link"] = Find("main", Nearest, Text, Darker);
            colors["action"] = Action(colors["text"]);
            colors["action-text"] = new(null, 0, "action");
            colors["attention-text"] = new(null, 0, "attention");
            colors["focus"] = Find("main", Nearest, Line, 0);
            return new(id, name, id, colors.ToImmutableSortedDictionary(StringComparer.Ordinal), turnsInto);
        }

        /// <summary>Reads as text on the grounds, and carries a text of its own that can be read, also when it is a step darker.</summary>
        private RoleColor Action(RoleColor otherwise) =>
            Nearest.Select(step => new RoleColor("main", step, null)).FirstOrDefault(choice => Reads(choice, Text, 0) && Carries(choice)) ?? otherwise;

        private bool Carries(RoleColor choice)
        {
            var text = SchemeColors.Released(SchemeColors.Readable(palette, Color(palette, choice.Color!, choice.Step)).Color);
            return Enumerable.Range(0, 2).All(darker => Contrast.Ratio(text, Color(palette, choice.Color!, Math.Max(choice.Step - darker, -Steps.ShadeCount))) >= Text);
        }

        private RoleColor Find(string color, IEnumerable<int> order, double target, int darker) =>
            order.Select(step => new RoleColor(color, step, null)).FirstOrDefault(choice => Reads(choice, target, darker))
            ?? new(Contrast.Ratio(Color(palette, "ink"), ground) > Contrast.Ratio(Color(palette, "paper"), ground) ? "ink" : "paper", 0, null);

        private bool Reads(RoleColor choice, double target, int darker) => Enumerable.Range(0, darker + 1).All(d =>
        {
            var color = Color(palette, choice.Color!, Math.Max(choice.Step - d, -Steps.ShadeCount));
            return Contrast.Ratio(color, ground) >= target && Contrast.Ratio(color, raised) >= target;
        });
    }
}
