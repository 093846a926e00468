using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Values;
using Sandbar.Css;

namespace Sandbar.Core.Foundations;

/// <summary>What named things may be called, so that a name typed anywhere means one thing.</summary>
public static class Naming
{
    // What can be named in one place must not be called the same. Which kinds meet is read off the settings there are.
    private static readonly Lazy<ILookup<ReferenceKind, ValueKind>> Places = new(() =>
        Settings().Select(s => s.Kind).Distinct().SelectMany(kind => kind.References.Select(reference => (reference, kind))).ToLookup(p => p.reference, p => p.kind));

    private static readonly Lazy<ILookup<ValueKind, Word>> Words = new(() => Settings().SelectMany(s => s.Words.Select(word => (s.Kind, word))).ToLookup(w => w.Kind, w => w.word));

    /// <summary>What is wrong with the name of a thing; null where nothing is.</summary>
    public static Problem? Check(Site site, ListedKind kind, string id, string name, string path = "/name")
    {
        if (Names.Check(name, [], path) is { } bad) return bad;
        var wanted = name.Trim();
        foreach (var other in Neighbours(kind))
        {
            if (other is ListedKind listed && listed.Things(site).FirstOrDefault(t => (other != kind || t.Id != id) && Same(listed.Typed(listed.NameOf(site, t)), kind.Typed(wanted))) is not null)
                return new(path, other == kind ? $"{Quoted.Text(wanted)} is taken. Choose another name." : $"{Quoted.Text(wanted)} is the name of {Sentence.A(other.Name)}, and either may be meant. Choose another name.");
        }
        if (Neighbours(kind).Any(k => k.HasSteps) && StepText.EndsLikeStep(wanted)) return new(path, $"{Quoted.Text(wanted)} reads like a step of another {kind.Name}. Choose another name.");
        if (IsReserved(site, kind, kind.Typed(wanted))) return new(path, $"{Quoted.Text(wanted)} means something of its own where {Sentence.A(kind.Name)} can be typed. Choose another name.");
        return null;
    }

    /// <summary>Whether a name is a word of a setting that the kind can be named in, or is read as something else there.</summary>
    public static bool IsReserved(Site site, ListedKind kind, string name) =>
        Same(name, "rest") || name.StartsWith(ReadableForm.Begin, StringComparison.OrdinalIgnoreCase)
        || Neighbours(kind).Any(other => other is not INamedKind && IsRead(site, other, name))
        || Places.Value[kind].SelectMany(place => Words.Value[place]).Any(word => Same(word.Label, name) || Same(word.Code, name));

    /// <summary>Whether a kind takes a text for one of its things, be it one that is not there.</summary>
    private static bool IsRead(Site site, ReferenceKind kind, string text)
    {
        try
        {
            return kind.Read(site, text) is not null;
        }
        catch (FormatException)
        {
            return true;
        }
    }

    /// <summary>The kinds that can be named where a kind can, itself among them.</summary>
    private static IEnumerable<ReferenceKind> Neighbours(ReferenceKind kind) => Places.Value[kind].SelectMany(p => p.References).Append(kind).Distinct();

    private static IEnumerable<Setting> Settings() => PartCatalogue.All.SelectMany(p => p.Properties).Concat(Kinds.AllListed.SelectMany(k => k.AllSettings));

    private static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
}
