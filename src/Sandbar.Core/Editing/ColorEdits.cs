using System.Collections.Immutable;
using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;

namespace Sandbar.Core.Editing;

/// <summary>A colour that is new in the palette.</summary>
/// <param name="Color">Any CSS colour.</param>
public sealed record NewColor(string Id, string Name, string Color);

/// <summary>Adds colours to the palette, all of them or none.</summary>
public sealed record AddColors(ImmutableArray<NewColor> Colors) : Edit
{
    public override Outcome Apply(Site site)
    {
        if (Colors.IsDefaultOrEmpty) return new Problem("/colors", "Choose a colour to add.");
        if (Colors.Length > ColorList.Most) return new Problem("/colors", $"At most {ColorList.Most} colours are added at once.");
        for (var i = 0; i < Colors.Length; i++)
        {
            var (id, name, color) = Colors[i];
            var outcome = new AddThing(ColorKind.Kind, id, name, Values: ImmutableDictionary<string, string>.Empty.Add("color", color)).Apply(site);
            if (outcome.Site is null) return new Problem(string.Create(CultureInfo.InvariantCulture, $"/colors/{i}{outcome.Problems[0].Path}"), outcome.Problems[0].Message);
            site = outcome.Site;
        }
        return site;
    }

    public override string Describe(Site site) => Colors.IsDefaultOrEmpty ? "Colours added" : Colors.Length == 1 ? $"{Colors[0].Name.Trim()} added" : $"{Colors.Length} colours added";
}
