using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Palette;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Css.Syntax;

namespace Sandbar.Browser.Tests;

/// <summary>What the sheet says, Chromium does: the order of states, own values and breaks, and schemes within schemes.</summary>
public sealed class CascadeTests(Workplace workplace) : IClassFixture<Workplace>
{
    private static readonly State[] Forceable = [State.Hover, State.Focus, State.Pressed];

    /// <summary>
    /// By enumeration: own value in this state, own value at Rest, look in this state, look at Rest; a state's own value beats Rest's at a break.
    /// Each place has an opacity of its own, so that the one that shows tells who won.
    /// </summary>
    [Fact]
    public void Own_state_beats_own_rest_beats_look_state_beats_look_rest()
    {
        var sample = PellwynSample.Create().Site;
        foreach (var state in Forceable)
        {
            for (var set = 1; set < 64; set++)
            {
                // From weakest to strongest: look at Rest, at Rest from a break, in the state; then the same as own values.
                string[] cells = ["opacity", "opacity@rest@600-", $"opacity@{state.ToString().ToLowerInvariant()}"];
                var look = sample.Looks.Get("button-filled");
                var block = sample.Frame.Header.Blocks[1];
                for (var i = 0; i < 6; i++)
                {
                    if ((set & 1 << i) == 0) continue;
                    var value = new NumberValue(0.1m * (i + 1), "");
                    if (i < 3) look = look with { Cells = look.Cells.SetItem(cells[i], value) };
                    else block = block with { Own = block.Own.SetItem(cells[i - 3], value) };
                }
                var strongest = Enumerable.Range(0, 6).Last(i => (set & 1 << i) != 0);
                var site = sample with
                {
                    Looks = sample.Looks.Put(look),
                    Frame = sample.Frame with { Header = sample.Frame.Header with { Blocks = sample.Frame.Header.Blocks.Put(block) } },
                };
                Assert.Equal(0.1 * (strongest + 1), Opacity(site, state), 0.001);
            }
        }
    }

    [Fact]
    public void Later_states_win()
    {
        var site = PellwynSample.Create().Site;
        var look = site.Looks.Get("button-filled");
        foreach (var state in new[] { State.Rest, State.Current, State.Hover, State.Focus, State.Pressed, State.Off })
        {
            var value = new NumberValue(0.1m * ((int)state + 1), "");
            look = look with { Cells = look.Cells.SetItem(new CellKey("opacity", state, Interval.All).ToString(), value) };
        }
        Load(site with { Looks = site.Looks.Put(look) });
        const string attributes = "const b = document.querySelector('.site-header .button');";
        Assert.Equal("0.1", Read("b.removeAttribute('aria-current'); return"));
        Assert.Equal("0.2", Read("b.setAttribute('aria-current', 'page'); return"));
        Assert.Equal("0.3", Read("b.dataset.force = 'hover'; return"));
        Assert.Equal("0.4", Read("b.dataset.force = 'hover focus'; return"));
        Assert.Equal("0.5", Read("b.dataset.force = 'hover focus pressed'; return"));
        Assert.Equal("0.6", Read("b.setAttribute('aria-disabled', 'true'); return"));
        string Read(string act) => workplace.Browser.Run<string>($"{attributes} {act} getComputedStyle(b).opacity");
    }

    /// <summary>A scheme within a scheme: role colours, borders and shadows made of them, and the text colour all turn with the nearest carrier.</summary>
    [Fact]
    public void Schemes_nest()
    {
        var site = PellwynSample.Create().Site;
        Load(site);
        var colors = workplace.Browser.Json("""
            const outer = document.createElement('div');
            outer.dataset.scheme = 'dusk';
            outer.innerHTML = '<p class="paragraph">a</p><div data-scheme="day" style="border-bottom: var(--border-hairline)"><span>b</span><a class="button button-filled" href="#">c</a></div>';
            document.body.append(outer);
            const color = (e, p) => getComputedStyle(e).getPropertyValue(p);
            const inner = outer.querySelector('div');
            return [color(outer, 'color'), color(outer.querySelector('p'), 'color'), color(inner.querySelector('span'), 'color'), color(inner, 'border-bottom-color'), color(inner.querySelector('a'), 'background-color')];
            """);
        var (dusk, day) = (site.Palette.Schemes.Get("dusk"), site.Palette.Schemes.Get("day"));
        Assert.Equal(
            [Rgb(dusk, "text"), Rgb(dusk, "text"), Rgb(day, "text"), Rgb(day, "line"), Rgb(day, "action")],
            colors.EnumerateArray().Select(c => c.GetString()!));

        string Rgb(Scheme scheme, string role)
        {
            var c = SchemeColors.Resolve(site.Palette, scheme, role).Color;
            return $"rgb({Math.Round(c.C1 * 255)}, {Math.Round(c.C2 * 255)}, {Math.Round(c.C3 * 255)})";
        }
    }

    /// <summary>Every property Chromium knows is known to us: no override is marked that works there.</summary>
    [Fact]
    public void Properties_of_chromium_are_known()
    {
        var names = workplace.Browser.Json("return [...getComputedStyle(document.documentElement)]").EnumerateArray().Select(n => n.GetString()!).ToList();
        Assert.True(names.Count > 300);
        Assert.DoesNotContain(names, n => !PropertyNames.IsKnown(n));
    }

    private double Opacity(Site site, State state)
    {
        Load(site);
        var force = state.ToString().ToLowerInvariant();
        return double.Parse(workplace.Browser.Run<string>($"const b = document.querySelector('.site-header .button'); b.dataset.force = '{force}'; return getComputedStyle(b).opacity"));
    }

    private void Load(Site site) => workplace.Browser.Show(site);
}
