using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using ArchUnitNET.xUnitV3;
using Sandbar.Core.Design;
using Sandbar.Css.Colors;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Sandbar.Core.Tests;

/// <summary>The rooms and their order (docs/architecture.md). Files, clock and network are held off by the build (src/BannedSymbols.txt).</summary>
public class ArchitectureTests
{
    /// <summary>The core's folders, the lowest first.</summary>
    private static readonly string[] Folders =
        ["Design", "Values", "Catalogue", "Foundations", "Checking", "Pictures", "Rendering", "Writing", "Editing", "Styling", "Reviewing", "Interchange", "Starting", "Samples"];

    private static readonly Architecture Core = new ArchLoader().LoadAssemblies(typeof(Site).Assembly, typeof(Color).Assembly).Build();

    public static TheoryData<string, string> Pairs =>
    [
        .. from low in Enumerable.Range(0, Folders.Length) from high in Enumerable.Range(low + 1, Folders.Length - low - 1) select (Folders[low], Folders[high]),
    ];

    [Theory]
    [MemberData(nameof(Pairs))]
    public void Lower_folders_know_nothing_of_higher_ones(string low, string high) =>
        Types().That().ResideInNamespaceMatching(In(low)).Should().NotDependOnAny(Types().That().ResideInNamespaceMatching(In(high))).Check(Core);

    /// <summary>That the check above can fail: everything stands on the site's records, but for pictures, which stand on what files are.</summary>
    [Fact]
    public void Higher_folders_know_the_lowest() =>
        Assert.All(Folders[1..], high => Assert.False(Types().That().ResideInNamespaceMatching(In(high)).Should().NotDependOnAny(Types().That().ResideInNamespaceMatching(In(high == "Pictures" ? "Checking" : "Design"))).HasNoViolations(Core)));

    [Fact]
    public void Every_folder_has_its_place() => Assert.Equal(
        Folders.Order(),
        typeof(Site).Assembly.GetTypes().Select(t => t.Namespace).OfType<string>().Where(n => n.StartsWith("Sandbar.Core.", StringComparison.Ordinal)).Select(n => n.Split('.')[2]).Distinct().Order());

    [Fact]
    public void No_type_bears_the_name_of_a_namespace()
    {
        foreach (var assembly in new[] { typeof(Site).Assembly, typeof(Color).Assembly })
        {
            var names = assembly.GetTypes().Select(t => t.Namespace).OfType<string>().SelectMany(n => n.Split('.')).ToHashSet();
            Assert.DoesNotContain(assembly.GetTypes(), t => names.Contains(t.Name.Split('`')[0]));
        }
    }

    /// <summary>The parts of CSS come in this order: colours and syntax know nothing of selectors.</summary>
    [Fact]
    public void The_css_library_knows_nothing_of_sites()
    {
        Assert.DoesNotContain(typeof(Color).Assembly.GetReferencedAssemblies(), a => a.Name!.StartsWith("Sandbar", StringComparison.Ordinal));
        Types().That().ResideInNamespaceMatching(@"Sandbar\.Css\.(Colors|Syntax)").Should().NotDependOnAny(Types().That().ResideInNamespaceMatching(@"Sandbar\.Css\.Selectors")).Check(Core);
    }

    [Fact]
    public void The_core_stands_on_css_and_fonts_alone() =>
        Assert.Equal(["Sandbar.Css", "Sandbar.Fonts"], typeof(Site).Assembly.GetReferencedAssemblies().Select(a => a.Name!).Where(n => n.StartsWith("Sandbar", StringComparison.Ordinal) || n.StartsWith("Microsoft.", StringComparison.Ordinal)).Order());

    private static string In(string folder) => $@"^Sandbar\.Core\.{folder}(\..*)?$";
}
