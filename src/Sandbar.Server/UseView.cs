using Sandbar.Core.Design;
using Sandbar.Core.Foundations;
using Sandbar.Core.Values;

namespace Sandbar.Server;

/// <summary>What kind of place something is used in.</summary>
public enum UseKind
{
    Thing,
    Cell,
    Block,
    Page,
    Overrides,
    Post,
}

/// <summary>A use of a thing, and what leads there.</summary>
/// <param name="Step">Of a colour or a role, the step that is used, in words; empty for itself.</param>
/// <param name="Of">Of a thing, the code of its kind.</param>
/// <param name="Id">Id of the thing, look, block or post; of a page its own.</param>
/// <param name="Part">Of a cell.</param>
/// <param name="Page">Id of a page it is seen on.</param>
public sealed record UseView(string Words, string Step, UseKind Kind, string? Of, string? Id, string? Part, string? Property, State? State, string? Page)
{
    public static UseView From(Use use) => From(use, StepText.Of(use.Step));

    private static UseView From(Use use, string step) => use.Place switch
    {
        InThing thing => new(use.Words, step, UseKind.Thing, thing.Of, thing.Id, null, null, null, null),
        InCell cell => new(use.Words, step, UseKind.Cell, null, cell.Look, cell.Part, cell.Property, cell.State, null),
        InBlock block => new(use.Words, step, UseKind.Block, null, block.Block, null, null, null, block.Page),
        InPage page => new(use.Words, step, UseKind.Page, null, page.Page, null, null, null, page.Page),
        InPost post => new(use.Words, step, UseKind.Post, null, post.Post, null, null, null, null),
        _ => new(use.Words, step, UseKind.Overrides, null, null, null, null, null, null),
    };
}
