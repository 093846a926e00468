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
/// <param name="Mended">How many pairs, by name, it mends wherever they are met.</param>
/// <param name="Broken">How many would fail where they pass now.</param>
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

    /// <summary>As many roles are tried for a cell, the most alike first.</summary>
    private const int Tried = 3;

    /// <summary>As many lightnesses are tried where steps have a say.</summary>
    private const int Lightnesses = 100;

    /// <summary>The ways to mend a pair, those that break nothing and change least first.</summary>
    /// <param name="newId">Ids for colours that are new.</param>
    /// <exception cref="OperationCanceledException">Nobody waits for them any more.</exception>
    public static IReadOnlyList<PairMend> Of(Site site, ContrastPair pair, Func<string> newId, CancellationToken cancel) => Of(site, ContrastPairs.Of(site, cancel), pair, newId, cancel);

    /// <summary>Mends what can be mended without breaking anything, the worst first.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    /// <param name="isMeasured">Whether it is known of a block of a page how its texts read where they lie: then the worst place anywhere on a gradient is no reason to mend them.</param>
    public static MendedPairs All(Site site, Func<string, string, bool> isMeasured, Func<string> newId, CancellationToken cancel)
    {
        var edits = ImmutableArray.CreateBuilder<Edit>();
        var pairs = Pairs();
        var before = pairs;
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
            pairs = Pairs();
        }
        var left = pairs.Where(p => !p.Passes).ToImmutableArray();
        var mended = Mended(before, Failing(pairs));
        return new(edits.Count == 0 ? null : new Together(mended == 1 ? "1 pair mended" : $"{mended} pairs mended", edits.ToImmutable()), mended, left);

        ImmutableArray<ContrastPair> Pairs() => MeasuredPairs.WithoutKnown(ContrastPairs.Of(site, cancel), isMeasured);
    }

    /// <summary>What tells a pair from all others.</summary>
    public static string Key(ContrastPair pair) => $"{Kind(pair)} {pair.Places[0].Page} {pair.Places[0].Block}{(pair.IsMeasured ? $" on {pair.GroundFrom.Name}" : "")}";

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
            var given = side == MendedSide.Text ? pair.Foreground : pair.Ground;
            foreach (var place in Decider.Of(site, From(pair, side)))
            {
                var asked = Asked(site, pairs, pair, place);
                var from = place.Given(pair, side, site);
                foreach (var role in Roles(site, asked, place, pair.Scheme, given).Take(Tried))
                {
                    if (Add(side, role.Color, isNew: false, place.Give(site, role.Name), $"{place.Name(site)} becomes {role.Name}")) break;
                }
                if (Wanted(site, asked, from) is not { } wanted) continue;
                var nearest = Difference.Ciede2000(from, wanted);
                if (Step(site, asked, place, from, nearest + NearEnough) is { } step) Add(side, step.Color, isNew: false, place.Give(site, step.Name), $"{place.Name(site)} becomes {step.Name}");
                var name = ProposedNames.For(site, [("", wanted)]).First();
                if (site.Palette.Colors.Length >= ColorKind.Description.Most) continue;
                var added = new AddThing(ColorKind.Kind, newId(), name, Values: ImmutableDictionary<string, string>.Empty.Add("color", ColorText.Hex(wanted)));
                Add(side, At(wanted)(place.Step), isNew: true, new Together($"{place.Name(site)} becomes {name}, new", [added, place.Give(site, name)]), $"{place.Name(site)} becomes a new colour, {name}");
            }
        }
        return [.. mends.OrderBy(m => m.Broken).ThenBy(m => m.IsNew).ThenBy(m => m.Difference)];

        // Not where the pair is gone: what looked different under the pointer shall still.
        bool Add(MendedSide side, Color color, bool isNew, Edit edit, string words)
        {
            if (edit.Apply(site).Site is not { } mended) return false;
            var now = ContrastPairs.Of(mended, cancel);
            var still = Failing(now);
            var same = now.Where(p => Became(pair, p)).ToList();
            if (same.Count == 0 || same.Exists(p => !p.Passes)) return false;
            var given = side == MendedSide.Text ? pair.Foreground : pair.Ground;
            mends.Add(new(side, words, color, isNew, same.Min(p => p.Ratio), Difference.Ciede2000(given, color), edit, Mended(pairs, still), now.Where(p => !p.Passes && !failing.Contains(Kind(p))).Select(p => p.Name).Distinct().Count()));
            return true;
        }
    }

    private static HashSet<string> Failing(ImmutableArray<ContrastPair> pairs) => [.. pairs.Where(p => !p.Passes).Select(Kind)];

    /// <summary>How many pairs, by name as they are listed, fail no longer where they did.</summary>
    private static int Mended(ImmutableArray<ContrastPair> before, HashSet<string> still) => before.Where(p => !p.Passes && !still.Contains(Kind(p))).Select(p => p.Name).Distinct().Count();

    private static ColorSource From(ContrastPair pair, MendedSide side) => side == MendedSide.Text ? pair.ForegroundFrom : pair.GroundFrom;

    /// <summary>What a place has to reach, wherever it is met. Of its other steps, what they reach now: the rest is there for something else.</summary>
    private static List<Request> Asked(Site site, ImmutableArray<ContrastPair> pairs, ContrastPair mended, Decider place) =>
    [
        .. from pair in pairs
           where pair.Target > 0
           from side in new[] { MendedSide.Text, MendedSide.Ground }
           let opposite = side == MendedSide.Text ? MendedSide.Ground : MendedSide.Text
           where place.Decides(From(pair, side)) && !place.Decides(From(pair, opposite))
           let step = place.StepOf(From(pair, side))
           where step == 0 || pair.Passes || Kind(pair) == Kind(mended)
           select new Request(side, side == MendedSide.Text ? pair.Ground : pair.Foreground, side == MendedSide.Ground && place is RoleDecider && IsComputedFrom(site, pair), pair.Target, pair.Scheme, step),
    ];

    // Text that is readable on whatever the ground is follows it by itself.
    private static bool IsComputedFrom(Site site, ContrastPair pair) =>
        pair.ForegroundFrom.Choice is { Step: 0 } text && pair.GroundFrom.Choice is { } ground
        && site.Palette.Schemes.Find(text.Scheme)?.Colors.GetValueOrDefault(text.Role) is ReadableValue { On: ReferenceValue on } && on.Id == ground.Role;

    /// <summary>The nearest colour that reaches what it must; null where there is none.</summary>
    private static Color? Wanted(Site site, List<Request> asked, Color given)
    {
        var color = given;
        for (var round = 0; round < Rounds; round++)
        {
            if (asked.FindAll(a => a is { Step: 0, Follows: false } && Ratio(site, At(color), a) < a.Target).MinBy(a => Ratio(site, At(color), a) / a.Target) is not { } unmet) break;
            var mended = unmet.Side == MendedSide.Text ? Mend.Nearest(color, unmet.Other, unmet.Target, MendedSide.Text)?.Text : Mend.Nearest(unmet.Other, color, unmet.Target, MendedSide.Ground)?.Ground;
            if (mended is null) return null;
            color = mended.Value;
        }
        if (Reaches(site, At(color), asked)) return color;
        // With steps that have to reach something too, of all lightnesses the nearest that does.
        var oklch = given.To(ColorSpace.Oklch);
        return Enumerable.Range(0, Lightnesses + 1).Select(l => Gamut.Rounded(Gamut.ReduceChroma(oklch with { C1 = (double)l / Lightnesses })))
            .OrderBy(c => Difference.Ciede2000(given, c)).Select(c => (Color?)c).FirstOrDefault(c => Reaches(site, At(c!.Value), asked));
    }

    /// <summary>The steps of a colour that is not of the palette.</summary>
    private static Func<int, Color> At(Color color) => step => step == 0 ? color : Gamut.Rounded(SchemeColors.Along(color, step));

    private static bool Reaches(Site site, Func<int, Color> at, List<Request> asked) => asked.TrueForAll(a => Ratio(site, at, a) >= a.Target);

    private static double Ratio(Site site, Func<int, Color> at, Request asked)
    {
        var other = asked.Follows ? Gamut.Rounded(SchemeColors.Readable(site.Palette, at(0)).Color) : asked.Other;
        return asked.Side == MendedSide.Text ? Contrast.Ratio(at(asked.Step), other) : Contrast.Ratio(other, at(asked.Step));
    }

    /// <summary>The roles and the steps of them that reach what is asked in every scheme, for a cell: those most alike in the scheme at hand first.</summary>
    private static IEnumerable<(string Name, Color Color)> Roles(Site site, List<Request> asked, Decider place, string scheme, Color given)
    {
        return from role in site.Palette.Roles
               where place is CellDecider
               from step in place.NamesRole ? ColorSteps.All.Append(0) : [0]
               where asked.TrueForAll(a => Ratio(site, _ => In(role.Id, step, a.Scheme), a) >= a.Target)
               orderby Difference.Ciede2000(given, In(role.Id, step, scheme)), Math.Abs(step)
               select (StepText.With(role.Name, step), In(role.Id, step, scheme));

        Color In(string role, int step, string scheme) => Gamut.Rounded(SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get(scheme), role, step).Color);
    }

    /// <summary>The step of the palette that is most alike and reaches what it must.</summary>
    private static (string Name, Color Color)? Step(Site site, List<Request> asked, Decider place, Color given, double within)
    {
        var steps = from color in site.Palette.Colors
                    let row = site.Palette.Row(color)
                    from step in ColorSteps.All.Append(0)
                    let at = Gamut.Rounded(row.At(step))
                    let difference = Difference.Ciede2000(given, at)
                    where difference <= within && !Collapses(site, place, at) && Reaches(site, s => Gamut.Rounded(row.At(StepText.Clamp(step + s))), asked)
                    orderby difference
                    select ((string, Color)?)(StepText.With(color.Name, step), Gamut.Rounded(row.At(StepText.Clamp(step + place.Step))));
        return steps.FirstOrDefault();
    }

    /// <summary>Whether a ground would come to look like another that it differs from now: what is raised must not sink into what it lies on.</summary>
    private static bool Collapses(Site site, Decider place, Color color)
    {
        var grounds = site.Palette.Roles.SelectMany(r => r.Grounds()).ToHashSet(StringComparer.Ordinal);
        if (place is not RoleDecider { Choice: var choice } || !grounds.Contains(choice.Role)) return false;
        var scheme = site.Palette.Schemes.Get(choice.Scheme);
        var now = SchemeColors.Resolve(site.Palette, scheme, choice.Role).Color;
        return site.Palette.Roles.Where(r => r.Id != choice.Role && grounds.Contains(r.Id)).Select(r => SchemeColors.Resolve(site.Palette, scheme, r.Id).Color)
            .Any(other => Difference.Ciede2000(other, color) < Alike.Within && Difference.Ciede2000(other, now) >= Alike.Within);
    }

    /// <summary>What a colour has to reach.</summary>
    /// <param name="Other">What it meets.</param>
    /// <param name="Follows">Whether that is computed from it.</param>
    /// <param name="Step">The step of it that is met.</param>
    private sealed record Request(MendedSide Side, Color Other, bool Follows, double Target, string Scheme, int Step);

    /// <summary>Where a colour is decided, and what gives it another.</summary>
    private abstract record Decider
    {
        /// <summary>The places that have a say: the choice of a scheme, or the cell; of a cell that takes a step of a role, both.</summary>
        public static IEnumerable<Decider> Of(Site site, ColorSource source)
        {
            if (source.Choice is { } choice && (choice.Step == 0 || site.Palette.Schemes.Get(choice.Scheme).Colors[choice.Role] is not ReadableValue)) yield return new RoleDecider(choice);
            if (source.Choice is not { Step: 0 } && source.Cell is { Block: null } cell) yield return new CellDecider(cell, source.Choice is not null);
        }

        /// <summary>How far the cell moves it.</summary>
        public virtual int Step => 0;

        /// <summary>Whether it names a step of a role: then the step of another may take its place.</summary>
        public virtual bool NamesRole => false;

        public abstract bool Decides(ColorSource source);

        public virtual int StepOf(ColorSource source) => 0;

        /// <summary>What it gives now.</summary>
        public virtual Color Given(ContrastPair pair, MendedSide side, Site site) => side == MendedSide.Text ? pair.Foreground : pair.Ground;

        public abstract string Name(Site site);

        /// <summary>The edit that gives it something else, by name.</summary>
        public abstract Edit Give(Site site, string name);
    }

    private sealed record RoleDecider(RoleChoice Choice) : Decider
    {
        public override int Step => Choice.Step;

        public override bool Decides(ColorSource source) => source.Choice is { } other && (other.Scheme, other.Role) == (Choice.Scheme, Choice.Role);

        public override int StepOf(ColorSource source) => source.Choice?.Step ?? 0;

        public override Color Given(ContrastPair pair, MendedSide side, Site site) =>
            Choice.Step == 0 ? base.Given(pair, side, site) : Gamut.Rounded(SchemeColors.Resolve(site.Palette, site.Palette.Schemes.Get(Choice.Scheme), Choice.Role).Color);

        public override string Name(Site site) => $"{site.Palette.Roles.Get(Choice.Role).Name} in {site.Palette.Schemes.Get(Choice.Scheme).Name}";

        public override Edit Give(Site site, string name) => new SetThing(SchemeKind.Kind, Choice.Scheme, SchemeKind.FieldOf(Choice.Role), name);
    }

    private sealed record CellDecider(CellPlace Cell, bool IsRole) : Decider
    {
        public override bool NamesRole => IsRole;

        public override bool Decides(ColorSource source) => source.Cell == Cell && source.Choice is not { Step: 0 };

        public override string Name(Site site) => site.Looks.Find(Cell.Look) is { } look ? PartCatalogue.CellName(look, CellKey.Parse(Cell.Cell)) : "This";

        public override Edit Give(Site site, string name)
        {
            var key = CellKey.Parse(Cell.Cell);
            return new SetCell(Cell.Look, key.Property, key.State, key.Widths.From, key.Widths.Below, name);
        }
    }
}
