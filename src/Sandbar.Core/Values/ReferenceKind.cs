using Sandbar.Core.Design;

namespace Sandbar.Core.Values;

/// <summary>A custom property of the released stylesheet.</summary>
/// <param name="Id">Id of the thing it stands for.</param>
/// <param name="Detail">Which step of it; empty where there is one alone.</param>
/// <param name="Needs">What a visitor's browser and screen must have for it.</param>
public sealed record Token(string Name, string Css, string Id, string Detail = "", Needs Needs = Needs.Nothing)
{
    /// <summary>The widths it holds at.</summary>
    public Interval Widths { get; init; }
}

/// <summary>What declarations can need; where it is missing, those that need nothing hold.</summary>
[Flags]
public enum Needs
{
    Nothing = 0,

    /// <summary>A screen that shows more than sRGB.</summary>
    WideGamut = 1,

    /// <summary>A browser that computes colours from others (CSS Color 5: mixes came before relative colours).</summary>
    RelativeColors = 2,

    /// <summary>A visitor who asks for less motion.</summary>
    LessMotion = 4,

    /// <summary>A screen, and a visitor who does not ask for less motion.</summary>
    Motion = 8,

    /// <summary>A browser whose gradients mix colours in a space that is named (CSS Images 4, §3.1).</summary>
    MixedGradients = 16,

    /// <summary>A browser that moves things along as the page scrolls (Scroll-driven Animations 1), a screen, and a visitor who does not ask for less motion.</summary>
    Scrolling = 32,

    /// <summary>A page that is printed.</summary>
    Print = 64,

    /// <summary>A browser that places things by where others lie (CSS Anchor Positioning 1, with scopes).</summary>
    Anchors = 128,
}

/// <summary>Something a value can refer to: described once, and found by <see cref="Kinds"/>.</summary>
public abstract class ReferenceKind
{
    /// <summary>What is stored of it in references and edits.</summary>
    public abstract string Code { get; }

    /// <summary>What a designer calls one: colour, text style.</summary>
    public abstract string Name { get; }

    /// <summary>What a designer calls several.</summary>
    public virtual string Plural => Name + "s";

    /// <summary>What a reference to it is in CSS.</summary>
    public abstract CssType Type { get; }

    /// <summary>All that references to it can be.</summary>
    public virtual IReadOnlyList<CssType> Types => [Type];

    /// <summary>What a reference to this very one is.</summary>
    public virtual CssType TypeOf(Site site, ReferenceValue reference) => Type;

    /// <summary>The foundation it belongs to, in the order of the course; kinds of one follow each other by code.</summary>
    public abstract FoundationStep Step { get; }

    /// <summary>Whether it has tints and shades.</summary>
    public virtual bool HasSteps => false;

    /// <summary>Whether its custom properties depend on roles, so that they are declared on every carrier of a scheme: on <c>:root</c> alone they would be resolved once.</summary>
    public virtual bool FollowsScheme => false;

    /// <summary>Whether the reference leads to something that is there.</summary>
    public abstract bool Leads(Site site, ReferenceValue reference);

    /// <summary>The reference as a designer reads it. It must lead somewhere.</summary>
    public abstract string NameOf(Site site, ReferenceValue reference);

    /// <summary>What a designer typed as a reference; null where it names none of these.</summary>
    /// <exception cref="FormatException">It names one, and a step or position there is not.</exception>
    public abstract ReferenceValue? Read(Site site, string text);

    /// <summary>All that can be named, most fitting first.</summary>
    public abstract IEnumerable<string> Names(Site site);

    /// <summary>All of a type that can be named.</summary>
    public virtual IEnumerable<string> Names(Site site, CssType type) => Names(site);

    /// <summary>What a reference comes to, as a hint beside its name; empty where the name says it all.</summary>
    public virtual string Note(Site site, ReferenceValue reference) => "";

    /// <summary>The custom property that stands for it.</summary>
    public abstract string Token(Site site, ReferenceValue reference);

    /// <summary>Of a radius that goes another way down than across, the custom property of that; null for all else.</summary>
    public virtual string? DownToken(SiteReads reads, ReferenceValue reference) => null;

    /// <summary>What of the site their custom properties are made from, besides what they refer to: as long as it is the same object, so are they.</summary>
    public abstract object Source(Site site);

    /// <summary>Code of the kind whose things decide the custom properties.</summary>
    public virtual string DecidedBy => Code;

    /// <summary>The custom properties that all of them come to; one that needs something has been said without it before. Schemes declare those of roles.</summary>
    public virtual IEnumerable<Token> Tokens(SiteReads reads) => [];
}

/// <summary>The foundations in the order of the course.</summary>
public enum FoundationStep
{
    Palette,
    Type,
    Space,
    Edges,
    Fills,
    Motion,
}
