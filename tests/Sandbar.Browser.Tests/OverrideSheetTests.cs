using System.Text.Json;
using CsCheck;
using Sandbar.Core.Rendering;
using Sandbar.Tests;

namespace Sandbar.Browser.Tests;

/// <summary>What is released of an override sheet is, to Chromium, what was typed; and nothing of it reaches what follows.</summary>
public sealed class OverrideSheetTests : IDisposable
{
    private const int Batch = 500;

    private readonly Sandbar.Tests.Browser browser = new();

    public void Dispose() => browser.Dispose();

    [Fact]
    public void Chromium_reads_what_is_released_as_what_was_typed()
    {
        for (var done = 0; done < RandomTimes.Of(10_000); done += Batch)
        {
            var wrong = new List<string>();
            OverrideSheets.Any.Array[Batch].Sample(
                sheets =>
                {
                    var pairs = sheets.Where(s => !IsRefused(s)).Select(s => new[] { s, OverrideText.Of(s).Readable(SheetUse.Release) });
                    wrong.AddRange(JsonSerializer.Deserialize<string[]>(browser.Run<string>(Compare, JsonSerializer.Serialize(pairs)))!);
                },
                iter: 1, threads: 1);
            Assert.True(wrong.Count == 0, string.Join("\n\n", wrong.OrderBy(w => w.Length)));
        }
    }

    /// <summary>Sheets with what is left out on purpose cannot be compared.</summary>
    private static bool IsRefused(string sheet) => sheet.Contains("@import", StringComparison.OrdinalIgnoreCase) || sheet.Contains("@charset", StringComparison.OrdinalIgnoreCase) || sheet.Contains("@namespace", StringComparison.OrdinalIgnoreCase);

    private const string Compare =
        """
        // Of custom properties and what reads them, functions of the designer's own ("--calc(") too, browsers keep the text: quotes stay as they were, and what is open at the end of a sheet stays so.
        const value = (style, name) => name + (/^--|var\(|--[\w-]*\(/.test(name + style.getPropertyValue(name)) ? '' : ': ' + style.getPropertyValue(name)) + ' ' + style.getPropertyPriority(name);
        const say = (rule) => [
          rule.constructor.name, rule.selectorText ?? rule.conditionText ?? rule.name ?? rule.nameList?.join(), rule.media?.mediaText,
          rule.style ? [...rule.style].map((name) => value(rule.style, name)) : [], [...(rule.cssRules ?? [])].map(say),
        ];
        const read = (css) => { const s = new CSSStyleSheet(); s.replaceSync(css); return [...s.cssRules].map((r) => JSON.stringify(say(r))); };
        const wrong = [];
        for (const [typed, released] of JSON.parse(arguments[0])) {
          const [a, b] = [read(typed), read(released + '\n.last { color: red }')];
          const last = b.pop();
          if (!last.startsWith('["CSSStyleRule",".last"') || a.join('\n') !== b.join('\n')) wrong.push(typed + '\n  → ' + released + '\n  ' + a.join(' ') + '\n  ' + b.join(' ') + '\n  ' + last);
          const style = document.createElement('div');
          style.innerHTML = '<style>' + released + '</style><b></b>';
          if (style.children.length !== 2) wrong.push('ends its element: ' + released);
        }
        return JSON.stringify(wrong.slice(0, 5));
        """;
}
