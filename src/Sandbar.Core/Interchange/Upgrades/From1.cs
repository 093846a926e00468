using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Sandbar.Core.Interchange.Upgrades;

/// <summary>
/// Format 1 to 2: settings of foundations become values; spaces, stops and layers become records with ids; shadows have layers, gradients a kind and a
/// geometry; words are codes; what structure CSS told by a look's name becomes a property; names that could mean two things get one of their own.
/// </summary>
internal static partial class From1
{
    private const int TintCount = 6, ShadeCount = 5;

    public static void Upgrade(JsonObject site)
    {
        var palette = site["palette"]!.AsObject();
        var names = new AmbiguousNames(site);
        names.Settle();
        foreach (var color in Each(palette, "colors")) Move(color, "css", "color", css => new JsonObject { ["kind"] = "fixedColor", ["css"] = css });
        foreach (var role in Each(palette, "roles"))
        {
            role["on"] = role["on"]!.AsArray() is { Count: > 0 } on ? new JsonObject { ["kind"] = "list", ["values"] = new JsonArray([.. on.Select(id => (JsonNode)Reference("role", id!.GetValue<string>()))]) } : Word("none");
            role["target"] = Number(role["target"]!, "");
        }
        foreach (var scheme in Each(palette, "schemes"))
        {
            var colors = scheme["colors"]!.AsObject();
            foreach (var (role, choice) in colors.ToList())
            {
                colors[role] = choice!["readableOn"] is { } ground
                    ? new JsonObject { ["kind"] = "readable", ["on"] = Reference("role", ground.GetValue<string>()) }
                    : Reference("color", choice["color"]!.GetValue<string>(), choice["step"]!.GetValue<int>());
            }
            scheme["turnsInto"] = scheme["turnsInto"] is { } into ? Reference("scheme", into.GetValue<string>()) : Word("stays");
        }

        Move(site, "typography", "type", type => type);
        var scale = site["type"]!["scale"]!.AsObject();
        scale["ends"] = new JsonArray(End("narrow", scale["from"]!), End("wide", scale["to"]!));
        scale.Remove("from");
        scale.Remove("to");
        foreach (var style in Each(site["type"]!.AsObject(), "styles"))
        {
            style["family"] = Reference("family", style["family"]!.GetValue<string>());
            foreach (var setting in new[] { "size", "lineHeight", "letterSpacing" }) style[setting] = Value(style[setting]!);
            style["weight"] = Number(style["weight"]!, "");
            style["case"] = Word(style["case"]!.GetValue<string>());
            Move(style, "italic", "slant", italic => Word(italic.GetValue<bool>() ? "italic" : "upright"));
        }

        var spaces = site["spacing"]!["steps"]!.AsArray();
        site.Remove("spacing");
        site["space"] = new JsonObject { ["steps"] = new JsonArray([.. spaces.Select((px, i) => (JsonNode)new JsonObject { ["id"] = $"space-{i + 1}", ["size"] = Number(px!, "px") })]) };

        var edges = site["edges"]!.AsObject();
        foreach (var border in Each(edges, "borders"))
        {
            border["width"] = Value(border["width"]!);
            border["style"] = Word(border["style"]!.GetValue<string>());
            border["color"] = Value(border["color"]!);
        }
        foreach (var radius in Each(edges, "radii")) radius["size"] = Value(radius["size"]!);
        foreach (var shadow in Each(edges, "shadows"))
        {
            var layer = new JsonObject { ["id"] = "layer-1" };
            foreach (var length in new[] { "x", "y", "blur", "spread" }) Take(shadow, length, px => layer[length] = Number(px, "px"));
            Take(shadow, "color", color => layer["color"] = Value(color));
            Take(shadow, "alpha", alpha => layer["opacity"] = Number(JsonValue.Create(alpha.GetValue<decimal>() * 100), "%"));
            shadow["layers"] = new JsonArray(layer);
        }
        foreach (var gradient in Each(site["fills"]!.AsObject(), "gradients"))
        {
            gradient["kind"] = Word("linear");
            gradient["angle"] = Number(gradient["angle"]!, "deg");
            gradient["shape"] = Word("ellipse");
            gradient["extent"] = Word("farthest-corner");
            gradient["x"] = Number(JsonValue.Create(50), "%");
            gradient["y"] = Number(JsonValue.Create(50), "%");
            gradient["stops"] = new JsonArray([.. gradient["stops"]!.AsArray().Select((stop, i) => (JsonNode)new JsonObject
            {
                ["id"] = $"stop-{i + 1}", ["color"] = Value(stop!["color"]!), ["position"] = Number(stop["position"]!, "%"),
            })]);
        }

        foreach (var look in Each(site, "looks"))
        {
            look["cells"] = Cells(look["cells"]!.AsObject());
            Arrange(look);
        }
        site["takenLooks"] = new JsonArray([.. Each(site, "looks").Select(l => (JsonNode)JsonValue.Create(l["id"]!.GetValue<string>()))]);
        Block(site["frame"]!["header"]!.AsObject());
        Block(site["frame"]!["footer"]!.AsObject());
        foreach (var page in Each(site, "pages"))
        {
            foreach (var section in Each(page, "sections")) Block(section);
        }
    }

    [GeneratedRegex("(^|-)text-colour(?=@|$)")]
    private static partial Regex ColourKey();

    private static IEnumerable<JsonObject> Each(JsonObject node, string list) => node[list]!.AsArray().Select(item => item!.AsObject());

    private static JsonObject Word(string code) => new() { ["kind"] = "word", ["word"] = code };

    private static JsonObject Reference(string to, string id, int step = 0) => new() { ["kind"] = "reference", ["to"] = to, ["id"] = id, ["step"] = step };

    private static JsonObject Number(JsonNode number, string unit) => new() { ["kind"] = "number", ["number"] = number.DeepClone(), ["unit"] = unit };

    private static JsonObject End(string id, JsonNode end) => new()
    {
        ["id"] = id, ["width"] = Number(end["width"]!, "px"), ["base"] = Number(end["base"]!, "px"), ["ratio"] = Number(end["ratio"]!, ""),
    };

    private static void Take(JsonObject node, string name, Action<JsonNode> then)
    {
        var value = node[name]!;
        node.Remove(name);
        then(value);
    }

    private static void Move(JsonObject node, string from, string to, Func<JsonNode, JsonNode> change) => Take(node, from, value => node[to] = change(value));

    private static JsonObject Cells(JsonObject cells) => new(cells.Select(c => KeyValuePair.Create(ColourKey().Replace(c.Key, "$1text-color"), (JsonNode?)Value(c.Value!))));

    private static JsonObject Value(JsonNode old)
    {
        var value = old.DeepClone().AsObject();
        switch (value["kind"]!.GetValue<string>())
        {
            case "fixed":
                value["kind"] = "fixedColor";
                break;
            case "word" when value["word"]!.GetValue<string>() == "centre":
                value["word"] = "center";
                break;
            case "reference" when value["to"]!.GetValue<string>() == "space":
                return Reference("space", $"space-{value["step"]!.GetValue<int>()}");
            case "operation":
                var (left, right) = (Value(value["left"]!), Value(value["right"]!));
                if (value["operator"]!.GetValue<string>() is "+" or "-") (left, right) = (InPixels(left, right), InPixels(right, left));
                (value["left"], value["right"]) = (left, right);
                break;
            case "sides":
                foreach (var side in new[] { "top", "right", "bottom", "left" }) value[side] = Value(value[side]!);
                break;
        }
        return value;
    }

    /// <summary>A plain number that is added to a length was meant in px; browsers dropped the whole value.</summary>
    private static JsonObject InPixels(JsonObject value, JsonObject beside)
    {
        bool IsPlain(JsonObject v) => v["kind"]!.GetValue<string>() == "number" && v["unit"]!.GetValue<string>().Length == 0;
        return IsPlain(value) && !IsPlain(beside) && value["number"]!.GetValue<decimal>() != 0 ? Number(value["number"]!, "px") : value.DeepClone().AsObject();
    }

    /// <summary>How a group or menu stands was told by the name of its look.</summary>
    private static void Arrange(JsonObject look)
    {
        var part = look["part"]!.GetValue<string>();
        if (part is not ("group" or "menu")) return;
        var cssName = look["cssName"]!.GetValue<string>();
        var isBelow = part == "group" ? cssName != "in-line" : cssName == "column";
        var cells = look["cells"]!.AsObject();
        cells["direction"] = Word(isBelow ? "below" : "beside");
        if (part == "group" && !isBelow) cells["place-down"] = Word("middle");
        if (part == "group" && look["name"]!.GetValue<string>() == "Stack") look["name"] = "One below another";
        else if (part == "group" && look["name"]!.GetValue<string>() == "In line") look["name"] = "Side by side";
    }

    private static void Block(JsonObject block)
    {
        block["own"] = Cells(block["own"]!.AsObject());
        if (block["scheme"] is null) block.Remove("scheme");
        if (block["part"]!.GetValue<string>() == "group" && block["name"]!.GetValue<string>() is "Stack" or "In line")
            block["name"] = block["name"]!.GetValue<string>() == "Stack" ? "One below another" : "Side by side";
        foreach (var inner in Each(block, "blocks")) Block(inner);
    }

    /// <summary>Names that could mean two things: a colour called like a role, a gradient, a word, or a step of another.</summary>
    private sealed partial class AmbiguousNames(JsonObject site)
    {
        public void Settle()
        {
            var palette = site["palette"]!.AsObject();
            var taken = new HashSet<string>(StringComparer.OrdinalIgnoreCase) { "none", "rest" };
            Settle(Each(palette, "roles"), taken, "role", "--role-", isColor: true);
            Settle(Each(site["fills"]!.AsObject(), "gradients"), taken, "gradient", "--gradient-", isColor: true);
            Settle(Each(palette, "colors"), taken, "colour", "--color-", isColor: true);
            var edges = site["edges"]!.AsObject();
            Settle(Each(edges, "borders"), Own(), "border", "--border-", isColor: false);
            Settle(Each(edges, "radii"), Own(), "radius", "--radius-", isColor: false);
            Settle(Each(edges, "shadows"), Own(), "shadow", "--shadow-", isColor: false);
            Settle(Each(site["typography"]!.AsObject(), "styles"), Own(), "style", "", isColor: false);
            Settle(Each(palette, "schemes"), new(StringComparer.OrdinalIgnoreCase) { "stays", "stays as it is" }, "scheme", "", isColor: false);
            static HashSet<string> Own() => new(StringComparer.OrdinalIgnoreCase) { "none", "rest" };
        }

        [GeneratedRegex(@"[\s-](tint|shade)[\s-]*\d+\z", RegexOptions.IgnoreCase)]
        private static partial Regex Step();

        [GeneratedRegex(@"^(readable on|space|size) ", RegexOptions.IgnoreCase)]
        private static partial Regex Begin();

        private void Settle(IEnumerable<JsonObject> list, HashSet<string> taken, string kind, string prefix, bool isColor)
        {
            var slugs = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
            foreach (var thing in list)
            {
                var (name, slug) = (thing["name"]!.GetValue<string>().Trim(), thing["cssName"]!.GetValue<string>());
                var (newName, newSlug) = (name, slug);
                bool IsAmbiguous(string n) => taken.Contains(n) || Begin().IsMatch(n) || (isColor && Step().IsMatch(n));
                for (var n = 1; IsAmbiguous(newName); n++) newName = n == 1 ? $"{name} {kind}" : $"{name} {kind} {n}";
                for (var n = 2; slugs.Contains(newSlug) || (isColor && Step().IsMatch(newSlug)); n++) newSlug = $"{slug}-{n}";
                taken.Add(newName);
                slugs.Add(newSlug);
                thing["name"] = newName;
                thing["cssName"] = newSlug;
                if (newSlug != slug && prefix.Length > 0) Rename(prefix + slug, prefix + newSlug);
            }
        }

        private void Rename(string token, string by)
        {
            var overrides = site["overrides"]!.AsObject();
            var suffixes = Enumerable.Range(1, TintCount).Select(n => $"-tint-{n}").Concat(Enumerable.Range(1, ShadeCount).Select(n => $"-shade-{n}"));
            overrides["site"] = Regex.Replace(
                overrides["site"]!.GetValue<string>(), $@"{Regex.Escape(token)}(?<step>{string.Join('|', suffixes)})?(?![\w-])", match => by + match.Groups["step"].Value);
        }
    }
}
