using System.Globalization;
using System.Text.RegularExpressions;
using Sandbar.Css.Documents;

namespace Sandbar.Css.Selectors;

/// <summary>States that elements of HTML have by what stands in the page. Source: HTML, "Pseudo-classes"; where it leaves something open, Chromium.</summary>
public static partial class HtmlStates
{
    private static readonly HashSet<string> Texts = new(["text", "search", "url", "tel", "email", "password", "date", "month", "week", "time", "datetime-local", "number"], StringComparer.Ordinal);

    private static readonly HashSet<string> WithPlaceholder = new(["text", "search", "url", "tel", "email", "password", "number"], StringComparer.Ordinal);

    private static readonly HashSet<string> Types = new(
        ["hidden", "text", "search", "tel", "url", "email", "password", "date", "month", "week", "time", "datetime-local", "number", "range", "color", "checkbox", "radio", "file", "submit", "image", "reset", "button"],
        StringComparer.Ordinal);

    /// <summary>Types of fields that are never required.</summary>
    private static readonly HashSet<string> NeverRequired = new(["hidden", "range", "color", "submit", "image", "reset", "button"], StringComparer.Ordinal);

    /// <summary>The type of an <c>input</c>: one that is not known is <c>text</c>.</summary>
    public static string TypeOf(Element input) => input["type"]?.ToLowerInvariant() is { } type && Types.Contains(type) ? type : "text";

    /// <summary>Whether an element is in a state that the page alone causes; false for those that take a visitor or a script.</summary>
    internal static bool Holds(string state, Element element, Document document) => state switch
    {
        "empty" => element.Children.Count == 0 && element.Text.Length == 0,
        "link" or "any-link" or "-webkit-any-link" => element.Has("href") && (element.IsHtml ? element.Name is "a" or "area" : element.Name == "a"),
        "defined" => !element.IsHtml || !element.Name.Contains('-', StringComparison.Ordinal),
        _ when !element.IsHtml => false,
        "checked" => IsChecked(element, document),
        "disabled" => IsDisabled(element),
        "enabled" => CanBeDisabled(element) && !IsDisabled(element),
        "required" => CanBeRequired(element) && element.Has("required"),
        "optional" => element.Name is "input" or "select" or "textarea" or "button" && !(CanBeRequired(element) && element.Has("required")),
        "read-write" => IsWritable(element),
        "read-only" => !IsWritable(element),
        "placeholder-shown" => element.Has("placeholder") && (element.Name == "textarea" ? element.Text.Length == 0 : element.Name == "input" && WithPlaceholder.Contains(TypeOf(element)) && Value(element).Length == 0),
        "default" => IsDefault(element, document),
        "indeterminate" => element.Name == "progress" ? !element.Has("value") : IsRadio(element) && !Group(element, document).Any(r => r.Has("checked")),
        "valid" => Validity(element, document) == true,
        "invalid" => Validity(element, document) == false,
        "in-range" => InRange(element) == true,
        "out-of-range" => InRange(element) == false,
        "open" => element.Name is "details" or "dialog" && element.Has("open"),
        _ => false,
    };

    private static bool CanBeDisabled(Element element) => element.Name is "button" or "input" or "select" or "textarea" or "optgroup" or "option" or "fieldset";

    private static bool IsDisabled(Element element)
    {
        if (!CanBeDisabled(element)) return false;
        if (element.Has("disabled")) return true;
        switch (element.Name)
        {
            case "option":
                return IsOff(element) || (Select(element) is { } select && IsDisabled(select));
            case "optgroup":
                return false;
        }
        // What stands in the first legend of a fieldset stays usable.
        for (var (inner, around) = (element, element.Parent); around is not null; (inner, around) = (around, around.Parent))
        {
            if (around is { IsHtml: true, Name: "fieldset" } && around.Has("disabled") && inner != around.Children.FirstOrDefault(c => c is { IsHtml: true, Name: "legend" })) return true;
        }
        return false;
    }

    private static bool IsRadio(Element element) => element is { IsHtml: true, Name: "input" } && TypeOf(element) == "radio";

    private static Element? Form(Element element, Document document) =>
        element["form"] is { } id ? document.All.FirstOrDefault(e => e is { IsHtml: true, Name: "form" } && e.Id == id) : element.Ancestors().FirstOrDefault(e => e is { IsHtml: true, Name: "form" });

    /// <summary>The radio buttons of which one at most is chosen.</summary>
    private static IEnumerable<Element> Group(Element radio, Document document) =>
        radio["name"] is not { Length: > 0 } name ? [radio] : document.All.Where(e => IsRadio(e) && e["name"] == name && Form(e, document) == Form(radio, document));

    private static bool IsChecked(Element element, Document document) => element.Name switch
    {
        "input" when TypeOf(element) == "checkbox" => element.Has("checked"),
        // The last that says so is the one.
        "input" when TypeOf(element) == "radio" => element.Has("checked") && Group(element, document).Last(r => r.Has("checked")) == element,
        "option" => IsSelected(element, document),
        _ => false,
    };

    /// <summary>Whether an option itself, or its group, cannot be chosen.</summary>
    private static bool IsOff(Element option) => option.Has("disabled") || (option.Parent is { Name: "optgroup" } group && group.Has("disabled"));

    private static Element? Select(Element option) => option.Ancestors().FirstOrDefault(e => e is { IsHtml: true, Name: "select" });

    private static bool IsSelected(Element option, Document document)
    {
        if (Select(option) is not { } select || select.Has("multiple")) return option.Has("selected");
        var options = document.Within(select).Where(e => e is { IsHtml: true, Name: "option" }).ToList();
        if (options.FindLast(o => o.Has("selected")) is { } chosen) return chosen == option;
        // Of a list that is folded one is always chosen.
        return !(int.TryParse(select["size"], NumberStyles.None, CultureInfo.InvariantCulture, out var size) && size > 1) && options.Find(o => !IsOff(o)) == option;
    }

    private static bool CanBeRequired(Element element) => element.Name is "select" or "textarea" || (element.Name == "input" && !NeverRequired.Contains(TypeOf(element)));

    private static bool IsWritable(Element element)
    {
        if (element.Name == "textarea" || (element.Name == "input" && Texts.Contains(TypeOf(element)))) return !element.Has("readonly") && !IsDisabled(element);
        for (var at = element; at is not null; at = at.Parent)
        {
            if (at["contenteditable"]?.ToLowerInvariant() is { } editable && editable is "" or "true" or "plaintext-only" or "false") return editable != "false";
        }
        return false;
    }

    private static bool IsSubmit(Element element) => element is { IsHtml: true, Name: "button" } ? element["type"]?.ToLowerInvariant() is not ("button" or "reset")
        : element is { IsHtml: true, Name: "input" } && TypeOf(element) is "submit" or "image";

    private static bool IsDefault(Element element, Document document) => element.Name switch
    {
        "option" => element.Has("selected"),
        "input" when TypeOf(element) is "checkbox" or "radio" => element.Has("checked"),
        _ => IsSubmit(element) && Form(element, document) is { } form && document.All.FirstOrDefault(e => IsSubmit(e) && Form(e, document) == form) == element,
    };

    /// <summary>What stands in a field when the page opens.</summary>
    private static string Value(Element input)
    {
        var value = (input["value"] ?? "").Replace("\n", "", StringComparison.Ordinal).Replace("\r", "", StringComparison.Ordinal);
        // What is no number, no date… is left out.
        return TypeOf(input) switch
        {
            "number" => Number(value) is null ? "" : value,
            "date" or "month" or "week" or "time" or "datetime-local" => Moment(TypeOf(input), value) is null ? "" : value,
            "email" or "url" => value.Trim(),
            _ => value,
        };
    }

    private static double? Number(string text) => NumberForm().IsMatch(text) && double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) ? number : null;

    /// <summary>A date or a time as a number that grows with it.</summary>
    private static double? Moment(string type, string text) => type switch
    {
        "date" => DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date) ? date.DayNumber : null,
        "month" => DateOnly.TryParseExact(text, "yyyy-MM", CultureInfo.InvariantCulture, DateTimeStyles.None, out var month) ? month.DayNumber : null,
        "week" => text.Length == 8 && text[4..6] == "-W" && int.TryParse(text[..4], out var year) && int.TryParse(text[6..], out var week) && year > 0 && week >= 1 && week <= ISOWeek.GetWeeksInYear(year) ? year * 53 + week : null,
        "time" => TimeOnly.TryParseExact(text, ["HH:mm", "HH:mm:ss", "HH:mm:ss.FFF"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var time) ? time.Ticks : null,
        "datetime-local" => DateTime.TryParseExact(text.Replace(' ', 'T'), ["yyyy-MM-ddTHH:mm", "yyyy-MM-ddTHH:mm:ss", "yyyy-MM-ddTHH:mm:ss.FFF"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var both) ? both.Ticks : null,
        _ => null,
    };

    private static double? Amount(string type, string text) => type is "number" or "range" ? Number(text) : Moment(type, text);

    /// <summary>Whether the value of a field lies between its ends; null where it has none.</summary>
    private static bool? InRange(Element element)
    {
        if (element.Name != "input" || IsBarred(element)) return null;
        var type = TypeOf(element);
        if (type is not ("number" or "range" or "date" or "month" or "week" or "time" or "datetime-local")) return null;
        // A slider has ends of its own and stays between them.
        if (type == "range" || Amount(type, Value(element)) is not { } value) return true;
        var (min, max) = (Amount(type, element["min"] ?? ""), Amount(type, element["max"] ?? ""));
        return min is null && max is null ? null : (min is null || value >= min) && (max is null || value <= max);
    }

    /// <summary>Whether nobody asks what stands in a field (HTML, "barred from constraint validation").</summary>
    private static bool IsBarred(Element element) =>
        IsDisabled(element) || element.Ancestors().Any(e => e is { IsHtml: true, Name: "datalist" })
        || (element.Name is "input" or "textarea" && element.Has("readonly") && (element.Name == "textarea" || TypeOf(element) is not ("range" or "color" or "checkbox" or "radio" or "file" or "submit" or "image")))
        || (element.Name == "input" && TypeOf(element) is "hidden" or "image" or "reset" or "button")
        || (element.Name == "button" && element["type"]?.ToLowerInvariant() is "reset" or "button");

    /// <summary>Whether what stands in a field, or in the fields of a form, is as it must be; null where nobody asks.</summary>
    private static bool? Validity(Element element, Document document)
    {
        switch (element.Name)
        {
            case "form":
                return !document.All.Any(e => e.IsHtml && e.Name is "input" or "select" or "textarea" or "button" && Form(e, document) == element && Validity(e, document) == false);
            case "fieldset":
                return !document.Within(element).Any(e => e.IsHtml && e.Name is "input" or "select" or "textarea" or "button" && Validity(e, document) == false);
            case "button" or "output" or "object":
                return element.Name == "button" && IsBarred(element) || element.Name != "button" ? null : true;
            case "textarea":
                return IsBarred(element) ? null : !(element.Has("required") && element.Text.Length == 0);
            case "select":
                return IsBarred(element) ? null : !(element.Has("required") && !document.Within(element).Any(o => o.Name == "option" && IsSelected(o, document) && !IsPlaceholder(o, element, document)));
            case "input":
                return IsBarred(element) ? null : IsFilledWell(element, document);
            default:
                return null;
        }
    }

    /// <summary>Whether an option says no more than that something is to be chosen (HTML, "placeholder label option").</summary>
    private static bool IsPlaceholder(Element option, Element select, Document document) =>
        !select.Has("multiple") && option.Parent == select && (option["value"] ?? document.TextOf(option).Trim()).Length == 0 && document.Within(select).First(o => o.Name == "option") == option;

    private static bool IsFilledWell(Element input, Document document)
    {
        var (type, value) = (TypeOf(input), Value(input));
        if (input.Has("required") && CanBeRequired(input))
        {
            switch (type)
            {
                case "checkbox" when !input.Has("checked"):
                case "radio" when !Group(input, document).Any(r => r.Has("checked")):
                case "file":
                    return false;
                case "checkbox" or "radio":
                    break;
                default:
                    if (value.Length == 0) return false;
                    break;
            }
        }
        else if (type == "radio" && Group(input, document) is var group && group.Any(r => r.Has("required")) && !group.Any(r => r.Has("checked")))
        {
            return false;
        }
        if (value.Length == 0) return true;
        if (InRange(input) == false) return false;
        return type switch
        {
            "email" when !(input.Has("multiple") ? value.Split(',').All(one => Email().IsMatch(one.Trim())) : Email().IsMatch(value)) => false,
            "url" when !Uri.TryCreate(value, UriKind.Absolute, out _) => false,
            "number" when Step(input) is { } step && Amount(type, value) is { } number => Math.Abs(Math.IEEERemainder(number - (Amount(type, input["min"] ?? "") ?? Amount(type, input["value"] ?? "") ?? 0), step)) < step * 1e-9,
            "text" or "search" or "url" or "tel" or "email" or "password" => Fits(input["pattern"], value),
            _ => true,
        };
    }

    private static double? Step(Element input) => input["step"]?.ToLowerInvariant() switch
    {
        "any" => null,
        { } text when Number(text) is > 0 and var step => step,
        _ => 1,
    };

    private static bool Fits(string? pattern, string value)
    {
        if (pattern is null) return true;
        try
        {
            return Regex.IsMatch(value, $"^(?:{pattern})$", RegexOptions.ECMAScript, TimeSpan.FromMilliseconds(20));
        }
        catch (Exception unread) when (unread is ArgumentException or RegexMatchTimeoutException)
        {
            return true;
        }
    }

    [GeneratedRegex(@"^-?(\d+(\.\d+)?|\.\d+)([eE][+-]?\d+)?$")]
    private static partial Regex NumberForm();

    /// <summary>HTML, "valid e-mail address".</summary>
    [GeneratedRegex(@"^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$")]
    private static partial Regex Email();
}
