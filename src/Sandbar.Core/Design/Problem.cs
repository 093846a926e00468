namespace Sandbar.Core.Design;

/// <summary>What is wrong: where (a path into a document or an edit, such as <c>/css</c>), and a sentence for the designer.</summary>
public sealed record Problem(string Path, string Message);
