namespace Sandbar.Css.Linting;

/// <summary>How much something in a sheet matters.</summary>
public enum Severity
{
    /// <summary>Browsers leave it out.</summary>
    Error,

    /// <summary>Browsers may take it, and it may not be what was meant.</summary>
    Warning,

    /// <summary>It does nothing here.</summary>
    Info,
}

/// <summary>Something about a sheet that its writer will want to know.</summary>
/// <param name="Code">What kind of thing it is, for programs.</param>
/// <param name="Start">Where it stands: a UTF-16 offset.</param>
/// <param name="End">Where that ends.</param>
/// <param name="Message">A sentence for a designer.</param>
public sealed record Diagnostic(Severity Severity, string Code, int Start, int End, string Message);
