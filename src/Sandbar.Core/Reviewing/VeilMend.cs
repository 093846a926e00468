using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Pictures;
using Sandbar.Css.Colors;
using Sandbar.Css.Images;

namespace Sandbar.Core.Reviewing;

/// <summary>The faintest veil over a fill with which texts on it can be read: black, white, or the ground of whatever scheme is carried there.</summary>
/// <param name="Words">What is changed, in a designer's words.</param>
/// <param name="Ratio">The lowest of the text that was asked about.</param>
/// <param name="Mended">How many texts that cannot be read now can be then.</param>
/// <param name="Broken">How many that can be read now cannot be then.</param>
public sealed record VeilMend(string Words, Color Veil, double Ratio, int Mended, int Broken, Edit Edit)
{
    /// <summary>Looks for it: one that lets every text over the fill be read, else one that lets those be read that are asked about.</summary>
    /// <param name="asked">The text, with all that was measured of it: every width, scheme and state.</param>
    /// <param name="all">All pages that were measured.</param>
    /// <param name="pictures">Pictures of the shelf, decoded.</param>
    /// <param name="newId">Ids for what is added.</param>
    /// <returns>Null where none is faint enough, or where something else is painted between the text and the fill; the reason as a sentence.</returns>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    public static (VeilMend? Mend, string Why) Of(Site site, ContrastPair asked, IReadOnlyList<MeasuredTexts> all, Func<ShelfItem, DecodedPicture?> pictures, Func<string> newId, CancellationToken cancel)
    {
        if (asked.GroundFrom.Fill is not { } fill) return (null, $"A veil would lie under {asked.GroundFrom.Name}: make that less clear, or change the text.");
        var texts = all.SelectMany(m => TextContrasts.Grounds(site, m, t => t.Target > 0 && t.GroundFrom.Fill == fill, pictures, cancel)).ToList();
        bool IsAsked(TextContrast text) => (text.Look, text.Property) == (asked.Look, asked.Property) && asked.Places.Any(p => (p.Page, p.Block) == (text.Place.Page, text.Place.Block));
        var own = texts.Where(t => IsAsked(t.Text)).ToList();
        var ground = site.Palette.Roles.Get(RoleKind.Ground);
        // The page's own ground goes with the scheme, where black or white would help one and harm the other.
        List<Shade> shades =
        [
            new("black", "#000000", _ => Color.Black), new("white", "#ffffff", _ => Color.White),
            new(ground.Name, ground.Name, scheme => Gamut.Rounded(SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get(scheme), ground.Id).Color)),
        ];
        if (own.Count == 0) return (null, "What fades with what is around it cannot be mended by a veil.");
        if ((Enough([.. texts.Select(t => (t.Text, t.Ground))]) ?? Enough(own)) is not { } found) return (null, "No veil lets it be read in every scheme and state: change the text.");
        var (shade, alpha) = found;
        bool Reads((TextContrast Text, TextOnGround Ground) text) => text.Ground.Reaches(shade.In(text.Text.Scheme), alpha);
        bool ReadsNow((TextContrast Text, TextOnGround Ground) text) => text.Ground.Reaches(Color.Black, 0);
        var name = fill.Kind == BackgroundKind.Kind ? site.Fills.Backgrounds.Get(fill.Id).Name : site.Fills.Gradients.Get(fill.Id).Name;
        var share = string.Create(CultureInfo.InvariantCulture, $"{alpha * 100:0.#}");
        if (EditOf(site, asked, fill, shade.Typed, share, newId) is not { } edit || edit.Apply(site).Site is null) return (null, $"{name} takes no further layer here: add one by hand.");
        return (new($"{shade.Name} {share} % over {name}", shade.In(asked.Scheme).WithAlpha(alpha), own.Min(t => t.Ground.Lowest(shade.In(t.Text.Scheme), alpha)), texts.Count(t => Reads(t) && !ReadsNow(t)), texts.Count(t => !Reads(t) && ReadsNow(t)), edit), "");

        // One that would hide what it lies over is none.
        (Shade, double)? Enough(List<(TextContrast Text, TextOnGround Ground)> over) =>
            GroundContrast.Faintest([.. over.Select(t => t.Ground)], [.. shades.Select(s => over.Select(t => s.In(t.Text.Scheme)).ToList())]) is var (at, seen) && seen < 1 ? (shades[at], seen) : null;
    }

    /// <summary>What a veil may be of.</summary>
    /// <param name="Typed">As it is typed.</param>
    /// <param name="In">What it comes to in a scheme, by its id.</param>
    private sealed record Shade(string Name, string Typed, Func<string, Color> In);

    private static Together? EditOf(Site site, ContrastPair asked, (string Kind, string Id) fill, string shade, string opacity, Func<string> newId)
    {
        var values = ImmutableDictionary<string, string>.Empty.Add("fill", shade).Add("opacity", opacity);
        if (fill.Kind == BackgroundKind.Kind)
        {
            var layer = newId();
            return new Together($"Veil over {site.Fills.Backgrounds.Get(fill.Id).Name}", [new AddThing(BackgroundKind.Kind, layer, Values: values, In: fill.Id), new MoveThing(BackgroundKind.Kind, layer, 0, fill.Id)]);
        }
        // A gradient by itself takes no layer: a background of both takes its place where it is worn.
        if (asked.GroundFrom.Cell is not { } cell) return null;
        var gradient = site.Fills.Gradients.Get(fill.Id);
        var (id, name) = (newId(), FreeName(site, $"{gradient.Name} veiled"));
        var key = CellKey.Parse(cell.Cell);
        Edit wear = cell.Block is { } block ? new SetOwn(block, key.Property, key.State, key.Widths.From, key.Widths.Below, name) : new SetCell(cell.Look, key.Property, key.State, key.Widths.From, key.Widths.Below, name);
        return new Together($"Veil over {gradient.Name}",
        [
            new AddThing(BackgroundKind.Kind, id, name), new SetThing(BackgroundKind.Kind, "layer-1", "fill", gradient.Name, id),
            new AddThing(BackgroundKind.Kind, "layer-2", Values: values, In: id), new MoveThing(BackgroundKind.Kind, "layer-2", 0, id), wear,
        ]);
    }

    private static string FreeName(Site site, string wanted) =>
        Enumerable.Range(1, int.MaxValue).Select(n => n == 1 ? wanted : string.Create(CultureInfo.InvariantCulture, $"{wanted} {n}")).First(name => !site.Fills.Backgrounds.Any(b => b.Name.Equals(name, StringComparison.OrdinalIgnoreCase)));
}
