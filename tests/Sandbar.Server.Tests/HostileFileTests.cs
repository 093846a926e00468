using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Css.Syntax;
using Sandbar.Tests;

namespace Sandbar.Server.Tests;

/// <summary>Random changes to the JSON of a good site file: it is refused with a sentence, or everything about it can be shown.</summary>
public class HostileFileTests
{
    private static readonly string Good = SiteFile.Write(OneOfEach(PellwynSample.Create().Site));

    private static readonly object[][] Places = [.. Paths(JsonNode.Parse(Good), [])];

    private static readonly string[] Texts =
    [
        "", " ", "x", "-", "1px", "</style><script>alert(1)</script>", "red;}*{display:none", "\n", "a\u0000b", "\ud800", "```", "[x](javascript:alert(1))", "<mail@x.org>", "`", "\\",
        "* a\n* b", "| a | b |", "1965. *A*", "rest", "none", "beet", "role", "color", "gradient", "textStyle", "scheme", "ground", "text", "px", "%", "vw", "\"a\\", "url(//x)", "rgb(1 2 3", "#12345",
        "lab(50 1e300 0)", "background@7", "padding@rest", "padding@hover@600-820", "specimen", "index", "pictures/a.svg\n", "fonts/x.woff2", "https://example.org", "ä", "A", "a b", new string('x', 3000),
        "tint 2", "leaf tint 1", "--x", "*/", "{", "}", "a,b", "+", "*", "/", "solid", "dashed", "auto", "normal", "word", "stays",
    ];

    private static readonly string[] Literals = ["0", "1", "-1", "0.00001", "1e20", "99999999999", "null", "true", "2.5"];

    private static readonly string[] Values =
    [
        "{\"kind\":\"rest\",\"step\":3}", "{\"kind\":\"number\",\"number\":7,\"unit\":\"px\"}", "{\"kind\":\"word\",\"word\":\"none\"}",
        "{\"kind\":\"reference\",\"to\":\"textStyle\",\"id\":\"body\",\"step\":0}", "{\"kind\":\"fixedColor\",\"css\":\"red\"}",
        "{\"kind\":\"operation\",\"operator\":\"*\",\"left\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"right\":{\"kind\":\"rest\",\"step\":0}}",
        "{\"kind\":\"rest\",\"step\":0}", "{\"kind\":\"number\",\"number\":-1,\"unit\":\"\"}", "{\"kind\":\"number\",\"number\":50,\"unit\":\"%\"}", "{\"kind\":\"list\",\"values\":[]}",
        "{\"kind\":\"axis\",\"tag\":\"opsz\",\"number\":72}", "{\"kind\":\"list\",\"values\":[{\"kind\":\"axis\",\"tag\":\"a\\\";}\",\"number\":1e20}]}", "{\"kind\":\"list\",\"values\":[{\"kind\":\"axis\",\"tag\":\"SOFT\",\"number\":50}]}",
        "{\"kind\":\"list\",\"values\":[{\"kind\":\"reference\",\"to\":\"color\",\"id\":\"beet\",\"step\":1}]}",
        "{\"kind\":\"readable\",\"on\":{\"kind\":\"fixedColor\",\"css\":\"red\"}}",
        "{\"kind\":\"sides\",\"top\":{\"kind\":\"word\",\"word\":\"none\"},\"right\":{\"kind\":\"number\",\"number\":7,\"unit\":\"px\"},\"bottom\":{\"kind\":\"rest\",\"step\":0},\"left\":{\"kind\":\"fixedColor\",\"css\":\"red\"}}",
        "{\"kind\":\"sides\",\"top\":{\"kind\":\"rest\",\"step\":0},\"right\":{\"kind\":\"rest\",\"step\":0},\"bottom\":{\"kind\":\"rest\",\"step\":0},\"left\":{\"kind\":\"rest\",\"step\":1}}",
        "{\"kind\":\"operation\",\"operator\":\"+\",\"left\":{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"ground\",\"step\":0},\"right\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"}}",
        "{\"kind\":\"operation\",\"operator\":\"/\",\"left\":{\"kind\":\"reference\",\"to\":\"space\",\"id\":\"space-4\",\"step\":0},\"right\":{\"kind\":\"number\",\"number\":0,\"unit\":\"\"}}",
        "{\"kind\":\"mix\",\"one\":{\"kind\":\"reference\",\"to\":\"color\",\"id\":\"leaf\",\"step\":2},\"other\":{\"kind\":\"fixedColor\",\"css\":\"red\"},\"share\":30,\"space\":\"oklch\"}",
        "{\"kind\":\"mix\",\"one\":{\"kind\":\"reference\",\"to\":\"color\",\"id\":\"beet\",\"step\":0},\"other\":{\"kind\":\"rest\",\"step\":0},\"share\":1e20,\"space\":\"x;}\"}",
        "{\"kind\":\"movedColor\",\"of\":{\"kind\":\"reference\",\"to\":\"color\",\"id\":\"beet\",\"step\":0},\"lightness\":10,\"chroma\":-2,\"hue\":20}",
        "{\"kind\":\"corners\",\"topLeft\":{\"kind\":\"number\",\"number\":7,\"unit\":\"px\"},\"topRight\":{\"kind\":\"reference\",\"to\":\"radius\",\"id\":\"soft\",\"step\":0},\"bottomRight\":{\"kind\":\"ellipse\",\"across\":{\"kind\":\"number\",\"number\":7,\"unit\":\"px\"},\"down\":{\"kind\":\"number\",\"number\":3,\"unit\":\"px\"}},\"bottomLeft\":{\"kind\":\"rest\",\"step\":0}}",
        "{\"kind\":\"corners\",\"topLeft\":{\"kind\":\"word\",\"word\":\"none\"},\"topRight\":{\"kind\":\"fixedColor\",\"css\":\"red\"},\"bottomRight\":{\"kind\":\"number\",\"number\":7,\"unit\":\"px\"},\"bottomLeft\":{\"kind\":\"number\",\"number\":-1,\"unit\":\"px\"}}",
        "{\"kind\":\"corners\",\"topLeft\":{\"kind\":\"corners\",\"topLeft\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"topRight\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"bottomRight\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"bottomLeft\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"}},\"topRight\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"bottomRight\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"bottomLeft\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"}}",
        "{\"kind\":\"ratio\",\"shares\":[{\"kind\":\"number\",\"number\":2,\"unit\":\"\"},{\"kind\":\"number\",\"number\":1,\"unit\":\"\"}]}",
        "{\"kind\":\"ratio\",\"shares\":[{\"kind\":\"fixedColor\",\"css\":\"red\"},{\"kind\":\"number\",\"number\":-1,\"unit\":\"px\"}]}", "{\"kind\":\"ratio\",\"shares\":[]}",
        "{\"kind\":\"ellipse\",\"across\":{\"kind\":\"number\",\"number\":20,\"unit\":\"px\"},\"down\":{\"kind\":\"number\",\"number\":10,\"unit\":\"px\"}}",
        "{\"kind\":\"ellipse\",\"across\":{\"kind\":\"ellipse\",\"across\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"},\"down\":{\"kind\":\"number\",\"number\":1,\"unit\":\"px\"}},\"down\":{\"kind\":\"fixedColor\",\"css\":\"red\"}}",
        "{\"kind\":\"ellipse\",\"across\":{\"kind\":\"rest\",\"step\":0},\"down\":{\"kind\":\"number\",\"number\":50,\"unit\":\"%\"}}",
        "{\"kind\":\"line\",\"width\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"style\":\"dashed\",\"color\":{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"line\",\"step\":0}}",
        "{\"kind\":\"line\",\"width\":{\"kind\":\"number\",\"number\":50,\"unit\":\"%\"},\"style\":\"solid\",\"color\":{\"kind\":\"fixedColor\",\"css\":\"red\"}}",
        "{\"kind\":\"line\",\"width\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"style\":\"solid;}\",\"color\":{\"kind\":\"fixedColor\",\"css\":\"red\"}}",
        "{\"kind\":\"line\",\"width\":{\"kind\":\"rest\",\"step\":0},\"style\":\"none\",\"color\":{\"kind\":\"rest\",\"step\":0}}",
        "{\"kind\":\"sides\",\"top\":{\"kind\":\"reference\",\"to\":\"border\",\"id\":\"hairline\",\"step\":0},\"right\":{\"kind\":\"word\",\"word\":\"none\"},\"bottom\":{\"kind\":\"line\",\"width\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"style\":\"solid\",\"color\":{\"kind\":\"fixedColor\",\"css\":\"red\"}},\"left\":{\"kind\":\"word\",\"word\":\"none\"}}",
        "{\"kind\":\"sides\",\"top\":{\"kind\":\"word\",\"word\":\"inner\"},\"right\":{\"kind\":\"word\",\"word\":\"none\"},\"bottom\":{\"kind\":\"word\",\"word\":\"none\"},\"left\":{\"kind\":\"word\",\"word\":\"none\"}}",
        "{\"kind\":\"shadow\",\"layers\":[{\"kind\":\"shadowLayer\",\"isInner\":true,\"x\":{\"kind\":\"number\",\"number\":0,\"unit\":\"px\"},\"y\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"blur\":{\"kind\":\"number\",\"number\":8,\"unit\":\"px\"},\"spread\":{\"kind\":\"number\",\"number\":0,\"unit\":\"px\"},\"color\":{\"kind\":\"reference\",\"to\":\"role\",\"id\":\"text\",\"step\":0},\"opacity\":20}]}",
        "{\"kind\":\"shadow\",\"layers\":[]}",
        "{\"kind\":\"shadow\",\"layers\":[{\"kind\":\"shadowLayer\",\"isInner\":true,\"x\":{\"kind\":\"number\",\"number\":1e9,\"unit\":\"px\"},\"y\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"blur\":{\"kind\":\"number\",\"number\":-8,\"unit\":\"px\"},\"spread\":{\"kind\":\"rest\",\"step\":0},\"color\":{\"kind\":\"fixedColor\",\"css\":\"red\"},\"opacity\":900},{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"}]}",
        "{\"kind\":\"shadowLayer\",\"isInner\":true,\"x\":{\"kind\":\"number\",\"number\":0,\"unit\":\"px\"},\"y\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"},\"blur\":{\"kind\":\"number\",\"number\":8,\"unit\":\"px\"},\"spread\":{\"kind\":\"number\",\"number\":0,\"unit\":\"px\"},\"color\":{\"kind\":\"fixedColor\",\"css\":\"red\"},\"opacity\":20}",
        "{\"kind\":\"change\",\"duration\":{\"kind\":\"reference\",\"to\":\"duration\",\"id\":\"quick\",\"step\":0},\"easing\":{\"kind\":\"reference\",\"to\":\"easing\",\"id\":\"gentle\",\"step\":0},\"delay\":{\"kind\":\"number\",\"number\":0,\"unit\":\"ms\"}}",
        "{\"kind\":\"change\",\"duration\":{\"kind\":\"number\",\"number\":1e9,\"unit\":\"s\"},\"easing\":{\"kind\":\"word\",\"word\":\"ease;}\"},\"delay\":{\"kind\":\"rest\",\"step\":0}}",
        "{\"kind\":\"change\",\"duration\":{\"kind\":\"number\",\"number\":200,\"unit\":\"ms\"},\"easing\":{\"kind\":\"word\",\"word\":\"linear\"},\"delay\":{\"kind\":\"number\",\"number\":-50,\"unit\":\"ms\"}}",
        "{\"kind\":\"change\",\"duration\":{\"kind\":\"fixedColor\",\"css\":\"red\"},\"easing\":{\"kind\":\"reference\",\"to\":\"space\",\"id\":\"space-1\",\"step\":0},\"delay\":{\"kind\":\"number\",\"number\":2,\"unit\":\"px\"}}",
    ];

    private static readonly Gen<JsonNode?> Fresh = Gen.OneOf<JsonNode?>(
        Gen.Int[0, Texts.Length - 1].Select(i => (JsonNode?)JsonValue.Create(Texts[i])),
        Gen.Int[0, Literals.Length - 1].Select(i => JsonNode.Parse(Literals[i])),
        Gen.Int[0, Values.Length + 1].Select(i => JsonNode.Parse(i < Values.Length ? Values[i] : i == Values.Length ? "[]" : "{}")));

    // Where, what, and with what: a new value, one from elsewhere in the file, nothing, or itself twice or within itself.
    private static readonly Gen<(int Node, int What, int Other, JsonNode? Value)[]> Changes =
        Gen.Select(Gen.Int[0, 1_000_000], Gen.Int[0, 9], Gen.Int[0, 1_000_000], Fresh).Array[1, 4];

    [Fact]
    public void A_changed_file_is_refused_or_shown() => Changes.Sample(
        changes =>
        {
            var root = JsonNode.Parse(Good)!;
            foreach (var (node, what, other, value) in changes) Change(root, node, what, other, value?.DeepClone());
            RefuseOrShow(root);
        },
        iter: RandomTimes.Of(1000));

    /// <summary>Values of every form in every kind of place that holds one: each is refused, or shown.</summary>
    [Fact]
    public void A_value_of_any_form_is_refused_or_shown_in_any_place()
    {
        var good = JsonNode.Parse(Good)!;
        var places = Places.Where(path => At(good, path) is JsonObject map && IsValue(map)).DistinctBy(Kind).ToList();
        // When there is time, every value of the file too, and all of them; else one in eight, others each time.
        var isLong = RandomTimes.Of(1) > 1;
        var own = isLong ? Places.Select(path => At(good, path)).OfType<JsonObject>().Where(IsValue).Select(n => n.ToJsonString()) : [];
        var forms = Values.Concat(own).Distinct().ToList();
        Assert.All(typeof(Value).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Value)) && !t.IsAbstract), type => Assert.Contains(forms, f => Deserialized(f).GetType() == type));
        // One after the other: the servers of other tests need the threads.
        foreach (var (path, form) in places.SelectMany(path => forms.Select(form => (path, form))).Where(_ => isLong || Random.Shared.Next(8) == 0))
        {
            var root = JsonNode.Parse(Good)!;
            At(root, path)!.ReplaceWith(JsonNode.Parse(form));
            RefuseOrShow(root);
        }
    }

    /// <summary>Each change alone in each kind of place; all of them when there is time, else one in two hundred, others each time.</summary>
    [Fact]
    public void A_single_change_is_refused_or_shown_in_any_place()
    {
        var good = JsonNode.Parse(Good)!;
        var places = Places.DistinctBy(Kind).Select(path => Array.IndexOf(Places, path)).ToList();
        var values = Texts.Select(t => (JsonNode?)JsonValue.Create(t)).Concat(Literals.Concat(Values).Select(v => JsonNode.Parse(v))).ToList();
        var changes = values.Select(value => (What: 0, Value: value)).Concat([(7, null), (8, null), (9, null)]).ToList();
        var share = RandomTimes.Of(1) > 1 ? 1 : 200;
        foreach (var (place, (what, value)) in places.SelectMany(place => changes.Select(change => (place, change))).Where(_ => share == 1 || Random.Shared.Next(share) == 0))
        {
            var root = good.DeepClone();
            Change(root, place, what, place, value?.DeepClone());
            try
            {
                RefuseOrShow(root);
            }
            catch (Exception e)
            {
                throw new InvalidOperationException($"At {string.Join('/', Places[place])}, {what}: {value?.ToJsonString()}", e);
            }
        }
    }

    /// <summary>Colours beyond all measure, in each kind of place a colour is written in: rare among changes by chance. One of them each, when there is no time.</summary>
    [Fact]
    public void Colours_beyond_all_measure_are_refused_or_shown()
    {
        string[] colors = ["lab(50 1e300 0)", "oklch(0.5 1e300 1e300)", "color(xyz 1e300 -1e300 1e300)", "color(srgb 1e39 0 0)", "hsl(1e300 100% 50%)", "oklab(none none none)", "rgb(0 0 0 / 0)"];
        var places = Places.Where(path => path[^1] is "css").DistinctBy(Kind).ToList();
        Assert.NotEmpty(places);
        foreach (var path in places)
        {
            foreach (var color in RandomTimes.Of(1) > 1 ? colors : [Random.Shared.GetItems(colors, 1)[0]])
            {
                var root = JsonNode.Parse(Good)!;
                At(root, path)!.ReplaceWith(JsonValue.Create(color));
                RefuseOrShow(root);
            }
        }
    }

    /// <summary>What a place is for: whichever of its list, whichever state and width, whichever role of a scheme.</summary>
    private static string Kind(object[] path) =>
        string.Join('/', path.Select((key, i) => key is string name && (i == 0 || path[i - 1] is not "colors") ? name.Split('@')[0] : "*"));

    private static bool IsValue(JsonObject map) => map["kind"] is JsonValue kind && kind.GetValueKind() == JsonValueKind.String;

    private static Value Deserialized(string form) => JsonSerializer.Deserialize<Value>(form, SiteJson.Options)!;

    private static void RefuseOrShow(JsonNode root)
    {
        Site site;
        try
        {
            site = SiteFile.Read(root.ToJsonString());
        }
        catch (FormatException refused)
        {
            Assert.Matches(@"\w.*\.\z", refused.Message);
            return;
        }
        Show(site);
    }

    /// <summary>The site with the sections that bring a part which none before them did: every place of a file is hit more often.</summary>
    private static Site OneOfEach(Site site)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        return site with { Pages = [.. site.Pages.Select(p => p with { Sections = [.. p.Sections.Where(IsNew)] })] };

        bool IsNew(Block section)
        {
            var before = seen.Count;
            seen.UnionWith(Parts(section));
            return seen.Count > before;
        }

        static IEnumerable<string> Parts(Block block) => block.Blocks.SelectMany(Parts).Prepend(block.Part);
    }

    /// <summary>All that is asked of a site that is open.</summary>
    private static void Show(Site site)
    {
        var sheet = StyleSheetRenderer.Render(site);
        _ = SiteView.Of(new(new(site, 0, []), sheet));
        _ = ContrastPairs.Of(site, CancellationToken.None);
        _ = SilencedSettings.Of(site, CancellationToken.None);
        _ = Specimen.Write(site, new((p, _) => p.Slug, i => i.File, "", true));
        foreach (var file in SiteRelease.Files(site).Where(f => f.Text is not null))
        {
            if (file.Path != SiteRelease.StyleSheetPath) Assert.DoesNotContain("<script", file.Text, StringComparison.OrdinalIgnoreCase);
        }
        var read = Parser.ParseStyleSheet(StyleSheetText.Generated(sheet, SheetUse.Release, i => i.File));
        Assert.Empty(read.Errors);
        Assert.Equal(sheet.Rules.Length, Count(read.Rules.OfType<AtRuleNode>().Where(r => r.Name == "layer")));
        // What is stored is read again as what it was.
        Assert.Empty(Patch.Between(site, SiteFile.Read(SiteFile.Write(site))).Changes);
    }

    private static int Count(IEnumerable<RuleNode> rules) => rules.Sum(r => (r is StyleRuleNode ? 1 : 0) + Count(r.Items.OfType<RuleNode>()));

    private static void Change(JsonNode root, int at, int what, int other, JsonNode? value)
    {
        // What a change before this one took away is passed over.
        if (At(root, Places[at % Places.Length]) is not { } node || At(root, Places[other % Places.Length]) is not { } from) return;
        switch (what)
        {
            case <= 4:
                node.ReplaceWith(value);
                break;
            case 5 or 6:
                node.ReplaceWith(from.DeepClone());
                break;
            case 7 when node.Parent is JsonArray list:
                list.Add(node.DeepClone());
                break;
            case 8 when node.Parent is JsonArray list:
                list.Remove(node);
                break;
            case 8 when node.Parent is JsonObject map:
                map.Remove(node.GetPropertyName());
                break;
            case 9 when node is JsonObject inner:
                // As it was: what is within itself already would grow with every place by as much again.
                var whole = node.DeepClone();
                foreach (var (name, held) in inner.ToList())
                {
                    if (held is JsonObject or JsonArray) inner[name] = whole.DeepClone();
                }
                break;
            default:
                if (node.Parent is JsonObject parent) parent[((other % 3) switch { 0 => "id", 1 => "name", _ => "padding@hover" }).ToString(CultureInfo.InvariantCulture)] = value;
                break;
        }
    }

    /// <summary>The paths of all that stands in a node, names and places in lists from it down.</summary>
    private static IEnumerable<object[]> Paths(JsonNode? node, object[] here)
    {
        var inner = node switch
        {
            JsonObject map => map.Select(p => (Key: (object)p.Key, p.Value)),
            JsonArray list => list.Select((held, i) => (Key: (object)i, Value: held)),
            _ => [],
        };
        foreach (var (key, held) in inner)
        {
            object[] path = [.. here, key];
            yield return path;
            foreach (var deeper in Paths(held, path)) yield return deeper;
        }
    }

    private static JsonNode? At(JsonNode root, object[] path) => path.Aggregate((JsonNode?)root, (node, key) => (node, key) switch
    {
        (JsonObject map, string name) => map[name],
        (JsonArray list, int place) when place < list.Count => list[place],
        _ => null,
    });
}
