using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Values;

/// <summary>What was typed, and where.</summary>
/// <param name="Rest">The value it inherits from Rest; null where there is none.</param>
public sealed record Typed(Site Site, Setting Setting, string Text, Value? Rest)
{
    public FormatException Unreadable(string text)
    {
        var said = text.Trim().Length == 0 ? $"{Quoted.Text(Text)} is not finished" : $"{Quoted.Text(text.Trim())} cannot be read";
        var names = Setting.Names(Site).Take(8).Concat(Setting.Kind.Examples);
        return new($"{said} as {Setting.Name.ToLowerInvariant()}: try {Sentence.OneOf(names)}.");
    }
}

/// <summary>A declaration a value comes to.</summary>
/// <param name="Piece">The pseudo-element it is for; empty for the element itself.</param>
public readonly record struct Declared(string Property, string Css, string Piece = "");

/// <summary>What kind of values a setting takes: how they are read, and which are refused. One file each.</summary>
public abstract class ValueKind
{
    /// <summary>What the windows choose an editor by.</summary>
    public abstract string Code { get; }

    /// <summary>What it takes, in CSS.</summary>
    public abstract IReadOnlyList<CssType> Types { get; }

    /// <summary>Something to try where what was typed cannot be read.</summary>
    public virtual IEnumerable<string> Examples => [];

    /// <summary>Reads what was typed; words of the setting, and <c>rest</c>, are read before it comes here.</summary>
    /// <exception cref="FormatException">It cannot be read; the message says why and what would do.</exception>
    public abstract Value Read(Typed typed);

    /// <summary>Why a well-formed value is not taken here, in a sentence; null where it is.</summary>
    public virtual string? Refusal(Site site, Setting setting, Value value, Value? rest)
    {
        var type = ValueForms.TypeOf(site, value, rest);
        return type is not null && Types.Contains(type) ? null : $"{setting.Name} does not take {ValueForms.Write(site, value)}.";
    }

    /// <summary>Whether a word is one that can be taken: one of the setting's own, where nothing else is said.</summary>
    public virtual bool TakesWord(Setting setting, string code) => setting.Words.Any(w => w.Code == code);

    /// <summary>What its sides or corners are called, where they may differ; null where it has none.</summary>
    public virtual IReadOnlyList<string>? Sides => null;

    /// <summary>A value with one side or corner as another says it for all; only kinds with sides have one.</summary>
    public virtual Value WithSide(Value? value, int side, Value by) => by;

    /// <summary>What stands at one side or corner.</summary>
    public virtual Value SideOf(Value value, int side) => value;

    /// <summary>The declarations a value comes to.</summary>
    /// <param name="property">The CSS property of the setting.</param>
    public virtual IEnumerable<Declared> Declare(SiteReads reads, Setting setting, string property, Value value, Value? rest) => [new(property, setting.Css(reads, value, rest))];

    /// <summary>What can be named, most fitting first.</summary>
    public IEnumerable<string> Names(Site site) => Offers.SelectMany(o => o.Kind.Names(site, o.Type)).Concat(Suggested);

    /// <summary>What is offered of each kind.</summary>
    public IEnumerable<(ReferenceKind Kind, CssType Type)> Offers => from kind in Offered from type in kind.Types where Types.Contains(type) select (kind, type);

    /// <summary>The kinds whose things are offered, most fitting first; more may be understood.</summary>
    public virtual IEnumerable<ReferenceKind> Offered => References;

    /// <summary>Names that are the same for every site.</summary>
    public virtual IEnumerable<string> Suggested => [];

    /// <summary>The kinds that can be referred to here.</summary>
    public IEnumerable<ReferenceKind> References => Kinds.All.Where(kind => Types.Contains(kind.Type) && Refers(kind));

    /// <summary>Whether a kind of fitting type can be referred to.</summary>
    protected virtual bool Refers(ReferenceKind kind) => true;

    /// <summary>What a text names; null where it names nothing.</summary>
    protected ReferenceValue? Named(Site site, string text) => References.Select(kind => kind.Read(site, text)).FirstOrDefault(r => r is not null);
}
