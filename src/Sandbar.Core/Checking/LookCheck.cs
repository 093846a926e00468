using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Checking;

/// <summary>Looks, and the values in which blocks differ from theirs.</summary>
public static class LookCheck
{
    internal static IEnumerable<Problem> Problems(Site site)
    {
        foreach (var problem in Ids.Problems("/looks", site.Looks)) yield return problem;
        foreach (var look in site.Looks)
        {
            var path = $"/looks/{look.Id}";
            if (Names.Check(look.Name, [], $"{path}/name") is { } name) yield return name;
            if (!Names.IsSlug(look.CssName)) yield return new($"{path}/cssName", "A CSS name is lower-case letters, digits and hyphens.");
            if (PartCatalogue.Find(look.Part) is not { } part) yield return new($"{path}/part", $"There is no part {Quoted.Text(look.Part)}.");
            else foreach (var problem in Cells(site, $"{path}/cells", part, look.Cells, look.Cells)) yield return problem;
        }
        foreach (var same in site.Looks.GroupBy(l => (l.Part, l.CssName)).Where(g => g.Count() > 1)) yield return new("/looks", $"Two looks of {same.Key.Part} have the CSS name {Quoted.Text(same.Key.CssName)}.");
    }

    /// <summary>What is wrong with cells, each with its key.</summary>
    /// <param name="path">Where the cells stand.</param>
    /// <param name="rests">The cells whose Rest others refer to.</param>
    public static IEnumerable<Problem> Cells(Site site, string path, Part part, ImmutableSortedDictionary<string, Value> cells, ImmutableSortedDictionary<string, Value> rests)
    {
        var known = new HashSet<CellKey>();
        foreach (var (text, value) in cells)
        {
            var here = $"{path}/{text}";
            if (!CellKey.TryParse(text, out var key) || part.Property(key.Property) is not { } property) yield return new(here, $"{part.Name} has no setting {Quoted.Text(text)}.");
            else if (!part.States.Contains(key.State) || (property.SameInAllStates && key.State != State.Rest)) yield return new(here, $"{property.Name} has no value of its own in {key.State}.");
            else if (key.ToString() != text || !known.Add(key)) yield return new(here, $"{Quoted.Text(text)} is not how this setting is written: {key}.");
            else if (cells.Keys.Any(k => CellKey.TryParse(k, out var other) && other != key && other.Property == key.Property && other.State == key.State
                && other.Widths != Interval.All && key.Widths != Interval.All && other.Widths.Overlaps(key.Widths))) yield return new(here, "These widths overlap those of another value.");
            else if (property.Refusal(site, value, key.RestIn(cells, rests)) is { } refusal) yield return new(here, refusal);
        }
    }
}
