using System.Globalization;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Foundations.Type;

/// <summary>Positions on the type scale: size 0 is body text.</summary>
public sealed class SizeKind : ReferenceKind
{
    public const string Kind = "size";

    public override string Code => Kind;

    public override string Name => "size";

    public override CssType Type => CssType.Length;

    public override FoundationStep Step => FoundationStep.Type;

    /// <summary>The custom property of a position.</summary>
    public static string Token(int step) => step < 0 ? $"--size-minus-{-step}" : $"--size-{step}";

    public override bool Leads(Site site, ReferenceValue reference) =>
        reference.Id.Length == 0 && reference.Step >= site.Type.Scale.Lowest && reference.Step <= site.Type.Scale.Highest;

    public override string NameOf(Site site, ReferenceValue reference) => $"size {Scale.Label(reference.Step)}";

    public override ReferenceValue? Read(Site site, string text)
    {
        if (!text.StartsWith("size ", StringComparison.OrdinalIgnoreCase)
            || !int.TryParse(text.AsSpan(5).ToString().Replace('−', '-').Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var step)) return null;
        var scale = site.Type.Scale;
        return step >= scale.Lowest && step <= scale.Highest
            ? new(Kind, "", step)
            : throw new FormatException($"There is size {Scale.Label(scale.Lowest)} to size {Scale.Label(scale.Highest)}.");
    }

    public override IEnumerable<string> Names(Site site) => Scale.Steps(site.Type.Scale).Reverse().Select(step => $"size {Scale.Label(step)}");

    public override string Note(Site site, ReferenceValue reference)
    {
        var (from, to) = Scale.Sizes(site.Type.Scale, reference.Step);
        return from == to ? Px(from) : $"{Px(from)}–{Px(to)}";
    }

    public override string Token(Site site, ReferenceValue reference) => Token(reference.Step);

    public override object Source(Site site) => site.Type.Scale;

    public override IEnumerable<Token> Tokens(SiteReads reads)
    {
        var scale = reads.Site.Type.Scale;
        return Scale.Steps(scale).Select(step => new Token(Token(step), Scale.Css(scale, step), "", step.ToString(CultureInfo.InvariantCulture)));
    }

    private static string Px(double px) => Math.Round(px, 1).ToString("0.#", CultureInfo.InvariantCulture);
}
