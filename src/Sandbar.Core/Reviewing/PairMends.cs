using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Values;
using Sandbar.Css.Colors;

namespace Sandbar.Core.Reviewing;

/// <summary>A way to mend a pair.</summary>
/// <param name="Side">Which of the two gives way.</param>
/// <param name="Words">What is changed, in a designer's words.</param>
/// <param name="Color">What the side becomes.</param>
/// <param name="IsNew">Whether it is a colour the palette does not have yet.</param>
/// <param name="Difference">CIEDE2000 from what it is.</param>
/// <param name="Mended">How many kinds of pairs it mends, this one among them.</param>
/// <param name="Broken">How many that pass now would fail.</param>
public sealed record PairMend(MendedSide Side, string Words, Color Color, bool IsNew, double Ratio, double Difference, Edit Edit, int Mended, int Broken);

/// <summary>What mending all comes to.</summary>
/// <param name="Edit">All of it as one edit; null where nothing can be mended.</param>
/// <param name="Left">The pairs that still fail.</param>
public sealed record MendedPairs(Edit? Edit, int Mended, ImmutableArray<ContrastPair> Left);

/// <summary>
/// Mending pairs: the nearest colour that reaches what it must wherever the same choice is met, hue kept, given where the colour is decided: as a role's choice in a scheme, or in
/// the cell that names it. A step of the palette is taken where one is near enough.
/// </summary>
public static class PairMends
{
    /// <summary>How much less alike a step of the palette may be than the nearest colour there is, CIEDE2000 (common practice, no source).</summary>
    private const double NearEnough = 6;

    /// <summary>Two choices that lie on each other may both have to give way: so often it is tried.</summary>
    private const int Rounds = 8;

    /// <summary>The ways to mend a pair, those that break nothing and change least first.</summary>
    /// <param name="newId">Ids for colours that are new.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more.</exception>
    public static IReadOnlyList<PairMend> Of(Site site, ContrastPair pair, Func<string> newId, CancellationToken cancel) => Of(site, ContrastPairs.Of(site, cancel), pair, newId, cancel);

    /// <summary>Mends what can be mended without breaking anything, the worst first.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    public static MendedPairs All(Site site, Func<string> newId, CancellationToken cancel)
    {
        var edits = ImmutableArray.CreateBuilder<Edit>();
        var pairs = ContrastPairs.Of(site, cancel);
        var before = Failing(pairs).Count;
        var hopeless = new HashSet<string>();
        while (pairs.FirstOrDefault(p => !p.Passes && !hopeless.Contains(Key(p))) is { } worst)
        {
            if (Of(site, pairs, worst, newId, cancel).FirstOrDefault(m => m.Broken == 0) is not { } mend)
            {
                hopeless.Add(Key(worst));
                continue;
            }
            edits.AddRange(mend.Edit is Together several ? several.Edits : [mend.Edit]);
            site = mend.Edit.Apply(site).Site!;
            pairs = ContrastPairs.Of(site, cancel);
        }
        var left = pairs.Where(p => !p.Passes).ToImmutableArray();
        var mended = before - Failing(pairs).Count;
        return new(edits.Count == 0 ? null : new Together(mended == 1 ? "1 pair mended" : $"{mended} pairs mended", edits.ToImmutable()), mended, left);
    }

    /// <summary>What tells a pair from all others.</summary>
    public static string Key(ContrastPair pair) => $"{Kind(pair)} {pair.Places[0].Page} {pair.Places[0].Block}";

    /// <summary>What meets what, whatever its colours are and wherever.</summary>
    private static string Kind(ContrastPair pair) =>
        string.Create(CultureInfo.InvariantCulture, $"{pair.Kind} {pair.Look} {pair.Property} {pair.State} {pair.Within?.Look} {pair.Within?.State} {pair.Scheme} {pair.Target}");

    /// <summary>Whether a pair is another one as it became: it is met in the same place, by other colours maybe and together with others.</summary>
    private static bool Became(ContrastPair pair, ContrastPair now) =>
        Kind(pair) == Kind(now) && now.Places.Any(p => p.Page == pair.Places[0].Page && p.Block == pair.Places[0].Block);

    private static List<PairMend> Of(Site site, ImmutableArray<ContrastPair> pairs, ContrastPair pair, Func<string> newId, CancellationToken cancel)
    {
        var mends = new List<PairMend>();
        var failing = Failing(pairs);
        foreach (var side in new[] { MendedSide.Text, MendedSide.Ground })
        {
            var from = From(pair, side);
            var given = side == MendedSide.Text ? pair.Foreground : pair.Ground;
            if (Role(site, pairs, from, pair.Scheme, given) is { } role && Assign(site, from, role.Name) is { } followed) Add(side, role.Color, isNew: false, followed, $"{Place(site, from)} becomes {role.Name}");
            if (Wanted(site, pairs, pair, side) is not { } wanted) continue;
            var nearest = Difference.Ciede2000(given, wanted);
            if (Step(site, pairs, from, given, nearest + NearEnough) is { } step && Assign(site, from, step.Name) is { } assigned) Add(side, step.Color, isNew: false, assigned, $"{Place(site, from)} becomes {step.Name}");
            var name = ProposedNames.For(site, [("", wanted)]).First();
            if (site.Palette.Colors.Length >= ColorKind.Description.Most) continue;
            var added = new AddThing(ColorKind.Kind, newId(), name, Values: ImmutableDictionary<string, string>.Empty.Add("color", ColorText.Hex(wanted)));
            if (added.Apply(site).Site is { } with && Assign(with, from, name) is { } edit) Add(side, wanted, isNew: true, new Together($"{Place(site, from)} becomes {name}, new", [added, edit]), $"{Place(site, from)} becomes a new colour, {name}");
        }
        return [.. mends.OrderBy(m => m.Broken).ThenBy(m => m.IsNew).ThenBy(m => m.Difference)];

        void Add(MendedSide side, Color color, bool isNew, Edit edit, string words)
        {
            if (edit.Apply(site).Site is not { } mended) return;
            var now = ContrastPairs.Of(mended, cancel);
            var still = Failing(now);
            var same = now.Where(p => Became(pair, p)).ToList();
            if (same.Count == 0 || same.Exists(p => !p.Passes)) return;
            var given = side == MendedSide.Text ? pair.Foreground : pair.Ground;
            mends.Add(new(side, words, color, isNew, same.Min(p => p.Ratio), Difference.Ciede2000(given, color), edit, failing.Except(still).Count(), still.Except(failing).Count()));
        }
    }

    private static HashSet<string> Failing(ImmutableArray<ContrastPair> pairs) => [.. pairs.Where(p => !p.Passes).Select(Kind)];

    private static ColorSource From(ContrastPair pair, MendedSide side) => side == MendedSide.Text ? pair.ForegroundFrom : pair.GroundFrom;

    /// <summary>Whether two colours are decided in the same place, so that one cannot change without the other.</summary>
    private static bool IsSamePlace(ColorSource a, ColorSource b) => a.Choice is { Step: 0 } x ? b.Choice is { Step: 0 } y && x == y : a.Cell is not null && a.Cell == b.Cell && b.Choice is not { Step: 0 };

    /// <summary>What the colour of a side has to reach, wherever the same choice is met.</summary>
    private static List<(MendedSide Side, Color Other, double Target, string Scheme)> Asked(Site site, ImmutableArray<ContrastPair> pairs, ColorSource source) =>
    [
        .. from pair in pairs
           where pair.Target > 0
           from side in new[] { MendedSide.Text, MendedSide.Ground }
           let opposite = side == MendedSide.Text ? MendedSide.Ground : MendedSide.Text
           where IsSamePlace(From(pair, side), source) && !IsSamePlace(From(pair, opposite), source) && (side == MendedSide.Text || !IsComputedFrom(site, pair))
           select (side, side == MendedSide.Text ? pair.Ground : pair.Foreground, pair.Target, pair.Scheme),
    ];

    // Text that is readable on whatever the ground is follows it by itself.
    private static bool IsComputedFrom(Site site, ContrastPair pair) =>
        pair.ForegroundFrom.Choice is { } text && pair.GroundFrom.Choice is { } ground
        && site.Palette.Schemes.Find(text.Scheme)?.Colors.GetValueOrDefault(text.Role) is ReadableValue { On: ReferenceValue on } && on.Id == ground.Role;

    /// <summary>The nearest colour that reaches what it must; null where there is none, or nothing decides it that could be changed.</summary>
    private static Color? Wanted(Site site, ImmutableArray<ContrastPair> pairs, ContrastPair pair, MendedSide side)
    {
        var from = From(pair, side);
        if (from.Choice is not { Step: 0 } && from.Cell is null) return null;
        var asked = Asked(site, pairs, from);
        var color = side == MendedSide.Text ? pair.Foreground : pair.Ground;
        for (var round = 0; round < Rounds; round++)
        {
            if (asked.Where(a => Ratio(color, a) < a.Target).OrderBy(a => Ratio(color, a) / a.Target).FirstOrDefault() is not { Target: > 0 } unmet) return color;
            var mended = unmet.Side == MendedSide.Text ? Mend.Nearest(color, unmet.Other, unmet.Target, MendedSide.Text)?.Text : Mend.Nearest(unmet.Other, color, unmet.Target, MendedSide.Ground)?.Ground;
            if (mended is null) return null;
            color = mended.Value;
        }
        return null;
    }

    private static double Ratio(Color color, (MendedSide Side, Color Other, double Target, string Scheme) asked) =>
        asked.Side == MendedSide.Text ? Contrast.Ratio(color, asked.Other) : Contrast.Ratio(asked.Other, color);

    /// <summary>The role that reaches what is asked in every scheme, where a cell names the colour itself: the one most alike in the scheme at hand.</summary>
    private static (string Name, Color Color)? Role(Site site, ImmutableArray<ContrastPair> pairs, ColorSource source, string scheme, Color given)
    {
        if (source.Choice is not null) return null;
        var asked = Asked(site, pairs, source);
        var roles = from role in site.Palette.Roles
                    where asked.TrueForAll(a => Ratio(In(role.Id, a.Scheme), a) >= a.Target)
                    orderby Difference.Ciede2000(given, In(role.Id, scheme))
                    select ((string, Color)?)(role.Name, In(role.Id, scheme));
        return roles.FirstOrDefault();

        Color In(string role, string scheme) => Gamut.Rounded(SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get(scheme), role).Color);
    }

    /// <summary>The step of the palette that is most alike and reaches what it must.</summary>
    private static (string Name, Color Color)? Step(Site site, ImmutableArray<ContrastPair> pairs, ColorSource source, Color given, double within)
    {
        var asked = Asked(site, pairs, source);
        var steps = from color in site.Palette.Colors
                    let row = site.Palette.Row(color)
                    from step in ColorSteps.All.Append(0)
                    let at = Gamut.Rounded(row.At(step))
                    where asked.TrueForAll(a => Ratio(at, a) >= a.Target)
                    let difference = Difference.Ciede2000(given, at)
                    where difference <= within && !Collapses(site, source, at)
                    orderby difference
                    select ((string, Color)?)(StepText.With(color.Name, step), at);
        return steps.FirstOrDefault();
    }

    /// <summary>Whether a ground would come to look like another that it differs from now: what is raised must not sink into what it lies on.</summary>
    private static bool Collapses(Site site, ColorSource source, Color color)
    {
        var grounds = site.Palette.Roles.SelectMany(r => r.Grounds()).ToHashSet(StringComparer.Ordinal);
        if (source.Choice is not { Step: 0 } choice || !grounds.Contains(choice.Role)) return false;
        var scheme = site.Palette.Schemes.Get(choice.Scheme);
        var now = SchemeColors.Resolve(site.Palette, scheme, choice.Role).Color;
        return site.Palette.Roles.Where(r => r.Id != choice.Role && grounds.Contains(r.Id)).Select(r => SchemeColors.Resolve(site.Palette, scheme, r.Id).Color)
            .Any(other => Difference.Ciede2000(other, color) < Alike.Within && Difference.Ciede2000(other, now) >= Alike.Within);
    }

    /// <summary>The edit that gives a colour of the palette where another is decided now.</summary>
    private static Edit? Assign(Site site, ColorSource from, string name)
    {
        if (from.Choice is { Step: 0 } choice) return new SetThing(SchemeKind.Kind, choice.Scheme, SchemeKind.FieldOf(choice.Role), name);
        if (from.Cell is not { Block: null } cell) return null;
        var key = CellKey.Parse(cell.Cell);
        return new SetCell(cell.Look, key.Property, key.State, key.Widths.From, key.Widths.Below, name);
    }

    private static string Place(Site site, ColorSource from) => from.Choice is { Step: 0 } choice
        ? $"{site.Palette.Roles.Get(choice.Role).Name} in {site.Palette.Schemes.Get(choice.Scheme).Name}"
        : site.Looks.Find(from.Cell!.Look) is { } look ? PartCatalogue.CellName(look, CellKey.Parse(from.Cell.Cell)) : "This";
}
