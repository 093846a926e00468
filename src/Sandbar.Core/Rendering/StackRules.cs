using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Space;

namespace Sandbar.Core.Rendering;

/// <summary>The space between blocks that stand one below another.</summary>
internal static class StackRules
{
    public static IEnumerable<Rule> Of(Site site)
    {
        var rules = site.Space.Rules[0];
        // What is said of something around does not hold within.
        yield return Rule("stacked", Stacks.Selector + Stacks.Inside, new(OriginKind.Base, ""), (Stacks.Before, "initial"), (Stacks.Above, "initial"), (Stacks.Gap, "0px"), (Stacks.Stacked, "1"));
        yield return Rule("meeting", $"{Stacks.Selector}{Stacks.Inside} + *", new(OriginKind.Foundation, rules.Id, "meeting", SpaceRulesKind.Kind),
            ("margin-block-start", $"calc(var({Stacks.Stacked}) * {SpaceRulesKind.Margin(rules.Meeting, Stacks.Above, Stacks.Before, Stacks.Gap)})"));
    }

    private static Rule Rule(string key, string selector, Origin origin, params (string Name, string Value)[] declarations) =>
        new(key, Layer.Parts, selector, false, Interval.All, [.. declarations.Select(d => new Declaration(d.Name, d.Value, origin))]);
}
