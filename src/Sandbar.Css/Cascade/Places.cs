using System.Collections.Immutable;
using System.Text;
using Sandbar.Css.Documents;
using Sandbar.Css.Selectors;

namespace Sandbar.Css.Cascade;

/// <summary>
/// Tells by the rules of a site which elements of its pages stand in one place. What a selector asks of an element and of those around it is told by their names, classes
/// and attributes; what asks about others – brothers, what is inside, which one it is – is asked of each element once. For one thread at a time.
/// </summary>
public sealed class Places
{
    /// <summary>Attributes that say nothing of how an element looks, unless a selector asks for them.</summary>
    private static readonly string[] Mute =
        ["data-block", "data-slot", "data-to", "href", "src", "alt", "title", "name", "value", "for", "content", "datetime", "id", "aria-label", "aria-labelledby", "aria-describedby", "autocomplete", "action", "width", "height"];

    private readonly HashSet<string> mute;
    private readonly ImmutableArray<string> questions;
    private readonly RuleSet far;
    private readonly Dictionary<string, int> kinds = new(StringComparer.Ordinal);
    private readonly Dictionary<(Place? Parent, int Kind, ElementStates States, InnerStates? Inside), Place> known = [];
    private readonly List<Place> all = [];

    private Places(HashSet<string> mute, ImmutableArray<string> questions, RuleSet far) => (this.mute, this.questions, this.far) = (mute, questions, far);

    /// <summary>All places there are, those around before those inside.</summary>
    internal IReadOnlyList<Place> All => all;

    /// <summary>Those of pages with some sheets, whatever the window.</summary>
    /// <param name="before">Places of earlier sheets: where these ask the same, they are the same.</param>
    public static Places Of(IReadOnlyList<StyleSheet> sheets, Places? before = null)
    {
        var asked = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        var far = new Dictionary<string, ActiveRule>(StringComparer.Ordinal);
        foreach (var rule in StyleSheet.UserAgent.Concat(sheets).SelectMany(s => s.Rules))
        {
            foreach (var name in rule.Asked.Attributes) asked.Add(name);
            if (rule.IsFar && !far.ContainsKey(rule.Asks)) far[rule.Asks] = new(rule, far.Count, int.MaxValue, null, []);
            // What is put into a value may be any of them.
            if (rule.Asked.PutsInAttributes) asked.UnionWith(Mute);
        }
        var mute = Mute.Where(name => !asked.Contains(name)).ToHashSet(StringComparer.OrdinalIgnoreCase);
        ImmutableArray<string> questions = [.. far.Keys];
        if (before is not null && before.mute.SetEquals(mute) && before.questions.SequenceEqual(questions)) return before;
        return new(mute, questions, RuleSet.Of([.. far.Values], new(0, 0)));
    }

    /// <summary>The numbers of what rules can ask of each element of a page.</summary>
    /// <param name="mostSteps">Parts of selectors held against elements before a <see cref="CostlySelectorException"/>.</param>
    public ImmutableArray<int> Kinds(Document document, long mostSteps)
    {
        var asIs = new Matching(document) { MostSteps = mostSteps };
        // What may hold in some state is told apart too.
        var inAll = new Matching(document, document.All.ToDictionary(e => e, _ => ElementStates.All)) { MostSteps = mostSteps };
        var (plain, stirred) = (new ElementMatching(asIs, far, new()), new ElementMatching(inAll, far, new()));
        var kinds = ImmutableArray.CreateBuilder<int>(document.All.Count);
        var text = new StringBuilder();
        foreach (var element in document.All)
        {
            text.Clear().Append(element.IsHtml ? "" : "x:").Append(element.Name);
            foreach (var (name, value) in element.Attributes.OrderBy(a => a.Key, StringComparer.OrdinalIgnoreCase))
            {
                var isMute = mute.Contains(name);
                // A link is one wherever it leads.
                if (isMute && !name.Equals("href", StringComparison.OrdinalIgnoreCase)) continue;
                text.Append('\n').Append(name.ToLowerInvariant());
                if (!isMute) text.Append('=').Append(value);
            }
            text.Append('\n').Append(PresentationalHints.Of(element, document));
            foreach (var number in plain.Holding(element)) text.Append('\n').Append(number);
            text.Append('\n');
            foreach (var number in stirred.Holding(element)) text.Append('\n').Append(number);
            var key = text.ToString();
            if (!this.kinds.TryGetValue(key, out var kind)) this.kinds[key] = kind = this.kinds.Count;
            kinds.Add(kind);
        }
        return kinds.MoveToImmutable();
    }

    /// <summary>Where an element stands.</summary>
    /// <param name="page">The page of the element.</param>
    /// <param name="kind">Its number among those of its page.</param>
    /// <param name="parent">Where what is around it stands; null of a root.</param>
    /// <param name="inside">What is in states inside it; null where nothing is.</param>
    public Place Of(Document page, Element element, int kind, Place? parent, ElementStates states = ElementStates.None, InnerStates? inside = null)
    {
        if (known.TryGetValue((parent, kind, states, inside), out var place)) return place;
        place = known[(parent, kind, states, inside)] = new(parent, page, element, states, inside, all.Count);
        all.Add(place);
        return place;
    }
}
