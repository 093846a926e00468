using System.Text.Json;
using System.Text.RegularExpressions;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Editing;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Core.Values;

namespace Sandbar.Browser.Tests;

/// <summary>Whatever a cell takes, Chromium takes as the value of its property: by enumeration of all parts, settings and states.</summary>
public sealed partial class ValueTests : IDisposable
{
    private static readonly string[] Typed =
    [
        "rest", "rest shade 1", "rest tint 2", "rest + 2px", "rest * 2", "rest / 2", "2 * rest", "rest - 1px", "12px + 2", "2 * 3", "3 / 2", "space 2 + 4", "space 3 * 2", "4px - 20px", "size 1 / 2", "size −1", "0", "1", "1.5",
        "0.5", "-1px", "10%", "mix leaf, husk 30%", "move leaf, lightness +10, hue −20", "1rem + 2px", "0 + 2px", "2px - 0", "1px 2px", "0 auto", "space 1 0 2px", "(1px + 2px) * 3", "rgb(255 0 0", "red/*", "#abc8", "hsl(40 200% 50%)", "oklch(0.7 0.3 150)", "transparent", "lab(50 1e300 0)",
        "action shade 1", "beet", "beet tint 3", "dawn", "bed at dusk", "Body", "lift", "bright", "ring", "soft", "none", "auto", "fit", "1e3px", "999999px", "1vw", "3ch", "50vh", "45deg", "2s", "inner", "1px 2px 3px by 4px", "20px by 50%", "hairline, none", "2px dashed text", "1px solid line, none, 3px double #123, bright",
        "0 2px 8px text 20%", "inner 1px 1px 2px -1px #000, lift", "quick, gentle", "quick, ease-in, 50ms", "200ms", "1.5s, linear", "2 : 1", "1:1.5:0.25", "1 2 3 4 5 6", "0 : 1", "25 : 1", "2 : beet",
    ];

    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public void What_a_cell_takes_is_a_value_of_its_property()
    {
        var site = PellwynSample.Create().Site;
        var asked = new List<(string Where, string Property, string Css)>();
        foreach (var look in site.Looks)
        {
            var part = PartCatalogue.Get(look.Part);
            foreach (var property in part.Properties)
            {
                var atRest = look.Cells.GetValueOrDefault(property.Id);
                foreach (var rest in new[] { null, atRest }.Distinct())
                {
                    foreach (var text in Typed.Concat(property.Names(site)).Concat(property.Words.Select(w => w.Code)))
                    {
                        if (Taken(site, property, text, rest) is not { } value || IsStyle(value) || (value is RestValue && rest is not null && IsStyle(rest))) continue;
                        foreach (var declared in property.Kind.Declare(new(site), property, property.CssName, value, rest))
                            asked.Add(($"{look.Name} · {property.Name} · {text} over {rest}", declared.Property, (property.ChangeOf is { } of ? $"{of.CssName} " : "") + Sampled(declared.Css)));
                    }
                }
            }
        }
        Assert.True(asked.Count > 3000, "Hardly anything was taken.");
        AssertSupported(asked);
    }

    /// <summary>The same for the foundations: whatever a field of a thing takes, its custom property can be used as what it is.</summary>
    [Fact]
    public void What_a_field_takes_is_a_value_of_what_it_is_for()
    {
        var before = PellwynSample.Create().Site;
        var asked = new List<(string Where, string Property, string Css)>();
        foreach (var kind in Kinds.AllListed)
        {
            foreach (var thing in kind.Things(before).Take(2))
            {
                var fields = kind.Fields(before).Select(f => (f.Setting, Item: (string?)null));
                if (kind.Items is { } items) fields = fields.Concat(items.Of(thing).Take(1).SelectMany(item => items.Fields.Select(f => (f.Setting, Item: (string?)item.Id))));
                foreach (var (setting, item) in fields)
                {
                    foreach (var text in Typed.Concat(setting.Names(before)).Concat(["0.7", "400", "30", "cubic-bezier"]))
                    {
                        var edit = item is null ? new SetThing(kind.Code, thing.Id, setting.Id, text) : new SetThing(kind.Code, item, setting.Id, text, thing.Id);
                        if (edit.Apply(before).Site is not { } site) continue;
                        var where = $"{kind.Name} · {setting.Name} · {text}";
                        if (kind is TextStyleKind styles)
                        {
                            foreach (var (name, css) in styles.Declarations(new(site), site.Type.Styles.Get(thing.Id))) asked.Add((where, name, Sampled(css)));
                        }
                        else if (Uses.TryGetValue(kind.Code, out var property))
                        {
                            foreach (var token in kind.Tokens(new(site)).Where(t => t.Id == thing.Id)) asked.Add((where, token.Detail == "blend" ? "background-blend-mode" : property, Sampled(token.Css)));
                        }
                    }
                }
            }
        }
        Assert.True(asked.Count > 500, "Hardly anything was taken.");
        AssertSupported(asked);
    }

    /// <summary>A property that takes what a kind is.</summary>
    private static readonly Dictionary<string, string> Uses = new()
    {
        ["border"] = "border", ["radius"] = "border-radius", ["shadow"] = "box-shadow", ["gradient"] = "background-image", ["background"] = "background-image", ["space"] = "width", ["easing"] = "transition-timing-function", ["duration"] = "transition-duration",
        ["family"] = "font-family", ["color"] = "color",
    };

    private void AssertSupported(List<(string Where, string Property, string Css)> asked)
    {
        const string supports = "return JSON.stringify(JSON.parse(arguments[0]).map(([p, v], i) => (CSS.supports(p, v) ? -1 : i)).filter((i) => i >= 0))";
        var wrong = JsonSerializer.Deserialize<int[]>(browser.Run<string>(supports, JsonSerializer.Serialize(asked.Select(a => new[] { a.Property, a.Css }))))!;
        Assert.True(wrong.Length == 0, string.Join("\n", wrong.Take(20).Select(i => asked[i])));
    }

    private static bool IsStyle(Value value) => value is ReferenceValue { To: TextStyleKind.Kind };

    private static string Sampled(string css) => Reference().Replace(css, m => Sample(m.Groups["kind"].Value, m.Value));

    private static Value? Taken(Site site, PartProperty property, string text, Value? rest)
    {
        try
        {
            return property.Read(site, text, rest);
        }
        catch (FormatException refused)
        {
            Assert.EndsWith(".", refused.Message, StringComparison.Ordinal);
            return null;
        }
    }

    private static string Sample(string kind, string whole) => kind switch
    {
        "background" => whole.EndsWith("-blend)", StringComparison.Ordinal) ? "multiply, normal" : "linear-gradient(red, blue), linear-gradient(red, red)",
        "space" or "size" or "radius" or "page" or "inner" => "7px",
        "duration" => "150ms",
        "easing" => "linear",
        "gradient" => "linear-gradient(red, blue)",
        "border" => "1px solid red",
        "shadow" => "0 0 1px red",
        "family" => "serif",
        _ => "red",
    };

    [GeneratedRegex(@"var\(--(?<kind>[a-z]+)-[^)]*\)")]
    private static partial Regex Reference();
}
