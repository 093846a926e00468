using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>Where pictures lie that fill their boxes: the point that is to be seen as near the middle as it allows (<see cref="Css.Images.Placement"/>), whatever the box.</summary>
public static class FocalPoints
{
    // Found anew only where pages or the shelf have changed.
    private static readonly ConditionalWeakTable<Frame, Kept> Written = [];

    /// <summary>The class of a picture by which it is kept in sight.</summary>
    public static string ClassOf(ShelfItem picture) => $"in-sight-{Path.GetFileName(picture.File).Replace('.', '-')}";

    /// <summary>The rules of pictures that fill a place of some block; those that are seen from their middle need none.</summary>
    internal static IReadOnlyList<Rule> Rules(Site site)
    {
        if (Written.TryGetValue(site.Frame, out var kept) && kept.Pages == site.Pages && kept.Shelf == site.Shelf) return kept.Rules;
        var covering = Blocks.Outermost(site).SelectMany(PictureSlots.Within).Where(b => PartCatalogue.Find(b.Part) is { HasCoveringPicture: true });
        IReadOnlyList<Rule> rules =
        [
            .. from picture in covering.SelectMany(b => PictureSlots.Of(b).Select(s => b.Content[s.Id])).Distinct(StringComparer.Ordinal).Select(id => site.Shelf.Find(id)).OfType<ShelfItem>()
               let position = Position(picture, isCover: true, picture.FocusX.Amount(), picture.FocusY.Amount())
               where position != Middle
               select new Rule($"in sight {picture.Id}", Layer.Parts, $".{ClassOf(picture)}", false, Interval.All,
                   [new("object-position", position, new(OriginKind.Foundation, picture.Id, "", Foundations.Shelf.PictureKind.Kind))]),
        ];
        Written.AddOrUpdate(site.Frame, new(site.Pages, site.Shelf, rules));
        return rules;
    }

    private sealed record Kept(ImmutableArray<Page> Pages, ImmutableArray<ShelfItem> Shelf, IReadOnlyList<Rule> Rules);

    private const string Middle = "50% 50%";

    /// <summary>A place as CSS, within a box that is a container of queries.</summary>
    /// <param name="x">% of the picture from the left.</param>
    /// <param name="y">% from the top.</param>
    public static string Position(ShelfItem picture, bool isCover, decimal x, decimal y)
    {
        var across = (double)picture.Width / picture.Height;
        return x == 50 && y == 50 ? Middle : $"{Along("cqw", "cqh", across, x)} {Along("cqh", "cqw", 1 / across, y)}";

        string Along(string side, string other, double ratio, decimal focus)
        {
            if (focus == 50) return "50%";
            var size = $"{(isCover ? "max" : "min")}(100{side}, {Number(100 * ratio)}{other})";
            var (room, wanted) = ($"100{side} - {size}", $"50{side} - {Number((double)focus / 100)} * {size}");
            return isCover ? $"clamp({room}, {wanted}, 0px)" : $"clamp(0px, {wanted}, {room})";
        }
    }

    private static string Number(double number) => number.ToString("0.####", CultureInfo.InvariantCulture);
}
