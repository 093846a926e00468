using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>Full assignments of colours to roles.</summary>
public sealed class SchemeKind : NamedKind<Scheme>
{
    public const string Kind = "scheme";

    /// <summary>The word for a scheme that is the same for visitors who prefer dark.</summary>
    public const string StaysAsItIs = "stays";

    private static readonly Field Turns = Of(
        new() { Id = "turns-into", Name = "Turns into", Kind = new ReferenceValues(CssType.Scheme), Words = [new(StaysAsItIs, "stays as it is", "")] },
        s => s.TurnsInto, (s, value) => s with { TurnsInto = value });

    // The fields of the roles that were asked for last: they are the same for as long as the roles are.
    private volatile RoleFields? latest;

    public static SchemeKind Description => (SchemeKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "scheme";

    public override CssType Type => CssType.Scheme;

    public override bool HasTokens => false;

    public override FoundationStep Step => FoundationStep.Palette;

    public override string Path => "/palette/schemes";

    public override int Fewest => 1;

    public override int Most => 40;

    public override ImmutableArray<Scheme> List(Site site) => site.Palette.Schemes;

    /// <summary>A field for each role, and what it turns into.</summary>
    public override IReadOnlyList<Field> Fields(Site site)
    {
        var roles = site.Palette.Roles;
        if (latest is { } known && known.Roles == roles) return known.Fields;
        latest = known = new(roles, [.. roles.Select(RoleField), Turns]);
        return known.Fields;
    }

    /// <summary>Id of the field for a role's colour.</summary>
    public static string FieldOf(string role) => $"colors/{role}";

    public override IEnumerable<Problem> Problems(Site site, IListed thing)
    {
        var scheme = (Scheme)thing;
        foreach (var role in site.Palette.Roles)
        {
            if (!scheme.Colors.ContainsKey(role.Id)) yield return new($"/colors/{role.Id}", $"{scheme.Name} has no colour for {role.Name}.");
            else if (IsInCircle(scheme, role.Id)) yield return new($"/colors/{role.Id}", $"In {scheme.Name}, {role.Name} would be readable on itself, directly or by way of others. A role cannot be.");
        }
        foreach (var unknown in scheme.Colors.Keys.Where(id => site.Palette.Roles.Find(id) is null)) yield return new($"/colors/{unknown}", $"{scheme.Name} has a colour for a role that is not there.");
        if (scheme.TurnsInto is ReferenceValue into && into.Id == scheme.Id) yield return new("/turns-into", "A scheme cannot turn into itself. Let it stay as it is instead.");
    }

    public override string UseName(Site site, IListed thing, Field field) => $"{field.Setting.Name} in {NameOf(site, thing)}";

    protected override Site With(Site site, ImmutableArray<Scheme> things) => site with { Palette = site.Palette with { Schemes = things } };

    protected override ImmutableArray<Field> Described() => [Turns];

    protected override Scheme Create(Site site, string id) => site.Palette.Schemes[0] with { Id = id, TurnsInto = new WordValue(StaysAsItIs) };

    private static Field RoleField(Role role) => Of(
        new() { Id = FieldOf(role.Id), Name = role.Name, Kind = new RoleColors() },
        s => s.Colors.GetValueOrDefault(role.Id) ?? new ReadableValue(new ReferenceValue(RoleKind.Kind, RoleKind.Ground)),
        (s, value) => s with { Colors = s.Colors.SetItem(role.Id, value) });

    private static bool IsInCircle(Scheme scheme, string role)
    {
        var at = role;
        for (var steps = 0; steps <= scheme.Colors.Count; steps++)
        {
            if (scheme.Colors.GetValueOrDefault(at) is not ReadableValue { On: ReferenceValue next }) return false;
            at = next.Id;
        }
        return true;
    }

    private sealed record RoleFields(ImmutableArray<Role> Roles, IReadOnlyList<Field> Fields);
}
