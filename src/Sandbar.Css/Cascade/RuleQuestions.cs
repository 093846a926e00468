using System.Collections.Immutable;
using Sandbar.Css.Properties;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>What a rule asks of elements, those it is nested in counted.</summary>
/// <param name="IsFar">Whether it asks for more than an element and those around it.</param>
/// <param name="NamesState">Whether it holds only for elements in states they go in and out of.</param>
/// <param name="Attributes">Names of the attributes it asks for.</param>
/// <param name="PutsInAttributes">Whether an attribute, whichever, is put into one of its values.</param>
/// <param name="MakesContainer">Whether lengths inside its elements may be measured by them.</param>
internal sealed record RuleQuestions(bool IsFar, bool NamesState, ImmutableArray<string> Attributes, bool PutsInAttributes, bool MakesContainer)
{
    private static readonly Property ContainerType = CssProperties.Of("container-type");

    public static RuleQuestions Of(StyleRule rule)
    {
        var lists = new List<ImmutableArray<ComplexSelector>> { rule.Selectors };
        for (var around = rule.Parent; around is not null; around = around.Around) lists.Add(around.Selectors);
        return new(
            rule.Scope is not null || lists.Any(SelectorQuestions.AskFar),
            lists.Any(list => list.All(SelectorQuestions.NamesState)),
            [.. lists.SelectMany(SelectorQuestions.Attributes).Distinct(StringComparer.OrdinalIgnoreCase)],
            rule.Declarations.Any(d => d.AsksAttributes),
            rule.Declarations.Any(d => d.Sets.Contains(ContainerType)));
    }
}
