namespace Sandbar.Core.Foundations.Edges;

/// <summary>A corner's radii, px.</summary>
public readonly record struct Corner(double Across, double Down);

/// <summary>Corners as a browser draws them.</summary>
public static class Corners
{
    /// <summary>
    /// Radii that would overlap, all made smaller by one factor: the least of each side's length over the sum of the radii on it, and never above 1
    /// (CSS Backgrounds and Borders 3, §4.5).
    /// </summary>
    /// <param name="width">Of the border box, px.</param>
    /// <param name="height">Of the border box, px.</param>
    /// <param name="radii">From the top left one clockwise.</param>
    /// <exception cref="ArgumentException">A length that is negative or no number, or not four corners.</exception>
    public static (Corner[] Radii, double Factor) Fit(double width, double height, IReadOnlyList<Corner> radii)
    {
        if (radii.Count != 4) throw new ArgumentException("A box has four corners: top left, top right, bottom right, bottom left.");
        if (!IsLength(width) || !IsLength(height)) throw new ArgumentException("Width and height are lengths in px, from 0 on.");
        if (radii.Any(r => !IsLength(r.Across) || !IsLength(r.Down))) throw new ArgumentException("Radii are lengths in px, from 0 on.");
        var factor = 1.0;
        void Side(double length, double one, double other)
        {
            // Halved: two very long radii would not add up to a number.
            var sum = one / 2 + other / 2;
            if (sum > 0) factor = Math.Min(factor, length / 2 / sum);
        }
        Side(width, radii[0].Across, radii[1].Across);
        Side(height, radii[1].Down, radii[2].Down);
        Side(width, radii[2].Across, radii[3].Across);
        Side(height, radii[3].Down, radii[0].Down);
        return ([.. radii.Select(r => new Corner(r.Across * factor, r.Down * factor))], factor);
    }

    private static bool IsLength(double px) => px >= 0 && double.IsFinite(px);
}
