using System.Numerics;
using Sandbar.Css.Colors;
using Sandbar.Css.Computing;
using Sandbar.Css.Syntax;
using Values = System.Collections.Immutable.ImmutableArray<Sandbar.Css.Syntax.ComponentValue>;

namespace Sandbar.Css.Images;

/// <summary>What values of an image are read in.</summary>
/// <param name="Current">What <c>currentcolor</c> is.</param>
/// <param name="IsDark">Whether the element is on a dark ground by its <c>color-scheme</c>.</param>
public sealed record ImageSurroundings(Lengths Lengths, Color Current, bool IsDark)
{
    /// <summary>An image alone: black on light, lengths of 16 px.</summary>
    public static ImageSurroundings Alone { get; } = new(Lengths.Initial, Color.Black, false);
}

/// <summary>A gradient in a box, as it is painted. Source: CSS Images 3, §3, and 4, §3.</summary>
public sealed class GradientImage
{
    private readonly Func<double, double, double> place;

    private GradientImage(ColorRamp ramp, Func<double, double, double> place) => (Ramp, this.place) = (ramp, place);

    public ColorRamp Ramp { get; }

    /// <summary>Whether a function is a gradient that is read here.</summary>
    public static bool IsGradient(ComponentValue value) =>
        value is FunctionValue { Name: var name } && name.EndsWith("-gradient", StringComparison.OrdinalIgnoreCase) && !name.StartsWith('-');

    /// <summary>Reads a gradient that its grammar takes.</summary>
    /// <param name="width">Of its box, px.</param>
    /// <exception cref="FormatException">A colour or a length of it takes a page to know.</exception>
    public static GradientImage Of(FunctionValue function, double width, double height, ImageSurroundings around)
    {
        var name = function.Name.ToLowerInvariant();
        var entries = ComputedText.Entries(function.Values);
        var head = Gradients.IsHead(entries[0]) ? entries[0] : [];
        var given = head.IsEmpty ? entries : entries[1..];
        var isConic = name.EndsWith("conic-gradient", StringComparison.Ordinal);
        var (way, mixing) = Gradients.SpaceOf(head);
        double length;
        Func<double, double, double> place;
        if (isConic) (length, place) = (360, Conic(way, width, height, around.Lengths));
        else if (name.EndsWith("radial-gradient", StringComparison.Ordinal)) (length, place) = Radial(way, width, height, around.Lengths);
        else (length, place) = Linear(way, width, height, around.Lengths);
        var isLegacy = true;
        var stops = given.SelectMany(entry => Stops(entry, length, isConic, around, ref isLegacy)).ToList();
        var (space, hue) = Mixing(mixing);
        return new(new(stops, space, isLegacy, hue, name.StartsWith("repeating-", StringComparison.Ordinal)), place);
    }

    /// <summary>The colours along any gradient of CSS, whatever its shape and wherever its stops are: no length is read. None where no colour can be told.</summary>
    /// <param name="between">Steps from each stop to the next.</param>
    public static IReadOnlyList<Color> Along(FunctionValue function, int between)
    {
        var entries = ComputedText.Entries(function.Values);
        var (_, mixing) = Gradients.SpaceOf(entries[0]);
        var around = ImageSurroundings.Alone;
        var colors = entries.SelectMany(e => e).Where(v => !Gradients.IsPlace(v)).Select(v => ColorComputation.Of(v, new(around.Current, true), around.IsDark, around.Lengths)).OfType<ComputedColor>().ToList();
        if (colors.Count == 0) return [];
        var (space, hue) = Mixing(mixing);
        return [.. new ColorRamp([.. colors.Select(c => new RampStop(c.Color, null))], space, colors.TrueForAll(c => c.IsLegacy), hue, repeats: false).Along(between)];
    }

    /// <summary>What is painted at a point of the box, px from its top left.</summary>
    public Vector4 At(double x, double y) => place(x, y) is var at && double.IsNaN(at) ? Ramp.Folded : Ramp.At(at);

    private static (ColorSpace? Space, HueWay Way) Mixing(Values mixing)
    {
        if (mixing.Length < 2 || mixing[1] is not Token named || !ColorSpaceNames.TryParse(named.Text, out var space)) return (null, HueWay.Shorter);
        return (space, mixing.Length > 2 && mixing[2] is Token word && Enum.TryParse<HueWay>(word.Text, ignoreCase: true, out var way) ? way : HueWay.Shorter);
    }

    private static List<RampStop> Stops(Values entry, double length, bool isConic, ImageSurroundings around, ref bool isLegacy)
    {
        var given = entry.FirstOrDefault(v => !Gradients.IsPlace(v));
        var places = entry.Where(Gradients.IsPlace).Select(v => (double?)Place(v, length, isConic, around.Lengths)).ToList();
        if (given is null) return [new(null, places[0])];
        if (ColorComputation.Of(given, new(around.Current, true), around.IsDark, around.Lengths) is not { } color) throw new FormatException("One of its colours cannot be told without the page it stands on.");
        isLegacy &= color.IsLegacy;
        // HSL and HWB are another way to write sRGB, unless something is missing (CSS Color 4, §4.1).
        var said = color.IsLegacy && color.Color.Space != ColorSpace.Srgb && !double.IsNaN(color.Color.C1 + color.Color.C2 + color.Color.C3) ? color.Color.To(ColorSpace.Srgb) : color.Color;
        return places.Count == 0 ? [new(said, null)] : places.ConvertAll(at => new RampStop(said, at));
    }

    private static double Place(ComponentValue value, double length, bool isConic, Lengths lengths)
    {
        if (!isConic) return Positions.Length(value, length > 0 ? length : 1, lengths) / (length > 0 ? length : 1);
        return Calculation.Of(value, lengths) switch
        {
            Calculation.Amount { Unit: "deg", Value: var degrees } => degrees / 360,
            Calculation.Amount { Unit: "%", Value: var share } => share / 100,
            Calculation.Amount { Unit: "", Value: 0 } => 0,
            _ => throw new FormatException("One of its angles cannot be told without the page it stands on."),
        };
    }

    private static (double Length, Func<double, double, double> Place) Linear(Values way, double width, double height, Lengths lengths)
    {
        double across = 0, down = 1;
        if (way.Length > 0 && way[0] is Token to && to.IsIdent("to"))
        {
            var words = way.Skip(1).Cast<Token>().Select(t => t.Text.ToLowerInvariant()).ToList();
            double Sign(string far, string near) => words.Contains(far) ? 1 : words.Contains(near) ? -1 : 0;
            (across, down) = (Sign("right", "left"), Sign("bottom", "top"));
            // Towards a corner, the middle colour runs through the other two (CSS Images 3, §3.1.1).
            if (across != 0 && down != 0) (across, down) = Unit(across * height, down * width);
        }
        else if (way.Length > 0)
        {
            var radians = Degrees(way[0], lengths) * Math.PI / 180;
            (across, down) = (Math.Sin(radians), -Math.Cos(radians));
        }
        var length = Math.Abs(width * across) + Math.Abs(height * down);
        return (length, (x, y) => length <= 0 ? 0 : 0.5 + ((x - width / 2) * across + (y - height / 2) * down) / length);
    }

    private static (double X, double Y) Unit(double x, double y)
    {
        var length = Math.Sqrt(x * x + y * y);
        return length > 0 ? (x / length, y / length) : (0, 1);
    }

    private static Func<double, double, double> Conic(Values way, double width, double height, Lengths lengths)
    {
        var (before, at) = Gradients.SplitAt(way, "at");
        var from = before.Length > 1 ? Degrees(before[1], lengths) : 0;
        var (cx, cy) = Centre(at, width, height, lengths);
        return (x, y) =>
        {
            var turns = (Math.Atan2(x - cx, cy - y) / Math.PI * 180 - from) / 360;
            return turns - Math.Floor(turns);
        };
    }

    private static (double Length, Func<double, double, double> Place) Radial(Values way, double width, double height, Lengths lengths)
    {
        var (shape, at) = Gradients.SplitAt(way, "at");
        var (cx, cy) = Centre(at, width, height, lengths);
        var words = shape.OfType<Token>().Where(t => t.Kind == TokenKind.Ident).Select(t => t.Text.ToLowerInvariant()).ToList();
        var sizes = shape.Where(Gradients.IsPlace).ToList();
        double across, down;
        if (sizes.Count == 2) (across, down) = (Positions.Length(sizes[0], width, lengths), Positions.Length(sizes[1], height, lengths));
        else if (sizes.Count == 1) across = down = Positions.Length(sizes[0], 0, lengths);
        else (across, down) = Reach(words.Find(w => w.Contains('-', StringComparison.Ordinal)) ?? "farthest-corner", words.Contains("circle"), cx, cy, width, height);
        // What has no extent is one colour all over in Chromium (CSS Images 3, §3.2.3, has thin ones painted as lines).
        if (across <= 0 || down <= 0) return (0, (_, _) => double.NaN);
        return (across, (x, y) => Math.Sqrt(Square((x - cx) / across) + Square((y - cy) / down)));
    }

    /// <summary>How far an ending shape goes across and down (CSS Images 3, §3.2.2).</summary>
    private static (double Across, double Down) Reach(string extent, bool isCircle, double cx, double cy, double width, double height)
    {
        var isFarthest = extent.StartsWith("farthest", StringComparison.Ordinal);
        double Chosen(double a, double b) => isFarthest ? Math.Max(a, b) : Math.Min(a, b);
        var (across, down) = (Chosen(Math.Abs(cx), Math.Abs(width - cx)), Chosen(Math.Abs(cy), Math.Abs(height - cy)));
        if (extent.EndsWith("side", StringComparison.Ordinal))
        {
            var one = Chosen(across, down);
            return isCircle ? (one, one) : (across, down);
        }
        // The corner in question, by its distance: to its sides where the centre lies in the box.
        var corners = from x in new[] { 0, width } from y in new[] { 0, height } let away = (X: Math.Abs(x - cx), Y: Math.Abs(y - cy)) orderby away.X * away.X + away.Y * away.Y select away;
        var (dx, dy) = isFarthest ? corners.Last() : corners.First();
        if (isCircle) return (Math.Sqrt(dx * dx + dy * dy), Math.Sqrt(dx * dx + dy * dy));
        if (across <= 0 || down <= 0) return (across <= 0 ? 0 : dx, down <= 0 ? 0 : dy);
        // The same proportions as up to the sides, through the corner.
        var ratio = across / down;
        var reach = Math.Sqrt(dx * dx + dy * dy * ratio * ratio);
        return (reach, reach / ratio);
    }

    private static (double X, double Y) Centre(Values at, double width, double height, Lengths lengths) =>
        at.Length > 1 ? Positions.Of(at[1..], width, height, lengths) : (width / 2, height / 2);

    private static double Degrees(ComponentValue angle, Lengths lengths) => Calculation.Of(angle, lengths) switch
    {
        Calculation.Amount { Unit: "deg", Value: var degrees } when double.IsFinite(degrees) => degrees,
        Calculation.Amount { Unit: "", Value: 0 } => 0,
        _ => throw new FormatException("Its angle cannot be told without the page it stands on."),
    };

    private static double Square(double value) => value * value;
}
