using Sandbar.Core.Design;

namespace Sandbar.Core.Checking;

/// <summary>Ids: they stand in file names, selectors and paths.</summary>
internal static class Ids
{
    public static IEnumerable<Problem> Problems<T>(string path, IReadOnlyList<T> list)
        where T : IListed =>
        list.Where(i => !Names.IsId(i.Id)).Select(i => new Problem(path, "An id is letters, digits and hyphens."))
            .Concat(list.GroupBy(i => i.Id, StringComparer.Ordinal).Where(g => g.Count() > 1).Select(g => new Problem(path, $"The id {g.Key} is there twice.")));
}
