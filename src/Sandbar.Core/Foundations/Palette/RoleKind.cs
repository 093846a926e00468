using System.Collections.Immutable;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Palette;

/// <summary>What colours are for. What a role comes to is declared by schemes.</summary>
public sealed class RoleKind : NamedKind<Role>
{
    public const string Kind = "role";

    /// <summary>The roles that the sheet itself reads.</summary>
    public const string Ground = "ground", Text = "text", Selection = "selection";

    /// <summary>The roles every site has.</summary>
    public static readonly ImmutableArray<string> Needed = [Ground, Text, Selection];

    public static RoleKind Description => (RoleKind)Kinds.Listed(Kind);

    public override string Code => Kind;

    public override string Name => "role";

    public override CssType Type => CssType.Color;

    public override FoundationStep Step => FoundationStep.Palette;

    public override string Path => "/palette/roles";

    public override bool HasSteps => true;

    public override bool FollowsScheme => true;

    public override ImmutableArray<Role> List(Site site) => site.Palette.Roles;

    public override string? Stays(Site site, IListed thing) => Needed.Contains(thing.Id) ? $"{NameOf(site, thing)} is read by every page and cannot go." : null;

    /// <summary>A new role has a colour in every scheme: what can be read on the ground; the colours of one that is gone go with it.</summary>
    public override Site Settled(Site site)
    {
        var ids = site.Palette.Roles.Select(r => r.Id).ToHashSet(StringComparer.Ordinal);
        var schemes = site.Palette.Schemes.Each(s => ids.SetEquals(s.Colors.Keys) ? s : s with
        {
            Colors = s.Colors.RemoveRange(s.Colors.Keys.Where(id => !ids.Contains(id))).SetItems(
                ids.Where(id => !s.Colors.ContainsKey(id)).Select(id => KeyValuePair.Create(id, (Value)new ReadableValue(new ReferenceValue(Kind, Ground))))),
        });
        return schemes == site.Palette.Schemes ? site : site with { Palette = site.Palette with { Schemes = schemes } };
    }

    public override string Note(Site site, IListed thing, Field field) => field.Id == "target" ? ContrastTargets.NameOf(((Role)thing).Target.Amount()) : "";

    protected override Site With(Site site, ImmutableArray<Role> things) => site with { Palette = site.Palette with { Roles = things } };

    protected override ImmutableArray<Field> Described() =>
    [
        Of(new() { Id = "on", Name = "Readable on", Kind = new ReferenceLists(Kind), Words = [new("none", "nothing", "")] }, r => r.On, (r, value) => r with { On = value }),
        Of(new() { Id = "target", Name = "Contrast", Kind = new ContrastTargets(), Min = 0, Max = 21 }, r => r.Target, (r, value) => r with { Target = value }),
    ];

    protected override Role Create(Site site, string id) => new(id, "", "", new WordValue("none"), new NumberValue(0, ""));
}
